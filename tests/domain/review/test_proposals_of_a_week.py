"""Decisions: what only the end of a week shows, and what is not asked again."""

from dataclasses import replace
from datetime import timedelta

import pytest

from invelo.domain.review.proposals.propose import decide
from invelo.domain.review.proposals.situation import AnsweredProposal, Offer
from tests.domain.review.test_proposals_by_method import (
    MONDAY,
    SLOWER,
    by,
    flat,
    ids,
    met,
    reps,
    session,
    situation,
    week,
)

# ---- the week ----


def test_a_layoff_comes_back_over_as_many_weeks_common_practice() -> None:
    away = session(10, 10, 10, days_ago=22)
    proposal = decide(situation("double_progression", away, occasion="week", week=week()))
    assert (proposal.outcome, ids(proposal)) == ("ease_off", ["layoff.re-entry"])
    assert "3 weeks" in proposal.reason
    fortnight = session(8, 8, 8, days_ago=14)
    other = decide(situation("double_progression", fortnight, occasion="week", week=week()))
    assert other.outcome != "ease_off"


@pytest.mark.parametrize(("ratio", "eased"), [(1.51, True), (1.5, False), (1.2, False)])
def test_a_load_over_one_and_a_half_asks_to_ease(ratio: float, eased: bool) -> None:
    asked = situation(
        "double_progression", session(8, 8, 8), occasion="week", week=week(ratio=ratio)
    )
    proposal = decide(asked)
    assert (proposal.outcome == "ease_off") is eased
    if eased:
        assert proposal.confidence == "low"
        assert "disputed" in proposal.confidence_why
        both = replace(asked, week=week(ratio=ratio, ratio_smoothed=1.4))
        assert decide(both).confidence == "medium"


def test_a_session_alone_asks_nothing_of_the_week() -> None:
    asked = situation("double_progression", session(8, 8, 8), week=week(ratio=2.0))
    assert decide(asked).outcome != "ease_off"


def test_a_most_stressful_rung_is_kept_to_its_days() -> None:
    seen = week(stressful=True, days_done=3, days_limit=2)
    proposal = decide(situation("double_progression", session(8, 8, 8), occasion="week", week=seen))
    assert (proposal.outcome, proposal.amount) == ("reduce_days", 2)
    calm = replace(seen, stressful=False)
    assert decide(
        situation("double_progression", session(8, 8, 8), occasion="week", week=calm)
    ).outcome != ("reduce_days")


def test_a_plateau_adds_a_set_then_changes_the_lever() -> None:
    still = week(reach=flat(), days_done=2)
    grows = situation("double_progression", session(8, 8, 7), occasion="week", week=still)
    proposal = decide(grows)
    assert (proposal.outcome, ids(proposal)[0]) == ("add_set", "plateau.three-weeks")
    slow = Offer("tempo", SLOWER, reps(10))
    full = replace(grows, rung=by("double_progression", sets=4), offers=lambda: (slow,))
    assert decide(full).outcome == "slow_eccentric"
    nothing_left = replace(full, offers=lambda: ())
    assert (decide(nothing_left).outcome, decide(nothing_left).confidence) == ("hold", "low")


def test_a_plateau_at_high_effort_on_many_days_is_tiredness() -> None:
    still = week(reach=flat(), days_done=4)
    tired = session(8, 8, 7, rpe=9)
    proposal = decide(situation("double_progression", tired, occasion="week", week=still))
    assert (proposal.outcome, proposal.amount) == ("reduce_days", 3)
    assert "plateau.frequency" in ids(proposal)


def test_a_rise_is_no_plateau_and_keeping_wants_none() -> None:
    rising = tuple(replace(one, value=one.value * (1 + 0.02 * i)) for i, one in enumerate(flat()))
    up = situation("double_progression", session(8, 8, 7), occasion="week", week=week(reach=rising))
    assert "plateau.three-weeks" not in ids(decide(up))
    kept = situation(
        "double_progression",
        session(8, 8, 7),
        occasion="week",
        week=week(reach=flat()),
        purpose="keep",
    )
    assert "plateau.three-weeks" not in ids(decide(kept))


