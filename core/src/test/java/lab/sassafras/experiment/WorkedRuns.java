package lab.sassafras.experiment;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import lab.sassafras.curve.Reading;
import lab.sassafras.sheet.BenchSheet;
import lab.sassafras.slot.Logged;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.TraceUse;

/** One ordinary filled sheet of every experiment, for checks that hold for all of them. */
public final class WorkedRuns {

    private WorkedRuns() {}

    /** A bomb fired with 6.8 cm of wire burnt, of 9.6 J/cm, and 9.2 mL of 0.0709 mol/L base for its washings. */
    public static BenchSheet fired(BenchSheet sheet, String pellet, String water, String start, String highest) {
        return sheet.says("fuse[1]/way", "length")
                .reads("fuse[1]/heat-by-length", "9.6", "J/cm")
                .mass("pellet[1]/mass", pellet)
                .reads("wire[1]/before", "10.0", "cm")
                .says("check[1]/vessel", "done")
                .says("check[1]/charge", "done")
                .says("check[1]/leak", "done")
                .reads("bucket[1]/water", water, "g")
                .reads("bucket[1]/start", start, "°C")
                .reads("bucket[1]/highest", highest, "°C")
                .says("check[1]/vented", "done")
                .says("inside[1]/seen", "clean")
                .reads("wire[1]/left", "3.2", "cm")
                .reads("acid[1]/titre", "9.2", "mL")
                .reads("base[1]/concentration", "0.0709", "mol/L");
    }

    /**
     * 20.00 g at 10.00 V and 1.000 A, losing 0.1 W for each degree above 21 °C: 40 J/°C up to 55 °C, 3600 J there
     * (180 J/g), 50 J/°C on.
     */
    private static BenchSheet melting() {
        return melting("10.00", "1.000", "20.00");
    }

    /**
     * The same curve, with other numbers written beside it.
     *
     * @param voltage as written (V)
     * @param current as written (A)
     * @param mass    as written (g)
     */
    public static BenchSheet melting(String voltage, String current, String mass) {
        String trace = "22222222-2222-3333-4444-555555555555";
        List<Reading> readings = IntStream.rangeClosed(0, 85)
                .mapToObj(i -> new Reading(10 * i, melts(10 * i)))
                .toList();
        return BenchSheet.of("heating-curve")
                .logging(Map.of(trace, new Logged("61 readings", readings, Optional.of(BenchSheet.THERMOMETER))))
                .says("sample[1]/name", "tube 4")
                .says("sample[1]/substance", "fusion-of-lauric-acid")
                .mass("sample[1]/mass", mass)
                .says("sample[1]/way", "heater")
                .reads("heater[1]/voltage", voltage, "V")
                .reads("heater[1]/current", current, "A")
                .reads("room[1]/temperature", "21.0", "°C")
                .assumed("room[1]/loss", "0.100", "0.010", "W/°C")
                .says("run[1]/curve", TraceUse.whole(trace).text());
    }

    private static double melts(double seconds) {
        double reached = -40 / 0.1 * Math.log((121 - 55.0) / (121 - 20));
        double through = reached + 3600 / (10 - 0.1 * (55 - 21));
        return seconds < reached
                ? 121 - 101 * Math.exp(-seconds * 0.1 / 40)
                : seconds < through ? 55 : 121 - 66 * Math.exp(-(seconds - through) * 0.1 / 50);
    }

