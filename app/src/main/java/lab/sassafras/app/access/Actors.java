package lab.sassafras.app.access;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import lab.sassafras.app.people.Visitor;
import lab.sassafras.app.record.Actor;
import org.jspecify.annotations.Nullable;
import org.springframework.core.MethodParameter;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Says who is here, to every page that asks: the {@link Visitor}, an {@link Actor} where something is done, an Optional
 * where a page is open to all.
 */
@Component
class Actors implements HandlerMethodArgumentResolver, WebMvcConfigurer {

    private static final Set<Class<?>> ASKED = Set.of(Actor.class, Visitor.class);

    private final WhoIsHere who;

    Actors(WhoIsHere who) {
        this.who = who;
    }

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(this);
    }

    @Override
    public boolean supportsParameter(MethodParameter parameter) {
        return ASKED.contains(parameter.nestedIfOptional().getNestedParameterType());
    }

    @Override
    public Object resolveArgument(
            MethodParameter parameter,
            @Nullable ModelAndViewContainer page,
            NativeWebRequest request,
            @Nullable WebDataBinderFactory binders) {
        Visitor visitor = Optional.ofNullable(request.getNativeRequest(HttpServletRequest.class))
                .map(who::visitor)
                .orElse(Visitor.STRANGER);
        if (parameter.getParameterType() == Visitor.class) {
            return visitor;
        }
        Optional<Actor> actor = visitor.actor();
        return parameter.isOptional() ? actor : actor.orElseThrow(Actor.NobodyHere::new);
    }
}
