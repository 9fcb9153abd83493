package ivrik.app.shell;

import ivrik.app.closeup.CloseUp;
import ivrik.app.desk.Desk;
import ivrik.app.desk.Matrix;
import ivrik.app.desk.TimeView;
import ivrik.app.pane.Footer;
import ivrik.app.pane.PaneFrame;
import ivrik.app.pane.PicturePane;
import ivrik.app.pane.ShiftHandles;
import ivrik.app.picture.Player;
import ivrik.app.session.Document;
import ivrik.app.session.Lanes;
import ivrik.app.session.Session;
import ivrik.app.session.Settings;
import ivrik.app.session.View;
import ivrik.app.session.WhyNothing;
import ivrik.app.sheet.CommandList;
import ivrik.app.sheet.ExportSheet;
import ivrik.app.sheet.Sheets;
import ivrik.app.theme.Palette;
import ivrik.app.tray.Tray;
import ivrik.core.IvrikException;
import ivrik.core.look.Amounts;
import ivrik.core.look.Look;
import ivrik.core.picture.CancelledException;
import ivrik.core.picture.Size;
import ivrik.core.project.Project;
import ivrik.core.project.Source;
import ivrik.core.render.Planner;
import ivrik.media.encode.Form;
import ivrik.media.file.ProjectFile;

import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.application.Platform;
import javafx.beans.property.ObjectProperty;
import javafx.geometry.Orientation;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.control.SplitPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.StackPane;
import javafx.stage.Stage;
import javafx.util.Duration;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** The window: its parts, and what the commands do. */
public final class MainWindow {
    private static final Logger LOG = LoggerFactory.getLogger(MainWindow.class);
    private static final long MOST_CACHE_TICKS = 3000;

    private final Stage stage;
    private final Path dataFolder;
    private final Session session = new Session();
    private final View view = new View();
    private final ObjectProperty<Palette> palette = Palette.property();
    private final Document document;
    private final Importer importer;
    private Chooser chooser;
    private Settings settings;
    private final TimeView time;
    private final PicturePane paneA;
    private final PaneFrame frameA;
    private final PaneFrame frameB;
    private final Pictures pictures;
    private final Player player;
    private final Tray tray;
    private final CloseUp closeUp;
    private final SplitPane panes = new SplitPane();
    private final SplitPane upper = new SplitPane();
    private final SplitPane whole = new SplitPane();
    private final Desk desk;
    private final Sheets sheets;
    private final Header header;
    private final Welcome welcome;
    private final List<Command> commands;
    private final Timeline watch;
    private final Set<String> pictured = new HashSet<>();

