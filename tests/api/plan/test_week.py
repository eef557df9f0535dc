"""Weeks through the API: planned, moved, kept, undone, lost, solved as the coach looks on."""

from datetime import date, timedelta
from typing import Any
from uuid import uuid4

import pytest

from tests.api.coach import Coach, problem

ROW = {"ready_ladder": "row", "purpose": "strength", "level": "intermediate", "test": None}
SQUAT = {"ready_ladder": "household-legs", "purpose": "size", "level": "beginner", "test": None}


def two_ladders(coach: Coach, **change: Any) -> str:
    """Someone on two ladders."""
    there: str = coach.enrols(**change)["id"]
    coach.gives_ladder(there)
    coach.gives_ladder(there, **ROW)
    return there


def sheet(coach: Coach, athlete: str, week_start: str = "") -> dict[str, Any]:
    found: dict[str, Any] = coach.get(
        f"/api/athletes/{athlete}/week" + (f"?week_start={week_start}" if week_start else "")
    )
    return found


def next_week(coach: Coach, athlete: str) -> dict[str, Any]:
    week_start = date.fromisoformat(sheet(coach, athlete)["week_start"]) + timedelta(days=7)
    return sheet(coach, athlete, week_start.isoformat())


def solve(coach: Coach, seen: dict[str, Any], **body: Any) -> dict[str, Any]:
    planning = coach.plans(seen, **body)
    assert planning["state"] == "solved", planning
    end: dict[str, Any] = planning["end"]
    return end


def keep(coach: Coach, seen: dict[str, Any], placed: list[dict[str, Any]], **more: Any) -> Any:
    body = {"placed": placed, "number": seen["revision"], "pins": seen["pins"], **more}
    return coach.client.put(
        f"/api/athletes/{seen['athlete_id']}/week?week_start={seen['week_start']}", json=body
    )


def planned(coach: Coach, athlete: str) -> dict[str, Any]:
    """Next week, solved and kept."""
    seen = next_week(coach, athlete)
    end = solve(coach, seen)
    response = keep(coach, seen, end["placed"], bound=end["bound"], note="solved")
    response.raise_for_status()
    found: dict[str, Any] = response.json()
    return found


def test_a_week_begins_empty_with_what_it_should_hold(coach: Coach, athlete: str) -> None:
    seen = sheet(coach, athlete)
    assert seen["revision"] == 0
    assert {one["goal"] for one in seen["tasks"]} == {
        "Decline push-up with a bag",
        "Inverted row, level, with a bag",
    }
    assert [day["name"] for day in seen["days"]] == ["Monday", "Wednesday", "Friday"]
    assert "three days" in seen["advice"]
    assert all(day["taken"] == 0 for day in seen["days"])
    assert not seen["has_availability"]


def test_a_planning_ends_with_a_proven_plan(coach: Coach, athlete: str) -> None:
    planning = coach.plans(next_week(coach, athlete))
    end = planning["end"]
    assert end["proof"] == "proven best"
    assert end["points"] == end["bound"] == sum(term["points"] for term in end["terms"])
    assert planning["best"]["placed"] == end["placed"]
    assert (planning["refusal"], planning["note"]) == (None, "")


def test_nothing_is_kept_by_solving(coach: Coach, athlete: str) -> None:
    seen = next_week(coach, athlete)
    solve(coach, seen)
    assert sheet(coach, athlete, seen["week_start"]) == seen


def test_a_plan_is_kept_with_its_score_and_proof(coach: Coach, athlete: str, plan: dict) -> None:
    seen = plan
    assert seen["revision"] == 1
    assert seen["note"] == "solved"
    assert seen["proof"] == "proven best"
    assert seen["breaches"] == []
    for day in seen["days"]:
        assert day["taken"] <= day["minutes"]
        if day["tasks"]:
            assert day["session_minutes"]["likely"] <= day["minutes"]
    assert all(one["days"] >= 2 for one in seen["regions"])


def test_a_move_that_breaks_a_rule_is_told_and_kept(coach: Coach, athlete: str, plan: dict) -> None:
    seen = plan
    every = [{"task": task["key"], "day": 0} for task in seen["tasks"]]
    availability = {"days": [{"index": 0, "minutes": 20}, {"index": 2, "minutes": 45}]}
    coach.put(
        f"/api/athletes/{athlete}/week/availability?week_start={seen['week_start']}", **availability
    )
    body = {"placed": every, "number": 1}
    trial = coach.post(
        f"/api/athletes/{athlete}/week/preview?week_start={seen['week_start']}", **body
    )
    assert [one["rule"] for one in trial["breaches"]] == ["week.minutes"]
    assert "Monday takes" in trial["breaches"][0]["words"]
    assert trial["breaches"][0]["sentence"]
    assert sheet(coach, athlete, seen["week_start"])["revision"] == 1
    kept = keep(coach, seen, every).json()
    assert kept["breaches"][0]["rule"] == "week.minutes"
    assert kept["proof"] == ""


