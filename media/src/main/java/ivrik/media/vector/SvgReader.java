package ivrik.media.vector;

import java.io.InputStream;

import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/** Reads the elements of an SVG; nothing is fetched, and entities are not expanded. */
final class SvgReader {
    /** Nesting limit that the stack can hold. */
    static final int DEEPEST = 400;

    /** Nesting limit of Java's XML readers, 100 by default. */
    private static final String DEPTH = "jdk.xml.maxElementDepth";

    private SvgReader() {}

    static XMLStreamReader of(InputStream in) throws XMLStreamException {
        if (System.getProperty(DEPTH) == null) {
            System.setProperty(
                    DEPTH, Integer.toString(2 * DEEPEST)); // evaluated when a reader is created
        }
        XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        return factory.createXMLStreamReader(in);
    }
}
