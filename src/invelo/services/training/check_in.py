"""Check-ins: kept as they were told, the newest of a day speaks."""

from datetime import date
from uuid import UUID

from pydantic import TypeAdapter
from sqlmodel import Session

from invelo.db.columns import dated
from invelo.db.moment import Moment
from invelo.db.queries import training_rows
from invelo.db.tables.athlete import AthleteRow
from invelo.db.tables.training import CheckInRow as Row
from invelo.domain.training.check_in import CheckIn
from invelo.services.athlete import spared

CHECK_IN: TypeAdapter[CheckIn] = TypeAdapter(CheckIn)


def keep(db: Session, athlete: AthleteRow, row_id: UUID, check_in: CheckIn, moment: Moment) -> bool:
    """Keep what was told; a replay changes nothing. Whether it is new."""
    if db.get(Row, row_id) is not None:
        return False
    row = Row(
        id=row_id,
        athlete_id=athlete.id,
        answers=CHECK_IN.dump_python(check_in, mode="json"),
        **dated(moment),
    )
    db.add(row)
    db.flush()
    return True


def spare(db: Session, athlete: AthleteRow, check_in: CheckIn, moment: Moment) -> None:
    """Spare from now on what hurts; the day's own session is adapted before."""
    for place, pain in check_in.pain:
        spared.tell(db, athlete.id, place, pain, moment, moment.at)


def newest(db: Session, athlete_id: UUID, day: date) -> CheckIn | None:
    """What was told last on a day."""
    row = training_rows.newest_check_in(db, athlete_id, day)
    return CHECK_IN.validate_python(row.answers) if row else None
