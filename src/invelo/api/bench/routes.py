"""Bench: what a set-up asks, two side by side, and what would make them equal."""

from functools import cache
from uuid import UUID

from fastapi import APIRouter

from invelo.api.bench.schemas import (
    AdjustableOut,
    AlongRep,
    BandAnswer,
    BandAnswers,
    BandPuzzle,
    Bench,
    DerivationRequest,
    DoneAt,
    FormOf,
    Forms,
    JointOut,
    KeptSetUp,
    LoadPuzzle,
    ParameterOf,
    Piece,
    Pieces,
    Preset,
    Puzzle,
    ReadingOf,
    Sheet,
    SolutionOut,
)
from invelo.api.common.context import Coach, Database, Now, moment_for
from invelo.api.common.drawing import FigureOut
from invelo.api.common.problems import ERRORS
from invelo.api.common.schemas import EstimateOut, Explained, RungName
from invelo.db import access
from invelo.db.queries import equipment_rows
from invelo.domain import MODEL_VERSION, estimate
from invelo.domain.bench import comparison
from invelo.domain.biomechanics.adjustable import adjustables
from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.figure import figures
from invelo.domain.biomechanics.posture.form import Form, form, forms
from invelo.domain.biomechanics.reading import Reading, reading
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.equipment.loads import pick
from invelo.domain.errors import InputError
from invelo.domain.ladder.rung import Rung
from invelo.domain.ladder.workshop import Node
from invelo.domain.plan.prescription import range_criterion, range_prescription
from invelo.domain.strength.predict import Known, alike
from invelo.domain.strength.tempo import Tempo
from invelo.formats.setups import SetUpRequest
from invelo.services.catalogue import own_movements
from invelo.services.equipment import bands
from invelo.services.ladder import workshop

router = APIRouter(prefix="/api", tags=["Bench"], responses=ERRORS)


@router.get("/bench/forms")
def get_forms(coach: Coach, db: Database) -> Forms:
    """Every family's posture, with what may be changed about it; the coach's own last."""
    own = (movement.posture for movement in own_movements.listed(db, coach.id))
    return Forms(forms=[*_forms(), *(_form(each) for each in own)])


@router.post("/bench")
def read_bench(body: Sheet, coach: Coach) -> Bench:
    """What one or two set-ups ask of a body, and how they compare."""
    whose = body.body.core()
    known, known_unavailable_reason = _known(whose, body.done)
    reading_of = _reading(whose, body.one, known, known_unavailable_reason)
    other = _second(whose, body.other, known, known_unavailable_reason) if body.other else None
    ratio, unavailable_reason = _ratio(whose, body.one, body.other)
    return Bench(
        one=reading_of,
        other=other,
        ratio=EstimateOut.model_validate(ratio) if ratio else None,
        ratio_unavailable_reason=unavailable_reason,
        done=_task(body.done.setup).words if body.done else "",
        model_version=MODEL_VERSION,
    )


@router.post("/bench/account")
def account(body: DerivationRequest, coach: Coach) -> Explained:
    """How a figure of the sheet came about."""
    return Explained.model_validate(_figure(body))


@router.post("/bench/solution")
def solve(body: Puzzle, coach: Coach) -> SolutionOut:
    """Where one dial meets the aim."""
    whose, task, aim = body.body.core(), _task(body.task), body.aim
    if aim.model is not None:
        solution = comparison.as_hard_as(
            whose, task, body.adjustable, _task(aim.model), aim.step_percent / 100
        )
    elif aim.count is not None and body.done is not None:
        solution = comparison.for_count(
            Known(whose, body.done.core()), task, body.adjustable, aim.count
        )
    else:
        raise InputError(
            "aim",
            "there is nothing to aim at.",
            "Give a set-up to equal, or a count with what was done.",
        )
    return SolutionOut.of(
        solution.adjustable,
        adjustable=solution.adjustable.name,
        now=solution.now,
        to=Explained.model_validate(solution.to) if solution.to else None,
        setup=_travels(solution.task) if solution.task else None,
        unavailable_reason=solution.unavailable_reason,
    )


@router.post("/bench/bands")
def which_band(body: BandPuzzle, coach: Coach, db: Database) -> BandAnswers:
    """Which of the coach's bands is enough, and how high it must hang."""
    known = Known(body.body.core(), body.done.core())
    task = _task(body.task)
    curves = ((row.name, bands.curve(row)) for row in equipment_rows.bands(db, coach.id))
    choices = comparison.bands_for(known, task, body.count, comparison.both_ways(curves), body.at)
    return BandAnswers(
        assistance=Explained.model_validate(comparison.least_assistance(known, task, body.count)),
        bands=[
            BandAnswer.of(
                choice,
                anchor=Explained.model_validate(choice.anchor) if choice.anchor else None,
                pull=Explained.model_validate(choice.pull) if choice.pull else None,
                expected=Explained.model_validate(choice.expected) if choice.expected else None,
                setup=_travels(choice.task) if choice.task else None,
            )
            for choice in choices
        ],
    )


@router.post("/bench/pieces")
def make_load(body: LoadPuzzle, coach: Coach) -> Pieces:
    """Which things make a load, in the fewest pieces."""
    things = tuple(thing_at.core() for thing_at in body.things)
    picked = pick(things, body.target_kg, body.tolerance_kg, body.limit_kg)
    return Pieces(
        pieces=[Piece.of(thing, count=n) for thing, n in picked.pieces],
        kg=picked.kg,
        off_kg=picked.off,
    )


