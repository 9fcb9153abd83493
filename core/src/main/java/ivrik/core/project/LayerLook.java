package ivrik.core.project;

import ivrik.core.look.Look;

/** A look on a layer, in use or put by. */
public record LayerLook(Look look, boolean on) {}
