package ivrik.core.look;

import ivrik.core.motion.Anchor;

import java.text.Normalizer;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** Prepares a look for use outside its project: references to the project are removed. */
public final class PortableLook {
    private static final String NAMELESS = "look";

    /** Reserved device names of Windows, with any extension. */
    private static final String DEVICES = "con|prn|aux|nul|com[0-9]|lpt[0-9]";

    private PortableLook() {}

    /**
     * The look under another title. Sources and matte layers have to be chosen again; bursts are anchored to
     * the first frame, and take a nearby anchor where the look is applied.
     *
     * @param title name on the screen; the name in commands and files is derived from it
     */
    public static Look of(Look look, String title, String note, List<String> tags) {
        return look.withName(name(title))
                .withTitle(title.strip())
                .withNote(note.strip())
                .withTags(tags)
                .withSteps(look.steps().stream().map(s -> s.withPicture("")).toList())
                .withChannels(look.channels().stream().map(PortableLook::of).toList())
                .withMask(look.mask().withMatte(Mask.Matte.OFF))
                .withBursts(
                        look.bursts().stream()
                                .map(b -> b.withAnchor(new Anchor.AtFrame(0)))
                                .toList())
                .withOtherModels(List.of());
    }

    /** The look with keyframed dials at rest; other dials keep their values. */
    public static Look withoutDialKeyframes(Look look) {
        return look.withDials(look.dials().stream().map(Dial::withoutKeyframes).toList());
    }

    /**
     * Whether a look still has the description and keywords of the built-in look that it was made from.
     */
    public static boolean hasBorrowedNote(Look look) {
        return BuiltInLooks.find(look.name())
                .filter(b -> b.note().equals(look.note()) && b.tags().equals(look.tags()))
                .isPresent();
    }

    /** A description made of the treatments, such as {@code Shift, Grain in RGB.}; empty without any. */
    public static String description(Look look) {
        String treatments =
                look.steps().stream()
                        .map(s -> s.kind().description().title())
                        .distinct()
                        .collect(Collectors.joining(", "));
        return treatments.isEmpty() ? "" : treatments + " in " + look.model().title() + ".";
    }

    private static ChannelState of(ChannelState channel) {
        ChannelSource channelSource = channel.channelSource();
        return channel.withChannelSource(
                channelSource
                        .withSource("")
                        .withSlitScan(channelSource.slitScan().withPicture("")));
    }

    /** A title as a name for commands and files: lower-case letters, digits and hyphens. */
    public static String name(String title) {
        String plain =
                Normalizer.normalize(title, Normalizer.Form.NFD)
                        .replaceAll("\\p{M}", "")
                        .toLowerCase(Locale.ROOT)
                        .replaceAll("[^\\p{L}\\p{N}]+", "-")
                        .replaceAll("^-|-$", "");
        if (plain.isEmpty()) {
            return NAMELESS;
        }
        return plain.matches(DEVICES) ? plain + "-1" : plain;
    }
}
