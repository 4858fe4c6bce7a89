package lab.sassafras.benchmarks.house;

import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import lab.sassafras.app.Hand;

/**
 * Thirty benches at work for a minute, by themselves and while forty tablets join within twenty seconds and ten
 * instructors sign in within that minute.
 */
public final class Joining {

    private static final int TABLETS = 40;
    private static final int INSTRUCTORS = 10;
    private static final long JOIN_WITHIN = 20_000;
    private static final long MINUTE = 60_000;
    private static final Pattern CODE = Pattern.compile("class=\"code-shown\"[^>]*>([^<]+)<");

    private final Times join = new Times();
    private final Times signIn = new Times();
    private final AtomicInteger errors = new AtomicInteger();

    private Joining() {}

    public static void main(String[] arguments) throws Exception {
        try (Server server = Server.start(Files.createTempDirectory("joining"), Server.FULL_COMPILER, Map.of())) {
            new Clients().of(server, 30, "First");
            Clients alone = new Clients();
            alone.of(server, 60, "Second");
            Joining joining = new Joining();
            Clients beside = new Clients();
            List<Thread> all = joining.all(server);
            all.forEach(Thread::start);
            beside.of(server, 60, "Third");
            for (Thread each : all) {
                each.join();
            }
            alone.keep.print("30 benches keep a value");
            beside.keep.print("the same beside those who come in");
            joining.join.print(TABLETS + " tablets join");
            joining.signIn.print(INSTRUCTORS + " instructors sign in");
            System.out.printf("%-58s %d%n", "errors", alone.errors.get() + beside.errors.get() + joining.errors.get());
        }
    }

    private List<Thread> all(Server server) {
        Hand instructor = new Hand(server.base());
        String period = instructor.get("/periods").body().replaceAll("(?s).*?(/periods/[0-9a-f-]{36}).*", "$1");
        instructor.post(period + "/code", "");
        Matcher code = CODE.matcher(instructor.get(period).body());
        if (!code.find()) {
            throw new IllegalStateException("The period has no code.");
        }
        List<Thread> all = new ArrayList<>();
        for (int i = 0; i < TABLETS; i++) {
            String typed = "code=" + Hand.encoded(code.group(1)) + "&name=Tablet+" + i;
            all.add(comes(server, JOIN_WITHIN * i / TABLETS, join, "/join", typed));
        }
        for (int i = 0; i < INSTRUCTORS; i++) {
            instructor.post("/people", "name=Hazel+" + i + "&password=a+long+password");
            String typed = "name=Hazel+" + i + "&password=a+long+password";
            all.add(comes(server, MINUTE * i / INSTRUCTORS, signIn, "/door", typed));
        }
        return all;
    }

    private Thread comes(Server server, long after, Times times, String where, String typed) {
        return new Thread(() -> {
            try {
                Thread.sleep(after);
                Hand stranger = Hand.stranger(server.base());
                // the door has been looked at before anything is typed
                stranger.get("/door");
                Supplier<HttpResponse<String>> in = () -> stranger.post(where, typed);
                if (times.of(in).statusCode() != 302) {
                    errors.incrementAndGet();
                }
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
            } catch (RuntimeException failed) {
                errors.incrementAndGet();
            }
        });
    }
}
