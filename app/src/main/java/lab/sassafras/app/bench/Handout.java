package lab.sassafras.app.bench;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lab.sassafras.convention.Conventions;
import lab.sassafras.declaration.Cardinality;
import lab.sassafras.declaration.Step;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Setting;
import lab.sassafras.slot.Slot;
import lab.sassafras.slot.Words;

/**
 * How an experiment is done, step by step, with room to write: what is asked at the bench, from the same declarations.
 * It says nothing of what will come out.
 *
 * @param key   of the experiment
 * @param title in words
 * @param lead  what it is for
 * @param steps in the order of the work
 */
public record Handout(String key, String title, String lead, List<Row> steps) {

    /** So many answers are printed to be ringed; of more, one is written. */
    private static final int MOST_TO_RING = 6;

    /**
     * One step.
     *
     * @param ask     what is done
     * @param help    how it is done well; empty where nothing needs saying
     * @param caution what can hurt; empty where nothing does
     * @param when    the case it is only done in; empty where it is always
     * @param unit    what is written there is in; empty where it has none
     * @param answers to be ringed; none where something is written
     * @param once    whether it is written once, and not for every trial
     */
    public record Row(
            String ask, String help, String caution, String when, String unit, List<String> answers, boolean once) {}

    static Handout of(Experiment experiment, Conventions conventions, Figures figures) {
        Words words = experiment.words();
        Setting setting = Setting.plain(figures).with(conventions);
        return new Handout(
                experiment.key(),
                words.title(),
                words.get("lead"),
                experiment.procedure().stream()
                        .filter(step -> step.offer() != Step.Offer.EARLIER)
                        .filter(step -> step.under()
                                .map(under -> under.holds(conventions))
                                .orElse(true))
                        .map(step -> row(experiment, step, setting))
                        .toList());
    }

    private static Row row(Experiment experiment, Step step, Setting setting) {
        Words words = experiment.words();
        Figures figures = setting.figures();
        String path = step.path();
        Slot slot = experiment.slot(path).orElseThrow();
        Role role = step.half()
                .orElseGet(() -> Stream.of(Role.READ, Role.STATED)
                        .filter(slot.roles()::contains)
                        .findFirst()
                        .orElse(slot.roles().iterator().next()));
        boolean once = experiment
                .group(Address.of(path, 1).group())
                .filter(group -> group.cardinality() == Cardinality.ONCE)
                .isPresent();
        List<String> answers = slot.options(words, path, setting).stream()
                .map(Slot.Option::words)
                .toList();
        return new Row(
                Asking.ask(words, Address.of(path, 1), role),
                words.help(path).map(figures::sentence).orElse(""),
                words.caution(path).map(figures::sentence).orElse(""),
                when(experiment, step, slot),
                switch (slot.field()) {
                    case MOMENT -> "time";
                    case NUMBER -> slot.unit(role).map(BenchUnit::symbol).orElse("");
                    default -> "";
                },
                answers.size() > MOST_TO_RING ? List.of() : answers,
                once);
    }

    private static String when(Experiment experiment, Step step, Slot slot) {
        Words words = experiment.words();
        Optional<String> only = step.condition()
                .map(condition -> "only where " + words.label(condition.path()) + " is "
                        + condition.answers().stream()
                                .map(answer -> words.option(condition.path(), answer))
                                .collect(Collectors.joining(" or ")));
        return only.orElse(step.aside() ? "if you like" : slot.optional() ? "if known" : "");
    }
}
