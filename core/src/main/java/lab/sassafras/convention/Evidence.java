package lab.sassafras.convention;

/** What the readings of an entry can tell schools apart by. */
public interface Evidence {

    /** Whether anything was got in this way. */
    boolean got(MassWay way);

    /** Whether every mass counts with the same readings under two ways. */
    boolean sameMasses(MassWay one, MassWay other);

    /** Whether the vessel has on record what a treatment of it needs; not where there is no vessel. */
    boolean vesselServes(CalorimeterTreatment.Needs needs);
}
