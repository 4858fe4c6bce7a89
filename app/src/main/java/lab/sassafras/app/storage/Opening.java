package lab.sassafras.app.storage;

import java.io.IOException;
import java.net.BindException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.UnknownHostException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import org.jspecify.annotations.Nullable;

/**
 * Opens the book before anything else starts, so that whatever is wrong is said at once. The connection is held until
 * the application has its own: the database is opened once.
 */
public final class Opening implements AutoCloseable {

    /** The newest schema this version knows; the migrations beside it say the same. */
    public static final int SCHEMA = 27;

    private final @Nullable Connection connection;

    private Opening(@Nullable Connection connection) {
        this.connection = connection;
    }

    /**
     * Opens the book in a folder, or makes sure that a new one may be begun there.
     *
     * @param address the server is to listen on
     * @param port    likewise; 0 for any
     */
    public static Opening of(Path folder, String address, int port) throws CannotOpen {
        Home home = new Home(folder.toAbsolutePath().normalize());
        writable(home);
        there(home);
        free(home);
        listening(address, port);
        @Nullable Connection book = opened(home);
        if (!loopback(address) && (book == null || instructors(book) == 0)) {
            throw new CannotOpen("The book in " + home.folder()
                    + " has no instructor yet, so it is opened on this machine only: start without SASSAFRAS_ADDRESS, make "
                    + "the first account at the address printed then, and start again.");
        }
        return new Opening(book);
    }

    /** A port as it was set. */
    public static int port(String typed) throws CannotOpen {
        if (typed.matches("\\d{1,5}") && Integer.parseInt(typed) <= 65535) {
            return Integer.parseInt(typed);
        }
        throw new CannotOpen(
                "“" + typed + "” is not a port: set SASSAFRAS_PORT to a number from 1 to 65535, such as 8420.");
    }

    private static void writable(Home home) throws CannotOpen {
        try {
            Files.createDirectories(home.folder());
            Files.delete(Files.createTempFile(home.folder(), "writable", ""));
        } catch (IOException | SecurityException failed) {
            throw new CannotOpen("The folder " + home.folder()
                    + " cannot be written to, so no book can be kept in it: make it writable and give the "
                    + "disk room, or name another with SASSAFRAS_HOME.");
        }
    }

    private static void there(Home home) throws CannotOpen {
        boolean file = Files.exists(home.book());
        if (file && size(home.book()) == 0 || !file && Files.exists(home.begun())) {
            throw new CannotOpen(
                    "There was a book in " + home.folder() + ", and its file book.mv.db is " + (file ? "empty" : "gone")
                            + ": bring the last back-up back with ./restore FILE, or remove "
                            + home.begun().getFileName()
                            + (file ? " and book.mv.db" : "") + " to begin an empty book.");
        }
    }

    private static long size(Path file) {
        try {
            return Files.size(file);
        } catch (IOException gone) {
            return 0;
        }
    }

    private static void free(Home home) throws CannotOpen {
        if (!Files.exists(home.book())) {
            return;
        }
        try (FileChannel channel = FileChannel.open(home.book(), StandardOpenOption.WRITE);
                FileLock lock = channel.tryLock()) {
            if (lock == null) {
                throw new CannotOpen("The book in " + home.folder() + " is open in another Sassafras"
                        + RunningServer.where(home) + ": use that one, or close it first.");
            }
        } catch (OverlappingFileLockException here) {
            throw new CannotOpen("The book in " + home.folder() + " is open already.");
        } catch (IOException failed) {
            throw new CannotOpen("The file " + home.book()
                    + " cannot be written to: make it writable, or name another folder with SASSAFRAS_HOME.");
        }
    }

    private static void listening(String address, int port) throws CannotOpen {
        try (ServerSocket probe = new ServerSocket(port, 1, InetAddress.getByName(address))) {
            probe.getLocalPort();
        } catch (UnknownHostException unknown) {
            throw notHere(address);
        } catch (BindException taken) {
            if (port == 0) {
                throw notHere(address);
            }
            listening(address, 0);
            throw new CannotOpen("Port " + port + " of " + address
                    + " is taken by another program or is not allowed: choose another, such as " + "SASSAFRAS_PORT="
                    + (port == 65535 ? 8420 : port + 1) + ".");
        } catch (IOException | IllegalArgumentException failed) {
            throw new CannotOpen("The server cannot listen on " + address + ", port " + port
                    + ": choose others with SASSAFRAS_ADDRESS and " + "SASSAFRAS_PORT.");
        }
    }

    private static CannotOpen notHere(String address) {
        return new CannotOpen("“" + address
                + "” is not an address of this machine: set SASSAFRAS_ADDRESS to one, such as 127.0.0.1.");
    }

    private static @Nullable Connection opened(Home home) throws CannotOpen {
        if (!Files.exists(home.book())) {
            return null;
        }
        try {
            Connection connection = DriverManager.getConnection(home.url() + ";IFEXISTS=TRUE", "sa", "");
            int schema = schema(connection);
            if (schema > SCHEMA) {
                connection.close();
                throw new CannotOpen(
                        "The book in " + home.folder() + " was written by a later version of Sassafras (its schema is "
                                + schema + ", this version knows " + SCHEMA
                                + "): start that version, or bring back a back-up made before it.");
            }
            return connection;
        } catch (SQLException damaged) {
            throw new CannotOpen("The book " + home.book()
                    + " is damaged or was not written by Sassafras, and cannot be opened: nothing was changed; "
                    + "bring the last back-up back with ./restore FILE.");
        }
    }

    private static boolean loopback(String address) {
        try {
            return InetAddress.getByName(address).isLoopbackAddress();
        } catch (UnknownHostException unknown) {
            return false;
        }
    }

    private static int instructors(Connection book) {
        try (Statement sql = book.createStatement();
                ResultSet many = sql.executeQuery("select count(*) from instructor")) {
            many.next();
            return many.getInt(1);
        } catch (SQLException none) {
            // a book from before there were people
            return 0;
        }
    }

    private static int schema(Connection connection) throws SQLException {
        try (Statement sql = connection.createStatement();
                ResultSet known = sql.executeQuery("select count(*) from information_schema.tables "
                        + "where table_name = 'flyway_schema_history'")) {
            known.next();
            if (known.getInt(1) == 0) {
                return 0;
            }
        }
        try (Statement sql = connection.createStatement();
                ResultSet newest = sql.executeQuery(
                        "select max(cast(\"version\" as int)) " + "from \"flyway_schema_history\" where \"success\"")) {
            newest.next();
            return newest.getInt(1);
        }
    }

    /** Lets go, once the application has the book open. */
    @Override
    public void close() {
        try {
            if (connection != null) {
                connection.close();
            }
        } catch (SQLException gone) {
            // the application holds its own
        }
    }
}
