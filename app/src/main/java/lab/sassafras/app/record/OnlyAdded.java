package lab.sassafras.app.record;

import java.sql.Connection;
import java.sql.SQLException;
import org.h2.api.Trigger;

/** The database's own guard: a row once written is neither changed nor removed. Called by H2. */
public final class OnlyAdded implements Trigger {

    @Override
    public void fire(Connection connection, Object[] oldRow, Object[] newRow) throws SQLException {
        throw new SQLException(
                "What was read, decided, brought in or shown is only ever added; correct it by adding another.",
                "45000");
    }
}
