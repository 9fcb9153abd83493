package ivrik.app.shell;

import ivrik.app.picture.PictureService;
import ivrik.app.session.Session;
import ivrik.app.sheet.Command;
import ivrik.app.sheet.CommandList;
import ivrik.app.sheet.MemorySheet;
import ivrik.app.sheet.SequenceSheet;
import ivrik.app.sheet.Sheets;

import java.util.List;
import java.util.stream.Stream;

/** The sheets that commands bring up. */
final class SheetWork {
    private final Session session;
    private final Sheets sheets;
    private final Remembered remembered;
    private final PictureService service;

    SheetWork(Session session, Sheets sheets, Remembered remembered, PictureService service) {
        this.session = session;
        this.sheets = sheets;
        this.remembered = remembered;
        this.service = service;
    }

    void sequence() {
        SequenceSheet sheet = new SequenceSheet(session, sheets);
        sheets.show(sheet, sheet.first());
    }

    /** Says how much of memory pictures may take, and lets it be changed. */
    void memory() {
        MemorySheet sheet =
                new MemorySheet(
                        remembered.get().pictureBytes(),
                        service.held(),
                        to -> {
                            remembered.change(p -> p.withMemoryMb(Math.round(to)));
                            service.setBudget(remembered.get().pictureBytes());
                        },
                        sheets);
        sheets.show(sheet, sheet.first());
    }

    /** All commands that can be given now, and all that is offered. */
    void commands(List<Command> all, Offers offers) {
        CommandList list =
                new CommandList(
                        Stream.concat(
                                        all.stream(),
                                        offers
                                                .all(() -> !session.project().layers().isEmpty())
                                                .stream())
                                .filter(c -> c.enabled().getAsBoolean())
                                .toList(),
                        sheets);
        sheets.show(list, list.search());
    }

    void about() {
        sheets.tell(
                "Ivrik 0.1.0",
                "Colour channels taken apart, moved, and put back together.\n\n"
                    + "Apache License 2.0. It comes with FFmpeg (LGPL) and the IBM Plex fonts (SIL"
                    + " Open Font License); NOTICE.md has the whole list.");
    }
}