    public MainWindow(Stage stage, Path dataFolder) {
        this.stage = stage;
        this.dataFolder = dataFolder;
        this.chooser = new DialogChooser(stage);
        this.settings = Settings.load(dataFolder);
        document = new Document(session, dataFolder, view.notice::set);
        importer = new Importer(session, document, this::tell);
        time = new TimeView(session, view, palette);
        ShiftHandles handles = new ShiftHandles(session, view);
        paneA = new PicturePane(session, view, palette, handles);
        PicturePane paneB = new PicturePane(session, view, palette, handles);
        Label zoom = new Label();
        zoom.getStyleClass().addAll("number", "quiet");
        frameA = new PaneFrame(view, view.paneA, paneA, zoom);
        frameB = new PaneFrame(view, view.paneB, paneB);
        pictures =
                new Pictures(
                        session,
                        view,
                        List.of(
                                new Pictures.Pane(frameA, paneA, view.paneA),
                                new Pictures.Pane(frameB, paneB, view.paneB)),
                        r -> headerShow(r),
                        faults -> trayMissing(faults.keySet()));
        pictures.service().useFolder(document.folder());
        player = new Player(session, view, pictures.service(), pictures::play);
        commands = Commands.of(this);
        header = new Header(commands, view, palette, this::export);
        tray = new Tray(session, trayActions());
        closeUp = new CloseUp(session, view, palette);
        desk = new Desk(session, view, new Matrix(session, view, palette), time, transport());
        Footer footer = new Footer(session, view, pictures::result, pictures::source);
        welcome = new Welcome(this::bringIn, this::openDemo, this::open);
        BorderPane middle = new BorderPane(new StackPane(panes, welcome));
        middle.setBottom(footer);
        upper.getItems().setAll(tray, middle, closeUp);
        SplitPane.setResizableWithParent(tray, false);
        SplitPane.setResizableWithParent(closeUp, false);
        whole.setOrientation(Orientation.VERTICAL);
        whole.getItems().setAll(upper, desk);
        SplitPane.setResizableWithParent(desk, false);
        panes.getItems().setAll(frameA);
        BorderPane content = new BorderPane(whole);
        content.setTop(header);
        sheets = new Sheets(content);
        sheets.getStyleClass().add("window");
        Scene scene = new Scene(sheets, 1280, 800);
        stage.setScene(scene);
        stage.setTitle("Ivrik");
        stage.setMinWidth(900);
        stage.setMinHeight(600);
        stage.setOnCloseRequest(
                e -> {
                    e.consume();
                    quit();
                });
        new Keys(this, scene).install();
        installDrop(scene);
        Runnable showZoom = () -> zoom.setText(Math.round(100 * paneA.zoom()) + " %");
        view.zoom.addListener((o, a, b) -> showZoom.run());
        paneA.widthProperty().addListener((o, a, b) -> Platform.runLater(showZoom));
        paneA.heightProperty().addListener((o, a, b) -> Platform.runLater(showZoom));
        view.twoPanes.addListener((o, a, b) -> fold());
        view.trayShown.addListener((o, a, b) -> fold());
        view.closeUpShown.addListener((o, a, b) -> fold());
        view.pictureOnly.addListener((o, a, b) -> fold());
        view.darkroom.set(settings.darkroom());
        view.darkroom.addListener((o, a, b) -> scheme());
        scheme();
        session.stateProperty()
                .addListener(
                        (o, was, is) -> {
                            WhyNothing.of(was.project(), is, view.frame.get())
                                    .filter(w -> was.project() != is.project())
                                    .ifPresentOrElse(view.notice::set, () -> view.notice.set(""));
                            view.frame.set(Math.min(view.frame.get(), is.project().frames() - 1));
                            showName();
                            makePictures();
                            welcome();
                        });
        document.fileProperty().addListener((o, a, b) -> showName());
        watch = new Timeline(new KeyFrame(Duration.millis(400), e -> tick()));
        watch.setCycleCount(Timeline.INDEFINITE);
        watch.play();
        header.showRecent(settings.recent(), p -> open(Path.of(p)));
        showName();
        Platform.runLater(this::setShares);
        welcome();
    }

    private void headerShow(ivrik.core.render.Register register) {
        header.showRegister(register);
    }

