package ivrik.media.encode;

import ivrik.core.IvrikException;
import ivrik.core.project.FrameRange;
import ivrik.core.threads.Cancel;
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
 * The same done to many clips, one after the other. What is finished already is left, so that a batch that was
 * broken off goes on where it was; a clip that cannot be made stops none of the others.
 */
public final class Batch {
    private Batch() {}

    /**
     * One clip and what it becomes.
     *
     * @param number among all, from 1
     * @param input a file, or the pattern of a numbered sequence
     * @param out likewise
     */
    public record Item(int number, int all, Path input, Path out) {
        /** Which it is, in words. */
        public String words() {
            return number + " of " + all + ", " + input.getFileName();
        }
    }

    /** What became of a clip. */
    public enum Outcome {
        /** It was made. */
        DONE,
        /** It was there already, newer than everything that it is made from. */
        LEFT,
        /** It could not be made. */
        FAILED
    }

    /**
     * How it went with one clip.
     *
     * @param words what is not as one would expect; of a clip that failed, why and what to do
     */
    public record Report(Item item, Outcome outcome, List<String> words) {}

    /** How many clips went so. */
    public static long count(List<Report> reports, Outcome outcome) {
        return reports.stream().filter(r -> r.outcome() == outcome).count();
    }

    /** Makes one clip. */
    public interface Maker {
        /**
         * The frames that it will have; only asked where each is a file of its own.
         *
         * @throws IvrikException if it cannot be read
         */
        FrameRange frames(Item item);

        /**
         * @return what is not as one would expect, in words for the user
         * @throws IvrikException if it cannot be made
         */
        List<String> make(Item item);
    }

    /**
     * What each clip is to become.
     *
     * @param outs a path in which {@link OutputName#NAME} stands for the clip's name, {@link OutputName#FOLDER} for
     *     that of its folder
     * @throws UnwritableTargetException if two clips would become the same file
     */
    public static List<Item> items(List<Path> inputs, String outs) {
        List<Item> items = new ArrayList<>();
        Map<Path, Path> taken = new HashMap<>();
        for (Path input : inputs) {
            Path out = OutputName.of(outs, input);
            Path other = taken.put(out.toAbsolutePath().normalize(), input);
            if (other != null) {
                throw new UnwritableTargetException(
                        other + " and " + input + " would both become " + out,
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
     * Makes all that is not there yet, and the folders that they go into.
     *
     * @param also files besides a clip that each is made from
     * @param anew whether those that are finished are made again
     */
    public static List<Report> run(
            List<Item> items, Collection<Path> also, boolean anew, Maker maker, Cancel cancel) {
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
                            "something went wrong inside Ivrik ("
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

    /** Whether all of it is there and newer than all that it is made from. */
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
            return false; // it is made, and says why it cannot be
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
