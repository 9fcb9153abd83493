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

import java.util.HashSet;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;

/** State of the display: neither saved with the project nor undone. */
public final class View {
    /** Content of a pane. */
    public enum Show {
        RESULT("Result"),
        SOURCE("Source"),
        CHANNEL_GREY("Channel in grey"),
        CHANNEL_INK("Channel in ink colour"),
        DIFFERENCE("Difference from source, ×4"),
        MASK_ONLY("Mask"),
        MASK_OVERLAY("Mask overlay"),
        HELD("Snapshot"),
        TAKE("Take"),
        OTHER_TAKE("Second take");

        private final String title;

        /** Whether a take is shown, which is chosen by name. */
        public boolean isTake() {
            return this == TAKE || this == OTHER_TAKE;
        }

        /** Whether it belongs to the selected look, not to the whole picture. */
        public boolean isOfALook() {
            return this == CHANNEL_GREY
                    || this == CHANNEL_INK
                    || this == MASK_ONLY
                    || this == MASK_OVERLAY;
        }

        Show(String title) {
            this.title = title;
        }

        @Override
        public String toString() {
            return title;
        }
    }

    /** Panels of the controls. */
    public enum Face {
        TREATMENT,
        SEPARATE,
        REJOIN,
        MASK,
        BURST,
        LOOK,
        LAYER
    }

    /** Tiles in place of the desk. */
    public enum Band {
        NONE,
        BLENDS,
        CHANNEL_COMBINATIONS,
        TREATMENTS,
        LOOKS,
        TAKES
    }

    /** A take by layer id and take id. */
    public record TakeId(String layer, String take) {}

    /** A shot by layer id and clip id. */
    public record ShotId(String layer, String clip) {}

    /** Colour around the picture. */
    public enum Surround {
        BLACK,
        GREY,
        WHITE
    }

    private static final Point2D MIDDLE = new Point2D(0.5, 0.5);

    public final LongProperty frame = new SimpleLongProperty();

    /** Frame at the left side of the timeline. */
    public final DoubleProperty timeFrom = new SimpleDoubleProperty();

    /** Number of visible frames; 0 for all. */
    public final DoubleProperty timeShown = new SimpleDoubleProperty();

    public final ObjectProperty<Show> paneA = new SimpleObjectProperty<>(Show.RESULT);
    public final ObjectProperty<Show> paneB = new SimpleObjectProperty<>(Show.SOURCE);

    /** The take in each pane, if it shows one; null for none. */
    public final ObjectProperty<TakeId> takeA = new SimpleObjectProperty<>();

    public final ObjectProperty<TakeId> takeB = new SimpleObjectProperty<>();

    public final ObjectProperty<Face> face = new SimpleObjectProperty<>(Face.TREATMENT);

    public final ObjectProperty<Band> band = new SimpleObjectProperty<>(Band.NONE);

    /** Receives the next clicked position of the sequence; null when not sampling. */
    public final ObjectProperty<Consumer<Point2D>> sampling = new SimpleObjectProperty<>();

    /** A previewed edit that the project does not contain; null for none. */
    public final ObjectProperty<UnaryOperator<Project>> trial = new SimpleObjectProperty<>();

    public final BooleanProperty twoPanes = new SimpleBooleanProperty();

    /** While true, the result pane bypasses the look. */
    public final BooleanProperty bypass = new SimpleBooleanProperty();

    /** While true, the result pane shows the snapshot. */
    public final BooleanProperty showSnapshot = new SimpleBooleanProperty();

    /** Split line with the source on its left; 0..1 of the width, negative for off. */
    public final DoubleProperty split = new SimpleDoubleProperty(-1);

    public final BooleanProperty loupe = new SimpleBooleanProperty();
    public final BooleanProperty handles = new SimpleBooleanProperty(true);

    /** Device pixels per point of the screen. */
    public final DoubleProperty deviceScale = new SimpleDoubleProperty(1);

    /** Device pixels per sequence pixel; 0 fits the pane. */
    public final DoubleProperty zoom = new SimpleDoubleProperty();

