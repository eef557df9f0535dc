"""Intake over the API: person, readiness, kit, tests, capacity, placement."""

from uuid import uuid4

import pytest
from sqlmodel import Session, select

from invelo.db.codec import modifiers_of
from invelo.db.tables.athlete import TestRow as KeptTest
from invelo.db.tables.ladder import LadderRow
from invelo.db.tables.training import TrainingSessionRow
from invelo.domain.athlete.guard import Guard
from invelo.domain.athlete.limits import Limit, exceeded
from invelo.domain.athlete.readiness import CHECKS
from invelo.domain.athlete.screen import SPARED
from invelo.domain.athlete.strain import AVERAGE, strains
from invelo.domain.biomechanics.body import Body
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers, Movement, sorted_values
from tests.api.athlete.test_screen import screens
from tests.api.coach import Coach, problem
from tests.depth import depth

EVERY_CHECK = frozenset(check.id for check in CHECKS)


def tells(coach: Coach, athlete: str, **told: object) -> dict:
    return coach.put(f"/api/athletes/{athlete}/person", **told)


def does(coach: Coach, athlete: str, test_id: str, amount: float, **change: object) -> dict:
    kind = next(one for one in coach.get("/api/catalogue")["tests"] if one["id"] == test_id)
    changes = ("values", "added_load", "band", "assistance", "range_percent", "tempo")
    body = {
        "id": str(uuid4()),
        "movement": kind["movement"],
        **{name: kind[name] for name in changes},
        "amount": amount,
        "unit": kind["unit"],
        "kind": test_id,
        **change,
    }
    return coach.post(f"/api/athletes/{athlete}/tests", **body)


def shows(coach: Coach, athlete: str, check: str, passed: bool = True) -> dict:
    body = {"id": str(uuid4()), "check": check, "passed": passed, "note": "seen"}
    return coach.post(f"/api/athletes/{athlete}/readiness", **body)


def furnishes(coach: Coach, *things: dict, name: str = "Stage") -> str:
    """A place with kit that was found safe."""
    place = str(uuid4())
    coach.put(f"/api/places/{place}", name=name, floor="smooth")
    for thing in things:
        item = str(uuid4())
        coach.put(f"/api/kit/{item}", place_id=place, **thing)
        coach.post(f"/api/kit/{item}/check", safe=True)
    return place


BAR = {"kind": "bar", "name": "lighting bar", "height_m": 1.4}


def test_from_nothing_to_a_placement_on_three_ladders(coach: Coach) -> None:
    athlete = coach.enrols()["id"]
    screens(coach, athlete)
    place = furnishes(coach, BAR, {"kind": "chair", "name": "chair", "height_m": 0.45, "count": 2})
    tells(coach, athlete, goals=["push-up", "row", "l-sit"], training_years=2, places=[place])
    shows(coach, athlete, "flat back")
    found = coach.get(f"/api/athletes/{athlete}/battery")["tests"]
    assert {one["family"] for one in found} >= {"horizontal push", "horizontal pull"}
    assert all(one["how"] and one["stop"] and one["figures"] for one in found)
    for test_id, amount in (("push-up", 12), ("row-half", 9), ("l-sit-tuck", 20)):
        does(coach, athlete, test_id, amount)
    for ready in ("push-up", "row", "l-sit"):
        coach.post(f"/api/athletes/{athlete}/ladders", ready_ladder=ready)
    told = {
        one["family"]: one for one in coach.get(f"/api/athletes/{athlete}/capacity")["capacities"]
    }
    assert set(told) == {"horizontal push", "horizontal pull", "compression"}
    for one in told.values():
        assert one["capacity"]["low"] < one["capacity"]["likely"] < one["capacity"]["high"]
        assert one["capacity"]["derivation"]["formula"]
        assert one["rung"] == one["current_rung"] != ""
    assert told["compression"]["capacity"]["unit"] == "N·m"
    assert told["compression"]["unit"] == "s"


