package lab.sassafras.verdict;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import lab.sassafras.experiment.PossibleCause;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/**
 * Planted causes, by a physics of the tests ({@link Mishaps}), are found again: a seeded sample of what {@code ./bench
 * causes} does for every cause of every experiment. Usual sizes are common practice, no source.
 */
@Tag("long")
class CausesTest {

    private static List<Mishaps.Kind> some() {
        return Mishaps.kinds().stream()
                .filter(each -> List.of(
                                "specific-heat-of-solid", "fusion-of-ice", "neutralization", "dissolving-equilibrium")
                        .contains(each.experiment()))
                .toList();
    }

    @Test
    void theTrueCauseStandsAmongTheFirstThreeAndItsSizeIsFound() {
        List<Causes.Judged> all = Causes.all(some(), 1, 3);
        assertThat(all).hasSizeGreaterThan(40);
        assertThat(all.stream().filter(each -> each.place() <= 3).count())
                .as("%s", all)
                .isGreaterThanOrEqualTo((long) Math.ceil(0.85 * all.size()));
        assertThat(all.stream().filter(Causes.Judged::sized).count())
                .isGreaterThanOrEqualTo((long) Math.ceil(0.9 * all.size()));
    }

    @Test
    void noneIsBelievedBeyondItsUsualSize() {
        for (Mishaps.Kind kind : some().subList(0, 2)) {
            double property = kind.property();
            for (PossibleCause suspect : kind.experiments()) {
                Mishaps.of(kind, suspect, property, new Random(7))
                        .ifPresent(mishap -> assertThat(mishap.reduction().suspects())
                                .filteredOn(ExplainingSize::believed)
                                .filteredOn(each -> !each.suspect().measure().share()
                                        && each.suspect().cause() instanceof PossibleCause.Cause.Read
                                        && each.explains().isPresent())
                                .allSatisfy(each -> assertThat(Math.abs(
                                                        each.explains().getAsDouble())
                                                * each.suspect().measure().each())
                                        .isLessThanOrEqualTo(each.suspect().most() * (1 + 1e-8))));
            }
        }
    }

    /** Solids weighed less, whatever the reason: one row, whose size is the same. */
    @Test
    void causesThatMoveTheSameNumberAreSaidTogether() {
        Mishaps.Kind salt = Mishaps.kinds().stream()
                .filter(each -> each.experiment().equals("heat-of-solution"))
                .findFirst()
                .orElseThrow();
        PossibleCause moist = salt.experiments().stream()
                .filter(each -> each.key().equals("moist"))
                .findFirst()
                .orElseThrow();
        List<ExplainingSize.Row> rows = ExplainingSize.rows(Mishaps.of(salt, moist, salt.property(), new Random(1))
                .orElseThrow()
                .reduction()
                .suspects());
        assertThat(rows)
                .anySatisfy(row -> assertThat(List.of(
                                row.first().suspect().key(),
                                row.tied().isEmpty()
                                        ? ""
                                        : row.tied().get(0).suspect().key()))
                        .containsExactlyInAnyOrder("moist", "impure"))
                .allSatisfy(row -> assertThat(row.tied()).hasSizeLessThan(Ties.MOST));
    }
}
