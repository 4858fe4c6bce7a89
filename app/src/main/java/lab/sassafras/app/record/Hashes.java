package lab.sassafras.app.record;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** What stands for a text or a file without telling it: SHA-256, in 64 hexadecimal digits. */
public final class Hashes {

    private Hashes() {}

    /** {@return the hash of a text in UTF-8} */
    public static String of(String text) {
        return of(text.getBytes(StandardCharsets.UTF_8));
    }

    /** {@return the hash of bytes} */
    public static String of(byte[] bytes) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
        } catch (NoSuchAlgorithmException none) {
            throw new IllegalStateException(none);
        }
    }
}
