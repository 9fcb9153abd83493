package ivrik.app.controls;

import ivrik.app.widget.InkWell;
import ivrik.core.look.Dial;
import ivrik.core.look.FilterPair;
import ivrik.core.separation.Ink;

import javafx.geometry.Pos;
import javafx.scene.layout.HBox;

import java.util.function.Consumer;

/**
 * Two colour wells for a dial whose words are pairs of colours; choosing one colour selects a pair.
 */
final class FilterPairWells extends HBox {
    private final Dial dial;
    private final Consumer<String> choose;
    private final InkWell left = new InkWell("Colour of the left filter", i -> set(true, i));
    private final InkWell right = new InkWell("Colour of the right filter", i -> set(false, i));

    /**
     * @param choose receives the chosen word
     */
    FilterPairWells(Dial dial, Consumer<String> choose) {
        super(4);
        this.dial = dial;
        this.choose = choose;
        setAlignment(Pos.CENTER_LEFT);
        left.setId("dial-" + dial.name() + "-left");
        right.setId("dial-" + dial.name() + "-right");
        FilterPair first = FilterPair.of(dial.choices().getFirst()).orElseThrow();
        left.setRest(first.left());
        right.setRest(first.right());
        getChildren().addAll(left, right);
    }

    static boolean fits(Dial dial) {
        return !dial.choices().isEmpty()
                && dial.choices().stream().allMatch(w -> FilterPair.of(w).isPresent());
    }

    private void set(boolean isLeft, Ink ink) {
        choose.accept(FilterPair.nearest(dial.choices(), isLeft, ink));
    }

    void show(String choice) {
        FilterPair.of(choice)
                .ifPresent(
                        pair -> {
                            left.show(pair.left());
                            right.show(pair.right());
                        });
    }
}
