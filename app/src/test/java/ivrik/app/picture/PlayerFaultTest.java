package ivrik.app.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyDouble;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;

import ivrik.app.InterfaceThread;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.media.file.ProjectFile;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

import java.nio.file.Path;
import java.util.Optional;

/** Playing when frames cannot be rendered. */
class PlayerFaultTest {
    private static final Path FILE =
            Path.of(System.getProperty("ivrik.home"), "demo/lantern-week/lantern-week.ivrik");

    private final Session session = new Session();
    private final View view = new View();
    private final PictureService service = mock(PictureService.class);

    @ParameterizedTest
    @ValueSource(classes = {OutOfMemoryError.class, IllegalStateException.class})
    void aFaultIsReportedAndTheClockContinues(Class<? extends Throwable> fault) {
        doThrow(fault).when(service).prepare(any(), anyDouble(), any());
        InterfaceThread.start();
        Player player =
                InterfaceThread.on(
                        () -> {
                            session.open(ProjectFile.open(FILE).project());
                            Player made =
                                    new Player(
                                            session, view, service, shown -> {}, Optional::empty);
                            view.playing.set(true);
                            return made;
                        });
        InterfaceThread.until(
                "the message appears",
                () -> view.notice.get().startsWith("Some frames could not be rendered: "));
        long then = InterfaceThread.on(() -> view.frame.get());
        InterfaceThread.until("the clock continues", () -> view.frame.get() > then + 2);
        InterfaceThread.run(
                () -> {
                    assertThat(view.playing.get()).isTrue();
                    view.playing.set(false);
                    player.close();
                });
    }
}
