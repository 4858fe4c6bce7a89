package lab.sassafras.experiment;

import lab.sassafras.convention.TemperatureChange;
import lab.sassafras.expression.Expression;

/**
 * What was watched beside start and end, asked for only by the schools that need it.
 *
 * @param draft    the books it is asked for
 * @param startsAt path of the start as read
 */
record Watched(Draft draft, String startsAt) implements TemperatureChange.Watch {

    @Override
    public Expression read() {
        return draft.quantity(startsAt);
    }

    @Override
    public Expression early() {
        return draft.quantity("drift/early");
    }

    @Override
    public Expression fore() {
        return draft.quantity("drift/fore");
    }

    @Override
    public Expression untilMixing() {
        return draft.quantity("drift/wait");
    }

    @Override
    public Expression since() {
        return draft.quantity("drift/since");
    }

    @Override
    public Expression later() {
        return draft.quantity("drift/later");
    }

    @Override
    public Expression between() {
        return draft.quantity("drift/between");
    }

    @Override
    public Expression reached() {
        return draft.quantity("drift/reached");
    }

    @Override
    public Expression mean() {
        return draft.quantity("drift/mean");
    }
}
