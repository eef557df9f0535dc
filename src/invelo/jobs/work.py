"""What every job stands on: the database and the clock, an act of the services at a time."""

from collections.abc import Callable
from dataclasses import dataclass
from datetime import datetime
from typing import Any, TypeVar

import anyio.to_thread
from sqlalchemy import Engine

from invelo.db.database import transaction
from invelo.devices.mail import MailServer

Answer = TypeVar("Answer")


@dataclass(frozen=True)
class Post:
    """How letters go out: the server, and the address of the service that links in them begin
    with."""

    server: MailServer
    public_address: str


@dataclass(frozen=True)
class Work:
    """What a job stands on; no letter goes out where `post` is None."""

    engine: Engine
    clock: Callable[[], datetime]
    post: Post | None = None

    async def do(self, act: Callable[..., Answer], *args: Any) -> Answer:
        """An act of the services in one transaction, in a thread of its own."""

        def within() -> Answer:
            with transaction(self.engine) as db:
                return act(db, *args)

        return await anyio.to_thread.run_sync(within)
