package ivrik.app.picture;

import ivrik.media.sound.SoundReader;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.util.Optional;

import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.LineUnavailableException;
import javax.sound.sampled.SourceDataLine;

/** A sound output: 16-bit little-endian stereo at {@link SoundReader#RATE}. */
interface Speaker extends AutoCloseable {
    AudioFormat FORMAT = new AudioFormat(SoundReader.RATE, 16, 2, true, false);

    /** Writes samples; waits for free space. */
    void play(byte[] samples);

    /** Number of audible samples per channel so far. */
    long heard();

    /** Stops at once. */
    @Override
    void close();

    /** The default output of the machine; empty if there is none available. */
    static Optional<Speaker> ofTheMachine() {
        Logger log = LoggerFactory.getLogger(Speaker.class);
        try {
            SourceDataLine line = AudioSystem.getSourceDataLine(FORMAT);
            line.open(FORMAT, FORMAT.getFrameSize() * SoundReader.RATE / 10);
            line.start();
            return Optional.of(
                    new Speaker() {
                        @Override
                        public void play(byte[] samples) {
                            line.write(samples, 0, samples.length);
                        }

                        @Override
                        public long heard() {
                            return line.getLongFramePosition();
                        }

                        @Override
                        public void close() {
                            line.stop();
                            line.flush();
                            line.close();
                        }
                    });
        } catch (LineUnavailableException | IllegalArgumentException e) {
            log.info("this machine has no free sound output: {}", e.getMessage());
            return Optional.empty();
        }
    }
}
