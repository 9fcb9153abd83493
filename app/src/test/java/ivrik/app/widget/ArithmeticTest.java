package ivrik.app.widget;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class ArithmeticTest {
    @Test
    void sumsAreEvaluatedAndNonsenseIsRefused() {
        assertThat(Arithmetic.of("412+3")).hasValue(415);
        assertThat(Arithmetic.of("-2*(1.5+3)/4")).hasValue(-2.25);
        assertThat(Arithmetic.of("2 - -3")).hasValue(5);
        assertThat(Arithmetic.of("1,5")).hasValue(1.5);
        assertThat(Arithmetic.of("3px")).hasValue(3);
        assertThat(Arithmetic.of("50 %")).hasValue(50);
        assertThat(Arithmetic.of("1/4")).hasValue(0.25);
        assertThat(Arithmetic.of("-12.5 deg")).hasValue(-12.5);
        for (String bad : new String[] {"", "a", "1+", "(2", "1/0", "2)"}) {
            assertThat(Arithmetic.of(bad)).as(bad).isEmpty();
        }
    }
}
