"""Four weeks of sessions, lived through the product's own acts.

Each crew member has a true capacity that grows at a rate of their own. On each training day the
model says how many reps that truth allows on the rung they stand on; they do the dose, the effort
follows from what was left, the product decides, and the coach takes what it proposes. The newest
decision is left for whoever looks at the demo.
"""

import math
from dataclasses import replace
from datetime import datetime, timedelta
from random import Random

from sqlmodel import Session, select

from invelo.core.bands import Pull, fit
from invelo.core.body import GRAVITY
from invelo.core.capacity import evidence
from invelo.core.catalogue import catalogue
from invelo.core.movement import Movement
from invelo.demo.intake import answer, furnish, new_id
from invelo.demo.plans import begin_daily_dose, plan_week, train_now
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
from invelo.store import accounts, bands, battery, floor, ladder, review, squad
from invelo.store.moment import Moment
from invelo.store.review_tables import Decision
from invelo.store.rows import body_of
from invelo.store.tables import Account, Athlete, Ladder

WEEKS = 4
TRAINING_DAYS = (0, 2, 4)
MOST_EFFORT = 9.0
SEED = 20
ON_THE_FLOOR = (("Tilde Varga", 2), ("Juno Pell", 1))
"""Who trains as the demo is opened, and how many sets they have done."""


def load(db: Session, now: datetime) -> None:
    """Fill an empty database with the theatre; one that holds accounts is left as it is."""
    if db.exec(select(Account)).first() is not None:
        return
    coach = accounts.create(db, COACH_EMAIL, COACH_NAME, COACH_PASSWORD, ZONE, now)
    _measure_bands(db, coach, now)
    began = Moment(now - timedelta(weeks=WEEKS + 1), ZONE)
    places = furnish(db, coach, began, Random(f"{SEED} kit"))  # noqa: S311
    for member in CREW:
        random = Random(f"{SEED} {member.name}")  # noqa: S311  (the same story each time)
        _live(db, coach, member, places, now, random)
    _plan(db, places, Moment(now, ZONE))


def _plan(db: Session, places: dict[str, str], moment: Moment) -> None:
    """The week of the one who trains in two places, the daily dose of the one who is new to it."""
    crew = {row.name: row for row in db.exec(select(Athlete))}
    plan_week(db, crew["Juno Pell"], places, moment)
    for name, done in ON_THE_FLOOR:
        train_now(db, crew[name], done, moment, Random(f"{SEED} now {name}"))  # noqa: S311
    begin_daily_dose(db, crew["Tilde Varga"], moment, Random(f"{SEED} daily"))  # noqa: S311


def _measure_bands(db: Session, coach: Account, now: datetime) -> None:
    random = Random(f"{SEED} bands")  # noqa: S311
    for name, readings in BANDS.items():
        pulls = tuple(Pull(length, round(kg * GRAVITY, 2)) for length, kg in readings)
        bands.keep(db, coach.id, new_id(random), name, fit(BAND_LENGTH, pulls), now)


def _live(
    db: Session,
    coach: Account,
    member: CrewMember,
    places: dict[str, str],
    now: datetime,
    random: Random,
) -> None:
    last_day = now - timedelta(days=member.rests)
    training = [7 * week + day for week in range(WEEKS) for day in TRAINING_DAYS]
    offsets = training[: member.sessions]
    began = last_day - timedelta(days=offsets[-1])
    enrolled = Moment(began - timedelta(days=2), ZONE)
    person = squad.Person(new_id(random), member.name, member.mass, member.stature, member.note)
    athlete = squad.enrol(db, coach, person, enrolled)
    rung, reps = member.test
    tested = TOUR_LADDER.rungs[rung]
    test = battery.NewTest(new_id(random), _movement(tested.movement), tested.modifiers(), reps)
    battery.keep_test(db, athlete, test, enrolled)
    row = ladder.create(db, athlete, TOUR_LADDER, member.purpose, member.level, enrolled)
    told = Random(f"{SEED} intake {member.name}")  # noqa: S311
    answer(db, coach, athlete, places, Moment(began - timedelta(days=1), ZONE), told)
    for offset in offsets:
        day = began + timedelta(days=offset)
        final = day == last_day
        pain = member.wrist_pain if final else 0
        decision = _train(db, row, athlete, member, offset / 7, day, pain, random)
        if not final:
            moment = Moment(day + timedelta(hours=2), ZONE)
            review.answer(db, row, decision, coach, "take", None, "", moment)


def _movement(movement_id: str) -> Movement:
    return catalogue().find_movement(movement_id)


def _train(
    db: Session,
    row: Ladder,
    athlete: Athlete,
    member: CrewMember,
    weeks: float,
    day: datetime,
    pain: int,
    random: Random,
) -> Decision:
    moment = Moment(day, ZONE)
    session = floor.start(db, athlete, new_id(random), row.goal, moment, day, row)
    assert row.standing_id is not None  # noqa: S101  (their test placed them)
    rung = ladder.rung_on(db, row.id, row.standing_id)
    left = _true_reps(db, row, athlete, member, weeks, day) + random.gauss(0, 0.4)
    for number in range(1, rung.sets + 1):
        can = max(1.0, left - member.drift * (number - 1))
        reps = max(1, min(rung.high, math.floor(can - (10 - MOST_EFFORT))))
        effort = min(10.0, max(5.0, round(2 * (10 - (can - reps))) / 2))
        moment = Moment(day + timedelta(seconds=(rung.rest_s + 40) * number), ZONE)
        hurts = pain if number == rung.sets else 0
        entry = floor.SetEntry(
            id=new_id(random),
            rung_id=rung.id,
            number=number,
            reps=reps,
            effort=effort,
            clean=True,
            pain=hurts,
            pain_place="left wrist" if hurts else "",
            moment=moment,
        )
        floor.log(db, session, entry, moment.at)
    ended = Moment(day + timedelta(minutes=25), ZONE)
    return floor.finish(db, athlete, session, round(6 + random.random() * 2), ended)[0]


def _true_reps(
    db: Session, row: Ladder, athlete: Athlete, member: CrewMember, weeks: float, day: datetime
) -> float:
    """Reps to failure that the member's true capacity allows on the rung they stand on."""
    seen = ladder.view(db, row, athlete, day.date())
    rung, reps = member.test
    tested = seen.measured.rungs[rung]
    truth = evidence(
        seen.measure.local_date,
        "test",
        body_of(seen.measure),
        tested.movement,
        tested.modifiers,
        reps,
        10,
    )
    load = seen.measured.demands[seen.standing].load
    stronger = replace(load, measured=load.measured / (1 + member.gain * weeks))
    tempo = seen.measured.rungs[seen.standing].modifiers.tempo
    return truth.known.expected(stronger, tempo).likely
