"""The rules of the judgement as data: an id, a plain sentence, a source."""

from dataclasses import dataclass


@dataclass(frozen=True)
class Rule:
    """A rule of the judgement, in words a coach can argue with."""

    id: str
    sentence: str
    source: str


RULES: dict[str, Rule] = {
    rule.id: rule
    for rule in (
        Rule(
            "pain.stop",
            "Pain of 4 or more of 10 ends the movement; a clinician is asked before it returns.",
            "common practice",
        ),
        Rule(
            "pain.rising",
            "Pain that grows over three sessions ends the movement before it gets worse.",
            "common practice",
        ),
        Rule(
            "range.missed-twice",
            "A set under the foot of the range on two sessions running: the rung is too hard.",
            "common practice",
        ),
        Rule(
            "effort.foot",
            "Effort of 9.5 or more at the foot of the range: the rung is too hard today.",
            "common practice",
        ),
        Rule(
            "ladder.foot",
            "There is no easier rung to step back to.",
            "ours",
        ),
        Rule(
            "form.first",
            "Form comes before numbers: a set that lost its form does not open a gate.",
            "common practice",
        ),
        Rule(
            "purpose.keep",
            "Keeping is the purpose: no rise is success.",
            "common practice",
        ),
        Rule(
            "range.gate-met",
            "Every set at the top of the range, effort within the gate, form clean, on the "
            "sessions asked for: move up.",
            "common practice",
        ),
        Rule(
            "step.gap-ahead",
            "The next rung likely allows fewer reps than are useful: build a bridge first.",
            "ours; least useful dose is common practice",
        ),
        Rule(
            "step.by-effort",
            "Where nothing tells what the next rung allows, it is learned in a few easy ones.",
            "common practice",
        ),
        Rule("ladder.top", "The gate of the last rung is met: the goal is reached.", "ours"),
        Rule(
            "range.building",
            "The gate is not met yet: stay, and add reps within the range.",
            "common practice",
        ),
        Rule("log.none", "Nothing is logged on this rung yet.", "ours"),
    )
}
