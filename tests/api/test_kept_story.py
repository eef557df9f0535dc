"""The demo's story is kept as it was lived: held to today's rules, and opened in any week."""

from collections.abc import Iterator
from datetime import UTC, date, datetime, timedelta
from typing import Any

import pytest
from sqlalchemy import Engine, text

from invelo.db.database import engine_for, migrate, transaction
from invelo.demo import kept
from invelo.demo.history import WEEKS, live, load
from invelo.demo.theatre import CREW
from invelo.runtime import postgres
from tests.conftest import fresh

WHO = "Enzo Farrow"
LIVED = """
SELECT s.local_date - :shift AS day, l.number, l.amount, l.rpe, l.prescribed_min, l.prescribed_max
FROM logged_set l JOIN training_session s ON s.id = l.session_id
JOIN athlete a ON a.id = s.athlete_id WHERE a.name = :who AND s.local_date - :shift <= :end
ORDER BY 1, l.at, 2
"""
SAID = """
SELECT p.local_date - :shift AS day, p.outcome, p.standing, p.rules, p.answer
FROM proposal p JOIN ladder l ON l.id = p.ladder_id JOIN athlete a ON a.id = l.athlete_id
WHERE a.name = :who AND p.local_date - :shift <= :end AND p.answer IS DISTINCT FROM 'expired'
AND p.answer IS NOT NULL ORDER BY 1, 2
"""
NOW = datetime(2027, 3, 4, 8, 0, tzinfo=UTC)
"""A Thursday, in another year and on the other side of a change of clocks."""


def database(server: postgres.Server, name: str) -> Engine:
    url = fresh(server, name)
    migrate(url)
    return engine_for(url)


@pytest.fixture(scope="module")
def opened(server: postgres.Server) -> Iterator[Engine]:
    """The kept story as somebody opens it."""
    engine = database(server, "opened")
    with transaction(engine) as db:
        load(db, NOW)
    yield engine
    engine.dispose()


def rows(engine: Engine, query: str, shift: int = 0) -> list[tuple[Any, ...]]:
    end = kept.END.date() - timedelta(days=4)
    with engine.connect() as db:
        told = {"who": WHO, "shift": shift, "end": end}
        names = {name: told[name] for name in told if f":{name}" in query}
        return [tuple(row) for row in db.execute(text(query), names)]


def test_the_kept_story_is_of_this_schema_model_and_catalogue(opened: Engine) -> None:
    """Where it is not: `python -m invelo.demo` lives it anew."""
    with opened.connect() as db:
        assert kept.kept_of() == kept.now_of(db)


@pytest.mark.law
def test_lived_anew_it_is_what_is_kept(server: postgres.Server, opened: Engine) -> None:
    """Where it is not, a rule has changed: `python -m invelo.demo` lives it anew."""
    engine = database(server, "lived")
    with transaction(engine) as db:
        live(db, kept.END, [WHO])
    shift = (NOW - kept.END) // kept.WEEK * 7
    sets = rows(engine, LIVED)
    assert len(sets) > 100
    assert rows(opened, LIVED, shift) == sets
    assert rows(opened, SAID, shift) == rows(engine, SAID)
    engine.dispose()


def test_it_ends_where_it_is_opened_whatever_the_day(opened: Engine) -> None:
    newest = "SELECT max(local_date) FROM training_session"
    first = "SELECT min(local_date) FROM training_session"
    assert rows(opened, newest) == [(NOW.date(),)]
    ((began,),) = rows(opened, first)
    assert timedelta(weeks=WEEKS - 2) < NOW.date() - began < timedelta(weeks=WEEKS + 2)
    assert {row[0] for row in rows(opened, "SELECT name FROM athlete")} == {
        one.name for one in CREW
    }


def test_its_weeks_still_begin_on_mondays(opened: Engine) -> None:
    for table in ("week_plan", "proposal"):
        found = rows(opened, f"SELECT DISTINCT week_start FROM {table}")
        assert {day.weekday() for (day,) in found if isinstance(day, date)} == {0}


def test_nothing_of_it_lies_in_the_future(opened: Engine) -> None:
    for table in ("logged_set", "proposal", "test", "training_session"):
        ((latest,),) = rows(opened, f"SELECT max(at) FROM {table}")
        assert latest <= NOW


def test_a_database_that_holds_something_is_left_as_it_is(opened: Engine) -> None:
    count = "SELECT count(*) FROM logged_set"
    before = rows(opened, count)
    with transaction(opened) as db:
        load(db, NOW + timedelta(days=30))
    assert rows(opened, count) == before
