"""Plans that are tried: those a good coach goes by, and one that knows the truth."""

from dataclasses import dataclass, replace
from datetime import date
from typing import Protocol

from invelo.domain.ladder.ladder import MeasuredLadder
from invelo.domain.ladder.rung import Demand, Rung
from invelo.domain.plan.methods import CEILING
from invelo.domain.plan.prescription import Prescription
from invelo.domain.training.log import Derived, SessionRecord

FAILURE = 10.0


@dataclass(frozen=True)
class PrescribedSession:
    """What a plan asks of one session.

    Attributes:
        key: of the rung, for the log.
        rung, demand: which, and what it asks.
        prescription: sets, range and effort.
        to_failure: whether each set is of as many as possible, whatever the range.
        open_end: whether the last set is.
        derived: why it asks other than the plan's usual.
        last_rpe: effort up to which the last set may go; None for that of the others.
    """

    key: str
    rung: Rung
    demand: Demand
    prescription: Prescription
    to_failure: bool = False
    open_end: bool = False
    derived: Derived = ""
    last_rpe: float | None = None


class Plan(Protocol):
    """How training goes on."""

    name: str

    def asks(self, day: date) -> PrescribedSession:
        """What is asked on a day."""

    def logged(self, session: SessionRecord) -> None:
        """Take in what was done."""

    def week_ends(self, week_start: date, ratio: float | None, rolling: float | None) -> None:
        """Look at the week before a Monday, with its acute : chronic load."""

    def hurt(self) -> None:
        """Take in that pain has ended training for some days."""


@dataclass
class Fixed:
    """What fixed plans share: a ladder in order of demand and a place on it."""

    ladder: MeasuredLadder
    place: int
    name: str = "fixed repeat"

    def __post_init__(self) -> None:
        """Order the rungs."""
        heights = [demand.height for demand in self.ladder.demands]
        self.order = sorted(range(len(heights)), key=lambda i: heights[i])
        self.at = self.order.index(self.place)

    @property
    def index(self) -> int:
        """Of the rung that is trained."""
        return self.order[self.at]

    def up(self) -> None:
        """To the next rung, if there is one."""
        self.at = min(self.at + 1, len(self.order) - 1)

    def down(self) -> None:
        """To the rung below, if there is one."""
        self.at = max(self.at - 1, 0)

    def asks(self, day: date) -> PrescribedSession:
        """The same prescription each time: every set to the top of the range."""
        rung = self.ladder.rungs[self.index]
        return self.asked(replace(rung.prescription, low=rung.prescription.high, rpe=FAILURE))

    def asked(
        self, prescription: Prescription, to_failure: bool = False, open_end: bool = False
    ) -> PrescribedSession:
        """This rung with a prescription."""
        rung = self.ladder.rungs[self.index]
        demand = self.ladder.demands[self.index]
        return PrescribedSession(str(self.index), rung, demand, prescription, to_failure, open_end)

    def logged(self, session: SessionRecord) -> None:
        """Nothing follows."""

    def week_ends(self, week_start: date, ratio: float | None, rolling: float | None) -> None:
        """Nothing follows."""

    def hurt(self) -> None:
        """A rung back after pain, if there is one."""
        self.down()


@dataclass
class Linear(Fixed):
    """A rep a set more each week; past the top of the range the next rung, from its foot."""

    name: str = "linear weekly growth"
    reps: int = 0

    def asks(self, day: date) -> PrescribedSession:
        """This week's reps, however they go."""
        prescription = self.ladder.rungs[self.index].prescription
        reps = self.reps = self.reps or prescription.low
        return self.asked(replace(prescription, low=reps, high=reps, rpe=FAILURE))

    def week_ends(self, week_start: date, ratio: float | None, rolling: float | None) -> None:
        """A rep more."""
        prescription = self.ladder.rungs[self.index].prescription
        self.reps = (self.reps or prescription.low) + 1
        if self.reps > prescription.high:
            self.reps = prescription.low
            self.up()


@dataclass
class Calendar(Fixed):
    """The next rung every so many weeks, to the top of the range each time."""

    name: str = "next rung every 3 weeks"
    every: int = 3
    weeks: int = 0

    def week_ends(self, week_start: date, ratio: float | None, rolling: float | None) -> None:
        """Count the weeks."""
        self.weeks += 1
        if self.weeks % self.every == 0:
            self.up()


@dataclass
class NearFailure(Fixed):
    """As many as possible in every set; the next rung once a set reaches the ceiling."""

    name: str = "pure near failure"
    ceiling: int = 15

    def __post_init__(self) -> None:
        """A hold's ceiling is in seconds of its own."""
        super().__post_init__()
        prescription = self.ladder.rungs[self.index].prescription
        if prescription.unit == "s":
            self.ceiling = round(1.5 * prescription.high)

    def asks(self, day: date) -> PrescribedSession:
        """To the end."""
        prescription = self.ladder.rungs[self.index].prescription
        top = CEILING[prescription.unit]
        return self.asked(replace(prescription, high=top, rpe=FAILURE), to_failure=True)

    def logged(self, session: SessionRecord) -> None:
        """Up past the ceiling, down where not even the foot is there."""
        if any(record.amount >= self.ceiling for record in session.sets):
            self.up()
        elif session.sets and session.sets[0].amount < 3:
            self.down()


@dataclass
class TwoForTwo(Fixed):
    """Double progression as a good coach climbs it: the range in every set, the last one open; two
    more than its top in the last set on two sessions running, and the next rung comes.

    Source: common practice (the two-for-two rule, Baechle and Earle 2008, from memory).
    """

    name: str = "double progression, two for two"
    over: int = 0
    short: int = 0

    def asks(self, day: date) -> PrescribedSession:
        """The range at its effort, the last set as many as there are at that effort."""
        prescription = self.ladder.rungs[self.index].prescription
        return self.asked(prescription, open_end=True)

    def logged(self, session: SessionRecord) -> None:
        """Two for two up, twice under the foot down."""
        prescription = self.ladder.rungs[self.index].prescription
        if not session.sets:
            return
        extra = 2 if prescription.unit == "reps" else 1
        self.over = self.over + 1 if session.sets[-1].amount >= prescription.high + extra else 0
        under = session.sets[0].amount < prescription.low
        self.short = self.short + 1 if under else 0
        if self.over >= 2:
            self.over = 0
            self.up()
        elif self.short >= 2:
            self.short = 0
            self.down()


@dataclass
class FirstRules(Fixed):
    """The rules of the first release, in short: the criterion in every set on two sessions running,
    then the next rung if its foot is likely in a first set; under the foot twice, a rung back."""

    name: str = "the first release's rules"
    met: int = 0
    short: int = 0

    def asks(self, day: date) -> PrescribedSession:
        """The range at its effort."""
        return self.asked(self.ladder.rungs[self.index].prescription)

    def logged(self, session: SessionRecord) -> None:
        """By the criterion up, by the foot down."""
        rung = self.ladder.rungs[self.index]
        sets = session.sets
        shown = len(sets) >= rung.criterion.sets and all(
            record.amount >= rung.criterion.amount and record.rpe <= rung.criterion.rpe
            for record in sets
        )
        self.met = self.met + 1 if shown else 0
        missed = any(record.amount < rung.prescription.low for record in sets)
        self.short = self.short + 1 if missed else 0
        if self.met >= rung.criterion.sessions:
            self.met = 0
            self.up()
        elif self.short >= 2:
            self.short = 0
            self.down()
