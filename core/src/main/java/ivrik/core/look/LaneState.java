package ivrik.core.look;

/** The three switches of a lane: heard alone, silenced, or left out of all movement. */
public record LaneState(boolean solo, boolean mute, boolean hold) {
    public static final LaneState PLAIN = new LaneState(false, false, false);

    public LaneState withSolo(boolean on) {
        return new LaneState(on, mute, hold);
    }

    public LaneState withMute(boolean on) {
        return new LaneState(solo, on, hold);
    }

    public LaneState withHold(boolean on) {
        return new LaneState(solo, mute, on);
    }
}
