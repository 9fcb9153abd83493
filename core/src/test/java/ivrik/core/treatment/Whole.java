package ivrik.core.treatment;

import ivrik.core.colour.Transfer;
import ivrik.core.motion.RandomKey;
import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;
import ivrik.core.threads.Workers;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Applies whole-picture treatments in sRGB at full size, with all other parameters at rest. */
final class Whole {
    private Whole() {}

    static Settings settings(
            Treatment treatment,
            Map<String, Double> numbers,
            Map<String, String> words,
            long frame) {
        Map<String, Double> all = new HashMap<>();
        treatment.description().parameters().forEach(p -> all.put(p.name(), p.rest()));
        numbers.keySet().forEach(treatment.description()::parameter);
        all.putAll(numbers);
        return new Settings(
                all,
                words,
                EdgeFill.REPEAT,
                Sampler.CUBIC,
                new Settings.Moment(0, frame, new RandomKey(3, RandomKey.ANYWHERE)));
    }

    static List<Plane> done(
            PictureTreatment treatment,
            List<Plane> picture,
            Map<String, Double> numbers,
            Map<String, String> words) {
        return done(treatment, picture, settings(treatment, numbers, words, 7), Optional.empty());
    }

    static List<Plane> done(
            PictureTreatment treatment,
            List<Plane> picture,
            Settings settings,
            Optional<Frame> other) {
        PictureContext context =
                new PictureContext(1, Transfer.SRGB, other, Optional.empty(), Workers.shared());
        return treatment
                .apply(ColourRows.ofPlanes(picture), settings, context)
                .toPlanes(Workers.shared());
    }

    static List<Plane> flat(int width, int height, double value) {
        Plane plane = Plane.flat(width, height, (float) value);
        return List.of(plane, plane, plane);
    }

    /** IEC 61966-2-1. */
    static double light(double v) {
        return v <= 0.04045 ? v / 12.92 : Math.pow((v + 0.055) / 1.055, 2.4);
    }

    static double code(double l) {
        return l <= 0.0031308 ? 12.92 * l : 1.055 * Math.pow(l, 1 / 2.4) - 0.055;
    }

    /** The mean in linear light. */
    static double meanLight(Plane plane) {
        double sum = 0;
        for (int y = 0; y < plane.height(); y++) {
            for (int x = 0; x < plane.width(); x++) {
                sum += light(plane.at(x, y));
            }
        }
        return sum / plane.width() / plane.height();
    }
}
