package lab.sassafras.app.notebook;

import java.util.Optional;
import java.util.function.Function;

/** A chapter of a result, with what it comes to in a few words. */
enum Chapter {
    WORKING("working", view -> view.working().isPresent(), view -> "Working, trial " + view.shownTrial(), view -> ""),
    CANDIDATES(
            "solids",
            view -> !view.candidates().isEmpty(),
            view -> "Which solid",
            view -> view.candidates().stream()
                    .findFirst()
                    .map(each -> each.substance().name() + ", " + view.compatibility(each))
                    .orElse("")),
    HEAT(
            "heat",
            view -> view.heatWent().isPresent(),
            view -> "Where the heat went",
            view -> view.heatWent().flatMap(HeatPanel::first).orElse("")),
    LINE(
            "line",
            view -> view.line().isPresent(),
            view -> view.line().orElseThrow().title() + ", all trials",
            view -> "slope " + view.line().orElseThrow().slope()),
    FURTHER(
            "further",
            view -> !view.further().isEmpty(),
            view -> "Further results, trial " + view.shownTrial(),
            view -> view.further().get(0).label() + ", " + view.further().get(0).written()),
    SUM(
            "sum",
            view -> view.cycle().filter(panel -> !panel.rows().isEmpty()).isPresent(),
            view -> "Sum of the reactions",
            view -> view.cycle().orElseThrow().rows().size() - 1 + " reactions"),
    LEVELS(
            "levels",
            view -> view.cycle().isPresent() && view.balance().isPresent(),
            view -> "Levels of energy",
            view -> view.cycle().orElseThrow().change()),
    BUDGET(
            "budget",
            view -> view.budget().filter(budget -> !budget.bars().isEmpty()).isPresent(),
            view -> "Uncertainty budget",
            view -> view.budget().orElseThrow().bars().get(0).label() + ", "
                    + view.budget().orElseThrow().bars().get(0).percent() + " %"),
    CONVENTIONS("conventions", view -> true, view -> "Other conventions", ResultView::othersRange),
    CAUSES(
            "causes",
            view -> view.suspects().isPresent(),
            view -> view.suspects().orElseThrow().title(),
            view -> view.suspects().orElseThrow().first()),
    DECISIONS("decisions", view -> true, view -> "Decisions", ResultView::decided);

    private final String key;
    private final Function<ResultView, Boolean> there;
    private final Function<ResultView, String> title;
    private final Function<ResultView, String> essence;

    Chapter(
            String key,
            Function<ResultView, Boolean> there,
            Function<ResultView, String> title,
            Function<ResultView, String> essence) {
        this.key = key;
        this.there = there;
        this.title = title;
        this.essence = essence;
    }

    /** As it stands in addresses. */
    String key() {
        return key;
    }

    /** What it is called and comes to for a result; empty where the result has none. */
    Optional<Title> of(ResultView view) {
        return there.apply(view)
                ? Optional.of(new Title(key, title.apply(view), essence.apply(view)))
                : Optional.empty();
    }

    /**
     * A chapter of one result.
     *
     * @param key     as it stands in addresses
     * @param title   what it is called
     * @param essence what it comes to; empty where its title says all
     */
    record Title(String key, String title, String essence) {}
}
