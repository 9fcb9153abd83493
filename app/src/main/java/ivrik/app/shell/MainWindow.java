package ivrik.app.shell;

import ivrik.app.controls.ControlsPanel;
import ivrik.app.desk.Desk;
import ivrik.app.desk.Matrix;
import ivrik.app.desk.TimeView;
import ivrik.app.pane.Footer;
import ivrik.app.picture.PictureService;
import ivrik.app.picture.Player;
import ivrik.app.picture.SourceFault;
import ivrik.app.session.Document;
import ivrik.app.session.LookApplication;
import ivrik.app.session.Session;
import ivrik.app.session.TreatmentEdits;
import ivrik.app.session.View;
import ivrik.app.sheet.Command;
import ivrik.app.sheet.Sheets;
import ivrik.app.theme.Palette;
import ivrik.app.tiles.TileSheets;
import ivrik.app.tray.Tray;
import ivrik.core.measure.Misregistration;
import ivrik.core.project.Project;

import javafx.application.Platform;
import javafx.beans.property.ObjectProperty;
import javafx.scene.Scene;
import javafx.scene.layout.BorderPane;
import javafx.stage.Stage;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SequencedMap;

/** The window: its parts, and the effects of commands. */
public final class MainWindow {
    /** Idle time after which memory is released. */
    private static final Duration REST = Duration.ofMinutes(3);

    private final Stage stage;
    private final Session session = new Session();
    private final TreatmentEdits steps = new TreatmentEdits(session);
    private final View view = new View();
    private final ObjectProperty<Palette> palette = Palette.property();
    private final SavedPreferences remembered;
    private final Document document;
    private final Importer importer;
    private final ChannelKeys channelKeys = new ChannelKeys(session, view);
    private final LayerActions layerActions = new LayerActions(session, view);
    private final LookApplication laying = new LookApplication(session, view);
    private final Projects projects;
    private final TimeView time;
    private final Panes panes;
    private final PanePictures pictures;
    private final TrayPictures small;
    private final Player player;
    private final Tray tray;
    private final ControlsPanel controls;
    private final Arrangement arrangement;
    private final Sheets sheets;
    private final SheetActions sheetActions;
    private final Header header;
    private final WindowTitle name;
    private final Welcome welcome;
    private final ProjectActions actions;
    private final Exporting exporting;
    private final IncomingFiles arrivals;
    private final List<Command> commands;
    private final PeriodicChecks watch;
    private Chooser chooser;
    private boolean closed;

    public MainWindow(Stage stage, Path dataFolder) {
        this.stage = stage;
        remembered = new SavedPreferences(dataFolder);
        chooser = new DialogChooser(stage, remembered);
        document = new Document(session, dataFolder, Platform::runLater, view.notice::set);
        BorderPane content = new BorderPane();
        sheets = new Sheets(content);
        sheets.getStyleClass().add("window");
        importer = new Importer(session, sheets, view.notice::set);
        time = new TimeView(session, view, palette);
        panes = Panes.of(stage, session, view, palette, this::showRegister, this::showFaults);
        pictures = panes.pictures();
        player = new Player(session, view, pictures.service(), pictures::play);
        sheetActions =
                new SheetActions(
                        session, view, laying, sheets, remembered, pictures.service(), palette);
        actions =
                ProjectActions.of(
                        session,
                        view,
                        laying,
                        sheets,
                        pictures,
                        dataFolder,
                        () -> chooser,
                        this::open,
                        this::take);
        steps.measureBy(actions.colourCasts()::correct);
        exporting = new Exporting(session, view, document, remembered, sheets, () -> chooser);
        arrivals = new IncomingFiles(this::open, actions, importer);
        commands = Commands.of(this);
        header = new Header(commands, view, palette, this::export);
        name = new WindowTitle(stage, session, document, header);
        tray =
                new Tray(
                        session,
                        actions.own().all(),
                        new TrayActions(
                                session,
                                view,
                                laying,
                                importer,
                                layerActions,
                                () -> chooser,
                                this::importFootage,
                                this::forgetSmall,
                                sheets,
                                actions.looks()));
        small = new TrayPictures(session, pictures.service(), tray, time, actions.own());
        welcome = new Welcome(this::importFootage, this::openDemo, this::open);
        controls =
                new ControlsPanel(
                        session,
                        view,
                        steps,
                        actions.colourCasts(),
                        palette,
                        pictures::sourceColour);
        arrangement =
                new Arrangement(
                        view,
                        remembered,
                        tray,
                        panes.frames(),
                        welcome,
                        new Footer(session, view, pictures::result, pictures::source),
                        panes.scopes(),
                        controls,
                        new Desk(session, view, new Matrix(session, view, steps, palette), time),
                        new TileSheets(
                                session,
                                view,
                                steps,
                                laying,
                                pictures.service(),
                                actions.own(),
                                this::saveAsPicture));
        content.setCenter(arrangement);
        content.setTop(header);
        projects =
                new Projects(
                        session,
                        view,
                        document,
                        sheets,
                        remembered,
                        () -> chooser,
                        this::projectChanged);
        watch =
                new PeriodicChecks(
                        session,
                        view,
                        pictures.service(),
                        time,
                        this::filesChanged,
                        this::isSettled,
                        new Idle(REST, System::nanoTime));
        fillStage();
        listen();
    }

    private void fillStage() {
        Scene scene = new Scene(sheets, 1280, 800);
        stage.setScene(scene);
        stage.setMinWidth(900);
        stage.setMinHeight(600);
        stage.setOnShown(e -> Platform.runLater(this::makeSmallIfIdle));
        stage.setOnCloseRequest(
                e -> {
                    e.consume();
                    quit();
                });
        new Keys(this, scene, commands).install();
        Menus.install(scene);
        new ContextMenus(commands).install(scene);
        new Drop(this::take).install(scene);
    }

