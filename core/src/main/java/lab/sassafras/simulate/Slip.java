package lab.sassafras.simulate;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;

/** What goes wrong at the simulated bench, on request. */
public enum Slip {
    /** Water clings to what is transferred and comes along. */
    CARRIED("carried", "water was transferred with the sample"),
    /** Some of what was weighed splashes out before both come together. */
    SPLASH("splash", "some of the liquid splashed out"),
    /** The lid stays off. */
    LID_OFF("lid-off", "the lid was left off"),
    /** A part does not dissolve, and nobody sees it. */
    UNDISSOLVED("undissolved", "a part did not dissolve"),
    /** What is transferred cools on its way. */
    LATE_TRANSFER("late-transfer", "the transfer took too long"),
    /** Ice that is not dried, steam that carries droplets. */
    DAMP("damp", "it was damp"),
    /** The wick stays open before and after. */
    WICK_OPEN("wick-open", "fuel evaporated from the open wick"),
    /** A part of the fuel becomes soot. */
    SOOT("soot", "a part became soot"),
    /** The wrong bottle was taken. */
    WRONG_BOTTLE("wrong-bottle", "the wrong bottle was taken"),
    /** The mark of the mixing comes late. */
    MARK_LATE("mark-late", "the mixing was marked late"),
    /** The mixing is not marked at all. */
    MARK_FORGOTTEN("mark-forgotten", "the mixing was not marked"),
    /** The cup is another than the one whose constant is used. */
    OTHER_CUP("other-cup", "the constant belongs to another cup"),
    /** Two digits of a mass are exchanged as it is written down. */
    DIGITS("digits", "two digits were exchanged"),
    /** A hydrate was taken for what is written. */
    HYDRATE("hydrate", "it was a hydrate"),
    /** The probe touches what is hot or cold as both come together. */
    SPIKE("spike", "the probe touched what was hot or cold"),
    /** Some readings of the thermometer do not come. */
    DROP_OUTS("drop-outs", "readings dropped out");

    /** What may happen to any thermometer, whatever is played. */
    private static final Set<Slip> OF_THERMOMETERS = Set.of(SPIKE, DROP_OUTS);

    private final String key;
    private final String words;

    Slip(String key, String words) {
        this.key = key;
        this.words = words;
    }

    /** {@return stable name, as it is stored} */
    public String key() {
        return key;
    }

    /**
     * {@return what may go wrong as a scene is played}
     *
     * @param scene which
     */
    public static Set<Slip> in(Scene scene) {
        Set<Slip> all = EnumSet.copyOf(OF_THERMOMETERS);
        all.addAll(scene.slips());
        return all;
    }

    /** {@return what happened, in words} */
    public String words() {
        return words;
    }

    /**
     * {@return the slip of that name; empty for an unknown one}
     *
     * @param key stable name
     */
    public static Optional<Slip> of(String key) {
        return Arrays.stream(values()).filter(each -> each.key.equals(key)).findFirst();
    }
}
