package lab.sassafras.experiment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.Stream;
import lab.sassafras.account.Account;
import lab.sassafras.account.Solution;
import lab.sassafras.expression.Computation;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.measure.Measured;
import lab.sassafras.sheet.Aim;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.slot.Line;
import lab.sassafras.slot.Role;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Any input of an account may be sought, the result being given. */
class SoughtTest {

    static Stream<String> experiments() {
        return WorkedRuns.all().keySet().stream();
    }

    private static Account account(Sheet sheet) {
        return Experiments.declaring(sheet.experiment())
                .accounts(sheet, sheet.setting().conventions())
                .get(0);
    }

    private static Solution solved(Sheet sheet) {
        Solution.Outcome outcome = account(sheet).solve(sheet.bindings());
        assertThat(outcome.solution())
                .as(sheet.experiment().key() + " " + sheet.aim().sought() + " "
                        + sheet.aim().result() + " " + outcome.findings())
                .isPresent();
        return outcome.solution().orElseThrow();
    }

    /** Where an input enters a weight as well, which is alike while it is sought. */
    private static boolean weighs(String experiment) {
        return experiment.equals("heating-curve");
    }

    private static Sheet expecting(Sheet sheet, Line instead, double value) {
        return new Sheet(
                        sheet.experiment(),
                        sheet.lines().stream()
                                .filter(each -> !each.equals(instead))
                                .toList(),
                        sheet.setting())
                .supposing()
                .expecting(instead.address(), value, 0);
    }

    /**
     * Whatever was read follows from the result and all that was read beside it: put back, it gives that result. Where
     * an amount may be either side of the other reagent's, the smaller is found, and it need not be the one read.
     */
    @ParameterizedTest
    @MethodSource("experiments")
    void everyReadingFollowsFromTheResultAndTheOthers(String experiment) {
        Sheet sheet = WorkedRuns.all().get(experiment).sheet();
        Solution solution = solved(sheet);
        List<String> inputs = new Computation(solution.result(), solution.bindings())
                .inputs().stream().map(Input::key).toList();
        List<Line> read = sheet.lines().stream()
                .filter(line -> line.role() == Role.READ && inputs.contains(line.key()))
                .toList();
        assertThat(read).as("readings the result rests on").isNotEmpty();
        for (Line line : read) {
            double counts = line.measured().value();
            Sheet turned = sheet.supposing()
                    .seeking(line.address(), Measured.exact(solution.estimate().value()));
            assertThat(turned.aim().of(line.address())).isEqualTo(Aim.Known.SOUGHT);
            Solution found = solved(turned);
            assertThat(found.result().unit()).isEqualTo(line.unit().orElseThrow());
            Sheet back = expecting(sheet, line, found.estimate().value());
            assertThat(back.aim().of(line.address())).isEqualTo(Aim.Known.EXPECTED);
            assertThat(solved(back).estimate().value())
                    .as(line.address() + " = " + found.estimate().value() + ", read " + counts)
                    .isCloseTo(
                            solution.estimate().value(),
                            within(
                                    weighs(experiment)
                                            ? solution.estimate().uncertainty() / 2
                                            : 1e-6
                                                    * Math.abs(
                                                            solution.estimate().value())));
        }
    }
}
