package ivrik.app.shell;

import ivrik.app.desk.TimeView;
import ivrik.app.picture.PictureService;
import ivrik.app.session.OwnLooks;
import ivrik.app.session.Session;
import ivrik.app.tray.Tray;
import ivrik.core.picture.Size;
import ivrik.media.file.LookLibrary.SavedLook;

/**
 * Looks in the tray and thumbnails of looks and footage, rendered when idle; those of looks once they are
 * visible.
 */
final class TrayPictures {
    private final Session session;
    private final PictureService service;
    private final TimeView time;
    private final Tray tray;
    private final SmallPictures footage;
    private final LookPictures looks;

    /** Size of the pictures in the ribbon of shots. */
    private static final Size STRIP = new Size(128, 72);

    TrayPictures(Session session, PictureService service, Tray tray, TimeView time, OwnLooks own) {
        this.session = session;
        this.tray = tray;
        this.service = service;
        this.time = time;
        footage =
                new SmallPictures(
                        service,
                        (source, image) -> {
                            tray.showPicture(source, image);
                            time.showPicture(source, image);
                        });
        looks =
                new LookPictures(
                        service,
                        () -> own.all().get().stream().map(SavedLook::look).toList(),
                        tray::showLook);
        own.all().addListener((o, a, b) -> makeLooks());
        tray.looksScrolled().addListener(o -> makeLooks());
    }

    /** Discards all thumbnails. */
    void forget() {
        time.filmstrip().forget();
        footage.forget();
        looks.forget();
    }

    void make() {
        time.filmstrip().start((source, frame) -> service.thumbnail(source, frame, STRIP)::image);
        tray.openLooks();
        footage.make(session.project().sources());
        makeLooks();
    }

    private void makeLooks() {
        if (tray.looksAreSeen()) {
            looks.make(session.project().sources());
        }
    }
}
