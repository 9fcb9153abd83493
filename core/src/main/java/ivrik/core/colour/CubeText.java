package ivrik.core.colour;

import java.math.BigDecimal;
import java.util.Arrays;

/**
 * Tables as texts of the {@code .cube} form: a size, a domain, and a colour in each line. Lines that begin with a
 * hash say nothing.
 */
public final class CubeText {
    private static final String TITLE = "TITLE";
    private static final String CURVES = "LUT_1D_SIZE";
    private static final String LATTICE = "LUT_3D_SIZE";
    private static final String LOW = "DOMAIN_MIN";
    private static final String HIGH = "DOMAIN_MAX";

    /** Numbers beyond this are a mistake. */
    private static final float LARGEST = 65504;

    private final String name;
    private String title = "";
    private int line;
    private boolean lattice;
    private int points;
    private float[] low = {0, 0, 0};
    private float[] high = {1, 1, 1};
    private float[] values;
    private int count;

    private CubeText(String name) {
        this.name = name;
    }

    /**
     * Reads a table.
     *
     * @param name that it has if it says none
     * @throws DamagedTableException if it is damaged; it says in which line
     */
    public static ColourTable read(String text, String name) {
        return new CubeText(name).read(text);
    }

    private ColourTable read(String text) {
        text.lines()
                .forEach(
                        each -> {
                            line++;
                            String plain = each.strip();
                            if (!plain.isEmpty() && !plain.startsWith("#")) {
                                take(plain);
                            }
                        });
        if (values == null) {
            throw damaged("it has no " + CURVES + " and no " + LATTICE);
        }
        if (count < values.length) {
            throw damaged("it ends after " + count / 3 + " of " + values.length / 3 + " colours");
        }
        for (int c = 0; c < 3; c++) {
            if (!(low[c] < high[c])) {
                throw damaged("its domain goes from " + low[c] + " to " + high[c]);
            }
        }
        String called = title.isEmpty() ? name : title;
        return lattice
                ? ColourTable.lattice(called, points, low, high, values)
                : ColourTable.curves(called, points, low, high, values);
    }

    private void take(String plain) {
        String[] parts = plain.split("\\s+");
        switch (parts[0]) {
            case TITLE -> title = plain.substring(TITLE.length()).replace("\"", "").strip();
            case CURVES -> begin(parts, false, ColourTable.MOST_ON_A_CURVE);
            case LATTICE -> begin(parts, true, ColourTable.MOST_POINTS);
            case LOW -> low = three(Arrays.copyOfRange(parts, 1, parts.length));
            case HIGH -> high = three(Arrays.copyOfRange(parts, 1, parts.length));
            default -> {
                if (!plain.matches("[-+.0-9].*")) {
                    throw damaged("'" + parts[0] + "' is not understood");
                }
                add(three(parts));
            }
        }
    }

    private void begin(String[] parts, boolean three, int most) {
        if (values != null) {
            throw damaged("there are two tables in one");
        }
        int size =
                parts.length == 2 && parts[1].matches("\\d{1,6}") ? Integer.parseInt(parts[1]) : 0;
        if (size < 2 || size > most) {
            throw damaged("a size lies between 2 and " + most);
        }
        lattice = three;
        points = size;
        values = new float[3 * (three ? size * size * size : size)];
    }

    private void add(float[] colour) {
        if (values == null) {
            throw damaged("a colour comes before the size");
        }
        if (count == values.length) {
            throw damaged("there are more colours than its size says");
        }
        System.arraycopy(colour, 0, values, count, 3);
        count += 3;
    }

    private float[] three(String[] parts) {
        if (parts.length != 3) {
            throw damaged("there are " + parts.length + " numbers and not three");
        }
        float[] numbers = new float[3];
        for (int c = 0; c < 3; c++) {
            try {
                numbers[c] = Float.parseFloat(parts[c]);
            } catch (NumberFormatException e) {
                throw damaged("'" + parts[c] + "' is no number");
            }
            if (!(Math.abs(numbers[c]) <= LARGEST)) {
                throw damaged("'" + parts[c] + "' is out of range");
            }
        }
        return numbers;
    }

    private DamagedTableException damaged(String what) {
        return new DamagedTableException(name, line, what);
    }

    /** Writes a table. */
    public static String write(ColourTable table) {
        StringBuilder text = new StringBuilder();
        text.append(TITLE)
                .append(" \"")
                .append(table.name().replaceAll("[\"\\p{Cntrl}]", " "))
                .append("\"\n");
        text.append(table.isLattice() ? LATTICE : CURVES).append(' ');
        text.append(table.points()).append('\n');
        text.append(LOW);
        for (int c = 0; c < 3; c++) {
            text.append(' ').append(plain(table.low(c)));
        }
        text.append('\n').append(HIGH);
        for (int c = 0; c < 3; c++) {
            text.append(' ').append(plain(table.high(c)));
        }
        text.append('\n');
        for (int i = 0; i < table.size(); i++) {
            for (int c = 0; c < 3; c++) {
                text.append(exact(table.value(i, c))).append(c < 2 ? ' ' : '\n');
            }
        }
        return text.toString();
    }

    /** As few digits as tell a value from its neighbours, without an exponent, which not every reader knows. */
    private static String exact(float value) {
        String shortest = Float.toString(value);
        return shortest.indexOf('E') < 0 ? shortest : new BigDecimal(shortest).toPlainString();
    }

    private static String plain(float value) {
        return value == Math.rint(value) ? Integer.toString((int) value) : Float.toString(value);
    }
}