def test_a_hold_ladder_is_trained_and_judged_in_seconds(coach: Coach) -> None:
    athlete = coach.enrols()["id"]
    does(coach, athlete, "l-sit-tuck", 24)
    ladder = coach.post(f"/api/athletes/{athlete}/ladders", ready_ladder="l-sit")
    assert {lane["counted"] for lane in ladder["lanes"]} == {"s"}
    proposal = {}
    for _ in range(2):
        coach.clock.pass_by(days=2)
        rung = next(one for one in ladder["rungs"] if one["id"] == coach.current_rung(ladder["id"]))
        session = coach.starts(ladder["id"])
        for number in (1, 2):
            body = {"rung_id": rung["id"], "number": number, "rpe": 8.5, **coach.now()}
            path = f"{coach.run(session)}/sets/{uuid4()}"
            coach.put(path, seconds=rung["prescription"]["high"], **body)
        proposal = coach.finishes(session)
    assert proposal["outcome"] == "step_up"
    assert proposal["now"]["unit"] == proposal["then"]["unit"] == "s"
    assert " s clean" in proposal["reason"]
    assert proposal["then"]["low"] >= 5
    refused = coach.client.put(path.rsplit("/", 1)[0] + f"/{uuid4()}", json={**body, "reps": 8})
    assert problem(refused, 422)["field"] == "hold"


def test_what_is_told_is_kept_bit_by_bit(coach: Coach) -> None:
    athlete = coach.enrols()["id"]
    path = f"/api/athletes/{athlete}/person"
    assert coach.get(path)["missing"]
    tells(coach, athlete, goals=["row"])
    told = tells(coach, athlete, goals=["row"], days=3, minutes=30, units="imperial")
    assert coach.get(path) == told
    assert "goals" not in told["missing"]


@pytest.mark.parametrize(
    ("told", "field"),
    [
        ({"goals": ["flying"]}, "goals"),
        ({"days": 9}, "days"),
        ({"goals": ["dip"], "dislikes": ["dip"]}, "dislikes"),
        ({"places": [str(uuid4())]}, "place"),
    ],
)
def test_what_cannot_be_told_leaves_what_was_kept(coach: Coach, told: dict, field: str) -> None:
    athlete = coach.enrols()["id"]
    before = tells(coach, athlete, goals=["row"], minutes=20)
    path = f"/api/athletes/{athlete}/person"
    response = coach.client.put(path, json=told)
    assert problem(response, 404 if field == "place" else 422)["field"] == field
    assert coach.get(path) == before


def test_a_closed_check_names_its_work_and_a_day(coach: Coach) -> None:
    athlete = coach.enrols()["id"]
    told = {one["id"]: one for one in shows(coach, athlete, "ankle", passed=False)["checks"]}
    ankle = told["ankle"]
    assert (ankle["passed"], ankle["on"], ankle["again_on"]) == (False, "2026-03-02", "2026-03-23")
    assert ankle["prepares"]
    assert told["wrist"]["passed"] is None
    coach.clock.pass_by(days=12)
    opened = shows(coach, athlete, "ankle")["checks"]
    assert next(one for one in opened if one["id"] == "ankle")["again_on"] is None


def test_a_gate_closes_a_test_until_it_is_open(coach: Coach) -> None:
    athlete = coach.enrols()["id"]
    body = {"id": str(uuid4()), "movement": "chair-one-leg-squat", "reps": 8, "side": "left"}
    path = f"/api/athletes/{athlete}/tests"
    refused = problem(coach.client.post(path, json=body), 409)
    assert refused["field"] == "readiness"
    shows(coach, athlete, "one-leg stand")
    assert coach.post(path, **body)["side"] == "left"


def test_measured_limbs_narrow_what_is_computed(coach: Coach) -> None:
    athlete = coach.enrols()["id"]
    does(coach, athlete, "l-sit-tuck", 20)
    path = f"/api/athletes/{athlete}/capacity"
    before = coach.get(path)["capacities"][0]["half_width_percent"]
    coach.clock.pass_by(days=1)
    lengths = {"trunk": 0.5, "upper_arm": 0.33, "thigh": 0.43, "shank": 0.43}
    coach.post(
        f"/api/athletes/{athlete}/body-measurements", mass_kg=75, stature_m=1.75, lengths=lengths
    )
    does(coach, athlete, "l-sit-tuck", 20)
    after = coach.get(path)["capacities"][0]["half_width_percent"]
    assert after < before
    bad = {"mass_kg": 75, "stature_m": 1.75, "lengths": {"tail": 0.4}}
    refused = coach.client.post(f"/api/athletes/{athlete}/body-measurements", json=bad)
    assert problem(refused, 422)["field"] == "length of tail"


