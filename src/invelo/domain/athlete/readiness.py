"""Readiness: what a body must show before some movements are given, and what opens a closed
criterion.

A criterion is no dead end: each check names the balance or mobility work that opens it, and a day
to try again. Checks and what they open are common practice; where a published figure stands beside
one, it is named.
"""

from dataclasses import dataclass
from datetime import date, timedelta
from functools import lru_cache
from typing import Literal

from invelo.domain.athlete.strain import AVERAGE, Quantity, Strains, strains
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers, Movement

CheckId = Literal[
    "one-leg stand",
    "ankle",
    "hip",
    "shoulder",
    "hands behind",
    "flat hand",
    "wrist",
    "flat back",
    "sit and lift",
]

Requirement = tuple[tuple[Quantity, float], ...]
"""Strains that together make a movement wait: each at least so much."""


@dataclass(frozen=True)
class Check:
    """One readiness check.

    Attributes:
        id: as stored.
        name: in words.
        how: what to do.
        passes: what must be seen.
        requirements: what waits for it: whatever asks all of one, as an average body does it.
        movements: others that wait for it, by their id.
        if_failed: whether they wait only once it was tried and not passed.
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
    requirements: tuple[Requirement, ...]
    prepares: str
    prescription: str
    again_days: int
    sides: bool = True
    beside: str = ""
    movements: tuple[str, ...] = ()
    if_failed: bool = False

    def holds_back(self, movement: Movement, asked: Strains) -> bool:
        """Whether a movement waits for it."""
        return movement.id in self.movements or any(
            all(asked.get(quantity, 0.0) >= least for quantity, least in requirement)
            for requirement in self.requirements
        )


CHECKS: tuple[Check, ...] = (
    Check(
        "one-leg stand",
        "Stand on one leg",
        "Barefoot beside a rail, hands free. Lift one foot off the floor and look ahead.",
        "10 s on each leg without touching anything.",
        ((("one leg", 2),), (("impact", 2),)),
        "Stand on one leg with a fingertip on the rail, then with the eyes following a thumb.",
        "3 × 5 s a side, then 3 × 10 s, every training day",
        10,
        beside="Eyes open, 18–39 years hold 43 s on average, 60–69 years 27 s (Springer and others "
        "2007, from memory).",
    ),
    Check(
        "ankle",
        "Knee to the wall",
        "Kneel with one foot a hand's width from a wall and push the knee to it, heel down.",
        "The knee meets the wall with the toes 8 cm away or more, heel down, no pain.",
        ((("one leg", 2), ("knee bend", 100), ("ankle bend", 28)), (("ankle bend", 44),)),
        "Knee-to-wall rocks with the heel down, then slow calf lowering off a step.",
        "2 × 12 a side, five days a week",
        21,
        beside="About 10 cm is usual in adults (Hoch and McKeon 2011, from memory).",
    ),
    Check(
        "hip",
        "Deep squat, held at a rail",
        "Hold a rail at chest height, feet at shoulder width, and sit as deep as you can with the "
        "heels down.",
        "Thighs below level, heels down, back not rounding, no pinch in the groin.",
        ((("one leg", 2), ("knee bend", 100)), (("ankle bend", 44),)),
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
        ((("overhead", 150), ("head down", 30)), (("overhead", 150), ("hanging", 2))),
        "Wall slides, then passing a stick from front to back with wide hands.",
        "2 × 10, every training day",
        21,
        sides=False,
    ),
    Check(
        "hands behind",
        "Hands behind the back",
        "Stand tall with a stick held behind the back, hands at shoulder width. Lift it away from "
        "the body with straight arms.",
        "Arms about 45° behind the body, no pain in front of the shoulder, chest not dropping.",
        (
            (("shoulders behind", 40), ("elbow load", 1)),
            (("shoulders behind", 40), ("straight arms", 1)),
        ),
        "Hands on a table behind you, slow small knee bends; then the stick lift in reps.",
        "2 × 10, every training day",
        21,
        sides=False,
    ),
    Check(
        "flat hand",
        "Flat hand, forearm upright",
        "On hands and knees, palms flat, shoulders over the wrists.",
        "Palms flat and forearms upright for 10 s without pain.",
        ((("wrist bend", 60),),),
        "Fists, bars or blocks under the hands, or forearms; wrist rocks in a small range.",
        "2 × 15, every training day",
        14,
        sides=False,
        if_failed=True,
    ),
    Check(
        "wrist",
        "Lean over flat hands",
        "On hands and knees, fingers forward, bring the shoulders ahead of the fingertips.",
        "Forearm passes a right angle to the hand without pain, weight held 10 s.",
        ((("wrist bend", 100),), (("wrist bend", 80), ("head down", 60))),
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
        (),
        "The same with the knees bent, one heel tapping the floor at a time, breathing out.",
        "2 × 8 a side, every training day",
        14,
        movements=(
            "leg-lower",
            "bent-knee-leg-lower",
            "hollow",
            "arms-down-hollow",
            "hanging-leg-raise",
        ),
    ),
    Check(
        "sit and lift",
        "Sit and lift both heels",
        "Sit on the floor, legs straight and together, fingertips beside the knees. Lift both "
        "heels.",
        "Both heels a hand's width off the floor for 5 s, knees straight, no cramp, no pain in "
        "the groin.",
        (),
        "Seated leg lifts with the hands further back, then over a book; a long-sitting forward "
        "fold with a straight back.",
        "3 × 8 lifts and 2 × 45 s, four days a week",
        21,
        sides=False,
        movements=("v-sit", "straddle-l-sit"),
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


OLDER_REQUIREMENTS: tuple[Requirement, ...] = ((("impact", 1),), (("one leg", 1),))
"""What waits for the one-leg stand besides, from the age at which balance is looked at first."""


def held_back(check: Check) -> tuple[str, ...]:
    """Names of the movements that wait for a check."""
    return tuple(
        movement.name
        for movement in catalogue().movement
        if check.holds_back(movement, strains(AVERAGE, movement, movement.as_it_is))
    )


def waits_for(
    movement: Movement,
    modifiers: Modifiers,
    passed: frozenset[CheckId],
    failed: frozenset[CheckId] = frozenset(),
    *,
    older: bool = False,
) -> tuple[Check, ...]:
    """The checks that a movement still waits for.

    Args:
        movement, modifiers: which, as it is set up.
        passed, failed: checks that are open, and that were tried and are not.
        older: whether balance and landing are looked at first.
    """
    return tuple(
        check
        for check in _checks_before(movement, modifiers, older)
        if check.id not in passed and (not check.if_failed or check.id in failed)
    )


@lru_cache(maxsize=65_536)
def _checks_before(movement: Movement, modifiers: Modifiers, older: bool) -> tuple[Check, ...]:
    """What an average body's strains ask to be looked at, whoever it is."""
    asked = strains(AVERAGE, movement, modifiers)
    return tuple(
        check
        for check in CHECKS
        if check.holds_back(movement, asked) or (older and _old_age_holds(check, movement, asked))
    )


def _old_age_holds(check: Check, movement: Movement, asked: Strains) -> bool:
    """The work that opens the check stays open."""
    return (
        check.id == "one-leg stand"
        and movement.id != "one-leg-stand"
        and any(
            all(asked.get(q, 0.0) >= least for q, least in requirement)
            for requirement in OLDER_REQUIREMENTS
        )
    )
