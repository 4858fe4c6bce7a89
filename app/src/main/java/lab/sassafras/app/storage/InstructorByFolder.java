package lab.sassafras.app.storage;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.HttpURLConnection;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;

/**
 * The command {@code instructor}: whoever can read the folder of the book makes an instructor, or gives one another
 * password. It asks the server that has the book open.
 */
public final class InstructorByFolder {

    private InstructorByFolder() {}

    /**
     * Makes an instructor, or lets one in again with another password.
     *
     * @return what was done, in a sentence
     */
    public static String make(Path folder, String name, String password) throws CannotOpen {
        Home home = new Home(folder.toAbsolutePath().normalize());
        if (!BackUps.running(home)) {
            throw new CannotOpen("The book in " + home.folder()
                    + " is not open: start Sassafras on this machine first, then make the instructor.");
        }
        try {
            HttpURLConnection http = BackUps.asking(home, RunningServer.INSTRUCTOR);
            http.setRequestProperty("Content-Type", "application/x-www-form-urlencoded");
            try (OutputStream form = http.getOutputStream()) {
                form.write(("name=" + URLEncoder.encode(name, StandardCharsets.UTF_8) + "&password="
                                + URLEncoder.encode(password, StandardCharsets.UTF_8))
                        .getBytes(StandardCharsets.US_ASCII));
            }
            boolean done = http.getResponseCode() < 300;
            try (InputStream answer = done ? http.getInputStream() : http.getErrorStream()) {
                String said = new String(answer.readAllBytes(), StandardCharsets.UTF_8).strip();
                if (!done) {
                    throw new CannotOpen(said);
                }
                return said;
            }
        } catch (IOException failed) {
            throw new CannotOpen(
                    "The server of the book in " + home.folder() + " does not answer: nothing was changed.");
        }
    }
}
