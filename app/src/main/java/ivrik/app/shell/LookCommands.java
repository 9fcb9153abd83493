package ivrik.app.shell;

import ivrik.app.session.ChannelEdits;
import ivrik.app.session.Follow;
import ivrik.app.session.SeparationChange;
import ivrik.app.session.TakeEdits;
import ivrik.app.session.TreatmentEdits;
import ivrik.app.session.View.Band;
import ivrik.app.session.View.Face;
import ivrik.core.look.ChannelState;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.separation.Separation;
import ivrik.core.separation.Separations;

import javafx.scene.input.KeyCode;

import java.util.List;
import java.util.function.UnaryOperator;

/** Commands for looks, treatments, channels and separations. */
final class LookCommands extends CommandMenu {
    LookCommands(CommandMenu others) {
        super(others.window, others.all);
    }

    void addAll() {
        look();
        channel();
        separation();
    }

    private void look() {
        TreatmentEdits steps = window.steps();
        menu = "Look";
        add("show-look", "Show look", key(KeyCode.I, SHIFT), () -> face(Face.LOOK), this::any);
        add(
                "show-all-looks",
                "Show all looks...",
                key(KeyCode.INSERT, SHIFT),
                () -> band(Band.LOOKS),
                this::any);
        add(
                "white-balance-from-neutral",
                "White balance from neutral...",
                null,
                () -> window.actions().balance().ask(),
                this::any);
        add(
                "correct-colour-cast",
                "Correct colour cast",
                null,
                () -> window.actions().colourCasts().correct(),
                this::any);
        add(
                "import-lookup-table-or-cdl",
                "Import lookup table or CDL...",
                null,
                window.actions().grades()::use,
                this::any);
        add(
                "export-lookup-table-or-cdl",
                "Export lookup table or CDL...",
                null,
                window.actions().grades()::save,
                this::any);
        add("save-look", "Save look...", null, window.actions().looks()::save, this::any);
        add(
                "show-takes",
                "Show takes...",
                key(KeyCode.T, SHIFT),
                () -> band(Band.TAKES),
                this::any);
        add(
                "save-as-take",
                "Save as take",
                key(KeyCode.T, CTRL, SHIFT),
                () -> new TakeEdits(session, view).save(),
                this::any);
        add(
                "add-treatment",
                "Add treatment...",
                key(KeyCode.INSERT),
                () -> band(Band.TREATMENTS),
                this::any);
        add(
                "remove-treatment",
                "Remove treatment",
                key(KeyCode.DELETE, SHIFT),
                () -> steps.remove(session.state().stepId()),
                this::any);
        add(
                "move-treatment-earlier",
                "Move treatment earlier",
                key(KeyCode.OPEN_BRACKET, SHIFT),
                () -> steps.move(session.state().stepId(), -1),
                this::any);
        add(
                "move-treatment-later",
                "Move treatment later",
                key(KeyCode.CLOSE_BRACKET, SHIFT),
                () -> steps.move(session.state().stepId(), 1),
                this::any);
        add("copy-channel", "Copy channel", key(KeyCode.C, CTRL), steps::copy, this::any);
        add(
                "paste-channel-settings",
                "Paste channel settings",
                key(KeyCode.V, CTRL),
                steps::paste,
                steps::canPaste);
        add(
                "paste-channel",
                "Paste channel with all treatments",
                key(KeyCode.V, SHIFT),
                steps::pasteChannel,
                steps::canPasteChannel);
        add("same-in-all-channels", "Same in all channels", null, steps::toAll, this::any);
        add("negate-channel-values", "Negate channel values", null, steps::mirror, this::any);
        add(
                "mirror-to-opposite-channel",
                "Mirror to opposite channel",
                null,
                steps::oppose,
                this::any);
        add("spread-channels", "Spread evenly across channels", null, steps::spread, this::any);
        goingOn(
                "next-treatment",
                "Next treatment",
                key(KeyCode.TAB, CTRL),
                () -> column(1),
                this::any);
        goingOn(
                "previous-treatment",
                "Previous treatment",
                key(KeyCode.TAB, CTRL, SHIFT),
                () -> column(-1),
                this::any);
    }

    private void column(int by) {
        List<Step> all = session.state().look().map(Look::steps).orElse(List.of());
        if (!all.isEmpty()) {
            int now = all.indexOf(session.state().step().orElseThrow());
            face(Face.TREATMENT);
            session.selectCell(
                    all.get(Math.floorMod(now + by, all.size())).id(), session.state().channel());
        }
    }

    private void channel() {
        menu = "Channel";
        for (int i = 0; i < 4; i++) {
            int channel = i;
            named(
                    "channel-" + i,
                    () -> "Select " + channelTitle(channel),
                    key(KeyCode.getKeyCode(Integer.toString(i + 1))),
                    () -> session.selectChannel(channel),
                    () -> channel < ChannelEdits.kinds(session.state()).size());
        }
        add(
                "solo",
                "Solo",
                key(KeyCode.O),
                () -> toggle("Solo", s -> s.withSolo(!s.solo())),
                this::any);
        add(
                "mute",
                "Mute",
                key(KeyCode.M),
                () -> toggle("Mute", s -> s.withMute(!s.mute())),
                this::any);
        add(
                "fixed",
                "Fixed",
                key(KeyCode.G),
                () -> toggle("Fixed", s -> s.withFixed(!s.fixed())),
                this::any);
        for (Follow follow : Follow.values()) {
            add(
                    "follow-" + follow.id(),
                    "Move: " + follow,
                    null,
                    () -> view.follow.set(follow),
                    this::any);
        }
        add(
                "next-nudge-step",
                "Next nudge step (0.1, 0.5, 1, 10 px)",
                key(KeyCode.QUOTE),
                window.channelKeys()::nextStep,
                this::any);
        add(
                "next-move-mode",
                "Next move mode (this channel only, all together, mirrored)",
                key(KeyCode.V),
                () ->
                        view.follow.set(
                                Follow.values()[
                                        (view.follow.get().ordinal() + 1)
                                                % Follow.values().length]),
                this::any);
    }

    private String channelTitle(int channel) {
        var kinds = ChannelEdits.kinds(session.state());
        return channel < kinds.size() ? kinds.get(channel).title() : "channel " + (channel + 1);
    }

    private void toggle(String name, UnaryOperator<ChannelState> change) {
        int channel = session.state().channel();
        session.editLook(name + " " + channelTitle(channel), l -> l.withChannel(channel, change));
    }

    private void separation() {
        menu = "Separation";
        for (Separation model : Separations.all()) {
            named(
                    "separate-" + model.id(),
                    model::title,
                    null,
                    () -> SeparationChange.change(session, view, model),
                    this::any);
        }
        add(
                "show-separation",
                "Show separation",
                key(KeyCode.N),
                () -> face(Face.SEPARATE),
                this::any);
        add("show-rejoin", "Show rejoin", key(KeyCode.Y), () -> face(Face.REJOIN), this::any);
        add("show-mask", "Show mask", key(KeyCode.R, CTRL), () -> face(Face.MASK), this::any);
        add(
                "show-treatment",
                "Show treatment",
                key(KeyCode.Z),
                () -> face(Face.TREATMENT),
                this::any);
        add(
                "show-blend-sheet",
                "Show blend sheet...",
                key(KeyCode.E),
                () -> band(Band.BLENDS),
                this::any);
        add(
                "show-channel-combinations",
                "Show channel combinations...",
                key(KeyCode.I),
                () -> band(Band.CHANNEL_COMBINATIONS),
                this::any);
    }
}
