package ivrik.app.scope;

/** Kinds of scopes. */
enum ScopeKind {
    HISTOGRAM(
            "Histogram",
            "Number of pixels at each value, black at the left. Grey: luma of the source"),
    WAVEFORM("Waveform", "Luma in each picture column, black at the bottom. Blue: the source"),
    PARADE("Parade", "Red, green and blue waveforms side by side. Grey: the source"),
    VECTORSCOPE(
            "Vectorscope",
            "Hue as direction and saturation as distance from the centre. Blue: the source");

    private final String title;
    private final String help;

    ScopeKind(String title, String help) {
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
