package lab.sassafras.simulate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.Refused;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The physics of the simulated bench, against closed forms and results by hand. No published data set was found. */
class WorldTest {

    private static final Matter PLAIN = Matter.of(4);

    /** Newton’s law: what is warmer than the room by 30 °C is so by 30 e^(−kt/C). */
    @Test
    void aCupCoolsByNewton() {
        World world = new World();
        Lump cup = world.lump("cup", PLAIN, 100, 50);
        world.flow(Flows.exchange(cup, world.still("room", 20), () -> 0.5));
        world.run(600);
        assertThat(world.temperature(cup)).isCloseTo(20 + 30 * Math.exp(-0.5 * 600 / 400), within(1e-6));
    }

    /** Two bodies in touch: their difference falls by e^(−kt(1/C₁ + 1/C₂)), their common heat stays. */
    @Test
    void twoBodiesComeTogether() {
        World world = new World();
        Lump one = world.lump("one", PLAIN, 50, 80);
        Lump other = world.solid("other", 100, 20);
        world.flow(Flows.exchange(one, other, () -> 2));
        world.run(40);
        double apart = 60 * Math.exp(-2 * 40 * (1 / 200.0 + 1 / 100.0));
        assertThat(world.temperature(one) - world.temperature(other)).isCloseTo(apart, within(1e-6));
        world.run(1e5);
        assertThat(world.temperature(one)).isCloseTo((200 * 80 + 100 * 20) / 300.0, within(1e-9));
    }

    /** Poured together, the mean by heat capacity; of water by temperature, the mean of what it holds. */
    @Test
    void pouredTogetherTheyMix() {
        World world = new World();
        Lump cup = world.lump("cup", PLAIN, 60, 20);
        world.pour(world.lump("beaker", PLAIN, 40, 70), cup);
        assertThat(world.temperature(cup)).isCloseTo(40, within(1e-9));
        Lump water = world.lump("water", Matter.WATER, 60, 10);
        world.pour(world.lump("kettle", Matter.WATER, 40, 90), water, 0.5, Map.of());
        double held = (60 * Matter.WATER.enthalpy(10) + 20 * Matter.WATER.enthalpy(90)) / 80;
        assertThat(Matter.WATER.enthalpy(world.temperature(water))).isCloseTo(held, within(1e-8));
        // 4.1955 and 4.2051 J/(g·°C) at 10 and 90 °C (IAPWS-95, from memory): warmer than by one specific heat
        assertThat(world.temperature(water)).isBetween(30.0, 30.1);
    }

    /** A steady heater against a loss: P/k (1 − e^(−kt/C)) above the room. */
    @Test
    void aHeaterWarmsAgainstALoss() {
        World world = new World();
        Lump cup = world.lump("cup", PLAIN, 100, 20);
        world.flow(Flows.exchange(cup, world.still("room", 20), () -> 0.2));
        world.flow(Flows.heater(world.still("mains", 0), cup, () -> 10, 300));
        world.run(300);
        double above = 10 / 0.2 * (1 - Math.exp(-0.2 * 300 / 400));
        assertThat(world.temperature(cup)).isCloseTo(20 + above, within(1e-6));
        world.run(500);
        assertThat(world.temperature(cup))
                .as("off since 300 s")
                .isCloseTo(20 + above * Math.exp(-0.2 * 200 / 400), within(1e-6));
    }

    /** A probe of time constant τ lags a ramp by rate · τ, once e^(−t/τ) is over. */
    @Test
    void aProbeLagsBehindARamp() {
        World world = new World();
        Lump cup = world.solid("cup", 1e9, 20);
        Lump probe = world.solid("probe", 1, 20);
        world.flow(Flows.heater(world.still("mains", 0), cup, () -> 1e8, Double.MAX_VALUE));
        world.flow(Flows.exchange(cup, probe, () -> 1 / 4.0));
        world.run(100);
        assertThat(world.temperature(cup) - world.temperature(probe)).isCloseTo(0.1 * 4, within(1e-5));
    }

