package ivrik.demo;

import ivrik.core.picture.Frame;

/** Moving footage made by code. */
interface Scene {
    int WIDTH = 1280;
    int HEIGHT = 720;
    int RATE = 24;
    int FRAMES = 96;

    /** A frame, 0 to {@link #FRAMES} - 1. */
    Frame frame(int n);

    /** Seconds of a frame. */
    static double seconds(int n) {
        return (double) n / RATE;
    }
}
