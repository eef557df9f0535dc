"""What is read asks the database as often for much as for little: counted at two sizes."""

from collections.abc import Callable, Iterator
from contextlib import contextmanager
from typing import Any

import pytest
from sqlalchemy import Engine, event

from tests.api.coach import Coach

SPARE = 1
"""Statements that a first look at something may take more, as of a lane that comes in."""


@contextmanager
def counted(engine: Engine) -> Iterator[list[str]]:
    """The statements that are sent meanwhile."""
    sent: list[str] = []

    def hear(_c: object, _k: object, sql: str, *_: object) -> None:
        sent.append(sql)

    event.listen(engine, "before_cursor_execute", hear)
    try:
        yield sent
    finally:
        event.remove(engine, "before_cursor_execute", hear)


def asked(coach: Coach, engine: Engine, path: str) -> list[str]:
    coach.get(path)  # what is worked out once lies in memory
    with counted(engine) as sent:
        coach.get(path)
    return sent


def trains(coach: Coach, ladder: str, times: int) -> None:
    for _ in range(times):
        coach.trains(ladder, (8, 7, 7), rpe=8.5)


OF_ONE = (
    "/api/ladders/{ladder}",
    "/api/ladders/{ladder}/review",
    "/api/ladders/{ladder}/trends",
    "/api/athletes/{athlete}/history",
    "/api/athletes/{athlete}/floor",
    "/api/athletes/{athlete}/week",
    "/api/athletes/{athlete}/capacity",
    "/api/athletes/{athlete}/placements",
    "/api/athletes/{athlete}",
)


def test_what_is_read_of_an_athlete_takes_as_many_statements_after_nine_sessions_as_after_three(
    coach: Coach, ladder: dict[str, Any], engine: Engine
) -> None:
    names = {"ladder": ladder["id"], "athlete": ladder["athlete_id"]}
    paths = [path.format(**names) for path in OF_ONE]
    trains(coach, ladder["id"], 3)
    few = {path: len(asked(coach, engine, path)) for path in paths}
    trains(coach, ladder["id"], 6)
    many = {path: asked(coach, engine, path) for path in paths}
    more = {
        path: (few[path], len(sent), sent)
        for path, sent in many.items()
        if len(sent) > few[path] + SPARE
    }
    assert more == {}


OF_ALL = ("/api/squad", "/api/live", "/api/messages", "/api/archived-athletes")


@pytest.mark.parametrize("path", OF_ALL)
def test_what_is_read_of_all_takes_as_many_statements_for_five_athletes_as_for_two(
    coach: Coach, ladder: dict[str, Any], engine: Engine, path: str
) -> None:
    def another(name: str) -> None:
        made = coach.gives_ladder(coach.enrols(name)["id"])
        trains(coach, made["id"], 2)

    trains(coach, ladder["id"], 2)
    another("Ben Roe")
    few = len(asked(coach, engine, path))
    for name in ("Cleo Marsh", "Dov Hale", "Eli Frost"):
        another(name)
    sent = asked(coach, engine, path)
    assert len(sent) <= few, sent


def test_the_count_would_notice_a_statement_for_each(
    coach: Coach, ladder: dict[str, Any], engine: Engine
) -> None:
    ask: Callable[[], Any] = lambda: coach.get(f"/api/ladders/{ladder['id']}")  # noqa: E731
    with counted(engine) as one:
        ask()
    with counted(engine) as two:
        ask()
        ask()
    assert len(two) > len(one) > 0
