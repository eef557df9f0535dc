"""Floor: what a device takes along, and what it sends back set by set.

The athlete comes by their link, the coach by their sign-in; both find the same.
"""

from datetime import date
from typing import Any, Literal, TypeVar
from uuid import UUID

from fastapi import APIRouter, Query, Response
from pydantic import Field

from invelo.api.context import AtWork, Database, DeviceClock, Now, OnFloor, device_moment
from invelo.api.log_shapes import LoggedSession, LoggedSet, sessions_of, sets_of
from invelo.api.problems import ERRORS
from invelo.api.review import Decision, decision_of
from invelo.api.run_shapes import (
    Paths,
    RunSheet,
    Stopped,
    TakeAlongSheet,
    kinds_of,
    run_item,
    run_sheet,
)
from invelo.api.shapes import Shape
from invelo.core.catalogue import catalogue
from invelo.core.check_in import ALARMS, PLACES
from invelo.core.log import MOST_LOGGED, PAIN_STOP, OneSide, SetKind, told
from invelo.core.movement import MUSCLES
from invelo.exchange.setups import Request
from invelo.store import access, drawings, floor, judge, last_time, live, logs, notes, run
from invelo.store import ladder as ladders
from invelo.store.errors import MissingError
from invelo.store.moment import Moment
from invelo.store.rows import changes_from

router = APIRouter(prefix="/api/athletes/{athlete_id}", tags=["Floor"], responses=ERRORS)

MOST_FAULTS = 6
WARM = "warm-up:"
"""How the key of what warms up begins."""

T = TypeVar("T")


class NewRun(DeviceClock):
    """A session opened on a device."""

    name: str = Field(max_length=80, examples=["Monday"])
    ladder_id: UUID | None = Field(None, description="The one it is of, if of one alone.")


class Running(Shape):
    """A session with what is logged of it so far, from whatever device."""

    id: UUID
    name: str
    finished: bool
    sets: list[LoggedSet]


class NewSet(DeviceClock):
    """A set done."""

    number: int = Field(description="Of its item, counted from 1.", examples=[1])
    rung_id: UUID | None = Field(None, description="Of a set on a ladder.")
    movement: str | None = Field(None, max_length=80, description="Of a set off any ladder.")
    changes: dict[str, Any] | None = Field(None, description="As the set was given.")
    item: str = Field("", max_length=120)
    kind: SetKind = "work"
    side: OneSide = ""
    reps: int | None = Field(None, description="Clean full reps, 0 to 200.", examples=[10])
    seconds: float | None = Field(None, description="Of a hold, 0 to 3600; instead of reps.")
    centimetres: float | None = Field(None, description="Of a jump, landed still.")
    told: str | None = Field(
        None,
        max_length=40,
        description="In place of the three: the count in words, exact or from memory.",
        examples=["11 or 12", "about 30"],
    )
    partial: int = Field(0, description="Reps that fell short of depth.")
    asked_low: int | None = Field(None, ge=1, le=3600)
    asked_high: int | None = Field(None, ge=1, le=3600)
    effort: float = Field(description="1–10; 10 is not one more.", examples=[8.5])
    clean: bool = True
    faults: list[str] = Field(default_factory=list, max_length=MOST_FAULTS)
    felt_in: list[str] = Field(default_factory=list, max_length=MOST_FAULTS)
    pain: int = Field(0, description="0–10.")
    pain_place: str = Field("", max_length=40, examples=["left wrist"])
    note: str = Field("", max_length=floor.LONGEST_NOTE)
    corrects: UUID | None = Field(None, description="The set this one puts right.")


class NewSkip(DeviceClock):
    """A set that is left out."""

    name: str = Field(max_length=80)
    number: int = Field(ge=1, le=99)
    why: str = Field(max_length=120, examples=["no room for it"])


