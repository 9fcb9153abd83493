package ivrik.core.separation;

import ivrik.core.colour.Matrix3;
import ivrik.core.colour.Transfer;
import ivrik.core.colour.TransferTable;
import ivrik.core.picture.Pixels;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Workers;

import java.util.List;

/** A model that is a matrix on the colour as delivered, or on its linear light. */
class Linear implements Separation {
    private final String id;
    private final String title;
    private final List<LaneKind> lanes;
    private final Matrix3 forward;
    private final Matrix3 back;
    private final Transfer transfer;

    /**
     * @param forward from colour to lanes; the way back is its inverse
     * @param transfer how colour becomes light first, LINEAR for colour as delivered
     */
    Linear(String id, String title, List<LaneKind> lanes, Matrix3 forward, Transfer transfer) {
        this.id = id;
        this.title = title;
        this.lanes = lanes;
        this.forward = forward;
        this.back = forward.inverse();
        this.transfer = transfer;
    }

    @Override
    public String id() {
        return id;
    }

    @Override
    public String title() {
        return title;
    }

    @Override
    public List<LaneKind> lanes() {
        return lanes;
    }

    private boolean isDelivered() {
        return transfer == Transfer.LINEAR;
    }

    @Override
    public List<Plane> separate(List<Plane> colour, Workers workers) {
        if (isDelivered()) {
            float[] m = forward.floats();
            return Pixels.map(colour, 3, workers, (in, out, n) -> Pixels.matrix(m, in, out, n));
        }
        double[] m = forward.numbers();
        TransferTable toLinear = TransferTable.toLinear(transfer);
        return Pixels.map(
                colour,
                3,
                workers,
                (in, out, n) -> {
                    for (float[] channel : in) {
                        toLinear.apply(channel, n);
                    }
                    Pixels.matrix(m, in, out, n);
                });
    }

    @Override
    public List<Plane> rejoin(List<Plane> planes, Workers workers) {
        if (isDelivered()) {
            float[] m = back.floats();
            return Pixels.map(planes, 3, workers, (in, out, n) -> Pixels.matrix(m, in, out, n));
        }
        double[] m = back.numbers();
        TransferTable fromLinear = TransferTable.fromLinear(transfer);
        return Pixels.map(
                planes,
                3,
                workers,
                (in, out, n) -> {
                    Pixels.matrix(m, in, out, n);
                    for (float[] channel : out) {
                        fromLinear.apply(channel, n);
                    }
                });
    }
}
