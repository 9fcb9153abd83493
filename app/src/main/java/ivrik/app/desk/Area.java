package ivrik.app.desk;

import ivrik.app.session.Session;

/** What lies at a place of the time view. */
public enum Area {
    /** The row of a lane. */
    LANE,
    /** A shot of a layer. */
    SHOT,
    /** A layer where it shows nothing. */
    LAYER,
    OTHER;

    static Area at(Session session, TimeScale scale, double rowsBottom, double x, double y) {
        if (session.project().layers().isEmpty() || y < Metrics.HEAD) {
            return OTHER;
        }
        if (y < rowsBottom) {
            return LANE;
        }
        if (ShotBody.at(session, scale, rowsBottom, x, y).isPresent()) {
            return SHOT;
        }
        return Ribbon.at(session.project().layers(), y, rowsBottom, scale.moment(x)).isPresent()
                ? LAYER
                : OTHER;
    }
}
