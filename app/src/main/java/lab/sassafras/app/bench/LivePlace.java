package lab.sassafras.app.bench;

import java.util.Optional;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.sheet.Clocks;
import lab.sassafras.app.sheet.EntrySheet;

/**
 * Where a live curve is looked at: at a trial of an entry, or at a bench whatever is begun there.
 *
 * @param bench it is of
 * @param entry it is looked at for; empty at a bench
 * @param trial of it
 */
public record LivePlace(Bench bench, Optional<EntrySheet> entry, int trial) {

    static LivePlace of(EntrySheet entry, int trial) {
        return new LivePlace(entry.entry().bench(), Optional.of(entry), trial);
    }

    static LivePlace of(Bench bench) {
        return new LivePlace(bench, Optional.empty(), 1);
    }

    Period period() {
        return entry.map(each -> each.entry().period()).orElseGet(bench::period);
    }

    /** The address of its page. */
    public String path() {
        return entry.map(each -> "/entries/" + each.entry().id() + "/live").orElse("/bench/live");
    }

    /** What its address says of the trial, and how more is added to it. */
    public String query() {
        return entry.isPresent() ? "?trial=" + trial : "?";
    }

    /** What it is called. */
    public String title() {
        return entry.map(each -> each.experiment().words().title()).orElse("The bench");
    }

    /** What the trial is made in; empty where nobody said. */
    public String vessel() {
        return entry.flatMap(EntrySheet::vessel).map(each -> each.name()).orElse("");
    }

    /** The slot whose time the mixing is; empty where none is to be marked. */
    Optional<String> moment() {
        return entry.filter(each -> !Clocks.toldWhole(each, trial))
                .flatMap(each -> each.experiment().mixing());
    }

    /** What the mixing is called on the curve. */
    String flag() {
        return entry.flatMap(each -> moment().map(each.experiment().words()::label))
                .orElse("mixed");
    }

    /** What is to be done at the mixing. */
    public String ask() {
        return entry.flatMap(each -> moment().map(each.experiment().words()::ask))
                .orElse("");
    }

    /** What to mind before it. */
    public String caution() {
        return entry.flatMap(each ->
                        moment().flatMap(each.experiment().words()::caution).map(period().figures()::sentence))
                .orElse("");
    }

    /** Whether two temperatures of the curve are asked for. */
    boolean taken() {
        return entry.filter(each -> each.experiment()
                        .span()
                        .filter(span -> each.experiment().slot(span.end()).isPresent())
                        .isPresent())
                .isPresent();
    }
}
