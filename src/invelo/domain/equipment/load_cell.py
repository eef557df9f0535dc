"""A hanging scale's readings: when do they stand still, and at what.

Hands tremble and rubber creeps, so a reading is taken from a window of samples once their spread
and their drift are small. What the scale does wrong (falls silent, floods, leaps) is told apart
from a load that is still moving.
"""

from collections import deque
from collections.abc import Iterable
from dataclasses import dataclass, field
from statistics import fmean, pstdev
from typing import Literal

from invelo.domain.biomechanics.body import GRAVITY
from invelo.domain.errors import InputError
from invelo.domain.estimate import Z80

WINDOW = 1.0
"""Seconds of samples a steady reading rests on (ours)."""

LEAST_SAMPLES = 8
"""Samples a window needs (ours)."""

STEADY_SPREAD = 0.015
STEADY_DRIFT = 0.008
"""Spread (standard deviation) and drift over the window under which it stands still, as a share of
the reading (ours)."""

HOLDS_ON = 2.0
"""A reading that stood still does so until spread or drift are this many times as large, so that it
does not flicker (ours)."""

LEAST_SPREAD = 0.6
"""N under which spread and drift never count: a scale's own resolution (ours)."""

SILENT_AFTER = 1.5
"""Seconds without a sample after which the scale has stopped (ours)."""

FLOOD_ABOVE = 200.0
"""Samples a second that no scale needs (ours)."""

MOST_FORCE = 3000.0
"""N beyond which a sample is a fault."""

State = Literal["empty", "moving", "steady", "silent", "flooding"]
Unit = Literal["kg", "lb", "N"]

PER_NEWTON: dict[Unit, float] = {"kg": 1 / GRAVITY, "lb": 1 / (GRAVITY * 0.45359237), "N": 1.0}
"""Units a scale may speak; the pound by its definition of 1959."""


@dataclass(frozen=True)
class ForceSample:
    """One reading: seconds on the scale's clock, newtons."""

    at: float
    force: float


@dataclass(frozen=True)
class LoadCellDisplay:
    """What to show now.

    Attributes:
        state: empty (near zero), moving, steady, silent or flooding.
        force: N: the newest sample's while it moves, the window's mean once it is steady.
        half_width: 80 % half-width of a steady reading, N; 0 otherwise.
    """

    state: State
    force: float
    half_width: float = 0.0


@dataclass
class Settling:
    """Feeds on samples and says when they stand still."""

    zero: float = 0.0
    window: deque[ForceSample] = field(default_factory=deque)
    still: bool = False

    def feed(self, sample: ForceSample) -> LoadCellDisplay:
        """Take one sample in.

        Raises:
            InputError: for a force no scale reads, or a clock that runs backwards.
        """
        if not -MOST_FORCE <= sample.force <= MOST_FORCE:
            raise InputError(
                "scale", f"it read {sample.force:g} N.", "Take the load off and zero it."
            )
        if self.window and sample.at < self.window[-1].at:
            raise InputError("scale", "its clock ran backwards.", "Connect it anew.")
        self.window.append(sample)
        while self.window and self.window[0].at < sample.at - WINDOW:
            self.window.popleft()
        if len(self.window) > FLOOD_ABOVE * WINDOW:
            return LoadCellDisplay("flooding", sample.force - self.zero)
        return self.shown()

    def tare(self) -> None:
        """Take what hangs there now as nothing."""
        if self.window:
            self.zero = fmean(force_sample.force for force_sample in self.window)

    def silent(self) -> LoadCellDisplay:
        """What to show once nothing has come for `SILENT_AFTER`; the window begins anew."""
        last = self.window[-1].force - self.zero if self.window else 0.0
        self.window.clear()
        return LoadCellDisplay("silent", last)

    def shown(self) -> LoadCellDisplay:
        """What the window says."""
        forces = [force_sample.force - self.zero for force_sample in self.window]
        newest = forces[-1] if forces else 0.0
        span = self.window[-1].at - self.window[0].at if forces else 0.0
        if len(forces) < LEAST_SAMPLES or span < 0.8 * WINDOW:
            self.still = False
            return LoadCellDisplay("moving", newest)
        mean, spread = fmean(forces), pstdev(forces)
        half = len(forces) // 2
        drift = abs(fmean(forces[half:]) - fmean(forces[:half]))
        bound, slack = abs(mean), HOLDS_ON if self.still else 1.0
        self.still = spread <= slack * max(LEAST_SPREAD, STEADY_SPREAD * bound) and (
            drift <= slack * max(LEAST_SPREAD, STEADY_DRIFT * bound)
        )
        if not self.still:
            return LoadCellDisplay("moving", newest)
        if bound < LEAST_SPREAD:
            return LoadCellDisplay("empty", 0.0)
        return LoadCellDisplay("steady", mean, Z80 * spread / len(forces) ** 0.5)


def settled(samples: Iterable[ForceSample]) -> LoadCellDisplay | None:
    """The first steady reading of a stream; None if it never stands still."""
    settling = Settling()
    for sample in samples:
        shown = settling.feed(sample)
        if shown.state == "steady":
            return shown
    return None
