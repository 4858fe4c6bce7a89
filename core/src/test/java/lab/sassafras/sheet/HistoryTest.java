package lab.sassafras.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import lab.sassafras.account.Finding;
import lab.sassafras.convention.Conventions;
import lab.sassafras.declaration.Cardinality;
import lab.sassafras.declaration.Group;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Refused;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.GivenValue;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Setting;
import lab.sassafras.slot.Slot;
import lab.sassafras.slot.VesselKind;
import lab.sassafras.verdict.Reduction;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Storing admits, reading forgives: what was once kept can always be read, and a strike always helps. */
class HistoryTest {

    private static final int HISTORIES = 50;
    private static final Calorimeter CUP = new Calorimeter("F-1", VesselKind.FOAM_CUP, Optional.empty());

    /** A stored row, as a database has it. */
    private record Stored(int id, String address, String role, GivenValue given, Optional<Integer> strikes) {}

    /** An entry two hands write in, each looking at it as it was some moments ago. */
    private static final class Book {

        private final Random random;
        private final Experiment experiment;
        private final List<Stored> rows = new ArrayList<>();
        private int trials = 1;
        private Map<String, Integer> parts = Map.of();

        Book(long seed, Experiment experiment) {
            this.random = new Random(seed);
            this.experiment = experiment;
        }

        Setting setting() {
            return new Setting(
                    Optional.of(CUP),
                    Map.of("v1", CUP),
                    trials,
                    parts,
                    Set.of(),
                    Map.of(),
                    Figures.POINT,
                    Conventions.standard());
        }

        List<Stored> standing(int upTo) {
            Set<Integer> struck = new HashSet<>();
            rows.subList(0, upTo).forEach(row -> row.strikes().ifPresent(struck::add));
            return rows.subList(0, upTo).stream()
                    .filter(row ->
                            !struck.contains(row.id()) && !row.given().text().isEmpty())
                    .toList();
        }

        SheetReader read(int upTo) {
            return SheetReader.of(
                    experiment,
                    setting(),
                    standing(upTo).stream()
                            .map(row -> new SheetReader.Row(row.id(), row.address(), row.role(), row.given()))
                            .toList());
        }

        /** One thing done by a hand that may not have seen the last few rows; what is refused is not kept. */
        void step() {
            int seen = rows.size() - Math.min(rows.size(), random.nextInt(4));
            List<Stored> standing = standing(seen);
            int what = random.nextInt(20);
            if (what == 0) {
                trials = Math.min(4, trials + 1);
            } else if (what == 1
                    && experiment.groups().stream().anyMatch(group -> group.cardinality() == Cardinality.PER_PART)) {
                parts = Map.of(
                        experiment.groups().stream()
                                .filter(group -> group.cardinality() == Cardinality.PER_PART)
                                .findFirst()
                                .orElseThrow()
                                .key(),
                        2);
            } else if (what == 2) {
                fromAnotherVersion();
            } else if (what < 7 && !standing.isEmpty()) {
                Stored old = standing.get(random.nextInt(standing.size()));
                admit(
                        seen,
                        old.address(),
                        Role.of(old.role()),
                        random.nextBoolean() ? "" : value(old.address()),
                        Optional.of(old.id()));
            } else {
                Group group = experiment
                        .groups()
                        .get(random.nextInt(experiment.groups().size()));
                Slot slot = group.slots().get(random.nextInt(group.slots().size()));
                List<Role> roles = slot.roles().stream().sorted().toList();
                String address = group.key() + "[" + (1 + random.nextInt(trials)) + "]/" + slot.key();
                admit(
                        seen,
                        address,
                        Optional.of(roles.get(random.nextInt(roles.size()))),
                        value(address),
                        Optional.empty());
            }
        }

        private void fromAnotherVersion() {
            List<String> addresses =
                    List.of("trace[1]/reading", "no address", "water[1]/start", "sample[9]/mass", "sample[1]/colour");
            List<String> roles = List.of("read", "skipped", "stated", "gross");
            rows.add(new Stored(
                    rows.size(),
                    addresses.get(random.nextInt(addresses.size())),
                    roles.get(random.nextInt(roles.size())),
                    new GivenValue(
                            List.of("+1000000000-01-01T00:00:00Z", "warm", "-900", "1", "x".repeat(200))
                                    .get(random.nextInt(5)),
                            List.of("°C", "furlong").get(random.nextInt(2)),
                            Optional.empty(),
                            null,
                            "later"),
                    Optional.empty()));
        }

