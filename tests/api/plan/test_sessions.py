"""Sessions through the API: to start from, for a group, a day adapted; methods and their
prescriptions."""

from datetime import date, timedelta
from typing import Any
from uuid import uuid4

import pypdfium2
import pytest

from invelo.domain.catalogue.catalogue import catalogue
from tests.api.coach import Coach, problem
from tests.api.plan.test_week import keep, planned, sheet


@pytest.fixture
def day(stage, coach: Coach, athlete: str) -> str:
    """A day with the push-up and the row on it."""

    def plan() -> str:
        seen = planned(coach, athlete)
        every = [{"task": task["key"], "day": 0} for task in seen["tasks"]]
        keep(coach, seen, every).raise_for_status()
        return str(seen["week_start"])

    return stage("two ladders on a day", plan)  # type: ignore[no-any-return]


def test_ready_sessions_stand_on_the_athletes_own_rungs(coach: Coach, athlete: str) -> None:
    ready = coach.get("/api/session-templates")["sessions"]
    assert len(ready) == len(catalogue().session)
    found = coach.get(f"/api/athletes/{athlete}/session-templates/push-household")
    items = [item for block in found["session"]["blocks"] for item in block["items"]]
    own = next(item for item in items if item["goal"] == "Decline push-up with a bag")
    assert own["easier"]
    assert found["session"]["minutes"]["unit"] == "min"
    assert found["session"]["cautions"]


def test_a_session_is_cut_to_the_minutes_with_the_order_of_cuts(coach: Coach, athlete: str) -> None:
    found = coach.get(f"/api/athletes/{athlete}/session-templates/whole-body-none?minutes=20")
    assert found["session"]["minutes"]["likely"] <= 20
    assert found["cuts"]
    response = coach.client.get(
        f"/api/athletes/{athlete}/session-templates/whole-body-none?minutes=1"
    )
    assert "daily minimum" in problem(response, 422)["remedy"]


def test_a_group_does_one_session_each_on_their_own_rung(coach: Coach, athlete: str) -> None:
    other = coach.enrols(name="Bo Lind")["id"]
    coach.gives_ladder(other, reps=2)
    body = {"athletes": [athlete, other]}
    made = coach.post("/api/session-templates/push-none/group", **body)
    rungs = {}
    for one in made["sessions"]:
        blocks = [block for block in one["session"]["blocks"] if block["format"] != "warm-up"]
        rungs[one["athlete_name"]] = blocks[0]["items"][0]["name"]
    assert len(set(rungs.values())) == 2
    assert made["minutes"] == max(one["session"]["minutes"]["likely"] for one in made["sessions"])


def test_an_own_session_is_kept_used_again_and_taken_away(coach: Coach, athlete: str) -> None:
    path = f"/api/session-templates/{uuid4()}"
    slots = [{"family": "horizontal push"}, {"family": "horizontal pull"}]
    body = {"name": "After the get-out", "blocks": [{"format": "pair", "slots": slots}]}
    made = coach.put(path, **body)
    assert coach.put(path, **body) == made
    body["blocks"][0]["between"] = 20
    changed = coach.put(path, **{**body, "name": "After the get-in"})
    assert (changed["name"], changed["blocks"][0]["between"]) == ("After the get-in", 20)
    assert coach.put(path, **body)["name"] == "After the get-out"
    found = coach.get(f"/api/athletes/{athlete}/session-templates/{made['id']}")
    assert [b["format"] for b in found["session"]["blocks"]] == ["warm-up", "pair"]
    taken = coach.client.put(f"/api/session-templates/{uuid4()}", json=body)
    assert problem(taken, 409)["field"] == "name"
    coach.client.delete(path).raise_for_status()
    gone = coach.client.get(f"/api/athletes/{athlete}/session-templates/{made['id']}")
    assert problem(gone, 404)["field"] == "session"


