"""Review: decisions proposed, answered, remembered."""

from uuid import uuid4

import pytest
from sqlmodel import Session, col, select

from invelo.db.tables.review import ProposalRow
from invelo.db.tables.training import LoggedSetRow, TrainingSessionRow
from invelo.domain import MODEL_VERSION
from tests.api.athlete.test_screen import screens
from tests.api.coach import problem


def review(coach, ladder):
    return coach.get(f"/api/ladders/{ladder['id']}/review")


def answers(coach, proposal, **body):
    return coach.client.post(f"/api/proposals/{proposal['id']}/answer", json=body)


def step_up(coach, ladder):
    coach.trains(ladder["id"])
    return coach.trains(ladder["id"])


def test_two_sessions_at_the_gate_propose_a_step_up_with_its_figures(coach, ladder) -> None:
    proposal = step_up(coach, ladder)
    assert proposal["outcome"] == "step_up"
    position = {r["id"]: r["position"] for r in ladder["rungs"]}
    assert position[proposal["to_rung"]["id"]] == position[ladder["current_rung_id"]] + 1
    assert [rule["id"] for rule in proposal["rules"]] == ["range.criterion-met"]
    assert proposal["rules"][0]["source"] == "common practice"
    assert {f["name"] for f in proposal["figures"]} >= {"set 1", "set 2", "set 3", "criterion"}
    assert proposal["confidence_why"]
    assert proposal["answer"] is None


def test_a_predicted_figure_opens_its_account(coach, ladder) -> None:
    figures = {one["name"]: one for one in step_up(coach, ladder)["figures"]}
    told = next(one for name, one in figures.items() if name.startswith("predicted to failure on"))
    account = told["explained"]
    assert account["low"] <= account["likely"] <= account["high"]
    assert f"{account['likely']:.0f} reps" in told["value"]
    assert account["derivation"]["formula"]
    assert account["derivation"]["inputs"]
    assert account["derivation"]["sources"]
    assert figures["set 1"]["explained"] is None


def wide(coach) -> dict:
    """A ladder whose next rung is far too hard: from a counter straight to the floor."""
    test = {"id": str(uuid4()), "movement": "push-up", "values": {"hand_height": 0.9}, "reps": 11}
    ladder = coach.gives_ladder(coach.enrols()["id"], test=test)
    foot = ladder["rungs"][0]["id"]
    coach.put(f"/api/ladders/{ladder['id']}/current-rung", rung_id=foot)
    for rung in ladder["rungs"][1:4]:
        path = f"/api/ladders/{ladder['id']}/rungs/{rung['id']}"
        coach.client.delete(path).raise_for_status()
    left: dict = coach.get(f"/api/ladders/{ladder['id']}")
    assert left["steps"][0]["gap"]
    return left


def until(coach, ladder: dict, outcome: str, sets: int = 3) -> dict:
    """Train at the top of the range until something is said."""
    for _ in range(8):
        proposal: dict = coach.trains(ladder["id"], (10,) * sets, rpe=8.5)
        if proposal["outcome"] == outcome:
            return proposal
    raise AssertionError(proposal["outcome"])


def test_a_set_more_is_done_by_itself_and_can_be_undone(coach) -> None:
    """Where the criterion is shown and the next rung does not fit, sets grow: a routine."""
    ladder = wide(coach)
    proposal = until(coach, ladder, "add_set")
    assert (proposal["standing"], proposal["answer"]) == ("routine", "routine")
    assert (proposal["now"]["sets"], proposal["then"]["sets"]) == (3, 4)
    assert proposal["then"]["weekly_sets"] > proposal["now"]["weekly_sets"]
    assert proposal["regions"][0] == "chest"
    assert coach.get("/api/squad")["athletes"][0]["pending_decisions"] == []
    assert len(coach.item(ladder["id"])["sets"]) == 4
    said = coach.post(f"/api/proposals/{proposal['id']}/undo")
    assert said["answer"] == "undone"
    assert len(coach.item(ladder["id"])["sets"]) == 3
    again = coach.post(f"/api/proposals/{proposal['id']}/undo")  # a replay changes nothing
    assert again["answer"] == "undone"


