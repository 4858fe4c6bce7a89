package lab.sassafras.app.usecase;

import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.people.Right;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Decision;
import lab.sassafras.app.record.DecisionBook;
import lab.sassafras.app.record.Decisions;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.shelf.Calibration;
import lab.sassafras.app.shelf.Shelves;
import lab.sassafras.app.shelf.Vessel;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.measure.Refused;

/** Takes a decision over an entry: what counts, by which convention, with which constant. */
@UseCase(needs = Right.WRITE_ENTRY, serves = Bringer.DECIDING)
public class TakeDecision {

    private static final String NOTHING = " Go back; nothing was changed.";

    private final DecisionBook decisionBook;
    private final Shelves shelves;

    TakeDecision(DecisionBook decisionBook, Shelves shelves) {
        this.decisionBook = decisionBook;
        this.shelves = shelves;
    }

    /** Leaves a trial out, or counts it again. */
    public Answer<Boolean> trial(EntrySheet entry, int trial, String outcome, String reason, Actor actor) {
        return about(entry, Decision.Kind.TRIAL, Decisions.trial(trial), outcome, reason, "the trial", actor);
    }

    /** Sets an entry aside, or counts it again. */
    public Answer<Boolean> aside(EntrySheet entry, String outcome, String reason, Actor actor) {
        return about(entry, Decision.Kind.ENTRY, Decisions.ENTRY, outcome, reason, "the entry", actor);
    }

    /** Tells the bench of an entry what its result should be, though its period withholds that. */
    @Needs(Right.LEAD)
    public Answer<Boolean> reveal(EntrySheet entry, Actor actor) {
        return Answer.of(() -> {
            decisionBook.decide(
                    Optional.empty(),
                    Decision.Kind.REVEAL,
                    entry.entry().id().toString(),
                    Decision.TOLD,
                    "told to its bench",
                    actor.name());
        });
    }

    /** Says that an entry is copied from paper: what must be ticked off was ticked off there, and not here. */
    public Answer<Boolean> copiedFromPaper(EntrySheet entry, String reason, Actor actor) {
        return Answer.of(() -> decide(
                entry,
                Decision.Kind.PAPER,
                Decisions.ENTRY,
                Decision.COPIED,
                Reason.checked(reason, "Say whose paper it is and where it is kept." + NOTHING),
                actor));
    }

    /** Sets one reading on a clock aside, or counts it again. */
    public Answer<Boolean> reading(
            EntrySheet entry, UUID trace, double seconds, String outcome, String reason, Actor actor) {
        String subject = Decisions.reading(trace, seconds);
        return about(entry, Decision.Kind.READING, subject, outcome, reason, "the reading", actor);
    }

    private Answer<Boolean> about(
            EntrySheet entry,
            Decision.Kind kind,
            String subject,
            String outcome,
            String reason,
            String what,
            Actor actor) {
        return Answer.of(() -> {
            String why = Reason.checked(
                    reason,
                    "Say why " + what + (outcome.equals(Decision.OUT) ? " is excluded." : " is included again.")
                            + NOTHING);
            decide(entry, kind, subject, outcome, why, actor);
        });
    }

    /** Puts a convention in force for an entry. */
    public Answer<Boolean> school(EntrySheet entry, String question, String school, Actor actor) {
        return Answer.of(() -> {
            if (ConventionQuestion.all().stream()
                    .noneMatch(each ->
                            each.key().equals(question) && each.school(school).isPresent())) {
                throw new Refused("There is no such convention.");
            }
            decide(entry, Decision.Kind.SCHOOL, question, school, "chosen for this entry", actor);
        });
    }

    /** Puts in force how the trials of an entry are taken together. */
    public Answer<Boolean> combination(EntrySheet entry, String combination, Actor actor) {
        return Answer.of(() -> {
            if (entry.experiment().combinations().stream()
                    .noneMatch(each -> each.key().equals(combination))) {
                throw new Refused("The trials of this experiment are not taken together that way.");
            }
            decide(entry, Decision.Kind.COMBINATION, Decisions.TRIALS, combination, "chosen for this entry", actor);
        });
    }

    /** Takes another constant of an entry's vessel than the one it was begun with. */
    public Answer<Boolean> pin(EntrySheet entry, UUID calibration, String reason, Actor actor) {
        return Answer.of(() -> {
            Calibration chosen = shelves.now()
                    .calibration(calibration)
                    .filter(each -> entry.vessel()
                            .map(Vessel::id)
                            .filter(each.vesselId()::equals)
                            .isPresent())
                    .orElseThrow(() -> new Refused("That constant does not belong to this entry's vessel."));
            decide(entry, Decision.Kind.PIN, "calibration", chosen.id().toString(), reason, actor);
        });
    }

    private void decide(
            EntrySheet entry, Decision.Kind kind, String subject, String outcome, String reason, Actor actor) {
        decisionBook.decide(Optional.of(entry.entry().id()), kind, subject, outcome, reason, actor.name());
    }
}
