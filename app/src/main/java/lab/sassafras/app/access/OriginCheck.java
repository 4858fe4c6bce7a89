package lab.sassafras.app.access;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Set;
import org.springframework.web.filter.OncePerRequestFilter;

/** Refuses a change asked for by a page that is not ours. */
final class OriginCheck extends OncePerRequestFilter {

    static final String REDUCE = "/api/reduce";
    static final String IMPORT = "/import";
    static final String IMPORT_CLOCK = "/import/clock";
    static final String BACK_UP = "/keeping/back-up";
    static final String INSTRUCTOR = "/keeping/instructor";
    static final String PUSH = "/push/*";
    private static final Set<String> SAFE = Set.of("GET", "HEAD", "OPTIONS", "TRACE");

    private final KnownHosts hosts;

    OriginCheck(KnownHosts hosts) {
        this.hosts = hosts;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (SAFE.contains(request.getMethod()) || allowed(request)) {
            chain.doFilter(request, response);
        } else {
            response.sendError(HttpServletResponse.SC_FORBIDDEN);
        }
    }

    private boolean allowed(HttpServletRequest request) {
        String origin = request.getHeader("Origin");
        return origin == null
                ? !request.getServletPath().equals(IMPORT)
                        && !request.getServletPath().equals(IMPORT_CLOCK)
                : hosts.ours(origin, request.getHeader("Host"));
    }
}
