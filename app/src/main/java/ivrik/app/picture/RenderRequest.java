package ivrik.app.picture;

import ivrik.app.session.Plans;
import ivrik.app.session.View.Show;

import java.util.Map;
import java.util.Set;

/**
 * What to render.
 *
 * @param takes plans of takes that may be shown
 * @param layer id of the layer whose channels are shown
 * @param look index of the look whose channels are shown
 */
public record RenderRequest(
        Plans plans,
        long frame,
        Set<Show> shows,
        Map<Show, Plans> takes,
        String layer,
        int look,
        int channel) {}
