package lab.sassafras.convention;

/** A way of dealing with the calorimeter. */
public interface CalorimeterTreatment extends School {

    /** Whether the calorimeter is a party of the account. */
    boolean counted();
}
