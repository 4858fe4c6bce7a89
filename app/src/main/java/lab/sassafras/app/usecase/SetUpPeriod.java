package lab.sassafras.app.usecase;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import lab.sassafras.app.people.Codes;
import lab.sassafras.app.people.Right;
import lab.sassafras.app.people.SignIn;
import lab.sassafras.app.people.SignIns;
import lab.sassafras.app.people.Visitor;
import lab.sassafras.app.plans.KeptPlan;
import lab.sassafras.app.plans.PlanBook;
import lab.sassafras.app.plans.PlanFile;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Paces;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.app.shelf.Shelf;
import lab.sassafras.app.shelf.Shelves;
import lab.sassafras.app.shelf.Vessel;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.convention.Conventions;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.DecimalMark;
import lab.sassafras.measure.Names;
import lab.sassafras.measure.Refused;

/** Opens a lab period, and says which benches are in it and by which conventions it reckons. */
@UseCase(needs = Right.LEAD, serves = Bringer.DECIDING)
public class SetUpPeriod {

    private final PeriodBook periodBook;
    private final SignIns signIns;
    private final Codes codes;
    private final Shelves shelves;
    private final PlanBook plans;
    private final Paces paces;

    SetUpPeriod(PeriodBook periodBook, SignIns signIns, Codes codes, Shelves shelves, PlanBook plans, Paces paces) {
        this.paces = paces;
        this.plans = plans;
        this.shelves = shelves;
        this.periodBook = periodBook;
        this.signIns = signIns;
        this.codes = codes;
    }

    /**
     * What a period is to be.
     *
     * @param schools   conventions it departs from the usual in, by question
     * @param like      another period it is to be led as
     * @param benchesOf another period whose benches it is to have
     * @param names     of benches it is to have
     * @param plans     it is led by
     * @param draft     whether it is only prepared, and opened later
     * @param simulated whether no hands are at its benches, but a simulation
     */
    public record Wanted(
            String title,
            LocalDate heldOn,
            ZoneId zone,
            DecimalMark mark,
            Map<String, String> schools,
            Optional<UUID> like,
            Optional<UUID> benchesOf,
            List<String> names,
            List<UUID> plans,
            boolean draft,
            boolean simulated) {}

    /** Opens a period, or prepares it. */
    @Needs(Right.RUN_HOUSE)
    @Noted("set up a period")
    public Answer<Period> open(Wanted wanted, Actor actor) {
        return Answer.of(() -> {
            Period period =
                    periodBook.open(wanted.title(), wanted.heldOn(), wanted.zone(), wanted.mark(), wanted.schools());
            wanted.like().flatMap(periodBook::find).ifPresent(other -> periodBook.like(period, other));
            wanted.benchesOf()
                    .flatMap(periodBook::find)
                    .ifPresent(other -> periodBook
                            .benches(other)
                            .forEach(bench -> periodBook.give(
                                    periodBook.join(period, bench.name()), bench.vesselId(), bench.sample())));
            wanted.names().forEach(each -> periodBook.join(period, name(each), wanted.simulated()));
            if (!wanted.plans().isEmpty()) {
                led(period, wanted.plans(), actor.name());
            }
            if (wanted.draft()) {
                periodBook.become(period, Period.State.DRAFT, "to be prepared", actor.name());
            }
            codes.renew(period);
            return period;
        });
    }

    /**
     * A period takes over from plans: what is offered, its times, and for each bench its plan, its vessel and what its
     * sample is called. Several plans of one experiment go round among the benches.
     */
    private void led(Period period, List<UUID> identities, String who) {
        List<KeptPlan> all = identities.stream()
                .map(id -> plans.find(id)
                        .orElseThrow(
                                () -> new Refused("One of these plans is not here any more. Load the page again.")))
                .toList();
        Map<String, List<KeptPlan>> ofEach = all.stream()
                .collect(Collectors.groupingBy(KeptPlan::experiment, LinkedHashMap::new, Collectors.toList()));
        periodBook.offer(period, ofEach.keySet(), Set.of());
        all.forEach(plan -> plan.file()
                .forPeriod()
                .times()
                .forEach((pace, amount) -> paces.choose(period, plan.experiment(), pace, amount, who)));
        Vessels vessels = new Vessels(shelves.now());
        List<Bench> benches = periodBook.benches(period);
        for (int at = 0; at < benches.size(); at++) {
            Bench bench = benches.get(at);
            int turn = at;
            List<KeptPlan> own = ofEach.values().stream()
                    .map(some -> some.get(turn % some.size()))
                    .toList();
            own.stream()
                    .filter(plan ->
                            ofEach.getOrDefault(plan.experiment(), List.of()).size() > 1)
                    .forEach(plan -> plans.layOut(bench, plan, who));
            periodBook.give(
                    bench,
                    bench.vesselId().or(() -> vessels.next(own.get(0).file().vessel())),
                    own.stream()
                            .map(plan -> plan.file().forPeriod().sample())
                            .filter(sample -> !sample.isEmpty())
                            .findFirst()
                            .orElse(bench.sample()));
        }
        ofEach.values().stream()
                .filter(some -> some.size() == 1)
                .forEach(some -> plans.layOut(period, some.get(0), who));
    }

