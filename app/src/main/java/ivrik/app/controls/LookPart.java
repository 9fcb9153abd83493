package ivrik.app.controls;

import static ivrik.app.widget.Controls.quiet;
import static ivrik.app.widget.Controls.row;

import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.app.theme.Palette;
import ivrik.app.widget.Controls;
import ivrik.core.look.Dial;
import ivrik.core.look.Look;

import javafx.beans.property.ObjectProperty;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;

import java.util.List;
import java.util.Optional;

/** Controls of the selected look as a whole: name, dials with their links, and motion blur. */
final class LookPart extends IncrementalBuild<State> {

    LookPart(Session session, View view, ObjectProperty<Palette> palette, Look look) {
        super(session, Optional::of);
        getChildren().add(name());
        if (!look.note().isEmpty()) {
            getChildren().add(Controls.hint(look.note()));
        }
        if (look.dials().isEmpty()) {
            Label hint =
                    Controls.hint(
                            "No dials yet. Right-click any number to add it to a dial; a dial"
                                    + " changes several numbers at once.");
            getChildren().add(hint);
        }
        for (Dial dial : DialsPart.ordered(look)) {
            add(() -> new DialCard(session, view, palette, dial, look, showers));
        }
        add(() -> shutter(view));
    }

    private Node shutter(View view) {
        ShutterPart shutter = new ShutterPart(session, view);
        showers.add(s -> s.look().ifPresent(shutter::show));
        return shutter;
    }

    private Node name() {
        TextField name = new TextField();
        name.setId("look-name");
        Controls.explain(name, "Name of the look");
        name.getStyleClass().add("title");
        Runnable rename =
                () -> {
                    String to = name.getText().strip();
                    boolean other =
                            session.state()
                                    .look()
                                    .filter(l -> !l.displayName().equals(to))
                                    .isPresent();
                    if (other && !to.isEmpty()) {
                        session.editLook("Rename look", l -> l.withTitle(to));
                    }
                };
        name.setOnAction(e -> rename.run());
        name.focusedProperty()
                .addListener(
                        (o, was, is) -> {
                            if (was) {
                                rename.run();
                            }
                        });
        showers.add(
                s -> {
                    if (!name.isFocused()) {
                        name.setText(s.look().map(Look::displayName).orElse(""));
                    }
                });
        return row(quiet("Look"), name);
    }

    /** Everything that the set of controls depends on. */
    static String needs(Look look) {
        StringBuilder needs = new StringBuilder(look.note());
        for (Dial dial : look.dials()) {
            needs.append(dial.withValue(ivrik.core.motion.Value.ZERO).withLinks(List.of()));
            dial.links().forEach(l -> needs.append(l.target()).append(l.response() != null));
        }
        return needs.toString();
    }
}
