package lab.sassafras.app.notebook;

import java.util.List;
import java.util.stream.Stream;
import lab.sassafras.account.Solution;
import lab.sassafras.app.chart.StripPicture;
import lab.sassafras.app.sheet.Clocks;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.curve.Told;
import lab.sassafras.presentation.Presentation;
import lab.sassafras.presentation.Presentation.Written;
import lab.sassafras.slot.Address;
import lab.sassafras.verdict.Reduction;

/**
 * What a curve tells in which nothing is mixed, such as where a sample melts.
 *
 * @param found the unknown and what else follows, with their ±; none where the curve tells nothing
 * @param why   it tells nothing; empty where it does
 * @param lines laid through the readings
 */
public record CurveTold(List<Found> found, String why, List<StripPicture.Line> lines) {

    /**
     * A number that follows from it.
     *
     * @param label   in words
     * @param written with its ±
     */
    public record Found(String label, Written written) {}

    static CurveTold of(EntrySheet entry, int trial, Reduction reduction) {
        Address place = Clocks.place(entry, trial);
        return new CurveTold(
                reduction.trials().get(trial - 1).solution().stream()
                        .flatMap(solution -> found(solution, trial, reduction))
                        .toList(),
                Clocks.untold(entry, trial).orElse(""),
                entry.sheet()
                        .curves()
                        .told(place)
                        .filter(Told.Numbers.class::isInstance)
                        .map(numbers -> lines(entry, place, (Told.Numbers) numbers))
                        .orElse(List.of()));
    }

    private static Stream<Found> found(Solution solution, int trial, Reduction reduction) {
        Presentation presentation = reduction.presentation();
        return Stream.concat(
                Stream.of(new Found(reduction.unknown(), presentation.written(solution.estimate(), reduction.unit()))),
                solution.derived().stream()
                        .filter(each -> each.estimate().finite())
                        .map(each -> new Found(
                                each.derived().label(),
                                presentation.written(
                                        each.estimate(),
                                        reduction
                                                .writing()
                                                .interval(trial, each)
                                                .half(),
                                        each.derived().unit()))));
    }

    private static List<StripPicture.Line> lines(EntrySheet entry, Address place, Told.Numbers numbers) {
        return numbers.drawn().stream()
                .map(each -> new StripPicture.Line(
                        each.key(),
                        each.line(),
                        entry.experiment().words().get(place.path() + "." + each.key() + ".drawn")))
                .toList();
    }
}
