package lab.sassafras.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import lab.sassafras.account.Finding;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.slot.Role;
import lab.sassafras.substance.ChemicalFormula;
import lab.sassafras.substance.Hazard;
import lab.sassafras.substance.Substance;

/** Why a plan may not be done at all: what no amount makes safe. */
public final class Refusals {

    /** Metals that ignite in water and in anything watery. */
    private static final Set<String> ALKALI = Set.of("Li", "Na", "K", "Rb", "Cs");
    /** Metals that react with water, where it is only to warm or cool them. */
    private static final Set<String> EARTHS = Set.of("Ca", "Sr", "Ba");

    private Refusals() {}

    /**
     * {@return why a plan may not be done at all; none where it may}
     *
     * @param plan what is had
     */
    public static List<Finding> of(Plan plan) {
        List<Finding> all = new ArrayList<>();
        List<String> named = plan.had().values().stream()
                .filter(each -> each.role() == Role.STATED)
                .map(Plan.Had::text)
                .toList();
        List<ChemicalFormula> species = named.stream()
                .flatMap(each -> Hazard.named(each).stream())
                .flatMap(each -> ChemicalFormula.of(each).stream())
                .toList();
        if (hydrofluoric(named, species)) {
            all.add(
                    Finding.refuse(
                            "plan.hydrofluoric",
                            "Hydrofluoric acid and fluorides that make it with acid are not planned here. A splash of it can kill."));
        }
        boolean caustic =
                named.stream().flatMap(each -> Hazard.in(each).stream()).anyMatch(each -> each.acidOrBase());
        plan.had().forEach((path, each) -> {
            boolean strength = BenchUnit.MOLES_PER_LITRE.symbol().equals(each.unit());
            if (caustic
                    && strength
                    && plan.amount(path).orElseThrow() > plan.lab().strongest()) {
                all.add(Finding.refuse(
                                "plan.strength",
                                "“" + plan.label(path) + "” is above the "
                                        + plan.setting()
                                                .figures()
                                                .plain(plan.lab().strongest())
                                        + " mol/L that are allowed for acids and bases.")
                        .at(Plan.at(path).toString()));
            }
        });
        reacts(plan, named, species)
                .ifPresent(metal -> all.add(Finding.refuse(
                        "plan.reacts", metal + " reacts with water, and may ignite. It is not put into it.")));
        hotInto(plan, named, all);
        return all;
    }

    /** Named itself, or made of a fluoride by an acid that is named. */
    private static boolean hydrofluoric(List<String> named, List<ChemicalFormula> species) {
        boolean acid = named.stream()
                .flatMap(each -> Hazard.in(each).stream())
                .anyMatch(each -> each.kind().equals("acid"));
        return species.stream()
                .map(ChemicalFormula::atoms)
                .filter(atoms -> atoms.containsKey("F"))
                .anyMatch(atoms -> atoms.equals(Map.of("H", 1, "F", 1)) || acid && !atoms.containsKey("C"));
    }

    private static Optional<String> reacts(Plan plan, List<String> named, List<ChemicalFormula> species) {
        List<Substance> shelf = named.stream()
                .flatMap(each -> plan.setting().shelf().find(each).stream())
                .toList();
        boolean water = shelf.stream()
                .allMatch(each -> each.kind().solid() || each.key().equals("water"));
        return Stream.concat(
                        species.stream().map(ChemicalFormula::text).filter(ALKALI::contains),
                        shelf.stream()
                                .map(Substance::formula)
                                .filter(each -> water && EARTHS.contains(each) || ALKALI.contains(each)))
                .findFirst();
    }

    /** A solid hotter than the liquid boils at, a flammable liquid near a plate or a flame. */
    private static void hotInto(Plan plan, List<String> named, List<Finding> all) {
        double hottest = plan.amounts().stream()
                .filter(path -> plan.temperature(path) && plan.one(path).role() == Role.READ)
                .mapToDouble(path -> plan.amount(path).orElseThrow())
                .max()
                .orElse(0);
        named.stream()
                .flatMap(each -> plan.setting().shelf().find(each).stream())
                .filter(each -> !each.kind().solid())
                .flatMap(each -> Hazard.of(each.key()).stream())
                .forEach(liquid -> {
                    if (hottest > liquid.boils()) {
                        all.add(Finding.refuse(
                                "plan.boils",
                                "Something at " + plan.setting().figures().plain(hottest) + " °C is hotter than "
                                        + liquid.name() + " boils at ("
                                        + plan.setting().figures().plain(liquid.boils())
                                        + " °C): it would spurt."));
                    }
                    if (liquid.flammable() && named.contains("boiling")) {
                        all.add(Finding.refuse(
                                "plan.flammable",
                                liquid.name()
                                        + " is flammable: nothing is heated on a plate or a flame beside it. Take the "
                                        + "solid from a bath of hot water made elsewhere."));
                    }
                });
    }
}
