package ivrik.core.separation;

import ivrik.core.colour.Matrix3;
import ivrik.core.colour.Transfer;
import ivrik.core.colour.TransferTable;
import ivrik.core.picture.Pixels;

import java.util.List;

/** A model that is a matrix of gamma-encoded or linear colour. */
final class Linear implements Separation {
    private final String id;
    private final String title;
    private final List<ChannelKind> channels;
    private final float[] forward;
    private final float[] back;
    private final double[] precise;
    private final double[] preciseBack;
    private final Transfer transfer;

    /**
     * @param forward from colour to channels; its inverse leads back
     * @param transfer transfer function to the matrix's input; LINEAR for gamma-encoded colour
     */
    Linear(
            String id,
            String title,
            List<ChannelKind> channels,
            Matrix3 forward,
            Transfer transfer) {
        this.id = id;
        this.title = title;
        this.channels = channels;
        this.forward = forward.floats();
        this.back = forward.inverse().floats();
        this.precise = forward.numbers();
        this.preciseBack = forward.inverse().numbers();
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
    public List<ChannelKind> channels() {
        return channels;
    }

    @Override
    public boolean isLinear() {
        return true;
    }

    private boolean isDelivered() {
        return transfer == Transfer.LINEAR;
    }

    @Override
    public void separate(float[][] colour, float[][] out, int n) {
        if (isDelivered()) {
            Pixels.matrix(forward, colour, out, n);
        } else {
            for (float[] channel : colour) {
                TransferTable.toLinear(transfer).apply(channel, n);
            }
            Pixels.matrix(precise, colour, out, n);
        }
    }

    @Override
    public void rejoin(float[][] in, float[][] colour, int n) {
        if (isDelivered()) {
            Pixels.matrix(back, in, colour, n);
        } else {
            Pixels.matrix(preciseBack, in, colour, n);
            for (float[] channel : colour) {
                TransferTable.fromLinear(transfer).apply(channel, n);
            }
        }
    }
}
