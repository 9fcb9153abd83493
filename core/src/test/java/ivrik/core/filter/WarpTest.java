package ivrik.core.filter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.Pictured;
import ivrik.core.filter.MovingLeastSquares.Kind;
import ivrik.core.filter.MovingLeastSquares.Pin;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;
import ivrik.core.threads.Workers;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

import java.util.List;
import java.util.Random;

class WarpTest {
    private static final Workers WORKERS = Workers.shared();

    private static double[] back(Warp warp, double x, double y) {
        double[] px = {x};
        double[] py = {y};
        warp.back(px, py, 1);
        return new double[] {px[0], py[0]};
    }

    @Property(tries = 200)
    void aLensAndItsInverseCancel(
            @ForAll @DoubleRange(min = -0.1, max = 0.1) double k0,
            @ForAll @DoubleRange(min = -0.15, max = 0.3) double k1,
            @ForAll @DoubleRange(min = -0.05, max = 0.2) double k2,
            @ForAll @DoubleRange(min = 0.01, max = 0.95) double r) {
        RadialWarp lens = new RadialWarp(310, 170, 400, 2, k0, k1, k2);
        double moved = RadialWarp.magnified(r, k0, k1, k2);
        double[] found = back(lens, 310 + 400 * moved * 0.6, 170 + 400 * moved * 0.8);
        assertThat(found[0]).isCloseTo(310 + 400 * r * 0.6, within(2e-3));
        assertThat(found[1]).isCloseTo(170 + 400 * r * 0.8, within(2e-3));
    }

    @Property(tries = 200)
    void aLensRowInSplitFloatsEqualsDoubles(
            @ForAll @DoubleRange(min = -0.05, max = 0.05) double k0,
            @ForAll @DoubleRange(min = -0.04, max = 0.05) double k1,
            @ForAll @DoubleRange(min = 100, max = 260) double centreY) {
        int n = 640;
        RadialWarp lens = new RadialWarp(307.3, centreY, 367, 1.2, k0, k1, 0);
        SplitPositions places = new SplitPositions(n);
        double[] x = new double[n];
        double[] y = new double[n];
        for (int row : new int[] {0, 179, 359}) {
            lens.row(row, x, y, n);
            assertThat(lens.places(row, places, n)).isTrue();
            for (int i = 0; i < n; i++) {
                assertThat(places.restX[i]).isCloseTo(0.5f, within(0.500001f));
                assertThat(places.restY[i]).isCloseTo(0.5f, within(0.500001f));
                assertThat(places.x[i] + 0.5 + places.restX[i]).isCloseTo(x[i], within(1e-4));
                assertThat(places.y[i] + 0.5 + places.restY[i]).isCloseTo(y[i], within(1e-4));
            }
        }
    }

    @Test
    void aLensTooStrongForFloatsIsReported() {
        RadialWarp lens = new RadialWarp(320, 180, 367, 2, 0, -0.6, -0.4);
        assertThat(lens.places(5, new SplitPositions(640), 640)).isFalse();
    }

    /** Beyond the fold of a lens both clamp to the turning point. */
    @Property(tries = 500)
    void theOutlineFollowsTheLens(
            @ForAll @DoubleRange(min = -0.5, max = 0.5) double k0,
            @ForAll @DoubleRange(min = -1, max = 1) double k1,
            @ForAll @DoubleRange(min = -1, max = 1) double k2,
            @ForAll @DoubleRange(min = 0.01, max = 1.9) double moved) {
        double[] outline =
                back(RadialWarp.outline(310, 170, 400, k0, k1, k2), 310 + 400 * moved, 170);
        assertThat(outline[1]).isEqualTo(170);
        double r = (outline[0] - 310) / 400;
        double slope = 1 + k0 + r * r * (3 * k1 + r * r * 5 * k2);
        if (slope > 2e-3) {
            assertThat(RadialWarp.magnified(r, k0, k1, k2)).isCloseTo(moved, within(1e-9));
        } else {
            assertThat(slope).isCloseTo(1e-3, within(1e-6));
            assertThat(RadialWarp.magnified(r, k0, k1, k2)).isLessThanOrEqualTo(moved + 1e-9);
        }
        if (slope > 0.3) {
            double[] table =
                    back(new RadialWarp(310, 170, 400, 2, k0, k1, k2), 310 + 400 * moved, 170);
            assertThat(outline[0]).isCloseTo(table[0], within(0.05));
        }
    }

    @Test
    void aFoldingLensIsDefinedEverywhere() {
        RadialWarp lens = new RadialWarp(0, 0, 100, 2, 0, -0.5, -0.5);
        for (double x = 0; x < 400; x += 7) {
            assertThat(back(lens, x, 0)[0]).isBetween(0.0, 1000.0);
        }
    }

    @Test
    void aRotationIsClockwiseAndRightAnglesAreExact() {
        Affine quarter = Affine.turned(90, 2, 2);
        assertThat(back(quarter, 3.5, 2.5)).containsExactly(2.5, 0.5);
        Plane in = Pictured.noise(4, 4, 1);
        Plane out =
                WarpedPlane.of(in, List.of(quarter), EdgeFill.EMPTY, Sampler.LANCZOS)
                        .toPlane(WORKERS);
        for (int y = 0; y < 4; y++) {
            for (int x = 0; x < 4; x++) {
                assertThat(out.at(3 - y, x)).isEqualTo(in.at(x, y));
            }
        }
        double[] eighth = back(Affine.turned(45, 0, 0), 0, Math.sqrt(2));
        assertThat(eighth[0]).isCloseTo(1, within(1e-12));
        assertThat(eighth[1]).isCloseTo(1, within(1e-12));
    }

