package ivrik.app.shell;

import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.sheet.Sheets;
import ivrik.app.sheet.WorkSheet;
import ivrik.app.sheet.WorkSheet.Said;
import ivrik.core.look.KeptLook;
import ivrik.core.look.Look;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Import;
import ivrik.media.encode.Batch;
import ivrik.media.encode.Batch.Item;
import ivrik.media.encode.Batch.Outcome;
import ivrik.media.encode.Batch.Report;
import ivrik.media.encode.Export;
import ivrik.media.encode.Forms;
import ivrik.media.encode.OutputName;

import java.nio.file.Path;
import java.util.List;
import java.util.function.Supplier;

/** The look on the desk done to clips that are not in the project, each to a file of its own. */
final class ClipsWork {
    private final Session session;
    private final View view;
    private final Sheets sheets;
    private final Supplier<Chooser> chooser;

    ClipsWork(Session session, View view, Sheets sheets, Supplier<Chooser> chooser) {
        this.session = session;
        this.view = view;
        this.sheets = sheets;
        this.chooser = chooser;
    }

    /** Asks which clips, and where and in which form they go. */
    void ask() {
        Look look = session.state().look().orElseThrow();
        List<Path> clips = chooser.get().footage();
        if (clips.isEmpty()) {
            return;
        }
        Path out =
                chooser.get()
                        .exportTarget(
                                Forms.H264,
                                OutputName.NAME
                                        + "-"
                                        + KeptLook.name(look.shownName())
                                        + Forms.H264.ending());
        if (out == null) {
            return;
        }
        if (!OutputName.isTemplate(out.toString())) {
            sheets.tell(
                    "Each clip needs a name of its own",
                    "Leave "
                            + OutputName.NAME
                            + " in the name: the name of each clip comes in its place.");
            return;
        }
        make(clips, out, KeptLook.of(look, look.shownName(), look.note(), look.tags()));
    }

    private void make(List<Path> clips, Path out, Look look) {
        WorkSheet.run(
                look.shownName() + ", done to clips",
                "Nothing was made",
                sheets,
                () -> view.notice.set("Stopped: clips that are made stay; asked again, it goes on"),
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
        private final WorkSheet sheet;

        Making(Look look, WorkSheet sheet) {
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
            Export.Order order = Export.Order.of(project(item), item.out(), Forms.of(item.out()));
            double frames = order.range().length();
            return Export.run(
                    order,
                    Workers.shared(),
                    done ->
                            sheet.progress(
                                    (item.number() - 1 + done / frames) / item.all(),
                                    "Clip " + item.words()),
                    sheet::isStopped);
        }
    }

    private static Said said(List<Report> reports) {
        long made = Batch.count(reports, Outcome.DONE);
        long left = Batch.count(reports, Outcome.LEFT);
        StringBuilder text = new StringBuilder();
        text.append(made).append(" made, ").append(left).append(" were finished before.");
        for (Report report : reports) {
            if (report.outcome() == Outcome.FAILED) {
                text.append("\n\n")
                        .append(report.item().input().getFileName())
                        .append(": ")
                        .append(String.join("; ", report.words()));
            }
        }
        long failed = reports.size() - made - left;
        return new Said(
                failed == 0 ? "All clips are made" : failed + " of the clips could not be made",
                text.toString());
    }
}
