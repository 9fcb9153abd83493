package ivrik.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.bytedeco.ffmpeg.global.avutil.AVERROR_INVALIDDATA;

import ivrik.core.threads.Workers;
import ivrik.media.decode.Footage;
import ivrik.media.ffmpeg.Ffmpeg;

import org.bytedeco.javacpp.BytePointer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;

/** FFmpeg's messages about files, as users see them. */
class FfmpegWordsTest {
    @TempDir Path folder;

    @Test
    void textsEndAtTheirZeroByte() {
        Ffmpeg.load();
        assertThat(Ffmpeg.errorText(AVERROR_INVALIDDATA))
                .isEqualTo("Invalid data found when processing input");
        byte[] bytes = "a word\0a/lang/Object".getBytes(StandardCharsets.US_ASCII);
        try (BytePointer text = new BytePointer(bytes.length)) {
            text.put(bytes);
            assertThat(Ffmpeg.text(text)).isEqualTo("a word");
        }
        assertThat(Ffmpeg.text(null)).isEmpty();
    }

    /** Writes a movie with an unknown codec tag. */
    @Test
    void anUnknownCodecIsReported() throws IOException {
        Path movie = TestMedia.counting(folder.resolve("m.mov"), 3, "png", "", ",format=rgb24");
        String bytes = Files.readString(movie, StandardCharsets.ISO_8859_1);
        int name = bytes.indexOf("png ", bytes.indexOf("stsd"));
        String renamed = bytes.substring(0, name) + "zzzz" + bytes.substring(name + 4);
        Files.writeString(movie, renamed, StandardCharsets.ISO_8859_1);
        assertThatThrownBy(() -> Footage.open(movie, Workers.shared()))
                .isInstanceOf(UnreadableMediaException.class)
                .hasMessageContaining("m.mov")
                .hasMessageContaining("its codec is not supported")
                .hasMessageNotContaining("has no size");
    }
}
