"""The bench: figures, comparison, solutions, bands, loads, and set-ups kept as rungs."""

from typing import Any
from uuid import uuid4

import pytest

from invelo.domain.biomechanics.body import GRAVITY
from invelo.domain.strength.tempo import ENDURANCE_EXPONENT
from tests.api.coach import Coach, problem

BODY = {"stature_m": 1.66, "mass_kg": 58}
ADVANCED = {"movement": "planche", "shape": "advanced_tuck"}
STRADDLE = {"movement": "planche", "shape": "straddle"}


def push_up(**values: float) -> dict[str, Any]:
    return {"movement": "push_up", "values": values}


def sheet(**change: Any) -> dict[str, Any]:
    return {"body": BODY, "one": push_up(), **change}


def band(force: float = 1.0) -> dict[str, Any]:
    """Pulls of an invented band: five lengths to 2.4 times the rest length."""
    return {
        "rest_m": 1.0,
        "pulls": [
            {"length_m": length, "force_n": force * newtons}
            for length, newtons in ((1.2, 17), (1.5, 36), (1.8, 51), (2.1, 64), (2.4, 77))
        ],
    }


def measured(force: float = 1.0) -> dict[str, Any]:
    """The same band as a hanging scale reads it."""
    pulls = band(force)["pulls"]
    readings = [{"length_m": one["length_m"], "kg": one["force_n"] / GRAVITY} for one in pulls]
    return {"rest_m": 1.0, "readings": readings}


def keeps_band(coach: Coach, name: str, force: float) -> dict[str, Any]:
    return coach.post("/api/bands", id=str(uuid4()), name=name, **measured(force))


def test_every_form_is_offered_with_what_may_be_changed(coach: Coach) -> None:
    forms = coach.get("/api/bench/forms")["forms"]
    assert len(forms) >= 25
    for one in forms:
        assert one["counted"] in ("reps", "hold", "rpe")
        for parameter in one["parameters"]:
            assert parameter["low"] <= parameter["default"] <= parameter["high"]


def test_every_form_and_every_named_shape_of_it_is_drawn(coach: Coach) -> None:
    for one in coach.get("/api/bench/forms")["forms"]:
        for shape in [None, *(preset["name"] for preset in one["presets"])]:
            read = coach.post("/api/bench", body=BODY, one={"movement": one["id"], "shape": shape})
            told = read["one"]
            assert told["figures"], (one["id"], shape)
            assert told["demand"]["low"] <= told["demand"]["likely"] <= told["demand"]["high"]


def test_two_set_ups_compare_with_a_range(coach: Coach) -> None:
    read = coach.post(
        "/api/bench", **sheet(one=push_up(foot_height=0.2), other=push_up(foot_height=0.4))
    )
    ratio = read["ratio"]
    assert 1.0 < ratio["low"] <= ratio["likely"] <= ratio["high"] < 1.1
    assert read["other"]["demand"]["likely"] / read["one"]["demand"]["likely"] == pytest.approx(
        ratio["likely"]
    )


def test_two_that_do_not_compare_are_still_drawn_and_say_why(coach: Coach) -> None:
    read = coach.post("/api/bench", **sheet(other=STRADDLE))
    assert read["ratio"] is None
    assert "limited by another measure" in read["ratio_unavailable_reason"]
    assert read["other"]["figures"]


def test_what_was_done_predicts_both(coach: Coach) -> None:
    done = {"setup": ADVANCED, "seconds": 20}
    read = coach.post("/api/bench", body=BODY, one=ADVANCED, other=STRADDLE, done=done)
    assert read["one"]["expected"]["likely"] == pytest.approx(20)
    assert 4 <= read["other"]["expected"]["likely"] <= 6  # common practice
    assert read["other"]["expected"]["unit"] == "s"


@pytest.mark.parametrize(
    ("which", "figure"),
    [
        ("one", "demand"),
        ("one", "share"),
        ("one", "work"),
        ("one", "overhang"),
        ("one", "torque.shoulder"),
        ("one", "force.hands"),
        ("other", "expected"),
        ("ratio", "demand"),
        ("capacity", "demand"),
    ],
)
def test_every_figure_opens_to_its_account(coach: Coach, which: str, figure: str) -> None:
    asked = sheet(other=push_up(foot_height=0.3), done={"setup": push_up(), "reps": 9})
    told = coach.post("/api/bench/account", **asked, which=which, figure=figure)
    assert told["derivation"]["formula"]
    assert told["derivation"]["inputs"]
    assert told["low"] <= told["likely"] <= told["high"]


