"""What changes next on a ladder, and why.

Rules are data: an id, a plain sentence and a source. `decide` asks them in a fixed order (safety,
then fatigue, then form, then the school), and the proposal it returns names every rule that spoke
with the figures it saw. Nothing is applied here; a coach takes, edits or declines.
"""

from collections.abc import Callable
from dataclasses import dataclass
from itertools import pairwise
from typing import Literal

from invelo.core.dose import Purpose, Unit
from invelo.core.estimate import Estimate, Input
from invelo.core.log import PAIN_STOP, SessionRecord, SetRecord
from invelo.core.rules import RULES, Rule
from invelo.core.rung import Rung
from invelo.core.terms import USUAL_TERMS, Terms

Outcome = Literal["stop", "step-back", "hold", "step-up"]
Confidence = Literal["high", "medium", "low"]

FOOT_EFFORT = 9.5
"""Effort that is too much at the foot of the range (common practice)."""

BRIDGES: dict[Unit, str] = {
    "reps": "slower reps or a smaller change of height",
    "s": "a shape between the two or some help",
    "cm": "a shorter jump, landed still",
}
MORE: dict[Unit, str] = {"reps": "rep", "s": "second or two", "cm": "few centimetres"}

RISING_SESSIONS = 3
"""Sessions over which growing pain counts as rising (common practice)."""


@dataclass(frozen=True)
class Neighbour:
    """A rung beside the current one, and what this athlete likely does there, if known."""

    key: str
    rung: Rung
    prediction: Estimate | None


@dataclass(frozen=True)
class Situation:
    """All that a decision on one ladder looks at.

    Attributes:
        key: of the rung the athlete stands on.
        rung: that rung.
        below, above: its neighbours, None at the ends.
        sessions: of this ladder, oldest first.
        purpose: what the training is for.
        terms: what counts as a gap.
    """

    key: str
    rung: Rung
    below: Neighbour | None
    above: Neighbour | None
    sessions: tuple[SessionRecord, ...]
    purpose: Purpose
    terms: Terms = USUAL_TERMS


@dataclass(frozen=True)
class Proposal:
    """A decision put to the coach.

    Attributes:
        outcome: what to do.
        to: key of the rung to stand on next; the current one for a hold or a stop.
        reason: one or two plain sentences.
        figures: what the rules saw.
        rules: the rules that spoke, in the order they did.
        confidence: how sure the proposal is, with `confidence_why` in words.
        confidence_why: what the confidence rests on.
    """

    outcome: Outcome
    to: str
    reason: str
    figures: tuple[Input, ...]
    rules: tuple[Rule, ...]
    confidence: Confidence
    confidence_why: str


def meets_gate(session: SessionRecord, key: str, rung: Rung) -> bool:
    """Whether a session showed the gate: enough sets, each with its reps, effort and form."""
    done = session.on(key)
    return len(done) >= rung.gate.sets and all(
        s.least >= rung.gate.amount and s.effort <= rung.gate.effort and s.clean for s in done
    )


def gate_run(situation: Situation) -> int:
    """How many of the newest sessions in a row showed the gate."""
    run = 0
    for session in reversed(situation.sessions):
        if not meets_gate(session, situation.key, situation.rung):
            break
        run += 1
    return run


def decide(situation: Situation) -> Proposal:
    """The proposal for one ladder after its newest session.

    Source: rule by rule in `RULES`.
    """
    for ask in _ORDER:
        proposal = ask(situation)
        if proposal is not None:
            return proposal
    return _building(situation)


def _rules(*ids: str) -> tuple[Rule, ...]:
    return tuple(RULES[rule_id] for rule_id in ids)


def _last(situation: Situation) -> tuple[SetRecord, ...]:
    return situation.sessions[-1].on(situation.key) if situation.sessions else ()


