package ivrik.core.picture;

import ivrik.core.threads.Workers;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * Means of planes, by index, of lists that arrive one after another; the planes of a list that repeat one plane
 * are summed once. Not for several threads.
 */
public final class RunningMeans {
    private final Workers workers;
    private final List<double[]> sums = new ArrayList<>();
    private Size size;
    private int lists;
    private int planes;

    public RunningMeans(Workers workers) {
        this.workers = workers;
    }

    /**
     * Adds planes of one size. A list may be longer than the former ones while these repeated one plane.
     */
    public void add(List<Plane> list) {
        if (lists == 0) {
            Plane first = list.getFirst();
            size = new Size(first.width(), first.height());
            sums.add(new double[first.data().length]);
        }
        planes = Math.max(planes, list.size());
        boolean repeats = list.stream().allMatch(plane -> plane == list.getFirst());
        while (!repeats && sums.size() < planes) {
            sums.add(sums.getFirst().clone());
        }
        for (int i = 0; i < sums.size(); i++) {
            add(list.get(Math.min(i, list.size() - 1)), sums.get(i));
        }
        lists++;
    }

    private void add(Plane plane, double[] sum) {
        int width = size.width();
        workers.rows(
                size.height(),
                (from, to) -> {
                    for (int y = from; y < to; y++) {
                        int read = plane.row(y);
                        int write = y * width;
                        for (int x = 0; x < width; x++) {
                            sum[write + x] += plane.data()[read + x];
                        }
                    }
                });
    }

    /** The means, one for each plane of the longest list. */
    public List<Plane> means() {
        List<Plane> means = sums.stream().map(this::mean).toList();
        return means.size() < planes ? Collections.nCopies(planes, means.getFirst()) : means;
    }

    private Plane mean(double[] sum) {
        Plane mean = Plane.of(size.width(), size.height());
        int width = size.width();
        workers.rows(
                size.height(),
                (from, to) -> {
                    for (int y = from; y < to; y++) {
                        for (int x = 0; x < width; x++) {
                            mean.data()[mean.row(y) + x] = (float) (sum[y * width + x] / lists);
                        }
                    }
                });
        return mean;
    }
}
