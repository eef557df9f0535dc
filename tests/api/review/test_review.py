"""Review: decisions proposed, answered, remembered."""

from uuid import uuid4

import pytest
from sqlmodel import Session, select

from invelo.db.tables.review import ProposalRow
from invelo.domain import MODEL_VERSION
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
    told = figures["predicted to failure on the next rung"]
    account = told["explained"]
    assert account["low"] <= account["likely"] <= account["high"]
    assert f"{account['likely']:.0f} reps" in told["value"]
    assert account["derivation"]["formula"]
    assert account["derivation"]["inputs"]
    assert account["derivation"]["sources"]
    assert figures["set 1"]["explained"] is None


def test_sets_grow_where_the_next_rung_is_not_there_yet_and_go_along(coach) -> None:
    """Two sets of a beginner become three, then four, and four go along to the knee push-up."""
    ladder = coach.has_ladder(reps=2, level="beginner")
    here = next(one for one in ladder["rungs"] if one["name"] == "Stool push-up")
    coach.put(f"/api/ladders/{ladder['id']}/current-rung", rung_id=here["id"])
    coach.put(f"/api/ladders/{ladder['id']}/settings", min_reps=2)
    for sets in (2, 3):
        for _ in range(2):
            proposal = coach.trains(ladder["id"], (10,) * sets, rpe=9)
        assert (proposal["outcome"], proposal["amount"]) == ("add_set", sets + 1)
        said = answers(coach, proposal, answer="accept").json()
        assert f"{sets + 1} sets from now on" in said["message"]["body"]
        rungs = coach.get(f"/api/ladders/{ladder['id']}")["rungs"]
        grown = next(one for one in rungs if one["id"] == here["id"])
        assert (grown["prescription"]["sets"], grown["criterion"]["sets"]) == (sets + 1, sets + 1)
    for _ in range(2):
        proposal = coach.trains(ladder["id"], (14,) * 4, rpe=6)
    assert (proposal["outcome"], proposal["amount"]) == ("step_up", 4)
    assert "sets.kept" in [rule["id"] for rule in proposal["rules"]]
    said = answers(coach, proposal, answer="accept").json()
    assert "Keep your 4 sets" in said["message"]["body"]
    rungs = coach.get(f"/api/ladders/{ladder['id']}")["rungs"]
    assert (
        next(one for one in rungs if one["id"] == said["final_rung"]["id"])["prescription"]["sets"]
        == 4
    )


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
    first = coach.trains(ladder["id"])
    coach.trains(ladder["id"])
    kept = {d["id"]: d for d in review(coach, ladder)["proposals"]}
    assert kept[first["id"]]["answer"] == "expired"
    assert problem(answers(coach, first, answer="accept"), 409)["field"] == "proposal"


def test_missing_the_foot_twice_proposes_a_step_back(coach, ladder) -> None:
    coach.trains(ladder["id"], (5, 4, 4))
    proposal = coach.trains(ladder["id"], (5, 4, 4))
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
    assert proposal["rules"][-1]["id"] == "pain.no-harder"
    assert "Pain reached 5 of 10" in proposal["reason"]
    assert not proposal["plain"]
    worse = coach.trains(ladder["id"], pain=7, pain_place="left wrist")
    assert worse["outcome"] == "stop"
    answers(coach, worse, answer="decline", note="seen again")
    for _ in range(2):
        healed = coach.trains(ladder["id"])
    assert healed["outcome"] == "step_up"


def with_a_gap(coach, ladder: dict) -> dict:
    """From a counter straight to a stool: too big a step."""
    foot = ladder["rungs"][0]["id"]
    coach.put(f"/api/ladders/{ladder['id']}/current-rung", rung_id=foot)
    for rung in ladder["rungs"][1:4]:
        path = f"/api/ladders/{ladder['id']}/rungs/{rung['id']}"
        coach.client.delete(path).raise_for_status()
    left: dict = coach.get(f"/api/ladders/{ladder['id']}")
    assert left["steps"][0]["gap"]
    return left


def test_a_gap_ahead_is_told_instead_of_a_step_up(coach) -> None:
    """Whoever just meets the criterion below gets too little above."""
    ladder = coach.gives_ladder(
        coach.enrols()["id"],
        test={
            "id": str(uuid4()),
            "movement": "push-up",
            "values": {"hand_height": 0.9},
            "reps": 11,
        },
    )
    ladder = with_a_gap(coach, ladder)
    coach.put(f"/api/ladders/{ladder['id']}/current-rung", rung_id=ladder["rungs"][0]["id"])
    for _ in range(3):
        proposal = coach.trains(ladder["id"], (10, 10, 10), rpe=9)
    assert proposal["outcome"] == "slow_eccentric"
    ids = [r["id"] for r in proposal["rules"]]
    assert ids == ["range.criterion-met", "step.gap-ahead", "step.one-lever"]
    assert proposal["made"].startswith("Counter push-up, ")


def test_a_step_by_one_lever_is_put_on_the_ladder_when_it_is_taken(coach) -> None:
    test = {"id": str(uuid4()), "movement": "push-up", "values": {"hand_height": 0.9}, "reps": 11}
    ladder = with_a_gap(coach, coach.gives_ladder(coach.enrols()["id"], test=test))
    coach.put(f"/api/ladders/{ladder['id']}/current-rung", rung_id=ladder["rungs"][0]["id"])
    for _ in range(3):
        proposal = coach.trains(ladder["id"], (10, 10, 10), rpe=9)
    said = coach.post(f"/api/proposals/{proposal['id']}/answer", answer="accept")
    after = coach.get(f"/api/ladders/{ladder['id']}")
    names = [rung["name"] for rung in after["rungs"]]
    assert names[1] == proposal["made"] == said["final_rung"]["name"]
    assert after["current_rung_id"] == after["rungs"][1]["id"]
    assert len(names) == len(ladder["rungs"]) + 1
    again = coach.post(f"/api/proposals/{proposal['id']}/answer", answer="accept")
    assert again["final_rung"] == said["final_rung"]
    assert len(coach.get(f"/api/ladders/{ladder['id']}")["rungs"]) == len(names)
    assert "the same, slower" in said["message"]["body"]


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
