package ivrik.core.separation;

import ivrik.core.colour.Matrix3;
import ivrik.core.colour.Transfer;
import ivrik.core.colour.TransferTable;
import ivrik.core.separation.ChannelKind.Role;

import java.util.ArrayList;
import java.util.List;

/**
 * Three arbitrary colours as additive primaries: the colours are the columns of a matrix, and the channels
 * are the inverse matrix times the colour, gamma-encoded or in linear light. Channels of a colour outside the
 * gamut of the primaries may be negative or greater than 1.
 */
public final class CustomPrimaries implements Separation {
    /** Largest accepted condition number; above it the colours are nearly coplanar. */
    public static final double WORST_CONDITION = 1000;

    private static final String LINEAR = "linear";
    private static final List<String> IDS = List.of("first", "second", "third");
    private static final List<String> TITLES = List.of("First", "Second", "Third");

    private final List<Ink> inks;
    private final boolean linear;
    private final List<ChannelKind> channels;
    private final PrimariesSolver solver;

    /**
     * @param linear whether to convert to linear light (sRGB) first
     * @throws PlanarPrimariesException if the colours are nearly coplanar with black
     */
    public CustomPrimaries(List<Ink> inks, boolean linear) {
        this.inks = List.copyOf(inks);
        this.linear = linear;
        Matrix3 matrix = matrix(inks, linear);
        double condition = matrix.condition();
        if (condition > WORST_CONDITION) {
            throw new PlanarPrimariesException(inks, condition, nearest(inks, linear));
        }
        this.solver = new PrimariesSolver(matrix, condition);
        List<ChannelKind> kinds = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            kinds.add(
                    new ChannelKind(
                            IDS.get(i),
                            TITLES.get(i),
                            Integer.toString(i + 1),
                            Role.values()[i],
                            inks.get(i),
                            Paint.LIGHT));
        }
        this.channels = List.copyOf(kinds);
    }

    /**
     * Parses the text after the colon: three RRGGBB separated by commas, then optionally {@code linear}.
     */
    static Separation of(String argument) {
        List<String> parts = List.of(argument.split(",", -1));
        boolean linear = parts.size() == 4 && parts.getLast().equals(LINEAR);
        if (parts.size() != 3 && !linear) {
            throw new IllegalArgumentException(
                    "expected three colours such as ff4020,20ff60,4040ff, not " + argument);
        }
        return new CustomPrimaries(parts.subList(0, 3).stream().map(Ink::parse).toList(), linear);
    }

    private static Matrix3 matrix(List<Ink> inks, boolean linear) {
        double[][] columns = new double[3][3];
        for (int i = 0; i < 3; i++) {
            for (int c = 0; c < 3; c++) {
                double part = inks.get(i).part(c);
                columns[i][c] = linear ? Transfer.SRGB.toLinear(part) : part;
            }
        }
        return Matrix3.ofColumns(columns[0], columns[1], columns[2]);
    }

    /**
     * Condition number of three primaries: 1 is best; more than {@link #WORST_CONDITION} is rejected.
     */
    public static double condition(List<Ink> inks, boolean linear) {
        return matrix(inks, linear).condition();
    }

    /**
     * The nearest accepted primaries: each colour is moved towards red, green or blue by the smallest
     * sufficient share.
     */
    public static List<Ink> nearest(List<Ink> inks, boolean linear) {
        List<Ink> best = null;
        double least = Double.POSITIVE_INFINITY;
        for (List<Ink> goal : ORDERS) {
            for (int step = 1; step <= 100 && step < least; step++) {
                List<Ink> drawn = drawn(inks, goal, step / 100f);
                if (condition(drawn, linear) <= WORST_CONDITION / 10) {
                    least = step;
                    best = drawn;
                }
            }
        }
        return best;
    }

    private static final List<List<Ink>> ORDERS =
            List.of(
                    List.of(Ink.RED, Ink.GREEN, Ink.BLUE),
                    List.of(Ink.RED, Ink.BLUE, Ink.GREEN),
                    List.of(Ink.GREEN, Ink.RED, Ink.BLUE),
                    List.of(Ink.GREEN, Ink.BLUE, Ink.RED),
                    List.of(Ink.BLUE, Ink.RED, Ink.GREEN),
                    List.of(Ink.BLUE, Ink.GREEN, Ink.RED));

    private static List<Ink> drawn(List<Ink> inks, List<Ink> goal, float t) {
        List<Ink> drawn = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            Ink a = inks.get(i);
            Ink b = goal.get(i);
            // rounded to 8 bits, so that the text form is exact
            drawn.add(
                    Ink.parse(
                            new Ink(
                                            a.red() + t * (b.red() - a.red()),
                                            a.green() + t * (b.green() - a.green()),
                                            a.blue() + t * (b.blue() - a.blue()))
                                    .hex()));
        }
        return drawn;
    }

    /** Whether a channel belongs to custom primaries: its colour is chosen by the user. */
    public static boolean isChannel(ChannelKind kind) {
        return IDS.contains(kind.id());
    }

    /** The primaries. */
    public List<Ink> inks() {
        return inks;
    }

    /** Whether the primaries add in linear light. */
    public boolean inLinearLight() {
        return linear;
    }

    @Override
    public String id() {
        return "primaries:"
                + String.join(",", inks.stream().map(Ink::hex).toList())
                + (linear ? "," + LINEAR : "");
    }

    @Override
    public String title() {
        return "Custom primaries";
    }

    @Override
    public List<ChannelKind> channels() {
        return channels;
    }

    @Override
    public boolean isLinear() {
        return true;
    }

    /**
     * Near black a 16-bit picture resolves linear light finer than the floats of large channels.
     */
    @Override
    public int remainders() {
        return linear ? 3 : 0;
    }

    @Override
    public void separate(float[][] colour, float[][] out, int n) {
        if (linear) {
            for (float[] channel : colour) {
                TransferTable.toLinear(Transfer.SRGB).apply(channel, n);
            }
        }
        solver.separate(colour, out, n);
    }

    @Override
    public void rejoin(float[][] in, float[][] colour, int n) {
        solver.rejoin(in, colour, n);
        if (linear) {
            for (float[] channel : colour) {
                TransferTable.fromLinear(Transfer.SRGB).apply(channel, n);
            }
        }
    }
}
