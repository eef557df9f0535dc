"""What weeks come to: limits learned, sums by region and joint, turnouts, messages."""

from datetime import date, timedelta

import pytest

from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers
from invelo.domain.plan.session.totals import torques
from invelo.domain.review.forecast import nearer_by
from invelo.domain.review.message import BYE, MessageTopic, message
from invelo.domain.review.proposals.outcome import outcome_after
from invelo.domain.review.proposals.situation import OUTCOMES
from invelo.domain.review.response import weekly_limit
from invelo.domain.review.tally import Group, tally
from invelo.domain.review.trend import TrendPoint
from invelo.domain.strength.tempo import Tempo
from tests.domain.people import AVERAGE

MONDAY = date(2026, 1, 5)
PUSH_UP = catalogue().find_movement("push-up")


def week_start(week: int) -> date:
    return MONDAY + timedelta(weeks=week)


# ---- the limit of the most stressful rungs ----


def response(weeks: list[tuple[int, float]]) -> tuple[list[TrendPoint], dict[date, int]]:
    """Weeks of so many days, each with the change of reach into the next."""
    value, points, days = 60.0, [TrendPoint(week_start(0), 60.0)], {}
    for week, (count, change) in enumerate(weeks):
        days[week_start(week)] = count
        value *= 1 + change
        points.append(TrendPoint(week_start(week + 1), value))
    return points, days


def test_two_days_are_the_limit_until_their_own_weeks_tell_common_practice() -> None:
    for weeks in ([], [(3, 0.01), (3, 0.01)]):
        limit = weekly_limit(*response(weeks))
        assert (limit.days, limit.learned) == (2, False)
        assert limit.derivation.note


def test_who_bears_three_days_may_have_three() -> None:
    limit = weekly_limit(*response([(3, 0.01)] * 3))
    assert (limit.days, limit.learned) == (3, True)
    assert limit.derivation.inputs[0].value == 1.0


def test_who_falls_after_three_is_kept_to_two() -> None:
    limit = weekly_limit(*response([(3, -0.05), (2, 0.01)] * 3))
    assert (limit.days, limit.learned) == (2, True)


def test_who_falls_after_two_is_kept_to_one_and_never_to_none() -> None:
    assert weekly_limit(*response([(2, -0.05)] * 3)).days == 1
    assert weekly_limit(*response([(1, -0.05)] * 3)).days == 1


def test_no_response_raises_the_limit_beyond_four() -> None:
    assert weekly_limit(*response([(6, 0.02)] * 4 + [(4, 0.02)] * 4)).days == 4


def test_one_bad_week_is_not_the_middle_of_three() -> None:
    assert weekly_limit(*response([(3, 0.01), (3, -0.2), (3, 0.01)])).days == 3


# ---- sums of weeks ----


def group(**change: object) -> Group:
    plain = {
        "week_start": MONDAY,
        "movement": PUSH_UP,
        "modifiers": Modifiers(),
        "kind": "work",
        "side": "",
        "sets": 3,
        "amount": 30.0,
        "best": 10.0,
    }
    return Group(**{**plain, **change})  # type: ignore[arg-type]


def test_a_prime_mover_counts_one_and_a_small_helper_nothing() -> None:
    (week,) = tally([group()], lambda _: AVERAGE)
    assert week.regions["chest"] == 3
    assert not PUSH_UP.helping.keys() & week.regions.keys()


def test_easy_sets_are_no_hard_sets_and_load_joints_all_the_same() -> None:
    (week,) = tally([group(kind="easy")], lambda _: AVERAGE)
    assert week.regions == {}
    assert week.joints["shoulder"].likely > 0


def test_torque_seconds_are_torque_times_seconds_by_hand() -> None:
    slow = Modifiers(tempo=Tempo(3, 0, 1, 0))
    (week,) = tally([group(modifiers=slow)], lambda _: AVERAGE)
    torque = torques(AVERAGE, PUSH_UP, slow)["shoulder"]
    assert week.joints["shoulder"].likely == pytest.approx(torque.likely * 30 * 4.0)
    assert week.joints["shoulder"].low <= week.joints["shoulder"].likely


