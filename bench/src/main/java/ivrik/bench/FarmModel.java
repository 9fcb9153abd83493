package ivrik.bench;

/**
 * How long a farm takes, on paper. Times are in seconds of one node; a node does one part at a time.
 *
 * @param start what each part costs before its first frame: the scheduler, Java, files opened, and what must be
 *     decoded to come to it
 * @param frame decoding, rendering and encoding one frame
 * @param join what the last job costs before its first frame
 * @param bytesIn read from the shared disk for each frame
 * @param bytesOut written for each frame, and by joining read and written once more
 * @param diskRate bytes a second of the shared disk, all nodes together
 */
record FarmModel(
        double start, double frame, double join, double bytesIn, double bytesOut, double diskRate) {

    /** All parts but the join: as many rounds as parts go to a node, or the disk if that is slower. */
    double parts(long frames, int parts, int nodes) {
        double rounds = Math.ceilDiv(parts, nodes);
        double atNodes = rounds * (start + frame * frames / parts);
        return Math.max(atNodes, start + (bytesIn + bytesOut) * frames / diskRate);
    }

    /** The last job: every byte of the parts is read and written once. */
    double joining(long frames) {
        return join + 2 * bytesOut * frames / diskRate;
    }

    double all(long frames, int parts, int nodes) {
        return parts(frames, parts, nodes) + joining(frames);
    }

    /**
     * How many parts a node had best do. Each costs its start; at the end nodes wait for the slowest, half a part
     * on the mean: k parts a node cost k start + work / k / 2 more than the work itself, least at the root.
     */
    double partsANode(long frames, int nodes) {
        return Math.max(1, Math.sqrt(frame * frames / nodes / 2 / start));
    }
}