def test_a_days_session_can_be_kept_as_an_own_one(coach: Coach, athlete: str, day: str) -> None:
    """Movements, amounts, efforts and rests come back as they stood, for whoever opens it."""
    session = coach.get(f"/api/athletes/{athlete}/days/{day}/session")["session"]
    path = f"/api/athletes/{athlete}/days/{day}/session-templates/{uuid4()}"
    made = coach.put(path, name="Monday's")
    assert coach.put(path, name="Monday's") == made
    other = coach.enrols(name="Bo Lind")["id"]
    again = coach.get(f"/api/athletes/{other}/session-templates/{made['id']}")["session"]

    def told(of: dict[str, Any]) -> list[tuple[str, list[str]]]:
        blocks = [block for block in of["blocks"] if block["format"] != "warm-up"]
        return [(one["movement"], one["sets"]) for block in blocks for one in block["items"]]

    assert told(again) == told(session)


TRI_SET = {
    "name": "Pull, hinge, press",
    "blocks": [
        {
            "format": "triple",
            "between": 15,
            "round_rest": 60,
            "slots": [
                {
                    "family": "vertical pull",
                    "movements": ["chin-up"],
                    "sets": 3,
                    "exact": True,
                    "asked": {"low": 5, "high": 5, "belt": 10.0, "rpe": 8},
                },
                {
                    "family": "hinge and bridge",
                    "movements": ["bridge"],
                    "sets": 3,
                    "exact": True,
                    "asked": {"low": 12, "high": 15, "tempo": "3-0-1-0"},
                },
                {"family": "horizontal push", "sets": 3},
            ],
        }
    ],
}


def test_a_tri_set_is_done_exactly_as_it_was_built(coach: Coach, athlete: str, day: str) -> None:
    """Loads, tempo and rests as the coach meant; the third movement on each one's own rung."""
    for check in ("shoulder",):
        coach.post(
            f"/api/athletes/{athlete}/readiness", id=str(uuid4()), check=check, passed=True, note=""
        )
    made = coach.put(f"/api/session-templates/{uuid4()}", **TRI_SET)
    put = coach.put(f"/api/session-templates/{made['id']}/days/{day}", athletes=[athlete])
    assert put["sessions"][0]["athlete_id"] == athlete
    stands = coach.get(f"/api/athletes/{athlete}/days/{day}/session")
    assert stands["adapted"]
    (triple,) = (b for b in stands["session"]["blocks"] if b["format"] == "triple")
    pull, hinge, push = triple["items"]
    assert pull["sets"] == ["3 × 5, 10 kg on a belt, effort 8"]
    assert "3 × 12–15, tempo 3-0-1-0" in hinge["sets"][0]
    assert push["goal"] == "Decline push-up with a bag"
    assert "3 rounds, 1:00 between them" in triple["words"]
    assert "10 kg on a belt" in stands["session"]["needed"]
    along = coach.get(f"/api/athletes/{athlete}/floor")["sessions"]
    assert all(one["name"] for one in along)


CHAINS = {
    "name": "Chains",
    "blocks": [
        {
            "format": "straight sets",
            "slots": [
                {
                    "family": "horizontal push",
                    "movements": ["push-up"],
                    "sets": 2,
                    "exact": True,
                    "asked": {"low": 5, "high": 5, "rest": 90},
                    "followed_by": [{"asked": {"low": 5, "high": 5, "tempo": "1-0-1-3"}}],
                    "instead": [{"when": "too easy", "movement": "feet-raised-push-up"}],
                }
            ],
        },
        {
            "format": "drop set",
            "slots": [
                {
                    "family": "horizontal push",
                    "movements": ["feet-raised-push-up"],
                    "sets": 2,
                    "exact": True,
                    "asked": {"low": 6, "high": 8, "values": {"foot_height": 0.45}},
                    "followed_by": [{"movement": "push-up", "pause": 5, "every": False}],
                }
            ],
        },
    ],
}
"""Five plain and five held in one set, and a drop chain of the coach's own."""


