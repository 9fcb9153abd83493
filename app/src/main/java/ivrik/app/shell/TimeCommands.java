package ivrik.app.shell;

import ivrik.app.desk.KeyframeActions;
import ivrik.app.shell.TimeActions.Place;

import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCombination;

import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;

/** Commands for shots, time and animation. */
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
        ShotActions work = new ShotActions(session, view);
        menu = "Shot";
        add("split-shot", "Split shot at playhead", key(KeyCode.SLASH), work::split, work::any);
        add(
                "trim-shot-start",
                "Trim shot start to playhead",
                key(KeyCode.OPEN_BRACKET, CTRL),
                work::begin,
                work::any);
        add(
                "trim-shot-end",
                "Trim shot end to playhead",
                key(KeyCode.CLOSE_BRACKET, CTRL),
                work::end,
                work::any);
        goingOn(
                "slip-shot-1-frame-earlier",
                "Slip shot 1 frame earlier",
                key(KeyCode.COMMA, CTRL),
                () -> work.slip(-1),
                work::any);
        goingOn(
                "slip-shot-1-frame-later",
                "Slip shot 1 frame later",
                key(KeyCode.PERIOD, CTRL),
                () -> work.slip(1),
                work::any);
        add(
                "move-shot-earlier",
                "Move shot earlier",
                key(KeyCode.PAGE_UP),
                () -> work.reorder(false),
                work::any);
        add(
                "move-shot-later",
                "Move shot later",
                key(KeyCode.PAGE_DOWN),
                () -> work.reorder(true),
                work::any);
        add(
                "delete-shot-close-gap",
                "Delete shot and close gap",
                key(KeyCode.BACK_SPACE, SHIFT),
                () -> work.remove(true),
                work::any);
        add(
                "delete-shot-leave-gap",
                "Delete shot, leave gap",
                key(KeyCode.DELETE, CTRL),
                () -> work.remove(false),
                work::any);
    }

    /** Two commands that go to the next and to the previous place. */
    private void jumps(
            TimeActions work,
            String what,
            Set<Place> places,
            KeyCombination next,
            KeyCombination back) {
        boolean one = places.size() == 1;
        String id = one ? what : "place";
        String title = (one ? "Playhead to next " : "Next ") + what;
        String former = (one ? "Playhead to previous " : "Previous ") + what;
        goingOn("next-" + id, title, next, () -> work.jump(places, true), this::any);
        goingOn("previous-" + id, former, back, () -> work.jump(places, false), this::any);
    }

    private void time() {
        TimeActions work = new TimeActions(session, view);
        menu = "Time";
        add(
                "play",
                "Play or stop",
                key(KeyCode.SPACE),
                () -> view.playing.set(!view.playing.get()),
                this::any);
        add(
                "play-around-burst-or-cut",
                "Play around burst or cut",
                key(KeyCode.SPACE, SHIFT),
                work::playAround,
                this::any);
        flag("loop-playback", "Loop playback", key(KeyCode.R), view.loop);
        goingOn(
                "next-frame",
                "Next frame",
                key(KeyCode.RIGHT, CTRL),
                () -> work.step(1),
                this::any);
        goingOn(
                "previous-frame",
                "Previous frame",
                key(KeyCode.LEFT, CTRL),
                () -> work.step(-1),
                this::any);
        goingOn(
                "one-second-forward",
                "One second forward",
                key(KeyCode.RIGHT, CTRL, SHIFT),
                () -> work.stepSecond(1),
                this::any);
        goingOn(
                "one-second-back",
                "One second back",
                key(KeyCode.LEFT, CTRL, SHIFT),
                () -> work.stepSecond(-1),
                this::any);
        jumps(
                work,
                "keyframe, burst, cut or marker",
                EnumSet.allOf(Place.class),
                key(KeyCode.DOWN, CTRL),
                key(KeyCode.UP, CTRL));
        jumps(
                work,
                "cut",
                EnumSet.of(Place.CUT),
                key(KeyCode.PAGE_DOWN, CTRL),
                key(KeyCode.PAGE_UP, CTRL));
        jumps(
                work,
                "keyframe",
                EnumSet.of(Place.KEYFRAME),
                key(KeyCode.PAGE_DOWN, SHIFT),
                key(KeyCode.PAGE_UP, SHIFT));
        add(
                "go-to-first-frame",
                "Go to first frame",
                key(KeyCode.HOME),
                () -> work.go(session.project().played().first()),
                this::any);
        add(
                "go-to-last-frame",
                "Go to last frame",
                key(KeyCode.END),
                () -> work.go(session.project().played().last()),
                this::any);
        add(
                "set-play-range-start",
                "Set play range start",
                key(KeyCode.OPEN_BRACKET),
                () -> work.range(true),
                this::any);
        add(
                "set-play-range-end",
                "Set play range end",
                key(KeyCode.CLOSE_BRACKET),
                () -> work.range(false),
                this::any);
        add(
                "clear-play-range",
                "Clear play range",
                key(KeyCode.BACK_SLASH),
                () -> session.edit("Clear play range", p -> p.withPlayRange(Optional.empty())),
                this::any);
        goingOn(
                "zoom-in-on-time",
                "Zoom in on time",
                key(KeyCode.EQUALS, SHIFT),
                () -> window.time().zoom(0.5),
                ALWAYS);
        goingOn(
                "zoom-out-on-time",
                "Zoom out on time",
                key(KeyCode.MINUS, SHIFT),
                () -> window.time().zoom(2),
                ALWAYS);
        add(
                "fit-time-and-graphs",
                "Fit time and graphs",
                key(KeyCode.BACK_SLASH, SHIFT),
                view::fitTime);
        goingOn(
                "zoom-in-on-graph-values",
                "Zoom in on graph values",
                key(KeyCode.UP, CTRL, SHIFT),
                () -> view.zoomValue(1.5),
                ALWAYS);
        goingOn(
                "zoom-out-on-graph-values",
                "Zoom out on graph values",
                key(KeyCode.DOWN, CTRL, SHIFT),
                () -> view.zoomValue(1 / 1.5),
                ALWAYS);
        flag(
                "all-channels-in-one-graph",
                "All channels in one graph",
                key(KeyCode.G, SHIFT),
                view.tall);
        add("toggle-marker", "Set or delete marker", key(KeyCode.K), work::marker, this::any);
        jumps(
                work,
                "marker",
                EnumSet.of(Place.MARKER),
                key(KeyCode.PAGE_DOWN, CTRL, SHIFT),
                key(KeyCode.PAGE_UP, CTRL, SHIFT));
    }

    private void motion() {
        menu = "Motion";
        KeyframeActions keyframes = window.time().keyframes();
        add(
                "toggle-keyframe",
                "Set or delete keyframe",
                key(KeyCode.P),
                keyframes::toggleHere,
                this::any);
        add(
                "select-all-keyframes",
                "Select all keyframes",
                key(KeyCode.A, CTRL),
                keyframes::selectAll,
                this::any);
        add(
                "delete-selected-keyframes",
                "Delete selected keyframes",
                key(KeyCode.DELETE),
                keyframes::delete,
                keyframes::any);
        add(
                "copy-selected-keyframes",
                "Copy selected keyframes",
                key(KeyCode.C, CTRL, SHIFT),
                keyframes::copy,
                keyframes::any);
        add(
                "paste-keyframes",
                "Paste keyframes at playhead",
                key(KeyCode.V, CTRL, SHIFT),
                keyframes::paste,
                keyframes::canPaste);
        add(
                "reverse-selected-keyframes",
                "Reverse selected keyframes",
                key(KeyCode.R, SHIFT),
                keyframes::reverse,
                keyframes::any);
        add(
                "stretch-keyframes",
                "Stretch selected keyframes to 200 %",
                key(KeyCode.PERIOD, SHIFT),
                () -> keyframes.stretch(2),
                keyframes::any);
        add(
                "shrink-keyframes",
                "Shrink selected keyframes to 50 %",
                key(KeyCode.COMMA, SHIFT),
                () -> keyframes.stretch(0.5),
                keyframes::any);
        add(
                "scale-values-up",
                "Scale selected values to 200 %",
                key(KeyCode.PERIOD, CTRL, SHIFT),
                () -> keyframes.scale(2),
                keyframes::any);
        add(
                "scale-values-down",
                "Scale selected values to 50 %",
                key(KeyCode.COMMA, CTRL, SHIFT),
                () -> keyframes.scale(0.5),
                keyframes::any);
        add(
                "enclose-play-range",
                "Set default keyframes around play range",
                null,
                keyframes::enclose,
                this::any);
        BurstActions bursts = new BurstActions(session, view);
        add(
                "add-burst-at-playhead",
                "Add burst at playhead",
                key(KeyCode.K, SHIFT),
                bursts::add,
                this::any);
        add(
                "select-next-burst",
                "Select next burst",
                key(KeyCode.K, CTRL),
                bursts::next,
                bursts::any);
        goingOn(
                "shorten-burst",
                "Shorten burst",
                key(KeyCode.COMMA),
                () -> bursts.widen(-1),
                bursts::any);
        goingOn(
                "lengthen-burst",
                "Lengthen burst",
                key(KeyCode.PERIOD),
                () -> bursts.widen(1),
                bursts::any);
        add("new-seed", "New seed", key(KeyCode.SEMICOLON), bursts::anotherSeed, this::any);
    }
}
