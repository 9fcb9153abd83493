package ivrik.app.closeup;

import static ivrik.app.control.Controls.quiet;
import static ivrik.app.control.Controls.row;

import ivrik.app.control.Controls;
import ivrik.app.control.NumberField;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.core.motion.Rational;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.Loudness;
import ivrik.core.project.Source;

import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

import java.util.Locale;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** The shot that the layer shows now: which frames of its source, at which rate, and how loud it is. */
final class ShotPart extends VBox {
    private final Session session;
    private final View view;
    private final Label title = new Label();
    private final Label frames = Controls.hint("");
    private final NumberField level;
    private final ToggleButton mute = Controls.toggle("shot-mute", "mute", "Leaves its sound out");
    private final HBox sound;

    ShotPart(Session session, View view) {
        super(2);
        this.session = session;
        this.view = view;
        title.getStyleClass().add("heading");
        frames.setId("shot-frames");
        level =
                new NumberField(
                        new NumberField.Spec(
                                "dB",
                                Loudness.LEAST_DECIBELS,
                                Loudness.MOST_DECIBELS,
                                0,
                                1,
                                1,
                                true),
                        "How loud its sound is, over what it is in its file",
                        to -> edit("Level", l -> l.withLevelDecibels(to)));
        level.setId("shot-level");
        mute.setOnAction(e -> edit("Mute", l -> l.withMute(mute.isSelected())));
        sound = row(quiet("Sound"), level, mute);
        getChildren().addAll(title, frames, sound);
    }

    private Optional<Clip> shot(Layer layer) {
        return layer.clipAt(view.frame.get());
    }

    private void edit(String name, UnaryOperator<Loudness> change) {
        String id = session.state().layer().flatMap(this::shot).map(Clip::id).orElse("");
        session.editLayer(
                name + " of the shot",
                l ->
                        l.withClips(
                                l.clips().stream()
                                        .map(
                                                c ->
                                                        c.id().equals(id)
                                                                ? c.withLoudness(
                                                                        change.apply(c.loudness()))
                                                                : c)
                                        .toList()));
    }

    void show(Layer layer) {
        Clip shot = shot(layer).filter(c -> !c.isSpan()).orElse(null);
        Source source = shot == null ? null : session.project().source(shot.source()).orElse(null);
        setVisible(source != null);
        setManaged(source != null);
        if (source == null) {
            return;
        }
        title.setText("Shot here: " + source.name());
        frames.setText(words(shot, source));
        level.show(shot.loudness().levelDecibels());
        mute.setSelected(shot.loudness().mute());
        sound.setVisible(source.sound());
        sound.setManaged(source.sound());
    }

    private String words(Clip shot, Source source) {
        String where = "Frames " + shot.start() + " to " + (shot.end() - 1) + " of the sequence";
        if (source.kind().isStill()) {
            return where + ".";
        }
        Rational rate = session.project().sequence().rate();
        long first = shot.sourceFrame(shot.start(), source, rate);
        long last = shot.sourceFrame(shot.end() - 1, source, rate);
        String taken = ", " + first + " to " + last + " of its " + source.frames() + ".";
        return source.rate().equals(rate)
                ? where + taken
                : where
                        + taken
                        + String.format(
                                Locale.ROOT,
                                " It runs at %.5g a second, the sequence at %.5g: each frame shows"
                                        + " the one of the source that is on then.",
                                source.rate().toDouble(),
                                rate.toDouble());
    }
}
