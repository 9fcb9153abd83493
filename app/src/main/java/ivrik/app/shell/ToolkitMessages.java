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
 * Redirects messages of GTK and related libraries from the terminal to the log. GLib passes each message to a
 * <a href="https://docs.gtk.org/glib/func.log_set_writer_func.html">writer</a> as fields of a name and a
 * value.
 */
final class ToolkitMessages {
    private static final Logger LOG = LoggerFactory.getLogger(ToolkitMessages.class);
    private static final String GLIB = "libglib-2.0.so.0";
    private static final long LONGEST = 1 << 14;

    /**
     * {@code G_LOG_LEVEL_WARNING}; more severe levels have smaller values, apart from two flags.
     */
    private static final int WARNING = 1 << 4;

    private static final int LEVELS = ~3;

    /** {@code G_LOG_WRITER_HANDLED}. */
    private static final int HANDLED = 1;

    /**
     * A {@code GLogField}: name, value and length; a negative length stands for null-terminated text.
     */
    private static final long FIELD = 3 * ValueLayout.ADDRESS.byteSize();

    private static boolean done;

    private ToolkitMessages() {}

    /**
     * Installs the writer for the life of the process, if GLib is present. GLib accepts one writer only.
     */
    static synchronized void intoTheLog() {
        if (done) {
            return;
        }
        done = true;
        try {
            SymbolLookup glib = SymbolLookup.libraryLookup(GLIB, Arena.global());
            Linker linker = Linker.nativeLinker();
            MemorySegment writer =
                    linker.upcallStub(
                            MethodHandles.lookup()
                                    .findStatic(
                                            ToolkitMessages.class,
                                            "said",
                                            MethodType.methodType(
                                                    int.class,
                                                    int.class,
                                                    MemorySegment.class,
                                                    long.class,
                                                    MemorySegment.class)),
                            FunctionDescriptor.of(
                                    ValueLayout.JAVA_INT,
                                    ValueLayout.JAVA_INT,
                                    ValueLayout.ADDRESS,
                                    ValueLayout.JAVA_LONG,
                                    ValueLayout.ADDRESS),
                            Arena.global());
            linker.downcallHandle(
                            glib.find("g_log_set_writer_func").orElseThrow(),
                            FunctionDescriptor.ofVoid(
                                    ValueLayout.ADDRESS, ValueLayout.ADDRESS, ValueLayout.ADDRESS))
                    .invokeExact(writer, MemorySegment.NULL, MemorySegment.NULL);
        } catch (IllegalArgumentException e) {
            LOG.debug("not found: {}", GLIB, e);
        } catch (Throwable e) {
            LOG.warn("GLib messages cannot be redirected", e);
        }
    }

    /** Called by GLib on any thread; must not throw. */
    private static int said(int level, MemorySegment fields, long count, MemorySegment none) {
        try {
            if ((level & LEVELS) <= WARNING) {
                LOG.info("{}", texts(fields.reinterpret(count * FIELD), count));
            }
        } catch (RuntimeException e) {
            LOG.debug("the message cannot be read", e);
        }
        return HANDLED;
    }

    /** Domain and message. */
    private static String texts(MemorySegment fields, long count) {
        String domain = "";
        String message = "";
        for (long i = 0; i < count; i++) {
            String name = text(fields.get(ValueLayout.ADDRESS, i * FIELD));
            MemorySegment value = fields.get(ValueLayout.ADDRESS, i * FIELD + FIELD / 3);
            if (name.equals("GLIB_DOMAIN")) {
                domain = text(value);
            } else if (name.equals("MESSAGE")) {
                message = text(value);
            }
        }
        return domain + ": " + message;
    }

    private static String text(MemorySegment c) {
        return c.reinterpret(LONGEST).getString(0);
    }
}
