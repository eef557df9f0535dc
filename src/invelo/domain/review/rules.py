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
            "pain.no-harder",
            "While pain that asks for a stop lasts, nothing gets harder, though the coach goes on.",
            "common practice",
        ),
        Rule(
            "range.missed-twice",
            "A set under the foot of the range on two sessions running: the rung is too hard.",
            "common practice",
        ),
        Rule(
            "effort.foot",
            "Effort of 9.5 or more and no set past the foot of the range: the rung is too hard "
            "today.",
            "common practice",
        ),
        Rule(
            "ladder.foot",
            "There is no easier rung to step back to.",
            "ours",
        ),
        Rule(
            "form.first",
            "Form comes before numbers: a set that lost its form does not open a criterion.",
            "common practice",
        ),
        Rule(
            "purpose.keep",
            "Keeping is the purpose: no rise is success.",
            "common practice",
        ),
        Rule(
            "range.criterion-met",
            "Every set at the top of the range, effort within the criterion, form clean, on the "
            "sessions asked for: move up.",
            "common practice",
        ),
        Rule(
            "step.gap-ahead",
            "The next rung likely allows fewer reps than are useful: build a bridge first.",
            "ours; least useful prescription is common practice",
        ),
        Rule(
            "step.by-effort",
            "Where nothing tells what the next rung allows, it is learned in a few easy ones.",
            "common practice",
        ),
        Rule("ladder.top", "The criterion of the last rung is met: the goal is reached.", "ours"),
        Rule(
            "range.building",
            "The criterion is not met yet: stay, and add reps within the range.",
            "common practice",
        ),
        Rule(
            "layoff.re-entry",
            "After more than two weeks away the way back begins at a lower share and builds over "
            "as many weeks.",
            "common practice",
        ),
        Rule(
            "load.ease",
            "A week's load over 1.5 times the usual: next week is asked to ease. A caution, no "
            "prediction of injury.",
            "Williams et al. 2017; disputed, Impellizzeri et al. 2020",
        ),
        Rule(
            "stress.limit",
            "The most stressful rungs are kept to the days a week an athlete bears, two until "
            "their own response tells.",
            "common practice",
        ),
        Rule(
            "near-failure.ceiling",
            "A clean set taken near failure passes the ceiling: too light for strength, move on.",
            "common practice",
        ),
        Rule(
            "effort.next-fits",
            "What is likely on the next rung at the target effort reaches its range's foot: move "
            "up.",
            "common practice",
        ),
        Rule(
            "effort.add-set",
            "Every set full at the target effort or under: a set more.",
            "common practice",
        ),
        Rule(
            "wave.hard-day",
            "The hard day passed its shortest useful prescription in every set: assistance "
            "shrinks, then the rung changes.",
            "common practice",
        ),
        Rule(
            "clock.more-in-window",
            "More clean reps in the same window on two sessions running, or the window filled: a "
            "longer window or a harder rung.",
            "common practice",
        ),
        Rule(
            "habit.steady",
            "Two steady weeks of the daily minimum: more may be offered, never asked.",
            "common practice",
        ),
        Rule(
            "sets.grow",
            "Sets grow from 2 to 3 to 4 before the variation changes.",
            "common practice",
        ),
        Rule(
            "sets.kept",
            "Sets that have grown go along to the next rung; its reps begin at the foot.",
            "common practice",
        ),
        Rule(
            "step.one-lever",
            "Where the next shape is too far, one lever alone makes the step: less "
            "assistance, slower, "
            "or heavier, in the coach's order.",
            "common practice",
        ),
        Rule(
            "range.room",
            "Every set ended with something in reserve: add within the range.",
            "common practice",
        ),
        Rule(
            "plateau.three-weeks",
            "No rise in reach over three weeks beyond its noise: change one thing.",
            "common practice",
        ),
        Rule(
            "plateau.frequency",
            "A plateau at high effort on many days is more likely tiredness: take a day away.",
            "common practice",
        ),
        Rule(
            "test.old",
            "Nothing has told for four weeks what they can do: test again.",
            "ours",
        ),
        Rule(
            "surface.alternate",
            "Bar and rings are about equal for straight-arm pulls; alternating them spreads what "
            "the joints bear.",
            "common practice",
        ),
        Rule("log.none", "Nothing is logged on this rung yet.", "ours"),
    )
}
