package lab.sassafras.app.bench;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import java.util.Optional;
import lab.sassafras.app.settings.Encryption;
import lab.sassafras.app.settings.HouseSettings;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * The picture a tablet's camera reads to join a period. The code stands behind the mark {@code #}, which no browser
 * sends: it reaches no log and no history of a server.
 */
@Component
class Invitations {

    private final HouseSettings settings;
    private final String port;
    private final String scheme;

    Invitations(HouseSettings settings, @Value("${server.port}") String port, Encryption encryption) {
        this.settings = settings;
        this.port = port;
        this.scheme = encryption.scheme();
    }

    /**
     * An invitation.
     *
     * @param side    of the picture (modules)
     * @param path    of the dark ones, as SVG
     * @param address it leads to, without the code
     */
    public record Invitation(int side, String path, String address) {}

    /** {@return the picture of a code; empty where the house goes by no name that a tablet could reach} */
    Optional<Invitation> of(String code) {
        return settings.hosts().stream()
                .map(String::strip)
                .filter(name -> !name.isEmpty())
                .findFirst()
                .map(name -> scheme + "://" + name + (name.contains(":") ? "" : ":" + port) + "/join")
                .map(address -> drawn(address, code));
    }

    private static Invitation drawn(String address, String code) {
        try {
            BitMatrix dark = new QRCodeWriter().encode(address + "#" + code, BarcodeFormat.QR_CODE, 0, 0);
            StringBuilder path = new StringBuilder();
            for (int y = 0; y < dark.getHeight(); y++) {
                for (int x = 0; x < dark.getWidth(); x++) {
                    if (dark.get(x, y)) {
                        path.append('M').append(x).append(' ').append(y).append("h1v1h-1z");
                    }
                }
            }
            return new Invitation(dark.getWidth(), path.toString(), address);
        } catch (WriterException cannot) {
            throw new IllegalStateException(cannot);
        }
    }
}
