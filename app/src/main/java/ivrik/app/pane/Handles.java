package ivrik.app.pane;

import ivrik.app.session.ChannelEdits;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.shape.Handle;
import ivrik.app.shape.PaneMapping;
import ivrik.app.shape.Shapes;
import ivrik.app.theme.Palette;
import ivrik.core.treatment.Centre;
import ivrik.core.treatment.Control;
import ivrik.core.treatment.Description;
import ivrik.core.treatment.Dispersion;

import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/** The handles of the selected treatment on the picture, chosen by its description. */
public final class Handles {
    private final Session session;
    private final Map<Control, Handle> ofShapes = new EnumMap<>(Control.class);
    private final Handle centre;
    private final Handle line;
    private Handle taken;

    public Handles(Session session, View view) {
        this.session = session;
        for (Control control : Control.values()) {
            Shapes.of(control)
                    .handle(session, view)
                    .ifPresent(handle -> ofShapes.put(control, handle));
        }
        this.centre = new CentreHandle(session, view);
        this.line = new LineHandle(session, view);
    }

    private List<Handle> present() {
        List<Handle> present = new ArrayList<>();
        ChannelEdits.treatment(session.state())
                .ifPresent(
                        t -> {
                            Description d = t.description();
                            if (ofShapes.containsKey(d.control())) {
                                present.add(ofShapes.get(d.control()));
                            }
                            if (hasLine()) {
                                present.add(line);
                            } else if (d.has(Centre.X.name())) {
                                present.add(centre);
                            }
                        });
        return present;
    }

    /** Whether the treatment works along a line; a spectrum may also be radial. */
    private boolean hasLine() {
        return session.state()
                .step()
                .filter(
                        s ->
                                s.kind().description().has(LineHandle.ANGLE)
                                        && s.kind().description().has(LineHandle.LENGTH))
                .filter(
                        s ->
                                !(s.kind() instanceof Dispersion)
                                        || !s.choice(Dispersion.DIRECTION)
                                                .equals(Dispersion.DIRECTION.rest()))
                .isPresent();
    }

    void draw(GraphicsContext g, Palette p, PaneMapping m) {
        present().forEach(h -> h.draw(g, p, m));
    }

    boolean pressed(MouseEvent e, PaneMapping m) {
        taken = present().stream().filter(h -> h.pressed(e, m)).findFirst().orElse(null);
        return taken != null;
    }

    void dragged(MouseEvent e, PaneMapping m) {
        if (taken != null) {
            taken.dragged(e, m);
        }
    }

    void released() {
        if (taken != null) {
            taken.released();
            taken = null;
        }
    }
}