    /**
     * 20 g of ice at −10 °C in 100 g of water at 40 °C, by hand: 20 (2 · 10 + 330) J melt it, the rest is shared; while
     * it melts it stands at 0 °C, and all of it is gone by an event.
     */
    @Test
    void iceMeltsAndIsGone() {
        World world = new World();
        Matter.Melting ice = new Matter.Melting(2, 0, 330, 4.2, 0);
        Lump cup = world.lump("cup", Matter.WATER);
        world.put(cup, Matter.WATER, 100, 40);
        Lump lump = world.lump("ice", ice, 20, -10);
        world.flow(Flows.melting(world, lump, ice, cup, () -> 6));
        world.run(20);
        assertThat(world.temperature(lump)).isCloseTo(0, within(1e-9));
        world.run(600);
        assertThat(world.amount(lump, ice)).isZero();
        double held = (100 * Matter.WATER.enthalpy(40) - 20 * 350) / 120;
        assertThat(Matter.WATER.enthalpy(world.temperature(cup))).isCloseTo(held, within(1e-6));
    }

    /** Much ice in little water: the water ends at 0 °C with what could not melt; colder ice freezes some of it. */
    @Test
    void whatCannotMeltStays() {
        World world = new World();
        Matter.Melting ice = new Matter.Melting(2, 0, 330, 4.2, 0);
        Lump cup = world.lump("cup", Matter.WATER);
        world.put(cup, Matter.WATER, 20, 10);
        Lump lump = world.lump("ice", ice, 50, -20);
        world.flow(Flows.melting(world, lump, ice, cup, () -> 6));
        world.run(4000);
        // 20 g of water give 842 J to 0 °C, 50 g of ice take 2000 J to 0 °C: 1158 / 330 = 3.5 g freeze
        assertThat(world.amount(lump, ice)).isCloseTo(50 + (2000 - 20 * Matter.WATER.enthalpy(10)) / 330, within(0.1));
        assertThat(world.temperature(cup)).isCloseTo(0, within(0.05));
    }

    /** Grains whose surface goes by the two-thirds power are gone after the time they take; the heat stays. */
    @Test
    void grainsDissolve() {
        World world = new World();
        Matter grains = Matter.of(1);
        Matter dissolved = Matter.of(1, 25 + 200);
        Lump cup = world.lump("cup", PLAIN, grains, dissolved);
        world.put(cup, PLAIN, 100, 25);
        world.put(cup, grains, 10, 25);
        world.flow(Flows.dissolving(world, cup, grains, dissolved, 60, 1, () -> 1));
        world.run(30);
        assertThat(world.amount(cup, grains)).as("(1 − t/τ)³").isCloseTo(10 * Math.pow(0.5, 3), within(1e-4));
        world.run(61);
        assertThat(world.amount(cup, grains)).isZero();
        assertThat(world.temperature(cup)).isCloseTo(25 - 200 * 10 / 410.0, within(1e-9));
    }

    /** Everything at once, for ten minutes: what all lumps hold together stays to 1e-9 of what went over. */
    @Test
    void nothingIsLost() {
        World world = new World();
        Matter.Melting ice = new Matter.Melting(2, 0, 330, 4.2, 0);
        Matter fuel = Matter.of(0, 30_000);
        Matter gone = Matter.of(0, 0);
        Lump cup = world.lump("cup", Matter.WATER);
        world.put(cup, Matter.WATER, 150, 70);
        Lump wall = world.solid("wall", 12, 20);
        Lump room = world.still("room", 21, Matter.WATER);
        Lump boiler = world.still("boiler", 100, Matter.WATER);
        Lump burner = world.lump("burner", fuel, gone);
        world.put(burner, fuel, 3, 25);
        Lump lump = world.lump("ice", ice, 15, -12);
        world.flow(Flows.exchange(cup, wall, () -> 3));
        world.flow(Flows.exchange(wall, room, () -> 0.4));
        world.flow(Flows.evaporation(cup, room, 0.4, () -> 1e-4));
        world.flow(Flows.melting(world, lump, ice, cup, () -> 5));
        world.flow(Flows.condensing(boiler, cup, 2676, 0.05, 419, () -> 0.01));
        world.flow(Flows.flame(
                burner,
                fuel,
                gone,
                30_000,
                () -> 0.004,
                List.of(new Flows.Share(wall, 0.4), new Flows.Share(room, 0.6))));
        double before = world.enthalpy();
        world.run(600);
        double moved = 0.004 * 600 * 30_000 + 0.01 * 600 * 2676 + 15 * 350;
        assertThat(world.enthalpy() - before).isCloseTo(0, within(1e-9 * moved));
        assertThat(world.amount(burner, fuel)).isCloseTo(3 - 2.4, within(1e-9));
        assertThat(world.temperature(cup)).isBetween(60.0, 99.0);
    }

