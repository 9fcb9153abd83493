package ivrik.core.render;

import ivrik.core.look.Placement;
import ivrik.core.picture.Size;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.render.Plan.PlacementPlan;
import ivrik.core.treatment.ValidRegion;

/** Crops a sequence; its layers stay in place in the picture. */
public final class SequenceCrop {
    private SequenceCrop() {}

    /** The project with its sequence cropped to whole pixels within {@code to}. */
    public static Project to(Project project, ValidRegion to) {
        Size old = project.sequence().size();
        double left = Math.ceil(to.left());
        double top = Math.ceil(to.top());
        int width = (int) Math.max(1, Math.floor(to.right()) - left);
        int height = (int) Math.max(1, Math.floor(to.bottom()) - top);
        double x = (old.width() - width) / 2.0 - left;
        double y = (old.height() - height) / 2.0 - top;
        return project.withSequence(project.sequence().withSize(new Size(width, height)))
                .withLayers(project.layers().stream().map(l -> moved(project, l, x, y)).toList());
    }

    /** The layer at original size, scaled as before, with its centre moved. */
    private static Layer moved(Project project, Layer layer, double x, double y) {
        Placement place = layer.placement();
        Size picture =
                project.source(layer.clips().getFirst().source())
                        .map(s -> s.size())
                        .orElse(project.sequence().size());
        PlacementPlan once = new PlacementPlan(place.fit(), 0, 0, 1, 0, false, false);
        double scale = PlacementTransform.scale(picture, project.sequence().size(), once);
        return layer.withPlacement(
                place.with(
                        p ->
                                p.fit(Placement.Fit.ORIGINAL_SIZE)
                                        .x(place.x().map(v -> v + x))
                                        .y(place.y().map(v -> v + y))
                                        .scale(place.scale().map(v -> v * scale))
                                        .pivotX(place.pivotX().map(v -> v / scale))
                                        .pivotY(place.pivotY().map(v -> v / scale))));
    }
}
