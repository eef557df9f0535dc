"""What a coach may build by mistake: told in words, nothing ignored, nothing lost."""

from typing import Any
from uuid import uuid4

from tests.api.coach import Coach

Block = dict[str, Any]


def block(format: str, *movements: str, asked: dict[str, Any] | None = None, **more: Any) -> Block:
    slots = [
        {"family": "x", "movements": [one], "sets": 2, "exact": True, "asked": asked or {}}
        for one in movements
    ]
    return {"format": format, "slots": slots, **more}


def seen(coach: Coach, *blocks: Block) -> dict[str, Any]:
    path = f"/api/athletes/{coach.has_ladder()['athlete_id']}/session-preview"
    told: dict[str, Any] = coach.post(path, name="So far", blocks=list(blocks))
    return told


def test_a_group_of_one_says_how_many_it_wants(coach: Coach) -> None:
    assert seen(coach, block("pair", "push-up"))["lacks"] == "pair: it has 1 movement. Give it 2."


def test_rounds_without_any_rest_are_built_and_said(coach: Coach) -> None:
    told = seen(coach, block("circuit", "push-up", "row", "squat", between=0, round_rest=0))
    (circuit,) = (one for one in told["session"]["blocks"] if one["format"] == "circuit")
    assert "no rest between" in circuit["words"]
    assert any("There is no rest in the circuit" in note for note in told["session"]["notes"])


def test_a_set_of_nought_is_refused_at_once(coach: Coach) -> None:
    told = seen(coach, block("straight sets", "push-up", asked={"low": 0, "high": 0}))
    assert "range's foot: 0" in told["lacks"]
    body = {"name": "X", "blocks": [block("straight sets", "push-up", asked={"low": 0})]}
    assert coach.client.put(f"/api/session-templates/{uuid4()}", json=body).status_code == 422


def test_what_is_closed_is_left_out_with_the_reason_in_a_sentence(coach: Coach) -> None:
    told = seen(coach, block("straight sets", "push-up"), block("straight sets", "pull-up"))
    (note,) = (one for one in told["session"]["notes"] if "open to" in one)
    assert note.startswith("Nothing of the ")
    assert "waits for the check" in note
    assert ".." not in note


def test_one_movement_twice_keeps_both_its_doses_to_the_phone(coach: Coach) -> None:
    athlete = coach.has_ladder()["athlete_id"]
    doses = [(8, 8), (5, 5)]
    blocks = [
        block("straight sets", "push-up", asked={"low": low, "high": high}) for low, high in doses
    ]
    made = coach.put(f"/api/session-templates/{uuid4()}", name="Twice", blocks=blocks)
    today = coach.clock().date().isoformat()
    coach.put(f"/api/session-templates/{made['id']}/days/{today}", athletes=[athlete])
    (sheet, *_) = coach.get(f"/api/athletes/{athlete}/floor")["sessions"]
    twice = [one for one in sheet["items"] if one["key"].startswith("movement:push-up")]
    assert [one["key"] for one in twice] == ["movement:push-up", "movement:push-up/2"]
    assert [one["sets"][0]["low"] for one in twice] == [8, 5]
    asked = [event["item"] for event in sheet["events"] if event["kind"] == "work"]
    assert asked[-4:] == ["movement:push-up"] * 2 + ["movement:push-up/2"] * 2
    again = coach.get(f"/api/athletes/{athlete}/days/{today}/session")["session"]
    assert not any("tires the triceps" in note for note in again["notes"])


def test_a_template_outlives_the_ladder_its_rung_stood_on(coach: Coach) -> None:
    ladder = coach.has_ladder()
    athlete = ladder["athlete_id"]
    own = {"family": "horizontal push", "movements": ["wall-push-up"], "sets": 2}
    body = [{"format": "straight sets", "slots": [own]}]
    made = coach.put(f"/api/session-templates/{uuid4()}", name="Push", blocks=body)
    path = f"/api/athletes/{athlete}/session-preview"
    on_it = coach.post(path, name="Push", blocks=body)["session"]["blocks"][-1]["items"][0]
    coach.client.delete(f"/api/ladders/{ladder['id']}").raise_for_status()
    today = coach.clock().date().isoformat()
    put = coach.put(f"/api/session-templates/{made['id']}/days/{today}", athletes=[athlete])
    off_it = put["sessions"][0]["session"]["blocks"][-1]["items"][0]
    assert on_it["name"] != off_it["name"] == "Wall push-up"
