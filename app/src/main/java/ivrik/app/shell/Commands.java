package ivrik.app.shell;

import ivrik.app.session.Follow;
import ivrik.app.session.LaneEdits;
import ivrik.app.session.LookCopy;
import ivrik.app.session.Models;
import ivrik.app.session.Steps;
import ivrik.app.session.TakeEdits;
import ivrik.app.session.View.Band;
import ivrik.app.session.View.Face;
import ivrik.app.session.View.Show;
import ivrik.app.session.View.Surround;
import ivrik.app.sheet.Command;
import ivrik.core.look.LaneState;
import ivrik.core.look.Look;
import ivrik.core.look.LookParts.Part;
import ivrik.core.look.Step;
import ivrik.core.separation.Separation;
import ivrik.core.separation.Separations;

import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCombination;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;

/** The list of all commands, in the order of the menus. */
final class Commands extends CommandMenu {
    /** Sizes of type from one times to two times. */
    private static final double TEXT_STEPS = 8;

    static final String SCHEME = "Dark or light window (Darkroom, Proof)";

    private Commands(MainWindow window) {
        super(window, new ArrayList<>());
    }

    static List<Command> of(MainWindow window) {
        Commands commands = new Commands(window);
        commands.file();
        commands.edit();
        commands.treat();
        commands.lane();
        commands.separate();
        commands.layers();
        new TimeCommands(commands).addAll();
        commands.viewMenu();
        commands.help();
        return List.copyOf(commands.all);
    }

    private void file() {
        menu = "File";
        add("New project", key(KeyCode.N, CTRL), () -> window.projects().startNew());
        add("Open...", key(KeyCode.O, CTRL), () -> window.projects().open());
        add("Open the demo", null, window::openDemo);
        add("Kept work...", null, () -> window.projects().kept());
        add("Save", key(KeyCode.S, CTRL), () -> window.projects().save());
        add("Save as...", key(KeyCode.S, CTRL, SHIFT), () -> window.projects().saveAs());
        add("Pack with all footage...", null, window.works().packages()::pack, this::any);
        add("Bring in footage...", key(KeyCode.I, CTRL), window::bringIn);
        add("Do this look to other clips...", null, window.works().clips()::ask, this::any);
        add("Save the sound...", null, window.works().sound()::save, this::any);
        add("Save the lanes...", null, window.works().lanes()::ask, this::any);
        add("Export...", key(KeyCode.E, CTRL), window::export, this::any);
        add("Quit", key(KeyCode.Q, CTRL), window::quit);
    }

    private void edit() {
        menu = "Edit";
        goingOn(
                "undo",
                () -> "Undo" + session.undoName().map(n -> " " + n).orElse(""),
                key(KeyCode.Z, CTRL),
                session::undo,
                () -> session.undoName().isPresent());
        goingOn(
                "redo",
                () -> "Redo" + session.redoName().map(n -> " " + n).orElse(""),
                key(KeyCode.Z, CTRL, SHIFT),
                session::redo,
                () -> session.redoName().isPresent());
        add(
                "Set the lane's treatment to its defaults",
                key(KeyCode.BACK_SPACE),
                window.laneWork()::rest,
                this::any);
        add(
                "Switch the treatment on or off",
                key(KeyCode.X),
                window.laneWork()::toggleStep,
                this::any);
        clipboard();
    }

    private void clipboard() {
        ClipboardWork clipboard = window.works().clipboard();
        add(
                "Copy the frame",
                key(KeyCode.C, CTRL, KeyCombination.ALT_DOWN),
                clipboard::copyFrame,
                this::any);
        add(
                "Bring in from the clipboard",
                key(KeyCode.V, CTRL, KeyCombination.ALT_DOWN),
                clipboard::paste,
                clipboard::canPaste);
    }

