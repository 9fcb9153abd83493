package ivrik.app.session;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;

import ivrik.core.IvrikException;
import ivrik.media.file.RecoverableWork;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.nio.file.Path;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;

/** Opening and saving a project without a window. */
class DocumentTest {
    @Test
    void anUnexpectedFaultIsReportedAndEndsTheWait(@TempDir Path data) throws Exception {
        BlockingQueue<Runnable> onInterface = new LinkedBlockingQueue<>();
        BlockingQueue<IvrikException> reported = new LinkedBlockingQueue<>();
        RecoverableWork lost = mock(RecoverableWork.class);
        doThrow(new IllegalStateException("unforeseen")).when(lost).discard();
        try (Document document = new Document(new Session(), data, onInterface::add, words -> {})) {
            document.discard(lost, reported::add);
            assertThat(document.isBusy()).isTrue();
            Runnable last = onInterface.poll(10, TimeUnit.SECONDS);
            assertThat(last).isNotNull();
            last.run();
            assertThat(document.isBusy()).isFalse();
            assertThat(reported.remove().oneLine())
                    .isEqualTo("internal error in Ivrik: see the log file for details");
        }
    }
}