    /** The vessels of the shelf, each given once. */
    private static final class Vessels {

        private final List<Vessel> left;

        Vessels(Shelf shelf) {
            // one whose constant is known comes first
            this.left = new ArrayList<>(shelf.vesselsOffered().stream()
                    .sorted(Comparator.comparing(each -> shelf.inUse(each).isEmpty()))
                    .toList());
        }

        /** The one a plan names, else one of its kind; empty where the shelf has no more. */
        Optional<UUID> next(PlanFile.Vessel wanted) {
            Optional<Vessel> found = left.stream()
                    .filter(each -> each.id().toString().equals(wanted.key()))
                    .findFirst()
                    .or(() -> left.stream()
                            .filter(each -> each.kind().key().equals(wanted.kind()))
                            .findFirst());
            found.ifPresent(left::remove);
            return found.map(Vessel::id);
        }
    }

    /** Leads a period by a plan, or by none any more. */
    @Noted(value = "laid out a plan", otherwise = "took a plan away")
    public Answer<Boolean> layOut(Period period, KeptPlan plan, boolean here, Actor actor) {
        return Answer.of(() -> {
            if (!period.open() && period.state() != Period.State.DRAFT) {
                throw new Refused("This period is over: it is led by no plan any more.");
            }
            if (here) {
                plans.layOut(period, plan, actor.name());
            } else {
                plans.takeAway(period, plan.experiment(), actor.name());
            }
        });
    }

    /** Whoever leads the period sits down at the bench of that name, new or already there. */
    public Answer<Bench> sitDown(Period period, String typed, Visitor visitor) {
        return Answer.of(() -> {
            if (typed.isBlank()) {
                throw new Refused("Give your bench a name, such as Hawthorn or Bench 4.");
            }
            Bench bench = periodBook.join(period, name(typed));
            signIns.sit(visitor, Optional.of(bench));
            return bench;
        });
    }

    /** Another code in the place of the one benches join by; whoever joined stays. */
    @Noted("changed the code benches join by")
    public Answer<Boolean> renewCode(Period period) {
        return Answer.of(() -> codes.renew(period));
    }

    /** Sends a tablet away that joined a bench of the period. */
    @Noted("sent a tablet away")
    public Answer<Boolean> sendAway(Period period, UUID signIn) {
        return Answer.of(() -> {
            SignIn meant = signIns.joined(period).stream()
                    .filter(each -> each.id().equals(signIn))
                    .findFirst()
                    .orElseThrow(() -> new Refused("That tablet left already."));
            signIns.end(meant.id());
        });
    }

    /**
     * Opens a draft, closes a period so that it is only read, archives it, or opens it again; why, is kept. Tablets of
     * one that is archived are sent away.
     */
    public Answer<Boolean> become(Period period, Period.State state, String reason, Actor actor) {
        return Answer.of(() -> {
            if (!period.state().leadsTo(state)) {
                throw new Refused("This period is not one that can become so. Load the page again to see what it is.");
            }
            String why = period.draft()
                    ? "prepared"
                    : Reason.checked(
                            reason,
                            switch (state) {
                                case CLOSED -> "Say why the period is closed, such as “all results are in”.";
                                case ARCHIVED -> "Say why the period is archived, such as “the term is over”.";
                                default -> "Say why the period is opened again.";
                            });
            periodBook.become(period, state, why, actor.name());
            if (state == Period.State.CLOSED) {
                signIns.stopListening(period);
            }
            if (state == Period.State.ARCHIVED) {
                signIns.endAll(period);
            }
        });
    }

    /** Erases the names in a period in which nothing is recorded any more. */
    public Answer<Integer> eraseNames(Period period, String reason, Actor actor) {
        return Answer.of(() -> {
            if (period.open() || period.draft()) {
                throw new Refused("Close the period first: whoever works in it needs a name.");
            }
            String why = Reason.checked(reason, "Say why the names are erased, such as “grades are given”.");
            return periodBook.eraseNames(period, why, actor.name());
        });
    }

