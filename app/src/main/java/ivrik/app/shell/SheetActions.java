package ivrik.app.shell;

import ivrik.app.picture.PictureService;
import ivrik.app.session.LookApplication;
import ivrik.app.session.Plans;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.sheet.Command;
import ivrik.app.sheet.CommandList;
import ivrik.app.sheet.LensSheet;
import ivrik.app.sheet.MemorySheet;
import ivrik.app.sheet.SequenceSheet;
import ivrik.app.sheet.Sheets;
import ivrik.app.theme.Palette;
import ivrik.core.Version;
import ivrik.core.project.Layer;
import ivrik.core.project.Source;

import javafx.beans.property.ObjectProperty;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** Commands that open sheets. */
final class SheetActions {
    private final Session session;
    private final View view;
    private final LookApplication laying;
    private final Sheets sheets;
    private final SavedPreferences remembered;
    private final PictureService service;
    private final ObjectProperty<Palette> palette;

    SheetActions(
            Session session,
            View view,
            LookApplication laying,
            Sheets sheets,
            SavedPreferences remembered,
            PictureService service,
            ObjectProperty<Palette> palette) {
        this.session = session;
        this.view = view;
        this.laying = laying;
        this.palette = palette;
        this.sheets = sheets;
        this.remembered = remembered;
        this.service = service;
    }

    void sequence() {
        SequenceSheet sheet = new SequenceSheet(session, sheets);
        sheets.show(sheet, sheet.first());
    }

    /** Measures the lens of the selected layer's picture at the present frame. */
    void lens() {
        Layer layer = session.state().layer().orElseThrow();
        long frame = view.frame.get();
        Plans plans = session.plans();
        String name =
                layer.clipAt(frame)
                        .flatMap(c -> session.project().source(c.source()))
                        .map(Source::name)
                        .orElse(layer.name());
        LensSheet sheet =
                new LensSheet(
                        name + ", frame " + frame,
                        cancel ->
                                plans.of(frame, cancel).layers().stream()
                                        .filter(l -> l.id().equals(layer.id()))
                                        .flatMap(l -> l.picture().stream())
                                        .findFirst()
                                        .map(service::original),
                        targets(layer, frame),
                        (look, on, how) -> {
                            session.selectLayer(on.layer().id());
                            laying.apply(look, how, on.shots());
                        },
                        palette,
                        sheets);
        sheets.show(sheet, sheet.first());
        sheets.onClosed(sheet::forget);
    }

    /** The measured shot, its layer, and all other layers. */
    private List<LensSheet.Target> targets(Layer measured, long frame) {
        List<LensSheet.Target> targets = new ArrayList<>();
        if (measured.clips().size() > 1) {
            measured.clipAt(frame)
                    .ifPresent(
                            shot ->
                                    targets.add(
                                            new LensSheet.Target(
                                                    measured.name() + ", this shot",
                                                    measured,
                                                    List.of(shot.id()))));
            targets.add(new LensSheet.Target(measured.name() + ", all shots", measured, List.of()));
        } else {
            targets.add(new LensSheet.Target(measured.name(), measured, List.of()));
        }
        session.project().layers().stream()
                .filter(l -> !l.id().equals(measured.id()))
                .forEach(l -> targets.add(new LensSheet.Target(l.name(), l, List.of())));
        return targets;
    }

    /** Shows and changes the memory limit for pictures. */
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

    /** Shows the available commands and search entries. */
    void commands(List<Command> all, SearchEntries offers) {
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
        sheets.report(
                Version.NAME,
                "Separates colour channels, treats each, and rejoins them.\n\n"
                        + "Apache License 2.0. FFmpeg (LGPL) and the IBM Plex fonts (SIL Open Font"
                        + " License) are included. NOTICE.md lists all components.");
    }
}
