package lab.sassafras.statistics;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** One of NIST's Statistical Reference Datasets for lines, read from a registry package that carries it. */
public record ReferenceDataset(double[] x, double[] y) {

    private static final String CARRIER = "/org/apache/commons/math3/stat/regression/SimpleRegressionTest.java";

    /** By its name in the package: {@code data} is Norris. */
    public static ReferenceDataset of(String name) {
        String source;
        try (InputStream in = ReferenceDataset.class.getResourceAsStream(CARRIER)) {
            source = new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException gone) {
            throw new UncheckedIOException(gone);
        }
        int from = source.indexOf("double[][] " + name + " = {");
        Matcher row = Pattern.compile("\\{\\s*([\\d.]+)\\s*,\\s*([\\d.]+)\\s*}")
                .matcher(source.substring(from, source.indexOf("};", from)));
        List<double[]> rows = new ArrayList<>();
        while (row.find()) {
            rows.add(new double[] {Double.parseDouble(row.group(2)), Double.parseDouble(row.group(1))});
        }
        return new ReferenceDataset(
                rows.stream().mapToDouble(each -> each[0]).toArray(),
                rows.stream().mapToDouble(each -> each[1]).toArray());
    }
}
