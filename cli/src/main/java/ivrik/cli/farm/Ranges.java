package ivrik.cli.farm;

import java.util.ArrayList;
import java.util.List;

/** Formats numbers for schedulers: {@code 1-3,7}. */
final class Ranges {
    private Ranges() {}

    /**
     * @param numbers in ascending order
     */
    static String text(List<Integer> numbers) {
        List<String> ranges = new ArrayList<>();
        for (int from = 0; from < numbers.size(); ) {
            int to = from;
            while (to + 1 < numbers.size() && numbers.get(to + 1) == numbers.get(to) + 1) {
                to++;
            }
            String first = numbers.get(from).toString();
            ranges.add(from == to ? first : first + "-" + numbers.get(to));
            from = to + 1;
        }
        return String.join(",", ranges);
    }
}
