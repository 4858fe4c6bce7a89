package lab.sassafras.measure;

import java.util.List;

/** Units an experiment brings, found by the service loader and put in the list once. */
public interface OwnUnits {

    /** {@return those units, of each dimension the one numbers are computed in first} */
    List<BenchUnit> units();
}
