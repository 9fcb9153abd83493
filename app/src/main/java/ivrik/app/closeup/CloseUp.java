package ivrik.app.closeup;

import ivrik.app.control.Revealing;
import ivrik.app.session.Casts;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.Steps;
import ivrik.app.session.View;
import ivrik.app.session.View.Face;
import ivrik.app.theme.Palette;
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

/** The large controls of what is selected on the desk: separation, a treatment, or rejoin. */
public final class CloseUp extends ScrollPane {
    private static final double LEAST = 260;

    /** Room for the bar that scrolls it. */
    private static final double BAR = 10;

    /** Those whose controls show any look that needs the same; the others are of something that they hold. */
    private static final Set<Face> KEPT_FACES =
            EnumSet.of(Face.TREATMENT, Face.SEPARATE, Face.REJOIN, Face.REACH);

    /** The controls of so many are kept; more than a look has columns in sight. */
    private static final int KEPT = 12;

    /** For so long controls are made each time the window is drawn; to style them takes twice as long again. */
    private static final long AT_ONCE_NS = 3_000_000;

    private final Session session;
    private final View view;
    private final Steps steps;
    private final Casts casts;
    private final ObjectProperty<Palette> palette;
    private final Function<Point2D, Optional<Ink>> colourAt;

    /** Controls, the last chosen last: to make and style them takes longer than a key press may. */
    private final Map<String, Part> kept =
            new LinkedHashMap<>(KEPT, 0.75f, true) {
                @Override
                protected boolean removeEldestEntry(Map.Entry<String, Part> eldest) {
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

    private Part part;
    private boolean isFirst = true;
    private String madeFor = "";

    /** What was needed when all was there. */
    private double width = LEAST;

    /**
     * @param colourAt the source's colour at a place of the sequence
     */
    public CloseUp(
            Session session,
            View view,
            Steps steps,
            Casts casts,
            ObjectProperty<Palette> palette,
            Function<Point2D, Optional<Ink>> colourAt) {
        this.session = session;
        this.view = view;
        this.steps = steps;
        this.casts = casts;
        this.palette = palette;
        this.colourAt = colourAt;
        getStyleClass().add("close-up");
        setFitToWidth(true);
        setHbarPolicy(ScrollBarPolicy.NEVER);
        Revealing.install(this);
        session.stateProperty().addListener((o, a, b) -> refresh());
        view.face.addListener((o, a, b) -> refresh());
        view.frame.addListener((o, a, b) -> show());
        view.follow.addListener((o, a, b) -> show());
        refresh();
    }

    /** As wide as its controls need, and no less than words of a size need. While they are made it stays as it is. */
    @Override
    protected double computeMinWidth(double height) {
        if (isWhole()) {
            double needed = getContent() == null ? 0 : getContent().minWidth(-1) + BAR;
            width = Math.max(Math.rint(LEAST * view.textScale.get()), needed);
        }
        return width;
    }

    /** Whether no more of it is still to be made. */
    public boolean isWhole() {
        return part == null || part.isWhole();
    }

    /** Makes the controls anew where others are needed, and shows the values. */
    private void refresh() {
        State state = session.state();
        String needed = state.look().map(l -> needs(state, l)).orElse("nothing");
        if (!needed.equals(madeFor)) {
            madeFor = needed;
            part = state.look().map(l -> keptOrMade(needed, l)).orElse(null);
            setContent(part == null ? hint() : part.node());
            Platform.runLater(this::requestParentLayout);
            beginToFill();
        }
        show();
    }

    /** The first is made at once: no hand waits yet, and to lay the window out a dozen times takes longer. */
    private void beginToFill() {
        if (isFirst && part != null) {
            isFirst = false;
            while (!isWhole()) {
                part.more();
            }
        }
        if (!isWhole()) {
            // Most need the bar in the end, and nothing moves aside for it then.
            setVbarPolicy(ScrollBarPolicy.ALWAYS);
            filling.start();
        }
    }

    /** Makes what is missing of the part that is shown, a little each time that the window is drawn. */
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

    private Part keptOrMade(String needed, Look look) {
        if (!KEPT_FACES.contains(view.face.get())) {
            return make(look);
        }
        String said = needed + look.separation() + look.shownName() + titles(look);
        return kept.computeIfAbsent(said, made -> make(look));
    }

    private static List<String> titles(Look look) {
        return look.dials().stream().map(d -> d.title() + d.words()).toList();
    }

    private Part make(Look look) {
        return switch (view.face.get()) {
            case SEPARATE -> new SeparatePart(session, view, colourAt);
            case REJOIN -> new RejoinPart(session, view);
            case LAYER -> new LayerPart(session, view);
            case REACH -> new ReachPart(session, view, colourAt);
            case LOOK -> new LookPart(session, view, palette, look);
            case BURST -> session.state().burst().map(b -> burst(b, look)).orElse(null);
            case TREATMENT ->
                    look.steps().isEmpty()
                            ? null
                            : new TreatmentPart(session, view, steps, casts, palette);
        };
    }

    private Part burst(Burst burst, Look look) {
        return new BurstPart(session, view, palette, burst, look);
    }

    private void show() {
        if (part != null) {
            part.show(session.state());
        }
    }

    private static VBox hint() {
        Label hint =
                new Label("Bring in a clip, and the controls of its first treatment appear here.");
        hint.setWrapText(true);
        hint.getStyleClass().add("quiet");
        VBox box = new VBox(hint);
        box.getStyleClass().add("close-up-body");
        return box;
    }
}
