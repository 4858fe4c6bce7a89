package lab.sassafras.expression;

import java.util.Map;

/**
 * How letters and units of the working are written.
 *
 * @param temperature letter for a temperature
 * @param units       units written another way, by their usual symbol
 */
public record Script(String temperature, Map<String, String> units) {

    /** As the bench writes. */
    public static final Script PLAIN = new Script("T", Map.of());

    /**
     * {@return a symbol as this script writes it}
     *
     * @param symbol as written in the working
     */
    public Symbol symbol(Symbol symbol) {
        return symbol.letter().equals("T") ? new Symbol(temperature, symbol.word()) : symbol;
    }

    /** A number with units in words, such as 1000 mL/L. */
    String words(String text) {
        return units.entrySet().stream()
                .reduce(text, (so, each) -> so.replace(each.getKey(), each.getValue()), (one, other) -> one);
    }

    String unit(String symbol) {
        return units.getOrDefault(symbol, symbol);
    }
}
