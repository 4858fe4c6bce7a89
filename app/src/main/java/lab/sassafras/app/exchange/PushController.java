package lab.sassafras.app.exchange;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.io.InputStream;
import java.time.Clock;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import lab.sassafras.app.access.ErrorMessages;
import lab.sassafras.app.probes.Rows;
import lab.sassafras.app.usecase.NotPushed;
import lab.sassafras.app.usecase.PushReadings;
import lab.sassafras.measure.Refused;
import lab.sassafras.measure.TimeBudget;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.TransactionException;
import org.springframework.util.unit.DataSize;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;

/** Where probes and balances push to, as {@code docs/probe-format.md} says. It answers scripts, in JSON. */
@Controller
class PushController {

    static final DataSize LARGEST = DataSize.ofMegabytes(2);

    private static final String BEARER = "Bearer ";
    /** After so many seconds a full disk or a book that could not be reached may be tried again. */
    private static final long A_LITTLE = 10;

    private final PushReadings pushing;
    private final Clock clock;

    PushController(PushReadings pushing, Clock clock) {
        this.pushing = pushing;
        this.clock = clock;
    }

    /** What came of a batch, as it is answered. */
    record Answered(int kept, int again, int refused, List<Rows.Refused> why, List<String> said) {}

    @PostMapping(value = "/push/{batch}", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<Object> push(
            @PathVariable String batch,
            @RequestHeader(name = HttpHeaders.AUTHORIZATION, defaultValue = "") String authorization,
            @RequestHeader(name = HttpHeaders.CONTENT_TYPE, defaultValue = "") String type,
            @RequestParam Optional<String> now,
            HttpServletRequest request)
            throws IOException {
        Instant arrival = clock.instant();
        try (InputStream body = request.getInputStream()) {
            byte[] bytes = Upload.bytes(body, LARGEST);
            String secret = authorization.startsWith(BEARER)
                    ? authorization.substring(BEARER.length()).strip()
                    : "";
            PushReadings.Pushed pushed =
                    pushing.take(secret, identity(batch), bytes, type.contains("csv"), seconds(now), arrival);
            return ResponseEntity.ok(new Answered(
                    pushed.kept(),
                    pushed.again(),
                    pushed.refused().many(),
                    pushed.refused().first(),
                    pushed.said()));
        } catch (Upload.TooLarge large) {
            return problem(HttpStatus.CONTENT_TOO_LARGE.value(), "A batch is at most 2 MB. Nothing of it was kept.", 0);
        } catch (Unreadable unreadable) {
            return problem(HttpStatus.BAD_REQUEST.value(), unreadable.why, 0);
        } catch (NotPushed not) {
            return problem(not.status(), not.why(), not.after());
        } catch (DataIntegrityViolationException meanwhile) {
            return problem(HttpStatus.CONFLICT.value(), "This batch is being kept already. Send it again.", 1);
        } catch (Refused | DataAccessException | TransactionException away) {
            return problem(HttpStatus.SERVICE_UNAVAILABLE.value(), ErrorMessages.of(away), A_LITTLE);
        } catch (TimeBudget.OutOfTime late) {
            return problem(HttpStatus.SERVICE_UNAVAILABLE.value(), late.getMessage(), 1);
        }
    }

    /** An address that is none of a batch. */
    private static final class Unreadable extends RuntimeException {
        private static final long serialVersionUID = 1L;

        private final String why;

        Unreadable(String why) {
            super(why);
            this.why = why;
        }
    }

    private static UUID identity(String batch) {
        try {
            return UUID.fromString(batch);
        } catch (IllegalArgumentException none) {
            throw new Unreadable("A batch has a UUID as the last part of its address. Nothing of it was kept.");
        }
    }

    private static OptionalDouble seconds(Optional<String> now) {
        if (now.isEmpty()) {
            return OptionalDouble.empty();
        }
        try {
            double seconds = Double.parseDouble(now.get());
            if (Double.isFinite(seconds)) {
                return OptionalDouble.of(seconds);
            }
        } catch (NumberFormatException no) {
            // said below
        }
        throw new Unreadable("now is the sender’s own clock in seconds. Nothing of the batch was kept.");
    }

    private static ResponseEntity<Object> problem(int status, String why, long after) {
        ResponseEntity.BodyBuilder answer = ResponseEntity.status(status).contentType(MediaType.APPLICATION_JSON);
        if (after > 0) {
            answer.header(HttpHeaders.RETRY_AFTER, String.valueOf(after));
        }
        Map<String, Object> body = new LinkedHashMap<>();
        body.put("problem", why);
        return answer.body(body);
    }
}
