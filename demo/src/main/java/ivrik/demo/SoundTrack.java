package ivrik.demo;

import ivrik.core.motion.Hash;

/** Generated sound: a slow chord, the tram's hum and bell, or water and paper. */
final class SoundTrack {
    private static final int RATE = 48_000;

    private SoundTrack() {}

    /** Stereo samples of a frame. */
    static float[] frame(boolean tram, int n) {
        int count = RATE / Scene.RATE;
        float[] stereo = new float[2 * count];
        for (int i = 0; i < count; i++) {
            double t = (double) (n * count + i) / RATE;
            double fade = Math.clamp(Math.min(t / 0.25, (4 - t) / 0.25), 0, 1);
            double chord =
                    tram ? chord(t, 110, 164.81, 220, 277.18) : chord(t, 98, 146.83, 196, 246.94);
            double pan = 0.5 + 0.4 * Math.sin(0.7 * t);
            double extra = tram ? hum(t) + bell(t - 0.6) + bell(t - 0.95) : water(t);
            stereo[2 * i] = (float) (fade * (0.14 * chord + extra * (1 - pan)));
            stereo[2 * i + 1] = (float) (fade * (0.14 * chord + extra * pan));
        }
        return stereo;
    }

    private static double chord(double t, double... notes) {
        double sum = 0;
        for (int k = 0; k < notes.length; k++) {
            sum +=
                    Math.sin(2 * Math.PI * notes[k] * t + k)
                            * (0.7 + 0.3 * Math.sin(0.9 * t + 2 * k))
                            / (k + 1);
        }
        return sum / 2;
    }

    private static double hum(double t) {
        return 0.05 * Math.sin(2 * Math.PI * 62 * t + 3 * Math.sin(2.2 * t))
                + 0.02 * Math.sin(2 * Math.PI * 187 * t);
    }

    private static double bell(double t) {
        return t < 0
                ? 0
                : 0.09
                        * Math.exp(-5 * t)
                        * (Math.sin(2 * Math.PI * 1318 * t)
                                + 0.5 * Math.sin(2 * Math.PI * 2217 * t));
    }

    private static double water(double t) {
        double at = t * 900;
        double from = Hash.signed(77, (long) at);
        double to = Hash.signed(77, (long) at + 1);
        return 0.03
                * (0.6 + 0.4 * Math.sin(1.7 * t))
                * (from + (at - Math.floor(at)) * (to - from));
    }
}
