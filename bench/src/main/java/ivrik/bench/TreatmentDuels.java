package ivrik.bench;

import static org.bytedeco.opencv.global.opencv_core.*;
import static org.bytedeco.opencv.global.opencv_imgproc.*;

import ivrik.core.filter.BoxFilter;
import ivrik.core.filter.Gaussian;
import ivrik.core.filter.Median;
import ivrik.core.filter.Morphology;
import ivrik.core.filter.Noise;
import ivrik.core.filter.Noise.Origin;
import ivrik.core.filter.Noise.Spread;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;
import ivrik.core.separation.Rgb;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.ChannelTreatment;
import ivrik.core.treatment.Context;
import ivrik.core.treatment.LensDistortion;
import ivrik.core.treatment.PinWarp;
import ivrik.core.treatment.Settings;

import org.bytedeco.javacpp.FloatPointer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Point;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.bytedeco.opencv.opencv_core.Size;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Treatments of one plane against OpenCV. */
final class TreatmentDuels {
    private static final EdgeFill FILL = EdgeFill.REPEAT;

    private final Plane plane;
    private final Workers workers;
    private final Plane result;
    private final Mat in;
    private final Mat out;

    TreatmentDuels(Plane plane, Workers workers) {
        this.plane = plane;
        this.workers = workers;
        this.result = Plane.of(plane.width(), plane.height());
        this.in = mat(plane.data());
        this.out = new Mat(plane.height(), plane.width(), CV_32FC1);
    }

    private Mat mat(float[] samples) {
        Mat mat = new Mat(plane.height(), plane.width(), CV_32FC1);
        new FloatPointer(mat.data()).put(samples);
        return mat;
    }

    /**
     * All comparisons.
     *
     * @param copy copies one plane
     */
    List<Duel> all(Runnable copy) {
        List<Duel> duels = new ArrayList<>();
        Runnable remap = remapped();
        duels.add(
                new Duel(
                        "lens, linear / remap with prepared maps",
                        treated(new LensDistortion(), Map.of("k0", 0.6, "k1", 1.0)),
                        remap,
                        1));
        duels.add(
                new Duel(
                        "pins with border, linear / remap with prepared maps",
                        treated(new PinWarp(), pins()),
                        remap,
                        1));
        double[] sigmas = {2, 8, 20, 80};
        double[] limits = {1.2, 0.7, 0.25, 0.07};
        for (int i = 0; i < sigmas.length; i++) {
            duels.add(gaussian(sigmas[i], limits[i]));
        }
        for (int side : new int[] {5, 21, 161}) {
            duels.add(
                    new Duel(
                            "box of " + side + " / blur",
                            () -> into(BoxFilter.of(plane, side, side, FILL)),
                            () ->
                                    blur(
                                            in,
                                            out,
                                            new Size(side, side),
                                            new Point(-1, -1),
                                            BORDER_REPLICATE),
                            0.7));
        }
        Mat square = getStructuringElement(MORPH_RECT, new Size(21, 21));
        duels.add(
                new Duel(
                        "maximum, radius 10 / dilate",
                        () -> into(Morphology.DILATION.of(plane, 10, false, FILL, workers)),
                        () -> dilate(in, out, square),
                        1));
        duels.add(
                new Duel(
                        "minimum, radius 10 / erode",
                        () -> into(Morphology.EROSION.of(plane, 10, false, FILL, workers)),
                        () -> erode(in, out, square),
                        1));
        duels.add(
                new Duel(
                        "median 5x5 / the same",
                        () -> into(new Median(plane, 2, FILL)),
                        () -> medianBlur(in, out, 5),
                        1.5));
        for (double size : new double[] {1, 2.5, 12}) {
            duels.add(
                    new Duel("grain of " + size + " px / copy of one plane", grain(size), copy, 6));
        }
        return duels;
    }

    private Duel gaussian(double sigma, double limit) {
        return new Duel(
                "Gaussian, sigma " + (int) sigma + " / the same",
                () -> into(Gaussian.of(plane, sigma, sigma, FILL, workers)),
                () -> GaussianBlur(in, out, new Size(0, 0), sigma, sigma, BORDER_REPLICATE, 0),
                limit);
    }

    private Runnable grain(double size) {
        Origin origin = new Origin(1, 2, 0, Spread.GAUSSIAN);
        return () -> into(new Noise(plane.size(), size, 1, origin));
    }

    /** Writes to an existing plane, as the reference does. */
    private void into(Rows rows) {
        rows.into(result, workers);
    }

    private Runnable treated(ChannelTreatment treatment, Map<String, Double> numbers) {
        Map<String, Double> all = new HashMap<>();
        treatment.description().parameters().forEach(p -> all.put(p.name(), p.rest()));
        all.putAll(numbers);
        Settings settings = new Settings(all, FILL, Sampler.LINEAR);
        Context context =
                new Context(1, new Rgb().channels().getFirst(), Optional.empty(), workers);
        return () -> into(treatment.apply(plane, settings, context));
    }

    private static Map<String, Double> pins() {
        double[][] pins = {{-300, -120, 26, -10}, {280, 90, -22, 14}, {0, 0, 8, 18}};
        Map<String, Double> numbers = new HashMap<>();
        for (int i = 0; i < pins.length; i++) {
            numbers.put("pin." + i + ".x", pins[i][0]);
            numbers.put("pin." + i + ".y", pins[i][1]);
            numbers.put("pin." + i + ".dx", pins[i][2]);
            numbers.put("pin." + i + ".dy", pins[i][3]);
        }
        return numbers;
    }

    private Runnable remapped() {
        int width = plane.width();
        int height = plane.height();
        float[] x = new float[width * height];
        float[] y = new float[width * height];
        double unit = Math.hypot(width, height) / 2;
        for (int j = 0; j < height; j++) {
            for (int i = 0; i < width; i++) {
                double dx = i + 0.5 - width / 2.0;
                double dy = j + 0.5 - height / 2.0;
                double r = Math.hypot(dx, dy) / unit;
                double by = 1 - 0.006 - 0.01 * r * r;
                x[j * width + i] = (float) (width / 2.0 + by * dx - 0.5);
                y[j * width + i] = (float) (height / 2.0 + by * dy - 0.5);
            }
        }
        Mat mapX = mat(x);
        Mat mapY = mat(y);
        return () -> remap(in, out, mapX, mapY, INTER_LINEAR, BORDER_REPLICATE, new Scalar());
    }
}
