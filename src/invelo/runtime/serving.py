"""Running the service: a port, a database, an orderly end."""

import gc
import os
import signal
import socket
import subprocess
import sys
import threading
from collections.abc import Iterator
from contextlib import ExitStack, contextmanager
from pathlib import Path
from types import FrameType

import uvicorn
from fastapi import FastAPI
from starlette.types import ASGIApp, Message

from invelo.devices.mail import Letter
from invelo.runtime import postgres
from invelo.runtime.ports import held_port
from invelo.runtime.settings import Settings

PORTS_TRIED = 100


def say(text: str) -> None:
    """Tell whoever sits at the terminal."""
    print(f"invelo: {text}", file=sys.stderr, flush=True)


def listen(host: str, port: int, asked: bool) -> socket.socket:
    """A listening socket on `port`, or on the next free one unless that very port was asked for.

    Raises:
        SystemExit: if there is none.
    """
    for candidate in range(port, port + 1 if asked else port + PORTS_TRIED):
        family = socket.AF_INET6 if ":" in host else socket.AF_INET
        # asyncio sends small answers at once (TCP_NODELAY) only where the protocol is named
        listener = socket.socket(family, socket.SOCK_STREAM, socket.IPPROTO_TCP)
        listener.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        try:
            listener.bind((host, candidate))
            listener.listen()
        except OSError:
            listener.close()
            continue
        return listener
    say(f"port {port} is taken.")
    say("what to do: name another with --port, or end what listens there.")
    raise SystemExit(1)


LAST_GRACE = 5
"""Seconds that a process beside this one has to end."""

AGAIN = 1.0
"""Seconds between one that failed and the next."""

GRACE = 2
"""Seconds that open answers have to end once we are told to stop; a live view never would."""


class _Announcing(uvicorn.Server):
    """A server that says when it can be reached."""

    announcement: str = ""

    async def startup(self, sockets: list[socket.socket] | None = None) -> None:
        """Start, know the way to every address, then say so."""
        await super().startup(sockets)
        await know_every_address(self.config.loaded_app)
        if self.announcement:
            say(self.announcement)


async def know_every_address(app: ASGIApp) -> None:
    """Ask for what is nowhere: the framework lays out each router when it is first looked through,
    which would cost whoever comes first a second."""
    scope = {
        "type": "http",
        "asgi": {"version": "3.0"},
        "http_version": "1.1",
        "method": "GET",
        "scheme": "http",
        "path": "/api/nowhere",
        "raw_path": b"/api/nowhere",
        "query_string": b"",
        "root_path": "",
        "headers": [(b"host", b"localhost")],
        "client": ("127.0.0.1", 0),
        "server": ("127.0.0.1", 0),
    }

    async def receive() -> Message:
        return {"type": "http.request", "body": b"", "more_body": False}

    async def send(_: Message) -> None:
        return

    await app(scope, receive, send)


SELDOM = (50_000, 20, 100)
"""Objects made, and younger rounds, between two rounds of Python's garbage collector: an answer
makes tens of thousands, of which few go in a ring (ours: the bench of scale took 5 % less)."""


def collect_seldom() -> None:
    """Let the garbage collector pass over what lives as long as the service."""
    gc.collect()
    gc.freeze()
    gc.set_threshold(*SELDOM)


def config_for(app: FastAPI) -> uvicorn.Config:
    """How an application is served: whose word on where a request comes from is believed is set."""
    proxies = app.state.settings.proxies
    return uvicorn.Config(
        app,
        log_level="warning",
        access_log=False,
        timeout_graceful_shutdown=GRACE,
        proxy_headers=bool(proxies),
        forwarded_allow_ips=proxies,
    )


def run(app: FastAPI, listener: socket.socket, announcement: str = "") -> None:
    """Serve until told to stop; say so once it answers, where there is something to say."""
    server = _Announcing(config_for(app))
    server.announcement = announcement
    collect_seldom()
    server.run(sockets=[listener])


