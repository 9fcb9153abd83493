package ivrik.core.colour;

import java.math.BigDecimal;
import java.util.Arrays;

/**
 * Reads and writes lookup tables as {@code .cube} text: size, domain and one colour per line. Lines that
 * start with {@code #} are comments.
 */
public final class CubeFormat {
    private static final String TITLE = "TITLE";
    private static final String CURVES = "LUT_1D_SIZE";
    private static final String LATTICE = "LUT_3D_SIZE";
    private static final String LOW = "DOMAIN_MIN";
    private static final String HIGH = "DOMAIN_MAX";

    /** Larger numbers are treated as damage. */
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

    private CubeFormat(String name) {
        this.name = name;
    }

    /**
     * @param name used if the text has no title
     * @throws DamagedTableException if the text is damaged; the message names the line
     */
    public static ColourTable read(String text, String name) {
        return new CubeFormat(name).read(text);
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
            throw damaged("neither " + CURVES + " nor " + LATTICE + " is present");
        }
        if (count < values.length) {
            throw damaged(
                    "the table has only " + count / 3 + " of " + values.length / 3 + " colours");
        }
        for (int c = 0; c < 3; c++) {
            if (!(low[c] < high[c])) {
                throw damaged("the domain is empty or inverted: " + low[c] + " to " + high[c]);
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
            case CURVES -> begin(parts, false, ColourTable.MAX_ON_A_CURVE);
            case LATTICE -> begin(parts, true, ColourTable.MAX_POINTS);
            case LOW -> low = three(Arrays.copyOfRange(parts, 1, parts.length));
            case HIGH -> high = three(Arrays.copyOfRange(parts, 1, parts.length));
            default -> {
                if (!plain.matches("[-+.0-9].*")) {
                    throw damaged("unknown keyword '" + parts[0] + "'");
                }
                add(three(parts));
            }
        }
    }

    private void begin(String[] parts, boolean three, int most) {
        if (values != null) {
            throw damaged("the file contains two tables");
        }
        int size =
                parts.length == 2 && parts[1].matches("\\d{1,6}") ? Integer.parseInt(parts[1]) : 0;
        if (size < 2 || size > most) {
            throw damaged("the size must be between 2 and " + most);
        }
        lattice = three;
        points = size;
        values = new float[3 * (three ? size * size * size : size)];
    }

    private void add(float[] colour) {
        if (values == null) {
            throw damaged("a colour precedes the size line");
        }
        if (count == values.length) {
            throw damaged("the table has more colours than its size states");
        }
        System.arraycopy(colour, 0, values, count, 3);
        count += 3;
    }

    private float[] three(String[] parts) {
        if (parts.length != 3) {
            throw damaged("expected 3 numbers, found " + parts.length);
        }
        float[] numbers = new float[3];
        for (int c = 0; c < 3; c++) {
            try {
                numbers[c] = Float.parseFloat(parts[c]);
            } catch (NumberFormatException e) {
                throw damaged("'" + parts[c] + "' is not a number");
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

    /** The table as {@code .cube} text. */
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

    /**
     * The shortest decimal text without exponent that reads back as the same float. Some readers do not
     * accept exponents.
     */
    private static String exact(float value) {
        String shortest = Float.toString(value);
        return shortest.indexOf('E') < 0 ? shortest : new BigDecimal(shortest).toPlainString();
    }

    private static String plain(float value) {
        return value == Math.rint(value) ? Integer.toString((int) value) : Float.toString(value);
    }
}
