"""A picture read in a process of its own gives what reading it here gives, within its limits."""

import threading
import time

import pytest

from invelo.domain.errors import InputError
from invelo.formats import media, media_apart
from tests.formats.test_media import SECRET, clip, photo


@pytest.mark.parametrize(
    ("kind", "content"), [("image/png", photo("PNG")), ("video/mp4", clip("mp4"))]
)
def test_apart_or_not_the_picture_is_the_same(kind: str, content: bytes) -> None:
    apart, here = media_apart.strip_apart(kind, content), media.strip(kind, content)
    assert apart.media_type == here.media_type
    assert len(apart.content) == len(here.content)


@pytest.mark.parametrize(
    ("kind", "content"), [("image/jpeg", photo("JPEG")), ("video/mp4", clip("mp4"))]
)
def test_what_follows_a_pictures_end_is_dropped(kind: str, content: bytes) -> None:
    assert SECRET not in media_apart.strip_apart(kind, content + SECRET * 50).content


def test_what_is_no_picture_is_refused_in_the_same_words() -> None:
    with pytest.raises(InputError, match="it cannot be read as a photo"):
        media_apart.strip_apart("image/jpeg", b"no photo")


@pytest.mark.parametrize(("limit", "value"), [("SECONDS", 0.01), ("MEMORY", 8 * 1024 * 1024)])
def test_what_takes_too_long_or_too_much_is_refused(monkeypatch, limit, value) -> None:
    monkeypatch.setattr(media_apart, limit, value)
    if limit == "SECONDS":  # prlimit counts whole seconds
        monkeypatch.setattr(media_apart, "SECONDS", Late(value))
    with pytest.raises(InputError, match="too long or too much"):
        media_apart.strip_apart("image/jpeg", photo(size=(2000, 2000)))


class Late(float):
    """Seconds that a processor's limit counts as one."""

    def __format__(self, _: str) -> str:
        return "1"


def test_only_a_few_are_read_at_a_time(monkeypatch) -> None:
    monkeypatch.setattr(media_apart, "PATIENCE", 0.05)
    monkeypatch.setattr(media_apart, "_turns", threading.BoundedSemaphore(1))
    with media_apart._turns, pytest.raises(InputError, match="too many"):
        media_apart.strip_apart("image/jpeg", photo())
    began = time.monotonic()
    assert media_apart.strip_apart("image/jpeg", photo()).media_type == "image/jpeg"
    assert time.monotonic() - began < media_apart.SECONDS
