package ivrik.media.vector;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;

import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/** Size of an SVG without an absolute size, from its view box. */
final class SvgSize {
    private static final Logger LOG = LoggerFactory.getLogger(SvgSize.class);

    private SvgSize() {}

    /** Width and height; null if the document declares a size or has no view box. */
    static double[] of(Path path) {
        try (InputStream in = Files.newInputStream(path)) {
            XMLStreamReader reader = SvgReader.of(in);
            while (reader.hasNext()) {
                if (reader.next() == XMLStreamReader.START_ELEMENT) {
                    return ofRoot(reader);
                }
            }
        } catch (IOException | XMLStreamException e) {
            LOG.warn("the size of {} cannot be read", path, e);
        }
        return null;
    }

    private static double[] ofRoot(XMLStreamReader root) {
        String box = root.getAttributeValue(null, "viewBox");
        boolean width = isOwn(root.getAttributeValue(null, "width"));
        boolean height = isOwn(root.getAttributeValue(null, "height"));
        if (box == null || width && height) {
            return null;
        }
        String[] numbers = box.strip().split("[\\s,]+");
        try {
            double w = Double.parseDouble(numbers[2]);
            double h = Double.parseDouble(numbers[3]);
            return w > 0 && h > 0 && !width && !height ? new double[] {w, h} : null;
        } catch (NumberFormatException | ArrayIndexOutOfBoundsException e) {
            return null; // the document reader reports the error
        }
    }

    private static boolean isOwn(String length) {
        return length != null && !length.strip().endsWith("%") && !length.equals("auto");
    }
}