    private void listen() {
        pictures.service().setBudget(remembered.get().pictureBytes());
        view.deviceScale.bind(stage.outputScaleXProperty());
        view.pictureOnly.addListener((o, a, b) -> panes.first().requestFocus());
        session.stateProperty()
                .addListener(
                        (o, was, is) -> {
                            if (was.project() != is.project()) {
                                view.notice.set("");
                            }
                            view.frame.set(Math.min(view.frame.get(), is.project().frames() - 1));
                            name.show();
                        });
        welcome.showWhileEmpty(session, projects.openingProperty());
        actions.own()
                .read(
                        faults ->
                                report(
                                        "Some of your looks could not be loaded",
                                        String.join("\n", faults)));
        document.fileProperty().addListener((o, a, b) -> name.show());
        document.safetyProperty().addListener((o, a, b) -> name.show());
        remembered.onChange(this::showRecent);
        new Appearance(view, remembered, sheets, palette).follow();
        showRecent();
        name.show();
    }

    /** Shows the misregistration of the finished picture and starts thumbnails. */
    private void showRegister(Misregistration register) {
        header.showRegister(register);
        small.make();
    }

    /** Renders thumbnails if no picture is being rendered. */
    private void makeSmallIfIdle() {
        if (session.project().isEmpty() && !document.isBusy()) {
            small.make();
        }
    }

    private void showFaults(Map<String, SourceFault> faults) {
        tray.showFaults(faults);
    }

    private void showRecent() {
        header.showRecent(remembered.get().recent(), p -> open(Path.of(p)));
        welcome.showRecent(remembered.get().recent());
    }

    private void forgetSmall() {
        small.forget();
    }

    /** Reacts to another project in the window. */
    private void projectChanged() {
        exporting.forget();
        pictures.forgetSnapshot();
        controls.scrollToTop();
        filesChanged();
    }

    /** Reacts to files that changed on disk. */
    private void filesChanged() {
        pictures.service().reread();
        pictures.askAgain();
        small.forget();
    }

    Session session() {
        return session;
    }

    View view() {
        return view;
    }

    Panes panes() {
        return panes;
    }

    TimeView time() {
        return time;
    }

    Sheets sheets() {
        return sheets;
    }

    LayerActions layerActions() {
        return layerActions;
    }

    PictureService service() {
        return pictures.service();
    }

    SheetActions sheetActions() {
        return sheetActions;
    }

    void commandList() {
        sheetActions.commands(
                commands,
                new SearchEntries(session, steps, laying, view, actions.own(), sheets, exporting));
    }

    TreatmentEdits steps() {
        return steps;
    }

    ProjectActions actions() {
        return actions;
    }

    ChannelKeys channelKeys() {
        return channelKeys;
    }

    Player player() {
        return player;
    }

    Projects projects() {
        return projects;
    }

    /** Whether there is a picture. */
    public boolean hasPicture() {
        return !session.project().layers().isEmpty();
    }

    /** Whether the panes show the final result of the latest request. */
    public boolean isSettled() {
        return unsettled().isEmpty();
    }

    /** What is still working on the latest request, as text. */
    List<String> unsettled() {
        Map<String, Boolean> busy = new LinkedHashMap<>();
        busy.put("the project's file", document.isBusy());
        busy.put("the graphs", time.isBusy());
        busy.put("the scopes", !panes.scopes().isSettled());
        busy.put("the colour casts", actions.colourCasts().isBusy());
        busy.put("the controls", !controls.isWhole());
        busy.put("the pictures", hasPicture() && !pictures.isSettled());
        return busy.keySet().stream().filter(busy::get).toList();
    }

    /** Replaces the file dialogs. */
    void chooseWith(Chooser c) {
        chooser = c;
    }

    private void saveAsPicture(SequencedMap<String, Project> each) {
        Path file = chooser.toSave(Chooser.Saved.PICTURE, "channel-combinations");
        if (file != null) {
            new TiledPicture(pictures.service(), view.frame.get(), this::report).write(each, file);
        }
    }

    /** Handles files from a drop, a dialog or the command line. */
    public void take(List<Path> files) {
        arrivals.take(files, () -> {});
    }

    void importFootage() {
        take(chooser.footage());
    }

    void openDemo() {
        open(Demo.project());
    }

    /** Opens a project and offers recoverable work. */
    public void open(Path file) {
        projects.open(file);
    }

    /** Shows the demo on the first start; offers recoverable work on later ones. */
    void firstStart(Path demo) {
        if (remembered.isFirst() && Files.exists(demo)) {
            open(demo);
        }
        projects.offerUnnamed();
    }

    /** Gives the window its last size and place, fitted to the screens that are there. */
    void restorePlace() {
        WindowPlace.restore(stage, remembered);
    }

    /** Starts with files; recoverable work is only mentioned. */
    void startWith(List<Path> files) {
        arrivals.take(files, projects::mentionUnnamed);
    }

    void export() {
        exporting.show();
    }

    Exporting exporting() {
        return exporting;
    }

    void quit() {
        projects.unlessUnsaved(this::close);
    }

    /** Closes without asking. */
    public void close() {
        if (closed) {
            return;
        }
        closed = true;
        arrangement.remember();
        WindowPlace.remember(stage, remembered);
        remembered.save();
        watch.stop();
        panes.ownWindow().close();
        player.close();
        pictures.service().close();
        document.close();
        stage.setOnCloseRequest(null);
        stage.close();
    }

    void report(String title, String text) {
        sheets.report(title, text);
    }
}
