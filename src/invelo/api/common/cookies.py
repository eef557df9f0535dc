"""Cookies: who is signed in, whose link it is, which browser. Where HTTPS is, they are bound to
this very host (`__Host-`, RFC 6265bis)."""

from collections.abc import Mapping
from datetime import timedelta

from fastapi import Response
from starlette.requests import HTTPConnection

from invelo.runtime.settings import Settings

SESSION_COOKIE = "invelo_session"
LINK_COOKIE = "invelo_link"
DEVICE_COOKIE = "invelo_device"

HOST = "__Host-"


def cookie(settings: Settings, sent: Mapping[str, str], name: str) -> str | None:
    """What a browser sent under a name.

    An athlete's link is also read under its bare name, as earlier releases have set it.
    """
    if not settings.secure_cookies:
        return sent.get(name)
    bare = sent.get(name) if name == LINK_COOKIE else None
    return sent.get(HOST + name) or bare


def cookie_of(connection: HTTPConnection, name: str) -> str | None:
    """What the browser at the other end of a request or a socket sent under a name."""
    return cookie(connection.app.state.settings, connection.cookies, name)


def set_cookie(
    response: Response, settings: Settings, name: str, value: str, lasts: timedelta
) -> None:
    """Let a browser keep a value that no script and no other site sees."""
    secure = settings.secure_cookies
    response.set_cookie(
        HOST + name if secure else name,
        value,
        max_age=int(lasts.total_seconds()),
        httponly=True,
        secure=secure,
        samesite="strict",
        path="/" if secure else "/api",
    )


def delete_cookie(response: Response, settings: Settings, name: str) -> None:
    """Let a browser forget it, under either name."""
    response.delete_cookie(name, path="/api")
    if settings.secure_cookies:
        response.delete_cookie(HOST + name, path="/", secure=True, httponly=True)