def test_sides_are_compared_and_the_weaker_leads(coach: Coach) -> None:
    athlete = coach.enrols()["id"]
    does(coach, athlete, "side-plank", 70, side="left")
    does(coach, athlete, "side-plank", 40, side="right")
    (told,) = coach.get(f"/api/athletes/{athlete}/capacity")["capacities"]
    assert told["sides"]["weaker"] == "right"
    assert "beyond the noise" in told["sides"]["words"]


def test_a_retest_is_told_against_the_one_before_and_a_norm_stands_beside(coach: Coach) -> None:
    athlete = coach.enrols()["id"]
    screens(coach, athlete, born="1999-01-01")
    tells(coach, athlete, goals=["push-up"], sex="male", training_years=2)
    does(coach, athlete, "push-up-mat", 18)
    coach.clock.pass_by(days=13)
    told = does(coach, athlete, "push-up-mat", 30)
    assert "beyond the noise" in told["since"]
    assert told["norm_text"] == "very good"
    cards = coach.get(f"/api/athletes/{athlete}/battery")["tests"]
    norms = [norm for one in cards for norm in one["norms"]]
    assert all("from memory" in one["source"] for one in norms)
    plain = does(coach, athlete, "push-up", 30)
    assert plain["norm_text"] == ""  # to 90° is not chin to the mat


def test_what_a_clock_balance_or_a_jump_ends_is_kept_and_places_nobody(coach: Coach) -> None:
    athlete = coach.enrols()["id"]
    screens(coach, athlete, born="1955-01-01")
    tells(coach, athlete, goals=["push-up"], sex="female", training_years=2)
    cards = {one["id"]: one for one in coach.get(f"/api/athletes/{athlete}/battery")["measures"]}
    assert cards["chair-stands"]["within"] == 30
    assert cards["chair-stands"]["norms"][0]["words"][1] == "middle half"
    told = does(coach, athlete, "chair-stands", 12)
    assert told["norm_text"] == "middle half"
    shows(coach, athlete, "one-leg stand")
    assert does(coach, athlete, "one-leg-stand", 20, side="left")["unit"] == "s"
    coach.clock.pass_by(days=7)
    assert does(coach, athlete, "one-leg-stand", 26, side="left")["since"] == "6 s more"
    kept = coach.get(f"/api/athletes/{athlete}/capacity")
    assert kept["capacities"] == []
    assert len(kept["tests"]) == 3
    file = coach.client.get(f"/api/athletes/{athlete}/tests/file").text
    assert "chair-stands" in file


def test_a_test_of_another_movement_is_refused_by_name(coach: Coach) -> None:
    athlete = coach.enrols()["id"]
    body = {"id": str(uuid4()), "movement": "row", "reps": 8, "kind": "push-up"}
    refused = coach.client.post(f"/api/athletes/{athlete}/tests", json=body)
    assert problem(refused, 422)["field"] == "test"


def test_who_is_new_stops_short_in_the_first_week(coach: Coach) -> None:
    athlete = coach.enrols()["id"]
    tells(coach, athlete, goals=["push-up"])
    card = coach.get(f"/api/athletes/{athlete}/battery")["tests"][0]
    assert card["rpe"] == 8
    assert "two more clean ones are left" in card["protocol"]


def test_the_coach_moves_them_and_says_why(coach: Coach, ladder: dict) -> None:
    rung = ladder["rungs"][0]
    path = f"/api/ladders/{ladder['id']}/current-rung"
    coach.put(path, rung_id=rung["id"], note="elbows first")
    (told,) = coach.get(f"/api/athletes/{ladder['athlete_id']}/capacity")["capacities"]
    assert (told["current_rung"], told["moved_why"]) == (rung["name"], "elbows first")
    assert told["rung"] != rung["name"]


@pytest.mark.parametrize(("movement", "earlier"), [("push-up", "reps"), ("l-sit", "seconds")])
def test_an_amount_under_its_earlier_name_is_taken_in(
    coach: Coach, movement: str, earlier: str
) -> None:
    body = {"id": str(uuid4()), "movement": movement, earlier: 9}
    test = coach.post(f"/api/athletes/{coach.enrols()['id']}/tests", **body)
    assert (test["amount"], test["unit"]) == (9, "s" if earlier == "seconds" else "reps")


