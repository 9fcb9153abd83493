package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.abort;

import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.read.ListAppender;

import org.junit.jupiter.api.Test;
import org.slf4j.LoggerFactory;

import java.lang.foreign.Arena;
import java.lang.foreign.FunctionDescriptor;
import java.lang.foreign.Linker;
import java.lang.foreign.SymbolLookup;
import java.lang.foreign.ValueLayout;

class ToolkitMessagesTest {
    @Test
    void warningsOfGlibAreLogged() throws Throwable {
        ListAppender<ILoggingEvent> heard = new ListAppender<>();
        heard.start();
        Logger log = (Logger) LoggerFactory.getLogger(ToolkitMessages.class);
        log.addAppender(heard);
        ToolkitMessages.intoTheLog();
        try (Arena arena = Arena.ofConfined()) {
            // void g_warn_message(domain, file, line, function, expression)
            Linker.nativeLinker()
                    .downcallHandle(
                            glib().find("g_warn_message").orElseThrow(),
                            FunctionDescriptor.ofVoid(
                                    ValueLayout.ADDRESS,
                                    ValueLayout.ADDRESS,
                                    ValueLayout.JAVA_INT,
                                    ValueLayout.ADDRESS,
                                    ValueLayout.ADDRESS))
                    .invokeExact(
                            arena.allocateFrom("Quill"),
                            arena.allocateFrom("tram.c"),
                            7,
                            arena.allocateFrom("ring"),
                            arena.allocateFrom("bell != 0"));
        } finally {
            log.detachAppender(heard);
        }
        assertThat(heard.list)
                .extracting(ILoggingEvent::getFormattedMessage)
                .anyMatch(m -> m.startsWith("Quill: ") && m.contains("bell != 0"));
    }

    private static SymbolLookup glib() {
        try {
            return SymbolLookup.libraryLookup("libglib-2.0.so.0", Arena.global());
        } catch (IllegalArgumentException e) {
            return abort("there is no GLib here");
        }
    }
}
