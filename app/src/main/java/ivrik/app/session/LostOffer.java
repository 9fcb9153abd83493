package ivrik.app.session;

import ivrik.core.IvrikException;
import ivrik.core.project.Project;
import ivrik.media.file.LostWork;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.util.ArrayList;
import java.util.List;

/** Lost work that is offered back, and the name of the project in it. */
public record LostOffer(LostWork work, String name) {
    private static final Logger LOG = LoggerFactory.getLogger(LostOffer.class);

    /** What of lost work is not saved anyway. */
    static List<LostOffer> of(List<LostWork> lost, Project saved) {
        List<LostOffer> offers = new ArrayList<>();
        for (LostWork work : lost) {
            try {
                Project project = work.read().project();
                if (project.isEmpty() || project.equals(saved)) {
                    work.throwAway(); // there is nothing in it that could be lost
                } else {
                    offers.add(new LostOffer(work, name(project)));
                }
            } catch (IvrikException e) {
                LOG.warn("a journal that cannot be read stays where it is", e);
            }
        }
        return offers;
    }

    /** What the user would know it by. */
    private static String name(Project project) {
        return project.name().equals(Document.UNTITLED) && !project.sources().isEmpty()
                ? project.sources().getFirst().name() + ", untitled"
                : project.name();
    }
}
