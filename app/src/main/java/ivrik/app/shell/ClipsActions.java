package ivrik.app.shell;

import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.sheet.ProgressSheet;
import ivrik.app.sheet.ProgressSheet.Summary;
import ivrik.app.sheet.Sheets;
import ivrik.core.look.Look;
import ivrik.core.look.PortableLook;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Import;
import ivrik.media.encode.Batch;
import ivrik.media.encode.Batch.Item;
import ivrik.media.encode.Batch.Outcome;
import ivrik.media.encode.Batch.Report;
import ivrik.media.encode.Export;
import ivrik.media.encode.ExportFormats;
import ivrik.media.encode.OutputName;

import java.nio.file.Path;
import java.util.List;
import java.util.function.Supplier;

/** Applies the selected look to clips outside the project, each with its own output file. */
final class ClipsActions {
    private final Session session;
    private final View view;
    private final Sheets sheets;
    private final Supplier<Chooser> chooser;

    ClipsActions(Session session, View view, Sheets sheets, Supplier<Chooser> chooser) {
        this.session = session;
        this.view = view;
        this.sheets = sheets;
        this.chooser = chooser;
    }

    /** Asks for clips, target and format. */
    void ask() {
        Look look = session.state().look().orElseThrow();
        List<Path> clips = chooser.get().footage();
        if (clips.isEmpty()) {
            return;
        }
        Path out =
                chooser.get()
                        .exportTarget(
                                ExportFormats.H264,
                                OutputName.NAME
                                        + "-"
                                        + PortableLook.name(look.displayName())
                                        + ExportFormats.H264.ending());
        if (out == null) {
            return;
        }
        if (!OutputName.isTemplate(out.toString())) {
            sheets.report(
                    "File names must differ",
                    "Keep "
                            + OutputName.NAME
                            + " in the file name; it is replaced by the name of each clip.");
            return;
        }
        make(clips, out, PortableLook.of(look, look.displayName(), look.note(), look.tags()));
    }

    private void make(List<Path> clips, Path out, Look look) {
        ProgressSheet.run(
                "Applying " + look.displayName() + " to clips",
                "No clip was rendered",
                sheets,
                () ->
                        view.notice.set(
                                "Stopped. Finished clips are kept; run the command again to"
                                        + " continue"),
                sheet ->
                        said(
                                Batch.run(
                                        Batch.items(clips, out.toString()),
                                        List.of(),
                                        false,
                                        new Making(look, sheet),
                                        sheet::isStopped)));
    }

    private final class Making implements Batch.Maker {
        private final Look look;
        private final ProgressSheet sheet;

        Making(Look look, ProgressSheet sheet) {
            this.look = look;
            this.sheet = sheet;
        }

        private Project project(Item item) {
            return Import.project(Import.source(item.input(), "source"), look);
        }

        @Override
        public FrameRange frames(Item item) {
            return project(item).allFrames();
        }

        @Override
        public List<String> make(Item item) {
            Export.Order order =
                    Export.Order.of(project(item), item.out(), ExportFormats.of(item.out()));
            double frames = order.range().length();
            return Export.run(
                    order,
                    Workers.shared(),
                    done ->
                            sheet.progress(
                                    (item.number() - 1 + done / frames) / item.all(),
                                    "Clip " + item.progress()),
                    sheet::isStopped);
        }
    }

    private static Summary said(List<Report> reports) {
        long made = Batch.count(reports, Outcome.DONE);
        long left = Batch.count(reports, Outcome.LEFT);
        StringBuilder text = new StringBuilder();
        text.append(made).append(" rendered, ").append(left).append(" already finished.");
        for (Report report : reports) {
            if (report.outcome() == Outcome.FAILED) {
                text.append("\n\n")
                        .append(report.item().input().getFileName())
                        .append(": ")
                        .append(String.join("; ", report.notes()));
            }
        }
        long failed = reports.size() - made - left;
        String title =
                failed == 0
                        ? "All clips rendered"
                        : failed == 1 ? "1 clip failed" : failed + " clips failed";
        return new Summary(title, text.toString());
    }
}
