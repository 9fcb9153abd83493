package ivrik.core.look;

import static ivrik.core.look.DialLinks.allChannels;
import static ivrik.core.look.DialLinks.dial;
import static ivrik.core.look.DialLinks.share;
import static ivrik.core.look.DialLinks.whole;

import ivrik.core.motion.Value;
import ivrik.core.separation.Rgb;
import ivrik.core.treatment.BlockCorruption;
import ivrik.core.treatment.Displacement;

import java.util.List;

/** Built-in looks of broken signals. */
final class SignalLooks {
    private SignalLooks() {}

    static List<BuiltInLook> all() {
        return List.of(
                BuiltInLook.of(
                        LookGroup.SIGNAL,
                        "Digital breakup",
                        digitalBreakup(),
                        "glitch",
                        "broken",
                        "digital",
                        "blocks",
                        "bits"));
    }

    /**
     * Displaced blocks, slices and lines are three displacement steps, composed into one mapping.
     */
    private static Look digitalBreakup() {
        Look look =
                Look.atRest(
                        "digital-breakup",
                        new Rgb(),
                        new Displacement(),
                        new Displacement(),
                        new Displacement(),
                        new BlockCorruption());
        String[] by = {"blocks", "slices", "lines"};
        double[] size = {64, 90, 3};
        double[] share = {14, 22, 60};
        double[] shared = {0, 1, 1};
        for (int i = 0; i < by.length; i++) {
            int number = i;
            String id = "displacement-" + (i + 1);
            look = look.withStep(id, s -> s.withChoice(Displacement.BY, by[number]));
            for (int channel = 0; channel < 3; channel++) {
                look =
                        look.withSettings(
                                id,
                                channel,
                                a ->
                                        a.with("size", Value.of(size[number]))
                                                .with("affected", Value.of(share[number]))
                                                .with("same", Value.of(shared[number])));
            }
        }
        return look.withNote(
                        "Digital transmission errors: displaced blocks, slices and lines, frozen"
                                + " blocks, swapped channels and flipped bits.")
                .withDials(
                        List.of(
                                far("blocks", "Block displacement", 40, "displacement-1"),
                                far("slices", "Slice displacement", 60, "displacement-2"),
                                far("lines", "Line displacement", 2, "displacement-3"),
                                share(
                                        "stuck",
                                        "Frozen blocks",
                                        0.04,
                                        whole("block-corruption-1", "stuck", 100)),
                                share(
                                        "swap",
                                        "Swapped channels",
                                        0.03,
                                        whole("block-corruption-1", "swap", 100)),
                                share(
                                        "bits",
                                        "Flipped bits",
                                        0.02,
                                        whole("block-corruption-1", "bits", 100)),
                                dial(
                                        "hold",
                                        "Hold",
                                        "frames",
                                        1,
                                        240,
                                        3,
                                        3,
                                        DialLinks.all(
                                                allChannels("displacement-1", "hold", 1),
                                                allChannels("displacement-2", "hold", 1),
                                                allChannels("displacement-3", "hold", 1),
                                                whole("block-corruption-1", "hold", 1)))));
    }

    private static Dial far(String name, String title, double begins, String step) {
        return dial(name, title, "px", 0, 1000, 0, begins, allChannels(step, "x", 1));
    }
}
