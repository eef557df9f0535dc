"""Invelo's own rules as a plan: what is asked, what was done, what comes next, all as the service
does it; every question is answered with yes."""

from dataclasses import dataclass, field, replace
from datetime import date, timedelta

from invelo.domain.biomechanics.body import Body
from invelo.domain.equipment.kit import ToHand
from invelo.domain.errors import InputError
from invelo.domain.ladder.ladder import MeasuredLadder, measure
from invelo.domain.ladder.rung import Rung, demand
from invelo.domain.plan.asked import session_asked
from invelo.domain.plan.methods import criterion_for, prescription_for
from invelo.domain.plan.prescription import Method, Purpose
from invelo.domain.plan.week.course import EASY_RPE, EASY_SHARE
from invelo.domain.review.ladder_case import LadderCase, fitted
from invelo.domain.review.proposals.checking import due
from invelo.domain.review.proposals.propose import decide
from invelo.domain.review.proposals.situation import (
    AnsweredProposal,
    Occasion,
    Proposal,
    Situation,
    WeekSeen,
)
from invelo.domain.review.rules import WEEKLY_RULES
from invelo.domain.simulation.plans import PrescribedSession
from invelo.domain.strength.says import seen_of, work_of
from invelo.domain.strength.state import DaySeen, Seen, State, begin, seen
from invelo.domain.training.log import SessionRecord

NO_KIT = ToHand(frozenset(), (), (), (), (), ())
"""Nothing to hand: no pieces, so that rungs alone make the steps."""


@dataclass(frozen=True)
class RuleSettings:
    """What of the rules can be set for a comparison.

    Attributes:
        method: that decides.
        weekly: whether the end of a week is looked at.
        eases: whether what it says of load is taken.
    """

    method: Method = "double_progression"
    weekly: bool = True
    eases: bool = True


@dataclass
class Counted:
    """What the coach was asked, and what became of it."""

    questions: int = 0
    routines: int = 0
    ups: list[tuple[date, str]] = field(default_factory=list)
    taken_back: int = 0
    open_ends: int = 0
    stuck: int = 0
    outcomes: dict[str, int] = field(default_factory=dict)


