"""Readiness: what a check opens, and what opens a closed one."""

from datetime import date

import pytest

from invelo.domain.athlete.readiness import CHECKS, CheckResult, find_check, opened_by, waits_for
from invelo.domain.biomechanics.posture.form import form

DAY = date(2026, 3, 2)


@pytest.mark.parametrize("check", CHECKS, ids=lambda one: one.id)
def test_a_closed_gate_is_no_dead_end(check) -> None:
    assert check.prepares
    assert check.prescription
    assert 7 <= check.again_days <= 28
    assert opened_by(check)
    shown = CheckResult(check.id, False, DAY)
    assert shown.again_on is not None
    assert shown.again_on > DAY
    assert CheckResult(check.id, True, DAY).again_on is None


@pytest.mark.parametrize(
    ("form_id", "check"),
    [
        ("one_leg_squat", "one-leg stand"),
        ("one_leg_squat", "ankle"),
        ("one_leg_squat", "hip"),
        ("bench_dip", "shoulder"),
        ("leg_lower", "flat back"),
        ("handstand_push_up", "wrist"),
        ("handstand_push_up", "shoulder"),
    ],
)
def test_what_waits_for_what(form_id: str, check: str) -> None:
    """Common practice: stand on each leg before one-leg work, ankle and hip range before one-leg
    squats, shoulder signs rule out bench dips, a flat back before lower legs, wrists and overhead
    reach before handstands."""
    assert find_check(check) in waits_for(form(form_id), frozenset())
    everything = frozenset(one.id for one in CHECKS)
    assert waits_for(form(form_id), everything) == ()


@pytest.mark.parametrize("form_id", ["push_up", "row", "squat", "plank", "pull_up", "bridge"])
def test_plain_movements_wait_for_nothing(form_id: str) -> None:
    assert waits_for(form(form_id), frozenset()) == ()
