package ivrik.media;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.colour.ColourSpace;
import ivrik.core.project.Source;
import ivrik.core.project.Source.FootageSettings;
import ivrik.core.render.Plan;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Import;
import ivrik.media.decode.MediaPictures;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.nio.file.Path;
import java.util.Optional;

/** Colour space options for footage with absent or wrong tags. */
class ColourSpaceOptionTest {
    @TempDir Path folder;

    /** Code 500 of 10 bit as PQ is equal with a tag and with the option. */
    @Test
    void theOptionReplacesMissingTags() {
        String flat =
                "color=black:s=8x8:r=25:d=0.04,format=yuv444p10,geq=lum=500:cb=512:cr=512"
                        + ",setparams=range=tv:colorspace=bt2020nc";
        String tags = ":color_primaries=bt2020:color_trc=smpte2084";
        Path plain =
                TestMedia.make(folder.resolve("plain.mkv"), new TestMedia.Track(flat, "ffv1", ""));
        Path tagged =
                TestMedia.make(
                        folder.resolve("tagged.mkv"), new TestMedia.Track(flat + tags, "ffv1", ""));
        var source = Import.source(plain, "s");
        try (var pictures = new MediaPictures(Workers.shared())) {
            var reported =
                    source.withSettings(
                            FootageSettings.AUTOMATIC.inColourSpace(
                                    Optional.of(ColourSpace.BT2100_PQ)));
            var said = Import.source(tagged, "s");
            float a = at(pictures, reported);
            assertThat(a).isEqualTo(at(pictures, said)).isNotEqualTo(at(pictures, source));
        }
    }

    private static float at(MediaPictures pictures, Source source) {
        return pictures.frame(new Plan.Picture(source, 0), source.size()).colour().get(0).at(3, 3);
    }
}