@dataclass
class Coached:
    """The rules, lived.

    Args:
        body: whose.
        ladder: measured for them.
        place: rung to begin on.
        tested: what the first test said.
        purpose: of the ladder.
        settings: of the rules.
    """

    body: Body
    ladder: MeasuredLadder
    place: int
    tested: Seen
    first_day: date
    purpose: Purpose
    settings: RuleSettings = field(default_factory=RuleSettings)
    name: str = "Invelo"

    def __post_init__(self) -> None:
        """Take the method's prescriptions."""
        heights = [demand.height for demand in self.ladder.demands]
        order = sorted(range(len(heights)), key=lambda i: heights[i])
        self.rungs = [self._by_method(self.ladder.rungs[i]) for i in order]
        self.keys = [str(i) for i in order]
        self.measured = measure(self.body, tuple(self.rungs))
        self.at = order.index(self.place)
        self.state: State = seen(
            begin(DaySeen(self.first_day, (self.tested,))), DaySeen(self.first_day, (self.tested,))
        )
        self.sessions: list[SessionRecord] = []
        self.answered: list[tuple[date, AnsweredProposal]] = []
        self.easy: set[date] = set()
        self.counted = Counted()
        self.begun: int | None = None
        self.since = self.first_day
        self.prescribed = self._situation(self.first_day, "session", None, first=True).here.rung

    def _by_method(self, rung: Rung) -> Rung:
        method = self.settings.method
        if method == "double_progression":
            return rung
        prescription = prescription_for(
            method, self.purpose, "intermediate", rung.prescription.unit
        )
        return replace(
            rung, prescription=prescription, criterion=criterion_for(method, prescription)
        )

    def _situation(
        self, today: date, occasion: Occasion, week: WeekSeen | None, first: bool = False
    ) -> Situation:
        rung = self.rungs[self.at]
        if first:
            work = work_of(self.body, rung.movement, rung.modifiers)
            self.prescribed = fitted(rung, work, self.state, self.purpose, self.settings.method)
        return LadderCase(
            body=self.body,
            ladder=self.measured,
            keys=tuple(self.keys),
            closed=("",) * len(self.keys),
            current=self.at,
            prescribed=self.prescribed,
            sessions=tuple(self.sessions[-60:]),
            states={rung.movement.posture.lane: self.state.later(today)},
            purpose=self.purpose,
            method=self.settings.method,
            today=today,
            since=self.since,
            hand=NO_KIT,
            occasion=occasion,
            week=week,
            answered=tuple(
                replace(answer, days=(today - day).days)
                for day, answer in reversed(self.answered[-16:])
            ),
        ).situation()

    def asks(self, day: date) -> PrescribedSession:
        """The prescription, or what is derived from it."""
        monday = day - timedelta(days=day.weekday())
        open_end = bool(self.sessions) and due(self._situation(day, "session", None))
        asked = session_asked(
            self._moved(day),
            [session.day for session in self.sessions],
            day,
            self.begun,
            (EASY_SHARE, EASY_RPE) if monday in self.easy else None,
            open_end,
        )
        self.counted.open_ends += asked.open_end
        return PrescribedSession(
            self.keys[self.at],
            asked.rung,
            demand(self.body, asked.rung),
            asked.rung.prescription,
            open_end=asked.open_end,
            derived=asked.derived,
            last_rpe=asked.last_rpe,
        )

    def _moved(self, day: date) -> Rung:
        rung = self.prescribed
        work = work_of(self.body, rung.movement, rung.modifiers)
        return fitted(rung, work, self.state.later(day), self.purpose, self.settings.method)

    def logged(self, session: SessionRecord) -> None:
        """Take in the sets, and what is proposed."""
        self.sessions.append(session)
        if self.begun is not None:
            self.begun += 1
        work = work_of(self.body, self.prescribed.movement, self.prescribed.modifiers)
        if work is not None:
            rest = float(self.prescribed.prescription.rest)
            sets = tuple(seen_of(record, work, rest) for record in session.sets)
            self.state = seen(self.state, DaySeen(session.day, sets))
        self._take(decide(self._situation(session.day, "session", None)), session.day)

    def week_ends(self, week_start: date, ratio: float | None, rolling: float | None) -> None:
        """Look at the week, and take what is proposed."""
        if not self.settings.weekly or not self.sessions:
            return
        eases = self.settings.eases
        done = sum(1 for session in self.sessions if 0 < (week_start - session.day).days <= 7)
        week = WeekSeen(ratio if eases else None, rolling if eases else None, done)
        said = decide(self._situation(week_start, "week", week))
        if said.rules and said.rules[0].id in WEEKLY_RULES:
            self._take(said, week_start)

    def hurt(self) -> None:
        """A rung back after pain, if there is one: the stopped movement comes back easier."""
        if self.at > 0 and self.sessions:
            day = self.sessions[-1].day
            self._stand(self.at - 1, self._fitted_at(self.at - 1, day), day, climbed=False)

    def _fitted_at(self, index: int, day: date) -> Rung:
        rung = self.rungs[index]
        work = work_of(self.body, rung.movement, rung.modifiers)
        return fitted(rung, work, self.state.later(day), self.purpose, self.settings.method)

    def _stand(self, index: int, rung: Rung, day: date, climbed: bool) -> None:
        self.at, self.prescribed = index, rung
        self.since = day + timedelta(days=1)
        self.begun = 0 if climbed else None

    def _take(self, said: Proposal, day: date) -> None:
        if said.standing == "on course":
            return
        counted = self.counted
        routine = said.standing == "routine"
        counted.routines += routine
        counted.questions += not routine
        counted.outcomes[said.outcome] = counted.outcomes.get(said.outcome, 0) + 1
        counted.stuck += said.outcome == "bridge" and said.then is None
        ids = tuple(rule.id for rule in said.rules)
        key = self.keys[self.at]
        before = AnsweredProposal(said.outcome, key, ids, "routine" if routine else "accept", 0)
        self.answered.append((day, before))
        if said.outcome == "step_up" and said.then is not None:
            counted.ups.append((day, said.to))
            self._stand(self.keys.index(said.to), said.then, day, climbed=True)
        elif said.outcome == "step_back" and said.then is not None:
            if counted.ups and (day - counted.ups[-1][0]).days <= 21:
                counted.taken_back += 1
            self._stand(self.keys.index(said.to), said.then, day, climbed=False)
        elif said.outcome == "bridge" and said.rung is not None:
            self._insert(said.rung, day)
        elif said.then is not None:
            self.prescribed = said.then
            self.since = day + timedelta(days=1)
        elif said.outcome == "ease_off":
            self.easy.add(day - timedelta(days=day.weekday()))

    def _insert(self, rung: Rung, day: date) -> None:
        at = self.at + 1
        rungs = [*self.rungs[:at], rung, *self.rungs[at:]]
        try:
            self.measured = measure(self.body, tuple(rungs))
        except InputError:
            return
        self.rungs = rungs
        self.keys.insert(at, f"{day.isoformat()} {rung.name}")
        self._stand(at, rung, day, climbed=True)
