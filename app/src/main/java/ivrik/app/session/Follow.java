package ivrik.app.session;

import ivrik.core.look.Look;
import ivrik.core.look.Step;

import javafx.geometry.Point2D;

import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;

/** How the other channels follow a shifted channel. Fixed channels do not follow. */
public enum Follow {
    ALONE("this channel only", "Only the dragged channel moves"),
    TOGETHER("all together", "All channels that are not fixed move together"),
    MIRRORED(
            "mirrored",
            "The opposite channel moves by the same distance the other way; the middle"
                    + " channel stays"),
    OTHERS_MIRRORED(
            "others mirrored", "All other channels that are not fixed move the opposite way");

    private final String title;
    private final String help;

    Follow(String title, String help) {
        this.title = title;
        this.help = help;
    }

    /** Part of the ids of commands and controls. */
    public String id() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    public String help() {
        return help;
    }

    @Override
    public String toString() {
        return title;
    }

    /** Channels that move with a channel, the channel itself first. */
    public List<Integer> moving(Look look, String step, int channel) {
        if (look.step(step).filter(Step::isWhole).isPresent()) {
            return List.of(channel);
        }
        int opposite = opposite(look, channel);
        return IntStream.concat(
                        IntStream.of(channel),
                        IntStream.range(0, look.channels().size())
                                .filter(i -> i != channel && !look.channels().get(i).fixed())
                                .filter(
                                        i ->
                                                this == TOGETHER
                                                        || this == OTHERS_MIRRORED
                                                        || this == MIRRORED && i == opposite))
                .boxed()
                .toList();
    }

    /** The look with a channel shifted to a position and the others following. */
    public Look moved(Look look, String step, int channel, long frame, Point2D to) {
        Point2D by = to.subtract(ChannelEdits.shift(look, step, channel, frame));
        Look moved = put(look, step, channel, frame, to);
        for (int i : moving(look, step, channel)) {
            if (i != channel) {
                Point2D now = ChannelEdits.shift(look, step, i, frame);
                Point2D then =
                        switch (this) {
                            case ALONE -> now;
                            case TOGETHER -> now.add(by);
                            case OTHERS_MIRRORED -> now.subtract(by);
                            case MIRRORED ->
                                    third(look, step, channel, i, frame).multiply(2).subtract(to);
                        };
                moved = put(moved, step, i, frame, then);
            }
        }
        return moved;
    }

    private static Look put(Look look, String step, int channel, long frame, Point2D to) {
        return ChannelEdits.with(look, step, channel, frame, "x", "y", to);
    }

    /** The opposite channel: the outer ones are opposite to each other, skipping fixed ones. */
    private static int opposite(Look look, int channel) {
        int n = look.channels().size();
        int mirrored = n - 1 - channel;
        if (mirrored != channel && !look.channels().get(mirrored).fixed()) {
            return mirrored;
        }
        return IntStream.range(0, n)
                .filter(i -> i != channel && !look.channels().get(i).fixed())
                .findFirst()
                .orElse(channel);
    }

    /** Centre of opposite channels: the position of the remaining channel. */
    private static Point2D third(Look look, String step, int a, int b, long frame) {
        return IntStream.range(0, look.channels().size())
                .filter(i -> i != a && i != b)
                .mapToObj(i -> ChannelEdits.shift(look, step, i, frame))
                .findFirst()
                .orElse(Point2D.ZERO);
    }
}
