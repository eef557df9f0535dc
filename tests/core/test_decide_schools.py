"""Decisions: each school's own way up, what is added meanwhile, the weekly rules, no nagging."""

from dataclasses import replace
from datetime import date, timedelta

import pytest

from invelo.core.body import Body
from invelo.core.capacity import evidence, pool
from invelo.core.decide import ORDER, Answered, Neighbour, Offer, Situation, decide
from invelo.core.decide.offers import offers
from invelo.core.decide.situation import WeekSeen
from invelo.core.dose import School
from invelo.core.estimate import Estimate
from invelo.core.log import SessionRecord, SetRecord
from invelo.core.movement import Modifiers
from invelo.core.rung import Rung
from invelo.core.schools import dose_for, gate_for
from invelo.core.terms import Terms
from invelo.core.trend import Point
from tests.core.people import AVERAGE, rung

MONDAY = date(2026, 3, 2)


def reps(likely: float, spread: float = 1.0) -> Estimate:
    return Estimate(likely, likely - spread, likely + spread, "reps")


def by(school: School, here: Rung | None = None, sets: int = 3) -> Rung:
    plain = here or rung("Floor push-up")
    dose = replace(dose_for(school, "strength", "intermediate"), sets=sets)
    return replace(plain, dose=dose, gate=gate_for(school, dose))


ABOVE = rung("Stair-feet push-up", foot_height=0.17)
BELOW = rung("Stair push-up", hand_height=0.17)
SLOWER = rung("Floor push-up, lowering 3 s")
HEAVIER = rung("Floor push-up, bag 4 kg")


def session(
    *counts: float, effort: float = 8.5, days_ago: int = 0, **more: object
) -> SessionRecord:
    sets = (SetRecord("here", one, effort, **more) for one in counts)  # type: ignore[arg-type]
    return SessionRecord(MONDAY - timedelta(days=days_ago), tuple(sets))


def situation(school: School, *sessions: SessionRecord, **change: object) -> Situation:
    plain = Situation(
        "here",
        by(school),
        Neighbour("below", BELOW, reps(14)),
        Neighbour("above", ABOVE, reps(9)),
        sessions,
        "strength",
        school=school,
    )
    return replace(plain, **change)  # type: ignore[arg-type]


def ids(proposal) -> list[str]:
    return [rule.id for rule in proposal.rules]


def flat(value: float = 60.0, points: int = 8, every: int = 3) -> tuple[Point, ...]:
    """Reach that stands still but for a little noise."""
    wobble = (0.0, 0.4, -0.3, 0.2, -0.4, 0.1, 0.3, -0.2)
    return tuple(
        Point(MONDAY - timedelta(days=every * (points - 1 - i)), value + wobble[i % 8])
        for i in range(points)
    )


def week(**change: object) -> WeekSeen:
    return replace(WeekSeen(MONDAY, evidence=MONDAY), **change)  # type: ignore[arg-type]


# ---- near failure ----


def test_a_set_of_thirty_near_failure_is_too_light_common_practice() -> None:
    proposal = decide(situation("near-failure", session(30, 24, effort=9)))
    assert (proposal.outcome, ids(proposal)) == ("step-up", ["near-failure.ceiling"])


def test_twenty_nine_is_not_thirty() -> None:
    assert decide(situation("near-failure", session(29, 24, effort=9))).outcome != "step-up"


def test_a_coach_s_own_ceiling_is_taken() -> None:
    here = by("near-failure")
    here = replace(here, gate=replace(here.gate, amount=20))
    assert decide(situation("near-failure", session(20, effort=9), rung=here)).outcome == "step-up"


def test_all_out_is_no_alarm_where_it_is_meant() -> None:
    foot = by("near-failure").dose.low
    assert decide(situation("near-failure", session(foot, effort=10))).outcome != "step-back"
    assert decide(situation("range", session(foot, effort=10))).outcome == "step-back"


# ---- by effort ----


def test_by_effort_moves_when_the_next_range_s_foot_fits_at_the_target() -> None:
    above = Neighbour("above", by("effort", ABOVE), reps(0))
    asks = above.rung.dose.asks
    fits = replace(above, prediction=reps(asks))
    short = replace(above, prediction=reps(asks - 0.1))
    done = session(7, 7, 7, effort=8)
    assert decide(situation("effort", done, above=fits)).outcome == "step-up"
    assert decide(situation("effort", done, above=short)).outcome != "step-up"


