"""The ladder workshop: rungs added, changed, moved, branched and joined; bridges; undo and redo."""

from typing import Annotated
from uuid import UUID

from fastapi import APIRouter, Query
from pydantic import Field

from invelo.api.common.context import Coach, Database, Now, moment_for
from invelo.api.common.drawing import FigureOut
from invelo.api.common.problems import ERRORS
from invelo.api.common.schemas import EstimateOut, Explained, RungName
from invelo.api.common.versions import IfMatch, require_match
from invelo.api.ladder.schemas import LadderSheet, ends_of
from invelo.api.ladder.views import seen_by, sheet_of
from invelo.db import access
from invelo.db.codec import body_of
from invelo.db.moment import Moment
from invelo.db.tables.athlete import AthleteRow
from invelo.db.tables.ladder import LadderRow
from invelo.domain.biomechanics.figure import figure
from invelo.domain.ladder import ways as core
from invelo.domain.ladder.bridge import ProposedRung
from invelo.domain.ladder.step_policy import Lever
from invelo.domain.ladder.workshop import LadderGraph, Node
from invelo.domain.strict import ResponseModel, StrictModel
from invelo.formats.ladder.shapes import PlainRung, StepPolicyDocument
from invelo.services.ladder import ladder, workshop

router = APIRouter(prefix="/api", tags=["Workshop"], responses=ERRORS)


class NewRung(PlainRung):
    """A rung to put on a ladder."""

    id: UUID = Field(description="Made by the client, so that sending it twice adds one.")
    after: list[UUID] = Field(description="Rungs one steps to it from; none at a foot.")
    before: list[UUID] = Field(default_factory=list, description="Rungs one steps to from it.")


class Position(StrictModel):
    """Where a rung goes."""

    position: int = Field(description="Counted from 0 at the foot.")


class EdgeRequest(StrictModel):
    """One steps from a lower rung to an upper one."""

    lower_id: UUID
    upper_id: UUID


class AdjustmentOut(ResponseModel):
    """One thing changed alone until the step is made, as a rung to add."""

    adjustable: str = Field(examples=["bag"])
    label: str = Field(examples=["bag high on the back"])
    unit: str = Field(examples=["kg"])
    now: float
    to: Explained | None
    demand: EstimateOut | None
    expected: EstimateOut | None
    rung: PlainRung | None
    unavailable_reason: str


class AdjustmentsOut(ResponseModel):
    """Equal choices, each made alone."""

    rung_id: UUID
    step_percent: float
    ways: list[AdjustmentOut]


class ProposedRungOut(PlainRung):
    """A rung of a bridge, in pencil."""

    demand: EstimateOut
    ratio: float = Field(description="Its demand ÷ the one below it.")
    expected: EstimateOut | None
    distance: int = Field(
        description="0 the upper rung's movement, 1 limited by the same, 2 of the same family."
    )
    levers: list[Lever]
    because: str = Field(description="Why it and no other.")
    figures: list[FigureOut]


class BridgeOut(ResponseModel):
    """What closes a step."""

    lower_id: UUID
    upper_id: UUID
    rungs: list[ProposedRungOut]
    last_ratio: float = Field(description="Upper demand ÷ the last proposed rung's.")
    considered: int = Field(description="How many candidates were looked at.")
    possible: bool
    missing: str = Field(description="What one piece of kit would do, where nothing fits.")


def _writing(
    db: Database, coach: Coach, ladder_id: UUID, now: Now, if_match: str | None = None
) -> tuple[LadderRow, AthleteRow, Moment]:
    row = access.ladder(db, coach.id, ladder_id, roles=access.WRITE)
    changed = workshop.undoable(db, row)[0] or "how it is trained on"
    require_match(if_match, row.version, "ladder", changed)
    athlete = access.athlete(db, coach.id, row.athlete_id)
    return row, athlete, moment_for(athlete, now)


@router.post("/ladders/{ladder_id}/rungs", status_code=201)
def add_rung(ladder_id: UUID, body: NewRung, coach: Coach, db: Database, now: Now) -> RungName:
    """Put a rung between others; a bridge is taken rung by rung."""
    row, athlete, moment = _writing(db, coach, ladder_id, now)
    new = Node(body.id, body.core(row.purpose, row.level), body.why)  # type: ignore[arg-type]
    rung = workshop.add(db, row, athlete, new, tuple(body.after), tuple(body.before), moment)
    return RungName.model_validate(rung)


