package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Decision;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.Observation;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.Shown;
import lab.sassafras.app.record.ShownBook;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.EntrySheets;
import lab.sassafras.app.usecase.AdoptConstant;
import lab.sassafras.calibration.FoundConstant;
import lab.sassafras.convention.ConventionQuestion;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/** A result is worked once, and anew as soon as anything it rests on has changed. */
class KeptResultTest extends HouseTest {

    @Autowired
    private ShownBook shownBook;

    @Autowired
    private EntrySheets sheets;

    @Autowired
    private AdoptConstant adopting;

    @Autowired
    private JdbcTemplate database;

    private EntrySheet changed(Entry entry, EntrySheet before) {
        EntrySheet after = sheets.of(entry);
        assertThat(after).isNotSameAs(before);
        assertThat(sheets.of(entry)).as("and is kept from then on").isSameAs(after);
        return after;
    }

    @Test
    void itIsMadeAnewByAReadingADecisionATrialAndAnythingPutOnTheShelf() {
        Entry entry = imported("2-grey-slug.json");
        EntrySheet first = sheets.of(entry);
        assertThat(sheets.of(entry)).isSameAs(first);
        assertThat(first.reduction().drawn(1))
                .isSameAs(first.reduction().drawn(1))
                .isPresent();

        Observation mass = first.observations().standingAt("mixed[1]/final").get(0);
        observationBook.keep(
                UUID.randomUUID(),
                entry.id(),
                new Observation.Given(
                        mass.address(),
                        mass.role(),
                        "",
                        null,
                        Optional.empty(),
                        null,
                        "Hawthorn",
                        Optional.of(mass.id()),
                        "slip"));
        EntrySheet struck = changed(entry, first);
        assertThat(struck.reduction().result().map(each -> each.value()))
                .isNotEqualTo(first.reduction().result().map(each -> each.value()));
        decisionBook.decide(Optional.of(entry.id()), Decision.Kind.SCHOOL, "water", "4.18", "test", "Hawthorn");
        EntrySheet settled = changed(entry, struck);
        entryBook.open(entry.id(), EntryBook.TRIAL, "Hawthorn");
        EntrySheet opened = changed(entry, settled);
        calorimeters.add("a cup for the shelf", lab.sassafras.slot.VesselKind.GLASS_BEAKER);
        EntrySheet shelved = changed(entry, opened);
        Entry found = imported("1-calibration.json");
        var constant = adopting.adopt(sheets.of(found), "for the test", newest(found), Actor.house("Hawthorn"))
                .orThrow();
        EntrySheet adopted = changed(entry, shelved);
        calorimeters.decide(constant, Decision.ASIDE, "for the test", "Hawthorn");
        changed(entry, adopted);
    }

    /** A bench called otherwise, and conventions settled anew while nothing is read yet, are in the page at once. */
    @Test
    void itIsMadeAnewByWhatIsChangedAroundIt() {
        Period period = period("Settled anew");
        Bench bench = periodBook.join(period, "Juniper");
        Entry entry = entryBook.begin(
                bench, new Entry.Plan("heat-of-solution", 1, 1, Optional.empty(), Optional.empty(), Map.of()));
        sheets.of(entry);
        periodBook.rename(bench, "Elder");
        EntrySheet renamed = sheets.of(entryBook.find(entry.id()).orElseThrow());
        assertThat(renamed.entry().bench().name()).isEqualTo("Elder");
        periodBook.settle(period, Map.of("water", "4.18"), Map.of(), "", "");
        EntrySheet settled = sheets.of(entryBook.find(entry.id()).orElseThrow());
        assertThat(settled).isNotSameAs(renamed);
        assertThat(settled.conventions().in(ConventionQuestion.WATER).key()).isEqualTo("4.18");
        assertThat(sheets.of(entryBook.find(entry.id()).orElseThrow())).isSameAs(settled);
    }

    /** An entry that draws on another is worked anew when that one changes. */
    @Test
    void itIsMadeAnewByTheEntriesItDrawsOn() {
        Entry source = imported("8-salt.json");
        Entry entry = entryBook.begin(
                source.bench(),
                new Entry.Plan("vessel-from-layers", 1, 1, Optional.empty(), Optional.empty(), java.util.Map.of()));
        String reference = sheets.of(entry).experiment().groups().stream()
                .flatMap(group -> group.slots().stream()
                        .filter(slot ->
                                slot.elsewhere().equals(java.util.Optional.of(lab.sassafras.slot.Slot.Elsewhere.ENTRY)))
                        .map(slot -> group.key() + "[1]/" + slot.key()))
                .findFirst()
                .orElseThrow();
        observationBook.keep(
                UUID.randomUUID(),
                entry.id(),
                new Observation.Given(
                        reference,
                        "stated",
                        source.id().toString(),
                        null,
                        Optional.empty(),
                        null,
                        "Hawthorn",
                        Optional.empty(),
                        null));
        EntrySheet first = sheets.of(entry);
        assertThat(first.stamps()).hasSize(2);
        assertThat(sheets.of(entry)).isSameAs(first);
        decisionBook.decide(Optional.of(source.id()), Decision.Kind.TRIAL, "trial[1]", "out", "splashed", "Hawthorn");
        changed(entry, first);
    }

    @Test
    void aNumberIsNotedWhenFirstShownAndAnotherOneFromTheSameReadingsIsSaid() {
        Entry entry = imported("1-calibration.json");
        assertThat(get("/entries/" + entry.id() + "/result?open=all").body())
                .doesNotContain("these same readings gave");
        double shown = sheets.of(entry)
                .reduction()
                .constant()
                .map(FoundConstant::constant)
                .orElseThrow()
                .value();
        assertThat(database.queryForObject("select result from shown where entry_id = ?", Double.class, entry.id()))
                .isEqualTo(shown);
        String state = database.queryForObject("select state from shown where entry_id = ?", String.class, entry.id());
        // as if an earlier method had given 9.10 from these readings
        shownBook.note(new Shown.Key(entry.id(), state, 0), 9.1, 0.4, "J/°C");
        calorimeters.add("another cup, so that nothing is kept", lab.sassafras.slot.VesselKind.FOAM_CUP);
        assertThat(get("/entries/" + entry.id() + "/result?open=all").body())
                .contains("these same readings gave 9.10 ± 0.40 J/°C (standard uncertainty), by method 0");
    }
}
