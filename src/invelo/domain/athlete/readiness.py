"""Readiness: what a body must show before some movements are given, and what opens a closed
criterion.

A criterion is no dead end: each check names the balance or mobility work that opens it, and a day
to try again. Checks and what they open are common practice; where a published figure stands beside
one, it is named.
"""

from dataclasses import dataclass
from datetime import date, timedelta
from typing import Literal

from invelo.domain.biomechanics.posture.form import Form, forms

CheckId = Literal["one-leg stand", "ankle", "hip", "shoulder", "wrist", "flat back", "sit and lift"]


@dataclass(frozen=True)
class Check:
    """One readiness check.

    Attributes:
        id: as stored.
        name: in words.
        how: what to do.
        passes: what must be seen.
        opens: the forms that wait for it.
        prepares: the balance or mobility work while it is closed.
        prescription: of that work.
        again_days: until it is tried again.
        sides: whether each side is looked at.
        beside: a published figure to set it beside, '' where there is none.
    """

    id: CheckId
    name: str
    how: str
    passes: str
    opens: tuple[str, ...]
    prepares: str
    prescription: str
    again_days: int
    sides: bool = True
    beside: str = ""


CHECKS: tuple[Check, ...] = (
    Check(
        "one-leg stand",
        "Stand on one leg",
        "Barefoot beside a rail, hands free. Lift one foot off the floor and look ahead.",
        "10 s on each leg without touching anything.",
        ("one_leg_squat", "split_squat", "jump"),
        "Stand on one leg with a fingertip on the rail, then with the eyes following a thumb.",
        "3 × 20 s a side, every training day",
        14,
        beside="Eyes open, 18–39 years hold 43 s on average, 60–69 years 27 s (Springer and others "
        "2007, from memory).",
    ),
    Check(
        "ankle",
        "Knee to the wall",
        "Kneel with one foot a hand's width from a wall and push the knee to it, heel down.",
        "The knee meets the wall with the toes 8 cm away or more, heel down, no pain.",
        ("one_leg_squat",),
        "Knee-to-wall rocks with the heel down, then slow calf lowering off a step.",
        "2 × 12 a side, five days a week",
        21,
        beside="About 10 cm is usual in adults (Hoch and McKeon 2011, from memory).",
    ),
    Check(
        "hip",
        "Deep squat, held at a rail",
        "Hold a rail at chest height, feet shoulder-wide, and sit down as deep as it goes.",
        "Thighs below level, heels down, back not rounding, no pinch in the groin.",
        ("one_leg_squat", "split_squat"),
        "Deep squat held at the rail, shifting from side to side; half-kneeling hip stretch.",
        "3 × 30 s, five days a week",
        21,
        sides=False,
    ),
    Check(
        "shoulder",
        "Arms overhead, back to the wall",
        "Stand with head, back and hips at a wall and raise both straight arms until the thumbs "
        "touch it.",
        "Thumbs reach the wall with the ribs down, and no pain, numbness or slipping.",
        (
            "pike_push_up",
            "handstand_push_up",
            "handstand",
            "bench_dip",
            "dip",
            "back_lever",
        ),
        "Wall slides, then passing a stick from front to back with wide hands.",
        "2 × 10, every training day",
        21,
        sides=False,
    ),
    Check(
        "wrist",
        "Lean over flat hands",
        "On hands and knees, fingers forward, bring the shoulders ahead of the fingertips.",
        "Forearm passes a right angle to the hand without pain, weight held 10 s.",
        ("planche", "planche_lean", "handstand_push_up", "handstand"),
        "Wrist rocks on hands and knees, fingers forward, out and back; then lifts to the "
        "knuckles.",
        "2 × 15, every training day",
        14,
        sides=False,
    ),
    Check(
        "flat back",
        "Flat back with one leg down",
        "Lie on the back, knees over hips. Lower one straight leg to a hand's width, slide a "
        "finger under the low back.",
        "No finger fits under it on either side.",
        ("leg_lower", "hollow"),
        "The same with the knees bent, one heel tapping the floor at a time, breathing out.",
        "2 × 8 a side, every training day",
        14,
    ),
    Check(
        "sit and lift",
        "Sit and lift both heels",
        "Sit on the floor, legs straight and together, fingertips beside the knees. Lift both "
        "heels.",
        "Both heels a hand's width off the floor for 5 s, knees straight, no cramp, no pain in "
        "the groin.",
        ("v_sit",),
        "Seated leg lifts with the hands further back, then over a book; a long-sitting forward "
        "fold with a straight back.",
        "3 × 8 lifts and 2 × 45 s, four days a week",
        21,
        sides=False,
    ),
)


@dataclass(frozen=True)
class CheckResult:
    """What a check showed on a day.

    Attributes:
        check: which.
        passed: whether all of it was seen, on both sides.
        day: when.
        note: what was seen, '' for nothing to add.
    """

    check: CheckId
    passed: bool
    day: date
    note: str = ""

    @property
    def again_on(self) -> date | None:
        """When to try again; None where it is open."""
        return None if self.passed else self.day + timedelta(days=find_check(self.check).again_days)


def find_check(check_id: str) -> Check:
    """A check by its id.

    Raises:
        KeyError: if there is none.
    """
    return {str(check.id): check for check in CHECKS}[check_id]


def opened_by(check: Check) -> tuple[Form, ...]:
    """The forms that wait for a check."""
    return tuple(forms()[form_id] for form_id in check.opens)


def waits_for(form: Form, passed: frozenset[CheckId]) -> tuple[Check, ...]:
    """The checks that a form still waits for."""
    return tuple(check for check in CHECKS if form.id in check.opens and check.id not in passed)
