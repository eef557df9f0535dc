"""Decisions: each method's own way up, and what is added meanwhile."""

from dataclasses import replace
from datetime import date, timedelta

import pytest

from invelo.domain.biomechanics.body import Body
from invelo.domain.catalogue.movement import Modifiers
from invelo.domain.estimate import Estimate
from invelo.domain.ladder.rung import Rung
from invelo.domain.ladder.step_policy import StepPolicy
from invelo.domain.plan.methods import criterion_for, prescription_for
from invelo.domain.plan.prescription import Method
from invelo.domain.review.proposals.offers import offers
from invelo.domain.review.proposals.propose import ORDER, decide
from invelo.domain.review.proposals.situation import Neighbour, Offer, Situation, WeekSeen
from invelo.domain.review.trend import TrendPoint
from invelo.domain.strength.capacity import evidence, pool
from invelo.domain.training.log import SessionRecord, SetRecord
from tests.domain.people import AVERAGE, rung

MONDAY = date(2026, 3, 2)


def reps(likely: float, spread: float = 1.0) -> Estimate:
    return Estimate(likely, likely - spread, likely + spread, "reps")


def by(method: Method, here: Rung | None = None, sets: int = 3) -> Rung:
    plain = here or rung("Floor push-up")
    prescription = replace(prescription_for(method, "strength", "intermediate"), sets=sets)
    return replace(plain, prescription=prescription, criterion=criterion_for(method, prescription))


ABOVE = rung("Stair-feet push-up", foot_height=0.17)
BELOW = rung("Stair push-up", hand_height=0.17)
SLOWER = rung("Floor push-up, 3 s eccentric")
HEAVIER = rung("Floor push-up, bag 4 kg")


def session(*counts: float, rpe: float = 8.5, days_ago: int = 0, **more: object) -> SessionRecord:
    sets = (SetRecord("here", one, rpe, **more) for one in counts)  # type: ignore[arg-type]
    return SessionRecord(MONDAY - timedelta(days=days_ago), tuple(sets))


def situation(method: Method, *sessions: SessionRecord, **change: object) -> Situation:
    plain = Situation(
        "here",
        by(method),
        Neighbour("below", BELOW, reps(14)),
        Neighbour("above", ABOVE, reps(9)),
        sessions,
        "strength",
        method=method,
    )
    return replace(plain, **change)  # type: ignore[arg-type]


def ids(proposal) -> list[str]:
    return [rule.id for rule in proposal.rules]


def flat(value: float = 60.0, points: int = 8, every: int = 3) -> tuple[TrendPoint, ...]:
    """Reach that stands still but for a little noise."""
    wobble = (0.0, 0.4, -0.3, 0.2, -0.4, 0.1, 0.3, -0.2)
    return tuple(
        TrendPoint(MONDAY - timedelta(days=every * (points - 1 - i)), value + wobble[i % 8])
        for i in range(points)
    )


def week(**change: object) -> WeekSeen:
    return replace(WeekSeen(MONDAY, evidence=MONDAY), **change)  # type: ignore[arg-type]


# ---- near failure ----


def test_a_set_of_thirty_near_failure_is_too_light_common_practice() -> None:
    proposal = decide(situation("near_failure", session(30, 24, rpe=9)))
    assert (proposal.outcome, ids(proposal)) == ("step_up", ["near-failure.ceiling"])


def test_twenty_nine_is_not_thirty() -> None:
    assert decide(situation("near_failure", session(29, 24, rpe=9))).outcome != "step_up"


def test_a_coach_s_own_ceiling_is_taken() -> None:
    here = by("near_failure")
    here = replace(here, criterion=replace(here.criterion, amount=20))
    assert decide(situation("near_failure", session(20, rpe=9), rung=here)).outcome == "step_up"


def test_all_out_is_no_alarm_where_it_is_meant() -> None:
    foot = by("near_failure").prescription.low
    assert decide(situation("near_failure", session(foot, rpe=10))).outcome != "step_back"
    assert decide(situation("double_progression", session(foot, rpe=10))).outcome == "step_back"


# ---- by effort ----


