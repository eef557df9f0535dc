"""Ladders as they are answered."""

from invelo.api.common.context import Coach, Database, Now, moment_for
from invelo.api.common.drawing import figure_of
from invelo.api.common.schemas import (
    BodyMeasurementOut,
    EstimateOut,
    Explained,
    criterion_of,
    prescription_of,
)
from invelo.api.ladder.schemas import (
    LadderSheet,
    Lane,
    Phases,
    PlacementOut,
    RungOut,
    RungSheet,
    StepOut,
    ends_of,
    faults_of,
)
from invelo.db import access
from invelo.db.tables.athlete import AthleteRow
from invelo.db.tables.ladder import LadderRow, RungRow
from invelo.domain import MODEL_VERSION
from invelo.domain.athlete.caution import STANDING, cautions_of
from invelo.domain.catalogue.catalogue import CATALOGUE_VERSION
from invelo.domain.catalogue.movement import STRESS
from invelo.formats.ladder.shapes import StepPolicyDocument
from invelo.formats.setups import Changes
from invelo.services.ladder import ladder, workshop


def seen_by(db: Database, row: LadderRow, coach: Coach, now: Now) -> ladder.LadderView:
    """A ladder as it stands for its athlete now."""
    athlete = access.athlete(db, coach.id, row.athlete_id)
    return ladder.view(db, row, athlete, moment_for(athlete, now).local_date)


def sheet_of(db: Database, row: LadderRow, athlete: AthleteRow, now: Now) -> LadderSheet:
    """A ladder drawn to scale for its athlete now."""
    return _sheet(db, ladder.view(db, row, athlete, moment_for(athlete, now).local_date))


def _sheet(db: Database, seen: ladder.LadderView) -> LadderSheet:
    row = seen.row
    undo, redo = workshop.undoable(db, row)
    return LadderSheet.of(
        row,
        athlete_id=seen.athlete.id,
        athlete_name=seen.athlete.name,
        lanes=_lanes(seen),
        settings=StepPolicyDocument.of(seen.measured.policy),
        current_rung_id=seen.rungs[seen.current].id,
        measure=BodyMeasurementOut.model_validate(seen.measure),
        rungs=[_rung(seen, i) for i in range(len(seen.rungs))],
        steps=[
            StepOut.of(
                step,
                lower_id=seen.rungs[step.lower].id,
                upper_id=seen.rungs[step.upper].id,
                ratio=EstimateOut.model_validate(step.ratio) if step.ratio else None,
                above=EstimateOut.model_validate(step.above) if step.above else None,
            )
            for step in seen.measured.steps
        ],
        placement=_standing(seen),
        undo=undo,
        redo=redo,
        revision=ladder.revision(db, row),
        version=row.version,
        model_version=MODEL_VERSION,
        catalogue_version=CATALOGUE_VERSION,
    )


def _lanes(seen: ladder.LadderView) -> list[Lane]:
    known = seen.placement.lanes if seen.placement else {}
    lanes = []
    for lane in seen.measured.lanes:
        i = next(i for i, demand in enumerate(seen.measured.demands) if demand.lane == lane)
        here = known.get(lane)
        lanes.append(
            Lane(
                measure_words=seen.measured.demands[i].load.measure,
                unit=seen.measured.demands[i].load.unit,
                counted=seen.measured.rungs[i].prescription.unit,
                reach=Explained.model_validate(here.reach) if here else None,
                capacity=Explained.model_validate(here.capacity) if here else None,
            )
        )
    return lanes


def _standing(seen: ladder.LadderView) -> PlacementOut | None:
    placement = seen.placement
    if placement is None:
        return None
    return PlacementOut.of(
        placement,
        rung_id=seen.rungs[placement.index].id,
        low_rung_id=seen.rungs[placement.low_index].id,
        high_rung_id=seen.rungs[placement.high_index].id,
        reach=Explained.model_validate(placement.reach),
        capacity=Explained.model_validate(placement.capacity),
        evidence_day=placement.known.nearest.day,
        evidence_kind=placement.known.nearest.kind,
    )


def _rung(seen: ladder.LadderView, index: int) -> RungOut:
    row: RungRow = seen.rungs[index]
    demand = seen.measured.demands[index]
    weighed = demand.on_scale is not None
    expected = seen.placement.predictions[index] if seen.placement else None
    return RungOut.of(
        row,
        **Changes.as_sent(seen.measured.rungs[index].modifiers),
        prescription=prescription_of(row),
        criterion=criterion_of(row),
        closed=seen.closed[index],
        lane=seen.measured.lanes.index(demand.lane) if demand.lane else None,
        demand=EstimateOut.model_validate(demand.on_scale) if weighed else None,
        load=EstimateOut.model_validate(demand.load.demand) if weighed else None,
        share=EstimateOut.model_validate(demand.load.share) if weighed else None,
        expected=EstimateOut.model_validate(expected) if expected else None,
        figure=figure_of(seen, index, "start"),
    )


def _rung_sheet(seen: ladder.LadderView, index: int) -> RungSheet:
    demand = seen.measured.demands[index]
    movement = seen.measured.rungs[index].movement
    load, weighed = demand.load, demand.on_scale is not None
    expected = seen.placement.predictions[index] if seen.placement else None
    return RungSheet(
        id=seen.rungs[index].id,
        name=seen.rungs[index].name,
        movement_name=movement.name,
        rpe_only=movement.rpe_only,
        prime=list(movement.prime),
        cues=list(movement.cues),
        faults=faults_of(movement),
        cautions=[*cautions_of(movement, seen.measured.rungs[index].modifiers), STANDING],
        limits_of_figure=list(movement.limits_of_figure),
        stress=[f"{joint}: {STRESS[much]}" for joint, much in movement.stress.items()],
        demand=Explained.model_validate(demand.on_scale) if weighed else None,
        share=Explained.model_validate(load.share) if weighed else None,
        work=Explained.model_validate(load.work) if weighed else None,
        rep_time_s=demand.rep_time,
        phases=Phases(
            top=Explained.model_validate(load.at_start),
            middle=Explained.model_validate(load.midway),
            bottom=Explained.model_validate(load.at_end),
        )
        if weighed
        else None,
        expected=Explained.model_validate(expected) if expected else None,
        figures=[figure_of(seen, index, end) for end in ends_of(movement.posture)],
    )
