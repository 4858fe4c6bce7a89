package lab.sassafras.app.bench;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import lab.sassafras.app.access.NotFound;
import lab.sassafras.app.people.Codes;
import lab.sassafras.app.people.SignIn;
import lab.sassafras.app.people.SignIns;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Decision;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.app.record.Persons;
import lab.sassafras.app.sheet.WrittenTime;
import lab.sassafras.app.shelf.Shelf;
import lab.sassafras.app.shelf.Shelves;
import lab.sassafras.convention.Convention;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.convention.Conventions;
import lab.sassafras.experiment.Experiments;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** What the page of a lab period shows. */
@Component
class PeriodPage {

    static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM yyyy, HH:mm", Locale.ENGLISH);

    private final PeriodBook periodBook;
    private final EntryBook entryBook;
    private final Codes codes;
    private final SignIns signIns;
    private final Invitations invitations;
    private final Shelves shelves;
    private final Persons persons;

    PeriodPage(
            PeriodBook periodBook,
            EntryBook entryBook,
            Codes codes,
            SignIns signIns,
            Invitations invitations,
            Shelves shelves,
            Persons persons) {
        this.persons = persons;
        this.shelves = shelves;
        this.periodBook = periodBook;
        this.entryBook = entryBook;
        this.codes = codes;
        this.signIns = signIns;
        this.invitations = invitations;
    }

    /** A convention set anew, in words. */
    public record Resettled(String question, String was, String is, String when, String who, String reason) {

        private static Resettled of(PeriodBook.Resettled decided, ZoneId zone) {
            Optional<ConventionQuestion<?>> question = ConventionQuestion.all().stream()
                    .filter(each -> each.key().equals(decided.question()))
                    .findFirst();
            return new Resettled(
                    question.map(ConventionQuestion::words).orElse(decided.question()),
                    school(question, decided.was()),
                    school(question, decided.is()),
                    WrittenTime.of(decided.decision().madeAt(), zone, DAY),
                    decided.decision().who(),
                    decided.decision().reason());
        }

        private static String school(Optional<ConventionQuestion<?>> question, String key) {
            return question.stream()
                    .flatMap(each -> each.schools().stream())
                    .filter(each -> each.key().equals(key))
                    .map(Convention::words)
                    .findFirst()
                    .orElse(key);
        }
    }

    /** A tablet at a bench, and when it was last seen. */
    public record Joined(UUID id, String bench, String device, String seen) {

        private static Joined of(SignIn signIn, ZoneId zone) {
            return new Joined(
                    signIn.id(),
                    signIn.bench().map(Bench::name).orElse(""),
                    signIn.device(),
                    WrittenTime.of(signIn.seenAt(), zone, DAY));
        }
    }

    /** A step in the life of a period, in words. */
    public record Lived(String what, String who, String when, String reason) {

        private static Lived of(Decision decision, ZoneId zone) {
            return new Lived(
                    decision.outcome(),
                    decision.who(),
                    WrittenTime.of(decision.madeAt(), zone, DAY),
                    decision.reason());
        }
    }

    /**
     * Shows it.
     *
     * @param typed   name of a bench somebody wanted to sit down at
     * @param problem why they could not; null where nothing was wrong
     */
    String shown(Period period, Model model, String typed, @Nullable String problem) {
        Conventions conventions = Conventions.of(period.schools());
        model.addAttribute("period", period);
        List<Bench> benches = periodBook.benches(period);
        model.addAttribute("benches", benches);
        model.addAttribute(
                "members",
                benches.stream()
                        .collect(Collectors.toMap(Bench::id, each -> String.join(", ", persons.working(each)))));
        model.addAttribute(
                "empty",
                benches.stream()
                        .filter(bench -> entryBook.of(bench).isEmpty())
                        .map(Bench::id)
                        .toList());
        PeriodBook.Told told = periodBook.told(period);
        model.addAttribute("allTold", told.revealed().contains(PeriodBook.Told.all(period)));
        model.addAttribute(
                "untold",
                entryBook.of(period).stream()
                        .map(Entry::experiment)
                        .distinct()
                        .filter(key -> !told.revealed().contains(PeriodBook.Told.experiment(period, key)))
                        .flatMap(key -> Experiments.find(key).stream())
                        .toList());
        model.addAttribute("experiments", Experiments.all());
        Shelf shelf = shelves.now();
        model.addAttribute("vessels", shelf.vesselsOffered());
        model.addAttribute("instruments", shelf.instrumentsOffered());
        model.addAttribute("lent", period.things().stream().map(UUID::toString).toList());
        model.addAttribute("begun", periodBook.begun(period));
        model.addAttribute("figures", period.figures());
        model.addAttribute(
                "resettled",
                periodBook.resettled(period).stream()
                        .map(each -> Resettled.of(each, period.zone()))
                        .toList());
        model.addAttribute("questions", ConventionQuestion.all());
        model.addAttribute("conventions", conventions);
        model.addAttribute("typed", typed);
        model.addAttribute("problem", problem);
        Optional<String> code = codes.of(period);
        model.addAttribute("code", code.map(Codes::inGroups).orElse(null));
        model.addAttribute("invitation", code.flatMap(invitations::of).orElse(null));
        model.addAttribute(
                "joined",
                signIns.joined(period).stream()
                        .map(each -> Joined.of(each, period.zone()))
                        .toList());
        model.addAttribute(
                "life",
                periodBook.life(period).stream()
                        .map(each -> Lived.of(each, period.zone()))
                        .toList());
        return "period";
    }

    /** The period of an address. */
    Period find(UUID id) {
        return periodBook.find(id).orElseThrow(NotFound::period);
    }
}
