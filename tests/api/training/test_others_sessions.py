"""A session belongs to one athlete: under another's name it is not there, on any path."""

from typing import Any
from uuid import uuid4

import pytest
from sqlmodel import Session, SQLModel, select

from invelo.db.tables.review import ProposalRow
from invelo.db.tables.training import LoggedSetRow, SkipRow, TrainingSessionRow, WhereaboutsRow
from tests.api.coach import Coach, problem

KEPT: tuple[type[SQLModel], ...] = (
    TrainingSessionRow,
    LoggedSetRow,
    SkipRow,
    ProposalRow,
    WhereaboutsRow,
)


@pytest.fixture
def theirs(coach: Coach) -> str:
    """An open session of someone else of the same coach, with one set."""
    other = coach.gives_ladder(coach.enrols("Bela Quint")["id"])
    session = coach.starts(other["id"])
    coach.logs(session, other["current_rung_id"], 1, 8)
    return session


def paths(coach: Coach, ladder: dict[str, Any]) -> dict[str, tuple[str, str, dict[str, Any]]]:
    """Every way to touch a session, as requests that would be taken for one's own."""
    done = {"number": 1, "reps": 8, "rpe": 8, **coach.now()}
    return {
        "set on a rung": (
            "PUT",
            f"/sets/{uuid4()}",
            {**done, "rung_id": ladder["current_rung_id"]},
        ),
        "set off any ladder": ("PUT", f"/sets/{uuid4()}", {**done, "movement": "push-up"}),
        "skip": (
            "PUT",
            f"/skips/{uuid4()}",
            {"name": "Push-up", "number": 1, "why": "no room", **coach.now()},
        ),
        "finish": ("POST", "/finish", {"rpe": 7, **coach.now()}),
        "discard": ("DELETE", "", {}),
    }


def everything(engine) -> dict[str, list[dict[str, Any]]]:
    with Session(engine) as db:
        return {
            table.__name__: [row.model_dump() for row in db.exec(select(table))] for table in KEPT
        }


@pytest.mark.parametrize("who", ["coach", "phone"])
def test_anothers_session_under_ones_own_name_is_not_there(
    request, coach, ladder, theirs, engine, who
) -> None:
    client = request.getfixturevalue(who).client
    base = f"/api/athletes/{ladder['athlete_id']}/sessions/{theirs}"
    before = everything(engine)
    for name, (method, path, body) in paths(coach, ladder).items():
        response = client.request(method, base + path, json=body)
        assert problem(response, 404)["field"] == "session", name
    assert everything(engine) == before


def test_anothers_session_is_not_opened_again_as_ones_own(coach, ladder, theirs, engine) -> None:
    before = everything(engine)
    own = f"/api/athletes/{ladder['athlete_id']}"
    one = {"id": str(uuid4()), "number": 1, "reps": 8, "rpe": 8, "movement": "push-up"}
    for path, body in (
        (f"{own}/sessions/{theirs}", {"name": "mine", **coach.now()}),
        (
            f"{own}/completed-sessions/{theirs}",
            {"name": "mine", "rpe": 7, "sets": [{**one, **coach.now()}], **coach.now()},
        ),
    ):
        assert problem(coach.client.put(path, json=body), 409)["field"] == "session id"
    assert everything(engine) == before


def test_anothers_session_cannot_be_looked_at_or_pointed_to(
    coach, ladder, phone, theirs, engine
) -> None:
    coach.finishes(theirs)
    own = f"/api/athletes/{ladder['athlete_id']}"
    assert problem(coach.client.get(f"{own}/sessions/{theirs}"), 404)["field"] == "session"
    where = {"state": "working", "doing": "Push-up"}
    before = everything(engine)
    for client in (coach.client, phone.client):  # its opening may still be on its way: no error
        assert client.put(f"{own}/sessions/{theirs}/where", json=where).status_code == 204
    assert everything(engine) == before
