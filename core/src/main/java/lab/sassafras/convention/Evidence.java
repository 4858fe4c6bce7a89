package lab.sassafras.convention;

/** What the readings of an entry can tell schools apart by. */
public interface Evidence {

    /**
     * {@return whether anything was got in this way}
     *
     * @param way how masses are got
     */
    boolean got(MassWay way);

    /**
     * {@return whether every mass counts with the same readings under two ways}
     *
     * @param one   one way
     * @param other another way
     */
    boolean sameMasses(MassWay one, MassWay other);

    /** {@return whether the change of some trial is read from readings on a clock} */
    boolean readOnAClock();

    /**
     * {@return whether the vessel has on record what a treatment of it needs; not where there is no vessel}
     *
     * @param needs what the treatment needs
     */
    boolean vesselServes(CalorimeterTreatment.Needs needs);
}
