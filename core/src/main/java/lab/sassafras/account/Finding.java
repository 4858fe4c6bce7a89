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
        /** No number can be given. */
        REFUSE,
        /** Kept, but implausible. */
        QUESTION,
        /** Worth knowing. */
        NOTE;

        /** {@return what it is called in a sentence} */
        public String word() {
            return name().toLowerCase(java.util.Locale.ROOT);
        }
    }

    /**
     * {@return a finding that says why no number can be given}
     *
     * @param code    stable name, for files and tests
     * @param message what is the matter and what to do, in plain words
     */
    public static Finding refuse(String code, String message) {
        return new Finding(Grade.REFUSE, code, message, "");
    }

    /**
     * {@return a finding about something implausible}
     *
     * @param code    stable name, for files and tests
     * @param message what is the matter and what to do, in plain words
     */
    public static Finding question(String code, String message) {
        return new Finding(Grade.QUESTION, code, message, "");
    }

    /**
     * {@return a finding worth knowing}
     *
     * @param code    stable name, for files and tests
     * @param message what is the matter and what to do, in plain words
     */
    public static Finding note(String code, String message) {
        return new Finding(Grade.NOTE, code, message, "");
    }

    /**
     * {@return the same about a slot}
     *
     * @param address where it stands
     */
    public Finding at(String address) {
        return new Finding(grade, code, message, address);
    }
}
