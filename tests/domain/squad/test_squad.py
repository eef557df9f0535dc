"""Who needs the coach first."""

from dataclasses import replace
from datetime import date, timedelta

from invelo.domain.review.proposals.situation import OUTCOME_WORDS, OUTCOMES
from invelo.domain.squad.squad import MISSED_DAYS, Condition, flags, urgency

TODAY = date(2026, 3, 2)
WELL = Condition(stopped="", pain=0, pain_place="", pending_decisions=(), last=TODAY)


def kinds(condition: Condition) -> list[str]:
    return [mark.kind for mark in flags(condition, TODAY)]


def test_all_well_is_no_mark() -> None:
    assert kinds(WELL) == []


def test_reasons_stand_in_the_stated_order() -> None:
    worst = Condition("pain", 5, "left wrist", ("stop",), TODAY - timedelta(days=30))
    assert kinds(worst) == ["stopped", "pain", "proposal", "missed"]


def test_words_say_what_it_is() -> None:
    texts = [m.text for m in flags(replace(WELL, pain=3, pending_decisions=("fewer days",)), TODAY)]
    assert texts == ["pain 3 of 10, unnamed place", "needs your decision: fewer days"]


def test_several_decisions_are_one_mark() -> None:
    found = flags(replace(WELL, pending_decisions=("a test", "hold", "hold")), TODAY)
    assert [mark.text for mark in found] == ["needs your decision: a test, and 2 more"]


def test_load_is_a_mark_above_one_and_a_third() -> None:
    assert kinds(replace(WELL, ratio=1.3)) == []
    assert [m.text for m in flags(replace(WELL, ratio=1.4), TODAY)] == ["more than usual, ×1.40"]
    assert flags(replace(WELL, ratio=1.6), TODAY)[0].text.startswith("much more")


def test_of_one_kind_the_worse_comes_first() -> None:
    some, more = (flags(replace(WELL, pain=pain), TODAY) for pain in (2, 6))
    gone, longer = (flags(replace(WELL, last=TODAY - timedelta(days=d)), TODAY) for d in (7, 20))
    assert urgency(more) < urgency(some) < urgency(longer) < urgency(gone)


def test_absence_counts_from_the_day_after() -> None:
    def away(days: int) -> list[str]:
        return kinds(replace(WELL, last=TODAY - timedelta(days=days)))

    assert away(MISSED_DAYS) == []
    assert away(MISSED_DAYS + 1) == ["missed"]
    assert kinds(replace(WELL, last=None)) == ["new"]


def test_safety_comes_before_decisions_and_both_before_the_rest() -> None:
    stopped = flags(replace(WELL, stopped="x"), TODAY)
    hurt = flags(replace(WELL, pain=1), TODAY)
    pending_decisions = flags(replace(WELL, pending_decisions=("hold",)), TODAY)
    well = flags(WELL, TODAY)
    order = [urgency(found) for found in (stopped, hurt, pending_decisions, well)]
    assert order == sorted(order)
    assert len(set(order)) == 4


def test_every_outcome_is_told_as_a_coach_says_it() -> None:
    assert set(OUTCOME_WORDS) == set(OUTCOMES)
    assert not [words for words in OUTCOME_WORDS.values() if "_" in words]
