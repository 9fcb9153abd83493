package ivrik.app.shell;

import ivrik.app.band.Bands;
import ivrik.app.closeup.CloseUp;
import ivrik.app.desk.Desk;
import ivrik.app.desk.Matrix;
import ivrik.app.desk.TimeView;
import ivrik.app.pane.Footer;
import ivrik.app.pane.Handles;
import ivrik.app.pane.PaneFrame;
import ivrik.app.pane.PicturePane;
import ivrik.app.pane.ZoomMenu;
import ivrik.app.picture.Fault;
import ivrik.app.picture.PictureService;
import ivrik.app.picture.Player;
import ivrik.app.scope.ScopePanel;
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
import javafx.beans.binding.Bindings;
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

    private static final double TEXT_PX = 13;

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
    private final PicturePane paneA;
    private final PanePictures pictures;
    private final TrayPictures small;
    private final PictureWindow ownWindow;
    private final Player player;
    private final Tray tray;
    private final CloseUp closeUp;
    private final Arrangement arrangement;
    private final Sheets sheets;
    private final SheetWork sheetWork;
    private final Header header;
    private final WindowName name;
    private final Welcome welcome;
    private final ScopePanel scopes;
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
        Handles handles = new Handles(session, view);
        paneA = new PicturePane(session, view, palette, handles);
        paneA.setId("picture-a");
        PicturePane paneB = new PicturePane(session, view, palette, handles);
        PaneFrame frameA =
                new PaneFrame(
                        session,
                        view,
                        view.paneA,
                        view.takeA,
                        View.Show.TAKE,
                        paneA,
                        new ZoomMenu(view, paneA));
        PaneFrame frameB =
                new PaneFrame(session, view, view.paneB, view.takeB, View.Show.OTHER_TAKE, paneB);
        pictures =
                new PanePictures(
                        session,
                        view,
                        List.of(
                                new PanePictures.Pane(frameA::detail, paneA, view.paneA),
                                new PanePictures.Pane(frameB::detail, paneB, view.paneB)),
                        this::showRegister,
                        this::showFaults);
        ownWindow =
                new PictureWindow(
                        stage,
                        view,
                        pictures,
                        () -> new PicturePane(session, view, palette, handles));
        scopes = new ScopePanel(view, palette);
        pictures.onPainted(scopes::show);
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
                        List.of(frameA, frameB),
                        welcome,
                        new Footer(session, view, pictures::result, pictures::source),
                        scopes,
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
        new Keys(this, scene).install();
        Menus.install(scene);
        new RightMenus(commands).install(scene);
        new Drop(this::take).install(scene);
    }

    private void listen() {
        pictures.service().setBudget(remembered.get().pictureBytes());
        view.darkroom.set(remembered.get().darkroom());
        view.textScale.set(remembered.get().textScale());
        view.darkroom.addListener((o, a, b) -> scheme());
        view.textScale.addListener((o, a, b) -> scheme());
        view.pictureOnly.addListener((o, a, b) -> paneA.requestFocus());
        session.stateProperty()
                .addListener(
                        (o, was, is) -> {
                            if (was.project() != is.project()) {
                                view.notice.set("");
                            }
                            view.frame.set(Math.min(view.frame.get(), is.project().frames() - 1));
                            name.show();
                        });
        welcome.visibleProperty()
                .bind(
                        Bindings.createBooleanBinding(
                                () ->
                                        session.project().isEmpty()
                                                && !projects.openingProperty().get(),
                                session.stateProperty(),
                                projects.openingProperty()));
        works.own()
                .read(
                        faults ->
                                tell(
                                        "Some of your looks could not be read",
                                        String.join("\n", faults)));
        document.fileProperty().addListener((o, a, b) -> name.show());
        document.safetyProperty().addListener((o, a, b) -> name.show());
        remembered.onChange(this::showRecent);
        scheme();
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

    PictureService pictureService() {
        return pictures.service();
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
        busy.put("the scopes", !scopes.isSettled());
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

    private void scheme() {
        double text = view.textScale.get();
        Palette next = Palette.of(view.darkroom.get(), text);
        stage.getScene().getStylesheets().setAll(next.sheets());
        sheets.setStyle("-fx-font-size: " + TEXT_PX * text + "px");
        palette.set(next);
        remembered.change(s -> s.withDarkroom(view.darkroom.get()).withTextScale(text));
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

    /** The very first start shows the demo; later ones offer back what was lost. */
    void firstStart() {
        if (remembered.isFirst() && Files.exists(Demo.project())) {
            openDemo();
        }
        projects.offerUnnamed();
    }

    /** Started with files: what was lost is only mentioned. */
    void startWith(List<Path> files) {
        arrivals.take(files, projects::mentionUnnamed);
    }

    void export() {
        if (session.project().layers().isEmpty()) {
            return;
        }
        view.playing.set(false);
        exporting.show();
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
        ownWindow.close();
        player.close();
        pictures.service().close();
        document.close();
        stage.setOnCloseRequest(null);
        stage.close();
    }

    void holdFrame() {
        pictures.hold();
        view.notice.set("Frame " + view.frame.get() + " put aside: H shows it");
    }

    boolean hasHeld() {
        return pictures.hasHeld();
    }

    /** To the next stop of magnification, about the middle of the pane. */
    void closer(boolean closer) {
        paneA.zoomToStop(closer);
    }

    void tell(String title, String text) {
        sheets.tell(title, text);
    }
}
