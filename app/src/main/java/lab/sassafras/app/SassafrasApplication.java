package lab.sassafras.app;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Scanner;
import lab.sassafras.app.storage.BackUps;
import lab.sassafras.app.storage.CannotOpen;
import lab.sassafras.app.storage.InstructorByFolder;
import lab.sassafras.app.storage.Opening;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** Starts the bench book, backs it up or brings a back-up back. */
@SpringBootApplication
@org.springframework.boot.context.properties.ConfigurationPropertiesScan
public class SassafrasApplication {

    public static void main(String[] arguments) {
        try {
            Path home = home();
            if (arguments.length == 2 && arguments[0].equals("backup")) {
                System.out.println(BackUps.backUp(home, Path.of(arguments[1])));
            } else if (arguments.length == 2 && arguments[0].equals("restore")) {
                System.out.println(BackUps.restore(home, Path.of(arguments[1])));
            } else if (arguments.length == 2 && arguments[0].equals("instructor")) {
                System.out.println(InstructorByFolder.make(home, arguments[1], password()));
            } else {
                start(home, arguments);
            }
        } catch (CannotOpen why) {
            System.err.println(why.getMessage());
            System.exit(1);
        }
    }

    /** The script asks for it without showing it, and hands it on as a line: no argument is seen by others. */
    private static String password() {
        try (Scanner line = new Scanner(System.in, StandardCharsets.UTF_8)) {
            return line.hasNextLine() ? line.nextLine() : "";
        }
    }

    private static void start(Path home, String[] arguments) throws CannotOpen {
        try (Opening open = Opening.of(home, setting("SASSAFRAS_ADDRESS", "127.0.0.1"), port())) {
            // The database takes no relative path; whoever names a folder means it from where they stand.
            System.setProperty("sassafras.home", home.toString());
            SpringApplication.run(SassafrasApplication.class, arguments);
        }
    }

    private static Path home() {
        return Path.of(setting(
                        "SASSAFRAS_HOME",
                        System.getProperty(
                                "sassafras.home",
                                Path.of(System.getProperty("user.home"), ".sassafras")
                                        .toString())))
                .toAbsolutePath()
                .normalize();
    }

    private static int port() throws CannotOpen {
        return Opening.port(setting("SASSAFRAS_PORT", "8420"));
    }

    private static String setting(String name, String otherwise) {
        String value = System.getenv(name);
        return value == null || value.isBlank() ? otherwise : value.strip();
    }
}
