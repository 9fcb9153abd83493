package ivrik.core.separation;

import ivrik.core.colour.Matrix3;
import ivrik.core.colour.Transfer;
import ivrik.core.colour.TransferTable;
import ivrik.core.separation.LaneKind.Role;

import java.util.ArrayList;
import java.util.List;

/**
 * Any three colours as the lights a picture is made of: they are the columns of a matrix, and the
 * lanes are its inverse times the colour, as delivered or in linear light. Lanes may be negative and
 * over 1 where a colour lies outside the trio.
 */
public final class Trio implements Separation {
    /** Three colours of a worse condition lie too nearly in one plane. */
    public static final double WORST_CONDITION = 1000;

    private static final String LINEAR = "linear";
    private static final List<String> IDS = List.of("first", "second", "third");
    private static final List<String> TITLES = List.of("First", "Second", "Third");

    private final List<Ink> inks;
    private final boolean linear;
    private final List<LaneKind> lanes;
    private final TrioSolver solver;

    /**
     * @param linear whether colour is taken as linear light (sRGB) first
     * @throws PlanarTrioException if they lie, or nearly, in one plane through black
     */
    public Trio(List<Ink> inks, boolean linear) {
        this.inks = List.copyOf(inks);
        this.linear = linear;
        Matrix3 matrix = matrix(inks, linear);
        double condition = matrix.condition();
        if (condition > WORST_CONDITION) {
            throw new PlanarTrioException(inks, condition, nearest(inks, linear));
        }
        this.solver = new TrioSolver(matrix, condition);
        List<LaneKind> kinds = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            kinds.add(
                    new LaneKind(
                            IDS.get(i),
                            TITLES.get(i),
                            Integer.toString(i + 1),
                            Role.values()[i],
                            inks.get(i),
                            Paint.LIGHT));
        }
        this.lanes = List.copyOf(kinds);
    }

    /** From the text after the colon: three RRGGBB with commas between, then {@code linear} or not. */
    static Separation of(String argument) {
        List<String> parts = List.of(argument.split(",", -1));
        boolean linear = parts.size() == 4 && parts.getLast().equals(LINEAR);
        if (parts.size() != 3 && !linear) {
            throw new IllegalArgumentException(
                    "three colours such as ff4020,20ff60,4040ff are needed, not " + argument);
        }
        return new Trio(parts.subList(0, 3).stream().map(Ink::parse).toList(), linear);
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

    /** How well three colours serve as a trio: 1 is best, over {@link #WORST_CONDITION} is refused. */
    public static double condition(List<Ink> inks, boolean linear) {
        return matrix(inks, linear).condition();
    }

    /**
     * The nearest trio that works: each colour drawn towards the one of red, green and blue it is to
     * stand for, by the least part that is enough.
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
            // by whole codes, so that the text form is the colour itself
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

    /** Whether a lane is one of a trio: its colour is its user's own. */
    public static boolean isLane(LaneKind kind) {
        return IDS.contains(kind.id());
    }

    /** The trio's colours. */
    public List<Ink> inks() {
        return inks;
    }

    /** Whether its colours add up in linear light. */
    public boolean inLinearLight() {
        return linear;
    }

    @Override
    public String id() {
        return "trio:"
                + String.join(",", inks.stream().map(Ink::hex).toList())
                + (linear ? "," + LINEAR : "");
    }

    @Override
    public String title() {
        return "Own trio";
    }

    @Override
    public List<LaneKind> lanes() {
        return lanes;
    }

    @Override
    public boolean isLinear() {
        return true;
    }

    /** Near black a 16-bit picture shows more of linear light than the floats of large lanes hold. */
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
