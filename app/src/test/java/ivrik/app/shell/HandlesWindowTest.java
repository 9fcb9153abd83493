package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.treatment.ConvolutionKernel;
import ivrik.core.treatment.Curve;
import ivrik.core.treatment.DirectionalBlur;
import ivrik.core.treatment.Dispersion;
import ivrik.core.treatment.GradientMap;
import ivrik.core.treatment.HueCurve;
import ivrik.core.treatment.LensDistortion;
import ivrik.core.treatment.PinWarp;

import javafx.event.ActionEvent;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.layout.Region;

import org.junit.jupiter.api.Test;

/** Handles on the picture, in plots, strips and grids, dragged by mouse. */
class HandlesWindowTest extends OneFrame {
    @Test
    void curvePointsAreAddedByPressAndRemovedByRightClick() {
        add(new Curve());
        d.drag(d.find("#channel-plot"), 0.25, 0.5, 0, -20);
        assertThat(settings(1, 0).count(Curve.SERIES)).isEqualTo(1);
        assertThat(settings(1, 0).value("point.0.in").rest()).isCloseTo(25, within(3.0));
        assertThat(settings(1, 0).value("point.0.out").rest()).isGreaterThan(55);
        d.settle();
        assertThat(d.text("#register")).startsWith("differs by up to");
        double out = settings(1, 0).value("point.0.out").rest();
        d.click(d.find("#channel-plot"), 0.25, 1 - out / 100, 1, MouseButton.SECONDARY);
        assertThat(settings(1, 0).count(Curve.SERIES)).isZero();
    }

    @Test
    void aHueCurveHasPointsBelowItsMiddle() {
        add(new HueCurve());
        d.drag(d.find("#channel-plot"), 0.5, 0.5, 0, 30);
        assertThat(settings(1, 0).value("point.0.in").rest()).isCloseTo(180, within(6.0));
        assertThat(settings(1, 0).value("point.0.out").rest()).isBetween(-50.0, -20.0);
        d.settle();
        assertThat(d.text("#register")).startsWith("differs by up to");
    }

    @Test
    void aGradientGetsStopsInItsStripAndAColourForEach() {
        add(new GradientMap());
        d.drag(d.find("#gradient-strip"), 0.25, 0.3, 0, 0);
        assertThat(settings(1, 0).count(GradientMap.SERIES)).isEqualTo(1);
        assertThat(settings(1, 0).value("stop.0.at").rest()).isCloseTo(25, within(4.0));
        assertThat(settings(1, 0).value("stop.0.red").rest())
                .as("the colour that was there")
                .isCloseTo(31, within(3.0));
        d.click("#stop-colour");
        Driver.run(() -> ((TextField) d.inMenu("#ink-hex")).setText("00ff00"));
        Driver.run(() -> d.inMenu("#ink-hex").fireEvent(new ActionEvent()));
        assertThat(settings(1, 0).value("stop.0.green").rest()).isEqualTo(100);
        assertThat(settings(1, 0).value("stop.0.red").rest()).isZero();
        d.settle();
        double at = settings(1, 0).value("stop.0.at").rest();
        d.drag(d.find("#gradient-strip"), at / 100, 0.8, 40, 0);
        assertThat(settings(1, 0).value("stop.0.at").rest()).isGreaterThan(at + 10);
        d.drag(d.find("#gradient-strip"), 0.5, 0.8, 10, 0);
        assertThat(settings(1, 0).value("midpoint").rest()).isGreaterThan(51);
        d.click(
                d.find("#gradient-strip"),
                settings(1, 0).value("stop.0.at").rest() / 100,
                0.8,
                1,
                MouseButton.SECONDARY);
        assertThat(settings(1, 0).count(GradientMap.SERIES)).isZero();
    }