def test_what_equals_three_kilos_in_the_bag(coach: Coach) -> None:
    model = {"movement": "push_up", "added_load": {"bag_kg": 3}}
    found = coach.post(
        "/api/bench/solution",
        body=BODY,
        task=push_up(),
        adjustable="foot_height",
        aim={"model": model},
    )
    assert 0.3 < found["to"]["likely"] < 0.9, "under the hardest third feet on a chair do little"
    equal = coach.post("/api/bench", body=BODY, one=model, other=found["setup"])
    assert equal["ratio"]["likely"] == pytest.approx(1.0, abs=3e-3)


def test_what_height_gives_eight_reps(coach: Coach) -> None:
    done = {"setup": push_up(hand_height=0.4), "reps": 12}
    found = coach.post(
        "/api/bench/solution",
        body=BODY,
        task=push_up(),
        adjustable="hand_height",
        aim={"count": 8},
        done=done,
    )
    read = coach.post("/api/bench", body=BODY, one=found["setup"], done=done)
    assert read["one"]["expected"]["likely"] == pytest.approx(8, abs=0.2)


def test_a_dial_that_cannot_reach_says_why(coach: Coach) -> None:
    found = coach.post(
        "/api/bench/solution",
        body=BODY,
        task=push_up(),
        adjustable="hand_height",
        aim={"model": {"movement": "push_up", "added_load": {"bag_kg": 15}}},
    )
    assert found["to"] is None
    assert found["unavailable_reason"]


def test_which_band_gives_five_seconds_of_straddle(coach: Coach) -> None:
    keeps_band(coach, "narrow", 0.3)
    keeps_band(coach, "broad", 1.2)
    found = coach.post(
        "/api/bench/bands",
        body=BODY,
        task=STRADDLE,
        done={"setup": ADVANCED, "seconds": 12},
        count=5,
    )
    assert found["assistance"]["unit"] == "N·m"
    assert found["assistance"]["likely"] > 0
    by_name = {one["name"]: one for one in found["bands"]}
    assert set(by_name) == {"narrow", "narrow, doubled", "broad", "broad, doubled"}
    broad = by_name["broad"]
    assert broad["expected"]["likely"] == pytest.approx(5, abs=0.5)
    assert broad["stretch"] < 2.5
    assert broad["setup"]["band"]["anchor_height_m"] == pytest.approx(
        broad["anchor"]["likely"], abs=0.01
    )
    again = coach.post("/api/bench", body=BODY, one=broad["setup"])
    assert {"hands", "band"} == {force["name"] for force in again["one"]["figures"][0]["forces"]}


def test_things_make_a_load(coach: Coach) -> None:
    things = [{"name": "sandbag 5", "kg": 5, "count": 2}, {"name": "bottle", "kg": 1.5, "count": 3}]
    made = coach.post("/api/bench/pieces", target_kg=8, things=things)
    assert made["kg"] == 8
    assert sum(piece["count"] for piece in made["pieces"]) == 3


def test_a_set_up_is_kept_where_its_demand_belongs(coach: Coach, ladder: dict) -> None:
    rung = {"id": str(uuid4()), "name": "One step up", "setup": push_up(foot_height=0.3)}
    for _ in range(2):  # a replay adds nothing
        coach.post(f"/api/ladders/{ladder['id']}/set-ups", **rung)
    rungs = coach.get(f"/api/ladders/{ladder['id']}")["rungs"]
    assert len(rungs) == len(ladder["rungs"]) + 1
    at = [one["name"] for one in rungs].index("One step up")
    assert rungs[at - 1]["demand"]["likely"] <= rungs[at]["demand"]["likely"]
    assert rungs[at]["values"] == {"foot_height": 0.3}
    assert rungs[at]["prescription"] == rungs[at - 1]["prescription"]


def test_a_rung_keeps_its_band_with_its_curve(coach: Coach, ladder: dict) -> None:
    held = {"band": band(), "at": "hips", "anchor_height_m": 2.2}
    coach.post(
        f"/api/ladders/{ladder['id']}/set-ups",
        id=str(uuid4()),
        name="With a band",
        setup={**push_up(), "band": held},
    )
    rungs = coach.get(f"/api/ladders/{ladder['id']}")["rungs"]
    kept = next(one for one in rungs if one["name"] == "With a band")
    assert kept["band"]["band"]["pulls"] == band()["pulls"]
    floor = next(one for one in rungs if one["name"] == "Floor push-up")
    assert kept["demand"]["likely"] < floor["demand"]["likely"]


def test_a_ladder_takes_only_its_own_family(coach: Coach, ladder: dict) -> None:
    response = coach.client.post(
        f"/api/ladders/{ladder['id']}/set-ups",
        json={"id": str(uuid4()), "name": "Planche", "setup": STRADDLE},
    )
    assert problem(response, 422)["field"] == "movement"


