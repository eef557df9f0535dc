"""Uploads that come slowly, or never: they hold up nobody else."""

import socket
from collections.abc import Iterator
from contextlib import ExitStack
from urllib.parse import urlsplit
from uuid import uuid4

import pytest

from invelo.runtime import postgres
from tests.api.live import Live, running_service
from tests.conftest import fresh

STALLED = 20
"""More than the pool of connections holds."""


@pytest.fixture(scope="module")
def service(server: postgres.Server) -> Iterator[Live]:
    with running_service(fresh(server, "uploads")) as running:
        yield running


def test_pictures_that_never_end_hold_no_connection_to_the_database(service: Live) -> None:
    where = urlsplit(service.url)
    token = service.session.cookies["invelo_session"]
    head = (
        f"PUT /api/athletes/{uuid4()}/sets/{uuid4()}/picture HTTP/1.1\r\n"
        f"Host: {where.netloc}\r\nCookie: invelo_session={token}\r\n"
        "Sec-Fetch-Site: same-origin\r\n"
        "Content-Type: image/jpeg\r\nContent-Length: 1000000\r\n\r\n"
    )
    with ExitStack() as open_:
        for _ in range(STALLED):
            line = open_.enter_context(
                socket.create_connection((where.hostname or "", where.port or 0))
            )
            line.sendall(head.encode() + b"x")
        answer = service.session.get(f"{service.url}/api/squad", timeout=10)
        assert answer.status_code == 200