        private void admit(int seen, String address, Optional<Role> role, String text, Optional<Integer> strikes) {
            try {
                SheetReader view = read(seen);
                SheetEditing filling = view.filling(setting());
                GivenValue given = new GivenValue(text, unit(address, role), Optional.empty(), "0.5", "bench");
                if (text.isEmpty()) {
                    strikes.filter(filling::stands).ifPresent(filling::strike);
                } else if (strikes.filter(filling::stands).isPresent()) {
                    filling.correct(
                            strikes.get(),
                            rows.size(),
                            Address.read(address),
                            role.orElseThrow(() -> new Refused("No such role.")),
                            given);
                } else {
                    filling.take(
                            rows.size(),
                            Address.read(address),
                            role.orElseThrow(() -> new Refused("No such role.")),
                            given);
                }
                rows.add(new Stored(rows.size(), address, role.map(Role::key).orElse("?"), given, strikes));
            } catch (Refused refused) {
                assertThat(refused.getMessage()).isNotBlank().endsWith(".").doesNotContain("null");
            }
        }

        private String unit(String address, Optional<Role> role) {
            return slot(address)
                    .filter(slot -> slot.field() == Slot.Field.NUMBER)
                    .flatMap(slot -> slot.unit(role.orElse(Role.READ)))
                    .map(BenchUnit::symbol)
                    .orElse(null);
        }

        private Optional<Slot> slot(String address) {
            return experiment.slot(address.replaceAll("\\[\\d+]", ""));
        }

        private String value(String address) {
            Slot slot = slot(address).orElse(null);
            if (slot != null && slot.field() == Slot.Field.CHOICE) {
                List<Slot.Option> options = slot.options(
                        experiment.words(), address.replaceAll("\\[\\d+]", ""), Setting.plain(Figures.POINT));
                return options.get(random.nextInt(options.size())).value();
            }
            if (slot != null && slot.field() == Slot.Field.NUMBER) {
                return List.of("10.0", "20.5", "21", "50.00", "90.0", "100.0", "0")
                        .get(random.nextInt(7));
            }
            return slot != null
                            && slot.elsewhere()
                                    .filter(Slot.Elsewhere.VESSEL::equals)
                                    .isPresent()
                    ? "v1"
                    : slot != null && slot.field() == Slot.Field.MOMENT
                            ? "2026-11-26T18:00:00Z"
                            : List.of(
                                            "Copper",
                                            "Brass",
                                            "NaCl",
                                            "copper",
                                            "water",
                                            "NaOH(aq) + HCl(aq) -> NaCl(aq) + H2O(l)")
                                    .get(random.nextInt(6));
        }
    }

    static List<Experiment> experiments() {
        return Experiments.all();
    }

    @Tag("long")
    @ParameterizedTest
    @MethodSource("experiments")
    void whateverWasKeptCanBeReadAndAStrikeHelps(Experiment experiment) {
        for (long seed = 0; seed < HISTORIES * 4; seed++) {
            Book book = new Book(seed, experiment);
            IntStream.range(0, 30).forEach(any -> book.step());
            SheetReader read = book.read(book.rows.size());
            List<Stored> standing = book.standing(book.rows.size());
            assertThat(read.lines().size() + read.aside().size())
                    .as("every row is read or said to be unreadable")
                    .isEqualTo(standing.size());
            whole(read.sheet());
            standing.stream().filter(row -> flagged(read, row)).findFirst().ifPresent(row -> {
                int before = flagged(read.sheet()).size();
                if (read.lines().containsKey(row.id())) {
                    read.filling(book.setting()).strike(row.id());
                }
                book.rows.add(new Stored(
                        book.rows.size(),
                        row.address(),
                        row.role(),
                        new GivenValue("", null, Optional.empty(), null, "bench"),
                        Optional.of(row.id())));
                assertThat(flagged(book.read(book.rows.size()).sheet()).size())
                        .as("seed " + book.rows)
                        .isLessThan(before);
            });
        }
    }

    private static boolean flagged(SheetReader read, Stored row) {
        return read.aside().containsKey(row.id())
                || read.lines().containsKey(row.id())
                        && read.sheet().at(read.lines().get(row.id()).address()).size() == 1
                        && !read.sheet()
                                .places()
                                .stands(read.lines().get(row.id()).address());
    }

    private static List<Finding> flagged(Sheet sheet) {
        return SheetFindings.of(sheet).stream()
                .filter(each -> each.code().startsWith("row."))
                .toList();
    }

