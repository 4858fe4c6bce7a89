package lab.sassafras.app.access;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.Arrays;
import java.util.Optional;
import lab.sassafras.app.people.SignIns;
import lab.sassafras.app.people.Visitor;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.stereotype.Component;

/** Who a request comes from, by a cookie that holds a token and nothing else. */
@Component
public class WhoIsHere {

    /** Name of the cookie. */
    public static final String COOKIE = "sassafras-here";

    private static final String KNOWN = WhoIsHere.class.getName();

    private final SignIns signIns;

    WhoIsHere(SignIns signIns) {
        this.signIns = signIns;
    }

    /** {@return who it comes from, looked up once for a request} */
    public Visitor visitor(HttpServletRequest request) {
        if (request.getAttribute(KNOWN) instanceof Visitor known) {
            return known;
        }
        Visitor visitor = Arrays.stream(
                        Optional.ofNullable(request.getCookies()).orElse(new Cookie[0]))
                .filter(cookie -> cookie.getName().equals(COOKIE))
                .findFirst()
                .map(cookie -> signIns.visitor(cookie.getValue()))
                .orElse(Visitor.STRANGER);
        request.setAttribute(KNOWN, visitor);
        return visitor;
    }

    /** Gives the browser its token. */
    public void comeIn(String token, HttpServletRequest request, HttpServletResponse response) {
        set(request, response, token, Duration.ofDays(30));
    }

    /** Takes it away again. */
    public void leave(HttpServletRequest request, HttpServletResponse response) {
        set(request, response, "", Duration.ZERO);
    }

    private static void set(HttpServletRequest request, HttpServletResponse response, String value, Duration age) {
        response.addHeader(
                HttpHeaders.SET_COOKIE,
                ResponseCookie.from(COOKIE, value)
                        .path("/")
                        .httpOnly(true)
                        .secure(request.isSecure())
                        .sameSite("Lax")
                        .maxAge(age)
                        .build()
                        .toString());
    }
}
