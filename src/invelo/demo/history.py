"""Six months of sessions, lived through the product's own acts.

Each crew member is a simulated athlete: a true capacity that fitness and fatigue move, with noise,
skipped days, a tour break and what else the story has. On each training day they do the
prescription of the
rung they stand on as well as that truth allows; the product decides, the coach answers, and at the
end of each week the week is looked at. What the newest sessions propose is left for whoever looks.
"""

import math
from collections.abc import Callable, Collection
from dataclasses import replace
from datetime import datetime, timedelta
from random import Random

from sqlmodel import Session, select

from invelo.db.codec import body_of
from invelo.db.errors import ConflictError
from invelo.db.moment import Moment
from invelo.db.queries import athlete_rows, equipment_rows, ladder_rows, training_rows
from invelo.db.tables.account import AccountRow
from invelo.db.tables.athlete import AthleteRow
from invelo.db.tables.ladder import LadderRow
from invelo.db.tables.review import ProposalRow
from invelo.db.tables.training import TrainingSessionRow
from invelo.demo import kept
from invelo.demo.intake import answer, furnish, look_at, new_id
from invelo.demo.plans import begin_daily_minimum, plan_week, train_now
from invelo.demo.theatre import (
    BAND_LENGTH,
    BANDS,
    COACH_EMAIL,
    COACH_NAME,
    COACH_PASSWORD,
    CREW,
    TOUR_LADDER,
    ZONE,
    CrewMember,
)
from invelo.domain.biomechanics.body import GRAVITY, Body
from invelo.domain.catalogue.catalogue import ReadyLadder, catalogue
from invelo.domain.errors import InputError
from invelo.domain.ladder.rung import demand
from invelo.domain.plan.methods import CEILING
from invelo.domain.simulation.perform import perform
from invelo.domain.simulation.response import Answer, Talent, allowed, answer_of
from invelo.domain.strength.bands import Pull, fit
from invelo.domain.strength.capacity import evidence
from invelo.domain.strength.fatigue import FRESH
from invelo.domain.training.log import SetRecord
from invelo.domain.training.set_draft import SetDraft
from invelo.services.account import accounts
from invelo.services.athlete import battery
from invelo.services.equipment import bands
from invelo.services.ladder import case, ladder, prescription
from invelo.services.plan import availability
from invelo.services.review import review, weekly
from invelo.services.squad import squad
from invelo.services.training import floor

WEEKS = 26
SEED = 20
LEFT_OPEN_DAYS = 12
"""Decisions of so many last days are left for whoever looks at the demo."""

ON_THE_FLOOR = (("Tilde Varga", 2), ("Juno Pell", 1))
"""Who trains as the demo is opened, and how many sets they have done."""

DECLINES = ("not before the premiere", "the trucks leave on Friday", "after the get-out")
"""Why the coach said no."""

Say = Callable[[str], None]


def load(db: Session, now: datetime, weeks: int = WEEKS, say: Say = lambda _: None) -> None:
    """Fill an empty database with the theatre; one that holds accounts is left as it is.

    Args:
        db: one transaction.
        now: the end of the story.
        weeks: of it.
        say: is told who is being lived through, because it takes a minute.
    """
    if db.exec(select(AccountRow)).first() is not None:
        return
    if weeks == WEEKS and kept.fits(db.connection()):
        _go_on(db, now, say)
        return
    coach, places = begin(db, now, weeks)
    span = "1 week" if weeks == 1 else f"{weeks} weeks"
    for number, member in enumerate(CREW, 1):
        say(f"living through {span} of {member.name} ({number} of {len(CREW)})")
        _enrolled(db, coach, member, places, now, weeks).live()
    _plan(db, places, Moment(now, ZONE))


