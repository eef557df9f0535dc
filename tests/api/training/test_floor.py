"""Floor: a session from start to finish, sent once, twice, or wrongly."""

from concurrent.futures import ThreadPoolExecutor
from datetime import timedelta
from uuid import uuid4

import pytest

from invelo.db.tables.review import ProposalRow
from invelo.db.tables.training import LoggedSetRow, TrainingSessionRow
from tests.api.coach import problem
from tests.conftest import rows


@pytest.fixture
def session(coach, ladder) -> str:
    return coach.starts(ladder["id"])


def open_runs(coach, ladder) -> list:
    return coach.get(f"/api/athletes/{ladder['athlete_id']}/sessions")


def test_what_goes_along_says_what_to_do_and_what_to_mind(coach, ladder) -> None:
    session = coach.single(ladder["id"])
    item = coach.item(ladder["id"])
    assert len(item["sets"]) == 3
    assert item["sets"][0]["what"]["rung_id"] == ladder["current_rung_id"]
    easier = [one for one in item["choices"] if one["way"] == "easier"]
    assert easier[0]["what"]["rung_id"] not in (None, ladder["current_rung_id"])
    assert item["last"] == ""
    said = " ".join(session["cautions"])
    for note in ("chest pain", "joint pain", "breathing"):
        assert note in said


def test_a_session_is_logged_set_by_set_and_can_be_taken_up_again(coach, ladder, session) -> None:
    rung = ladder["current_rung_id"]
    for number in (1, 2):
        coach.logs(session, rung, number, 9 - number)
    running = open_runs(coach, ladder)[0]
    assert running["id"] == session
    assert [(s["number"], s["amount"]) for s in running["sets"]] == [(1, 8), (2, 7)]


def test_sets_keep_device_time_zone_local_date_and_server_time(
    coach, ladder, session, engine, clock
) -> None:
    late = (clock() - timedelta(hours=10)).isoformat()
    coach.logs(session, ladder["current_rung_id"], 1, at=late, time_zone="Pacific/Auckland")
    kept = rows(engine, LoggedSetRow)[0]
    assert kept.at == clock() - timedelta(hours=10)
    assert kept.server_at == clock()
    assert (kept.time_zone, str(kept.local_date)) == ("Pacific/Auckland", "2026-03-02")


def test_sending_a_set_twice_logs_it_once(coach, ladder, session, engine) -> None:
    path = f"{coach.run(session)}/sets/{uuid4()}"
    body = {"rung_id": ladder["current_rung_id"], "number": 1, "reps": 8, "rpe": 8, **coach.now()}
    assert coach.put(path, **body) == coach.put(path, **body)
    assert len(rows(engine, LoggedSetRow)) == 1


def test_other_figures_under_the_same_id_are_refused(coach, ladder, session, engine) -> None:
    path = f"{coach.run(session)}/sets/{uuid4()}"
    body = {"rung_id": ladder["current_rung_id"], "number": 1, "reps": 8, "rpe": 8, **coach.now()}
    coach.put(path, **body)
    told = problem(coach.client.put(path, json={**body, "reps": 12}), 409)
    assert told["field"] == "set id"
    assert "correction" in told["remedy"]
    assert rows(engine, LoggedSetRow)[0].amount == 8


def test_a_correction_is_a_new_row_that_takes_the_olds_place(
    coach, ladder, session, engine
) -> None:
    old = coach.logs(session, ladder["current_rung_id"], 1, 8)
    coach.logs(session, ladder["current_rung_id"], 1, 9, corrects_set_id=old["id"])
    assert len(rows(engine, LoggedSetRow)) == 2
    assert [s["amount"] for s in open_runs(coach, ladder)[0]["sets"]] == [9]


