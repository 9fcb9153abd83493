package ivrik.media.decode;

import com.twelvemonkeys.imageio.plugins.jpeg.JPEGImageReaderSpi;
import com.twelvemonkeys.imageio.plugins.tiff.BigTIFFImageReaderSpi;
import com.twelvemonkeys.imageio.plugins.tiff.TIFFImageReaderSpi;

import ivrik.core.picture.Alpha;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.media.UnreadableMediaException;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;

import java.awt.color.ColorSpace;
import java.awt.color.ICC_ColorSpace;
import java.awt.image.BufferedImage;
import java.awt.image.ColorConvertOp;
import java.awt.image.ColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.IndexColorModel;
import java.awt.image.Raster;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.OptionalInt;

import javax.imageio.ImageReader;
import javax.imageio.metadata.IIOMetadata;
import javax.imageio.spi.IIORegistry;
import javax.imageio.spi.ImageReaderSpi;
import javax.imageio.stream.FileImageInputStream;

/** TIFF of all kinds, and CMYK JPEG: tiles or strips, integers or floats, any compression. */
final class RasterPicture {
    private static final Logger LOG = LoggerFactory.getLogger(RasterPicture.class);
    private static final String TIFF_TREE = "com_sun_media_imageio_plugins_tiff_image_1.0";
    private static final int ORIENTATION = 274;
    private static final int EXTRA_SAMPLES = 338;
    private static final int ASSOCIATED = 1;

    private final Frame frame;
    private final Depth depth;
    private final String format;
    private final FootageColours colours;
    private final List<String> layers;

    RasterPicture(Frame frame, Depth depth, String format, FootageColours colours) {
        this(frame, depth, format, colours, List.of());
    }

    /**
     * @param layers selectable layers, the one of this picture first
     */
    RasterPicture(
            Frame frame, Depth depth, String format, FootageColours colours, List<String> layers) {
        this.frame = frame;
        this.depth = depth;
        this.format = format;
        this.colours = colours;
        this.layers = layers;
    }

    static RasterPicture tiff(Path path) {
        return read(path, "tiff", new TIFFImageReaderSpi(), new BigTIFFImageReaderSpi());
    }

    static RasterPicture jpeg(Path path) {
        return read(
                path,
                "jpeg",
                IIORegistry.getDefaultInstance()
                        .getServiceProviderByClass(JPEGImageReaderSpi.class));
    }

    private static RasterPicture read(Path path, String format, ImageReaderSpi... readers) {
        try (FileImageInputStream in = new FileImageInputStream(path.toFile())) {
            for (ImageReaderSpi provider : readers) {
                if (provider.canDecodeInput(in)) {
                    ImageReader reader = provider.createReaderInstance();
                    reader.setInput(in);
                    MemoryCheck.check(new Size(reader.getWidth(0), reader.getHeight(0)), path);
                    try {
                        return read(reader, format);
                    } finally {
                        reader.dispose();
                    }
                }
            }
        } catch (IOException | RuntimeException e) {
            if (e instanceof UnreadableMediaException known) {
                throw known;
            }
            throw new UnreadableMediaException(
                    path + " cannot be read as " + format + " (" + e.getMessage() + ")",
                    "save the image in another format",
                    e);
        }
        throw new UnreadableMediaException(
                path + " cannot be read as " + format, "save the picture again");
    }

    private static RasterPicture read(ImageReader reader, String format) throws IOException {
        BufferedImage image = reader.read(0);
        ColorModel model = image.getColorModel();
        if (model instanceof IndexColorModel index) {
            image = index.convertToIntDiscrete(image.getRaster(), false);
        } else if (model.getColorSpace().getType() == ColorSpace.TYPE_CMYK) {
            image = rgb(image);
        }
        Raster raster = image.getRaster();
        int bands = raster.getNumBands();
        boolean alpha = bands == 2 || bands == 4;
        Plane[] planes = new Plane[bands];
        for (int b = 0; b < bands; b++) {
            planes[b] = plane(raster, b, image.getColorModel());
        }
        Frame colour =
                bands < 3
                        ? frame(planes[0], planes[0], planes[0], alpha ? planes[1] : null)
                        : frame(planes[0], planes[1], planes[2], alpha ? planes[3] : null);
        IIOMetadata facts = reader.getImageMetadata(0);
        boolean associated =
                alpha
                        && (image.getColorModel().isAlphaPremultiplied()
                                || tag(facts, EXTRA_SAMPLES).orElse(0) == ASSOCIATED);
        Frame straight =
                associated
                        ? new Frame(colour.colour(), Alpha.PREMULTIPLIED, colour.coverage())
                                .straight(ivrik.core.threads.Workers.shared())
                        : colour;
        return new RasterPicture(
                Orientation.ofExif(tag(facts, ORIENTATION).orElse(1)).upright(straight),
                depth(raster),
                format,
                colours(model));
    }

