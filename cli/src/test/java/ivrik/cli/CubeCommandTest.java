package ivrik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.json.LookJson;
import ivrik.core.look.Look;
import ivrik.core.motion.Value;
import ivrik.core.picture.Frame;
import ivrik.core.separation.Rgb;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.Contrast;
import ivrik.core.treatment.Curve;
import ivrik.core.treatment.Halftone;
import ivrik.core.treatment.RgbCurves;
import ivrik.core.treatment.Saturation;
import ivrik.core.treatment.SlopeOffsetPower;
import ivrik.core.treatment.Vignette;
import ivrik.media.decode.Footage;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/** A look exported as a table, and the table read back by the file format's definition. */
class CubeCommandTest extends Commanded {
    /** A grade of four steps. */
    private Path grade() throws IOException {
        Look look =
                Look.atRest(
                                "grade",
                                new Rgb(),
                                new Contrast(),
                                new SlopeOffsetPower(),
                                new Saturation(),
                                new RgbCurves())
                        .withSettings(0, 0, a -> a.with("contrast", Value.of(118)))
                        .withSettings(
                                1,
                                0,
                                a ->
                                        a.with("slope-red", Value.of(1.1))
                                                .with("offset-blue", Value.of(0.04))
                                                .with("power-green", Value.of(1.15)))
                        .withSettings(2, 0, a -> a.with("saturation", Value.of(80)))
                        .withSettings(
                                3,
                                0,
                                a -> a.withItem(Curve.SERIES, Map.of("in", 40.0, "out", 46.0)));
        return Files.writeString(folder.resolve("grade.look.json"), LookJson.write(look));
    }

    @Test
    void aTableOfAGradeEqualsTheGradeWithinACode() throws IOException {
        String look = grade().toString();
        Path in = picture16("in.png");
        Path graded = folder.resolve("graded.png");
        Path table = folder.resolve("grade.cube");
        assertThat(ivrik("cube", "--look", look, "-o", table.toString())).isZero();
        assertThat(ivrik("apply", in.toString(), "--look", look, "-o", graded.toString())).isZero();
        double[][] cube = read(table, 33);
        Frame before = frame(in);
        Frame after = frame(graded);
        double furthest = 0;
        for (int y = 0; y < before.height(); y++) {
            for (int x = 0; x < before.width(); x++) {
                double[] rgb = pixel(before, x, y);
                double[] looked = looked(cube, 33, rgb);
                double[] wanted = pixel(after, x, y);
                for (int c = 0; c < 3; c++) {
                    double shown = Math.clamp(looked[c], 0, 1);
                    furthest = Math.max(furthest, Math.abs(wanted[c] - rgb[c]));
                    assertThat(Math.abs(shown - wanted[c])).isLessThan(1.0 / 255 + 1e-6);
                }
            }
        }
        assertThat(furthest).as("the look is a grade").isGreaterThan(0.05);
    }

    private static Frame frame(Path file) {
        try (Footage footage = Footage.open(file, Workers.shared())) {
            return footage.frame(0, footage.size());
        }
    }

    private static double[] pixel(Frame frame, int x, int y) {
        return frame.colour().stream().mapToDouble(p -> p.at(x, y)).toArray();
    }

    /** Reads a table. Red varies fastest; comments, title and domain follow the file format. */
    private static double[][] read(Path table, int points) throws IOException {
        List<String> lines = Files.readAllLines(table);
        assertThat(lines)
                .contains("TITLE \"grade\"", "LUT_3D_SIZE " + points)
                .contains("DOMAIN_MIN 0 0 0", "DOMAIN_MAX 1 1 1");
        double[][] all =
                lines.stream()
                        .filter(l -> l.matches("[-0-9.].*"))
                        .map(
                                l ->
                                        Arrays.stream(l.split(" "))
                                                .mapToDouble(Double::parseDouble)
                                                .toArray())
                        .toArray(double[][]::new);
        assertThat(all).hasDimensions(points * points * points, 3);
        return all;
    }