class Where(Request):
    """Where in a session someone is."""

    state: Literal["ready", "working", "resting", "paused", "done"]
    doing: str = Field(max_length=120)
    set_number: int = Field(0, ge=0, le=99)
    set_count: int = Field(0, ge=0, le=99)
    step: int = Field(0, ge=0, le=999)
    steps: int = Field(0, ge=0, le=999)


class Finish(DeviceClock):
    """The end of a session."""

    effort: float = Field(description="Of the whole session, 1–10.", examples=[7])


class Finished(Shape):
    """What a session led to; an athlete is told by their coach."""

    decisions: list[Decision]


class History(Shape):
    """Sessions done, the newest first."""

    sessions: list[LoggedSession]
    before: date | None = Field(description="Ask from here for older ones; None at the end.")


@router.get("/floor")
def take_along(who: OnFloor, db: Database, now: Now) -> TakeAlongSheet:
    """Today's session and the next ones, with the rungs around each set and their doses, so that
    a device runs them with the network gone."""
    athlete = who.athlete
    today = device_moment(athlete, now, DeviceClock(at=now))[0].local_date
    took = run.take_along(db, athlete, today)
    paths = Paths(took.who.body, took.rungs)
    own: dict[str, list[str]] = {}
    for note in notes.standing(db, athlete.id):
        own.setdefault(note.movement, []).append(note.text)
    before = last_time.of_athlete(db, athlete.id)

    def sheet(one: run.DayRun) -> RunSheet:
        items = [
            run_item(
                each,
                paths,
                own.get(each.item.movement.id, ()),
                "" if each.item.key.startswith(WARM) else before.words(each.item.movement.id),
                before.first_side(each.item.movement.id),
            )
            for each in one.run.items
        ]
        return run_sheet(one, items)

    sessions = [sheet(one) for one in took.planned]
    single = [sheet(one) for one in took.single]
    return TakeAlongSheet(
        athlete_id=athlete.id,
        athlete_name=athlete.name,
        today=today,
        zone=athlete.time_zone,
        server_time=now,
        pain_stop=PAIN_STOP,
        most=MOST_LOGGED,
        regions=list(MUSCLES),
        places=list(PLACES),
        alarms=list(ALARMS),
        kinds=kinds_of(took),
        stop=took.check_in.stop if took.check_in else "",
        checked_in=took.check_in is not None,
        stopped=[Stopped(goal=goal, why=why) for goal, why in took.stopped],
        shut=list(took.shut),
        sessions=sessions,
        single=single,
        paths=paths.found,
    )


@router.put("/runs/{session_id}")
def start(session_id: UUID, body: NewRun, who: AtWork, db: Database, now: Now) -> Running:
    """Open a session. Sending it again opens nothing new; another device at the same session finds
    what is logged of it."""
    moment, _ = device_moment(who.athlete, now, body)
    row = None
    if body.ladder_id is not None:
        row = ladders.of_one(db, who.athlete.id, body.ladder_id)
    session = floor.start(db, who.athlete, session_id, body.name, moment, now, row)
    live.tell(db, who.athlete.id)
    return Running(
        id=session.id,
        name=session.name,
        finished=session.finished_at is not None,
        sets=sessions_of(db, [session])[0].sets,
    )


@router.get("/runs")
def get_open_runs(who: OnFloor, db: Database) -> list[LoggedSession]:
    """Sessions that were opened and not closed, the newest first."""
    return sessions_of(db, logs.unfinished(db, who.athlete.id))


@router.put("/runs/{session_id}/sets/{set_id}")
def log_set(
    session_id: UUID, set_id: UUID, body: NewSet, who: AtWork, db: Database, now: Now
) -> LoggedSet:
    """Log a set for good. Sending the same set again writes nothing; other figures under the
    same id are refused, since a correction is a new row that names the old in `corrects`. A set
    that comes late is taken in, and its session judged anew."""
    session = access.own_session(db, who.athlete.id, session_id)
    moment, skew = device_moment(who.athlete, now, body)
    entry = entry_of(set_id, body, moment, skew)
    fresh = floor.log(db, session, entry, now)
    judge.judge_anew(db, who.athlete, session, Moment(now, moment.zone))
    live.tell(db, who.athlete.id)
    return sets_of(db, [fresh.id])[0]


