package ivrik.media.vector;

import java.io.InputStream;

import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/** Reads the elements of an SVG one by one; nothing outside of it is fetched, and no entities are made larger. */
final class SvgReader {
    /** Elements within each other that leave the stack room. */
    static final int DEEPEST = 400;

    /** How deep the XML readers of Java go, the library's too; a hundred if they are not told. */
    private static final String DEPTH = "jdk.xml.maxElementDepth";

    private SvgReader() {}

    static XMLStreamReader of(InputStream in) throws XMLStreamException {
        if (System.getProperty(DEPTH) == null) {
            System.setProperty(DEPTH, Integer.toString(2 * DEEPEST)); // read when a reader is made
        }
        XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        return factory.createXMLStreamReader(in);
    }
}
