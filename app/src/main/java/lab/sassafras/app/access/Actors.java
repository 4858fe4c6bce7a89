package lab.sassafras.app.access;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Optional;
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
 * Says who acts, to every page that asks: an {@link Actor} where one is needed, an Optional where a page is open to
 * all.
 */
@Component
class Actors implements HandlerMethodArgumentResolver, WebMvcConfigurer {

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
        return parameter.nestedIfOptional().getNestedParameterType() == Actor.class;
    }

    @Override
    public Object resolveArgument(
            MethodParameter parameter,
            @Nullable ModelAndViewContainer page,
            NativeWebRequest request,
            @Nullable WebDataBinderFactory binders) {
        Optional<Actor> actor = Optional.ofNullable(request.getNativeRequest(HttpServletRequest.class))
                .flatMap(who::bench)
                .map(Actor::at);
        return parameter.isOptional() ? actor : actor.orElseThrow(Actor.NobodyHere::new);
    }
}
