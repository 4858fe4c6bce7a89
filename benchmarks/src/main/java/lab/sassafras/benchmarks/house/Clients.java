package lab.sassafras.benchmarks.house;

import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicInteger;
import lab.sassafras.app.Hand;

/** Thirty benches at once for a minute: each keeps a value every two seconds and looks at its run and its result. */
public final class Clients {

    private static final int CLIENTS = 30;
    private static final long EVERY = 2_000;

    final Times keep = new Times();
    private final Times run = new Times();
    private final Times result = new Times();
    final AtomicInteger errors = new AtomicInteger();

    public static void main(String[] arguments) throws Exception {
        long seconds = arguments.length == 0 ? 60 : Long.parseLong(arguments[0]);
        try (Server server = Server.start(Files.createTempDirectory("clients"), Server.FULL_COMPILER, Map.of())) {
            new Clients().of(server, 30, "First");
            Clients measured = new Clients();
            measured.of(server, seconds, "Second");
            measured.keep.print(CLIENTS + " clients, keep a value");
            measured.run.print(CLIENTS + " clients, run page");
            measured.result.print(CLIENTS + " clients, result page");
            System.out.printf("%-58s %d%n", CLIENTS + " clients, errors", measured.errors.get());
        }
    }

    void of(Server server, long seconds, String title) throws Exception {
        List<Thread> clients = new ArrayList<>();
        for (int i = 0; i < CLIENTS; i++) {
            Hand hand = new Hand(server.base());
            String entry = Book.bring(hand, "2-grey-slug.json", title + " " + i);
            hand.join(hand.get("/periods").body().replaceAll("(?s).*?(/periods/[0-9a-f-]{36}).*", "$1"), "Bench " + i);
            long phase = EVERY * i / CLIENTS;
            clients.add(new Thread(() -> client(hand, entry, phase, seconds)));
        }
        clients.forEach(Thread::start);
        for (Thread client : clients) {
            client.join();
        }
    }

    private void client(Hand hand, String entry, long phase, long seconds) {
        try {
            Thread.sleep(phase);
            long end = System.currentTimeMillis() + seconds * 1000;
            for (int i = 0; System.currentTimeMillis() < end; i++) {
                long next = System.currentTimeMillis() + EVERY;
                String text = "2" + i % 10 + "." + i % 7;
                check(keep.of(() -> hand.keep(entry, UUID.randomUUID(), "water[1]/start", "read", text, "°C"))
                                .statusCode()
                        == 302);
                check(run.of(() -> hand.get(entry)).statusCode() == 200);
                check(result.of(() -> hand.get(entry + "/result")).statusCode() == 200);
                Thread.sleep(Math.max(0, next - System.currentTimeMillis()));
            }
        } catch (RuntimeException failed) {
            errors.incrementAndGet();
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    private void check(boolean well) {
        if (!well) {
            errors.incrementAndGet();
        }
    }
}
