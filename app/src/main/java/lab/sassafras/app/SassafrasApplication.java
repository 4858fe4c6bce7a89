package lab.sassafras.app;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** Starts the bench book. */
@SpringBootApplication
public class SassafrasApplication {

    public static void main(String[] arguments) {
        SpringApplication.run(SassafrasApplication.class, arguments);
    }
}
