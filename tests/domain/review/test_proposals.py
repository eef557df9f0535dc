"""Decisions: every rule, its order, its figures."""

from dataclasses import replace
from datetime import date, timedelta

import pytest
from hypothesis import given
from hypothesis import strategies as st

from invelo.domain.estimate import Estimate
from invelo.domain.review.proposals.propose import decide
from invelo.domain.review.proposals.situation import (
    Neighbour,
    Situation,
    criterion_run,
    meets_criterion,
)
from invelo.domain.review.rules import RULES
from invelo.domain.training.log import SessionRecord, SetRecord
from tests.domain.people import rung

HERE = rung("Floor push-up")
CRITERION = HERE.criterion


def reps(likely: float, low: float | None = None, high: float | None = None) -> Estimate:
    return Estimate(
        likely, likely - 2 if low is None else low, likely + 2 if high is None else high, "reps"
    )


BELOW = Neighbour("below", rung("Stair push-up", hand_height=0.17), reps(14))
ABOVE = Neighbour("above", rung("Stair-feet push-up", foot_height=0.17), reps(9))


def done(count: int = 10, rpe: float = 8.5, **more: object) -> SetRecord:
    return SetRecord("here", count, rpe, **more)  # type: ignore[arg-type]


def session(*sets: SetRecord, days_ago: int = 0) -> SessionRecord:
    return SessionRecord(date(2026, 3, 2) - timedelta(days=days_ago), sets)


def three(*args: object, **more: object) -> SessionRecord:
    return session(*(done(*args, **more) for _ in range(3)))  # type: ignore[arg-type]


def situation(*sessions: SessionRecord, **change: object) -> Situation:
    plain = Situation("here", HERE, BELOW, ABOVE, sessions, "strength")
    return replace(plain, **change)  # type: ignore[arg-type]


def ids(proposal) -> list[str]:
    return [rule.id for rule in proposal.rules]


def test_the_gate_met_twice_running_is_a_step_up() -> None:
    proposal = decide(situation(three(), three()))
    assert (proposal.outcome, proposal.to) == ("step_up", "above")
    assert ids(proposal) == ["range.criterion-met"]
    assert "Stair-feet push-up" in proposal.reason
    figures = {f.name: f.value for f in proposal.figures}
    assert figures["set 1"] == "10 reps at effort 8.5"
    assert figures["criterion"] == "3 × 10 reps at effort 9 or under"
    assert figures["sessions running that met it"] == 2


def test_once_is_not_twice() -> None:
    proposal = decide(situation(three()))
    assert (proposal.outcome, ids(proposal)) == ("hold", ["range.building"])
    assert "Show it once more" in proposal.reason


def test_a_session_between_that_missed_breaks_the_run() -> None:
    assert decide(situation(three(), three(9), three())).outcome == "hold"


def test_sessions_on_another_rung_break_the_run() -> None:
    other = session(*(SetRecord("below", 10, 8.0) for _ in range(3)))
    assert criterion_run(situation(three(), other, three())) == 1


@pytest.mark.parametrize(
    "last",
    [
        session(done(), done()),
        session(done(), done(), done(9)),
        session(done(), done(), done(10, 9.5)),
    ],
    ids=["a set short", "a rep short", "too hard"],
)
def test_the_gate_is_met_by_every_set_or_not_at_all(last: SessionRecord) -> None:
    assert not meets_criterion(last, "here", HERE)
    assert decide(situation(three(), last)).outcome == "hold"


@pytest.mark.parametrize(
    ("low", "likely", "confidence"), [(7, 9, "high"), (5, 7, "medium"), (4, 5.5, "low")]
)
def test_confidence_rests_on_the_next_rung(low: float, likely: float, confidence: str) -> None:
    above = replace(ABOVE, prediction=reps(likely, low))
    grown = replace(HERE, prescription=replace(HERE.prescription, sets=4))
    proposal = decide(situation(three(), three(), rung=grown, above=above))
    assert proposal.outcome == "step_up"
    assert proposal.confidence == confidence


def test_a_gap_ahead_is_a_hold_that_asks_for_a_bridge() -> None:
    above = replace(ABOVE, prediction=reps(3, 1))
    proposal = decide(situation(three(), three(), above=above))
    assert proposal.outcome == "hold"
    assert ids(proposal) == ["range.criterion-met", "step.gap-ahead"]
    assert "bridge" in proposal.reason


def test_the_last_rung_met_is_the_goal() -> None:
    proposal = decide(situation(three(), three(), above=None))
    assert proposal.outcome == "hold"
    assert ids(proposal) == ["range.criterion-met", "ladder.top"]


def test_keeping_is_success_without_a_rise() -> None:
    proposal = decide(situation(three(), three(), purpose="keep"))
    assert proposal.outcome == "hold"
    assert "purpose.keep" in ids(proposal)


@pytest.mark.parametrize("pain", [4, 7, 10])
def test_pain_of_four_or_more_stops_the_movement(pain: int) -> None:
    hurt = session(done(), done(), done(10, 8, pain=pain, pain_place="left wrist"))
    proposal = decide(situation(three(), hurt))
    assert proposal.outcome == "stop"
    assert ids(proposal) == ["pain.stop"]
    assert "left wrist" in proposal.reason
    assert "clinician" in proposal.reason
    assert proposal.confidence == "high"


