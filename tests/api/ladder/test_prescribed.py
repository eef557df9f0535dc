"""The prescription of a ladder: versions in the order they were set, whatever the clock says."""

from sqlmodel import Session, col, select

from invelo.db.tables.ladder import PrescriptionRow
from tests.api.coach import Coach


def test_of_two_set_at_one_moment_the_later_stands(coach: Coach, engine) -> None:
    """The clock stands still: only their numbers tell them apart."""
    ladder = coach.has_ladder()
    for turn in range(6):
        rung = ladder["rungs"][turn % 2]
        coach.put(f"/api/ladders/{ladder['id']}/current-rung", rung_id=rung["id"])
        assert coach.current_rung(ladder["id"]) == rung["id"]
    with Session(engine) as db:
        rows = db.exec(select(PrescriptionRow).order_by(col(PrescriptionRow.number))).all()
        assert [row.number for row in rows] == list(range(1, len(rows) + 1))
        assert len({row.at for row in rows}) == 1
