package lab.sassafras.app.access;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.ByteArrayResource;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.web.servlet.resource.AbstractResourceResolver;
import org.springframework.web.servlet.resource.ResourceResolverChain;

/**
 * The styles of all panels as one file, so that a first visit asks once: written apart, sent together, in this order.
 */
final class StyleSheet extends AbstractResourceResolver {

    static final String NAME = "house.css";

    private static final List<String> PANELS = List.of(
            "base",
            "board",
            "book",
            "forms",
            "marks",
            "sheet",
            "asking",
            "clock",
            "strip",
            "simulated",
            "findings",
            "result",
            "balance",
            "line",
            "budget",
            "causes",
            "cycle",
            "screens",
            "print");

    private final Resource together = new Together(read());

    /** What whoever writes it needs and a browser does not: comments, and blanks at the beginning of a line. */
    private static final Pattern FOR_WRITERS = Pattern.compile("(?s)/\\*.*?\\*/|(?m)^\\s+");

    private static byte[] read() {
        StringBuilder all = new StringBuilder();
        for (String panel : PANELS) {
            try {
                all.append(new ClassPathResource("static/css/" + panel + ".css")
                                .getContentAsString(StandardCharsets.UTF_8))
                        .append('\n');
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
        return FOR_WRITERS.matcher(all).replaceAll("").getBytes(StandardCharsets.UTF_8);
    }

    /** It has a name, and is as old as the program. */
    private static final class Together extends ByteArrayResource {

        private static final long STARTED = System.currentTimeMillis();

        Together(byte[] bytes) {
            super(bytes);
        }

        @Override
        public String getFilename() {
            return NAME;
        }

        @Override
        public long lastModified() {
            return STARTED;
        }
    }

    @Override
    protected @Nullable Resource resolveResourceInternal(
            @Nullable HttpServletRequest request,
            String path,
            List<? extends Resource> locations,
            ResourceResolverChain chain) {
        return path.equals(NAME) ? together : chain.resolveResource(request, path, locations);
    }

    @Override
    protected @Nullable String resolveUrlPathInternal(
            String path, List<? extends Resource> locations, ResourceResolverChain chain) {
        return path.equals(NAME) ? path : chain.resolveUrlPath(path, locations);
    }
}
