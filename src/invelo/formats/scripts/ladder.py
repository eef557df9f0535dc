"""`./invelo ladder`: a ladder, a body, tests and kit to demands, steps, gaps and bridges."""

from collections.abc import Callable, Mapping
from datetime import date
from functools import partial
from typing import Any

from pydantic import BaseModel, ConfigDict, Field, ValidationError

from invelo.domain import MODEL_VERSION
from invelo.domain.biomechanics.posture.form import Lane
from invelo.domain.equipment.kit import Kind, KitItem, Room, SafetyCheck, ToHand, to_hand
from invelo.domain.errors import InputError
from invelo.domain.estimate import Estimate
from invelo.domain.ladder.bridge import Bridge, bridge
from invelo.domain.ladder.ladder import MeasuredLadder, measure
from invelo.domain.plan.prescription import amount_in
from invelo.domain.strength.capacity import Evidence, evidence, groups_of, pool
from invelo.domain.strict import ResponseModel, StrictModel, renamed
from invelo.domain.training.amount import AmountDone, told_as
from invelo.formats.json_file import FileFault, fault_at, shape_faults
from invelo.formats.ladder import document as ladder_document
from invelo.formats.ladder.shapes import (
    LadderFile,
    PlainRung,
    StepPolicyDocument,
    movement_named,
)
from invelo.formats.scripts.movements import Range
from invelo.formats.setups import BandRequest, BodyRequest, Changes

TODAY = date(2000, 1, 1)
"""A script's kit is taken to be checked: its day is of no matter."""


class ItemOf(StrictModel):
    """A thing to set up with, taken to be safe."""

    kind: Kind
    name: str = ""
    height_m: float | None = Field(None, examples=[0.45])
    kg: float | None = Field(None, description="Of one piece, or what a bag holds.")
    count: int = 1

    def core(self) -> KitItem:
        """As the domain reasons about it."""
        name = self.name or self.kind
        return KitItem(
            self.kind, name, self.height_m, self.kg, self.count, check=SafetyCheck(TODAY, True, "")
        )


class BandOf(BandRequest):
    """A measured band."""

    name: str = "band"


class TestOf(Changes, AmountDone):
    """A best set or a longest hold."""

    model_config = ConfigDict(json_schema_extra=told_as("reps", "seconds"))

    movement: str = Field(examples=["push-up"])
    rpe: float = 10.0
    day: date | None = None

    def core(self, body: BodyRequest) -> Evidence:
        """As evidence.

        Raises:
            InputError: for what cannot be.
        """
        movement = movement_named(self.movement)
        amount = amount_in(movement.name, movement.unit, self.amount, self.unit)
        return evidence(
            self.day or TODAY,
            "test",
            body.core(),
            movement,
            movement.own(self.modifiers()),
            amount,
            self.rpe,
        )


class LadderRequest(StrictModel):
    """A ladder and whose it is. Without kit, usual heights and a bag are taken to be there."""

    body: BodyRequest
    ladder: dict[str, Any] = Field(description="A ladder file.")
    tests: list[TestOf] = Field(default_factory=list)
    kit: list[ItemOf] | None = None
    bands: list[BandOf] = Field(default_factory=list)
    settings: StepPolicyDocument | None = Field(
        validation_alias=renamed("settings", "terms"),
        default=None,
        description="In place of the file's own.",
    )


class RungAnswer(BaseModel):
    """What a rung asks."""

    name: str
    movement: str
    limiting_measure: str | None = Field(description="None where effort alone tells.")
    unit: str | None
    demand: Range | None
    share: Range | None = Field(description="Of body weight, or of body weight × stature.")
    expected: Range | None = Field(description="Reps or seconds, where a test tells.")
    expected_unit: str
    unavailable_reason: str = Field(description="Why this body cannot do it; '' where it can.")


class ProposedAnswer(PlainRung):
    """A rung of a bridge."""

    demand: float
    ratio: float
    because: str


class BridgeAnswer(ResponseModel):
    """What closes a gap."""

    possible: bool
    rungs: list[ProposedAnswer]
    considered: int
    missing: str


class StepAnswer(BaseModel):
    """From one rung to the next."""

    lower: str
    upper: str
    ratio: Range | None = Field(description="None across measures and where effort alone tells.")
    above: Range | None = Field(
        description="Likely above for whoever just meets the lower criterion."
    )
    gap: bool
    easier: bool
    bridge: BridgeAnswer | None = Field(None, description="Of a gap.")


class LadderAnswer(BaseModel):
    """A ladder measured for a body."""

    goal: str
    rungs: list[RungAnswer]
    steps: list[StepAnswer]
    model_version: str


class FaultyError(Exception):
    """A request with faults.

    Attributes:
        faults: every one, with its place.
    """

    def __init__(self, faults: tuple[FileFault, ...]) -> None:
        """Keep the faults."""
        super().__init__(f"{len(faults)} faults")
        self.faults = faults


