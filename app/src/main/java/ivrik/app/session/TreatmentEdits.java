package ivrik.app.session;

import ivrik.core.look.ChannelCopy;
import ivrik.core.look.ChannelSettings;
import ivrik.core.look.HalationParts;
import ivrik.core.look.HalationParts.Opened;
import ivrik.core.look.Look;
import ivrik.core.look.Section;
import ivrik.core.look.Step;
import ivrik.core.motion.Value;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.project.ProjectEdits;
import ivrik.core.project.Source;
import ivrik.core.render.Planner;
import ivrik.core.treatment.Description;
import ivrik.core.treatment.Parameter;
import ivrik.core.treatment.Trait;
import ivrik.core.treatment.Treatment;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.UnaryOperator;

/** Edits of treatments: adding, ordering, removing, and operations between channels. */
public final class TreatmentEdits {
    private final Session session;
    private ChannelCopy copied;

    /** Adds a treatment that requires a measurement. */
    private Runnable measured = () -> {};

    public TreatmentEdits(Session session) {
        this.session = session;
    }

    /** The channels on which a new treatment has an effect. */
    public enum Scope {
        /** The selected channel; other channels are at rest. */
        SELECTED,
        /** All channels alike. */
        ALL
    }

    /**
     * The look with a treatment added after the selected step, or last in its section.
     *
     * @param state the selected step and channel
     */
    public static Look with(Look look, State state, Treatment treatment, Scope scope) {
        String id = look.freeId(treatment);
        int channels = look.channels().size();
        Step step =
                scope == Scope.ALL
                        ? Step.ofAllChannels(id, treatment, channels)
                        : Step.ofChannel(id, treatment, channels, state.channel());
        return with(look, state, step);
    }

    /** The look with a new step added after the selected step, or last in its section. */
    public static Look with(Look look, State state, Step added) {
        Step step = added;
        String after = state.stepId();
        Treatment treatment = step.kind();
        if (treatment.description().is(Trait.PICTURE)) {
            step = step.withPicture(likelyPicture(state.project()));
        }
        Section section = step.section();
        boolean among = look.step(after).filter(s -> s.section() == section).isPresent();
        return among ? look.withStepAdded(look.number(after) + 1, step) : look.withStepAdded(step);
    }

    /**
     * The most recently imported footage or image; titles and graphics only if there is no other.
     */
    private static String likelyPicture(Project project) {
        List<Source> sources = project.sources().reversed();
        return sources.stream()
                .filter(s -> !s.kind().isDrawn())
                .findFirst()
                .or(() -> sources.stream().findFirst())
                .map(Source::id)
                .orElse("");
    }

    /**
     * @param measures adds a treatment with its measurement
     */
    public void measureBy(Runnable measures) {
        measured = measures;
    }

    /** Adds a treatment of the selected channel, or of the whole picture, and selects it. */
    public void add(Treatment treatment) {
        add(treatment, Scope.SELECTED);
    }

    /** Adds a treatment and selects it. */
    public void add(Treatment treatment, Scope scope) {
        Look look = session.state().look().orElse(null);
        if (look == null) {
            return;
        }
        if (treatment.description().is(Trait.MEASURED)) {
            measured.run();
            return;
        }
        State state = session.state();
        String added = look.freeId(treatment);
        session.editLook(
                "Add " + treatment.description().title(), l -> with(l, state, treatment, scope));
        session.selectCell(added, session.state().channel());
    }

    public void remove(String id) {
        Look look = session.state().look().orElse(null);
        if (look != null && look.number(id) >= 0) {
            int number = look.number(id);
            session.editLook("Remove " + title(look, id), l -> l.withoutStep(id));
            List<Step> left = session.state().look().map(Look::steps).orElse(List.of());
            String next = left.isEmpty() ? "" : left.get(Math.max(0, number - 1)).id();
            session.selectCell(next, session.state().channel());
        }
    }

    /** Moves a column within its section. */
    public void move(String id, int by) {
        Look look = session.state().look().orElse(null);
        if (look == null || look.number(id) < 0) {
            return;
        }
        List<Step> section = look.steps(look.step(id).orElseThrow().section());
        int first = look.number(section.getFirst().id());
        int to = Math.clamp(look.number(id) + by, first, first + section.size() - 1);
        if (to != look.number(id)) {
            session.editLook("Move " + title(look, id), l -> l.withStepMoved(id, to));
        }
    }

    /**
     * Moves a treatment to another section; the selected channel provides the settings of the whole picture.
     */
    public void place(String id, Section section) {
        int channel = session.state().channel();
        session.editLook(
                switch (section) {
                    case PREPARE -> "Apply to whole picture, before separation";
                    case CHANNELS -> "Apply to each channel";
                    case FINISH -> "Apply to whole picture, after rejoin";
                },
                l -> l.withStepIn(section, id, channel));
    }

