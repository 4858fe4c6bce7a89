package lab.sassafras.app;

import org.junit.jupiter.api.Test;
import org.springframework.modulith.core.ApplicationModules;

/** The arrows between the modules of the application. */
class ModulesTest {

    @Test
    void modulesKnowOnlyWhatTheySayTheyKnow() {
        ApplicationModules.of(SassafrasApplication.class).verify();
    }
}
