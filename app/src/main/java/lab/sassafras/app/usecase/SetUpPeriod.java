package lab.sassafras.app.usecase;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.convention.Conventions;
import lab.sassafras.measure.DecimalMark;
import lab.sassafras.measure.Names;
import lab.sassafras.measure.Refused;

/** Opens a lab period, and says which benches are in it and by which conventions it reckons. */
@UseCase(needs = Right.EVERYONE, serves = Bringer.DECIDING)
public class SetUpPeriod {

    /** Longest name of a bench. */
    public static final int LONGEST_NAME = 60;

    private final PeriodBook periodBook;

    SetUpPeriod(PeriodBook periodBook) {
        this.periodBook = periodBook;
    }

    /**
     * Opens a period.
     *
     * @param schools    conventions it departs from the usual in, by question
     * @param benchesOf another period whose benches it is to have
     */
    public Answer<Period> open(
            String title,
            LocalDate heldOn,
            ZoneId zone,
            DecimalMark mark,
            Map<String, String> schools,
            Optional<UUID> benchesOf) {
        return Answer.of(() -> {
            Period period = periodBook.open(title, heldOn, zone, mark, schools);
            benchesOf
                    .flatMap(periodBook::find)
                    .ifPresent(
                            other -> periodBook.benches(other).forEach(bench -> periodBook.join(period, bench.name())));
            return period;
        });
    }

    /** The bench of that name in a period, new or already there. */
    public Answer<Bench> join(Period period, String typed) {
        return Answer.of(() -> {
            if (typed.isBlank()) {
                throw new Refused("Give your bench a name, such as Hawthorn or Bench 4.");
            }
            return periodBook.join(period, name(typed));
        });
    }

    /** Many benches at once. */
    public Answer<Boolean> benches(Period period, List<String> names) {
        return Answer.of(() -> names.forEach(each -> periodBook.join(period, name(each))));
    }

    /** Calls a bench otherwise. */
    public Answer<Boolean> rename(Bench bench, String typed) {
        return Answer.of(() -> periodBook.rename(bench, name(typed)));
    }

    /** Takes a bench away that wrote nothing. */
    public Answer<Boolean> remove(Bench bench) {
        return Answer.of(() -> periodBook.remove(bench));
    }

    /** Settles the conventions of a period anew, while nothing was read in it. */
    public Answer<Boolean> settle(Period period, Map<String, String> schools) {
        return Answer.of(() -> {
            Conventions.unknown(schools).ifPresent(name -> {
                throw new Refused("There is no such convention: " + name + ".");
            });
            periodBook.settle(period, schools);
        });
    }

    private static String name(String typed) {
        return Names.checked(typed.strip(), "A bench name", LONGEST_NAME);
    }
}
