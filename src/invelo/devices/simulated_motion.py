"""The simulated motion sensor: a body that does a set whose truth is known.

It stands in for a sensor that tells a joint's angle and the hips' height over the line, and speaks
the lines of `docs/formats/motion.md` over a WebSocket of its own. The way it moves (eased ends,
drift, tremor, spikes, a wandering start) is its own; the counter knows nothing of it.
"""

import asyncio
import math
from collections.abc import AsyncIterator, Iterator
from contextlib import asynccontextmanager
from dataclasses import dataclass, field
from random import Random

from websockets.asyncio.server import ServerConnection, serve
from websockets.exceptions import ConnectionClosed

from invelo.devices import motion_lines
from invelo.devices.lines import written
from invelo.domain.errors import InputError
from invelo.domain.training.motion.stream import AngleSample
from invelo.domain.training.motion.watch import Watch

RATE = 50.0
"""Samples a second."""

EASE = 0.15
"""Share of a way over which it gathers speed, and over which it slows (ours)."""

SETTLE = 0.6
"""Seconds at the start before a set begins and after it ends."""


@dataclass(frozen=True)
class TrueRep:
    """A rep as it truly was.

    Attributes:
        depth: share of the modelled range that it went.
        out, turn, back, rest: seconds on the way out, at its end, on the way back, and after it.
        left: depth at which it stopped on the way back; 0 where it came back.
        line: degrees by which the hips were off the line, + up.
    """

    depth: float = 1.0
    out: float = 1.0
    turn: float = 0.0
    back: float = 1.0
    rest: float = 0.0
    left: float = 0.0
    line: float = 0.0


@dataclass
class Mover:
    """Someone who does a set in front of the sensor; time is told, never taken.

    Attributes:
        watch: what the sensor follows.
        reps: what is done, in order.
        noise: standard deviation of the angle, degrees.
        random: the noise's source.
        spikes: share of samples that are nonsense.
        holds: seconds for which a hold is kept, for what is held.
    """

    watch: Watch
    reps: tuple[TrueRep, ...] = ()
    noise: float = 2.0
    random: Random = field(default_factory=lambda: Random(11))  # noqa: S311
    spikes: float = 0.0
    holds: float = 0.0

    def samples(self) -> Iterator[AngleSample]:
        """The whole set, as the sensor tells it."""
        step, bias, wander = 1.0 / RATE, self.random.gauss(0, 1.0), 0.0
        for number, (angle, line) in enumerate(self._truth(step)):
            wander = 0.98 * wander + 0.02 * self.random.gauss(0, 5.0)
            sensed = angle + bias + wander + self.random.gauss(0, self.noise)
            if self.random.random() < self.spikes:
                sensed = self.random.uniform(0.0, 360.0)
            hips = line + self.random.gauss(0, 1.5) if self.watch.line else None
            yield AngleSample(round((number + 1) * step, 4), min(359.0, max(0.0, sensed)), hips)

    def _truth(self, step: float) -> Iterator[tuple[float, float]]:
        """Angle and hips off the line, sample by sample."""
        if self.watch.held:
            yield from self._hold(step)
            return
        at = 0.0
        yield from self._stay(at, SETTLE, 0.0, step)
        for rep in self.reps:
            yield from self._go(at, rep.depth, rep.out, rep.line, step)
            yield from self._stay(rep.depth, rep.turn, rep.line, step)
            yield from self._go(rep.depth, rep.left, rep.back, rep.line, step)
            yield from self._stay(rep.left, rep.rest, rep.line, step)
            at = rep.left
        if at > 0:
            yield from self._go(at, 0.0, 0.8, 0.0, step)
        yield from self._stay(0.0, SETTLE, 0.0, step)

    def _hold(self, step: float) -> Iterator[tuple[float, float]]:
        shape = self.watch.start
        away = shape - 60.0 if shape > 90.0 else shape + 60.0
        for share in _shares(0.8, step):
            yield away + (shape - away) * share, 0.0
        for _ in range(round(self.holds / step)):
            yield shape, 0.0
        for share in _shares(0.5, step):
            yield shape + (away - shape) * share, 0.0
        for _ in range(round(1.5 / step)):
            yield away, 0.0

    def _go(
        self, start: float, end: float, seconds: float, line: float, step: float
    ) -> Iterator[tuple[float, float]]:
        for share in _shares(seconds, step):
            yield self._angle(start + (end - start) * share), line

    def _stay(
        self, depth: float, seconds: float, line: float, step: float
    ) -> Iterator[tuple[float, float]]:
        for _ in range(round(seconds / step)):
            yield self._angle(depth), line

    def _angle(self, depth: float) -> float:
        return self.watch.start + depth * (self.watch.end - self.watch.start)


def _shares(seconds: float, step: float) -> Iterator[float]:
    """How much of a way is gone, from a standstill to a standstill."""
    count = max(1, round(seconds / step))
    for i in range(1, count + 1):
        x = i / count
        if x < EASE:
            yield x * x / (2 * EASE * (1 - EASE))
        elif x > 1 - EASE:
            yield 1 - (1 - x) ** 2 / (2 * EASE * (1 - EASE))
        else:
            yield (x - EASE / 2) / (1 - EASE)


def usual_set(watch: Watch, reps: int, random: Random) -> tuple[TrueRep, ...]:
    """A set at about the tempo asked for, the last rep short, as sets end."""
    tempo = watch.tempo
    first, second = (tempo.press, tempo.lower) if watch.rises else (tempo.lower, tempo.press)
    turn, rest = (tempo.top, tempo.bottom) if watch.rises else (tempo.bottom, tempo.top)
    true_reps = []
    for number in range(reps):
        slow = random.gauss(1.0, 0.05)
        last = number == reps - 1 and reps > 3
        depth = random.uniform(0.75, 0.95) if not last else 0.45
        true_reps.append(TrueRep(depth, first * slow, turn * slow, second * slow, rest * slow))
    return tuple(true_reps)


@asynccontextmanager
async def running(mover: Mover) -> AsyncIterator[str]:
    """Serve the stand-in on a free loopback port; its WebSocket address."""
    async with serve(lambda link: _speak(link, mover), "127.0.0.1", 0) as server:
        port = next(iter(server.sockets)).getsockname()[1]
        yield f"ws://127.0.0.1:{port}"


async def _speak(link: ServerConnection, mover: Mover) -> None:
    hello = motion_lines.MotionHello(
        device="simulated motion sensor", joint=mover.watch.joint, simulated=True
    )
    await link.send(written(hello))
    trouble: list[str] = []
    listening = asyncio.create_task(_listen(link, trouble))
    loop = asyncio.get_running_loop()
    begun = loop.time()
    try:
        for sample in mover.samples():
            await asyncio.sleep(max(0.0, begun + sample.at - loop.time()))
            if "drop" in trouble:
                return
            if "silent" in trouble:
                continue
            angle = mover.random.uniform(0, 360) if "lie" in trouble else sample.angle
            message = motion_lines.Angle(
                at=sample.at, angle=round(angle, 2), line=_rounded(sample.line)
            )
            await link.send(written(message))
        await link.wait_closed()
    except ConnectionClosed:
        pass  # whoever listened has gone
    finally:
        listening.cancel()


def _rounded(line: float | None) -> float | None:
    return None if line is None or math.isnan(line) else round(line, 2)


async def _listen(link: ServerConnection, trouble: list[str]) -> None:
    async for line in link:
        try:
            motion_trouble = motion_lines.to_sensor(line)
        except InputError:
            continue  # a sensor does not argue
        trouble.append(motion_trouble.what)
