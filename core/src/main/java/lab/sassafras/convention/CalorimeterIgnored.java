package lab.sassafras.convention;

/** The vessel is taken to swallow nothing. */
public record CalorimeterIgnored() implements CalorimeterTreatment {

    @Override
    public String key() {
        return "ignored";
    }

    @Override
    public String words() {
        return "ignored";
    }

    @Override
    public String explanation() {
        return "The vessel is taken to swallow nothing; the answer leans by what it did swallow.";
    }

    @Override
    public boolean counted() {
        return false;
    }
}
