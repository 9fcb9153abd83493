package ivrik.app.shell;

import ivrik.app.session.LookApplication;
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

/** Imports and exports lookup tables and decision lists. */
final class GradeActions {
    /** Points per side of an exported table, which most programs support. */
    private static final int POINTS = 33;

    private final Session session;
    private final View view;
    private final OwnLooks own;
    private final LookApplication laying;
    private final Sheets sheets;
    private final Supplier<Chooser> chooser;

    /**
     * @param own provides the file thread
     */
    GradeActions(
            Session session,
            View view,
            OwnLooks own,
            LookApplication laying,
            Sheets sheets,
            Supplier<Chooser> chooser) {
        this.session = session;
        this.view = view;
        this.own = own;
        this.laying = laying;
        this.sheets = sheets;
        this.chooser = chooser;
    }

    /**
     * Loads a table into the selected lookup table treatment, if there is one; otherwise applies each file as
     * a look on top.
     */
    void use(List<Path> files) {
        for (Path file : files) {
            if (session.state().layer().isEmpty()) {
                sheets.report(
                        "Nothing to grade yet",
                        "Import footage first, then import " + file.getFileName() + " again.");
                return;
            }
            own.work(() -> GradeFile.look(file), this::use);
        }
    }

    private void use(Look look) {
        Optional<ColourTable> table = look.steps().getFirst().table();
        if (table.isPresent() && isOnTable()) {
            session.editLook(
                    "Lookup table " + look.displayName(),
                    l -> l.withStep(session.state().stepId(), s -> s.withOwnTable(table.get())));
        } else {
            laying.apply(look, LookApplication.How.OVER);
        }
    }

    private boolean isOnTable() {
        return session.state()
                .step()
                .filter(s -> s.kind().description().is(Trait.TABLE))
                .isPresent();
    }

    /** Asks for a file. */
    void use() {
        Path file = chooser.get().oneSource("a .cube table or a .cc decision list");
        if (file != null) {
            use(List.of(file));
        }
    }

    /** Asks for a target for the effect of the selected look on colours at this frame. */
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
                        : FileExtensions.with(chosen, Chooser.Saved.TABLE.ending());
        FileExtensions.save(
                chosen, file, sheets, own, view, to -> GradeFile.write(look, to, POINTS, frame));
    }
}