def test_pain_that_rises_over_three_sessions_stops_it_sooner() -> None:
    course = [session(done(pain=p, pain_place="elbow")) for p in (1, 2, 3)]
    proposal = decide(situation(*course))
    assert proposal.outcome == "stop"
    assert ids(proposal) == ["pain.rising"]
    assert "1 → 2 → 3" in proposal.reason


@pytest.mark.parametrize("course", [(2, 2, 3), (3, 2, 1), (0, 3), (1, 3, 3)])
def test_pain_that_does_not_rise_does_not_stop(course: tuple[int, ...]) -> None:
    sessions = [session(done(pain=p, pain_place="elbow" if p else "")) for p in course]
    assert decide(situation(*sessions)).outcome != "stop"


def test_pain_at_two_places_is_judged_place_by_place() -> None:
    places = ["wrist", "elbow", "wrist"]
    sessions = [
        session(done(pain=p, pain_place=place)) for p, place in zip((1, 2, 3), places, strict=True)
    ]
    assert decide(situation(*sessions)).outcome != "stop"


def test_missing_the_foot_twice_is_a_step_back() -> None:
    proposal = decide(situation(three(5), three(5)))
    assert (proposal.outcome, proposal.to) == ("step_back", "below")
    assert ids(proposal) == ["range.missed-twice"]
    assert "Stair push-up" in proposal.reason


def test_missing_the_foot_once_is_not() -> None:
    assert decide(situation(three(), three(5))).outcome == "hold"


def test_all_out_at_the_foot_is_a_step_back() -> None:
    proposal = decide(situation(three(6, 9.5)))
    assert proposal.outcome == "step_back"
    assert ids(proposal) == ["effort.foot"]


def test_a_tired_last_set_at_the_foot_is_no_step_back() -> None:
    """Common practice: the first sets went well, the last one is tired, not too hard."""
    last = session(done(9, 8), done(8, 9), done(6, 10))
    assert decide(situation(last)).outcome == "hold"


def test_two_signs_together_are_surer_than_one() -> None:
    one = decide(situation(three(6, 9.5)))
    both = decide(situation(three(5, 10), three(5, 10)))
    assert (one.confidence, both.confidence) == ("medium", "high")


def test_at_the_foot_of_the_ladder_there_is_no_step_back() -> None:
    proposal = decide(situation(three(5), three(5), below=None))
    assert proposal.outcome == "hold"
    assert "ladder.foot" in ids(proposal)


def test_lost_form_holds_whatever_the_count() -> None:
    last = session(done(), done(form_ok=False), done())
    proposal = decide(situation(three(), last))
    assert proposal.outcome == "hold"
    assert ids(proposal) == ["form.first"]
    assert "set 2" in proposal.reason


def test_nothing_logged_is_nothing_judged() -> None:
    for empty in (situation(), situation(session())):
        proposal = decide(empty)
        assert (proposal.outcome, ids(proposal)) == ("hold", ["log.none"])
        assert proposal.confidence == "low"


def test_safety_speaks_before_fatigue_form_and_school() -> None:
    worst = session(*(done(5, 10, form_ok=False, pain=6, pain_place="wrist") for _ in range(3)))
    assert decide(situation(worst, worst)).outcome == "stop"


def test_fatigue_speaks_before_form() -> None:
    tired = session(*(done(5, 10, form_ok=False) for _ in range(3)))
    assert decide(situation(tired, tired)).outcome == "step_back"


sets = st.builds(
    SetRecord,
    rung=st.sampled_from(["here", "below"]),
    amount=st.integers(0, 40),
    rpe=st.sampled_from([5.0, 7.0, 8.5, 9.0, 9.5, 10.0]),
    form_ok=st.booleans(),
    pain=st.integers(0, 10),
    pain_place=st.sampled_from(["", "wrist", "elbow"]),
)
histories = st.lists(
    st.builds(SessionRecord, day=st.just(date(2026, 3, 2)), sets=st.lists(sets).map(tuple)),
    max_size=6,
)


@given(histories)
def test_every_history_gets_a_reasoned_answer(history: list[SessionRecord]) -> None:
    proposal = decide(situation(*history))
    assert proposal.reason
    assert proposal.rules
    assert all(rule.id in RULES and rule.sentence and rule.source for rule in proposal.rules)
    assert proposal.to in {"here", "below", "above"}
    assert (proposal.to == "above") == (proposal.outcome == "step_up")
    assert (proposal.to == "below") == (proposal.outcome == "step_back")


@given(histories)
def test_pain_of_the_last_session_never_steps_up(history: list[SessionRecord]) -> None:
    hurt = session(done(30, 5, pain=4, pain_place="wrist"))
    assert decide(situation(*history, hurt)).outcome == "stop"


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"amount": -1}, "reps"),
        ({"amount": 201}, "reps"),
        ({"rpe": 0}, "rpe"),
        ({"pain": 11}, "pain"),
    ],
)
def test_impossible_sets_are_refused(change: dict[str, int], field: str) -> None:
    from invelo.domain.errors import InputError

    with pytest.raises(InputError) as caught:
        SetRecord(**{"rung": "here", "amount": 8, "rpe": 8, **change})  # type: ignore[arg-type]
    assert caught.value.field == field
