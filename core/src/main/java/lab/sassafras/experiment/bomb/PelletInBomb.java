package lab.sassafras.experiment.bomb;

import java.util.Set;
import java.util.function.ToDoubleFunction;
import lab.sassafras.simulate.Flows;
import lab.sassafras.simulate.Lump;
import lab.sassafras.simulate.Matter;
import lab.sassafras.simulate.Scene;
import lab.sassafras.simulate.Slip;
import lab.sassafras.simulate.Stage;

/**
 * A pellet is fired in a bomb that stands in its bucket of water.
 *
 * @param formula of the sample where it is asked for; empty for the pellet of the standard
 * @param heat    one gram gives (J/g)
 * @param sought  what the experiment seeks, by what one gram gives and what the bomb takes
 */
public record PelletInBomb(String formula, ToDoubleFunction<Stage> heat, Sought sought) implements Scene {

    /** A usual bucket holds so much (g). No source. */
    private static final double BUCKET = 2600;

    /** What an experiment in a bomb seeks. */
    public interface Sought {

        /**
         * {@return it, in the unit of the result}
         *
         * @param stage it is played on
         * @param heat  one gram gives (J/g)
         */
        double of(Stage stage, double heat);
    }

    @Override
    public void play(Stage stage) {
        if (!formula.isEmpty()) {
            stage.says("sample/formula", formula);
            stage.says("sample/state", "solid");
        }
        double perGram = heat.applyAsDouble(stage);
        stage.says("fuse/way", "none");
        double pellet = stage.weighs("pellet/mass", 1);
        stage.says("check/vessel", "done");
        stage.says("check/charge", "done");
        stage.says("check/leak", "done");
        Lump bucket = stage.world().lump("bucket", Matter.WATER);
        double water = stage.weighs("bucket/water", 2000);
        double start = stage.at("bucket/start", stage.roomTemperature() - stage.now("cool", 1, 2));
        stage.world().put(bucket, Matter.WATER, water, start);
        stage.world().flow(Flows.exchange(bucket, stage.room(), () -> 0.35));
        Matter fuel = Matter.happened(-perGram);
        Lump bomb = stage.world().lump("bomb", Matter.of(1), fuel);
        stage.world().put(bomb, bomb.first(), stage.capacity() - 1, start);
        stage.world().flow(Flows.exchange(bomb, bucket, () -> 60));
        stage.filled(bucket, BUCKET);
        stage.dip(bucket);
        stage.reads("bucket/start", 300);
        stage.marks("fired/at");
        double burns = pellet * (stage.slips(Slip.SOOT) ? 0.96 : 1);
        stage.world().flow(Flows.reaction(bomb, fuel, burns, () -> 5, false));
        stage.reads("bucket/highest", 720);
        stage.says("check/vented", "done");
        stage.says("inside/seen", "clean");
        stage.seeks(sought.of(stage, perGram));
    }

    @Override
    public Set<Slip> slips() {
        return Set.of(Slip.SOOT, Slip.DIGITS);
    }
}
