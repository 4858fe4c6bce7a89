package lab.sassafras.rehearse;

import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;

/**
 * Something that was prepared for an evening, and is used up in it.
 *
 * @param what  it is, in words
 * @param path  of the slot it is weighed or measured out for
 * @param each  of it, to a trial
 * @param unit  of the amounts
 * @param there is of it in all
 */
public record Stock(String what, String path, double each, String unit, double there) {

    /** A hand spills, rinses or begins anew up to this part of what it needs. No source. */
    private static final double LOST = 0.25;

    /**
     * Who found too little of it.
     *
     * @param second of the evening
     * @param bench  by name
     * @param lacked what of its amount was not there
     */
    public record Ran(int second, String bench, double lacked) {}

    /**
     * {@return when it ran out; empty where it did for all}
     *
     * @param acts of all benches, as they were done
     * @param seed what is lost follows from it
     */
    public Optional<Ran> out(List<Act> acts, long seed) {
        SplittableRandom drawn = new SplittableRandom(seed ^ path.hashCode());
        double left = there;
        for (Act act : acts) {
            if (act.place() > 0 && act.touch().path().equals(path)) {
                double takes = each * (1 + LOST * drawn.nextDouble());
                if (takes > left) {
                    return Optional.of(new Ran(act.second(), act.bench(), takes - left));
                }
                left -= takes;
            }
        }
        return Optional.empty();
    }
}
