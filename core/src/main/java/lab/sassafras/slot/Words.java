package lab.sassafras.slot;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Properties;
import lab.sassafras.expression.Symbol;

/**
 * An experiment's block of words: {@code words.properties} (UTF-8) beside its class, over the words for places every
 * experiment may have.
 */
public final class Words {

    private static final Properties COMMON = read(Words.class, new Properties());

    private static final String SYMBOL = ".symbol";

    private final Map<String, String> words = new HashMap<>();
    private final Map<String, Symbol> symbols = new HashMap<>();
    private final String origin;

    private Words(Properties properties, String origin) {
        properties
                .stringPropertyNames()
                .forEach(key -> words.put(key, properties.getProperty(key).strip()));
        words.forEach((key, word) -> {
            if (key.endsWith(SYMBOL) && !word.isEmpty()) {
                symbols.put(key.substring(0, key.length() - SYMBOL.length()), Symbol.of(word));
            }
        });
        this.origin = origin;
    }

    /**
     * {@return the block of words beside a class}
     *
     * @param experiment the class the block lies beside
     */
    public static Words beside(Class<?> experiment) {
        return new Words(block(experiment), experiment.getName());
    }

    /** The block beside a class over that beside the class it extends, where that has one of its own. */
    private static Properties block(Class<?> experiment) {
        Class<?> above = experiment.getSuperclass();
        boolean shared = above != null
                && above != Object.class
                && !above.getPackage().equals(Words.class.getPackage())
                && above.getResource("words.properties") != null;
        return read(experiment, new Properties(shared ? block(above) : COMMON));
    }

    /**
     * {@return a title and a lead, where there is no block}
     *
     * @param title of the experiment
     * @param lead  below it
     */
    public static Words plain(String title, String lead) {
        Properties properties = new Properties();
        properties.setProperty("title", title);
        properties.setProperty("lead", lead);
        return new Words(properties, title);
    }

    private static Properties read(Class<?> beside, Properties into) {
        try (InputStream in = beside.getResourceAsStream("words.properties")) {
            if (in == null) {
                throw new IllegalStateException("no words.properties beside " + beside.getName());
            }
            into.load(new InputStreamReader(in, StandardCharsets.UTF_8));
            return into;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * {@return the word}
     *
     * @param key stable name
     * @throws IllegalStateException for a word nobody wrote
     */
    public String get(String key) {
        String word = words.get(key);
        if (word == null || word.isEmpty()) {
            throw missing(key);
        }
        return word;
    }

    private IllegalStateException missing(String key) {
        return new IllegalStateException("no word “" + key + "” for " + origin);
    }

    /**
     * {@return a word; empty where nobody wrote it}
     *
     * @param key stable name
     */
    public Optional<String> find(String key) {
        return Optional.ofNullable(words.get(key)).filter(word -> !word.isEmpty());
    }

    /** {@return the title of the experiment} */
    public String title() {
        return get("title");
    }

    /**
     * {@return what the sheet calls a slot}
     *
     * @param path group and slot, as an experiment declares them
     */
    public String label(String path) {
        return get(path);
    }

    /**
     * {@return what the bench page asks for}
     *
     * @param path group and slot, as an experiment declares them
     */
    public String ask(String path) {
        return get(path + ".ask");
    }

    /**
     * {@return how to do a step well; empty where nothing needs saying}
     *
     * @param path group and slot, as an experiment declares them
     */
    public Optional<String> help(String path) {
        return find(path + ".help");
    }

    /**
     * {@return what can hurt at this step, said before the hand moves}
     *
     * @param path group and slot, as an experiment declares them
     */
    public Optional<String> caution(String path) {
        return find(path + ".caution");
    }

    /**
     * {@return the symbol of a slot}
     *
     * @param path group and slot, as an experiment declares them
     */
    public Symbol symbol(String path) {
        Symbol symbol = symbols.get(path);
        if (symbol == null) {
            throw missing(path + SYMBOL);
        }
        return symbol;
    }

    /**
     * {@return an answer in words}
     *
     * @param path   group and slot, as an experiment declares them
     * @param option one of the answers
     */
    public String option(String path, String option) {
        return get(path + "." + option);
    }
}
