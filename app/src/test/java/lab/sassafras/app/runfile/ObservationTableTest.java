package lab.sassafras.app.runfile;

import static org.assertj.core.api.Assertions.assertThat;

import lab.sassafras.app.record.ForSpreadsheets;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** One cell of the table. */
class ObservationTableTest {

    @ParameterizedTest
    @CsvSource(
            quoteCharacter = '\0',
            delimiter = '|',
            value = {
                "21.3|21.3",
                "-5.0|-5.0",
                "−5,0|−5,0",
                "=1+1|'=1+1",
                "+49 1|'+49 1",
                "@sum|'@sum",
                "-1+1|'-1+1",
                "a=b|a=b"
            })
    void isGuardedWhereASpreadsheetWouldReckon(String text, String cell) {
        assertThat(ForSpreadsheets.guarded(text)).isEqualTo(cell);
    }

    @ParameterizedTest
    @CsvSource({"\t=1", "\n=1", "' =1'", "\r-1+1"})
    void isGuardedBehindWhatCannotBeSeen(String text) {
        assertThat(ForSpreadsheets.guarded(text)).matches("(?s)\"?'.*");
    }
}
