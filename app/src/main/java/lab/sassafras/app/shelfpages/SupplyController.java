package lab.sassafras.app.shelfpages;

import jakarta.servlet.http.HttpServletResponse;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import lab.sassafras.app.access.ErrorMessages;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.shelf.Supplies;
import lab.sassafras.app.shelf.Supply;
import lab.sassafras.app.usecase.Answer;
import lab.sassafras.app.usecase.KeepShelf;
import lab.sassafras.measure.Figures;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Bottles and gear: left what there is, right a count of one thing. */
@Controller
class SupplyController {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH);

    private final Supplies supplies;
    private final KeepShelf keeping;

    SupplyController(Supplies supplies, KeepShelf keeping) {
        this.supplies = supplies;
        this.keeping = keeping;
    }

    /** One as it is listed. */
    public record Line(String name, String amount, String of, String counted, boolean bottle) {

        private static Line of(Supply each) {
            String strength = each.strength().isPresent()
                    ? ", " + Figures.POINT.plain(each.strength().getAsDouble()) + " mol/L"
                    : "";
            String power =
                    each.power().isPresent() ? Figures.POINT.plain(each.power().getAsDouble()) + " W" : "";
            return new Line(
                    each.name(),
                    Figures.POINT.plain(each.amount()) + (each.unit().isEmpty() ? "" : " " + each.unit()),
                    each.substance() + strength + power,
                    each.who() + ", " + DAY.format(each.madeAt().atZone(ZoneId.systemDefault())),
                    each.bottle().isPresent());
        }
    }

    @GetMapping("/shelf/supplies")
    String supplies(@RequestParam(defaultValue = "") String name, Model model) {
        return shown(supplies.find(name).map(SupplyController::typed).orElse(Map.of()), null, model);
    }

    /** As it was counted last, to be counted anew. */
    private static Map<String, String> typed(Supply each) {
        Map<String, String> typed = new LinkedHashMap<>();
        typed.put("name", each.name());
        typed.put("substance", each.substance());
        typed.put("amount", Figures.POINT.plain(each.amount()));
        typed.put("unit", each.unit());
        each.strength().ifPresent(value -> typed.put("strength", Figures.POINT.plain(value)));
        each.power().ifPresent(value -> typed.put("power", Figures.POINT.plain(value)));
        return typed;
    }

    private String shown(Map<String, String> typed, @Nullable String problem, Model model) {
        List<Line> all = supplies.all().stream().map(Line::of).toList();
        model.addAttribute("bottles", all.stream().filter(Line::bottle).toList());
        model.addAttribute("gear", all.stream().filter(each -> !each.bottle()).toList());
        model.addAttribute("typed", typed);
        model.addAttribute("problem", problem);
        return "supplies";
    }

    @PostMapping("/shelf/supplies")
    String count(@RequestParam Map<String, String> typed, Actor actor, HttpServletResponse response, Model model) {
        Answer<Supply> counted = keeping.count(typed, actor);
        Optional<String> problem = counted.refusal().map(ErrorMessages::of);
        if (problem.isEmpty()) {
            return "redirect:/shelf/supplies";
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        return shown(typed, problem.get(), model);
    }
}
