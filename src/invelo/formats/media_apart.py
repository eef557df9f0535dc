"""A picture read in a process of its own, with limits on time and memory.

Whatever a picture makes its reader do, the service goes on: the process is niced, may use so many
seconds and so much memory, and only a few run at a time.
"""

import json
import os
import subprocess
import sys
from pathlib import Path
from threading import BoundedSemaphore

from invelo.domain.errors import InputError
from invelo.formats.media import MOST_BYTES, REMEDY, Stripped, require_small, strip

SECONDS = 20
"""Of the clock, and of a processor, that a picture may take (ours)."""

MEMORY = 3 * 1024**3
"""Bytes of address space (ours): a photo of 25 million points takes a tenth of it."""

AT_ONCE = 2
PATIENCE = 30.0
"""Pictures read at a time, and seconds that another waits for its turn (ours)."""

_turns = BoundedSemaphore(AT_ONCE)
_SOURCE = str(Path(__file__).resolve().parents[2])


def strip_apart(media_type: str, content: bytes) -> Stripped:
    """A photo or clip without its metadata, as `media.strip` makes it, in a process of its own.

    Args:
        media_type: as the sender says.
        content: the file.

    Raises:
        InputError: for what `media.strip` refuses, for what takes too long or too much, and while
            too many wait.
    """
    require_small(content)
    if not _turns.acquire(timeout=PATIENCE):
        raise InputError("picture", "too many are being read just now.", "Send it once more.")
    try:
        done = subprocess.run(  # noqa: S603
            [
                *("prlimit", f"--as={MEMORY}", f"--cpu={SECONDS}", "--core=0", "--nofile=64"),
                *("nice", "-n", "10", sys.executable, "-m", "invelo.formats.media_apart"),
            ],
            input=media_type.encode("latin-1", "replace") + b"\n" + content,
            capture_output=True,
            timeout=SECONDS,
            env={"PATH": os.environ.get("PATH", ""), "PYTHONPATH": _SOURCE},
        )
    except subprocess.TimeoutExpired as error:
        raise _TOO_MUCH from error
    finally:
        _turns.release()
    head, _, made = done.stdout.partition(b"\n")
    if done.returncode or not head:
        raise _TOO_MUCH
    said = json.loads(head)
    if "problem" in said:
        raise InputError("picture", said["problem"], REMEDY)
    return Stripped(said["media_type"], made)


_TOO_MUCH = InputError("picture", "it takes too long or too much to read.", REMEDY)


def _main() -> None:
    """Read a media type and a file from standard input, write what is left of it."""
    media_type = sys.stdin.buffer.readline(200).decode("latin-1").strip()
    content = sys.stdin.buffer.read(MOST_BYTES + 1)
    try:
        bare = strip(media_type, content)
    except InputError as error:
        sys.stdout.write(json.dumps({"problem": error.problem}) + "\n")
        return
    sys.stdout.buffer.write(json.dumps({"media_type": bare.media_type}).encode() + b"\n")
    sys.stdout.buffer.write(bare.content)


if __name__ == "__main__":
    _main()
