package lab.sassafras.app.bench;

import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.regex.Pattern;
import lab.sassafras.app.access.NotFound;
import lab.sassafras.app.classroom.ClassBook;
import lab.sassafras.app.classroom.ClassEvent;
import lab.sassafras.app.classroom.Passed;
import lab.sassafras.app.people.Visitor;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.sheet.WrittenTime;
import lab.sassafras.app.usecase.LeadClass;
import lab.sassafras.verdict.Lazy;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;

/** What an instructor says to a bench, above every page of it, and the hand it raises. */
@Controller
@ControllerAdvice
class BenchSaid {

    /** A page leads back to itself and nowhere else. */
    private static final Pattern PAGE = Pattern.compile("/(bench|entries)[\\w/-]{0,100}(\\?[\\w=&%.\\[\\]/-]{0,200})?");

    private static final DateTimeFormatter HOUR = DateTimeFormatter.ofPattern("HH:mm", Locale.ENGLISH);

    private final ClassBook book;
    private final LeadClass leading;

    BenchSaid(ClassBook book, LeadClass leading) {
        this.book = book;
        this.leading = leading;
    }

    /** A note as it is shown. */
    public record Note(UUID id, String text, String who) {}

    /** What is said to a bench, asked for when it is shown. */
    public static final class Shown {

        private final Bench bench;
        private final Lazy<Passed> passed;

        private Shown(Bench bench, Supplier<Passed> passed) {
            this.bench = bench;
            this.passed = new Lazy<>(passed);
        }

        /** {@return whether its hand is raised} */
        public boolean raised() {
            return passed.get().raised(bench).isPresent();
        }

        /** {@return why it is to stop and wait, and for whom; null where it is not} */
        public @Nullable String held() {
            return passed.get()
                    .held(bench)
                    .map(each ->
                            "Stop, and wait for " + each.who() + (each.text().isEmpty() ? "." : ": " + each.text()))
                    .orElse(null);
        }

        /** {@return notes it did not see yet} */
        public List<Note> notes() {
            return passed.get().unseen(bench).stream().map(this::note).toList();
        }

        private Note note(ClassEvent each) {
            return new Note(
                    each.id(),
                    each.text(),
                    each.who() + ", "
                            + WrittenTime.of(each.madeAt(), bench.period().zone(), HOUR));
        }
    }

    /** Of who sits at a bench; nothing of anybody else. */
    @ModelAttribute("toBench")
    @Nullable
    Shown said(Visitor visitor) {
        return visitor.seat()
                .filter(seat -> seat.period().open())
                .map(seat -> new Shown(seat, () -> book.passed(seat.period())))
                .orElse(null);
    }

    /** A hand is raised, or taken down. */
    @PostMapping("/bench/hand")
    String hand(
            @RequestParam(defaultValue = "true") boolean up,
            @RequestHeader(name = HttpHeaders.REFERER, defaultValue = "") String from,
            Visitor visitor,
            Actor actor) {
        leading.raise(seat(visitor), up, actor).orThrow();
        return back(from);
    }

    /** A note was seen. */
    @PostMapping("/bench/notes/{note}")
    String seen(
            @PathVariable UUID note,
            @RequestHeader(name = HttpHeaders.REFERER, defaultValue = "") String from,
            Visitor visitor,
            Actor actor) {
        leading.see(seat(visitor), note, actor).orThrow();
        return back(from);
    }

    private static Bench seat(Visitor visitor) {
        return Optional.of(visitor).flatMap(Visitor::seat).orElseThrow(() -> new NotFound("You sit at no bench."));
    }

    private static String back(String from) {
        String page = from.replaceFirst("^https?://[^/]+", "");
        return "redirect:" + (PAGE.matcher(page).matches() ? page : "/bench");
    }
}
