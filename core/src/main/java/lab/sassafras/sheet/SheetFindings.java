package lab.sassafras.sheet;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lab.sassafras.account.Finding;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.declaration.Bound;
import lab.sassafras.declaration.CommonPlaces;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Dimension;
import lab.sassafras.measure.Instrument;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Line;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Words;

/** What the lines of a sheet themselves give rise to, before any account is drawn up. */
public final class SheetFindings {

    private static final int CONFLICTS_NAMED = 4;

    private final Sheet sheet;
    private final Words words;

    private SheetFindings(Sheet sheet) {
        this.sheet = sheet;
        this.words = sheet.experiment().words();
    }

    /**
     * {@return what the lines give rise to}
     *
     * @param sheet what was read
     */
    public static List<Finding> of(Sheet sheet) {
        return new SheetFindings(sheet).all();
    }

    private List<Finding> all() {
        List<Finding> findings = new ArrayList<>(sheet.reservations());
        for (Line line : sheet.lines()) {
            sheet.experiment()
                    .slot(line.address().path())
                    .ifPresent(slot -> findings.addAll(slot.questions(line, label(line), sheet.setting())));
        }
        latePrediction().ifPresent(findings::add);
        sheet.places().addresses().forEach(address -> {
            outOfPlace(address).ifPresent(findings::add);
            conflict(address).ifPresent(findings::add);
            negativeDifference(address).ifPresent(findings::add);
        });
        twoThermometers().ifPresent(findings::add);
        corrected().forEach(findings::add);
        for (Bound bound : sheet.experiment().bounds()) {
            for (Line line : sheet.lines()) {
                if (crosses(sheet, bound, line)) {
                    findings.add(crossed(bound, line));
                }
            }
        }
        if (!sheet.experiment().caveats().isEmpty()) {
            sheet.lines().forEach(line -> caveat(line).ifPresent(findings::add));
        }
        return findings;
    }

    /** A prediction is one only as long as the final reading is not known. */
    private Optional<Finding> latePrediction() {
        Optional<Line> prediction = sheet.reading(CommonPlaces.PREDICTION, 1);
        Optional<Line> read = sheet.experiment().finalReading().flatMap(path -> sheet.reading(path, 1));
        return prediction
                .filter(line -> read.filter(last ->
                                sheet.lines().indexOf(last) < sheet.lines().indexOf(line))
                        .isPresent())
                .map(line -> Finding.note(
                                "prediction.late", "The prediction was recorded after the final temperature was read.")
                        .at(line.address().toString()));
    }

    /**
     * What stands for a trial, a part or a sample that the entry has not, as after two samples were found to be one.
     */
    private Optional<Finding> outOfPlace(Address address) {
        return sheet.places().stands(address)
                ? Optional.empty()
                : Optional.of(Finding.question(
                        "row.out-of-place",
                        words.label(address.path()) + " “"
                                + sheet.at(address).get(0).text() + "” stands as number " + address.index()
                                + ", which this entry has not"
                                + (sheet.places().firstOfSample(address.index()) == address.index()
                                        ? ""
                                        : ": trial " + address.index() + " is of the same sample as trial "
                                                + sheet.places().firstOfSample(address.index()))
                                + ". It stays recorded and is not used; strike it out where it is not wanted."));
    }

    private Optional<Finding> conflict(Address address) {
        if (sheet.at(address).size() < 2) {
            return Optional.empty();
        }
        Map<Role, List<Line>> byRole = sheet.at(address).stream().collect(Collectors.groupingBy(Line::role));
        return byRole.values().stream()
                .filter(lines -> lines.size() > 1)
                .findFirst()
                .map(lines -> Finding.question(
                                "reading.conflict",
                                (lines.size() == 2 ? "Two" : String.valueOf(lines.size())) + " values stand for "
                                        + words.label(address.path()) + ": "
                                        + lines.stream()
                                                .limit(CONFLICTS_NAMED)
                                                .map(line -> line.text() + " (" + line.who() + ")")
                                                .collect(Collectors.joining(" and "))
                                        + (lines.size() > CONFLICTS_NAMED ? " and others" : "")
                                        + ". " + (lines.size() == 2 ? "Both" : "All")
                                        + " are kept; the last is used until one is struck out.")
                        .at(address.toString()));
    }

