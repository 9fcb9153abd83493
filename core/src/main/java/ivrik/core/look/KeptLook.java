package ivrik.core.look;

import ivrik.core.motion.Anchor;

import java.text.Normalizer;
import java.util.List;
import java.util.Locale;

/** A look made ready to be kept and used elsewhere: it names nothing that is only in its project. */
public final class KeptLook {
    private static final String NAMELESS = "look";

    /** Names that Windows keeps for devices, with any ending. */
    private static final String DEVICES = "con|prn|aux|nul|com[0-9]|lpt[0-9]";

    private KeptLook() {}

    /**
     * The look under another title. Pictures that its steps and lanes take, and the layer that holds it in, are
     * chosen again wherever it is used; its bursts stand on the first frame, and go to what is near where it is laid.
     *
     * @param title as people read it; its name in commands and files follows from that
     */
    public static Look of(Look look, String title, String note, List<String> tags) {
        return look.withName(name(title))
                .withTitle(title.strip())
                .withNote(note.strip())
                .withTags(tags)
                .withSteps(look.steps().stream().map(s -> s.withPicture("")).toList())
                .withLanes(look.lanes().stream().map(KeptLook::of).toList())
                .withReach(look.reach().withMatte(Reach.Matte.OFF))
                .withBursts(
                        look.bursts().stream()
                                .map(b -> b.withAnchor(new Anchor.AtFrame(0)))
                                .toList());
    }

    private static LaneState of(LaneState lane) {
        Feed feed = lane.feed();
        return lane.withFeed(feed.withSource("").withSlit(feed.slit().withPicture("")));
    }

    /** A title as a name for commands and files: small letters, digits and strokes. */
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
