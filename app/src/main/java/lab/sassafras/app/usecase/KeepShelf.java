package lab.sassafras.app.usecase;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.people.Right;
import lab.sassafras.app.plans.AllowedStrength;
import lab.sassafras.app.plans.HazardSheet;
import lab.sassafras.app.plans.KeptPlan;
import lab.sassafras.app.plans.PlanBook;
import lab.sassafras.app.plans.PlanFile;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.shelf.Calibration;
import lab.sassafras.app.shelf.Calorimeters;
import lab.sassafras.app.shelf.Instruments;
import lab.sassafras.app.shelf.OwnReference;
import lab.sassafras.app.shelf.OwnReferences;
import lab.sassafras.app.shelf.OwnSubstance;
import lab.sassafras.app.shelf.OwnSubstances;
import lab.sassafras.app.shelf.Supplies;
import lab.sassafras.app.shelf.Supply;
import lab.sassafras.app.shelf.Vessel;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Names;
import lab.sassafras.measure.Refused;
import lab.sassafras.slot.VesselKind;

/** Adds to the shelf and the prep room, calls what stands there otherwise, and says what of it may be used. */
@UseCase(needs = Right.RUN_HOUSE, serves = Bringer.DECIDING)
public class KeepShelf {

    private final Calorimeters calorimeters;
    private final Instruments instruments;
    private final OwnSubstances own;
    private final OwnReferences references;
    private final PlanBook plans;
    private final Supplies supplies;

    KeepShelf(
            Calorimeters calorimeters,
            Instruments instruments,
            OwnSubstances own,
            OwnReferences references,
            PlanBook plans,
            Supplies supplies) {
        this.supplies = supplies;
        this.plans = plans;
        this.references = references;
        this.calorimeters = calorimeters;
        this.instruments = instruments;
        this.own = own;
    }

    /** Keeps a plan, as a copy of another where it is one. */
    @Needs(Right.LEAD)
    public Answer<KeptPlan> plan(UUID id, PlanFile plan, Optional<UUID> copyOf, Actor actor) {
        return Answer.of(() -> plans.keep(id, plan, copyOf, actor.name()));
    }

    /** Sets what a bottle’s safety data sheet says beside what is remembered. */
    @Needs(Right.LEAD)
    public Answer<HazardSheet> confirm(String substance, String signal, String statements, String sheet, Actor actor) {
        return Answer.of(() -> plans.confirm(substance, signal, statements, sheet, actor.name()));
    }

    /** Allows acids and bases of plans up to a strength (mol/L). */
    @Needs(Right.LEAD)
    @Noted("allowed another strength of acids and bases")
    public Answer<AllowedStrength> allow(double strongest, Actor actor) {
        return Answer.of(() -> plans.allow(strongest, actor.name()));
    }

    /** Counts a bottle, or pieces of gear. */
    @Needs(Right.LEAD)
    public Answer<Supply> count(Map<String, String> typed, Actor actor) {
        return Answer.of(() -> supplies.count(Supply.Given.typed(typed), actor.name()));
    }

    /** Adds vessels of one kind, all of them or none. Refused where one of that name and kind is here already. */
    public Answer<List<Vessel>> vessels(List<String> names, VesselKind kind) {
        return Answer.of(() -> {
            List<String> here = names.stream()
                    .filter(name ->
                            calorimeters.find(name, kind).isPresent() || names.indexOf(name) != names.lastIndexOf(name))
                    .distinct()
                    .toList();
            if (!here.isEmpty()) {
                throw new Refused((here.size() == 1 ? "There is one called " : "There are some called ")
                        + String.join(", ", here)
                        + " already. Two of one name cannot be told apart: call the new one otherwise.");
            }
            return calorimeters.add(names, kind);
        });
    }

    /** Adds an instrument; where one of its name and kind is here already, that is asked first. */
    public Answer<Instrument> instrument(Instrument instrument, boolean sure) {
        boolean doubled = instruments.offered(List.of()).stream()
                .anyMatch(each ->
                        each.kind().equals(instrument.kind()) && each.name().equals(instrument.name()));
        return doubled && !sure
                ? new Answer.Asked<>("There is a " + instrument.kind().word() + " called " + instrument.name()
                        + " already. Is this the same one, compared anew? Then add it, and retire the old one.")
                : Answer.of(() -> instruments.add(instrument));
    }

