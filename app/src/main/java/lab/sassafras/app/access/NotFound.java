package lab.sassafras.app.access;

import java.util.Objects;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.ResponseStatus;

/** Nothing goes by that name here. */
@ResponseStatus(HttpStatus.NOT_FOUND)
public class NotFound extends RuntimeException {

    private static final long serialVersionUID = 1L;

    public NotFound(String what) {
        super(what);
    }

    /** {@return that there is no such period} */
    public static NotFound period() {
        return new NotFound("There is no lab period at that address.");
    }

    @Override
    public String getMessage() {
        return Objects.requireNonNull(super.getMessage());
    }
}