    /** Says which experiments benches may begin, and what they may take in hand; any where none is named. */
    @Noted("chose what is offered")
    public Answer<Boolean> offer(Period period, Set<String> experiments, Set<UUID> things) {
        return Answer.of(() -> {
            if (experiments.stream().anyMatch(key -> Experiments.find(key).isEmpty())) {
                throw new Refused("There is no such experiment.");
            }
            Shelf shelf = shelves.now();
            if (things.stream()
                    .anyMatch(id ->
                            shelf.vessel(id).isEmpty() && shelf.instrument(id).isEmpty())) {
                throw new Refused("That is not on the shelf any more. Load the page again.");
            }
            periodBook.offer(period, experiments, things);
        });
    }

    /** Withholds from benches what their results should be, or withholds nothing more. */
    @Noted(value = "withheld what results should be", otherwise = "withheld nothing more")
    public Answer<Boolean> withhold(Period period, boolean yes) {
        return Answer.of(() -> periodBook.withhold(period, yes));
    }

    /**
     * Tells the benches of a period what their results should be.
     *
     * @param experiment key of the one whose entries are told; empty for everything
     */
    public Answer<Boolean> reveal(Period period, Optional<String> experiment, Actor actor) {
        return Answer.of(() -> periodBook.reveal(period, experiment, actor.name()));
    }

    /** Lets benches see each other's entries, or no longer. */
    @Noted(value = "let benches see each other", otherwise = "let benches see only their own")
    public Answer<Boolean> share(Period period, boolean yes) {
        return Answer.of(() -> periodBook.share(period, yes));
    }

    /** Many benches at once. */
    public Answer<Boolean> benches(Period period, List<String> names) {
        return Answer.of(() -> names.forEach(each -> periodBook.join(period, name(each))));
    }

    /** Calls a bench otherwise. */
    @Noted("called a bench otherwise")
    public Answer<Boolean> rename(Bench bench, String typed) {
        return Answer.of(() -> periodBook.rename(bench, name(typed)));
    }

    /** Gives a bench its vessel and its sample, by the name it is to be called by. */
    @Noted("gave a bench its vessel and its sample")
    public Answer<Boolean> give(Bench bench, Optional<UUID> vessel, String sample) {
        return Answer.of(() -> {
            if (vessel.filter(id -> shelves.now().vessel(id).isEmpty()).isPresent()) {
                throw new Refused("That vessel is not on the shelf any more. Load the page again.");
            }
            String named = sample.isBlank() ? "" : Names.checked(sample.strip(), "A sample’s name", Names.LONGEST);
            periodBook.give(bench, vessel, named);
        });
    }

    /** Takes a bench away that wrote nothing. */
    @Noted("took a bench away")
    public Answer<Boolean> remove(Bench bench) {
        return Answer.of(() -> periodBook.remove(bench));
    }

    /**
     * Settles the conventions of a period anew. Once something was read in it that is a decision, with who takes it and
     * why; entries that depart from the period's conventions keep their own.
     */
    public Answer<Boolean> settle(Period period, Map<String, String> schools, String reason, Optional<Actor> actor) {
        return Answer.of(() -> {
            Conventions.unknown(schools).ifPresent(name -> {
                throw new Refused("There is no such convention: " + name + ".");
            });
            if (!periodBook.begun(period)) {
                periodBook.settle(period, schools, Map.of(), "", "");
                return;
            }
            String why = Reason.checked(
                    reason, "Say why the conventions are set anew: it stands beside every result that moves.");
            Actor who = actor.orElseThrow(
                    () -> new Refused("Join a bench first, so that it is known who sets the conventions anew."));
            Conventions was = Conventions.of(period.schools());
            Conventions is = Conventions.of(schools);
            Map<String, String> changed = new LinkedHashMap<>();
            ConventionQuestion.all().stream()
                    .filter(question ->
                            !was.in(question).key().equals(is.in(question).key()))
                    .forEach(question -> changed.put(
                            question.key(),
                            was.in(question).key() + ">" + is.in(question).key()));
            if (changed.isEmpty()) {
                throw new Refused("These are the conventions in use. Nothing was changed.");
            }
            periodBook.settle(period, schools, changed, why, who.name());
        });
    }

    private static String name(String typed) {
        return Names.checked(typed.strip(), "A bench name", Names.LONGEST);
    }
}
