package lab.sassafras.app.access;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import lab.sassafras.app.settings.HouseSettings;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * The names this server goes by. A page that reached it by another name, as after a name on the internet was pointed at
 * this machine, gets nothing.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
final class KnownHosts extends OncePerRequestFilter {

    private static final List<String> LOOPBACK = List.of("localhost", "127.0.0.1", "[::1]");
    private static final Pattern PORT = Pattern.compile(":\\d*$");
    private static final Set<String> EVERYWHERE = Set.of("0.0.0.0", "::", "");

    private final Set<String> names = new TreeSet<>(LOOPBACK);

    KnownHosts(HouseSettings settings, @Value("${server.address:}") String address) {
        settings.hosts().stream()
                .map(name -> name.strip().toLowerCase(Locale.ROOT))
                .filter(name -> !name.isEmpty())
                .forEach(names::add);
        if (!EVERYWHERE.contains(address)) {
            names.add(address.contains(":") ? "[" + address + "]" : address.toLowerCase(Locale.ROOT));
        }
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String host = request.getHeader("Host");
        if (host != null && knows(host)) {
            chain.doFilter(request, response);
            return;
        }
        response.setStatus(421);
        response.setContentType("text/plain;charset=UTF-8");
        response.getOutputStream()
                .write(("This bench book does not go by the name in the address. Whoever runs it can allow a name "
                                + "with the setting "
                                + "SASSAFRAS_HOSTS.\n")
                        .getBytes(java.nio.charset.StandardCharsets.UTF_8));
    }

    /** Whether a host, with or without its port, is one of ours. */
    private boolean knows(String host) {
        return names.contains(PORT.matcher(host).replaceFirst("").toLowerCase(Locale.ROOT));
    }

    /** Whether a page of this origin is one of ours: a name of ours, and the very host and port that was asked. */
    boolean ours(String origin, String host) {
        try {
            String from = URI.create(origin).getRawAuthority();
            return from != null && knows(from) && from.equalsIgnoreCase(host);
        } catch (IllegalArgumentException none) {
            return false;
        }
    }
}
