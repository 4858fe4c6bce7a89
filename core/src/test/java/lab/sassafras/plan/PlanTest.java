package lab.sassafras.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.Stream;
import lab.sassafras.account.Finding;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.DecimalMark;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Refused;
import lab.sassafras.simulate.Bench;
import lab.sassafras.simulate.Scene;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.substance.Reference;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What a plan says beforehand, by hand reckoning and by the account itself. */
class PlanTest {

    private static Stream<String> planned() {
        return Experiments.all().stream().filter(Plan::runs).map(Experiment::key);
    }

    private static List<String> codes(List<Finding> findings) {
        return findings.stream().map(Finding::code).toList();
    }

    private static List<String> warned(Plan plan) {
        return codes(Warnings.of(Plans.expected(plan)));
    }

    @Test
    void whatHasARunCanBePlanned() {
        assertThat(planned()).hasSize(12);
        assertThat(Experiments.all().stream().filter(Plan::possible)).hasSize(15);
        assertThatThrownBy(() -> Plan.usual(
                        Experiments.find("cycle").orElseThrow(),
                        Plans.brass().setting(),
                        Plans.brass().reads()))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("nothing that could be expected");
    }

    /** Put back at the temperature that is expected, the account gives what the result should be. */
    @ParameterizedTest
    @MethodSource("planned")
    void theAccountGivesTheReferenceAtTheTemperatureExpected(String experiment) {
        Expectation expected = Plans.expected(Plans.of(experiment));
        assertThat(expected.result().value() / expected.reference().value()).isCloseTo(1, within(2e-4));
        assertThat(Plans.ends(expected).value().low())
                .isLessThan(Plans.ends(expected).value().value());
        assertThat(expected.relative()).isGreaterThan(0);
        assertThat(expected.heat()).isGreaterThan(0);
    }

    /**
     * 32 g of brass (0.377 J/(g·°C)) at 99 °C into 90 g of water at 21 °C in a cup of 5 J/°C. By hand, 4.184:
     * (12.06·99 + 381.6·21)/(12.06 + 381.6) = 23.39 °C.
     */
    @Test
    void brassIntoWaterEndsWhereAHandReckonsIt() {
        Expectation expected = Plans.expected(Plans.brass());
        double brass = 32 * expected.reference().value();
        double water = 90 * 4.184 + 5;
        assertThat(Plans.ends(expected).value().value())
                .isCloseTo((brass * 99 + water * 21) / (brass + water), within(0.01));
        assertThat(Plans.ends(expected).change()).isCloseTo(2.39, within(0.02));
        assertThat(expected.heat())
                .isCloseTo(brass * (99 - Plans.ends(expected).value().value()), within(2.0));
    }

    /**
     * A seeded sample of what {@code ./bench plans} does two thousand times: runs whose instruments, labels and
     * constants are drawn scatter as it was foreseen, and end where it was foreseen.
     */
    @Tag("long")
    @ParameterizedTest
    @MethodSource("planned")
    void runsScatterAsForeseen(String experiment) {
        Foreseen found = Foreseen.of(Plans.of(experiment), 1000, 25);
        assertThat(found.ratio()).isBetween(0.88, 1.12);
        assertThat(found.met()).isBetween(0.88, 0.99);
    }

    /** Ice at 0 °C to bring 351 g of water from 24 to 4 °C: 83.7 g with 334 J/g and 4.184, no cup (common example). */
    @Test
    void iceForAWantedChangeIsSought() {
        Plan plan = Plans.of("fusion-of-ice")
                .with(new Calorimeter("none", lab.sassafras.slot.VesselKind.FOAM_CUP, Optional.empty()))
                .with("water/mass", "351")
                .with("water/start", "24")
                .with("ice/start", "0");
        Sought ice = Sought.of(plan, "ice/mass", Sought.Wish.CHANGE, -20);
        assertThat(ice.meets()).isTrue();
        double fusion = Plans.expected(plan).reference().value();
        assertThat(ice.exact()).isCloseTo(351 * 4.184 * 20 / (fusion + 4.184 * 4), within(0.05));
        assertThat(ice.exact()).isCloseTo(83.7, within(0.2));
        assertThat(ice.amount()).isEqualTo("84");
    }