@pytest.mark.parametrize("whose", ["their own", "another athlete's", "nobody's"])
def test_a_set_of_another_session_cannot_be_corrected(
    coach, ladder, session, engine, whose
) -> None:
    """Its count would change without its session being judged anew."""
    other = coach.has_ladder() if whose == "another athlete's" else ladder
    elsewhere = coach.starts(other["id"])
    there = coach.logs(elsewhere, other["current_rung_id"], 1, 8)
    old = str(uuid4()) if whose == "nobody's" else there["id"]
    body = {"rung_id": ladder["current_rung_id"], "number": 1, "reps": 9, "rpe": 8, **coach.now()}
    response = coach.client.put(
        f"{coach.run(session)}/sets/{uuid4()}", json={**body, "corrects_set_id": old}
    )
    assert problem(response, 409)["field"] == "corrects_set_id"
    assert [row.amount for row in rows(engine, LoggedSetRow)] == [8]


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"reps": -1}, "reps"),
        ({"reps": 201}, "reps"),
        ({"reps": 8.5}, "reps"),
        ({"reps": None}, "reps"),
        ({"rpe": 0.5}, "rpe"),
        ({"rpe": 11}, "rpe"),
        ({"rpe": "hard"}, "rpe"),
        ({"pain": 11}, "pain"),
        ({"pain": -1}, "pain"),
        ({"number": 0}, "set number"),
        ({"number": 100}, "set number"),
        ({"at": "yesterday"}, "at"),
        ({"at": "2026-03-02T09:00:00"}, "at"),
        ({"at": "2031-01-01T00:00:00Z"}, "at"),
        ({"time_zone": "Moon/Base"}, "time zone"),
        ({"pain_place": "x" * 41}, "pain_place"),
        ({"rung_id": "first"}, "rung_id"),
    ],
)
def test_a_bad_set_names_its_field_and_writes_nothing(
    coach, ladder, session, engine, change, field
) -> None:
    body = {"rung_id": ladder["current_rung_id"], "number": 1, "reps": 8, "rpe": 8, **coach.now()}
    response = coach.client.put(f"{coach.run(session)}/sets/{uuid4()}", json={**body, **change})
    assert problem(response, 422)["field"] == field
    assert rows(engine, LoggedSetRow) == []


def test_a_rung_of_another_ladder_cannot_be_logged(coach, session) -> None:
    other = coach.has_ladder()
    body = {"rung_id": other["current_rung_id"], "number": 1, "reps": 8, "rpe": 8, **coach.now()}
    response = coach.client.put(f"{coach.run(session)}/sets/{uuid4()}", json=body)
    assert problem(response, 404)["field"] == "rung"


def test_starting_twice_opens_one_session(coach, ladder, session, engine) -> None:
    coach.starts(ladder["id"], session)
    assert len(rows(engine, TrainingSessionRow)) == 1


def test_a_session_id_of_another_athlete_is_refused(coach, session) -> None:
    other = coach.has_ladder()
    path = f"/api/athletes/{other['athlete_id']}/sessions/{session}"
    response = coach.client.put(path, json={"name": "Alone", **coach.now()})
    assert problem(response, 409)["field"] == "session id"


def test_an_empty_session_is_discarded_not_finished(coach, ladder, session, engine) -> None:
    response = coach.client.post(f"{coach.run(session)}/finish", json={"rpe": 5, **coach.now()})
    assert problem(response, 409)["problem"] == "no set is logged in it."
    assert coach.client.delete(coach.run(session)).status_code == 204
    assert rows(engine, TrainingSessionRow) == []


def test_a_session_with_sets_is_finished_not_discarded(coach, ladder, session) -> None:
    coach.logs(session, ladder["current_rung_id"], 1)
    response = coach.client.delete(coach.run(session))
    assert problem(response, 409)["remedy"] == "Finish it instead."


@pytest.mark.parametrize("rpe", [0, 11, -3])
def test_a_session_effort_off_the_scale_is_refused(coach, ladder, session, rpe) -> None:
    coach.logs(session, ladder["current_rung_id"], 1)
    response = coach.client.post(f"{coach.run(session)}/finish", json={"rpe": rpe, **coach.now()})
    assert problem(response, 422)["field"] == "session effort"
    assert open_runs(coach, ladder)[0]["id"] == session


def test_finishing_twice_decides_once(coach, ladder, session, engine) -> None:
    coach.logs(session, ladder["current_rung_id"], 1)
    assert coach.finishes(session) == coach.finishes(session)
    response = coach.client.post(f"{coach.run(session)}/finish", json={"rpe": 4, **coach.now()})
    assert "finished already, at effort 7" in problem(response, 409)["problem"]
    assert len(rows(engine, ProposalRow)) == 1


def test_pressing_finish_twice_at_once_decides_once(coach, ladder, session, engine) -> None:
    coach.logs(session, ladder["current_rung_id"], 1)
    body = {"rpe": 7, **coach.now()}

    def press(_: int) -> int:
        return coach.client.post(f"{coach.run(session)}/finish", json=body).status_code

    with ThreadPoolExecutor(4) as pool:
        assert list(pool.map(press, range(4))) == [200] * 4
    assert len(rows(engine, ProposalRow)) == 1


def test_sending_one_set_many_times_at_once_logs_it_once(coach, ladder, session, engine) -> None:
    path = f"{coach.run(session)}/sets/{uuid4()}"
    body = {"rung_id": ladder["current_rung_id"], "number": 1, "reps": 8, "rpe": 8, **coach.now()}
    with ThreadPoolExecutor(6) as pool:
        answers = list(pool.map(lambda _: coach.client.put(path, json=body).status_code, range(6)))
    assert answers == [200] * 6
    assert len(rows(engine, LoggedSetRow)) == 1