def test_by_effort_adds_a_set_while_the_effort_stays_at_its_target() -> None:
    full = session(10, 10, 10, effort=8)
    above = Neighbour("above", ABOVE, reps(6.5))
    proposal = decide(situation("effort", full, above=above))
    assert (proposal.outcome, proposal.amount) == ("add-set", 4)
    four = by("effort", sets=4)
    assert decide(situation("effort", full, above=above, rung=four)).outcome != "add-set"


# ---- wave ----


def test_the_hard_day_of_a_wave_takes_help_away_first() -> None:
    gate = by("wave").gate
    done = session(*[gate.amount] * gate.sets, effort=9)
    help_less = Offer("load", rung("Push-up with help 4 kg"), reps(9), less_help=True)
    proposal = decide(situation("wave", done, offers=lambda: (help_less,)))
    assert (proposal.outcome, proposal.rung) == ("less-help", help_less.rung)
    assert "wave.hard-day" in ids(proposal)
    assert decide(situation("wave", done)).outcome == "step-up"


# ---- clock ----


def test_more_in_the_same_window_twice_running_goes_on() -> None:
    rising = (session(14, 14, 14), session(15, 14, 14), session(15, 15, 14))
    above = Neighbour("above", ABOVE, reps(20))
    assert decide(situation("clock", *rising, above=above)).outcome == "step-up"
    weak = Neighbour("above", ABOVE, reps(5))
    proposal = decide(situation("clock", *rising, above=weak))
    assert (proposal.outcome, ids(proposal)) == ("add-amount", ["clock.more-in-window"])
    assert "ten seconds longer" in proposal.reason


def test_as_many_as_before_is_not_more() -> None:
    same = (session(14, 14, 14), session(15, 14, 14), session(15, 14, 14))
    assert "clock.more-in-window" not in ids(decide(situation("clock", *same)))


# ---- habit ----


@pytest.mark.parametrize(("ticks", "offered"), [(14, True), (12, True), (11, False), (0, False)])
def test_a_habit_is_offered_more_after_two_steady_weeks(ticks: int, offered: bool) -> None:
    asked = situation("habit", session(1), occasion="week", week=week(ticks=ticks))
    proposal = decide(asked)
    assert (proposal.outcome == "add-amount") is offered
    if offered:
        assert "nothing is asked for" in proposal.reason


def test_a_habit_is_never_pushed() -> None:
    steady = [session(5, effort=4, days_ago=i) for i in range(30, 0, -1)]
    assert decide(situation("habit", *steady)).outcome == "hold"


# ---- a gap ahead, one lever alone ----


def met() -> tuple[SessionRecord, SessionRecord]:
    return session(10, 10, 10, days_ago=2), session(10, 10, 10)


FAR = Neighbour("above", ABOVE, reps(3))


def test_a_gap_ahead_is_crossed_by_one_lever() -> None:
    slow = Offer("tempo", SLOWER, reps(7))
    heavy = Offer("load", HEAVIER, reps(7))
    tempo_first = decide(situation("range", *met(), above=FAR, offers=lambda: (slow, heavy)))
    load_first = decide(situation("range", *met(), above=FAR, offers=lambda: (heavy, slow)))
    assert (tempo_first.outcome, tempo_first.rung) == ("slow-tempo", SLOWER)
    assert (load_first.outcome, load_first.rung) == ("add-load", HEAVIER)
    assert "step.one-lever" in ids(tempo_first)


def test_a_lever_that_leaves_too_little_is_passed_over_for_a_set_more() -> None:
    slow = Offer("tempo", SLOWER, reps(4))
    proposal = decide(situation("range", *met(), above=FAR, offers=lambda: (slow,)))
    assert (proposal.outcome, proposal.amount) == ("add-set", 4)


def test_levers_are_worked_out_on_the_model_in_the_coach_s_order() -> None:
    here = by("range")
    known = pool([evidence(MONDAY, "test", AVERAGE, here.movement, Modifiers(), 20.0, 10.0)])
    first = offers(AVERAGE, here, Terms(order=("load", "tempo", "lever", "range")), known)
    assert first[0].lever == "load"
    assert first[0].rung.modifiers.worn.bag > 0
    assert first[0].expected is not None
    assert first[0].expected.likely < 20
    other = offers(AVERAGE, here, Terms(order=("tempo", "lever", "range", "load")), known)
    assert other[0].lever == "tempo"
    assert other[0].rung.modifiers.tempo.lower > here.modifiers.tempo.lower