@router.put("/ladders/{ladder_id}/rungs/{rung_id}")
def change_rung(
    ladder_id: UUID,
    rung_id: UUID,
    body: PlainRung,
    coach: Coach,
    db: Database,
    now: Now,
    if_match: IfMatch = None,
) -> LadderSheet:
    """Change everything about a rung but its place. `If-Match` is the rung's `version`."""
    row, athlete, moment = _writing(db, coach, ladder_id, now)
    stands = ladder.rung_on(db, row.id, rung_id)
    require_match(if_match, stands.version, "rung", f"it is “{stands.name}” now")
    new = Node(rung_id, body.core(row.purpose, row.level), body.why)  # type: ignore[arg-type]
    note = f"changed “{new.rung.name}”"
    workshop.edit(db, row, athlete, lambda d: d.change(new), note, moment)
    return sheet_of(db, row, athlete, now)


@router.delete("/ladders/{ladder_id}/rungs/{rung_id}", status_code=204)
def remove_rung(ladder_id: UUID, rung_id: UUID, coach: Coach, db: Database, now: Now) -> None:
    """Take off a rung on which nobody has trained yet."""
    row, athlete, moment = _writing(db, coach, ladder_id, now)
    name = ladder.rung_on(db, row.id, rung_id).name
    workshop.edit(db, row, athlete, lambda d: d.remove(rung_id), f"took off “{name}”", moment)


@router.post("/ladders/{ladder_id}/rungs/{rung_id}/position")
def move_rung(
    ladder_id: UUID, rung_id: UUID, body: Position, coach: Coach, db: Database, now: Now
) -> LadderSheet:
    """Put a rung at another place in the order."""
    row, athlete, moment = _writing(db, coach, ladder_id, now)
    name = ladder.rung_on(db, row.id, rung_id).name
    place = body.position
    workshop.edit(db, row, athlete, lambda d: d.move(rung_id, place), f"moved “{name}”", moment)
    return sheet_of(db, row, athlete, now)


@router.post("/ladders/{ladder_id}/edges")
def edge(ladder_id: UUID, body: EdgeRequest, coach: Coach, db: Database, now: Now) -> LadderSheet:
    """Branch or join: let one step from a rung to another."""
    return _tied(ladder_id, body, coach, db, now, True)


@router.delete("/ladders/{ladder_id}/edges/{lower_id}/{upper_id}")
def untie(
    ladder_id: UUID, lower_id: UUID, upper_id: UUID, coach: Coach, db: Database, now: Now
) -> LadderSheet:
    """No longer step from a rung to another."""
    return _tied(
        ladder_id, EdgeRequest(lower_id=lower_id, upper_id=upper_id), coach, db, now, False
    )


def _tied(
    ladder_id: UUID, body: EdgeRequest, coach: Coach, db: Database, now: Now, on: bool
) -> LadderSheet:
    row, athlete, moment = _writing(db, coach, ladder_id, now)
    names = [ladder.rung_on(db, row.id, rung_id).name for rung_id in (body.lower_id, body.upper_id)]

    def how(drawing: LadderGraph) -> LadderGraph:
        edit = drawing.edge if on else drawing.untie
        return edit(body.lower_id, body.upper_id)

    note = f"{'tied' if on else 'untied'} “{names[0]}” and “{names[1]}”"
    workshop.edit(db, row, athlete, how, note, moment)
    return sheet_of(db, row, athlete, now)


@router.post("/ladders/{ladder_id}/undo")
def undo(
    ladder_id: UUID, coach: Coach, db: Database, now: Now, if_match: IfMatch = None
) -> LadderSheet:
    """Take back the last edit. `If-Match` is the ladder's `version`."""
    row, athlete, moment = _writing(db, coach, ladder_id, now, if_match)
    return sheet_of(db, workshop.undo(db, row, athlete, moment), athlete, now)


