"""The squad: athletes, their measures, and a line on each that says who needs the coach."""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from datetime import date, datetime, timedelta
from typing import Any, NamedTuple
from uuid import UUID
from zoneinfo import ZoneInfo

from email_validator import EmailNotValidError, validate_email
from pydantic import TypeAdapter
from sqlalchemy import text
from sqlmodel import Session

from invelo.db import access, logs
from invelo.db.columns import dated
from invelo.db.errors import ConflictError
from invelo.db.moment import Moment, require_zone
from invelo.db.queries import (
    athlete_rows,
    ladder_rows,
    plan_rows,
    review_rows,
    sharing_rows,
)
from invelo.db.tables.account import AccountRow
from invelo.db.tables.athlete import AthleteAccessRow, AthleteRow, BodyMeasurementRow
from invelo.db.tables.ladder import RungRow
from invelo.db.tables.training import TrainingSessionRow
from invelo.domain.biomechanics.body import Body
from invelo.domain.errors import InputError
from invelo.domain.plan.week.availability import week_start_of
from invelo.domain.review.proposals.situation import OUTCOME_WORDS, Outcome
from invelo.domain.review.workload import LONG_DAYS
from invelo.domain.squad.squad import Condition, Flag, flags, urgency
from invelo.services.athlete import spared
from invelo.services.review import reach

OUTCOME: TypeAdapter[Outcome] = TypeAdapter(Outcome)

RATIO_BACK = timedelta(days=4 * LONG_DAYS)
"""As far as loads are read for a ratio: what lies before weighs nothing any more."""


@dataclass(frozen=True)
class PendingDecision:
    """A proposal that needs your decision, as the list tells it."""

    id: UUID
    ladder_id: UUID
    outcome: str
    reason: str
    confidence: str
    plain: bool
    weekly: bool
    goal: str
    from_rung: str
    to_rung: str
    standing: str

    @property
    def words(self) -> str:
        """The outcome in words."""
        return OUTCOME_WORDS[OUTCOME.validate_python(self.outcome)]


class LadderLine(NamedTuple):
    """A ladder as the list tells it."""

    id: UUID
    athlete_id: UUID
    goal: str
    stopped: str


@dataclass(frozen=True)
class SquadLine:
    """One athlete in the list; what hangs on a ladder is None before they have one. `today` is how
    many things are planned for today, None where the week was not planned."""

    athlete: AthleteRow
    ladder: LadderLine | None
    ladders: tuple[LadderLine, ...]
    current_rung: RungRow | None
    expected: tuple[float, float, float] | None
    last: TrainingSessionRow | None
    today: int | None
    pending_decisions: tuple[PendingDecision, ...]
    flags: tuple[Flag, ...]


@dataclass(frozen=True)
class AthleteDraft:
    """Someone to coach: kg and m."""

    id: UUID
    name: str
    mass: float
    stature: float
    note: str = ""


def enrol(db: Session, coach: AccountRow, person: AthleteDraft, moment: Moment) -> AthleteRow:
    """Add an athlete with a first measure; the coach owns the record. A replay changes nothing.

    Raises:
        InputError: for a mass or a stature out of range.
        ConflictError: if the id names someone else.
    """
    Body(person.mass, person.stature)
    kept = db.get(AthleteRow, person.id)
    if kept is not None:
        if kept.name == person.name.strip() and kept in access.athletes(db, coach.id):
            return kept
        raise ConflictError("id", "it names someone else.", "Make a new id for each athlete.")
    athlete = AthleteRow(
        id=person.id,
        name=person.name.strip(),
        time_zone=moment.time_zone,
        note=person.note.strip(),
        consent_on=moment.local_date,
        created_at=moment.at,
    )
    db.add(athlete)
    db.flush()
    db.add(AthleteAccessRow(account_id=coach.id, athlete_id=athlete.id, role="owner"))
    measure(db, athlete, person.mass, person.stature, moment)
    return athlete


def measure(
    db: Session,
    athlete: AthleteRow,
    mass: float,
    stature: float,
    moment: Moment,
    lengths: Mapping[str, float] | None = None,
) -> BodyMeasurementRow:
    """Keep a body mass, a stature and whatever limb lengths (m) were measured.

    Raises:
        InputError: for a value no human has.
    """
    known = dict(lengths or {})
    Body(mass, stature, lengths=tuple(sorted(known.items())))
    row = BodyMeasurementRow(
        athlete_id=athlete.id,
        **dated(moment),
        mass_kg=mass,
        stature_m=stature,
        lengths=known,
    )
    accepted = athlete_rows.accepted_scale_check(db, athlete.id)
    if accepted is not None:
        row.hands_log, row.hands_sd = accepted.hands_log, accepted.hands_sd
    db.add(row)
    db.flush()
    return row


def set_routine(db: Session, athlete: AthleteRow, routine: bool, per_week: int) -> None:
    """Within what small changes inside a rung are done by themselves."""
    athlete.routine, athlete.routine_per_week = routine, per_week
    db.add(athlete)
    db.flush()


def erase(db: Session, coach_id: UUID, athlete: AthleteRow, now: datetime) -> None:
    """Erase a person: every row about them, logs included. There is no way back; that it was done
    is kept, without a name."""
    sharing_rows.tell(db, coach_id, "Erased an athlete and every record of theirs.", now)
    db.exec(text("SET LOCAL invelo.erasing = 'yes'"))  # type: ignore[call-overload]
    db.delete(athlete)
    db.flush()


