package ivrik.media.encode;

import ivrik.core.look.KeptLook;
import ivrik.core.project.Project;
import ivrik.core.project.Takes.OfLayer;
import ivrik.core.threads.Cancel;
import ivrik.core.threads.Workers;
import ivrik.media.UnwritableTargetException;
import ivrik.media.encode.Export.Order;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.LongConsumer;

/** Several takes of a project, one after the other, each to a file of its own. */
public final class TakeExport {
    private TakeExport() {}

    /**
     * What to write for each take.
     *
     * @param order of the project as it is; {@link OutputName#TAKE} in its target stands for the take's name
     * @throws UnwritableTargetException if there are several and the target does not say so
     */
    public static List<Order> orders(Order order, List<OfLayer> takes) {
        String out = order.out().toString();
        if (takes.size() > 1 && !out.contains(OutputName.TAKE)) {
            throw new UnwritableTargetException(
                    takes.size() + " takes cannot go to one file",
                    "put "
                            + OutputName.TAKE
                            + " into its name: the name of each take comes in its place",
                    null);
        }
        List<Order> orders = new ArrayList<>();
        Set<String> taken = new HashSet<>();
        for (OfLayer each : takes) {
            String own = KeptLook.name(each.take().name());
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

    /** What else is kept is no part of it: an export that was broken off goes on whatever is kept meanwhile. */
    private static Project alone(OfLayer take, Project project) {
        Project laid = take.in(project);
        return laid.withLayers(laid.layers().stream().map(l -> l.withTakes(List.of())).toList());
    }

    /**
     * Writes them all; those that are whole when one fails or it is cancelled stay.
     *
     * @param progress told how many frames of all of them are done
     * @return what is not as one would expect, in words for the user
     */
    public static List<String> run(
            List<Order> orders, Workers workers, LongConsumer progress, Cancel cancel) {
        orders.forEach(Export::protect);
        List<String> words = new ArrayList<>();
        long before = 0;
        for (Order order : orders) {
            long done = before;
            words.addAll(Export.run(order, workers, n -> progress.accept(done + n), cancel));
            before += order.range().length();
        }
        return words.stream().distinct().toList();
    }
}
