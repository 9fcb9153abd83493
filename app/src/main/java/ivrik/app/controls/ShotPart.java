package ivrik.app.controls;

import static ivrik.app.widget.Controls.quiet;
import static ivrik.app.widget.Controls.row;

import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.widget.Controls;
import ivrik.app.widget.NumberField;
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

/** The shot at the present frame: frames of its source, rate and loudness. */
final class ShotPart extends VBox {
    private final Session session;
    private final View view;
    private final Label title = new Label();
    private final Label frames = Controls.hint("");
    private final NumberField level;
    private final ToggleButton mute =
            Controls.toggle("shot-mute", "mute", "Mutes the sound of this shot");
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
                                "dB", Loudness.MIN_DECIBELS, Loudness.MAX_DECIBELS, 0, 1, 1, true),
                        "Gain of the shot's sound, in dB; 0 leaves it unchanged",
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
                "Shot: " + name.toLowerCase(Locale.ROOT),
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
        title.setText("Shot: " + source.name());
        frames.setText(description(shot, source));
        level.show(shot.loudness().levelDecibels());
        mute.setSelected(shot.loudness().mute());
        sound.setVisible(source.sound());
        sound.setManaged(source.sound());
    }

    private String description(Clip shot, Source source) {
        String where = "Sequence frames " + shot.start() + " to " + (shot.end() - 1);
        if (source.kind().isStill()) {
            return where + ".";
        }
        Rational rate = session.project().sequence().rate();
        long first = shot.sourceFrame(shot.start(), source, rate);
        long last = shot.sourceFrame(shot.end() - 1, source, rate);
        String taken = ", source frames " + first + " to " + last + " of " + source.frames() + ".";
        return source.rate().equals(rate)
                ? where + taken
                : where
                        + taken
                        + " Source "
                        + Controls.rate(source.rate())
                        + " fps, sequence "
                        + Controls.rate(rate)
                        + " fps: the nearest earlier source frame is shown.";
    }
}