    /** Tetrahedral interpolation: from the lowest corner along the axes, largest fraction first. */
    private static double[] looked(double[][] cube, int points, double[] rgb) {
        int[] step = {1, points, points * points};
        int[] at = new int[3];
        double[] on = new double[3];
        for (int c = 0; c < 3; c++) {
            double place = Math.clamp(rgb[c], 0, 1) * (points - 1);
            at[c] = Math.min(points - 2, (int) place);
            on[c] = place - at[c];
        }
        int corner = at[0] * step[0] + at[1] * step[1] + at[2] * step[2];
        double[] out = cube[corner].clone();
        List<Integer> axes =
                IntStream.range(0, 3)
                        .boxed()
                        .sorted(Comparator.comparingDouble(c -> -on[c]))
                        .toList();
        for (int axis : axes) {
            int next = corner + step[axis];
            for (int c = 0; c < 3; c++) {
                out[c] += on[axis] * (cube[next][c] - cube[corner][c]);
            }
            corner = next;
        }
        return out;
    }

    @Test
    void aLookThatReadsNeighboursIsRefused() throws IOException {
        Path table = Files.writeString(folder.resolve("old.cube"), "yesterday's");
        for (String look : List.of("channel-blur", "film-print", "channel-trails")) {
            int exit =
                    ivrik(
                            "cube",
                            "--look",
                            look,
                            "--set",
                            dial(look),
                            "--overwrite",
                            "-o",
                            table.toString());
            assertThat(exit).as(look).isEqualTo(1);
            assertThat(err.lines()).hasSize(1);
            assertThat(err).contains("cannot become a lookup table");
        }
        assertThat(table).hasContent("yesterday's");
        assertThat(ivrik("cube", "--look", "duotone", "--points", "20", "-o", table.toString()))
                .isEqualTo(2);
        assertThat(ivrik("cube", "--look", "duotone", "-o", table.toString())).isEqualTo(1);
        assertThat(err).contains("old.cube");
    }

    /** A vignette and a halftone depend on the position, so a table cannot hold them. */
    @Test
    void aLookThatDependsOnPositionIsRefused() throws IOException {
        Look vignette =
                Look.atRest("dark-corners", new Rgb(), new Vignette())
                        .withSettings(0, 0, a -> a.with("stops", Value.of(-2)));
        Look dots =
                Look.atRest("dots", new Rgb(), new Halftone())
                        .withSettings(0, 0, a -> a.with("amount", Value.of(100)));
        Path table = folder.resolve("no.cube");
        for (Look look : List.of(vignette, dots)) {
            Path file = folder.resolve(look.name() + ".look.json");
            Files.writeString(file, LookJson.write(look));
            assertThat(ivrik("cube", "--look", file.toString(), "-o", table.toString()))
                    .as(look.name())
                    .isEqualTo(1);
            assertThat(err).contains("cannot become a lookup table");
        }
        assertThat(table).doesNotExist();
    }

    @Test
    void aFrameBeforeTheFirstIsWrongUsage() {
        String table = folder.resolve("no.cube").toString();
        assertThat(ivrik("cube", "--look", "duotone", "--frame", "-1", "-o", table)).isEqualTo(2);
        assertThat(err).contains("--frame").contains("-1");
    }

    private static String dial(String look) {
        return switch (look) {
            case "channel-blur" -> "red=12";
            case "film-print" -> "grain=0.5";
            default -> "red=60";
        };
    }

