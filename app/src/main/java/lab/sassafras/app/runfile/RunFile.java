package lab.sassafras.app.runfile;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A run file as it is written: fields in this order, what is absent left out. Its version 2 may grow by fields, each
 * time by a minor number; {@code docs/run-file.md} says what each field is, and the schema beside it what may stand
 * there.
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record RunFile(
        String format,
        int version,
        @Nullable Integer minor,
        String experiment,
        int method,
        int shelf,
        PeriodPart period,
        String bench,
        String begun,
        @Nullable Map<String, String> conventions,
        @Nullable String combination,
        @Nullable PaperPart paper,
        @Nullable Boolean simulated,
        List<InstrumentPart> instruments,
        @Nullable CalorimeterPart calorimeter,
        @Nullable Map<String, CalorimeterPart> calorimeters,
        @Nullable List<String> defaults,
        @Nullable List<HandPart> inHand,
        int trials,
        @Nullable Map<String, Integer> parts,
        List<ObservationPart> observations,
        @Nullable List<DecisionPart> decisions,
        @Nullable List<NotePart> notes,
        @Nullable Map<String, RunFile> references,
        @Nullable Map<String, TracePart> traces) {

    public static final String FORMAT = "sassafras-run";
    public static final int VERSION = 2;
    public static final int MINOR = 7;

    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record PeriodPart(
            String title,
            String date,
            String zone,
            String decimalMark,
            @Nullable Map<String, String> conventions) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record InstrumentPart(
            String key,
            String name,
            String kind,
            double resolution,
            double low,
            double high,
            double offsetUncertainty,
            @Nullable Double readingUncertainty,
            @Nullable Double gain,
            @Nullable List<PointPart> points) {}

    public record PointPart(double reading, double actual, double uncertainty) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record CalorimeterPart(
            String name, String kind, @Nullable ConstantPart constant) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record ConstantPart(
            double value,
            double ownUncertainty,
            @Nullable Double degreesOfFreedom,
            double fill,
            String from,
            @Nullable List<SharePart> shares) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record SharePart(
            @Nullable String instrument,
            @Nullable String of,
            @Nullable String source,
            @Nullable String label,
            @Nullable Double uncertainty,
            @Nullable Double degreesOfFreedom,
            double sensitivity) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record ObservationPart(
            String id,
            String at,
            String role,
            String text,
            @Nullable String unit,
            @Nullable String instrument,
            @Nullable String uncertainty,
            String who,
            String when,
            @Nullable String supersedes,
            @Nullable String reason) {}

    /**
     * Readings on a clock, how often they come (s), each as its second and its temperature: a string where a person
     * typed it.
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record TracePart(
            @Nullable String instrument,
            Number every,
            String begun,
            List<TraceRow> readings,
            @Nullable List<Double> room,
            @Nullable List<AsidePart> setAside,
            @Nullable List<AsidePart> counted,
            @Nullable String readFor,
            @Nullable String source,
            @Nullable String unit) {}

    /** That an instrument was taken in hand at a place, empty for all of them, from when on. */
    public record HandPart(String place, String instrument, String who, String when) {}

    /** That the run was copied from paper. */
    public record PaperPart(String reason, String who) {}

    /** What somebody saw, in words. */
    public record NotePart(String text, String who, String when) {}

    /** A reading set aside. */
    public record AsidePart(double seconds, String reason, String who) {}

    public record DecisionPart(int trial, String outcome, String reason, String who) {}
}