@router.post("/ladders/{ladder_id}/redo")
def redo(
    ladder_id: UUID, coach: Coach, db: Database, now: Now, if_match: IfMatch = None
) -> LadderSheet:
    """Do again what was undone last. `If-Match` is the ladder's `version`."""
    row, athlete, moment = _writing(db, coach, ladder_id, now, if_match)
    return sheet_of(db, workshop.redo(db, row, athlete, moment), athlete, now)


@router.put("/ladders/{ladder_id}/settings")
def set_terms(
    ladder_id: UUID,
    body: StepPolicyDocument,
    coach: Coach,
    db: Database,
    now: Now,
    if_match: IfMatch = None,
) -> LadderSheet:
    """What counts as a step and as a gap here, and in which order a coach likes to make one.
    `If-Match` is the ladder's `version`."""
    row, athlete, _ = _writing(db, coach, ladder_id, now, if_match)
    return sheet_of(db, workshop.set_step_policy(db, row, body.core()), athlete, now)


@router.get("/ladders/{ladder_id}/bridge")
def get_bridge(
    ladder_id: UUID, lower_id: UUID, upper_id: UUID, coach: Coach, db: Database, now: Now
) -> BridgeOut:
    """The rungs that close a step with the athlete's kit, in pencil: nothing is added yet."""
    row = access.ladder(db, coach.id, ladder_id)
    seen = seen_by(db, row, coach, now)
    lower = ladder.rung_on(db, row.id, lower_id).position
    upper = ladder.rung_on(db, row.id, upper_id).position
    bridge = workshop.bridge_between(db, seen, lower, upper, coach.id)
    return BridgeOut.of(
        bridge,
        lower_id=lower_id,
        upper_id=upper_id,
        rungs=[_proposed(rung, seen) for rung in bridge.rungs],
        last_ratio=bridge.last,
    )


def _proposed(proposed_rung: ProposedRung, seen: ladder.LadderView) -> ProposedRungOut:
    load = proposed_rung.demand.load
    known = seen.placement.lanes if seen.placement else {}
    here = known.get(proposed_rung.demand.lane) if proposed_rung.demand.lane else None
    expected = here.known.expected(load, proposed_rung.rung.modifiers.tempo) if here else None
    places = {"start": 0, "end": len(load.depths) - 1}
    return ProposedRungOut(
        **PlainRung.fields_of(proposed_rung.rung),
        demand=EstimateOut.model_validate(proposed_rung.demand.estimate),
        ratio=proposed_rung.ratio,
        distance=proposed_rung.distance,
        expected=EstimateOut.model_validate(expected) if expected else None,
        levers=list(proposed_rung.levers),
        because=proposed_rung.why,
        figures=[
            FigureOut.model_validate(figure(load, places[end]))
            for end in ends_of(proposed_rung.rung.movement.posture)
        ],
    )


@router.get("/ladders/{ladder_id}/rungs/{rung_id}/adjustments")
def get_ways(
    ladder_id: UUID,
    rung_id: UUID,
    coach: Coach,
    db: Database,
    now: Now,
    step_percent: Annotated[float, Query(description="More, or with a minus less; %.")] = 5.0,
) -> AdjustmentsOut:
    """What equals a step from this rung: kilos, centimetres or seconds, side by side."""
    row = access.ladder(db, coach.id, ladder_id)
    position = ladder.rung_on(db, row.id, rung_id).position
    seen = seen_by(db, row, coach, now)
    lane = seen.measured.demands[position].lane
    known = seen.placement.lanes.get(lane) if seen.placement and lane else None
    rung = seen.measured.rungs[position]
    adjustments = core.adjustments(
        body_of(seen.measure), rung, step_percent / 100, known.known if known else None
    )
    return AdjustmentsOut(
        rung_id=rung_id,
        step_percent=step_percent,
        ways=[
            AdjustmentOut.of(
                way.adjustable,
                adjustable=way.adjustable.name,
                now=way.now,
                to=Explained.model_validate(way.to) if way.to else None,
                demand=EstimateOut.model_validate(way.demand.estimate) if way.demand else None,
                expected=EstimateOut.model_validate(way.expected) if way.expected else None,
                rung=PlainRung(
                    **PlainRung.fields_of(core.changed(rung, way.adjustable.name, way.to.likely))
                )
                if way.to
                else None,
                unavailable_reason=way.unavailable_reason,
            )
            for way in adjustments
        ],
    )
