"""A name for every request, by which a screen and the service's log speak of the same one.

It stands alone because what answers a problem and what guards a request both need it.
"""

import secrets
from contextvars import ContextVar

from starlette.datastructures import MutableHeaders
from starlette.types import ASGIApp, Message, Receive, Scope, Send
from structlog.contextvars import bind_contextvars

HEADER = "X-Request-ID"

_current: ContextVar[str] = ContextVar("request_id", default="")


def request_id() -> str:
    """The name of the request at hand; '' outside of any."""
    return _current.get()


class RequestId:
    """Name each request, in its answer's head and in every line of the log. Names are made here:
    one that a client sends could be anybody's."""

    def __init__(self, app: ASGIApp) -> None:
        """Wrap an application."""
        self.app = app

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        """Name the request and pass it on. The name outlives the call, for whatever answers an
        error further out; the next request sets its own."""
        if scope["type"] != "http":
            await self.app(scope, receive, send)
            return
        name = secrets.token_hex(6)
        _current.set(name)
        bind_contextvars(request_id=name)

        async def with_name(message: Message) -> None:
            if message["type"] == "http.response.start":
                MutableHeaders(scope=message)[HEADER] = name
            await send(message)

        await self.app(scope, receive, with_name)
