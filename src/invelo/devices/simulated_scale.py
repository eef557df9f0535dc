"""The simulated hanging scale: a band on a hook, pulled by an unsteady hand.

It stands in for a real device and speaks the same lines over a WebSocket of its own. The rubber is
its own too (a third term and a slow creep that no fitted curve has), and so are the hand's tremor,
the sensor's noise and its resolution.
"""

import asyncio
import math
from collections.abc import AsyncIterator
from contextlib import asynccontextmanager
from dataclasses import dataclass, field
from random import Random

from websockets.asyncio.server import ServerConnection, serve
from websockets.exceptions import ConnectionClosed

from invelo.devices import lines
from invelo.domain.equipment.load_cell import PER_NEWTON, ForceSample, Unit
from invelo.domain.errors import InputError

RATE = 20.0
"""Samples a second."""

FLOOD = 600.0
FOLLOWS = 0.25
"""Seconds in which the hand closes most of the way to where it is told to pull."""

TREMOR, TREMOR_HZ = 0.006, 7.0
"""Share of the force by which a hand trembles, and how fast (physiological tremor 6–12 Hz)."""

NOISE = 0.004
RESOLUTION = 0.098
"""Sensor noise as a share of the force, standard deviation; and the scale's step, N (10 g)."""

CREEP, CREEP_S = 0.012, 1.5
"""Share by which rubber gives once it is held, and how fast."""


@dataclass
class HangingScale:
    """The device and the band on it; time is told, never taken.

    Attributes:
        stiffness: of the band, N.
        random: the noise's source.
        unit: of the samples.
    """

    stiffness: float = 36.0
    random: Random = field(default_factory=lambda: Random(7))  # noqa: S311
    unit: Unit = "kg"
    at: float = 0.0
    stretch: float = 1.0
    wanted: float = 1.0
    held: float = 0.0

    def truth(self, stretch: float) -> float:
        """Newtons of the band once it has settled."""
        at = max(1.0, stretch)
        rubber = (at - at**-2) * (1.0 + 0.9 / at) + 0.012 * (at**3 - at**-3)
        return self.stiffness * rubber

    def pull(self, stretch: float) -> None:
        """Begin to pull to a stretch; 0 lets go."""
        self.wanted, self.held = max(1.0, stretch), 0.0

    def step(self, seconds: float) -> ForceSample:
        """Let time pass; what the scale reads then, N."""
        self.at += seconds
        self.held += seconds
        self.stretch += (self.wanted - self.stretch) * (1 - math.exp(-seconds / FOLLOWS))
        force = self.truth(self.stretch)
        force *= 1 + CREEP * math.exp(-self.held / CREEP_S)
        force *= 1 + TREMOR * math.sin(2 * math.pi * TREMOR_HZ * self.at + self.random.random())
        force += NOISE * force * self.random.gauss(0, 1)
        return ForceSample(round(self.at, 4), round(force / RESOLUTION) * RESOLUTION)


@asynccontextmanager
async def running(device: HangingScale | None = None) -> AsyncIterator[str]:
    """Serve the stand-in on a free loopback port; its WebSocket address."""
    async with serve(lambda link: _speak(link, device or HangingScale()), "127.0.0.1", 0) as server:
        port = next(iter(server.sockets)).getsockname()[1]
        yield f"ws://127.0.0.1:{port}"


async def _speak(link: ServerConnection, device: HangingScale) -> None:
    hello = lines.Hello(device="simulated hanging scale", unit=device.unit, simulated=True)
    await link.send(lines.written(hello))
    trouble: list[str] = []
    listening = asyncio.create_task(_listen(link, device, trouble))
    try:
        while "drop" not in trouble:
            rate = FLOOD if "flood" in trouble else RATE
            await asyncio.sleep(1 / rate)
            read = device.step(1 / rate)
            if "silent" not in trouble:
                value = round(read.force * PER_NEWTON[device.unit], 3)
                await link.send(lines.written(lines.SampleLine(at=read.at, value=value)))
    except ConnectionClosed:
        pass  # whoever listened has gone
    finally:
        listening.cancel()


async def _listen(link: ServerConnection, device: HangingScale, trouble: list[str]) -> None:
    async for line in link:
        try:
            unit_now = lines.to_scale(line)
        except InputError:
            continue  # a scale does not argue
        match unit_now:
            case lines.PullLine():
                trouble.clear()
                device.pull(unit_now.stretch)
            case lines.UnitNow():
                device.unit = unit_now.unit
                await link.send(lines.written(unit_now))
            case lines.Trouble():
                trouble.append(unit_now.what)