    @Test
    void whatIsSoughtComesToWhatWasWantedAndElseTheNearestIsTold() {
        Sought mass = Sought.of(Plans.brass(), "sample/mass", Sought.Wish.CHANGE, 4);
        assertThat(Plans.ends(Plans.expected(Plans.brass().with("sample/mass", String.valueOf(mass.exact()))))
                        .change())
                .isCloseTo(4, within(1e-3));
        Sought well = Sought.of(Plans.brass(), "sample/mass", Sought.Wish.WITHIN, 0.09);
        assertThat(Plans.expected(Plans.brass().with("sample/mass", String.valueOf(well.exact())))
                        .relative())
                .isCloseTo(0.09, within(0.002));
        Sought never = Sought.of(Plans.brass(), "sample/mass", Sought.Wish.CHANGE, 500);
        assertThat(never.meets()).isFalse();
        assertThat(never.comes()).isBetween(20.0, 78.0);
        assertThat(never.why()).isEqualTo(Sought.Why.MOST);
        assertThat(Sought.of(Plans.brass(), "water/mass", Sought.Wish.CHANGE, 500)
                        .why())
                .isEqualTo(Sought.Why.LEAST);
        assertThat(Sought.of(Plans.of("fusion-of-ice"), "ice/mass", Sought.Wish.CHANGE, -60)
                        .why())
                .as("more would not melt")
                .isEqualTo(Sought.Why.NO_FURTHER);
        assertThatThrownBy(() -> Sought.of(Plans.brass(), "spoon/mass", Sought.Wish.CHANGE, 4))
                .isInstanceOf(Refused.class);
    }

    @Test
    void aBalanceIsCoarseWhereItMakesTheIntervalAQuarterLarger() {
        Plan little = Plans.brass().with(Plans.FINE).with("sample/mass", "12");
        assertThat(warned(little.with(Plans.BALANCE))).doesNotContain("plan.balance");
        assertThat(warned(little.with(Plans.KITCHEN))).contains("plan.balance");
        for (String mass : List.of("16", "20", "24", "28", "32", "40", "50")) {
            Plan more = little.with("sample/mass", mass);
            double much = Plans.expected(more.with(Plans.KITCHEN)).relative()
                    / Plans.expected(more.with(Plans.BALANCE)).relative();
            assertThat(warned(more.with(Plans.KITCHEN)).contains("plan.balance"))
                    .as(mass + " g, " + much)
                    .isEqualTo(much > 1.25);
        }
    }

    /** The best single change and the best pair, against all of them worked out whole, on plans drawn by a seed. */
    @Test
    void whatHelpsMostIsWhatBruteForceFinds() {
        Random random = new Random(25);
        List<String> all = planned().filter(each -> !each.startsWith("bomb")).toList();
        for (int i = 0; i < 20; i++) {
            Plan plan = Plans.of(all.get(i % all.size()));
            for (String path : plan.amounts()) {
                double had = plan.amount(path).orElseThrow();
                if (plan.had().get(path).unit().equals("g")) {
                    plan = plan.with(path, Round.plain(had * (0.8 + 0.4 * random.nextDouble())));
                }
            }
            Plan drawn = random.nextBoolean() ? plan.with(Plans.KITCHEN) : plan;
            Reference reference = Plans.expected(drawn).reference();
            List<Help.Gain> gains = Help.most(drawn, reference, Plans.SHELF);
            List<Help.Change> changes = Help.changes(drawn, Plans.SHELF);
            Quick now = Quick.of(drawn, reference).orElseThrow();
            List<Double> singles = new ArrayList<>();
            List<Double> pairs = new ArrayList<>();
            for (Help.Change one : changes) {
                brute(one.in(drawn), reference, now, now.standard()).ifPresent(singles::add);
                for (Help.Change two : changes) {
                    boolean other = one.instrument().isPresent()
                            ? two.instrument().isEmpty()
                                    || !two.instrument()
                                            .get()
                                            .kind()
                                            .equals(one.instrument().get().kind())
                            : !two.path().equals(one.path());
                    if (other) {
                        double least = Stream.of(one, two)
                                .flatMap(each -> Quick.of(each.in(drawn), reference)
                                        .filter(alone -> Warnings.fits(each.in(drawn), alone))
                                        .stream())
                                .mapToDouble(Quick::standard)
                                .reduce(now.standard(), Math::min);
                        brute(two.in(one.in(drawn)), reference, now, least).ifPresent(pairs::add);
                    }
                }
            }
            assertThat(best(gains, 1)).isEqualTo(lowest(singles));
            assertThat(best(gains, 2)).isEqualTo(lowest(pairs));
        }
    }

    private static Optional<Double> brute(Plan plan, Reference reference, Quick now, double standard) {
        return Quick.of(plan, reference)
                .filter(each ->
                        Warnings.fits(plan, each) && each.relative() < now.relative() && each.standard() < standard)
                .map(Quick::relative);
    }

