package lab.sassafras.app.runfile;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import lab.sassafras.curve.Reading;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.DecimalMark;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Slot;

/**
 * A run as a file told it, checked. Names inside (instruments, observations, references) are the file's own.
 *
 * @param experiment   what kind of run
 * @param method       the method version it was reduced with
 * @param shelf        the reference shelf version it was reduced with
 * @param period       the lab period
 * @param bench        name of the bench
 * @param begun        when the entry was begun
 * @param conventions  schools that differ from the period's, for this entry alone
 * @param instruments  by the file's name for them
 * @param calorimeter  the vessel with the constant it is pinned to
 * @param calorimeters other vessels single trials used, by the file's name for them
 * @param defaults     instruments proposed for readings, by kind
 * @param inHand       instruments taken in hand at a place, in order
 * @param trials       how many trials were opened
 * @param parts        how many parts of each repeated group
 * @param observations all that was typed, in order, struck-out ones among them
 * @param decisions    trials left out or counted again, in order
 * @param notes        what was seen, in words, in order
 * @param references   other runs this one draws on, by the file's name for them
 * @param traces       readings on a clock, by the file's name for them
 * @param newer        the later minor version it was written by, whose additions were not read; empty where there is
 *                     none
 * @param combination  what makes the result of the trials; empty for what the experiment usually does
 * @param paper        that it was copied from paper, and by whom; empty where it was not
 * @param simulated    whether it was run at the simulated bench
 */
public record Run(
        Experiment experiment,
        int method,
        int shelf,
        InPeriod period,
        String bench,
        Instant begun,
        Map<String, String> conventions,
        Map<String, Instrument> instruments,
        Optional<Calorimeter> calorimeter,
        Map<String, Calorimeter> calorimeters,
        Map<InstrumentKind, String> defaults,
        List<Held> inHand,
        int trials,
        Map<String, Integer> parts,
        List<Observed> observations,
        List<Decided> decisions,
        List<Noted> notes,
        Map<String, Run> references,
        String combination,
        Optional<RunFile.PaperPart> paper,
        boolean simulated,
        Map<String, Clocked> traces,
        String newer) {

    /** Whether an observation names another run, a vessel or readings on a clock. */
    public boolean namesElsewhere(Observed each) {
        return !each.text().isEmpty()
                && experiment
                        .slot(Address.read(each.at()).path())
                        .flatMap(Slot::elsewhere)
                        .isPresent();
    }

    public record InPeriod(
            String title, LocalDate date, ZoneId zone, DecimalMark mark, Map<String, String> conventions) {}

    /** What was seen, in words. */
    public record Noted(String text, String who, Instant when) {}

    /** An instrument taken in hand at a place. */
    public record Held(String place, String instrument, String who, Instant when) {}

    public record Observed(
            String id,
            String at,
            Role role,
            String text,
            Optional<String> unit,
            Optional<String> instrument,
            Optional<String> uncertainty,
            String who,
            Instant when,
            Optional<String> supersedes,
            Optional<String> reason,
            String path) {}

    /** Readings on a clock. */
    public record Clocked(
            Optional<String> instrument,
            double every,
            Instant begun,
            List<Timed> readings,
            List<Double> room,
            List<RunFile.AsidePart> setAside,
            List<RunFile.AsidePart> counted,
            Optional<String> readFor,
            String source,
            BenchUnit unit) {

        /** Those that count: of two at one instant the later, and none that was set aside or can never have been. */
        List<Reading> counting() {
            Set<Double> aside =
                    setAside.stream().map(RunFile.AsidePart::seconds).collect(Collectors.toSet());
            Map<Double, Timed> last = new TreeMap<>();
            readings.forEach(each -> last.put(each.seconds(), each));
            return last.values().stream()
                    .filter(each -> !aside.contains(each.seconds()))
                    .map(each -> new Reading(each.seconds(), each.temperature()))
                    .filter(Reading::possible)
                    .toList();
        }

        int impossible() {
            return (int) readings.stream()
                    .filter(each -> !new Reading(each.seconds(), each.temperature()).possible())
                    .count();
        }
    }

    /** One reading on a clock, with its text where a person typed it. */
    public record Timed(double seconds, double temperature, Optional<String> text) {}

    public record Decided(int trial, String outcome, String reason, String who) {}
}
