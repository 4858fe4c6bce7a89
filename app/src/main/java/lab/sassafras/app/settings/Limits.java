package lab.sassafras.app.settings;

import java.time.Duration;
import org.springframework.boot.context.properties.bind.DefaultValue;
import org.springframework.util.unit.DataSize;

/**
 * How much is taken and kept at hand, under {@code sassafras.limits.}.
 *
 * @param file      largest run file
 * @param form      largest form without a file
 * @param room      least room on the disk to keep anything
 * @param entries   whole entries kept worked out
 * @param lines     lines of lists kept worked out
 * @param readings  readings one clock or one file of readings holds
 * @param ofEntry   readings of all clocks an entry uses
 * @param clock     a clock is the one of a run, and a wait is waited for, no longer than this
 * @param slow      from how long a request is worth a line in the log (ms)
 */
public record Limits(
        @DefaultValue("48MB") DataSize file,
        @DefaultValue("256KB") DataSize form,
        @DefaultValue("32MB") DataSize room,
        @DefaultValue("300") int entries,
        @DefaultValue("20000") int lines,
        @DefaultValue("1000000") int readings,
        @DefaultValue("1000000") int ofEntry,
        @DefaultValue("12h") Duration clock,
        @DefaultValue("2000") long slow) {}
