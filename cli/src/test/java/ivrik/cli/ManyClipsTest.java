package ivrik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/** One look applied to a folder of clips. */
class ManyClipsTest extends Commanded {
    private static final int CLIPS = 50;

    private Path clips;
    private Path outs;

    @BeforeEach
    void folders() throws IOException {
        clips = Files.createDirectory(folder.resolve("clips"));
        outs = folder.resolve("out");
    }

    private void fiftyOfWhichTwoAreBad() throws IOException {
        Path good = picture8("good.png", false);
        for (int i = 0; i < CLIPS; i++) {
            Files.copy(good, clips.resolve(String.format("clip-%02d.png", i)));
        }
        Files.writeString(clips.resolve("clip-07.png"), "this is no picture");
        Files.write(clips.resolve("clip-31.png"), new byte[0]);
    }

    private int all(String... more) {
        List<String> words =
                new ArrayList<>(
                        List.of(
                                "apply",
                                clips + "/*.png",
                                "--look",
                                "rgb-split",
                                "-o",
                                outs + "/{name}-split.png"));
        words.addAll(List.of(more));
        return ivrik(words.toArray(String[]::new));
    }

    private Map<Path, FileTime> made() throws IOException {
        Map<Path, FileTime> times = new HashMap<>();
        try (Stream<Path> files = Files.list(outs)) {
            for (Path file : files.toList()) {
                times.put(file, Files.getLastModifiedTime(file));
            }
        }
        return times;
    }

    @Test
    void goodClipsAreRenderedAndBadOnesReported() throws IOException {
        fiftyOfWhichTwoAreBad();
        assertThat(all("--json")).isEqualTo(1);
        JsonNode report = new ObjectMapper().readTree(out);
        assertThat(report.get("done").asInt()).isEqualTo(48);
        assertThat(report.get("failed").asInt()).isEqualTo(2);
        assertThat(report.get("clips")).hasSize(CLIPS);
        assertThat(report.get("clips").get(7).get("outcome").asText()).isEqualTo("failed");
        assertThat(report.get("clips").get(7).get("notes").get(0).asText()).contains("clip-07.png");
        assertThat(err).contains("48 rendered", "2 failed", "clip-07.png", "clip-31.png");
        assertThat(made()).hasSize(48).containsKey(outs.resolve("clip-49-split.png"));

        ivrik(
                "apply",
                clips.resolve("clip-03.png").toString(),
                "--look",
                "rgb-split",
                "-o",
                folder.resolve("one.png").toString());
        assertThat(outs.resolve("clip-03-split.png"))
                .hasSameBinaryContentAs(folder.resolve("one.png"));
    }

    @Test
    void finishedClipsAreSkippedAndChangedOnesRendered() throws IOException {
        fiftyOfWhichTwoAreBad();
        all();
        Map<Path, FileTime> first = made();
        Files.delete(outs.resolve("clip-12-split.png"));
        Files.setLastModifiedTime(
                clips.resolve("clip-20.png"), FileTime.from(Instant.now().plusSeconds(60)));
        Files.delete(clips.resolve("clip-07.png"));
        Files.delete(clips.resolve("clip-31.png"));
        assertThat(all("--overwrite")).isZero();
        assertThat(err).contains("2 rendered", "46 already finished", "0 failed");
        Map<Path, FileTime> second = made();
        first.forEach(
                (file, time) -> {
                    boolean again =
                            file.endsWith("clip-12-split.png")
                                    || file.endsWith("clip-20-split.png");
                    assertThat(second.get(file).equals(time)).as("%s", file).isNotEqualTo(again);
                });
    }

    @Test
    void outdatedResultsAreReplacedOnlyOnRequest() throws IOException {
        Files.copy(picture8("good.png", false), clips.resolve("a.png"));
        assertThat(all()).isZero();
        assertThat(all()).isZero();
        assertThat(err).contains("1 already finished");
        assertThat(all("--restart")).isEqualTo(1);
        assertThat(err).contains("a-split.png", "--overwrite");
        assertThat(all("--restart", "--overwrite")).isZero();
        assertThat(err).contains("1 rendered");
    }

    /** After a kill some numbers are missing, so the sequence is rendered again. */
    @Test
    void aSequenceIsFinishedWhenComplete() throws IOException {
        Path good = picture8("good.png", false);
        for (int i = 0; i < 4; i++) {
            Files.copy(good, clips.resolve("shot-" + i + ".png"));
        }
        String[] words = {
            "apply",
            clips + "/shot-%d.png",
            "--look",
            "swap",
            "--overwrite",
            "-o",
            outs + "/{folder}/{name}-%02d.png"
        };
        assertThat(ivrik(words)).isZero();
        Path last = outs.resolve("clips/shot-03.png");
        assertThat(last).exists();
        assertThat(ivrik(words)).isZero();
        assertThat(err).contains("1 already finished");
        Files.delete(last);
        assertThat(ivrik(words)).isZero();
        assertThat(err).contains("1 rendered");
        assertThat(last).exists();
    }

    @Test
    void impossibleOptionsAreRefusedFirst() throws IOException {
        Path one = Files.createDirectory(folder.resolve("one")).resolve("a.png");
        Files.copy(picture8("good.png", false), one);
        Files.copy(one, clips.resolve("a.png"));
        String two = clips.resolve("a.png").toString();
        assertThat(ivrik("apply", one.toString(), two, "--look", "swap", "-o", outs + "/x.png"))
                .isEqualTo(2);
        assertThat(err).contains("{name}");
        assertThat(
                        ivrik(
                                "apply",
                                one.toString(),
                                two,
                                "--look",
                                "swap",
                                "-o",
                                outs + "/{name}.png"))
                .isEqualTo(1);
        assertThat(err).contains("would both be written to", "{folder}");
        assertThat(ivrik("apply", clips + "/*.mov", "--look", "swap", "-o", outs + "/{name}.png"))
                .isEqualTo(1);
        assertThat(err).contains("*.mov");
        assertThat(outs).doesNotExist();
    }
}
