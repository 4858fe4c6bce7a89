package lab.sassafras.slot;

import java.util.List;
import java.util.Optional;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Refused;

/** One of a few words. */
final class ChoiceSlot extends WordSlot {

    private final List<String> answers;
    private final List<String> earlier;

    ChoiceSlot(String key, List<String> answers, boolean optional) {
        this(key, answers, List.of(), optional);
    }

    /** @param earlier answers that are offered no longer, and read where they were given */
    ChoiceSlot(String key, List<String> answers, List<String> earlier, boolean optional) {
        super(key, optional);
        this.answers = List.copyOf(answers);
        this.earlier = List.copyOf(earlier);
    }

    @Override
    public Field field() {
        return Field.CHOICE;
    }

    @Override
    protected Optional<BenchUnit> unit() {
        return Optional.empty();
    }

    @Override
    protected void check(String text, Setting setting) {
        if (!answers.contains(text) && !earlier.contains(text)) {
            throw new Refused("“" + text + "” is not one of the answers: " + String.join(", ", answers) + ".");
        }
    }

    @Override
    public Optional<Measured> number(Line line, Setting setting) {
        return Optional.empty();
    }

    @Override
    public String spoken(String text, Telling telling) {
        return telling.words().find(telling.path() + "." + text).orElse(text);
    }

    @Override
    public List<Option> options(Words words, String path, Setting setting) {
        return answers.stream()
                .map(each -> new Option(each, words.option(path, each)))
                .toList();
    }
}
