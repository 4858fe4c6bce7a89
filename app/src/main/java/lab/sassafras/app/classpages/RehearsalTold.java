package lab.sassafras.app.classpages;

import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import lab.sassafras.app.classroom.EveningClock;
import lab.sassafras.app.classroom.KeptRehearsal;
import lab.sassafras.app.record.Period;
import lab.sassafras.declaration.Gear;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.measure.Figures;
import lab.sassafras.rehearse.Act;
import lab.sassafras.rehearse.Rehearsal;
import lab.sassafras.rehearse.Stock;

/** A rehearsed evening as far as it has come: who waits for what, who has what in hand, what ran out. */
final class RehearsalTold {

    private static final DateTimeFormatter HOUR = DateTimeFormatter.ofPattern("HH:mm", Locale.ENGLISH);
    private static final int MINUTE = 60;
    private static final int DIGITS = 3;

    /** Seconds of an evening as times of day. */
    record Clocked(EveningClock by, Period period) {

        String at(int second) {
            return HOUR.format(ZonedDateTime.ofInstant(by.starts().plusSeconds(second), period.zone()));
        }
    }

    /**
     * How some gear is shared.
     *
     * @param what    it is, with how many there are
     * @param at      who has it, until when
     * @param waiting who waits for it, since when, as they came
     * @param all     how it was waited for up to the end; empty before
     */
    public record Queue(String what, List<String> at, List<String> waiting, String all) {}

    private final KeptRehearsal.Evening evening;
    private final Rehearsal rehearsal;
    private final int second;
    private final Clocked clocked;
    private final boolean done;

    RehearsalTold(KeptRehearsal.Evening evening, int second, Clocked clocked, boolean done) {
        this.done = done;
        this.evening = evening;
        this.rehearsal = evening.rehearsal();
        this.second = second;
        this.clocked = clocked;
    }

    int second() {
        return second;
    }

    boolean over() {
        return done && second >= rehearsal.finish();
    }

    List<Queue> queues() {
        return Stream.of(Gear.values())
                .filter(gear -> evening.gear().containsKey(gear.key()))
                .map(this::queue)
                .toList();
    }

    private Queue queue(Gear gear) {
        Rehearsal.Queue all = rehearsal.queue(gear);
        return new Queue(
                gear.counted(evening.gear().getOrDefault(gear.key(), 0)),
                rehearsal.at(gear, second).stream()
                        .map(each -> each.bench() + " until " + clocked.at(each.until()))
                        .toList(),
                rehearsal.waiting(gear, second).stream()
                        .map(each -> each.bench() + " since " + clocked.at(each.came()))
                        .toList(),
                !over()
                        ? ""
                        : all.longest() == 0
                                ? "nobody waited"
                                : all.seconds() / MINUTE + " min waited in all; at most " + all.longest()
                                        + (all.longest() == 1 ? " bench" : " benches") + " at once, at "
                                        + clocked.at(all.when()));
    }

    /** The task a bench has in hand, or waits with. */
    String does(String bench, Experiment of) {
        return rehearsal.went().stream()
                .filter(each -> each.bench().equals(bench) && each.came() <= second && second < each.until())
                .findFirst()
                .map(each -> of.words().get("task." + each.task()) + ", trial " + each.trial()
                        + (second < each.from()
                                ? ": waits since " + clocked.at(each.came())
                                : ", until " + clocked.at(each.until())))
                .orElse(second < rehearsal.done(bench) ? "waits for its time" : "");
    }

    List<String> out(List<Act> acts, long seed) {
        List<String> all = new ArrayList<>();
        int end = evening.minutes() * MINUTE;
        List<String> late = evening.went().stream()
                .map(Rehearsal.Went::bench)
                .distinct()
                .filter(bench -> rehearsal.done(bench) > end)
                .toList();
        if (second > end && !late.isEmpty()) {
            all.add("time, at " + clocked.at(end) + ": " + String.join(", ", late)
                    + (late.size() == 1 ? " was" : " were") + " not done");
        }
        for (Stock stock : evening.stocks()) {
            stock.out(acts, seed)
                    .filter(ran -> ran.second() <= second)
                    .ifPresent(ran -> all.add(stock.what() + ", at " + clocked.at(ran.second()) + ": of "
                            + Figures.POINT.significant(stock.there(), DIGITS) + " " + stock.unit()
                            + " nothing was left for " + ran.bench() + ", trial "
                            + trial(acts, ran)));
        }
        all.addAll(evening.lacking());
        return all;
    }

    private static int trial(List<Act> acts, Stock.Ran ran) {
        return acts.stream()
                .filter(each -> each.second() == ran.second() && each.bench().equals(ran.bench()))
                .mapToInt(Act::trial)
                .findFirst()
                .orElse(1);
    }
}
