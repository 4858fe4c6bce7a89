package lab.sassafras.app.usecase;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.people.Right;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.NoteBook;
import lab.sassafras.app.record.Observation;
import lab.sassafras.app.settings.HouseSettings;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.EntrySheets;
import lab.sassafras.app.sheet.Ticks;
import lab.sassafras.app.shelf.Instruments;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Refused;
import lab.sassafras.measure.TimeBudget;
import lab.sassafras.sheet.Following;
import lab.sassafras.sheet.InputCheck;
import lab.sassafras.sheet.SheetEditing;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Line;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Slot;
import org.jspecify.annotations.Nullable;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.UnexpectedRollbackException;
import org.springframework.transaction.support.TransactionTemplate;

/** Keeps what a hand reads or says at a place of the sheet, or strikes out what stands there. */
@UseCase(needs = Right.WRITE_ENTRY, serves = Bringer.ASKED)
public class KeepObservation {

    private static final String WHY = "Say why the value is struck out. The old one stays visible with the reason.";

    private final WayIn way;
    private final Instruments instruments;
    private final Clock clock;
    private final EntrySheets sheets;
    private final Duration longest;
    private final NoteBook notes;
    private final TransactionTemplate whole;

    KeepObservation(
            WayIn way,
            EntrySheets sheets,
            Instruments instruments,
            Clock clock,
            NoteBook notes,
            HouseSettings settings,
            PlatformTransactionManager transactions) {
        this.way = way;
        this.notes = notes;
        this.longest = settings.limits().clock();
        this.instruments = instruments;
        this.clock = clock;
        this.sheets = sheets;
        this.whole = new TransactionTemplate(transactions);
    }

    /**
     * What is given.
     *
     * @param key         identity of what is kept, so that giving it again keeps nothing twice
     * @param at          address it is given for
     * @param role        key of how it was got
     * @param text        as typed
     * @param unit        symbol of its unit
     * @param instrument  read on, if any
     * @param uncertainty as typed, for an assumed value
     * @param corrects    what it corrects, if anything
     * @param reason      why that was wrong; where nothing is corrected, where the value comes from, if that is said
     * @param sure        whether somebody was asked about this very value and said that it is so
     * @param ago         how long ago it was given, where it waited in the page (ms)
     */
    public record Given(
            UUID key,
            String at,
            String role,
            String text,
            @Nullable String unit,
            @Nullable UUID instrument,
            @Nullable String uncertainty,
            @Nullable UUID corrects,
            @Nullable String reason,
            boolean sure,
            long ago) {}

    /** Keeps a note; nothing is worked out from it. */
    public Answer<Boolean> note(EntrySheet entry, UUID key, String text, Actor actor) {
        return Answer.of(() -> notes.write(key, entry.entry(), text.strip(), actor.name()));
    }

    /** Keeps a value; asks first where it is doubtful and nobody is sure. */
    public Answer<UUID> keep(EntrySheet entry, Given given, Actor actor) {
        try {
            Address at = Address.read(given.at());
            Ticks.check(entry, at);
            Role role = Role.of(given.role()).orElseThrow(() -> new Refused("Say how the value was got."));
            @Nullable
            String reason =
                    given.corrects() == null ? Reason.from(given.reason()) : Reason.checked(given.reason(), WHY);
            boolean marked = WayIn.slot(entry, at).field() == Slot.Field.MOMENT
                    && given.text().isEmpty();
            Value value = new Value(
                    given.key(),
                    at,
                    role,
                    marked ? moment(given) : given.text(),
                    given.unit(),
                    Optional.ofNullable(given.instrument()).flatMap(instruments::find),
                    given.uncertainty(),
                    Optional.ofNullable(given.corrects()),
                    reason);
            Optional<UUID> followed = followed(entry, at, role, given);
            if (followed.isPresent()) {
                return new Answer.Kept<>(followed.get());
            }
            SheetEditing filling = way.filling(entry, at);
            Line line = WayIn.taken(filling, value, actor);
            Optional<String> question = given.sure()
                    ? Optional.empty()
                    : InputCheck.about(entry.sheet(), line)
                            .or(() ->
                                    marked ? Optional.empty() : InputCheck.readBack(entry.sheet(), line, given.text()));
            if (question.isPresent()) {
                return new Answer.Asked<>(question.get());
            }
            List<Value> following = following(filling, value, line);
            return following.isEmpty()
                    ? Answer.of(() -> way.kept(entry, value, line, actor))
                    : Answer.of(() -> Objects.requireNonNull(
                            whole.execute(status -> withWhatFollows(entry, value, line, following, actor))));
        } catch (Refused refused) {
            return new Answer.NotKept<>(refused);
        }
    }