    /** Adds a value of one's own. */
    public Answer<OwnSubstance> own(OwnSubstance.Given given, Actor actor) {
        return Answer.of(() -> own.add(given, actor.name()));
    }

    /** Strikes a value of one's own out, or takes it up again. */
    public Answer<Boolean> decide(OwnSubstance substance, String outcome, String reason, Actor actor) {
        return Answer.of(() -> own.decide(substance, outcome, why(reason), actor.name()));
    }

    /** Says whether a constant may be used for new entries. */
    public Answer<Boolean> decide(Calibration constant, String outcome, String reason, Actor actor) {
        return Answer.of(() -> calorimeters.decide(constant, outcome, why(reason), actor.name()));
    }

    /** Calls a vessel or an instrument otherwise, from now on and in what was written before. */
    public Answer<Boolean> rename(UUID thing, String name, Actor actor) {
        return Answer.of(
                () -> calorimeters.rename(thing, Names.checked(name.strip(), "A name", Names.LONGEST), actor.name()));
    }

    /** Retires a vessel or an instrument, which is then read and not offered any more, or brings it back. */
    public Answer<Boolean> retire(UUID thing, String outcome, String reason, Actor actor) {
        return Answer.of(() -> calorimeters.retire(thing, outcome, why(reason), actor.name()));
    }

    /** Puts a constant on the shelf that is known from elsewhere, such as a label or a year before. */
    public Answer<Calibration> constant(Vessel vessel, KnownConstant known, Optional<UUID> seen, Actor actor) {
        return Answer.of(() -> calorimeters.adopt(
                vessel,
                Optional.empty(),
                Measured.independent(known.value(), known.uncertainty()),
                known.fill(),
                new Calibration.Adoption(
                        known.widthGiven() ? "typed" : "typed, ± half a unit of its last figure",
                        actor.name(),
                        Names.checked(known.source(), "A source", Reason.LONGEST)),
                seen));
    }

    /**
     * A constant known from elsewhere.
     *
     * @param value       (J/°C)
     * @param uncertainty standard uncertainty (J/°C)
     * @param widthGiven  whether somebody gave it
     * @param fill        water it holds for (g)
     * @param source      where it is from
     */
    public record KnownConstant(double value, double uncertainty, boolean widthGiven, double fill, String source) {}

    /** Gives what a result should be, in the key of unknowns: of a sample by its name, in every period. */
    @Noted("put a sample into the key")
    public Answer<OwnReference> intoKey(OwnReference.Given given, Actor actor) {
        return Answer.of(() -> {
            if (given.sample().isEmpty()) {
                throw new Refused("Say what the sample is called, such as “Unknown 3”: the key goes by that.");
            }
            return references.add(Optional.empty(), given, actor.name());
        });
    }

    /** The same in a period: of a sample by its name, or of whatever the experiment finds there. */
    @Needs(Right.LEAD)
    @Noted("gave a period its own reference")
    public Answer<OwnReference> intoPeriod(Period period, OwnReference.Given given, Actor actor) {
        return Answer.of(() -> references.add(Optional.of(period), given, actor.name()));
    }

    /** Strikes one of the key out. */
    public Answer<Boolean> strikeFromKey(OwnReference reference, String reason, Actor actor) {
        return Answer.of(() -> {
            if (reference.periodId().isPresent()) {
                throw new Refused("That reference is of a period; it is struck out there.");
            }
            references.strike(reference, why(Reason.checked(reason, "Say why it is struck out.")), actor.name());
        });
    }

    /** Strikes one of a period out. */
    @Needs(Right.LEAD)
    public Answer<Boolean> strikeFromPeriod(Period period, OwnReference reference, String reason, Actor actor) {
        return Answer.of(() -> {
            if (!reference.periodId().equals(Optional.of(period.id()))) {
                throw new Refused("That reference is not of this period.");
            }
            references.strike(reference, why(Reason.checked(reason, "Say why it is struck out.")), actor.name());
        });
    }

    private static String why(String reason) {
        return Names.checked(reason, "A reason", Reason.LONGEST);
    }
}
