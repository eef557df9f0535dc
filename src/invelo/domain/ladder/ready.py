"""A ready ladder as it is drawn for a body: what fits it, with the prescriptions of a method."""

from collections.abc import Sequence
from uuid import uuid4

from invelo.domain.biomechanics.body import Body
from invelo.domain.catalogue.catalogue import ReadyLadder
from invelo.domain.ladder.rung import Rung, demand, unfit
from invelo.domain.ladder.workshop import LadderGraph, Node
from invelo.domain.plan.methods import criterion_for, prescription_for
from invelo.domain.plan.prescription import Level, Method, Purpose

LESS = 0.98
"""Share of the demand below under which a rung is no step up (ours: less than anybody feels)."""


def drawn(
    ready: ReadyLadder,
    body: Body,
    purpose: Purpose,
    level: Level,
    method: Method = "double_progression",
) -> LadderGraph:
    """A ready ladder as it is drawn for a body, a method and a purpose: each rung with that
    prescription and criterion, heights that are no real thing's as shares of this body's. What it
    cannot do as it is set up is left out."""
    rungs = []
    for ready_rung in ready.rungs:
        modifiers = ready_rung.modifiers(body.stature, body.mass)
        rep_time = modifiers.tempo.rep_time
        prescription = prescription_for(
            method, purpose, level, ready_rung.of.unit, rep_time=rep_time
        )
        rung = Rung(
            ready_rung.name,
            ready_rung.of,
            modifiers,
            prescription,
            criterion_for(method, prescription),
        )
        rungs.append(Node(uuid4(), rung, ready_rung.why))
    left = _climbing(body, ready, rungs)
    edges = [
        (rungs[low].id, node.id)
        for i, node in enumerate(rungs)
        if left[i]
        for low in _below(ready, left, i)
    ]
    kept = tuple(node for node, stays in zip(rungs, left, strict=True) if stays)
    return LadderGraph(kept, tuple(sorted(edges)))


def _below(ready: ReadyLadder, left: Sequence[bool], index: int) -> set[int]:
    """The rungs below one that are left, through those that are not."""
    lower_rungs: set[int] = set()
    for low in ready.lower(index):
        lower_rungs |= {low} if left[low] else _below(ready, left, low)
    return lower_rungs


def _climbing(body: Body, ready: ReadyLadder, nodes: Sequence[Node]) -> list[bool]:
    """Which rungs of a ready ladder are of use to a body: those it can do, and that ask no less
    than one before them, where the catalogue does not say why they stand there."""
    demands = [demand(body, node.rung) for node in nodes]
    left: list[bool] = []
    for i, node in enumerate(nodes):
        before = [
            demands[low].height
            for low in _below(ready, left, i)
            if demands[low].lane == demands[i].lane is not None
        ]
        easier = bool(before) and not node.why and demands[i].height < LESS * max(before)
        left.append(not unfit(body, node.rung) and not easier)
    return left