    /**
     * Keeps several values of a table, in their order: those that can be kept in one commit. The others stay with
     * whoever gave them, each with what is asked or why.
     */
    public List<Answer<UUID>> all(Entry entry, List<Given> given, Actor actor) {
        try {
            return Objects.requireNonNull(whole.execute(status -> oneByOne(entry, given, actor)));
        } catch (UnexpectedRollbackException together) {
            // two hands reached for one place: each by itself, then
            return oneByOne(entry, given, actor);
        }
    }

    private List<Answer<UUID>> oneByOne(Entry entry, List<Given> given, Actor actor) {
        return given.stream()
                .map(each -> {
                    TimeBudget.check();
                    return keep(sheets.of(entry), each, actor);
                })
                .toList();
    }

    /**
     * Strikes a value out and puts nothing in its place, whatever it was and whether or not this version can read it.
     */
    public Answer<UUID> strike(EntrySheet entry, UUID struck, UUID key, @Nullable String reason, Actor actor) {
        return Answer.of(() -> {
            Observation standing = entry.observations()
                    .find(struck)
                    .orElseThrow(() -> new Refused("That value is not one of this entry. Look at the sheet again."));
            String why = Reason.checked(reason, WHY);
            if (entry.unreadable(standing).isEmpty() && entry.observations().stands(standing)) {
                entry.readback().filling(entry.sheet().setting()).strike(struck);
            }
            return way.struck(key, standing, why, actor);
        });
    }

    /** What stands already because it follows from something else, given once more by hand: it is kept once. */
    private static Optional<UUID> followed(EntrySheet entry, Address at, Role role, Given given) {
        return entry.sheet()
                .line(at, role)
                .filter(line -> given.corrects() == null
                        && line.text().equals(given.text().strip()))
                .filter(line -> Following.why(entry.sheet(), line).isPresent())
                .flatMap(line -> WayIn.standing(entry, at))
                .map(Observation::id);
    }

    /** What the value says of other places: kept with it, each under a name that goes with its own. */
    private List<Value> following(SheetEditing filling, Value value, Line line) {
        return Following.of(filling.sheet(), line).stream()
                .map(each -> new Value(
                        UUID.nameUUIDFromBytes(
                                (value.key() + " " + each.at() + " " + each.role()).getBytes(StandardCharsets.UTF_8)),
                        each.at(),
                        each.role(),
                        each.text(),
                        each.unit().map(BenchUnit::symbol).orElse(null),
                        each.instrument(),
                        null,
                        Optional.empty(),
                        null))
                .toList();
    }

    private UUID withWhatFollows(EntrySheet entry, Value value, Line line, List<Value> following, Actor actor) {
        UUID kept = way.kept(entry, value, line, actor);
        SheetEditing filling = way.filling(entry, value.at());
        WayIn.taken(filling, value, actor);
        for (Value each : following) {
            way.kept(entry, each, WayIn.taken(filling, each, actor), actor);
        }
        return kept;
    }

    /** The moment a button was pressed, which may lie back where the page could not send at once. */
    private String moment(Given given) {
        long ago = Math.max(0, Math.min(given.ago(), longest.toMillis()));
        return clock.instant().minusMillis(ago).truncatedTo(ChronoUnit.MILLIS).toString();
    }
}
