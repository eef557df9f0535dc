"""The daily minimum: the moment, the one rep, tries, changes, ticks."""

from datetime import date, timedelta
from typing import Any
from uuid import uuid4

import pytest

from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.errors import InputError
from invelo.domain.plan.daily_minimum import DailyMinimum, standing
from tests.api.athlete_client import Athlete, link_for
from tests.api.coach import Coach, problem

KETTLE = {"movement": "push-up", "moment": "while the kettle boils", "at": "07:15"}


@pytest.fixture
def athlete(coach: Coach) -> str:
    found: str = coach.has_ladder()["athlete_id"]
    return found


def begins(coach: Coach, athlete: str, **change: Any) -> dict[str, Any]:
    path = f"/api/athletes/{athlete}/daily/{uuid4()}"
    found: dict[str, Any] = coach.put(path, **{**KETTLE, **change})["daily"]
    return found


def ticks(coach: Coach, athlete: str, **body: Any) -> dict[str, Any]:
    path = f"/api/athletes/{athlete}/daily/ticks/{uuid4()}"
    found: dict[str, Any] = coach.put(path, **body)["daily"]
    return found


def test_it_begins_with_one_rep_at_a_moment(coach: Coach, athlete: str) -> None:
    empty = coach.get(f"/api/athletes/{athlete}/daily")
    assert empty["daily"] is None
    assert "while the kettle boils" in empty["moments"]
    made = begins(coach, athlete)
    assert (made["amount"], made["unit"], made["moment"]) == (1, "reps", KETTLE["moment"])
    assert "5 times" in made["note"]


def test_it_is_tried_out_on_the_first_day_only(coach: Coach, athlete: str) -> None:
    """Five tries on the first day (common practice)."""
    begins(coach, athlete)
    for count in (1, 2, 3, 4, 5):
        assert ticks(coach, athlete, trial=True)["tries"] == count
    coach.clock.pass_by(days=1)
    response = coach.client.put(
        f"/api/athletes/{athlete}/daily/ticks/{uuid4()}", json={"trial": True}
    )
    assert problem(response, 422)["field"] == "trial"


def test_a_day_has_one_tick_however_often_it_is_sent(coach: Coach, athlete: str) -> None:
    begins(coach, athlete)
    first = ticks(coach, athlete)
    assert first["today"]
    assert first["note"]
    assert ticks(coach, athlete, amount=4) == first
    assert first["done"] == 1


def test_the_run_counts_days_and_missed_ones_ask_about_the_moment(
    coach: Coach, athlete: str
) -> None:
    begins(coach, athlete)
    for _ in range(3):
        ticks(coach, athlete)
        coach.clock.pass_by(days=1)
    daily = coach.get(f"/api/athletes/{athlete}/daily")["daily"]
    assert (daily["run"], daily["done"], daily["today"]) == (3, 3, False)
    coach.clock.pass_by(days=3)
    daily = coach.get(f"/api/athletes/{athlete}/daily")["daily"]
    assert daily["missed"] == 3
    assert "Change it" in daily["note"]


def test_a_changed_moment_ends_the_old_one_with_its_reason(coach: Coach, athlete: str) -> None:
    """Changed as soon as the moment proves wrong (common practice)."""
    begins(coach, athlete)
    coach.clock.pass_by(days=2)
    changed = begins(coach, athlete, moment="before the shower", why="no kettle on tour")
    assert changed["moment"] == "before the shower"
    assert [one["why"] for one in changed["before"]] == ["no kettle on tour"]
    coach.client.post(f"/api/athletes/{athlete}/daily/end", json={}).raise_for_status()
    assert coach.get(f"/api/athletes/{athlete}/daily")["daily"] is None
    response = coach.client.put(f"/api/athletes/{athlete}/daily/ticks/{uuid4()}", json={})
    assert problem(response, 404)["field"] == "daily minimum"


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"movement": "planche"}, "movement"),
        ({"movement": "jump"}, "movement"),
        ({"amount": 6}, "amount"),
        ({"moment": " "}, "moment"),
        ({"at": "7:15"}, "time"),
        ({"movement": "nothing"}, "movement"),
    ],
)
def test_it_stays_so_easy_that_it_needs_no_warm_up(
    coach: Coach, athlete: str, change: dict[str, Any], field: str
) -> None:
    """It stays easy enough to need no warm-up (common practice)."""
    response = coach.client.put(
        f"/api/athletes/{athlete}/daily/{uuid4()}", json={**KETTLE, **change}
    )
    assert problem(response, 422)["field"] == field
    assert coach.get(f"/api/athletes/{athlete}/daily")["daily"] is None


