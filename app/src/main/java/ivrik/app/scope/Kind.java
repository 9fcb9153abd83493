package ivrik.app.scope;

/** An instrument. */
enum Kind {
    HISTOGRAM("Histogram", "How many pixels there are of each value, black on the left"),
    WAVEFORM("Waveform", "How bright the picture is in each column, black at the bottom"),
    PARADE("Parade", "Red, green and blue in each column, side by side"),
    VECTORSCOPE(
            "Vectorscope", "Which way and how far colours lie from grey, which is in the middle");

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
