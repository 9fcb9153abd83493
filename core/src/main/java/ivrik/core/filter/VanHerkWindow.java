package ivrik.core.filter;

import ivrik.core.threads.Cancellation;

import java.util.ArrayList;
import java.util.List;

/**
 * Sliding windows down the columns by the block algorithm of van Herk 1992 and Gil and Werman 1993: each
 * window consists of the end of one block and the beginning of the next, so that each row costs three merges
 * for any window length. Blocks start at multiples of the window length, whichever row is requested first.
 * For one thread; rows are best requested in order.
 *
 * @param <A> a row of samples
 */
abstract class VanHerkWindow<A> {
    /** Samples per row. */
    final int room;

    private final int length;
    private final List<A> after = new ArrayList<>();
    private final A before;
    private final A row;
    private final A result;
    private int block = -1;
    private int reached;

    VanHerkWindow(int length, int room) {
        this.length = length;
        this.room = room;
        for (int k = 0; k < length; k++) {
            after.add(fresh());
        }
        this.before = fresh();
        this.row = fresh();
        this.result = fresh();
    }

    abstract A fresh();

    /** Reads input row {@code n}; the first window starts at row 0. */
    abstract void read(int n, A to);

    /** Combines two rows into a third, which may be one of them. */
    abstract void merge(A a, A b, A out);

    /** Result of the window of row {@code y}; valid until the next call. */
    A window(int y) {
        int k = y % length;
        if (block != y - k || reached > k) {
            begin(y - k);
        }
        while (reached < k) {
            Cancellation.poll();
            reached++;
            if (reached == 1) {
                read(block + length, before);
            } else {
                read(block + length + reached - 1, row);
                merge(before, row, before);
            }
        }
        if (k == 0) {
            return after.getFirst();
        }
        merge(after.get(k), before, result);
        return result;
    }

    private void begin(int at) {
        block = at;
        reached = 0;
        read(block + length - 1, after.getLast());
        for (int k = length - 2; k >= 0; k--) {
            Cancellation.poll();
            read(block + k, after.get(k));
            merge(after.get(k), after.get(k + 1), after.get(k));
        }
    }
}
