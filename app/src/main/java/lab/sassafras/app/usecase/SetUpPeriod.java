package lab.sassafras.app.usecase;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.convention.Conventions;
import lab.sassafras.measure.DecimalMark;
import lab.sassafras.measure.Names;
import lab.sassafras.measure.Refused;

/** Opens a lab period, and says which benches are in it and by which conventions it reckons. */
@UseCase(needs = Right.EVERYONE, serves = Bringer.DECIDING)
public class SetUpPeriod {

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

    /**
     * Settles the conventions of a period anew. Once something was read in it that is a decision, with who takes it and
     * why; entries that depart from the period's conventions keep their own.
     */
    public Answer<Boolean> settle(Period period, Map<String, String> schools, String reason, Optional<Actor> actor) {
        return Answer.of(() -> {
            Conventions.unknown(schools).ifPresent(name -> {
                throw new Refused("There is no such convention: " + name + ".");
            });
            if (!periodBook.begun(period)) {
                periodBook.settle(period, schools, Map.of(), "", "");
                return;
            }
            String why = Reason.checked(
                    reason, "Say why the conventions are set anew: it stands beside every result that moves.");
            Actor who = actor.orElseThrow(
                    () -> new Refused("Join a bench first, so that it is known who sets the conventions anew."));
            Conventions was = Conventions.of(period.schools());
            Conventions is = Conventions.of(schools);
            Map<String, String> changed = new LinkedHashMap<>();
            ConventionQuestion.all().stream()
                    .filter(question ->
                            !was.in(question).key().equals(is.in(question).key()))
                    .forEach(question -> changed.put(
                            question.key(),
                            was.in(question).key() + ">" + is.in(question).key()));
            if (changed.isEmpty()) {
                throw new Refused("These are the conventions in use. Nothing was changed.");
            }
            periodBook.settle(period, schools, changed, why, who.name());
        });
    }

    private static String name(String typed) {
        return Names.checked(typed.strip(), "A bench name", Names.LONGEST);
    }
}
