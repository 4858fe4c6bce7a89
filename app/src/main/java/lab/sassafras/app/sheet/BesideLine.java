package lab.sassafras.app.sheet;

import java.util.List;
import java.util.Optional;
import lab.sassafras.app.record.Entry;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.presentation.Presentation;
import lab.sassafras.presentation.Typeset;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.substance.Reference;
import lab.sassafras.verdict.Agreement;
import lab.sassafras.verdict.Interval;
import lab.sassafras.verdict.Reduction;
import lab.sassafras.verdict.Sample;

/**
 * What an entry gives to be laid beside others: the result of its first sample.
 *
 * @param entry        it is of
 * @param what         it is of: only results of one thing lie beside each other
 * @param unit         of the result
 * @param result       of its first sample
 * @param interval     of it, as its own page prints it
 * @param written      the same, written
 * @param presentation how the entry writes its numbers
 * @param reference    it is judged by, if any
 * @param equation     what happened; empty where nothing tells
 */
public record BesideLine(
        Entry entry,
        String what,
        BenchUnit unit,
        Estimate result,
        Interval interval,
        Presentation.Written written,
        Presentation presentation,
        Optional<Reference> reference,
        List<Typeset.Piece> equation) {

    /** Empty where the entry has no result yet. */
    static Optional<BesideLine> of(EntrySheet sheet) {
        Reduction reduction = sheet.reduction();
        return reduction.result().map(result -> {
            Sample first = reduction.samples().get(0);
            Optional<Reference> reference = reduction.agreement(first).map(Agreement::reference);
            return new BesideLine(
                    sheet.entry(),
                    what(reduction, reference),
                    reduction.unit(),
                    result,
                    first.interval().orElseThrow(),
                    reduction.writing().written(first).orElseThrow(),
                    reduction.presentation(),
                    reference,
                    reduction.happened().equation().map(Typeset::of).orElse(List.of()));
        });
    }

    private static String what(Reduction reduction, Optional<Reference> reference) {
        Optional<String> vessel = reduction.sheet().experiment().calorimeter() == Calorimeter.Use.FINDS_CONSTANT
                ? reduction.sheet().setting().calorimeter().map(Calorimeter::name)
                : Optional.empty();
        return vessel.or(() -> reduction.happened().equation().map(equation -> equation.text()))
                .or(() -> reference.map(Reference::name))
                .filter(what -> !what.isEmpty())
                .orElseGet(reduction::unknown);
    }
}
