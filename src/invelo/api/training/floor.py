"""Floor: what a device takes along, and what it sends back set by set.

The athlete comes by their link, the coach by their sign-in; both find the same.
"""

from datetime import date
from typing import Literal
from uuid import UUID

from fastapi import APIRouter, Query, Response
from pydantic import Field

from invelo.api.common.context import AtWork, Database, DeviceClock, Now, OnFloor, device_moment
from invelo.api.common.problems import ERRORS
from invelo.api.common.schemas import OurDay
from invelo.api.review.schemas import ProposalOut, proposal_of
from invelo.api.training.log_schemas import (
    LoggedSessionOut,
    LoggedSetOut,
    SetVersionOut,
    sessions_of,
    sets_of,
    versions_of,
)
from invelo.api.training.run_schemas import (
    OfflineBundleOut,
    Paths,
    RunSheet,
    Stopped,
    kinds_of,
    run_item,
    run_sheet,
)
from invelo.api.training.set_schemas import NewSet, SetCorrection
from invelo.db import access, ladder_graph, logs
from invelo.db.errors import MissingError
from invelo.db.moment import Moment
from invelo.db.queries import training_rows
from invelo.domain.catalogue.movement import MUSCLES
from invelo.domain.strict import ResponseModel, StrictModel, renamed
from invelo.domain.training.check_in import ALARMS, PLACES
from invelo.domain.training.log import MOST_LOGGED, PAIN_STOP
from invelo.services.ladder import ladder
from invelo.services.review import propose
from invelo.services.training import floor, last_time, live, run, set_attachments

router = APIRouter(prefix="/api/athletes/{athlete_id}", tags=["Floor"], responses=ERRORS)

WARM = "warm-up:"
"""How the key of what warms up begins."""


class NewRun(DeviceClock):
    """A session opened on a device."""

    name: str = Field(max_length=80, examples=["Monday"])
    ladder_id: UUID | None = Field(None, description="The one it is of, if of one alone.")


class Running(ResponseModel):
    """A session with what is logged of it so far, from whatever device."""

    id: UUID
    name: str
    finished: bool
    sets: list[LoggedSetOut]


class NewSkip(DeviceClock):
    """A set that is left out."""

    name: str = Field(max_length=80)
    number: int = Field(ge=1, le=99)
    why: str = Field(max_length=120, examples=["no room for it"])


class Where(StrictModel):
    """Where in a session someone is."""

    state: Literal["ready", "working", "resting", "paused", "done"]
    doing: str = Field(max_length=120)
    set_number: int = Field(0, ge=0, le=99)
    set_count: int = Field(0, ge=0, le=99)
    step: int = Field(0, ge=0, le=999)
    steps: int = Field(0, ge=0, le=999)


class Finish(DeviceClock):
    """The end of a session."""

    rpe: float = Field(
        description="Of the whole session, 1–10.",
        examples=[7],
        validation_alias=renamed("rpe", "effort"),
    )


class Finished(ResponseModel):
    """What a session led to; an athlete is told by their coach."""

    proposals: list[ProposalOut]


class History(ResponseModel):
    """Sessions done, the newest first."""

    sessions: list[LoggedSessionOut]
    before: date | None = Field(description="Ask from here for older ones; None at the end.")