    @Test
    void pinsAreSetDraggedAndRemovedOnThePicture() {
        add(new PinWarp());
        d.key(KeyCode.DIGIT3);
        d.click(d.find("PicturePane"), 0.4, 0.4, 2, MouseButton.PRIMARY);
        assertThat(settings(1, 2).count(PinWarp.SERIES)).isEqualTo(1);
        d.drag(d.find("PicturePane"), 0.4, 0.4, 30, 10);
        assertThat(settings(1, 2).value("pin.0.dx").rest()).isGreaterThan(20);
        assertThat(settings(1, 2).value("pin.0.dy").rest()).isGreaterThan(5);
        assertThat(settings(1, 0).count(PinWarp.SERIES)).isZero();
        d.settle();
        assertThat(d.text("#register")).startsWith("differs by up to");
        assertThat(d.text("#pin-count")).isEqualTo("Blue has 1 pin");
        d.click("#remove-pin");
        d.settle();
        assertThat(d.text("#register")).isEqualTo("exact");
    }

    @Test
    void theCentreIsDraggedOnThePictureForAllChannels() {
        add(new LensDistortion());
        d.drag(d.find("PicturePane"), 0.5, 0.5, 40, -20);
        for (int channel = 0; channel < 3; channel++) {
            assertThat(settings(1, channel).value("centre-x").rest()).isGreaterThan(30);
            assertThat(settings(1, channel).value("centre-y").rest()).isLessThan(-15);
        }
        d.key(KeyCode.CONTROL, KeyCode.Z);
        assertThat(settings(1, 1).value("centre-x").rest()).isZero();
    }

    @Test
    void theLineOfADirectionIsTurnedAndLengthenedOnThePicture() {
        add(new DirectionalBlur());
        set(1, 0, "length", 0);
        set(1, 1, "length", 24);
        d.settle();
        // the handle lies right of the middle, 22 points beyond a line of zero length
        double width = Driver.on(() -> ((Region) d.find("PicturePane")).getWidth());
        d.drag(d.find("PicturePane"), 0.5 + 22 / width, 0.5, 0, 60);
        assertThat(settings(1, 0).value("length").rest()).isGreaterThan(40);
        for (int channel = 0; channel < 3; channel++) {
            assertThat(settings(1, channel).value("angle").rest()).isBetween(45.0, 90.0);
        }
        assertThat(settings(1, 1).value("length").rest())
                .as("its own value")
                .isNotZero()
                .isLessThan(41);
        d.settle();
        assertThat(d.text("#register")).startsWith("differs by up to");
        d.key(KeyCode.CONTROL, KeyCode.Z);
        assertThat(settings(1, 2).value("angle").rest()).isZero();
    }

    @Test
    void aSpectrumIsLengthenedInTheStripOfItsChannel() {
        add(new Dispersion());
        double before = settings(1, 0).value("length").rest();
        d.drag(d.find("#spectrum-strip"), 0.6, 0.5, 40, 0);
        assertThat(settings(1, 1).value("length").rest()).isGreaterThan(12).isNotEqualTo(before);
        assertThat(settings(1, 0).value("length").rest()).as("red remains").isEqualTo(before);
        assertThat(d.words()).contains("editing Green, Dispersion");
    }

    @Test
    void oneNumberSpreadsALensOverTheChannels() {
        add(new LensDistortion());
        for (int channel = 0; channel < 3; channel++) {
            set(1, channel, "k0", 0);
            set(1, channel, "k1", 0);
        }
        d.number("#lens-spread", "0.8");
        assertThat(settings(1, 0).value("k1").rest()).isCloseTo(0.8, within(1e-9));
        assertThat(settings(1, 1).value("k1").rest()).isZero();
        assertThat(settings(1, 2).value("k1").rest()).isCloseTo(-0.8, within(1e-9));
        set(1, 0, "k0", 0.4);
        set(1, 2, "k0", -0.4);
        d.number("#lens-spread", "0.6");
        assertThat(settings(1, 0).value("k1").rest())
                .as("the same lens")
                .isCloseTo(0.4, within(1e-9));
        assertThat(settings(1, 0).value("k0").rest()).isCloseTo(0.2, within(1e-9));
    }

    @Test
    void aKernelIsTypedIntoItsGrid() {
        add(new ConvolutionKernel());
        d.number("#weight-c22", "3");
        assertThat(settings(1, 0).value("c22").rest()).isEqualTo(3);
        assertThat(settings(1, 1).value("c22").rest()).isEqualTo(1);
    }
}
