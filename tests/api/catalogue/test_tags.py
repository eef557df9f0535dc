"""A coach's own tags: given, counted by, and handed on with own movements in a file."""

from typing import Any
from uuid import uuid4

import pytest

from tests.api.catalogue.test_own_movements import HALF_TUCK, makes
from tests.api.coach import Coach, problem


def tags(coach: Coach, movement: str, *those: str) -> list[str]:
    told: dict[str, Any] = coach.put(f"/api/movements/{movement}/tags", tags=list(those))
    return list(told["tags"])


def test_tags_are_kept_once_spelt_alike_and_taken_away(coach: Coach) -> None:
    assert tags(coach, "pull-up", "Grip", " grip ", "hard day") == ["Grip", "hard day"]
    assert tags(coach, "chin-up", "GRIP") == ["Grip"]
    assert tags(coach, "pull-up") == []
    assert coach.get("/api/movement-tags")["tags"] == {"chin-up": ["Grip"]}


@pytest.mark.parametrize("wrong", [[""], ["x" * 31], ["one"] * 7])
def test_a_tag_that_is_none_is_refused_by_name(coach: Coach, wrong: list[str]) -> None:
    refused = coach.client.put("/api/movements/pull-up/tags", json={"tags": wrong})
    assert problem(refused, 422)["field"].startswith("tag")
    assert coach.get("/api/movement-tags")["tags"] == {}


def test_another_coach_has_tags_of_their_own(coach: Coach, new_coach: Any) -> None:
    tags(coach, "pull-up", "grip")
    assert new_coach().get("/api/movement-tags")["tags"] == {}


def test_hard_sets_are_counted_by_tag_in_a_session_a_week_and_a_log(coach: Coach) -> None:
    ladder = coach.has_ladder()
    athlete = ladder["athlete_id"]
    tags(coach, "push-up", "wrist", "every day")
    tags(coach, "row", "every day")
    slots = [
        {"family": family, "movements": [movement], "sets": sets, "exact": True}
        for family, movement, sets in [("horizontal push", "push-up", 3), ("x", "row", 2)]
    ]
    blocks = [{"format": "straight sets", "slots": [slot]} for slot in slots]
    path = f"/api/athletes/{athlete}/session-preview"
    seen = coach.post(path, name="So far", blocks=blocks)["session"]
    assert seen["tags"] == {"wrist": 3.0, "every day": 5.0}

    session = coach.starts(ladder["id"])
    base = coach.run(session)
    for number, kind in enumerate(["easy", "work", "work", "part"], start=1):
        done = {"movement": "push-up", "reps": 8, "rpe": 7, "kind": kind, "number": number}
        coach.put(f"{base}/sets/{uuid4()}", **done, **coach.now())
    coach.post(f"{base}/finish", rpe=7, **coach.now())
    (week,) = coach.get(f"/api/ladders/{ladder['id']}/trends")["weeks"]
    assert week["tags"] == {"wrist": 2.0, "every day": 2.0}


def test_movements_and_tags_go_to_another_coach_in_a_file(coach: Coach, new_coach: Any) -> None:
    made = makes(coach)
    tags(coach, made["id"], "levers")
    tags(coach, "pull-up", "grip")
    told = coach.get("/api/catalogue-file")
    other = new_coach()
    tried = other.post("/api/catalogue-files", **told)
    assert (tried["movements"], tried["tagged"], tried["faults"]) == ([HALF_TUCK["name"]], 2, [])
    assert other.get("/api/own-movements")["movements"] == []  # only tried
    for _ in range(2):  # read twice, kept once
        other.post("/api/catalogue-files?dry_run=false", **told)
    (theirs,) = other.get("/api/own-movements")["movements"]
    assert theirs["id"] != made["id"]
    assert other.get("/api/movement-tags")["tags"] == {
        theirs["id"]: ["levers"],
        "pull-up": ["grip"],
    }
    again = other.get("/api/catalogue-file")
    assert again == told


@pytest.mark.parametrize(
    ("change", "place"),
    [
        ({"version": 2}, "version"),
        ({"tags": {"somersault": ["x"]}}, "tags.somersault"),
        ({"tags": {"pull-up": [""]}}, "tags.pull-up"),
        ({"movements": [{**HALF_TUCK, "id": "own:m1", "start": {"hip": 400}}]}, "movements[0]"),
    ],
)
def test_a_faulty_file_is_told_with_the_place_and_writes_nothing(
    coach: Coach, change: dict[str, Any], place: str
) -> None:
    whole = {"format": "invelo-catalogue", "version": 1, "tags": {"row": ["fine"]}, **change}
    taken = coach.post("/api/catalogue-files?dry_run=false", **whole)
    assert taken["faults"][0]["place"].startswith(place)
    assert taken["faults"][0]["remedy"]
    assert coach.get("/api/movement-tags")["tags"] == {}
