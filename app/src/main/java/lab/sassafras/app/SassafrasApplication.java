package lab.sassafras.app;

import java.nio.file.Path;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** Starts the bench book. */
@SpringBootApplication
public class SassafrasApplication {

    public static void main(String[] arguments) {
        // The database takes no relative path; whoever names a folder means it from where they stand.
        String home = System.getenv("SASSAFRAS_HOME");
        if (home != null && !home.isBlank()) {
            System.setProperty("sassafras.home", Path.of(home).toAbsolutePath().toString());
        }
        SpringApplication.run(SassafrasApplication.class, arguments);
    }
}
