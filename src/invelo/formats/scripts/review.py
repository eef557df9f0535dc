"""`./invelo review`: dated sessions on a ladder to what is known, what comes next and when.

It is the same code that the service runs, without a database.
"""

from datetime import date, timedelta
from math import exp
from typing import Any

from invelo.domain import MODEL_VERSION
from invelo.domain.athlete.guard import Guard
from invelo.domain.athlete.limits import tightest
from invelo.domain.athlete.readiness import CHECKS
from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.posture.form import Lane
from invelo.domain.catalogue.movement import Modifiers
from invelo.domain.equipment.kit import WARN_DAYS, KitItem, Room, SafetyCheck, to_hand
from invelo.domain.errors import InputError
from invelo.domain.estimate import Z80
from invelo.domain.ladder.ladder import MeasuredLadder, measure
from invelo.domain.ladder.rung import Rung
from invelo.domain.plan.asked import AskedSession, session_asked
from invelo.domain.plan.methods import with_prescription
from invelo.domain.plan.prescription import Prescription
from invelo.domain.review.forecast import forecast
from invelo.domain.review.ladder_case import LadderCase, fitted
from invelo.domain.review.proposals.checking import due
from invelo.domain.review.proposals.propose import decide_all
from invelo.domain.review.proposals.situation import (
    AnsweredProposal,
    Bounds,
    Proposal,
    Situation,
    WeekSeen,
    prescription_words,
)
from invelo.domain.strength.says import seen_of, tested, work_of
from invelo.domain.strength.state import DaySeen, Seen, State, days_seen, state_of
from invelo.domain.strict import attributes_of
from invelo.domain.training.log import (
    AskedRange,
    SessionRecord,
    SetRecord,
)
from invelo.formats.ladder import document as ladder_document
from invelo.formats.ladder.shapes import movement_named
from invelo.formats.scripts.movements import Range
from invelo.formats.scripts.review_shapes import (
    AskedAnswer,
    CapacityAnswer,
    CheckedItem,
    DoneSet,
    FigureAnswer,
    ForecastAnswer,
    NextSession,
    ReviewAnswer,
    ReviewRequest,
    SessionDone,
    SpokenProposal,
)


def review(request: ReviewRequest, model_version: str = MODEL_VERSION) -> ReviewAnswer:
    """Answer one case.

    Raises:
        InputError: naming what of it cannot be.
    """
    case = _Case(request)
    situation = case.situation
    proposals = decide_all(situation)
    asked = case.asked()
    return ReviewAnswer(
        state=proposals[0].standing,
        capacities=[_capacity(lane, state) for lane, state in case.states.items()],
        expected_next=case.expected_next(),
        proposals=[_proposal(proposal) for proposal in proposals],
        next_session=_next(asked),
        forecast=case.forecasts(),
        reminders=case.reminders,
        model_version=model_version,
    )


