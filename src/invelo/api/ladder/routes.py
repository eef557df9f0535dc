"""Ladder: the rungs to scale, the athlete's reach on them, and the sheet of one rung."""

from uuid import UUID

from fastapi import APIRouter

from invelo.api.common.context import Coach, Database, Now, moment_for
from invelo.api.common.problems import ERRORS
from invelo.api.ladder.schemas import (
    ComparedLadders,
    Copy,
    LadderSheet,
    Move,
    NewLadder,
    RungSheet,
)
from invelo.api.ladder.views import _rung_sheet, _sheet, seen_by, sheet_of
from invelo.db import access
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.errors import InputError
from invelo.domain.ladder.workshop import Node, in_a_row
from invelo.services.athlete import battery
from invelo.services.ladder import ladder

router = APIRouter(prefix="/api", tags=["Ladder"], responses=ERRORS)


@router.post("/athletes/{athlete_id}/ladders", status_code=201)
def create(athlete_id: UUID, body: NewLadder, coach: Coach, db: Database, now: Now) -> LadderSheet:
    """Give an athlete a ladder and place them by their tests."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    moment = moment_for(athlete, now)
    if body.test is not None:
        battery.keep_test(db, athlete, body.test.core(), moment)
    if body.ready_ladder is not None:
        ready = catalogue().find_ladder(body.ready_ladder)
        row = ladder.create(db, athlete, ready, body.purpose, body.level, moment)
        return sheet_of(db, row, athlete, now)
    if body.first is None or not body.goal.strip():
        raise InputError(
            "goal" if body.first else "first",
            "a ladder of your own wants a goal and a first rung.",
            "Name the goal and pick a movement, or name a ready ladder.",
        )
    first = Node(body.first.id, body.first.core(body.purpose, body.level), body.first.why)
    row = ladder.begin(
        db,
        athlete,
        body.goal.strip(),
        in_a_row([first]),
        body.purpose,
        body.level,
        moment,
        {"ladder begun": body.goal},
    )
    return sheet_of(db, row, athlete, now)


@router.get("/ladders/{ladder_id}")
def get_ladder(ladder_id: UUID, coach: Coach, db: Database, now: Now) -> LadderSheet:
    """A ladder drawn to scale for its athlete."""
    row, athlete = access.ladder_seen(db, coach.id, ladder_id)
    return sheet_of(db, row, athlete, now)


@router.delete("/ladders/{ladder_id}", status_code=204)
def delete_ladder(ladder_id: UUID, coach: Coach, db: Database) -> None:
    """Take a ladder away on which nothing was trained yet."""
    ladder.delete(db, access.ladder(db, coach.id, ladder_id, roles=access.WRITE))


@router.post("/ladders/{ladder_id}/copies", status_code=201)
def copy(ladder_id: UUID, body: Copy, coach: Coach, db: Database, now: Now) -> LadderSheet:
    """Give the same ladder to another athlete, placed by their own tests."""
    row = access.ladder(db, coach.id, ladder_id)
    other = access.athlete(db, coach.id, body.athlete_id, roles=access.WRITE)
    copied = ladder.copy(db, row, other, moment_for(other, now))
    return sheet_of(db, copied, other, now)


@router.get("/ladders/{ladder_id}/beside/{athlete_id}")
def compare(
    ladder_id: UUID, athlete_id: UUID, coach: Coach, db: Database, now: Now
) -> ComparedLadders:
    """The ladder for its athlete and, measured anew, for another."""
    row = access.ladder(db, coach.id, ladder_id)
    own = access.athlete(db, coach.id, row.athlete_id)
    other = access.athlete(db, coach.id, athlete_id)
    today = moment_for(other, now).local_date
    return ComparedLadders(
        one=sheet_of(db, row, own, now), other=_sheet(db, ladder.view_for(db, row, other, today))
    )


@router.get("/ladders/{ladder_id}/rungs/{rung_id}")
def get_rung(ladder_id: UUID, rung_id: UUID, coach: Coach, db: Database, now: Now) -> RungSheet:
    """One rung in full."""
    row = access.ladder(db, coach.id, ladder_id)
    position = ladder.rung_on(db, row.id, rung_id).position
    return _rung_sheet(seen_by(db, row, coach, now), position)


@router.put("/ladders/{ladder_id}/current-rung")
def stand(ladder_id: UUID, body: Move, coach: Coach, db: Database, now: Now) -> LadderSheet:
    """Put the athlete on a rung of the coach's choice."""
    row = access.ladder(db, coach.id, ladder_id, roles=access.WRITE)
    athlete = access.athlete(db, coach.id, row.athlete_id)
    ladder.stand(db, row, athlete, body.rung_id, body.note.strip(), moment_for(athlete, now))
    return sheet_of(db, row, athlete, now)


@router.post("/ladders/{ladder_id}/resume")
def resume(ladder_id: UUID, coach: Coach, db: Database, now: Now) -> LadderSheet:
    """Take up again a movement that pain had stopped, once a clinician agrees."""
    row = access.ladder(db, coach.id, ladder_id, roles=access.WRITE)
    athlete = access.athlete(db, coach.id, row.athlete_id)
    ladder.resume(db, row, coach, moment_for(athlete, now))
    return sheet_of(db, row, access.athlete(db, coach.id, row.athlete_id), now)