def test_what_was_changed_meanwhile_is_not_overwritten(
    coach: Coach, athlete: str, plan: dict
) -> None:
    seen = plan
    stale = {**seen, "revision": 0}
    told = problem(keep(coach, stale, []), 409)
    assert "revision 1 stands" in told["problem"]
    assert sheet(coach, athlete, seen["week_start"]) == seen


def test_a_pin_holds_through_a_new_solve_and_little_else_moves(
    coach: Coach, athlete: str, plan: dict
) -> None:
    seen = plan
    task = seen["tasks"][0]
    free = next(day["index"] for day in seen["days"])
    pins = [{"task": task["key"], "day": free, "there": task["days"].count(free) == 0}]
    end = solve(coach, seen, pins=pins)
    there = {"task": task["key"], "day": free} in end["placed"]
    assert there == pins[0]["there"]
    kept = keep(coach, seen, end["placed"], pins=pins).json()
    assert kept["pins"] == pins
    again = solve(coach, kept, pins=kept["pins"])
    assert again["placed"] == end["placed"]


def test_an_undone_week_is_as_it_was(coach: Coach, athlete: str, plan: dict) -> None:
    first = plan
    keep(coach, first, []).raise_for_status()
    back = coach.post(f"/api/athletes/{athlete}/week/undo?week_start={first['week_start']}")
    assert back == first
    coach.post(f"/api/athletes/{athlete}/week/undo?week_start={first['week_start']}")
    response = coach.client.post(
        f"/api/athletes/{athlete}/week/undo?week_start={first['week_start']}"
    )
    assert problem(response, 409)["problem"] == "there is nothing to undo."


def test_a_missed_day_is_planned_around(coach: Coach, athlete: str, plan: dict) -> None:
    seen = plan
    lost = {"days": [2], "places": []}
    end = solve(coach, seen, lost=lost)
    assert all(one["day"] != 2 for one in end["placed"])
    kept = keep(coach, seen, end["placed"], lost=lost).json()
    assert [day["lost"] for day in kept["days"]] == [False, True, False]
    response = coach.client.post(
        f"/api/athletes/{athlete}/week/plans?week_start={seen['week_start']}",
        json={"lost": {"days": [0, 2, 4]}},
    )
    assert "every one of them is lost" in problem(response, 422)["problem"]


def test_what_is_past_stays(coach: Coach, athlete: str, plan: dict) -> None:
    seen = plan
    week_start = date.fromisoformat(seen["week_start"])
    today = coach.clock().date()
    coach.clock.pass_by(days=(week_start - today).days + 1)
    now = sheet(coach, athlete, seen["week_start"])
    assert [day["past"] for day in now["days"]] == [True, False, False]
    without = [
        {"task": task["key"], "day": day}
        for task in now["tasks"]
        for day in task["days"]
        if day != 0
    ]
    assert "it is over" in problem(keep(coach, now, without), 409)["problem"]
    end = solve(coach, now, pins=now["pins"])
    before = {(t["key"], 0) for t in seen["tasks"] if 0 in t["days"]}
    assert {(one["task"], 0) for one in end["placed"] if one["day"] == 0} == before


def test_wishes_are_kept_and_shape_the_week(coach: Coach, athlete: str) -> None:
    week_start = next_week(coach, athlete)["week_start"]
    row = next(t for t in sheet(coach, athlete)["tasks"] if "row" in t["name"].lower())
    availability = {
        "days": [{"index": i, "minutes": 30, "at": "07:30"} for i in (1, 3, 5)],
        "extras": [{"movement": "calf-raise", "days": 2, "rotation": "small", "letter": "A"}],
        "targets": [{"region": "chest", "sets": 8}],
        "weights": {"even": 0},
        "hands": {"edits": [{"key": row["key"], "sets": [{"low": 5, "high": 6, "rest": 200}] * 3}]},
    }
    seen = coach.put(
        f"/api/athletes/{athlete}/week/availability?week_start={week_start}", **availability
    )
    assert seen["has_availability"]
    assert [day["at"] for day in seen["days"]] == ["07:30"] * 3
    assert any(task["key"] == "movement:calf-raise" for task in seen["tasks"])
    edited = next(task for task in seen["tasks"] if task["key"] == row["key"])
    assert edited["sets"] == ["3 × 5–6, effort 9, rest 3:20"]
    assert next(one for one in seen["regions"] if one["region"] == "chest")["target"] == 8
    assert next(one for one in seen["terms"] if one["name"] == "even")["weight"] == 0