    private static double best(List<Help.Gain> gains, int changes) {
        return gains.stream()
                .filter(each -> each.changes().size() == changes)
                .mapToDouble(Help.Gain::relative)
                .min()
                .orElse(Double.NaN);
    }

    private static double lowest(List<Double> all) {
        return all.stream().mapToDouble(each -> each).min().orElse(Double.NaN);
    }

    @Test
    void whatItIsForHasAChance() {
        Expectation coarse = Plans.expected(Plans.brass());
        Expectation fine = Plans.expected(Plans.brass().with(Plans.FINE).with("sample/mass", "80"));
        Purpose iron = new Purpose.Apart("iron");
        assertThat(iron.by(coarse).enough()).isFalse();
        assertThat(iron.by(fine).enough()).isTrue();
        assertThat(iron.by(fine).asks()).isCloseTo((0.449 - 0.377) / 2 / 0.377, within(0.01));
        assertThat(new Purpose.Within(9).by(coarse).chance())
                .isLessThan(new Purpose.Within(9).by(fine).chance());
        assertThat(new Purpose.Within(100 * fine.relative()).by(fine).chance()).isCloseTo(0.95, within(0.005));
        assertThat(new Purpose.Sign()
                        .by(Plans.expected(Plans.of("heat-of-solution")))
                        .enough())
                .isTrue();
    }

    /** No amounts tell copper from zinc: 0.385 and 0.388 J/(g·°C). */
    @Test
    void whereNoAmountsTellItIsSaidWhatElseWould() {
        Purpose.Served served = new Purpose.Apart("zinc")
                .by(Plans.expected(Plans.brass().with("seen/known", "copper").with(Plans.FINE)));
        assertThat(served.hopeless()).isTrue();
        assertThat(served.enough()).isFalse();
        assertThat(served.beside())
                .anyMatch(each -> each.startsWith("density"))
                .anyMatch(each -> each.startsWith("colour"));
        assertThat(new Purpose.Apart("iron").by(Plans.expected(Plans.brass())).hopeless())
                .isFalse();
    }

    @Test
    void whatStandsInTheWayIsReckoned() {
        assertThat(warned(Plans.brass())).contains("plan.range").doesNotContain("plan.full", "plan.shallow");
        assertThat(warned(Plans.brass().with(Plans.FINE))).doesNotContain("plan.range");
        assertThat(warned(Plans.brass().with("water/mass", "222"))).contains("plan.full");
        assertThat(warned(Plans.brass().with("water/mass", "220"))).doesNotContain("plan.full");
        assertThat(warned(Plans.brass().with("water/mass", "247"))).contains("plan.overflow");
        assertThat(warned(Plans.brass().with("water/mass", "245"))).doesNotContain("plan.overflow");
        assertThat(warned(Plans.brass().with("water/mass", "39"))).contains("plan.shallow");
        assertThat(warned(Plans.brass().with("water/mass", "40"))).doesNotContain("plan.shallow");
        assertThat(warned(Plans.brass().with("water/mass", "50").with("sample/mass", "290")))
                .contains("plan.uncovered");
        assertThat(warned(Plans.brass().with("water/mass", "50").with("sample/mass", "270")))
                .doesNotContain("plan.uncovered");
        assertThat(warned(Plans.of("condensing-steam").with("water/start", "61")))
                .doesNotContain("plan.boiling");
        assertThat(warned(Plans.of("condensing-steam").with("water/start", "64")))
                .contains("plan.boiling");
        assertThat(warned(Plans.of("neutralization").with("base/concentration", "0.5")))
                .contains("plan.limiting");
        assertThat(warned(Plans.of("neutralization").with("acid/concentration", "0.9")))
                .doesNotContain("plan.limiting");
        assertThat(warned(Plans.of("solid-with-solution")))
                .as("zinc reacts, it does not dissolve")
                .doesNotContain("plan.solubility-unknown", "plan.limiting");
        assertThat(warned(Plans.of("condensing-steam"))).contains("plan.losses");
        assertThat(warned(Plans.of("fusion-of-ice"))).as("0.1 of 20 °C").doesNotContain("plan.losses");
    }

    /** What is read anew in each trial is averaged, 1/√n; the constant of the vessel, which all share, is not. */
    @Test
    void theMeanOfTrialsKeepsWhatTheyShare() {
        Expectation brass = Plans.expected(Plans.brass().with(Plans.FINE));
        assertThat(brass.relative(1)).isCloseTo(brass.relative(), within(1e-9));
        assertThat(brass.relative(4) / brass.relative()).as("readings").isBetween(0.49, 0.56);
        Expectation acid = Plans.expected(Plans.of("neutralization"));
        assertThat(acid.relative(4) / acid.relative()).as("labels too").isBetween(0.6, 0.8);
    }

