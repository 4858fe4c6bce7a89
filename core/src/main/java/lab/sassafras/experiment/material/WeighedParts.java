package lab.sassafras.experiment.material;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lab.sassafras.experiment.Foresight;

/** Parts are only weighed: nothing comes of them that is not had. */
final class WeighedParts implements Foresight {

    /** A thin cup, and what stirs in it (g). No source. */
    private static final String CUP = "8";

    private static final String STIRRER = "6";

    @Override
    public List<Usual> usual(int parts) {
        List<Usual> all = new ArrayList<>();
        for (int i = 1; i <= parts; i++) {
            String part = i == 1 ? "part/" : "part[" + i + "]/";
            all.add(Usual.read(part + "mass", i == 1 ? CUP : STIRRER, "g"));
            all.add(Usual.stated(part + "heat-from", "shelf"));
            all.add(Usual.stated(part + "material", i == 1 ? "aluminium" : "borosilicate-glass"));
        }
        return all;
    }

    @Override
    public List<String> gear() {
        return List.of("the calorimeter in its parts, dry");
    }

    @Override
    public Seen of(Had had) {
        return new Seen(
                List.of(), Optional.empty(), List.of(), "each part’s mass times the specific heat of its material");
    }
}
