"""A ladder as a file: JSON with a published schema, read with every fault and its place."""

import json
from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from itertools import pairwise
from typing import Any, Literal
from uuid import UUID, uuid4

from pydantic import BaseModel, Field, ValidationError

from invelo.domain.biomechanics.body import Body
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Movement
from invelo.domain.errors import InputError
from invelo.domain.ladder.ladder import MOST_RUNGS
from invelo.domain.ladder.rung import Rung, demand
from invelo.domain.ladder.step_policy import LEVERS, WANTED_STEP, Lever, StepPolicy
from invelo.domain.ladder.workshop import LadderGraph, Node
from invelo.domain.plan import prescription
from invelo.domain.plan.prescription import (
    Level,
    Purpose,
    Unit,
    range_criterion,
    range_prescription,
)
from invelo.domain.strict import StrictModel
from invelo.formats.setups import Changes

FORMAT = "invelo-ladder"
VERSION = 1
MOST_BYTES = 256 * 1024
"""Of a ladder file (ours): sixty rungs take a third of it."""


class PrescriptionDocument(StrictModel):
    """What one session asks on a rung."""

    sets: int = Field(examples=[3])
    low: int = Field(description="The range's foot, in `unit`.", examples=[6])
    high: int = Field(description="The range's top.", examples=[10])
    unit: Unit
    rest_s: int = Field(120, description="Seconds between sets.")
    effort: float = Field(9.0, description="Target, 1–10.")

    def core(self) -> prescription.Prescription:
        """As the domain computes with it."""
        return prescription.Prescription(
            self.sets, self.low, self.high, self.rest_s, self.effort, self.unit
        )


class CriterionDocument(StrictModel):
    """What is shown before moving up, in the dose's unit."""

    sets: int = Field(examples=[3])
    amount: int = Field(description="In every set.", examples=[10])
    effort: float = Field(prescription.GATE_EFFORT, description="Highest effort allowed.")
    sessions: int = Field(prescription.GATE_SESSIONS, description="Sessions running.")

    def core(self, unit: Unit) -> prescription.Criterion:
        """As the domain computes with it."""
        return prescription.Criterion(self.sets, self.amount, self.effort, self.sessions, unit)


class StepPolicyDocument(StrictModel):
    """What counts as a step."""

    least_reps: float = Field(
        prescription.LEAST_USEFUL["reps"], description="Fewest useful reps above."
    )
    least_seconds: float = Field(
        prescription.LEAST_USEFUL["s"], description="Shortest useful hold above."
    )
    step_percent: float = Field(100 * WANTED_STEP, description="Wanted step, % of the demand.")
    order: list[Lever] = Field(list(LEVERS), description="Kinds of change, the dearest first.")

    def core(self) -> StepPolicy:
        """As the domain computes with them.

        Raises:
            InputError: for a value out of range, or a kind that is missing.
        """
        return StepPolicy(
            self.least_reps, self.least_seconds, self.step_percent / 100, tuple(self.order)
        )

    @classmethod
    def of(cls, terms: StepPolicy) -> "StepPolicyDocument":
        """As they travel."""
        return cls(
            least_reps=terms.reps,
            least_seconds=terms.seconds,
            step_percent=round(100 * terms.step, 6),
            order=list(terms.order),
        )


class PlainRung(Changes):
    """A rung by itself: a movement, what is changed about it, and what it asks."""

    name: str = Field(min_length=1, max_length=120, examples=["Floor push-up"])
    movement: str = Field(
        description="Id in the catalogue, or a name that means only one.", examples=["push-up"]
    )
    dose: PrescriptionDocument | None = Field(
        None, description="The purpose's and level's own if left out."
    )
    gate: CriterionDocument | None = Field(
        None, description="The top of the dose's range if left out."
    )
    why: str = Field("", max_length=300, description="Why it stands here, if not by demand.")

    def core(self, purpose: Purpose, level: Level) -> Rung:
        """As the domain computes with it.

        Raises:
            InputError: for no such movement, or what its form does not know.
        """
        movement = movement_named(self.movement)
        dose = self.dose.core() if self.dose else range_prescription(purpose, level, movement.unit)
        if dose.unit != movement.unit:
            raise InputError(
                "dose.unit",
                f"the {movement.name.lower()} is counted in {movement.unit}, not {dose.unit}.",
                f"Give its dose in {movement.unit}.",
            )
        gate = self.gate.core(dose.unit) if self.gate else range_criterion(dose)
        modifiers = movement.own(self.modifiers())
        modifiers.setup(movement)  # refuses what the form does not know
        return Rung(self.name.strip(), movement, modifiers, dose, gate)

    @classmethod
    def fields_of(cls, rung: Rung, why: str = "") -> dict[str, Any]:
        """Its fields as they travel."""
        dose, gate = rung.dose, rung.gate
        return {
            "name": rung.name,
            "movement": rung.movement.id,
            **Changes.of(rung.modifiers),
            "dose": PrescriptionDocument(
                sets=dose.sets,
                low=dose.low,
                high=dose.high,
                unit=dose.unit,
                rest_s=dose.rest,
                effort=dose.effort,
            ),
            "gate": CriterionDocument(
                sets=gate.sets, amount=gate.amount, effort=gate.effort, sessions=gate.sessions
            ),
            "why": why,
        }


