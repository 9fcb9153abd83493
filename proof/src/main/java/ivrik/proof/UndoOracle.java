package ivrik.proof;

import ivrik.app.session.ChannelEdits;
import ivrik.app.session.Follow;
import ivrik.app.session.SeparationChange;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.TakeEdits;
import ivrik.app.session.TreatmentEdits;
import ivrik.app.session.View;
import ivrik.core.json.ProjectJson;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.project.ProjectEdits;
import ivrik.core.project.ShotEdits;
import ivrik.core.separation.Separations;
import ivrik.core.treatment.Treatments;

import javafx.geometry.Point2D;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * Random edits of the demo: undoing all of them gives the start, redoing all gives the end, and each state
 * survives writing and reading.
 */
final class UndoOracle implements Trial {
    private final int edits;

    /**
     * @param edits number of successive edits
     */
    UndoOracle(int edits) {
        this.edits = edits;
    }

    @Override
    public String name() {
        return "undo-oracle";
    }

    @Override
    public int run(long seed, Path folder) throws Exception {
        Random random = new Random(seed);
        Project demo = GeneratedProjects.project();
        Session session = new Session(Long.MAX_VALUE); // keep all undo steps
        session.open(demo);
        View view = new View();
        List<Project> states = new ArrayList<>();
        states.add(session.project());
        for (int i = 0; i < edits; i++) {
            edit(session, view, random);
            if (!session.project().equals(states.getLast())) {
                states.add(session.project());
            }
        }
        Project end = session.project();
        if (!ProjectJson.read(ProjectJson.write(end)).project().equals(end)) {
            throw new Failure("the final project differs after writing and reading");
        }
        int undone = 0;
        while (session.undoName().isPresent()) {
            session.undo();
            undone++;
        }
        if (!session.project().equals(demo)) {
            throw new Failure("not the original after " + undone + " undo steps");
        }
        while (session.redoName().isPresent()) {
            session.redo();
        }
        if (!session.project().equals(end)) {
            throw new Failure("redo does not return to the final project");
        }
        return edits;
    }

    private static void edit(Session session, View view, Random random) {
        State state = session.state();
        Layer layer = state.layer().orElse(null);
        Look look = state.look().orElse(null);
        if (layer == null || look == null) {
            session.selectLayer(session.project().layers().getFirst().id());
            return;
        }
        TreatmentEdits steps = new TreatmentEdits(session);
        List<Step> all = look.steps();
        switch (random.nextInt(16)) {
            case 0 -> steps.add(Treatments.all().get(random.nextInt(Treatments.all().size())));
            case 1 -> steps.remove(state.stepId());
            case 2 -> steps.move(state.stepId(), random.nextInt(3) - 1);
            case 3 ->
                    SeparationChange.change(
                            session,
                            view,
                            Separations.all().get(random.nextInt(Separations.all().size())));
            case 4 -> session.selectLayer(any(session.project().layers(), random).id());
            case 5 -> session.selectChannel(random.nextInt(look.channels().size()));
            case 6 -> nudge(session, random);
            case 7 ->
                    session.editLayer(
                            "Cut",
                            l -> new ShotEdits(session.project(), l).split(random.nextInt(240)));
            case 8 ->
                    session.editLayer(
                            "Move",
                            l ->
                                    new ShotEdits(session.project(), l)
                                            .moved(
                                                    any(l.clips(), random).id(),
                                                    random.nextInt(240)));
            case 9 ->
                    session.editLayer(
                            "Remove",
                            l ->
                                    new ShotEdits(session.project(), l)
                                            .without(
                                                    any(l.clips(), random).id(),
                                                    random.nextBoolean()));
            case 10 ->
                    session.editLook(
                            "Look",
                            old ->
                                    BuiltInLooks.shelf()
                                            .get(random.nextInt(BuiltInLooks.shelf().size()))
                                            .withExampleSettings());
            case 11 ->
                    session.editLayer(
                            "One more",
                            l -> ProjectEdits.withNewLook(l, l.freeLookId(), l.looks().size() - 1));
            case 12 -> new TakeEdits(session, view).save();
            case 13 -> onShot(session, layer, random);
            case 14 -> {
                if (!all.isEmpty()) {
                    session.selectCell(any(all, random).id(), state.channel());
                }
            }
            default -> {
                session.undo();
                session.redo();
            }
        }
    }

    private static void onShot(Session session, Layer layer, Random random) {
        Clip shot = any(layer.clips(), random);
        session.editLayer(
                "Only here",
                l ->
                        l.withLooks(
                                l.looks().stream()
                                        .map(
                                                k ->
                                                        random.nextBoolean()
                                                                ? k.withShots(List.of(shot.id()))
                                                                : k)
                                        .toList()));
    }

    private static void nudge(Session session, Random random) {
        if (ChannelEdits.hasShift(session.state())) {
            int channel = ChannelEdits.share(session.state());
            String step = session.state().stepId();
            Follow follow = Follow.values()[random.nextInt(Follow.values().length)];
            Point2D to = new Point2D(random.nextInt(40) - 20, random.nextInt(40) - 20);
            session.editLook("Nudge", l -> follow.moved(l, step, channel, random.nextInt(240), to));
        }
    }

    private static <T> T any(List<T> all, Random random) {
        return all.get(random.nextInt(all.size()));
    }
}
