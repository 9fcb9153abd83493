package ivrik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreeScanner;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

import javax.lang.model.element.Modifier;

/**
 * Words of the first two versions appear nowhere: not in texts, help, documents, files or names.
 */
class RetiredWordsTest extends Commanded {
    /** Words and phrases that no text contains. */
    private static final Pattern TEXT =
            Pattern.compile(
                    "\\b("
                            + String.join(
                                    "|",
                                    "lanes?",
                                    "pegs?|pegged",
                                    "reach|reaches|reached",
                                    "onto",
                                    "(bring|brings|brought) in",
                                    "picked|picks?",
                                    "puts? aside",
                                    "traces?|traced|one plot",
                                    "trio",
                                    "close-?ups?",
                                    "ground",
                                    "(throw|throws|thrown) (out|away)",
                                    "kept work",
                                    "comes? to(?! rest)",
                                    "opposed|alike",
                                    "stands? on",
                                    "stickers?",
                                    "paid back",
                                    "lingers?|lingering",
                                    "shown off",
                                    "feeds?",
                                    "progressives",
                                    "plates?",
                                    "(take|takes|taken) (away|out)|lets? go",
                                    "as delivered",
                                    "hills?|passage",
                                    "out of register|off by \\d",
                                    "\\d+ a second|frames a second",
                                    "switch(es|ed)? (on|off)")
                            + ")\\b",
                    Pattern.CASE_INSENSITIVE);

    /** Parts of names that no class, method or component contains. */
    private static final Set<String> NAME =
            Set.of(
                    ("lane lanes peg pegs pegged reach reaches onto trio hill hills course courses"
                         + " coming comings passage road roads plate plates linger feed feeds"
                         + " progressives picked brought bring trace traces traced alike opposed"
                         + " sticker axes site sites word words ground roll rolls store stores told"
                         + " giving parting supplies")
                            .split(" "));

    /**
     * Classes that read files and options of former versions, or answer a search for former words.
     */
    private static final Set<String> FORMER =
            Set.of(
                    "Version1",
                    "Version2",
                    "FormerNames",
                    "FormerOptions",
                    "SeparationFolder",
                    "Synonyms",
                    "Preset");

    @Test
    void noTextOfTheWindowOrTheCommandsHasOne() throws IOException {
        List<String> found =
                SourceTexts.all().stream()
                        .filter(text -> !isFormer(text.file()))
                        .filter(text -> TEXT.matcher(text.text()).find())
                        .map(SourceTexts.Text::toString)
                        .toList();
        assertThat(found).isEmpty();
    }

    /** The scan finds texts that users read. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "Set or delete keyframe",
                "Mask of the look: which parts of the picture it changes",
                "Apply a look to a still, movie or numbered sequence, or to several.",
                "not enough memory for pictures of {}",
                "Halation"
            })
    void textsOfAllModulesAreRead(String text) throws IOException {
        assertThat(SourceTexts.all()).extracting(SourceTexts.Text::text).contains(text);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "6 lanes",
                "Peg it",
                "Close-up",
                "drag it onto the picture",
                "24 a second",
                "Throw away",
                "comes to 3",
                "Ground"
            })
    void aRetiredWordIsFound(String text) {
        assertThat(TEXT.matcher(text).find()).isTrue();
    }

    @Test
    void noHelpHasOne() {
        ivrik("--help");
        List<String> commands =
                out.lines()
                        .map(Pattern.compile("^ {2}([a-z]+) .*")::matcher)
                        .filter(Matcher::matches)
                        .map(line -> line.group(1))
                        .filter(name -> !name.equals("demo") && !name.equals("screenshots"))
                        .toList();
        assertThat(commands).contains("apply", "farm");
        for (String command : commands) {
            ivrik(command, "--help");
            assertThat(lines(out)).as(command).isEmpty();
        }
    }

    @Test
    void noDocumentSchemaOrResourceHasOne() throws IOException {
        List<Path> files = new ArrayList<>();
        try (Stream<Path> top = Files.list(SourceFiles.tree());
                Stream<Path> docs = Files.list(SourceFiles.tree().resolve("docs"))) {
            Stream.concat(top, docs)
                    .filter(f -> f.toString().matches(".*\\.(md|json)"))
                    .forEach(files::add);
        }
        for (String module : List.of("core", "media", "cli", "app", "installer", "demo")) {
            Path resources = SourceFiles.tree().resolve(module).resolve("src/main");
            try (Stream<Path> all = Files.walk(resources)) {
                all.filter(Files::isRegularFile)
                        .filter(f -> !f.toString().endsWith(".java"))
                        .filter(f -> !f.toString().matches(".*(fonts|META-INF|\\.icc|\\.png).*"))
                        .forEach(files::add);
            }
        }
        assertThat(files).hasSizeGreaterThan(20);
        List<String> found = new ArrayList<>();
        for (Path file : files) {
            lines(Files.readString(file))
                    .forEach(line -> found.add(SourceFiles.tree().relativize(file) + ": " + line));
        }
        assertThat(found).isEmpty();
    }

    private static List<String> lines(String text) {
        return text.lines().filter(line -> TEXT.matcher(line).find()).toList();
    }

    @Test
    void noPublicNameHasOne() throws IOException {
        List<String> found = new ArrayList<>();
        SourceTexts.parse(
                SourceFiles.all(),
                (unit, trees) -> {
                    if (!isFormer(Path.of(unit.getSourceFile().toUri()))) {
                        new Names(found).scan(unit, null);
                    }
                });
        assertThat(found).isEmpty();
    }

    /** At most 25 words are Ivrik's own. */
    @Test
    void atMost25WordsAreOwn() throws IOException {
        String page = Files.readString(SourceFiles.tree().resolve("docs/vocabulary.md"));
        assertThat(page.lines().filter(line -> line.startsWith("| ")).count() - 1)
                .isBetween(10L, 25L);
    }

    private static boolean isFormer(Path file) {
        return FORMER.contains(file.getFileName().toString().replace(".java", ""));
    }

    /** Collects types, and the methods and record components that other classes may call. */
    private static final class Names extends TreeScanner<Void, Void> {
        private final List<String> found;
        private String type = "";

        Names(List<String> found) {
            this.found = found;
        }

        @Override
        public Void visitCompilationUnit(CompilationUnitTree unit, Void none) {
            check(String.valueOf(unit.getPackageName()).replace('.', '_'));
            return super.visitCompilationUnit(unit, none);
        }

        @Override
        public Void visitClass(ClassTree made, Void none) {
            String outer = type;
            type = outer + "." + made.getSimpleName();
            check(made.getSimpleName().toString());
            super.visitClass(made, none);
            type = outer;
            return null;
        }

        @Override
        public Void visitMethod(MethodTree method, Void none) {
            if (!method.getModifiers().getFlags().contains(Modifier.PRIVATE)) {
                check(method.getName().toString());
            }
            return null;
        }

        @Override
        public Void visitVariable(VariableTree field, Void none) {
            check(field.getName().toString());
            return null;
        }

        private void check(String name) {
            String parts = name.replaceAll("([a-z0-9])([A-Z])", "$1_$2").toLowerCase(Locale.ROOT);
            for (String part : parts.split("_")) {
                if (NAME.contains(part)) {
                    found.add(type + "." + name);
                }
            }
        }
    }
}