    /** Centre of the pane as shares of the picture's width and height. */
    public final ObjectProperty<Point2D> centre = new SimpleObjectProperty<>(MIDDLE);

    public final ObjectProperty<Surround> surround = new SimpleObjectProperty<>(Surround.BLACK);
    public final BooleanProperty playing = new SimpleBooleanProperty();
    public final BooleanProperty loop = new SimpleBooleanProperty(true);
    public final BooleanProperty darkroom = new SimpleBooleanProperty(true);

    /** Text size factor, 1 to 2. */
    public final DoubleProperty textScale = new SimpleDoubleProperty(1);

    /** Whether the scopes are visible. */
    public final BooleanProperty scopes = new SimpleBooleanProperty();

    /** Region of the scopes in sequence pixels; null for the whole picture. */
    public final ObjectProperty<Rectangle2D> measured = new SimpleObjectProperty<>();

    public final BooleanProperty trayShown = new SimpleBooleanProperty(true);
    public final BooleanProperty controlsShown = new SimpleBooleanProperty(true);
    public final BooleanProperty pictureOnly = new SimpleBooleanProperty();

    /** How other channels follow a shifted channel. */
    public final ObjectProperty<Follow> follow = new SimpleObjectProperty<>(Follow.ALONE);

    /** Step of an arrow key, in pixels or parameter steps. */
    public final DoubleProperty nudge = new SimpleDoubleProperty(1);

    /** Whether the picture is also in a separate window. */
    public final BooleanProperty ownWindow = new SimpleBooleanProperty();

    /** Height of the desk in pixels. */
    public final DoubleProperty deskHeight = new SimpleDoubleProperty();

    /** Names of the dials whose driven values are listed in the controls. */
    public final Set<String> openDials = new HashSet<>();

    /** The graphed and keyframed numbers. */
    public final ObjectProperty<GraphTargets> graphed =
            new SimpleObjectProperty<>(new GraphTargets.OfTreatment("x"));

    /** Whether all channels are graphed in one tall plot. */
    public final BooleanProperty tall = new SimpleBooleanProperty();

    /** Zoom of graphs in value, relative to fitting their rows. */
    public final DoubleProperty valueZoom = new SimpleDoubleProperty(1);

    /** Value in the middle of a row relative to the default. */
    public final DoubleProperty valueMiddle = new SimpleDoubleProperty();

    /** Shots selected for a common operation. */
    public final ObjectProperty<Set<ShotId>> selectedShots = new SimpleObjectProperty<>(Set.of());

    /** Whether the panes have shown an outdated picture for a noticeable time. */
    public final BooleanProperty behind = new SimpleBooleanProperty();

    /** A transient message, such as why an edit has no effect. */
    public final StringProperty notice = new SimpleStringProperty("");

    /** The pointer in sequence pixels, or null. */
    public final ObjectProperty<Point2D> pointer = new SimpleObjectProperty<>();

    /** Zooms graphs in value. */
    public void zoomValue(double times) {
        valueZoom.set(Math.clamp(valueZoom.get() * times, 0.25, 64));
    }

    /** Shows another project as a new window would; settings of the window itself stay. */
    public void startOver() {
        playing.set(false);
        frame.set(0);
        trial.set(null);
        sampling.set(null);
        band.set(Band.NONE);
        face.set(Face.TREATMENT);
        paneA.set(Show.RESULT);
        paneB.set(Show.SOURCE);
        takeA.set(null);
        takeB.set(null);
        bypass.set(false);
        showSnapshot.set(false);
        split.set(-1);
        zoom.set(0);
        centre.set(MIDDLE);
        surround.set(Surround.BLACK);
        measured.set(null);
        follow.set(Follow.ALONE);
        nudge.set(1);
        graphed.set(new GraphTargets.OfTreatment("x"));
        tall.set(false);
        selectedShots.set(Set.of());
        fitTime();
    }

    /** Shows all frames and all of each graph. */
    public void fitTime() {
        timeFrom.set(0);
        timeShown.set(0);
        valueZoom.set(1);
        valueMiddle.set(0);
    }
}
