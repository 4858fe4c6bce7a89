package lab.sassafras.convention;

import java.util.List;

/** Questions somebody brings, found by the service loader. */
public interface ConventionQuestions {

    /** {@return the questions, in the order they are shown} */
    List<ConventionQuestion<?>> questions();
}