def test_by_effort_moves_when_the_next_range_s_foot_fits_at_the_target() -> None:
    above = Neighbour("above", by("rpe_target", ABOVE), reps(0))
    asks = above.rung.prescription.asks
    fits = replace(above, prediction=reps(asks))
    short = replace(above, prediction=reps(asks - 0.1))
    done = session(7, 7, 7, rpe=8)
    assert decide(situation("rpe_target", done, above=fits)).outcome == "step_up"
    assert decide(situation("rpe_target", done, above=short)).outcome != "step_up"


def test_by_effort_adds_a_set_while_the_effort_stays_at_its_target() -> None:
    full = session(10, 10, 10, rpe=8)
    above = Neighbour("above", ABOVE, reps(6.5))
    proposal = decide(situation("rpe_target", full, above=above))
    assert (proposal.outcome, proposal.amount) == ("add_set", 4)
    four = by("rpe_target", sets=4)
    assert decide(situation("rpe_target", full, above=above, rung=four)).outcome != "add_set"


# ---- wave ----


def test_the_hard_day_of_a_wave_takes_help_away_first() -> None:
    criterion = by("wave").criterion
    done = session(*[criterion.amount] * criterion.sets, rpe=9)
    help_less = Offer("load", rung("Push-up with help 4 kg"), reps(10), less_assistance=True)
    proposal = decide(situation("wave", done, offers=lambda: (help_less,)))
    assert (proposal.outcome, proposal.rung) == ("reduce_assistance", help_less.rung)
    assert "wave.hard-day" in ids(proposal)
    assert decide(situation("wave", done)).outcome == "step_up"


# ---- clock ----


def test_more_in_the_same_window_twice_running_goes_on() -> None:
    rising = (session(14, 14, 14), session(15, 14, 14), session(15, 15, 14))
    above = Neighbour("above", ABOVE, reps(20))
    assert decide(situation("density", *rising, above=above)).outcome == "step_up"
    weak = Neighbour("above", ABOVE, reps(5))
    proposal = decide(situation("density", *rising, above=weak))
    assert (proposal.outcome, ids(proposal)) == ("add_amount", ["clock.more-in-window"])
    assert "ten seconds longer" in proposal.reason


def test_as_many_as_before_is_not_more() -> None:
    same = (session(14, 14, 14), session(15, 14, 14), session(15, 14, 14))
    assert "clock.more-in-window" not in ids(decide(situation("density", *same)))


# ---- habit ----


@pytest.mark.parametrize(("ticks", "offered"), [(14, True), (12, True), (11, False), (0, False)])
def test_a_habit_is_offered_more_after_two_steady_weeks(ticks: int, offered: bool) -> None:
    asked = situation("habit", session(1), occasion="week", week=week(ticks=ticks))
    proposal = decide(asked)
    assert (proposal.outcome == "add_amount") is offered
    if offered:
        assert "nothing is asked for" in proposal.reason


def test_a_habit_is_never_pushed() -> None:
    steady = [session(5, rpe=4, days_ago=i) for i in range(30, 0, -1)]
    assert decide(situation("habit", *steady)).outcome == "hold"


# ---- a gap ahead, one lever alone ----


def met() -> tuple[SessionRecord, SessionRecord]:
    return session(10, 10, 10, days_ago=2), session(10, 10, 10)


FAR = Neighbour("above", ABOVE, reps(3))


def test_a_gap_ahead_is_crossed_by_one_lever() -> None:
    slow = Offer("tempo", SLOWER, reps(7))
    heavy = Offer("load", HEAVIER, reps(7))
    tempo_first = decide(
        situation("double_progression", *met(), above=FAR, offers=lambda: (slow, heavy))
    )
    load_first = decide(
        situation("double_progression", *met(), above=FAR, offers=lambda: (heavy, slow))
    )
    assert (tempo_first.outcome, tempo_first.rung) == ("slow_eccentric", SLOWER)
    assert (load_first.outcome, load_first.rung) == ("add_load", HEAVIER)
    assert "step.one-lever" in ids(tempo_first)


