package lab.sassafras.app.exchange;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import lab.sassafras.app.access.TooSlow;
import lab.sassafras.measure.Refused;
import org.apache.commons.fileupload2.core.FileItemInput;
import org.apache.commons.fileupload2.core.FileItemInputIterator;
import org.apache.commons.fileupload2.core.FileUploadException;
import org.apache.commons.fileupload2.jakarta.servlet6.JakartaServletFileUpload;
import org.springframework.core.NestedExceptionUtils;
import org.springframework.util.unit.DataSize;

/**
 * The one file of the import form. It is read here and not by the container, so that a body that trickles or never ends
 * is bounded like any other.
 *
 * @param name  as the browser named it
 * @param bytes its contents
 */
record Upload(String name, byte[] bytes) {

    static final Upload NONE = new Upload("", new byte[0]);
    private static final String CHOOSE = "No file was chosen. Choose one and try again.";

    /**
     * Its text: UTF-8, or UTF-16 where it begins by saying so, as some programs write it.
     *
     * @throws Refused where it is no text of either
     */
    String text() {
        boolean little = bytes.length > 1 && (bytes[0] & 0xff) == 0xff && (bytes[1] & 0xff) == 0xfe;
        boolean big = bytes.length > 1 && (bytes[0] & 0xff) == 0xfe && (bytes[1] & 0xff) == 0xff;
        String text = new String(bytes, little || big ? StandardCharsets.UTF_16 : StandardCharsets.UTF_8);
        if (text.indexOf('\0') >= 0) {
            throw new Refused(
                    "This is no text, or it is written in UTF-16 without saying so. Save it as text in UTF-8.");
        }
        return text;
    }

    /** What was sent is more than a run file can be. */
    static final class TooLarge extends Refused {
        private static final long serialVersionUID = 1L;

        TooLarge(DataSize largest) {
            super("The file is larger than " + largest.toMegabytes()
                    + " MB, far more than any run needs. Nothing was read from it.");
        }
    }

    /**
     * Reads the file of a form.
     *
     * @throws Refused where no file was chosen, or what was sent is no form with a file, or the file is too large
     */
    static Upload of(HttpServletRequest request, DataSize largest) throws IOException {
        try {
            FileItemInputIterator items = new JakartaServletFileUpload<>().getItemIterator(request);
            while (items.hasNext()) {
                FileItemInput item = items.next();
                if (!item.isFormField() && "file".equals(item.getFieldName())) {
                    return read(item, largest);
                }
            }
        } catch (FileUploadException malformed) {
            if (NestedExceptionUtils.getRootCause(malformed) instanceof TooSlow slow) {
                throw slow;
            }
            throw new Refused(
                    "What was sent is no form with a file in it: it is cut off or not put together as a browser "
                            + "does. Choose the "
                            + "file again; nothing was read from it.");
        }
        throw new Refused(CHOOSE);
    }

    /** @throws TooLarge where there is more than that */
    static byte[] bytes(InputStream in, DataSize largest) throws IOException {
        byte[] bytes = in.readNBytes((int) largest.toBytes() + 1);
        if (bytes.length > largest.toBytes()) {
            throw new TooLarge(largest);
        }
        return bytes;
    }

    private static Upload read(FileItemInput item, DataSize largest) throws IOException {
        try (InputStream in = item.getInputStream()) {
            byte[] bytes = bytes(in, largest);
            if (bytes.length == 0) {
                throw new Refused(CHOOSE);
            }
            return new Upload(item.getName() == null ? "" : item.getName(), bytes);
        }
    }
}
