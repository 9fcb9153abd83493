package ivrik.core.separation;

import ivrik.core.picture.Plane;
import ivrik.core.separation.ChannelKind.Role;
import ivrik.core.threads.Workers;

import java.util.List;

/** Red, green and blue: the colour planes themselves, exact at any depth. */
public final class Rgb implements Separation {
    private static final List<ChannelKind> CHANNELS =
            List.of(
                    new ChannelKind("red", "Red", "R", Role.FIRST, Ink.RED, Paint.LIGHT),
                    new ChannelKind("green", "Green", "G", Role.SECOND, Ink.GREEN, Paint.LIGHT),
                    new ChannelKind("blue", "Blue", "B", Role.THIRD, Ink.BLUE, Paint.LIGHT));

    @Override
    public String id() {
        return "rgb";
    }

    @Override
    public String title() {
        return "RGB";
    }

    @Override
    public List<ChannelKind> channels() {
        return CHANNELS;
    }

    @Override
    public boolean isLinear() {
        return true;
    }

    @Override
    public boolean isChannels() {
        return true;
    }

    @Override
    public void separate(float[][] colour, float[][] channels, int n) {
        for (int c = 0; c < 3; c++) {
            System.arraycopy(colour[c], 0, channels[c], 0, n);
        }
    }

    @Override
    public void rejoin(float[][] channels, float[][] colour, int n) {
        separate(channels, colour, n);
    }

    @Override
    public List<Plane> separate(List<Plane> colour, Workers workers) {
        return colour;
    }

    @Override
    public List<Plane> rejoin(List<Plane> channels, Workers workers) {
        return channels;
    }
}
