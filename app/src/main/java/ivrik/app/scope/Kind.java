package ivrik.app.scope;

/** An instrument. */
enum Kind {
    HISTOGRAM(
            "Histogram",
            "How many pixels there are of each value, black on the left; in grey, the luma of the"
                    + " untouched picture"),
    WAVEFORM(
            "Waveform",
            "How bright the picture is in each column, black at the bottom; in blue, untouched"),
    PARADE("Parade", "Red, green and blue in each column, side by side; in grey, untouched"),
    VECTORSCOPE(
            "Vectorscope",
            "Which way and how far colours lie from grey, which is in the middle; in blue,"
                    + " untouched");

    private final String title;
    private final String help;

    Kind(String title, String help) {
        this.title = title;
        this.help = help;
    }

    String title() {
        return title;
    }

    String help() {
        return help;
    }
}