    private Optional<Finding> negativeDifference(Address address) {
        return sheet.weighing(address)
                .difference()
                .filter(mass -> mass < 0
                        && sheet.places().stands(address)
                        && sheet.weighing(address)
                                .roleThatCounts(sheet.setting().conventions().in(ConventionQuestion.MASS))
                                .filter(Role::half)
                                .isPresent())
                .map(mass -> Finding.refuse(
                                "reading.negative-mass",
                                words.label(address.path())
                                        + " comes out negative: full is less than empty. Correct one of the two "
                                        + "readings.")
                        .at(address.toString()));
    }

    private Optional<Finding> twoThermometers() {
        Set<String> names = new LinkedHashSet<>();
        sheet.lines()
                .forEach(line -> line.instrument()
                        .filter(instrument -> instrument.kind().dimension().equals(Dimension.TEMPERATURE))
                        .ifPresent(instrument -> names.add(instrument.name())));
        return names.size() < 2
                ? Optional.empty()
                : Optional.of(Finding.note(
                        "reading.two-thermometers",
                        "Temperatures were read on " + String.join(" and ", names)
                                + ". Their offsets do not cancel in a "
                                + "difference, and the uncertainty counts them. One thermometer for one "
                                + "difference is better."));
    }

    /** What an instrument's points of comparison made of what was typed: the first line that is moved tells. */
    private Stream<Finding> corrected() {
        Map<String, Line> first = new LinkedHashMap<>();
        sheet.lines().stream()
                .filter(line -> line.role() != Role.ASSUMED)
                .forEach(line -> line.instrument()
                        .filter(each -> !each.correction().points().isEmpty())
                        .ifPresent(each -> first.putIfAbsent(each.key(), line)));
        return first.values().stream().map(line -> {
            Instrument instrument = line.instrument().orElseThrow();
            int points = instrument.correction().points().size();
            return Finding.note(
                    "reading.corrected",
                    "What was read on " + instrument.name() + " is corrected by the "
                            + (points == 1 ? "point" : points + " points") + " it was compared at"
                            + (instrument.correction().piecewise(instrument.standardUncertainty())
                                    ? ", piece by piece"
                                    : "")
                            + ": " + sheet.setting().figures().typed(line.text()) + " counts as "
                            + sheet.setting().figures().fixed(line.measured().value(), Math.max(0, line.decimals()) + 1)
                            + " " + instrument.unit().symbol() + ". What was typed stays as it is.");
        });
    }

    /** Whether a reading of a trial lies outside of what it can be. */
    static boolean crosses(Sheet sheet, Bound bound, Line line) {
        return line.address().path().equals(bound.path())
                && (line.value() < bound.low() || line.value() > bound.high())
                && bound.when()
                        .map(condition -> sheet.stated(
                                        condition.path(), line.address().index())
                                .filter(condition.answers()::contains)
                                .isPresent())
                        .orElse(true);
    }

    private Finding crossed(Bound bound, Line line) {
        return Finding.question(
                        "reading.cannot-be",
                        label(line) + ", " + sheet.setting().figures().typed(line.text()) + " "
                                + line.unit().map(BenchUnit::symbol).orElse("") + ": "
                                + words.get("bound." + bound.key()))
                .at(line.address().toString());
    }

    private Optional<Finding> caveat(Line line) {
        return sheet.experiment().caveats().stream()
                .filter(each -> each.path().equals(line.address().path())
                        && each.answer().equals(line.text())
                        && each.unless()
                                .filter(path -> sheet.filled(
                                        Address.of(path, line.address().index())))
                                .isEmpty())
                .findFirst()
                .map(each -> new Finding(
                        each.voids() ? Finding.Grade.REFUSE : Finding.Grade.NOTE,
                        "caveat." + each.answer(),
                        words.get("caveat." + each.path() + "." + each.answer()),
                        line.address().toString()));
    }

    private String label(Line line) {
        String label = words.label(line.address().path());
        return Character.toUpperCase(label.charAt(0)) + label.substring(1);
    }
}
