package ivrik.app.shell;

import ivrik.app.picture.PictureService;
import ivrik.app.picture.ShownFrame;
import ivrik.app.session.LookApplication;
import ivrik.app.session.OwnLooks;
import ivrik.app.session.Plans;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.sheet.SaveLookSheet;
import ivrik.app.sheet.Sheets;
import ivrik.app.sheet.Sheets.Choice;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.look.PortableLook;
import ivrik.core.threads.Cancellation;
import ivrik.media.encode.SmallPng;
import ivrik.media.file.LookLibrary;
import ivrik.media.file.LookLibrary.SavedLook;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;

/** Saves, imports, exports and deletes looks. */
final class LookActions {
    /** Width of thumbnails in pixels. */
    private static final int PICTURE_WIDTH = 192;

    private final Session session;
    private final View view;
    private final OwnLooks own;
    private final LookApplication laying;
    private final Sheets sheets;
    private final Supplier<Chooser> chooser;
    private final PictureService service;

    LookActions(
            Session session,
            View view,
            OwnLooks own,
            LookApplication laying,
            Sheets sheets,
            Supplier<Chooser> chooser,
            PictureService service) {
        this.session = session;
        this.view = view;
        this.own = own;
        this.laying = laying;
        this.sheets = sheets;
        this.chooser = chooser;
        this.service = service;
    }

    /** Asks how to save the selected look. */
    void save() {
        Look before = session.state().look().orElseThrow();
        SaveLookSheet sheet =
                new SaveLookSheet(
                        before,
                        own::contains,
                        new SaveLookSheet.Actions() {
                            @Override
                            public void keep(Look look) {
                                own.save(look, picture(), () -> kept(before, look));
                            }

                            @Override
                            public void write(Look look) {
                                LookActions.this.write(look, picture());
                            }
                        },
                        sheets);
        sheets.show(sheet, sheet.first());
    }

    /** Renders a thumbnail of the present frame as PNG. */
    private Supplier<byte[]> picture() {
        Plans plans = session.plans();
        long frame = view.frame.get();
        return () -> {
            ShownFrame small = service.small(plans.of(frame, Cancellation.NEVER), PICTURE_WIDTH);
            return SmallPng.of(small.pixels(), small.size());
        };
    }

    /** Gives the selected look its saved name, if it is still selected. */
    private void kept(Look before, Look look) {
        if (session.state().look().equals(Optional.of(before))) {
            session.editLook(
                    "Save look",
                    l ->
                            l.withName(look.name())
                                    .withTitle(look.title())
                                    .withNote(look.note())
                                    .withTags(look.tags()));
            laying.safe();
        }
        view.notice.set("Saved to your looks: " + look.displayName());
    }

    /** Asks for a target. */
    void write(Look look, Supplier<byte[]> picture) {
        Path chosen = chooser.get().toSave(Chooser.Saved.LOOK, look.name());
        if (chosen == null) {
            return;
        }
        String name = chosen.getFileName().toString();
        Path file =
                LookLibrary.isLook(chosen)
                        ? chosen
                        : chosen.resolveSibling(
                                name.replaceFirst("(\\.look)?(\\.json)?$", "")
                                        + LookLibrary.ENDING);
        FileExtensions.unlessTaken(
                chosen,
                file,
                sheets,
                f -> own.write(look, picture, f, () -> view.notice.set("Saved: " + f)));
    }

    /** Saves the looks of files; errors are reported. */
    void importLooks(List<Path> files) {
        files.forEach(
                file ->
                        own.open(
                                file,
                                k ->
                                        importLooks(
                                                new SavedLook(
                                                        k.file(),
                                                        named(k.look()),
                                                        k.problems(),
                                                        k.picture()))));
    }

    /** Renames a look that has the name of a built-in one. */
    private static Look named(Look look) {
        Look named = look;
        for (int n = 2; BuiltInLooks.find(named.name()).isPresent(); n++) {
            named = PortableLook.of(look, look.displayName() + " " + n, look.note(), look.tags());
        }
        return named;
    }

    private void importLooks(SavedLook opened) {
        Look look = opened.look();
        if (own.contains(look)) {
            sheets.ask(
                    "You already have a look named " + look.displayName(),
                    "Replace it by the look in " + opened.file().getFileName() + "?",
                    List.of(
                            new Choice("Cancel", () -> {}),
                            new Choice("Replace", () -> keep(opened))));
        } else {
            keep(opened);
        }
    }

    private void keep(SavedLook opened) {
        own.save(
                opened.look(),
                opened::picture,
                () -> {
                    view.notice.set(
                            "Imported to your looks: "
                                    + opened.look().displayName()
                                    + ". Double-click it in the tray to apply it");
                    if (!opened.problems().isEmpty()) {
                        sheets.report(
                                opened.file().getFileName() + " was opened with errors",
                                String.join("\n", opened.problems())
                                        + "\n\n"
                                        + "The readable part was saved to your looks. The file was"
                                        + " not changed.");
                    }
                });
    }

    /** Deletes a look after confirmation. */
    void remove(SavedLook kept) {
        sheets.ask(
                "Delete " + kept.look().displayName() + "?",
                "Projects that use this look keep their copy. Deleting it from your looks"
                        + " cannot be undone.",
                List.of(
                        new Choice("Cancel", () -> {}),
                        new Choice("Delete", () -> own.remove(kept))));
    }
}
