package ivrik.proof;

import java.nio.file.Path;

/** An attempt to break something. */
interface Trial {
    /** The name on the command line. */
    String name();

    /**
     * Runs one attempt.
     *
     * @param seed determines all random choices
     * @param folder empty folder, kept on failure
     * @return number of checks
     * @throws Failure if a property is violated
     * @throws Exception if the attempt cannot be made
     */
    int run(long seed, Path folder) throws Exception;

    /** A promised property is violated. */
    final class Failure extends Exception {
        Failure(String message) {
            super(message);
        }
    }
}
