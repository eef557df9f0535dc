"""Squad: enrolling, measuring, the list and its order, erasure."""

import json
from uuid import uuid4

import pytest
from sqlalchemy import text
from sqlmodel import Session, SQLModel, select

from invelo.db.tables.athlete import AthleteAccessRow, AthleteRow, BodyMeasurementRow
from invelo.db.tables.training import LoggedSetRow
from tests.api.coach import problem

GOOD = {"name": "Oda Fenwick", "mass_kg": 75.0, "stature_m": 1.75, "consent": True}


def test_an_empty_squad_is_an_empty_list(coach) -> None:
    told = coach.get("/api/squad")
    assert (told["athletes"], told["due"]) == ([], [])
    assert told["order"].startswith("safety first")


def test_an_enrolled_athlete_stands_in_the_list_as_new(coach) -> None:
    athlete = coach.enrols(note="Puppeteer")
    line = coach.get("/api/squad")["athletes"][0]
    assert (line["id"], line["name"], line["note"]) == (athlete["id"], "Oda Fenwick", "Puppeteer")
    assert line["flags"][0]["kind"] == "new"
    assert line["ladder_id"] is None


def test_the_coach_owns_whom_they_enrol_with_consent_dated(coach, engine) -> None:
    coach.enrols()
    with Session(engine) as db:
        assert db.exec(select(AthleteAccessRow)).one().role == "owner"
        athlete = db.exec(select(AthleteRow)).one()
        assert athlete.consent_on.isoformat() == "2026-03-02"
        measure = db.exec(select(BodyMeasurementRow)).one()
        assert (measure.time_zone, measure.local_date.isoformat()) == (
            "Europe/Lisbon",
            "2026-03-02",
        )


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"mass_kg": 10}, "mass"),
        ({"mass_kg": 900}, "mass"),
        ({"mass_kg": "heavy"}, "mass_kg"),
        ({"mass_kg": None}, "mass_kg"),
        ({"stature_m": 175}, "stature"),
        ({"stature_m": 0.5}, "stature"),
        ({"name": ""}, "name"),
        ({"name": "   "}, "name"),
        ({"name": "x" * 81}, "name"),
        ({"consent": False}, "consent"),
        ({"time_zone": "Moon/Base"}, "time zone"),
        ({"id": "seven"}, "id"),
        ({"shoe_size": 43}, "shoe_size"),
    ],
)
def test_a_bad_value_names_its_field_and_writes_nothing(coach, engine, change, field) -> None:
    response = coach.client.post("/api/athletes", json={"id": str(uuid4()), **GOOD, **change})
    assert problem(response, 422)["field"] == field
    with Session(engine) as db:
        assert db.exec(select(AthleteRow)).all() == []


def test_infinity_and_nan_are_no_masses(coach) -> None:
    for note in ("NaN", "Infinity", "1e999"):
        raw = json.dumps({"id": str(uuid4()), **GOOD}).replace("75.0", note)
        response = coach.client.post(
            "/api/athletes", content=raw, headers={"Content-Type": "application/json"}
        )
        assert problem(response, 422)["field"] == "mass_kg"


@pytest.mark.parametrize("missing", ["name", "mass_kg", "stature_m", "consent"])
def test_a_missing_value_names_its_field(coach, missing: str) -> None:
    body = {name: value for name, value in GOOD.items() if name != missing}
    response = coach.client.post("/api/athletes", json={"id": str(uuid4()), **body})
    told = problem(response, 422)
    assert (told["field"], told["remedy"]) == (missing, "Send it.")


def test_sending_an_athlete_twice_enrols_once(coach) -> None:
    body = {"id": str(uuid4()), **GOOD}
    first = coach.client.post("/api/athletes", json=body)
    second = coach.client.post("/api/athletes", json=body)
    assert first.json() == second.json()
    assert len(coach.get("/api/squad")["athletes"]) == 1


def test_an_id_in_use_is_refused_and_tells_nothing_of_its_owner(coach, new_coach) -> None:
    body = {"id": str(uuid4()), **GOOD}
    coach.post("/api/athletes", **body)
    assert problem(new_coach().client.post("/api/athletes", json=body), 409)["field"] == "id"
    other = {**body, "name": "Someone else"}
    assert problem(coach.client.post("/api/athletes", json=other), 409)["field"] == "id"