def test_what_was_trained_on_is_not_undone(coach) -> None:
    ladder = wide(coach)
    proposal = until(coach, ladder, "add_set")
    coach.trains(ladder["id"], (10,) * 4)
    refused = coach.client.post(f"/api/proposals/{proposal['id']}/undo")
    assert problem(refused, 409)["field"] == "proposal"


def test_a_coach_can_switch_routine_off(coach) -> None:
    ladder = wide(coach)
    path = f"/api/athletes/{ladder['athlete_id']}/routine"
    assert coach.put(path, routine=False, per_week=1) == {"routine": False, "per_week": 1}
    proposal = until(coach, ladder, "add_set")
    assert (proposal["standing"], proposal["answer"]) == ("question", None)
    assert coach.get(f"/api/athletes/{ladder['athlete_id']}")["routine"] is False
    told = coach.client.put(path, json={"routine": True, "per_week": 8})
    assert problem(told, 422)["field"] == "per_week"


def test_a_climb_is_undone_until_the_next_session(coach, ladder) -> None:
    proposal = step_up(coach, ladder)
    coach.post(f"/api/proposals/{proposal['id']}/answer", answer="accept")
    assert len(coach.get("/api/messages")["messages"]) == 1
    (newest, *_) = review(coach, ladder)["proposals"]
    assert newest["undoable"]
    coach.post(f"/api/proposals/{proposal['id']}/undo")
    assert review(coach, ladder)["current_rung"]["id"] == ladder["current_rung_id"]
    assert coach.get("/api/messages")["messages"] == []


def test_what_was_asked_is_kept_with_set_and_session(coach, ladder, engine) -> None:
    proposal = step_up(coach, ladder)
    coach.post(f"/api/proposals/{proposal['id']}/answer", answer="accept")
    coach.trains(ladder["id"], (6, 6))
    with Session(engine) as db:
        newest = db.exec(
            select(TrainingSessionRow).order_by(col(TrainingSessionRow.at).desc())
        ).first()
        assert newest is not None
        asked = newest.asked[ladder["id"]]
        assert (asked["derived"], asked["sets"], asked["rpe"]) == ("first", 2, 8.0)
        kept = db.exec(select(LoggedSetRow).where(LoggedSetRow.session_id == newest.id)).all()
        assert {(one.prescribed_min, one.prescribed_max) for one in kept} == {(6, 10)}
    told = review(coach, ladder)["proposals"][0]
    assert told["standing"] == "on course"
    assert "first days" in told["reason"]


def test_nothing_is_applied_before_the_coachs_word(coach, ladder) -> None:
    step_up(coach, ladder)
    assert review(coach, ladder)["current_rung"]["id"] == ladder["current_rung_id"]


def test_taking_a_step_up_moves_the_athlete(coach, ladder) -> None:
    proposal = step_up(coach, ladder)
    said = answers(coach, proposal, answer="accept").json()
    assert said["answer"] == "accept"
    assert said["final_rung"] == proposal["to_rung"]
    assert review(coach, ladder)["current_rung"] == proposal["to_rung"]
    assert coach.item(ladder["id"])["sets"][0]["what"]["rung_id"] == proposal["to_rung"]["id"]


def test_an_edit_goes_where_the_coach_says_and_keeps_the_word(coach, ladder) -> None:
    proposal = step_up(coach, ladder)
    wanted = ladder["rungs"][0]
    said = answers(coach, proposal, answer="edit", rung_id=wanted["id"], note="on tour").json()
    assert (said["final_rung"]["id"], said["note"]) == (wanted["id"], "on tour")
    assert review(coach, ladder)["current_rung"]["id"] == wanted["id"]


