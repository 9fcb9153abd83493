package ivrik.app.control;

import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.Image;
import javafx.scene.text.Font;
import javafx.scene.text.Text;

/**
 * Pictures and words cut to the room they have. A canvas's own clip would do it too, but JavaFX lays a second
 * canvas of the same size over the first for each, which costs more than all else that is drawn.
 */
public final class Fitting {
    private static final String MORE = "...";

    private Fitting() {}

    /**
     * The left part of a picture, where the whole would fill a rectangle.
     *
     * @param share of the width, over 0 to 1
     */
    public static void leftPart(
            GraphicsContext g, Image image, double share, double x, double y, double w, double h) {
        g.drawImage(image, 0, 0, share * image.getWidth(), image.getHeight(), x, y, share * w, h);
    }

    /** How wide words are. */
    public static double width(String words, Font font) {
        Text text = new Text(words);
        text.setFont(font);
        return text.getLayoutBounds().getWidth();
    }

    /** The words if they fit, else their beginning with three dots; nothing where not even that fits. */
    public static String words(String words, Font font, double room) {
        if (width(words, font) <= room) {
            return words;
        }
        for (int n = words.length() - 1; n > 0; n--) {
            String some = words.substring(0, n).stripTrailing() + MORE;
            if (width(some, font) <= room) {
                return some;
            }
        }
        return "";
    }
}