class _Case:
    """A request as the domain sees it."""

    def __init__(self, request: ReviewRequest) -> None:
        self.request = request
        self.today = request.today
        self.body: Body = request.body.core()
        read = ladder_document.check(request.ladder, self.body)
        if read.faults or read.drawing is None or read.file is None:
            fault = read.faults[0]
            raise InputError(f"ladder.{fault.place}", fault.problem, fault.remedy)
        drawing = read.drawing
        rungs = tuple(node.rung for node in drawing.rungs)
        self.ladder: MeasuredLadder = measure(
            self.body, rungs, drawing.links, read.file.settings.core()
        )
        self.names = [rung.name for rung in rungs]
        self.reminders: list[str] = []
        self.rooms = self._rooms()
        bands = tuple((band.name, band.core()) for band in request.bands)
        self.hand = to_hand(self.rooms, self.today, bands)
        self.guard = Guard(
            limits=tightest(limit.core() for limit in request.limits),
            passed=frozenset(check.id for check in CHECKS),
            rooms=self.rooms,
            today=self.today,
            age=request.age,
            body=self.body,
        )
        self.closed = tuple(
            self.guard.unavailable_reason(rung.movement, rung.modifiers) for rung in rungs
        )
        self.states = self._states()
        self.current = self._current()
        self.prescribed = self._prescribed()
        self.sessions = tuple(
            sorted(
                (self._session(session) for session in request.sessions),
                key=lambda session: session.day,
            )
        )
        self.case = self._case()
        self.situation: Situation = self.case.situation()

    def _case(self) -> LadderCase:
        gentle = self.guard.gentle
        request = self.request
        given = request.prescription
        return LadderCase(
            body=self.body,
            ladder=self.ladder,
            keys=tuple(self.names),
            closed=self.closed,
            current=self.current,
            prescribed=self.prescribed,
            sessions=self.sessions,
            states={lane: state.later(self.today) for lane, state in self.states.items()},
            purpose=request.purpose,
            method=request.method,
            today=self.today,
            since=given.since if given else None,
            hand=self.hand,
            occasion=request.occasion,
            week=self._week() if request.occasion == "week" else None,
            answered=tuple(
                AnsweredProposal(
                    session.outcome,
                    session.rung,
                    tuple(session.rules),
                    session.answer,
                    (self.today - session.day).days,
                )
                for session in sorted(
                    request.answered, key=lambda session: session.day, reverse=True
                )
            ),
            bounds=Bounds(not gentle, gentle=gentle),
            own_range=bool(given and given.own_range),
        )

    def _rooms(self) -> tuple[Room, ...]:
        request = self.request
        if request.kit is None:
            return ()
        items = [self._item(item) for item in request.kit]
        if request.bands:
            items.append(KitItem("band", "band", check=SafetyCheck(self.today, True, "")))
        return (Room("here", "gripping", tuple(items)),)

    def _item(self, item: CheckedItem) -> KitItem:
        made = item.core()
        safe = item.checked_until is None or item.checked_until >= self.today
        if item.checked_until is not None:
            left = (item.checked_until - self.today).days
            if safe and left <= WARN_DAYS:
                self.reminders.append(f"The check of “{made.name}” runs out in {left} days.")
            elif not safe:
                self.reminders.append(f"The check of “{made.name}” ran out {-left} days ago.")
        check = SafetyCheck(self.today, safe, "" if safe else "its safety check has run out")
        return KitItem(made.kind, made.name, made.height, made.kg, made.count, check=check)

    def _rung(self, name: str, field: str) -> int:
        if name not in self.names:
            raise InputError(
                field, f"“{name}” is no rung of the ladder.", f"Use one of {', '.join(self.names)}."
            )
        return self.names.index(name)

    def _current(self) -> int:
        given = self.request.prescription
        if given is not None:
            return self._rung(given.rung, "prescription.rung")
        fits = []
        for index, rung in enumerate(self.ladder.rungs):
            work = work_of(self.body, rung.movement, rung.modifiers)
            state = self.states.get(rung.movement.posture.lane)
            if work is None or state is None or self.closed[index]:
                continue
            likely = exp(float(work.log_count_at(state.on(work)[0])[0]))
            if likely >= rung.prescription.asks:
                fits.append(index)
        return max(fits, default=next((i for i, why in enumerate(self.closed) if not why), 0))

    def _prescribed(self) -> Rung:
        given, rung = self.request.prescription, self.ladder.rungs[self.current]
        if given is None:
            work = work_of(self.body, rung.movement, rung.modifiers)
            state = self.states.get(rung.movement.posture.lane)
            return fitted(rung, work, state, self.request.purpose, self.request.method)
        usual = rung.prescription
        prescription = Prescription(
            given.sets or usual.sets,
            given.low or usual.low,
            given.high or max(usual.high, given.low or 0),
            usual.rest if given.rest_s is None else given.rest_s,
            given.rpe or usual.rpe,
            usual.unit,
        )
        changes: Modifiers = given.modifiers()
        if given.as_set:
            rung = Rung(
                given.name or rung.name,
                rung.movement,
                rung.movement.own(changes),
                rung.prescription,
                rung.criterion,
            )
        return with_prescription(rung, prescription, self.request.method)

    def _session(self, done: SessionDone) -> SessionRecord:
        return SessionRecord(
            done.day, tuple(self._set(done_set) for done_set in done.sets), done.derived
        )

    def _set(self, done: DoneSet) -> SetRecord:
        index = self._rung(done.rung, "sets.rung") if done.rung else self.current
        rung = self.ladder.rungs[index]
        prescription = self.prescribed.prescription if index == self.current else rung.prescription
        asked = None
        if done.asked_low is not None:
            high = done.asked_high if done.asked_high is not None else done.asked_low
            asked = AskedRange(done.asked_low, high, done.asked_rpe or prescription.rpe, done.amrap)
        elif done.amrap:
            asked = AskedRange(prescription.low, prescription.high, 10.0, True)
        rpe = done.rpe if done.rpe is not None else (asked.rpe if asked else prescription.rpe)
        return SetRecord(
            self.names[index],
            done.amount,
            rpe,
            done.form_ok,
            done.pain,
            done.pain_place,
            rung.movement.unit,
            done.kind,
            done.side,
            done.number,
            asked=asked,
            rated=done.rpe is not None,
        )

    def _states(self) -> dict[Lane, State]:
        seen: dict[Lane, list[tuple[date, Seen]]] = {}
        for test in self.request.tests:
            made = test.core(self.request.body)
            setup = made.load.setup
            work = work_of(
                self.body,
                movement_named(test.movement),
                movement_named(test.movement).own(test.modifiers()),
            )
            if work is None:
                continue
            day = test.day or self.today - timedelta(days=1)
            one_set = tested(made.known.done.amount, test.rpe, work)
            seen.setdefault(setup.form.lane, []).append((day, one_set))
        self.current = 0
        given = self.request.prescription
        if given is not None:
            self.current = self._rung(given.rung, "prescription.rung")
        self.prescribed = self._prescribed() if given is not None else self.ladder.rungs[0]
        for session in sorted(self.request.sessions, key=lambda past: past.day):
            for past in session.sets:
                index = self._rung(past.rung, "sets.rung") if past.rung else self.current
                rung = self.prescribed if index == self.current else self.ladder.rungs[index]
                work = work_of(self.body, rung.movement, rung.modifiers)
                if work is not None:
                    lane = rung.movement.posture.lane
                    rest = float(rung.prescription.rest)
                    seen_set = seen_of(self._set(past), work, rest)
                    seen.setdefault(lane, []).append((session.day, seen_set))
        states: dict[Lane, tuple[DaySeen, ...]] = {
            lane: days_seen(sorted(those, key=lambda pair: pair[0])) for lane, those in seen.items()
        }
        return {lane: state_of(days) for lane, days in states.items()}

    def _week(self) -> WeekSeen:
        done = {
            session.day for session in self.sessions if 0 <= (self.today - session.day).days < 7
        }
        limit = self.request.stressful_days
        return WeekSeen(days_done=len(done), days_limit=limit or 7, stressful=limit is not None)

    def asked(self) -> AskedSession:
        """What the next session asks."""
        given = self.request.prescription
        begun = None
        if given is not None and given.climbed:
            begun = sum(
                given.since is None or session.day >= given.since for session in self.sessions
            )
        open_end = bool(self.sessions) and due(self.situation)
        tomorrow = self.today + timedelta(days=1)
        trained = bool(self.sessions) and self.sessions[-1].day == self.today
        day = tomorrow if trained else self.today
        days = [session.day for session in self.sessions]
        return session_asked(self.situation.rung, days, day, begun, None, open_end)

    def expected_next(self) -> float | None:
        """Likely reps or seconds, fresh, on the next rung."""
        near = next((place for place in self.situation.above if not place.closed), None)
        if near is None or near.state is None or near.work is None:
            return None
        mean, _ = near.state.on(near.work)
        return round(exp(float(near.work.log_count_at(mean)[0])), 1)

    def forecasts(self) -> list[ForecastAnswer]:
        """The criterion of the rung they train, and that of the last."""
        forecasts = []
        top = self.situation.above[-1] if self.situation.above else self.situation.here
        for place in dict.fromkeys((self.situation.here.key, top.key)):
            target = self.situation.here if place == self.situation.here.key else top
            if target.state is None or target.work is None:
                continue
            expected = forecast(
                target.state,
                target.work,
                target.rung.criterion,
                float(target.rung.prescription.rest),
                self.today,
                f"criterion of “{target.rung.name}”",
            )
            forecasts.append(ForecastAnswer.of(expected))
        return forecasts


