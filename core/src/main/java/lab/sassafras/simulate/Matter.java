package lab.sassafras.simulate;

import lab.sassafras.substance.LiquidWater;

/**
 * A kind of matter by the enthalpy one unit of it holds at each temperature. What becomes something else keeps its
 * enthalpy; that the other kind would hold more or less of it at this temperature is what cools or warms.
 */
public interface Matter {

    /** Water, its specific heat by temperature; nothing of it freezes or boils by itself. */
    Matter WATER = new Water();

    /**
     * {@return the enthalpy one unit of it holds (J/g)}
     *
     * @param temperature (°C)
     */
    double enthalpy(double temperature);

    /**
     * {@return what warms one unit of it by a degree (J/(g·°C))}
     *
     * @param temperature (°C)
     */
    double capacity(double temperature);

    /**
     * {@return its temperature where there is nothing else (°C)}
     *
     * @param enthalpy one unit of it holds (J/g)
     */
    default double temperature(double enthalpy) {
        double temperature = 25;
        for (int i = 0; i < 50; i++) {
            double step = (enthalpy - enthalpy(temperature)) / capacity(temperature);
            temperature += step;
            if (Math.abs(step) < 1e-11) {
                break;
            }
        }
        return temperature;
    }

    /**
     * {@return matter of one specific heat}
     *
     * @param specificHeat (J/(g·°C))
     * @param at25         the enthalpy one unit of it holds at 25 °C (J/g)
     */
    static Matter of(double specificHeat, double at25) {
        return new Matter() {
            @Override
            public double enthalpy(double temperature) {
                return at25 + specificHeat * (temperature - 25);
            }

            @Override
            public double capacity(double temperature) {
                return specificHeat;
            }
        };
    }

    /**
     * {@return matter of one specific heat, from 0 °C}
     *
     * @param specificHeat (J/(g·°C))
     */
    static Matter of(double specificHeat) {
        return of(specificHeat, 25 * specificHeat);
    }

    /**
     * {@return something that happened, counted in moles, with the enthalpy it leaves in what there is}
     *
     * @param heat of one mole (J/mol), negative where it warms
     */
    static Matter happened(double heat) {
        return new Matter() {
            @Override
            public double enthalpy(double temperature) {
                return heat;
            }

            @Override
            public double capacity(double temperature) {
                return 0;
            }
        };
    }

    /**
     * Matter that melts at one temperature. Liquid at its melting point holds what {@code liquidAt} says; a lump may
     * hold it alone.
     *
     * @param solid    specific heat (J/(g·°C))
     * @param meltsAt  (°C)
     * @param fusion   heat of fusion (J/g)
     * @param liquid   specific heat (J/(g·°C))
     * @param liquidAt the enthalpy one unit of it holds, just molten (J/g)
     */
    record Melting(double solid, double meltsAt, double fusion, double liquid, double liquidAt) implements Matter {

        @Override
        public double enthalpy(double temperature) {
            return temperature < meltsAt
                    ? liquidAt - fusion + solid * (temperature - meltsAt)
                    : liquidAt + liquid * (temperature - meltsAt);
        }

        @Override
        public double capacity(double temperature) {
            return temperature < meltsAt ? solid : liquid;
        }

        @Override
        public double temperature(double enthalpy) {
            double above = enthalpy - liquidAt;
            return above < -fusion
                    ? meltsAt + (above + fusion) / solid
                    : above < 0 ? meltsAt : meltsAt + above / liquid;
        }

        /** {@return how much of it is liquid, 0 to 1} */
        double molten(double enthalpy) {
            return Math.max(0, Math.min(1, (enthalpy - liquidAt + fusion) / fusion));
        }
    }

    /** Between whole degrees the specific heat goes straight, so that enthalpy and capacity belong together exactly. */
    final class Water implements Matter {

        private static final int LOWEST = 1;
        private static final int HIGHEST = 99;

        private final double[] heats = new double[HIGHEST + 1];
        private final double[] held = new double[HIGHEST + 1];

        private Water() {
            LiquidWater water = LiquidWater.specificHeat();
            for (int i = 0; i <= HIGHEST; i++) {
                heats[i] = water.value(Math.max(LiquidWater.LOWEST, i));
                held[i] = i == 0 ? 0 : held[i - 1] + (heats[i - 1] + heats[i]) / 2;
            }
        }

        @Override
        public double enthalpy(double temperature) {
            if (temperature < LOWEST) {
                return held[LOWEST] + (temperature - LOWEST) * heats[LOWEST];
            }
            int below = Math.min(HIGHEST - 1, (int) temperature);
            double past = temperature - below;
            return held[below] + past * (heats[below] + past * (heats[below + 1] - heats[below]) / 2);
        }

        @Override
        public double capacity(double temperature) {
            if (temperature < LOWEST) {
                return heats[LOWEST];
            }
            int below = Math.min(HIGHEST - 1, (int) temperature);
            return heats[below] + (temperature - below) * (heats[below + 1] - heats[below]);
        }
    }
}
