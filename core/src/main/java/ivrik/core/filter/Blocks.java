package ivrik.core.filter;

import ivrik.core.threads.Cancel;

import java.util.ArrayList;
import java.util.List;

/**
 * Windows down the columns by the blocks of van Herk 1992 and Gil and Werman 1993: each window is the
 * end of one block and the beginning of the next, so that a row costs three merges however long the
 * window is. Blocks begin at multiples of the window's length, whichever row is asked for first. For one
 * thread; rows are best asked for in order.
 *
 * @param <A> a row of samples
 */
abstract class Blocks<A> {
    /** How long rows are. */
    final int room;

    private final int length;
    private final List<A> after = new ArrayList<>();
    private final A before;
    private final A row;
    private final A result;
    private int block = -1;
    private int reached;

    Blocks(int length, int room) {
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

    /** Reads row {@code n} of those that the windows are made of; the first window begins with row 0. */
    abstract void read(int n, A to);

    /** Puts two rows together into a third, which may be one of them. */
    abstract void merge(A a, A b, A out);

    /** What the window of row {@code y} comes to, until the next is asked for. */
    A window(int y) {
        int k = y % length;
        if (block != y - k || reached > k) {
            begin(y - k);
        }
        while (reached < k) {
            Cancel.poll();
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
            Cancel.poll();
            read(block + k, after.get(k));
            merge(after.get(k), after.get(k + 1), after.get(k));
        }
    }
}
