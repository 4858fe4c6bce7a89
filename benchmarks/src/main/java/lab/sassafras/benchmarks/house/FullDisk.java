package lab.sassafras.benchmarks.house;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.UUID;
import lab.sassafras.app.Hand;

/**
 * A real disk of 96 MB that is filled to the last byte while the book is in use, and emptied again. Needs the right
 * to mount.
 */
public final class FullDisk {

    private FullDisk() {}

    public static void main(String[] arguments) throws Exception {
        Path disk = Files.createTempDirectory("full-disk");
        if (run("mount", "-t", "tmpfs", "-o", "size=96m", "tmpfs", disk.toString()) != 0) {
            System.out.printf("%-58s not done: no right to mount a small disk%n", "full disk");
            return;
        }
        try (Server server = Server.start(disk.resolve("book"), Server.QUICK_START, Map.of())) {
            Hand hand = new Hand(server.base());
            String period = hand.openPeriod("Full disk");
            String entry = hand.join(period, "Rowan").begin("specific-heat-of-solid");
            int before = keep(hand, entry);
            Path junk = disk.resolve("junk");
            fill(junk);
            int full = keep(hand, entry);
            int pages = hand.get(entry).statusCode()
                    + hand.get(entry + "/result").statusCode()
                    + hand.get("/notebook").statusCode();
            int health = hand.get("/health").statusCode();
            Files.delete(junk);
            int after = keep(hand, entry);
            System.out.printf(
                    "%-58s kept %d, full: kept %d, pages %s, health %d, emptied: kept %d%n",
                    "full disk", before, full, pages == 600 ? "all there" : "not all there", health, after);
        } finally {
            run("umount", disk.toString());
        }
    }

    private static int keep(Hand hand, String entry) {
        return hand.keep(entry, UUID.randomUUID(), "water[1]/start", "read", "21.3", "°C")
                .statusCode();
    }

    private static void fill(Path junk) {
        try (OutputStream out = Files.newOutputStream(junk)) {
            byte[] block = new byte[1 << 16];
            for (; ; ) {
                out.write(block);
            }
        } catch (IOException full) {
            // as it should be
        }
    }

    private static int run(String... command) throws IOException, InterruptedException {
        return new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start()
                .waitFor();
    }
}
