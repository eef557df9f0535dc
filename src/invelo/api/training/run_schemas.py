"""What a device takes along, as it is answered: sessions second by second, prescriptions and
paths."""

from collections.abc import Iterable
from dataclasses import asdict
from datetime import date, datetime
from uuid import UUID

from pydantic import Field

from invelo.api.common.drawing import FigureOut, PointOut
from invelo.api.common.schemas import EstimateOut
from invelo.domain.biomechanics.body import Body
from invelo.domain.catalogue.movement import Modifiers, Movement
from invelo.domain.ladder.rung import rises
from invelo.domain.plan.prescription import Counted, Unit
from invelo.domain.plan.session.needed import needed
from invelo.domain.plan.session.timeline import length
from invelo.domain.plan.session.words import block_words, in_turn_words, range_words
from invelo.domain.plan.session.work import Item, WorkSet
from invelo.domain.strict import ResponseModel
from invelo.domain.training.log import OneSide, SetKind
from invelo.domain.training.run import Choice, Path, PhaseName, RunItem, Way, path, phases
from invelo.services.training.run import DayRun, OfflineBundle


class RepPhase(ResponseModel):
    """A part of a rep: from one depth to another in so many seconds."""

    name: PhaseName
    seconds: float
    start: float
    end: float


class RepPath(ResponseModel):
    """How a body moves in a rep: the joint that travels farthest, and both ends."""

    joint: str
    points: list[PointOut] = Field(description="At depths from 0 to 1 in equal steps, m.")
    start: FigureOut
    end: FigureOut


class Doing(ResponseModel):
    """What is done in a set; the log sends it back as it is."""

    name: str
    rung_id: UUID | None
    movement: str
    changes: Modifiers
    unit: Unit
    tempo: str
    rep_time_s: float
    phases: list[RepPhase]
    path: str = Field(description="Its key among the paths; '' where there is none.")


class RunSet(ResponseModel):
    """A set to be done."""

    what: Doing
    low: int
    high: int
    rpe: float
    rest: float
    kind: SetKind
    side: OneSide
    open_end: bool = Field(description="Whether it goes on to its end, whatever the top.")
    sides: int = Field(description="Turns it takes: once for each side, or once.")
    counted: Counted | None = Field(None, description="As the movement is, if left out.")
    number: int | None = Field(
        None, description="As it is logged; pieces of one broken hold share theirs."
    )
    in_turn: str = Field(
        "", description="A movement done in turn with it, rep by rep, as the log is to tell it."
    )
    note: str = Field("", description="Of the range and of turns, in words.")
    cues: list[str] = Field(
        default_factory=list, description="Its own, where it is another movement than its item."
    )


class RunChoice(ResponseModel):
    """A rung that a set may be done on instead, with its prescription there."""

    way: Way
    what: Doing
    low: int
    high: int
    rpe: float
    rest: float
    likely: EstimateOut | None


class FaultOut(ResponseModel):
    """Something to see in a rep, and what to do about it."""

    name: str
    remedy: str


class RunItemSheet(ResponseModel):
    """A movement of a session."""

    key: str
    name: str
    goal: str
    counted: Counted
    loads: dict[str, int] = Field(description="Places that bear it: 1 light, 2 moderate, 3 hard.")
    muscles: list[str] = Field(description="Where it is to be felt, the most first.")
    cues: list[str]
    notes: list[str] = Field(description="The coach's own, for this athlete.")
    depth: list[str]
    faults: list[FaultOut]
    rig: str
    why: str
    last: str = Field(description="What was done the last time, in words.")
    first_side: OneSide = Field(description="The side to begin with: the weaker.")
    sets: list[RunSet]
    choices: list[RunChoice]


class RunEvent(ResponseModel):
    """Something that takes time."""

    kind: str
    seconds: float
    item: str
    set: int
    side: int
    block: int


class RunBlock(ResponseModel):
    """Items done together in one format."""

    format: str
    words: str
    clocked: bool = Field(description="Whether a clock says when each turn begins and ends.")
    rounds: int
    items: list[str] = Field(description="Their keys.")


class RunSheet(ResponseModel):
    """A session to be run."""

    id: UUID | None = Field(description="None: the device makes one.")
    name: str
    day: date | None
    ladder_id: UUID | None
    done: bool = Field(False, description="Whether it was finished today.")
    adapted: bool
    closed: list[str]
    needed: list[str] = Field(
        default_factory=list, description="What to fetch first: things with their size, loads."
    )
    cautions: list[str]
    notes: list[str]
    minutes: EstimateOut
    blocks: list[RunBlock]
    items: list[RunItemSheet]
    events: list[RunEvent]


class Stopped(ResponseModel):
    """A ladder that pain stopped."""

    goal: str
    why: str