def test_the_record_gives_the_bench_what_was_done(coach: Coach) -> None:
    ladder = coach.has_ladder(reps=9)
    entry = coach.get(f"/api/ladders/{ladder['id']}/record")["entries"][0]
    assert (entry["amount"], entry["unit"], entry["kind"]) == (9, "reps", "test")
    done = {"setup": entry["setup"], "amount": entry["amount"]}
    read = coach.post(
        "/api/bench", body={"stature_m": 1.75, "mass_kg": 75}, one=push_up(), done=done
    )
    assert read["one"]["expected"]["likely"] == pytest.approx(9)


def test_own_figures_tell_how_many_sets_they_rest_on(coach: Coach, ladder: dict) -> None:
    few = coach.get(f"/api/ladders/{ladder['id']}/personal")
    assert few["capacity"] is None
    assert "too few" in few["unavailable_reason"]
    for _ in range(3):
        coach.trains(ladder["id"])
    many = coach.get(f"/api/ladders/{ladder['id']}/personal")
    assert many["sets"] == 10
    assert many["g"]["low"] < ENDURANCE_EXPONENT < many["g"]["high"]


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"one": {"movement": "moonwalk"}}, "movement"),
        ({"one": push_up(hand_height=-1)}, "hand height"),
        ({"one": push_up(wings=1)}, "wings"),
        ({"one": {"movement": "planche", "shape": "moon"}}, "shape"),
        ({"one": {"movement": "planche", "values": {"hip": 170}}}, "hip"),
        ({"one": {"movement": "dip", "added_load": {"lap_kg": 5}}}, "worn lap"),
        ({"one": {"movement": "squat", "values": {"knee": 150, "shank": 0}}}, "balance"),
        ({"one": push_up(hand_offset=0.4)}, "balance"),
        ({"one": {"movement": "push_up", "tempo": "fast"}}, "tempo"),
        ({"one": {"movement": "push_up", "range_percent": 5}}, "range"),
        ({"other": push_up(foot_height=3)}, "second set-up, foot height"),
        ({"done": {"setup": ADVANCED, "seconds": 0}}, "done, hold"),
        ({"done": {"setup": push_up(), "reps": 0}}, "done, reps"),
        ({"done": {"setup": push_up()}}, "done, reps"),
        ({"body": {"stature_m": 1.7, "mass_kg": 70, "mass_shares": {"trunk": 0.9}}}, None),
    ],
)
def test_bad_input_names_field_and_remedy(coach: Coach, change: dict, field: str | None) -> None:
    told = problem(coach.client.post("/api/bench", json=sheet(**change)), 422)
    assert field is None or told["field"] == field


def test_a_band_past_its_limit_is_refused(coach: Coach) -> None:
    held = {"band": band(), "at": "hips", "anchor_height_m": 5.0}
    response = coach.client.post("/api/bench", json=sheet(one={**push_up(), "band": held}))
    told = problem(response, 422)
    assert told["field"] == "band length"
    assert "thicker" in told["remedy"]


def test_sixty_reps_are_still_answered(coach: Coach) -> None:
    """Two of the equations end at 15 reps; the others speak on."""
    read = coach.post("/api/bench", **sheet(done={"setup": push_up(), "reps": 60}))
    assert read["one"]["expected"]["likely"] > 30


def test_bands_are_kept_listed_and_laid_aside(coach: Coach, new_coach) -> None:
    kept = keeps_band(coach, "narrow", 0.5)
    assert kept["curve"][0]["kg"] == 0
    assert [one["name"] for one in coach.get("/api/bands")["bands"]] == ["narrow"]
    other = new_coach()
    assert other.get("/api/bands")["bands"] == []
    away = f"/api/bands/{kept['id']}/retirement"
    problem(other.client.post(away, json={"why": "cut"}), 404)
    assert coach.client.post(away, json={"why": "cut"}).status_code == 204
    assert coach.get("/api/bands")["bands"] == []


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"readings": measured()["readings"][:3]}, "pulls"),
        ({"readings": [{"length_m": 1.5, "kg": 1.7e308}]}, "readings.0.kg"),
        ({"readings": [{"length_m": 1.5, "kg": -1}]}, "pull"),
        ({"readings": [{"length_m": 1.1 + 0.1 * i, "kg": i} for i in range(6)]}, "pulls"),
        ({"rest_m": 0}, "rest length"),
        ({"limit": 9}, "limit"),
    ],
)
def test_a_band_that_is_not_measured_is_refused(coach: Coach, change: dict, field: str) -> None:
    body = {"id": str(uuid4()), "name": "odd", **measured(), **change}
    assert problem(coach.client.post("/api/bands", json=body), 422)["field"] == field
    assert coach.get("/api/bands")["bands"] == []


def test_a_band_sent_twice_is_one_and_a_name_is_taken_once(coach: Coach) -> None:
    body = {"id": str(uuid4()), "name": "broad", **measured()}
    assert coach.post("/api/bands", **body) == coach.post("/api/bands", **body)
    again = coach.client.post("/api/bands", json={**body, "id": str(uuid4())})
    assert problem(again, 409)["field"] == "name"
