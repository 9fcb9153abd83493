package ivrik.core.look;

import static ivrik.core.look.Links.alike;
import static ivrik.core.look.Links.dial;
import static ivrik.core.look.Links.share;
import static ivrik.core.look.Links.whole;

import ivrik.core.motion.Value;
import ivrik.core.separation.Rgb;
import ivrik.core.treatment.BrokenBlocks;
import ivrik.core.treatment.Displace;

import java.util.List;

/** Built-in looks of broken signals. */
final class SignalLooks {
    private SignalLooks() {}

    static List<BuiltInLook> all() {
        return List.of(
                BuiltInLook.of(
                        LookGroup.SIGNAL,
                        "Bad signal",
                        badSignal(),
                        "glitch",
                        "broken",
                        "digital",
                        "blocks",
                        "bits"));
    }

    /** Blocks, slices and lines that jump are each a displacement; they are one mapping. */
    private static Look badSignal() {
        Look look =
                Look.atRest(
                        "bad-signal",
                        new Rgb(),
                        new Displace(),
                        new Displace(),
                        new Displace(),
                        new BrokenBlocks());
        String[] by = {"blocks", "slices", "lines"};
        double[] size = {64, 90, 3};
        double[] share = {14, 22, 60};
        double[] alike = {0, 1, 1};
        for (int i = 0; i < by.length; i++) {
            int number = i;
            String id = "displace-" + (i + 1);
            look = look.withStep(id, s -> s.withWord(Displace.BY, by[number]));
            for (int lane = 0; lane < 3; lane++) {
                look =
                        look.withAmounts(
                                id,
                                lane,
                                a ->
                                        a.with("size", Value.of(size[number]))
                                                .with("share", Value.of(share[number]))
                                                .with("alike", Value.of(alike[number])));
            }
        }
        return look.withNote(
                        "A broken transmission: blocks, slices and lines jump, and blocks stick,"
                                + " swap their channels or lose bits.")
                .withDials(
                        List.of(
                                far("blocks", "Blocks jump", 40, "displace-1"),
                                far("slices", "Slices jump", 60, "displace-2"),
                                far("lines", "Lines jump", 2, "displace-3"),
                                share(
                                        "stuck",
                                        "Blocks stick",
                                        0.04,
                                        whole("broken-blocks-1", "stuck", 100)),
                                share(
                                        "swap",
                                        "Channels swap",
                                        0.03,
                                        whole("broken-blocks-1", "swap", 100)),
                                share(
                                        "bits",
                                        "Bits flip",
                                        0.02,
                                        whole("broken-blocks-1", "bits", 100)),
                                dial(
                                        "hold",
                                        "Hold",
                                        "frames",
                                        1,
                                        240,
                                        3,
                                        3,
                                        Links.all(
                                                alike("displace-1", "hold", 1),
                                                alike("displace-2", "hold", 1),
                                                alike("displace-3", "hold", 1),
                                                whole("broken-blocks-1", "hold", 1)))));
    }

    private static Dial far(String name, String title, double begins, String step) {
        return dial(name, title, "px", 0, 1000, 0, begins, alike(step, "x", 1));
    }
}
