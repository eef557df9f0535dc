"""Holds timed from a joint's angle: from when the shape is taken up until it is lost.

The thresholds are ours.
"""

from dataclasses import dataclass
from typing import Literal

from invelo.domain.training.motion.stream import AngleSample, LineFault, Stream, line_fault
from invelo.domain.training.motion.watch import HOLD_SLACK, Watch

DROPPED = 0.6
"""Seconds out of shape after which a hold is lost."""

TAKEN_UP = 0.4
"""Seconds in shape after which a hold has begun."""


@dataclass(frozen=True)
class TimedHold:
    """A hold as it was seen.

    Attributes:
        seconds: in shape, from when it was taken up until it was lost.
        holding: whether it still is.
        lost_at: seconds on the sensor's clock when it was lost; None while it is not.
        line: what was wrong with the body's line.
        believed: whether the stream can be believed.
    """

    seconds: float
    holding: bool
    lost_at: float | None
    line: LineFault | Literal[""]
    believed: bool


class HoldWatcher:
    """Times a hold as samples come in, and says when its shape is lost."""

    def __init__(self, watch: Watch) -> None:
        """Nothing held yet."""
        self.watch = watch
        self.stream = Stream()
        self._begun: float | None = None
        self._out: float | None = None
        self._lost: float | None = None
        self._now = 0.0
        self._lines: list[tuple[float, float]] = []

    def feed(self, sample: AngleSample) -> TimedHold:
        """Take a sample; what is held by then."""
        angle = self.stream.take(sample)
        if angle is None or self._lost is not None:
            return self.held
        self._now = sample.at
        if sample.line is not None:
            self._lines.append((sample.at, sample.line))
        inside = abs(angle - self.watch.start) <= HOLD_SLACK
        if self._begun is None:
            self._out = self._take_up(sample.at, inside)
        elif inside:
            self._out = None
        else:
            self._out = sample.at if self._out is None else self._out
            if sample.at - self._out >= DROPPED:
                self._lost = self._out
        return self.held

    def _take_up(self, at: float, inside: bool) -> float | None:
        """Since when it is in shape, before it counts; begins the hold once that is long enough."""
        if not inside:
            return None
        since = at if self._out is None else self._out
        if at - since >= TAKEN_UP:
            self._begun = since
            return None
        return since

    @property
    def held(self) -> TimedHold:
        """What was seen so far."""
        end = self._lost if self._lost is not None else self._now
        seconds = 0.0 if self._begun is None else max(0.0, end - self._begun)
        holding = self._begun is not None and self._lost is None
        line = line_fault(self._lines) if self.watch.line else ""
        return TimedHold(seconds, holding, self._lost, line, self.stream.believed)
