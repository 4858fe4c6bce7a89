package lab.sassafras.app.usecase;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** A step that is noted for the audit once it was done, as nothing else tells who did it. */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
@interface Noted {

    /** What was done, in the past tense, such as “changed the code”. */
    String value();

    /** The same where what was given said no. */
    String otherwise() default "";
}