    private static Frame frame(Plane red, Plane green, Plane blue, Plane coverage) {
        return coverage == null
                ? Frame.opaque(red, green, blue)
                : Frame.straight(red, green, blue, coverage);
    }

    /** Converts CMYK to RGB by the embedded profile. */
    private static BufferedImage rgb(BufferedImage inks) {
        BufferedImage rgb =
                new BufferedImage(inks.getWidth(), inks.getHeight(), BufferedImage.TYPE_3BYTE_BGR);
        BufferedImage light = new ColorConvertOp(null).filter(inks, rgb);
        BufferedImage ordered =
                new BufferedImage(inks.getWidth(), inks.getHeight(), BufferedImage.TYPE_INT_RGB);
        ordered.getGraphics().drawImage(light, 0, 0, null);
        return ordered;
    }

    private static Plane plane(Raster raster, int band, ColorModel model) {
        int w = raster.getWidth();
        int h = raster.getHeight();
        Plane plane = Plane.of(w, h);
        int type = raster.getSampleModel().getDataType();
        int bits = raster.getSampleModel().getSampleSize(band);
        double largest = bits >= 32 ? 0xffffffffL : (1L << bits) - 1;
        double[] row = new double[w];
        for (int y = 0; y < h; y++) {
            raster.getSamples(raster.getMinX(), raster.getMinY() + y, w, 1, band, row);
            for (int x = 0; x < w; x++) {
                double v = row[x];
                plane.data()[y * w + x] =
                        (float)
                                switch (type) {
                                    case DataBuffer.TYPE_FLOAT, DataBuffer.TYPE_DOUBLE -> v;
                                    case DataBuffer.TYPE_INT -> (v < 0 ? v + 0x1p32 : v) / largest;
                                    default -> v / largest;
                                };
            }
        }
        return plane;
    }

    private static Depth depth(Raster raster) {
        int type = raster.getSampleModel().getDataType();
        return type == DataBuffer.TYPE_FLOAT || type == DataBuffer.TYPE_DOUBLE
                ? Depth.FLOAT
                : Depth.ofBits(raster.getSampleModel().getSampleSize(0));
    }

    private static FootageColours colours(ColorModel model) {
        return model.getColorSpace() instanceof ICC_ColorSpace icc
                        && icc.getType() == ColorSpace.TYPE_RGB
                        && !icc.isCS_sRGB()
                ? IccProfile.colours(icc.getProfile().getData()).orElse(FootageColours.USUAL)
                : FootageColours.USUAL;
    }

    /** First value of a TIFF field. */
    private static OptionalInt tag(IIOMetadata facts, int number) {
        if (facts == null || !TIFF_TREE.equals(facts.getNativeMetadataFormatName())) {
            return OptionalInt.empty();
        }
        NodeList fields = ((Element) facts.getAsTree(TIFF_TREE)).getElementsByTagName("TIFFField");
        for (int i = 0; i < fields.getLength(); i++) {
            Element field = (Element) fields.item(i);
            if (field.getAttribute("number").equals(Integer.toString(number))) {
                NodeList values = field.getElementsByTagName("TIFFShort");
                if (values.getLength() > 0) {
                    String value = ((Element) values.item(0)).getAttribute("value");
                    try {
                        return OptionalInt.of(Integer.parseInt(value));
                    } catch (NumberFormatException e) {
                        LOG.warn("field {} of a TIFF says {}", number, value, e);
                    }
                }
            }
        }
        return OptionalInt.empty();
    }

    Frame frame() {
        return frame;
    }

    Depth depth() {
        return depth;
    }

    String format() {
        return format;
    }

    FootageColours colours() {
        return colours;
    }

    List<String> layers() {
        return layers;
    }
}
