package lab.sassafras.app.peoplepages;

import lab.sassafras.app.people.Instructors;
import lab.sassafras.app.people.Secrets;
import lab.sassafras.app.settings.Encryption;
import lab.sassafras.measure.Refused;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * While a book has no instructor, prints an address by which the first account is made, once. It is printed where the
 * server was started, never into the log.
 */
@Component
class FirstInstructor {

    private final Instructors instructors;
    private final String scheme;
    private final String secret = Secrets.token();

    FirstInstructor(Instructors instructors, Encryption encryption) {
        this.scheme = encryption.scheme();
        this.instructors = instructors;
    }

    @EventListener
    void ready(ApplicationReadyEvent event) {
        if (!instructors.any()
                && event.getApplicationContext() instanceof WebServerApplicationContext web
                && web.getWebServer() != null) {
            System.out.println("This book has no instructor yet. Make the first account at " + scheme + "://127.0.0.1:"
                    + web.getWebServer().getPort() + "/first#" + secret);
        }
    }

    /** @throws Refused where that is not what was printed */
    void check(String typed) {
        if (instructors.any()) {
            throw new Refused("There is an instructor already. Sign in, or ask that one.");
        }
        if (!Secrets.same(secret, typed)) {
            throw new Refused("That is not the address that was printed when the server started. Look there again.");
        }
    }
}
