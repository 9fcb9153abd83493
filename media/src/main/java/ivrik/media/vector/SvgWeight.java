package ivrik.media.vector;

import ivrik.media.UnreadableMediaException;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;

import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/**
 * Limits the number of drawn elements of an SVG before memory is allocated, and refuses endless documents.
 */
final class SvgWeight {
    /**
     * Elements that can be drawn in a few seconds; elements that are used repeatedly count repeatedly.
     */
    static final int MAX_ELEMENTS = 50_000;

    /** A closed path followed by numbers, on which the renderer does not terminate. */
    private static final Pattern NEVER_ENDS = Pattern.compile("[Zz][\\s,]*[^\\s,A-Za-z]");

    private static final String XLINK = "http://www.w3.org/1999/xlink";

    private final Map<String, Part> named = new HashMap<>();
    private final Deque<Part> open = new ArrayDeque<>();

    private SvgWeight() {}

    /** A named element, or the document: its content and its references. */
    private static final class Part {
        private final List<Part> parts = new ArrayList<>();
        private final List<String> uses = new ArrayList<>();
        private long elements;

        /** Number of drawn elements; -1 until known, 0 while being counted. */
        private long weight = -1;
    }

    /**
     * @throws UnreadableMediaException if the limit is exceeded
     */
    static void check(Path path) {
        try (InputStream in = Files.newInputStream(path)) {
            new SvgWeight().check(path, SvgReader.of(in));
        } catch (IOException | XMLStreamException e) {
            return; // the document reader reports the error
        }
    }

    private void check(Path path, XMLStreamReader reader) throws XMLStreamException {
        Part document = new Part();
        open.push(document);
        int elements = 0;
        while (reader.hasNext()) {
            int event = reader.next();
            if (event == XMLStreamReader.START_ELEMENT) {
                elements++;
                checkEnds(path, reader.getAttributeValue(null, "d"));
                open.push(begun(reader));
            } else if (event == XMLStreamReader.END_ELEMENT) {
                open.pop();
            }
            if (open.size() - 1 > SvgReader.DEEPEST) {
                throw tooMuch(path, SvgReader.DEEPEST + " nested elements");
            }
            if (elements > MAX_ELEMENTS) {
                throw tooMuch(path, MAX_ELEMENTS + " elements");
            }
        }
        if (weight(document) > MAX_ELEMENTS) {
            throw tooMuch(path, MAX_ELEMENTS + " elements, including repeated uses");
        }
    }

    private static void checkEnds(Path path, String data) {
        if (data != null && NEVER_ENDS.matcher(data).find()) {
            throw new UnreadableMediaException(
                    path + " has a damaged path: no command follows a Z", "export the SVG again");
        }
    }

    private static UnreadableMediaException tooMuch(Path path, String what) {
        return new UnreadableMediaException(
                path + " has more than " + what, "simplify it, or save it as a PNG");
    }

    /** The part of a new element: itself if named, else the enclosing one. */
    private Part begun(XMLStreamReader element) {
        Part around = open.peek();
        String used = element.getAttributeValue(null, "href");
        String linked = used == null ? element.getAttributeValue(XLINK, "href") : used;
        String id = element.getAttributeValue(null, "id");
        Part part = around;
        if (id != null) {
            part = named.computeIfAbsent(id, name -> new Part());
            around.parts.add(part);
        }
        part.elements++;
        if (linked != null && linked.startsWith("#")) {
            part.uses.add(linked.substring(1));
        }
        return part;
    }

    private long weight(Part part) {
        if (part.weight >= 0) {
            return part.weight;
        }
        part.weight = 0; // self-reference adds nothing
        long sum = part.elements;
        for (Part inner : part.parts) {
            sum = Math.min(Integer.MAX_VALUE, sum + weight(inner));
        }
        for (String used : part.uses) {
            Part other = named.get(used);
            sum = Math.min(Integer.MAX_VALUE, sum + (other == null ? 0 : weight(other)));
        }
        part.weight = sum;
        return sum;
    }
}
