package lab.sassafras.benchmarks.house;

import java.io.BufferedInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.UUID;

/**
 * A script that pushes: a connection that stays, one batch after another, each sent whole and its answer waited for.
 * No client in between whose own threads would be what is measured.
 */
final class Script implements AutoCloseable {

    private static final int LONGEST_LINE = 8_192;

    private final URI address;
    private Socket socket;
    private InputStream answers;

    @SuppressWarnings("NullAway.Init")
    Script(String base) throws IOException {
        address = URI.create(base);
        connect();
    }

    private void connect() throws IOException {
        socket = new Socket(address.getHost(), address.getPort());
        socket.setTcpNoDelay(true);
        answers = new BufferedInputStream(socket.getInputStream());
    }

    /** Sends a batch. @return the status of its answer */
    int push(String token, String rows, double now) throws IOException {
        byte[] body = rows.getBytes(StandardCharsets.UTF_8);
        String head = "POST /push/" + UUID.randomUUID() + "?now=" + String.format(Locale.ROOT, "%.3f", now)
                + " HTTP/1.1\r\nHost: " + address.getAuthority() + "\r\nAuthorization: Bearer " + token
                + "\r\nContent-Type: application/x-ndjson\r\nContent-Length: " + body.length + "\r\n\r\n";
        byte[] all = new byte[head.length() + body.length];
        System.arraycopy(head.getBytes(StandardCharsets.US_ASCII), 0, all, 0, head.length());
        System.arraycopy(body, 0, all, head.length(), body.length);
        socket.getOutputStream().write(all);
        return answer();
    }

    private int answer() throws IOException {
        int status = Integer.parseInt(line().substring(9, 12));
        int length = 0;
        boolean pieces = false;
        boolean last = false;
        for (String line = line(); !line.isEmpty(); line = line()) {
            String field = line.toLowerCase(Locale.ROOT);
            length = field.startsWith("content-length:")
                    ? Integer.parseInt(field.substring(15).strip())
                    : length;
            pieces |= field.startsWith("transfer-encoding:");
            last |= field.equals("connection: close");
        }
        answers.skipNBytes(pieces ? 0 : length);
        for (int piece = pieces ? -1 : 0; piece != 0; ) {
            piece = Integer.parseInt(line(), 16);
            answers.skipNBytes(piece + 2L);
        }
        if (last) {
            // a server ends a connection after so many requests
            socket.close();
            connect();
        }
        return status;
    }

    private String line() throws IOException {
        StringBuilder line = new StringBuilder();
        for (int next = answers.read(); next != '\n'; next = answers.read()) {
            if (next < 0 || line.length() > LONGEST_LINE) {
                throw new EOFException("the answer is cut off");
            }
            line.append((char) next);
        }
        return line.toString().strip();
    }

    @Override
    public void close() throws IOException {
        socket.close();
    }
}