class OfflineBundleOut(ResponseModel):
    """Everything that a device keeps, to run sessions with the network gone."""

    athlete_id: UUID
    athlete_name: str
    today: date
    time_zone: str
    server_time: datetime = Field(description="To check the device's clock by.")
    pain_stop: int
    most: dict[str, float] = Field(description="The most that can be logged, by unit.")
    regions: list[str] = Field(description="Where a set may be felt.")
    places: list[str] = Field(description="Where it may hurt.")
    alarms: list[str] = Field(description="Signs with which nobody trains.")
    kinds: list[str] = Field(description="Kinds of things the plan counts on.")
    stop: str = Field(description="Why nobody trains today; '' where they may.")
    checked_in: bool
    stopped: list[Stopped]
    shut: list[str] = Field(description="Why a ladder has nothing to do today.")
    sessions: list[RunSheet]
    single: list[RunSheet]
    paths: dict[str, RepPath]


class Paths:
    """The paths that sets name, each once."""

    def __init__(self, body: Body, rungs: dict[tuple[str, str], UUID]) -> None:
        """None yet."""
        self.body, self.rungs = body, rungs
        self.found: dict[str, RepPath] = {}
        self._keys: dict[tuple[str, Modifiers], str] = {}

    def doing(self, name: str, item: str, movement: Movement, modifiers: Modifiers) -> Doing:
        """What is done in a set."""
        tempo = modifiers.tempo
        up = rises(self.body, movement, modifiers)
        return Doing(
            name=name,
            rung_id=self.rungs.get((ladder_key(item), name)),
            movement=movement.id,
            changes=modifiers,
            unit=movement.unit,
            tempo=str(tempo),
            rep_time_s=tempo.rep_time,
            phases=[RepPhase.model_validate(phase) for phase in phases(movement, modifiers, up)],
            path=self._key(movement, modifiers),
        )

    def _key(self, movement: Movement, modifiers: Modifiers) -> str:
        still = (movement.id, modifiers)
        if still not in self._keys:
            traced = path(self.body, movement, modifiers)
            self._keys[still] = self._named(traced) if traced is not None else ""
        return self._keys[still]

    def _named(self, path: Path) -> str:
        rep_path = RepPath.model_validate(asdict(path))
        for key, other in self.found.items():
            if other == rep_path:
                return key
        key = f"p{len(self.found)}"
        self.found[key] = rep_path
        return key


def ladder_key(item: str) -> str:
    """The ladder an item of a session stands on; what warms up for one stands on it too."""
    return item.removeprefix("warm-up:").split("/")[0]


def run_set(work_set: WorkSet, number: int, item: Item, paths: Paths) -> RunSet:
    """A set to be done."""
    other = work_set.movement is not item.movement or work_set.in_turn is not None
    note = f"{range_words(work_set)}{in_turn_words(work_set)}".removeprefix(", ")
    return RunSet.of(
        work_set,
        number=number,
        in_turn=work_set.in_turn.id if work_set.in_turn else "",
        what=paths.doing(work_set.name, item.key, work_set.movement, work_set.modifiers),
        cues=[cue for movement, _, _ in work_set.parts for cue in movement.cues] if other else [],
        note=note if work_set.unit == "reps" else "",
    )


def run_choice(choice: Choice, item: str, paths: Paths) -> RunChoice:
    """A rung that a set may be done on."""
    return RunChoice.of(
        choice,
        what=paths.doing(choice.rung.name, item, choice.rung.movement, choice.rung.modifiers),
        likely=EstimateOut.model_validate(choice.likely) if choice.likely else None,
    )


def run_item(
    run_item: RunItem, paths: Paths, own: Iterable[str], last: str, first: OneSide
) -> RunItemSheet:
    """A movement of a session."""
    item = run_item.item
    movement = item.movement
    return RunItemSheet.of(
        item,
        counted=movement.counted,
        loads=dict(movement.stress),
        muscles=list(movement.muscles),
        cues=list(movement.cues),
        notes=list(own),
        depth=list(movement.depth),
        faults=[FaultOut.of(fault) for fault in movement.fault],
        rig=item.rig.words,
        last=last,
        first_side=first,
        sets=[run_set(*each, item, paths) for each in zip(item.sets, item.numbers, strict=True)],
        choices=[run_choice(each, item.key, paths) for each in run_item.choices],
    )


def run_sheet(run: DayRun, items: list[RunItemSheet]) -> RunSheet:
    """A session to be run."""
    session = run.run.session
    return RunSheet.of(
        run,
        ladder_id=run.ladder,
        closed=list(run.closed),
        needed=list(needed(session)),
        cautions=list(run.cautions),
        notes=list(session.notes),
        minutes=EstimateOut.model_validate(length(session)),
        blocks=[
            RunBlock.of(
                block,
                words=block_words(block),
                clocked=block.window is not None,
                items=[item.key for item in block.items],
            )
            for block in session.blocks
        ],
        items=items,
        events=[RunEvent.model_validate(event) for event in run.run.events],
    )


def kinds_of(took: OfflineBundle) -> list[str]:
    """Kinds of things that the sessions count on."""
    kinds = {
        kind
        for day in (*took.planned, *took.single)
        for item in day.run.session.items
        for kind in item.movement.kit
    }
    return sorted(kinds)
