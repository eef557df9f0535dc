"""Plans that are tried: fixed ones, and Invelo's own rules."""

from dataclasses import dataclass, field, replace
from datetime import date, timedelta
from typing import Protocol

from invelo.domain.biomechanics.body import Body
from invelo.domain.errors import InputError
from invelo.domain.estimate import Estimate
from invelo.domain.ladder.ladder import MeasuredLadder, measure
from invelo.domain.ladder.rung import Demand, Rung
from invelo.domain.plan.methods import CEILING, criterion_for, prescription_for
from invelo.domain.plan.prescription import Method, Prescription
from invelo.domain.plan.week.course import EASY_RPE, EASY_SHARE, course
from invelo.domain.review.proposals.offers import offers
from invelo.domain.review.proposals.propose import decide
from invelo.domain.review.proposals.situation import (
    AnsweredProposal,
    Neighbour,
    Occasion,
    Proposal,
    Situation,
    WeekSeen,
)
from invelo.domain.review.trend import TrendPoint
from invelo.domain.strength.capacity import Evidence, Pool, evidence, groups_of, pool, tells
from invelo.domain.training.log import SessionRecord

FAILURE = 10.0


@dataclass(frozen=True)
class PrescribedSession:
    """What a plan asks of one session.

    Attributes:
        key: of the rung, for the log.
        rung, demand: which, and what it asks.
        prescription: sets, range and effort.
        to_failure: whether each set is of as many as possible, whatever the range.
    """

    key: str
    rung: Rung
    demand: Demand
    prescription: Prescription
    to_failure: bool = False


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


def start_index(ladder: MeasuredLadder, tested: Pool) -> int:
    """The hardest rung whose useful prescription fits by the first test."""
    fits = [
        i
        for i, (rung, demand) in enumerate(zip(ladder.rungs, ladder.demands, strict=True))
        if tested.expected(demand.load, rung.modifiers.tempo).likely >= rung.prescription.asks
    ]
    return max(fits, key=lambda i: ladder.demands[i].height, default=0)


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

    def asks(self, day: date) -> PrescribedSession:
        """The same prescription each time: every set to the top of the range."""
        rung = self.ladder.rungs[self.index]
        return self.asked(replace(rung.prescription, low=rung.prescription.high, rpe=FAILURE))

    def asked(self, prescription: Prescription, to_failure: bool = False) -> PrescribedSession:
        """This rung with a prescription."""
        rung = self.ladder.rungs[self.index]
        return PrescribedSession(
            str(self.index), rung, self.ladder.demands[self.index], prescription, to_failure
        )

    def logged(self, session: SessionRecord) -> None:
        """Nothing follows."""

    def week_ends(self, week_start: date, ratio: float | None, rolling: float | None) -> None:
        """Nothing follows."""

    def hurt(self) -> None:
        """Nothing follows."""


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

    def asks(self, day: date) -> PrescribedSession:
        """To the end."""
        prescription = self.ladder.rungs[self.index].prescription
        return self.asked(replace(prescription, high=CEILING["reps"], rpe=FAILURE), to_failure=True)

    def logged(self, session: SessionRecord) -> None:
        """Up past the ceiling."""
        if any(record.amount >= self.ceiling for record in session.sets):
            self.up()


@dataclass(frozen=True)
class RuleSettings:
    """What of Invelo's rules can be set for a comparison.

    Attributes:
        method: that decides.
        weekly: whether the end of a week is looked at.
        eases: whether what it says of load and layoff is taken.
    """

    method: Method = "double_progression"
    weekly: bool = True
    eases: bool = True


