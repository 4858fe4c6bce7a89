package lab.sassafras.app.bench;

import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.access.NotFound;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.sheet.Clocks;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.WrittenSheet;
import lab.sassafras.app.usecase.BeginEntry;
import lab.sassafras.sheet.Tasks;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Role;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The run: one thing asked at a time. */
@Controller
class RunController {

    private final RunScreen screens;
    private final BeginEntry beginning;

    RunController(RunScreen screens, BeginEntry beginning) {
        this.screens = screens;
        this.beginning = beginning;
    }

    @GetMapping("/entries/{id}")
    String run(
            @PathVariable UUID id,
            @RequestParam Optional<Integer> trial,
            @RequestParam Optional<String> at,
            @RequestParam Optional<String> way,
            @RequestParam Optional<String> after,
            Model model) {
        EntrySheet entry = screens.entry(id);
        Optional<Role> role = way.flatMap(Role::of);
        Optional<Address> past = after.map(Address::read);
        Optional<Address> wanted = at.map(Address::read);
        int shown = RunScreen.trialOf(entry, trial, wanted.or(() -> past));
        if (wanted.isPresent() && wanted.equals(Clocks.placeOf(entry, shown))) {
            boolean mixed = Clocks.use(entry, shown).isPresent();
            return "redirect:/entries/" + id + (mixed ? "/strip?trial=" : "/clock?trial=") + shown;
        }
        WrittenSheet screen = new WrittenSheet(entry, shown);
        Optional<Tasks.Ask> left = past.flatMap(address -> screen.ask(address, role));
        Optional<Tasks.Ask> now = wanted.map(address -> screen.ask(address, role)
                        .orElseThrow(() -> new NotFound("This experiment has no such place to fill.")))
                .or(() -> left.filter(
                        ask -> role.isPresent() && !entry.sheet().tasks().done(ask)))
                .or(() -> screen.next(left));
        return screens.render(entry, RunScreen.View.asking(shown, now, role), model);
    }

    @PostMapping("/entries/{id}/open")
    String open(
            @PathVariable UUID id,
            @RequestParam String what,
            @RequestParam(defaultValue = "") String back,
            Actor actor) {
        EntrySheet entry = screens.entry(id);
        int number = beginning.more(entry, what, actor).orThrow();
        String first = entry.experiment()
                .group(what)
                .map(group -> new WrittenSheet.Link(
                                group.key() + "[" + number + "]/"
                                        + group.slots().get(0).key(),
                                null)
                        .query())
                .orElse("?trial=" + number);
        return "redirect:/entries/" + id + (back.equals("table") ? "/table" : first);
    }
}
