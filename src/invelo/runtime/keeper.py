"""Keeps this checkout's own PostgreSQL server while any command uses it.

    python -m invelo.runtime.keeper LOCKS PORT COMMAND …

`COMMAND` is the server's. It is started on `PORT` (0 for a free one, appended as `-p PORT`), and
again on the same port whenever it ends unasked. Every command of the checkout holds the lock
`in-use` in the folder `LOCKS` while it needs the server; once nobody does, however they ended, the
server is stopped in order, and so is this. Only what Python brings is imported, so that it starts
at once.
"""

import fcntl
import os
import signal
import socket
import subprocess
import sys
import time
from pathlib import Path

LOOK = 0.05
"""Seconds between two looks at the server and at whether anybody uses it."""

IN_USE, KEPT, STARTING = "in-use.lock", "kept.lock", "starting.lock"


def locked(path: Path, how: int) -> int | None:
    """A file descriptor that holds a lock on a file (`fcntl.LOCK_…`); None if it is not to be had.

    Closing it lets go, and so does the end of the process, whatever ends it.
    """
    descriptor = os.open(path, os.O_RDWR | os.O_CREAT | os.O_CLOEXEC, 0o600)
    try:
        fcntl.flock(descriptor, how)
    except BlockingIOError:
        os.close(descriptor)
        return None
    return descriptor


def ready(data: Path) -> bool:
    """Whether a server says in its lock file that it takes connections (its eighth line)."""
    try:
        return (data / "postmaster.pid").read_text().splitlines()[7].strip() == "ready"
    except (OSError, IndexError):
        return False


def main(locks: Path, port: int, command: list[str]) -> int:
    """Start the server, start it again when it ends, stop it when nobody uses it; 1 if it does not
    start at all."""
    kept = locked(locks / KEPT, fcntl.LOCK_EX | fcntl.LOCK_NB)
    if kept is None:
        return 0  # another keeps it
    for number in (signal.SIGINT, signal.SIGTERM, signal.SIGHUP):
        signal.signal(number, signal.SIG_IGN)  # it is those who use it that tell us to end
    with socket.socket() as holder:  # bound and never listening: the port stays ours
        holder.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        holder.bind(("127.0.0.1", port))
        command = [*command, "-p", str(holder.getsockname()[1])]
        data = locks / "data"
        server, started = _launched(command, locks / "log", "wb"), False
        while True:
            time.sleep(LOOK)
            started = started or ready(data)
            if server.poll() is not None:
                if not started:
                    return 1
                server = _launched(command, locks / "log", "ab")
            elif locked(locks / IN_USE, fcntl.LOCK_EX | fcntl.LOCK_NB) is not None:
                server.send_signal(signal.SIGINT)  # "fast": roll back what is open and stop
                server.wait()
                return 0


def _launched(command: list[str], log: Path, mode: str) -> "subprocess.Popen[bytes]":
    with log.open(mode) as out:
        return subprocess.Popen(command, stdin=subprocess.DEVNULL, stdout=out, stderr=out, cwd="/")  # noqa: S603


if __name__ == "__main__":
    raise SystemExit(main(Path(sys.argv[1]), int(sys.argv[2]), sys.argv[3:]))