def begin(db: Session, now: datetime, weeks: int) -> tuple[AccountRow, dict[str, str]]:
    """The coach, their bands and places, at the beginning of the story."""
    coach = accounts.create(db, COACH_EMAIL, COACH_NAME, COACH_PASSWORD, ZONE, now)
    _measure_bands(db, coach, now)
    began = Moment(now - timedelta(weeks=weeks + 1), ZONE)
    checked = now.date() - timedelta(days=4)
    return coach, furnish(db, coach, began, checked, Random(f"{SEED} kit"))  # noqa: S311


def live(db: Session, now: datetime, names: Collection[str]) -> None:
    """The whole story of some of the crew, without what runs at its end."""
    coach, places = begin(db, now, WEEKS)
    for member in CREW:
        if member.name in names:
            _enrolled(db, coach, member, places, now, WEEKS).live()


def _go_on(db: Session, now: datetime, say: Say) -> None:
    """The story as it is kept, moved to the newest week, and the days that are left of it."""
    say(f"opening the story of {len(CREW)} people")
    days = (now - kept.restore(db.connection(), now)).days
    coach = db.exec(select(AccountRow)).one()
    for member in CREW:
        _resumed(db, coach, member, now, days).live(first=7 * WEEKS + 1)
    places = {row.name: str(row.id) for row in equipment_rows.places(db, coach.id)}
    _plan(db, places, Moment(now, ZONE))


def _plan(db: Session, places: dict[str, str], moment: Moment) -> None:
    """The week of the one who trains in two places, the daily minimum of the one who is new to
    it."""
    crew = {row.name: row for row in db.exec(select(AthleteRow))}
    plan_week(db, crew["Juno Pell"], places, moment)
    for name, done in ON_THE_FLOOR:
        train_now(db, crew[name], done, moment, Random(f"{SEED} now {name}"))  # noqa: S311
    begin_daily_minimum(db, crew["Tilde Varga"], moment, Random(f"{SEED} daily"))  # noqa: S311


def _measure_bands(db: Session, coach: AccountRow, now: datetime) -> None:
    random = Random(f"{SEED} bands")  # noqa: S311
    for name, readings in BANDS.items():
        pulls = tuple(Pull(length, round(kg * GRAVITY, 2)) for length, kg in readings)
        bands.keep(db, coach.id, new_id(random), name, fit(BAND_LENGTH, pulls), now)


def ready_ladder(name: str) -> ReadyLadder:
    """The tour's own ladder, or one of the catalogue."""
    return TOUR_LADDER if name == TOUR_LADDER.id else catalogue().find_ladder(name)


def _enrolled(
    db: Session,
    coach: AccountRow,
    member: CrewMember,
    places: dict[str, str],
    now: datetime,
    weeks: int,
) -> "_MemberHistory":
    """A member on the day before their story begins."""
    random = Random(f"{SEED} {member.name}")  # noqa: S311  (the same story each time)
    last, days = now - timedelta(days=member.rests), 7 * weeks
    began = last - timedelta(days=days)
    enrolled = Moment(began - timedelta(days=2), ZONE)
    person = squad.AthleteDraft(
        new_id(random), member.name, member.mass, member.stature, member.note
    )
    athlete = squad.enrol(db, coach, person, enrolled)
    athlete.email = f"{member.name.split()[0].lower()}@theatre.example"
    ready = ready_ladder(member.ladder)
    name, amount = member.test
    tested = next(rung for rung in ready.rungs if rung.name == name)
    changes = tested.modifiers(member.stature, member.mass)
    movement = catalogue().find_movement(tested.movement)
    test = battery.NewTest(new_id(random), movement, changes, amount)
    luck = Random(f"{SEED} intake {member.name}")  # noqa: S311
    look_at(db, athlete, enrolled, luck)
    battery.keep_test(db, athlete, test, enrolled)
    answer(db, coach, athlete, places, Moment(began - timedelta(days=1), ZONE), luck)
    row = ladder.create(db, athlete, ready, member.purpose, member.level, enrolled)
    if member.method != "double_progression":
        prescription.set_method(
            db, row, athlete, member.method, member.purpose, member.level, True, enrolled
        )
    body = _body(db, athlete)
    day = enrolled.local_date
    truth = evidence(day, "test", body, movement, changes, amount, 10).greatest.likely
    response = answer_of(_talent(member, body, truth))
    return _MemberHistory(db, coach, member, athlete, row, response, last, days, random)


