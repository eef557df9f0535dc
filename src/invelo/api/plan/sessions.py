"""Sessions: to start from, for one or for a group, and a day adapted to what it allows."""

from datetime import date
from typing import Annotated, Literal
from uuid import UUID, uuid4

from fastapi import APIRouter, Query, Response
from pydantic import Field

from invelo.api.common.context import Coach, Database, Now, moment_for
from invelo.api.common.problems import ERRORS
from invelo.api.common.schemas import OurDay
from invelo.api.plan.session_schemas import AdaptedSheet, SessionSheet, adapted_of, sheet_of
from invelo.api.plan.slots import ShapeBlockOf
from invelo.db import access
from invelo.db.queries import plan_rows
from invelo.domain.catalogue.movement import StressedJoint
from invelo.domain.equipment.kit import Kind
from invelo.domain.errors import InputError
from invelo.domain.plan.day import fit
from invelo.domain.plan.day.adapt import Today, adapt
from invelo.domain.plan.session import builder, level, template
from invelo.domain.plan.week.availability import week_start_of
from invelo.domain.strict import ResponseModel, StrictModel
from invelo.services.plan import sessions, trainee, week

router = APIRouter(prefix="/api", tags=["Sessions"], responses=ERRORS)


class ReadySession(ResponseModel):
    """A session to start from."""

    id: str
    name: str
    kind: str
    kit: str
    blocks: list[ShapeBlockOf]


class ReadySessions(ResponseModel):
    """The ready ones, and the coach's own."""

    sessions: list[ReadySession]


class NewOwnSession(StrictModel):
    """A session of the coach's own, to be used again."""

    name: str = Field(max_length=80, examples=["After the get-out"])
    blocks: list[ShapeBlockOf] = Field(min_length=1, max_length=20)

    def core(self, template_id: UUID) -> template.SessionTemplate:
        """As the domain reads it."""
        return template.SessionTemplate(
            str(template_id),
            self.name,
            "own",
            "bar and bands",
            tuple(block.core() for block in self.blocks),
        )


class LevelOf(NewOwnSession):
    """A session, and which way to step it."""

    way: level.Way


class Blocks(ResponseModel):
    """Groups of a session."""

    blocks: list[ShapeBlockOf]


class Preview(ResponseModel):
    """A session while it is built."""

    session: SessionSheet | None
    lacks: str = Field(description="What it lacks to be one, '' where nothing.")


class NameOf(StrictModel):
    """What it is called."""

    name: str = Field(max_length=80, examples=["After the get-out"])


class FittedOut(ResponseModel):
    """A session cut to the minutes there are."""

    session: SessionSheet
    cuts: list[str]
    back: list[str]


class Sore(StrictModel):
    """How sore a place is."""

    place: StressedJoint
    how: int = Field(ge=0, le=10)


class Allows(StrictModel):
    """What a day allows; what is left out is as planned."""

    minutes: float | None = Field(None, examples=[20])
    kinds: list[Kind] | None = Field(None, description="Of kit at hand; as planned if left out.")
    sore: list[Sore] = Field(default_factory=list, max_length=8)
    tight: list[StressedJoint] = Field(default_factory=list, max_length=8)
    sleep: float | None = Field(None, description="Hours of the last night.")
    rpe: float | None = Field(None, description="Of what was done today already, 1–10.")

    def core(self) -> Today:
        """As the domain reads it."""
        return Today(
            self.minutes,
            None if self.kinds is None else frozenset(self.kinds),
            tuple((other.place, other.how) for other in self.sore),
            tuple(self.tight),
            self.sleep,
            self.rpe,
        )


class KeptDay(Allows):
    """A day to be kept as adapted."""

    keep: UUID | None = Field(None, description="An id to keep it under; only shown if left out.")


class DaySession(ResponseModel):
    """A day's session as it stands."""

    day: date
    adapted: bool
    session: SessionSheet


DaySource = Literal["plan", "adapted"]


@router.get("/session-templates")
def get_ready_sessions(coach: Coach, db: Database) -> ReadySessions:
    """The ready sessions and the coach's own."""
    there = sessions.shapes(db, coach.id)
    return ReadySessions(
        sessions=[
            ReadySession.model_validate(_plain(session_template)) for session_template in there
        ]
    )


@router.put("/session-templates/{session_id}")
def keep_own_session(
    session_id: UUID, body: NewOwnSession, coach: Coach, db: Database, now: Now
) -> ReadySession:
    """Keep a session of the coach's own, new or changed. Sending it again changes nothing."""
    row = sessions.keep_own(db, coach.id, body.core(session_id), now)
    return ReadySession.model_validate(_plain(sessions.SHAPE.validate_python(row.document)))


@router.delete("/session-templates/{session_id}", status_code=204)
def remove_own_session(session_id: UUID, coach: Coach, db: Database) -> Response:
    """Take an own session away."""
    sessions.remove_own(db, coach.id, session_id)
    return Response(status_code=204)


