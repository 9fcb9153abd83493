package ivrik.app.shell;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.lang.foreign.Arena;
import java.lang.foreign.FunctionDescriptor;
import java.lang.foreign.Linker;
import java.lang.foreign.MemorySegment;
import java.lang.foreign.SymbolLookup;
import java.lang.foreign.ValueLayout;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.MethodType;

/**
 * What GTK and its kin have to say, which windows and file choosers on Linux are made of, goes into the log
 * and not to the terminal: nobody who makes pictures can do anything about it. GLib hands out each message as
 * its <a href="https://docs.gtk.org/glib/func.log_set_default_handler.html">default handler</a> is told.
 */
final class ToolkitWords {
    private static final Logger LOG = LoggerFactory.getLogger(ToolkitWords.class);
    private static final String GLIB = "libglib-2.0.so.0";
    private static final long LONGEST = 1 << 14;

    private ToolkitWords() {}

    /** From now on, for as long as the process lives; where there is no GLib, nobody speaks. */
    static void intoTheLog() {
        try {
            SymbolLookup glib = SymbolLookup.libraryLookup(GLIB, Arena.global());
            Linker linker = Linker.nativeLinker();
            MemorySegment handler =
                    linker.upcallStub(
                            MethodHandles.lookup()
                                    .findStatic(
                                            ToolkitWords.class,
                                            "said",
                                            MethodType.methodType(
                                                    void.class,
                                                    MemorySegment.class,
                                                    int.class,
                                                    MemorySegment.class,
                                                    MemorySegment.class)),
                            FunctionDescriptor.ofVoid(
                                    ValueLayout.ADDRESS,
                                    ValueLayout.JAVA_INT,
                                    ValueLayout.ADDRESS,
                                    ValueLayout.ADDRESS),
                            Arena.global());
            MemorySegment before =
                    (MemorySegment)
                            linker.downcallHandle(
                                            glib.find("g_log_set_default_handler").orElseThrow(),
                                            FunctionDescriptor.of(
                                                    ValueLayout.ADDRESS,
                                                    ValueLayout.ADDRESS,
                                                    ValueLayout.ADDRESS))
                                    .invokeExact(handler, MemorySegment.NULL);
            LOG.debug("GLib's words go here, not to {}", before);
        } catch (IllegalArgumentException e) {
            LOG.debug("there is no {}", GLIB, e);
        } catch (Throwable e) {
            LOG.warn("GLib's words cannot be taken", e);
        }
    }

    /** Called by GLib, on any thread; nothing may be thrown into it. */
    @SuppressWarnings("unused")
    private static void said(
            MemorySegment domain, int level, MemorySegment message, MemorySegment data) {
        try {
            LOG.info("{}: {}", text(domain), text(message));
        } catch (RuntimeException e) {
            LOG.debug("it cannot be read", e);
        }
    }

    private static String text(MemorySegment c) {
        return c.equals(MemorySegment.NULL) ? "" : c.reinterpret(LONGEST).getString(0);
    }
}