def _resumed(
    db: Session, coach: AccountRow, member: CrewMember, now: datetime, days: int
) -> "_MemberHistory":
    """A member whose story is kept, so many days before now; their strength is what is known of it,
    and no pain comes anew."""
    random = Random(f"{SEED} {member.name} goes on")  # noqa: S311
    athlete = db.exec(select(AthleteRow).where(AthleteRow.name == member.name)).one()
    goal = ready_ladder(member.ladder).goal
    row = next(row for row in ladder_rows.of_athlete(db, athlete.id) if row.goal == goal)
    seen = ladder.view(db, row, athlete, now.date())
    state = seen.states.get(seen.prescribed.movement.posture.lane)
    truth = math.exp(state.log_capacity[0]) if state is not None else 0.0
    response = answer_of(_talent(member, _body(db, athlete), truth))
    last, lived = now - timedelta(days=member.rests), 7 * WEEKS + days
    well = replace(member, pains=())
    return _MemberHistory(db, coach, well, athlete, row, response, last, lived, random)


def _body(db: Session, athlete: AthleteRow) -> Body:
    return body_of(athlete_rows.measurements(db, athlete.id)[-1])


def _talent(member: CrewMember, body: Body, capacity: float) -> Talent:
    luck = sum(map(ord, member.name))
    return Talent(body, capacity, gain=member.gain, tires=member.tires, law="saturating", luck=luck)


