package lab.sassafras.sheet;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.declaration.Cardinality;
import lab.sassafras.declaration.CommonPlaces;
import lab.sassafras.declaration.Declaration;
import lab.sassafras.declaration.Group;
import lab.sassafras.declaration.Step;
import lab.sassafras.slot.Address;
import lab.sassafras.substance.Hygroscopic;

/** What the steps of a sheet's experiment ask for, trial by trial: what is open, done, or must be ticked off first. */
public final class Tasks {

    private final Sheet sheet;
    private final Declaration experiment;

    Tasks(Sheet sheet) {
        this.sheet = sheet;
        this.experiment = sheet.experiment();
    }

    /**
     * One step at its address.
     *
     * @param step    what is done
     * @param address where its answer goes
     */
    public record Ask(Step step, Address address) {}

    /**
     * {@return the steps of one trial in order, each at its address; steps whose condition fails are left out}
     *
     * @param trial which trial, from 1
     */
    public List<Ask> asks(int trial) {
        return steps(trial).filter(ask -> !ask.step().aside() || done(ask)).toList();
    }

    /**
     * {@return what may be added to a trial and was not}
     *
     * @param trial which trial, from 1
     */
    public List<Ask> asides(int trial) {
        return steps(trial)
                .filter(ask -> ask.step().offer() == Step.Offer.ASIDE && !done(ask))
                .toList();
    }

    private Stream<Ask> steps(int trial) {
        return experiment.procedure().stream()
                .filter(step -> step.under()
                        .map(under -> under.holds(sheet.setting().conventions()))
                        .orElse(true))
                .flatMap(step -> {
                    Group group =
                            experiment.group(Address.of(step.path(), 1).group()).orElseThrow();
                    boolean each = group.cardinality() == Cardinality.PER_TRIAL
                            || group.cardinality() == Cardinality.PER_SAMPLE;
                    return sheet.places()
                            .indices(group)
                            .filter(index -> each ? index == trial : trial == 1)
                            .mapToObj(index -> Address.of(step.path(), index))
                            .filter(address -> asked(step, address))
                            .map(address -> new Ask(step, address));
                });
    }

    /**
     * {@return whether what a step asks for stands: its half of a weighing, or all its slot needs}
     *
     * @param ask the step at its address
     */
    public boolean done(Ask ask) {
        return ask.step()
                .half()
                .filter(half -> sheet.at(ask.address()).stream()
                        .allMatch(line -> line.role().half()))
                .map(half -> sheet.line(ask.address(), half).isPresent())
                .orElseGet(() -> sheet.filled(ask.address()));
    }

    private boolean asked(Step step, Address address) {
        if (step.path().equals(CommonPlaces.TRACE) && sheet.curves().driftTyped(address.index())) {
            return sheet.stated(address).isPresent();
        }
        boolean told = step.offer() == Step.Offer.EARLIER
                || sheet.curves().gives(address)
                || sheet.curves().ofTheChange(address)
                        && sheet.setting()
                                .conventions()
                                .in(ConventionQuestion.CHANGE)
                                .takesACurve()
                        && !sheet.curves().driftTyped(address.index());
        if (told && sheet.at(address).isEmpty()) {
            return false;
        }
        return step.condition()
                .map(condition -> {
                    Group group = experiment
                            .group(Address.of(condition.path(), 1).group())
                            .orElseThrow();
                    int index = group.cardinality() == Cardinality.ONCE ? 1 : address.index();
                    return sheet.stated(Address.of(condition.path(), index))
                            .filter(condition.answers()::contains)
                            .isPresent();
                })
                .orElse(true);
    }

    /**
     * What lies weighed and open to the air, pulling water from it.
     *
     * @param place where its mass stands
     * @param name  of the substance
     */
    public record Exposed(Address place, String name) {}

    /**
     * {@return what of a trial lies weighed and pulls water from the air until it is added; empty where nothing does}
     *
     * @param trial which trial, from 1
     */
    public Optional<Exposed> exposed(int trial) {
        boolean added = sheet.stated(CommonPlaces.TRACE, trial).isPresent()
                || experiment
                        .mixing()
                        .flatMap(path -> sheet.stated(path, trial))
                        .isPresent()
                || experiment
                        .finalReading()
                        .flatMap(path -> sheet.reading(path, trial))
                        .isPresent();
        return added
                ? Optional.empty()
                : experiment.procedure().stream()
                        .filter(step -> step.exposed().isPresent()
                                && sheet.reading(step.path(), trial).isPresent())
                        .flatMap(step -> step.exposed().flatMap(formula -> sheet.stated(formula, trial)).stream()
                                .flatMap(formula -> Hygroscopic.name(formula).stream())
                                .map(name -> new Exposed(sheet.address(step.path(), trial), name)))
                        .findFirst();
    }

    /**
     * {@return what must be ticked off before a step of a trial is taken, and is not; empty where it may be taken}
     *
     * @param step where it stands
     */
    public List<Address> unticked(Address step) {
        return experiment.tickedBefore().getOrDefault(step.path(), List.of()).stream()
                .map(path -> sheet.address(path, step.index()))
                .filter(address -> !sheet.filled(address))
                .toList();
    }
}
