package ivrik.app.shell;

import ivrik.app.session.LookCopy;
import ivrik.app.session.View.Face;
import ivrik.app.session.View.Show;
import ivrik.app.session.View.Surround;
import ivrik.app.sheet.Command;
import ivrik.core.look.LookParts.Part;

import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCombination;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** All commands, in menu order. */
final class Commands extends CommandMenu {
    /** Steps of the text size from 1 to 2. */
    private static final double TEXT_STEPS = 8;

    private Commands(MainWindow window) {
        super(window, new ArrayList<>());
    }

    static List<Command> of(MainWindow window) {
        Commands commands = new Commands(window);
        commands.file();
        commands.edit();
        new LookCommands(commands).addAll();
        commands.layers();
        new TimeCommands(commands).addAll();
        commands.viewMenu();
        commands.help();
        return List.copyOf(commands.all);
    }

    private void file() {
        menu = "File";
        add("new-project", "New project", key(KeyCode.N, CTRL), () -> window.projects().startNew());
        add("open", "Open...", key(KeyCode.O, CTRL), () -> window.projects().open());
        add("open-demo", "Open demo", null, window::openDemo);
        add(
                "recovered-work",
                "Recovered work...",
                null,
                () -> window.projects().showRecoveredWork());
        add("save", "Save", key(KeyCode.S, CTRL), () -> window.projects().save());
        add("save-as", "Save as...", key(KeyCode.S, CTRL, SHIFT), () -> window.projects().saveAs());
        add(
                "package-project",
                "Package project...",
                null,
                window.actions().packages()::pack,
                this::any);
        add("import", "Import...", key(KeyCode.I, CTRL), window::importFootage);
        add(
                "apply-look-to-clips",
                "Apply look to clips...",
                null,
                window.actions().clips()::ask,
                this::any);
        add("export-sound", "Export sound...", null, window.actions().sound()::save, this::any);
        add(
                "export-channels",
                "Export channels...",
                null,
                window.actions().channels()::ask,
                this::any);
        add(
                "save-frame",
                "Save this frame...",
                key(KeyCode.E, CTRL, SHIFT),
                window.exporting()::showFrame,
                this::any);
        add("export", "Export...", key(KeyCode.E, CTRL), window::export, this::any);
        add("quit", "Quit", key(KeyCode.Q, CTRL), window::quit);
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
                "reset-treatment",
                "Reset treatment in this channel",
                key(KeyCode.BACK_SPACE),
                window.channelKeys()::rest,
                this::any);
        add(
                "toggle-treatment",
                "Turn treatment on or off",
                key(KeyCode.X),
                window.channelKeys()::toggleStep,
                this::any);
        clipboard();
    }

    private void clipboard() {
        ClipboardActions clipboard = window.actions().clipboard();
        add(
                "copy-frame-as-image",
                "Copy frame as image",
                key(KeyCode.C, CTRL, KeyCombination.ALT_DOWN),
                clipboard::copyFrame,
                this::any);
        add(
                "import-from-clipboard",
                "Import from clipboard",
                key(KeyCode.V, CTRL, KeyCombination.ALT_DOWN),
                clipboard::paste,
                clipboard::canPaste);
    }

    private void layers() {
        LayerActions work = window.layerActions();
        menu = "Layer";
        add("add-title", "Add title", key(KeyCode.T, CTRL), () -> work.newTitle(view.frame.get()));
        add("add-solid-colour", "Add solid colour", null, work::newPlainColour);
        add(
                "add-span-over-whole-sequence",
                "Add span over whole sequence",
                key(KeyCode.N, SHIFT),
                work::newSpan,
                this::any);
        add(
                "add-span-over-selected-shots",
                "Add span over selected shots",
                null,
                work::newSpanOverShots,
                this::any);
        add(
                "add-look-for-selected-shots",
                "Add look for selected shots",
                null,
                work::newLookForShots,
                this::any);
        LookCopy look = window.actions().copy();
        add("copy-look", "Copy look", null, look::copy, this::any);
        add("paste-look", "Paste look", null, look::paste, look::canPaste);
        for (Part part : Part.values()) {
            add(
                    "paste-look-" + part.name().toLowerCase(Locale.ROOT),
                    "Paste from look: " + part.title(),
                    null,
                    () -> look.paste(part),
                    look::canPaste);
        }
        add("show-layer", "Show layer", key(KeyCode.Q), () -> face(Face.LAYER), this::any);
        add("match-lens", "Match lens...", null, () -> window.sheetActions().lens(), this::any);
        add(
                "sequence-settings",
                "Sequence settings...",
                null,
                () -> window.sheetActions().sequence(),
                this::any);
        add("crop-sequence", "Crop sequence to covered area", null, work::trim, this::any);
    }

    private void viewMenu() {
        menu = "View";
        flag("second-pane", "Second pane", key(KeyCode.B), view.twoPanes);
        add(
                "split-line",
                "Split line",
                key(KeyCode.S),
                () -> view.split.set(view.split.get() < 0 ? 0.5 : -1),
                this::any);
        add(
                "take-snapshot",
                "Take snapshot",
                key(KeyCode.H, SHIFT),
                window.panes().pictures()::takeSnapshot,
                this::any);
        add(
                "show-snapshot",
                "Show snapshot (or hold H)",
                null,
                () -> view.showSnapshot.set(!view.showSnapshot.get()),
                window.panes().pictures()::hasSnapshot);
        add(
                "bypass-looks",
                "Bypass looks (or hold W)",
                null,
                () -> view.bypass.set(!view.bypass.get()),
                this::any);
        add(
                "channel-in-grey",
                "Channel in grey",
                key(KeyCode.A),
                () -> show(Show.CHANNEL_GREY),
                this::any);
        add(
                "channel-in-ink-colour",
                "Channel in ink colour",
                key(KeyCode.A, SHIFT),
                () -> show(Show.CHANNEL_INK),
                this::any);
        add(
                "difference-from-source",
                "Difference from source",
                key(KeyCode.D),
                () -> show(Show.DIFFERENCE),
                this::any);
        flag("loupe", "Loupe", key(KeyCode.L), view.loupe);
        flag("scopes", "Scopes", key(KeyCode.L, SHIFT), view.scopes);
        flag("handles-on-picture", "Handles on picture", key(KeyCode.J), view.handles);
        add("fit-in-pane", "Fit in pane", key(KeyCode.DIGIT0), () -> view.zoom.set(0));
        add(
                "actual-size",
                "Actual size (100 %)",
                key(KeyCode.DIGIT0, SHIFT),
                () -> view.zoom.set(1));
        goingOn(
                "zoom-in",
                "Zoom in",
                key(KeyCode.EQUALS),
                () -> window.panes().first().zoomToStop(true),
                ALWAYS);
        goingOn(
                "zoom-out",
                "Zoom out",
                key(KeyCode.MINUS),
                () -> window.panes().first().zoomToStop(false),
                ALWAYS);
        flag("tray", "Tray", key(KeyCode.T), view.trayShown);
        flag("controls", "Controls", key(KeyCode.C), view.controlsShown);
        flag("picture-only", "Picture only", key(KeyCode.F), view.pictureOnly);
        flag(
                "picture-in-separate-window",
                "Picture in separate window",
                key(KeyCode.F, SHIFT),
                view.ownWindow);
        add(
                "next-surround",
                "Next surround (black, grey, white)",
                key(KeyCode.U),
                () ->
                        view.surround.set(
                                Surround.values()[
                                        (view.surround.get().ordinal() + 1)
                                                % Surround.values().length]));
        flag("colour-scheme", "Switch colour scheme (Darkroom, Proof)", null, view.darkroom);
        add(
                "frame-cache-memory",
                "Frame cache memory...",
                null,
                () -> window.sheetActions().memory());
        goingOn("larger-text", "Larger text", key(KeyCode.EQUALS, CTRL), () -> text(1), ALWAYS);
        goingOn("smaller-text", "Smaller text", key(KeyCode.MINUS, CTRL), () -> text(-1), ALWAYS);
    }

    /** Selects the next larger or smaller text size. */
    private void text(int by) {
        double steps = Math.rint((view.textScale.get() - 1) * TEXT_STEPS) + by;
        view.textScale.set(1 + Math.clamp(steps, 0, TEXT_STEPS) / TEXT_STEPS);
    }

    /** Toggles the content of the result pane. */
    private void show(Show what) {
        view.paneA.set(view.paneA.get() == what ? Show.RESULT : what);
    }

    private void help() {
        menu = "Help";
        add("find-command", "Find command...", key(KeyCode.SPACE, CTRL), window::commandList);
        add("keys", "Keys...", null, () -> window.actions().keys().show(all));
        add("about-ivrik", "About Ivrik", null, () -> window.sheetActions().about());
    }
}
