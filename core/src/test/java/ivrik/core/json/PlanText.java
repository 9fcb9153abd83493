package ivrik.core.json;

import ivrik.core.picture.Size;
import ivrik.core.project.Project;
import ivrik.core.render.Plan;
import ivrik.core.render.Plan.FeedPlan;
import ivrik.core.render.Plan.HuePlan;
import ivrik.core.render.Plan.LayerPlan;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.render.Plan.MattePlan;
import ivrik.core.render.Plan.Picture;
import ivrik.core.render.Plan.PlacePlan;
import ivrik.core.render.Plan.ReachPlan;
import ivrik.core.render.Plan.StepPlan;
import ivrik.core.render.Plan.TonePlan;
import ivrik.core.render.Planner;
import ivrik.core.treatment.Settings;

import java.util.List;
import java.util.Optional;
import java.util.TreeMap;

/** Plans as text, every number in full, so that those of an older Ivrik can be compared. */
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
                plan.ground().id().toUpperCase(java.util.Locale.ROOT));
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

    private static String place(PlacePlan p) {
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
                place(l.place()),
                l.blend().id(),
                l.opacity());
        l.looks().forEach(this::look);
    }

    private void look(LookPlan l) {
        line(
                2,
                "look",
                l.separation(),
                l.rejoin().id(),
                l.onto().id(),
                l.ontoAmount(),
                l.overscan());
        l.plates().forEach(p -> line(3, "plate", p.lane(), p.shown(), p.ink().hex(), p.strength()));
        l.feeds().forEach(this::feed);
        l.reach().ifPresent(this::reach);
        l.steps().forEach(this::step);
    }

    private void feed(FeedPlan feed) {
        if (feed == null) {
            line(3, "feed", "own");
        } else {
            line(
                    3,
                    "feed",
                    feed.picture().map(p -> picture((Plan.Picture) p)).orElse("nothing"),
                    place(feed.place()));
        }
    }

    private void reach(ReachPlan reach) {
        TonePlan t = reach.tones().orElse(null);
        HuePlan h = reach.hues().orElse(null);
        MattePlan m = reach.matte().orElse(null);
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
                "" + reach.inverted() + reach.spreads(),
                matte);
    }

    private void step(StepPlan step) {
        line(3, "step", step.treatment(), step.picture().map(PlanText::picture).orElse(""));
        for (int lane = 0; lane < step.lanes().size(); lane++) {
            Optional<Settings> settings = Optional.ofNullable(step.lanes().get(lane));
            int number = lane;
            settings.ifPresentOrElse(
                    s ->
                            line(
                                    4,
                                    number,
                                    new TreeMap<>(s.numbers()),
                                    new TreeMap<>(s.words()),
                                    s.edgeFill(),
                                    s.sampler().ordinal()),
                    () -> line(4, number, "left alone"));
        }
    }
}
