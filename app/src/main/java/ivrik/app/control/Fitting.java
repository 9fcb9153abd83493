package ivrik.app.control;

import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.Image;
import javafx.scene.text.Font;
import javafx.scene.text.Text;

import java.util.ArrayList;
import java.util.List;

/**
 * Pictures and words cut to the room they have. A canvas's own clip would do it too, but JavaFX lays a second
 * canvas of the same size over the first for each, which costs more than all else that is drawn.
 */
public final class Fitting {
    private static final String MORE = "...";

    /** Fewer letters of a longer word say nothing. */
    private static final int LEAST = 3;

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

    /** Words in as many lines as they need, none wider than the room unless it is one word. */
    public static List<String> lines(String words, Font font, double room) {
        List<String> lines = new ArrayList<>();
        for (String word : words.split(" ")) {
            String longer = lines.isEmpty() ? word : lines.getLast() + " " + word;
            if (!lines.isEmpty() && width(longer, font) <= room) {
                lines.set(lines.size() - 1, longer);
            } else {
                lines.add(word);
            }
        }
        return lines;
    }

    /** The words if they fit, else their beginning with three dots; nothing where that would say nothing. */
    public static String words(String words, Font font, double room) {
        if (width(words, font) <= room) {
            return words;
        }
        for (int n = words.length() - 1; n >= LEAST; n--) {
            String some = words.substring(0, n).stripTrailing() + MORE;
            if (width(some, font) <= room) {
                return some;
            }
        }
        return "";
    }
}
