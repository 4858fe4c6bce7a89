package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.FaultInjection;
import lab.sassafras.app.shelf.Calibration;
import lab.sassafras.app.shelf.Vessel;
import lab.sassafras.measure.Measured;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** A disk that fills and a clock that is set back while the book is in use. */
class WeatherInUseTest extends HouseTest {

    @AfterEach
    void fair() {
        FaultInjection.fair();
    }

    @Test
    void onAFullDiskValuesAreRefusedInWordsPagesGoOnAndKeepingGoesOnByItself() {
        Entry entry = imported("4-still-at-the-bench.json");
        Hand hand = new Hand(address("")).join("/periods/" + entry.period().id(), "Hawthorn");
        String path = "/entries/" + entry.id();
        FaultInjection.diskFull();
        HttpResponse<String> refused = hand.keep(path, UUID.randomUUID(), "water[1]/start", "read", "21.37", "°C");
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("the disk the book lies on is full", "value=\"21.37\"");
        assertThat(hand.post(path + "/open", "what=trial").statusCode()).isEqualTo(507);
        HttpResponse<String> vessel = hand.post("/shelf/vessels", "vessel=F-99&vesselKind=foam-cup");
        assertThat(vessel.statusCode()).isEqualTo(422);
        assertThat(vessel.body()).contains("the disk the book lies on is full", "value=\"F-99\"");
        assertThat(hand.upload("run.json", demo("1-calibration.json")).body())
                .containsAnyOf("the disk the book lies on is full", "brought in before");
        for (String page : List.of(
                path,
                path + "/result",
                path + "/observations.csv",
                "/notebook?period=" + entry.period().id(),
                "/shelf")) {
            assertThat(get(page).statusCode()).as(page).isEqualTo(200);
        }
        assertThat(get("/health").body()).contains("\"DOWN\"");

        FaultInjection.fair();
        assertThat(hand.keep(path, UUID.randomUUID(), "water[1]/start", "read", "21.37", "°C")
                        .statusCode())
                .isEqualTo(302);
        assertThat(get("/health").body()).contains("\"UP\"");
    }

    /** What came later is later, whatever the clock says. */
    @Test
    void aClockSetBackChangesNoOrder() {
        Entry first = imported("4-still-at-the-bench.json");
        Vessel cup = equip("clock");
        calorimeters.add(
                cup,
                Optional.empty(),
                Measured.independent(8, 1),
                100,
                new Calibration.Adoption("first", "Alder", "test"));
        FaultInjection.clockOff(Duration.ofDays(-400));
        Calibration second = calorimeters.add(
                cup,
                Optional.empty(),
                Measured.independent(9, 1),
                100,
                new Calibration.Adoption("second", "Alder", "test"));
        Entry later = entryBook.begin(
                first.bench(),
                new Entry.Plan("fusion-of-ice", 1, 2, Optional.empty(), Optional.empty(), java.util.Map.of()));
        assertThat(shelves.now().inUse(cup).map(Calibration::id)).contains(second.id());
        assertThat(entryBook.of(first.bench()).get(0).id()).isEqualTo(later.id());
        assertThat(later.createdAt()).isBefore(first.createdAt());
    }
}