def test_declining_leaves_everything_and_keeps_the_word(coach, ladder) -> None:
    proposal = step_up(coach, ladder)
    said = answers(coach, proposal, answer="decline", note="  wrist first ").json()
    assert (said["answer"], said["note"]) == ("decline", "wrist first")
    assert review(coach, ladder)["current_rung"]["id"] == ladder["current_rung_id"]


@pytest.mark.parametrize(
    ("body", "field"),
    [
        ({"answer": "decline"}, "note"),
        ({"answer": "decline", "note": "   "}, "note"),
        ({"answer": "edit"}, "rung"),
        ({"answer": "perhaps"}, "answer"),
        ({}, "answer"),
        ({"answer": "accept", "note": "x" * 301}, "note"),
    ],
)
def test_a_bad_answer_names_its_field_and_changes_nothing(coach, ladder, body, field) -> None:
    proposal = step_up(coach, ladder)
    assert problem(answers(coach, proposal, **body), 422)["field"] == field
    assert review(coach, ladder)["proposals"][0]["answer"] is None


def test_an_edit_to_a_rung_elsewhere_is_refused(coach, ladder) -> None:
    proposal = step_up(coach, ladder)
    elsewhere = coach.has_ladder()["current_rung_id"]
    response = answers(coach, proposal, answer="edit", rung_id=elsewhere, note="why not")
    assert problem(response, 404)["field"] == "rung"


def test_answering_twice_the_same_way_answers_once(coach, ladder) -> None:
    proposal = step_up(coach, ladder)
    first, second = (answers(coach, proposal, answer="accept") for _ in range(2))
    assert first.json() == second.json()


def test_a_second_other_answer_is_refused(coach, ladder) -> None:
    proposal = step_up(coach, ladder)
    answers(coach, proposal, answer="accept")
    told = problem(answers(coach, proposal, answer="decline", note="no"), 409)
    assert told["field"] == "proposal"
    assert "Ladder sheet" in told["remedy"]


def test_a_newer_session_makes_an_open_decision_lapse(coach, ladder) -> None:
    first = step_up(coach, ladder)
    coach.trains(ladder["id"])
    kept = {d["id"]: d for d in review(coach, ladder)["proposals"]}
    assert kept[first["id"]]["answer"] == "expired"
    assert problem(answers(coach, first, answer="accept"), 409)["field"] == "proposal"


def test_falling_short_is_a_set_less_and_then_a_step_back(coach, ladder) -> None:
    for _ in range(3):
        coach.trains(ladder["id"], (8, 8, 7), rpe=9)
    for _ in range(2):
        less = coach.trains(ladder["id"], (5, 5, 4), rpe=9)
    assert less["outcome"] == "fewer_sets"
    coach.post(f"/api/proposals/{less['id']}/answer", answer="accept")
    proposal = coach.trains(ladder["id"], (5, 4), rpe=9)
    assert proposal["outcome"] == "step_back"
    answers(coach, proposal, answer="accept")
    assert review(coach, ladder)["current_rung"] == proposal["to_rung"]


def test_pain_stops_the_movement_until_the_coach_takes_it_up_again(coach, ladder) -> None:
    proposal = coach.trains(ladder["id"], pain=5, pain_place="left wrist")
    assert proposal["outcome"] == "stop"
    assert "clinician" in proposal["reason"]
    answers(coach, proposal, answer="accept")
    assert "left wrist" in review(coach, ladder)["stopped"]
    assert coach.get("/api/squad")["athletes"][0]["flags"][0]["kind"] == "stopped"
    along = coach.takes_along(ladder["id"])
    assert along["single"] == []
    assert "left wrist" in along["stopped"][0]["why"]
    body = {"name": "Alone", "ladder_id": ladder["id"], **coach.now()}
    refused = coach.client.put(
        f"/api/athletes/{ladder['athlete_id']}/sessions/{uuid4()}", json=body
    )
    assert problem(refused, 409)["field"] == "ladder"
    coach.post(f"/api/ladders/{ladder['id']}/resume")
    coach.starts(ladder["id"])