    static List<Experiment> run() {
        return Experiments.all().stream()
                .filter(each -> each.scene().isPresent())
                .toList();
    }

    private static Bench bench(Experiment experiment, long seed) {
        return Benches.of(experiment, seed);
    }

    @Test
    void thirteenExperimentsAreRun() {
        assertThat(run()).hasSize(13);
    }

    /** Played by touches, stopped and played again, nothing changes; nothing of what comes is shown before. */
    @ParameterizedTest
    @MethodSource("run")
    void aTrialGoesOnFromWhereItWas(Experiment experiment) {
        Bench bench = bench(experiment, 7);
        Scene scene = experiment.scene().orElseThrow();
        List<Double> touched = new ArrayList<>();
        double now = 0;
        Bench.Standing standing = bench.at(scene, new Bench.Hand(touched, now));
        List<Bench.Written> before = List.of();
        for (int i = 0; i < 60 && (standing.next().isPresent() || now < 3000); i++) {
            now += 60;
            Bench.Standing waited = bench.at(scene, new Bench.Hand(touched, now));
            assertThat(waited.written().subList(0, before.size())).isEqualTo(before);
            assertThat(waited.curve().subList(0, standing.curve().size())).isEqualTo(standing.curve());
            assertThat(waited.now()).isEqualTo(now);
            before = waited.written();
            if (waited.next().isPresent()) {
                touched.add(now);
            }
            standing = bench.at(scene, new Bench.Hand(touched, now));
        }
        assertThat(standing.next()).isEmpty();
        assertThat(standing.written())
                .extracting(Bench.Written::path)
                .containsExactlyElementsOf(bench.atOnce(scene).written().stream()
                        .map(Bench.Written::path)
                        .toList());
        assertThat(bench.atOnce(scene)).isEqualTo(bench.atOnce(scene));
        assertThat(bench(experiment, 8).atOnce(scene).curve())
                .isNotEqualTo(bench.atOnce(scene).curve());
    }

    /** What a scene writes down stands for slots the experiment declares; what goes wrong changes what is seen. */
    @ParameterizedTest
    @MethodSource("run")
    void aSceneStandsForDeclaredSlots(Experiment experiment) {
        Scene scene = experiment.scene().orElseThrow();
        Bench.Played honest = bench(experiment, 3).atOnce(scene);
        assertThat(honest.written())
                .allSatisfy(each ->
                        assertThat(experiment.slot(each.path())).as(each.path()).isPresent());
        assertThat(honest.sought()).isFinite();
        for (Slip slip : Slip.in(scene)) {
            Bench.Played wrong = bench(experiment, 3).slipping(Set.of(slip)).atOnce(scene);
            assertThat(wrong.equals(honest)).as(slip.key()).isFalse();
            assertThat(wrong.sought()).as(slip.key()).satisfies(sought -> {
                if (slip != Slip.HYDRATE) {
                    assertThat(sought).isEqualTo(honest.sought());
                }
            });
        }
    }

    private static Scene scene(java.util.function.Consumer<Stage> plays) {
        return new Scene() {
            @Override
            public void play(Stage stage) {
                plays.accept(stage);
            }

            @Override
            public Set<Slip> slips() {
                return Set.of();
            }
        };
    }

    private static Scene pouring(double grams) {
        return scene(stage -> {
            Lump cup = stage.world().lump("cup", PLAIN, grams, 20);
            stage.calorimeter(cup);
            stage.dip(cup);
            stage.reads("water/start", 60);
            stage.seeks(1);
        });
    }

    @Test
    void whatCannotBePlayedIsSaidInWords() {
        Bench bench = Bench.usual(1, 9);
        assertThatThrownBy(() -> bench.atOnce(scene(stage -> {})))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("nothing to play");
        assertThat(bench.atOnce(pouring(250)).written()).hasSize(1);
        assertThatThrownBy(() -> bench.atOnce(pouring(251)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("holds 250 g: with 251 g it runs over");
    }
}
