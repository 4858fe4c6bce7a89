package lab.sassafras.measure;

import java.util.regex.Pattern;

/** What people may call things: short enough to be read, and made of signs that can be seen. */
public final class Names {

    /** Control and format signs (among them the ones that turn the direction of writing), and half characters. */
    private static final Pattern UNSEEN = Pattern.compile("[\\p{Cc}\\p{Cf}\\p{Cs}\\p{Co}\\p{Cn}\\p{Zl}\\p{Zp}]");

    private static final Pattern SEEN = Pattern.compile("[\\p{L}\\p{N}\\p{P}\\p{S}]");

    private Names() {}

    /** Most characters of the name of a thing, a bench or a person. */
    public static final int LONGEST = 60;

    /**
     * {@return a name as it will be kept: without blanks around it}
     *
     * @param typed   as typed
     * @param what    what is named, as the subject of a sentence, such as “A title”
     * @param longest most characters
     * @throws Refused where it is empty, too long, or holds what nobody can see
     */
    public static String checked(String typed, String what, int longest) {
        String name = typed == null ? "" : typed.strip();
        if (name.isEmpty()) {
            throw new Refused(what + " is missing. Type at least one letter or digit.");
        }
        int length = name.codePointCount(0, name.length());
        if (length > longest || name.length() > 2 * longest) {
            throw new Refused(what + " has at most " + longest + " characters; this one has " + length + ".");
        }
        if (UNSEEN.matcher(name).find() || !SEEN.matcher(name).find()) {
            throw new Refused(
                    what + " holds signs that nobody can see, or nothing else. Type it with letters and digits.");
        }
        return name;
    }
}
