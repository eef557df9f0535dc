"""Tempo: how long a rep takes, and how a count at one tempo reads at another."""

import re
from dataclasses import dataclass

from invelo.domain.errors import InputError, require_within

REFERENCE_REP = 2.0
"""Seconds of the rep that capacities are stated for (ours; an even, unhurried rep)."""

LEAST_REP = 0.5
"""Seconds under which nobody does a rep (common practice)."""

ENDURANCE_EXPONENT = 1.0
"""g in r₂ = r₁ (t₁/t₂)^g: equal time under tension (common practice)."""

ENDURANCE_EXPONENT_SD = 0.15
"""How far g differs from person to person, standard deviation (ours)."""


@dataclass(frozen=True)
class Tempo:
    """Seconds of each phase of a rep: lower, hold at the bottom, press, hold at the top."""

    lower: float = 1.0
    bottom: float = 0.0
    press: float = 1.0
    top: float = 0.0

    def __post_init__(self) -> None:
        """Check ranges."""
        for name in ("lower", "bottom", "press", "top"):
            require_within(f"tempo, {name}", getattr(self, name), 0.0, 60.0, "s")
        if self.rep_time < LEAST_REP - 1e-9:
            raise InputError(
                "tempo", f"no rep takes under {LEAST_REP} s.", "Give the lowering a second."
            )

    @property
    def rep_time(self) -> float:
        """Seconds from the start of a rep to the start of the next."""
        return self.lower + self.bottom + self.press + self.top

    def scaled(self, share: float) -> "Tempo":
        """The tempo of a whole rep that is as long as a rep of this share of it.

        Equal work at the same load is taken to be as hard: two half reps count as one (ours). The
        shortest rep there is bounds it.
        """
        by = max(share, LEAST_REP / self.rep_time)
        return Tempo(self.lower * by, self.bottom * by, self.press * by, self.top * by)

    @classmethod
    def parse(cls, text: str) -> "Tempo":
        """Read "3-0-1-0" or "3-0-1" (lower – bottom hold – press – top hold, seconds)."""
        parts = re.fullmatch(r"\s*(\d+(?:\.\d+)?(?:\s*-\s*\d+(?:\.\d+)?){2,3})\s*", text)
        if parts is None:
            raise InputError(
                "tempo", f"“{text}” is no tempo.", "Write lower-hold-press-hold, such as 3-0-1-0."
            )
        return cls(*(float(part) for part in parts.group(1).split("-")))

    def __str__(self) -> str:
        """Written as "3-0-1-0"."""
        return "-".join(f"{v:g}" for v in (self.lower, self.bottom, self.press, self.top))


def reps_at(reps: float, now: float, then: float, exponent: float = ENDURANCE_EXPONENT) -> float:
    """How many reps of `then` seconds equal `reps` of `now` seconds.

    r₂ = r₁ (t₁/t₂)^g; with g = 1 the time under tension is equal.
    """
    return reps * float((now / then) ** exponent)
