package ivrik.app.session;

import ivrik.core.IvrikException;
import ivrik.core.project.Project;
import ivrik.media.file.RecoverableWork;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.util.ArrayList;
import java.util.List;

/** Recoverable work and the name of its project. */
public record RecoveryOffer(RecoverableWork work, String name) {
    private static final Logger LOG = LoggerFactory.getLogger(RecoveryOffer.class);

    /** Recoverable work that differs from the saved project. */
    static List<RecoveryOffer> of(List<RecoverableWork> lost, Project saved) {
        List<RecoveryOffer> offers = new ArrayList<>();
        for (RecoverableWork work : lost) {
            try {
                Project project = work.read().project();
                if (project.isEmpty() || project.equals(saved)) {
                    work.discard(); // nothing to recover
                } else {
                    offers.add(new RecoveryOffer(work, name(project)));
                }
            } catch (IvrikException e) {
                LOG.warn("an unreadable journal was kept", e);
            }
        }
        return offers;
    }

    /** A name that the user recognises. */
    private static String name(Project project) {
        return project.name().equals(Document.UNTITLED) && !project.sources().isEmpty()
                ? project.sources().getFirst().name() + ", untitled"
                : project.name();
    }
}
