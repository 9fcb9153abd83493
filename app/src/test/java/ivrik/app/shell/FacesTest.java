package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.app.session.View.Face;
import ivrik.app.widget.NumberField;
import ivrik.core.look.ChannelSource;
import ivrik.core.look.ChannelState;
import ivrik.core.motion.Value;

import javafx.scene.Node;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

import java.util.List;
import java.util.function.UnaryOperator;

/** The controls panel is built in steps and reused. */
class FacesTest extends OneFrame {
    private void face(Face face) {
        Driver.run(() -> d.window.view().face.set(face));
        d.settle();
    }

    @ParameterizedTest
    @EnumSource(
            value = Face.class,
            names = {"SEPARATE", "MASK", "LOOK", "LAYER"})
    void aPanelAppearsAtOnceAndFillsLater(Face face) {
        List<String> atOnce =
                Driver.on(
                        () -> {
                            d.window.view().face.set(face);
                            return d.window.unsettled();
                        });
        assertThat(atOnce).contains("the controls");
        d.settle();
        assertThat(Driver.on(d.window::unsettled)).isEmpty();
    }

    @Test
    void theSeparationPanelIsReusedAndUpdated() {
        face(Face.SEPARATE);
        Node delay = d.find("#red-delay");
        face(Face.TREATMENT);
        UnaryOperator<ChannelSource> later =
                channelSource -> channelSource.withDelayFrames(Value.of(3));
        UnaryOperator<ChannelState> behind =
                channel -> channel.withChannelSource(later.apply(channel.channelSource()));
        Driver.run(() -> d.window.session().editLook("Delay", l -> l.withChannel(0, behind)));
        face(Face.SEPARATE);
        assertThat(d.find("#red-delay")).isSameAs(delay);
        assertThat(((NumberField) delay).text()).isEqualTo("+3 fr");
    }
}