def _pain(situation: Situation) -> Proposal | None:
    by_session = [session.pain_by_place() for session in situation.sessions]
    if not by_session or not by_session[-1]:
        return None
    place, worst = max(by_session[-1].items(), key=lambda item: item[1])
    rising = [
        place
        for place in by_session[-1]
        if len(by_session) >= RISING_SESSIONS
        and _grows([pains.get(place, 0) for pains in by_session[-RISING_SESSIONS:]])
    ]
    rules = ["pain.stop"] * (worst >= PAIN_STOP) + ["pain.rising"] * bool(rising)
    if not rules:
        return None
    told = place if worst >= PAIN_STOP else rising[0]
    course = [pains.get(told, 0) for pains in by_session[-RISING_SESSIONS:]]
    return Proposal(
        outcome="stop",
        to=situation.key,
        reason=(
            f"Pain at the {told} reached {by_session[-1][told]} of 10"
            + (f" after {' → '.join(map(str, course))}" if told in rising else "")
            + ". Stop this movement, offer pain-free ones of the same region, and see a clinician "
            "before it returns."
        ),
        figures=(
            Input(f"pain at the {told}, last sessions", " → ".join(map(str, course)), "of 10"),
            Input("movement ends at", PAIN_STOP, "of 10"),
        ),
        rules=_rules(*rules),
        confidence="high",
        confidence_why="Safety speaks first and needs no further evidence.",
    )


def _grows(values: list[int]) -> bool:
    return all(a < b for a, b in pairwise(values))


def _too_hard(situation: Situation) -> Proposal | None:
    foot, unit = situation.rung.dose.low, situation.rung.dose.unit
    last = _last(situation)
    at_foot = [s for s in last if s.amount <= foot and s.effort >= FOOT_EFFORT]
    recent = [session.on(situation.key) for session in situation.sessions[-2:]]
    missed = [sets for sets in recent if any(s.amount < foot for s in sets)]
    rules = ["range.missed-twice"] * (len(missed) == 2) + ["effort.foot"] * bool(at_foot)
    if not rules:
        return None
    figures = (
        *_set_figures(last),
        Input("foot of the range", foot, unit),
        Input("sessions running with a set under it", len(missed), "of 2"),
    )
    hard = (
        f"A set at or under {foot} {unit} took effort {max(s.effort for s in at_foot):g}."
        if at_foot
        else f"A set fell under {foot} {unit} on two sessions running."
    )
    below = situation.below
    if below is None:
        return Proposal(
            "hold",
            situation.key,
            hard + " There is no easier rung: add one below, or take fewer sessions a week.",
            figures,
            _rules(*rules, "ladder.foot"),
            "medium",
            "The sets are plain; the remedy is the coach's to build.",
        )
    told = below.prediction
    there = f", where {_count(told)} are likely" if told else ""
    return Proposal(
        "step-back",
        below.key,
        f"{hard} Step back to “{below.rung.name}”{there}.",
        (*figures, _prediction("on the easier rung", told)) if told else figures,
        _rules(*rules),
        "high" if len(rules) == 2 else "medium",
        "Both signs agree." if len(rules) == 2 else "One of two signs spoke.",
    )


def _form(situation: Situation) -> Proposal | None:
    last = _last(situation)
    lost = [i + 1 for i, s in enumerate(last) if not s.clean]
    if not lost:
        return None
    return Proposal(
        "hold",
        situation.key,
        f"Form went in set {', '.join(map(str, lost))}. Stay on this rung until every set is "
        "clean; take the easier rung the moment form goes.",
        _set_figures(last),
        _rules("form.first"),
        "high",
        "Form was judged on the spot.",
    )


