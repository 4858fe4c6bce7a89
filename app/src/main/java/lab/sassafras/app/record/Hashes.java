package lab.sassafras.app.record;

import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.security.DigestOutputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.function.Consumer;

/** What stands for a text or a file without telling it: SHA-256, in 64 hexadecimal digits. */
public final class Hashes {

    private Hashes() {}

    /** {@return the hash of a text in UTF-8} */
    public static String of(String text) {
        return of(text.getBytes(StandardCharsets.UTF_8));
    }

    /** {@return the hash of bytes} */
    public static String of(byte[] bytes) {
        return HexFormat.of().formatHex(digest().digest(bytes));
    }

    /** {@return the hash of what is written, which is kept nowhere} */
    public static String of(Consumer<OutputStream> written) {
        MessageDigest digest = digest();
        written.accept(new DigestOutputStream(OutputStream.nullOutputStream(), digest));
        return HexFormat.of().formatHex(digest.digest());
    }

    private static MessageDigest digest() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException none) {
            throw new IllegalStateException(none);
        }
    }
}
