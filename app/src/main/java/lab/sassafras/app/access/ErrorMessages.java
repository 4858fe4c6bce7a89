package lab.sassafras.app.access;

import jakarta.persistence.PersistenceException;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import lab.sassafras.app.people.Audit;
import lab.sassafras.app.people.NotAllowed;
import lab.sassafras.app.people.Visitor;
import lab.sassafras.app.people.Visitors;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.DiskRoom;
import lab.sassafras.measure.Refused;
import lab.sassafras.measure.TimeBudget;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.env.Environment;
import org.springframework.core.env.Profiles;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.TransactionException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.ModelAndView;

/** What every page knows (who is here), and what is said when something cannot be done. */
@ControllerAdvice
public class ErrorMessages {

    private static final Logger LOG = LoggerFactory.getLogger(ErrorMessages.class);
    private static final String BUSY =
            "The book could not be reached just now, so nothing was recorded or changed. What was recorded before is safe; "
                    + "try again in a moment.";

    private final WhoIsHere who;
    private final Audit audit;
    private final boolean demo;

    ErrorMessages(WhoIsHere who, Audit audit, Environment environment) {
        this.audit = audit;
        this.who = who;
        this.demo = environment.acceptsProfiles(Profiles.of("demo"));
    }

    @ModelAttribute("here")
    Optional<Bench> here(HttpServletRequest request) {
        return who.visitor(request).seat();
    }

    /** Whether this is the demo, which says so on every page. */
    @ModelAttribute("demo")
    boolean demo() {
        return demo;
    }

    @ModelAttribute("visitor")
    Visitor visitor(HttpServletRequest request) {
        return who.visitor(request);
    }

    @ExceptionHandler(NotAllowed.class)
    ModelAndView notAllowed(NotAllowed refused, HttpServletRequest request) {
        audit.noteOnce(
                Audit.Kind.REFUSAL,
                who.visitor(request),
                request.getRemoteAddr(),
                request.getMethod() + " " + request.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE));
        return page(HttpStatus.FORBIDDEN, refused.getMessage());
    }

    @ExceptionHandler(Actor.NobodyHere.class)
    ModelAndView nobodyHere() {
        return new ModelAndView("redirect:/");
    }

    @ExceptionHandler(Refused.class)
    ModelAndView refused(Refused refused) {
        return page(HttpStatus.UNPROCESSABLE_CONTENT, refused.getMessage());
    }

    @ExceptionHandler(NotFound.class)
    ModelAndView notFound(NotFound missing) {
        return page(HttpStatus.NOT_FOUND, missing.getMessage());
    }

    @ExceptionHandler(MethodArgumentTypeMismatchException.class)
    ModelAndView mismatch() {
        return page(HttpStatus.NOT_FOUND, "That address does not lead anywhere.");
    }

    @ExceptionHandler(DiskRoom.NoRoom.class)
    ModelAndView noRoom(DiskRoom.NoRoom full) {
        return page(HttpStatus.INSUFFICIENT_STORAGE, full.getMessage());
    }

    @ExceptionHandler(TimeBudget.OutOfTime.class)
    ModelAndView outOfTime(TimeBudget.OutOfTime late, HttpServletRequest request) {
        LOG.warn("out of time: {} {}", request.getMethod(), request.getRequestURI());
        return page(HttpStatus.SERVICE_UNAVAILABLE, late.getMessage());
    }

    @ExceptionHandler({DataAccessException.class, TransactionException.class, PersistenceException.class})
    ModelAndView bookAway(RuntimeException failed) {
        return page(HttpStatus.SERVICE_UNAVAILABLE, of(failed));
    }

    /** A failure in words for whoever typed something; a refusal says itself what was wrong. */
    public static String of(RuntimeException failed) {
        if (failed instanceof Refused refused) {
            return refused.getMessage();
        }
        LOG.error("the book could not be reached", failed);
        return BUSY;
    }

    @ExceptionHandler(DataIntegrityViolationException.class)
    ModelAndView twoAtOnce() {
        return page(
                HttpStatus.CONFLICT,
                "Somebody else did the same thing at the same moment. Go back and look at the "
                        + "page again; what was recorded is there.");
    }

    private static ModelAndView page(HttpStatus status, String message) {
        ModelAndView page = new ModelAndView("error");
        page.setStatus(status);
        page.addObject("status", status.value());
        page.addObject("said", message);
        page.addObject("here", Optional.empty());
        Visitors.now().ifPresent(visitor -> page.addObject("visitor", visitor));
        return page;
    }
}
