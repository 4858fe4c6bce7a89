package lab.sassafras.plan;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import lab.sassafras.convention.Convention;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.convention.Conventions;
import lab.sassafras.experiment.Experiment;

/**
 * The schools a plan is reckoned by: those that are wished for, but where one asks for more than a plan has, such as a
 * curve that is still to be read, the usual one.
 *
 * @param conventions it is reckoned by
 * @param otherwise   what is wished for and cannot be reckoned beforehand, in words
 */
public record Reckoning(Conventions conventions, List<String> otherwise) {

    /**
     * Keeps a copy of what could change.
     *
     * @param conventions it is reckoned by
     * @param otherwise   what is wished for and cannot be reckoned beforehand, in words
     */
    public Reckoning {
        otherwise = List.copyOf(otherwise);
    }

    /**
     * {@return by what an experiment is reckoned}
     *
     * @param of      the experiment
     * @param schools wished for, by question; every one of them known
     */
    public static Reckoning of(Experiment of, Map<String, String> schools) {
        Conventions wished = Conventions.of(schools);
        Map<String, String> by = new LinkedHashMap<>(schools);
        List<String> otherwise = new ArrayList<>();
        for (ConventionQuestion<?> question : of.conventions()) {
            Convention school = wished.in(question);
            if (!of.neededBy(question, school).isEmpty()) {
                by.remove(question.key());
                otherwise.add(question.words() + ": " + school.words());
            }
        }
        return new Reckoning(Conventions.of(by), otherwise);
    }
}