class _MemberHistory:
    """One member's months."""

    def __init__(
        self,
        db: Session,
        coach: AccountRow,
        member: CrewMember,
        athlete: AthleteRow,
        row: LadderRow,
        response: Answer,
        last: datetime,
        days: int,
        random: Random,
    ) -> None:
        self.db, self.coach, self.member, self.random = db, coach, member, random
        self.athlete, self.row, self.response = athlete, row, response
        self.days = days
        self.began = last - timedelta(days=days)

    def live(self, first: int = 0) -> None:
        """Day by day to the end of the story."""
        for offset in range(first, self.days + 1):
            day = self.began + timedelta(days=offset)
            open_now = offset > self.days - LEFT_OPEN_DAYS
            if day.weekday() == 0 and offset > 7:
                self._look_at_week(day, open_now)
            if self._trains(day, offset) and not self._enough_days(day):
                self._session(day, offset, open_now)
            self.response.rest()

    def _trains(self, day: datetime, offset: int) -> bool:
        away, long = self.member.away
        if self.row.stopped or self.days - away <= offset < self.days - away + long:
            return False
        if offset == self.days:
            return True
        return (
            self.days - offset > 1
            and day.weekday() in self.member.days
            and self.random.random() > self.member.skips
        )

    def _enough_days(self, day: datetime) -> bool:
        """Whether the ladder was trained on as many days of this week as the coach allows."""
        asked = availability.of(self.db, self.athlete.id)
        limit = dict(asked.rarely).get(str(self.row.id)) if asked else None
        if limit is None:
            return False
        monday = (day - timedelta(days=day.weekday())).date()
        done = training_rows.days_on_ladder(self.db, self.row.id, monday)
        return len(set(done)) >= limit

    def _look_at_week(self, day: datetime, open_now: bool) -> None:
        moment = Moment(day.replace(hour=7, minute=0), ZONE)
        if open_now:
            return
        for proposal in weekly.look(self.db, self.athlete, moment):
            self._answer(proposal, moment)

    def _session(self, day: datetime, offset: int, open_now: bool) -> None:
        db, row = self.db, self.row
        moment = Moment(day, ZONE)
        try:
            session = floor.start(db, self.athlete, new_id(self.random), row.goal, moment, day, row)
        except ConflictError:
            return  # something closes the rung: a day off
        done = self._sets(session, moment, offset)
        self.response.train(done)
        rpes = [record.rpe for record, _ in done]
        whole = min(10, max(1, round(sum(rpes) / len(rpes) - 1 + self.random.random())))
        ended = Moment(day + timedelta(minutes=20 + 4 * len(done)), ZONE)
        for proposal in floor.finish(db, self.athlete, session, whole, ended):
            if not open_now:
                self._answer(proposal, Moment(day + timedelta(hours=2), ZONE))

    def _sets(
        self, session: TrainingSessionRow, moment: Moment, offset: int
    ) -> list[tuple[SetRecord, float]]:
        """The sets as the day asks them, each as well as the truth allows."""
        db, row, random = self.db, self.row, self.random
        assert row.current_rung_id is not None  # noqa: S101  (their test placed them)
        talent = self.response.talent
        pace = availability.course_week(db, self.athlete.id, moment.local_date)
        easy = (pace.share, pace.rpe) if pace.kind != "build" else None
        seen = ladder.view(db, row, self.athlete, moment.local_date)
        asked = case.asked(db, seen, moment.local_date, easy)
        prescription = asked.rung.prescription
        capacity = self.response.capacity * math.exp(random.gauss(0.0, talent.day))
        there = allowed(talent, capacity, demand(talent.body, asked.rung))
        hurts, place = self.member.pain_on(self.days - offset)
        done: list[tuple[SetRecord, float]] = []
        fatigue = FRESH
        for number in range(1, prescription.sets + 1):
            can = max(1.0, there * fatigue.left(talent.falls))
            last = number == prescription.sets
            rpe = asked.last_rpe if last and asked.last_rpe else prescription.rpe
            open_end = last and asked.open_end
            wanted = replace(prescription, rpe=rpe)
            performed = perform(
                wanted, can, random.gauss(0.0, 0.3), random.random(), open_end, talent.bias
            )
            fatigue = fatigue.after(performed.amount / can, prescription.rest)
            at = Moment(moment.at + timedelta(seconds=(prescription.rest + 40) * number), ZONE)
            draft = SetDraft(
                rung_id=row.current_rung_id,
                number=number,
                amount=float(performed.amount),
                unit=prescription.unit,
                changes=asked.rung.modifiers,
                rpe=performed.rpe,
                form_ok=performed.form_ok,
                pain=hurts if last else 0,
                pain_place=place if last and hurts else "",
                prescribed_min=prescription.low,
                prescribed_max=max(prescription.high, CEILING[prescription.unit])
                if open_end
                else prescription.high,
                prescribed_rpe=10.0 if open_end else rpe,
                prescribed_open=open_end,
            )
            floor.log(db, session, floor.SetEntry(new_id(random), draft, at), at.at)
            record = SetRecord(
                "", float(performed.amount), performed.true_rpe, unit=prescription.unit
            )
            done.append((record, can))
        return done

    def _answer(self, proposal: ProposalRow, moment: Moment) -> None:
        """The coach takes most of what is proposed, and declines a step now and then."""
        if proposal.answer is not None:
            return
        declined = proposal.outcome == "step_up" and self.random.random() < 0.1
        note = self.random.choice(DECLINES) if declined else ""
        said: review.Answer = "decline" if declined else "accept"
        row = self.db.get_one(LadderRow, proposal.ladder_id)
        try:
            with self.db.begin_nested():
                review.answer(self.db, row, proposal, self.coach, said, None, note, moment)
        except (ConflictError, InputError):
            review.answer(self.db, row, proposal, self.coach, "decline", None, "not today", moment)
        if row.stopped:
            ladder.resume(self.db, row, self.coach, moment)
