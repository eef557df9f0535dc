"""Reps counted from a joint's angle over time, each with its depth, its tempo and the body's line.

Turning points of the smoothed angle mark the reps: a rep is a way out and the way back. It is full
where it passed the least depth and came back to its start; otherwise it is partial. All thresholds
are ours.
"""

from dataclasses import dataclass, field
from typing import Literal

from invelo.domain.errors import InputError
from invelo.domain.training.motion.stream import AngleSample, LineFault, Stream, line_fault
from invelo.domain.training.motion.watch import Watch

TURNS = 0.22
"""Share of the range by which the way must turn back before it counts as turned."""

LEAST_TURN = 10.0
"""Degrees by which it must turn back at the least, however small the range: past the noise of such
sensors."""

LEAST_REP_DEPTH = 0.3
"""Share of the range under which a movement is fidgeting, no rep."""

BACK = 0.25
"""Share of the range within which a rep has come back to its start."""

DEPTH_SLACK = 1.0
"""Degrees within which a rep short of the least depth is still taken to have reached it: what a
sensor's zero is off by from one time it is put on to the next."""

TEMPO_SLACK = 0.25
"""Share by which a rep may be quicker or slower than asked and still keep its tempo."""

Verdict = Literal["full", "short", "not back", "too deep"]


@dataclass(frozen=True)
class Rep:
    """A rep as it was seen.

    Attributes:
        at: seconds when it was over.
        angle: deepest, degrees.
        depth: deepest, share of the modelled range.
        verdict: whether it is full, and if not, why.
        out, turn, back, rest: seconds on the way out, at its end, on the way back, and at the
            start before it.
        line: what was wrong with the body's line, '' for nothing.
    """

    at: float
    angle: float
    depth: float
    verdict: Verdict
    out: float
    turn: float
    back: float
    rest: float
    line: LineFault | Literal[""] = ""

    @property
    def full(self) -> bool:
        """Whether it counts; a rep that went too deep does, and is told."""
        return self.verdict in ("full", "too deep")

    @property
    def seconds(self) -> float:
        """Of the whole rep."""
        return self.out + self.turn + self.back + self.rest