    @Property(tries = 100)
    void aChainEqualsItsPartsInTurn(
            @ForAll @DoubleRange(min = -30, max = 30) double degrees,
            @ForAll @DoubleRange(min = 0.5, max = 2) double scale,
            @ForAll @DoubleRange(min = -9, max = 9) double dx) {
        List<Warp> parts =
                List.of(
                        Affine.moved(dx, 3),
                        Affine.turned(degrees, 5, 7),
                        Affine.scaled(scale, 1 / scale, 3, 1));
        List<Warp> merged = WarpedPlane.merged(parts);
        assertThat(merged).hasSize(1);
        double[] at = {4.25, -6.5};
        for (Warp part : parts.reversed()) {
            at = back(part, at[0], at[1]);
        }
        assertThat(back(merged.getFirst(), 4.25, -6.5)[0]).isCloseTo(at[0], within(1e-9));
        assertThat(back(merged.getFirst(), 4.25, -6.5)[1]).isCloseTo(at[1], within(1e-9));
    }

    @ParameterizedTest
    @EnumSource(Sampler.class)
    void samplesBetweenPixelsEqualTheTextbookSum(Sampler sampler) {
        Plane in = Pictured.noise(13, 11, 2);
        Random random = new Random(3);
        for (EdgeFill fill : EdgeFill.values()) {
            double[] x = random.doubles(60, -6, 19).toArray();
            double[] y = random.doubles(60, -6, 17).toArray();
            float[] out = new float[60];
            new ScatteredSamples(in, 60, fill, sampler).at(x, y, 60, out, 0);
            for (int i = 0; i < 60; i++) {
                double sum = 0;
                double norm = 0;
                for (int b = (int) Math.floor(y[i]) - 4; b < y[i] + 4; b++) {
                    for (int a = (int) Math.floor(x[i]) - 4; a < x[i] + 4; a++) {
                        double w =
                                Exact.kernel(sampler, Math.abs(x[i] - 0.5 - a))
                                        * Exact.kernel(sampler, Math.abs(y[i] - 0.5 - b));
                        norm += w;
                        sum += w * Exact.at(in, a, b, fill);
                    }
                }
                assertThat((double) out[i]).isCloseTo(sum / norm, within(1e-3));
            }
        }
    }

    private static final Size SIZE = new Size(640, 360);

    @ParameterizedTest
    @EnumSource(Kind.class)
    void pinsMoveTheirPoints(Kind kind) {
        List<Pin> pins =
                List.of(
                        new Pin(150, 120, 18, -7),
                        new Pin(420, 90, -11, 4),
                        new Pin(330, 260, 5, 21));
        MovingLeastSquares warp = MovingLeastSquares.of(pins, 0, kind, SIZE);
        for (Pin pin : pins) {
            double[] from = back(warp, pin.x() + pin.dx(), pin.y() + pin.dy());
            assertThat(from[0]).isCloseTo(pin.x(), within(0.1));
            assertThat(from[1]).isCloseTo(pin.y(), within(0.1));
        }
    }

    /** Pins with one common angle rotate the whole picture, for every kind. */
    @ParameterizedTest
    @EnumSource(Kind.class)
    void pinsOfOneAngleRotateThePicture(Kind kind) {
        double a = Math.toRadians(7);
        List<Pin> pins = List.of(turned(100, 80, a), turned(500, 100, a), turned(300, 300, a));
        MovingLeastSquares warp = MovingLeastSquares.of(pins, 0, kind, SIZE);
        Pin any = turned(222, 177, a);
        double[] from = back(warp, any.x() + any.dx(), any.y() + any.dy());
        assertThat(from[0]).isCloseTo(222, within(0.02));
        assertThat(from[1]).isCloseTo(177, within(0.02));
    }

    private static Pin turned(double x, double y, double a) {
        double nx = Math.cos(a) * x - Math.sin(a) * y;
        double ny = Math.sin(a) * x + Math.cos(a) * y;
        return new Pin(x, y, nx - x, ny - y);
    }

    @Property(tries = 40)
    void borderPinsHoldTheBorderUnderAnyInnerPin(
            @ForAll @DoubleRange(min = 20, max = 620) double x,
            @ForAll @DoubleRange(min = 20, max = 340) double y,
            @ForAll @DoubleRange(min = -60, max = 60) double dx,
            @ForAll @DoubleRange(min = -60, max = 60) double dy,
            @ForAll @DoubleRange(min = 20, max = 200) double spacing,
            @ForAll Kind kind) {
        MovingLeastSquares warp =
                MovingLeastSquares.of(List.of(new Pin(x, y, dx, dy)), spacing, kind, SIZE);
        for (int i = 0; i <= 100; i++) {
            double u = 640 * i / 100.0;
            double v = 360 * i / 100.0;
            for (double[] edge : new double[][] {{u, 0}, {u, 360}, {0, v}, {640, v}}) {
                double[] from = back(warp, edge[0], edge[1]);
                assertThat(Math.hypot(from[0] - edge[0], from[1] - edge[1])).isLessThan(0.05);
            }
        }
    }

    @Test
    void aCurvePassesItsPointsMonotonically() {
        MonotoneCurve curve =
                MonotoneCurve.through(List.of(new double[] {0.25, 0.1}, new double[] {0.6, 0.8}));
        assertThat(curve.at(0)).isZero();
        assertThat(curve.at(0.25)).isCloseTo(0.1, within(1e-12));
        assertThat(curve.at(0.6)).isCloseTo(0.8, within(1e-12));
        assertThat(curve.at(1)).isCloseTo(1, within(1e-12));
        for (double v = -0.5; v < 1.5; v += 0.001) {
            assertThat(curve.at(v + 0.001)).isGreaterThanOrEqualTo(curve.at(v));
        }
    }
}
