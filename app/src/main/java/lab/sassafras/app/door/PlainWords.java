package lab.sassafras.app.door;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import lab.sassafras.app.record.Bench;
import lab.sassafras.measure.Refused;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.servlet.ModelAndView;

/** What every page knows (who is here), and what is said when something cannot be done. */
@ControllerAdvice
class PlainWords {

    private final WhoIsHere who;

    PlainWords(WhoIsHere who) {
        this.who = who;
    }

    @ModelAttribute("here")
    Optional<Bench> here(HttpServletRequest request) {
        return who.bench(request);
    }

    @ExceptionHandler(WhoIsHere.NobodyHere.class)
    ModelAndView nobodyHere() {
        return new ModelAndView("redirect:/periods");
    }

    @ExceptionHandler(Refused.class)
    ModelAndView refused(Refused refused) {
        return page(HttpStatus.UNPROCESSABLE_ENTITY, refused.getMessage());
    }

    @ExceptionHandler(NotFound.class)
    ModelAndView notFound(NotFound missing) {
        return page(HttpStatus.NOT_FOUND, missing.getMessage());
    }

    @ExceptionHandler(MethodArgumentTypeMismatchException.class)
    ModelAndView mismatch() {
        return page(HttpStatus.NOT_FOUND, "That address does not lead anywhere.");
    }

    @ExceptionHandler(MultipartException.class)
    ModelAndView tooLarge() {
        return page(HttpStatus.CONTENT_TOO_LARGE, "That file is larger than 5 MB, far more than any run needs. Nothing "
                + "was read from it and nothing else was changed.");
    }

    @ExceptionHandler(DataIntegrityViolationException.class)
    ModelAndView twoAtOnce() {
        return page(HttpStatus.CONFLICT, "Somebody else did the same thing at the same moment. Go back and look at the "
                + "page again; what was kept is there.");
    }

    private static ModelAndView page(HttpStatus status, String message) {
        ModelAndView page = new ModelAndView("error");
        page.setStatus(status);
        page.addObject("status", status.value());
        page.addObject("said", message);
        page.addObject("here", Optional.empty());
        return page;
    }
}
