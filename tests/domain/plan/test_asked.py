"""What a day asks: less on the way back, in an easy week and on a new rung, and why."""

from datetime import date, timedelta

import pytest

from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers
from invelo.domain.ladder.rung import Rung
from invelo.domain.plan.asked import LAST_RPE, session_asked, way_back
from invelo.domain.plan.prescription import Criterion, Prescription

TODAY = date(2026, 6, 29)


def rung(low: int = 6, high: int = 10, rpe: float = 9.0, unit: str = "reps") -> Rung:
    return Rung(
        "Push-up",
        catalogue().find_movement("push-up"),
        Modifiers(),
        prescription=Prescription(4, low, high, 120, rpe, unit),
        criterion=Criterion(4, high, 9.0, unit=unit),
    )


def trained(*gaps: int) -> list[date]:
    """Days of sessions, the newest so many days ago, each gap before it."""
    days, day = [], TODAY
    for gap in gaps:
        day -= timedelta(days=gap)
        days.append(day)
    return days[::-1]


@pytest.mark.parametrize(
    ("gaps", "weeks", "share"),
    [
        ((20, 3, 2, 3), 2, 0.5),  # twenty days away: two weeks, half the sets at first
        ((60, 3, 2, 3), 4, 0.5),  # never more than four
        ((2, 30, 3, 2), 4, 0.5),
        ((3, 5, 30, 3, 2), 4, 0.625),  # its second week
    ],
)
def test_the_way_back_takes_as_long_as_the_break_up_to_four_weeks(
    gaps: tuple[int, ...], weeks: int, share: float
) -> None:
    back = way_back(trained(*gaps), TODAY)
    assert back is not None
    assert (back.weeks, back.share) == (weeks, pytest.approx(share))


@pytest.mark.parametrize("gaps", [(), (3, 2, 3), (14, 3, 2), (16, 14, 14, 14), (28, 3, 30, 3)])
def test_a_usual_gap_is_no_break_and_a_way_back_ends(gaps: tuple[int, ...]) -> None:
    days = trained(*gaps)
    if gaps == (28, 3, 30, 3):
        days.append(TODAY - timedelta(days=1))
        assert way_back(days, TODAY + timedelta(days=40)) is not None  # a new break counts
        return
    assert way_back(days, TODAY) is None


def test_a_day_back_asks_half_the_sets_a_shorter_range_and_less_effort() -> None:
    asked = session_asked(rung(), trained(30, 3, 2), TODAY)
    prescription = asked.rung.prescription
    assert asked.derived == "re-entry"
    assert (prescription.sets, prescription.low, prescription.high) == (2, 6, 8)
    assert prescription.rpe == 7.0
    assert "after 30 days" in asked.why
    assert asked.rung.criterion == rung().criterion  # what is to be shown does not move


def test_a_hold_comes_back_shorter_but_never_under_what_is_useful() -> None:
    asked = session_asked(rung(6, 12, unit="s"), trained(30, 3, 2), TODAY)
    assert (asked.rung.prescription.low, asked.rung.prescription.high) == (5, 7)
    long = session_asked(rung(12, 16, unit="s"), trained(30, 3, 2), TODAY).rung.prescription
    assert (long.low, long.high) == (10, 11)


def test_an_easy_week_asks_fewer_sets_at_less_effort() -> None:
    asked = session_asked(rung(), trained(3, 2, 3), TODAY, easy=(0.5, 7.0))
    assert (asked.rung.prescription.sets, asked.rung.prescription.rpe) == (2, 7.0)
    assert asked.derived == "easy"


def test_the_first_two_days_on_a_rung_ask_a_set_less_at_effort_8() -> None:
    for begun, sets, derived in ((0, 3, "first"), (1, 3, "first"), (2, 4, "")):
        asked = session_asked(rung(), trained(3, 2), TODAY, begun=begun)
        assert (asked.rung.prescription.sets, asked.derived) == (sets, derived)
    assert session_asked(rung(), trained(3, 2), TODAY, begun=0).rung.prescription.rpe == 8.0


def test_the_way_back_comes_before_an_easy_week_and_that_before_first_days() -> None:
    both = session_asked(rung(), trained(30, 3, 2), TODAY, 0, (0.5, 7.0))
    assert both.derived == "re-entry"
    assert session_asked(rung(), trained(3, 2), TODAY, 0, (0.5, 7.0)).derived == "easy"


def test_only_a_hard_last_set_of_reps_goes_on() -> None:
    assert session_asked(rung(), trained(3, 2), TODAY).last_rpe == LAST_RPE
    assert session_asked(rung(rpe=8.0), trained(3, 2), TODAY).last_rpe is None
    assert session_asked(rung(unit="s"), trained(3, 2), TODAY).last_rpe is None
    assert session_asked(rung(), trained(3, 2), TODAY, open_end=True).open_end