def test_what_comes_late_is_taken_in_and_judged_anew(coach, ladder, session, engine) -> None:
    first = coach.logs(session, ladder["current_rung_id"], 1, 8)
    before = coach.finishes(session)
    coach.clock.pass_by(minutes=5)
    coach.logs(session, ladder["current_rung_id"], 2, 10)
    coach.clock.pass_by(seconds=1)
    coach.logs(session, ladder["current_rung_id"], 1, 9, corrects_set_id=first["id"])
    review = coach.get(f"/api/ladders/{ladder['id']}/review")
    assert sorted(s["amount"] for s in review["sessions"][0]["sets"]) == [9, 10]
    newest, *older = review["proposals"]
    assert (newest["standing"], newest["answer"]) == ("on course", "noted")
    assert {one["answer"] for one in older} == {"noted"}
    assert before["id"] in {one["id"] for one in older}
    shown = [f["value"] for f in newest["figures"] if f["name"].startswith("set ")]
    assert len(shown) == 2


def test_what_the_coach_answered_stays_answered(coach, ladder, session) -> None:
    hurts = {"pain": 6, "pain_place": "wrist"}
    first = coach.logs(session, ladder["current_rung_id"], 1, 8, **hurts)
    proposal = coach.finishes(session)
    coach.post(f"/api/proposals/{proposal['id']}/answer", answer="decline", note="on tour")
    coach.logs(session, ladder["current_rung_id"], 1, 9, corrects_set_id=first["id"], **hurts)
    there = coach.get(f"/api/ladders/{ladder['id']}/review")["proposals"]
    assert [one["answer"] for one in there] == ["decline"]


def test_a_corrected_set_is_corrected_by_its_newest_row_alone(coach, ladder, session) -> None:
    first = coach.logs(session, ladder["current_rung_id"], 1, 8)
    second = coach.logs(session, ladder["current_rung_id"], 1, 9, corrects_set_id=first["id"])
    body = {"rung_id": ladder["current_rung_id"], "number": 1, "reps": 7, "rpe": 8, **coach.now()}
    path = f"{coach.run(session)}/sets/{uuid4()}"
    refused = coach.client.put(path, json={**body, "corrects_set_id": first["id"]})
    assert problem(refused, 409)["field"] == "corrects_set_id"
    third = coach.put(path, **body, corrects_set_id=second["id"])
    told = coach.get(f"/api/athletes/{ladder['athlete_id']}/sets/{third['id']}/history")
    assert [one["amount"] for one in told] == [7, 9, 8]


def test_logged_sets_move_reach(coach, ladder) -> None:
    for _ in range(3):
        coach.trains(ladder["id"], (10, 10, 10), rpe=6.0)
    after = coach.get(f"/api/ladders/{ladder['id']}")
    assert after["placement"]["evidence_kind"] == "set"
    assert after["placement"]["reach"]["likely"] > ladder["placement"]["reach"]["likely"]


def test_a_session_on_the_easier_rung_is_told_apart(coach, ladder, session) -> None:
    easier = next(
        one["what"]["rung_id"]
        for one in coach.item(ladder["id"])["choices"]
        if one["way"] == "easier"
    )
    coach.logs(session, ladder["current_rung_id"], 1)
    coach.logs(session, easier, 2)
    proposal = coach.finishes(session)
    assert proposal["outcome"] == "hold"
    review = coach.get(f"/api/ladders/{ladder['id']}/review")
    assert len({s["name"] for s in review["sessions"][0]["sets"]}) == 2


def test_a_jump_is_logged_by_its_distance(coach) -> None:
    athlete = coach.enrols()["id"]
    first = {"id": str(uuid4()), "name": "Long jump", "movement": "jump"}
    shows = {"check": "one-leg stand", "passed": True}
    coach.post(f"/api/athletes/{athlete}/readiness", id=str(uuid4()), **shows)
    ladder = coach.post(f"/api/athletes/{athlete}/ladders", goal="Two metres", first=first)
    rung = ladder["rungs"][0]
    assert rung["prescription"]["unit"] == "cm"
    assert rung["demand"] is None
    session = coach.starts(ladder["id"])
    path = f"{coach.run(session)}/sets"
    body = {"rung_id": rung["id"], "number": 1, "rpe": 7, **coach.now()}
    done = coach.put(f"{path}/{uuid4()}", **body, centimetres=120)
    assert done["amount"] == 120
    refused = coach.client.put(f"{path}/{uuid4()}", json={**body, "number": 2, "reps": 8})
    assert problem(refused, 422)["field"] == "distance"
    proposal = coach.finishes(session)
    assert (proposal["outcome"], proposal["standing"]) == ("hold", "on course")
