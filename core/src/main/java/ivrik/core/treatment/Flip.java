package ivrik.core.treatment;

import ivrik.core.filter.Affine;
import ivrik.core.filter.Warp;
import ivrik.core.picture.Size;

/** Mirrors a channel horizontally or vertically. */
public final class Flip implements Move {
    private static final Description DESCRIPTION =
            Description.of(
                            "flip",
                            "Flip",
                            "Flips a channel horizontally or vertically.",
                            TreatmentGroup.MOVES,
                            Control.RULER,
                            Parameter.of("across", "horizontal", "", 0, 1, 0, 1).example(1, 0),
                            Parameter.of("down", "vertical", "", 0, 1, 0, 1))
                    .with(Trait.SPREADS);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public boolean isNeutral(Settings settings) {
        return settings.amount() == 0 || !settings.isOn("across") && !settings.isOn("down");
    }

    @Override
    public Warp warp(Settings settings, Size size, Context context) {
        return Affine.scaled(
                settings.isOn("across") ? -1 : 1,
                settings.isOn("down") ? -1 : 1,
                size.width() / 2.0,
                size.height() / 2.0);
    }

    @Override
    public ValidRegion covered(ValidRegion before, Settings settings, Size size) {
        boolean across = settings.isOn("across");
        boolean down = settings.isOn("down");
        return new ValidRegion(
                across ? size.width() - before.right() : before.left(),
                down ? size.height() - before.bottom() : before.top(),
                across ? size.width() - before.left() : before.right(),
                down ? size.height() - before.top() : before.bottom());
    }
}