@dataclass(frozen=True)
class Tally:
    """What was seen so far.

    Attributes:
        full, partial: reps.
        reps: each of them.
        refused: samples that could not be true.
        believed: whether the stream can be believed.
    """

    reps: tuple[Rep, ...]
    refused: int
    believed: bool

    @property
    def full(self) -> int:
        """Reps that count."""
        return sum(rep.full for rep in self.reps)

    @property
    def partial(self) -> int:
        """Reps that fell short."""
        return len(self.reps) - self.full

    def kept_tempo(self, watch: Watch) -> float:
        """Share of reps whose time was within `TEMPO_SLACK` of what was asked; 1 of none."""
        if not self.reps:
            return 1.0
        asked = watch.tempo.rep_time
        kept = [abs(rep.seconds - asked) <= TEMPO_SLACK * asked for rep in self.reps]
        return sum(kept) / len(kept)

    @property
    def faults(self) -> tuple[str, ...]:
        """Faults seen in a third of the reps or more."""
        least = max(1, len(self.reps) // 3)
        faults: list[str] = []
        for name in ("hips sag", "hips pike"):
            if sum(rep.line == name for rep in self.reps) >= least:
                faults.append(name)
        if sum(rep.verdict == "short" for rep in self.reps) >= least:
            faults.append("short of depth")
        return tuple(faults)


@dataclass
class _Way:
    """One rep in the making: when each part of the way was passed."""

    begun: float
    trace: list[tuple[float, float]] = field(default_factory=list)
    lines: list[tuple[float, float]] = field(default_factory=list)


class RepCounter:
    """Counts reps as samples come in."""

    def __init__(self, watch: Watch) -> None:
        """Nothing counted.

        Raises:
            InputError: for a hold.
        """
        if watch.held:
            raise InputError("movement", "it is held, not counted.", "Time it.")
        self.watch = watch
        self.stream = Stream()
        self._turns = max(TURNS, LEAST_TURN / abs(watch.end - watch.start))
        self._reps: list[Rep] = []
        self._way = _Way(0.0)
        self._deepest = self._highest = 0.0
        self._going = True
        self._open = False
        self._ended = 0.0

    def feed(self, sample: AngleSample) -> Rep | None:
        """Take a sample; the rep that it completes, if it does."""
        angle = self.stream.take(sample)
        if angle is None:
            return None
        depth = self.watch.depth(angle)
        self._way.trace.append((sample.at, depth))
        if sample.line is not None:
            self._way.lines.append((sample.at, sample.line))
        if not self._going:
            return self._homeward(sample.at, depth)
        self._outward(sample.at, depth)
        return None

    def _outward(self, at: float, depth: float) -> None:
        if not self._open and depth < BACK:
            self._trim(at)
        if depth > self._deepest:
            self._deepest = depth
        if depth >= LEAST_REP_DEPTH:
            self._open = True
        if self._open and depth < self._deepest - self._turns:
            self._going, self._highest = False, depth

    def _trim(self, at: float) -> None:
        """Forget what lies before the rest that a rep begins from."""
        if at - self._way.begun > 60.0:
            self._way = _Way(at)
            self._deepest = 0.0

    def _homeward(self, at: float, depth: float) -> Rep | None:
        self._highest = min(self._highest, depth)
        if depth <= BACK:
            return self._count(at, back=True)
        if depth > self._highest + self._turns:
            return self._count(at, back=False)
        return None

    def _count(self, at: float, back: bool) -> Rep:
        rep = self._rep(at, back)
        self._reps.append(rep)
        self._ended = at
        self._way = _Way(at, self._way.trace[-1:])
        self._deepest, self._going = self._way.trace[0][1], True
        self._open = not back
        return rep

    def _rep(self, at: float, back: bool) -> Rep:
        watch = self.watch
        deepest = self._deepest
        travel = abs(watch.end - watch.start)
        slack = DEPTH_SLACK / travel
        verdict: Verdict
        if not back:
            verdict = "not back"
        elif deepest < watch.least_depth - slack:
            verdict = "short"
        elif deepest > watch.most_depth + slack:
            verdict = "too deep"
        else:
            verdict = "full"
        out, turn, home, rest = _parts(self._way.trace, self._way.begun, deepest)
        return Rep(
            at,
            watch.start + deepest * (watch.end - watch.start),
            deepest,
            verdict,
            out,
            turn,
            home,
            rest,
            line_fault(self._way.lines) if watch.line else "",
        )

    def finish(self) -> Tally:
        """What was seen, once the set is over: a rep that did not come back counts as partial."""
        if self._open and self._deepest >= LEAST_REP_DEPTH and self._way.trace:
            at, depth = self._way.trace[-1]
            if not self._going or depth < self._deepest - self._turns / 2:
                self._count(at, back=depth <= BACK + self._turns / 2)
        return self.tally

    @property
    def tally(self) -> Tally:
        """What was seen so far."""
        return Tally(tuple(self._reps), self.stream.refused, self.stream.believed)


def _parts(
    trace: list[tuple[float, float]], begun: float, deepest: float
) -> tuple[float, float, float, float]:
    """Seconds on the way out, at its end, on the way back, and at rest before it.

    The ways are told from a tenth to nine tenths of the depth and carried on to the whole, so that
    the rounding at both ends of a movement counts neither to the way nor to the rest.
    """
    low, high = 0.1 * deepest, 0.9 * deepest
    low = max(low, min(depth for _, depth in trace) + 0.02)
    top = next((i for i, (_, depth) in enumerate(trace) if depth >= high), len(trace) - 1)
    left = next((trace[i][0] for i in range(top, -1, -1) if trace[i][1] <= low), trace[0][0])
    reached = trace[top][0]
    turned = next((at for at, depth in reversed(trace) if depth >= high), reached)
    share = (high - low) / deepest if deepest > 0 else 1.0
    out = (reached - left) / share
    over = trace[-1][0]
    last = trace[-1][1]
    home = (over - turned) / max(0.1, (high - last) / deepest if deepest > 0 else 1.0)
    turn = max(0.0, turned - reached - 0.1 * (out + home))
    rest = max(0.0, left - begun - 0.1 * out - max(0.0, last / deepest) * home)
    return out, turn, home, rest
