package lab.sassafras.convention;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Which school is in force for each question. Immutable; a question not mentioned is settled the standard way. */
public final class Conventions {

    private static final Conventions STANDARD = new Conventions(Map.of());

    /** By the question's key; not changed once these stand. */
    private final Map<String, Convention> chosen;

    private Conventions(Map<String, Convention> chosen) {
        this.chosen = chosen;
    }

    /** {@return every question settled the standard way} */
    public static Conventions standard() {
        return STANDARD;
    }

    /**
     * {@return choices by question key and school key; names that are not known are left to {@link #unknown}}
     *
     * @param chosen question key to school key
     */
    public static Conventions of(Map<String, String> chosen) {
        Map<String, Convention> found = new HashMap<>();
        ConventionQuestion.all()
                .forEach(question -> Optional.ofNullable(chosen.get(question.key()))
                        .flatMap(question::school)
                        .ifPresent(school -> found.put(question.key(), school)));
        return new Conventions(found);
    }

    /**
     * {@return the first name in a set of choices that no question or school goes by, in words}
     *
     * @param chosen question key to school key
     */
    public static Optional<String> unknown(Map<String, String> chosen) {
        return chosen.entrySet().stream()
                .filter(each -> ConventionQuestion.all().stream()
                        .noneMatch(question -> question.key().equals(each.getKey())
                                && question.school(each.getValue()).isPresent()))
                .map(each -> each.getKey() + ": " + each.getValue())
                .findFirst();
    }

    /**
     * {@return the school in force} Only a question's own schools are put under its key.
     *
     * @param <S>      what the schools of the question can do
     * @param question of convention
     */
    @SuppressWarnings("unchecked")
    public <S extends Convention> S in(ConventionQuestion<S> question) {
        Convention school = chosen.get(question.key());
        return school == null ? question.standard() : (S) school;
    }

    /**
     * {@return the same with one question settled so}
     *
     * @param question of convention
     * @param school   one of the question's own
     */
    public Conventions with(ConventionQuestion<?> question, Convention school) {
        Map<String, Convention> more = new HashMap<>(chosen);
        more.put(question.key(), school);
        return new Conventions(more);
    }

    /**
     * {@return these choices laid over others}
     *
     * @param base what holds where these say nothing
     */
    public Conventions over(Conventions base) {
        Map<String, Convention> all = new HashMap<>(base.chosen);
        all.putAll(chosen);
        return new Conventions(all);
    }

    /** {@return question key to school key, every question named} */
    public Map<String, String> named() {
        Map<String, String> all = new LinkedHashMap<>();
        ConventionQuestion.all()
                .forEach(question -> all.put(question.key(), in(question).key()));
        return all;
    }

    /**
     * {@return every way to settle one of these questions differently, one at a time}
     *
     * @param questions those to vary
     */
    public Stream<Variant> variants(List<ConventionQuestion<?>> questions) {
        return questions.stream()
                .flatMap(question -> question.schools().stream()
                        .filter(school -> !school.key().equals(in(question).key()))
                        .map(school -> new Variant(question, school, this)));
    }

    /**
     * One question settled another way, the rest unchanged.
     *
     * @param others how the rest is settled
     */
    public record Variant(ConventionQuestion<?> question, Convention school, Conventions others) {

        /** {@return all of them, with this one settled so} */
        public Conventions conventions() {
            return others.with(question, school);
        }
    }
}
