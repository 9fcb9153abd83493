package ivrik.media.grade;

import ivrik.core.look.ChannelSettings;
import ivrik.core.motion.Value;
import ivrik.core.treatment.Settings;
import ivrik.core.treatment.SlopeOffsetPower;
import ivrik.media.UnreadableMediaException;
import ivrik.media.file.ProjectFile;

import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.xml.sax.InputSource;
import org.xml.sax.SAXException;

import java.io.IOException;
import java.io.StringReader;
import java.nio.file.Path;
import java.util.Collections;
import java.util.List;
import java.util.Locale;

import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;

/**
 * The first correction of an ASC colour decision list, version 1.2: slope, offset and power of red, green and
 * blue, and saturation.
 */
public record DecisionList(
        List<Double> slope, List<Double> offset, List<Double> power, double saturation) {
    private static final List<String> CHANNELS = List.of("red", "green", "blue");
    private static final String NAMESPACE = "urn:ASC:CDL:v1.2";

    public DecisionList {
        slope = List.copyOf(slope);
        offset = List.copyOf(offset);
        power = List.copyOf(power);
    }

    /** The correction of {@link SlopeOffsetPower} settings. */
    public static DecisionList of(Settings settings) {
        return new DecisionList(
                three(settings, "slope-"),
                three(settings, "offset-"),
                three(settings, "power-"),
                settings.number("saturation"));
    }

    private static List<Double> three(Settings settings, String what) {
        return CHANNELS.stream().map(c -> settings.number(what + c)).toList();
    }

    /** Settings of {@link SlopeOffsetPower} with this correction. */
    ChannelSettings in(ChannelSettings rest) {
        ChannelSettings settings = rest.with("saturation", Value.of(saturation));
        for (int c = 0; c < CHANNELS.size(); c++) {
            String channel = CHANNELS.get(c);
            settings =
                    settings.with("slope-" + channel, Value.of(slope.get(c)))
                            .with("offset-" + channel, Value.of(offset.get(c)))
                            .with("power-" + channel, Value.of(power.get(c)));
        }
        return settings;
    }

    /**
     * Reads the first correction of a file; missing values have no effect.
     *
     * @throws UnreadableMediaException if there is none, or a number is invalid
     */
    public static DecisionList read(Path file) {
        Document document = document(file);
        if (document.getElementsByTagNameNS("*", "SOPNode").getLength() == 0
                && document.getElementsByTagNameNS("*", "SatNode").getLength() == 0
                && document.getElementsByTagNameNS("*", "SATNode").getLength() == 0) {
            throw damaged(file, "the file contains no correction", null);
        }
        List<Double> saturation = numbers(document, "Saturation", 1, 1, file);
        return new DecisionList(
                numbers(document, "Slope", 3, 1, file),
                numbers(document, "Offset", 3, 0, file),
                numbers(document, "Power", 3, 1, file),
                saturation.getFirst());
    }

    private static List<Double> numbers(
            Document document, String name, int count, double rest, Path file) {
        Element element = (Element) document.getElementsByTagNameNS("*", name).item(0);
        if (element == null) {
            return Collections.nCopies(count, rest);
        }
        String[] parts = element.getTextContent().strip().split("\\s+");
        if (parts.length != count) {
            throw damaged(file, name + " has " + parts.length + " numbers, not " + count, null);
        }
        Double[] numbers = new Double[count];
        for (int i = 0; i < count; i++) {
            numbers[i] = number(parts[i], name, count == 3 ? "-" + CHANNELS.get(i) : "", file);
        }
        return List.of(numbers);
    }

    private static double number(String text, String name, String channel, Path file) {
        var range =
                new SlopeOffsetPower()
                        .description()
                        .parameter(name.toLowerCase(Locale.ROOT) + channel);
        try {
            double number = Double.parseDouble(text);
            if (number >= range.min() && number <= range.max()) {
                return number;
            }
        } catch (NumberFormatException e) {
            throw damaged(file, name + " contains '" + text + "', which is not a number", e);
        }
        throw damaged(
                file,
                name + " must be between " + range.min() + " and " + range.max() + ", not " + text,
                null);
    }

    private static Document document(Path file) {
        try {
            DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
            factory.setNamespaceAware(true);
            factory.setFeature("http://apache.org/xml/features/disallow-doctype-decl", true);
            factory.setXIncludeAware(false);
            var builder = factory.newDocumentBuilder();
            builder.setErrorHandler(null);
            return builder.parse(new InputSource(new StringReader(ProjectFile.text(file))));
        } catch (SAXException | IOException e) {
            throw damaged(file, e.getMessage(), e);
        } catch (ParserConfigurationException e) {
            throw new IllegalStateException(e);
        }
    }

    private static UnreadableMediaException damaged(Path file, String what, Exception cause) {
        return new UnreadableMediaException(
                file + " cannot be read as a colour decision list: " + what,
                "export the file again or choose another",
                cause);
    }

    /** This correction as a {@code .cc} file. */
    public String text(String id) {
        return "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n"
                + "<ColorCorrection xmlns=\""
                + NAMESPACE
                + "\" id=\""
                + id.replaceAll("[^\\p{L}\\p{N}._-]", "-")
                + "\">\n  <SOPNode>\n"
                + element("Slope", slope)
                + element("Offset", offset)
                + element("Power", power)
                + "  </SOPNode>\n  <SatNode>\n"
                + element("Saturation", List.of(saturation))
                + "  </SatNode>\n</ColorCorrection>\n";
    }

    private static String element(String name, List<Double> numbers) {
        String text =
                String.join(
                        " ",
                        numbers.stream().map(n -> String.format(Locale.ROOT, "%.6f", n)).toList());
        return "    <" + name + ">" + text + "</" + name + ">\n";
    }
}
