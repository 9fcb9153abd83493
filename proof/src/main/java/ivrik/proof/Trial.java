package ivrik.proof;

import java.nio.file.Path;

/** One way of trying to break something. */
interface Trial {
    /** What it is called on the command line. */
    String name();

    /**
     * Tries once.
     *
     * @param seed decides everything that is left to chance
     * @param folder empty and its own; kept if it fails
     * @return how many things were tried
     * @throws Failure what did not hold
     * @throws Exception what kept it from being tried
     */
    int run(long seed, Path folder) throws Exception;

    /** Something that was promised does not hold. */
    final class Failure extends Exception {
        Failure(String message) {
            super(message);
        }
    }
}