def test_where_the_coach_goes_on_in_spite_of_pain_nothing_gets_harder(coach, ladder) -> None:
    """The criterion is met twice running, but the wrist hurts as it did when the stop was
    declined."""
    hurts = {"pain": 5, "pain_place": "left wrist"}
    stop = coach.trains(ladder["id"], **hurts)
    answers(coach, stop, answer="decline", note="a bruise, seen by a doctor")
    for _ in range(2):
        proposal = coach.trains(ladder["id"], **hurts)
        assert proposal["outcome"] == "hold"
    assert not proposal["plain"]
    worse = coach.trains(ladder["id"], pain=7, pain_place="left wrist")
    assert worse["outcome"] == "stop"
    answers(coach, worse, answer="decline", note="seen again")
    for _ in range(2):
        healed = coach.trains(ladder["id"])
    assert healed["outcome"] == "step_up"


def test_a_gap_is_bridged_by_one_press(coach) -> None:
    """Sets at their most, no setting that fits: a rung from the kit stands between."""
    ladder = wide(coach)
    proposal = until(coach, ladder, "add_set")
    outcomes = []
    for _ in range(12):
        proposal = coach.trains(ladder["id"], (10,) * 4, rpe=8.5)
        outcomes.append(proposal["outcome"])
        if proposal["standing"] in ("question", "blocked"):
            coach.post(f"/api/proposals/{proposal['id']}/answer", answer="accept")
        if proposal["outcome"] in ("bridge", "step_up"):
            break
    assert {"slow_eccentric", "bridge", "step_up"} & set(outcomes)
    after = coach.get(f"/api/ladders/{ladder['id']}")
    if proposal["outcome"] == "bridge":
        assert len(after["rungs"]) == len(ladder["rungs"]) + 1
        assert after["current_rung_id"] == after["rungs"][1]["id"]
    else:
        assert len(after["rungs"]) == len(ladder["rungs"])  # small steps are settings, no rungs


def test_a_setting_changes_what_is_asked_and_no_rung(coach) -> None:
    ladder = wide(coach)
    until(coach, ladder, "add_set")
    slow = until(coach, ladder, "slow_eccentric", 4)
    if slow["answer"] is None:
        coach.post(f"/api/proposals/{slow['id']}/answer", answer="accept")
    after = coach.get(f"/api/ladders/{ladder['id']}")
    assert [one["id"] for one in after["rungs"]] == [one["id"] for one in ladder["rungs"]]
    what = coach.item(ladder["id"])["sets"][0]["what"]
    assert what["rung_id"] == ladder["rungs"][0]["id"]
    assert "2 s eccentric" in slow["then"]["name"]


def test_decisions_keep_their_versions_and_inputs(coach, ladder, engine) -> None:
    step_up(coach, ladder)
    with Session(engine) as db:
        for kept in db.exec(select(ProposalRow)):
            assert kept.model_version == MODEL_VERSION
            assert kept.inputs["criterion"] == {
                "sets": 3,
                "amount": 10,
                "unit": "reps",
                "rpe": 9.0,
                "sessions": 2,
            }
            assert kept.inputs["sessions"]
            assert (kept.time_zone, kept.local_date) is not None


def test_history_stands_newest_first(coach, ladder) -> None:
    for _ in range(3):
        coach.trains(ladder["id"])
    sheet = review(coach, ladder)
    for list_of in ("proposals", "sessions"):
        days = [one["local_date"] for one in sheet[list_of]]
        assert days == sorted(days, reverse=True)
        assert len(days) == 3


def test_under_sixteen_a_coach_is_asked_before_anything_changes(coach) -> None:
    ladder = wide(coach)
    screens(coach, ladder["athlete_id"], born="2012-06-01")
    proposal = until(coach, ladder, "add_set")
    assert (proposal["standing"], proposal["answer"]) == ("question", None)
