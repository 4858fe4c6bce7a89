package lab.sassafras.app.usecase;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import lab.sassafras.app.people.Audit;
import lab.sassafras.app.people.Codes;
import lab.sassafras.app.people.Instructors;
import lab.sassafras.app.people.ReaderLinks;
import lab.sassafras.app.people.Right;
import lab.sassafras.app.people.SignIns;
import lab.sassafras.app.people.Visitor;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.app.record.Persons;
import lab.sassafras.measure.Names;
import lab.sassafras.measure.Refused;

/** Lets somebody in: a bench by the code of its period, an instructor by name and password. */
@UseCase(needs = Right.ANYONE, serves = Bringer.DECIDING)
public class ComeIn {

    private static final String IN_DEMO = "came into the demo, on a ";
    private static final int MOST_AT_BENCH = 8;

    private final PeriodBook periodBook;
    private final Codes codes;
    private final Instructors instructors;
    private final SignIns signIns;
    private final ReaderLinks links;
    private final Audit audit;
    private final Persons persons;

    ComeIn(
            PeriodBook periodBook,
            Codes codes,
            Instructors instructors,
            SignIns signIns,
            ReaderLinks links,
            Audit audit,
            Persons persons) {
        this.persons = persons;
        this.audit = audit;
        this.links = links;
        this.periodBook = periodBook;
        this.codes = codes;
        this.instructors = instructors;
        this.signIns = signIns;
    }

    /**
     * Where somebody comes from.
     *
     * @param address of the network
     * @param device  in words
     */
    public record From(String address, String device) {}

    /** {@return the open period a code belongs to, with the benches that are in it} */
    public Answer<Joining> looking(String code, From from) {
        return Answer.of(() -> {
            Period period = period(code, from);
            return new Joining(
                    period, periodBook.benches(period).stream().map(Bench::name).toList());
        });
    }

    /**
     * A period somebody has the code of.
     *
     * @param period  that period
     * @param benches names of those in it
     */
    public record Joining(Period period, List<String> benches) {}

    /**
     * The bench of that name, new or already there, comes in.
     *
     * @param simulated whether no hand is at it, but a simulation that pushes
     * @return its token
     */
    public Answer<String> join(String code, String typedName, boolean simulated, From from) {
        return Answer.of(() -> {
            Period period = period(code, from);
            if (typedName.isBlank()) {
                throw new Refused("Give your bench a name, such as Hawthorn or Bench 4.");
            }
            Bench bench = periodBook.join(period, Names.checked(typedName, "A bench name", Names.LONGEST), simulated);
            if (simulated && !bench.simulated()) {
                throw new Refused("A bench of that name is there already, and hands are at it.");
            }
            audit.note(Audit.Kind.DOOR, Optional.of(bench.id()), Optional.of(period), "joined, on a " + from.device());
            return signIns.bench(bench, from.device());
        });
    }

    private Period period(String code, From from) {
        if (code.isBlank()) {
            throw new Refused("Type the code of your period; it stands on the board.");
        }
        Period period = periodBook.find(known(code, from)).orElseThrow();
        if (period.draft()) {
            throw new Refused("The period of that code has not begun yet. Wait until your instructor opens it.");
        }
        if (!period.open()) {
            throw new Refused("The period of that code is closed. Ask your instructor.");
        }
        return period;
    }

    private UUID known(String code, From from) {
        try {
            return codes.period(code, from.address());
        } catch (Refused wrong) {
            audit.noteOnce(Audit.Kind.DOOR, Visitor.STRANGER, from.address(), "a wrong code, from " + from.address());
            throw wrong;
        }
    }

    /** An instructor comes in. @return the token */
    public Answer<String> signIn(String name, String password, From from) {
        return Answer.of(() -> {
            UUID person;
            try {
                person = instructors.signIn(name, password, from.address());
            } catch (Refused wrong) {
                audit.noteOnce(
                        Audit.Kind.DOOR, Visitor.STRANGER, from.address(), "a sign-in failed, from " + from.address());
                throw wrong;
            }
            audit.note(Audit.Kind.DOOR, Optional.of(person), Optional.empty(), "signed in, on a " + from.device());
            return signIns.instructor(person, from.device());
        });
    }

    /** The first instructor of a book is made and comes in. @return the token */
    public Answer<String> first(String name, String password, From from) {
        return Answer.of(() -> {
            if (instructors.any()) {
                throw new Refused("There is an instructor already. Sign in, or ask that one.");
            }
            UUID person = instructors.add(name, password, Set.of());
            audit.note(
                    Audit.Kind.DOOR,
                    Optional.of(person),
                    Optional.empty(),
                    "made the first account, on a " + from.device());
            return signIns.instructor(person, from.device());
        });
    }

    /** An instructor who is known comes in without a password, as in the demo. @return the token */
    public Answer<String> known(UUID person, From from) {
        return Answer.of(() -> {
            audit.note(Audit.Kind.DOOR, Optional.of(person), Optional.empty(), IN_DEMO + from.device());
            return signIns.instructor(person, from.device());
        });
    }

    /** A bench comes in without a code, as in the demo. @return the token */
    public Answer<String> known(Bench bench, From from) {
        return Answer.of(() -> {
            audit.note(Audit.Kind.DOOR, Optional.of(bench.id()), Optional.of(bench.period()), IN_DEMO + from.device());
            return signIns.bench(bench, from.device());
        });
    }

    /**
     * Whoever sits at a bench says who works there, by names or initials between commas; nothing where they would
     * rather not.
     */
    @Needs(Right.BEGIN)
    public Answer<Boolean> working(Bench bench, String typed) {
        return Answer.of(() -> {
            List<String> names = Arrays.stream(typed.split("[,;]", -1))
                    .map(String::strip)
                    .filter(name -> !name.isEmpty())
                    .distinct()
                    .toList();
            if (names.size() > MOST_AT_BENCH) {
                throw new Refused("That is more than work at one bench. Name up to " + MOST_AT_BENCH + ".");
            }
            names.forEach(name -> Names.checked(name, "A name", Names.LONGEST));
            persons.working(bench, names);
        });
    }

    /** Somebody gets up from the bench they sit at; whoever is nothing but that bench leaves the house. */
    public Answer<Boolean> getUp(Visitor visitor) {
        return Answer.of(() -> {
            if (visitor.instructor()) {
                signIns.sit(visitor, Optional.empty());
            } else {
                visitor.signIn().ifPresent(signIns::end);
            }
        });
    }

    /** Somebody comes by a link to read one entry. */
    public Answer<ReaderLinks.Reading> read(String secret, From from) {
        return Answer.of(() -> {
            ReaderLinks.Reading reading = links.read(secret, from.device());
            audit.note(Audit.Kind.DOOR, Optional.empty(), Optional.empty(), "read by a link, on a " + from.device());
            return reading;
        });
    }

    /** Somebody leaves the house. */
    public Answer<Boolean> leave(Visitor visitor) {
        return Answer.of(() -> {
            audit.note(Audit.Kind.DOOR, visitor, "left");
            visitor.signIn().ifPresent(signIns::end);
        });
    }

    /** An instructor leaves the house wherever they are in it. */
    public Answer<Boolean> leaveEverywhere(Visitor visitor) {
        return Answer.of(() -> {
            audit.note(Audit.Kind.DOOR, visitor, "left everywhere");
            visitor.person().ifPresent(signIns::endAll);
        });
    }
}
