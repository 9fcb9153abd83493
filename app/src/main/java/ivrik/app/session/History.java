package ivrik.app.session;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;

/** Undo and redo steps within a memory limit. */
final class History {
    private final long mostBytes;
    private final Deque<Edit> done = new ArrayDeque<>();
    private final Deque<Edit> undone = new ArrayDeque<>();
    private long bytes;

    /** An edit: name, state before and after, approximate memory. */
    private record Edit(String name, State before, State after, long bytes) {}

    /**
     * @param mostBytes memory limit; the oldest edits are dropped, the last one always stays
     */
    History(long mostBytes) {
        this.mostBytes = mostBytes;
    }

    void clear() {
        done.clear();
        undone.clear();
        bytes = 0;
    }

    void add(String name, State before, State after) {
        long takes = StateSize.of(before.project(), after.project());
        done.addLast(new Edit(name, before, after, takes));
        undone.clear();
        bytes += takes;
        while (bytes > mostBytes && done.size() > 1) {
            bytes -= done.removeFirst().bytes;
        }
    }

    /**
     * Extends the last edit if it has the same name and led to this state; otherwise adds an edit.
     */
    void addTo(String name, State before, State after) {
        Edit last = done.peekLast();
        if (last == null || last.after != before || !last.name.equals(name)) {
            add(name, before, after);
            return;
        }
        drop(last.before);
        add(name, last.before, after);
    }

    /** Drops the last edit without redo, if it started from this state. */
    void drop(State before) {
        if (!done.isEmpty() && done.getLast().before == before) {
            bytes -= done.removeLast().bytes;
        }
    }

    Optional<String> undoName() {
        return Optional.ofNullable(done.peekLast()).map(Edit::name);
    }

    Optional<String> redoName() {
        return Optional.ofNullable(undone.peekLast()).map(Edit::name);
    }

    /** The state before the last edit. */
    Optional<State> undo() {
        Edit last = done.pollLast();
        if (last == null) {
            return Optional.empty();
        }
        bytes -= last.bytes;
        undone.addLast(last);
        return Optional.of(last.before);
    }

    /** The state after the last undone edit. */
    Optional<State> redo() {
        Edit next = undone.pollLast();
        if (next == null) {
            return Optional.empty();
        }
        bytes += next.bytes;
        done.addLast(next);
        return Optional.of(next.after);
    }

    /** Number of edits that can be undone. */
    int size() {
        return done.size();
    }
}