def entry_of(set_id: UUID, body: NewSet, moment: Moment, skew: float | None) -> floor.SetEntry:
    """A set as the store takes it."""
    return floor.SetEntry(
        id=set_id,
        moment=moment,
        skew=skew,
        movement=catalogue().find_movement(body.movement) if body.movement else None,
        modifiers=changes_from(body.changes) if body.changes is not None else None,
        told=told(body.told) if body.told is not None else None,
        asked=_pair(body.asked_low, body.asked_high),
        faults=tuple(body.faults),
        felt_in=tuple(body.felt_in),
        **{name: getattr(body, name) for name in AS_SENT},
    )


AS_SENT = (
    *("number", "effort", "rung_id", "reps", "seconds", "centimetres", "partial", "clean"),
    *("pain", "pain_place", "note", "item", "kind", "side", "corrects"),
)
"""What of a set goes on as it came."""


@router.get("/sets/{set_id}/history")
def get_set_history(set_id: UUID, who: OnFloor, db: Database) -> list[LoggedSet]:
    """A set and every row it puts right, the newest first."""
    notes.set_of(db, who.athlete.id, set_id)
    return sets_of(db, [row.id for row in logs.history(db, set_id)])


@router.put("/runs/{session_id}/skips/{skip_id}", status_code=204)
def skip_set(
    session_id: UUID, skip_id: UUID, body: NewSkip, who: AtWork, db: Database, now: Now
) -> Response:
    """Keep that a set was left out, and why."""
    session = access.own_session(db, who.athlete.id, session_id)
    moment, _ = device_moment(who.athlete, now, body)
    floor.skip(db, session, skip_id, body.name, body.number, body.why, moment)
    return Response(status_code=204)


@router.put("/runs/{session_id}/where", status_code=204)
def tell_where(session_id: UUID, body: Where, who: AtWork, db: Database, now: Now) -> Response:
    """Say where in the session the athlete is, for whoever watches."""
    try:
        session = access.own_session(db, who.athlete.id, session_id)
    except MissingError:  # its opening is still on its way
        return Response(status_code=204)
    of_set, step = (body.set_number, body.set_count), (body.step, body.steps)
    live.move(db, session, body.state, body.doing, of_set, step, now)
    return Response(status_code=204)


@router.post("/runs/{session_id}/finish")
def finish(session_id: UUID, body: Finish, who: AtWork, db: Database, now: Now) -> Finished:
    """Close a session; the answer is what it leads to. The same effort again changes nothing."""
    session = access.own_session(db, who.athlete.id, session_id)
    moment, _ = device_moment(who.athlete, now, body)
    made = floor.finish(db, who.athlete, session, body.effort, moment)
    live.tell(db, who.athlete.id)
    found = []
    for one in made:
        rungs = {rung.id: rung for rung in drawings.rungs_of(db, one.ladder_id)}
        found.append(decision_of(one, rungs))
    return Finished(decisions=found if who.coach is not None else [])


@router.delete("/runs/{session_id}", status_code=204)
def discard(session_id: UUID, who: AtWork, db: Database) -> Response:
    """Drop a session in which nothing was logged."""
    floor.discard(db, access.own_session(db, who.athlete.id, session_id))
    live.tell(db, who.athlete.id)
    return Response(status_code=204)


@router.get("/history")
def get_history(
    who: OnFloor,
    db: Database,
    before: date | None = Query(None, description="Older than this day."),
) -> History:
    """What the athlete did, twenty sessions at a time, and the last day of them whole."""
    found = logs.before(db, who.athlete.id, before)
    more = len(found) >= logs.A_PAGE
    return History(sessions=sessions_of(db, found), before=found[-1].local_date if more else None)


def _pair(low: T | None, high: T | None) -> tuple[T, T] | None:
    return None if low is None or high is None else (low, high)