    private void treat() {
        Steps steps = window.steps();
        menu = "Treat";
        add("Dials of the look", key(KeyCode.I, SHIFT), () -> face(Face.LOOK), this::any);
        add("Looks...", key(KeyCode.INSERT, SHIFT), () -> band(Band.LOOKS), this::any);
        add("Balance by a neutral...", null, () -> window.works().balance().ask(), this::any);
        add("Take out the cast", null, () -> window.works().casts().takeOut(), this::any);
        add("Use a table or decision list...", null, window.works().grades()::use, this::any);
        add("Save as a table...", null, window.works().grades()::save, this::any);
        add("Save the look...", null, window.works().looks()::save, this::any);
        add("Takes...", key(KeyCode.T, SHIFT), () -> band(Band.TAKES), this::any);
        add(
                "Keep as a take",
                key(KeyCode.T, CTRL, SHIFT),
                () -> new TakeEdits(session, view).keep(),
                this::any);
        add("Add a treatment...", key(KeyCode.INSERT), () -> band(Band.TREATMENTS), this::any);
        add(
                "Remove the treatment",
                key(KeyCode.DELETE, SHIFT),
                () -> steps.remove(session.state().stepId()),
                this::any);
        add(
                "Column to the left",
                key(KeyCode.OPEN_BRACKET, SHIFT),
                () -> steps.move(session.state().stepId(), -1),
                this::any);
        add(
                "Column to the right",
                key(KeyCode.CLOSE_BRACKET, SHIFT),
                () -> steps.move(session.state().stepId(), 1),
                this::any);
        add("Copy the lane's amounts", key(KeyCode.C, CTRL), steps::copy, this::any);
        add("Paste into the lane", key(KeyCode.V, CTRL), steps::paste, steps::canPaste);
        add("Same in all lanes", null, steps::toAll, this::any);
        add("Mirror the lane's amounts", null, steps::mirror, this::any);
        add("Oppose the other lane", null, steps::oppose, this::any);
        add("Spread from the first lane to the last", null, steps::spread, this::any);
        goingOn("Next treatment", key(KeyCode.TAB, CTRL), () -> column(1), this::any);
        goingOn("Previous treatment", key(KeyCode.TAB, CTRL, SHIFT), () -> column(-1), this::any);
    }

    private void column(int by) {
        List<Step> all = session.state().look().map(Look::steps).orElse(List.of());
        if (!all.isEmpty()) {
            int now = all.indexOf(session.state().step().orElseThrow());
            face(Face.TREATMENT);
            session.selectCell(
                    all.get(Math.floorMod(now + by, all.size())).id(), session.state().lane());
        }
    }

    private void lane() {
        menu = "Lane";
        for (int i = 0; i < 4; i++) {
            int lane = i;
            named(
                    "lane-" + i,
                    () -> "Work on " + laneTitle(lane),
                    key(KeyCode.getKeyCode(Integer.toString(i + 1))),
                    () -> session.selectLane(lane),
                    () -> lane < LaneEdits.kinds(session.state()).size());
        }
        add("Solo", key(KeyCode.O), () -> toggle("Solo", s -> s.withSolo(!s.solo())), this::any);
        add("Mute", key(KeyCode.M), () -> toggle("Mute", s -> s.withMute(!s.mute())), this::any);
        add(
                "Keep still",
                key(KeyCode.G),
                () -> toggle("Keep still", s -> s.withHold(!s.hold())),
                this::any);
        for (Follow follow : Follow.values()) {
            add("Move " + follow, null, () -> view.follow.set(follow), this::any);
        }
        add(
                "Next step of nudging: 0.1, 0.5, 1, 10",
                key(KeyCode.QUOTE),
                window.laneWork()::nextStep,
                this::any);
        add(
                "Next way of moving: alone, together, opposed",
                key(KeyCode.V),
                () ->
                        view.follow.set(
                                Follow.values()[
                                        (view.follow.get().ordinal() + 1)
                                                % Follow.values().length]),
                this::any);
    }

    private void separate() {
        menu = "Separate";
        for (Separation model : Separations.all()) {
            named(
                    "separate-" + model.id(),
                    model::title,
                    null,
                    () -> Models.change(session, view, model),
                    this::any);
        }
        add("Show how it is separated", key(KeyCode.N), () -> face(Face.SEPARATE), this::any);
        add("Show how it is rejoined", key(KeyCode.Y), () -> face(Face.REJOIN), this::any);
        add("Show the reach", key(KeyCode.R, CTRL), () -> face(Face.REACH), this::any);
        add("Show the treatment", key(KeyCode.Z), () -> face(Face.TREATMENT), this::any);
        add("All blend modes...", key(KeyCode.E), () -> band(Band.BLENDS), this::any);
        add("Progressives...", key(KeyCode.I), () -> band(Band.PROGRESSIVES), this::any);
    }