    /** By experiment key. */
    public static Map<String, BenchSheet> all() {
        Map<String, BenchSheet> runs = new LinkedHashMap<>();
        runs.put("constant-by-mixing", BenchSheet.mixing());
        runs.put(
                "constant-by-material",
                BenchSheet.of("constant-by-material")
                        .mass("part[1]/mass", "48.62")
                        .says("part[1]/heat-from", "shelf")
                        .says("part[1]/material", "aluminium"));
        runs.put(
                "constant-by-known-heat",
                BenchSheet.of("constant-by-known-heat")
                        .says("source[1]/kind", "heater")
                        .mass("water[1]/mass", "200.40")
                        .temperature("water[1]/start", "20.1")
                        .reads("heater[1]/voltage", "10.02", "V")
                        .reads("heater[1]/current", "2.48", "A")
                        .reads("heater[1]/time", "420", "s")
                        .temperature("mixed[1]/final", "31.9"));
        runs.put(
                "combustion-under-a-can",
                BenchSheet.of("combustion-under-a-can")
                        .says("fuel[1]/formula", "C2H5OH")
                        .mass("water[1]/mass", "200.35")
                        .temperature("water[1]/start", "16.2")
                        .give("burner[1]/burnt", Role.GROSS, "81.46", "g", Optional.of(BenchSheet.BALANCE))
                        .temperature("heated[1]/highest", "33.7")
                        .give("burner[1]/burnt", Role.TARE, "80.31", "g", Optional.of(BenchSheet.BALANCE))
                        .mass("soot[1]/mass", "0.02")
                        .constant(58, 3, 200));
        runs.put("bomb-constant", fired(BenchSheet.of("bomb-constant"), "1.0012", "2000.4", "23.412", "26.019"));
        runs.put(
                "bomb-combustion",
                fired(
                                BenchSheet.of("bomb-combustion").says("sample[1]/formula", "C10H8"),
                                "0.8123",
                                "2000.4",
                                "23.104",
                                "26.314")
                        .constant(1795, 12, 2000));
        runs.put(
                "cycle",
                BenchSheet.parts("cycle", Map.of("leg", 2))
                        .says("target[1]/equation", "NaOH(s) + HCl(aq) -> NaCl(aq) + H2O(l)")
                        .says("leg[1]/from", "typed")
                        .says("leg[1]/equation", "NaOH(s) -> NaOH(aq)")
                        .reads("leg[1]/heat", "-44.5", "kJ/mol")
                        .says("leg[2]/from", "typed")
                        .says("leg[2]/equation", "HCl(aq) + NaOH(aq) -> NaCl(aq) + H2O(l)")
                        .reads("leg[2]/heat", "-55.8", "kJ/mol"));
        runs.put(
                "dissolving-equilibrium",
                BenchSheet.of("dissolving-equilibrium")
                        .says("solute[1]/formula", "CO(NH2)2")
                        .says("solute[1]/dissolves", "whole")
                        .mass("vessel[1]/empty", "21.46")
                        .mass("vessel[1]/solvent", "24.44")
                        .temperature("bath[1]/temperature", "25.0")
                        .says("bath[1]/held", "bath")
                        .says("solution[1]/last", "dissolved")
                        .reads("solution[1]/volume", "5.60", "mL")
                        .mass("vessel[1]/after", "27.83"));
        runs.put(
                "specific-heat-of-solid",
                BenchSheet.of("specific-heat-of-solid")
                        .mass("sample[1]/mass", "71.46")
                        .says("sample[1]/bath", "boiling")
                        .temperature("sample[1]/start", "98.6")
                        .mass("water[1]/mass", "110.56")
                        .temperature("water[1]/start", "21.1")
                        .mass("sample[1]/carried", "0.40")
                        .temperature("mixed[1]/final", "25.4")
                        .constant(9.6, 0.8, 120));
        runs.put(
                "specific-heat-of-liquid",
                BenchSheet.of("specific-heat-of-liquid")
                        .says("shelf[1]/solid", "copper")
                        .mass("solid[1]/mass", "96.40")
                        .says("solid[1]/bath", "boiling")
                        .temperature("solid[1]/start", "98.3")
                        .mass("liquid[1]/mass", "71.25")
                        .temperature("liquid[1]/start", "21.6")
                        .temperature("mixed[1]/final", "34.5"));
        runs.put(
                "heat-of-solution",
                BenchSheet.of("heat-of-solution")
                        .says("solute[1]/formula", "NH4Cl")
                        .mass("water[1]/mass", "98.45")
                        .mass("solid[1]/mass", "6.02")
                        .temperature("water[1]/start", "21.8")
                        .temperature("solution[1]/final", "18.1")
                        .says("solution[1]/dissolved", "all"));
        runs.put(
                "neutralization",
                BenchSheet.of("neutralization")
                        .says("reaction[1]/equation", "HCl(aq) + NaOH(aq) -> NaCl(aq) + H2O(l)")
                        .says("reaction[1]/strength", "strong")
                        .says("acid[1]/formula", "HCl")
                        .says("base[1]/formula", "NaOH")
                        .assumed("acid[1]/concentration", "1.00", "0.01", "mol/L")
                        .assumed("base[1]/concentration", "1.10", "0.01", "mol/L")
                        .volume("first[1]/amount", "50.0")
                        .volume("second[1]/amount", "50.0")
                        .temperature("first[1]/start", "21.2")
                        .temperature("second[1]/start", "21.8")
                        .temperature("mixed[1]/final", "28.1"));
        runs.put(
                "solid-with-solution",
                BenchSheet.of("solid-with-solution")
                        .says("reaction[1]/equation", "Zn(s) + Cu^2+(aq) -> Zn^2+(aq) + Cu(s)")
                        .says("solution[1]/reagent", "Cu^2+")
                        .assumed("solution[1]/concentration", "0.500", "0.005", "mol/L")
                        .says("solid[1]/formula", "Zn")
                        .volume("poured[1]/amount", "50.0")
                        .mass("added[1]/mass", "3.20")
                        .temperature("poured[1]/start", "21.4")
                        .temperature("mixed[1]/final", "44.1")
                        .says("mixed[1]/reacted", "excess"));
        runs.put(
                "fusion-of-ice",
                BenchSheet.of("fusion-of-ice")
                        .mass("water[1]/mass", "148.20")
                        .says("ice[1]/state", "wet")
                        .assumed("ice[1]/wet", "5", "3", "%")
                        .assumed("ice[1]/start", "-4", "0.5", "°C")
                        .temperature("water[1]/start", "32.4")
                        .temperature("mixed[1]/final", "13.4")
                        .mass("ice[1]/mass", "30.14"));
        runs.put(
                "condensing-steam",
                BenchSheet.of("condensing-steam")
                        .mass("water[1]/mass", "182.40")
                        .says("steam[1]/state", "wet")
                        .assumed("steam[1]/wet", "5", "3", "%")
                        .temperature("steam[1]/start", "99.6")
                        .temperature("water[1]/start", "14.2")
                        .temperature("mixed[1]/final", "37.5")
                        .mass("steam[1]/mass", "7.06"));
        runs.put(
                "how-much",
                BenchSheet.of("how-much")
                        .says("question[1]/added", "ice")
                        .says("question[1]/sought", "final")
                        .mass("water[1]/mass", "200.00")
                        .temperature("water[1]/start", "30.0")
                        .mass("added[1]/mass", "40.00")
                        .temperature("added[1]/start", "-4.0"));
        runs.put("heating-curve", melting());
        return runs;
    }
}
