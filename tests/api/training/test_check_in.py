"""The check-in before a session: what hurts, how they slept, how long there is; what becomes of the
day."""

from uuid import uuid4

import pytest

from invelo.db.tables.training import CheckInRow
from tests.api.athlete_client import Athlete, planned_today
from tests.api.coach import problem
from tests.conftest import rows


def checks_in(phone: Athlete, **said) -> dict:
    path = f"{phone.base}/check-ins/{uuid4()}"
    response = phone.client.put(path, json={**said, **phone.now()})
    response.raise_for_status()
    return response.json()


def test_pain_takes_out_what_loads_it_and_what_goes_along_says_so(coach, ladder, phone) -> None:
    planned_today(coach, ladder["athlete_id"])
    told = checks_in(phone, pain=[{"place": "wrist", "how": 6}], sleep=8)
    assert told["outcome"] in ("adapted", "rest")
    along = phone.get("/floor")
    assert along["checked_in"]
    if told["outcome"] == "adapted":
        assert "clinician" in told["words"]
        today = along["sessions"][0]
        assert today["adapted"]
        assert all("wrist" not in item["loads"] for item in today["items"])


def test_what_hurts_is_left_out_of_every_session_of_the_day(coach, ladder, phone) -> None:
    planned_today(coach, ladder["athlete_id"])
    before = phone.get("/floor")
    assert before["single"]
    checks_in(phone, pain=[{"place": "wrist", "how": 6}])
    along = phone.get("/floor")
    assert along["single"] == [], "its one ladder loads the wrist"
    for sheet in along["sessions"]:
        if sheet["day"] == along["today"]:
            asked = [one for one in sheet["items"] if not one["key"].startswith("warm-up")]
            assert all("wrist" not in one["loads"] for one in asked)


def test_a_grave_sign_leaves_nothing_to_run(coach, ladder, phone) -> None:
    planned_today(coach, ladder["athlete_id"])
    told = checks_in(phone, alarms=["chest pain"])
    assert told["outcome"] == "stop"
    along = phone.get("/floor")
    assert (along["sessions"], along["single"]) == ([], [])
    assert "doctor" in along["stop"]


def test_fewer_minutes_cut_the_session(coach, ladder, phone) -> None:
    before = planned_today(coach, ladder["athlete_id"])["minutes"]["likely"]
    there_is = int(before) - 4
    told = checks_in(phone, minutes=there_is)
    assert told["outcome"] == "adapted"
    assert told["cuts"]
    after = phone.get("/floor")["sessions"][0]
    assert after["minutes"]["likely"] <= there_is
    assert after["adapted"]


def test_a_later_check_in_takes_the_earliers_place(coach, ladder, phone) -> None:
    planned_today(coach, ladder["athlete_id"])
    checks_in(phone, minutes=12)
    phone.clock.pass_by(minutes=5)
    assert checks_in(phone)["outcome"] == "as planned"
    assert not phone.get("/floor")["sessions"][0]["adapted"]


def test_what_the_coach_adapted_stays_under_every_check_in(coach, ladder, phone) -> None:
    planned = planned_today(coach, ladder["athlete_id"])
    day = coach.clock().date().isoformat()
    path = f"/api/athletes/{ladder['athlete_id']}/days/{day}/adapt"
    minutes = int(planned["minutes"]["likely"]) - 4
    coach.post(path, minutes=minutes, keep=str(uuid4()))
    by_coach = phone.get("/floor")["sessions"][0]
    assert by_coach["adapted"]
    checks_in(phone)
    assert phone.get("/floor")["sessions"][0]["minutes"] == by_coach["minutes"]
    phone.clock.pass_by(minutes=5)
    checks_in(phone, sleep=4)
    eased = phone.get("/floor")["sessions"][0]
    assert max(one["rpe"] for one in eased["items"][-1]["sets"]) < max(
        one["rpe"] for one in by_coach["items"][-1]["sets"]
    )
    phone.clock.pass_by(minutes=5)
    checks_in(phone)
    assert phone.get("/floor")["sessions"][0]["minutes"] == by_coach["minutes"]


def test_a_check_in_with_nothing_planned_is_kept(phone, engine) -> None:
    assert checks_in(phone, sleep=5)["outcome"] == "as planned"
    assert len(rows(engine, CheckInRow)) == 1


@pytest.mark.parametrize(
    ("said", "field"),
    [
        ({"sleep": 30}, "sleep"),
        ({"minutes": -1}, "minutes"),
        ({"pain": [{"place": "soul", "how": 5}]}, "pain.0.place"),
        ({"pain": [{"place": "wrist", "how": 12}]}, "pain.0.how"),
        ({"alarms": ["boredom"]}, "alarms.0"),
    ],
)
def test_a_check_in_nobody_can_mean_is_refused(phone, engine, said, field) -> None:
    response = phone.client.put(f"{phone.base}/check-ins/{uuid4()}", json={**said, **phone.now()})
    assert problem(response, 422)["field"] == field
    assert rows(engine, CheckInRow) == []
