package lab.sassafras.app.access;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.Arrays;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.PeriodBook;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.stereotype.Component;

/** The bench a browser joined, by a cookie. Many browsers may be at one bench, and many benches in one period. */
@Component
public class WhoIsHere {

    private static final String COOKIE = "sassafras-bench";

    private final PeriodBook periodBook;

    WhoIsHere(PeriodBook periodBook) {
        this.periodBook = periodBook;
    }

    Optional<Bench> bench(HttpServletRequest request) {
        return Arrays.stream(Optional.ofNullable(request.getCookies()).orElse(new Cookie[0]))
                .filter(cookie -> cookie.getName().equals(COOKIE))
                .findFirst()
                .flatMap(cookie -> identity(cookie.getValue()))
                .flatMap(periodBook::bench);
    }

    public void sitDown(Bench bench, HttpServletResponse response) {
        set(response, bench.id().toString(), Duration.ofDays(2));
    }

    public void leave(HttpServletResponse response) {
        set(response, "", Duration.ZERO);
    }

    private static void set(HttpServletResponse response, String value, Duration age) {
        response.addHeader(
                HttpHeaders.SET_COOKIE,
                ResponseCookie.from(COOKIE, value)
                        .path("/")
                        .httpOnly(true)
                        .sameSite("Lax")
                        .maxAge(age)
                        .build()
                        .toString());
    }

    private static Optional<UUID> identity(String text) {
        try {
            return Optional.of(UUID.fromString(text));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }
}
