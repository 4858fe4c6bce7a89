package lab.sassafras.app.bench;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import lab.sassafras.app.chart.ScalePicture;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Dimension;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Instrument;
import lab.sassafras.sheet.Tasks;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Line;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Slot;

/** The scales to lay under a figure being typed: one of each instrument it may be read on. */
final class Scales {

    private final EntrySheet entry;
    private final Address address;
    private final Slot slot;
    private final List<Instrument> instruments;
    private final Optional<Slot.Range> planned;

    /**
     * @param planned where a plan expects what is asked; empty where none does
     */
    Scales(EntrySheet entry, Tasks.Ask ask, List<Instrument> instruments, Optional<Slot.Range> planned) {
        this.planned = planned;
        this.entry = entry;
        this.address = ask.address();
        this.slot = entry.experiment().slot(address.path()).orElseThrow();
        this.instruments = instruments;
    }

    List<ScalePicture> pictures() {
        if (slot.field() != Slot.Field.NUMBER) {
            return List.of();
        }
        BenchUnit unit = slot.unit(Role.READ).orElseThrow();
        Figures figures = entry.entry().period().figures();
        List<ScalePicture.Mark> marks = marks(unit.dimension(), figures);
        return Stream.concat(
                        instruments.stream()
                                .filter(each -> each.kind().dimension().equals(unit.dimension())
                                        || slot.byVolume()
                                                && each.kind().dimension().equals(Dimension.VOLUME))
                                .map(each -> ScalePicture.of(
                                        each, new ScalePicture.Bands(slot.usual(), planned), marks, figures)),
                        slot.usual().stream()
                                .map(usual -> ScalePicture.about(usual, planned, unit.symbol(), marks, figures)))
                .toList();
    }

    /** What else was read of the same kind in this trial, and what stands in the same place in others. */
    private List<ScalePicture.Mark> marks(Dimension dimension, Figures figures) {
        return entry.sheet().lines().stream()
                .filter(line -> !line.role().half() && !line.address().equals(address))
                .filter(line -> line.unit()
                        .filter(unit -> unit.dimension().equals(dimension))
                        .isPresent())
                .filter(line -> line.address().index() == address.index()
                        || line.address().path().equals(address.path()))
                .map(line -> new ScalePicture.Mark(words(line, figures), line.value()))
                .toList();
    }

    private String words(Line line, Figures figures) {
        String text = figures.typed(line.text());
        return line.address().path().equals(address.path())
                ? "trial " + line.address().index() + " " + text
                : named(line) + " " + text;
    }

    /** What the sheet calls it, up to the first comma. */
    private String named(Line line) {
        String label = entry.experiment().words().label(line.address().path());
        int comma = label.indexOf(',');
        return comma < 0 ? label : label.substring(0, comma);
    }
}
