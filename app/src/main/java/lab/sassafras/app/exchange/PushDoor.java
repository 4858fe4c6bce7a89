package lab.sassafras.app.exchange;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import tools.jackson.databind.json.JsonMapper;

/**
 * What pushes is let in before the doors of the pages: a script has neither cookie nor seal nor page, its token says
 * all, and of the work a row takes the way through those doors was half. It goes by its name and within its deadline as
 * everybody else.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 2)
final class PushDoor extends OncePerRequestFilter {

    private static final String PUSH = "/push/";

    private final ObjectProvider<PushController> pushing;
    private final JsonMapper json;

    PushDoor(ObjectProvider<PushController> pushing, JsonMapper json) {
        this.pushing = pushing;
        this.json = json;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        String path = request.getRequestURI();
        return !request.getMethod().equals("POST")
                || !path.startsWith(PUSH)
                || path.indexOf('/', PUSH.length()) >= 0
                // a browser says where its page is from, and is asked at the doors of the pages
                || request.getHeader(HttpHeaders.ORIGIN) != null;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        ResponseEntity<Object> answer = pushing.getObject()
                .push(
                        request.getRequestURI().substring(PUSH.length()),
                        Optional.ofNullable(request.getHeader(HttpHeaders.AUTHORIZATION))
                                .orElse(""),
                        Optional.ofNullable(request.getContentType()).orElse(""),
                        Optional.ofNullable(request.getParameter("now")),
                        request);
        response.setStatus(answer.getStatusCode().value());
        answer.getHeaders().forEach((name, values) -> values.forEach(value -> response.addHeader(name, value)));
        response.setHeader("X-Content-Type-Options", "nosniff");
        response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
        byte[] body = json.writeValueAsBytes(answer.getBody());
        response.setContentType(MediaType.APPLICATION_JSON_VALUE);
        response.setContentLength(body.length);
        response.getOutputStream().write(body);
    }
}
