package lab.sassafras.app.demo;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.util.Objects;
import java.util.stream.Stream;
import lab.sassafras.app.people.Instructors;
import lab.sassafras.app.people.SignIns;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.PeriodBook;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.annotation.Profile;
import org.springframework.context.event.EventListener;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Looks at one page of each kind and closes: what was loaded for that goes into the archive of classes. */
@Component
@Profile("once")
class OnceThrough {

    private final EntryBook entryBook;
    private final PeriodBook periodBook;
    private final Instructors instructors;
    private final SignIns signIns;

    OnceThrough(EntryBook entryBook, PeriodBook periodBook, Instructors instructors, SignIns signIns) {
        this.instructors = instructors;
        this.signIns = signIns;
        this.entryBook = entryBook;
        this.periodBook = periodBook;
    }

    @EventListener
    @Order(Ordered.LOWEST_PRECEDENCE)
    void ready(ApplicationReadyEvent event) throws IOException, InterruptedException {
        int port = Objects.requireNonNull(((WebServerApplicationContext) event.getApplicationContext()).getWebServer())
                .getPort();
        String token = signIns.instructor(instructors.all().get(0).person(), "the house");
        HttpClient http = HttpClient.newHttpClient();
        String entry =
                "/entries/" + entryBook.of(periodBook.all().get(0)).get(0).id();
        for (String path : Stream.of("/periods", "/notebook", "/shelf", entry, entry + "/result", "/nowhere")
                .toList()) {
            http.send(
                    HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                            .header("Accept", "text/html")
                            .header("Cookie", "sassafras-here=" + token)
                            .build(),
                    BodyHandlers.discarding());
        }
        new Thread(() -> System.exit(SpringApplication.exit(event.getApplicationContext()))).start();
    }
}
