package lab.sassafras.app.access;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Answers with one region of a page where a request names it in {@code X-Region}: the same address, the same model, and
 * of the template only the element with the id {@code region-} and that name.
 */
@Component
class Regions implements HandlerInterceptor, WebMvcConfigurer {

    static final String HEADER = "X-Region";
    private static final Pattern NAME = Pattern.compile("[a-z-]{1,40}");
    /** Regions above every page. */
    private static final Set<String> ABOVE = Set.of("said");

    private static final Pattern TEMPLATE = Pattern.compile("[a-z]{1,40}");

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    @Override
    public void postHandle(
            HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable ModelAndView answer) {
        if (answer == null || answer.getViewName() == null) {
            return;
        }
        response.addHeader(HttpHeaders.VARY, HEADER);
        String region = request.getHeader(HEADER);
        if (region != null
                && NAME.matcher(region).matches()
                && TEMPLATE.matcher(answer.getViewName()).matches()) {
            String where = ABOVE.contains(region) ? "fragments/house" : answer.getViewName();
            answer.setViewName(where + " :: #region-" + region);
        }
    }
}
