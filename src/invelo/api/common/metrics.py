"""What an operator watches: requests by route, work that waits, copies of the database.

In the text format that Prometheus reads; for this machine only, or for whoever holds the token.
"""

import hmac
import time
from collections.abc import Iterator
from ipaddress import ip_address

from fastapi import APIRouter, Request, Response
from prometheus_client import CollectorRegistry, Counter, Histogram, generate_latest
from prometheus_client.core import GaugeMetricFamily
from prometheus_client.registry import Collector
from sqlalchemy import Engine
from sqlalchemy.exc import SQLAlchemyError
from starlette.types import ASGIApp, Message, Receive, Scope, Send

from invelo.db.errors import MissingError
from invelo.db.observed import queue_state, replica_state

router = APIRouter(tags=["Health"])

BUCKETS = (0.01, 0.025, 0.05, 0.1, 0.2, 0.3, 0.5, 1.0, 2.5, 5.0)
"""Seconds of an answer, by which it is counted."""

OTHER = "other"
"""The route of whatever is none of the service's."""


class Metrics:
    """What one copy of the service counts, and what its database says when it is asked."""

    def __init__(self, engine: Engine) -> None:
        """Begin at nothing."""
        self.registry = CollectorRegistry()
        self.requests = Counter(
            "invelo_requests", "Answers.", ("method", "route", "status"), registry=self.registry
        )
        self.seconds = Histogram(
            "invelo_request_seconds",
            "Time to the end of an answer.",
            ("route",),
            buckets=BUCKETS,
            registry=self.registry,
        )
        self.registry.register(_Database(engine))


class _Database(Collector):
    def __init__(self, engine: Engine) -> None:
        self.engine = engine

    def collect(self) -> Iterator[GaugeMetricFamily]:
        """Asked anew each time; a database that is away is told as such."""
        up = GaugeMetricFamily("invelo_database_up", "Whether the database answers.")
        try:
            with self.engine.connect() as db:
                queue, copies = queue_state(db), replica_state(db)
        except SQLAlchemyError:
            up.add_metric([], 0)
            yield up
            return
        up.add_metric([], 1)
        yield up
        jobs = GaugeMetricFamily("invelo_jobs", "Work for the workers.", labels=["state"])
        for state in ("waiting", "doing", "failed"):
            jobs.add_metric([state], getattr(queue, state))
        yield jobs
        for name, words, value in (
            ("invelo_oldest_job_seconds", "How long the oldest has waited.", queue.oldest_s),
            ("invelo_replicas", "Copies that follow this database.", copies.replicas),
            ("invelo_replica_behind_bytes", "How far the last is behind.", copies.behind_bytes),
        ):
            gauge = GaugeMetricFamily(name, words)
            gauge.add_metric([], value)
            yield gauge


class CountedAnswers:
    """Counts each answer by its route, never by its address: no id of anybody is a label."""

    def __init__(self, app: ASGIApp, metrics: Metrics) -> None:
        """Around an application."""
        self.app, self.metrics = app, metrics

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        """Pass on, and count how it ended."""
        if scope["type"] != "http":
            await self.app(scope, receive, send)
            return
        began, status = time.perf_counter(), 500

        async def seen(message: Message) -> None:
            nonlocal status
            if message["type"] == "http.response.start":
                status = message["status"]
            await send(message)

        try:
            await self.app(scope, receive, seen)
        finally:
            route = getattr(scope.get("route"), "path", OTHER)
            self.metrics.requests.labels(scope["method"], route, str(status)).inc()
            self.metrics.seconds.labels(route).observe(time.perf_counter() - began)


@router.get("/metrics", include_in_schema=False)
def metrics(request: Request) -> Response:
    """What is counted, in Prometheus' text format.

    Raises:
        MissingError: for whoever is neither on this machine nor holds the token.
    """
    if not _may_look(request):
        raise MissingError("page")
    found: Metrics = request.app.state.metrics
    return Response(generate_latest(found.registry), media_type="text/plain; version=0.0.4")


def _may_look(request: Request) -> bool:
    token: str = request.app.state.settings.metrics_token
    if token:
        given = request.headers.get("authorization", "")
        return hmac.compare_digest(given.encode(), f"Bearer {token}".encode())
    through_proxy = "x-forwarded-for" in request.headers or "forwarded" in request.headers
    return not through_proxy and request.client is not None and _is_here(request.client.host)


def _is_here(host: str) -> bool:
    try:
        return ip_address(host).is_loopback
    except ValueError:
        return False