    private void trayMissing(Set<String> ids) {
        tray.showMissing(ids);
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

    Document document() {
        return document;
    }

    Sheets sheets() {
        return sheets;
    }

    Stage stage() {
        return stage;
    }

    Player player() {
        return player;
    }

    /** Whether the panes show in full what was last asked for. */
    public boolean isSettled() {
        return session.project().layers().isEmpty() || pictures.isSettled();
    }

    /** In place of the platform's dialogs. */
    void chooseWith(Chooser c) {
        chooser = c;
    }

    private void setShares() {
        upper.setDividerPositions(settings.trayShare(), settings.closeUpShare());
        whole.setDividerPositions(settings.deskShare());
        desk.setDividerPositions(settings.timeShare());
    }

    private List<Node> transport() {
        ToggleButton play = new ToggleButton("Play");
        play.setId("play");
        play.selectedProperty().bindBidirectional(view.playing);
        play.setTooltip(new Tooltip("Play or stop (Space)"));
        view.playing.addListener((o, a, b) -> play.setText(b ? "Stop" : "Play"));
        ToggleButton loop = new ToggleButton("loop");
        loop.getStyleClass().add("plain");
        loop.selectedProperty().bindBidirectional(view.loop);
        loop.setTooltip(new Tooltip("Begin again at the end of the play range"));
        return List.of(play, loop);
    }

    private void scheme() {
        Palette next = Palette.of(view.darkroom.get());
        stage.getScene().getStylesheets().setAll(next.sheets());
        palette.set(next);
        settings = settings.withDarkroom(view.darkroom.get());
    }

    private void fold() {
        boolean only = view.pictureOnly.get();
        panes.getItems().setAll(view.twoPanes.get() ? List.of(frameA, frameB) : List.of(frameA));
        List<Node> parts = new ArrayList<>();
        if (view.trayShown.get() && !only) {
            parts.add(tray);
        }
        parts.add(
                upper.getItems().stream()
                        .filter(n -> n instanceof BorderPane)
                        .findFirst()
                        .orElseThrow());
        if (view.closeUpShown.get() && !only) {
            parts.add(closeUp);
        }
        upper.getItems().setAll(parts);
        whole.getItems().setAll(only ? List.of(upper) : List.of(upper, desk));
        paneA.requestFocus();
        Platform.runLater(
                () -> {
                    if (upper.getItems().size() == 3) {
                        upper.setDividerPositions(settings.trayShare(), settings.closeUpShare());
                    } else if (upper.getItems().size() == 2) {
                        upper.setDividerPositions(
                                upper.getItems().getFirst() == tray
                                        ? settings.trayShare()
                                        : settings.closeUpShare());
                    }
                    whole.setDividerPositions(settings.deskShare());
                });
    }

    private void showName() {
        Path file = document.file();
        String name =
                file == null
                        ? session.project().name()
                        : file.getFileName().toString().replaceFirst("\\.ivrik$", "");
        boolean saved = session.isSaved();
        String shown =
                session.project().name().equals("Untitled") || file != null && !saved
                        ? name
                        : session.project().name();
        header.showName(shown, saved, file != null);
        stage.setTitle(shown + (saved ? "" : " *") + " - Ivrik");
    }

    private void welcome() {
        welcome.setVisible(session.project().isEmpty());
        welcome.showRecent(settings.recent());
    }

    private void tick() {
        if (pictures.service().anyChanged(session.project().sources())) {
            pictures.service().useFolder(document.folder());
            view.notice.set("A source has changed on the disk; its pictures are read anew");
            pictures.askAnew();
        }
        Project project = session.project();
        int frames = (int) Math.min(project.frames(), MOST_CACHE_TICKS);
        boolean[] ready = new boolean[frames];
        for (int n = 0; n < frames && !project.layers().isEmpty(); n++) {
            ready[n] = pictures.service().cache().has(Planner.plan(project, n), 0.25);
        }
        time.showCached(ready);
    }

    /** Small pictures of sources that have none yet, made off the interface thread. */
    private void makePictures() {
        for (Source source : session.project().sources()) {
            if (pictured.add(document.folder() + "|" + source.path())) {
                Thread.ofVirtual()
                        .start(
                                () -> {
                                    try {
                                        var small =
                                                pictures.service()
                                                        .thumbnail(
                                                                source,
                                                                source.frames() / 3,
                                                                new Size(256, 144));
                                        Platform.runLater(
                                                () -> {
                                                    tray.showPicture(source.id(), small.image());
                                                    time.showPicture(source.id(), small.image());
                                                });
                                    } catch (IvrikException e) {
                                        LOG.info(
                                                "no small picture of {}: {}",
                                                source.name(),
                                                e.oneLine());
                                    } catch (CancelledException e) {
                                        LOG.debug("another project was opened meanwhile");
                                    }
                                });
            }
        }
    }

    private Tray.Actions trayActions() {
        return new Tray.Actions() {
            @Override
            public void bringIn() {
                MainWindow.this.bringIn();
            }

            @Override
            public void place(Source source) {
                session.edit("Put on " + source.name(), p -> Importer.withPlaced(p, source));
            }

            @Override
            public void replace(Source source) {
                Path file = chooser.oneSource(source.name());
                if (file != null) {
                    pictured.clear();
                    importer.replace(source, file);
                }
            }

            @Override
            public void remove(Source source) {
                importer.remove(source);
            }

            @Override
            public void use(Look look) {
                session.editLook("Use " + look.name(), old -> look);
            }
        };
    }

    private void installDrop(Scene scene) {
        scene.setOnDragOver(
                e -> {
                    if (e.getDragboard().hasFiles()) {
                        e.acceptTransferModes(TransferMode.COPY);
                    }
                    e.consume();
                });
        scene.setOnDragDropped(
                e -> {
                    e.setDropCompleted(e.getDragboard().hasFiles());
                    take(e.getDragboard().getFiles().stream().map(java.io.File::toPath).toList());
                    e.consume();
                });
    }

    /** Files from a drop, a dialog or the command line: a project is opened, anything else brought in. */
    public void take(List<Path> files) {
        files.stream().filter(MainWindow::isProject).findFirst().ifPresent(this::open);
        importer.bringIn(
                files.stream().filter(f -> !isProject(f)).map(Path::toAbsolutePath).toList());
    }

    private static boolean isProject(Path file) {
        return file.toString().endsWith(ProjectFile.ENDING);
    }

    void bringIn() {
        take(chooser.footage());
    }

    void newProject() {
        unlessUnsaved(
                () -> {
                    document.startNew();
                    fresh();
                });
    }

    void openProject() {
        Path chosen = chooser.projectToOpen();
        if (chosen != null) {
            open(chosen);
        }
    }

    /** The very first start shows the demo; later ones offer back what was lost. */
    void firstStart() {
        if (!java.nio.file.Files.exists(dataFolder.resolve("window.json"))
                && java.nio.file.Files.exists(Demo.project())) {
            openDemo();
        }
        offerLost(null);
    }

    void openDemo() {
        open(Demo.project());
    }

    /** Opens a project, offering back work that was lost. */
    public void open(Path file) {
        unlessUnsaved(() -> openNow(file));
    }

    private void openNow(Path file) {
        try {
            List<String> problems = document.open(file);
            fresh();
            settings = settings.withRecent(file.toAbsolutePath());
            header.showRecent(settings.recent(), p -> open(Path.of(p)));
            if (!problems.isEmpty()) {
                tell(
                        "Part of " + file.getFileName() + " could not be read",
                        String.join("\n", problems)
                                + "\n\n"
                                + "The rest is here. The file itself is as it was until you save.");
            }
            offerLost(file.toAbsolutePath());
        } catch (IvrikException e) {
            LOG.warn("open", e);
            tell("Could not open " + file.getFileName(), e.oneLine());
        }
    }

    /** Looks for work without a name that was lost, at start. */
    public void offerLost(Path file) {
        try {
            document.lost(file)
                    .ifPresent(
                            lost ->
                                    sheets.ask(
                                            "Work that was not saved",
                                            "Ivrik ended before this was saved. Take it back? The"
                                                    + " file on the disk stays as it is until you"
                                                    + " save.",
                                            List.of(
                                                    new Sheets.Choice(
                                                            "Take it back",
                                                            () -> {
                                                                document.takeBack(file, lost);
                                                                fresh();
                                                            }),
                                                    new Sheets.Choice(
                                                            "Leave it",
                                                            () -> document.discard(file)))));
        } catch (IvrikException e) {
            LOG.warn("journal", e);
        }
    }

    /** Another project: its folder, its pictures, its first frame. */
    private void fresh() {
        view.playing.set(false);
        view.frame.set(0);
        pictured.clear();
        pictures.service().useFolder(document.folder());
        pictures.askAnew();
        makePictures();
        welcome();
    }

    private void unlessUnsaved(Runnable action) {
        if (session.isSaved() || session.project().isEmpty()) {
            action.run();
            return;
        }
        sheets.ask(
                "Save " + session.project().name() + " first?",
                "It has changes that are not saved.",
                List.of(
                        new Sheets.Choice(
                                "Save",
                                () -> {
                                    if (saveNow()) {
                                        action.run();
                                    }
                                }),
                        new Sheets.Choice(
                                "Do not save",
                                () -> {
                                    document.discard(document.file());
                                    action.run();
                                }),
                        new Sheets.Choice("Stay here", () -> {})));
    }

    void save() {
        saveNow();
    }

    private boolean saveNow() {
        Path target =
                document.file() == null
                        ? chooser.projectToSave(session.project().name())
                        : document.file();
        return target != null && saveTo(target);
    }

    void saveAs() {
        Path target = chooser.projectToSave(session.project().name());
        if (target != null) {
            saveTo(target);
        }
    }

    private boolean saveTo(Path target) {
        Path before = document.folder();
        try {
            document.saveAs(target);
            settings = settings.withRecent(target.toAbsolutePath());
            header.showRecent(settings.recent(), p -> open(Path.of(p)));
            if (!before.equals(document.folder())) {
                pictures.service().useFolder(document.folder());
                pictures.askAnew();
            }
            view.notice.set("Saved to " + target);
            return true;
        } catch (IvrikException e) {
            LOG.warn("save", e);
            tell("Could not save", e.oneLine());
            return false;
        }
    }

    void export() {
        if (session.project().layers().isEmpty()) {
            return;
        }
        view.playing.set(false);
        Path folder =
                document.file() == null
                        ? Path.of(System.getProperty("user.home"))
                        : document.folder();
        String name =
                session.project()
                        .name()
                        .toLowerCase(java.util.Locale.ROOT)
                        .replaceAll("[^a-z0-9]+", "-");
        ExportSheet sheet =
                new ExportSheet(
                        session.project(),
                        document.folder(),
                        folder.resolve(name + ".mp4"),
                        sheets,
                        new ExportSheet.Around() {
                            @Override
                            public Path choose(Form form) {
                                return chooser.exportTarget(form, name + form.ending());
                            }

                            @Override
                            public void reveal(Path file) {
                                Reveal.inItsFolder(file);
                            }
                        });
        sheets.show(sheet, sheet.startButton());
    }

    void quit() {
        unlessUnsaved(this::close);
    }

    /** Ends without asking. */
    public void close() {
        remember();
        watch.stop();
        player.close();
        pictures.service().close();
        document.close();
        stage.setOnCloseRequest(null);
        stage.close();
    }

    private void remember() {
        if (upper.getDividerPositions().length == 2 && whole.getDividerPositions().length == 1) {
            settings =
                    settings.withShares(
                            upper.getDividerPositions()[0],
                            upper.getDividerPositions()[1],
                            whole.getDividerPositions()[0],
                            desk.getDividerPositions()[0]);
        }
        try {
            settings.save(dataFolder);
        } catch (IvrikException e) {
            LOG.warn("the window's settings could not be kept", e);
        }
    }

    /** Moves the lane being worked on, and others after it, by so many pixels. */
    void nudge(double dx, double dy) {
        if (!Lanes.hasShift(session.state())) {
            return;
        }
        int lane = session.state().lane();
        int step = session.state().step();
        long frame = view.frame.get();
        Point2D from = Lanes.shifts(session.state(), frame).get(lane);
        Point2D to = new Point2D(tidy(from.getX() + dx), tidy(from.getY() + dy));
        String name = "Nudge " + Lanes.kinds(session.state()).get(lane).title();
        session.editLook(name, look -> view.follow.get().moved(look, step, lane, frame, to));
    }

    /** Tenths add up to whole numbers. */
    private static double tidy(double v) {
        return Math.rint(v * 1e6) / 1e6;
    }

    void restLane() {
        int lane = session.state().lane();
        int step = session.state().step();
        session.editLook(
                "Put " + Lanes.kinds(session.state()).get(lane).title() + " to rest",
                look ->
                        look.withAmounts(
                                step,
                                lane,
                                a -> Amounts.atRest(look.steps().get(step).kind().description())));
    }

    void toggleStep() {
        int step = session.state().step();
        session.editLook(
                "Treatment on or off", look -> look.withStep(step, s -> s.withOn(!s.on())));
    }

    void holdFrame() {
        pictures.hold();
        view.notice.set("Frame " + view.frame.get() + " put aside: H shows it");
    }

    boolean hasHeld() {
        return pictures.hasHeld();
    }

    void zoom(double factor) {
        paneA.zoomAt(paneA.getWidth() / 2, paneA.getHeight() / 2, factor);
    }

    void commandList() {
        CommandList list =
                new CommandList(
                        commands.stream().filter(c -> c.enabled().getAsBoolean()).toList(), sheets);
        sheets.show(list, list.search());
    }

    void about() {
        tell(
                "Ivrik 0.1.0",
                "Colour channels taken apart, moved, and put back together.\n\n"
                    + "Apache License 2.0. It comes with FFmpeg (LGPL) and the IBM Plex fonts (SIL"
                    + " Open Font License); NOTICE.md has the whole list.");
    }

    void tell(String title, String text) {
        sheets.tell(title, text);
    }
}