@contextmanager
def demo_mail(settings: Settings, address: str) -> Iterator[Settings]:
    """Settings of the demo, whose letters go to the simulated mail server and are said here; as
    they are where a mail server is set."""
    from invelo.devices.simulated_mail import MailBox, simulated_mail

    if settings.mail_server:
        yield settings
        return

    def come(letter: Letter) -> None:
        say(f"a letter to {letter.to}: {letter.subject}\n{letter.body}")

    with held_port() as port, simulated_mail(port, MailBox(come=come)) as server:
        posted = {"mail_server": server, "mail_security": "none", "public_address": address}
        yield settings.model_copy(update=posted)


@contextmanager
def worker(url: str, settings: Settings) -> Iterator[None]:
    """A worker beside the service, on the same database; it ends with it, however that ends. One
    that fails, as where others struck it off while the machine slept, is followed by another."""
    with _beside("worker", url, settings):
        yield


@contextmanager
def copies(url: str, settings: Settings, listener: socket.socket, count: int) -> Iterator[None]:
    """So many more processes that answer on the same port, on the same database."""
    listener.set_inheritable(True)
    with ExitStack() as stack:
        for _ in range(count):
            stack.enter_context(_beside("copy", url, settings, listener.fileno()))
        yield


@contextmanager
def _beside(command: str, url: str, settings: Settings, *sockets: int) -> Iterator[None]:
    """Another process of this service, kept alive until the block ends."""
    words = [sys.executable, "-m", "invelo", command, "--beside"]
    words += [word for number in sockets for word in ("--socket", str(number))]
    environment = {
        **os.environ,
        "INVELO_DATABASE_URL": url,
        "INVELO_MAIL_SERVER": settings.mail_server,
        "INVELO_MAIL_SECURITY": settings.mail_security,
        "INVELO_PUBLIC_ADDRESS": settings.address,
    }

    def start() -> subprocess.Popen[bytes]:
        return subprocess.Popen(  # noqa: S603
            words, env=environment, stdin=subprocess.PIPE, pass_fds=sockets
        )

    process, stopping, changing = start(), threading.Event(), threading.Lock()

    def keep() -> None:
        nonlocal process
        while process.wait() != 0 and not stopping.wait(AGAIN):
            say(f"the {command} has failed; another takes its place.")
            with changing:
                if stopping.is_set():
                    return
                process = start()

    threading.Thread(target=keep, daemon=True).start()
    try:
        yield
    finally:
        with changing:
            stopping.set()
        process.terminate()
        try:
            process.wait(LAST_GRACE)
        except subprocess.TimeoutExpired:  # its jobs are taken up by another
            process.kill()
            process.wait()


def end_with_parent() -> None:
    """End this process once its standard input closes: when whoever started it is gone, killed
    outright even."""

    def wait() -> None:
        sys.stdin.buffer.read()
        os.kill(os.getpid(), signal.SIGTERM)

    threading.Thread(target=wait, daemon=True).start()


@contextmanager
def database(settings: Settings, name: str) -> Iterator[str]:
    """The address of a database: the one set, or one on this checkout's own server."""
    if settings.database_url:
        yield settings.database_url
        return
    with own_server(name, settings.data_dir) as server:
        yield server.url("invelo")


@contextmanager
def own_server(name: str, folder: Path | None = None) -> Iterator[postgres.Server]:
    """This checkout's own PostgreSQL server, stopped in order however we are told to end.

    Raises:
        SystemExit: if it cannot be had, after saying why.
    """

    def end(_: int, __: FrameType | None) -> None:
        raise KeyboardInterrupt

    for number in (signal.SIGTERM, signal.SIGHUP):
        signal.signal(number, end)
    try:
        home = postgres.data_home(name, folder)
        say(f"starting PostgreSQL (data in {home})")
        with postgres.running(home) as server:
            yield server
    except postgres.PostgresError as error:
        say(str(error))
        raise SystemExit(1) from error
    finally:
        say("stopped")