def test_chains_are_kept_come_back_and_are_run_set_by_set(
    coach: Coach, athlete: str, day: str
) -> None:
    made = coach.put(f"/api/session-templates/{uuid4()}", **CHAINS)
    for kept, sent in zip(made["blocks"], CHAINS["blocks"], strict=True):
        (slot,), (asked,) = kept["slots"], sent["slots"]
        assert [one["pause"] for one in slot["followed_by"]] == [
            one.get("pause", 0) for one in asked["followed_by"]
        ]
        assert slot["asked"]["values"] == asked["asked"].get("values", {})
    today = coach.clock().date().isoformat()
    coach.put(f"/api/session-templates/{made['id']}/days/{today}", athletes=[athlete])
    (sheet, *_) = coach.get(f"/api/athletes/{athlete}/floor")["sessions"]
    by_name = {one["name"]: one for one in sheet["items"]}
    push = next(one for name, one in by_name.items() if name == "Push-up")
    assert [one["kind"] for one in push["sets"]] == ["work", "part", "work", "part"]
    assert push["choices"][0]["way"] == "harder"
    raised = next(one for one in sheet["items"] if one["sets"][-1]["kind"] == "drop")
    last = raised["sets"][-1]
    assert last["what"]["movement"] == "push-up"
    assert last["cues"]
    assert last["cues"] != raised["cues"]


@pytest.mark.parametrize(
    ("slot", "field"),
    [
        ({"asked": {"in_turn": "plank"}}, "in turn"),
        ({"asked": {"values": {"no_such": 1.0}}}, "no such measure"),
        ({"followed_by": [{"asked": {"rest": 30}}]}, "rest"),
        ({"followed_by": [{"pause": 90}]}, "pause"),
        ({"instead": [{"when": "hurts", "movement": "somersault"}]}, "movement"),
        ({"followed_by": [{}] * 5}, "followed_by"),
    ],
)
def test_what_cannot_follow_is_refused_at_once(
    coach: Coach, slot: dict[str, Any], field: str
) -> None:
    one = {"family": "horizontal push", "movements": ["push-up"], "exact": True, **slot}
    body = {"name": "X", "blocks": [{"format": "straight sets", "slots": [one]}]}
    refused = coach.client.put(f"/api/session-templates/{uuid4()}", json=body)
    assert refused.status_code == 422
    assert field in str(refused.json())


def test_a_session_is_seen_before_it_is_kept_and_steps_a_level(coach: Coach, athlete: str) -> None:
    path = f"/api/athletes/{athlete}/session-preview"
    seen = coach.post(path, **CHAINS)["session"]
    one = [{"format": "pair", "slots": [{"family": "horizontal push"}]}]
    assert "it has 1 movement" in coach.post(path, name="X", blocks=one)["lacks"]
    regions = {one["region"]: one["sets"] for one in seen["regions"]}
    assert regions["chest"] >= 3.0  # two straight sets and the drop set's two
    assert seen["minutes"]["low"] < seen["minutes"]["likely"]
    down = coach.post("/api/session-templates/level", **CHAINS, way="easier")["blocks"]
    assert down[0]["slots"][0]["movements"] != ["push-up"]
    mine = {one["name"] for one in coach.get("/api/session-templates")["sessions"]}
    assert "Chains" not in mine  # nothing was kept


def test_a_class_is_put_on_everyones_day_at_once_each_on_their_own_rung(
    coach: Coach, athlete: str
) -> None:
    today = coach.clock().date().isoformat()
    people = [athlete]
    for number in range(3):
        person = coach.enrols(name=f"Crew {number}")["id"]
        coach.gives_ladder(person, reps=2 + 4 * number)
        people.append(person)
    put = coach.put(f"/api/session-templates/push-none/days/{today}", athletes=people)
    assert [one["athlete_id"] for one in put["sessions"]] == people
    for person in people:
        (session,) = coach.get(f"/api/athletes/{person}/floor")["sessions"][:1]
        assert session["day"] == today