@router.get("/athletes/{athlete_id}/session-templates/{template_id}")
def get_session(
    athlete_id: UUID,
    template_id: str,
    coach: Coach,
    db: Database,
    now: Now,
    minutes: Annotated[float | None, Query(ge=1, le=240)] = None,
) -> FittedOut:
    """A session to start from, filled in for an athlete, and cut to the minutes there are."""
    athlete = access.athlete(db, coach.id, athlete_id)
    who = trainee.of_athlete(db, athlete, moment_for(athlete, now).local_date)
    made = builder.session_of(sessions.find(db, coach.id, template_id), who)
    fitted = fit.fit(made, minutes) if minutes is not None else fit.Fitted(made, ())
    return FittedOut(
        session=sheet_of(fitted.session, who), cuts=list(fitted.cuts), back=list(fitted.back)
    )


@router.put("/athletes/{athlete_id}/days/{day}/session-templates/{session_id}")
def keep_day_as_own(
    athlete_id: UUID,
    day: OurDay,
    session_id: UUID,
    body: NameOf,
    coach: Coach,
    db: Database,
    now: Now,
) -> ReadySession:
    """Keep a day's session as one of the coach's own, exactly as it stands: movements, amounts,
    loads, rests. Sending it again changes nothing."""
    athlete = access.athlete(db, coach.id, athlete_id)
    today = moment_for(athlete, now).local_date
    adapted = sessions.adapted(db, athlete.id, day)
    seen = week.view(db, athlete, week_start_of(day), today)
    session = adapted or seen.session(day.weekday())
    made = builder.template_of(str(session_id), body.name, session, seen.who)
    row = sessions.keep_own(db, coach.id, made, now)
    return ReadySession.model_validate(_plain(sessions.SHAPE.validate_python(row.document)))


@router.post("/session-templates/level")
def step_level(body: LevelOf, coach: Coach) -> Blocks:
    """The same session a level down or up, kept nowhere."""
    made = level.levelled(body.core(uuid4()), body.way)
    return Blocks.model_validate({"blocks": _plain(made)["blocks"]})


@router.post("/athletes/{athlete_id}/session-preview")
def preview_session(
    athlete_id: UUID, body: NewOwnSession, coach: Coach, db: Database, now: Now
) -> Preview:
    """A session as an athlete would do it, kept nowhere: minutes, hard sets by region, what is
    closed to them; while it is built it may lack something yet."""
    athlete = access.athlete(db, coach.id, athlete_id)
    who = trainee.of_athlete(db, athlete, moment_for(athlete, now).local_date)
    try:
        session = builder.session_of(body.core(uuid4()), who)
    except InputError as error:
        return Preview(session=None, lacks=f"{error.field}: {error.problem} {error.remedy}")
    return Preview(session=sheet_of(session, who), lacks="")


@router.get("/athletes/{athlete_id}/days/{day}/session")
def get_day(
    athlete_id: UUID,
    day: OurDay,
    coach: Coach,
    db: Database,
    now: Now,
    source: Annotated[DaySource | None, Query(description="The adapted one if left out.")] = None,
) -> DaySession:
    """A day's session: as it was adapted, or else as it is planned."""
    athlete = access.athlete(db, coach.id, athlete_id)
    today = moment_for(athlete, now).local_date
    adapted = None if source == "plan" else sessions.adapted(db, athlete.id, day)
    if adapted is not None:  # one who came to a class may have nothing to plan
        who = trainee.of_athlete(db, athlete, today)
        return DaySession(day=day, adapted=True, session=sheet_of(adapted, who))
    seen = week.view(db, athlete, week_start_of(day), today)
    return DaySession(
        day=day, adapted=False, session=sheet_of(seen.session(day.weekday()), seen.who)
    )


@router.post("/athletes/{athlete_id}/days/{day}/adapt")
def adapt_day(
    athlete_id: UUID, day: OurDay, body: KeptDay, coach: Coach, db: Database, now: Now
) -> AdaptedSheet:
    """A day's session as the day allows it, before and after; kept if an id is given."""
    roles = access.WRITE if body.keep else access.SEE
    athlete = access.athlete(db, coach.id, athlete_id, roles=roles)
    moment = moment_for(athlete, now)
    seen = week.view(db, athlete, week_start_of(day), moment.local_date)
    allowed = body.core()
    done = adapt(seen.session(day.weekday()), seen.who_on(day.weekday()), allowed)
    if body.keep:
        sessions.keep_adapted(db, athlete, body.keep, day, allowed, done, moment)
    return adapted_of(done, seen.who)


@router.delete("/athletes/{athlete_id}/days/{day}/adapt", status_code=204)
def drop_adapted_day(athlete_id: UUID, day: OurDay, coach: Coach, db: Database) -> Response:
    """Go back to the day as it was planned."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    plan_rows.forget_adapted(db, athlete.id, day)
    return Response(status_code=204)


def _plain(shape: template.SessionTemplate) -> dict[str, object]:
    return sessions.SHAPE.dump_python(shape, mode="json")  # type: ignore[no-any-return]
