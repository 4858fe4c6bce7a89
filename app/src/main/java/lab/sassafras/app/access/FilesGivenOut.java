package lab.sassafras.app.access;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Optional;
import lab.sassafras.app.people.Audit;
import lab.sassafras.app.people.Visitor;
import lab.sassafras.app.people.Visitors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Notes for the audit which files were given out, and to whom. */
@Component
final class FilesGivenOut implements HandlerInterceptor, WebMvcConfigurer {

    private final Audit audit;

    FilesGivenOut(Audit audit) {
        this.audit = audit;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    @Override
    public void afterCompletion(
            HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable Exception failure) {
        if (response.getStatus() == HttpServletResponse.SC_OK) {
            Optional.ofNullable(response.getHeader(HttpHeaders.CONTENT_DISPOSITION))
                    .map(ContentDisposition::parse)
                    .filter(ContentDisposition::isAttachment)
                    .ifPresent(file -> audit.noteOnce(
                            Audit.Kind.EXPORT,
                            Visitors.now().orElse(Visitor.STRANGER),
                            request.getRemoteAddr(),
                            Optional.ofNullable(file.getFilename()).orElse("a file")));
        }
    }
}