@router.post("/ladders/{ladder_id}/set-ups", status_code=201)
def keep_set_up(ladder_id: UUID, body: KeptSetUp, coach: Coach, db: Database, now: Now) -> RungName:
    """Keep a set-up as a rung, where its demand belongs."""
    row = access.ladder(db, coach.id, ladder_id, roles=access.WRITE)
    athlete = access.athlete(db, coach.id, row.athlete_id)
    movement = catalogue().movement_of(body.setup.movement, row.family)
    prescription = range_prescription(row.purpose, row.level, movement.unit)  # type: ignore[arg-type]
    rung = Rung(
        body.name.strip(),
        movement,
        body.setup.changes(),
        prescription,
        range_criterion(prescription),
    )
    moment = moment_for(athlete, now)
    kept = workshop.add_where_it_belongs(db, row, athlete, Node(body.id, rung), moment)
    return RungName.model_validate(kept)


@cache
def _forms() -> tuple[FormOf, ...]:
    return tuple(_form(form) for form in forms().values() if not form.pose)


def _form(form: Form) -> FormOf:
    return FormOf.of(
        form,
        measure=form.limiting,
        ends=list(form.ends),
        parameters=[ParameterOf.model_validate(each) for each in form.parameter],
        adjustables=[AdjustableOut.model_validate(each) for each in adjustables(form)],
        presets=[Preset(name=name, values=values) for name, values in form.preset.items()],
        loads=list(form.loads),
        keeps=list(catalogue().families_with(form.id)) or [form.family],
        compares=[other.id for other in forms().values() if alike(form, other)],
    )


def _task(setup: SetUpRequest) -> comparison.LeverageTask:
    form(setup.movement)
    return comparison.LeverageTask(setup.movement, setup.changes())


def _travels(task: comparison.LeverageTask) -> SetUpRequest:
    return SetUpRequest.from_core(task.setup, task.changes.tempo)


def _known(body: Body, done: DoneAt | None) -> tuple[Known | None, str]:
    """What was done as capacity, or why it says nothing."""
    if done is None:
        return None, "Say what was done, in reps or seconds."
    try:
        known = Known(body, done.core())
        known.greatest  # noqa: B018  (a count out of range is told here)
    except InputError as error:
        raise InputError(f"done, {error.field}", error.problem, error.remedy) from error
    return known, ""


def _second(
    body: Body, setup: SetUpRequest, known: Known | None, unavailable_reason: str
) -> ReadingOf:
    try:
        return _reading(body, setup, known, unavailable_reason)
    except InputError as error:
        raise InputError(f"second set-up, {error.field}", error.problem, error.remedy) from error


def _reading(
    body: Body, setup: SetUpRequest, known: Known | None, unavailable_reason: str
) -> ReadingOf:
    read = reading(body, setup.core())
    tempo = Tempo.parse(setup.tempo)
    expected: estimate.Estimate | None = None
    if known is not None:
        try:
            expected = known.expected(read, tempo)
        except InputError as error:
            unavailable_reason = error.problem
    return ReadingOf.of(
        read,
        movement=read.setup.movement,
        words=_task(setup).words,
        demand=EstimateOut.model_validate(read.demand),
        share=EstimateOut.model_validate(read.share),
        along=[
            AlongRep.of(
                along,
                carried=read.carried_at(place),
                joints=[JointOut.model_validate(joint) for joint in read.joints[place]],
            )
            for place, along in enumerate(read.along)
        ],
        peak_depth=read.peak.depth,
        work=EstimateOut.model_validate(read.work),
        rep_time_s=tempo.rep_time,
        overhang=EstimateOut.model_validate(read.overhang),
        torques={
            name: EstimateOut.model_validate(estimate) for name, estimate in read.torques.items()
        },
        forces={
            name: EstimateOut.model_validate(estimate) for name, estimate in read.forces.items()
        },
        expected=EstimateOut.model_validate(expected) if expected else None,
        expected_unavailable_reason="" if expected else unavailable_reason,
        figures=[FigureOut.model_validate(figure) for figure in figures(read)],
    )


def _ratio(
    body: Body, set_up_request: SetUpRequest, other: SetUpRequest | None
) -> tuple[estimate.Estimate | None, str]:
    if other is None:
        return None, ""
    try:
        return comparison.against(body, _task(set_up_request), _task(other)), ""
    except InputError as error:
        return None, error.problem


def _figure(asked: DerivationRequest) -> estimate.Estimate:
    body = asked.body.core()
    known, _ = _known(body, asked.done)
    if asked.which == "ratio" and asked.other is not None:
        return comparison.against(body, _task(asked.one), _task(asked.other))
    if asked.which == "capacity" and known is not None:
        return known.greatest
    setup = asked.other if asked.which == "other" else asked.one
    if setup is None:
        raise InputError("which", "there is no second set-up.", "Ask for the first.")
    read = reading(body, setup.core())
    if asked.figure == "expected" and known is not None:
        return known.expected(read, Tempo.parse(setup.tempo))
    return _of(read, asked.figure)


def _of(read: Reading, name: str) -> estimate.Estimate:
    kind, _, part = name.partition(".")
    plain: dict[str, estimate.Estimate] = {
        "demand": read.demand,
        "share": read.share,
        "work": read.work,
        "overhang": read.overhang,
        "start": read.at_start,
        "peak": read.peak.demand,
        "end": read.at_end,
    }
    parts = {"torque": read.torques, "force": read.forces}.get(kind, {})
    quantity = plain.get(name) or parts.get(part)
    if quantity is None:
        raise InputError("figure", f"“{name}” is not on the sheet.", "Use one that is shown.")
    return quantity
