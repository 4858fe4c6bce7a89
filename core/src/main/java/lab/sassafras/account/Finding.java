package lab.sassafras.account;

/**
 * Something the reader must know, in plain words.
 *
 * @param grade   how much it weighs
 * @param code    stable name, for files and tests
 * @param message what is the matter and what to do
 * @param about   address of the slot it belongs to; empty for the whole account
 */
public record Finding(Grade grade, String code, String message, String about) {

    /** Refuse: no number can be given. Question: saved, but implausible. Note: worth knowing. */
    public enum Grade {
        REFUSE,
        QUESTION,
        NOTE;

        public String word() {
            return name().toLowerCase(java.util.Locale.ROOT);
        }
    }

    public static Finding refuse(String code, String message) {
        return new Finding(Grade.REFUSE, code, message, "");
    }

    public static Finding question(String code, String message) {
        return new Finding(Grade.QUESTION, code, message, "");
    }

    public static Finding note(String code, String message) {
        return new Finding(Grade.NOTE, code, message, "");
    }

    public Finding at(String address) {
        return new Finding(grade, code, message, address);
    }
}
