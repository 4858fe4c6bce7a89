package lab.sassafras.convention;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

/** Where a school can make a difference, when it comes to the same as another, and what it needs read. */
class SchoolsApplyTest {

    /** Readings of which some were got by volume, and masses that do or do not differ by the way they are got. */
    private record Readings(MassWay got, boolean same, CalorimeterTreatment.Needs vessel) implements Evidence {

        @Override
        public boolean got(MassWay way) {
            return way == got;
        }

        @Override
        public boolean sameMasses(MassWay one, MassWay other) {
            return same;
        }

        @Override
        public boolean readOnAClock() {
            return false;
        }

        @Override
        public boolean vesselServes(CalorimeterTreatment.Needs needs) {
            return needs == vessel;
        }
    }

    private static final Evidence POURED = new Readings(MassWay.VOLUME, true, CalorimeterTreatment.Needs.CONSTANT);
    private static final Evidence WEIGHED = new Readings(MassWay.ZEROED, false, CalorimeterTreatment.Needs.NOTHING);

    @Test
    void aSchoolAppliesWhereTheReadingsOrTheVesselCanTellItFromOthers() {
        assertThat(MassWay.VOLUME.applies(POURED)).isTrue();
        assertThat(MassWay.ZEROED.applies(POURED)).isFalse();
        assertThat(LiquidDensity.ONE.applies(POURED)).isTrue();
        assertThat(LiquidDensity.ONE.applies(WEIGHED)).isFalse();
        assertThat(new CalorimeterCounted().applies(POURED)).isTrue();
        assertThat(new CalorimeterCounted().applies(WEIGHED)).isFalse();
        assertThat(new CalorimeterCounted().counted()).isTrue();
        assertThat(new CalorimeterIgnored().counted()).isFalse();
    }

    @Test
    void someComeToTheSameWhateverWasRead() {
        assertThat(TemperatureChange.EXTREME.comesToSame(TemperatureChange.PLATEAU, POURED))
                .isTrue();
        assertThat(TemperatureChange.CARRIED.comesToSame(TemperatureChange.EXTREME, POURED))
                .isFalse();
        assertThat(TemperatureChange.EXTREME.comesToSame(TemperatureChange.CARRIED, POURED))
                .isFalse();
        assertThat(FixedWaterHeat.THERMOCHEMICAL.comesToSame(FixedWaterHeat.CALORIE, POURED))
                .isTrue();
        assertThat(FixedWaterHeat.THERMOCHEMICAL.comesToSame(FixedWaterHeat.ROUNDED, POURED))
                .isFalse();
        assertThat(FixedWaterHeat.CALORIE.comesToSame(new WaterHeatByTemperature(), POURED))
                .isFalse();
        assertThat(MassWay.ZEROED.comesToSame(MassWay.AS_GIVEN, POURED)).isTrue();
        assertThat(MassWay.ZEROED.comesToSame(MassWay.AS_GIVEN, WEIGHED)).isFalse();
        assertThat(MassWay.ZEROED.comesToSame(LiquidDensity.ONE, POURED)).isFalse();
    }

    @Test
    void eachDeclaresWhatMustBeReadForItAndTheUsualOnesNothing() {
        assertThat(new TypedWaterHeat().places()).containsExactly(TypedWaterHeat.VALUE);
        assertThat(LiquidDensity.MEASURED.places()).containsExactly(LiquidDensity.VALUE);
        assertThat(SolutionMass.MEASURED.places()).containsExactly(SolutionMass.VALUE);
        assertThat(new BathAtBoilingPoint().places()).containsExactly(BathAtBoilingPoint.PRESSURE);
        assertThat(new CalorimeterOfMaterial().places())
                .extracting(ConventionPlace::path)
                .containsExactly("wall/mass", "wall/heat");
        assertThat(TemperatureChange.CARRIED.places()).hasSize(6);
        assertThat(TemperatureChange.FRACTION.places()).hasSize(7).contains(TemperatureChange.REACHED);
        assertThat(TemperatureChange.INTEGRAL.places()).hasSize(7).contains(TemperatureChange.MEAN);
        assertThat(ConventionQuestion.all())
                .allSatisfy(question -> assertThat(question.standard().places()).isEmpty());
        assertThat(ConventionQuestion.ofWeighing(true, true))
                .isEqualTo(List.of(ConventionQuestion.MASS, ConventionQuestion.DENSITY));
        assertThat(ConventionQuestion.ofWeighing(true, false)).isEqualTo(List.of(ConventionQuestion.MASS));
        assertThat(ConventionQuestion.ofWeighing(false, false)).isEmpty();
    }
}
