"""What an athlete can do in one family: tests and sets as evidence, pooled into one capacity."""

from collections.abc import Callable, Iterable
from dataclasses import dataclass, replace
from datetime import date, timedelta
from functools import cached_property, lru_cache
from statistics import median
from typing import Literal

from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.posture.form import Lane
from invelo.domain.biomechanics.reading import Reading
from invelo.domain.catalogue.movement import Modifiers, Movement
from invelo.domain.errors import InputError
from invelo.domain.estimate import Estimate, Input
from invelo.domain.strength.predict import Done, Known
from invelo.domain.strength.tempo import Tempo
from invelo.domain.training.log import PAIN_STOP, OneSide, SetKind, SetRecord

EVIDENCE_DAYS = 28
"""Days back from the newest evidence that still count (ours)."""

EVIDENCE_SESSIONS = 3
"""Capacity is the middle of this many days of evidence, so that one day does not move it (ours)."""

EVIDENCE_RPE = {"reps": 6.0, "s": 9.5}
"""Least effort at which a set still says something of capacity (common practice: the scale tells
reps in reserve near its top; of a hold only its end tells)."""


TELLING_KINDS: tuple[SetKind, ...] = ("work", "single")
"""Kinds of set that are done fresh and whole."""


def tells(done: SetRecord) -> bool:
    """Whether a logged set says something of capacity: clean, hard enough, not cut by pain, and not
    done tired on purpose or broken into pieces."""
    return (
        done.form_ok
        and done.kind in TELLING_KINDS
        and done.least >= 1
        and done.rpe >= EVIDENCE_RPE[done.unit]
        and done.pain < PAIN_STOP
    )


@dataclass(frozen=True, eq=False)
class Evidence:
    """A test or a logged set; `evidence` makes one for each that is told alike.

    Attributes:
        day: when.
        kind: which of the two.
        known: what was done and what it says.
        side: of a test of one side at a time, '' of both at once.
    """

    day: date
    kind: Literal["test", "set"]
    known: Known
    side: OneSide = ""

    @property
    def load(self) -> Reading:
        """What it asked."""
        return self.known.load

    @property
    def greatest(self) -> Estimate:
        """The capacity it tells, kg or N·m."""
        return self.known.greatest


@lru_cache(maxsize=8192)
def evidence(
    day: date,
    kind: Literal["test", "set"],
    body: Body,
    movement: Movement,
    modifiers: Modifiers,
    amount: float,
    rpe: float,
    side: OneSide = "",
    about: tuple[float, float] | None = None,
) -> Evidence:
    """What `amount` reps or seconds of a movement say, done by a body as it was that day; `about`
    bounds a count told from memory.

    Raises:
        InputError: for a set-up, an amount or an effort out of range.
    """
    done = Done(modifiers.setup(movement), amount, modifiers.tempo, rpe)
    known = Known(body, done, about=about)
    _ = known.greatest  # refuses what is out of range
    return Evidence(day, kind, known, side)


@dataclass(frozen=True)
class Pool:
    """The evidence that speaks for an athlete now, a day each; see `pool`."""

    members: tuple[Evidence, ...]

    @cached_property
    def nearest(self) -> Evidence:
        """The member nearest to the middle; the better of two."""
        ranked = sorted(self.members, key=lambda evidence: evidence.greatest.likely)
        return ranked[len(ranked) // 2]

    @cached_property
    def greatest(self) -> Estimate:
        """Capacity: the one-rep load at a rep of 2 s, or the torque held for 6 s."""
        return self._middle(lambda evidence: evidence.known.greatest)

    def expected(self, wanted: Reading, tempo: Tempo) -> Estimate:
        """Reps to failure, or seconds, at a set-up of the same body.

        Raises:
            InputError: if the two are limited by different things.
        """
        return self._middle(lambda evidence: evidence.known.expected(wanted, tempo))

    def allowed(self, amount: float, tempo: Tempo) -> Estimate:
        """The demand at which an amount at a tempo is just there.

        Raises:
            InputError: for an amount outside the curves.
        """
        return self._middle(lambda evidence: evidence.known.allowed(amount, tempo))

    def _middle(self, figure: Callable[[Evidence], Estimate]) -> Estimate:
        """The middle of what the members say, each end for itself; told as the nearest's."""
        estimates = [figure(member) for member in self.members]
        if len(estimates) == 1:
            return estimates[0]
        nearest = figure(self.nearest)
        account = nearest.derivation
        days = (
            Input(f"from the {evidence.kind} of {evidence.day.isoformat()}", each.likely, each.unit)
            for evidence, each in zip(self.members, estimates, strict=True)
        )
        return replace(
            nearest,
            likely=median(each.likely for each in estimates),
            low=median(each.low for each in estimates),
            high=median(each.high for each in estimates),
            derivation=replace(
                account,
                formula=f"The middle of {len(estimates)} days' evidence, whose scatter shrinks by "
                f"their number's root. Of the nearest: {account.formula}",
                inputs=(*days, *account.inputs),
            ),
        )


def pool(known: Iterable[Evidence]) -> Pool:
    """The evidence that speaks for an athlete now.

    The best of each day, then the last three days within four weeks of the newest. Each keeps what
    is uncertain about the person and the body; the scatter from day to day is averaged over them.
    Where the sides were tested apart, the weaker speaks (common practice).

    Raises:
        InputError: if there is none.
    """
    pooled = tuple(known)
    if not pooled:
        raise InputError("tests", "nothing says yet what this athlete can do.", "Enter a test.")
    sided: tuple[OneSide, OneSide] = ("left", "right")
    sides = [side for side in sided if any(evidence.side == side for evidence in pooled)]
    if not sides:
        return _pool(pooled)
    apart = [
        _pool(tuple(evidence for evidence in pooled if evidence.side in ("", side)))
        for side in sides
    ]
    return min(apart, key=lambda pool: pool.greatest.likely)


def _pool(pooled: tuple[Evidence, ...]) -> Pool:
    newest = max(evidence.day for evidence in pooled)
    best: dict[date, Evidence] = {}
    for item in pooled:
        if item.day <= newest - timedelta(days=EVIDENCE_DAYS):
            continue
        that_day = best.get(item.day)
        if that_day is None or item.greatest.likely > that_day.greatest.likely:
            best[item.day] = item
    recent = [best[day] for day in sorted(best)[-EVIDENCE_SESSIONS:]]
    days = len(recent)
    return Pool(
        tuple(replace(evidence, known=replace(evidence.known, days=days)) for evidence in recent)
    )


def groups_of(known: tuple[Evidence, ...]) -> dict[Lane, tuple[Evidence, ...]]:
    """Evidence by what it is of: one family, one limiting measure, one way of counting."""
    groups: dict[Lane, list[Evidence]] = {}
    for evidence in known:
        groups.setdefault(evidence.load.setup.form.lane, []).append(evidence)
    return {key: tuple(those) for key, those in groups.items()}
