"""Check-ins: kept as they were told, the newest of a day speaks."""

from datetime import date
from uuid import UUID

from pydantic import TypeAdapter
from sqlmodel import Session, col, select

from invelo.core.check_in import CheckIn
from invelo.store.columns import dated
from invelo.store.floor_tables import CheckIn as Row
from invelo.store.moment import Moment
from invelo.store.tables import Athlete

CHECK_IN: TypeAdapter[CheckIn] = TypeAdapter(CheckIn)


def keep(db: Session, athlete: Athlete, row_id: UUID, told: CheckIn, moment: Moment) -> bool:
    """Keep what was told; a replay changes nothing. Whether it is new."""
    if db.get(Row, row_id) is not None:
        return False
    row = Row(
        id=row_id,
        athlete_id=athlete.id,
        told=CHECK_IN.dump_python(told, mode="json"),
        **dated(moment),
    )
    db.add(row)
    db.flush()
    return True


def of_day(db: Session, athlete_id: UUID, day: date) -> frozenset[UUID]:
    """The ids of a day's check-ins; what each adapted is kept under the same id."""
    statement = select(Row.id).where(Row.athlete_id == athlete_id, Row.local_date == day)
    return frozenset(db.exec(statement))


def newest(db: Session, athlete_id: UUID, day: date) -> CheckIn | None:
    """What was told last on a day."""
    statement = select(Row).where(Row.athlete_id == athlete_id, Row.local_date == day)
    row = db.exec(statement.order_by(col(Row.at).desc(), col(Row.id))).first()
    return CHECK_IN.validate_python(row.told) if row else None
