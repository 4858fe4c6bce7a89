package lab.sassafras.declaration;

/** How often a group of slots stands in an entry. */
public enum Cardinality {
    /** Once for the whole entry. */
    ONCE,
    /** Once for each trial. */
    PER_TRIAL,
    /** Once for each sample, under the number of the first trial made with it. */
    PER_SAMPLE,
    /** As often as the bench says, counted for the group itself. */
    PER_PART
}
