package ivrik.media.encode;

import ivrik.core.IvrikException;
import ivrik.core.project.FrameRange;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.CancelledException;
import ivrik.media.UnwritableTargetException;
import ivrik.media.decode.NumberedSequence;
import ivrik.media.file.SafeFile;

import org.slf4j.LoggerFactory;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Processes several clips in order. Finished outputs are skipped, so that an interrupted batch continues; a
 * failed clip does not stop the others.
 */
public final class Batch {
    private Batch() {}

    /**
     * One clip and its output.
     *
     * @param number number of the clip, from 1
     * @param input a file or the pattern of a numbered sequence
     * @param out a file or the pattern of a numbered sequence
     */
    public record Item(int number, int all, Path input, Path out) {
        /** Progress as text. */
        public String progress() {
            return number + " of " + all + ", " + input.getFileName();
        }
    }

    /** Result for a clip. */
    public enum Outcome {
        /** Rendered. */
        DONE,
        /** Skipped because the output is newer than all inputs. */
        LEFT,
        /** Failed. */
        FAILED
    }

    /**
     * Result for one clip.
     *
     * @param notes notes; for a failed clip the reason and the remedy
     */
    public record Report(Item item, Outcome outcome, List<String> notes) {}

    /** Number of clips with a result. */
    public static long count(List<Report> reports, Outcome outcome) {
        return reports.stream().filter(r -> r.outcome() == outcome).count();
    }

    /** Renders one clip. */
    public interface Maker {
        /**
         * Frames of the output; requested only if each frame is a file.
         *
         * @throws IvrikException if the clip cannot be read
         */
        FrameRange frames(Item item);

        /**
         * @return notes for the user
         * @throws IvrikException if the clip cannot be rendered
         */
        List<String> make(Item item);
    }

    /**
     * The outputs of clips.
     *
     * @param outs path in which {@link OutputName#NAME} stands for the clip's name and
     *     {@link OutputName#FOLDER} for its folder's name
     * @throws UnwritableTargetException if two clips have the same output
     */
    public static List<Item> items(List<Path> inputs, String outs) {
        List<Item> items = new ArrayList<>();
        Map<Path, Path> taken = new HashMap<>();
        for (Path input : inputs) {
            Path out = OutputName.of(outs, input);
            Path other = taken.put(out.toAbsolutePath().normalize(), input);
            if (other != null) {
                throw new UnwritableTargetException(
                        other + " and " + input + " would both be written to " + out,
                        "use "
                                + OutputName.FOLDER
                                + " in the name, or give them names of their own",
                        null);
            }
            items.add(new Item(items.size() + 1, inputs.size(), input, out));
        }
        return items;
    }

    /**
     * Renders all unfinished clips and creates output folders.
     *
     * @param also further input files of every clip
     * @param again whether to render finished clips again
     */
    public static List<Report> run(
            List<Item> items,
            Collection<Path> also,
            boolean anew,
            Maker maker,
            Cancellation cancel) {
        List<Report> reports = new ArrayList<>();
        for (Item item : items) {
            cancel.check();
            reports.add(
                    !anew && isFinished(item, also, maker)
                            ? new Report(item, Outcome.LEFT, List.of())
                            : made(item, maker));
        }
        return List.copyOf(reports);
    }

    private static Report made(Item item, Maker maker) {
        try {
            folder(item.out());
            return new Report(item, Outcome.DONE, maker.make(item));
        } catch (CancelledException e) {
            throw e;
        } catch (IvrikException e) {
            return new Report(item, Outcome.FAILED, List.of(e.oneLine()));
        } catch (RuntimeException e) {
            LoggerFactory.getLogger(Batch.class).error("{}", item.input(), e);
            return new Report(
                    item,
                    Outcome.FAILED,
                    List.of(
                            "internal error in Ivrik ("
                                    + e.getMessage()
                                    + "); the log says where"));
        }
    }

    private static void folder(Path out) {
        Path folder = out.toAbsolutePath().getParent();
        try {
            Files.createDirectories(folder);
        } catch (IOException e) {
            throw SafeFile.fault(folder, e);
        }
    }

    /** Whether all outputs are newer than all inputs. */
    private static boolean isFinished(Item item, Collection<Path> also, Maker maker) {
        List<Path> made = OutputFiles.there(item.out());
        List<Path> from = new ArrayList<>(OutputFiles.there(item.input()));
        from.addAll(also);
        return !made.isEmpty()
                && newest(from).compareTo(oldest(made)) < 0
                && (!NumberedSequence.isPattern(item.out()) || isWhole(item, maker));
    }

    private static boolean isWhole(Item item, Maker maker) {
        try {
            FrameRange frames = maker.frames(item);
            return OutputFiles.existing(item.out(), frames).size() == frames.length();
        } catch (IvrikException e) {
            return false; // not skipped: rendering reports the error
        }
    }

    private static FileTime oldest(List<Path> files) {
        return files.stream().map(Batch::time).min(FileTime::compareTo).orElseThrow();
    }

    private static FileTime newest(List<Path> files) {
        return files.stream()
                .map(Batch::time)
                .max(FileTime::compareTo)
                .orElse(FileTime.fromMillis(Long.MAX_VALUE));
    }

    private static FileTime time(Path file) {
        try {
            return Files.getLastModifiedTime(file);
        } catch (IOException e) {
            throw SafeFile.fault(file, e);
        }
    }
}
