"""A set put right: only what is sent changes, and every version stays to be seen."""

from uuid import uuid4

import pytest
from sqlalchemy import Engine

from invelo.db.tables.training import LoggedSetRow
from tests.api.coach import Coach, problem
from tests.conftest import rows

UNTOUCHED = (
    *("amount", "least", "most", "unit", "partial", "prescribed_min", "prescribed_max", "form_ok"),
    *("faults", "felt_in", "pain", "pain_place", "note", "kind", "side", "number", "item"),
    *("movement", "name", "rung_id", "at"),
)
WHOLE = {
    "amount_text": "about 9",
    "partial": 2,
    "prescribed_min": 6,
    "prescribed_max": 10,
    "rpe": 8.5,
    "form_ok": False,
    "faults": ["hips sag"],
    "felt_in": ["triceps", "lower back"],
    "pain": 2,
    "pain_place": "left wrist",
    "note": "crate moved",
    "kind": "drop",
    "side": "left",
    "changes": {"added_load": {"vest": 0, "bag": 5, "ankles": 0, "lap": 0, "hands": 0}},
}


@pytest.fixture
def base(ladder: dict) -> str:
    return f"/api/athletes/{ladder['athlete_id']}"


@pytest.fixture
def kept(coach: Coach, base: str, ladder: dict) -> dict:
    """A set with something in every field."""
    session = f"{base}/sessions/{uuid4()}"
    coach.put(session, name="Monday", **coach.now())
    told = {"number": 1, "rung_id": ladder["current_rung_id"], **WHOLE, **coach.now()}
    return coach.put(f"{session}/sets/{uuid4()}", **told)


def patches(coach: Coach, base: str, kept: dict, **changed: object) -> dict:
    body = {"id": str(uuid4()), "at": kept["at"], **changed}
    response = coach.client.patch(f"{base}/sets/{kept['id']}", json=body)
    assert response.status_code == 200, response.text
    return response.json()


def test_what_is_not_sent_stays_as_it_was(
    coach: Coach, base: str, kept: dict, engine: Engine
) -> None:
    right = patches(coach, base, kept, rpe=9)
    assert {name: right[name] for name in UNTOUCHED} == {name: kept[name] for name in UNTOUCHED}
    assert (right["rpe"], right["corrects_set_id"]) == (9, kept["id"])
    (session,) = coach.get(f"{base}/sessions")
    assert [one["id"] for one in session["sets"]] == [right["id"]]
    before, after = (
        next(row for row in rows(engine, LoggedSetRow) if str(row.id) == one["id"])
        for one in (kept, right)
    )
    assert after.changes == before.changes
    assert after.changes["added_load"]["bag"] == 5


def test_a_count_put_right_is_exact_and_null_empties_a_field(
    coach: Coach, base: str, kept: dict
) -> None:
    right = patches(coach, base, kept, amount=11, note=None, faults=None, pain=None)
    assert (right["amount"], right["least"], right["most"]) == (11, None, None)
    assert (right["note"], right["faults"], right["pain"]) == ("", [], 0)
    assert right["felt_in"] == kept["felt_in"]


def test_every_version_says_who_when_and_what(coach: Coach, base: str, kept: dict) -> None:
    once = patches(coach, base, kept, rpe=9, form_ok=True)
    coach.clock.pass_by(hours=1)
    twice = patches(coach, base, once, felt_in=["triceps"])
    newest, middle, first = coach.get(f"{base}/sets/{twice['id']}/history")
    me = coach.get("/api/me")["name"]
    assert [one["entered_by"] for one in (newest, middle, first)] == [me, me, me]
    assert newest["changed"] == [
        {"field": "felt_in", "before": "triceps, lower back", "after": "triceps"}
    ]
    assert {one["field"] for one in middle["changed"]} == {"rpe", "form_ok"}
    assert first["changed"] == []
    assert newest["kept_at"] > middle["kept_at"]


def test_the_athlete_s_own_device_is_told_apart(
    coach: Coach, base: str, kept: dict, new_client, ladder: dict
) -> None:
    address = coach.post(f"{base}/link", days=7)["address"]
    phone = new_client()
    phone.post("/api/link", json={"token": address.split("#")[1]}).raise_for_status()
    body = {"id": str(uuid4()), "at": kept["at"], "rpe": 7}
    assert phone.patch(f"{base}/sets/{kept['id']}", json=body).status_code == 200
    newest = coach.get(f"{base}/sets/{body['id']}/history")[0]
    assert newest["entered_by"] == coach.get(base)["name"]


def test_sent_twice_it_writes_once_and_only_the_newest_is_put_right(
    coach: Coach, base: str, kept: dict
) -> None:
    body = {"id": str(uuid4()), "at": kept["at"], "rpe": 9}
    first = coach.client.patch(f"{base}/sets/{kept['id']}", json=body)
    assert coach.client.patch(f"{base}/sets/{kept['id']}", json=body).json() == first.json()
    late = coach.client.patch(f"{base}/sets/{kept['id']}", json={**body, "id": str(uuid4())})
    assert problem(late, 409)["field"] == "corrects_set_id"


@pytest.mark.parametrize(
    ("changed", "field"),
    [
        ({"rpe": 11}, "rpe"),
        ({"amount": 900}, "reps"),
        ({"amount": 5, "unit": "s"}, "reps"),
        ({"amount_text": "some"}, "reps"),
        ({"rung_id": str(uuid4())}, "rung_id"),
        ({"felt_in": ["a"] * 7}, "felt_in"),
    ],
)
def test_what_cannot_be_is_refused_and_nothing_is_written(
    coach: Coach, base: str, kept: dict, changed: dict, field: str
) -> None:
    body = {"id": str(uuid4()), "at": kept["at"], **changed}
    refused = coach.client.patch(f"{base}/sets/{kept['id']}", json=body)
    assert problem(refused, 422)["field"] == field
    assert len(coach.get(f"{base}/sets/{kept['id']}/history")) == 1