def test_less_help_comes_before_every_other_lever() -> None:
    from invelo.core.setup import Help

    helped = replace(by("range"), modifiers=Modifiers(help=Help(20.0)))
    found = offers(AVERAGE, helped, Terms(), None)
    assert found[0].less_help
    assert found[0].rung.modifiers.help is not None
    assert found[0].rung.modifiers.help.kg < 20


# ---- adding within the range ----


def test_room_in_every_set_is_a_rep_more() -> None:
    proposal = decide(situation("range", session(8, 8, 8, effort=7.5)))
    assert (proposal.outcome, ids(proposal)) == ("add-amount", ["range.room"])


def test_no_room_is_a_hold() -> None:
    proposal = decide(situation("range", session(8, 8, 7, effort=8.5)))
    assert (proposal.outcome, ids(proposal)) == ("hold", ["range.building"])


# ---- the week ----


def test_a_layoff_comes_back_over_as_many_weeks_common_practice() -> None:
    away = session(10, 10, 10, days_ago=22)
    proposal = decide(situation("range", away, occasion="week", week=week()))
    assert (proposal.outcome, ids(proposal)) == ("ease-off", ["layoff.re-entry"])
    assert "3 weeks" in proposal.reason
    fortnight = session(8, 8, 8, days_ago=14)
    other = decide(situation("range", fortnight, occasion="week", week=week()))
    assert other.outcome != "ease-off"


@pytest.mark.parametrize(("ratio", "eased"), [(1.51, True), (1.5, False), (1.2, False)])
def test_a_load_over_one_and_a_half_asks_to_ease(ratio: float, eased: bool) -> None:
    asked = situation("range", session(8, 8, 8), occasion="week", week=week(ratio=ratio))
    proposal = decide(asked)
    assert (proposal.outcome == "ease-off") is eased
    if eased:
        assert proposal.confidence == "low"
        assert "disputed" in proposal.confidence_why
        both = replace(asked, week=week(ratio=ratio, ratio_rolling=1.4))
        assert decide(both).confidence == "medium"


def test_a_session_alone_asks_nothing_of_the_week() -> None:
    asked = situation("range", session(8, 8, 8), week=week(ratio=2.0))
    assert decide(asked).outcome != "ease-off"


def test_a_most_stressful_rung_is_kept_to_its_days() -> None:
    seen = week(stressful=True, days_done=3, days_limit=2)
    proposal = decide(situation("range", session(8, 8, 8), occasion="week", week=seen))
    assert (proposal.outcome, proposal.amount) == ("cut-frequency", 2)
    calm = replace(seen, stressful=False)
    assert decide(situation("range", session(8, 8, 8), occasion="week", week=calm)).outcome != (
        "cut-frequency"
    )


def test_a_plateau_adds_a_set_then_changes_the_lever() -> None:
    still = week(reach=flat(), days_done=2)
    grows = situation("range", session(8, 8, 7), occasion="week", week=still)
    proposal = decide(grows)
    assert (proposal.outcome, ids(proposal)[0]) == ("add-set", "plateau.three-weeks")
    slow = Offer("tempo", SLOWER, reps(7))
    full = replace(grows, rung=by("range", sets=4), offers=lambda: (slow,))
    assert decide(full).outcome == "slow-tempo"
    nothing_left = replace(full, offers=lambda: ())
    assert (decide(nothing_left).outcome, decide(nothing_left).confidence) == ("hold", "low")


def test_a_plateau_at_high_effort_on_many_days_is_tiredness() -> None:
    still = week(reach=flat(), days_done=4)
    tired = session(8, 8, 7, effort=9)
    proposal = decide(situation("range", tired, occasion="week", week=still))
    assert (proposal.outcome, proposal.amount) == ("cut-frequency", 3)
    assert "plateau.frequency" in ids(proposal)


def test_a_rise_is_no_plateau_and_keeping_wants_none() -> None:
    rising = tuple(replace(one, value=one.value * (1 + 0.02 * i)) for i, one in enumerate(flat()))
    up = situation("range", session(8, 8, 7), occasion="week", week=week(reach=rising))
    assert "plateau.three-weeks" not in ids(decide(up))
    kept = situation(
        "range", session(8, 8, 7), occasion="week", week=week(reach=flat()), purpose="keep"
    )
    assert "plateau.three-weeks" not in ids(decide(kept))


