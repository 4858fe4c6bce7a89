package lab.sassafras.app.usecase;

import java.util.Arrays;
import java.util.Optional;
import lab.sassafras.app.people.Audit;
import lab.sassafras.app.people.NotAllowed;
import lab.sassafras.app.people.Right;
import lab.sassafras.app.people.Subject;
import lab.sassafras.app.people.Visitors;
import lab.sassafras.app.people.WhoMay;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.sheet.EntrySheet;
import org.aopalliance.intercept.MethodInterceptor;
import org.aopalliance.intercept.MethodInvocation;
import org.springframework.aop.Advisor;
import org.springframework.aop.support.DefaultPointcutAdvisor;
import org.springframework.aop.support.annotation.AnnotationMatchingPointcut;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.config.BeanDefinition;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Role;

/**
 * Asks at every use case whether whoever the work is done for has the right it needs, about the entry, the bench or the
 * period it is given: whatever page it comes from; notes for the audit what was done by a step that is to be noted. The
 * house itself, as at its start, is asked nothing.
 */
@Configuration(proxyBeanMethods = false)
@Role(BeanDefinition.ROLE_INFRASTRUCTURE)
class RightsAsked {

    @Bean
    @Role(BeanDefinition.ROLE_INFRASTRUCTURE)
    static Advisor rightsOfUseCases(ObjectProvider<WhoMay> may, ObjectProvider<Audit> audit) {
        MethodInterceptor asking = call -> {
            check(may.getObject(), call);
            Object answer = call.proceed();
            if (answer instanceof Answer.Kept<?>) {
                note(audit.getObject(), call);
            }
            return answer;
        };
        DefaultPointcutAdvisor advisor =
                new DefaultPointcutAdvisor(AnnotationMatchingPointcut.forClassAnnotation(UseCase.class), asking);
        advisor.setOrder(0);
        return advisor;
    }

    private static void check(WhoMay may, MethodInvocation call) {
        Visitors.now().ifPresent(visitor -> {
            Right right = Optional.ofNullable(call.getMethod().getAnnotation(Needs.class))
                    .map(Needs::value)
                    .orElseGet(() -> call.getMethod()
                            .getDeclaringClass()
                            .getAnnotation(UseCase.class)
                            .needs());
            Subject about = about(call.getArguments());
            if (!may.may(visitor, right, about)) {
                throw new NotAllowed(may.refusal(visitor, right, about));
            }
        });
    }

    private static void note(Audit audit, MethodInvocation call) {
        Noted noted = call.getMethod().getAnnotation(Noted.class);
        if (noted != null) {
            boolean no = Arrays.asList(call.getArguments()).contains(false);
            String where = about(call.getArguments())
                    .period()
                    .map(period -> ", " + period.title())
                    .orElse("");
            Visitors.now()
                    .ifPresent(visitor ->
                            audit.note(Audit.Kind.DECISION, visitor, (no ? noted.otherwise() : noted.value()) + where));
        }
    }

    private static Subject about(Object[] given) {
        return Arrays.stream(given)
                .flatMap(each -> subject(each).stream())
                .findFirst()
                .orElse(Subject.HOUSE);
    }

    private static Optional<Subject> subject(Object given) {
        if (given instanceof EntrySheet sheet) {
            return Optional.of(Subject.of(sheet.entry()));
        }
        if (given instanceof Entry entry) {
            return Optional.of(Subject.of(entry));
        }
        if (given instanceof Bench bench) {
            return Optional.of(Subject.of(bench.period()));
        }
        return given instanceof Period period ? Optional.of(Subject.of(period)) : Optional.empty();
    }
}
