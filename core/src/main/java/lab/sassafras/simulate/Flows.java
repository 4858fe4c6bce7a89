package lab.sassafras.simulate;

import java.util.List;
import java.util.Map;
import java.util.function.DoubleSupplier;

/** What goes on at a bench. */
public final class Flows {

    /** What is left of a grain is none any more (g). */
    private static final double CRUMB = 1e-4;
    /** Molten water leaves the ice within about this time (s). No source. */
    private static final double DRAINS = 0.5;

    private Flows() {}

    /**
     * {@return heat that goes from what is warmer to what is colder (Newton)}
     *
     * @param one         of them
     * @param other       of them
     * @param conductance asked again and again, since stirring and lids change it (W/°C)
     */
    public static Flow exchange(Lump one, Lump other, DoubleSupplier conductance) {
        return (now, rates) -> {
            double difference = now.temperature(one) - now.temperature(other);
            if (Double.isFinite(difference)) {
                rates.heat(one, other, conductance.getAsDouble() * difference);
            }
        };
    }

    /**
     * {@return water that evaporates from an open surface, taking its heat of vaporization along}
     *
     * <p>Vapour pressure by Magnus’ formula; heat of vaporization 2501 − 2.36 T J/g. Both from memory of common use.
     *
     * @param from     where
     * @param room     where it goes, as water
     * @param humidity of the room, 0 to 1
     * @param open     asked again and again: g/s for each hPa
     */
    public static Flow evaporation(Lump from, Lump room, double humidity, DoubleSupplier open) {
        return (now, rates) -> {
            double at = now.temperature(from);
            double dry = pressure(at) - humidity * pressure(now.temperature(room));
            if (dry > 0 && now.amount(from, Matter.WATER) > 0) {
                rates.carry(
                        from,
                        Matter.WATER,
                        room,
                        Matter.WATER,
                        open.getAsDouble() * dry,
                        Matter.WATER.enthalpy(at) + 2501 - 2.36 * at);
            }
        };
    }

    private static double pressure(double temperature) {
        return 6.112 * Math.exp(17.62 * temperature / (243.12 + temperature));
    }

    /**
     * {@return power that comes from elsewhere, until an instant}
     *
     * @param mains where it comes from
     * @param to    where it goes
     * @param watts asked again and again (W)
     * @param until (s)
     */
    public static Flow heater(Lump mains, Lump to, DoubleSupplier watts, double until) {
        return new Flow() {
            @Override
            public void acts(Now now, Rates rates) {
                rates.heat(mains, to, watts.getAsDouble());
            }

            @Override
            public double left(Now now) {
                return until - now.seconds();
            }
        };
    }

    /**
     * {@return grains that shrink as they dissolve, their surface going by the two-thirds power of what is left}
     *
     * @param world    as it is, the grains in it
     * @param in       where
     * @param grains   they are
     * @param becomes  what they become
     * @param takes    about so long, stirred (s)
     * @param share    of them that dissolves at all; the rest stays at the bottom
     * @param stirring 1 where it is stirred well, less where not
     */
    public static Flow dissolving(
            World world, Lump in, Matter grains, Matter becomes, double takes, double share, DoubleSupplier stirring) {
        double first = world.amount(in, grains) * share;
        double rest = world.amount(in, grains) - first;
        return new Flow() {
            @Override
            public void acts(Now now, Rates rates) {
                double left = Math.max(0, now.amount(in, grains) - rest) / first;
                rates.turn(in, grains, becomes, 3 * first / takes * Math.cbrt(left * left) * stirring.getAsDouble());
            }

            @Override
            public double left(Now now) {
                return now.amount(in, grains) - rest - CRUMB * first;
            }

            @Override
            public void ends(World then) {
                then.turn(in, grains, becomes, then.amount(in, grains) - rest);
            }
        };
    }

