"""From what was done at one set-up to what can be done at another, reps or seconds."""

from collections.abc import Sequence
from dataclasses import dataclass, field, replace
from functools import cached_property
from typing import cast

from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.posture.form import Form
from invelo.domain.biomechanics.ratio import relative_range
from invelo.domain.biomechanics.reading import Reading, reading, rep_share
from invelo.domain.biomechanics.setup import SetUp
from invelo.domain.errors import InputError
from invelo.domain.estimate import Derivation, Estimate
from invelo.domain.plan.prescription import Unit, amount_in
from invelo.domain.strength.holds import HoldCapacity, HoldResult, Joint
from invelo.domain.strength.rep_curve import MOST_REPS
from invelo.domain.strength.reps import TOO_LIGHT, Capacity, RepResult
from invelo.domain.strength.tempo import Tempo

LEAST_LOAD = 0.1
"""kg or N·m under which there is nothing to count or hold."""


@dataclass(frozen=True)
class Done:
    """A set or a hold that was done.

    Attributes:
        setup: of what.
        amount: clean reps, or seconds of a hold.
        tempo: of the reps.
        rpe: 1–10; 10 for as many as possible.
    """

    setup: SetUp
    amount: float
    tempo: Tempo = field(default_factory=Tempo)
    rpe: float = 10.0

    def __post_init__(self) -> None:
        """Ask for the count that the movement has."""
        form = self.setup.form
        if form.counted == "rpe":
            raise InputError(
                "movement",
                f"a {form.name.lower()} is logged by effort; no count follows from it.",
                "Compare its load instead.",
            )

    @classmethod
    def given(
        cls, setup: SetUp, amount: float | None, unit: Unit | None, tempo: Tempo, rpe: float
    ) -> "Done":
        """What someone says was done.

        Args:
            setup: of what.
            amount: reps, or seconds of a hold.
            unit: which of them; None for whatever the movement is counted in.
            tempo: of the reps.
            rpe: 1–10.

        Raises:
            InputError: for no amount, or one in another unit.
        """
        counted: Unit = "s" if setup.form.counted == "hold" else "reps"
        return cls(setup, amount_in(setup.form.name, counted, amount, unit), tempo, rpe)

    def counted(self, amount: float) -> "Done":
        """The same with another count."""
        return replace(self, amount=amount)


@dataclass(frozen=True)
class Known:
    """What something done says of one body's capacity.

    Attributes:
        body: whose.
        done: what.
        days: over how many days of results its scatter is averaged; this is one of them.
        about: least and most that may have been done, where the count is told from memory; every
            figure's range then spans what both ends say.
    """

    body: Body
    done: Done
    days: int = 1
    about: tuple[float, float] | None = None

    @cached_property
    def load(self) -> Reading:
        """What was done asked."""
        return reading(self.body, self.done.setup)

    @cached_property
    def capacity(self) -> Capacity | HoldCapacity:
        """The one-rep load, or the greatest torque.

        Raises:
            InputError: for a count out of range, or a set-up that asks nothing.
        """
        load, done = self.load.on_own_scale, self.done
        if load.likely < LEAST_LOAD:
            raise InputError(
                "set-up",
                "it asks nothing of the limiting joint.",
                "Add load or take assistance away.",
            )
        if done.setup.form.counted == "hold":
            joint = cast(Joint, done.setup.form.joint)
            return HoldCapacity(
                HoldResult(
                    load.likely,
                    done.amount,
                    joint,
                    self.load.unit,
                    load.low,
                    load.high,
                    self.days,
                )
            )
        return Capacity(
            RepResult(
                load.likely,
                done.amount,
                whole_reps(self.load, done.tempo),
                done.rpe,
                load.low,
                load.high,
                self.load.unit,
                self.days,
                done.setup.form.curve,
            )
        )

    @property
    def scatter(self) -> float:
        """80 % half-width of the count by the day alone, reps or seconds."""
        return self.capacity.result.scatter

    @cached_property
    def _ends(self) -> "tuple[Known, ...]":
        """The same, had it been the least or the most that is told."""
        if self.about is None:
            return ()
        return tuple(replace(self, done=self.done.counted(end), about=None) for end in self.about)

    @property
    def greatest(self) -> Estimate:
        """The capacity as a figure, kg or N·m."""
        capacity = self.capacity
        estimate = capacity.one_rep if isinstance(capacity, Capacity) else capacity.greatest
        return _spanning(estimate, [end.greatest for end in self._ends])

    def expected(self, wanted: Reading, tempo: Tempo) -> Estimate:
        """Reps to failure, or seconds, at another set-up of the same body.

        Raises:
            InputError: if the two are limited by different things.
        """
        compare(self.done.setup, wanted.setup)
        capacity = self.capacity
        counted = isinstance(capacity, Capacity)
        if wanted.demand.likely < LEAST_LOAD:
            return _nothing_asked("reps" if counted else "s", wanted)
        between = relative_range(wanted, self.load)
        if isinstance(capacity, Capacity):
            estimate = capacity.predict(wanted.demand.likely, whole_reps(wanted, tempo), between)
        else:
            estimate = capacity.predict(wanted.demand.likely, between)
        return _spanning(estimate, [end.expected(wanted, tempo) for end in self._ends])

    def allowed(self, count: float, tempo: Tempo) -> Estimate:
        """The demand at which `count` reps of a tempo, or seconds, are just there.

        Raises:
            InputError: for a count outside the curves.
        """
        capacity = self.capacity
        if isinstance(capacity, Capacity):
            estimate = capacity.load_for(count, tempo)
        else:
            estimate = capacity.torque_for(count)
        return _spanning(estimate, [end.allowed(count, tempo) for end in self._ends])


def _spanning(middle: Estimate, ends: Sequence[Estimate]) -> Estimate:
    """A figure whose range takes in those of others."""
    those = (middle, *ends)
    return replace(
        middle,
        low=min(estimate.low for estimate in those),
        high=max(estimate.high for estimate in those),
    )


def whole_reps(load: Reading, tempo: Tempo) -> Tempo:
    """A tempo as whole reps count it: a rep of less range or depth is a shorter one."""
    return tempo.scaled(rep_share(load.body, load.setup))


def alike(form: Form, other: Form) -> bool:
    """Whether what is done at one form says anything of the other: one family, limited by the same
    thing, counted alike."""
    return form.lane == other.lane


def compare(set_up: SetUp, other: SetUp) -> None:
    """Refuse two set-ups that are limited by different things.

    Raises:
        InputError: naming what differs.
    """
    here, there = set_up.form, other.form
    if not alike(here, there):
        raise InputError(
            "to",
            f"a {there.name.lower()} is limited by another measure than a {here.name.lower()}.",
            "Compare movements of one family that are counted alike.",
        )


def _nothing_asked(unit: str, wanted: Reading) -> Estimate:
    likely, low = (MOST_REPS, TOO_LIGHT) if unit == "reps" else (900.0, 300.0)
    return Estimate(
        likely,
        low,
        2 * likely,
        unit,
        Derivation(
            "Band or assistance carry all that the limiting joint would; nothing is left to count.",
            wanted.demand.derivation.inputs,
            wanted.demand.derivation.sources,
            "Take assistance away.",
        ),
    )
