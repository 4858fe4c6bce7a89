package lab.sassafras.substance;

import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Measured;

/** The handbook part of the shelf, every value with its source. Read once, never changed while running. */
public final class ReferenceShelf {

    /** Goes up when a row changes, so that an entry can say which shelf it was reduced with. */
    public static final int VERSION = 8;

    /** Every value an account may draw on, as it first came onto a shelf: an entry begun before is worked with that. */
    private static final Map<String, Reference> LATER = Table.rows("properties.csv")
            .map(ReferenceShelf::property)
            .collect(Collectors.toMap(Reference::key, each -> each, (first, later) -> first));

    /** Shelves by version; a row stands in those from its since to its until. */
    private static final Map<Integer, ReferenceShelf> VERSIONS = new ConcurrentHashMap<>();

    private static final ReferenceShelf STANDARD = at(VERSION);

    private final List<Substance> substances;
    private final List<Substance> solids;
    private final List<Substance> liquids;
    private final List<Reference> properties;
    private final List<Dissolution> heatsOfSolution;
    private static final ChemicalEquation VAPORIZING = ChemicalEquation.read("H2O(l) -> H2O(g)");
    static final String COMBUSTION = "combustion-";
    /** From this version on heats of combustion stand with the substance, isomers apart. */
    private static final int COMPOUNDS = 5;

    private final Formation formation;
    private final List<Reference> reactions;
    private final DilutionHeats dilutionHeats;
    private final Optional<Beside> beside;
    private final Spelling spelling;
    private final Map<String, Measured> inputs;
    private final Map<Map<String, Integer>, Substance> byAtoms = new HashMap<>();

    private ReferenceShelf(
            List<Substance> substances,
            List<Reference> properties,
            List<Dissolution> heatsOfSolution,
            Formation formation,
            List<Reference> reactions,
            DilutionHeats dilutionHeats,
            Optional<Beside> beside) {
        this.beside = beside;
        this.substances = List.copyOf(substances);
        this.solids = substances.stream().filter(each -> each.kind().solid()).toList();
        this.liquids = substances.stream().filter(each -> !each.kind().solid()).toList();
        this.properties = List.copyOf(properties);
        this.heatsOfSolution = List.copyOf(heatsOfSolution);
        this.formation = formation;
        this.reactions = List.copyOf(reactions);
        this.dilutionHeats = dilutionHeats;
        this.spelling = new Spelling(formation, heatsOfSolution, substances);
        Map<String, Measured> all = new HashMap<>();
        LATER.values().forEach(each -> all.put("shelf:" + each.key(), each.asInput()));
        properties.forEach(each -> all.put("shelf:" + each.key(), each.asInput()));
        formation.rows().forEach(each -> all.putIfAbsent(each.input(), each.asInput()));
        substances.forEach(each ->
                all.put("shelf:" + each.key(), each.specificHeatOnRecord().asInput()));
        beside.ifPresent(own ->
                own.combustions().forEach(each -> all.putIfAbsent("shelf:" + each.key(), each.asInput())));
        this.inputs = Map.copyOf(all);
        substances.stream()
                .filter(each -> !each.formula().isEmpty())
                .forEach(each ->
                        byAtoms.putIfAbsent(ChemicalFormula.read(each.formula()).atoms(), each));
    }

    /** {@return every value an account may draw on, as an input of that name: {@code shelf:} and its key} */
    public Map<String, Measured> inputs() {
        return inputs;
    }

    /** {@return heats of solution in water, 25 °C} */
    public List<Dissolution> heatsOfSolution() {
        return heatsOfSolution;
    }

    /** {@return equations that classes measure, with what they are called, to be picked} */
    public Map<String, String> commonReactions() {
        Map<String, String> reactions = new LinkedHashMap<>();
        Table.rows("common-reactions.csv").forEach(cell -> reactions.put(cell[0], cell[1]));
        return reactions;
    }

    /** {@return how chemistry is read as people type it, with the names this shelf knows} */
    public Spelling spelling() {
        return spelling;
    }

    /** {@return what dilution makes of a heat of solution} */
    public DilutionHeats dilutionHeats() {
        return dilutionHeats;
    }

    /** {@return enthalpies of formation} */
    public Formation formation() {
        return formation;
    }

    /** {@return heats of reactions, keyed by their equation (kJ per mole as written)} */
    public List<Reference> reactions() {
        return reactions;
    }

    /**
     * {@return the heat of solution of exactly this formula at the dilution nearest to the bench's}
     *
     * @param formula what is looked for
     * @param waters  moles of water to each mole at the bench
     */
    public Optional<Dissolution> heatOfSolution(ChemicalFormula formula, double waters) {
        return heatsOfSolution.stream()
                .filter(each -> each.formula().sameAs(formula))
                .min(Comparator.comparingDouble(each -> each.distance(waters)));
    }

    /**
     * {@return the solid or liquid of this formula, where the shelf has its specific heat}
     *
     * @param formula what is looked for
     */
    public Optional<Substance> byFormula(ChemicalFormula formula) {
        return Optional.ofNullable(byAtoms.get(formula.atoms())).filter(any -> formula.charge() == 0);
    }