    /** Everything that can be asked of a sheet. */
    private static void whole(Sheet sheet) {
        Reduction reduction = Reduction.of(sheet, Conventions.standard());
        reduction.findings().forEach(each -> assertThat(each.message()).doesNotContain("NaN", "null"));
        reduction.alternatives();
        reduction.suspects();
        reduction.trials().forEach(trial -> reduction.working(trial.number()));
        IntStream.rangeClosed(1, sheet.trials()).forEach(sheet.tasks()::asks);
    }

    /** Two samples misspelt, then corrected: the colour of the second was written between. */
    @Test
    void samplesMayBeRenamedAfterSomethingWasWrittenOfThem() {
        SheetEditing filling = new SheetEditing(
                Experiments.find("specific-heat-of-solid").orElseThrow(),
                BenchSheet.of("specific-heat-of-solid", 2).sheet().setting());
        String name = filling.sheet().experiment().sampleName().orElseThrow();
        filling.take("1", Address.of(name, 1), Role.STATED, word("Coper"));
        filling.take("2", Address.of(name, 2), Role.STATED, word("Bras"));
        filling.take("3", Address.read("seen[2]/colour"), Role.STATED, word("yellow"));
        filling.correct("1", "4", Address.of(name, 1), Role.STATED, word("Copper"));
        filling.correct("2", "5", Address.of(name, 2), Role.STATED, word("Brass"));
        assertThat(flagged(filling.sheet())).isEmpty();
        // to call it copper too would leave the colour of the second sample without a place
        assertThatThrownBy(() -> filling.correct("5", "6", Address.of(name, 2), Role.STATED, word("Copper")))
                .hasMessageContaining("same sample as trial 1")
                .hasMessageContaining("Strike that out first");
    }

    @Test
    void aStrikeThatWouldLeaveANegativeMassIsRefusedAndOneThatMendsItIsNot() {
        SheetEditing filling = new SheetEditing(
                Experiments.find("specific-heat-of-solid").orElseThrow(),
                BenchSheet.of("specific-heat-of-solid").sheet().setting());
        Address mass = Address.read("sample[1]/mass");
        filling.take("90", mass, Role.TARE, grams("90"));
        filling.take("10", mass, Role.TARE, grams("10"));
        filling.take("50", mass, Role.GROSS, grams("50"));
        assertThatThrownBy(() -> filling.strike("10"))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("full (50) would be less than empty (90)");
        // two devices can bring it about all the same; then it is read with a finding, and either strike is accepted
        for (String mended : List.of("90", "50")) {
            SheetEditing raced = new SheetEditing(
                    filling.sheet().experiment(), filling.sheet().setting());
            raced.add(
                    "90",
                    Admission.line(raced.sheet().experiment(), raced.sheet().setting(), mass, Role.TARE, grams("90")));
            raced.add(
                    "50",
                    Admission.line(raced.sheet().experiment(), raced.sheet().setting(), mass, Role.GROSS, grams("50")));
            assertThat(SheetFindings.of(raced.sheet()))
                    .extracting(Finding::code)
                    .contains("reading.negative-mass");
            raced.strike(mended);
            assertThat(SheetFindings.of(raced.sheet()))
                    .extracting(Finding::code)
                    .doesNotContain("reading.negative-mass");
        }
    }

    @Test
    void anExperimentNobodyKnowsKeepsItsRowsAndSaysSo() {
        Experiment unknown = Experiments.findOrUnknown("bomb-of-a-later-version");
        SheetReader read = SheetReader.of(
                unknown,
                BenchSheet.copper().sheet().setting(),
                List.of(new SheetReader.Row("a", "pellet[1]/mass", "read", grams("1.0"))));
        Reduction reduction = Reduction.of(read.sheet(), Conventions.standard());
        assertThat(read.aside()).containsKey("a");
        assertThat(reduction.findings()).extracting(Finding::code).contains("row.unreadable", "experiment.unknown");
        whole(read.sheet());
    }

    @Test
    void aSchoolOfALaterVersionIsSaid() {
        Sheet sheet = BenchSheet.copper().sheet();
        assertThat(SheetReader.of(
                                sheet.experiment(),
                                sheet.setting(),
                                List.of(),
                                Map.of("water", "4.18", "change", "by-eye"))
                        .sheet()
                        .reservations())
                .singleElement()
                .satisfies(each -> assertThat(each.message()).contains("“change: by-eye”", "What is usual is in use"));
    }

    private static GivenValue word(String text) {
        return new GivenValue(text, null, Optional.empty(), null, "Rowan");
    }

    private static GivenValue grams(String text) {
        return new GivenValue(text, "g", Optional.empty(), null, "Rowan");
    }
}
