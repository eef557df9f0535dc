"""News from PostgreSQL for every stream of this process: one connection listens, all hear.

A stream waits for news of what it shows, and hears too when a session or a link ends, so that it
ends with whoever opened it.
"""

import asyncio
from collections import Counter
from collections.abc import AsyncIterator, Callable
from contextlib import asynccontextmanager, suppress
from dataclasses import dataclass, field

import psycopg
from sqlalchemy import Engine
from starlette.concurrency import run_in_threadpool

from invelo.db.errors import ConflictError
from invelo.services.account import accounts
from invelo.services.plan import planning
from invelo.services.training import live

CHANNELS = (live.CHANNEL, planning.CHANNEL, accounts.ENDED)

QUIET = 15.0
"""Seconds without news after which a stream looks whether it may still be open."""

MOST_STREAMS = 8
"""Streams that one session may hold open: more tabs than anyone watches (ours)."""


@dataclass(eq=False)
class Hearing:
    """One stream that waits for news."""

    wanted: Callable[[str, str], bool]
    news: asyncio.Event = field(default_factory=asyncio.Event)
    closed: bool = False

    async def wait(self, most: float = QUIET) -> bool:
        """Until there is news, or for so long; False once no more will come."""
        with suppress(TimeoutError):
            await asyncio.wait_for(self.news.wait(), most)
        self.news.clear()
        return not self.closed


async def until_gone(tidings: "Tidings", session: str, may: Callable[[], bool]) -> None:
    """Wait until whoever opened something may no longer be there."""
    async with tidings.hearing(accounts.ENDED, session=session) as heard:
        while await run_in_threadpool(may):
            if not await heard.wait():
                return


class Tidings:
    """What this process hears. The connection is there while anyone listens."""

    def __init__(self, engine: Engine) -> None:
        """Of one database; nothing is opened yet."""
        address = engine.url.set(drivername="postgresql")
        self._address = address.render_as_string(hide_password=False)
        self._hearings: set[Hearing] = set()
        self._listening: asyncio.Task[None] | None = None
        self._open: Counter[str] = Counter()

    def admit(self, session: str) -> None:
        """Let a session open one stream more; asked before a stream is begun.

        Raises:
            ConflictError: where it holds too many open.
        """
        if self._open[session] >= MOST_STREAMS:
            raise ConflictError(
                "live view",
                f"{MOST_STREAMS} are open already.",
                "Close one, then look again.",
            )

    @asynccontextmanager
    async def hearing(
        self, channel: str, payload: str = "", session: str = ""
    ) -> AsyncIterator[Hearing]:
        """Hear of a channel, and of sessions that end.

        Args:
            channel: one of `CHANNELS`.
            payload: hears of this alone; of all where it is ''.
            session: whose stream it is.

        """

        def wanted(told: str, said: str) -> bool:
            return told == accounts.ENDED or (told == channel and payload in ("", said))

        heard = Hearing(wanted)
        self._hearings.add(heard)
        self._open[session] += 1
        try:
            await self._listen()
            yield heard
        finally:
            self._hearings.discard(heard)
            self._open[session] -= 1
            if not self._open[session]:
                del self._open[session]
            if not self._hearings and self._listening is not None:
                self._listening.cancel()
                self._listening = None

    async def _listen(self) -> None:
        running = self._listening
        if running is None or running.done():
            ready = asyncio.Event()
            self._listening = asyncio.create_task(self._hear(ready))
            await ready.wait()

    async def _hear(self, ready: asyncio.Event) -> None:
        try:
            connecting = psycopg.AsyncConnection.connect(self._address, autocommit=True)
            async with await connecting as line:
                for channel in CHANNELS:
                    await line.execute(f"LISTEN {channel}")
                ready.set()
                async for notice in line.notifies():
                    for heard in list(self._hearings):
                        if heard.wanted(notice.channel, notice.payload):
                            heard.news.set()
        except psycopg.OperationalError:  # the database went away; the browsers ask again
            for heard in list(self._hearings):
                heard.closed = True
                heard.news.set()
        finally:
            ready.set()
