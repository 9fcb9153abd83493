package ivrik.app.session;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;

/** The edits that can be undone and those that can be done again, as many as memory allows. */
final class History {
    private final long mostBytes;
    private final Deque<Edit> done = new ArrayDeque<>();
    private final Deque<Edit> undone = new ArrayDeque<>();
    private long bytes;

    /**
     * An edit's name, the states before and after it, and about what it takes.
     */
    private record Edit(String name, State before, State after, long bytes) {}

    /**
     * @param mostBytes of all edits together; the oldest go first, the last one stays whatever it takes
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
        long takes = Weight.of(before.project(), after.project());
        done.addLast(new Edit(name, before, after, takes));
        undone.clear();
        bytes += takes;
        while (bytes > mostBytes && done.size() > 1) {
            bytes -= done.removeFirst().bytes;
        }
    }

    /** Goes on with the last edit, if it has that name and led to this very state; else it is one more. */
    void addTo(String name, State before, State after) {
        Edit last = done.peekLast();
        if (last == null || last.after != before || !last.name.equals(name)) {
            add(name, before, after);
            return;
        }
        drop(last.before);
        add(name, last.before, after);
    }

    /** Takes the last edit back for good, if it began with this very state. */
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

    /** The state after the edit that was undone last. */
    Optional<State> redo() {
        Edit next = undone.pollLast();
        if (next == null) {
            return Optional.empty();
        }
        bytes += next.bytes;
        done.addLast(next);
        return Optional.of(next.after);
    }

    /** How many edits can be undone. */
    int size() {
        return done.size();
    }
}
