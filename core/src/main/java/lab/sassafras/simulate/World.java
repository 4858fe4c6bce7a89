package lab.sassafras.simulate;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.DoubleStream;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BracketedUnivariateSolver;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.hipparchus.ode.ODEIntegrator;
import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.ODEStateAndDerivative;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.events.Action;
import org.hipparchus.ode.events.AdaptableInterval;
import org.hipparchus.ode.events.ODEEventDetector;
import org.hipparchus.ode.events.ODEEventHandler;
import org.hipparchus.ode.nonstiff.DormandPrince54Integrator;

/**
 * Lumps and what flows between them. Enthalpy is what is integrated, temperatures follow from it: a sum of enthalpies
 * is kept by every step (sums that stay are kept by any Runge–Kutta method), however coarse.
 */
public final class World {

    private static final double SHORTEST_STEP = 1e-9;
    private static final double LONGEST_STEP = 60;
    /** Of amounts and of enthalpies. */
    private static final double TOLERANCE = 1e-7;

    private static final double RELATIVE = 1e-9;
    /** No more flows end while time goes by once. */
    private static final int MOST_ENDS = 1_000;

    private final List<Lump> lumps = new ArrayList<>();
    private final List<Flow> flows = new ArrayList<>();
    private double[] state = {};
    private double seconds;

    /** What is told of everything as time goes by. */
    public interface Watcher {

        /**
         * Told at every sample.
         *
         * @param now how everything is
         */
        void sees(Now now);
    }

    List<Lump> lumps() {
        return lumps;
    }

    /** {@return time since everything began (s)} */
    public double seconds() {
        return seconds;
    }

    /**
     * {@return a new lump that holds nothing yet}
     *
     * @param name    it is called
     * @param matters it may hold, ever
     */
    public Lump lump(String name, Matter... matters) {
        return add(new Lump(name, List.of(matters), state.length, Double.NaN));
    }

    /**
     * {@return a lump that holds something}
     *
     * @param name        it is called
     * @param matter      all it ever holds
     * @param amount      of it (g)
     * @param temperature it has (°C)
     */
    public Lump lump(String name, Matter matter, double amount, double temperature) {
        Lump lump = lump(name, matter);
        put(lump, matter, amount, temperature);
        return lump;
    }

    /**
     * {@return a lump of one heat capacity}
     *
     * @param name        it is called
     * @param capacity    (J/°C)
     * @param temperature it has (°C)
     */
    public Lump solid(String name, double capacity, double temperature) {
        return lump(name, Matter.of(1), capacity, temperature);
    }

    /**
     * {@return what is so large that its temperature stands still}
     *
     * @param name        it is called
     * @param temperature it has (°C)
     * @param matters     that may come to it
     */
    public Lump still(String name, double temperature, Matter... matters) {
        return add(new Lump(name, List.of(matters), state.length, temperature));
    }

    private Lump add(Lump lump) {
        lumps.add(lump);
        state = Arrays.copyOf(state, state.length + lump.size());
        return lump;
    }

    /**
     * Goes on from now until it ends.
     *
     * @param flow what does
     */
    public void flow(Flow flow) {
        flows.add(flow);
    }

    /**
     * Goes on no more.
     *
     * @param flow what did
     */
    public void stop(Flow flow) {
        flows.remove(flow);
    }

    /** {@return how everything is} */
    public Now now() {
        return new Now(this, lumps.size()).at(seconds, state);
    }