@pytest.mark.parametrize(
    ("availability", "field"),
    [
        ({"days": []}, "days"),
        ({"days": [{"index": 0, "minutes": 0}]}, "minutes"),
        ({"days": [{"index": 0, "minutes": 30, "at": "25:00"}]}, "time"),
        ({"days": [{"index": 0, "minutes": 30}] * 2}, "days"),
        ({"days": [{"index": 0, "minutes": 30}], "begun": "2026-01-06"}, "block"),
        ({"days": [{"index": 0, "minutes": 30, "place": str(uuid4())}]}, "place"),
        ({"days": [{"index": 0, "minutes": 30}], "weights": {"even": -1}}, "weight of even"),
        (
            {
                "days": [{"index": 0, "minutes": 30}],
                "hands": {"edits": [{"key": "x", "format": "pair"}]},
            },
            "format",
        ),
    ],
)
def test_wishes_that_cannot_be_are_refused_and_nothing_is_kept(
    coach: Coach, athlete: str, availability: dict[str, Any], field: str
) -> None:
    before = sheet(coach, athlete)
    response = coach.client.put(f"/api/athletes/{athlete}/week/availability", json=availability)
    assert problem(response, 422)["field"] == field
    assert sheet(coach, athlete) == before


def test_pins_that_contradict_end_with_the_nearest_plan_and_what_it_relaxed(
    coach: Coach, athlete: str
) -> None:
    availability = {"days": [{"index": 0, "minutes": 12}]}
    seen = coach.put(f"/api/athletes/{athlete}/week/availability", **availability)
    seen = sheet(coach, athlete, next_week(coach, athlete)["week_start"])
    pins = [{"task": task["key"], "day": 0} for task in seen["tasks"]]
    end = solve(coach, seen, pins=pins)
    assert end["relaxed"]
    assert len(end["breaches"]) >= 1
    assert end["breaches"][0]["words"]


def test_an_unknown_task_and_a_week_that_is_none_are_refused(coach: Coach, athlete: str) -> None:
    seen = next_week(coach, athlete)
    unknown = [{"task": "x", "day": 0}]
    assert "no task" in problem(keep(coach, seen, unknown), 422)["problem"]
    tried = coach.client.post(
        f"/api/athletes/{athlete}/week/preview", json={"placed": unknown, "number": 0}
    )
    assert "no task" in problem(tried, 422)["problem"]
    response = coach.client.get(f"/api/athletes/{athlete}/week?week_start=2026-01-06")
    assert problem(response, 422)["field"] == "week_start"


def test_someone_without_a_ladder_is_told_what_is_missing(coach: Coach) -> None:
    athlete = coach.enrols()["id"]
    response = coach.client.get(f"/api/athletes/{athlete}/week")
    told = problem(response, 422)
    assert told["field"] == "tasks"
    assert "Give a ladder" in told["remedy"]


def test_the_weeks_before_are_looked_back_on(coach: Coach, athlete: str) -> None:
    there = coach.get(f"/api/athletes/{athlete}")["ladders"]
    coach.trains(next(one["id"] for one in there if one["goal"].startswith("Decline push-up")))
    seen = next_week(coach, athlete)
    done = [one for before in seen["before"] for one in before["sessions"]]
    assert [one["sets"] for one in done] == [3]
    week = next(before for before in seen["before"] if before["sessions"])
    regions = {one["region"]: one["sets"] for one in week["regions"]}
    assert regions["chest"] == 3
    assert "abs" not in regions  # it only holds the line


def test_a_block_of_weeks_eases_the_fourth(coach: Coach, athlete: str) -> None:
    seen = next_week(coach, athlete)
    availability = {"days": [{"index": 0, "minutes": 45}, {"index": 3, "minutes": 45}]}
    coach.put(
        f"/api/athletes/{athlete}/week/availability",
        **availability,
        begun=seen["week_start"],
        weeks=8,
    )
    fourth = date.fromisoformat(seen["week_start"]) + timedelta(days=21)
    usual, easy = (
        sheet(coach, athlete, seen["week_start"]),
        sheet(coach, athlete, fourth.isoformat()),
    )
    assert (usual["kind"], easy["kind"]) == ("build", "easy")
    assert sum(task["minutes"] for task in easy["tasks"]) < sum(
        task["minutes"] for task in usual["tasks"]
    )


def test_a_long_time_away_is_noticed_and_the_way_back_planned(coach: Coach, athlete: str) -> None:
    ladder = coach.get(f"/api/athletes/{athlete}")["ladders"][0]["id"]
    coach.trains(ladder)
    assert not [one for one in next_week(coach, athlete)["notices"] if "logged" in one]
    coach.clock.pass_by(days=10)
    week_start = date(2026, 4, 6).isoformat()
    seen = sheet(coach, athlete, week_start)
    assert [one for one in seen["notices"] if one.startswith("Nothing is logged for 5 weeks")]
    availability = {"days": [{"index": 0, "minutes": 45}], "begun": week_start, "away": 5}
    seen = coach.put(
        f"/api/athletes/{athlete}/week/availability?week_start={week_start}", **availability
    )
    assert seen["kind"] == "re-entry"
    assert not [one for one in seen["notices"] if "logged" in one]


def test_a_lost_place_is_planned_around(coach: Coach, athlete: str) -> None:
    seen = next_week(coach, athlete)
    assert seen["lost"] == {"days": [], "places": []}
    assert solve(coach, seen, lost={"days": [], "places": [str(uuid4())]}, seconds=2)["placed"]
