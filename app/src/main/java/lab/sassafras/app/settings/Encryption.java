package lab.sassafras.app.settings;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Whether the server is reached by HTTPS: where a certificate is set, by whichever of Spring's settings. */
@Component
public class Encryption {

    private final boolean on;

    Encryption(@Value("${server.ssl.key-store:}${server.ssl.certificate:}${server.ssl.bundle:}") String certificate) {
        this.on = !certificate.isEmpty();
    }

    /** {@return how its addresses begin: {@code https} or {@code http}} */
    public String scheme() {
        return on ? "https" : "http";
    }
}
