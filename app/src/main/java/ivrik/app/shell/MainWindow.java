package ivrik.app.shell;

import ivrik.app.band.Bands;
import ivrik.app.closeup.CloseUp;
import ivrik.app.desk.Desk;
import ivrik.app.desk.Matrix;
import ivrik.app.desk.TimeView;
import ivrik.app.pane.Footer;
import ivrik.app.picture.Fault;
import ivrik.app.picture.PictureService;
import ivrik.app.picture.Player;
import ivrik.app.session.Document;
import ivrik.app.session.Laying;
import ivrik.app.session.Session;
import ivrik.app.session.Steps;
import ivrik.app.session.View;
import ivrik.app.sheet.Command;
import ivrik.app.sheet.Sheets;
import ivrik.app.theme.Palette;
import ivrik.app.tray.Tray;
import ivrik.core.measure.Register;
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

/** The window: its parts, and what the commands do. */
public final class MainWindow {
    /** After so long without anything wanted, memory goes back. */
    private static final Duration REST = Duration.ofMinutes(3);

    private final Stage stage;
    private final Session session = new Session();
    private final Steps steps = new Steps(session);
    private final View view = new View();
    private final ObjectProperty<Palette> palette = Palette.property();
    private final Remembered remembered;
    private final Document document;
    private final Importer importer;
    private final LaneKeys laneWork = new LaneKeys(session, view);
    private final LayerWork layerWork = new LayerWork(session, view);
    private final Laying laying = new Laying(session, view);
    private final Projects projects;
    private final TimeView time;
    private final Panes panes;
    private final PanePictures pictures;
    private final TrayPictures small;
    private final Player player;
    private final Tray tray;
    private final CloseUp closeUp;
    private final Arrangement arrangement;
    private final Sheets sheets;
    private final SheetWork sheetWork;
    private final Header header;
    private final WindowName name;
    private final Welcome welcome;
    private final Works works;
    private final Exporting exporting;
    private final Arrivals arrivals;
    private final List<Command> commands;
    private final Watch watch;
    private Chooser chooser;
    private boolean closed;

