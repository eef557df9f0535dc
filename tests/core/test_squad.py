"""Who needs the coach first."""

from dataclasses import replace
from datetime import date, timedelta

from invelo.core.squad import MISSED_DAYS, Condition, marks, urgency

TODAY = date(2026, 3, 2)
WELL = Condition(stopped="", pain=0, pain_place="", waiting="", last=TODAY)


def kinds(condition: Condition) -> list[str]:
    return [mark.kind for mark in marks(condition, TODAY)]


def test_all_well_is_no_mark() -> None:
    assert kinds(WELL) == []


def test_reasons_stand_in_the_stated_order() -> None:
    worst = Condition("pain", 5, "left wrist", "stop", TODAY - timedelta(days=30))
    assert kinds(worst) == ["stopped", "pain", "decision", "missed"]


def test_words_say_what_it_is() -> None:
    texts = [m.text for m in marks(replace(WELL, pain=3, waiting="step-up"), TODAY)]
    assert texts == ["pain 3 of 10, unnamed place", "step up waits for a word"]


def test_absence_counts_from_the_day_after() -> None:
    def away(days: int) -> list[str]:
        return kinds(replace(WELL, last=TODAY - timedelta(days=days)))

    assert away(MISSED_DAYS) == []
    assert away(MISSED_DAYS + 1) == ["missed"]
    assert kinds(replace(WELL, last=None)) == ["new"]


def test_safety_comes_before_decisions_and_both_before_the_rest() -> None:
    stopped = marks(replace(WELL, stopped="x"), TODAY)
    hurt = marks(replace(WELL, pain=1), TODAY)
    waiting = marks(replace(WELL, waiting="hold"), TODAY)
    well = marks(WELL, TODAY)
    order = [urgency(found) for found in (stopped, hurt, waiting, well)]
    assert order == sorted(order)
    assert len(set(order)) == 4
