package ivrik.core.json;

import ivrik.core.picture.Size;
import ivrik.core.project.Project;
import ivrik.core.render.Plan;
import ivrik.core.render.Plan.ChannelSourcePlan;
import ivrik.core.render.Plan.HuePlan;
import ivrik.core.render.Plan.LayerPlan;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.render.Plan.MaskPlan;
import ivrik.core.render.Plan.MattePlan;
import ivrik.core.render.Plan.Picture;
import ivrik.core.render.Plan.PlacementPlan;
import ivrik.core.render.Plan.StepPlan;
import ivrik.core.render.Plan.TonePlan;
import ivrik.core.render.Planner;
import ivrik.core.treatment.Settings;

import java.util.List;
import java.util.Optional;
import java.util.TreeMap;

/** Plans as text with every number in full, for comparison with plans of older versions. */
final class PlanText {
    private final StringBuilder text = new StringBuilder();

    private PlanText() {}

    static String of(Project project, long frame) {
        PlanText all = new PlanText();
        Plan plan = Planner.plan(project, frame);
        Size size = plan.size();
        all.line(
                0,
                "frame",
                frame,
                size.width() + "x" + size.height(),
                plan.background().id().toUpperCase(java.util.Locale.ROOT));
        plan.layers().forEach(all::layer);
        return all.text.toString();
    }

    private void line(int depth, Object... words) {
        text.append(" ".repeat(depth));
        for (int i = 0; i < words.length; i++) {
            text.append(i == 0 ? "" : " ").append(words[i]);
        }
        text.append("\n");
    }

    private static String picture(Picture picture) {
        return picture.source().id() + "@" + picture.frame();
    }

    private static String place(PlacementPlan p) {
        return String.join(
                " ",
                List.of(
                        p.fit().toString(),
                        "" + p.x(),
                        "" + p.y(),
                        "" + p.scale(),
                        "" + p.angleDegrees(),
                        "" + p.flipX(),
                        "" + p.flipY()));
    }

    private void layer(LayerPlan l) {
        line(
                1,
                "layer",
                l.id(),
                picture(l.picture().orElseThrow()),
                place(l.placement()),
                l.blend().id(),
                l.opacity());
        l.looks().forEach(this::look);
    }

    private void look(LookPlan l) {
        line(2, "look", l.separation(), l.rejoin().id(), l.blend().id(), l.opacity(), l.overscan());
        l.prints()
                .forEach(
                        p ->
                                line(
                                        3,
                                        "plate",
                                        p.channel(),
                                        p.visible(),
                                        p.ink().hex(),
                                        p.strength()));
        l.channelSources().forEach(this::channelSource);
        l.mask().ifPresent(this::mask);
        l.steps().forEach(this::step);
    }

    private void channelSource(ChannelSourcePlan channelSource) {
        if (channelSource == null) {
            line(3, "feed", "own");
        } else {
            line(
                    3,
                    "feed",
                    channelSource.picture().map(p -> picture((Plan.Picture) p)).orElse("nothing"),
                    place(channelSource.placement()));
        }
    }

    private void mask(MaskPlan mask) {
        TonePlan t = mask.tones().orElse(null);
        HuePlan h = mask.hues().orElse(null);
        MattePlan m = mask.matte().orElse(null);
        String matte =
                m == null
                        ? "none"
                        : m.picture().map(p -> p.source().id()).orElse("nothing") + m.luma();
        line(
                3,
                "reach",
                t == null
                        ? "all tones"
                        : t.low() + " " + t.high() + " " + t.soft() + " " + t.linear(),
                h == null ? "all hues" : h.hue() + " " + h.width() + " " + h.soft(),
                "" + mask.inverted() + mask.spreads(),
                matte);
    }

    private void step(StepPlan step) {
        line(3, "step", step.treatment(), step.picture().map(PlanText::picture).orElse(""));
        for (int channel = 0; channel < step.channels().size(); channel++) {
            Optional<Settings> settings = Optional.ofNullable(step.channels().get(channel));
            int number = channel;
            settings.ifPresentOrElse(
                    s ->
                            line(
                                    4,
                                    number,
                                    new TreeMap<>(s.numbers()),
                                    new TreeMap<>(s.choices()),
                                    s.edgeFill(),
                                    s.sampler().ordinal()),
                    () -> line(4, number, "left alone"));
        }
    }
}
