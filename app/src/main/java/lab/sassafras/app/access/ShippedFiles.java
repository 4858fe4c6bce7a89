package lab.sassafras.app.access;

import java.time.Duration;
import java.util.List;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.VersionResourceResolver;

/**
 * Styles, scripts, fonts and pictures that ship with the application. They carry their fingerprint in their name and
 * may be kept for ever. Each folder is named: with one pattern for everything, every link of a page would be looked for
 * among them.
 */
@Configuration
class ShippedFiles implements WebMvcConfigurer {

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        for (String folder : List.of("css", "js", "vendor", "fonts", "img")) {
            registry.addResourceHandler("/" + folder + "/**")
                    .addResourceLocations("classpath:/static/" + folder + "/")
                    .setCacheControl(CacheControl.maxAge(Duration.ofDays(365)))
                    .resourceChain(true)
                    .addResolver(new VersionResourceResolver().addContentVersionStrategy("/**"))
                    .addResolver(new StyleSheet());
        }
    }
}