    /** The curve is that of the plan’s own amounts: twice the water loses about half as much. */
    @Test
    void theCurveIsOfThePlansOwnAmounts() {
        Plan warm = Plans.brass().with(Plans.FINE).with("water/start", "40");
        double little = lost(warm);
        assertThat(little).isBetween(0.5, 3.0);
        assertThat(little / lost(warm.with("water/mass", "180"))).isBetween(1.5, 2.5);
        Bench.Played wished = Bench.usual(1, 5)
                .wishing(Map.of("water/mass", 180.0, "sample/start", 80.0), "zinc")
                .atOnce(Plans.brass().experiment().scene().orElseThrow());
        assertThat(wished.known()).contains("zinc");
        assertThat(wished.written())
                .filteredOn(each -> each.path().equals("water/mass"))
                .singleElement()
                .satisfies(each -> assertThat(Double.parseDouble(each.text())).isCloseTo(180, within(0.1)));
        assertThat(wished.written())
                .filteredOn(each -> each.path().equals("sample/start"))
                .singleElement()
                .satisfies(each -> assertThat(Double.parseDouble(each.text())).isCloseTo(80, within(1.0)));
    }

    /** Whatever salt a plan names dissolves with its own heat, also one the scene draws none of. */
    @Test
    void theSaltOfAPlanIsTheOneThatDissolves() {
        Scene scene = Experiments.find("heat-of-solution").orElseThrow().scene().orElseThrow();
        for (Map.Entry<String, Double> each :
                Map.of("NaOH", -44.5, "KNO3", 34.9, "NH4NO3", 25.7).entrySet()) {
            Bench.Played played = Bench.usual(3, 8)
                    .wishing(Map.of("solid/mass", 4.0), each.getKey())
                    .atOnce(scene);
            assertThat(played.written()).anyMatch(one -> one.text().equals(each.getKey()));
            // CRC-type handbook values at infinite dilution, from memory; dilution moves them by less than 2 kJ/mol
            assertThat(played.sought()).as(each.getKey()).isCloseTo(each.getValue(), within(2.0));
        }
        assertThat(Bench.usual(3, 8).wishing(Map.of(), "UF6").atOnce(scene).written())
                .as("nobody knows its heat")
                .anyMatch(one -> one.text().matches("KCl|NH4NO3|CaCl2|LiCl"));
    }

    /** What the contents lose from their highest temperature to the end of the curve (°C). */
    private static double lost(Plan plan) {
        List<Course.Point> readings =
                Course.of(Plans.expected(plan)).orElseThrow().readings();
        double most = readings.stream().mapToDouble(Course.Point::middle).max().orElseThrow();
        return most - readings.get(readings.size() - 1).middle();
    }

    /** Two thermometers share no offset: the same one cancels it between start and end, of the water above all. */
    @Test
    void aSecondThermometerIsOffByItsOwn() {
        Plan one = Plans.brass().with(Plans.FINE);
        Plan two = one.with("water/start", Plans.thermometer("R-7", 0.1, -10, 110));
        assertThat(warned(one)).doesNotContain("plan.apart");
        assertThat(warned(two)).contains("plan.apart");
        double offsets = Math.hypot(
                Plans.expected(one).relative(),
                2 * Math.sqrt(2) * 0.2 / Plans.ends(Plans.expected(one)).change());
        assertThat(Plans.expected(two).relative()).as("offsets of 0.2 °C each").isCloseTo(offsets, within(0.01));
        assertThat(warned(Plans.brass().with("sample/start", Plans.FINE)))
                .as("the bath within its range")
                .doesNotContain("plan.range");
    }

    /** 300 g from 22 to 99 °C are 96.6 kJ: 8.0 min on 0.6 of 335 W. 60 mL of brass go into a bath of 300 of 400 mL. */
    @Test
    void theBathIsLiftedAndTakesItsTime() {
        Plan brass = Plans.brass();
        double dense = brass.setting().shelf().find("brass").orElseThrow().density();
        assertThat(warned(brass.with("sample/mass", String.valueOf(Math.round(59 * dense)))))
                .doesNotContain("plan.bath-overflow");
        assertThat(warned(brass.with("sample/mass", String.valueOf(Math.round(61 * dense)))))
                .contains("plan.bath-overflow");
        assertThat(warned(brass.with(new Lab(2, 330, OptionalDouble.empty())))).contains("plan.bath-time");
        assertThat(warned(brass.with(new Lab(2, 340, OptionalDouble.empty())))).doesNotContain("plan.bath-time");
        assertThat(warned(brass.with(new Lab(2, 330, OptionalDouble.of(9))))).doesNotContain("plan.bath-time");
        assertThat(warned(brass)).doesNotContain("plan.bath-time");
    }

