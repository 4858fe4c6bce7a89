package lab.sassafras.app.storage;

import java.nio.file.Path;

/**
 * The folder everything is kept in.
 *
 * @param folder absolute
 */
record Home(Path folder) {

    /** The database. */
    Path book() {
        return folder.resolve("book.mv.db");
    }

    /** That there was a book here once. */
    Path begun() {
        return folder.resolve("book.begun");
    }

    /** Where the running server can be reached, and the word it obeys; only its owner can read it. */
    Path running() {
        return folder.resolve("running.properties");
    }

    Path backUps() {
        return folder.resolve("back-ups");
    }

    String url() {
        return "jdbc:h2:file:" + folder.resolve("book") + ";WRITE_DELAY=0;QUERY_CACHE_SIZE=256;DB_CLOSE_ON_EXIT=FALSE";
    }
}
