"""What a limit or the kit closes stays closed wherever something is chosen for an athlete: places
on ladders, bridges, weeks and their sessions."""

from collections.abc import Iterator
from typing import Any
from uuid import uuid4

import pytest

from invelo.domain.athlete.limits import Limit, exceeded
from invelo.domain.athlete.screen import SPARED
from invelo.domain.athlete.strain import AVERAGE, strains
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers, Movement
from tests.api.athlete.test_intake import does, furnishes, shows, tells
from tests.api.athlete.test_screen import screens
from tests.api.coach import Coach, problem
from tests.api.plan.test_week import next_week, solve

RISER = {"kind": "surface", "name": "Riser", "height_m": 0.4}
LIMITS = [Limit(quantity, most, "knee") for quantity, most in SPARED["knee"]]


def movements(found: Any) -> Iterator[str]:
    """Every movement named anywhere in an answer."""
    if isinstance(found, dict):
        if isinstance(found.get("movement"), str):
            yield found["movement"]
        for value in found.values():
            yield from movements(value)
    elif isinstance(found, list):
        for value in found:
            yield from movements(value)


def strained(names: Iterator[str]) -> set[str]:
    """Those of them that the limit forbids."""
    known = catalogue()
    return {one for one in names if over(known.find_movement(one), Modifiers())}


def over(movement: Movement, modifiers: Modifiers) -> bool:
    """Whether the limit forbids a movement as it is set up."""
    return bool(exceeded(strains(AVERAGE, movement, movement.own(modifiers)), LIMITS))


def without_kit(names: Iterator[str], *kinds: str) -> set[str]:
    """Those of them that want kit none of which is there."""
    known = catalogue()
    wanted = {one: set(known.find_movement(one).kit) for one in names}
    return {one for one, kit in wanted.items() if kit and not kit & set(kinds)}


@pytest.fixture
def sore(coach: Coach) -> str:
    """Someone on ladders of pushing and of squatting whose knee is to be spared."""
    athlete = coach.enrols()["id"]
    for check in coach.get(f"/api/athletes/{athlete}/readiness")["checks"]:
        shows(coach, athlete, check["id"])
    does(coach, athlete, "push-up", 12)
    does(coach, athlete, "squat-slow", 15)
    screens(coach, athlete, pains={"knee": 6})
    for ready in ("push-up", "household-legs"):
        coach.post(f"/api/athletes/{athlete}/ladders", ready_ladder=ready)
    return athlete


# ---- a limit -----------------------------------------------------------------------------------


def test_nobody_is_placed_on_a_closed_rung(coach: Coach, sore: str) -> None:
    told = coach.get(f"/api/athletes/{sore}/placements")["ladders"]
    placed = [one for one in told if one["rung"]]
    assert len(placed) >= 3
    known = {ready.id: ready for ready in catalogue().ladder}
    closed = 0
    for one in placed:
        rungs = {rung.name: (rung.of, rung.modifiers()) for rung in known[one["id"]].rungs}
        assert not over(*rungs[one["rung"]]), one
        closed += any(over(*of) for of in rungs.values())
    assert closed, "some ladder has closed rungs to be placed beside"


def test_a_week_and_its_sessions_hold_nothing_closed(coach: Coach, sore: str) -> None:
    seen = next_week(coach, sore)
    assert len({one["goal"] for one in seen["tasks"] if one["goal"]}) == 2, "both ladders go on"
    plan = solve(coach, seen)
    coach.client.put(
        f"/api/athletes/{sore}/week?week_start={seen['week_start']}",
        json={"placed": plan["placed"], "number": seen["revision"]},
    ).raise_for_status()
    along = coach.get(f"/api/athletes/{sore}/floor")
    done = [
        each["what"]["movement"]
        for session in (*along["sessions"], *along["single"])
        for item in session["items"]
        for each in (*item["sets"], *item["choices"])
    ]
    assert done
    assert strained(iter(done)) == set()


def test_a_bridge_goes_round_what_is_closed(coach: Coach, sore: str) -> None:
    along = coach.get(f"/api/athletes/{sore}/floor")
    looked = closed = 0
    for one in along["single"]:
        ladder = coach.get(f"/api/ladders/{one['ladder_id']}")
        closed += sum(bool(rung["closed"]) for rung in ladder["rungs"])
        for step in ladder["steps"]:
            between = f"lower_id={step['lower_id']}&upper_id={step['upper_id']}"
            response = coach.client.get(f"/api/ladders/{ladder['id']}/bridge?{between}")
            if response.status_code == 422:
                continue  # two measures, or nothing that compares them
            found = response.json()["rungs"]
            looked += len(found)
            assert strained(movements(found)) == set()
    assert looked
    assert closed


# ---- kit ---------------------------------------------------------------------------------------


@pytest.fixture
def poor(coach: Coach) -> str:
    """Someone whose only place has a riser of 40 cm and nothing to hang from."""
    athlete = coach.enrols()["id"]
    place = furnishes(coach, RISER)
    tells(coach, athlete, goals=["push-up"], places=[place])
    return athlete


def lean_on(rungs: list[dict[str, Any]]) -> set[float]:
    """Heights that hands or feet stand on, m."""
    names = ("hand_height", "foot_height")
    return {rung["values"][name] for rung in rungs for name in names if rung["values"].get(name)}


def test_a_bridge_uses_the_heights_that_are_there(coach: Coach, poor: str) -> None:
    """From hands on a crate to the floor there is a riser of 40 cm, and nothing else."""
    counter = {"id": str(uuid4()), "name": "Counter", "movement": "push-up"}
    floor = {"id": str(uuid4()), "name": "Floor", "movement": "push-up", "after": [counter["id"]]}
    first = {**counter, "values": {"hand_height": 0.55}}
    ladder = coach.post(f"/api/athletes/{poor}/ladders", goal="The floor", first=first)
    coach.post(f"/api/ladders/{ladder['id']}/rungs", **floor)
    between = f"lower_id={counter['id']}&upper_id={floor['id']}"
    found = coach.get(f"/api/ladders/{ladder['id']}/bridge?{between}")["rungs"]
    assert found
    assert lean_on(found) - {0.55} <= {RISER["height_m"]}
    assert without_kit(movements(found), "surface", "wall") == set()


def test_nobody_is_placed_or_planned_on_kit_that_is_not_there(coach: Coach, poor: str) -> None:
    does(coach, poor, "push-up", 12)
    for one in coach.get(f"/api/athletes/{poor}/placements")["ladders"]:
        known = next(ready for ready in catalogue().ladder if ready.id == one["id"])
        if one["rung"]:
            of = next(rung.of for rung in known.rungs if rung.name == one["rung"])
            assert without_kit(iter([of.id]), "surface", "wall") == set(), one
    coach.post(f"/api/athletes/{poor}/ladders", ready_ladder="push-up")
    shows(coach, poor, "shoulder")
    hangs = coach.client.post(
        f"/api/athletes/{poor}/ladders", json={"ready_ladder": "loaded-pull-up"}
    )
    assert problem(hangs, 409)["field"] == "kit"
    along = coach.get(f"/api/athletes/{poor}/floor")
    done = [
        each["what"]["movement"]
        for session in along["single"]
        for item in session["items"]
        for each in (*item["sets"], *item["choices"])
    ]
    assert done
    assert without_kit(iter(done), "surface", "wall") == set()
