"""Addresses of earlier releases, under which a phone may still send what it holds unsent.

Each stays for two releases. The bodies' earlier field names are read by the fields themselves
(`invelo.domain.strict.renamed`).
"""

import re

from starlette.types import ASGIApp, Receive, Scope, Send

MOVED = (
    (re.compile(r"(/api/athletes/[^/]+)/runs(?=/|$)"), r"\1/sessions"),
    (re.compile(r"(/api/athletes/[^/]+)/whole-sessions(?=/)"), r"\1/completed-sessions"),
)
"""What was at the one address is at the other since release 0.2."""


def today(path: str) -> str:
    """An address as this release knows it."""
    for earlier, now in MOVED:
        path = earlier.sub(now, path)
    return path


class ReleasedAddresses:
    """Leads what is sent to an address of an earlier release to where it is taken in now."""

    def __init__(self, app: ASGIApp) -> None:
        """Around an application."""
        self.app = app

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        """Pass on, under today's address."""
        if scope["type"] == "http" and (path := today(scope["path"])) != scope["path"]:
            scope = {**scope, "path": path, "raw_path": path.encode()}
        await self.app(scope, receive, send)