def test_who_has_no_ladder_yet_comes_to_a_class_as_well(coach: Coach) -> None:
    person = coach.enrols(name="Bo Lind")["id"]
    today = coach.clock().date().isoformat()
    coach.put(f"/api/session-templates/push-none/days/{today}", athletes=[person])
    stands = coach.get(f"/api/athletes/{person}/days/{today}/session")
    assert stands["session"]["name"] == "Push, without kit"
    (along,) = coach.get(f"/api/athletes/{person}/floor")["sessions"]
    assert along["name"].endswith(": Push, without kit")
    clock = coach.get(f"/api/session-templates/push-none/class-clock?athletes={person}")
    assert clock["people"] == ["Bo Lind"]
    assert {turn["kind"] for turn in clock["turns"]} >= {"warm-up", "work", "rest"}


def test_a_class_sheet_names_everyone_and_what_to_fetch(coach: Coach, athlete: str) -> None:
    other = coach.enrols(name="Bo Lind")["id"]
    coach.gives_ladder(other, reps=2)
    made = coach.put(f"/api/session-templates/{uuid4()}", **LOADED)
    path = f"/api/session-templates/{made['id']}/class-sheet?athletes={athlete}&athletes={other}"
    response = coach.client.get(path)
    response.raise_for_status()
    (page,) = pypdfium2.PdfDocument(response.content)
    told = page.get_textpage().get_text_range()
    assert "Bo Lind" in told
    assert "Fetch first" in told
    assert "bag of 6 kg" in told


LOADED = {
    "name": "Loaded push",
    "blocks": [
        {
            "format": "straight sets",
            "slots": [
                {
                    "family": "horizontal push",
                    "movements": ["push-up"],
                    "exact": True,
                    "sets": 2,
                    "asked": {"bag": 6},
                }
            ],
        }
    ],
}


def test_what_is_built_exactly_passes_the_guard_with_its_load(coach: Coach) -> None:
    """Common practice: no added load under sixteen, however it is asked for."""
    child = coach.enrols(name="Pip", mass_kg=32.0, stature_m=1.4)["id"]
    born = (coach.clock().date() - timedelta(days=10 * 366)).isoformat()
    screen = {"id": str(uuid4()), "born": born, "active": True}
    coach.post(f"/api/athletes/{child}/screens", **screen)
    made = coach.put(f"/api/session-templates/{uuid4()}", **LOADED)
    today = coach.clock().date().isoformat()
    path = f"/api/session-templates/{made['id']}/days/{today}"
    refused = problem(coach.client.put(path, json={"athletes": [child]}), 422)
    assert "no added load under 16" in refused["problem"]


@pytest.mark.parametrize(
    ("change", "words"),
    [
        ({"asked": {"low": 8, "high": 5}}, "under the range's foot"),
        ({"asked": {"low": 0}}, "out of range"),
        ({"asked": {"tempo": "fast"}}, "tempo"),
        ({"asked": {"bag": 900}}, "out of range"),
        ({"movements": ["flying"]}, "not in the catalogue"),
    ],
)
def test_a_slot_that_cannot_be_done_is_refused_at_once(
    coach: Coach, change: dict[str, Any], words: str
) -> None:
    slot = {"family": "horizontal push", "movements": ["push-up"], "exact": True, **change}
    body = {"name": "x", "blocks": [{"format": "straight sets", "slots": [slot]}]}
    refused = coach.client.put(f"/api/session-templates/{uuid4()}", json=body)
    assert words in str(problem(refused, 422)).lower()


@pytest.mark.parametrize(
    "block",
    [
        {"format": "straight sets", "between": 20},
        {"format": "pair", "work": 40},
        {"format": "interval", "work": 4000},
    ],
)
def test_a_rest_that_would_be_ignored_is_refused(coach: Coach, block: dict[str, Any]) -> None:
    slots = [{"family": "horizontal push"}, {"family": "squat", "movements": ["squat"]}]
    body = {"name": "x", "blocks": [{**block, "slots": slots}]}
    assert problem(coach.client.put(f"/api/session-templates/{uuid4()}", json=body), 422)["remedy"]


