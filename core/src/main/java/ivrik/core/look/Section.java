package ivrik.core.look;

import ivrik.core.treatment.PictureTreatment;
import ivrik.core.treatment.Treatment;

import java.util.List;

/** The three parts of a look's road, in their order. */
public enum Section {
    /** The whole picture, before it is separated. */
    PREPARE,
    /** Each lane by itself. */
    LANES,
    /** The whole picture, after it is rejoined. */
    FINISH;

    /** Where a treatment is done unless it is told to be elsewhere. */
    public static Section usual(Treatment treatment) {
        return treatment instanceof PictureTreatment ? FINISH : LANES;
    }

    /** Where a treatment can be done: what treats lanes can treat all of them alike, as the picture. */
    public static List<Section> of(Treatment treatment) {
        return treatment instanceof PictureTreatment ? List.of(PREPARE, FINISH) : List.of(values());
    }
}
