package ivrik.app.shell;

import ivrik.app.picture.PictureService;
import ivrik.app.picture.Shown;
import ivrik.app.session.Laying;
import ivrik.app.session.OwnLooks;
import ivrik.app.session.Plans;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.sheet.SaveLookSheet;
import ivrik.app.sheet.Sheets;
import ivrik.app.sheet.Sheets.Choice;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.KeptLook;
import ivrik.core.look.Look;
import ivrik.core.threads.Cancel;
import ivrik.media.encode.SmallPng;
import ivrik.media.file.LookLibrary;
import ivrik.media.file.LookLibrary.Kept;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;

/** Looks kept, brought in, given away and thrown out by the user. */
final class LookWork {
    /** How wide the picture is that is kept with a look, in pixels. */
    private static final int PICTURE_WIDTH = 192;

    private final Session session;
    private final View view;
    private final OwnLooks own;
    private final Laying laying;
    private final Sheets sheets;
    private final Supplier<Chooser> chooser;
    private final PictureService service;

    LookWork(
            Session session,
            View view,
            OwnLooks own,
            Laying laying,
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

    /** Asks how the look on the desk is to be kept. */
    void save() {
        Look before = session.state().look().orElseThrow();
        SaveLookSheet sheet =
                new SaveLookSheet(
                        before,
                        own::holds,
                        new SaveLookSheet.Actions() {
                            @Override
                            public void keep(Look look) {
                                own.keep(look, picture(), () -> kept(before, look));
                            }

                            @Override
                            public void write(Look look) {
                                LookWork.this.write(look, picture());
                            }
                        },
                        sheets);
        sheets.show(sheet, sheet.first());
    }

    /** Makes a picture of the frame that is shown, as the bytes of a PNG. */
    private Supplier<byte[]> picture() {
        Plans plans = session.plans();
        long frame = view.frame.get();
        return () -> {
            Shown small = service.small(plans.of(frame, Cancel.NEVER), PICTURE_WIDTH);
            return SmallPng.of(small.pixels(), small.size());
        };
    }

    /** The one on the desk, if it is still that, is called so too. */
    private void kept(Look before, Look look) {
        if (session.state().look().equals(Optional.of(before))) {
            session.editLook(
                    "Save the look",
                    l ->
                            l.withName(look.name())
                                    .withTitle(look.title())
                                    .withNote(look.note())
                                    .withTags(look.tags()));
            laying.safe();
        }
        view.notice.set(look.shownName() + " is among your looks now");
    }

    /** Asks where to. */
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
        Endings.unlessTaken(
                chosen,
                file,
                sheets,
                f -> own.write(look, picture, f, () -> view.notice.set("Saved to " + f)));
    }

    /** Keeps what look files hold; what of one cannot be read is named. */
    void bringIn(List<Path> files) {
        files.forEach(
                file ->
                        own.open(
                                file,
                                k ->
                                        bringIn(
                                                new Kept(
                                                        k.file(),
                                                        named(k.look()),
                                                        k.problems(),
                                                        k.picture()))));
    }

    /** Under a name of its own, where one that comes with Ivrik has that name. */
    private static Look named(Look look) {
        Look named = look;
        for (int n = 2; BuiltInLooks.find(named.name()).isPresent(); n++) {
            named = KeptLook.of(look, look.shownName() + " " + n, look.note(), look.tags());
        }
        return named;
    }

    private void bringIn(Kept opened) {
        Look look = opened.look();
        if (own.holds(look)) {
            sheets.ask(
                    "You have a look called " + look.shownName() + " already",
                    "Shall what is in " + opened.file().getFileName() + " be kept in its place?",
                    List.of(
                            new Choice("Leave mine", () -> {}),
                            new Choice("Replace it", () -> keep(opened))));
        } else {
            keep(opened);
        }
    }

    private void keep(Kept opened) {
        own.keep(
                opened.look(),
                opened::picture,
                () -> {
                    view.notice.set(
                            opened.look().shownName()
                                    + " is among your looks now; a double click in the tray uses"
                                    + " it");
                    if (!opened.problems().isEmpty()) {
                        sheets.tell(
                                "Part of " + opened.file().getFileName() + " could not be read",
                                String.join("\n", opened.problems())
                                        + "\n\nThe rest is among your looks. The file itself is as"
                                        + " it was.");
                    }
                });
    }

    /** Throws one out, after asking. */
    void remove(Kept kept) {
        sheets.ask(
                "Throw out " + kept.look().shownName() + "?",
                "Projects that use it keep it. It cannot be taken back otherwise.",
                List.of(
                        new Choice("Keep it", () -> {}),
                        new Choice("Throw it out", () -> own.remove(kept))));
    }
}
