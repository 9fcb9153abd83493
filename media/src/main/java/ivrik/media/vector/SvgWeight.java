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

/** How much there is to draw in an SVG, counted before memory is taken for it; what would never end is refused. */
final class SvgWeight {
    /** Elements that are drawn in a few seconds; what is used several times counts as often. */
    static final int MOST_ELEMENTS = 50_000;

    /** A path that is closed and goes on with numbers, of which the renderer would close it without end. */
    private static final Pattern NEVER_ENDS = Pattern.compile("[Zz][\\s,]*[^\\s,A-Za-z]");

    private static final String XLINK = "http://www.w3.org/1999/xlink";

    private final Map<String, Part> named = new HashMap<>();
    private final Deque<Part> open = new ArrayDeque<>();

    private SvgWeight() {}

    /** An element with a name, or the document: what lies in it, and what that uses. */
    private static final class Part {
        private final List<Part> parts = new ArrayList<>();
        private final List<String> uses = new ArrayList<>();
        private long elements;

        /** Of all that is drawn for it; -1 until it is known, 0 while it is being counted. */
        private long weight = -1;
    }

    /**
     * @throws UnreadableMediaException if there is more than can be drawn
     */
    static void check(Path path) {
        try (InputStream in = Files.newInputStream(path)) {
            new SvgWeight().check(path, SvgReader.of(in));
        } catch (IOException | XMLStreamException e) {
            return; // the reader of the document says what it makes of it
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
                throw tooMuch(path, SvgReader.DEEPEST + " elements within each other");
            }
            if (elements > MOST_ELEMENTS) {
                throw tooMuch(path, MOST_ELEMENTS + " elements");
            }
        }
        if (weight(document) > MOST_ELEMENTS) {
            throw tooMuch(
                    path, MOST_ELEMENTS + " elements, those that are used several times counted");
        }
    }

    private static void checkEnds(Path path, String data) {
        if (data != null && NEVER_ENDS.matcher(data).find()) {
            throw new UnreadableMediaException(
                    path + " has a path that is damaged after a Z: no command follows",
                    "save it anew from the program that drew it");
        }
    }

    private static UnreadableMediaException tooMuch(Path path, String what) {
        return new UnreadableMediaException(
                path + " has more than " + what, "simplify it, or save it as a PNG");
    }

    /** The part that an element belongs to from here on: itself if it has a name, else that around it. */
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
        part.weight = 0; // what uses itself adds nothing
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
