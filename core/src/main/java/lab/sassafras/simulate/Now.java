package lab.sassafras.simulate;

/** How everything is at an instant. */
public final class Now {

    private final World world;
    private final double[] temperatures;
    private double seconds;
    private double[] state = {};

    Now(World world, int lumps) {
        this.world = world;
        this.temperatures = new double[lumps];
        java.util.Arrays.fill(temperatures, Double.NaN);
    }

    Now at(double time, double[] y) {
        seconds = time;
        state = y;
        for (int i = 0; i < temperatures.length; i++) {
            temperatures[i] = world.lumps().get(i).temperature(y, temperatures[i]);
        }
        return this;
    }

    /** {@return time since everything began (s)} */
    public double seconds() {
        return seconds;
    }

    /**
     * {@return its temperature (°C); NaN of what never held anything}
     *
     * @param lump which
     */
    public double temperature(Lump lump) {
        return temperatures[world.lumps().indexOf(lump)];
    }

    /**
     * {@return how much of a matter a lump holds (g, or mol of what happened)}
     *
     * @param lump   which
     * @param matter of it
     */
    public double amount(Lump lump, Matter matter) {
        return state[lump.of(matter)];
    }

    /**
     * {@return the enthalpy a lump holds (J)}
     *
     * @param lump which
     */
    public double enthalpy(Lump lump) {
        return state[lump.at()];
    }
}