def _capacity(lane: Lane, state: State) -> CapacityAnswer:
    mean, deviation = state.log_capacity
    growth, error = state.growth
    return CapacityAnswer(
        measure=" · ".join(part for part in lane if part),
        unit={"torque": "N·m", "legs": "%"}.get(lane[1], "kg"),
        capacity=Range(
            likely=exp(mean), low=exp(mean - Z80 * deviation), high=exp(mean + Z80 * deviation)
        ),
        at_least=state.evidence_on is None,
        growth_percent_a_week=Range(
            likely=100 * growth, low=100 * (growth - Z80 * error), high=100 * (growth + Z80 * error)
        ),
        told_on=state.evidence_on,
    )


def _asked(rung: Rung) -> dict[str, Any]:
    prescription = rung.prescription
    return {
        **attributes_of(("sets", "low", "high", "unit", "rpe"), prescription),
        "rung": rung.name,
        "words": prescription_words(prescription),
        "rest_s": prescription.rest,
    }


def _next(asked: AskedSession) -> NextSession:
    return NextSession(
        **_asked(asked.rung),
        derived=asked.derived,
        why=asked.why,
        last_set_amrap=asked.open_end,
        last_set_rpe=asked.last_rpe,
    )


def _proposal(proposal: Proposal) -> SpokenProposal:
    return SpokenProposal.of(
        proposal,
        to=proposal.then.name if proposal.then else proposal.to,
        figures=[
            FigureAnswer(name=figure.name, value=f"{figure.value} {figure.unit}".strip())
            for figure in proposal.figures
        ],
        rules=[rule.id for rule in proposal.rules],
        then=AskedAnswer(**_asked(proposal.then)) if proposal.then else None,
        new_rung=proposal.rung is not None,
        passed=list(proposal.passed),
    )
