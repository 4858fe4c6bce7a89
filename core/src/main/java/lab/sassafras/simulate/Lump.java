package lab.sassafras.simulate;

import java.util.List;

/** Something of one temperature: what a vessel holds, a solid, a wall, a probe, the room. */
public final class Lump {

    private final String name;
    private final List<Matter> matters;
    private final int at;
    private final double held;

    Lump(String name, List<Matter> matters, int at, double held) {
        this.name = name;
        this.matters = List.copyOf(matters);
        this.at = at;
        this.held = held;
    }

    /** {@return what it is called} */
    public String name() {
        return name;
    }

    /** Where its enthalpy stands; the amounts of its matters come after. */
    int at() {
        return at;
    }

    int size() {
        return 1 + matters.size();
    }

    int of(Matter matter) {
        int place = matters.indexOf(matter);
        if (place < 0) {
            throw new IllegalArgumentException(name + " never holds that");
        }
        return at + 1 + place;
    }

    /** {@return the matter it was made for} */
    public Matter first() {
        return matters.get(0);
    }

    List<Matter> matters() {
        return matters;
    }

    /** Whether it is so large that its temperature stands still, such as the room. */
    boolean still() {
        return Double.isFinite(held);
    }

    /** Its temperature, by Newton's method from where it was (°C). */
    double temperature(double[] state, double before) {
        if (still()) {
            return held;
        }
        double enthalpy = state[at];
        if (matters.size() == 1) {
            double amount = state[at + 1];
            return amount > 0 ? matters.get(0).temperature(enthalpy / amount) : before;
        }
        double temperature = Double.isFinite(before) ? before : 25;
        for (int i = 0; i < 50; i++) {
            double holds = 0;
            double capacity = 0;
            for (int k = 0; k < matters.size(); k++) {
                double amount = state[at + 1 + k];
                holds += amount * matters.get(k).enthalpy(temperature);
                capacity += amount * matters.get(k).capacity(temperature);
            }
            if (!(capacity > 0)) {
                return temperature;
            }
            double step = (enthalpy - holds) / capacity;
            temperature += step;
            if (Math.abs(step) < 1e-10) {
                break;
            }
        }
        return temperature;
    }
}
