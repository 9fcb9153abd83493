package ivrik.app.closeup;

import ivrik.app.control.InkWell;
import ivrik.core.look.Dial;
import ivrik.core.look.InkPair;
import ivrik.core.separation.Ink;

import javafx.geometry.Pos;
import javafx.scene.layout.HBox;

import java.util.function.Consumer;

/** A dial whose words are pairs of colours, as two wells: one chosen in either brings the other with it. */
final class PairWells extends HBox {
    private final Dial dial;
    private final Consumer<String> choose;
    private final InkWell left = new InkWell("The colour before the left eye", i -> set(true, i));
    private final InkWell right =
            new InkWell("The colour before the right eye", i -> set(false, i));

    /**
     * @param choose told of the word that is chosen
     */
    PairWells(Dial dial, Consumer<String> choose) {
        super(4);
        this.dial = dial;
        this.choose = choose;
        setAlignment(Pos.CENTER_LEFT);
        left.setId("dial-" + dial.name() + "-left");
        right.setId("dial-" + dial.name() + "-right");
        InkPair first = InkPair.of(dial.words().getFirst()).orElseThrow();
        left.setRest(first.left());
        right.setRest(first.right());
        getChildren().addAll(left, right);
    }

    static boolean fits(Dial dial) {
        return !dial.words().isEmpty()
                && dial.words().stream().allMatch(w -> InkPair.of(w).isPresent());
    }

    private void set(boolean isLeft, Ink ink) {
        choose.accept(InkPair.nearest(dial.words(), isLeft, ink));
    }

    void show(String word) {
        InkPair.of(word)
                .ifPresent(
                        pair -> {
                            left.show(pair.left());
                            right.show(pair.right());
                        });
    }
}