def test_both_sides_of_a_set_are_one_set_and_are_compared() -> None:
    sides = [group(side=side, best=best) for side, best in (("left", 8.0), ("right", 10.0))]
    (week,) = tally(sides, lambda _: AVERAGE)
    assert week.regions["chest"] == 3
    assert (week.left["Push-up"], week.right["Push-up"]) == (8, 10)


def test_weeks_stand_in_order_with_the_body_of_their_day() -> None:
    asked: list[date] = []

    def body_on(day: date):
        asked.append(day)
        return AVERAGE

    found = tally([group(week_start=week_start(1)), group()], body_on)
    assert [one.week_start for one in found] == [week_start(0), week_start(1)]
    assert set(asked) == {week_start(0), week_start(1)}


# ---- how a decision turned out ----


def reach(*values: float) -> list[TrendPoint]:
    return [TrendPoint(MONDAY + timedelta(days=3 * i), value) for i, value in enumerate(values)]


@pytest.mark.parametrize(
    ("after", "words"),
    [(66.0, "rose (+10 %"), (54.0, "fell (-10 %"), (61.0, "as before (+2 %")],
)
def test_reach_before_is_held_against_reach_after(after: float, words: str) -> None:
    told = outcome_after(reach(60, 60, 60, after, after), MONDAY + timedelta(days=6))
    assert told is not None
    assert words in told.words
    assert told.days == 2


def test_nothing_is_said_before_anything_tells() -> None:
    assert outcome_after(reach(60, 60), MONDAY + timedelta(days=3)) is None
    assert outcome_after(reach(60, 60), MONDAY - timedelta(days=1)) is None
    late = [*reach(60), TrendPoint(MONDAY + timedelta(days=40), 70.0)]
    assert outcome_after(late, MONDAY) is None


# ---- what an athlete is told ----

HEALTH = ("pain", "hurt", "injur", "doctor", "clinician", "ill", "tired")


@pytest.mark.parametrize("outcome", OUTCOMES)
def test_every_outcome_has_a_message_that_says_nothing_of_health(outcome) -> None:
    told = message(
        MessageTopic(outcome, "Stair push-up", "Floor push-up", "Dips", "Ilse Marn", 3.0)
    )
    words = f"{told.subject} {told.body}".lower().split()
    assert not any(word.startswith(HEALTH) for word in words)
    assert told.body.endswith("Ilse Marn")
    assert "Dips" in told.subject


def test_figures_and_rungs_stand_in_the_message() -> None:
    def body(outcome: str) -> str:
        dose = "3 × 6–10 at effort 9"
        told = MessageTopic(outcome, "Stair push-up", "Floor push-up", "Dips", "", 3.0, dose)  # type: ignore[arg-type]
        return message(told).body

    assert "A set more from now on: “Stair push-up”: 3 × 6–10 at effort 9." in body("add_set")
    assert "3 days a week" in body("reduce_days")
    assert "“Stair push-up”" in body("step_back")
    assert body("hold").endswith(BYE)


# ---- what would bring a criterion nearer ----


@pytest.mark.parametrize(
    ("days", "rpe", "done", "growth", "words"),
    [
        (3.0, 8.5, 0.5, 0.01, "Do the planned sessions: 50 %"),
        (1.0, 8.5, 1.0, 0.01, "A second day a week"),
        (3.0, 6.0, 1.0, 0.01, "Sets nearer their end"),
        (3.0, 8.5, 1.0, -0.01, "Change one thing"),
        (3.0, 8.5, 1.0, 0.01, "Go on as you do"),
    ],
)
def test_the_plainest_remedy_is_named_first(
    days: float, rpe: float, done: float, growth: float, words: str
) -> None:
    assert nearer_by(days, rpe, done, growth).startswith(words)
