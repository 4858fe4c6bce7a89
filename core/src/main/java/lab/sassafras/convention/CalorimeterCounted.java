package lab.sassafras.convention;

/** A constant in J/°C, without the water, found beforehand. */
public record CalorimeterCounted() implements CalorimeterTreatment {

    @Override
    public String key() {
        return "constant";
    }

    @Override
    public String words() {
        return "constant in J/°C";
    }

    @Override
    public String explanation() {
        return "The vessel and its thermometer are a party with a constant of their own, without the water.";
    }

    @Override
    public boolean counted() {
        return true;
    }
}
