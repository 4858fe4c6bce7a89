package lab.sassafras.simulate;

/** What changes each second. Whatever leaves one lump comes to another, so that nothing is lost. */
public final class Rates {

    private double[] each = {};

    Rates into(double[] derivative) {
        each = derivative;
        java.util.Arrays.fill(derivative, 0);
        return this;
    }

    /**
     * Heat goes over.
     *
     * @param from  where it leaves
     * @param to    where it comes
     * @param watts how much (W)
     */
    public void heat(Lump from, Lump to, double watts) {
        each[from.at()] -= watts;
        each[to.at()] += watts;
    }

    /**
     * Matter goes over with what it holds.
     *
     * @param from     where it leaves, as {@code was}
     * @param was      what it is there
     * @param to       where it comes
     * @param as       what it is there
     * @param amount   each second (g/s)
     * @param enthalpy it takes along (J/g)
     */
    public void carry(Lump from, Matter was, Lump to, Matter as, double amount, double enthalpy) {
        each[from.of(was)] -= amount;
        each[to.of(as)] += amount;
        heat(from, to, amount * enthalpy);
    }

    /**
     * Matter becomes another where it is; its enthalpy stays.
     *
     * @param in     where
     * @param from   what it was
     * @param to     what it is then
     * @param amount each second (g/s)
     */
    public void turn(Lump in, Matter from, Matter to, double amount) {
        each[in.of(from)] -= amount;
        each[in.of(to)] += amount;
    }

    /**
     * Something happens where reagents are.
     *
     * @param in    where
     * @param what  it is
     * @param moles each second (mol/s)
     */
    public void happen(Lump in, Matter what, double moles) {
        each[in.of(what)] += moles;
    }
}