def test_a_session_is_not_put_on_a_day_that_is_over(coach: Coach, athlete: str) -> None:
    yesterday = (coach.clock().date() - timedelta(days=1)).isoformat()
    path = f"/api/session-templates/push-none/days/{yesterday}"
    refused = coach.client.put(path, json={"athletes": [athlete]})
    assert problem(refused, 422)["field"] == "day"


@pytest.mark.parametrize(
    ("body", "field"),
    [
        ({"name": " ", "blocks": [{"format": "finisher", "slots": [{"family": "calf"}]}]}, "name"),
        ({"name": "x", "blocks": [{"format": "warm-up", "slots": [{"family": "calf"}]}]}, "format"),
        ({"name": "x", "blocks": []}, "blocks"),
    ],
)
def test_an_own_session_that_cannot_be_is_refused(
    coach: Coach, body: dict[str, Any], field: str
) -> None:
    response = coach.client.put(f"/api/session-templates/{uuid4()}", json=body)
    assert problem(response, 422)["field"] == field
    assert len(coach.get("/api/session-templates")["sessions"]) == len(catalogue().session)


def test_another_coach_does_not_see_own_sessions(coach: Coach, new_coach: Any) -> None:
    path = f"/api/session-templates/{uuid4()}"
    body = {"name": "Mine", "blocks": [{"format": "finisher", "slots": [{"family": "calf"}]}]}
    coach.put(path, **body)
    stranger = new_coach()
    assert len(stranger.get("/api/session-templates")["sessions"]) == len(catalogue().session)
    assert problem(stranger.client.delete(path), 404)["field"] == "session"
    assert problem(stranger.client.put(path, json=body), 409)["field"] == "id"


def test_a_days_session_has_its_warm_up_items_totals_and_order(
    coach: Coach, athlete: str, day: str
) -> None:
    found = coach.get(f"/api/athletes/{athlete}/days/{day}/session")
    assert not found["adapted"]
    session = found["session"]
    assert session["blocks"][0]["format"] == "warm-up"
    assert {one["region"] for one in session["regions"]} >= {"chest", "upper back"}
    assert session["push"] > 0
    assert session["pull"] > 0
    assert session["joints"]["shoulder"]["low"] < session["joints"]["shoulder"]["high"]
    empty = (date.fromisoformat(day) + timedelta(days=1)).isoformat()
    response = coach.client.get(f"/api/athletes/{athlete}/days/{empty}/session")
    assert "nothing is planned" in problem(response, 422)["problem"]


def test_a_day_is_adapted_shown_kept_and_let_go_again(coach: Coach, athlete: str, day: str) -> None:
    path = f"/api/athletes/{athlete}/days/{day}/adapt"
    body = {"minutes": 20, "sore": [{"place": "wrist", "how": 2}]}
    shown = coach.post(path, **body)
    assert shown["after"]["minutes"]["likely"] <= 20 < shown["before"]["minutes"]["likely"] + 10
    assert "the wrist is to be spared." in [one["why"] for one in shown["changes"]]
    assert not coach.get(f"/api/athletes/{athlete}/days/{day}/session")["adapted"]
    key = str(uuid4())
    coach.post(path, **body, keep=key)
    coach.post(path, **body, keep=key)
    kept = coach.get(f"/api/athletes/{athlete}/days/{day}/session")
    assert kept["adapted"]
    assert kept["session"]["blocks"][-1]["items"] == [
        {**item, "easier": []} for item in shown["after"]["blocks"][-1]["items"]
    ]
    plan = coach.get(f"/api/athletes/{athlete}/days/{day}/session?source=plan")
    assert plan["session"]["minutes"] == shown["before"]["minutes"]
    assert sheet(coach, athlete, day)["days"][0]["adapted"]
    coach.client.delete(path).raise_for_status()
    assert not coach.get(f"/api/athletes/{athlete}/days/{day}/session")["adapted"]


