package lab.sassafras.slot;

import java.time.Instant;
import java.util.function.Function;

/**
 * What is needed to say a kept text as a person would.
 *
 * @param words   of the experiment
 * @param path    of the slot
 * @param setting what surrounds the readings
 * @param clock   how an instant is written
 */
public record Telling(Words words, String path, Setting setting, Function<Instant, String> clock) {}