    /**
     * {@return something that happens as fast as what limits it lets it}
     *
     * @param in      where
     * @param what    happens
     * @param moles   in all, once it is over (mol)
     * @param takes   time constant (s)
     * @param surface whether grains that shrink limit it, rather than what is dissolved
     */
    public static Flow reaction(Lump in, Matter what, double moles, DoubleSupplier takes, boolean surface) {
        return new Flow() {
            @Override
            public void acts(Now now, Rates rates) {
                double left = Math.max(0, 1 - now.amount(in, what) / moles);
                rates.happen(in, what, moles / takes.getAsDouble() * (surface ? 3 * Math.cbrt(left * left) : left));
            }

            @Override
            public double left(Now now) {
                return 1 - CRUMB - now.amount(in, what) / moles;
            }

            @Override
            public void ends(World then) {
                then.happen(in, what, moles - then.amount(in, what));
            }
        };
    }

    /**
     * {@return ice in water: heat goes into it by its surface, and what is molten runs off; water below 0 °C freezes
     * onto it}
     *
     * @param world    as it is, the ice in it
     * @param ice      alone in its lump
     * @param matter   that it is
     * @param water    it floats in
     * @param exchange through the surface it had at first (W/°C)
     */
    public static Flow melting(World world, Lump ice, Matter.Melting matter, Lump water, DoubleSupplier exchange) {
        double first = world.amount(ice, matter);
        return new Flow() {
            @Override
            public void acts(Now now, Rates rates) {
                double mass = Math.max(0, now.amount(ice, matter));
                double surface = Math.cbrt(mass / first * (mass / first));
                double at = now.temperature(ice);
                if (mass > 0 && Double.isFinite(at)) {
                    rates.heat(water, ice, exchange.getAsDouble() * surface * (now.temperature(water) - at));
                    double molten = matter.molten(now.enthalpy(ice) / mass);
                    rates.carry(
                            ice,
                            matter,
                            water,
                            Matter.WATER,
                            mass * molten / DRAINS,
                            matter.enthalpy(matter.meltsAt()));
                    double below = matter.meltsAt() - now.temperature(water);
                    if (below > 0) {
                        double freezes = 0.05 * first * below;
                        rates.carry(
                                water,
                                Matter.WATER,
                                ice,
                                matter,
                                freezes,
                                Matter.WATER.enthalpy(now.temperature(water)));
                    }
                }
            }

            @Override
            public double left(Now now) {
                return now.amount(ice, matter) - CRUMB * first;
            }

            @Override
            public void ends(World then) {
                then.pour(ice, water, 1, Map.of(matter, Matter.WATER));
            }
        };
    }

    /**
     * {@return something burning at a rate, its heat going to several places by shares}
     *
     * @param fuel   where it is
     * @param matter that burns
     * @param gone   what it becomes, holding nothing
     * @param heat   one gram gives (J/g)
     * @param each   burnt each second (g/s)
     * @param to     where the heat goes, by shares that come to 1
     */
    public static Flow flame(Lump fuel, Matter matter, Matter gone, double heat, DoubleSupplier each, List<Share> to) {
        return (now, rates) -> {
            double burnt = now.amount(fuel, matter) > 0 ? each.getAsDouble() : 0;
            rates.turn(fuel, matter, gone, burnt);
            to.forEach(share -> rates.heat(fuel, share.to(), burnt * heat * share.share()));
        };
    }

    /**
     * A part of a flame's heat.
     *
     * @param to    where it goes
     * @param share of the whole, 0 to 1
     */
    public record Share(Lump to, double share) {}

    /**
     * {@return vapour led into water, where all of it condenses}
     *
     * @param boiler  it comes from
     * @param into    the water
     * @param holds   what one gram of it holds (J/g)
     * @param wet     share of it that is droplets at its temperature
     * @param droplet what one gram of those holds (J/g)
     * @param each    g/s
     */
    public static Flow condensing(
            Lump boiler, Lump into, double holds, double wet, double droplet, DoubleSupplier each) {
        return (now, rates) -> rates.carry(
                boiler, Matter.WATER, into, Matter.WATER, each.getAsDouble(), (1 - wet) * holds + wet * droplet);
    }
}
