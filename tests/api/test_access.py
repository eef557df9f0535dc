"""Nobody sees or changes another coach's athletes, whatever they ask for."""

import pytest
from sqlmodel import Session

from invelo.db.tables.athlete import AthleteAccessRow


@pytest.fixture
def theirs(coach) -> dict[str, str]:
    """Everything another coach has."""
    ladder = coach.has_ladder()
    proposal = coach.trains(ladder["id"])
    session = coach.get(f"/api/ladders/{ladder['id']}/review")["sessions"][0]
    return {
        "athlete": ladder["athlete_id"],
        "ladder": ladder["id"],
        "rung": ladder["current_rung_id"],
        "session": session["id"],
        "set": session["sets"][0]["id"],
        "proposal": proposal["id"],
    }


@pytest.mark.parametrize(("role", "may_write"), [("reader", False), ("coach", True)])
def test_a_second_coach_sees_and_a_reader_only_sees(
    coach, new_coach, engine, theirs, role, may_write
) -> None:
    second = new_coach()
    grant = AthleteAccessRow(
        account_id=second.get("/api/me")["id"], athlete_id=theirs["athlete"], role=role
    )
    with Session(engine) as db:
        db.add(grant)
        db.commit()
    assert second.get(f"/api/ladders/{theirs['ladder']}")["id"] == theirs["ladder"]
    response = second.client.put(
        f"/api/ladders/{theirs['ladder']}/current-rung", json={"rung_id": theirs["rung"]}
    )
    assert response.status_code == (200 if may_write else 404)


def test_only_the_owner_may_erase(coach, new_coach, engine, theirs) -> None:
    second = new_coach()
    with Session(engine) as db:
        account = second.get("/api/me")["id"]
        db.add(AthleteAccessRow(account_id=account, athlete_id=theirs["athlete"], role="coach"))
        db.commit()
    assert second.client.delete(f"/api/athletes/{theirs['athlete']}").status_code == 404
    assert coach.client.delete(f"/api/athletes/{theirs['athlete']}").status_code == 204