    /** Replaces a treatment by its stages and selects them. */
    public void open(String id) {
        Look look = session.state().look().orElse(null);
        if (look == null || !HalationParts.canOpen(look, id)) {
            return;
        }
        Opened opened = HalationParts.opened(look, id);
        int number = session.state().lookNumber();
        Layer before = session.state().layer().orElseThrow();
        Layer after = before.withLook(number, l -> opened.looks().getFirst());
        for (Look next : opened.looks().subList(1, opened.looks().size())) {
            after =
                    ProjectEdits.withNewLook(after, after.freeLookId(), number)
                            .withLook(number + 1, l -> next);
        }
        Layer changed = after;
        session.edit(
                "Expand " + title(look, id),
                project -> project.withLayer(before.id(), l -> changed));
        session.selectLook(changed.looks().get(number + opened.parts()).id());
    }

    private static String title(Look look, String step) {
        return look.step(step).orElseThrow().kind().description().title();
    }

    /** Sets all channels of the selected treatment to its example settings. */
    public void showExample() {
        edit("Example settings", Step::withExampleSettings);
    }

    /** Copies the selected channel: its settings in all treatments, and its shares of dials. */
    public void copy() {
        State state = session.state();
        String place = Planner.place(state.layer().orElseThrow(), state.layerLook().orElseThrow());
        copied = ChannelCopy.of(state.look().orElseThrow(), state.channel(), place);
    }

    /** Whether a treatment of the copied channel corresponds to the selected one. */
    public boolean canPaste() {
        return copied != null && step().filter(copied::has).isPresent();
    }

    /** Pastes the copied settings of the selected treatment into the selected channel. */
    public void paste() {
        if (canPaste()) {
            State state = session.state();
            session.editLook(
                    "Paste channel settings",
                    l -> copied.pastedInto(l, state.stepId(), state.channel()));
        }
    }

    public boolean canPasteChannel() {
        return copied != null && session.state().look().isPresent();
    }

    /** Pastes all treatments of the copied channel into the selected channel. */
    public void pasteChannel() {
        int channel = session.state().channel();
        session.editLook("Paste channel", l -> copied.pastedInto(l, channel));
    }

    /** Copies the channel's settings to all channels that are not fixed. */
    public void toAll() {
        int from = session.state().channel();
        edit("Same in all channels", (step, channel) -> step.channels().get(from));
    }

    /** Copies the negated settings to the opposite channel; the channel between is reset. */
    public void oppose() {
        int from = session.state().channel();
        int last = session.state().look().map(l -> l.channels().size() - 1).orElse(0);
        int to = last - from == from ? (from == 0 ? last : 0) : last - from;
        edit(
                "Mirror to opposite channel",
                (step, channel) ->
                        channel == to
                                ? turned(step, step.channels().get(from))
                                : channel == from
                                        ? step.channels().get(from)
                                        : ChannelSettings.atRest(step.kind().description()));
    }

    /** Negates the channel's settings. */
    public void mirror() {
        int from = session.state().channel();
        edit(
                "Negate values",
                (step, channel) ->
                        channel == from
                                ? turned(step, step.channels().get(channel))
                                : step.channels().get(channel));
    }

    /** Interpolates from the first channel to the last. */
    public void spread() {
        edit(
                "Spread evenly",
                (step, channel) -> {
                    ChannelSettings first = step.channels().getFirst();
                    ChannelSettings last = step.channels().getLast();
                    double share = (double) channel / Math.max(1, step.channels().size() - 1);
                    ChannelSettings spread = step.channels().get(channel);
                    for (Parameter p : step.kind().description().parameters()) {
                        double a = first.value(p.name()).rest();
                        double b = last.value(p.name()).rest();
                        if (p.drives() && !spread.value(p.name()).isMoving()) {
                            spread = spread.with(p.name(), Value.of(a + share * (b - a)));
                        }
                    }
                    return spread;
                });
    }

    /** Negates the driving parameters relative to their defaults. */
    private static ChannelSettings turned(Step step, ChannelSettings settings) {
        Description d = step.kind().description();
        Map<String, Value> values = new TreeMap<>(settings.values());
        values.replaceAll(
                (name, value) -> {
                    Parameter p = d.parameter(name);
                    return p.drives() ? value.map(v -> p.clamp(2 * p.rest() - v)) : value;
                });
        return settings.withValues(values);
    }

    private Optional<Step> step() {
        return session.state().step();
    }

    private interface Each {
        ChannelSettings of(Step step, int channel);
    }

    /** An operation between channels; not available for whole-picture treatments. */
    private void edit(String name, Each each) {
        if (step().filter(Step::isWhole).isPresent()) {
            return;
        }
        edit(
                name,
                step -> {
                    List<ChannelSettings> channels = new ArrayList<>();
                    for (int i = 0; i < step.channels().size(); i++) {
                        channels.add(each.of(step, i));
                    }
                    return step.withChannels(channels);
                });
    }

    private void edit(String name, UnaryOperator<Step> change) {
        String id = session.state().stepId();
        if (step().isPresent()) {
            session.editLook(name, l -> l.withStep(id, change));
        }
    }
}
