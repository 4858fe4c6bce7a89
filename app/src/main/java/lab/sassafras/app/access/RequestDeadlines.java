package lab.sassafras.app.access;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Enumeration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import lab.sassafras.app.settings.HouseSettings;
import lab.sassafras.app.settings.Limits;
import lab.sassafras.measure.TimeBudget;
import org.apache.catalina.connector.ClientAbortException;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.util.unit.DataSize;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Bounds every request: how long the work for it may take, how long what it sends may take to arrive, and how much a
 * form may hold. Forms are read here, before anything asks for their fields, because the container would wait for ever.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
final class RequestDeadlines extends OncePerRequestFilter {

    private static final Logger LOG = LoggerFactory.getLogger(RequestDeadlines.class);

    private static final long MOST_THROWN_AWAY = 64 << 20;

    private final Duration work;
    private final Duration arrival;
    private final Limits limits;

    RequestDeadlines(HouseSettings settings) {
        this.work = settings.workTime();
        this.arrival = settings.arrivalTime();
        this.limits = settings.limits();
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        long begun = System.nanoTime();
        Arriving arriving = new Arriving(request, begun + arrival.toNanos());
        try {
            @Nullable HttpServletRequest whole = form(request) ? FormRequest.of(arriving, limits.form()) : arriving;
            if (whole == null) {
                response.sendError(HttpServletResponse.SC_REQUEST_ENTITY_TOO_LARGE);
                return;
            }
            try (TimeBudget budget = TimeBudget.of(work.plus(arrives(request) ? arrival : Duration.ZERO))) {
                chain.doFilter(whole, response);
            }
            if (arrives(request) && arriving.untouched) {
                // answered without being read, as to somebody who did not come in: the rest is thrown away, within its
                // time
                response.flushBuffer();
                arriving.throwAway();
            }
        } catch (TooSlow slow) {
            LOG.warn("gave up waiting for what {} {} sends", request.getMethod(), request.getRequestURI());
            answerAndHangUp(response);
        } finally {
            if (arriving.slow) {
                answerAndHangUp(response);
            }
            long took = (System.nanoTime() - begun) / 1_000_000;
            if (took > limits.slow()) {
                LOG.info("slow: {} {} took {} ms", request.getMethod(), request.getRequestURI(), took);
            }
        }
    }

    /** Says so once, and closes: what may still come would otherwise be read to its end. */
    private static void answerAndHangUp(HttpServletResponse response) throws IOException {
        if (!response.isCommitted()) {
            response.reset();
            response.setStatus(HttpServletResponse.SC_REQUEST_TIMEOUT);
            response.setHeader("Connection", "close");
            response.setContentType("text/plain;charset=UTF-8");
            response.getOutputStream()
                    .write("What was sent took too long to arrive. Nothing was recorded or changed; send it again.\n"
                            .getBytes(StandardCharsets.UTF_8));
            response.flushBuffer();
        }
        throw new ClientAbortException("took too long to arrive");
    }

    /** Whether what it sends arrives while it is worked on. */
    private static boolean arrives(HttpServletRequest request) {
        return "POST".equals(request.getMethod()) && !form(request);
    }

    private static boolean form(HttpServletRequest request) {
        String type = request.getContentType();
        return "POST".equals(request.getMethod())
                && type != null
                && type.startsWith(MediaType.APPLICATION_FORM_URLENCODED_VALUE);
    }

    /** A request whose body must have arrived by a moment. */
    private static final class Arriving extends HttpServletRequestWrapper {

        private final long until;
        private boolean slow;
        private boolean untouched = true;

        Arriving(HttpServletRequest request, long until) {
            super(request);
            this.until = until;
        }

        /** Reads what nobody wants, so that the answer arrives; what is larger still is cut off. */
        void throwAway() throws IOException {
            try (ServletInputStream rest = getInputStream()) {
                byte[] piece = new byte[1 << 16];
                for (long read = 0; read >= 0; ) {
                    int more = rest.read(piece);
                    read = more < 0 ? -1 : read + more;
                    if (read > MOST_THROWN_AWAY) {
                        throw new ClientAbortException("too large to throw away");
                    }
                }
            }
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            untouched = false;
            ServletInputStream in = super.getInputStream();
            return new Body() {
                @Override
                public int read() throws IOException {
                    check();
                    return in.read();
                }

                @Override
                public int read(byte[] into, int at, int length) throws IOException {
                    check();
                    try {
                        return in.read(into, at, length);
                    } catch (java.net.SocketTimeoutException silent) {
                        slow = true;
                        throw new TooSlow();
                    }
                }

                @Override
                public boolean isFinished() {
                    return in.isFinished();
                }
            };
        }

        private void check() throws TooSlow {
            if (System.nanoTime() - until > 0) {
                slow = true;
                throw new TooSlow();
            }
        }
    }

    /** A body that is simply read. */
    private abstract static class Body extends ServletInputStream {

        @Override
        public boolean isReady() {
            return true;
        }

        @Override
        public void setReadListener(ReadListener listener) {
            throw new UnsupportedOperationException("bodies are read by the thread that works");
        }
    }

    /** A form that has arrived whole, with the fields it holds. */
    private static final class FormRequest extends HttpServletRequestWrapper {

        private final byte[] body;
        private final Map<String, String[]> fields;

        private FormRequest(HttpServletRequest request, byte[] body) {
            super(request);
            this.body = body;
            this.fields = fields(request.getQueryString(), new String(body, StandardCharsets.UTF_8));
        }

        /** Null where it holds more than any form of ours. */
        static @Nullable FormRequest of(HttpServletRequest request, DataSize largest) throws IOException {
            byte[] body = request.getInputStream().readNBytes((int) largest.toBytes() + 1);
            return body.length > largest.toBytes() ? null : new FormRequest(request, body);
        }

        private static Map<String, String[]> fields(@Nullable String query, String form) {
            Map<String, List<String>> read = new LinkedHashMap<>();
            for (String part : ((query == null ? "" : query) + "&" + form).split("&", -1)) {
                if (!part.isEmpty()) {
                    int equals = part.indexOf('=');
                    read.computeIfAbsent(
                                    decoded(equals < 0 ? part : part.substring(0, equals)), any -> new ArrayList<>())
                            .add(equals < 0 ? "" : decoded(part.substring(equals + 1)));
                }
            }
            Map<String, String[]> fields = new LinkedHashMap<>();
            read.forEach((name, values) -> fields.put(name, values.toArray(String[]::new)));
            return fields;
        }

        private static String decoded(String text) {
            try {
                return URLDecoder.decode(text, StandardCharsets.UTF_8);
            } catch (IllegalArgumentException broken) {
                return text;
            }
        }

        @Override
        public ServletInputStream getInputStream() {
            ByteArrayInputStream in = new ByteArrayInputStream(body);
            return new Body() {
                @Override
                public int read() {
                    return in.read();
                }

                @Override
                public int read(byte[] into, int from, int most) {
                    return in.read(into, from, most);
                }

                @Override
                public boolean isFinished() {
                    return in.available() == 0;
                }
            };
        }

        @Override
        public @Nullable String getParameter(String name) {
            String[] values = fields.get(name);
            return values == null ? null : values[0];
        }

        @Override
        public String @Nullable [] getParameterValues(String name) {
            return fields.get(name);
        }

        @Override
        public Enumeration<String> getParameterNames() {
            return Collections.enumeration(fields.keySet());
        }

        @Override
        public Map<String, String[]> getParameterMap() {
            return Collections.unmodifiableMap(fields);
        }
    }
}
