package lab.sassafras.app.usecase;

import lab.sassafras.app.people.Right;
import lab.sassafras.app.runfile.RunFileReader;
import lab.sassafras.app.runfile.RunReplay;
import lab.sassafras.verdict.Reduction;

/** Works a run file out and keeps nothing. */
@UseCase(needs = Right.RUN_HOUSE, serves = Bringer.TELLING)
public class ReduceRun {

    private final RunFileReader reader;

    ReduceRun(RunFileReader reader) {
        this.reader = reader;
    }

    /** {@return what a run file comes to} */
    public Answer<Reduction> reduce(byte[] file) {
        return Answer.of(() -> RunReplay.reduction(reader.read(file)));
    }
}
