package ivrik.app.shell;

import ivrik.app.session.Laying;
import ivrik.app.session.OwnLooks;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.sheet.Sheets;
import ivrik.core.colour.ColourTable;
import ivrik.core.look.Look;
import ivrik.core.treatment.Trait;
import ivrik.media.grade.GradeFile;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;

/** Lookup tables and decision lists, brought in and written. */
final class GradeWork {
    /** Points of a table along each side: as many as most programs take. */
    private static final int POINTS = 33;

    private final Session session;
    private final View view;
    private final OwnLooks own;
    private final Laying laying;
    private final Sheets sheets;
    private final Supplier<Chooser> chooser;

    /**
     * @param own has the thread that reads and writes them
     */
    GradeWork(
            Session session,
            View view,
            OwnLooks own,
            Laying laying,
            Sheets sheets,
            Supplier<Chooser> chooser) {
        this.session = session;
        this.view = view;
        this.own = own;
        this.laying = laying;
        this.sheets = sheets;
        this.chooser = chooser;
    }

    /** A table goes into the lookup table on the desk, if there is one; else each is laid over what is there. */
    void use(List<Path> files) {
        for (Path file : files) {
            if (session.state().layer().isEmpty()) {
                sheets.tell(
                        "There is nothing to grade yet",
                        "Bring in footage first; then " + file.getFileName() + " is laid on it.");
                return;
            }
            own.work(() -> GradeFile.look(file), this::use);
        }
    }

    private void use(Look look) {
        Optional<ColourTable> table = look.steps().getFirst().table();
        if (table.isPresent() && isOnTable()) {
            session.editLook(
                    "Table " + look.shownName(),
                    l -> l.withStep(session.state().stepId(), s -> s.withOwnTable(table.get())));
        } else {
            laying.lay(look, Laying.How.OVER);
        }
    }

    private boolean isOnTable() {
        return session.state()
                .step()
                .filter(s -> s.kind().description().is(Trait.TABLE))
                .isPresent();
    }

    /** Asks for one. */
    void use() {
        Path file = chooser.get().oneSource("a .cube table or a .cc decision list");
        if (file != null) {
            use(List.of(file));
        }
    }

    /** Asks where what the look on the desk does to colours at this frame goes. */
    void save() {
        Look look = session.state().look().orElseThrow();
        long frame = view.frame.get();
        Path chosen = chooser.get().toSave(Chooser.Saved.TABLE, look.name());
        if (chosen == null) {
            return;
        }
        Path file =
                GradeFile.isDecisions(chosen)
                        ? chosen
                        : Endings.with(chosen, Chooser.Saved.TABLE.ending());
        Endings.unlessTaken(
                chosen,
                file,
                sheets,
                to ->
                        own.work(
                                () -> {
                                    GradeFile.write(look, to, POINTS, frame);
                                    return to;
                                },
                                written -> view.notice.set("Saved to " + written)));
    }
}