def test_a_test_sent_by_name_alone_is_of_the_movements_own_set_up(coach: Coach) -> None:
    athlete = coach.enrols()["id"]
    path = f"/api/athletes/{athlete}/tests"
    named = coach.post(path, id=str(uuid4()), movement="Chair push-up", amount=12, rpe=8)
    out = coach.client.get(f"{path}/file").text
    own = catalogue().find_movement("chair-push-up").values
    assert all(f'""{name}""' in out for name in own)
    body = {"id": str(uuid4()), "movement": "chair-push-up", "values": own, "amount": 12, "rpe": 8}
    assert coach.post(path, **body)["words"] == named["words"]
    assert (
        named["words"] != coach.post(path, id=str(uuid4()), movement="push-up", amount=12)["words"]
    )


def test_a_test_with_kilos_tells_more_than_one_without(coach: Coach) -> None:
    athlete = coach.enrols()["id"]

    def squats(**more: float) -> float:
        body = {"id": str(uuid4()), "movement": "goblet-squat", "amount": 8, "rpe": 8, **more}
        coach.post(f"/api/athletes/{athlete}/tests", **body)
        found = coach.get(f"/api/athletes/{athlete}/capacity")["tests"]
        return next(one for one in found if one["id"] == body["id"])

    assert "12.5 kg" in squats(load_kg=12.5)["words"]
    assert "kg" not in squats()["words"]


@pytest.mark.parametrize(
    ("test_id", "change", "field"),
    [
        ("l-sit-tuck", {"amount": 8, "unit": "reps"}, "hold"),
        ("l-sit-tuck", {"reps": 8}, "reps"),
        ("push-up", {"amount": 30, "unit": "s"}, "reps"),
        ("l-sit-tuck", {"amount": 3601}, "hold"),
        ("l-sit-tuck", {"amount": 0}, "hold"),
        ("push-up", {"side": "left"}, "side"),
        ("push-up", {"side": "middle"}, "side"),
    ],
)
def test_a_test_that_cannot_be_is_refused_with_a_word(
    coach: Coach, engine, test_id: str, change: dict, field: str
) -> None:
    athlete = coach.enrols()["id"]
    kind = next(one for one in catalogue().test if one.id == test_id)
    values = {**dict(kind.modifiers().values)}
    body = {"id": str(uuid4()), "movement": kind.movement, "values": values, "amount": 10, **change}
    response = coach.client.post(f"/api/athletes/{athlete}/tests", json=body)
    assert problem(response, 422)["field"] == field
    with Session(engine) as db:
        assert db.exec(select(KeptTest)).all() == []


def test_a_ladder_without_any_test_begins_at_its_foot_until_one_places(coach: Coach) -> None:
    athlete = coach.enrols()["id"]
    ladder = coach.post(f"/api/athletes/{athlete}/ladders", ready_ladder="row")
    assert ladder["placement"] is None
    assert ladder["current_rung_id"] == ladder["rungs"][0]["id"]
    assert all(rung["demand"] and rung["expected"] is None for rung in ladder["rungs"])
    does(coach, athlete, "row-half", 14)
    placed = coach.get(f"/api/ladders/{ladder['id']}")
    assert placed["placement"]["rung_id"] == placed["current_rung_id"] != ladder["current_rung_id"]


# ---- nothing that a limit forbids is ever given ----

SHORT: list[dict] = [{"pains": {"elbow": 7}}, {"medicines": ["bones or steroids"]}]
SCREENS: list[dict] = [
    *({"pains": {place: 7}} for place in SPARED),
    *({"lax": True}, {"born": "2014-06-01"}, {"medicines": ["bones or steroids"]}),
]


