package ivrik.app.shell;

import ivrik.app.session.Plans;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.session.View.Show;
import ivrik.app.session.View.TakeId;
import ivrik.core.project.Project;
import ivrik.core.project.Takes;

import java.util.EnumMap;
import java.util.Map;
import java.util.Set;

/** Plans of the takes in the panes, each in place of its layer's looks. */
final class TakePlans {
    private final Session session;
    private final View view;
    private Map<Show, Plans> known = Map.of();

    TakePlans(Session session, View view) {
        this.session = session;
        this.view = view;
    }

    /** The plans of the shown takes. */
    Map<Show, Plans> of(Set<Show> shows) {
        Map<Show, Plans> now = new EnumMap<>(Show.class);
        for (Show show : shows) {
            if (show.isTake()) {
                now.put(show, plans(show, show == Show.TAKE ? view.takeA.get() : view.takeB.get()));
            }
        }
        known = now;
        return now;
    }

    /** Reuses the plans of an unchanged project. */
    private Plans plans(Show show, TakeId kept) {
        Project project = session.project();
        Project with =
                kept == null
                        ? project
                        : Takes.find(project, kept.layer(), kept.take())
                                .map(t -> t.in(project))
                                .orElse(project);
        Plans before = known.get(show);
        return before != null && before.project().equals(with) ? before : session.plansOf(with);
    }
}