    /** {@return single values of water and ice that accounts draw on} */
    public List<Reference> properties() {
        return properties;
    }

    /**
     * {@return the value of that name; where it came onto the shelf later than this one, as it came}
     *
     * @param key stable name
     * @throws IllegalArgumentException for a property nobody put on the shelf
     */
    public Reference property(String key) {
        return properties.stream()
                .filter(each -> each.key().equals(key))
                .findFirst()
                .or(() -> Optional.ofNullable(LATER.get(key)))
                .or(() -> beside.flatMap(own -> own.combustions().stream()
                        .filter(each -> each.key().equals(key))
                        .findFirst()))
                .orElseThrow(() -> new IllegalArgumentException("nothing on the shelf is called " + key));
    }

    /**
     * {@return the enthalpy of combustion of a fuel, to liquid water at 25 °C (kJ/mol); empty where the shelf has none,
     * or the formula may stand for several substances}
     *
     * @param fuel whose structure is looked for, however it is written
     */
    public Optional<Reference> combustion(ChemicalFormula fuel) {
        return beside.stream()
                .flatMap(each -> each.combustions().stream())
                .filter(each -> same(ChemicalFormula.read(each.key()), fuel))
                .findFirst()
                .or(() -> Compounds.of(fuel)
                        .flatMap(compound -> properties.stream()
                                .filter(each -> each.key().equals(COMBUSTION + compound.key())
                                        || each.key().equals(COMBUSTION + compound.was())
                                        || each.key()
                                                .equals(COMBUSTION
                                                        + compound.formula().text()))
                                .findFirst()));
    }

    /**
     * {@return the enthalpy of combustion of a fuel at 25 °C to liquid water or to its vapour (kJ/mol); empty where the
     * shelf has none}
     *
     * @param fuel   whose composition is looked for, however it is written
     * @param vapour whether the water formed stays vapour
     */
    public Optional<Reference> combustion(ChemicalFormula fuel, boolean vapour) {
        return combustion(fuel)
                .map(row -> !vapour
                        ? row
                        : new Reference(
                                row.key(),
                                row.name().replace("to liquid water", "to water vapour"),
                                row.value() + heldByVapour(fuel),
                                row.uncertainty(),
                                row.unit(),
                                row.source(),
                                row.opened()));
    }

    /**
     * {@return what the water of one mole of a fuel keeps back as vapour (kJ/mol), by its two heats of formation}
     *
     * @param fuel as typed
     */
    public double heldByVapour(ChemicalFormula fuel) {
        double each = formation.heat(VAPORIZING).orElseThrow().value();
        return fuel.atoms().getOrDefault("H", 0) / 2.0 * each;
    }

    /** {@return liquids} */
    public List<Substance> liquids() {
        return liquids;
    }

    /** {@return the newest} */
    public static ReferenceShelf standard() {
        return STANDARD;
    }

    /**
     * {@return as it was at a version, for entries reduced with that one; the newest where the version is later than
     * this program}
     *
     * @param version of the shelf, from 1
     */
    public static ReferenceShelf at(int version) {
        return VERSIONS.computeIfAbsent(
                Math.max(1, Math.min(version, VERSION)),
                any -> new ReferenceShelf(
                        rows("specific-heats.csv", any)
                                .map(ReferenceShelf::substance)
                                .toList(),
                        Stream.concat(
                                        rows("properties.csv", any).map(ReferenceShelf::property),
                                        Compounds.all().stream()
                                                .filter(all -> any >= COMPOUNDS)
                                                .map(Compounds.Compound::combustion))
                                .toList(),
                        rows("heats-of-solution.csv", any)
                                .map(ReferenceShelf::dissolution)
                                .toList(),
                        new Formation(
                                rows("formation.csv", any)
                                        .map(ReferenceShelf::formation)
                                        .toList(),
                                rows("heat-capacities.csv", any)
                                        .map(ReferenceShelf::capacity)
                                        .toList()),
                        rows("reaction-heats.csv", any)
                                .map(ReferenceShelf::reaction)
                                .toList(),
                        new DilutionHeats(rows("dilution-heats.csv", any)
                                .map(ReferenceShelf::dilutionHeat)
                                .toList()),
                        Optional.empty()));
    }

    /**
     * What a class put beside the handbook. What both have goes by the class.
     *
     * @param substances      solids and liquids
     * @param heatsOfSolution of salts
     * @param formation       enthalpies of formation
     * @param reactions       heats of reactions, keyed by their equation (kJ per mole as written)
     * @param combustions     enthalpies of combustion to liquid water, keyed by the formula of the fuel (kJ/mol)
     */
    public record Beside(
            List<Substance> substances,
            List<Dissolution> heatsOfSolution,
            List<Formation.Row> formation,
            List<Reference> reactions,
            List<Reference> combustions) {}

    /**
     * {@return this handbook with what a class put beside it}
     *
     * @param beside what it is
     */
    public ReferenceShelf with(Beside beside) {
        return new ReferenceShelf(
                joined(substances, beside.substances()),
                properties,
                joined(beside.heatsOfSolution(), heatsOfSolution),
                new Formation(joined(beside.formation(), formation.rows()), formation.capacities()),
                joined(beside.reactions(), reactions),
                dilutionHeats,
                Optional.of(beside));
    }

