"""What a device takes along: today's session and the next ones, each with the rungs around it."""

from collections.abc import Iterator
from dataclasses import dataclass, replace
from datetime import date, timedelta
from uuid import NAMESPACE_URL, UUID, uuid5

from sqlmodel import Session

from invelo.db.queries import ladder_rows, training_rows
from invelo.db.tables.athlete import AthleteRow
from invelo.db.tables.ladder import LadderRow
from invelo.domain.errors import InputError
from invelo.domain.plan.plan_overrides import NOTHING_BY_HAND
from invelo.domain.plan.session.builder import cautions
from invelo.domain.plan.session.trainee import Trainee
from invelo.domain.plan.session.work import Session as CoreSession
from invelo.domain.plan.week.availability import week_start_of
from invelo.domain.plan.week.course import CourseWeek, paced
from invelo.domain.training.check_in import CheckIn
from invelo.domain.training.run import Run, run_of, without_closed, without_pain
from invelo.services.ladder import prescribed
from invelo.services.plan import availability, sessions, trainee, week
from invelo.services.training import check_in

AHEAD = 7
"""Days ahead whose sessions go along."""


@dataclass(frozen=True)
class DayRun:
    """A session to be run.

    Attributes:
        id: under which it is logged, the same on every device, so that two write into one; None
            where the device makes one.
        name: in words.
        day: when it is planned; None of one that stands for no day.
        run: what is done.
        cautions: said before it starts.
        adapted: whether the day changed it.
        closed: what was left out, and why.
        ladder: of which alone it is; None of a planned one.
        done: whether it was finished today.
    """

    id: UUID | None
    name: str
    day: date | None
    run: Run
    cautions: tuple[str, ...]
    adapted: bool
    closed: tuple[str, ...]
    ladder: UUID | None = None
    done: bool = False


@dataclass(frozen=True)
class OfflineBundle:
    """All that a device keeps.

    Attributes:
        who: trains.
        today: the date there.
        planned: today's session and the next ones, the earliest first.
        single: a session of each ladder by itself.
        check_in: what was told today.
        rungs: ids by ladder and name.
        stopped: goals that pain stopped, and why.
        shut: why a ladder has nothing to do today.
    """

    who: Trainee
    today: date
    planned: tuple[DayRun, ...]
    single: tuple[DayRun, ...]
    check_in: CheckIn | None
    rungs: dict[tuple[str, str], UUID]
    stopped: tuple[tuple[str, str], ...]
    shut: tuple[str, ...]


def offline_bundle(db: Session, athlete: AthleteRow, today: date) -> OfflineBundle:
    """What a device needs to run today's session and the next ones with the network gone."""
    who = trainee.of_athlete(db, athlete, today)
    rows = ladder_rows.of_athlete(db, athlete.id)
    answers = check_in.newest(db, athlete.id, today)
    halted = answers is not None and bool(answers.stop)
    pace = availability.course_week(db, athlete.id, today)
    single = tuple(_single(who, athlete, rows, answers, pace))
    planned = tuple(_planned(db, athlete, who, today, answers))
    over = training_rows.finished_between(db, athlete.id, today, today + timedelta(days=1))
    finished = {session.id for session in over}
    trained = {ladder for session in over for ladder in session.asked}
    return OfflineBundle(
        who,
        today,
        () if halted else tuple(replace(run, done=run.id in finished) for run in planned),
        ()
        if halted
        else tuple(
            replace(run, done=str(run.ladder) in trained) for run in single if run.run.session.items
        ),
        answers,
        _rung_ids(db, rows),
        tuple((row.goal, row.stopped) for row in rows if row.stopped),
        tuple(
            dict.fromkeys(why for run in single if not run.run.session.items for why in run.closed)
        ),
    )


def _planned(
    db: Session, athlete: AthleteRow, who: Trainee, today: date, check_in: CheckIn | None
) -> Iterator[DayRun]:
    views: dict[date, week.WeekView | None] = {}
    for ahead in range(AHEAD + 1):
        day = today + timedelta(days=ahead)
        week_start = week_start_of(day)
        if week_start not in views:
            views[week_start] = _week(db, athlete, week_start, today)
        seen = views[week_start]
        kept = sessions.adapted(db, athlete.id, day)
        planned = _session(seen, day) if seen is not None else None
        session = kept or planned
        if session is not None:
            hurts = check_in if day == today else None  # another day is another day
            name = f"{day:%A}"
            if kept is not None and kept.name != name:
                name = f"{name}: {kept.name}"
            yield _day_run(athlete, who, session, name, hurts, day, kept is not None)


def _week(db: Session, athlete: AthleteRow, week_start: date, today: date) -> week.WeekView | None:
    try:
        return week.view(db, athlete, week_start, today)
    except InputError:  # nothing to plan with
        return None


def _session(seen: week.WeekView, day: date) -> CoreSession | None:
    try:
        return seen.session(day.weekday())
    except InputError:  # nothing stands on it
        return None


def _single(
    who: Trainee,
    athlete: AthleteRow,
    rows: list[LadderRow],
    check_in: CheckIn | None,
    week: CourseWeek,
) -> Iterator[DayRun]:
    ids = {str(row.id): row.id for row in rows}
    for stand in who.stands:
        item = paced(who.item(stand), week, stand.method)
        session = NOTHING_BY_HAND.session(stand.goal, [item], who)
        yield _day_run(athlete, who, session, stand.goal, check_in, ladder_id=ids[stand.key])


def _day_run(
    athlete: AthleteRow,
    who: Trainee,
    session: CoreSession,
    name: str,
    check_in: CheckIn | None,
    day: date | None = None,
    adapted: bool = False,
    ladder_id: UUID | None = None,
) -> DayRun:
    opened, closed = without_closed(session, who)
    if check_in is not None:
        opened, hurts = without_pain(opened, check_in)
        closed = (*closed, *hurts)
    return DayRun(
        uuid5(NAMESPACE_URL, f"invelo:session:{athlete.id}:{day.isoformat()}") if day else None,
        name,
        day,
        run_of(opened, who),
        cautions(opened),
        adapted,
        closed,
        ladder_id,
    )


def _rung_ids(db: Session, rows: list[LadderRow]) -> dict[tuple[str, str], UUID]:
    ids = {
        (str(row.id), rung.name): rung.id for row in rows for rung in ladder_rows.rungs(db, row.id)
    }
    for row in rows:
        given = prescribed.standing(db, row.id)
        if given is not None:  # its settings are in its name
            ids[str(row.id), given.name] = given.rung_id
    return ids
