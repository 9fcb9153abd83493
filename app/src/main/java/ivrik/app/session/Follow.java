package ivrik.app.session;

import ivrik.core.look.Look;
import ivrik.core.look.Step;

import javafx.geometry.Point2D;

import java.util.List;
import java.util.stream.IntStream;

/** How the other lanes follow one that is shifted. A held lane stays where it is. */
public enum Follow {
    ALONE("alone", "Only the lane that is moved moves"),
    TOGETHER("together", "All lanes that are not kept still move the same way"),
    OPPOSED("opposed", "Two lanes move as mirror images; the third, between them, stays"),
    AGAINST(
            "others opposite",
            "This lane moves one way, all others that are not kept still the opposite way");

    private final String title;
    private final String help;

    Follow(String title, String help) {
        this.title = title;
        this.help = help;
    }

    public String help() {
        return help;
    }

    @Override
    public String toString() {
        return title;
    }

    /** The lanes that move when one does, itself first. */
    public List<Integer> moving(Look look, String step, int lane) {
        if (look.step(step).filter(Step::isWhole).isPresent()) {
            return List.of(lane);
        }
        int opposite = opposite(look, lane);
        return IntStream.concat(
                        IntStream.of(lane),
                        IntStream.range(0, look.lanes().size())
                                .filter(i -> i != lane && !look.lanes().get(i).hold())
                                .filter(
                                        i ->
                                                this == TOGETHER
                                                        || this == AGAINST
                                                        || this == OPPOSED && i == opposite))
                .boxed()
                .toList();
    }

    /** One lane shifted to a place as seen at a frame, and the others after it. */
    public Look moved(Look look, String step, int lane, long frame, Point2D to) {
        Point2D by = to.subtract(LaneEdits.shift(look, step, lane, frame));
        Look moved = put(look, step, lane, frame, to);
        for (int i : moving(look, step, lane)) {
            if (i != lane) {
                Point2D now = LaneEdits.shift(look, step, i, frame);
                Point2D then =
                        switch (this) {
                            case ALONE -> now;
                            case TOGETHER -> now.add(by);
                            case AGAINST -> now.subtract(by);
                            case OPPOSED ->
                                    third(look, step, lane, i, frame).multiply(2).subtract(to);
                        };
                moved = put(moved, step, i, frame, then);
            }
        }
        return moved;
    }

    private static Look put(Look look, String step, int lane, long frame, Point2D to) {
        return LaneEdits.with(look, step, lane, frame, "x", "y", to);
    }

    /** The lane mirrored against another: the outer ones against each other, passing over one held. */
    private static int opposite(Look look, int lane) {
        int n = look.lanes().size();
        int mirrored = n - 1 - lane;
        if (mirrored != lane && !look.lanes().get(mirrored).hold()) {
            return mirrored;
        }
        return IntStream.range(0, n)
                .filter(i -> i != lane && !look.lanes().get(i).hold())
                .findFirst()
                .orElse(lane);
    }

    /** What two opposed lanes are mirrored about: where the remaining one is. */
    private static Point2D third(Look look, String step, int a, int b, long frame) {
        return IntStream.range(0, look.lanes().size())
                .filter(i -> i != a && i != b)
                .mapToObj(i -> LaneEdits.shift(look, step, i, frame))
                .findFirst()
                .orElse(Point2D.ZERO);
    }
}