def test_few_days_are_no_plateau() -> None:
    seen = week(reach=flat(points=4))
    asked = situation("range", session(8, 8, 7), occasion="week", week=seen)
    assert "plateau.three-weeks" not in ids(decide(asked))


def test_old_evidence_asks_for_a_test() -> None:
    old = week(evidence=MONDAY - timedelta(days=29))
    proposal = decide(situation("range", session(8, 8, 8), occasion="week", week=old))
    assert (proposal.outcome, ids(proposal)) == ("test-again", ["test.old"])
    fresh = week(evidence=MONDAY - timedelta(days=28))
    assert decide(situation("range", session(8, 8, 8), occasion="week", week=fresh)).outcome != (
        "test-again"
    )


def test_six_sessions_on_one_surface_swap_it() -> None:
    many = [session(8, 8, 7, days_ago=3 * i) for i in range(5, -1, -1)]
    seen = week(surface="bar", other_surface="rings")
    proposal = decide(situation("range", *many, occasion="week", week=seen))
    assert proposal.outcome == "swap-surface"
    assert "rings" in proposal.reason
    alone = situation("range", *many, occasion="week", week=week(surface="bar"))
    assert decide(alone).outcome != "swap-surface"


def test_no_easier_rung_and_many_days_cut_the_days() -> None:
    short = session(4, 4, 4)
    asked = situation("range", short, short, below=None, week=week(days_done=3))
    assert (decide(asked).outcome, decide(asked).amount) == ("cut-frequency", 2)


# ---- no nagging ----


def said(outcome: str, *rules: str, answer: str = "decline", **change: object) -> Answered:
    plain = Answered(outcome, "here", rules, answer, 3)  # type: ignore[arg-type]
    return replace(plain, **change)  # type: ignore[arg-type]


def test_what_was_declined_is_not_asked_again() -> None:
    asked = situation("range", *met(), answered=(said("step-up", "range.gate-met"),))
    assert decide(asked).outcome == "hold"


@pytest.mark.parametrize(
    "before",
    [
        said("step-up", "range.gate-met", from_key="below"),
        said("step-up", "range.gate-met", days=28),
        said("step-up", "effort.next-fits"),
        said("step-up", "range.gate-met", answer="take"),
        said("step-back", "range.gate-met"),
    ],
    ids=["another rung", "long ago", "another rule", "taken", "another outcome"],
)
def test_it_is_asked_again_once_something_changed(before: Answered) -> None:
    assert decide(situation("range", *met(), answered=(before,))).outcome == "step-up"


def test_a_stop_is_asked_again_when_the_pain_is_worse_and_after_it_was_taken() -> None:
    hurt = session(8, pain=5, pain_place="wrist")
    declined = said("stop", "pain.stop", pain=5)
    assert decide(situation("range", hurt, answered=(declined,))).outcome != "stop"
    less = replace(declined, pain=4)
    taken = replace(declined, answer="take")
    for before in (less, taken):
        assert decide(situation("range", hurt, answered=(before,))).outcome == "stop"


def test_advice_that_was_taken_has_three_weeks_to_show() -> None:
    still = week(reach=flat(), days_done=2)
    taken = said("add-set", "plateau.three-weeks", "sets.grow", answer="take", days=20)
    asked = situation("range", session(8, 8, 7), occasion="week", week=still, answered=(taken,))
    assert decide(asked).outcome != "add-set"
    later = replace(asked, answered=(replace(taken, days=21),))
    assert decide(later).outcome == "add-set"


# ---- all of it ----


def test_safety_speaks_before_the_week() -> None:
    hurt = session(8, pain=6, pain_place="elbow")
    asked = situation("range", hurt, occasion="week", week=week(ratio=2.0))
    assert decide(asked).outcome == "stop"


def test_rules_are_asked_in_a_fixed_order() -> None:
    names = [ask.__name__ for ask in ORDER]
    assert names == [
        *("pain", "layoff", "too_hard", "load", "frequency", "form", "school"),
        *("plateau", "test_again", "surface"),
    ]


def test_another_body_gets_other_levers() -> None:
    here = by("range")
    heavy = offers(Body(110.0, 1.9), here, Terms(order=("load", "tempo", "lever", "range")), None)
    light = offers(Body(50.0, 1.55), here, Terms(order=("load", "tempo", "lever", "range")), None)
    assert heavy[0].rung.modifiers.worn.bag > light[0].rung.modifiers.worn.bag
