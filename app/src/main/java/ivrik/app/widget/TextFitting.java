package ivrik.app.widget;

import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.Image;
import javafx.scene.text.Font;
import javafx.scene.text.Text;

import java.util.ArrayList;
import java.util.List;

/**
 * Crops pictures and text to a size. A canvas clip would do the same, but JavaFX renders it with a second
 * canvas, which costs more than everything else.
 */
public final class TextFitting {
    private static final String MORE = "...";

    /** Smallest number of useful characters. */
    private static final int MIN = 3;

    private TextFitting() {}

    /**
     * Draws the left part of a picture that would fill a rectangle.
     *
     * @param share share of the width, greater than 0 and at most 1
     */
    public static void leftPart(
            GraphicsContext g, Image image, double share, double x, double y, double w, double h) {
        g.drawImage(image, 0, 0, share * image.getWidth(), image.getHeight(), x, y, share * w, h);
    }

    /** Width of a text. */
    public static double width(String words, Font font) {
        Text text = new Text(words);
        text.setFont(font);
        return text.getLayoutBounds().getWidth();
    }

    /** Wraps a text to a width; a single word may be wider. */
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

    /** The text, shortened with an ellipsis if needed; empty if too little would remain. */
    public static String fitted(String words, Font font, double room) {
        if (width(words, font) <= room) {
            return words;
        }
        for (int n = words.length() - 1; n >= MIN; n--) {
            String some = words.substring(0, n).stripTrailing() + MORE;
            if (width(some, font) <= room) {
                return some;
            }
        }
        return "";
    }
}
