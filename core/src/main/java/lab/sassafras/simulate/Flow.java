package lab.sassafras.simulate;

/** Something that goes on: heat that is exchanged, matter that becomes another or goes elsewhere. */
public interface Flow {

    /**
     * Says what it does at an instant.
     *
     * @param now   how everything is
     * @param rates what changes, each second
     */
    void acts(Now now, Rates rates);

    /**
     * {@return what is left of it; as it falls through 0, {@link #ends} is told and it is over}
     *
     * @param now how everything is
     */
    default double left(Now now) {
        return 1;
    }

    /**
     * What happens at once as it ends, so that nothing of it remains.
     *
     * @param world it was in
     */
    default void ends(World world) {}
}
