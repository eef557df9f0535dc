"""Check-in: how an athlete comes to a day; it adapts the day's session, or stops it."""

from typing import Literal
from uuid import UUID

from fastapi import APIRouter
from pydantic import Field

from invelo.api.common.context import AtWork, Database, DeviceClock, Now, device_moment
from invelo.api.common.problems import ERRORS
from invelo.api.plan.session_schemas import ChangeOut
from invelo.db.moment import Moment
from invelo.db.queries import plan_rows, training_rows
from invelo.db.tables.athlete import AthleteRow
from invelo.domain.catalogue.movement import StressedJoint
from invelo.domain.equipment.kit import Kind
from invelo.domain.errors import InputError
from invelo.domain.plan.day.adapt import Adapted, adapt
from invelo.domain.plan.week.availability import week_start_of
from invelo.domain.strict import ResponseModel, StrictModel
from invelo.domain.training.check_in import Alarm, CheckIn
from invelo.services.plan import sessions, week
from invelo.services.training import check_in

router = APIRouter(prefix="/api/athletes/{athlete_id}", tags=["Check-in"], responses=ERRORS)


class AtPlace(StrictModel):
    """How much a place is sore, or hurts."""

    place: StressedJoint
    how: int = Field(ge=1, le=10)


class NewCheckIn(DeviceClock):
    """What an athlete says; what is left out is as planned."""

    minutes: float | None = Field(None, description="There are, 1 to 240.")
    kinds: list[Kind] | None = Field(None, description="Of things at hand.")
    sleep: float | None = Field(None, description="Hours of the last night.")
    sore: list[AtPlace] = Field(default_factory=list, max_length=8)
    tight: list[StressedJoint] = Field(default_factory=list, max_length=8)
    pain: list[AtPlace] = Field(default_factory=list, max_length=8)
    alarms: list[Alarm] = Field(default_factory=list, max_length=4)
    note: str = Field("", max_length=300)

    def core(self) -> CheckIn:
        """As the domain reads it."""
        return CheckIn(
            self.minutes,
            None if self.kinds is None else frozenset(self.kinds),
            self.sleep,
            tuple((at_place.place, at_place.how) for at_place in self.sore),
            tuple(self.tight),
            tuple((at_place.place, at_place.how) for at_place in self.pain),
            tuple(self.alarms),
            self.note.strip(),
        )


class CheckedIn(ResponseModel):
    """What follows from it."""

    outcome: Literal["as planned", "adapted", "rest", "stop"]
    words: str
    changes: list[ChangeOut]
    cuts: list[str]


@router.put("/check-ins/{check_in_id}")
def keep_check_in(
    check_in_id: UUID, body: NewCheckIn, who: AtWork, db: Database, now: Now
) -> CheckedIn:
    """Check in for a day: its session is adapted to what the day allows, and kept so. Sending it
    again changes nothing."""
    answers = body.core()
    moment, _ = device_moment(who.athlete, now, body)
    answer = _answer(db, who.athlete, check_in_id, answers, moment)
    check_in.spare(db, who.athlete, answers, moment)
    return answer


def _answer(
    db: Database, athlete: AthleteRow, check_in_id: UUID, answers: CheckIn, moment: Moment
) -> CheckedIn:
    new = check_in.keep(db, athlete, check_in_id, answers, moment)
    if answers.stop:
        return CheckedIn(outcome="stop", words=answers.stop, changes=[], cuts=[])
    try:
        done = _adapted(db, athlete, answers, moment)
    except InputError as error:
        if error.field == "today":
            return CheckedIn(
                outcome="rest", words=f"{error.problem} {error.remedy}", changes=[], cuts=[]
            )
        done = None  # nothing is planned today
    if done is None or not answers.changes:
        if new:
            day = moment.local_date
            earlier = training_rows.check_in_ids(db, athlete.id, day)
            plan_rows.forget_adapted(db, athlete.id, day, only=earlier)
        words = "Nothing is planned today." if done is None else "As planned."
        return CheckedIn(outcome="as planned", words=words, changes=[], cuts=[])
    sessions.keep_adapted(db, athlete, check_in_id, moment.local_date, answers.today, done, moment)
    changed = done.changes or done.cuts
    return CheckedIn(
        outcome="adapted" if changed else "as planned",
        words=done.stop,
        changes=[ChangeOut.model_validate(change) for change in done.changes],
        cuts=list(done.cuts),
    )


def _adapted(db: Database, athlete: AthleteRow, answers: CheckIn, moment: Moment) -> Adapted:
    """The day's session as the coach left it, adapted to what was told."""
    day = moment.local_date
    seen = week.view(db, athlete, week_start_of(day), day)
    earlier = training_rows.check_in_ids(db, athlete.id, day)
    by_coach = sessions.adapted(db, athlete.id, day, besides=earlier)
    return adapt(by_coach or seen.session(day.weekday()), seen.who_on(day.weekday()), answers.today)
