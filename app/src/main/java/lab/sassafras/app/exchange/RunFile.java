package lab.sassafras.app.exchange;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.List;
import java.util.Map;

/**
 * A run file as it is written: fields in this order, what is absent left out. Its version 2 may grow by fields, each time
 * by a minor number; {@code docs/run-file.md} says what each field is, and the schema beside it what may stand there.
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
record RunFile(
        String format,
        int version,
        Integer minor,
        String experiment,
        int method,
        int shelf,
        PeriodPart period,
        String bench,
        String begun,
        Map<String, String> conventions,
        String combination,
        List<InstrumentPart> instruments,
        CalorimeterPart calorimeter,
        Map<String, CalorimeterPart> calorimeters,
        List<String> defaults,
        int trials,
        Map<String, Integer> parts,
        List<ObservationPart> observations,
        List<DecisionPart> decisions,
        Map<String, RunFile> references) {

    static final String FORMAT = "sassafras-run";
    static final int VERSION = 2;
    static final int MINOR = 0;

    @JsonInclude(JsonInclude.Include.NON_NULL)
    record PeriodPart(String title, String date, String zone, String decimalMark, Map<String, String> conventions) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    record InstrumentPart(
            String key,
            String name,
            String kind,
            double resolution,
            double low,
            double high,
            double offsetUncertainty,
            Double readingUncertainty) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    record CalorimeterPart(String name, String kind, ConstantPart constant) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    record ConstantPart(
            double value,
            double ownUncertainty,
            Double degreesOfFreedom,
            double fill,
            String from,
            List<SharePart> shares) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    record SharePart(
            String instrument,
            String source,
            String label,
            Double uncertainty,
            Double degreesOfFreedom,
            double sensitivity) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    record ObservationPart(
            String id,
            String at,
            String role,
            String text,
            String unit,
            String instrument,
            String uncertainty,
            String who,
            String when,
            String supersedes,
            String reason) {}

    record DecisionPart(int trial, String outcome, String reason, String who) {}
}
