package lab.sassafras.app.people;

import java.util.List;
import java.util.Optional;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.authentication.preauth.PreAuthenticatedAuthenticationToken;

/** Who the work in hand is done for. */
public final class Visitors {

    private Visitors() {}

    /** Says who it is, until the request is over. */
    public static void here(Visitor visitor) {
        SecurityContextHolder.getContext()
                .setAuthentication(new PreAuthenticatedAuthenticationToken(visitor, "", List.of()));
    }

    /** {@return who it is; empty where the house works by itself, as at its start} */
    public static Optional<Visitor> now() {
        Authentication known = SecurityContextHolder.getContext().getAuthentication();
        return known != null && known.getPrincipal() instanceof Visitor visitor
                ? Optional.of(visitor)
                : Optional.empty();
    }
}
