package lab.sassafras.experiment;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.math.BigDecimal;
import java.math.MathContext;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import lab.sassafras.slot.Role;
import org.junit.jupiter.api.Test;

/** The sizes at which errors are suspected stand in a document, and nobody changes one without the other. */
class CausesToldTest {

    private static final Path DOCUMENT = Path.of("../docs/causes.md");
    private static final String BEGIN = "| --- | --- | --- | --- |\n";

    @Test
    void theDocumentSaysWhichSizesAreBelieved() throws IOException {
        Map<String, TreeSet<String>> rows = new TreeMap<>();
        for (Experiment experiment : Experiments.all()) {
            experiment
                    .suspected()
                    .forEach(cause -> rows.computeIfAbsent(row(experiment, cause), any -> new TreeSet<>())
                            .add(experiment.key()));
        }
        StringBuilder made = new StringBuilder();
        rows.forEach((row, where) ->
                made.append(row).append(String.join(", ", where)).append(" |\n"));
        String written = Files.readString(DOCUMENT);
        if (Boolean.getBoolean("sassafras.write")) {
            Files.writeString(DOCUMENT, written.substring(0, written.indexOf(BEGIN) + BEGIN.length()) + made);
        }
        assertThat(Files.readString(DOCUMENT)).endsWith(BEGIN + made);
    }

    private static String row(Experiment experiment, PossibleCause cause) {
        String unit = unit(experiment, cause);
        boolean sized = Double.isFinite(cause.most()) && cause.most() > 0 && !unit.isEmpty();
        String either = cause.way() == PossibleCause.Sign.EITHER ? "± " : "";
        return "| " + experiment.words().get("suspect." + cause.key()) + " | "
                + (sized ? either + size(cause, Math.abs(cause.size()), unit) : "") + " | "
                + (sized ? size(cause, cause.most(), unit) : "") + " | ";
    }

    private static String size(PossibleCause cause, double size, String unit) {
        double counted = size / cause.measure().each() * (cause.measure().share() ? 100 : 1);
        return new BigDecimal(counted)
                        .round(new MathContext(3))
                        .stripTrailingZeros()
                        .toPlainString()
                + " " + unit;
    }

    private static String unit(Experiment experiment, PossibleCause cause) {
        if (cause.measure().share()) {
            return "%";
        }
        if (!cause.measure().unit().isEmpty()) {
            return cause.measure().unit();
        }
        if (cause.cause() instanceof PossibleCause.Cause.Heat) {
            return "J";
        }
        if (cause.cause() instanceof PossibleCause.Cause.AlongWith) {
            return "J/°C";
        }
        if (cause.cause() instanceof PossibleCause.Cause.Mark) {
            return "s";
        }
        if (cause.cause() instanceof PossibleCause.Cause.WithItsVessel) {
            return "g";
        }
        return cause.path()
                .flatMap(experiment::slot)
                .flatMap(slot -> slot.unit(Role.READ))
                .map(each -> each.symbol())
                .orElse("");
    }
}
