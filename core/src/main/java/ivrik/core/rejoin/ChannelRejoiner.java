package ivrik.core.rejoin;

import ivrik.core.picture.Pixels;
import ivrik.core.picture.Plane;
import ivrik.core.picture.PlaneArithmetic;
import ivrik.core.picture.Planes;
import ivrik.core.separation.ChannelKind;
import ivrik.core.separation.Hsv;
import ivrik.core.separation.Ink;
import ivrik.core.separation.Paint;
import ivrik.core.separation.Separation;
import ivrik.core.threads.Workers;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/** Rejoins channels into the three colour planes of a picture. */
public final class ChannelRejoiner {
    private ChannelRejoiner() {}

    /**
     * The colour of these channels.
     *
     * @param prints one per channel, in stacking order
     */
    public static List<Plane> join(
            Separation model,
            List<Plane> channels,
            List<ChannelPrint> prints,
            Rejoin rejoin,
            Workers workers) {
        return rejoin.isExact()
                ? exact(model, channels, prints, workers)
                : laid(model, channels, prints, rejoin.blend().orElseThrow(), workers);
    }

    /** One channel on its own, in an ink colour. */
    public static List<Plane> picture(Plane channel, ChannelKind kind, Ink ink, Workers workers) {
        if (kind.paint() == Paint.ANGLE) {
            return Pixels.map(
                    List.of(channel),
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
                List.of(channel),
                3,
                workers,
                (in, out, n) -> {
                    for (int c = 0; c < 3; c++) {
                        paint(paint, in[0], perSpan, ink.part(c), out[c], n);
                    }
                });
    }

    private static void paint(
            Paint paint, float[] channel, float perSpan, float part, float[] out, int n) {
        for (int i = 0; i < n; i++) {
            out[i] = paint.of(channel[i] * perSpan, part);
        }
    }

    /**
     * The inverse of the separation. A channel with another ink replaces the contribution of its default ink:
     * multiplicatively for inks on paper, otherwise by adding the difference.
     */
    private static List<Plane> exact(
            Separation model, List<Plane> channels, List<ChannelPrint> prints, Workers workers) {
        List<Plane> weighed = new ArrayList<>(channels);
        for (ChannelPrint print : prints) {
            weighed.set(print.channel(), weighed(channels.get(print.channel()), print, workers));
        }
        List<ChannelPrint> recoloured =
                prints.stream()
                        .filter(p -> !p.ink().equals(model.channels().get(p.channel()).ink()))
                        .toList();
        if (recoloured.isEmpty()) {
            return model.rejoin(weighed, workers);
        }
        if (model.channels().stream().allMatch(k -> k.paint() == Paint.INK)) {
            return prints.stream()
                    .map(
                            p ->
                                    picture(
                                            weighed.get(p.channel()),
                                            model.channels().get(p.channel()),
                                            p.ink(),
                                            workers))
                    .reduce(
                            (a, b) ->
                                    Planes.zip(
                                            a,
                                            b,
                                            (x, y) -> PlaneArithmetic.multiply(x, y, workers)))
                    .orElseThrow();
        }
        List<Plane> colour = model.rejoin(weighed, workers);
        for (ChannelPrint print : recoloured) {
            ChannelKind kind = model.channels().get(print.channel());
            Plane channel = weighed.get(print.channel());
            List<Plane> now = picture(channel, kind, print.ink(), workers);
            List<Plane> own = picture(channel, kind, kind.ink(), workers);
            colour =
                    Planes.zip(
                            colour,
                            Planes.zip(
                                    now,
                                    own,
                                    (a, b) ->
                                            PlaneArithmetic.add(
                                                    a,
                                                    PlaneArithmetic.scale(b, -1, workers),
                                                    workers)),
                            (a, b) -> PlaneArithmetic.add(a, b, workers));
        }
        return colour;
    }

    private static Plane weighed(Plane channel, ChannelPrint print, Workers workers) {
        if (!print.visible()) {
            return Plane.of(channel.width(), channel.height());
        }
        return print.strength() == 1
                ? channel
                : PlaneArithmetic.scale(channel, (float) print.strength(), workers);
    }

    /** Blends the channels in stacking order. */
    private static List<Plane> laid(
            Separation model,
            List<Plane> channels,
            List<ChannelPrint> prints,
            Blend all,
            Workers workers) {
        List<Plane> colour = null;
        for (ChannelPrint print : prints) {
            if (!print.visible()) {
                continue;
            }
            ChannelKind kind = model.channels().get(print.channel());
            Plane channel = channels.get(print.channel());
            if (colour == null) {
                colour = picture(weighed(channel, print, workers), kind, print.ink(), workers);
            } else {
                colour =
                        Composite.blended(
                                colour,
                                picture(channel, kind, print.ink(), workers),
                                print.blend().orElse(all),
                                (float) print.strength(),
                                workers);
            }
        }
        if (colour != null) {
            return colour;
        }
        Plane none = Plane.of(channels.getFirst().width(), channels.getFirst().height());
        return IntStream.range(0, 3).mapToObj(c -> none).toList();
    }
}
