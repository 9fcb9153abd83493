package ivrik.media.sound;

import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.core.threads.Cancellation;
import ivrik.media.UnwritableTargetException;
import ivrik.media.file.SafeFile;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Locale;
import java.util.function.LongConsumer;

/** Writes the sound of a project as a WAV file: stereo, 48 kHz, 24 bits. */
public final class WavFile {
    public static final String ENDING = ".wav";

    private static final int BYTES = 3;
    private static final int LARGEST_CODE = (1 << 23) - 1;
    private static final int CHANNELS = 2;

    /** Size limit of a WAV file. */
    private static final long MAX_BYTES = 0xffff_ffffL - 64;

    private WavFile() {}

    /** Whether a file has the extension of WAV. */
    public static boolean isWav(Path file) {
        return file.getFileName().toString().toLowerCase(Locale.ROOT).endsWith(ENDING);
    }

    /**
     * Writes the sound of a range, completely or not at all.
     *
     * @param progress receives the number of finished frames
     * @throws UnwritableTargetException if the project has no sound, or exceeds the size limit
     */
    public static void write(
            Project project,
            FrameRange range,
            Path file,
            LongConsumer progress,
            Cancellation cancel) {
        if (!SoundMix.hasSound(project)) {
            throw new UnwritableTargetException(
                    project.name() + " contains no sound",
                    "add a clip with sound or choose an image or movie format",
                    null);
        }
        double seconds = range.length() / project.sequence().rate().toDouble();
        if (seconds * SoundReader.RATE * CHANNELS * BYTES > MAX_BYTES) {
            throw new UnwritableTargetException(
                    "a WAV file cannot store " + Math.round(seconds / 3600) + " hours",
                    "export fewer frames",
                    null);
        }
        try (SafeFile safe = new SafeFile(file)) {
            fill(project, range, safe.aside(), progress, cancel);
            safe.finish();
        } catch (IOException e) {
            throw SafeFile.fault(file, e);
        }
    }

    private static void fill(
            Project project,
            FrameRange range,
            Path file,
            LongConsumer progress,
            Cancellation cancel)
            throws IOException {
        long bytes = 0;
        try (SoundMix mix = new SoundMix(project);
                OutputStream out = new BufferedOutputStream(Files.newOutputStream(file))) {
            out.write(header(0));
            for (long n = range.first(); n <= range.last(); n++) {
                cancel.check();
                byte[] samples = samples(mix.frame(n));
                out.write(samples);
                bytes += samples.length;
                progress.accept(n - range.first() + 1);
            }
        }
        try (var channel = Files.newByteChannel(file, StandardOpenOption.WRITE)) {
            channel.write(ByteBuffer.wrap(header(bytes)));
        }
    }

    private static byte[] samples(float[] stereo) {
        byte[] bytes = new byte[BYTES * stereo.length];
        for (int i = 0; i < stereo.length; i++) {
            int code = Math.round(Math.clamp(stereo[i], -1f, 1f) * LARGEST_CODE);
            bytes[BYTES * i] = (byte) code;
            bytes[BYTES * i + 1] = (byte) (code >> 8);
            bytes[BYTES * i + 2] = (byte) (code >> 16);
        }
        return bytes;
    }

    /** The header for a number of sample bytes. */
    private static byte[] header(long bytes) {
        int frame = CHANNELS * BYTES;
        return ByteBuffer.allocate(44)
                .order(ByteOrder.LITTLE_ENDIAN)
                .put("RIFF".getBytes(StandardCharsets.US_ASCII))
                .putInt((int) (36 + bytes))
                .put("WAVEfmt ".getBytes(StandardCharsets.US_ASCII))
                .putInt(16)
                .putShort((short) 1)
                .putShort((short) CHANNELS)
                .putInt(SoundReader.RATE)
                .putInt(SoundReader.RATE * frame)
                .putShort((short) frame)
                .putShort((short) (8 * BYTES))
                .put("data".getBytes(StandardCharsets.US_ASCII))
                .putInt((int) bytes)
                .array();
    }
}
