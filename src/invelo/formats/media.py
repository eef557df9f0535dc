"""Photos and clips of a set: what they tell besides the picture is taken out.

A photo is drawn anew from its points (place, time, camera and comments go with the old file); a
clip's packets are put into a new file without any of the old one's tags.
"""

from io import BytesIO
from typing import NamedTuple

from invelo.domain.errors import InputError

MOST_BYTES = 8 * 1024 * 1024
"""Of a picture as it comes (ours)."""

LONGEST_CLIP = 20.0
"""Seconds (ours): a set's rep or two, not a film."""

LONGEST_EDGE = 1600
"""Points of a photo's longer edge; a larger one is made smaller (ours)."""

PHOTOS = ("image/jpeg", "image/png", "image/webp")
MOST_POINTS = 25_000_000
"""Points of a photo: more than any phone's camera gives, and looked at before anything is drawn
(ours)."""

CLIPS = {"video/mp4": "mp4", "video/webm": "webm", "video/quicktime": "mp4"}
READ_AS = {"mp4": "mov", "webm": "matroska"}
"""By which reader a container is opened, and by no other: a list of addresses sent as a clip is
no clip, and nothing of it is fetched."""

NO_PROTOCOLS = {"protocol_whitelist": "none"}
REMEDY = (
    "Send a JPEG, PNG or WebP photo of at most 25 million points, or an MP4 or WebM clip of at "
    "most 20 s; 8 MB at most."
)


class Stripped(NamedTuple):
    """A picture that tells nothing but itself."""

    media_type: str
    content: bytes


def strip(media_type: str, content: bytes) -> Stripped:
    """A photo or clip without its metadata.

    Args:
        media_type: as the sender says.
        content: the file.

    Raises:
        InputError: for what is no such picture, or too large, or too long.
    """
    kind = media_type.split(";")[0].strip().lower()
    require_small(content)
    if kind in PHOTOS:
        return _photo(content)
    if kind in CLIPS:
        return _clip(content, CLIPS[kind])
    raise InputError("picture", f"“{kind or 'nothing'}” is no kind of picture here.", REMEDY)


def require_small(content: bytes) -> None:
    """Refuse what has too many bytes.

    Raises:
        InputError: for it.
    """
    if len(content) > MOST_BYTES:
        raise InputError("picture", f"it has {len(content) / 2**20:.1f} MB.", REMEDY)


def _photo(content: bytes) -> Stripped:
    from PIL import Image, ImageOps, UnidentifiedImageError

    try:
        with Image.open(BytesIO(content), formats=("JPEG", "PNG", "WEBP")) as opened:
            points = opened.width * opened.height
            if points > MOST_POINTS:
                raise InputError("picture", f"it has {points / 1e6:.0f} million points.", REMEDY)
            upright = ImageOps.exif_transpose(opened).convert("RGB")
    except InputError:
        raise
    except (
        UnidentifiedImageError,
        Image.DecompressionBombError,
        OSError,
        SyntaxError,  # what a broken PNG raises
        ValueError,
    ) as error:
        raise InputError("picture", "it cannot be read as a photo.", REMEDY) from error
    upright.thumbnail((LONGEST_EDGE, LONGEST_EDGE))
    bare = Image.new("RGB", upright.size)
    bare.paste(upright)
    made = BytesIO()
    bare.save(made, "JPEG", quality=85)
    return Stripped("image/jpeg", made.getvalue())


def _clip(content: bytes, container: str) -> Stripped:
    import av

    made = BytesIO()
    try:
        with (
            av.open(
                BytesIO(content),
                "r",
                format=READ_AS[container],
                options=NO_PROTOCOLS,
                metadata_errors="ignore",
            ) as old,
            av.open(made, "w", format=container) as new,
        ):
            if not old.streams.video:
                raise InputError("picture", "there is no picture in it.", REMEDY)
            source = old.streams.video[0]
            if old.duration is not None and old.duration / av.time_base > LONGEST_CLIP:
                seconds = old.duration / av.time_base
                raise InputError("picture", f"it lasts {seconds:.0f} s.", REMEDY)
            target = new.add_stream_from_template(source)
            target.metadata.clear()
            first = None
            for packet in old.demux(source):
                if packet.dts is None:
                    continue
                first = packet.pts if first is None else first
                past = float(((packet.pts or 0) - (first or 0)) * (packet.time_base or 0))
                if past > LONGEST_CLIP:
                    raise InputError("picture", f"it lasts over {LONGEST_CLIP:g} s.", REMEDY)
                packet.stream = target
                new.mux(packet)
            if first is None:
                raise InputError("picture", "there is nothing in it.", REMEDY)
    except InputError:
        raise
    except (av.FFmpegError, ValueError) as error:
        raise InputError("picture", "it cannot be read as a clip.", REMEDY) from error
    return Stripped(f"video/{container}", made.getvalue())