def test_a_time_zone_that_does_not_exist_is_refused(coach: Coach, athlete: str) -> None:
    begins(coach, athlete)
    path = f"/api/athletes/{athlete}/daily/ticks/{uuid4()}"
    told = problem(coach.client.put(path, json={"time_zone": "Mars/Olympus"}), 422)
    assert told["field"] == "time zone"
    assert coach.get(f"/api/athletes/{athlete}/daily")["daily"]["done"] == 0


# ---- the core ------------------------------------------------------------------------------

BEGUN = date(2026, 3, 2)


def run_of(*missed: int, days: int) -> Any:
    done = [BEGUN + timedelta(days=i) for i in range(days) if i not in missed]
    return standing(BEGUN, done, 3, BEGUN + timedelta(days=days - 1))


def test_two_steady_weeks_are_offered_more_and_never_pushed() -> None:
    assert "More is there if you want it" in run_of(days=15).note
    assert "More" not in run_of(days=13).note
    assert run_of(10, days=14).run == 3


def test_an_open_today_breaks_no_run() -> None:
    today = BEGUN + timedelta(days=4)
    found = standing(BEGUN, [BEGUN + timedelta(days=i) for i in range(4)], 3, today)
    assert (found.run, found.today, found.note) == (4, False, "Open today.")


def test_a_hold_may_be_ten_seconds_at_most() -> None:
    plank = catalogue().find_movement("plank")
    assert DailyMinimum(plank, 10, "at the door", "09:00").amount == 10
    with pytest.raises(InputError, match="amount"):
        DailyMinimum(plank, 11, "at the door", "09:00")


def test_three_run_at_once_each_with_its_own_ticks_and_good_word(
    coach: Coach, athlete: str
) -> None:
    path = f"/api/athletes/{athlete}/daily"
    begins(coach, athlete)
    squat = uuid4()
    coach.put(f"{path}/{squat}", **{**KETTLE, "movement": "squat", "at": "20:00"}, beside=True)
    last = uuid4()
    more = {"cheer": "On we go.", "in_sight": "shoes by the bed", "beside": True}
    sheet = coach.put(f"{path}/{last}", **{**KETTLE, "movement": "bridge", "at": "06:30"}, **more)
    assert [one["at"] for one in sheet["running"]] == ["06:30", "07:15", "20:00"]
    assert sheet["daily"] == sheet["running"][0]
    fourth = coach.client.put(f"{path}/{uuid4()}", json={**KETTLE, "beside": True})
    assert problem(fourth, 422)["field"] == "daily minimum"
    ticked = coach.put(f"{path}/ticks/{uuid4()}", daily_id=str(last))["running"]
    assert [one["today"] for one in ticked] == [True, False, False]
    assert (ticked[0]["note"], ticked[0]["in_sight"]) == ("On we go.", "shoes by the bed")
    changed = coach.put(
        f"{path}/{uuid4()}", **{**KETTLE, "movement": "calf-raise"}, instead_of=str(squat)
    )
    assert len(changed["running"]) == 3
    assert "squat" not in {one["movement_id"] for one in changed["running"]}
    coach.client.post(f"{path}/end", json={"daily_id": str(last)}).raise_for_status()
    assert len(coach.get(path)["running"]) == 2


def test_what_is_offered_needs_no_kit_no_warm_up_and_is_open(coach: Coach, athlete: str) -> None:
    offered = coach.get(f"/api/athletes/{athlete}/daily")["movements"]
    assert len(offered) > 20
    for one in offered:
        movement = catalogue().find_movement(one["id"])
        assert not movement.kit
        assert max(movement.stress.values(), default=1) < 3


def test_the_athlete_changes_it_alone_by_their_link(
    coach: Coach, athlete: str, new_client: Any
) -> None:
    begins(coach, athlete)
    theirs = Athlete(new_client(), coach.clock, link_for(coach, athlete)).client
    path = f"/api/athletes/{athlete}/daily"
    mine = {**KETTLE, "moment": "before the shower", "cheer": "Ha!"}
    changed = theirs.put(f"{path}/{uuid4()}", json=mine)
    assert changed.status_code == 200, changed.text
    assert changed.json()["daily"]["moment"] == "before the shower"
    ticked = theirs.put(f"{path}/ticks/{uuid4()}", json={}).json()
    assert ticked["daily"]["note"] == "Ha!"
    assert coach.get(path)["daily"]["today"]
    other = coach.enrols(name="Bo Lind")["id"]
    assert theirs.get(f"/api/athletes/{other}/daily").status_code == 404
