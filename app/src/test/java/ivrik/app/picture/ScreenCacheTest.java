package ivrik.app.picture;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.picture.Workers;
import ivrik.core.project.Ground;
import ivrik.core.render.Plan;

import org.junit.jupiter.api.Test;

import java.util.List;

class ScreenCacheTest {
    private static Plan plan(int width) {
        return new Plan(new Size(width, 10), Ground.NOTHING, List.of());
    }

    private static Shown shown(double scale) {
        Plane p = Plane.flat(10, 10, 0.5f);
        return Shown.of(Frame.opaque(p, p, p), scale, Workers.shared());
    }

    @Test
    void aFrameIsFoundByItsPlanAndScaleWithoutItsSamples() {
        ScreenCache cache = new ScreenCache(1 << 20);
        cache.put(plan(1), shown(0.5));
        assertThat(cache.get(plan(1), 0.5).orElseThrow().frame()).isNull();
        assertThat(cache.get(plan(1), 0.5).orElseThrow().pixels()).containsOnly(0xff808080);
        assertThat(cache.get(plan(1), 1)).isEmpty();
        assertThat(cache.get(plan(2), 0.5)).isEmpty();
    }

    @Test
    void aBetterFrameServesWhereASmallerOneIsAskedFor() {
        ScreenCache cache = new ScreenCache(1 << 20);
        cache.put(plan(1), shown(1));
        cache.put(plan(2), shown(0.25));
        assertThat(cache.has(plan(1), 0.25)).isTrue();
        assertThat(cache.has(plan(2), 0.25)).isTrue();
        assertThat(cache.has(plan(2), 0.5)).isFalse();
    }

    @Test
    void theLeastRecentlyUsedGoFirst() {
        ScreenCache cache = new ScreenCache(3 * 400);
        for (int i = 1; i <= 3; i++) {
            cache.put(plan(i), shown(1));
        }
        cache.get(plan(1), 1);
        cache.put(plan(4), shown(1));
        assertThat(cache.get(plan(1), 1)).isPresent();
        assertThat(cache.get(plan(2), 1)).isEmpty();
        cache.put(plan(4), shown(1));
        assertThat(cache.get(plan(3), 1)).isPresent();
        cache.clear();
        assertThat(cache.get(plan(4), 1)).isEmpty();
    }
}