    /** Potassium chloride: 35.5 g to 100 g of water at 25 °C, 0.3 more for each degree (from memory). */
    @ParameterizedTest
    @CsvSource({"KCl, 30, false", "KCl, 33, true", "KNO3, 15, false", "KNO3, 30, true"})
    void whatDoesNotDissolveAtTheEndIsTold(String salt, String grams, boolean told) {
        Plan plan = Plans.of("heat-of-solution").with("solute/formula", salt).with("solid/mass", grams);
        assertThat(warned(plan).contains("plan.solubility")).isEqualTo(told);
    }

    @Test
    void whatHurtsIsRefused() {
        Plan acid = Plans.of("neutralization");
        assertThat(codes(Refusals.of(acid))).isEmpty();
        assertThat(Refusals.of(acid.with("acid/concentration", "2.1")))
                .singleElement()
                .satisfies(each -> assertThat(each.about()).isEqualTo("acid[1]/concentration"));
        assertThat(codes(Refusals.of(acid.with("reaction/equation", "HF(aq) + NaOH(aq) -> NaF(aq) + H2O(l)"))))
                .contains("plan.hydrofluoric");
        assertThat(codes(Refusals.of(acid.with("acid/concentration", "2")))).isEmpty();
        Lab strict = new Lab(1, 1000, OptionalDouble.empty());
        assertThat(codes(Refusals.of(acid.with(strict).with("acid/concentration", "1.1"))))
                .as("where an instructor allows less")
                .contains("plan.strength");
        assertThat(codes(Refusals.of(acid.with("base/formula", "NaF"))))
                .as("a fluoride with an acid")
                .contains("plan.hydrofluoric");
        assertThat(codes(Refusals.of(Plans.of("solid-with-solution").with("solid/formula", "Na"))))
                .contains("plan.reacts");
        assertThatThrownBy(() -> Prepared.of(acid.with("acid/concentration", "6"), 1, 1, 0, List.of()))
                .as("nor is it prepared")
                .isInstanceOf(Refused.class);
        Plan liquid = Plans.of("specific-heat-of-liquid");
        assertThat(codes(Refusals.of(liquid.with("shelf/liquid", "acetone")))).contains("plan.boils");
        assertThat(codes(Refusals.of(liquid.with("shelf/liquid", "ethanol").with("solid/bath", "boiling"))))
                .contains("plan.flammable")
                .doesNotContain("plan.boils");
        assertThat(codes(Refusals.of(liquid))).isEmpty();
    }

    /** A name is as good as a formula, for what is refused too; and a period that writes commas plans as well. */
    @Test
    void namesAndCommasPlanAsWell() {
        Plan named = Plans.of("heat-of-solution").with("solute/formula", "potassium chloride");
        assertThat(named.one("solute/formula").text()).isEqualTo("KCl");
        assertThat(warned(named.with("solid/mass", "33"))).contains("plan.solubility");
        assertThat(codes(Refusals.of(Plans.of("neutralization")
                        .with("base/formula", "sodium hydroxide")
                        .with("base/concentration", "3"))))
                .contains("plan.strength");
        Plan point = Plans.of("neutralization");
        Plan comma =
                Plan.usual(point.experiment(), point.setting().writing(new Figures(DecimalMark.COMMA)), point.reads());
        assertThat(Plans.expected(comma).ends()).isEqualTo(Plans.expected(point).ends());
    }

    @ParameterizedTest
    @CsvSource({
        "32.4, 0.05, 32",
        "83.69, 0.01, 84",
        "99.31, 0.05, 100",
        "0.862, 0.05, 0.9",
        "-4.04, 0.05, -4",
        "0, 0.05, 0"
    })
    void amountsAreAsOneWeighsThemOut(double value, double part, String text) {
        assertThat(Round.about(value, part)).isEqualTo(text);
    }

    @Test
    void whatCannotBeIsRefusedInWords() {
        assertThatThrownBy(() -> Plans.brass().with("sample/mass", "-5").amount("sample/mass"))
                .isInstanceOf(Refused.class);
        assertThatThrownBy(() -> Plans.brass().with("sample/mass", "much").amount("sample/mass"))
                .isInstanceOf(Refused.class);
        assertThat(Expectation.of(Plans.brass().with("sample/mass", "0")).expectation())
                .isEmpty();
    }
}
