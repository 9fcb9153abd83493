package ivrik.app.shell;

import ivrik.app.desk.PegHands;

import javafx.scene.input.KeyCode;

import java.util.Optional;

/** The commands of shots, of time and of what moves in it. */
final class TimeCommands extends CommandMenu {
    TimeCommands(CommandMenu others) {
        super(others.window, others.all);
    }

    void addAll() {
        shots();
        time();
        motion();
    }

    private void shots() {
        ShotWork work = new ShotWork(session, view);
        menu = "Shot";
        add("Cut the shot here", key(KeyCode.SLASH), work::split, work::any);
        add("The shot begins here", key(KeyCode.OPEN_BRACKET, CTRL), work::begin, work::any);
        add("The shot ends here", key(KeyCode.CLOSE_BRACKET, CTRL), work::end, work::any);
        goingOn(
                "Slip to a frame earlier",
                key(KeyCode.COMMA, CTRL),
                () -> work.slip(-1),
                work::any);
        goingOn("Slip to a frame later", key(KeyCode.PERIOD, CTRL), () -> work.slip(1), work::any);
        add("Before the shot before", key(KeyCode.PAGE_UP), () -> work.reorder(false), work::any);
        add("After the shot after", key(KeyCode.PAGE_DOWN), () -> work.reorder(true), work::any);
        add(
                "Remove the shot and close up",
                key(KeyCode.BACK_SPACE, SHIFT),
                () -> work.remove(true),
                work::any);
        add(
                "Remove the shot and leave a gap",
                key(KeyCode.DELETE, CTRL),
                () -> work.remove(false),
                work::any);
    }

    private void time() {
        TimeWork work = new TimeWork(session, view);
        menu = "Time";
        add(
                "Play or stop",
                key(KeyCode.SPACE),
                () -> view.playing.set(!view.playing.get()),
                this::any);
        add(
                "Play around the burst or the cut",
                key(KeyCode.SPACE, SHIFT),
                work::playAround,
                this::any);
        flag("Play round and round", key(KeyCode.R), view.loop);
        goingOn("One frame on", key(KeyCode.RIGHT, CTRL), () -> work.step(1), this::any);
        goingOn("One frame back", key(KeyCode.LEFT, CTRL), () -> work.step(-1), this::any);
        goingOn(
                "To the next peg, burst, cut or marker",
                key(KeyCode.DOWN, CTRL),
                () -> work.jump(true),
                this::any);
        goingOn(
                "To the previous peg, burst, cut or marker",
                key(KeyCode.UP, CTRL),
                () -> work.jump(false),
                this::any);
        add(
                "To the first frame",
                key(KeyCode.HOME),
                () -> work.go(session.project().played().first()),
                this::any);
        add(
                "To the last frame",
                key(KeyCode.END),
                () -> work.go(session.project().played().last()),
                this::any);
        add("Play range begins here", key(KeyCode.OPEN_BRACKET), () -> work.range(true), this::any);
        add("Play range ends here", key(KeyCode.CLOSE_BRACKET), () -> work.range(false), this::any);
        add(
                "Play all",
                key(KeyCode.BACK_SLASH),
                () -> session.edit("Play all", p -> p.withPlayRange(Optional.empty())),
                this::any);
        goingOn(
                "Closer in time",
                key(KeyCode.EQUALS, SHIFT),
                () -> window.time().zoom(0.5),
                ALWAYS);
        goingOn("Farther in time", key(KeyCode.MINUS, SHIFT), () -> window.time().zoom(2), ALWAYS);
        add("All of time and of each trace", key(KeyCode.BACK_SLASH, SHIFT), view::fitTime);
        goingOn("Traces higher", key(KeyCode.UP, CTRL, SHIFT), () -> view.zoomValue(1.5), ALWAYS);
        goingOn(
                "Traces lower",
                key(KeyCode.DOWN, CTRL, SHIFT),
                () -> view.zoomValue(1 / 1.5),
                ALWAYS);
        flag("Traces in one plot", key(KeyCode.G, SHIFT), view.tall);
        add("Set or clear a marker", key(KeyCode.K), work::marker, this::any);
    }

    private void motion() {
        menu = "Motion";
        PegHands pegs = window.time().pegs();
        add("Add or remove a peg here", key(KeyCode.P), pegs::toggleHere, this::any);
        add("Pick all pegs", key(KeyCode.A, CTRL), pegs::pickAll, this::any);
        add("Delete the picked pegs", key(KeyCode.DELETE), pegs::delete, pegs::any);
        add("Copy the picked pegs", key(KeyCode.C, CTRL, SHIFT), pegs::copy, pegs::any);
        add("Paste pegs here", key(KeyCode.V, CTRL, SHIFT), pegs::paste, pegs::canPaste);
        add("Play the picked pegs backwards", key(KeyCode.R, SHIFT), pegs::reverse, pegs::any);
        add(
                "Picked pegs twice as long",
                key(KeyCode.PERIOD, SHIFT),
                () -> pegs.stretch(2),
                pegs::any);
        add(
                "Picked pegs half as long",
                key(KeyCode.COMMA, SHIFT),
                () -> pegs.stretch(0.5),
                pegs::any);
        add(
                "Picked pegs twice as far from their default",
                key(KeyCode.PERIOD, CTRL, SHIFT),
                () -> pegs.scale(2),
                pegs::any);
        add(
                "Picked pegs half as far from their default",
                key(KeyCode.COMMA, CTRL, SHIFT),
                () -> pegs.scale(0.5),
                pegs::any);
        add("Pegs at the default around the play range", null, pegs::enclose, this::any);
        BurstWork bursts = new BurstWork(session, view);
        add("New burst here", key(KeyCode.K, SHIFT), bursts::add, this::any);
        add("Next burst", key(KeyCode.K, CTRL), bursts::next, bursts::any);
        goingOn("Burst tighter", key(KeyCode.COMMA), () -> bursts.widen(-1), bursts::any);
        goingOn("Burst wider", key(KeyCode.PERIOD), () -> bursts.widen(1), bursts::any);
        add("Another seed", key(KeyCode.SEMICOLON), bursts::anotherSeed, this::any);
    }
}
