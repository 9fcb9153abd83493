package ivrik.media.ffmpeg;

import java.lang.foreign.Arena;
import java.lang.foreign.FunctionDescriptor;
import java.lang.foreign.Linker;
import java.lang.foreign.MemorySegment;
import java.lang.foreign.ValueLayout;
import java.lang.invoke.MethodHandle;
import java.util.Optional;

/** Environment variables of native code, which Java cannot set. */
public final class NativeEnvironment {
    private NativeEnvironment() {}

    /** Sets a variable unless it is set; has no effect on systems without the call. */
    public static void set(String name, String value) {
        if (System.getenv(name) != null) {
            return;
        }
        Linker linker = Linker.nativeLinker();
        Optional<MemorySegment> unix = linker.defaultLookup().find("setenv");
        Optional<MemorySegment> windows = linker.defaultLookup().find("_putenv_s");
        try (Arena arena = Arena.ofConfined()) {
            MemorySegment n = arena.allocateFrom(name);
            MemorySegment v = arena.allocateFrom(value);
            if (unix.isPresent()) {
                call(linker, unix.get(), true).invoke(n, v, 0);
            } else if (windows.isPresent()) {
                call(linker, windows.get(), false).invoke(n, v);
            }
        } catch (Throwable e) {
            throw new IllegalStateException("cannot set the environment variable " + name, e);
        }
    }

    private static MethodHandle call(Linker linker, MemorySegment function, boolean overwrites) {
        FunctionDescriptor two =
                FunctionDescriptor.of(
                        ValueLayout.JAVA_INT, ValueLayout.ADDRESS, ValueLayout.ADDRESS);
        return linker.downcallHandle(
                function, overwrites ? two.appendArgumentLayouts(ValueLayout.JAVA_INT) : two);
    }
}
