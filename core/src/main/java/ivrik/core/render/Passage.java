package ivrik.core.render;

import ivrik.core.cache.Key;
import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;

import java.util.Optional;

/**
 * A picture on its way along a look's road. An opaque one is rows that are made when they are asked for;
 * one with coverage is planes. Between separation and rejoining there are its lanes as well.
 */
final class Passage {
    private final Site site;
    private Key key;

    /** Of an opaque picture; null for one with coverage. */
    private ColourRows rows;

    /** The planes, if there are any yet. */
    private Frame frame;

    private Optional<Parting> parting = Optional.empty();

    /** While it is separated. */
    private Lanes lanes;

    private Passage(Passage other) {
        this.site = other.site;
        this.key = other.key;
        this.rows = other.rows;
        this.frame = other.frame;
    }

    Passage(Frame frame, Key key, Site site) {
        this.site = site;
        set(frame, key);
    }

    /** An opaque picture that need not become planes. */
    Passage(ColourRows rows, Key key, Site site) {
        this.site = site;
        set(rows, key);
    }

    /** The same picture, to go another way. */
    Passage copy() {
        Passage copy = new Passage(this);
        copy.parting = parting;
        return copy;
    }

    Site site() {
        return site;
    }

    /** All that the picture depends on. */
    Key key() {
        return key;
    }

    boolean isOpaque() {
        return rows != null;
    }

    Size size() {
        return isOpaque() ? rows.size() : frame.size();
    }

    void set(Frame made, Key of) {
        key = of;
        frame = made;
        rows = made.isOpaque() ? ColourRows.ofPlanes(made.colour()) : null;
        parting = Optional.empty();
    }

    /** An opaque picture. */
    void set(ColourRows made, Key of) {
        key = of;
        frame = null;
        rows = made;
        parting = Optional.empty();
    }

    /** The rows of an opaque picture. */
    ColourRows rows() {
        return rows;
    }

    /** All of the picture; what was rows until now is made once and kept. */
    Frame frame() {
        if (frame == null) {
            ColourRows made = rows;
            set(
                    site.store()
                            .get(
                                    key,
                                    () -> Frame.of(made, site.workers()),
                                    site.cancel()::isCancelled),
                    key);
        }
        return frame;
    }

    /** Makes all of an opaque picture now if the same has been asked for before. */
    void settle() {
        if (frame == null && site.recurs(key)) {
            frame();
        }
    }

    /** How the lanes of a picture with coverage lie apart; empty if one coverage tells all. */
    Optional<Parting> parting() {
        return parting;
    }

    void setParting(Optional<Parting> parted) {
        parting = parted;
    }

    Lanes lanes() {
        return lanes;
    }

    void setLanes(Lanes separated) {
        lanes = separated;
    }
}
