package lab.sassafras.convention;

import java.util.List;

/** Questions somebody brings, found by the service loader. */
public interface Questions {

    /** {@return the questions, in the order they are shown} */
    List<Question<?>> questions();
}