def _school(situation: Situation) -> Proposal | None:
    gate, run = situation.rung.gate, gate_run(situation)
    if run == 0:
        return None
    figures = (
        *_set_figures(_last(situation)),
        Input(
            "gate", f"{gate.sets} × {gate.amount} {gate.unit} at effort {gate.effort:g} or under"
        ),
        Input("sessions running that met it", run, f"of {gate.sessions}"),
    )
    if situation.purpose == "keep":
        return Proposal(
            "hold",
            situation.key,
            "The gate is met and the purpose is to keep: stay, this is success.",
            figures,
            _rules("range.gate-met", "purpose.keep"),
            "high",
            "The purpose is the coach's own.",
        )
    if run < gate.sessions:
        return None
    above = situation.above
    if above is None:
        return Proposal(
            "hold",
            situation.key,
            "The last rung's gate is met: the goal is reached. Keep it, or lengthen the ladder.",
            figures,
            _rules("range.gate-met", "ladder.top"),
            "high",
            "Every set and session asked for was shown.",
        )
    met = (
        f"{gate.sets} × {gate.amount} {gate.unit} clean at effort {gate.effort:g} or under, "
        f"{run} sessions running."
    )
    unit = above.rung.dose.unit
    if above.prediction is None:
        return Proposal(
            "step-up",
            above.key,
            f"{met} What is likely on “{above.rung.name}” is not known: learn it in a few easy "
            "ones.",
            figures,
            _rules("range.gate-met", "step.by-effort"),
            "medium",
            "The gate is plain; nothing tested says what the next rung allows.",
        )
    figures = (*figures, _prediction("on the next rung", above.prediction))
    if above.prediction.likely < situation.terms.least(unit):
        return Proposal(
            "hold",
            situation.key,
            f"{met} But “{above.rung.name}” likely allows only {_count(above.prediction)}: bridge "
            f"the gap first, with {BRIDGES[unit]}.",
            (*figures, Input("least useful dose", situation.terms.least(unit), unit)),
            _rules("range.gate-met", "step.gap-ahead"),
            "medium",
            "The gate is plain; the next rung's count is a prediction.",
        )
    foot = above.rung.dose.low
    sure = above.prediction.low >= foot
    likely = above.prediction.likely >= foot
    return Proposal(
        "step-up",
        above.key,
        f"{met} On “{above.rung.name}” {_count(above.prediction)} are likely.",
        figures,
        _rules("range.gate-met"),
        "high" if sure else "medium" if likely else "low",
        f"The next rung's range starts at {foot} {unit}; its predicted low end is "
        f"{above.prediction.low:.0f}, its likely count {above.prediction.likely:.0f}.",
    )


def _building(situation: Situation) -> Proposal:
    last, gate = _last(situation), situation.rung.gate
    if not last:
        return Proposal(
            "hold",
            situation.key,
            "Nothing is logged on this rung yet: run it once before judging it.",
            (),
            _rules("log.none"),
            "low",
            "There is no evidence on this rung.",
        )
    run = gate_run(situation)
    at_top = sum(s.least >= gate.amount and s.effort <= gate.effort for s in last)
    reason = (
        f"The gate was met on {run} of {gate.sessions} sessions. Show it once more."
        if run
        else f"{at_top} of {gate.sets} sets met {gate.amount} {gate.unit} at effort "
        f"{gate.effort:g} or under. Stay, and add a {MORE[gate.unit]} where a set allows it."
    )
    return Proposal(
        "hold",
        situation.key,
        reason,
        (
            *_set_figures(last),
            Input(
                "gate",
                f"{gate.sets} × {gate.amount} {gate.unit} at effort {gate.effort:g} or under",
            ),
            Input("sessions running that met it", run, f"of {gate.sessions}"),
        ),
        _rules("range.building"),
        "high",
        "The gate is a plain count.",
    )


_ORDER: tuple[Callable[[Situation], Proposal | None], ...] = (_pain, _too_hard, _form, _school)


def _set_figures(sets: tuple[SetRecord, ...]) -> tuple[Input, ...]:
    return tuple(
        Input(f"set {i + 1}", f"{s.amount:g} {s.unit} at effort {s.effort:g}")
        for i, s in enumerate(sets)
    )


def _count(prediction: Estimate) -> str:
    if prediction.unit == "s":
        return f"{prediction.likely:.0f} s ({prediction.low:.0f}–{prediction.high:.0f})"
    if prediction.likely > 30:
        return "30+ reps"
    return f"{prediction.likely:.0f} reps ({prediction.low:.0f}–{min(prediction.high, 30):.0f})"


def _prediction(where: str, prediction: Estimate) -> Input:
    return Input(f"predicted to failure {where}", _count(prediction))
