"""A sensor's samples: what cannot be true is left out, the rest is smoothed."""

from collections import deque
from dataclasses import dataclass
from statistics import fmean, median
from typing import Literal

SMOOTHED = 5
"""Samples whose middle is taken, so that a spike among them does not show, and as many of whose
middles the mean is taken, so that noise makes no rep deeper."""

FASTEST = 1500.0
"""Degrees a second past which no joint moves in strength work."""

LIES = 0.1
"""Share of samples that cannot be true from which nothing is proposed any more."""

LEAST_JUDGED = 40
"""Samples before a stream can be called a liar."""

LINE_SLACK = 12.0
"""Degrees by which the hips may leave the line."""

LINE_SECONDS = 0.4
"""Seconds that they must be out of it to be a fault."""

LineFault = Literal["hips sag", "hips pike"]


@dataclass(frozen=True)
class AngleSample:
    """A reading: seconds on the sensor's clock, the joint's angle (degrees), and how far the hips
    are off the line from shoulder to ankle (degrees, + up), if it tells."""

    at: float
    angle: float
    line: float | None = None


class Stream:
    """Samples one by one: what cannot be true is left out, the rest is smoothed."""

    def __init__(self) -> None:
        """Nothing seen."""
        self.seen = self.refused = 0
        self._recent: deque[float] = deque(maxlen=SMOOTHED)
        self._middles: deque[float] = deque(maxlen=SMOOTHED)
        self._last: AngleSample | None = None

    @property
    def believed(self) -> bool:
        """Whether few enough samples were impossible."""
        return self.seen < LEAST_JUDGED or self.refused / self.seen <= LIES

    def take(self, sample: AngleSample) -> float | None:
        """The smoothed angle with this sample; None where the sample cannot be true."""
        self.seen += 1
        last = self._last
        if not 0.0 <= sample.angle <= 360.0 or (last is not None and sample.at <= last.at):
            self.refused += 1
            return None
        if last is not None:
            speed = abs(sample.angle - last.angle) / (sample.at - last.at)
            if speed > FASTEST and sample.at - last.at < 0.2:
                self.refused += 1
                return None
        self._last = sample
        self._recent.append(sample.angle)
        self._middles.append(median(self._recent))
        return fmean(self._middles)


def line_fault(lines: list[tuple[float, float]]) -> LineFault | Literal[""]:
    """What was wrong with the body's line over some seconds of (time, degrees off)."""
    sag = _seconds(lines, -1.0)
    pike = _seconds(lines, 1.0)
    if max(sag, pike) < LINE_SECONDS:
        return ""
    return "hips sag" if sag >= pike else "hips pike"


def _seconds(lines: list[tuple[float, float]], way: float) -> float:
    """Seconds in which the hips were off the line one way, over the middle of five readings."""
    total = 0.0
    for i in range(4, len(lines)):
        off = fmean(value for _, value in lines[i - 4 : i + 1])
        if way * off > LINE_SLACK:
            total += lines[i][0] - lines[i - 1][0]
    return total
