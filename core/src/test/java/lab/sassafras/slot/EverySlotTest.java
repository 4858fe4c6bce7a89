package lab.sassafras.slot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.Dimension;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Refused;
import lab.sassafras.sheet.Admission;
import lab.sassafras.sheet.Sheet;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** What cannot stand in a slot is refused in plain words, slot by slot, for every experiment. */
class EverySlotTest {

    static Stream<Arguments> slots() {
        return Experiments.all().stream()
                .flatMap(experiment -> experiment.groups().stream()
                        .flatMap(group -> group.slots().stream()
                                .map(slot -> Arguments.of(experiment.key(), group.key() + "/" + slot.key()))));
    }

    @ParameterizedTest(name = "{0} {1}")
    @MethodSource("slots")
    void nonsenseIsRefusedInPlainWords(String key, String path) {
        Experiment experiment = Experiments.find(key).orElseThrow();
        Slot slot = experiment.slot(path).orElseThrow();
        for (Role role : slot.roles()) {
            wrong(slot, role)
                    .forEach(given -> assertThatThrownBy(() -> accept(experiment, path, role, given))
                            .as(role + " " + given.text() + " " + given.unit())
                            .isInstanceOf(Refused.class)
                            .satisfies(refused -> assertThat(refused.getMessage())
                                    .isNotBlank()
                                    .doesNotContain("Exception", "null")
                                    .endsWith(".")));
        }
    }

    private static void accept(Experiment experiment, String path, Role role, GivenValue given) {
        new Admission(new Sheet(experiment, List.of(), Setting.plain(Figures.POINT)))
                .accept(Address.of(path, 1), role, given);
    }

    private static Stream<GivenValue> wrong(Slot slot, Role role) {
        if (slot.field() != Slot.Field.NUMBER) {
            return wrongWords(slot).map(text -> given(text, null));
        }
        String unit = slot.unit(role).orElseThrow().symbol();
        Dimension dimension = slot.unit(role).orElseThrow().dimension();
        Stream<GivenValue> always = Stream.of(
                given("", unit),
                given("warm", unit),
                given("1.2.3", unit),
                given("1e400", unit),
                given("NaN", unit),
                given("1,5", unit),
                given("1", ""),
                given("1", "furlong"),
                given("1", dimension.equals(Dimension.MASS) ? "°C" : "g"));
        Stream<GivenValue> below = dimension.floor().isPresent() ? Stream.of(given("-274", unit)) : Stream.empty();
        Stream<GivenValue> above = dimension.ceiling().stream()
                .mapToObj(ceiling -> given(Figures.POINT.plain(Math.nextUp((float) ceiling)), unit));
        return Stream.of(always, below, above).flatMap(each -> each);
    }

    private static Stream<String> wrongWords(Slot slot) {
        if (slot instanceof FormulaSlot) {
            return Stream.of("", "NaOHx", "Ca(OH", "stuff", "cs", "42");
        }
        if (slot instanceof EquationSlot) {
            return Stream.of(
                    "",
                    "salt and water",
                    "Zn(s) + Ag+(aq) -> Zn^2+(aq) + Ag(s)",
                    "Zn + Cu^2+ -> Zn^2+ + Ag",
                    "Zn(s) -> Zn(s) -> Zn(s)");
        }
        return slot.namesSample() ? Stream.of("", "  ", "x".repeat(41)) : Stream.of("", "nonsense");
    }

    private static GivenValue given(String text, String unit) {
        return new GivenValue(text, unit, Optional.empty(), "0.1", "Hawthorn");
    }
}
