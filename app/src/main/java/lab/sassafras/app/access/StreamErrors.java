package lab.sassafras.app.access;

import jakarta.servlet.http.HttpServletResponse;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** A page that listened and went away is told nothing: an error written as a stream of events has no reader. */
@Controller
class StreamErrors {

    @GetMapping(path = "/error", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    void gone(HttpServletResponse response) {
        response.setContentLength(0);
    }
}
