package lab.sassafras.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Account;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.convention.Conventions;
import lab.sassafras.declaration.Group;
import lab.sassafras.declaration.Step;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.GivenValue;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Setting;
import lab.sassafras.slot.Slots;
import lab.sassafras.slot.Words;
import org.junit.jupiter.api.Test;

/** One half of a weighing at the beginning, the other long after. */
class HalvesTest {

    /** A dish weighed empty, something done, the dish weighed full. */
    private static final class Dish implements Experiment {

        @Override
        public String key() {
            return "dish";
        }

        @Override
        public int method() {
            return 1;
        }

        @Override
        public Words words() {
            return Words.plain("Dish", "A dish.");
        }

        @Override
        public Calorimeter.Use calorimeter() {
            return Calorimeter.Use.NONE;
        }

        @Override
        public List<Group> groups() {
            return List.of(Group.perTrial("dish", Slots.mass("sand"), Slots.temperature("done")));
        }

        @Override
        public List<Step> procedure() {
            return List.of(
                    Step.empty("dish/sand"),
                    Step.of("dish/done"),
                    Step.full("dish/sand").taking(5));
        }

        @Override
        public Input unknown() {
            return new Input("unknown", Symbol.of("x"), "x", BenchUnit.GRAMS);
        }

        @Override
        public List<ConventionQuestion<?>> conventions() {
            return List.of();
        }

        @Override
        public List<Account> accounts(Sheet sheet, Conventions conventions) {
            return List.of();
        }
    }

    private static final Address SAND = Address.of("dish/sand", 1);

    private static Sheet sheet(Role... given) {
        SheetEditing filling = new SheetEditing(new Dish(), Setting.plain(Figures.POINT));
        for (Role role : given) {
            String text = role == Role.TARE ? "120.0" : "180.0";
            filling.take(role, SAND, role, new GivenValue(text, "g", Optional.empty(), null, "Alder"));
        }
        return filling.sheet();
    }

    private static List<Boolean> done(Sheet sheet) {
        return sheet.tasks().asks(1).stream().map(sheet.tasks()::done).toList();
    }

    @Test
    void eachStepIsDoneWhenItsOwnHalfStands() {
        assertThat(done(sheet())).containsExactly(false, false, false);
        assertThat(done(sheet(Role.TARE))).containsExactly(true, false, false);
        assertThat(done(sheet(Role.GROSS))).containsExactly(false, false, true);
        assertThat(done(sheet(Role.TARE, Role.GROSS))).containsExactly(true, false, true);
        assertThat(sheet(Role.TARE, Role.GROSS).weighing(SAND).difference()).contains(60.0);
    }

    /** Weighed at once after zeroing, neither half is wanted any more. */
    @Test
    void aDirectReadingFillsBothSteps() {
        assertThat(done(sheet(Role.READ))).containsExactly(true, false, true);
        assertThat(sheet(Role.READ).tasks().asks(1).get(2).step().minutes()).isEqualTo(5);
    }
}