    /** The table, applied by Ivrik, equals the chain of treatments within one 8-bit code. */
    @Test
    void aTableOfAChainEqualsTheChain() throws IOException {
        String grade = grade().toString();
        String cube = folder.resolve("Night grade.cube").toString();
        String in = picture16("in.png").toString();
        Path own = folder.resolve("own.png");
        Path looked = folder.resolve("looked.png");
        assertThat(ivrik("cube", "--look", grade, "-o", cube)).as(err).isZero();
        assertThat(ivrik("apply", in, "--look", grade, "-o", own.toString())).as(err).isZero();
        assertThat(ivrik("apply", in, "--look", cube, "-o", looked.toString())).as(err).isZero();
        Frame wanted = frame(own);
        Frame made = frame(looked);
        for (int y = 0; y < wanted.height(); y++) {
            for (int x = 0; x < wanted.width(); x++) {
                double[] a = pixel(wanted, x, y);
                double[] b = pixel(made, x, y);
                for (int c = 0; c < 3; c++) {
                    assertThat(Math.abs(a[c] - b[c])).isLessThan(1.0 / 255 + 1e-5);
                }
            }
        }
        Files.writeString(
                Path.of(cube), Files.readString(Path.of(cube)).replace("SIZE 33", "SIZE 34"));
        assertThat(ivrik("apply", in, "--look", cube, "--overwrite", "-o", looked.toString()))
                .isEqualTo(1);
        assertThat(err).contains("Night grade.cube", "only 35937 of 39304");
    }

    /** Against (v slope + offset)^power, then saturation about BT.709 luma. */
    @Test
    void aDecisionListIsAppliedAndWrittenBack() throws IOException {
        Path list =
                Files.writeString(
                        folder.resolve("shot.cdl"),
                        "<ColorDecisionList"
                            + " xmlns='urn:ASC:CDL:v1.01'><ColorDecision><ColorCorrection"
                            + " id='shot-12'><SOPNode><Description>x</Description><Slope>1.1 0.9"
                            + " 1</Slope><Offset>0.02 0 -0.01</Offset><Power>1 1.2"
                            + " 0.9</Power></SOPNode>"
                            + "<SatNode><Saturation>0.8</Saturation></SatNode>"
                            + "</ColorCorrection></ColorDecision></ColorDecisionList>");
        Path in = picture16("in.png");
        Path made = folder.resolve("made.png");
        assertThat(ivrik("apply", in.toString(), "--look", list.toString(), "-o", made.toString()))
                .as(err)
                .isZero();
        double[] rgb = pixel(frame(in), 7, 5);
        double[] to = {
            Math.clamp(rgb[0] * 1.1 + 0.02, 0, 9),
            Math.pow(rgb[1] * 0.9, 1.2),
            Math.pow(rgb[2] - 0.01, 0.9)
        };
        double luma = 0.2126 * to[0] + 0.7152 * to[1] + 0.0722 * to[2];
        double[] got = pixel(frame(made), 7, 5);
        for (int c = 0; c < 3; c++) {
            double wanted = Math.clamp(luma + 0.8 * (to[c] - luma), 0, 1);
            assertThat(got[c]).isCloseTo(wanted, org.assertj.core.api.Assertions.within(2e-5));
        }
        Path again = folder.resolve("again.cc");
        assertThat(ivrik("cube", "--look", list.toString(), "-o", again.toString()))
                .as(err)
                .isZero();
        Path same = folder.resolve("same.png");
        ivrik("apply", in.toString(), "--look", again.toString(), "-o", same.toString());
        assertThat(same).hasSameBinaryContentAs(made);
        assertThat(ivrik("cube", "--look", "crt", "-o", folder.resolve("t.cc").toString()))
                .isEqualTo(2);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "<a><SOPNode><Slope>1 2</Slope></SOPNode></a> | Slope has 2 numbers",
                "<a><SOPNode><Power>1 0 1</Power></SOPNode></a> | Power must be between",
                "<a><SOPNode><Offset>1 x 1</Offset></SOPNode></a> | 'x', which is not a number",
                "<a><b/></a> | no correction",
                "<!DOCTYPE a [<!ENTITY e SYSTEM 'file:///etc/hostname'>]><a>&e;</a> | DOCTYPE",
                "no list | cannot be read as a colour decision list"
            })
    void aDamagedDecisionListIsRefused(String text, String why) throws IOException {
        Path list = Files.writeString(folder.resolve("bad.cc"), text);
        assertThat(
                        ivrik(
                                "apply",
                                picture8("in.png", false).toString(),
                                "--look",
                                list.toString(),
                                "-o",
                                folder.resolve("out.png").toString()))
                .isEqualTo(1);
        assertThat(err).contains("bad.cc", why);
    }
}
