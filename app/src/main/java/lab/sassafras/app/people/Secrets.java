package lab.sassafras.app.people;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.Locale;

/** Random secrets, and the hashes they are known by. */
public final class Secrets {

    private static final SecureRandom RANDOM = new SecureRandom();
    private static final int TOKEN_BYTES = 32;
    /** Digits and letters that are not taken for each other: five bits each. */
    private static final String SIGNS = "0123456789ABCDEFGHJKMNPQRSTVWXYZ";

    private static final int CODE_SIGNS = 6;

    private Secrets() {}

    /** {@return a token of 256 random bits} */
    public static String token() {
        byte[] random = new byte[TOKEN_BYTES];
        RANDOM.nextBytes(random);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(random);
    }

    /** {@return a code of 30 random bits, as it is written on a board} */
    static String code() {
        StringBuilder code = new StringBuilder();
        for (int i = 0; i < CODE_SIGNS; i++) {
            code.append(SIGNS.charAt(RANDOM.nextInt(SIGNS.length())));
        }
        return code.toString();
    }

    /** A code as it may be typed: signs that look like digits are digits, what parts it is left out. */
    static String typed(String code) {
        String signs = code.toUpperCase(Locale.ROOT)
                .replaceAll("[\\s\\p{Pd}.]", "")
                .replace('O', '0')
                .replace('I', '1')
                .replace('L', '1');
        return signs.length() > 2 * CODE_SIGNS ? signs.substring(0, 2 * CODE_SIGNS) : signs;
    }

    /** Whether two secrets are the same, told in the same time whatever they differ in. */
    public static boolean same(String one, String other) {
        return MessageDigest.isEqual(one.getBytes(StandardCharsets.UTF_8), other.getBytes(StandardCharsets.UTF_8));
    }
}
