package lab.sassafras.app.usecase;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import lab.sassafras.app.people.Right;

/** A step of a use case that needs another right than the rest of it. */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
@interface Needs {

    /** What whoever acts must be allowed. */
    Right value();
}
