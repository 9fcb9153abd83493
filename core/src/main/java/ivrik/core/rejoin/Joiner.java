package ivrik.core.rejoin;

import ivrik.core.picture.Kernels;
import ivrik.core.picture.Pixels;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Planes;
import ivrik.core.separation.Hsv;
import ivrik.core.separation.Ink;
import ivrik.core.separation.LaneKind;
import ivrik.core.separation.Paint;
import ivrik.core.separation.Separation;
import ivrik.core.threads.Workers;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/** Lanes put together into the three colour planes of a picture. */
public final class Joiner {
    private Joiner() {}

    /**
     * The colour of these lanes.
     *
     * @param plates one for each lane, in the order in which they are laid down
     */
    public static List<Plane> join(
            Separation model,
            List<Plane> lanes,
            List<Plate> plates,
            Rejoin rejoin,
            Workers workers) {
        return rejoin.isExact()
                ? exact(model, lanes, plates, workers)
                : laid(model, lanes, plates, rejoin.blend().orElseThrow(), workers);
    }

    /** The lane's own picture in an ink, as it would be seen alone. */
    public static List<Plane> picture(Plane lane, LaneKind kind, Ink ink, Workers workers) {
        if (kind.paint() == Paint.ANGLE) {
            return Pixels.map(
                    List.of(lane),
                    3,
                    workers,
                    (in, out, n) -> {
                        for (int i = 0; i < n; i++) {
                            for (int c = 0; c < 3; c++) {
                                out[c][i] = Hsv.pure(in[0][i], c);
                            }
                        }
                    });
        }
        Paint paint = kind.paint();
        float perSpan = 1 / kind.span();
        return Pixels.map(
                List.of(lane),
                3,
                workers,
                (in, out, n) -> {
                    for (int c = 0; c < 3; c++) {
                        paint(paint, in[0], perSpan, ink.part(c), out[c], n);
                    }
                });
    }

    private static void paint(
            Paint paint, float[] lane, float perSpan, float part, float[] out, int n) {
        for (int i = 0; i < n; i++) {
            out[i] = paint.of(lane[i] * perSpan, part);
        }
    }

    /**
     * The separation undone. What an ink of another colour paints takes the place of what the lane's
     * own would have: of ink on paper by the product of all plates, else by adding the difference.
     */
    private static List<Plane> exact(
            Separation model, List<Plane> lanes, List<Plate> plates, Workers workers) {
        List<Plane> weighed = new ArrayList<>(lanes);
        for (Plate plate : plates) {
            weighed.set(plate.lane(), weighed(lanes.get(plate.lane()), plate, workers));
        }
        List<Plate> recoloured =
                plates.stream()
                        .filter(p -> !p.ink().equals(model.lanes().get(p.lane()).ink()))
                        .toList();
        if (recoloured.isEmpty()) {
            return model.rejoin(weighed, workers);
        }
        if (model.lanes().stream().allMatch(k -> k.paint() == Paint.INK)) {
            return plates.stream()
                    .map(
                            p ->
                                    picture(
                                            weighed.get(p.lane()),
                                            model.lanes().get(p.lane()),
                                            p.ink(),
                                            workers))
                    .reduce((a, b) -> Planes.zip(a, b, (x, y) -> Kernels.multiply(x, y, workers)))
                    .orElseThrow();
        }
        List<Plane> colour = model.rejoin(weighed, workers);
        for (Plate plate : recoloured) {
            LaneKind kind = model.lanes().get(plate.lane());
            Plane lane = weighed.get(plate.lane());
            List<Plane> now = picture(lane, kind, plate.ink(), workers);
            List<Plane> own = picture(lane, kind, kind.ink(), workers);
            colour =
                    Planes.zip(
                            colour,
                            Planes.zip(
                                    now,
                                    own,
                                    (a, b) ->
                                            Kernels.add(a, Kernels.scale(b, -1, workers), workers)),
                            (a, b) -> Kernels.add(a, b, workers));
        }
        return colour;
    }

    private static Plane weighed(Plane lane, Plate plate, Workers workers) {
        if (!plate.shown()) {
            return Plane.of(lane.width(), lane.height());
        }
        return plate.strength() == 1
                ? lane
                : Kernels.scale(lane, (float) plate.strength(), workers);
    }

    /** The first plate as it is, each next one upon those before it. */
    private static List<Plane> laid(
            Separation model, List<Plane> lanes, List<Plate> plates, Blend all, Workers workers) {
        List<Plane> colour = null;
        for (Plate plate : plates) {
            if (!plate.shown()) {
                continue;
            }
            LaneKind kind = model.lanes().get(plate.lane());
            Plane lane = lanes.get(plate.lane());
            if (colour == null) {
                colour = picture(weighed(lane, plate, workers), kind, plate.ink(), workers);
            } else {
                colour =
                        Composite.blended(
                                colour,
                                picture(lane, kind, plate.ink(), workers),
                                plate.blend().orElse(all),
                                (float) plate.strength(),
                                workers);
            }
        }
        if (colour != null) {
            return colour;
        }
        Plane none = Plane.of(lanes.getFirst().width(), lanes.getFirst().height());
        return IntStream.range(0, 3).mapToObj(c -> none).toList();
    }
}
