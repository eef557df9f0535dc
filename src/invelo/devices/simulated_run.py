"""A simulated athlete running a session: how long it really takes, second by second.

They get ready, do a count of their own, pause a little late, dawdle over rigging. It walks through
the session by itself, so that the predicted length has something to be measured against.
"""

from random import Random

from invelo.domain.plan.session.timeline import UNBROKEN
from invelo.domain.plan.session.work import Block, Item, Session, WorkSet

READY = (3.0, 8.0)
"""Seconds to take up a position."""

TURN = (7.0, 14.0)
"""Seconds from one side to the other."""

TEMPO_OFF = 0.08
"""How far a person's tempo is off, standard deviation of a share."""

LATE = (-3.0, 12.0)
"""Seconds by which a rest is cut short or overrun."""


class SimulatedRun:
    """One run of a session, with its own whims."""

    def __init__(self, random: Random) -> None:
        """`random` decides everything."""
        self.random = random
        self.seconds = 0.0
        self.pace = max(0.7, random.gauss(1.0, TEMPO_OFF))
        self.rigged = ""

    def session(self, session: Session) -> float:
        """Seconds that a session takes this time."""
        for i, block in enumerate(session.blocks):
            self._block(block, last=i == len(session.blocks) - 1)
        return self.seconds

    def _wait(self, seconds: float) -> None:
        self.seconds += max(0.0, seconds + self.random.uniform(*LATE))

    def _rig(self, item: Item) -> None:
        rig = item.rig
        if rig.minutes and rig.what != self.rigged:
            self.rigged = rig.what
            self.seconds += 60.0 * rig.minutes * self.random.uniform(0.8, 1.3)

    def _block(self, block: Block, last: bool) -> None:
        for item in block.items:
            self._rig(item)
        if block.window is not None:
            for round_ in range(block.rounds):
                for item in block.items:
                    self.seconds += block.window[0] * item.sets[round_].sides + block.window[1]
            return
        if block.in_rounds:
            self._rounds(block, last)
            return
        for item in block.items:
            for number, work_set in enumerate(item.sets):
                self._set(work_set)
                final = number == len(item.sets) - 1
                over = last and final and item is block.items[-1]
                if not over:
                    warm = block.format == "warm-up"
                    # on to the next exercise there is more to do than to get one's breath
                    self._wait(work_set.rest if warm or not final else max(work_set.rest, 90.0))

    def _rounds(self, block: Block, last: bool) -> None:
        for round_ in range(block.rounds):
            there = [item for item in block.items if round_ < len(item.chains)]
            for place, item in enumerate(there):
                self._chain(item.chains[round_])
                ends = place == len(there) - 1
                if not (last and ends and round_ == block.rounds - 1):
                    self._wait(block.round_rest if ends else block.between)

    def _chain(self, chain: tuple[WorkSet, ...]) -> None:
        for work_set in chain:
            self._set(work_set)
            if work_set is not chain[-1]:
                self._wait(work_set.rest)

    def _set(self, work_set: WorkSet) -> None:
        if work_set.kind not in UNBROKEN:
            self.seconds += self.random.uniform(*READY)
        for side in range(work_set.sides):
            if side:
                self.seconds += self.random.uniform(*TURN)
            done = self.random.randint(work_set.low, work_set.high)
            self.seconds += work_set.seconds(done) * self.pace


def run(session: Session, seed: int) -> float:
    """Minutes that one simulated run of a session takes."""
    return SimulatedRun(Random(seed)).session(session) / 60.0  # noqa: S311