def test_a_lever_that_leaves_too_little_is_passed_over_for_a_set_more() -> None:
    slow = Offer("tempo", SLOWER, reps(4))
    proposal = decide(situation("double_progression", *met(), above=FAR, offers=lambda: (slow,)))
    assert (proposal.outcome, proposal.amount) == ("add_set", 4)


def test_levers_are_worked_out_on_the_model_in_the_coach_s_order() -> None:
    here = by("double_progression")
    known = pool([evidence(MONDAY, "test", AVERAGE, here.movement, Modifiers(), 20.0, 10.0)])
    first = offers(AVERAGE, here, StepPolicy(order=("load", "tempo", "lever", "range")), known)
    assert first[0].lever == "load"
    assert first[0].rung.modifiers.added_load.bag > 0
    assert first[0].expected is not None
    assert first[0].expected.likely < 20
    other = offers(AVERAGE, here, StepPolicy(order=("tempo", "lever", "range", "load")), known)
    assert other[0].lever == "tempo"
    assert other[0].rung.modifiers.tempo.lower > here.modifiers.tempo.lower


def test_less_help_comes_before_every_other_lever() -> None:
    from invelo.domain.biomechanics.setup import Assistance

    helped = replace(by("double_progression"), modifiers=Modifiers(assistance=Assistance(20.0)))
    found = offers(AVERAGE, helped, StepPolicy(), None)
    assert found[0].less_assistance
    assert found[0].rung.modifiers.assistance is not None
    assert found[0].rung.modifiers.assistance.kg < 20


# ---- adding within the range ----


def test_room_in_every_set_is_a_rep_more() -> None:
    proposal = decide(situation("double_progression", session(8, 8, 8, rpe=7.5)))
    assert (proposal.outcome, ids(proposal)) == ("add_amount", ["range.room"])


def test_no_room_is_a_hold() -> None:
    proposal = decide(situation("double_progression", session(8, 8, 7, rpe=8.5)))
    assert (proposal.outcome, ids(proposal)) == ("hold", ["range.building"])


# ---- all of it ----


def test_safety_speaks_before_the_week() -> None:
    hurt = session(8, pain=6, pain_place="elbow")
    asked = situation("double_progression", hurt, occasion="week", week=week(ratio=2.0))
    assert decide(asked).outcome == "stop"


def test_rules_are_asked_in_a_fixed_order() -> None:
    names = [ask.__name__ for ask in ORDER]
    assert names == [
        *("pain", "layoff", "too_hard", "load", "frequency", "form", "by_method"),
        *("plateau", "test_again", "surface"),
    ]


def test_another_body_gets_other_levers() -> None:
    here = by("double_progression")
    heavy = offers(
        Body(110.0, 1.9), here, StepPolicy(order=("load", "tempo", "lever", "range")), None
    )
    light = offers(
        Body(50.0, 1.55), here, StepPolicy(order=("load", "tempo", "lever", "range")), None
    )
    assert heavy[0].rung.modifiers.added_load.bag > light[0].rung.modifiers.added_load.bag


def test_a_lever_that_asks_more_than_the_next_rung_is_no_step_towards_it() -> None:
    """A coach would laugh: three seconds down on this rung, when the next one is easier."""
    near = Neighbour("above", ABOVE, reps(7))
    slow, light = Offer("tempo", SLOWER, reps(7)), Offer("load", HEAVIER, reps(9))
    here = situation("double_progression", *met(), above=near, offers=lambda: (slow, light))
    assert here.steps_on_the_way() == (light,)
    assert here.useful_offers() == (light,)
    top = replace(here, above=None)
    assert top.steps_on_the_way() == (slow, light)


def test_less_help_than_the_next_rung_has_is_the_next_rung() -> None:
    criterion = by("wave").criterion
    done = session(*[criterion.amount] * criterion.sets, rpe=9)
    less = Offer("load", rung("Pull-up, 16.5 kg assistance"), reps(5), less_assistance=True)
    proposal = decide(
        situation("wave", done, above=Neighbour("above", ABOVE, reps(6)), offers=lambda: (less,))
    )
    assert (proposal.outcome, proposal.to) == ("step_up", "above")
