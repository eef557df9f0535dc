"""Decisions: what holds for every history, method, purpose and occasion there can be."""

from dataclasses import replace
from datetime import date, timedelta
from typing import Any, get_args

import pytest
from hypothesis import assume, given
from hypothesis import strategies as st

from invelo.domain.plan.methods import most_sets
from invelo.domain.plan.prescription import Method, Purpose
from invelo.domain.review.proposals.propose import decide
from invelo.domain.review.proposals.safety import in_spite
from invelo.domain.review.proposals.situation import (
    HARDER,
    OUTCOMES,
    PLAIN,
    AnsweredProposal,
    Offer,
    Situation,
    WeekSeen,
)
from invelo.domain.review.rules import RULES
from invelo.domain.review.trend import TrendPoint
from invelo.domain.training.log import PAIN_STOP, SessionRecord, SetRecord
from tests.domain.review.test_proposals_by_method import HEAVIER, SLOWER, by, reps, situation

pytestmark = pytest.mark.law

TODAY = date(2026, 3, 2)
METHODS: tuple[Method, ...] = get_args(Method)
WEEKLY = {"ease_off", "swap_surface", "retest"}
"""Outcomes that only the end of a week brings."""

UP = HARDER - {"add_amount"}
"""Another rung, lever or number of sets; a rep more within the range is no step."""

numbers = st.sampled_from([0, 3, 5, 6, 8, 9, 10, 12, 15, 20, 30])
sets = st.builds(
    SetRecord,
    rung=st.sampled_from(["here", "here", "here", "below"]),
    amount=numbers,
    rpe=st.sampled_from([5.0, 7.0, 8.0, 8.5, 9.0, 9.5, 10.0]),
    form_ok=st.sampled_from([True, True, True, False]),
    pain=st.sampled_from([0, 0, 0, 1, 2, 3, 5, 8]),
    pain_place=st.sampled_from(["wrist", "elbow"]),
)


@st.composite
def histories(draw) -> tuple[SessionRecord, ...]:
    """Sessions on days that follow one another, the newest of them up to five weeks old."""
    ago = draw(st.integers(0, 35))
    found = []
    for done in draw(st.lists(st.lists(sets, min_size=1, max_size=4), max_size=6)):
        found.append(SessionRecord(TODAY - timedelta(days=ago), tuple(done)))
        ago += draw(st.integers(1, 5))
    return tuple(reversed(found))


@st.composite
def weeks(draw) -> WeekSeen:
    """What a week may say."""
    values = draw(st.lists(st.floats(40, 80), max_size=8))
    reach = tuple(
        TrendPoint(TODAY - timedelta(days=3 * (len(values) - i)), value)
        for i, value in enumerate(values)
    )
    return WeekSeen(
        TODAY,
        ratio=draw(st.sampled_from([None, 0.7, 1.2, 1.6, 2.4])),
        ratio_smoothed=draw(st.sampled_from([None, 1.0, 1.7])),
        reach=reach,
        days_done=draw(st.integers(0, 7)),
        days_limit=draw(st.integers(1, 3)),
        stressful=draw(st.booleans()),
        evidence=draw(st.sampled_from([None, TODAY, TODAY - timedelta(days=40)])),
        surface="floor",
        other_surface=draw(st.sampled_from(["", "rings"])),
        ticks=draw(st.integers(0, 14)),
    )


@st.composite
def situations(draw, methods: tuple[Method, ...] = METHODS) -> Situation:
    """Any situation of a ladder's middle or of its ends."""
    method = draw(st.sampled_from(methods))
    offered = draw(
        st.lists(
            st.sampled_from(
                [
                    Offer("tempo", SLOWER, reps(8)),
                    Offer("load", HEAVIER, reps(3)),
                    Offer("load", HEAVIER, None, less_assistance=True),
                ]
            ),
            max_size=2,
        )
    )
    plain = situation(method, *draw(histories()))
    assert plain.below is not None
    assert plain.above is not None
    foreseen = draw(st.sampled_from([None, reps(2), reps(5), reps(6.5), reps(9)]))
    return replace(
        plain,
        rung=by(method, sets=draw(st.integers(2, 4))),
        below=draw(st.sampled_from([None, plain.below])),
        above=draw(st.sampled_from([None, replace(plain.above, prediction=foreseen)])),
        purpose=draw(st.sampled_from(get_args(Purpose))),
        occasion=draw(st.sampled_from(["session", "week"])),
        week=draw(st.none() | weeks()),
        offers=lambda: tuple(offered),
    )