    /**
     * {@return its temperature (°C)}
     *
     * @param lump which
     */
    public double temperature(Lump lump) {
        return now().temperature(lump);
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
     * {@return everything a lump holds (g)}
     *
     * @param lump which
     */
    public double mass(Lump lump) {
        return DoubleStream.of(Arrays.copyOfRange(state, lump.at() + 1, lump.at() + lump.size()))
                .sum();
    }

    /** {@return the enthalpy of everything there is, the room and the mains too (J)} */
    public double enthalpy() {
        return lumps.stream().mapToDouble(each -> state[each.at()]).sum();
    }

    /**
     * Puts matter into a lump, out of nowhere.
     *
     * @param lump        which
     * @param matter      of what
     * @param amount      how much (g)
     * @param temperature it has (°C)
     */
    public void put(Lump lump, Matter matter, double amount, double temperature) {
        state[lump.of(matter)] += amount;
        state[lump.at()] += amount * matter.enthalpy(temperature);
    }

    /**
     * Pours a part of what a lump holds into another, with what it holds.
     *
     * @param from  which
     * @param into  the other
     * @param share of it, 0 to 1
     * @param as    what each matter is there, where it is another; the same where none is named
     */
    public void pour(Lump from, Lump into, double share, Map<Matter, Matter> as) {
        for (Matter each : from.matters()) {
            double amount = share * state[from.of(each)];
            state[from.of(each)] -= amount;
            state[into.of(as.getOrDefault(each, each))] += amount;
        }
        double enthalpy = share * state[from.at()];
        state[from.at()] -= enthalpy;
        state[into.at()] += enthalpy;
    }

    /**
     * A part of what a lump holds is lost, out of all there is.
     *
     * @param from  which
     * @param share of it, 0 to 1
     */
    public void spill(Lump from, double share) {
        for (int i = from.at(); i < from.at() + from.size(); i++) {
            state[i] *= 1 - share;
        }
    }

    /**
     * Pours all of it.
     *
     * @param from which
     * @param into the other
     */
    public void pour(Lump from, Lump into) {
        pour(from, into, 1, Map.of());
    }

    /** What is one matter becomes another where it is; its enthalpy stays. */
    void turn(Lump in, Matter from, Matter to, double amount) {
        state[in.of(from)] -= amount;
        state[in.of(to)] += amount;
    }

    /** Something happens. */
    void happen(Lump in, Matter what, double moles) {
        state[in.of(what)] += moles;
    }

    /**
     * Lets time go by.
     *
     * @param until (s)
     */
    public void run(double until) {
        run(until, Double.POSITIVE_INFINITY, any -> {});
    }

    /**
     * Lets time go by, looked at in equal steps.
     *
     * @param until   (s)
     * @param every   seconds between two looks, the first after one step (s)
     * @param watcher who looks
     */
    public void run(double until, double every, Watcher watcher) {
        double looks = seconds + every;
        for (int ends = 0; until - seconds > SHORTEST_STEP && ends < MOST_ENDS; ends++) {
            looks = step(until, looks, every, watcher);
        }
    }

    /** One stretch of time in which nothing ends. @return when is looked next (s) */
    private double step(double until, double looks, double every, Watcher watcher) {
        ODEIntegrator integrator = new DormandPrince54Integrator(SHORTEST_STEP, LONGEST_STEP, TOLERANCE, RELATIVE);
        List<Flow> over = new ArrayList<>();
        Now now = new Now(this, lumps.size());
        Now seen = new Now(this, lumps.size());
        for (Flow each : List.copyOf(flows)) {
            if (each.left(now.at(seconds, state)) <= 0) {
                over.add(each);
            } else {
                integrator.addEventDetector(new Ending(each, seen, over));
            }
        }
        if (over.isEmpty()) {
            double[] next = {looks};
            integrator.addStepHandler(interpolator -> {
                double to = interpolator.getCurrentState().getTime();
                for (; next[0] <= to + SHORTEST_STEP; next[0] += every) {
                    double at = Math.min(next[0], to);
                    watcher.sees(seen.at(
                            next[0], interpolator.getInterpolatedState(at).getPrimaryState()));
                }
            });
            Rates rates = new Rates();
            ODEStateAndDerivative last = integrator.integrate(
                    new OrdinaryDifferentialEquation() {
                        @Override
                        public int getDimension() {
                            return state.length;
                        }

                        @Override
                        public double[] computeDerivatives(double time, double[] y) {
                            double[] derivative = new double[y.length];
                            now.at(time, y);
                            rates.into(derivative);
                            flows.forEach(each -> each.acts(now, rates));
                            return derivative;
                        }
                    },
                    new ODEState(seconds, state),
                    until);
            state = last.getPrimaryState();
            seconds = last.getTime();
            looks = next[0];
        }
        flows.removeAll(over);
        over.forEach(each -> each.ends(this));
        return looks;
    }

    /** That a flow ends. */
    private static final class Ending implements ODEEventDetector {

        private final Flow flow;
        private final Now now;
        private final List<Flow> over;

        Ending(Flow flow, Now now, List<Flow> over) {
            this.flow = flow;
            this.now = now;
            this.over = over;
        }

        @Override
        public AdaptableInterval getMaxCheckInterval() {
            return (at, forward) -> LONGEST_STEP;
        }

        @Override
        public int getMaxIterationCount() {
            return 100;
        }

        @Override
        public BracketedUnivariateSolver<UnivariateFunction> getSolver() {
            return new BracketingNthOrderBrentSolver(0, 1e-6, 0, 5);
        }

        @Override
        public ODEEventHandler getHandler() {
            return (at, detector, increasing) -> {
                over.add(flow);
                return Action.STOP;
            };
        }

        @Override
        public double g(ODEStateAndDerivative at) {
            return flow.left(now.at(at.getTime(), at.getPrimaryState()));
        }
    }
}
