package lab.sassafras.app.people;

import java.nio.charset.StandardCharsets;
import lab.sassafras.measure.Refused;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;

/** Passwords as they are kept: by bcrypt, which reads 72 bytes and no more. */
final class Passwords {

    private static final int FEWEST = 8;
    private static final int MOST_BYTES = 72;
    private static final int COST = 11;

    private final BCryptPasswordEncoder bcrypt = new BCryptPasswordEncoder(COST);
    /** What a name that nobody has is compared with, so that it takes as long. */
    private final String nobodys = bcrypt.encode(Secrets.token());

    /**
     * {@return the hash of a password}
     *
     * @throws Refused where it is too short, or longer than is read
     */
    String hash(String password) {
        if (password.codePointCount(0, password.length()) < FEWEST) {
            throw new Refused("A password has at least " + FEWEST + " characters.");
        }
        if (bytes(password) > MOST_BYTES) {
            throw new Refused("A password has at most " + MOST_BYTES
                    + " bytes: so many letters of the English alphabet, or half as many of others.");
        }
        return bcrypt.encode(password);
    }

    boolean matches(String password, String hash) {
        return bytes(password) <= MOST_BYTES && bcrypt.matches(password, hash);
    }

    void takeAsLong(String password) {
        matches(password, nobodys);
    }

    private static int bytes(String password) {
        return password.getBytes(StandardCharsets.UTF_8).length;
    }
}