    private void layers() {
        LayerWork work = window.layerWork();
        menu = "Layer";
        add("New title", key(KeyCode.T, CTRL), () -> work.newTitle(view.frame.get()));
        add("New plain colour", null, work::newPlainColour);
        add("New span over all", key(KeyCode.N, SHIFT), work::newSpan, this::any);
        add("New span over this shot, or those picked", null, work::newSpanOverShots, this::any);
        add("New look for this shot, or those picked", null, work::newLookForShots, this::any);
        LookCopy look = window.works().copy();
        add("Copy the look", null, look::copy, this::any);
        add("Paste the look", null, look::paste, look::canPaste);
        for (Part part : Part.values()) {
            add("Paste of the look: " + part.title(), null, () -> look.paste(part), look::canPaste);
        }
        add("Show the layer", key(KeyCode.Q), () -> face(Face.LAYER), this::any);
        add("Match a lens...", null, () -> window.sheetWork().lens(), this::any);
        add("Sequence...", null, () -> window.sheetWork().sequence(), this::any);
        add("Trim the sequence to what the moves leave covered", null, work::trim, this::any);
    }

    private void face(Face face) {
        view.closeUpShown.set(true);
        view.face.set(face);
    }

    private void band(Band band) {
        view.band.set(view.band.get() == band ? Band.NONE : band);
    }

    private String laneTitle(int lane) {
        var kinds = LaneEdits.kinds(session.state());
        return lane < kinds.size() ? kinds.get(lane).title() : "lane " + (lane + 1);
    }

    private void toggle(String word, UnaryOperator<LaneState> change) {
        int lane = session.state().lane();
        session.editLook(word + " " + laneTitle(lane), l -> l.withLane(lane, change));
    }

    private void viewMenu() {
        menu = "View";
        flag("Second pane", key(KeyCode.B), view.twoPanes);
        add(
                "Split line",
                key(KeyCode.S),
                () -> view.split.set(view.split.get() < 0 ? 0.5 : -1),
                this::any);
        add(
                "Put this frame aside",
                key(KeyCode.H, SHIFT),
                window.panes().pictures()::hold,
                this::any);
        add(
                "Show the frame put aside (also while H is down)",
                null,
                () -> view.showHeld.set(!view.showHeld.get()),
                window.panes().pictures()::hasHeld);
        add(
                "Without the look (also while W is down)",
                null,
                () -> view.without.set(!view.without.get()),
                this::any);
        add("Lane in grey", key(KeyCode.A), () -> show(Show.LANE_GREY), this::any);
        add("Lane in its ink", key(KeyCode.A, SHIFT), () -> show(Show.LANE_INK), this::any);
        add("Difference", key(KeyCode.D), () -> show(Show.DIFFERENCE), this::any);
        flag("Loupe", key(KeyCode.L), view.loupe);
        flag("Scopes", key(KeyCode.L, SHIFT), view.scopes);
        flag("Handles on the picture", key(KeyCode.J), view.handles);
        add("Fit the picture", key(KeyCode.DIGIT0), () -> view.zoom.set(0));
        add("Pixel for pixel", key(KeyCode.DIGIT0, SHIFT), () -> view.zoom.set(1));
        goingOn(
                "Closer",
                key(KeyCode.EQUALS),
                () -> window.panes().first().zoomToStop(true),
                ALWAYS);
        goingOn(
                "Farther",
                key(KeyCode.MINUS),
                () -> window.panes().first().zoomToStop(false),
                ALWAYS);
        flag("Tray", key(KeyCode.T), view.trayShown);
        flag("Close-up", key(KeyCode.C), view.closeUpShown);
        flag("Only the picture", key(KeyCode.F), view.pictureOnly);
        flag("Picture in a window of its own", key(KeyCode.F, SHIFT), view.ownWindow);
        add(
                "Next surround: black, grey, white",
                key(KeyCode.U),
                () ->
                        view.surround.set(
                                Surround.values()[
                                        (view.surround.get().ordinal() + 1)
                                                % Surround.values().length]));
        flag(SCHEME, null, view.darkroom);
        add("Memory for pictures...", null, () -> window.sheetWork().memory());
        goingOn("Larger text", key(KeyCode.EQUALS, CTRL), () -> text(1), ALWAYS);
        goingOn("Smaller text", key(KeyCode.MINUS, CTRL), () -> text(-1), ALWAYS);
    }

    /** The next larger or smaller size of type. */
    private void text(int by) {
        double steps = Math.rint((view.textScale.get() - 1) * TEXT_STEPS) + by;
        view.textScale.set(1 + Math.clamp(steps, 0, TEXT_STEPS) / TEXT_STEPS);
    }

    /** Shows something in the result pane, or the result again. */
    private void show(Show what) {
        view.paneA.set(view.paneA.get() == what ? Show.RESULT : what);
    }

    private void help() {
        menu = "Help";
        add("Commands...", key(KeyCode.SPACE, CTRL), window::commandList);
        add("About Ivrik", null, () -> window.sheetWork().about());
    }
}
