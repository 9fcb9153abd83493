package ivrik.app.session;

import ivrik.core.project.Project;

import javafx.beans.property.BooleanProperty;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.LongProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.beans.property.SimpleLongProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import javafx.geometry.Point2D;
import javafx.geometry.Rectangle2D;

import java.util.Set;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;

/** How the work is looked at: nothing here is saved with the project or undone. */
public final class View {
    /** What a pane shows. */
    public enum Show {
        RESULT("Result"),
        SOURCE("Source"),
        LANE_GREY("Lane in grey"),
        LANE_INK("Lane in its ink"),
        DIFFERENCE("Difference, 4 times"),
        REACH("Reach"),
        REACH_OVER("Reach over the picture"),
        HELD("Frame put aside"),
        TAKE("Take"),
        OTHER_TAKE("Other take");

        private final String title;

        /** Whether it shows one of what is kept, which is chosen by its name. */
        public boolean isTake() {
            return this == TAKE || this == OTHER_TAKE;
        }

        /** Whether it shows something of the look on the desk, not of the whole picture. */
        public boolean isOfALook() {
            return this == LANE_GREY || this == LANE_INK || this == REACH || this == REACH_OVER;
        }

        Show(String title) {
            this.title = title;
        }

        @Override
        public String toString() {
            return title;
        }
    }

    /** What the close-up shows. */
    public enum Face {
        TREATMENT,
        SEPARATE,
        REJOIN,
        REACH,
        BURST,
        LOOK,
        LAYER
    }

    /** A sheet of small pictures in the place of the desk. */
    public enum Band {
        NONE,
        BLENDS,
        PROGRESSIVES,
        TREATMENTS,
        LOOKS,
        TAKES
    }

    /** A take by the ids of its layer and its own. */
    public record Kept(String layer, String take) {}

    /** A shot by the ids of its layer and its own. */
    public record Shot(String layer, String clip) {}

    /** What lies around the picture. */
    public enum Surround {
        BLACK,
        GREY,
        WHITE
    }

    public final LongProperty frame = new SimpleLongProperty();

    /** The frame at the left side of the time that is shown. */
    public final DoubleProperty timeFrom = new SimpleDoubleProperty();

    /** How many frames of time are shown; 0 for all. */
    public final DoubleProperty timeShown = new SimpleDoubleProperty();

    public final ObjectProperty<Show> paneA = new SimpleObjectProperty<>(Show.RESULT);
    public final ObjectProperty<Show> paneB = new SimpleObjectProperty<>(Show.SOURCE);

    /** The take that each pane shows where it shows one; null for none. */
    public final ObjectProperty<Kept> takeA = new SimpleObjectProperty<>();

    public final ObjectProperty<Kept> takeB = new SimpleObjectProperty<>();

    public final ObjectProperty<Face> face = new SimpleObjectProperty<>(Face.TREATMENT);

    public final ObjectProperty<Band> band = new SimpleObjectProperty<>(Band.NONE);

    /** Told of the place of the sequence that is pressed next; null while nobody asks. */
    public final ObjectProperty<Consumer<Point2D>> picking = new SimpleObjectProperty<>();

    /** An edit that is only tried: the panes show it, the project does not have it. Null for none. */
    public final ObjectProperty<UnaryOperator<Project>> trial = new SimpleObjectProperty<>();

    public final BooleanProperty twoPanes = new SimpleBooleanProperty();

    /** While true the result pane shows the picture without the look. */
    public final BooleanProperty without = new SimpleBooleanProperty();

    /** While true the result pane shows the held frame. */
    public final BooleanProperty showHeld = new SimpleBooleanProperty();

    /** A line across the picture, source on its left; 0..1 of the width, or off below 0. */
    public final DoubleProperty split = new SimpleDoubleProperty(-1);

    public final BooleanProperty loupe = new SimpleBooleanProperty();
    public final BooleanProperty handles = new SimpleBooleanProperty(true);

    /** Screen pixels to a pixel of the sequence; 0 fits the pane. */
    public final DoubleProperty zoom = new SimpleDoubleProperty();

    /** The middle of the pane, as shares of the picture's width and height. */
    public final ObjectProperty<Point2D> centre = new SimpleObjectProperty<>(new Point2D(0.5, 0.5));

    public final ObjectProperty<Surround> surround = new SimpleObjectProperty<>(Surround.BLACK);
    public final BooleanProperty playing = new SimpleBooleanProperty();
    public final BooleanProperty loop = new SimpleBooleanProperty(true);
    public final BooleanProperty darkroom = new SimpleBooleanProperty(true);

    /** How much larger than its own size type is set: 1 to 2. */
    public final DoubleProperty textScale = new SimpleDoubleProperty(1);

    /** Whether the instruments are beside the picture. */
    public final BooleanProperty scopes = new SimpleBooleanProperty();

    /** The part that they measure, in pixels of the sequence; null for all of it. */
    public final ObjectProperty<Rectangle2D> measured = new SimpleObjectProperty<>();

    public final BooleanProperty trayShown = new SimpleBooleanProperty(true);
    public final BooleanProperty closeUpShown = new SimpleBooleanProperty(true);
    public final BooleanProperty pictureOnly = new SimpleBooleanProperty();

    /** How the other lanes follow one that is shifted by hand. */
    public final ObjectProperty<Follow> follow = new SimpleObjectProperty<>(Follow.ALONE);

    /** How many pixels, or steps of the number, an arrow key goes. */
    public final DoubleProperty nudge = new SimpleDoubleProperty(1);

    /** Whether the picture is also in a window of its own. */
    public final BooleanProperty ownWindow = new SimpleBooleanProperty();

    /** How high the desk is, in pixels. */
    public final DoubleProperty deskHeight = new SimpleDoubleProperty();

    /** Which numbers are traced and pegged in the rows. */
    public final ObjectProperty<Traced> traced =
            new SimpleObjectProperty<>(new Traced.OfTreatment("x"));

    /** Whether the traces of all lanes are drawn in one tall plot. */
    public final BooleanProperty tall = new SimpleBooleanProperty();

    /** How many times closer than fitting their rows traces are drawn. */
    public final DoubleProperty valueZoom = new SimpleDoubleProperty(1);

    /** How far above rest the value in the middle of a row lies. */
    public final DoubleProperty valueMiddle = new SimpleDoubleProperty();

    /** Shots that are picked for what is done to several. */
    public final ObjectProperty<Set<Shot>> pickedShots = new SimpleObjectProperty<>(Set.of());

    /** Whether the panes still show something older than what is set, for longer than one notices. */
    public final BooleanProperty behind = new SimpleBooleanProperty();

    /** Something to tell in passing, such as why an edit shows nothing. */
    public final StringProperty notice = new SimpleStringProperty("");

    /** The place under the pointer in pixels of the sequence, or null. */
    public final ObjectProperty<Point2D> pointer = new SimpleObjectProperty<>();

    /** Traces drawn higher, or lower. */
    public void zoomValue(double times) {
        valueZoom.set(Math.clamp(valueZoom.get() * times, 0.25, 64));
    }

    /** All of time, and all of each trace. */
    public void fitTime() {
        timeFrom.set(0);
        timeShown.set(0);
        valueZoom.set(1);
        valueMiddle.set(0);
    }
}
