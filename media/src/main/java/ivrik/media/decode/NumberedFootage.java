package ivrik.media.decode;

import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;
import ivrik.core.project.Source;
import ivrik.core.project.Source.FootageSettings;
import ivrik.core.threads.Workers;

/** A numbered sequence; the first still determines its properties. */
record NumberedFootage(
        NumberedSequence sequence,
        FootageSettings reading,
        Workers workers,
        Size size,
        Depth depth,
        String format,
        FootageColours colours)
        implements Footage {
    NumberedFootage(NumberedSequence sequence, FootageSettings reading, Workers workers) {
        Footage still = Footage.open(sequence.file(0), reading, workers);
        this(
                sequence,
                reading,
                workers,
                still.size(),
                still.depth(),
                still.format(),
                still.colours());
        still.close();
    }

    @Override
    public Source.Kind kind() {
        return Source.Kind.SEQUENCE;
    }

    @Override
    public long frames() {
        return sequence.frames();
    }

    @Override
    public Frame delivered(long n, Size shown) {
        return read(n, shown).frame(workers);
    }

    @Override
    public ReadFrame read(long n, Size shown) {
        try (Footage still = Footage.open(sequence.file(n), reading, workers)) {
            return still.read(0, shown);
        }
    }
}
