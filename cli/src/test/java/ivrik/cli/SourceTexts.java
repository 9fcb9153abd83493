package ivrik.cli;

import com.sun.source.tree.AnnotationTree;
import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.JavacTask;
import com.sun.source.util.TreePathScanner;
import com.sun.source.util.Trees;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.regex.Pattern;

import javax.tools.JavaFileObject;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;

/**
 * The texts of all modules that a user can read: labels, tooltips, messages, help. {@code build/texts}
 * prints them, one per line, with the place of each.
 */
final class SourceTexts {
    /**
     * A text in a source file.
     *
     * @param text its characters; {@code {}} stands for a value inserted at run time
     * @param file the source file
     * @param line its line, from 1
     * @param use the method, class or annotation that receives the text; empty if none does
     */
    record Text(String text, Path file, long line, String use) {
        @Override
        public String toString() {
            return text.replace("\n", "\\n").replaceAll("\\p{Cntrl}", " ")
                    + "\t"
                    + SourceFiles.className(file)
                    + ":"
                    + line
                    + "\t"
                    + use;
        }
    }

    /** Calls whose argument is a name for the program: an id, a style, a property, a file, a field. */
    private static final Pattern NAMES =
            Pattern.compile(
                    "setId|lookup|lookupAll|add(All)?|contains|remove|getProperty|getResource\\w*"
                        + "|getLogger|equals|startsWith|endsWith|matches|replace(All|First)?|split"
                        + "|compile|getenv|ofPattern|forName|find|put\\w*|get|named|indexOf");

    /** A text of ids, paths, patterns and the like, which nobody reads. */
    private static final Pattern CODE = Pattern.compile("[^ ]*[-_./#:\\\\(%<&=][^ ]*|[^a-zA-Z]*|.");

    private SourceTexts() {}

    public static void main(String[] args) throws IOException {
        all().stream()
                .sorted(Comparator.comparing(Text::file).thenComparing(Text::line))
                .forEach(System.out::println);
    }

    /** Reads every source file. */
    static List<Text> all() throws IOException {
        List<Text> texts = new ArrayList<>();
        parse(SourceFiles.all(), (unit, trees) -> new Finder(unit, trees, texts).scan(unit, null));
        return texts;
    }

    /** Takes one parsed source file. */
    @FunctionalInterface
    interface UnitVisitor {
        void visit(CompilationUnitTree unit, Trees trees);
    }

    /** Parses source files without resolving names. */
    static void parse(List<Path> files, UnitVisitor visitor) throws IOException {
        var compiler = ToolProvider.getSystemJavaCompiler();
        try (StandardJavaFileManager manager = compiler.getStandardFileManager(null, null, null)) {
            Iterable<? extends JavaFileObject> sources = manager.getJavaFileObjectsFromPaths(files);
            JavacTask task =
                    (JavacTask)
                            compiler.getTask(
                                    null, manager, null, List.of("-proc:none"), null, sources);
            Trees trees = Trees.instance(task);
            for (CompilationUnitTree unit : task.parse()) {
                visitor.visit(unit, trees);
            }
        }
    }

    /** Joins literals and values that are added together to one text. */
    private static final class Finder extends TreePathScanner<Void, Void> {
        private final CompilationUnitTree unit;
        private final Trees trees;
        private final List<Text> texts;

        Finder(CompilationUnitTree unit, Trees trees, List<Text> texts) {
            this.unit = unit;
            this.trees = trees;
            this.texts = texts;
        }

        @Override
        public Void visitLiteral(LiteralTree literal, Void none) {
            if (literal.getValue() instanceof String text) {
                add(literal, text);
            }
            return null;
        }

        @Override
        public Void visitBinary(BinaryTree sum, Void none) {
            StringBuilder text = new StringBuilder();
            if (sum.getKind() == Tree.Kind.PLUS && join(sum, text)) {
                add(sum, text.toString());
                return null;
            }
            return super.visitBinary(sum, none);
        }

        /**
         * Appends an operand of a sum.
         *
         * @return whether a literal is part of the operand
         */
        private static boolean join(ExpressionTree part, StringBuilder text) {
            return switch (part) {
                case BinaryTree sum when sum.getKind() == Tree.Kind.PLUS ->
                        join(sum.getLeftOperand(), text) | join(sum.getRightOperand(), text);
                case LiteralTree literal when literal.getValue() instanceof String s -> {
                    text.append(s);
                    yield true;
                }
                case ParenthesizedTree inner when inner.getExpression() instanceof BinaryTree ->
                        join(inner.getExpression(), text);
                default -> {
                    text.append("{}");
                    yield false;
                }
            };
        }

        private void add(Tree tree, String text) {
            Tree parent = getCurrentPath().getParentPath().getLeaf();
            String use =
                    switch (parent) {
                        case MethodInvocationTree call -> last(call.getMethodSelect());
                        case NewClassTree made -> last(made.getIdentifier());
                        default -> annotation();
                    };
            boolean name = NAMES.matcher(use).matches() && !text.contains(" ");
            if (!name && !CODE.matcher(text).matches()) {
                long at = trees.getSourcePositions().getStartPosition(unit, tree);
                Path file = Path.of(unit.getSourceFile().toUri());
                texts.add(new Text(text, file, unit.getLineMap().getLineNumber(at), use));
            }
        }

        private String annotation() {
            for (var path = getCurrentPath(); path != null; path = path.getParentPath()) {
                if (path.getLeaf() instanceof AnnotationTree annotation) {
                    return "@" + annotation.getAnnotationType();
                }
            }
            return "";
        }

        private static String last(Tree name) {
            String text = name.toString().replaceAll("<.*>", "");
            return text.substring(text.lastIndexOf('.') + 1);
        }
    }
}
