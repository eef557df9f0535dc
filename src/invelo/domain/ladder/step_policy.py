"""What a coach asks of a ladder's steps: settings, with common practice as the default."""

from dataclasses import dataclass
from typing import Literal, get_args

from invelo.domain.errors import InputError, require_within
from invelo.domain.plan.prescription import LEAST_USEFUL, Unit

Lever = Literal["tempo", "lever", "range", "load"]
"""Kinds of change that make a next step: slower, another leverage, more range, more weight or less
help."""

LEVERS: tuple[Lever, ...] = get_args(Lever)

WANTED_STEP = 0.10
"""How much harder a next rung is at most, as a share (American College of Sports Medicine 2009,
Med Sci Sports Exerc 41(3):687–708, from memory: loads go up by 2–10 %)."""


@dataclass(frozen=True)
class StepPolicy:
    """What counts as a step, and in which order a coach likes to make one.

    Attributes:
        reps: fewest useful reps above a step, 1 to 30.
        seconds: shortest useful hold above a step, s, 1 to 60.
        step: wanted step, as a share of the demand, 0.02 to 0.5.
        order: kinds of change, the dearest first.
    """

    reps: float = LEAST_USEFUL["reps"]
    seconds: float = LEAST_USEFUL["s"]
    step: float = WANTED_STEP
    order: tuple[Lever, ...] = LEVERS

    def __post_init__(self) -> None:
        """Check ranges, and that each kind is named once."""
        require_within("least useful reps", self.reps, 1, 30, "reps")
        require_within("least useful hold", self.seconds, 1, 60, "s")
        require_within("wanted step", self.step, 0.02, 0.5, "of the demand")
        if sorted(self.order) != sorted(LEVERS):
            raise InputError(
                "order of preference",
                f"{', '.join(self.order) or 'nothing'} is not each kind once.",
                f"Give {', '.join(LEVERS)} in the order you like.",
            )

    def least(self, unit: Unit) -> float:
        """Fewest reps, or shortest hold, that are still practice."""
        return {"reps": self.reps, "s": self.seconds, "cm": LEAST_USEFUL["cm"]}[unit]


USUAL_POLICY = StepPolicy()
