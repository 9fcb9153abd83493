package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.app.sheet.Command;

import javafx.scene.control.ListView;
import javafx.scene.control.TextField;

import org.junit.jupiter.api.Test;

import java.util.ArrayList;
import java.util.List;

/** Words that a practitioner types into the command list, and the expected first result. */
class FindingTest extends OneFrame {
    private static final String WORDS =
            """
            curves | Curve
            curve | Curve
            position | Shift
            posterise | Posterise
            posterize | Posterise
            defocus | Disc blur
            chromatic | Chromatic aberration
            chromatic aberration | Chromatic aberration
            black point | Levels
            white point | Levels
            compare | Split line
            bypass | Bypass looks (or hold W)
            before and after | Split line
            snapshot | Take snapshot
            grayscale | Channel mixer
            black and white | Channel mixer
            canvas | Sequence settings...
            lut | Lookup table
            3d lut | Lookup table
            outward | Zoom blur
            hue | Hue curve
            saturation | Saturation
            threshold | Threshold
            import | Import...
            render | Export...
            levels | Levels
            noise | Noise
            grain | Grain
            motion blur | Directional blur
            gaussian | Gaussian blur
            bokeh | Disc blur
            lens | Lens distortion
            fringe | Fringe correction
            fisheye | Lens distortion
            barrel | Lens distortion
            vignette | Vignette
            halation | Halation
            glow | Channel glow
            bloom | Bloom
            crt | CRT screen
            vhs | Videotape
            tape | Videotape
            glitch | Block glitch
            datamosh | Digital breakup
            rgb split | RGB split
            split | Split line
            shake | RGB split
            wiggle | RGB split
            jitter | Glossary: jitter
            trails | Channel trails
            ghost | Ghost warp
            anaglyph | Anaglyph 3D
            3d | Anaglyph 3D
            stereo | Anaglyph 3D
            halftone | Halftone
            print | Film print
            ink | Channel in ink colour
            cmyk | CMYK
            separation | Show separation
            channel mixer | Channel mixer
            swap channels | Swap channels
            invert | Invert
            negative | Invert
            solarise | RGB curves
            exposure | Exposure
            brightness | Exposure
            contrast | Contrast
            gamma | Gain
            lift | Slope, offset, power
            gain | Gain
            white balance | White balance from neutral...
            colour correction | Colour cast correction
            tint | Duotone
            duotone | Duotone
            gradient map | Gradient map
            thermal | False colour
            pixelate | Pixelate
            mosaic | Pixelate
            8 bit | Low resolution
            dither | Dither
            displace | Displacement
            warp | Pin warp
            mesh | Pin warp
            pins | Pin warp
            shift | Shift
            nudge | Next nudge step (0.1, 0.5, 1, 10 px)
            offset | Slope, offset, power
            rotate | Rotate
            scale | Scale
            flip | Flip
            mirror | Mirror to opposite channel
            tile | Tile swipe
            scroll | Tiled scroll
            sharpen | Sharpen
            unsharp | Sharpen
            median | Median
            denoise | Median
            emboss | Convolution kernel
            edge detect | Convolution kernel
            kernel | Convolution kernel
            dust | Dust and scratches
            scratches | Dust and scratches
            film | Film print
            texture | Texture
            overlay | Show blend sheet...
            mask | Show mask
            matte | Show mask
            blend mode | Show blend sheet...
            opacity | Show layer
            solo | Solo
            mute | Mute
            save | Save
            open | Open...
            export | Export...
            export sound | Export sound...
            audio | Export sound...
            loop | Loop playback
            play | Play or stop
            marker | Set or delete marker
            split shot | Split shot at playhead
            ripple delete | Delete shot and close gap
            burst | Burst split
            transition | Tile swipe
            wipe | Channel wipe
            swipe | Tile swipe
            slit scan | Slit scan
            time displacement | Slit scan
            title | Add title
            solid | Add solid colour
            adjustment layer | Add span over whole sequence
            layer | Show layer
            scopes | Scopes
            histogram | Scopes
            waveform | Scopes
            vectorscope | Scopes
            loupe | Loupe
            magnifier | Loupe
            full screen | Picture only
            second monitor | Picture in separate window
            theme | Switch colour scheme (Darkroom, Proof)
            cache | Frame cache memory...
            recover | Recovered work...
            phase | Glossary: phase
            glossary: phase | Glossary: phase
            take | Take snapshot
            dial | Glossary: dial
            seed | New seed
            film grain | Grain
            old tv | CRT screen
            prism | Spectral dispersion
            rainbow | Spectral dispersion
            grade | Slope, offset, power
            crop | Crop sequence to covered area
            resize | Sequence settings...
            frame rate | Sequence settings...
            caption | Add title
            autosave | Recovered work...
            negate | Negate channel values
            desaturate | Saturation
            out of focus | Disc blur
            nosie | Noise
            hallation | Halation
            """;

    private List<String> found(String word) {
        Driver.run(() -> ((TextField) d.find("#command-search")).setText(word));
        ListView<?> list = (ListView<?>) d.find(".list-view");
        return Driver.on(() -> list.getItems().stream().map(c -> ((Command) c).title()).toList());
    }

    @Test
    void theTradesWordsFindWhatTheyMean() {
        Driver.run(() -> d.window.commandList());
        Driver.pulses(2);
        List<String> wrong = new ArrayList<>();
        List<String> rows = WORDS.lines().toList();
        for (String row : rows) {
            String[] pair = row.split(" \\| ");
            List<String> found = found(pair[0]);
            if (found.isEmpty() || !found.getFirst().equals(pair[1])) {
                wrong.add(row + ", not " + found.stream().limit(3).toList());
            }
        }
        assertThat(rows).hasSizeGreaterThan(120);
        assertThat(wrong).isEmpty();
    }

    @Test
    void anUnknownWordFindsNothingAndSaysSo() {
        Driver.run(() -> d.window.commandList());
        Driver.pulses(2);
        assertThat(found("xyzzyxyzzy")).isEmpty();
        assertThat(d.text("#command-text")).isEqualTo("No match");
        assertThat(found("hallation").getFirst()).isEqualTo("Halation");
        assertThat(d.text("#command-text")).isEqualTo("No match. Similar:");
    }
}
