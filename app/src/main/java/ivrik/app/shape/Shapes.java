package ivrik.app.shape;

import ivrik.core.treatment.Control;

import java.util.EnumMap;
import java.util.Map;

/** The shape of each {@link ivrik.core.treatment.Control}; the compiler checks completeness. */
public final class Shapes {
    private static final Map<Control, Shape> ALL = new EnumMap<>(Control.class);

    static {
        for (Control control : Control.values()) {
            ALL.put(control, made(control));
        }
    }

    private Shapes() {}

    private static Shape made(Control control) {
        return switch (control) {
            case PAD -> new PadShape();
            case RULER -> new RulerShape();
            case DIRECTION -> new DirectionShape();
            case SPECTRUM -> new SpectrumShape();
            case LENS -> new LensShape();
            case PLOT -> new PlotShape();
            case GRADIENT -> new GradientShape();
            case GRID -> new GridShape();
            case PINS -> new PinsShape();
        };
    }

    public static Shape of(Control control) {
        return ALL.get(control);
    }
}
