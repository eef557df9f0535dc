"""A loopback port of one's own: held from the moment it is found until it is let go."""

import socket
from collections.abc import Iterator
from contextlib import contextmanager


@contextmanager
def held_port() -> Iterator[int]:
    """A free loopback port that the kernel gives to nobody else while the block lasts.

    The socket that holds it is bound and never listens, so that a server that is told to take this
    very port (and allows the address to be used again, as servers do) may listen on it beside us.
    """
    with socket.socket() as holder:
        holder.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        holder.bind(("127.0.0.1", 0))
        port: int = holder.getsockname()[1]
        yield port
