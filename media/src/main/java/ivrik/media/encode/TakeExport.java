package ivrik.media.encode;

import ivrik.core.look.PortableLook;
import ivrik.core.project.Project;
import ivrik.core.project.Takes.OfLayer;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;
import ivrik.media.UnwritableTargetException;
import ivrik.media.encode.Export.Order;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.LongConsumer;

/** Exports several takes of a project, each to its own file. */
public final class TakeExport {
    private TakeExport() {}

    /**
     * The export of each take.
     *
     * @param order export of the project; {@link OutputName#TAKE} in its target stands for the take's name
     * @throws UnwritableTargetException if there are several takes and no placeholder
     */
    public static List<Order> orders(Order order, List<OfLayer> takes) {
        String out = order.out().toString();
        if (takes.size() > 1 && !out.contains(OutputName.TAKE)) {
            throw new UnwritableTargetException(
                    takes.size() + " takes cannot share one file",
                    "add "
                            + OutputName.TAKE
                            + " to the file name; it is replaced by the name of each take",
                    null);
        }
        List<Order> orders = new ArrayList<>();
        Set<String> taken = new HashSet<>();
        for (OfLayer each : takes) {
            String own = PortableLook.name(each.take().name());
            String name = own;
            for (int n = 2; !taken.add(name); n++) {
                name = own + "-" + n;
            }
            orders.add(
                    order.withProject(alone(each, order.project()))
                            .withOut(Path.of(out.replace(OutputName.TAKE, name))));
        }
        return List.copyOf(orders);
    }

    /**
     * The project without other takes, so that changes to those do not prevent continuing an interrupted
     * export.
     */
    private static Project alone(OfLayer take, Project project) {
        Project laid = take.in(project);
        return laid.withLayers(laid.layers().stream().map(l -> l.withTakes(List.of())).toList());
    }

    /**
     * Runs all exports; complete ones stay if a later one fails or is cancelled.
     *
     * @param progress receives the total number of finished frames
     * @return notes for the user
     */
    public static List<String> run(
            List<Order> orders, Workers workers, LongConsumer progress, Cancellation cancel) {
        orders.forEach(Export::protect);
        List<String> notes = new ArrayList<>();
        long before = 0;
        for (Order order : orders) {
            long done = before;
            notes.addAll(Export.run(order, workers, n -> progress.accept(done + n), cancel));
            before += order.range().length();
        }
        return notes.stream().distinct().toList();
    }
}
