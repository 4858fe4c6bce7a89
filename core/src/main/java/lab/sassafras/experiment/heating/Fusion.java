package lab.sassafras.experiment.heating;

import java.util.Optional;
import lab.sassafras.substance.Reference;
import lab.sassafras.substance.ReferenceShelf;

/**
 * When something melts, and with how much heat.
 *
 * @param name in words
 * @param at   its melting point (°C)
 * @param heat of fusion (J/g)
 */
record Fusion(String name, double at, double heat) {

    /** {@return what the shelf knows of it, by the key of its heat of fusion; empty where it does not know both} */
    static Optional<Fusion> on(ReferenceShelf shelf, String key) {
        return row(shelf, key)
                .flatMap(heat -> row(shelf, MeltsOnShelf.point(key))
                        .filter(point -> !point.key().equals(heat.key()))
                        .map(point -> new Fusion(
                                heat.name().replace("heat of fusion of ", ""), point.value(), heat.value())));
    }

    /** {@return what stands on the shelf under a key} */
    static Optional<Reference> row(ReferenceShelf shelf, String key) {
        return shelf.properties().stream()
                .filter(each -> each.key().equals(key))
                .findFirst();
    }
}