def schema() -> dict[str, Any]:
    """The JSON Schema of the input, the ladder file's included."""
    request = LadderRequest.model_json_schema()
    ladder = LadderFile.model_json_schema()
    definitions = {**request.pop("$defs", {}), **ladder.pop("$defs", {}), "LadderFile": ladder}
    request["properties"]["ladder"] = {"$ref": "#/$defs/LadderFile"}
    return {
        "$schema": "https://json-schema.org/draft/2020-12/schema",
        **request,
        "$defs": definitions,
    }


def answer(document: Any) -> LadderAnswer:
    """Answer a request.

    Raises:
        FaultyError: naming every fault and its place.
    """
    try:
        request = LadderRequest.model_validate(document)
    except ValidationError as error:
        remedy = "Give what the schema printed by --schema allows."
        raise FaultyError(shape_faults(error, "input", remedy)) from error
    parts = _Parts()
    body = parts.make("body", request.body.core)
    read = ladder_document.check(request.ladder, body)
    parts.faults += [
        fault.model_copy(update={"place": f"ladder.{fault.place}"}) for fault in read.faults
    ]
    known = [
        parts.make(f"tests[{i}]", partial(test_of.core, request.body))
        for i, test_of in enumerate(request.tests)
    ]
    bands = [
        (band_of.name, parts.make(f"bands[{i}]", band_of.core))
        for i, band_of in enumerate(request.bands)
    ]
    items = [parts.make(f"kit[{i}]", item_of.core) for i, item_of in enumerate(request.kit or [])]
    settings = parts.make("settings", request.settings.core) if request.settings else None
    if parts.faults or read.drawing is None or read.file is None:
        raise FaultyError(tuple(parts.faults))
    if bands:
        items.append(KitItem("band", "band", check=SafetyCheck(TODAY, True, "")))
    rooms = () if request.kit is None else (Room("here", "gripping", tuple(items)),)
    drawing = read.drawing
    measured = measure(
        body,
        tuple(node.rung for node in drawing.rungs),
        drawing.links,
        settings or read.file.settings.core(),
    )
    return _answer(read.file.goal, measured, tuple(known), to_hand(rooms, TODAY, tuple(bands)))


class _Parts:
    """Parts of a request as the domain computes with them, and what is wrong with them."""

    def __init__(self) -> None:
        self.faults: list[FileFault] = []

    def make(self, place: str, how: Callable[[], Any]) -> Any:
        """A part; None with its fault kept if it cannot be."""
        try:
            return how()
        except InputError as error:
            self.faults.append(fault_at(place, error))
            return None


def _answer(
    goal: str,
    measured: MeasuredLadder,
    known: tuple[Evidence, ...],
    hand: ToHand,
) -> LadderAnswer:
    pools = {lane: pool(those) for lane, those in groups_of(known).items()}
    rungs = []
    for rung, demand in zip(measured.rungs, measured.demands, strict=True):
        here = pools.get(demand.lane) if demand.lane else None
        expected = here.expected(demand.load, rung.modifiers.tempo) if here else None
        rungs.append(
            RungAnswer(
                name=rung.name,
                movement=rung.movement.id,
                limiting_measure=demand.load.measure if demand.on_scale else None,
                unit=demand.load.unit if demand.on_scale else None,
                demand=_range(demand.on_scale),
                share=_range(demand.load.share) if demand.on_scale else None,
                expected=_range(expected),
                expected_unit=rung.prescription.unit,
                unavailable_reason=demand.refused,
            )
        )
    capacity = {lane: pool.greatest.likely for lane, pool in pools.items()}
    steps = [
        StepAnswer(
            lower=measured.rungs[step.lower].name,
            upper=measured.rungs[step.upper].name,
            ratio=_range(step.ratio),
            above=_range(step.above),
            gap=step.gap,
            easier=step.easier,
            bridge=_bridged(measured, step.lower, step.upper, hand, capacity) if step.gap else None,
        )
        for step in measured.steps
    ]
    return LadderAnswer(goal=goal, rungs=rungs, steps=steps, model_version=MODEL_VERSION)


def _bridged(
    measured: MeasuredLadder, lower: int, upper: int, hand: ToHand, capacity: Mapping[Lane, float]
) -> BridgeAnswer:
    bridged: Bridge = bridge(
        measured.demands[lower].load.body,
        measured.rungs[lower],
        measured.rungs[upper],
        hand,
        measured.policy,
        capacity,
    )
    return BridgeAnswer.of(
        bridged,
        rungs=[
            ProposedAnswer(
                **PlainRung.fields_of(proposed_rung.rung),
                demand=proposed_rung.demand.height,
                ratio=proposed_rung.ratio,
                because=proposed_rung.why,
            )
            for proposed_rung in bridged.rungs
        ],
    )


def _range(figure: Estimate | None) -> Range | None:
    return Range.of(figure) if figure else None
