package lab.sassafras.measure;

/** How the error of an input is spread, which random draws need beside its standard uncertainty. */
public enum Shape {
    /** Bell-shaped: a stated or combined uncertainty; Student's where its degrees of freedom are few. */
    NORMAL,
    /** Anywhere within one last digit with the same right: a rounded reading (JCGM 101:2008, 6.4.2). */
    RECTANGULAR
}
