"""Pictures of a set keep nothing but the picture. Pillow and FFmpeg write and read the metadata."""

import socket
from io import BytesIO

import av
import numpy as np
import pytest
from PIL import ExifTags, Image
from PIL.PngImagePlugin import PngInfo

from invelo.domain.errors import InputError
from invelo.formats import media

SECRET = b"Hidden Street 7"


def photo(kind: str = "JPEG", size: tuple[int, int] = (80, 60)) -> bytes:
    """A photo that tells where and by what it was taken."""
    image = Image.new("RGB", size, (200, 180, 40))
    exif = Image.Exif()
    exif[ExifTags.Base.Make] = "Secret camera"
    exif[ExifTags.Base.ImageDescription] = SECRET.decode()
    exif.get_ifd(ExifTags.IFD.GPSInfo)[ExifTags.GPS.GPSLatitude] = (38.0, 42.0, 0.0)
    made = BytesIO()
    if kind == "PNG":
        told = PngInfo()
        told.add_text("Comment", SECRET.decode())
        image.save(made, kind, pnginfo=told, exif=exif)
    else:
        image.save(made, kind, exif=exif)
    return made.getvalue()


def clip(container: str = "mp4", seconds: float = 1.0) -> bytes:
    """A clip that tells where it was taken."""
    made = BytesIO()
    codec = "mpeg4" if container == "mp4" else "libvpx"
    with av.open(made, "w", format=container) as file:
        file.metadata["title"] = SECRET.decode()
        file.metadata["location"] = "+38.7000-009.1000/"
        file.metadata["comment"] = SECRET.decode()
        stream = file.add_stream(codec, rate=10)
        stream.width, stream.height, stream.pix_fmt = 64, 48, "yuv420p"
        for n in range(int(10 * seconds)):
            frame = av.VideoFrame.from_ndarray(
                np.full((48, 64, 3), 20 * n % 255, np.uint8), format="rgb24"
            )
            file.mux(stream.encode(frame))
        file.mux(stream.encode())
    return made.getvalue()


@pytest.mark.parametrize("kind", ["JPEG", "PNG", "WEBP"])
def test_a_photo_loses_place_camera_and_comments(kind: str) -> None:
    taken = photo(kind)
    assert b"Secret camera" in taken
    found = media.strip(f"image/{kind.lower()}", taken)
    assert found.media_type == "image/jpeg"
    assert SECRET not in found.content
    assert b"Secret" not in found.content
    with Image.open(BytesIO(found.content)) as image:
        assert dict(image.getexif()) == {}
        assert image.size == (80, 60)
        red, green, blue = image.getpixel((40, 30))
        assert (abs(red - 200) < 12, abs(green - 180) < 12, abs(blue - 40) < 12) == (True,) * 3


def test_a_photo_that_lies_on_its_side_is_stood_up() -> None:
    image = Image.new("RGB", (80, 40), "white")
    exif = Image.Exif()
    exif[ExifTags.Base.Orientation] = 6
    made = BytesIO()
    image.save(made, "JPEG", exif=exif)
    found = media.strip("image/jpeg", made.getvalue())
    with Image.open(BytesIO(found.content)) as stood:
        assert stood.size == (40, 80)


def test_a_large_photo_is_made_smaller() -> None:
    found = media.strip("image/jpeg", photo(size=(3000, 1000)))
    with Image.open(BytesIO(found.content)) as image:
        assert max(image.size) == media.LONGEST_EDGE


@pytest.mark.parametrize("container", ["mp4", "webm"])
def test_a_clip_loses_its_tags_and_keeps_its_picture(container: str) -> None:
    taken = clip(container)
    assert SECRET in taken
    found = media.strip(f"video/{container}", taken)
    assert found.media_type == f"video/{container}"
    assert SECRET not in found.content
    assert b"+38.7" not in found.content
    with av.open(BytesIO(found.content)) as file:
        told = {key.lower() for key in file.metadata}
        assert not told & {"title", "comment", "location", "creation_time"}
        frames = list(file.decode(video=0))
    assert len(frames) == 10
    assert (frames[0].width, frames[0].height) == (64, 48)


def test_a_clip_that_is_too_long_is_refused() -> None:
    with pytest.raises(InputError) as refused:
        media.strip("video/mp4", clip(seconds=media.LONGEST_CLIP + 2))
    assert "22 s" in refused.value.problem


@pytest.mark.parametrize(
    ("kind", "content"),
    [
        ("image/jpeg", b"not a photo at all"),
        ("image/png", photo()[:40]),
        ("video/mp4", b"\x00\x00\x00\x18ftypmp42" + b"x" * 50),
        ("video/webm", b"\x1a\x45\xdf\xa3nothing"),
        ("image/svg+xml", b"<svg onload='alert(1)'/>"),
        ("text/html", b"<script>alert(1)</script>"),
        ("", b"anything"),
    ],
)
def test_what_is_no_picture_is_refused_with_what_to_send(kind: str, content: bytes) -> None:
    with pytest.raises(InputError) as refused:
        media.strip(kind, content)
    assert refused.value.field == "picture"
    assert "JPEG" in refused.value.remedy


def test_a_photo_of_too_many_points_is_refused_before_it_is_drawn() -> None:
    made = BytesIO()
    Image.new("1", (8000, 4000)).save(made, "PNG")
    assert len(made.getvalue()) < 100_000
    with pytest.raises(InputError, match="32 million points"):
        media.strip("image/png", made.getvalue())


@pytest.mark.parametrize("kind", sorted(media.CLIPS))
def test_a_list_of_addresses_is_no_clip_and_nothing_is_fetched(kind: str) -> None:
    with socket.create_server(("127.0.0.1", 0)) as listening:
        listening.settimeout(0.3)
        address = f"http://127.0.0.1:{listening.getsockname()[1]}/a.ts"
        lists = (
            f"#EXTM3U\n#EXT-X-TARGETDURATION:1\n#EXTINF:1,\n{address}\n#EXT-X-ENDLIST\n",
            f"ffconcat version 1.0\nfile {address}\n",
        )
        for text in lists:
            with pytest.raises(InputError):
                media.strip(kind, text.encode())
        with pytest.raises(TimeoutError):
            listening.accept()


def test_a_file_that_is_too_large_is_refused_before_it_is_looked_at() -> None:
    with pytest.raises(InputError) as refused:
        media.strip("image/jpeg", b"x" * (media.MOST_BYTES + 1))
    assert "8.0 MB" in refused.value.problem