@dataclass
class Invelo:
    """Invelo's own rules, every proposal taken by the coach as it comes.

    Args:
        body: whose.
        ladder: measured for them.
        place: rung to begin on.
        tested: what the first test said.
        settings: of the rules.
    """

    body: Body
    ladder: MeasuredLadder
    place: int
    tested: Evidence
    settings: RuleSettings = field(default_factory=RuleSettings)
    name: str = "Invelo"

    def __post_init__(self) -> None:
        """Take the method's prescriptions."""
        self.rungs = [self._by_method(rung) for rung in self.ladder.rungs]
        heights = [demand.height for demand in self.ladder.demands]
        order = sorted(range(len(heights)), key=lambda i: heights[i])
        self.rungs = [self.rungs[i] for i in order]
        self._measure()
        self.keys = [str(i) for i in order]
        self.at = order.index(self.place)
        self.sessions: list[SessionRecord] = []
        self.known: list[Evidence] = [self.tested]
        self.reach: list[TrendPoint] = []
        self.answered: list[tuple[date, AnsweredProposal]] = []
        self.eased: dict[date, tuple[float, float]] = {}
        self.most_days = 7
        self.done_days: set[date] = set()
        self.taken: dict[str, int] = {}

    def _by_method(self, rung: Rung) -> Rung:
        method = self.settings.method
        if method == "double_progression":
            return rung
        prescription = prescription_for(method, "strength", "intermediate", rung.prescription.unit)
        prescription = (
            replace(prescription, sets=max(prescription.sets, rung.prescription.sets))
            if method == "rpe_target"
            else prescription
        )
        return replace(
            rung, prescription=prescription, criterion=criterion_for(method, prescription)
        )

    def _measure(self) -> None:
        self.measured = measure(self.body, tuple(self.rungs))

    @property
    def pool(self) -> Pool:
        """What speaks for the athlete now."""
        lane = self.measured.demands[self.at].lane
        groups = groups_of(tuple(self.known[-40:]))
        return pool(groups[lane]) if lane in groups else pool(next(iter(groups.values())))

    def asks(self, day: date) -> PrescribedSession:
        """The standing rung's prescription, eased in a week that was asked to."""
        rung = self.rungs[self.at]
        share, rpe = self.eased.get(day - timedelta(days=day.weekday()), (1.0, FAILURE))
        sets = max(1, round(share * rung.prescription.sets))
        prescription = replace(rung.prescription, sets=sets, rpe=min(rung.prescription.rpe, rpe))
        return PrescribedSession(
            self.keys[self.at], rung, self.measured.demands[self.at], prescription
        )

    def logged(self, session: SessionRecord) -> None:
        """Take in the sets, and what is proposed."""
        self.sessions.append(session)
        self.done_days.add(session.day)
        by_key = dict(zip(self.keys, self.rungs, strict=True))
        for record in session.sets:
            if tells(record) and record.rung in by_key:
                rung = by_key[record.rung]
                self.known.append(
                    evidence(
                        session.day,
                        "set",
                        self.body,
                        rung.movement,
                        rung.modifiers,
                        record.amount,
                        record.rpe,
                    )
                )
        self.reach.append(TrendPoint(session.day, self.pool.greatest.likely))
        self._take(self._propose("session", None), session.day)

    def week_ends(self, week_start: date, ratio: float | None, rolling: float | None) -> None:
        """Look at the week, and take what is proposed."""
        if not self.settings.weekly or not self.sessions:
            return
        eases = self.settings.eases
        week = WeekSeen(
            week_start,
            ratio if eases else None,
            rolling if eases else None,
            tuple(self.reach),
            sum(1 for day in self.done_days if 0 < (week_start - day).days <= 7),
            evidence=max(evidence.day for evidence in self.known),
        )
        self._take(self._propose("week", week), week_start)

    def hurt(self) -> None:
        """A rung back after pain, if there is one: the stopped movement comes back easier."""
        self.at = max(0, self.at - 1)

    def _neighbour(self, index: int) -> Neighbour | None:
        if not 0 <= index < len(self.rungs):
            return None
        return Neighbour(self.keys[index], self.rungs[index], self._expected(index))

    def _expected(self, index: int) -> Estimate | None:
        demand = self.measured.demands[index]
        try:
            return self.pool.expected(demand.load, self.rungs[index].modifiers.tempo)
        except InputError:
            return None

    def _propose(self, occasion: Occasion, week: WeekSeen | None) -> Proposal:
        rung = self.rungs[self.at]
        today = week.today if week else self.sessions[-1].day
        return decide(
            Situation(
                self.keys[self.at],
                rung,
                self._neighbour(self.at - 1),
                self._neighbour(self.at + 1),
                tuple(self.sessions[-12:]),
                "strength",
                method=self.settings.method,
                occasion=occasion,
                week=week,
                offers=lambda: offers(self.body, rung, self.measured.policy, self.pool),
                answered=tuple(
                    replace(answered_proposal, days=(today - day).days)
                    for day, answered_proposal in self.answered[-12:]
                ),
            )
        )

    def _take(self, said: Proposal, day: date) -> None:
        ids = tuple(rule.id for rule in said.rules)
        key = self.keys[self.at]
        self.answered.append((day, AnsweredProposal(said.outcome, key, ids, "accept", 0)))
        self.taken[said.outcome] = self.taken.get(said.outcome, 0) + 1
        if said.outcome in ("step_up", "step_back"):
            self.at = self.keys.index(said.to)
        if said.outcome in ("add_set", "step_up") and said.amount:
            self._more_sets(int(said.amount))
        elif said.rung is not None:
            self._insert(said.rung, day)
        elif said.outcome == "ease_off":
            self._ease(said, day)

    def _more_sets(self, sets: int) -> None:
        rung = self.rungs[self.at]
        criterion = (
            replace(rung.criterion, sets=sets)
            if rung.criterion.sets == rung.prescription.sets
            else rung.criterion
        )
        self.rungs[self.at] = replace(
            rung, prescription=replace(rung.prescription, sets=sets), criterion=criterion
        )
        self._measure()

    def _insert(self, rung: Rung, day: date) -> None:
        self.at += 1
        self.rungs.insert(self.at, rung)
        self.keys.insert(self.at, f"{day.isoformat()} {rung.name}")
        self._measure()

    def _ease(self, said: Proposal, day: date) -> None:
        week_start = day - timedelta(days=day.weekday())
        if "layoff.re-entry" not in {rule.id for rule in said.rules}:
            self.eased[week_start] = (EASY_SHARE, EASY_RPE)
            return
        back = course(26, said.amount or 0.0)
        for week in back:
            if week.kind == "re-entry":
                self.eased[week_start + timedelta(weeks=week.number - 1)] = (week.share, week.rpe)