@given(situations())
def test_every_proposal_is_whole(given_: Situation) -> None:
    proposal = decide(given_)
    assert proposal.outcome in OUTCOMES
    assert proposal.reason.endswith((".", "?"))
    assert proposal.confidence in ("high", "medium", "low")
    assert proposal.confidence_why
    assert proposal.rules
    assert all(RULES[rule.id] is rule for rule in proposal.rules)
    assert len({rule.id for rule in proposal.rules}) == len(proposal.rules)
    assert all(figure.name for figure in proposal.figures)


@given(situations())
def test_the_same_situation_is_judged_the_same(given_: Situation) -> None:
    assert decide(given_) == decide(replace(given_))


@given(situations())
def test_only_steps_change_the_rung_and_each_goes_its_own_way(given_: Situation) -> None:
    proposal = decide(given_)
    where = {"step_up": given_.above, "step_back": given_.below}
    if proposal.outcome in where:
        there = where[proposal.outcome]
        assert there is not None
        assert proposal.to == there.key
    else:
        assert proposal.to == given_.key


@given(situations())
def test_a_new_rung_comes_with_a_lever_and_with_nothing_else(given_: Situation) -> None:
    proposal = decide(given_)
    levers = {"slow_eccentric", "add_load", "reduce_assistance"}
    assert (proposal.rung is not None) == (proposal.outcome in levers)
    if proposal.rung is not None:
        assert proposal.rung in [offer.rung for offer in given_.offers()]


@given(situations())
def test_amounts_stay_within_their_bounds(given_: Situation) -> None:
    proposal = decide(given_)
    sets_now = given_.rung.prescription.sets
    if proposal.outcome == "add_set":
        assert proposal.amount == sets_now + 1 <= most_sets(given_.method)
    if proposal.outcome == "step_up" and proposal.amount is not None:
        assert proposal.amount == sets_now
    if proposal.outcome == "reduce_days":
        assert given_.week is not None
        assert proposal.amount is not None
        assert 1 <= proposal.amount < given_.week.days_done
    if proposal.outcome == "ease_off":
        assert proposal.amount is not None
        assert proposal.amount > 0


@given(situations())
def test_a_session_says_nothing_that_only_a_week_can(given_: Situation) -> None:
    assert decide(replace(given_, occasion="session")).outcome not in WEEKLY


@given(situations())
def test_keeping_never_asks_for_more(given_: Situation) -> None:
    assert decide(replace(given_, purpose="keep")).outcome not in HARDER


@given(situations(), st.integers(PAIN_STOP, 10))
def test_pain_of_today_stops_in_every_school(given_: Situation, pain: int) -> None:
    hurt = SessionRecord(TODAY, (SetRecord("here", 30, 5, pain=pain, pain_place="wrist"),))
    proposal = decide(replace(given_, sessions=(*given_.sessions, hurt)))
    assert proposal.outcome == "stop"
    assert "clinician" in proposal.reason
    assert not proposal.plain


@given(situations(), st.integers(PAIN_STOP, 10))
def test_where_a_coach_goes_on_in_spite_of_pain_nothing_gets_harder(
    given_: Situation, pain: int
) -> None:
    """Common practice: a coach may know better what hurts, but nobody adds to it."""
    sore = SetRecord("here", 30, 5, pain=pain, pain_place="wrist")
    last = SessionRecord(TODAY, (sore, sore, sore, sore))
    stop = AnsweredProposal("stop", "here", ("pain.stop", "pain.rising"), "decline", 2, pain)
    proposal = decide(replace(given_, sessions=(*given_.sessions, last), answered=(stop,)))
    assert proposal.outcome not in {
        *(
            "add_amount",
            "add_set",
            "slow_eccentric",
            "add_load",
            "reduce_assistance",
            "step_up",
            "stop",
        )
    }