    /**
     * {@return heat of a reaction (kJ per mole of the equation as written): what the class put on the shelf for this
     * very equation, else what follows from the enthalpies of formation; empty where neither is known}
     *
     * @param equation balanced
     */
    public Optional<Reference> heat(ChemicalEquation equation) {
        return beside.stream()
                .flatMap(each -> each.reactions().stream())
                .filter(each -> ChemicalEquation.read(each.key()).sameAs(equation))
                .findFirst()
                .or(() -> formation.heat(equation));
    }

    private static boolean same(ChemicalFormula one, ChemicalFormula other) {
        return one.sameAs(other)
                && !Compounds.apart(one, other)
                && Compounds.several(other).isEmpty();
    }

    private static <T> List<T> joined(List<T> first, List<T> then) {
        return Stream.concat(first.stream(), then.stream()).toList();
    }

    /** {@return solids and liquids} */
    public List<Substance> all() {
        return substances;
    }

    /** {@return the specific heats of the solids (J/(g·°C))} */
    public List<Double> solidHeats() {
        return solids().stream().map(Substance::specificHeat).toList();
    }

    /** {@return solids} */
    public List<Substance> solids() {
        return solids;
    }

    /**
     * {@return the substance of that key; empty for an unknown one}
     *
     * @param key stable name
     */
    public Optional<Substance> find(String key) {
        return substances.stream().filter(each -> each.key().equals(key)).findFirst();
    }

    private static Stream<String[]> rows(String resource, int version) {
        return Table.rows(resource).filter(cell -> stands(cell[cell.length - 2], cell[cell.length - 1], version));
    }

    /** Whether a row with such a since and until, the latter empty while it stands, is on a version of the shelf. */
    static boolean stands(String since, String until, int version) {
        return Integer.parseInt(since) <= version && (until.isEmpty() || version <= Integer.parseInt(until));
    }

    private static Dissolution dissolution(String[] cell) {
        OptionalInt waters =
                cell[1].equals("infinite") ? OptionalInt.empty() : OptionalInt.of(Integer.parseInt(cell[1]));
        return new Dissolution(
                ChemicalFormula.read(cell[0]),
                waters,
                new Reference(
                        cell[0],
                        cell[2] + ", " + Dissolution.words(waters),
                        Double.parseDouble(cell[3]),
                        Double.parseDouble(cell[4]),
                        BenchUnit.of(cell[5]).orElseThrow(),
                        cell[6],
                        cell[7].equals("opened")));
    }

    private static DilutionHeats.Row dilutionHeat(String[] cell) {
        return new DilutionHeats.Row(
                ChemicalFormula.read(cell[0]),
                Double.parseDouble(cell[1]),
                Double.parseDouble(cell[2]),
                Double.parseDouble(cell[3]),
                Double.parseDouble(cell[4]));
    }

    private static Formation.Row formation(String[] cell) {
        int decimals = cell[2].indexOf('.') < 0 ? 0 : cell[2].length() - cell[2].indexOf('.') - 1;
        return new Formation.Row(
                formula(cell[0]),
                state(cell[0]),
                cell[1],
                Double.parseDouble(cell[2]),
                decimals,
                cell[3].isEmpty() ? OptionalDouble.empty() : OptionalDouble.of(Double.parseDouble(cell[3])),
                cell[4].isEmpty() ? Formation.SOURCE : cell[4]);
    }

    private static Formation.Capacity capacity(String[] cell) {
        return new Formation.Capacity(formula(cell[0]), state(cell[0]), Double.parseDouble(cell[1]));
    }

    private static ChemicalFormula formula(String species) {
        return ChemicalFormula.orElectron(species.substring(0, species.lastIndexOf('(')));
    }

    private static String state(String species) {
        return species.substring(species.lastIndexOf('(') + 1, species.length() - 1);
    }

    private static Reference reaction(String[] cell) {
        return new Reference(
                cell[0],
                cell[0],
                Double.parseDouble(cell[1]),
                Double.parseDouble(cell[2]),
                BenchUnit.KILOJOULES_PER_MOLE,
                cell[3],
                cell[4].equals("opened"));
    }

    private static Reference property(String[] cell) {
        return new Reference(
                cell[0],
                cell[1],
                Double.parseDouble(cell[2]),
                Double.parseDouble(cell[3]),
                BenchUnit.of(cell[4]).orElseThrow(),
                cell[5],
                cell[6].equals("opened"));
    }

    private static Substance substance(String[] cell) {
        return new Substance(
                cell[0],
                cell[1],
                Substance.Kind.valueOf(cell[2]),
                cell[3],
                Double.parseDouble(cell[4]),
                Double.parseDouble(cell[5]),
                Double.parseDouble(cell[6]),
                cell[7],
                cell[8].equals("yes"),
                cell[9].equals("yes"),
                cell[10].equals("yes"),
                cell[12].equals("agrees") ? cell[11] + "; agrees with two open element tables" : cell[11],
                cell[12].equals("opened"));
    }
}
