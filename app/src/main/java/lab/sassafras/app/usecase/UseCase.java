package lab.sassafras.app.usecase;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import lab.sassafras.app.people.Right;
import org.springframework.stereotype.Service;

/** A use case: what it needs, and whom it serves. */
@Target(ElementType.TYPE)
@Retention(RetentionPolicy.RUNTIME)
@Service
public @interface UseCase {

    /** What whoever acts must be allowed. */
    Right needs();

    /** Whom it serves. */
    Bringer[] serves();
}
