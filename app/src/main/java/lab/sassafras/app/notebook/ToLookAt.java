package lab.sassafras.app.notebook;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import lab.sassafras.app.sheet.BesideLine;
import lab.sassafras.app.sheet.EntrySummary;
import lab.sassafras.measure.Figures;
import lab.sassafras.verdict.SideBySide;

/** What of a period needs a look, named: an outlier, a deviation, a bench that is stuck, a run left unfinished. */
public final class ToLookAt {

    /** A bench that recorded nothing for so long is stuck; a bath takes eight minutes. Common practice, no source. */
    static final Duration STUCK = Duration.ofMinutes(15);

    private final Set<UUID> outliers;
    private final Instant now;
    private final ZoneId zone;

    /**
     * Of a period.
     *
     * @param beside  what its entries give to be laid beside each other
     * @param now     when it is looked at
     * @param zone    of the period
     * @param figures how its numbers are written
     */
    public ToLookAt(Collection<BesideLine> beside, Instant now, ZoneId zone, Figures figures) {
        this.now = now;
        this.zone = zone;
        this.outliers = outliers(beside, figures);
    }

    private static Set<UUID> outliers(Collection<BesideLine> beside, Figures figures) {
        Map<String, List<BesideLine>> groups = beside.stream()
                .collect(Collectors.groupingBy(
                        each -> each.entry().experiment() + " " + each.what() + " "
                                + each.entry().simulated(),
                        LinkedHashMap::new,
                        Collectors.toList()));
        Set<UUID> apart = new HashSet<>();
        groups.values().forEach(group -> {
            List<BesideLine> alike = group.stream()
                    .filter(each -> each.unit().equals(group.get(0).unit()))
                    .toList();
            List<SideBySide.Entry> entries = SideBySide.of(
                            alike.stream()
                                    .map(each -> new SideBySide.Given("", each.result(), each.interval()))
                                    .toList(),
                            group.get(0).reference(),
                            group.get(0).unit(),
                            figures)
                    .entries();
            for (int i = 0; i < entries.size(); i++) {
                if (entries.get(i).off()) {
                    apart.add(alike.get(i).entry().id());
                }
            }
        });
        return apart;
    }

    /** What needs a look in an entry, in a few words each; nothing where it was excluded. */
    public List<String> of(EntrySummary line) {
        List<String> all = new ArrayList<>();
        if (line.waiting() || line.state() == EntrySummary.State.ASIDE) {
            return all;
        }
        if (outliers.contains(line.entry())) {
            all.add("outlier");
        }
        line.off().filter(off -> Math.abs(off) > 1).ifPresent(any -> all.add("deviation"));
        idle(line).ifPresent(all::add);
        if (line.questions() > 0) {
            all.add(line.questions() + (line.questions() == 1 ? " question" : " questions"));
        }
        return all;
    }

    private Optional<String> idle(EntrySummary line) {
        if (line.state() != EntrySummary.State.UNDER_WAY || line.last().isEmpty()) {
            return Optional.empty();
        }
        Duration since = Duration.between(line.last().get(), now);
        boolean today = line.last()
                .get()
                .atZone(zone)
                .toLocalDate()
                .equals(now.atZone(zone).toLocalDate());
        if (since.compareTo(STUCK) < 0) {
            return Optional.empty();
        }
        return Optional.of((today ? "stuck for " + since.toMinutes() + " min" : "unfinished")
                + (line.lacks().isEmpty() ? "" : ", lacks: " + line.lacks()));
    }
}