def test_measures_are_kept_over_time_and_the_newest_draws_the_ladder(coach, ladder, clock) -> None:
    before = ladder["rungs"][0]["demand"]["likely"]
    clock.pass_by(days=10)
    coach.post(
        f"/api/athletes/{ladder['athlete_id']}/body-measurements", mass_kg=82.5, stature_m=1.75
    )
    measures = coach.get(f"/api/athletes/{ladder['athlete_id']}")["measures"]
    assert [m["mass_kg"] for m in measures] == [75.0, 82.5]
    after = coach.get(f"/api/ladders/{ladder['id']}")["rungs"][0]["demand"]["likely"]
    assert after == pytest.approx(before * 1.1)


def test_a_test_is_read_with_the_body_of_its_day(coach, ladder, clock) -> None:
    """Gaining mass later makes no past test stronger."""
    before = ladder["placement"]["capacity"]["likely"]
    clock.pass_by(days=10)
    coach.post(
        f"/api/athletes/{ladder['athlete_id']}/body-measurements", mass_kg=90, stature_m=1.75
    )
    after = coach.get(f"/api/ladders/{ladder['id']}")["placement"]["capacity"]["likely"]
    assert after == pytest.approx(before, rel=0.02)  # ten days of a usual growth


@pytest.mark.parametrize(("mass", "field"), [(5, "mass"), (301, "mass")])
def test_a_bad_measure_is_refused(coach, mass, field) -> None:
    athlete = coach.enrols()["id"]
    response = coach.client.post(
        f"/api/athletes/{athlete}/body-measurements", json={"mass_kg": mass, "stature_m": 1.7}
    )
    assert problem(response, 422)["field"] == field


def test_who_needs_the_coach_first_stands_first(coach, clock) -> None:
    well, pending_decisions, hurt = (coach.enrols(name) for name in ("Anna", "Bela", "Cora"))
    ladders = [coach.gives_ladder(one["id"])["id"] for one in (well, pending_decisions, hurt)]
    coach.trains(ladders[0])  # on course: nothing to answer
    coach.trains(ladders[1])
    coach.trains(ladders[1])  # met twice: a step up waits
    coach.trains(ladders[2], pain=6, pain_place="left wrist")
    names = [line["name"] for line in coach.get("/api/squad")["athletes"]]
    assert names == ["Cora", "Bela", "Anna"]


def test_a_line_tells_reach_against_the_gate(coach) -> None:
    ladder = coach.has_ladder(reps=9)
    line = coach.get("/api/squad")["athletes"][0]
    assert line["current_rung"]["id"] == ladder["current_rung_id"]
    standing = next(r for r in ladder["rungs"] if r["id"] == ladder["current_rung_id"])
    assert line["criterion"] == standing["criterion"]
    assert line["expected"] == pytest.approx(standing["expected"])


def test_days_missed_are_counted_in_the_athletes_zone(coach, ladder, clock) -> None:
    coach.trains(ladder["id"])
    clock.pass_by(days=7)
    flags = coach.get("/api/squad")["athletes"][0]["flags"]
    assert flags == [{"kind": "missed", "text": "7 days since the last session"}]


def test_erasure_leaves_no_row_about_the_person(coach, engine) -> None:
    gone, kept = coach.has_ladder(), coach.gives_ladder(coach.enrols("Bela")["id"])
    for ladder in (gone, kept):
        coach.trains(ladder["id"])
    response = coach.client.delete(f"/api/athletes/{gone['athlete_id']}")
    assert response.status_code == 204
    assert coach.client.get(f"/api/athletes/{gone['athlete_id']}").status_code == 404
    with Session(engine) as db:
        for table in SQLModel.metadata.sorted_tables:
            rows = db.execute(text(f'SELECT t::text FROM "{table.name}" t')).scalars().all()
            assert not any(gone["athlete_id"] in row or gone["id"] in row for row in rows)
        assert len(db.exec(select(LoggedSetRow)).all()) == 3


def test_only_erasure_may_delete_a_logged_set(coach, engine) -> None:
    coach.trains(coach.has_ladder()["id"])
    for act in ("DELETE FROM logged_set", "UPDATE logged_set SET amount = 99"):
        with Session(engine) as db, pytest.raises(Exception, match="append-only"):
            db.execute(text(act))


def test_a_ladder_nothing_tells_of_yet_stands_in_the_squad(coach) -> None:
    athlete = coach.enrols()["id"]
    coach.post(f"/api/athletes/{athlete}/ladders", ready_ladder="row")
    (line,) = coach.get("/api/squad")["athletes"]
    assert line["current_rung"]["name"] == "Incline row, upright"
    assert line["expected"] is None
