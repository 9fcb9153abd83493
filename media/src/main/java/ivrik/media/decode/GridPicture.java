package ivrik.media.decode;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avformat.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Region;
import ivrik.core.picture.Size;
import ivrik.core.threads.Workers;
import ivrik.media.ffmpeg.Ffmpeg;
import ivrik.media.pixel.PixelReader;

import org.bytedeco.ffmpeg.avcodec.AVCodec;
import org.bytedeco.ffmpeg.avcodec.AVCodecContext;
import org.bytedeco.ffmpeg.avcodec.AVPacket;
import org.bytedeco.ffmpeg.avformat.AVFormatContext;
import org.bytedeco.ffmpeg.avformat.AVStream;
import org.bytedeco.ffmpeg.avformat.AVStreamGroup;
import org.bytedeco.ffmpeg.avformat.AVStreamGroupTileGrid;
import org.bytedeco.ffmpeg.avutil.AVDictionary;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.javacpp.PointerPointer;

import java.nio.file.Path;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/** A HEIF image (HEIC, AVIF) stored in tiles or with a crop: assembled and cropped. */
final class GridPicture {
    private final Path path;
    private final Workers workers;
    private final AVFormatContext format = new AVFormatContext(null);
    private final Map<Integer, Frame> tiles = new HashMap<>();
    private Depth depth = Depth.INT8;
    private FootageColours colours = FootageColours.USUAL;
    private String container = "heif";

    private GridPicture(Path path, Workers workers) {
        this.path = path;
        this.workers = workers;
    }

    /** The image; empty if it is stored as it is shown. */
    static Optional<RasterPicture> read(Path path, Workers workers) {
        Ffmpeg.load();
        GridPicture grid = new GridPicture(path, workers);
        AVDictionary options = new AVDictionary(null);
        av_dict_set(options, "protocol_whitelist", "file", 0);
        int opened = avformat_open_input(grid.format, "file:" + path, null, options);
        av_dict_free(options);
        if (opened < 0) {
            return Optional.empty(); // the regular reader reports the reason
        }
        try {
            avformat_find_stream_info(grid.format, (PointerPointer<?>) null);
            return grid.group().flatMap(grid::assembled);
        } finally {
            avformat_close_input(grid.format);
        }
    }

    private Optional<AVStreamGroup> group() {
        for (int i = 0; i < format.nb_stream_groups(); i++) {
            AVStreamGroup group = format.stream_groups(i);
            if (group.type() == AV_STREAM_GROUP_PARAMS_TILE_GRID) {
                return Optional.of(group);
            }
        }
        return Optional.empty();
    }

    private Optional<RasterPicture> assembled(AVStreamGroup group) {
        AVStreamGroupTileGrid grid = group.params_tile_grid();
        MemoryCheck.check(new Size(grid.coded_width(), grid.coded_height()), path);
        Map<Integer, AVStream> wanted = new HashMap<>();
        for (int i = 0; i < group.nb_streams(); i++) {
            wanted.put(group.streams(i).index(), group.streams(i));
        }
        decode(wanted);
        if (tiles.isEmpty()) {
            return Optional.empty();
        }
        Plane[] canvas = new Plane[3];
        Arrays.setAll(canvas, c -> Plane.of(grid.coded_width(), grid.coded_height()));
        for (int t = 0; t < grid.nb_tiles(); t++) {
            Frame tile = tiles.get(group.streams(grid.offsets_idx(t)).index());
            if (tile == null) {
                return Optional.empty();
            }
            for (int c = 0; c < 3; c++) {
                paste(
                        tile.colour().get(c),
                        canvas[c],
                        grid.offsets_horizontal(t),
                        grid.offsets_vertical(t));
            }
        }
        Region shown =
                new Region(
                        grid.horizontal_offset(),
                        grid.vertical_offset(),
                        grid.width(),
                        grid.height());
        Frame cut = Frame.opaque(canvas[0], canvas[1], canvas[2]).crop(shown);
        Frame upright =
                Orientation.of(grid.coded_side_data(), grid.nb_coded_side_data()).upright(cut);
        return Optional.of(new RasterPicture(upright, depth, container, colours));
    }

    /** Each tile is a stream of one packet. */
    private void decode(Map<Integer, AVStream> wanted) {
        AVPacket packet = av_packet_alloc();
        AVFrame picture = av_frame_alloc();
        try {
            while (av_read_frame(format, packet) >= 0) {
                AVStream stream = wanted.get(packet.stream_index());
                if (stream != null && !tiles.containsKey(stream.index())) {
                    decode(stream, packet, picture);
                }
                av_packet_unref(packet);
            }
        } finally {
            av_frame_free(picture);
            av_packet_free(packet);
        }
    }

    private void decode(AVStream stream, AVPacket packet, AVFrame picture) {
        AVCodec decoder = avcodec_find_decoder(stream.codecpar().codec_id());
        if (decoder == null || decoder.isNull()) {
            return;
        }
        AVCodecContext codec = avcodec_alloc_context3(decoder);
        try {
            avcodec_parameters_to_context(codec, stream.codecpar());
            if (avcodec_open2(codec, decoder, (AVDictionary) null) < 0
                    || avcodec_send_packet(codec, packet) < 0
                    || avcodec_send_packet(codec, null) < 0
                    || avcodec_receive_frame(codec, picture) < 0) {
                return;
            }
            if (tiles.isEmpty()) {
                depth = Depth.ofBits(av_pix_fmt_desc_get(picture.format()).comp(0).depth());
                colours = FrameColourTags.of(picture, stream);
                container = Ffmpeg.text(avcodec_get_name(stream.codecpar().codec_id()));
            }
            tiles.put(stream.index(), PixelReader.read(picture, workers));
        } finally {
            avcodec_free_context(codec);
        }
    }

    private static void paste(Plane tile, Plane canvas, int x, int y) {
        int width = Math.min(tile.width(), canvas.width() - x);
        for (int row = 0; row < Math.min(tile.height(), canvas.height() - y); row++) {
            System.arraycopy(
                    tile.data(), tile.row(row), canvas.data(), canvas.row(y + row) + x, width);
        }
    }
}
