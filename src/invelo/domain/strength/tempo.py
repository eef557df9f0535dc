"""Tempo: how long a rep takes, what it costs, and how a count at one tempo reads at another.

A rep costs its moving seconds to a power under one and a share of the seconds it is held: moving
slowly tires less than as many more reps would, and holding still less than moving. Counts go as one
over the cost.
"""

import re
from dataclasses import dataclass, replace

from invelo.domain.errors import InputError, require_within
from invelo.domain.estimate import Z80

REFERENCE_REP = 2.0
"""Seconds of the rep that capacities are stated for (ours; an even, unhurried rep)."""

LEAST_REP = 0.5
"""Seconds under which nobody does a rep (common practice)."""

ENDURANCE_EXPONENT = 0.65
"""g: a rep costs its moving seconds to this power (Sakamoto and Sinclair 2006, Hatfield 2006, Wilk
2018; from memory: half the reps at about three times the length)."""

HALF_THEN_FULL = 1.5
"""Part of a rep that goes half way, back, and then all the way, counted as one."""

_HALF = re.compile(r"\s*\+\s*half\s*$")

HOLD_COST = 0.75
"""What a held second costs, of one that moves (LaChance and Hortobágyi 1994, from memory; pauses at
both ends of a push-up leave a third to a half of the quick reps, common practice)."""

ENDURANCE_EXPONENT_SD = 0.2 / Z80
HOLD_COST_HALF = 0.2
"""How far g and the cost of a held second differ from person to person: ± 0.2 each as an 80 %
interval (ours)."""


@dataclass(frozen=True)
class Tempo:
    """Seconds of each phase of a whole rep: lower, hold at the bottom, press, hold at the top.

    Attributes:
        lower, bottom, press, top: seconds.
        part: of a whole rep that is done: a rep of less range takes less of each, and one that
            goes half way before it goes all the way takes half as much again.
    """

    lower: float = 1.0
    bottom: float = 0.0
    press: float = 1.0
    top: float = 0.0
    part: float = 1.0

    def __post_init__(self) -> None:
        """Check ranges."""
        for name in ("lower", "bottom", "press", "top"):
            require_within(f"tempo, {name}", getattr(self, name), 0.0, 60.0, "s")
        if self.lower + self.bottom + self.press + self.top < LEAST_REP - 1e-9:
            raise InputError(
                "tempo", f"no rep takes under {LEAST_REP} s.", "Give the eccentric a second."
            )

    @property
    def rep_time(self) -> float:
        """Seconds from the start of a rep to the start of the next."""
        return self.part * (self.lower + self.bottom + self.press + self.top)

    @property
    def moving(self) -> float:
        """Seconds of a rep that move."""
        return self.part * (self.lower + self.press)

    @property
    def held(self) -> float:
        """Seconds of a rep that are held."""
        return self.part * (self.bottom + self.top)

    def plain_seconds(
        self, exponent: float = ENDURANCE_EXPONENT, hold_cost: float = HOLD_COST
    ) -> float:
        """Seconds of the rep without a hold that costs as much.

        Source: moving seconds^g + cost × held seconds; constants as above.
        """
        return float((self.moving**exponent + hold_cost * self.held) ** (1.0 / exponent))

    def scaled(self, share: float) -> "Tempo":
        """The tempo of a rep of which only a share is done, by work: a half rep is half as long."""
        return replace(self, part=self.part * share)

    @classmethod
    def parse(cls, text: str) -> "Tempo":
        """Read "3-0-1-0" or "3-0-1" (lower – bottom hold – press – top hold, seconds), with
        "+ half" after it for a rep that goes half way first."""
        plain = _HALF.sub("", text)
        parts = re.fullmatch(r"\s*(\d+(?:\.\d+)?(?:\s*-\s*\d+(?:\.\d+)?){2,3})\s*", plain)
        if parts is None:
            raise InputError(
                "tempo", f"“{text}” is no tempo.", "Write lower-hold-press-hold, such as 3-0-1-0."
            )
        part = HALF_THEN_FULL if plain != text else 1.0
        return replace(cls(*(float(part) for part in parts.group(1).split("-"))), part=part)

    def __str__(self) -> str:
        """Written as "3-0-1-0", or "3-0-1-0 + half"."""
        half = " + half" if self.part == HALF_THEN_FULL else ""
        return "-".join(f"{v:g}" for v in (self.lower, self.bottom, self.press, self.top)) + half


def reps_at(reps: float, now: float, then: float, exponent: float = ENDURANCE_EXPONENT) -> float:
    """How many reps of `then` plain seconds equal `reps` of `now` plain seconds: r₁ (t₁/t₂)^g."""
    return reps * float((now / then) ** exponent)
