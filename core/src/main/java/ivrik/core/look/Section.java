package ivrik.core.look;

import ivrik.core.treatment.PictureTreatment;
import ivrik.core.treatment.Treatment;

import java.util.List;

/** The three sections of a look's pipeline, in order. */
public enum Section {
    /** The whole picture, before separation. */
    PREPARE,
    /** Each channel on its own. */
    CHANNELS,
    /** The whole picture, after rejoin. */
    FINISH;

    /** The default section of a treatment. */
    public static Section usual(Treatment treatment) {
        return treatment instanceof PictureTreatment ? FINISH : CHANNELS;
    }

    /**
     * The sections that a treatment can be in. A channel treatment can also treat the whole picture, all
     * channels in the same way.
     */
    public static List<Section> of(Treatment treatment) {
        return treatment instanceof PictureTreatment ? List.of(PREPARE, FINISH) : List.of(values());
    }
}
