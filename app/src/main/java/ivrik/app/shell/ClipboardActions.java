package ivrik.app.shell;

import ivrik.app.picture.PictureService;
import ivrik.app.picture.ShownFrame;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.core.IvrikException;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Threads;
import ivrik.core.threads.Workers;
import ivrik.media.encode.StillWriter;

import javafx.application.Platform;
import javafx.scene.image.Image;
import javafx.scene.image.PixelFormat;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.Consumer;

/** Copies the present frame to the clipboard, and pastes pictures and files from other programs. */
final class ClipboardActions {
    private final Session session;
    private final View view;
    private final PictureService service;
    private final Path folder;
    private final Consumer<List<Path>> take;
    private final BiConsumer<String, String> report;

    /**
     * @param folder receives a file for each pasted picture
     * @param take imports files
     * @param report receives title and text of an error
     */
    ClipboardActions(
            Session session,
            View view,
            PictureService service,
            Path folder,
            Consumer<List<Path>> take,
            BiConsumer<String, String> report) {
        this.session = session;
        this.view = view;
        this.service = service;
        this.folder = folder;
        this.take = take;
        this.report = report;
    }

    /** Copies the present frame with all looks, at the sequence's size. */
    void copyFrame() {
        long frame = view.frame.get();
        int width = session.project().sequence().size().width();
        var plans = session.plans();
        view.notice.set("Copying frame " + frame + " ...");
        Threads.start(
                "ivrik-clipboard",
                () -> {
                    ShownFrame shown = service.small(plans.of(frame, Cancellation.NEVER), width);
                    Platform.runLater(() -> put(shown, frame));
                });
    }

    private void put(ShownFrame shown, long frame) {
        ClipboardContent content = new ClipboardContent();
        content.putImage(shown.image());
        Clipboard.getSystemClipboard().setContent(content);
        view.notice.set("Frame " + frame + " copied to the clipboard, " + shown.size());
    }

    boolean canPaste() {
        Clipboard clipboard = Clipboard.getSystemClipboard();
        return clipboard.hasFiles() || clipboard.hasImage();
    }

    /** Pastes files as if dropped; a picture becomes a still in a new file. */
    void paste() {
        Clipboard clipboard = Clipboard.getSystemClipboard();
        if (clipboard.hasFiles()) {
            take.accept(clipboard.getFiles().stream().map(File::toPath).toList());
        } else if (clipboard.getImage() != null) {
            Image image = clipboard.getImage();
            int width = (int) image.getWidth();
            int height = (int) image.getHeight();
            int[] argb = new int[width * height];
            image.getPixelReader()
                    .getPixels(
                            0, 0, width, height, PixelFormat.getIntArgbInstance(), argb, 0, width);
            Threads.start("ivrik-clipboard", () -> keep(frame(argb, width, height)));
        }
    }

    private void keep(Frame picture) {
        try {
            Files.createDirectories(folder);
            int number = 1;
            while (Files.exists(file(number))) {
                number++;
            }
            Path file = file(number);
            StillWriter.write(picture, file, Depth.INT8, Workers.shared());
            Platform.runLater(() -> take.accept(List.of(file)));
        } catch (IvrikException e) {
            Platform.runLater(() -> report.accept("The image could not be pasted", e.oneLine()));
        } catch (IOException e) {
            Platform.runLater(
                    () ->
                            report.accept(
                                    "The image could not be pasted",
                                    "Could not write the pasted image to " + folder + ": " + e));
        }
    }

    /** The number comes first, so that several pictures are not taken for a sequence. */
    private Path file(int number) {
        return folder.resolve(number + " pasted.png");
    }

    /** The picture with its alpha, if it has any. */
    private static Frame frame(int[] argb, int width, int height) {
        Plane[] planes = new Plane[4];
        for (int c = 0; c < 4; c++) {
            int shift = c == 3 ? 24 : 16 - 8 * c;
            float[] samples = new float[argb.length];
            for (int i = 0; i < argb.length; i++) {
                samples[i] = (argb[i] >>> shift & 255) / 255f;
            }
            planes[c] = Plane.of(width, height, samples);
        }
        return planes[3].isFlat(1)
                ? Frame.opaque(planes[0], planes[1], planes[2])
                : Frame.straight(planes[0], planes[1], planes[2], planes[3]);
    }
}
