package ivrik.app.widget;

import java.util.OptionalDouble;

/**
 * Evaluates sums typed into a number: {@code 412+3}, {@code -2*(1.5+3)/4}, {@code 1/3}, {@code 2,5}. A
 * trailing unit is ignored.
 */
public final class Arithmetic {
    private final String text;
    private int at;

    private Arithmetic(String text) {
        this.text = text.replace(',', '.').replaceAll("\\s", "").replaceAll("[\\p{L}%°]+$", "");
    }

    /** The value; empty if the text is not a sum. */
    public static OptionalDouble of(String text) {
        Arithmetic sum = new Arithmetic(text);
        try {
            double value = sum.sum();
            return sum.at == sum.text.length() && Double.isFinite(value)
                    ? OptionalDouble.of(value)
                    : OptionalDouble.empty();
        } catch (NumberFormatException e) {
            return OptionalDouble.empty();
        }
    }

    private double sum() {
        double value = product();
        while (at < text.length() && "+-".indexOf(text.charAt(at)) >= 0) {
            value += text.charAt(at++) == '+' ? product() : -product();
        }
        return value;
    }

    private double product() {
        double value = factor();
        while (at < text.length() && "*/".indexOf(text.charAt(at)) >= 0) {
            value = text.charAt(at++) == '*' ? value * factor() : value / factor();
        }
        return value;
    }

    private double factor() {
        if (take('-')) {
            return -factor();
        }
        if (take('+')) {
            return factor();
        }
        if (take('(')) {
            double value = sum();
            if (!take(')')) {
                throw new NumberFormatException();
            }
            return value;
        }
        int from = at;
        while (at < text.length()
                && (Character.isDigit(text.charAt(at)) || text.charAt(at) == '.')) {
            at++;
        }
        return Double.parseDouble(text.substring(from, at));
    }

    private boolean take(char c) {
        boolean there = at < text.length() && text.charAt(at) == c;
        at += there ? 1 : 0;
        return there;
    }
}
