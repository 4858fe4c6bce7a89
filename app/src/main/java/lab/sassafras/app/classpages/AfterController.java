package lab.sassafras.app.classpages;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import lab.sassafras.app.access.CsvAnswer;
import lab.sassafras.app.access.NotFound;
import lab.sassafras.app.record.ForSpreadsheets;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.hour.Marks;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Refused;
import lab.sassafras.measure.TypedNumber;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** After class: what is left, and the sheet of marks. */
@Controller
class AfterController {

    private static final CSVFormat FORMAT = CSVFormat.RFC4180
            .builder()
            .setHeader(
                    "bench",
                    "experiment",
                    "state",
                    "result",
                    "deviation / U(95 %)",
                    "complete (%)",
                    "corrections",
                    "mark (%)")
            .get();

    private final PeriodBook periods;
    private final AfterClass after;

    AfterController(PeriodBook periods, AfterClass after) {
        this.periods = periods;
        this.after = after;
    }

    /** How its page looks, which no other page needs. */
    @ModelAttribute("panel")
    String panel() {
        return "/css/class.css";
    }

    /** Weights as they were typed, and what is wrong with them. */
    private record Weights(Map<String, String> typed, Marks marks, String problem) {

        static Weights of(String deviation, String completeness, String corrections) {
            Map<String, String> typed = new LinkedHashMap<>();
            typed.put("deviation", deviation);
            typed.put("completeness", completeness);
            typed.put("corrections", corrections);
            try {
                return new Weights(typed, new Marks(number(deviation), number(completeness), number(corrections)), "");
            } catch (Refused refused) {
                return new Weights(typed, new Marks(1, 1, 1), String.valueOf(refused.getMessage()));
            }
        }

        private static double number(String text) {
            return TypedNumber.read(text, Figures.POINT.mark()).value();
        }
    }

    @GetMapping("/periods/{id}/after")
    String page(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "2") String deviation,
            @RequestParam(defaultValue = "1") String completeness,
            @RequestParam(defaultValue = "1") String corrections,
            HttpServletResponse response,
            Model model) {
        Period period = find(id);
        Weights weights = Weights.of(deviation, completeness, corrections);
        if (!weights.problem().isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        }
        model.addAttribute("period", period);
        model.addAttribute("left", after.of(period));
        model.addAttribute("marks", weights.marks());
        model.addAttribute("weights", weights.typed());
        model.addAttribute("problem", weights.problem());
        model.addAttribute("figures", period.figures());
        return "after";
    }

    /** The sheet of marks, for a spreadsheet; nothing of it is kept. */
    @GetMapping("/periods/{id}/marks.csv")
    ResponseEntity<byte[]> marks(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "2") String deviation,
            @RequestParam(defaultValue = "1") String completeness,
            @RequestParam(defaultValue = "1") String corrections) {
        Period period = find(id);
        Weights weights = Weights.of(deviation, completeness, corrections);
        if (!weights.problem().isEmpty()) {
            throw new Refused(weights.problem());
        }
        StringBuilder table = new StringBuilder();
        try (CSVPrinter printer = new CSVPrinter(table, FORMAT)) {
            for (AfterClass.Run each : after.of(period).runs()) {
                printer.printRecord(
                        ForSpreadsheets.guarded(each.bench()),
                        ForSpreadsheets.guarded(each.what()),
                        each.state(),
                        ForSpreadsheets.guarded(each.result()),
                        each.off().isPresent() ? Figures.POINT.fixed(each.off().getAsDouble(), 2) : "",
                        each.percent(),
                        each.corrections(),
                        each.mark(weights.marks()).isPresent()
                                ? Figures.POINT.fixed(each.mark(weights.marks()).getAsDouble(), 1)
                                : "");
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return CsvAnswer.of("marks-" + period.heldOn(), table);
    }

    private Period find(UUID id) {
        return periods.find(id).orElseThrow(NotFound::period);
    }
}