class RungOf(PlainRung):
    """A rung of a ladder file."""

    id: str = Field(description="Its tag in this file.", examples=["r1"])
    after: list[str] | None = Field(
        None,
        description="Tags of the rungs one steps here from; the one before if left out, none for "
        "another foot.",
    )


class LadderFile(StrictModel):
    """A ladder."""

    format: Literal["invelo-ladder"]
    version: int = Field(description=f"{VERSION} for now.", examples=[VERSION])
    goal: str = Field(min_length=1, max_length=120, examples=["Floor push-up"])
    purpose: Purpose = "strength"
    level: Level = "beginner"
    terms: StepPolicyDocument = Field(default_factory=StepPolicyDocument)
    rungs: list[RungOf] = Field(min_length=1, max_length=MOST_RUNGS)


class FileFault(BaseModel):
    """Something wrong with a file, and where."""

    place: str = Field(examples=["rungs[2].values.hand_height"])
    problem: str
    remedy: str


@dataclass(frozen=True)
class Read:
    """A ladder file that was read: the ladder if it is without fault, and the faults if not."""

    file: LadderFile | None
    drawing: LadderGraph | None
    faults: tuple[FileFault, ...]


def schema() -> dict[str, Any]:
    """The published JSON Schema."""
    return {
        "$schema": "https://json-schema.org/draft/2020-12/schema",
        **LadderFile.model_json_schema(),
    }


def movement_named(name: str) -> Movement:
    """A movement by its id, or by a name that means only one.

    Raises:
        InputError: if there is none, or the name means several.
    """
    known = {one.id: one for one in catalogue().movement}
    if name in known:
        return known[name]
    called = catalogue().called(name)
    if len(called) == 1:
        return called[0]
    if called:
        told = " or ".join(f"“{one.id}” ({one.posture.name.lower()})" for one in called)
        raise InputError("movement", f"“{name}” means {len(called)} things.", f"Write {told}.")
    return catalogue().find_movement(name)


def write(
    drawing: LadderGraph, goal: str, purpose: Purpose, level: Level, terms: StepPolicy
) -> dict[str, Any]:
    """A ladder as its file says it."""
    tags = {one.id: f"r{i + 1}" for i, one in enumerate(drawing.rungs)}
    rungs = [
        RungOf(
            id=tags[one.id],
            **PlainRung.fields_of(one.rung, one.why),
            after=_after(drawing, i, tags),
        )
        for i, one in enumerate(drawing.rungs)
    ]
    return LadderFile(
        format=FORMAT,
        version=VERSION,
        goal=goal,
        purpose=purpose,
        level=level,
        terms=StepPolicyDocument.of(terms),
        rungs=rungs,
    ).model_dump(mode="json", exclude_none=True)


def _after(drawing: LadderGraph, place: int, tags: Mapping[UUID, str]) -> list[str] | None:
    below = drawing.below(drawing.rungs[place].id)
    before = (drawing.rungs[place - 1].id,) if place else ()
    return None if below == before else sorted((tags[one] for one in below), key=_number)


def _number(tag: str) -> int:
    return int(tag[1:])


