package ivrik.media.vector;

import com.github.weisj.jsvg.parser.resources.ResourcePolicy;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.io.IOException;
import java.net.URI;
import java.nio.file.FileSystemNotFoundException;
import java.nio.file.Path;

/** Allows a graphic to link only to files in its own folder and data in the document. */
final class LocalResources implements ResourcePolicy {
    private static final Logger LOG = LoggerFactory.getLogger(LocalResources.class);

    private final Path graphic;

    LocalResources(Path graphic) {
        this.graphic = graphic;
    }

    @Override
    public URI resolveResourceURI(URI base, String link) {
        try {
            return resolveResourceURI(base, URI.create(link));
        } catch (IllegalArgumentException e) {
            LOG.warn("an invalid link in {}", graphic, e);
            return null;
        }
    }

    @Override
    public URI resolveResourceURI(URI base, URI link) {
        if ("data".equals(link.getScheme())) {
            return link;
        }
        try {
            Path folder = graphic.toRealPath().getParent();
            URI whole = graphic.toAbsolutePath().toUri().resolve(link);
            if ("file".equals(whole.getScheme())
                    && Path.of(whole).toRealPath().startsWith(folder)) {
                return whole;
            }
        } catch (IOException | IllegalArgumentException | FileSystemNotFoundException e) {
            LOG.warn("{} links to an unreadable file: {}", graphic, link, e);
            return null;
        }
        LOG.warn("{} links outside its folder: {}", graphic, link);
        return null;
    }
}
