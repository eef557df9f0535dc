"""Whether plateaus are called: simulated athletes who grow, and the same ones flat.

    PYTHONPATH=src:. python -m bench.plateau [athletes]

Each lives twelve weeks by Invelo's rules, on seeds used for nothing else: once as they are, once
with nothing to gain. Told: the share of the flat who were told so within those weeks, of the
growing who were; how often assistance changed its direction for steady athletes who hold with
help; and how often a set to its end was asked beside the plan.
"""

import os
import sys
from concurrent.futures import ProcessPoolExecutor
from dataclasses import dataclass, replace
from multiprocessing import get_context

import numpy as np

from invelo.domain.simulation import coached
from invelo.domain.simulation.cast import Member, cast
from invelo.domain.simulation.season import live

SEED = 51977
WEEKS = 12
FORTNIGHTS = WEEKS / 2
TURNS = {"reduce_assistance": 1, "add_assistance": -1}


@dataclass(frozen=True)
class Lived:
    """What became of one.

    Attributes:
        called: whether a plateau was.
        turns: changes of direction of the assistance.
        open_ends: sets to their end.
    """

    called: bool
    turns: int
    open_ends: int


class Watched(coached.Coached):
    """The rules, with what they say written down."""

    rules: list[str]
    ways: list[int]

    def _take(self, said, day):  # type: ignore[no-untyped-def]
        self.rules += [rule.id for rule in said.rules if said.standing != "on course"]
        if said.outcome in TURNS and (not self.ways or self.ways[-1] != TURNS[said.outcome]):
            self.ways.append(TURNS[said.outcome])
        super()._take(said, day)


def one(member: Member) -> Lived:
    """Twelve weeks of a member."""
    kept: list[Watched] = []

    def made(*args: object) -> Watched:
        Watched.rules, Watched.ways = [], []
        plan = Watched(*args)  # type: ignore[arg-type]
        kept.append(plan)
        return plan

    from invelo.domain.simulation import season

    season.Coached = made  # type: ignore[misc, assignment]
    live(member, "invelo", WEEKS)
    plan = kept[0]
    turns = max(0, len(plan.ways) - 1)
    return Lived("plateau.weeks" in plan.rules, turns, plan.counted.open_ends)


def steady(member: Member, gain: float | None = None) -> Member:
    """Without breaks or a wrong first test; with so much to gain."""
    talent = replace(member.talent, away=(0, 0), misjudged=0.0, law="saturating")
    return replace(member, talent=talent if gain is None else replace(talent, gain=gain))


def run(athletes: int = 100) -> None:
    """The shares on the terminal."""
    members = [steady(member) for member in cast(athletes, SEED, WEEKS)]
    flat = [steady(member, 1e-6) for member in members]
    holds = [steady(member) for member in cast(athletes // 2, SEED + 1, WEEKS, kind="hold")]
    with ProcessPoolExecutor(os.cpu_count(), get_context("spawn")) as pool:
        growing, still, held = (list(pool.map(one, those)) for those in (members, flat, holds))
    print(f"flat, called: {100 * np.mean([lived.called for lived in still]):.0f} %")
    print(f"growing, called: {100 * np.mean([lived.called for lived in growing]):.0f} %")
    turns = [lived.turns for lived in held]
    print(f"assistance turned more than twice: {100 * np.mean(np.array(turns) > 2):.0f} % of holds")
    often = [lived.open_ends / FORTNIGHTS for lived in (*growing, *still, *held)]
    print(f"sets to their end in a fortnight: {np.mean(often):.2f}, at most {max(often):.2f}")


if __name__ == "__main__":
    run(*map(int, sys.argv[1:2]))
