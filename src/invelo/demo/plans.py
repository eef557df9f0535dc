"""The demo's weeks: one planned for four days in two places, and a daily minimum. All invented."""

from datetime import timedelta
from random import Random

from sqlmodel import Session, col, select

from invelo.db.moment import Moment
from invelo.db.queries import ladder_rows
from invelo.db.tables.athlete import AthleteRow
from invelo.db.tables.ladder import LadderRow
from invelo.demo.intake import new_id
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.plan.daily_minimum import DailyMinimum
from invelo.domain.plan.week.availability import StandingAvailability, WeekDay, week_start_of
from invelo.domain.plan.week.solve import solve
from invelo.domain.plan.week.tasks import Extra
from invelo.domain.training.set_draft import SetDraft
from invelo.services.ladder import prescribed, prescription
from invelo.services.plan import daily_minimum, week
from invelo.services.training import floor, live

STEPS = 4.0
"""Limit of the solver, in its own units, so that the story is the same each time."""

DAYS = (
    (0, 45, "Stage", "16:30"),
    (1, 40, "Second truck", "11:00"),
    (3, 45, "Stage", "16:30"),
    (5, 40, "Second truck", "10:00"),
)
EXTRAS = (
    Extra("calf-raise", rotation="accessories", letter="A"),
    Extra("side-leg-raise", rotation="accessories", letter="B"),
    Extra("bridge", purpose="size", days=2),
)


def plan_week(db: Session, athlete: AthleteRow, places: dict[str, str], moment: Moment) -> None:
    """This week, as it was planned on its Monday."""
    row = db.exec(
        select(LadderRow).where(LadderRow.athlete_id == athlete.id, col(LadderRow.goal) == "L-sit")
    ).one()
    prescription.set_method(db, row, athlete, "wave", "skill", "intermediate", True, moment)
    days = tuple(WeekDay(day, minutes, places[name], at) for day, minutes, name, at in DAYS)
    week_start = week_start_of(moment.local_date)
    availability = StandingAvailability(
        days, EXTRAS, begun=week_start - timedelta(days=14), weeks=8
    )
    week.keep_availability(db, athlete, availability, moment.at)
    seen = week.view(db, athlete, week_start, week_start)
    solved = solve(seen.built.problem, steps=STEPS)
    week.keep(db, athlete, seen, solved.plan, 0, "planned", moment, bound=solved.progress.bound)


def train_now(db: Session, athlete: AthleteRow, done: int, moment: Moment, random: Random) -> None:
    """A session that runs as the demo is opened: so many sets done, the next at hand."""
    row = ladder_rows.of_athlete(db, athlete.id)[0]
    assert row.current_rung_id is not None  # noqa: S101  (their test placed them)
    rung = prescribed.standing(db, row.id)
    assert rung is not None  # noqa: S101
    done = min(done, rung.sets - 1)
    began = Moment(moment.at - timedelta(minutes=4 + 3 * done), moment.time_zone)
    session = floor.start(db, athlete, new_id(random), f"{began.local_date:%A}", began, moment.at)
    for number in range(1, done + 1):
        at = Moment(began.at + timedelta(minutes=3 * number), moment.time_zone)
        set_id = new_id(random)
        draft = SetDraft(
            number=number,
            rpe=7.5 + 0.5 * number,
            rung_id=rung.rung_id,
            amount=rung.low + random.randint(0, 2),
            prescribed_min=rung.low,
            prescribed_max=rung.high,
        )
        floor.log(db, session, floor.SetEntry(set_id, draft, at), at.at)
    step = (9 + 3 * done, 24)
    state = "working" if done % 2 else "resting"
    live.move(db, session, state, rung.name, (done + 1, rung.sets), step, moment.at)


def begin_daily_minimum(db: Session, athlete: AthleteRow, moment: Moment, random: Random) -> None:
    """A rep a day for nine days, one of them missed."""
    movement = catalogue().find_movement("counter-push-up")
    began = Moment(moment.at - timedelta(days=9), moment.time_zone)
    daily = DailyMinimum(movement, 1, "while the kettle boils", "07:15")
    daily_minimum.begin(db, athlete, new_id(random), daily, "", began)
    for _ in range(3):
        daily_minimum.tick(db, athlete.id, new_id(random), None, True, began)
    for back in (9, 8, 7, 6, 4, 3, 2, 1):
        day = Moment(moment.at - timedelta(days=back), moment.time_zone)
        daily_minimum.tick(db, athlete.id, new_id(random), None, False, day)
