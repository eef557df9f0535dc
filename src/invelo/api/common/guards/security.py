"""What guards every request: response headers, cross-site check, size limit."""

import secrets
from collections.abc import Sequence

from starlette.datastructures import Headers, MutableHeaders
from starlette.responses import Response
from starlette.types import ASGIApp, Message, Receive, Scope, Send

from invelo.api.common.problems import FieldProblem, problem
from invelo.formats.media import MOST_BYTES

BODY_LIMIT = 256 * 1024
"""Largest request body, bytes."""

LARGER = {"picture": MOST_BYTES + 1024, "log-files": 4 * 1024 * 1024}
"""Larger ones, by the last part of the address."""

ONLY_HTTPS = f"max-age={365 * 86400}"

SAFE_METHODS = frozenset({"GET", "HEAD", "OPTIONS"})


def policy(nonce: str) -> str:
    """The Content-Security-Policy: everything from here, nothing inline but what has the nonce."""
    return "; ".join(
        (
            "default-src 'self'",
            "img-src 'self' data:",
            f"style-src 'self' 'nonce-{nonce}'",
            "object-src 'none'",
            "base-uri 'none'",
            "form-action 'self'",
            "frame-ancestors 'none'",
        )
    )


class SecurityHeaders:
    """Set the security headers; the page's nonce is at `scope["state"]["nonce"]`."""

    def __init__(self, app: ASGIApp, https: bool = False) -> None:
        """Wrap an application; where HTTPS is, browsers are told to use nothing else."""
        self.app = app
        self.https = https

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        """Add the headers to every response."""
        if scope["type"] != "http":
            await self.app(scope, receive, send)
            return
        nonce = secrets.token_urlsafe(16)
        scope.setdefault("state", {})["nonce"] = nonce

        async def with_headers(message: Message) -> None:
            if message["type"] == "http.response.start":
                headers = MutableHeaders(scope=message)
                headers["Content-Security-Policy"] = policy(nonce)
                headers["X-Content-Type-Options"] = "nosniff"
                headers["Referrer-Policy"] = "no-referrer"
                headers["Cross-Origin-Opener-Policy"] = "same-origin"
                headers["Cross-Origin-Resource-Policy"] = "same-origin"
                headers["Permissions-Policy"] = "camera=(), microphone=(), geolocation=()"
                headers.setdefault("Cache-Control", "no-store")
                if self.https:
                    headers["Strict-Transport-Security"] = ONLY_HTTPS
            await send(message)

        await self.app(scope, receive, with_headers)


class KnownHosts:
    """Answer to our own host names only: a page of another name that leads here gets nothing."""

    def __init__(self, app: ASGIApp, allowed: Sequence[str]) -> None:
        """Wrap an application that answers to these names; "*" for any."""
        self.app = app
        self.allowed = frozenset(allowed)

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        """Let the request through or refuse it."""
        if scope["type"] == "lifespan" or "*" in self.allowed or self._known(scope):
            await self.app(scope, receive, send)
            return
        refusal = problem(
            400,
            "Not a host of this service",
            FieldProblem(
                field="host",
                problem="the service does not answer to this name.",
                remedy="Use its own, or add this one to INVELO_ALLOWED_HOSTS.",
            ),
        )
        await refusal(scope, receive, send)

    def _known(self, scope: Scope) -> bool:
        host = Headers(scope=scope).get("host", "")
        name, _, port = host.rpartition(":")
        return host in self.allowed or (port.isdigit() and name in self.allowed)


class CrossSiteGuard:
    """Refuse writes from other sites, and bodies that are too large."""

    def __init__(self, app: ASGIApp) -> None:
        """Wrap an application."""
        self.app = app

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        """Let the request through or answer it here."""
        refusal = self._refusal(scope) if scope["type"] == "http" else None
        if refusal is not None:
            await refusal(scope, receive, send)
            return
        if scope["type"] != "http":
            await self.app(scope, receive, send)
            return
        body = _Body(receive, limit_of(scope))
        await self.app(scope, body.receive, body.instead(scope, send))

    def _refusal(self, scope: Scope) -> Response | None:
        headers = Headers(scope=scope)
        if scope["method"] not in SAFE_METHODS and not same_site(headers):
            return problem(
                403,
                "Refused: it came from another site",
                FieldProblem(
                    field="origin",
                    problem="the request came from another site's page.",
                    remedy="Open the application itself and do it there.",
                ),
            )
        length = headers.get("content-length", "0")
        limit = limit_of(scope)
        return _too_large(limit) if not length.isdigit() or int(length) > limit else None


def limit_of(scope: Scope) -> int:
    """The largest body that an address takes, bytes."""
    return LARGER.get(str(scope.get("path", "")).rsplit("/", 1)[-1], BODY_LIMIT)


def same_site(headers: Headers) -> bool:
    """Whether a write comes from our own page.

    Browsers say so in Sec-Fetch-Site, older ones in Origin. A client that sends neither is no
    browser and carries nobody's cookies by accident.
    """
    fetched = headers.get("sec-fetch-site")
    if fetched is not None:
        return fetched in ("same-origin", "none")
    origin = headers.get("origin")
    return origin is None or origin.split("://", 1)[-1] == headers.get("host")


def _too_large(limit: int) -> Response:
    return problem(
        413,
        "Too large",
        FieldProblem(
            field="body",
            problem=f"it is over {limit // 1024} KiB.",
            remedy="Send less at once.",
        ),
    )


class _Body:
    """A body that is cut off once it streams past the limit without having announced its length;
    whatever the application makes of the stump, the answer says that it is too large."""

    def __init__(self, receive: Receive, limit: int) -> None:
        self._receive, self._limit = receive, limit
        self._seen = 0

    @property
    def _over(self) -> bool:
        return self._seen > self._limit

    async def receive(self) -> Message:
        message = await self._receive()
        self._seen += len(message.get("body", b""))
        return {"type": "http.disconnect"} if self._over else message

    def instead(self, scope: Scope, send: Send) -> Send:
        """The application's way to answer, which is ours if the body was too large."""
        refused = False

        async def answer(message: Message) -> None:
            nonlocal refused
            if self._over and message["type"] == "http.response.start":
                refused = True
                await _too_large(self._limit)(scope, self._receive, send)
            elif not refused:
                await send(message)

        return answer
