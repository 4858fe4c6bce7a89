package lab.sassafras.measure;

/** How far a common source of error reaches: within it, several inputs share one and the same error. */
public enum Scope {
    /** The readings of one trial, such as a curve both temperatures were read from. Each trial has its own. */
    TRIAL,
    /** All trials of one entry, such as a density measured once. Another entry has its own. */
    ENTRY,
    /** Whatever draws on it anywhere, such as the offset of a thermometer. */
    EVERYWHERE
}
