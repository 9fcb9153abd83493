package ivrik.app.picture;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.look.BuiltInLooks;
import ivrik.core.picture.Size;
import ivrik.core.project.Project;
import ivrik.core.project.Source;
import ivrik.core.project.Title;
import ivrik.core.render.Plan;
import ivrik.core.render.Planner;
import ivrik.core.threads.Cancellation;
import ivrik.media.decode.Import;

import org.junit.jupiter.api.Test;

import java.util.concurrent.atomic.AtomicBoolean;

/** A source file is reopened while frames of the old file are still being rendered. */
class ChangedSourceTest {
    @Test
    void framesOfTheOldFileAreNotShownForTheNewFile() {
        Source title = Source.of("title", Title.EMPTY.withText("TEA"), new Size(64, 36));
        Project project = Import.project(title, BuiltInLooks.named("rgb-split"));
        Plan plan = Planner.plan(project, 0);
        PictureService service = new PictureService(answer -> {});
        service.reread();
        AtomicBoolean anew = new AtomicBoolean();
        Cancellation meanwhile =
                () -> {
                    if (anew.compareAndSet(false, true)) {
                        service.reread();
                    }
                    return false;
                };
        service.prepare(plan, 1, meanwhile);
        assertThat(anew).isTrue();
        assertThat(service.isReady(plan, 1)).isFalse();
        service.prepare(plan, 1, Cancellation.NEVER);
        assertThat(service.isReady(plan, 1)).isTrue();
        service.close();
    }
}
