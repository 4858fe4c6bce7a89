package lab.sassafras.app.usecase;

/** What whoever acts must be allowed. */
public enum Right {
    /** Everyone who is in the house. */
    EVERYONE
}
