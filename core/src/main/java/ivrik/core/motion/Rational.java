package ivrik.core.motion;

/** An exact fraction in lowest terms with a positive denominator, for frame rates and times. */
public record Rational(long num, long den) implements Comparable<Rational> {
    public static final Rational ZERO = of(0);

    public Rational {
        if (den == 0) {
            throw new IllegalArgumentException("a fraction with denominator 0");
        }
        long gcd = gcd(Math.abs(num), Math.abs(den)) * (den < 0 ? -1 : 1);
        num /= gcd;
        den /= gcd;
    }

    public static Rational of(long whole) {
        return new Rational(whole, 1);
    }

    /** Parses {@code 24}, {@code 30000/1001} or a decimal such as {@code 23.976}. */
    public static Rational parse(String text) {
        String[] parts = text.strip().split("/", -1);
        if (parts.length == 2) {
            return new Rational(Long.parseLong(parts[0].strip()), Long.parseLong(parts[1].strip()));
        }
        java.math.BigDecimal decimal = new java.math.BigDecimal(parts[0]).stripTrailingZeros();
        int places = Math.max(0, decimal.scale());
        return new Rational(
                decimal.movePointRight(places).longValueExact(),
                java.math.BigInteger.TEN.pow(places).longValueExact());
    }

    private static long gcd(long a, long b) {
        return b == 0 ? Math.max(a, 1) : gcd(b, a % b);
    }

    public Rational times(Rational o) {
        return new Rational(Math.multiplyExact(num, o.num), Math.multiplyExact(den, o.den));
    }

    public Rational dividedBy(Rational o) {
        return times(new Rational(o.den, o.num));
    }

    public Rational plus(Rational o) {
        return new Rational(
                Math.addExact(Math.multiplyExact(num, o.den), Math.multiplyExact(o.num, den)),
                Math.multiplyExact(den, o.den));
    }

    /** The largest integer not greater than this. */
    public long floor() {
        return Math.floorDiv(num, den);
    }

    public double toDouble() {
        return (double) num / den;
    }

    @Override
    public int compareTo(Rational o) {
        return Long.compare(Math.multiplyExact(num, o.den), Math.multiplyExact(o.num, den));
    }

    @Override
    public String toString() {
        return den == 1 ? Long.toString(num) : num + "/" + den;
    }
}
