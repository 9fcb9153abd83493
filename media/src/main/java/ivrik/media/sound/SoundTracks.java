package ivrik.media.sound;

import static org.bytedeco.ffmpeg.global.avcodec.avcodec_get_name;
import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.media.UnreadableMediaException;
import ivrik.media.decode.Demuxer;
import ivrik.media.ffmpeg.Ffmpeg;

import org.bytedeco.ffmpeg.avformat.AVStream;
import org.bytedeco.ffmpeg.avutil.AVDictionaryEntry;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** The sound tracks of a file. */
public final class SoundTracks {
    private SoundTracks() {}

    /**
     * One sound track.
     *
     * @param number stream index
     * @param language declared language, or empty
     */
    public record Track(int number, String format, int channels, String language) {
        public String description() {
            return number
                    + ": "
                    + format
                    + ", "
                    + channels
                    + (channels == 1 ? " channel" : " channels")
                    + (language.isEmpty() ? "" : ", " + language);
        }
    }

    /** All sound tracks; empty for a file without sound. */
    public static List<Track> of(Path file) {
        List<Track> tracks = new ArrayList<>();
        if (!Files.isRegularFile(file)) {
            return tracks;
        }
        try (Demuxer demuxer = new Demuxer(file, AVMEDIA_TYPE_AUDIO, Demuxer.BEST)) {
            for (int i = 0; i < demuxer.format().nb_streams(); i++) {
                AVStream stream = demuxer.format().streams(i);
                if (stream.codecpar().codec_type() == AVMEDIA_TYPE_AUDIO) {
                    AVDictionaryEntry language =
                            av_dict_get(stream.metadata(), "language", null, 0);
                    tracks.add(
                            new Track(
                                    i,
                                    Ffmpeg.text(avcodec_get_name(stream.codecpar().codec_id())),
                                    stream.codecpar().ch_layout().nb_channels(),
                                    language == null || language.isNull()
                                            ? ""
                                            : Ffmpeg.text(language.value())));
                }
            }
        } catch (UnreadableMediaException e) {
            return List.of(); // the file has no sound
        }
        return tracks;
    }
}
