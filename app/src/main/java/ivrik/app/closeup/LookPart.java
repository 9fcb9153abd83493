package ivrik.app.closeup;

import static ivrik.app.control.Controls.quiet;
import static ivrik.app.control.Controls.row;

import ivrik.app.control.Controls;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.app.theme.Palette;
import ivrik.core.look.Dial;
import ivrik.core.look.Look;

import javafx.beans.property.ObjectProperty;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;

import java.util.List;
import java.util.Optional;

/** The look on the desk as a whole: its name, its dials, large, with what each drives, and its motion blur. */
final class LookPart extends PieceByPiece<State> {

    LookPart(Session session, View view, ObjectProperty<Palette> palette, Look look) {
        super(session, Optional::of);
        getChildren().add(name());
        if (!look.note().isEmpty()) {
            getChildren().add(Controls.hint(look.note()));
        }
        if (look.dials().isEmpty()) {
            Label hint =
                    Controls.hint(
                            "This look has no dials yet. Press the right button on any number to"
                                    + " put it on one: a dial turns several numbers at once.");
            getChildren().add(hint);
        }
        for (Dial dial : look.dials()) {
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
        Controls.explain(name, "What the look is called here and when it is saved");
        name.getStyleClass().add("title");
        Runnable rename =
                () -> {
                    String to = name.getText().strip();
                    boolean other =
                            session.state()
                                    .look()
                                    .filter(l -> !l.shownName().equals(to))
                                    .isPresent();
                    if (other && !to.isEmpty()) {
                        session.editLook("Name of the look", l -> l.withTitle(to));
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
                        name.setText(s.look().map(Look::shownName).orElse(""));
                    }
                });
        return row(quiet("Look"), name);
    }

    /** What the controls of a look depend on. */
    static String needs(Look look) {
        StringBuilder needs = new StringBuilder(look.note());
        for (Dial dial : look.dials()) {
            needs.append(dial.withValue(ivrik.core.motion.Value.ZERO).withLinks(List.of()));
            dial.links().forEach(l -> needs.append(l.target()).append(l.bend() != null));
        }
        return needs.toString();
    }
}
