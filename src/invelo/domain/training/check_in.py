"""How someone comes to a day: what they slept, what is sore, tight or hurts, what there is.

It feeds the day's adaptation, and it stops what pain must stop. Source: common practice.
"""

from dataclasses import dataclass
from typing import Literal, get_args

from invelo.domain.catalogue.movement import Movement, StressedJoint
from invelo.domain.equipment.kit import Kind
from invelo.domain.errors import InputError, require_within
from invelo.domain.plan.day.adapt import Today
from invelo.domain.training.log import PAIN_STOP

Alarm = Literal["chest pain", "dizziness", "faintness", "fever"]
ALARMS: tuple[Alarm, ...] = get_args(Alarm)
"""Signs with which nobody trains that day."""

PLACES: tuple[StressedJoint, ...] = get_args(StressedJoint)

MOST_SORE = PAIN_STOP - 1
"""What the soreness of worked muscles counts as at the most: sore is not pain."""


@dataclass(frozen=True)
class CheckIn:
    """What an athlete says before a session; whatever is left out is as planned.

    Attributes:
        minutes: there are.
        kinds: of things at hand; None for all that was planned with.
        sleep: hours of the last night.
        sore: soreness of worked muscles by place, 1–10.
        tight: places that are tight.
        pain: by place, 1–10.
        alarms: signs with which nobody trains.
        note: in words.
    """

    minutes: float | None = None
    kinds: frozenset[Kind] | None = None
    sleep: float | None = None
    sore: tuple[tuple[StressedJoint, int], ...] = ()
    tight: tuple[StressedJoint, ...] = ()
    pain: tuple[tuple[StressedJoint, int], ...] = ()
    alarms: tuple[Alarm, ...] = ()
    note: str = ""

    def __post_init__(self) -> None:
        """Check ranges; minutes and sleep as the day's adaptation does."""
        for name, those in (("soreness", self.sore), ("pain", self.pain)):
            for place, how in those:
                require_within(f"{place}, {name}", how, 0, 10, "")
            if len({place for place, _ in those}) != len(those):
                raise InputError(name, "a place is told twice.", "Tell each place once.")
        _ = self.today

    @property
    def today(self) -> Today:
        """What the day allows: pain as it is told, soreness as far as soreness goes."""
        worst: dict[StressedJoint, int] = {}
        for place, how in self.sore:
            worst[place] = min(how, MOST_SORE)
        for place, how in self.pain:
            worst[place] = max(how, worst.get(place, 0))
        pains = tuple((place, worst[place]) for place in PLACES if worst.get(place))
        return Today(self.minutes, self.kinds, pains, self.tight, self.sleep)

    @property
    def stopped_at(self) -> tuple[StressedJoint, ...]:
        """Places that nothing may load today."""
        return tuple(place for place, how in self.pain if how >= PAIN_STOP)

    @property
    def stop(self) -> str:
        """Why nobody trains today; '' where they may."""
        if not self.alarms:
            return ""
        return (
            f"Do not train today: {', '.join(self.alarms)}. See a doctor before you train again; "
            "if it is strong or grows, call for help now."
        )

    @property
    def changes(self) -> bool:
        """Whether anything said asks for another session than the planned one."""
        return self.today != Today()

    def closes(self, movement: Movement) -> str:
        """The place whose pain keeps a movement from being done; '' where none does."""
        return next((place for place in self.stopped_at if movement.stress.get(place)), "")
