package lab.sassafras.app.door;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.Set;
import org.springframework.web.filter.OncePerRequestFilter;

/** Refuses a change asked for by a page that is not ours. */
final class OriginCheck extends OncePerRequestFilter {

    static final String REDUCE = "/api/reduce";
    static final String IMPORT = "/import";
    private static final Set<String> SAFE = Set.of("GET", "HEAD", "OPTIONS", "TRACE");

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (SAFE.contains(request.getMethod()) || allowed(request)) {
            chain.doFilter(request, response);
        } else {
            response.sendError(HttpServletResponse.SC_FORBIDDEN);
        }
    }

    private static boolean allowed(HttpServletRequest request) {
        String origin = request.getHeader("Origin");
        if (origin == null) {
            return !request.getRequestURI().equals(IMPORT);
        }
        try {
            URI from = URI.create(origin);
            String host = from.getPort() < 0 ? from.getHost() : from.getHost() + ":" + from.getPort();
            return host != null && host.equals(request.getHeader("Host"));
        } catch (IllegalArgumentException e) {
            return false;
        }
    }
}