def test_few_days_are_no_plateau() -> None:
    seen = week(reach=flat(points=4))
    asked = situation("double_progression", session(8, 8, 7), occasion="week", week=seen)
    assert "plateau.three-weeks" not in ids(decide(asked))


def test_old_evidence_asks_for_a_test() -> None:
    old = week(evidence=MONDAY - timedelta(days=29))
    proposal = decide(situation("double_progression", session(8, 8, 8), occasion="week", week=old))
    assert (proposal.outcome, ids(proposal)) == ("retest", ["test.old"])
    fresh = week(evidence=MONDAY - timedelta(days=28))
    assert decide(
        situation("double_progression", session(8, 8, 8), occasion="week", week=fresh)
    ).outcome != ("retest")


def test_six_sessions_on_one_surface_swap_it() -> None:
    many = [session(8, 8, 7, days_ago=3 * i) for i in range(5, -1, -1)]
    seen = week(surface="bar", other_surface="rings")
    proposal = decide(situation("double_progression", *many, occasion="week", week=seen))
    assert proposal.outcome == "swap_surface"
    assert "rings" in proposal.reason
    alone = situation("double_progression", *many, occasion="week", week=week(surface="bar"))
    assert decide(alone).outcome != "swap_surface"


def test_no_easier_rung_and_many_days_cut_the_days() -> None:
    short = session(4, 4, 4)
    asked = situation("double_progression", short, short, below=None, week=week(days_done=3))
    assert (decide(asked).outcome, decide(asked).amount) == ("reduce_days", 2)


# ---- no nagging ----


def said(outcome: str, *rules: str, answer: str = "decline", **change: object) -> AnsweredProposal:
    plain = AnsweredProposal(outcome, "here", rules, answer, 3)  # type: ignore[arg-type]
    return replace(plain, **change)  # type: ignore[arg-type]


def test_what_was_declined_is_not_asked_again() -> None:
    asked = situation(
        "double_progression", *met(), answered=(said("step_up", "range.criterion-met"),)
    )
    assert decide(asked).outcome == "hold"


@pytest.mark.parametrize(
    "before",
    [
        said("step_up", "range.criterion-met", from_key="below"),
        said("step_up", "range.criterion-met", days=28),
        said("step_up", "effort.next-fits"),
        said("step_up", "range.criterion-met", answer="accept"),
        said("step_back", "range.criterion-met"),
    ],
    ids=["another rung", "long ago", "another rule", "taken", "another outcome"],
)
def test_it_is_asked_again_once_something_changed(before: AnsweredProposal) -> None:
    assert decide(situation("double_progression", *met(), answered=(before,))).outcome == "step_up"


def test_a_stop_is_asked_again_when_the_pain_is_worse_and_after_it_was_taken() -> None:
    hurt = session(8, pain=5, pain_place="wrist")
    declined = said("stop", "pain.stop", pain=5)
    assert decide(situation("double_progression", hurt, answered=(declined,))).outcome != "stop"
    less = replace(declined, pain=4)
    taken = replace(declined, answer="accept")
    for before in (less, taken):
        assert decide(situation("double_progression", hurt, answered=(before,))).outcome == "stop"


def test_advice_that_was_taken_has_three_weeks_to_show() -> None:
    still = week(reach=flat(), days_done=2)
    taken = said("add_set", "plateau.three-weeks", "sets.grow", answer="accept", days=20)
    asked = situation(
        "double_progression", session(8, 8, 7), occasion="week", week=still, answered=(taken,)
    )
    assert decide(asked).outcome != "add_set"
    later = replace(asked, answered=(replace(taken, days=21),))
    assert decide(later).outcome == "add_set"