@router.get("/floor")
def take_along(who: OnFloor, db: Database, now: Now) -> OfflineBundleOut:
    """Today's session and the next ones, with the rungs around each set and their prescriptions,
    so that a device runs them with the network gone."""
    athlete = who.athlete
    today = device_moment(athlete, now, DeviceClock(at=now))[0].local_date
    took = run.offline_bundle(db, athlete, today)
    paths = Paths(took.who.body, took.rungs)
    own: dict[str, list[str]] = {}
    for note in training_rows.standing_notes(db, athlete.id):
        own.setdefault(note.movement, []).append(note.text)
    before = last_time.of_athlete(db, athlete.id)

    def sheet(day_run: run.DayRun) -> RunSheet:
        items = [
            run_item(
                each,
                paths,
                own.get(each.item.movement.id, ()),
                "" if each.item.key.startswith(WARM) else before.words(each.item.movement.id),
                before.first_side(each.item.movement.id),
            )
            for each in day_run.run.items
        ]
        return run_sheet(day_run, items)

    sessions = [sheet(day_run) for day_run in took.planned]
    single = [sheet(day_run) for day_run in took.single]
    return OfflineBundleOut(
        athlete_id=athlete.id,
        athlete_name=athlete.name,
        today=today,
        time_zone=athlete.time_zone,
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


@router.put("/sessions/{session_id}")
def start(session_id: UUID, body: NewRun, who: AtWork, db: Database, now: Now) -> Running:
    """Open a session. Sending it again opens nothing new; another device at the same session finds
    what is logged of it."""
    moment, _ = device_moment(who.athlete, now, body)
    row = None
    if body.ladder_id is not None:
        row = ladder.of_one(db, who.athlete.id, body.ladder_id)
    session = floor.start(db, who.athlete, session_id, body.name, moment, now, row)
    live.tell(db, who.athlete.id)
    return Running.of(
        session, finished=session.finished_at is not None, sets=sessions_of(db, [session])[0].sets
    )


@router.get("/sessions")
def get_open_runs(who: OnFloor, db: Database) -> list[LoggedSessionOut]:
    """Sessions that were opened and not closed, the newest first."""
    return sessions_of(db, logs.unfinished(db, who.athlete.id))


@router.put("/sessions/{session_id}/sets/{set_id}")
def log_set(
    session_id: UUID, set_id: UUID, body: NewSet, who: AtWork, db: Database, now: Now
) -> LoggedSetOut:
    """Log a set for good. Sending the same set again writes nothing; other figures under the
    same id are refused, since a correction is a new row that names the old in `corrects`. A set
    that comes late is taken in, and its session judged anew."""
    session = access.own_session(db, who.athlete.id, session_id)
    moment, skew = device_moment(who.athlete, now, body)
    entry = floor.SetEntry(set_id, body, moment, skew, who.author_id)
    fresh = floor.log(db, session, entry, now)
    propose.judge_anew(db, who.athlete, session, Moment(now, moment.time_zone))
    live.tell(db, who.athlete.id)
    return sets_of(db, [fresh.id])[0]


@router.patch("/sets/{set_id}")
def correct_set(
    set_id: UUID,
    body: SetCorrection,
    who: AtWork,
    db: Database,
    now: Now,
) -> LoggedSetOut:
    """Put a set right: only what is sent changes, everything else stays as it was told (RFC 7396).
    The first version stays to be seen; sending the same again writes nothing."""
    old = set_attachments.set_of(db, who.athlete.id, set_id)
    session = access.own_session(db, who.athlete.id, old.session_id)
    moment, skew = device_moment(who.athlete, now, body)
    draft = body.applied_to(floor.draft_of(old))
    entry = floor.SetEntry(body.id, draft, moment, skew, who.author_id)
    fresh = floor.correct(db, session, old, entry, now)
    propose.judge_anew(db, who.athlete, session, Moment(now, moment.time_zone))
    live.tell(db, who.athlete.id)
    return sets_of(db, [fresh.id])[0]


@router.get("/sets/{set_id}/history")
def get_set_history(set_id: UUID, who: OnFloor, db: Database) -> list[SetVersionOut]:
    """A set and every row it puts right, the newest first, with who entered each and what it
    changed."""
    set_attachments.set_of(db, who.athlete.id, set_id)
    return versions_of(db, logs.history(db, set_id), who.athlete.name)


@router.put("/sessions/{session_id}/skips/{skip_id}", status_code=204)
def skip_set(
    session_id: UUID, skip_id: UUID, body: NewSkip, who: AtWork, db: Database, now: Now
) -> Response:
    """Keep that a set was left out, and why."""
    session = access.own_session(db, who.athlete.id, session_id)
    moment, _ = device_moment(who.athlete, now, body)
    floor.skip(db, session, skip_id, body.name, body.number, body.why, moment)
    return Response(status_code=204)


@router.put("/sessions/{session_id}/where", status_code=204)
def tell_where(session_id: UUID, body: Where, who: AtWork, db: Database, now: Now) -> Response:
    """Say where in the session the athlete is, for whoever watches."""
    try:
        session = access.own_session(db, who.athlete.id, session_id)
    except MissingError:  # its opening is still on its way
        return Response(status_code=204)
    of_set, step = (body.set_number, body.set_count), (body.step, body.steps)
    live.move(db, session, body.state, body.doing, of_set, step, now)
    return Response(status_code=204)


@router.post("/sessions/{session_id}/finish")
def finish(session_id: UUID, body: Finish, who: AtWork, db: Database, now: Now) -> Finished:
    """Close a session; the answer is what it leads to. The same effort again changes nothing."""
    session = access.own_session(db, who.athlete.id, session_id)
    moment, _ = device_moment(who.athlete, now, body)
    made = floor.finish(db, who.athlete, session, body.rpe, moment)
    live.tell(db, who.athlete.id)
    proposals = []
    for proposal in made:
        rungs = {rung.id: rung for rung in ladder_graph.rungs_of(db, proposal.ladder_id)}
        proposals.append(proposal_of(proposal, rungs))
    return Finished(proposals=proposals if who.coach is not None else [])


@router.delete("/sessions/{session_id}", status_code=204)
def discard(session_id: UUID, who: AtWork, db: Database) -> Response:
    """Drop a session in which nothing was logged."""
    floor.discard(db, access.own_session(db, who.athlete.id, session_id))
    live.tell(db, who.athlete.id)
    return Response(status_code=204)


@router.get("/history")
def get_history(
    who: OnFloor,
    db: Database,
    before: OurDay | None = Query(None, description="Older than this day."),
) -> History:
    """What the athlete did, twenty sessions at a time, and the last day of them whole."""
    sessions = logs.before(db, who.athlete.id, before)
    more = len(sessions) >= logs.A_PAGE
    return History(
        sessions=sessions_of(db, sessions), before=sessions[-1].local_date if more else None
    )
