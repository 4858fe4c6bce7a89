package lab.sassafras.experiment.heating;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lab.sassafras.experiment.Foresight;
import lab.sassafras.measure.Refused;
import lab.sassafras.simulate.Bench;

/** The curve is what the simulated bench shows of these amounts. */
final class MeltsAtBench implements Foresight {

    private static final String SUBSTANCE = "sample/substance";
    private static final String WAY = "sample/way";
    private static final String HEATER = "heater";
    private static final String ROOM = "room/temperature";
    /** What melts this near to the room has no curve before it, and above this no tube is heated (°C). No source. */
    private static final double ABOVE_ROOM = 5;

    private static final double HOTTEST = 95;

    @Override
    public List<Usual> usual(int parts) {
        return List.of(
                Usual.stated(SUBSTANCE, HeaterInSample.USUAL),
                Usual.read("sample/mass", "30", "g"),
                Usual.stated(WAY, HEATER),
                Usual.read("heater/voltage", "8.00", "V"),
                Usual.read("heater/current", "1.000", "A"),
                Usual.read(ROOM, "21", "°C"));
    }

    @Override
    public boolean foresees(String path, String answer) {
        return !path.equals(WAY) || answer.equals(HEATER);
    }

    @Override
    public boolean chosen(String path) {
        return !path.equals(ROOM);
    }

    @Override
    public List<String> gear() {
        return List.of(
                "tube that stands the heat, in a clamp",
                "immersion heater with its supply, a voltmeter and an ammeter");
    }

    @Override
    public Seen of(Had had) {
        if (!had.word(WAY).equals(HEATER)) {
            throw new Refused(
                    "Foreseen is a run with a heater in the sample; of another nothing can be expected here.");
        }
        Optional<Fusion> melts = Fusion.on(had.setting().shelf(), had.word(SUBSTANCE));
        if (melts.isEmpty()) {
            throw new Refused("When that melts, or with how much heat, is not known here.");
        }
        double at = melts.get().at();
        if (at < had.amount(ROOM) + ABOVE_ROOM || at > HOTTEST) {
            throw new Refused("It melts at " + had.setting().figures().plain(at)
                    + " °C: what is planned here melts between " + (int) ABOVE_ROOM + " °C above the room and "
                    + (int) HOTTEST + " °C.");
        }
        Map<String, Double> wished = new HashMap<>(had.amounts());
        wished.put("fusion", melts.get().heat());
        Bench.Played played = Bench.usual(1, 1)
                .with(Optional.empty(), had.thermometer())
                .wishing(wished, had.word(SUBSTANCE))
                .atOnce(new HeaterInSample());
        return new Seen(
                List.of(),
                Optional.of(new Timed("run/curve", played.curve(), played.mixed())),
                List.of(new Used(
                        had.word(SUBSTANCE).replace(MeltsOnShelf.HEAT, ""),
                        melts.get().name(),
                        had.amount("sample/mass"),
                        false)),
                "an honest run at the simulated bench, with the specific heats of a fatty acid");
    }
}