def change(
    db: Session,
    coach_id: UUID,
    athlete: AthleteRow,
    name: str,
    note: str,
    time_zone: str,
    email: str | None,
    now: datetime,
) -> None:
    """Put right what someone is called, the note about them, where their days are counted, and
    where letters to them go ("" for nowhere, None for as it is).

    Raises:
        InputError: for an unknown zone, no name, or no e-mail address.
    """
    require_zone(time_zone)
    if not name.strip():
        raise InputError("name", "it is empty.", "Say what they are called.")
    if athlete.name != name.strip():
        line = f"{athlete.name} is called {name.strip()} now."
        sharing_rows.tell(db, coach_id, line, now, athlete.id)
    athlete.name, athlete.note, athlete.time_zone = name.strip(), note.strip(), time_zone
    athlete.email = athlete.email if email is None else _address(email)
    db.add(athlete)
    db.flush()


def _address(email: str) -> str:
    if not email.strip():
        return ""
    try:
        return validate_email(email.strip(), check_deliverability=False).normalized
    except EmailNotValidError as error:
        raise InputError("email", f"{error}", "Write it like oda@theatre.example.") from None


def archive(db: Session, coach_id: UUID, athlete: AthleteRow, now: datetime, *, away: bool) -> None:
    """Put someone away, or bring them back into the squad; everything of theirs stays."""
    athlete.archived_at = now if away else None
    done = f"Archived {athlete.name}." if away else f"Restored {athlete.name} from the archive."
    sharing_rows.tell(db, coach_id, done, now, athlete.id)
    db.add(athlete)
    db.flush()


def archived(db: Session, account_id: UUID) -> list[AthleteRow]:
    """Whom a coach has put away, by name."""
    return [athlete for athlete in access.athletes(db, account_id) if athlete.archived_at]


def lines(db: Session, account_id: UUID, now: datetime) -> list[SquadLine]:
    """The squad, whoever needs the coach first on top (see `invelo.domain.squad.squad.ORDER`)."""
    people = [person for person in access.athletes(db, account_id) if not person.archived_at]
    ladders = _ladders(db, [athlete.id for athlete in people])
    first = {ladder.athlete_id: ladder for ladder in ladders}
    theirs: dict[UUID, list[LadderLine]] = {}
    for line in reversed(ladders):
        theirs.setdefault(line.athlete_id, []).append(line)
    ids = [ladder.id for ladder in first.values()]
    current = {rung.ladder_id: rung for rung in ladder_rows.current_rungs(db, ids)}
    expected = ladder_rows.expected_on_current(db, ids)
    pending_decisions = _waiting(db, [ladder.id for ladder in ladders])
    stopped = {other.athlete_id: other.stopped for other in ladders if other.stopped}
    todays = {person.id: _today(person, now) for person in people}
    ratios = reach.ratios(db, todays, RATIO_BACK)
    planned = _planned(db, todays)
    last = logs.newest_of(db, [person.id for person in people])
    sore = spared.of_many(db, [person.id for person in people])
    pains = logs.worst_pain(db, [session.id for session in last.values()])
    squad_lines: list[SquadLine] = []
    for athlete in people:
        ladder = first.get(athlete.id)
        key = ladder.id if ladder else None
        session = last.get(athlete.id)
        pain, place = pains.get(session.id, (0, "")) if session else (0, "")
        decisions = pending_decisions.get(athlete.id, ())
        condition = Condition(
            stopped=stopped.get(athlete.id, ""),
            pain=pain,
            pain_place=place,
            pending_decisions=tuple(d.words for d in decisions if d.standing == "question"),
            last=session.local_date if session else None,
            blocked=tuple(
                f"{d.words} on “{d.from_rung}”" for d in decisions if d.standing == "blocked"
            ),
            ratio=ratios.get(athlete.id),
            spared=sore.get(athlete.id, ()),
        )
        squad_lines.append(
            SquadLine(
                athlete,
                ladder,
                tuple(theirs.get(athlete.id, ())),
                current.get(key) if key else None,
                expected.get(key) if key else None,
                session,
                planned.get(athlete.id),
                decisions,
                flags(condition, todays[athlete.id]),
            )
        )
    return sorted(squad_lines, key=lambda line: (*urgency(line.flags), line.athlete.name))


def _ladders(db: Session, people: list[UUID]) -> list[LadderLine]:
    """Every ladder of some athletes, the newest first."""
    return [LadderLine(*row) for row in ladder_rows.of_athletes(db, people)]


def _today(athlete: AthleteRow, now: datetime) -> date:
    return now.astimezone(ZoneInfo(athlete.time_zone)).date()


def _waiting(db: Session, ladder_ids: list[UUID]) -> dict[UUID, tuple[PendingDecision, ...]]:
    """Decisions that wait, by athlete, the newest ladder's first."""
    pending: dict[UUID, tuple[PendingDecision, ...]] = {}
    for athlete_id, *fields in review_rows.pending_decisions(db, ladder_ids):
        pending[athlete_id] = (*pending.get(athlete_id, ()), PendingDecision(*fields))
    return pending


def _planned(db: Session, todays: Mapping[UUID, date]) -> dict[UUID, int]:
    """How many things are planned for today, for those whose week was planned."""
    week_starts = {athlete: week_start_of(today) for athlete, today in todays.items()}
    return {
        row.athlete_id: sum(1 for _, day in row.placed if day == todays[row.athlete_id].weekday())
        for row in plan_rows.newest_weeks(db, week_starts, set(week_starts.values()))
        if row.week_start == week_starts[row.athlete_id]
    }


def _by(column: str, rows: Iterable[Any]) -> dict[Any, Any]:
    return {getattr(row, column): row for row in rows}