@pytest.mark.parametrize(
    ("allows", "field"),
    [
        ({"minutes": 0}, "minutes"),
        ({"minutes": 1}, "minutes"),
        ({"sleep": 30}, "sleep"),
        ({"rpe": 0}, "effort so far"),
    ],
)
def test_a_day_that_allows_nothing_is_refused_and_nothing_is_kept(
    coach: Coach, athlete: str, day: str, allows: dict[str, Any], field: str
) -> None:
    path = f"/api/athletes/{athlete}/days/{day}/adapt"
    response = coach.client.post(path, json={**allows, "keep": str(uuid4())})
    assert problem(response, 422)["field"] == field
    assert not coach.get(f"/api/athletes/{athlete}/days/{day}/session")["adapted"]


def test_sets_by_hand_show_the_rule_they_override(coach: Coach, athlete: str, day: str) -> None:
    seen = sheet(coach, athlete, day)
    push = next(task for task in seen["tasks"] if task["goal"].startswith("Decline push-up"))
    own = [{"low": 3, "high": 4, "rest": 30}] * 5
    hands = {"edits": [{"key": push["key"], "sets": own}]}
    availability = {**seen["availability"], "hands": hands}
    coach.put(f"/api/athletes/{athlete}/week/availability?week_start={day}", **availability)
    session = coach.get(f"/api/athletes/{athlete}/days/{day}/session")["session"]
    rules = {one["rule"]: (one["asked"], one["given"]) for one in session["departures"]}
    assert rules["prescription.sets"][1] == "5 sets"
    assert rules["prescription.rest"][1] == "30 s of rest"
    assert "prescription.least" in rules


# ---- methods -------------------------------------------------------------------------------


def test_six_schools_are_told_and_a_ladder_takes_one(coach: Coach, ladder: dict) -> None:
    path = f"/api/ladders/{ladder['id']}"
    before = coach.get(f"{path}/prescriptions")
    assert {one["id"] for one in before["methods"]} == {
        "double_progression",
        "near_failure",
        "rpe_target",
        "wave",
        "density",
        "habit",
    }
    assert before["method"] == "double_progression"
    assert all(rung["overrides"] == [] for rung in before["rungs"])
    body = {"method": "near_failure", "purpose": "strength", "level": "intermediate"}
    kept = coach.put(f"{path}/method", **body)
    assert kept["method"] == "near_failure"
    assert {one["rule"] for one in kept["rungs"][0]["overrides"]} == {
        "prescription.range",
        "prescription.rest",
    }
    anew = coach.put(f"{path}/method", **body, anew=True)
    assert all(rung["overrides"] == [] for rung in anew["rungs"])
    assert coach.get(path)["rungs"][0]["prescription"]["high"] == 30
    coach.post(f"{path}/undo")
    assert coach.get(path)["rungs"][0]["prescription"]["high"] == 10


def test_a_new_ladder_takes_the_school_that_is_preferred(coach: Coach) -> None:
    athlete = coach.enrols()["id"]
    coach.put(f"/api/athletes/{athlete}/person", methods=["near_failure", "double_progression"])
    ladder = coach.gives_ladder(athlete)
    found = coach.get(f"/api/ladders/{ladder['id']}/prescriptions")
    assert found["method"] == "near_failure"
    assert all(rung["overrides"] == [] for rung in found["rungs"])
    assert ladder["rungs"][0]["prescription"]["high"] == 30
    other = coach.enrols(name="Bo Lind")["id"]
    copied = coach.post(f"/api/ladders/{ladder['id']}/copies", athlete_id=other)
    assert coach.get(f"/api/ladders/{copied['id']}/prescriptions")["method"] == "near_failure"


def test_a_school_that_is_none_is_refused(coach: Coach, ladder: dict) -> None:
    body = {"method": "guess", "purpose": "strength", "level": "beginner"}
    response = coach.client.put(f"/api/ladders/{ladder['id']}/method", json=body)
    assert problem(response, 422)["field"] == "method"
