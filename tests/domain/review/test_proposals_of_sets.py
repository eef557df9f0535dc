"""Decisions: sets grow from 2 to 3 to 4 before the variation changes, and go along with it.

Common practice, as the method of the fixed range says of itself.
"""

from dataclasses import replace

import pytest

from invelo.domain.plan.methods import METHODS, MOST_SETS
from invelo.domain.review.proposals.propose import decide
from invelo.domain.review.proposals.situation import AnsweredProposal, Neighbour, Offer
from tests.domain.review.test_proposals_by_method import (
    ABOVE,
    HEAVIER,
    SLOWER,
    by,
    ids,
    reps,
    session,
    situation,
)

NOT_YET = Neighbour("above", ABOVE, reps(6))
"""The next rung allows its range's foot once, fresh, and no rep in reserve."""


def climbed(sets: int, above: Neighbour = NOT_YET, **change: object):
    met = [session(*[10] * sets, days_ago=ago) for ago in (2, 0)]
    return situation(
        "double_progression", *met, rung=by("double_progression", sets=sets), above=above, **change
    )


@pytest.mark.parametrize("sets", [2, 3])
def test_where_the_next_rung_is_not_there_yet_sets_grow_first(sets: int) -> None:
    proposal = decide(climbed(sets))
    assert (proposal.outcome, proposal.amount) == ("add_set", sets + 1)
    assert ids(proposal) == ["range.criterion-met", "sets.grow"]
    assert proposal.plain
    told = {one.name: one.value for one in proposal.figures}
    assert told["asked there, with nothing in reserve"] == ABOVE.prescription.asks == 7
    assert "up to 4" in METHODS["double_progression"].grows


def test_where_the_next_rung_is_there_it_comes_at_once() -> None:
    assert decide(climbed(2, Neighbour("above", ABOVE, reps(7)))).outcome == "step_up"


def test_at_the_most_sets_one_lever_makes_the_step() -> None:
    slower = Offer("tempo", SLOWER, reps(8))
    proposal = decide(climbed(MOST_SETS, offers=lambda: (slower,)))
    assert (proposal.outcome, proposal.rung) == ("slow_eccentric", SLOWER)
    assert "step.one-lever" in ids(proposal)


def test_at_the_most_sets_with_no_lever_left_the_next_rung_is_tried() -> None:
    heavy = Offer("load", HEAVIER, reps(3))  # no useful prescription is left there
    proposal = decide(climbed(MOST_SETS, offers=lambda: (heavy,)))
    assert (proposal.outcome, proposal.confidence) == ("step_up", "medium")


def test_sets_that_have_grown_go_along_to_the_next_rung() -> None:
    fewer = replace(ABOVE, prescription=replace(ABOVE.prescription, sets=2))
    proposal = decide(climbed(4, Neighbour("above", fewer, reps(9))))
    assert (proposal.outcome, proposal.amount) == ("step_up", 4)
    assert "sets.kept" in ids(proposal)
    assert "Keep the 4 sets" in proposal.reason


def test_a_rung_with_as_many_sets_keeps_its_own() -> None:
    many = replace(ABOVE, prescription=replace(ABOVE.prescription, sets=4))
    proposal = decide(climbed(3, Neighbour("above", many, reps(9))))
    assert (proposal.outcome, proposal.amount) == ("step_up", None)


def test_a_gate_met_anew_is_said_anew_though_a_set_was_added_last_week() -> None:
    taken = AnsweredProposal("add_set", "here", ("range.criterion-met", "sets.grow"), "accept", 6)
    assert decide(climbed(3, answered=(taken,))).outcome == "add_set"
    declined = replace(taken, answer="decline")
    assert decide(climbed(3, answered=(declined,))).outcome != "add_set"


def test_keeping_asks_for_no_more_sets() -> None:
    assert decide(climbed(2, purpose="keep")).outcome == "hold"
