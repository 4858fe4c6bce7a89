package lab.sassafras.app.access;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.people.NotAllowed;
import lab.sassafras.app.people.Right;
import lab.sassafras.app.people.Subject;
import lab.sassafras.app.people.Visitor;
import lab.sassafras.app.people.Visitors;
import lab.sassafras.app.people.WhoMay;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.PeriodBook;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * Asks, before any page is worked, whether whoever is here may have it. What they may not know of looks like what is
 * not there.
 */
@Component
final class RouteRights implements HandlerInterceptor, WebMvcConfigurer {

    private final WhoIsHere who;
    private final WhoMay may;
    private final EntryBook entryBook;
    private final PeriodBook periodBook;

    RouteRights(WhoIsHere who, WhoMay may, EntryBook entryBook, PeriodBook periodBook) {
        this.who = who;
        this.may = may;
        this.entryBook = entryBook;
        this.periodBook = periodBook;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
            throws IOException {
        if (!(handler instanceof HandlerMethod) || request.getDispatcherType() != DispatcherType.REQUEST) {
            return true;
        }
        String pattern = String.valueOf(request.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE));
        Right right = may.route(request.getMethod(), pattern).orElseThrow(() -> new NotAllowed("Nobody may do that."));
        Visitor visitor = who.visitor(request);
        Visitors.here(visitor);
        if (right == Right.ANYONE) {
            return true;
        }
        if (visitor.stranger()) {
            return toTheDoor(request, response);
        }
        request.setAttribute("shelf", may.may(visitor, Right.READ_SHELF, Subject.HOUSE));
        Subject about = subject(request, pattern, right, visitor);
        if (!may.may(visitor, right, about)) {
            throw refused(visitor, right, about);
        }
        // what a page offers beyond reading, by the names templates ask for
        request.setAttribute("writes", may.may(visitor, Right.WRITE_ENTRY, about));
        request.setAttribute("decides", may.may(visitor, Right.DECIDE, about));
        request.setAttribute("leads", may.may(visitor, Right.LEAD, about));
        request.setAttribute("keeps", may.may(visitor, Right.RUN_HOUSE, about));
        return true;
    }

    private RuntimeException refused(Visitor visitor, Right right, Subject about) {
        if (about.entry().isPresent()) {
            if (!may.may(visitor, Right.READ_ENTRY, about)) {
                return new NotFound("There is no entry at that address.");
            }
        } else if (about.period().isPresent()
                && visitor.seat()
                        .filter(seat ->
                                about.period().get().id().equals(seat.period().id()))
                        .isEmpty()) {
            return NotFound.period();
        }
        return new NotAllowed(may.refusal(visitor, right, about));
    }

    /** A page is come back to after coming in; anything else is refused in words, and what was typed stays there. */
    private static boolean toTheDoor(HttpServletRequest request, HttpServletResponse response) throws IOException {
        String accept = Optional.ofNullable(request.getHeader("Accept")).orElse("");
        if (!request.getMethod().equals("GET") || !accept.contains(MediaType.TEXT_HTML_VALUE)) {
            throw new NotAllowed("Come in first: join your period by its code, or sign in. Nothing was recorded, and "
                    + "what you typed is still here.");
        }
        String query = request.getQueryString() == null ? "" : "?" + request.getQueryString();
        response.sendRedirect(UriComponentsBuilder.fromPath("/door")
                .queryParam("to", "{to}")
                .build(Map.of("to", request.getRequestURI() + query))
                .toString());
        return false;
    }

    private Subject subject(HttpServletRequest request, String pattern, Right right, Visitor visitor) {
        boolean named = pattern.equals(OriginCheck.IMPORT_CLOCK);
        if (named || pattern.startsWith("/entries/{id}")) {
            return (named
                            ? Optional.ofNullable(request.getParameter("entry")).flatMap(RouteRights::identity)
                            : variable(request))
                    .flatMap(entryBook::find)
                    .map(Subject::of)
                    .orElseThrow(() -> new NotFound("There is no entry at that address."));
        }
        if (pattern.startsWith("/periods/{id}")) {
            return period(variable(request), NotFound.period());
        }
        Optional<String> period = Optional.ofNullable(request.getParameter("period"));
        if (right == Right.READ_CLASS) {
            return period.isPresent()
                    ? period(identity(period.get()), NotFound.period())
                    : visitor.seat().map(seat -> Subject.of(seat.period())).orElse(Subject.HOUSE);
        }
        return Subject.HOUSE;
    }

    private Subject period(Optional<UUID> id, NotFound otherwise) {
        return id.flatMap(periodBook::find).map(Subject::of).orElseThrow(() -> otherwise);
    }

    private static Optional<UUID> variable(HttpServletRequest request) {
        return request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE) instanceof Map<?, ?> variables
                ? Optional.ofNullable(variables.get("id")).map(String::valueOf).flatMap(RouteRights::identity)
                : Optional.empty();
    }

    private static Optional<UUID> identity(String text) {
        try {
            return Optional.of(UUID.fromString(text));
        } catch (IllegalArgumentException none) {
            return Optional.empty();
        }
    }
}