    public MainWindow(Stage stage, Path dataFolder) {
        this.stage = stage;
        chooser = new DialogChooser(stage);
        remembered = new Remembered(dataFolder);
        document = new Document(session, dataFolder, Platform::runLater, view.notice::set);
        BorderPane content = new BorderPane();
        sheets = new Sheets(content);
        sheets.getStyleClass().add("window");
        importer = new Importer(session, sheets, view.notice::set);
        time = new TimeView(session, view, palette);
        panes = Panes.of(stage, session, view, palette, this::showRegister, this::showFaults);
        pictures = panes.pictures();
        player = new Player(session, view, pictures.service(), pictures::play);
        sheetWork =
                new SheetWork(
                        session, view, laying, sheets, remembered, pictures.service(), palette);
        works =
                Works.of(
                        session,
                        view,
                        laying,
                        sheets,
                        pictures,
                        dataFolder,
                        () -> chooser,
                        this::open,
                        this::take);
        steps.measureBy(works.casts()::takeOut);
        exporting = new Exporting(session, document, remembered, sheets, () -> chooser);
        arrivals = new Arrivals(this::open, works, importer);
        commands = Commands.of(this);
        header = new Header(commands, view, palette, this::export);
        name = new WindowName(stage, session, document, header);
        tray =
                new Tray(
                        session,
                        works.own().all(),
                        new TrayWork(
                                session,
                                view,
                                laying,
                                importer,
                                layerWork,
                                () -> chooser,
                                this::bringIn,
                                this::forgetSmall,
                                sheets,
                                works.looks()));
        small = new TrayPictures(session, pictures.service(), tray, time, works.own());
        welcome = new Welcome(this::bringIn, this::openDemo, this::open);
        closeUp = new CloseUp(session, view, steps, works.casts(), palette, pictures::sourceColour);
        arrangement =
                new Arrangement(
                        view,
                        remembered,
                        tray,
                        panes.frames(),
                        welcome,
                        new Footer(session, view, pictures::result, pictures::source),
                        panes.scopes(),
                        closeUp,
                        new Desk(session, view, new Matrix(session, view, steps, palette), time),
                        new Bands(
                                session,
                                view,
                                steps,
                                laying,
                                pictures.service(),
                                works.own(),
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
                        this::filesChanged);
        watch =
                new Watch(
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
        new RightMenus(commands).install(scene);
        new Drop(this::take).install(scene);
    }

    private void listen() {
        pictures.service().setBudget(remembered.get().pictureBytes());
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
        works.own()
                .read(
                        faults ->
                                tell(
                                        "Some of your looks could not be read",
                                        String.join("\n", faults)));
        document.fileProperty().addListener((o, a, b) -> name.show());
        document.safetyProperty().addListener((o, a, b) -> name.show());
        remembered.onChange(this::showRecent);
        new Appearance(view, remembered, sheets, palette).follow();
        showRecent();
        name.show();
    }

    /** The present picture is there in full: now there is time for small ones. */
    private void showRegister(Register register) {
        header.showRegister(register);
        small.make();
    }

    /** Where no picture is on its way that small ones would wait for. */
    private void makeSmallIfIdle() {
        if (session.project().isEmpty() && !document.isBusy()) {
            small.make();
        }
    }

    private void showFaults(Map<String, Fault> faults) {
        tray.showFaults(faults);
    }

    private void showRecent() {
        header.showRecent(remembered.get().recent(), p -> open(Path.of(p)));
        welcome.showRecent(remembered.get().recent());
    }

    private void forgetSmall() {
        small.forget();
    }

    /** Files are others now than when they were read. */
    private void filesChanged() {
        pictures.service().readAnew();
        pictures.askAnew();
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

    LayerWork layerWork() {
        return layerWork;
    }

    PictureService service() {
        return pictures.service();
    }

    SheetWork sheetWork() {
        return sheetWork;
    }

    void commandList() {
        sheetWork.commands(
                commands, new Offers(session, steps, laying, view, works.own(), sheets, exporting));
    }

    Steps steps() {
        return steps;
    }

    Works works() {
        return works;
    }

    LaneKeys laneWork() {
        return laneWork;
    }

    Player player() {
        return player;
    }

    Projects projects() {
        return projects;
    }

    /** Whether there is anything to be seen. */
    public boolean hasPicture() {
        return !session.project().layers().isEmpty();
    }

    /** Whether the panes show in full what was last asked for. */
    public boolean isSettled() {
        return unsettled().isEmpty();
    }

    /** What is still at work on what was last asked for, in words. */
    List<String> unsettled() {
        Map<String, Boolean> busy = new LinkedHashMap<>();
        busy.put("the project's file", document.isBusy());
        busy.put("the traces", time.isBusy());
        busy.put("the scopes", !panes.scopes().isSettled());
        busy.put("the casts", works.casts().isBusy());
        busy.put("the controls", !closeUp.isWhole());
        busy.put("the pictures", hasPicture() && !pictures.isSettled());
        return busy.keySet().stream().filter(busy::get).toList();
    }

    /** In place of the platform's dialogs. */
    void chooseWith(Chooser c) {
        chooser = c;
    }

    private void saveAsPicture(SequencedMap<String, Project> each) {
        Path file = chooser.toSave(Chooser.Saved.PICTURE, "progressives");
        if (file != null) {
            new TiledPicture(pictures.service(), view.frame.get(), this::tell).write(each, file);
        }
    }

    /** Files from a drop, a dialog or the command line: each kind goes where it belongs. */
    public void take(List<Path> files) {
        arrivals.take(files, () -> {});
    }

    void bringIn() {
        take(chooser.footage());
    }

    void openDemo() {
        open(Demo.project());
    }

    /** Opens a project, offering back work that was lost. */
    public void open(Path file) {
        projects.open(file);
    }

    /** The very first start shows a demo; later ones offer back what was lost. */
    void firstStart(Path demo) {
        if (remembered.isFirst() && Files.exists(demo)) {
            open(demo);
        }
        projects.offerUnnamed();
    }

    /** Started with files: what was lost is only mentioned. */
    void startWith(List<Path> files) {
        arrivals.take(files, projects::mentionUnnamed);
    }

    void export() {
        if (hasPicture()) {
            view.playing.set(false);
            exporting.show();
        }
    }

    void quit() {
        projects.unlessUnsaved(this::close);
    }

    /** Ends without asking. */
    public void close() {
        if (closed) {
            return;
        }
        closed = true;
        arrangement.remember();
        remembered.save();
        watch.stop();
        panes.ownWindow().close();
        player.close();
        pictures.service().close();
        document.close();
        stage.setOnCloseRequest(null);
        stage.close();
    }

    void tell(String title, String text) {
        sheets.tell(title, text);
    }
}
