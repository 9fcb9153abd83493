package ivrik.app.desk;

import ivrik.app.session.Session;

/** Areas of the timeline. */
public enum TimeArea {
    /** Row of a channel. */
    CHANNEL,
    /** A shot of a layer. */
    SHOT,
    /** A layer without a shot. */
    LAYER,
    OTHER;

    static TimeArea at(Session session, TimeScale scale, double rowsBottom, double x, double y) {
        if (session.project().layers().isEmpty() || y < Metrics.HEAD) {
            return OTHER;
        }
        if (y < rowsBottom) {
            return CHANNEL;
        }
        if (ShotBody.at(session, scale, rowsBottom, x, y).isPresent()) {
            return SHOT;
        }
        return ShotRibbon.at(session.project().layers(), y, rowsBottom, scale.moment(x)).isPresent()
                ? LAYER
                : OTHER;
    }
}
