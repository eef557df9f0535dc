"""Small sessions as a device takes them along, in the API's own shapes."""

from typing import Any
from uuid import UUID

from invelo.api.common.schemas import EstimateOut
from invelo.api.training.run_schemas import (
    Doing,
    FaultOut,
    RepPhase,
    RunBlock,
    RunChoice,
    RunEvent,
    RunItemSheet,
    RunSet,
    RunSheet,
)
from invelo.domain.plan.prescription import Unit

ATHLETE = "00000000-0000-0000-0000-00000000000a"
SESSION = "00000000-0000-0000-0000-00000000000b"
LADDER = UUID(int=12)
COUNT_IN, CHANGE, REST = 5.0, 10.0, 90.0
PHASES = [
    RepPhase(name="lower", seconds=2, start=0, end=1),
    RepPhase(name="press", seconds=1, start=1, end=0),
]
"""A rep of three seconds."""


def doing(name: str, unit: Unit = "reps", number: int = 1) -> Doing:
    return Doing(
        name=name,
        rung_id=UUID(int=number),
        movement="push-up",
        changes={},
        unit=unit,
        tempo="2 0 1 0",
        rep_time_s=3,
        phases=PHASES if unit == "reps" else [],
        path="",
    )


def item(
    key: str,
    sets: int = 3,
    *,
    unit: Unit = "reps",
    sides: int = 1,
    first: str = "",
    loads: dict[str, int] | None = None,
    **change: Any,
) -> RunItemSheet:
    """A movement with so many sets alike and three rungs to do them on."""
    what = doing(key, unit)
    asked = {"low": 8, "high": 12, "rpe": 8.0, "rest": REST, "open_end": False}
    one = {"what": what, "kind": "work", "side": "", "sides": sides, **asked, **change}
    choice = {**asked, "likely": None}
    return RunItemSheet(
        key=key,
        name=key,
        goal="",
        counted="per side" if sides == 2 else "total",
        loads=loads or {},
        muscles=["chest"],
        cues=[],
        notes=[],
        depth=[],
        faults=[FaultOut(name="hips sag", remedy="brace")],
        rig="",
        why="",
        last="",
        first_side=first,
        sets=[RunSet(**one) for _ in range(sets)],
        choices=[
            RunChoice(way="harder", what=doing(f"{key}, harder", unit, 3), **choice),
            RunChoice(way="here", what=what, **choice),
            RunChoice(
                way="easier", what=doing(f"{key}, easier", unit, 2), **{**choice, "high": 15}
            ),
        ],
    )


def in_turn(*items: RunItemSheet) -> dict[str, Any]:
    """One block an item: count in, work (twice with a change where there are sides), rest."""
    events: list[RunEvent] = []
    for block, one in enumerate(items):
        for number, each in enumerate(one.sets):
            at = {"item": one.key, "set": number, "block": block}
            events.append(RunEvent(kind="count in", seconds=COUNT_IN, side=0, **at))
            for side in (1, 2) if each.sides == 2 else (0,):
                if side == 2:
                    events.append(RunEvent(kind="change sides", seconds=CHANGE, side=0, **at))
                events.append(RunEvent(kind="work", seconds=30, side=side, **at))
            events.append(RunEvent(kind="rest", seconds=REST, side=0, **at))
    events.pop()  # nothing is rested for
    return sheet(list(items), [_block(one) for one in items], events)


def warmed_up(*items: RunItemSheet, first: int = 2) -> dict[str, Any]:
    """The same, the first of them one block that warms up."""
    made = in_turn(*items)
    keys = [one.key for one in items[:first]]
    warm_up = {**made["blocks"][0], "format": "warm-up", "items": keys}
    events = [
        {**event, "block": 0 if event["block"] < first else event["block"] - first + 1}
        for event in made["events"]
    ]
    return {**made, "blocks": [warm_up, *made["blocks"][first:]], "events": events}


def by_the_clock(*items: RunItemSheet, work: float = 20, rest: float = 10) -> dict[str, Any]:
    """One interval block: every turn begins and ends by the clock."""
    events = []
    for number in range(len(items[0].sets)):
        for one in items:
            at = {"item": one.key, "set": number, "block": 0, "side": 0}
            events.append(RunEvent(kind="work", seconds=work, **at))
            events.append(RunEvent(kind="rest", seconds=rest, **at))
    keys = [one.key for one in items]
    block = RunBlock(
        format="interval", words="", clocked=True, rounds=len(items[0].sets), items=keys
    )
    return sheet(list(items), [block], events)


def _block(one: RunItemSheet) -> RunBlock:
    return RunBlock(
        format="straight sets", words="", clocked=False, rounds=len(one.sets), items=[one.key]
    )


def sheet(
    items: list[RunItemSheet], blocks: list[RunBlock], events: list[RunEvent]
) -> dict[str, Any]:
    return RunSheet(
        id=None,
        name="Monday",
        day=None,
        ladder_id=LADDER,
        adapted=False,
        closed=[],
        cautions=[],
        notes=[],
        minutes=EstimateOut(likely=30, low=25, high=40, unit="min"),
        blocks=blocks,
        items=items,
        events=events,
    ).model_dump(mode="json")
