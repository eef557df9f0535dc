"""Readiness: what a check opens, and what opens a closed one."""

from dataclasses import replace
from datetime import date

import pytest

from invelo.domain.athlete.readiness import (
    CHECKS,
    Check,
    CheckId,
    CheckResult,
    find_check,
    held_back,
    waits_for,
)
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.plan.session.trainee import PREPARES_AMOUNT
from tests.domain.people import trainee

DAY = date(2026, 3, 2)


@pytest.mark.parametrize("check", CHECKS, ids=lambda one: one.id)
def test_a_closed_gate_is_no_dead_end(check) -> None:
    assert check.prepares
    assert check.prescription
    assert 7 <= check.again_days <= 28
    assert held_back(check)
    shown = CheckResult(check.id, False, DAY)
    assert shown.again_on is not None
    assert shown.again_on > DAY
    assert CheckResult(check.id, True, DAY).again_on is None


def waits(movement_id: str, passed: tuple[CheckId, ...] = (), **more: object) -> set[str]:
    movement = catalogue().find_movement(movement_id)
    found = waits_for(movement, movement.as_it_is, frozenset(passed), **more)  # type: ignore[arg-type]
    return {check.id for check in found}


@pytest.mark.parametrize(
    ("movement", "checks"),
    [
        ("one-leg-squat", {"one-leg stand", "ankle", "hip"}),
        ("step-up", {"one-leg stand"}),  # a low step waits for balance only
        ("two-stairs-step-up", {"one-leg stand"}),
        ("stairs-climb", {"one-leg stand"}),
        ("one-leg-hinge", {"one-leg stand"}),
        ("deep-side-lunge", {"ankle", "hip"}),
        ("split-squat", set()),  # does not wait for a deep squat
        ("dip", {"hands behind"}),
        ("bench-dip", {"hands behind"}),
        ("tuck-back-lever", {"hands behind"}),
        ("pull-up", {"shoulder"}),
        ("feet-helped-pull-up", set()),
        ("wall-slide", set()),  # it is the shoulder's own work
        ("pike-push-up", {"shoulder"}),
        ("handstand-push-up", {"shoulder", "wrist"}),
        ("planche-lean", {"wrist"}),
        ("leg-lower", {"flat back"}),
        ("hanging-leg-raise", {"flat back", "shoulder"}),
        ("v-sit", {"sit and lift"}),
        *((plain, set()) for plain in ("push-up", "row", "squat", "plank", "bridge", "tuck-l-sit")),
    ],
)
def test_what_waits_for_what(movement: str, checks: set[str]) -> None:
    """Common practice: stand on each leg before stairs and one-leg work, ankle and hip range
    before one-leg squats, arms behind before dips, overhead before hangs, a flat back before lower
    legs, wrists and overhead reach before handstands."""
    assert waits(movement) == checks
    assert waits(movement, tuple(check.id for check in CHECKS)) == set()


def test_the_work_of_a_check_waits_for_no_check() -> None:
    from invelo.domain.plan.session.trainee import PREPARES

    assert set(PREPARES) == {check.id for check in CHECKS}
    for movement, _ in PREPARES.values():
        assert waits(movement) == set(), movement


def test_a_palm_that_does_not_lie_flat_closes_the_floor_only_once_it_was_seen() -> None:
    assert waits("push-up") == set()
    assert waits("push-up", failed=frozenset({"flat hand"})) == {"flat hand"}
    assert waits("dip", ("hands behind",), failed=frozenset({"flat hand"})) == set()


def test_from_sixty_five_balance_is_looked_at_before_any_landing() -> None:
    assert waits("jumping-jacks") == set()
    assert waits("jumping-jacks", older=True) == {"one-leg stand"}
    assert waits("one-leg-stand", older=True) == set()


def test_work_that_opens_a_check_begins_under_the_mark_that_was_failed() -> None:
    """Ten seconds on one leg were not there: five are asked first, ten from the second week on
    (common practice)."""
    balance = trainee(closed_checks=(find_check("one-leg stand"),))
    amounts = []
    for days in (0, 6, 7, 20):
        who = replace(balance, failed_days={"one-leg stand": days})
        (item,) = who.preparation()
        amounts.append([work_set.low for work_set in item.sets])
    assert amounts == [[5, 5, 5], [5, 5, 5], [10, 10, 10], [10, 10, 10]]


@pytest.mark.parametrize("check", CHECKS, ids=lambda check: check.id)
def test_every_checks_work_grows(check: Check) -> None:
    early, later = PREPARES_AMOUNT[check.id]
    assert 0 < early < later
