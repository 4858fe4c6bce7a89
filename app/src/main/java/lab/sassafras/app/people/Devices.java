package lab.sassafras.app.people;

import java.util.List;

/** What a browser says of itself, in words a person knows: never more than system and kind. */
public final class Devices {

    private static final int LONGEST = 80;

    private record Named(String part, String word) {}

    private static final List<Named> SYSTEMS = List.of(
            new Named("iPad", "tablet"),
            new Named("iPhone", "phone"),
            new Named("Mobile", "phone"),
            new Named("Android", "tablet"),
            new Named("CrOS", "laptop"),
            new Named("Windows", "computer"),
            new Named("Macintosh", "computer"),
            new Named("Linux", "computer"));

    private Devices() {}

    /** {@return the kind of a device by what its browser says} */
    public static String inWords(String userAgent) {
        return SYSTEMS.stream()
                .filter(each -> userAgent.contains(each.part()))
                .findFirst()
                .map(Named::word)
                .orElse("device");
    }

    static String shortened(String device) {
        return device.length() > LONGEST ? device.substring(0, LONGEST) : device;
    }
}
