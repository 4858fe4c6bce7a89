package lab.sassafras.app.access;

import io.micrometer.observation.ObservationRegistry;
import java.time.Clock;
import lab.sassafras.app.settings.HouseSettings;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfFilter;
import org.springframework.security.web.csrf.XorCsrfTokenRequestAttributeHandler;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

/** Headers, the token in a cookie, the check of origin. Who may do what, RouteRights asks. */
@Configuration
class Doorway {

    /** Everything from ourselves, nothing inline, nothing from elsewhere. */
    private static final String CONTENT_POLICY = "default-src 'none'; script-src 'self'; style-src 'self'; "
            + "img-src 'self'; font-src 'self'; connect-src 'self'; form-action 'self'; base-uri 'none'; "
            + "frame-ancestors 'none'";

    @Bean
    SecurityFilterChain door(HttpSecurity http, KnownHosts hosts, HouseSettings settings) throws Exception {
        // Read at once: a token made late could not set its cookie on a page already being sent.
        XorCsrfTokenRequestAttributeHandler atOnce = new XorCsrfTokenRequestAttributeHandler();
        atOnce.setCsrfRequestAttributeName(null);
        CookieCsrfTokenRepository seals = new CookieCsrfTokenRepository();
        seals.setCookieCustomizer(cookie -> cookie.sameSite("Strict"));
        return http.authorizeHttpRequests(requests -> requests.anyRequest().permitAll())
                .sessionManagement(session -> session.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                // A back-up is asked for by a word that only who can read the book's folder knows.
                // Files arrive as multipart, which is read after this filter; there OriginCheck insists on an origin.
                .csrf(csrf -> csrf.csrfTokenRepository(seals)
                        .csrfTokenRequestHandler(atOnce)
                        .ignoringRequestMatchers(
                                OriginCheck.REDUCE,
                                OriginCheck.IMPORT,
                                OriginCheck.IMPORT_CLOCK,
                                OriginCheck.BACK_UP,
                                OriginCheck.INSTRUCTOR,
                                OriginCheck.PUSH))
                .addFilterBefore(new OriginCheck(hosts), CsrfFilter.class)
                .headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
                        .referrerPolicy(referrer -> referrer.policy(ReferrerPolicy.SAME_ORIGIN))
                        // a browser remembers it for a year, so it is sent where somebody asked for it
                        .httpStrictTransportSecurity(hsts -> {
                            if (!settings.hsts()) {
                                hsts.disable();
                            }
                        }))
                .exceptionHandling(handling ->
                        handling.accessDeniedHandler((request, response, denied) -> response.sendError(403)))
                .requestCache(cache -> cache.disable())
                .logout(logout -> logout.disable())
                .formLogin(form -> form.disable())
                .httpBasic(basic -> basic.disable())
                .anonymous(anonymous -> anonymous.disable())
                .build();
    }

    /** Nobody looks at what would be observed of each request and filter, so nothing is. */
    @Bean
    ObservationRegistry observations() {
        return ObservationRegistry.NOOP;
    }

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }
}