def read(text: str | bytes, body: Body | None = None) -> Read:
    """Read a ladder file, with every fault there is.

    Args:
        text: of the file.
        body: whose reach the rungs must lie in, if anyone's.
    """
    if len(text) > MOST_BYTES:
        told = f"it is over {MOST_BYTES // 1024} KiB."
        return _faulty([FileFault(place="file", problem=told, remedy="Send one ladder at a time.")])
    try:
        found = json.loads(text)
    except (json.JSONDecodeError, UnicodeDecodeError) as error:
        where = f"line {error.lineno}" if isinstance(error, json.JSONDecodeError) else "file"
        return _faulty([FileFault(place=where, problem="it is not JSON.", remedy="Mend it there.")])
    return check(found, body)


def check(found: Any, body: Body | None = None) -> Read:
    """Read a ladder from what JSON holds, with every fault there is."""
    if isinstance(found, dict):
        version = found.get("version")
        if isinstance(version, int) and version > VERSION:
            return _faulty(
                [
                    FileFault(
                        place="version",
                        problem=f"it is {version}; this reads up to {VERSION}.",
                        remedy="Export it again from where it came, for an earlier version.",
                    )
                ]
            )
    try:
        file = LadderFile.model_validate(found)
    except ValidationError as error:
        return _faulty([_said(one) for one in error.errors()])
    return _drawn(file, body)


def _faulty(faults: Iterable[FileFault]) -> Read:
    return Read(None, None, tuple(faults))


def _said(error: Any) -> FileFault:
    return FileFault(
        place=place_of(error["loc"]) or "file",
        problem=f"{error['msg'].rstrip('.')}.",
        remedy="Give what the schema allows; `./invelo ladder --schema` prints it.",
    )


def place_of(loc: Iterable[str | int]) -> str:
    """Where something is in JSON: `rungs[2].dose.low`."""
    told = ""
    for part in loc:
        told += f"[{part}]" if isinstance(part, int) else f".{part}" if told else str(part)
    return told


def _drawn(file: LadderFile, body: Body | None) -> Read:
    """The drawing of a file whose shape is right."""
    faults: list[FileFault] = []

    def note(place: str, error: InputError) -> None:
        field = error.field.replace(" ", "_")
        faults.append(
            FileFault(
                place=f"{place}.{field}".strip("."), problem=error.problem, remedy=error.remedy
            )
        )

    try:
        file.terms.core()
    except InputError as error:
        note("terms", error)
    tags: dict[str, UUID] = {}
    rungs: list[Node | None] = []
    for i, one in enumerate(file.rungs):
        place = f"rungs[{i}]"
        if one.id in tags:
            taken = InputError("id", f"“{one.id}” is taken.", "Give each rung a tag of its own.")
            note(place, taken)
        tags.setdefault(one.id, uuid4())
        rungs.append(_rung(one, file, body, place, note, tags[one.id]))
    ties = _ties(file, tags, note)
    whole = [one for one in rungs if one is not None]
    if not faults:
        try:
            return Read(file, LadderGraph(tuple(whole), ties), ())
        except InputError as error:
            note("rungs", error)
    return _faulty(faults)


def _rung(
    one: RungOf, file: LadderFile, body: Body | None, place: str, note: Any, rung_id: UUID
) -> Node | None:
    try:
        rung = one.core(file.purpose, file.level)
        if body is not None:
            demand(body, rung)
    except InputError as error:
        note(place, error)
        return None
    return Node(rung_id, rung, one.why)


def _ties(file: LadderFile, tags: Mapping[str, UUID], note: Any) -> tuple[tuple[UUID, UUID], ...]:
    places = {one.id: i for i, one in enumerate(file.rungs)}
    found = set()
    for below, one in pairwise([None, *file.rungs]):
        assert one is not None  # noqa: S101
        for tag in one.after if one.after is not None else [below.id] if below else []:
            where = f"rungs[{places[one.id]}]"
            if tag not in tags:
                unknown = InputError("after", f"“{tag}” is no rung of this file.", "Name one.")
                note(where, unknown)
            elif places[tag] >= places[one.id]:
                loop = InputError(
                    "after",
                    f"“{one.id}” comes after “{tag}”, which stands above it or is itself: a loop.",
                    "List the lower rung first.",
                )
                note(where, loop)
            else:
                found.add((tags[tag], tags[one.id]))
    return tuple(sorted(found))


def as_text(told: Any) -> str:
    """JSON as files have it."""
    return json.dumps(told, indent=2, ensure_ascii=False) + "\n"


def demand_words(body: Body, rung: Rung) -> str:
    """What a rung asks of a body, in words."""
    told = demand(body, rung).on_scale
    return f"{told.likely:.1f} {told.unit}" if told else "by effort"
