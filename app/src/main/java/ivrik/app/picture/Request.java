package ivrik.app.picture;

import ivrik.app.session.Plans;
import ivrik.app.session.View.Show;

import java.util.Map;
import java.util.Set;

/**
 * What to render.
 *
 * @param takes plans of those that may be shown
 * @param layer the id of the layer whose lanes are shown
 * @param look which of its looks they belong to
 */
public record Request(
        Plans plans,
        long frame,
        Set<Show> shows,
        Map<Show, Plans> takes,
        String layer,
        int look,
        int lane) {}