@pytest.mark.parametrize(
    ("outcome", "harder"),
    [
        *((one, True) for one in ("add_amount", "add_set", "slow_eccentric", "add_load")),
        *((one, True) for one in ("reduce_assistance", "step_up")),
        *((one, False) for one in ("stop", "ease_off", "step_back", "hold")),
        *((one, False) for one in ("swap_surface", "reduce_days", "retest")),
    ],
)
def test_in_spite_of_pain_each_harder_outcome_becomes_a_hold(outcome: Any, harder: bool) -> None:
    """Whatever a method would propose, written out one by one."""
    sore = SetRecord("here", 30, 5, pain=PAIN_STOP, pain_place="wrist")
    there = situation("double_progression", SessionRecord(TODAY, (sore,)))
    proposed = replace(decide(situation("double_progression")), outcome=outcome)
    became = in_spite(proposed, there)
    assert became.outcome == ("hold" if harder else outcome)
    assert in_spite(proposed, situation("double_progression")) == proposed, (
        "without pain nothing is held back"
    )


@given(situations())
def test_plain_decisions_are_sure_and_simple(given_: Situation) -> None:
    proposal = decide(given_)
    assert proposal.plain == (proposal.outcome in PLAIN and proposal.confidence == "high")


@given(situations())
def test_a_coach_who_declines_everything_is_soon_left_alone(given_: Situation) -> None:
    """No nagging: nothing is asked twice on one day, and in the end there is only a hold."""
    asked: list[tuple[str, frozenset[str]]] = []
    answered: tuple[AnsweredProposal, ...] = ()
    for _ in range(12):
        proposal = decide(replace(given_, answered=answered))
        if proposal.outcome == "hold":
            return
        spoke = frozenset(rule.id for rule in proposal.rules)
        if proposal.outcome != "add_amount":
            assert (proposal.outcome, spoke) not in asked
        elif (proposal.outcome, spoke) in asked:
            return  # a rep more within the range is the prescription itself
        asked.append((proposal.outcome, spoke))
        said = AnsweredProposal(proposal.outcome, "here", tuple(spoke), "decline", 0, given_.pain)
        answered = (said, *answered)
    raise AssertionError(asked)


def _worse(session: SessionRecord, fewer: int, harder: float, spoilt: bool) -> SessionRecord:
    return replace(
        session,
        sets=tuple(
            replace(
                one,
                amount=max(0, one.amount - fewer),
                rpe=min(10.0, one.rpe + harder),
                form_ok=one.form_ok and not spoilt,
            )
            for one in session.sets
        ),
    )


def _height(outcome: str) -> int:
    return 1 if outcome in UP else -1 if outcome in {"step_back", "stop", "reduce_days"} else 0


@given(
    situations(("double_progression",)),
    st.integers(0, 6),
    st.sampled_from([0.0, 0.5, 1.0, 2.0]),
    st.booleans(),
)
def test_a_worse_session_never_leads_further_up(
    given_: Situation, fewer: int, harder: float, spoilt: bool
) -> None:
    """Fewer reps, more effort, lost form: none of them earns what the better day did not."""
    assume(given_.sessions)
    better = replace(given_, occasion="session")
    newest = _worse(better.sessions[-1], fewer, harder, spoilt)
    worse = replace(better, sessions=(*better.sessions[:-1], newest))
    assert _height(decide(worse).outcome) <= _height(decide(better).outcome)


@given(situations(), st.integers(15, 400))
def test_after_weeks_away_the_way_back_comes_first(given_: Situation, away: int) -> None:
    """Common practice: more than two weeks away, a lower share, whatever was earned before."""
    calm = SessionRecord(TODAY - timedelta(days=away), (SetRecord("here", 30, 5.0),))
    week = WeekSeen(TODAY)
    proposal = decide(replace(given_, sessions=(calm,), occasion="week", week=week))
    assert proposal.outcome == "ease_off"
    assert str(away) in proposal.reason
