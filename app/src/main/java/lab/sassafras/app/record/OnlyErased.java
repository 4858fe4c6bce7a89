package lab.sassafras.app.record;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.Objects;
import org.h2.api.Trigger;

/**
 * The database's guard over names: a name that was given stays, but for one that is erased once and replaced by a
 * number. Called by H2.
 */
public final class OnlyErased implements Trigger {

    private static final int NAME = 3;
    private static final int ERASED = 5;

    @Override
    public void fire(Connection connection, Object[] oldRow, Object[] newRow) throws SQLException {
        boolean erases = newRow != null && Boolean.FALSE.equals(oldRow[ERASED]) && Boolean.TRUE.equals(newRow[ERASED]);
        for (int i = 0; erases && i < ERASED; i++) {
            erases = i == NAME || Objects.equals(oldRow[i], newRow[i]);
        }
        if (!erases) {
            throw new SQLException("A name that was given stays, until it is erased; give another one.", "45000");
        }
    }
}
