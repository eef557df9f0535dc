"""Requests that get in each other's way: done once more, told to try again, never half done."""

import threading
from concurrent.futures import ThreadPoolExecutor
from contextlib import contextmanager

import pytest
from psycopg import errors
from sqlalchemy import text
from sqlalchemy.exc import OperationalError

from invelo.db.database import engine_for
from invelo.services.athlete import person
from tests.api.coach import problem


@pytest.fixture
def athlete(ladder) -> str:
    return ladder["athlete_id"]


def clash() -> OperationalError:
    return OperationalError("UPDATE", {}, errors.DeadlockDetected("deadlock detected"))


@pytest.fixture
def clashing(monkeypatch):
    """Keeping a person clashes so many times; how often it was tried is told."""
    kept, tried = person.keep, []

    def begin(times: int) -> list[int]:
        def keep(*args, **more):
            tried.append(1)
            if len(tried) <= times:
                raise clash()
            return kept(*args, **more)

        monkeypatch.setattr(person, "keep", keep)
        return tried

    return begin


@pytest.mark.parametrize(("times", "status", "tries"), [(0, 200, 1), (1, 200, 2), (2, 503, 2)])
def test_what_clashed_is_done_once_more(coach, athlete, clashing, times, status, tries) -> None:
    tried = clashing(times)
    answer = coach.client.put(f"/api/athletes/{athlete}/person", json={"units": "imperial"})
    assert (answer.status_code, len(tried)) == (status, tries)
    if status == 503:
        assert "in each other's way" in problem(answer, 503)["problem"]
        assert answer.headers["retry-after"] == "5"
    else:
        assert coach.get(f"/api/athletes/{athlete}/person")["units"] == "imperial"


@contextmanager
def locked(engine, athlete: str):
    """Somebody else is at work on an athlete, and does not end."""
    with engine.connect() as other:
        other.execute(text("SELECT 1 FROM athlete WHERE id = :id FOR UPDATE"), {"id": athlete})
        yield


def test_whoever_waits_for_another_is_told_in_seconds(coach, athlete, engine) -> None:
    with engine.connect() as db:
        limits = (
            db.execute(text("SHOW lock_timeout")).scalar(),
            db.execute(text("SHOW statement_timeout")).scalar(),
        )
    assert limits == ("5s", "30s")
    with locked(engine, athlete):
        answer = coach.client.put(f"/api/athletes/{athlete}/person", json={"units": "imperial"})
    assert "others are changing the same" in problem(answer, 503)["problem"]
    assert coach.get(f"/api/athletes/{athlete}/person")["units"] != "imperial"


def test_a_full_pool_is_said_with_a_remedy(coach, app, server, engine) -> None:
    small = engine_for(engine.url.render_as_string(hide_password=False))
    small.pool._max_overflow, small.pool._timeout = 0, 0.2  # type: ignore[attr-defined]
    app.state.engine = small
    held = [small.connect() for _ in range(small.pool.size())]  # type: ignore[attr-defined]
    answer = coach.client.get("/api/squad")
    for connection in held:
        connection.close()
    assert "too many ask for it at once" in problem(answer, 503)["problem"]
    assert coach.client.get("/api/squad").status_code == 200
    small.dispose()


def test_two_who_write_on_one_athlete_in_opposite_order_both_get_done(
    coach, ladder, new_client
) -> None:
    """One changes the ladder, the other the athlete; whoever comes second waits."""
    athlete, ladder_id = ladder["athlete_id"], ladder["id"]
    together = threading.Barrier(2)

    def write(path: str, body: dict) -> list[int]:
        together.wait()
        client = new_client()
        client.cookies.update(coach.client.cookies)
        return [client.put(path, json=body).status_code for _ in range(6)]

    with ThreadPoolExecutor(2) as pool:
        one = pool.submit(write, f"/api/ladders/{ladder_id}/settings", {"step_percent": 8})
        two = pool.submit(write, f"/api/athletes/{athlete}/person", {"units": "imperial"})
        assert set(one.result() + two.result()) == {200}