@pytest.mark.parametrize("told", depth(SHORT, SCREENS), ids=str)
def test_nothing_that_can_be_given_includes_what_a_limit_forbids(
    coach: Coach, engine, told: dict
) -> None:
    """Every test and every ready ladder is tried, with sessions on whatever was given; of all that
    was accepted nothing strains what the screen spares, and all that is refused says why."""
    athlete = coach.enrols()["id"]
    for check in coach.get(f"/api/athletes/{athlete}/readiness")["checks"]:
        shows(coach, athlete, check["id"])
    outcome = screens(coach, athlete, **told)
    limits = tuple(Limit(one["id"], one["most"], "screen") for one in outcome["limits"])
    age = "born" in told
    assert age or outcome["outcome"] == "limits"
    guard = Guard(limits=limits, age=11 if age else 30, body=Body(75, 1.75), passed=EVERY_CHECK)

    def shut(movement: Movement, modifiers: Modifiers) -> bool:
        return guard.closed(movement, modifiers) is not None

    for card in coach.get(f"/api/athletes/{athlete}/battery")["tests"]:
        movement = catalogue().find_movement(card["movement"])
        assert not shut(movement, movement.own(Modifiers()))
    closed = 0
    for kind in catalogue().test:
        changes = kind.modifiers()
        body = {
            "id": str(uuid4()),
            "movement": kind.movement,
            "values": dict(changes.values),
            "added_load": {"hands_kg": changes.added_load.hands},
            "amount": 10,
        }
        response = coach.client.post(f"/api/athletes/{athlete}/tests", json=body)
        strained = shut(kind.of, kind.modifiers())
        closed += strained
        if strained:
            assert problem(response, 409)["field"] in ("limit", "age")
        else:
            assert response.status_code == 201, response.text
    assert closed or {limit.quantity for limit in limits} <= {"impact", "back load"}
    for ready in catalogue().ladder:
        path = f"/api/athletes/{athlete}/ladders"
        response = coach.client.post(path, json={"ready_ladder": ready.id})
        by_name = {rung.name: shut(rung.of, rung.modifiers()) for rung in ready.rungs}
        assert response.status_code == (409 if all(by_name.values()) else 201), response.text
        if all(by_name.values()):
            assert problem(response, 409)["field"] in ("limit", "age")
            continue
        sheet = response.json()
        strained = [by_name[rung["name"]] for rung in sheet["rungs"]]
        assert [bool(rung["closed"]) for rung in sheet["rungs"]] == strained
        coach.starts(sheet["id"])
        for rung, is_shut in zip(sheet["rungs"], strained, strict=True):
            if is_shut:
                to = {"rung_id": rung["id"]}
                refused = coach.client.put(f"/api/ladders/{sheet['id']}/current-rung", json=to)
                assert problem(refused, 409)["field"] in ("limit", "age")
    with Session(engine) as db:
        given = [(row.movement, modifiers_of(row)) for row in db.exec(select(KeptTest))]
        for ladder in db.exec(select(LadderRow)):
            sheet = coach.get(f"/api/ladders/{ladder.id}")
            given += [
                (rung["movement"], Modifiers(sorted_values(rung["values"])))
                for rung in sheet["rungs"]
                if rung["id"] == sheet["current_rung_id"]
            ]
        assert db.exec(select(TrainingSessionRow)).first()
        along = coach.get(f"/api/athletes/{athlete}/floor")
        for one in along["single"]:
            done = [*one["items"][-1]["sets"], *one["items"][-1]["choices"]]
            given += [
                (each["what"]["movement"], Modifiers(sorted_values(each["what"].get("values", {}))))
                for each in done
            ]
        for movement_id, modifiers in given:
            assert not shut(catalogue().find_movement(movement_id), modifiers), movement_id


def test_a_limit_made_later_closes_what_was_given_before(coach: Coach, ladder: dict) -> None:
    screens(coach, ladder["athlete_id"], pains={"elbow": 8})
    path = f"/api/athletes/{ladder['athlete_id']}/sessions/{uuid4()}"
    body = {"name": "Alone", "ladder_id": ladder["id"], **coach.now()}
    refused = coach.client.put(path, json=body)
    assert problem(refused, 409)["field"] == "limit"


def test_every_quantity_that_is_limited_by_a_screen_is_one_that_is_asked_of_someone() -> None:
    for limits in SPARED.values():
        for quantity, most in limits:
            assert over(Limit(quantity, most, "x"))


def over(*limits: Limit) -> set[str]:
    """Movements past a limit, of an average body."""
    return {
        movement.id
        for movement in catalogue().movement
        if exceeded(strains(AVERAGE, movement, movement.own(Modifiers())), limits)
    }
