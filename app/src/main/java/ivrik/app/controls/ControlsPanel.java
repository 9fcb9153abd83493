package ivrik.app.controls;

import ivrik.app.session.ColourCastMeasurement;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.TreatmentEdits;
import ivrik.app.session.View;
import ivrik.app.session.View.Face;
import ivrik.app.theme.Palette;
import ivrik.app.widget.ScrollToFocus;
import ivrik.core.look.Burst;
import ivrik.core.look.Dial;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.project.Layer;
import ivrik.core.separation.Ink;

import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.beans.property.ObjectProperty;
import javafx.geometry.Point2D;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.VBox;

import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * The controls of the selection: separation, a treatment, a burst, a mask, the look, the layer or rejoin.
 */
public final class ControlsPanel extends ScrollPane {
    private static final double MIN = 260;

    /** Width of the scroll bar. */
    private static final double BAR = 10;

    /** Panels that can show any look with the same needs; others belong to one object. */
    private static final Set<Face> KEPT_FACES =
            EnumSet.of(Face.TREATMENT, Face.SEPARATE, Face.REJOIN, Face.MASK);

    /** Number of cached panels; more than the visible columns. */
    private static final int KEPT = 12;

    /** Time per pulse for building controls; styling takes twice as long again. */
    private static final long AT_ONCE_NS = 3_000_000;

    private final Session session;
    private final View view;
    private final TreatmentEdits steps;
    private final ColourCastMeasurement colourCasts;
    private final ObjectProperty<Palette> palette;
    private final Function<Point2D, Optional<Ink>> colourAt;

    /** Cached panels, most recent last: building and styling takes longer than a key press may. */
    private final Map<String, ControlsPart> kept =
            new LinkedHashMap<>(KEPT, 0.75f, true) {
                @Override
                protected boolean removeEldestEntry(Map.Entry<String, ControlsPart> eldest) {
                    return size() > KEPT;
                }
            };

    private final AnimationTimer filling =
            new AnimationTimer() {
                @Override
                public void handle(long now) {
                    fill();
                }
            };

    private ControlsPart part;
    private boolean isFirst = true;
    private String madeFor = "";

    /** Required width when the panel was last complete. */
    private double width = MIN;

    /**
     * @param colourAt colour of the source at a position of the sequence
     */
    public ControlsPanel(
            Session session,
            View view,
            TreatmentEdits steps,
            ColourCastMeasurement colourCasts,
            ObjectProperty<Palette> palette,
            Function<Point2D, Optional<Ink>> colourAt) {
        this.session = session;
        this.view = view;
        this.steps = steps;
        this.colourCasts = colourCasts;
        this.palette = palette;
        this.colourAt = colourAt;
        getStyleClass().add("controls");
        setFitToWidth(true);
        setHbarPolicy(ScrollBarPolicy.NEVER);
        ScrollToFocus.install(this);
        session.stateProperty().addListener((o, a, b) -> refresh());
        view.face.addListener((o, a, b) -> refresh());
        view.frame.addListener((o, a, b) -> show());
        view.follow.addListener((o, a, b) -> show());
        refresh();
    }

    /**
     * The width of the controls, at least that of the text size; constant while the controls are built.
     */
    @Override
    protected double computeMinWidth(double height) {
        if (isWhole()) {
            double needed = getContent() == null ? 0 : getContent().minWidth(-1) + BAR;
            width = Math.max(Math.rint(MIN * view.textScale.get()), needed);
        }
        return width;
    }

    /** Whether all controls are built. */
    public boolean isWhole() {
        return part == null || part.isWhole();
    }

    public void scrollToTop() {
        setVvalue(0);
    }

    /** Switches to the panel that the selection needs and shows its values. */
    private void refresh() {
        State state = session.state();
        if (view.face.get() == Face.BURST && state.burst().isEmpty()) {
            view.face.set(Face.TREATMENT); // comes back here
            return;
        }
        String needed = state.look().map(l -> needs(state, l)).orElse("nothing");
        if (!needed.equals(madeFor)) {
            madeFor = needed;
            part = state.look().map(l -> cachedOrNew(needed, l)).orElse(null);
            setContent(part == null ? hint(state) : part.node());
            Platform.runLater(this::requestParentLayout);
            beginToFill();
        }
        show();
    }

    /**
     * Builds the first panel at once: no input waits yet, and repeated layouts would take longer.
     */
    private void beginToFill() {
        if (isFirst && part != null) {
            isFirst = false;
            while (!isWhole()) {
                part.more();
            }
        }
        if (!isWhole()) {
            // always visible, so that nothing moves when it is needed
            setVbarPolicy(ScrollBarPolicy.ALWAYS);
            filling.start();
        }
    }

    /** Builds missing controls of the visible panel, a few in each pulse. */
    private void fill() {
        long began = System.nanoTime();
        while (!isWhole() && System.nanoTime() - began < AT_ONCE_NS) {
            part.more();
        }
        if (isWhole()) {
            filling.stop();
            setVbarPolicy(ScrollBarPolicy.AS_NEEDED);
            Platform.runLater(this::requestParentLayout);
        }
    }

    private String needs(State state, Look look) {
        return view.face.get()
                + look.separation().replaceFirst(":.*", ":")
                + (view.face.get() == Face.TREATMENT ? state.stepId() : "")
                + (view.face.get() == Face.LAYER ? state.layer().map(Layer::id).orElse("") : "")
                + (view.face.get() == Face.BURST ? state.burst().map(BurstPart::needs) : "")
                + (view.face.get() == Face.LOOK ? LookPart.needs(look) : "")
                + look.steps().stream().map(s -> s.id() + kind(s) + s.section()).toList()
                + look.dials().stream().map(Dial::name).toList();
    }

    private static String kind(Step step) {
        return step.kind().description().id();
    }

    private ControlsPart cachedOrNew(String needed, Look look) {
        if (!KEPT_FACES.contains(view.face.get())) {
            return make(look);
        }
        String said = needed + look.separation() + look.displayName() + titles(look);
        return kept.computeIfAbsent(said, made -> make(look));
    }

    private static List<String> titles(Look look) {
        return look.dials().stream().map(d -> d.title() + d.choices()).toList();
    }

    private ControlsPart make(Look look) {
        return switch (view.face.get()) {
            case SEPARATE -> new SeparatePart(session, view, colourAt);
            case REJOIN -> new RejoinPart(session, view);
            case LAYER -> new LayerPart(session, view);
            case MASK -> new MaskPart(session, view, colourAt);
            case LOOK -> new LookPart(session, view, palette, look);
            case BURST -> session.state().burst().map(b -> burst(b, look)).orElse(null);
            case TREATMENT ->
                    look.steps().isEmpty()
                            ? null
                            : new TreatmentPart(session, view, steps, colourCasts, palette);
        };
    }

    private ControlsPart burst(Burst burst, Look look) {
        return new BurstPart(session, view, palette, burst, look);
    }

    private void show() {
        if (part != null) {
            part.show(session.state());
        }
    }

    private static VBox hint(State state) {
        Label hint =
                new Label(
                        state.look().isEmpty()
                                ? "Import a clip to see the controls of its first treatment here."
                                : "This look has no treatment. Press Insert to add one.");
        hint.setWrapText(true);
        hint.getStyleClass().add("quiet");
        VBox box = new VBox(hint);
        box.getStyleClass().add("controls-body");
        return box;
    }
}
