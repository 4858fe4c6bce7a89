package lab.sassafras.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What things may be called, and when they may have been. */
class NamesTest {

    @ParameterizedTest
    @ValueSource(strings = {"Bench 4", "Hölderlin", "第四組", "Ω-2", "F–07 (new)", "🧪 4"})
    void whatCanBeSeenIsAName(String name) {
        assertThat(Names.checked(" " + name + " ", "A name", 20)).isEqualTo(name);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", " ", "\u00a0", "\u200b", "a\u202eb", "a\u0007b", "a\nb", "\ud800", "\u2028"})
    void whatCannotBeSeenIsNone(String name) {
        assertThatThrownBy(() -> Names.checked(name, "A name", 20))
                .isInstanceOf(Refused.class)
                .hasMessageStartingWith("A name");
    }

    @Test
    void aNameHasAnEnd() {
        assertThatThrownBy(() -> Names.checked("x".repeat(21), "A name", 20))
                .hasMessageContaining("at most 20 characters; this one has 21");
    }

    @ParameterizedTest
    @ValueSource(strings = {"+1000000000-12-31T23:59:59Z", "1899-12-31T23:59:59Z", "2200-01-01T00:00:00Z", "yesterday"})
    void momentsAreThoseABenchCanHaveSeen(String moment) {
        assertThatThrownBy(() -> BookTime.instant(moment))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("1900 to 2199");
        assertThatThrownBy(() -> BookTime.day(moment)).isInstanceOf(Refused.class);
        assertThat(BookTime.instant("2026-11-26T18:00:00Z")).isNotNull();
    }
}
