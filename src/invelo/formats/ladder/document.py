"""A ladder as a file: JSON with a published schema, read with every fault and its place."""

import json
from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from itertools import pairwise
from typing import Any
from uuid import UUID, uuid4

from pydantic import ValidationError

from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.reading import reading
from invelo.domain.catalogue.own import OwnMovement
from invelo.domain.errors import InputError
from invelo.domain.ladder.rung import Rung, demand
from invelo.domain.ladder.step_policy import StepPolicy
from invelo.domain.ladder.workshop import LadderGraph, Node
from invelo.domain.plan.prescription import (
    Level,
    Purpose,
)
from invelo.formats.json_file import FileFault, fault_at, shape_faults
from invelo.formats.ladder.shapes import (
    FORMAT,
    MOST_BYTES,
    VERSION,
    LadderFile,
    PlainRung,
    RungOf,
    StepPolicyDocument,
)
from invelo.formats.own_movement import FileMovement, brought, keyed


@dataclass(frozen=True)
class Read:
    """A ladder file that was read: the ladder if it is without fault, and the faults if not; and
    the movements of somebody's own that it brings, by the id they have here."""

    file: LadderFile | None
    drawing: LadderGraph | None
    faults: tuple[FileFault, ...]
    own: tuple[tuple[str, OwnMovement], ...] = ()


def write(
    drawing: LadderGraph, goal: str, purpose: Purpose, level: Level, policy: StepPolicy
) -> dict[str, Any]:
    """A ladder as its file says it, with the movements of the coach's own that it stands on."""
    tags = {node.id: f"r{i + 1}" for i, node in enumerate(drawing.rungs)}
    own = keyed(node.rung.movement for node in drawing.rungs)
    rungs = [
        RungOf(
            id=tags[node.id],
            **_named(PlainRung.fields_of(node.rung, node.why), own),
            after=_after(drawing, i, tags),
        )
        for i, node in enumerate(drawing.rungs)
    ]
    return LadderFile(
        format=FORMAT,
        version=VERSION,
        goal=goal,
        purpose=purpose,
        level=level,
        settings=StepPolicyDocument.of(policy),
        rungs=rungs,
        movements=[FileMovement.keyed(*pair) for pair in own.values()] or None,
    ).model_dump(mode="json", exclude_none=True)


def _named(fields: dict[str, Any], own: Mapping[str, tuple[str, OwnMovement]]) -> dict[str, Any]:
    """A rung's fields, its movement by its tag where it is the coach's own."""
    tag, _ = own.get(fields["movement"], (fields["movement"], None))
    return {**fields, "movement": tag}


def _after(drawing: LadderGraph, place: int, tags: Mapping[UUID, str]) -> list[str] | None:
    below = drawing.below(drawing.rungs[place].id)
    before = (drawing.rungs[place - 1].id,) if place else ()
    return None if below == before else sorted((tags[node] for node in below), key=_number)


def _number(tag: str) -> int:
    return int(tag[1:])


def read(text: str | bytes, body: Body | None = None, owner: str = "") -> Read:
    """Read a ladder file, with every fault there is.

    Args:
        text: of the file.
        body: whose reach the rungs must lie in, if anyone's.
        owner: whose movements those become that it brings.
    """
    if len(text) > MOST_BYTES:
        problem = f"it is over {MOST_BYTES // 1024} KiB."
        return _faulty(
            [FileFault(place="file", problem=problem, remedy="Send one ladder at a time.")]
        )
    try:
        document = json.loads(text)
    except (json.JSONDecodeError, UnicodeDecodeError) as error:
        where = f"line {error.lineno}" if isinstance(error, json.JSONDecodeError) else "file"
        return _faulty([FileFault(place=where, problem="it is not JSON.", remedy="Mend it there.")])
    return check(document, body, owner)


def check(document: Any, body: Body | None = None, owner: str = "") -> Read:
    """Read a ladder from what JSON holds, with every fault there is; see `read`."""
    if isinstance(document, dict):
        version = document.get("version")
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
        file = LadderFile.model_validate(document)
    except ValidationError as error:
        remedy = "Give what the schema allows; `./invelo ladder --schema` prints it."
        return _faulty(shape_faults(error, "file", remedy))
    return _drawn(file, body, owner)


def _faulty(faults: Iterable[FileFault]) -> Read:
    return Read(None, None, tuple(faults))


def _drawn(file: LadderFile, body: Body | None, owner: str) -> Read:
    """The drawing of a file whose shape is right."""
    faults: list[FileFault] = []

    def note(place: str, error: InputError) -> None:
        faults.append(fault_at(place, error))

    try:
        file.settings.core()
    except InputError as error:
        note("settings", error)
    own = brought(file.movements or (), owner, note)
    ids = {tag: own_id for tag, (own_id, _) in own.items()}
    tags: dict[str, UUID] = {}
    rungs: list[Node | None] = []
    for i, rung in enumerate(file.rungs):
        place = f"rungs[{i}]"
        if rung.id in tags:
            taken = InputError("id", f"“{rung.id}” is taken.", "Give each rung a tag of its own.")
            note(place, taken)
        tags.setdefault(rung.id, uuid4())
        here = rung.model_copy(update={"movement": ids.get(rung.movement, rung.movement)})
        rungs.append(_rung(here, file, body, place, note, tags[rung.id]))
    edges = _edges(file, tags, note)
    whole = [node for node in rungs if node is not None]
    if not faults:
        try:
            return Read(file, LadderGraph(tuple(whole), edges), (), tuple(own.values()))
        except InputError as error:
            note("rungs", error)
    return _faulty(faults)


def _rung(
    rung_of: RungOf, file: LadderFile, body: Body | None, place: str, note: Any, rung_id: UUID
) -> Node | None:
    try:
        rung = rung_of.core(file.purpose, file.level)
        if body is not None:
            reading(body, rung.modifiers.setup(rung.movement))
    except InputError as error:
        note(place, error)
        return None
    return Node(rung_id, rung, rung_of.why)


def _edges(file: LadderFile, tags: Mapping[str, UUID], note: Any) -> tuple[tuple[UUID, UUID], ...]:
    places = {rung.id: i for i, rung in enumerate(file.rungs)}
    edges = set()
    for below, rung_of in pairwise([None, *file.rungs]):
        assert rung_of is not None  # noqa: S101
        for tag in rung_of.after if rung_of.after is not None else [below.id] if below else []:
            where = f"rungs[{places[rung_of.id]}]"
            if tag not in tags:
                unknown = InputError("after", f"“{tag}” is no rung of this file.", "Name one.")
                note(where, unknown)
            elif places[tag] >= places[rung_of.id]:
                loop = InputError(
                    "after",
                    f"“{rung_of.id}” comes after “{tag}”, "
                    "which stands above it or is itself: a loop.",
                    "List the lower rung first.",
                )
                note(where, loop)
            else:
                edges.add((tags[tag], tags[rung_of.id]))
    return tuple(sorted(edges))


def demand_words(body: Body, rung: Rung) -> str:
    """What a rung asks of a body, in words."""
    estimate = demand(body, rung).on_scale
    return f"{estimate.likely:.1f} {estimate.unit}" if estimate else "by effort"
