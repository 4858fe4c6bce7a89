package lab.sassafras.app.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.HashSet;
import java.util.Set;
import java.util.concurrent.atomic.AtomicLong;
import lab.sassafras.measure.Refused;
import org.junit.jupiter.api.Test;

/** Codes, passwords, and how often one may be wrong. */
class SecretsTest {

    /** Thirty bits: of ten thousand codes hardly two are the same, and each is read as it is meant. */
    @Test
    void codesAreShortAndRarelyMet() {
        Set<String> codes = new HashSet<>();
        for (int i = 0; i < 10_000; i++) {
            String code = Secrets.code();
            assertThat(code).matches("[0-9A-HJKMNP-TV-Z]{6}");
            codes.add(code);
        }
        // 10,000² ÷ 2 ÷ 2³⁰ = 0.05 pairs are to be expected
        assertThat(codes).hasSizeGreaterThan(9_997);
        assertThat(Secrets.typed(" o1l-i0 a\u2013b ")).isEqualTo("01110AB");
        assertThat(Secrets.typed("x".repeat(10_000))).hasSize(12);
    }

    /** Thirty behind one address, three wrong codes each, all get in; one who guesses gets a hundred an hour. */
    @Test
    void aClassGetsInAndOneWhoGuessesDoesNot() {
        AtomicLong clock = new AtomicLong();
        WrongTries tries = new WrongTries(clock::get);
        for (int i = 0; i < 90; i++) {
            tries.check("10.0.0.1");
            tries.wrong("10.0.0.1");
        }
        assertThatCode(() -> tries.check("10.0.0.1")).doesNotThrowAnyException();
        for (int i = 90; i < 100; i++) {
            tries.check("10.0.0.1");
            tries.wrong("10.0.0.1");
        }
        assertThatThrownBy(() -> tries.check("10.0.0.1"))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("Wait an hour");
        assertThatCode(() -> tries.check("10.0.0.2")).doesNotThrowAnyException();
        clock.set(3_599_000_000_000L);
        assertThatThrownBy(() -> tries.check("10.0.0.1")).isInstanceOf(Refused.class);
        clock.set(3_601_000_000_000L);
        assertThatCode(() -> tries.check("10.0.0.1")).doesNotThrowAnyException();
    }

    /** Seventy-two bytes are read by bcrypt and no more: what is longer is refused, not cut. */
    @Test
    void aPasswordIsAsLongAsItIsRead() {
        Passwords passwords = new Passwords();
        String longest = "a".repeat(72);
        String hash = passwords.hash(longest);
        assertThat(hash).startsWith("$2a$11$");
        assertThat(passwords.matches(longest, hash)).isTrue();
        assertThat(passwords.matches(longest + "b", hash)).isFalse();
        assertThatThrownBy(() -> passwords.hash(longest + "b")).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> passwords.hash("sevenly")).hasMessageContaining("at least 8");
        assertThatCode(() -> passwords.hash("eightly!")).doesNotThrowAnyException();
    }
}
