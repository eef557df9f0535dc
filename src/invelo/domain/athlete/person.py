"""Who trains, and what for: goals, time, places, likes."""

from collections.abc import Iterable
from dataclasses import dataclass
from typing import Literal

from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.errors import InputError, require_within
from invelo.domain.plan.prescription import Method

Aim = Literal["gain", "keep"]
Units = Literal["metric", "imperial"]
Sex = Literal["male", "female"]

NEW_BELOW = 0.5
"""Years of training under which a person is new to it (ours)."""


@dataclass(frozen=True)
class Person:
    """What an athlete wants and has; everything may be left open and filled in later.

    Attributes:
        goals: skills of the catalogue, the dearest first.
        aim: to gain, or to keep what there is.
        training_years: of regular strength work, 0 to 80.
        days: a week, 1 to 7.
        minutes: a day, 5 to 180.
        places: where they train, ids of the coach's places.
        units: to show measures in.
        methods: by which the coach would have them progress, the preferred first.
        dislikes: movements of the catalogue they would rather not do.
        warm_up: movements of the general warm-up the coach would have, in order; empty for the
            usual one.
        sex: for published norms by sex; nothing else hangs on it.
    """

    goals: tuple[str, ...] = ()
    aim: Aim = "gain"
    training_years: float | None = None
    days: int | None = None
    minutes: int | None = None
    places: tuple[str, ...] = ()
    units: Units = "metric"
    methods: tuple[Method, ...] = ()
    dislikes: tuple[str, ...] = ()
    sex: Sex | None = None
    warm_up: tuple[str, ...] = ()

    def __post_init__(self) -> None:
        """Check ranges and names."""
        for field, value, low, high, unit in (
            ("training years", self.training_years, 0, 80, "years"),
            ("days", self.days, 1, 7, "a week"),
            ("minutes", self.minutes, 5, 180, "a day"),
        ):
            if value is not None:
                require_within(field, value, low, high, unit)
        _known("goals", self.goals, (other.id for other in catalogue().skill))
        _known("dislikes", self.dislikes, (movement.id for movement in catalogue().movement))
        _known("warm-up", self.warm_up, (movement.id for movement in catalogue().movement))
        both = [other for other in catalogue().skill if other.id in self.goals]
        for skill in both:
            if skill.movement in self.dislikes:
                raise InputError(
                    "dislikes",
                    f"“{skill.name}” is a goal and is disliked.",
                    "Take it out of one of the two.",
                )

    @property
    def new(self) -> bool:
        """Whether they are new to strength work, or have not said."""
        return (self.training_years or 0.0) < NEW_BELOW

    @property
    def missing(self) -> tuple[str, ...]:
        """What is not filled in yet and would help, in words."""
        asked = (
            ("goals", self.goals),
            ("training age", self.training_years is not None),
            ("days and minutes", self.days and self.minutes),
            ("places", self.places),
        )
        return tuple(name for name, there in asked if not there)


def _known(field: str, given: tuple[str, ...], known: Iterable[str]) -> None:
    allowed = set(known)
    for entry in given:
        if entry not in allowed:
            raise InputError(
                field,
                f"“{entry}” is not in the catalogue.",
                f"Use of: {', '.join(sorted(allowed))}.",
            )
    if len(set(given)) != len(given):
        raise InputError(field, "one is named twice.", "Name each once.")
