"""What an operator sees: counts by route, the queue, copies, statements that take long."""

from collections.abc import Iterator
from typing import Any

import pytest
from fastapi.testclient import TestClient
from prometheus_client.parser import text_string_to_metric_families
from sqlalchemy import Engine, text
from structlog.testing import capture_logs

from invelo.db.database import engine_for, transaction
from invelo.db.observed import LONGEST, log_slow, queue_state, replica_state
from invelo.services.review.weekly import TASK
from tests.api.coach import Coach, problem

HERE = ("127.0.0.1", 50000)


def counted(page: str) -> dict[tuple[str, tuple[tuple[str, str], ...]], float]:
    """Every sample, as a reader of the format other than what wrote it reads it."""
    return {
        (sample.name, tuple(sorted(sample.labels.items()))): sample.value
        for family in text_string_to_metric_families(page)
        for sample in family.samples
    }


@pytest.fixture
def operator(coach: Coach) -> Iterator[TestClient]:
    """Somebody on the service's own machine, who is not signed in."""
    app = coach.client.app
    with TestClient(app, base_url="http://localhost", client=HERE) as client:
        yield client


def requests(operator: TestClient, route: str, status: int) -> float:
    labels = (("method", "GET"), ("route", route), ("status", str(status)))
    return counted(operator.get("/metrics").text).get(("invelo_requests_total", labels), 0.0)


def test_answers_are_counted_by_route_and_never_by_whose_they_are(
    coach: Coach, ladder: dict[str, Any], operator: TestClient
) -> None:
    route = "/api/ladders/{ladder_id}"
    before = requests(operator, route, 200)
    coach.get(f"/api/ladders/{ladder['id']}")
    assert requests(operator, route, 200) == before + 1
    page = operator.get("/metrics").text
    assert ladder["id"] not in page
    assert ladder["athlete_id"] not in page
    times = counted(page)["invelo_request_seconds_count", (("route", route),)]
    assert times >= before + 1


def test_what_is_refused_and_what_is_nowhere_is_counted_too(
    coach: Coach, operator: TestClient
) -> None:
    nowhere = "/api/ladders/5b9a4f1e-0000-4000-8000-000000000000"
    before = requests(operator, "/api/ladders/{ladder_id}", 404)
    coach.client.get(nowhere)
    assert requests(operator, "/api/ladders/{ladder_id}", 404) == before + 1


def test_only_this_machine_reads_them(coach: Coach, operator: TestClient) -> None:
    problem(coach.client.get("/metrics"), 404)  # a client of no address
    through = operator.get("/metrics", headers={"X-Forwarded-For": "203.0.113.5"})
    problem(through, 404)
    with TestClient(
        coach.client.app, base_url="http://localhost", client=("203.0.113.5", 1)
    ) as away:
        problem(away.get("/metrics"), 404)


def test_or_whoever_holds_the_token(coach: Coach, operator: TestClient) -> None:
    settings = coach.client.app.state.settings  # type: ignore[attr-defined]
    settings.metrics_token = "a long word"
    try:
        problem(operator.get("/metrics"), 404)
        problem(operator.get("/metrics", headers={"Authorization": "Bearer another"}), 404)
        held = operator.get("/metrics", headers={"Authorization": "Bearer a long word"})
        assert held.status_code == 200
    finally:
        settings.metrics_token = ""


def test_work_that_waits_is_told_until_it_is_done(
    coach: Coach, ladder: dict[str, Any], operator: TestClient, engine: Engine
) -> None:
    seen = coach.get(f"/api/athletes/{ladder['athlete_id']}/week")
    days = [{"index": index, "minutes": 45} for index in (0, 2, 4)]
    coach.put(f"/api/athletes/{ladder['athlete_id']}/week/availability", days=days)
    path = f"/api/athletes/{ladder['athlete_id']}/week/plans?week_start={seen['week_start']}"
    coach.post(path, seconds=5)
    waiting = counted(operator.get("/metrics").text)
    assert waiting["invelo_jobs", (("state", "waiting"),)] == 1
    assert waiting["invelo_oldest_job_seconds", ()] > 0
    assert coach.get("/api/health")["jobs_waiting"] == 1
    coach.waits()
    done = counted(operator.get("/metrics").text)
    assert done["invelo_jobs", (("state", "waiting"),)] == 0
    assert done["invelo_oldest_job_seconds", ()] == 0


def test_a_worker_that_never_answers_is_told(coach: Coach, engine: Engine) -> None:
    with transaction(engine) as db:
        db.connection().execute(
            text(
                "INSERT INTO procrastinate_jobs (queue_name, task_name, args) "
                "VALUES ('default', :task, '{}')"
            ),
            {"task": TASK},
        )
    assert coach.get("/api/health")["workers"] == "ok"
    with transaction(engine) as db:
        db.connection().execute(text("UPDATE procrastinate_events SET at = at - interval '1 hour'"))
    health = coach.get("/api/health")
    assert (health["status"], health["workers"]) == ("degraded", "none answers")
    assert health["oldest_job_s"] > 3500
    with engine.connect() as connection:
        assert queue_state(connection).waiting == 1


def test_a_database_without_copies_says_so(operator: TestClient, engine: Engine) -> None:
    with engine.connect() as db:
        assert replica_state(db).replicas == 0
        assert not replica_state(db).is_standby
    assert counted(operator.get("/metrics").text)["invelo_replicas", ()] == 0
    assert counted(operator.get("/metrics").text)["invelo_database_up", ()] == 1


def test_a_statement_that_takes_long_is_logged_without_what_it_was_asked_with(
    engine: Engine,
) -> None:
    own = engine_for(engine.url.render_as_string(hide_password=False))
    log_slow(own, 50.0)
    with capture_logs() as logged, own.connect() as db:
        db.execute(text("SELECT 1"))
        db.execute(text("SELECT pg_sleep(0.06), :secret AS said"), {"secret": "a name"})
    own.dispose()
    (line,) = [one for one in logged if one["event"] == "slow statement"]
    assert line["took_ms"] >= 50
    assert "pg_sleep" in line["statement"]
    assert "a name" not in line["statement"]
    assert len(line["statement"]) <= LONGEST
