package ivrik.bench;

/**
 * Model of a farm render. Times are seconds of one node; a node renders one part at a time.
 *
 * @param start overhead of a part before its first frame: scheduler, Java, opening files and seeking
 * @param frame decoding, rendering and encoding one frame
 * @param join overhead of the last job before its first frame
 * @param bytesIn read from the shared disk per frame
 * @param bytesOut written per frame; joining reads and writes it once more
 * @param diskRate bytes per second of the shared disk, for all nodes
 */
record FarmModel(
        double start, double frame, double join, double bytesIn, double bytesOut, double diskRate) {

    /** Time of all parts without joining: the rounds per node, or the disk if slower. */
    double parts(long frames, int parts, int nodes) {
        double rounds = Math.ceilDiv(parts, nodes);
        double atNodes = rounds * (start + frame * frames / parts);
        return Math.max(atNodes, start + (bytesIn + bytesOut) * frames / diskRate);
    }

    /** Time of the last job: every byte is read and written once. */
    double joining(long frames) {
        return join + 2 * bytesOut * frames / diskRate;
    }

    double all(long frames, int parts, int nodes) {
        return parts(frames, parts, nodes) + joining(frames);
    }

    /**
     * Optimal number of parts per node. Each part costs its start, and at the end nodes wait for the slowest,
     * half a part on average: k parts per node cost k start + work / k / 2 in addition to the work, which is
     * minimal at the square root.
     */
    double partsANode(long frames, int nodes) {
        return Math.max(1, Math.sqrt(frame * frames / nodes / 2 / start));
    }
}
