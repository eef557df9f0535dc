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
            "range.stays",
            "What was refused is not asked again for four weeks, though the criterion is shown.",
            "ours",
        ),
        Rule(
            "step.long-enough",
            "Weeks whose first set comes to the top, and the next step fits all but surely: it "
            "waits for no perfect last set.",
            "common practice; sixteen sessions over eight weeks are ours",
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
            "Sets grow from 2 to 3 to 4 before the variation changes, to 5 where strength or a "
            "skill is the purpose.",
            "common practice",
        ),
        Rule(
            "sets.weeks",
            "Two weeks since the sets were last changed, done as asked and without pain, make room "
            "for a set more; no region is asked more than 12 sets a day.",
            "common practice; growth rises with weekly sets, and ever less (Schoenfeld, Ogborn and "
            "Krieger 2017, J Sports Sci 35(11):1073–1082, from memory)",
        ),
        Rule(
            "step.one-lever",
            "Where the next shape is too far, one lever alone makes the step: less "
            "assistance, slower, "
            "or heavier, in the coach's order.",
            "common practice",
        ),
        Rule(
            "surface.alternate",
            "Bar and rings are about equal for straight-arm pulls; alternating them spreads what "
            "the joints bear.",
            "common practice",
        ),
        Rule(
            "range.missed-twice",
            "All sets together under 85 % of what was asked, reps less the effort above it, two "
            "sessions running: too much is asked.",
            "common practice; the share is ours",
        ),
        Rule(
            "sets.fewer",
            "A set less is tried before a step back.",
            "common practice",
        ),
        Rule(
            "step.back",
            "Short again with a set less, or with hardly a chance: the easier rung, once.",
            "common practice",
        ),
        Rule(
            "asked.derived",
            "A day that asked less and got it changes nothing.",
            "common practice",
        ),
        Rule(
            "set.too-light",
            "A first set of 25 or more is too light where strength or size is the purpose.",
            "common practice",
        ),
        Rule(
            "effort.next-fits",
            "The next rung's sets are there at the effort asked: move up.",
            "common practice",
        ),
        Rule(
            "step.foreseen",
            "The next session all but surely shows the criterion and the next rung all but surely "
            "fits: there is nothing to wait for.",
            "ours",
        ),
        Rule(
            "step.passes-over",
            "Rungs that are only less of the same thing are passed; a new shape never is.",
            "common practice",
        ),
        Rule(
            "step.gap-ahead",
            "The next rung likely does not fit yet: a set, one lever or a bridge comes first.",
            "common practice",
        ),
        Rule(
            "step.bridge",
            "A gap is bridged by a rung from this athlete's own kit.",
            "common practice",
        ),
        Rule(
            "step.piece",
            "Where the kit closes no gap, the one piece that would is named.",
            "ours",
        ),
        Rule(
            "step.closed",
            "What closes the next rung is opened first, or the way goes round it.",
            "common practice",
        ),
        Rule(
            "hold.moves",
            "A hold's range follows the best hold: half to seven tenths of it.",
            "common practice",
        ),
        Rule(
            "skill.more-assistance",
            "Under half of five seconds a set: more assistance, at once.",
            "common practice",
        ),
        Rule(
            "skill.less-assistance",
            "Every set five seconds or more on two hard days running, or 17 s in one session: less "
            "assistance.",
            "common practice",
        ),
        Rule(
            "clock.total",
            "Against the clock a session is judged by its total beside the best before.",
            "common practice",
        ),
        Rule(
            "plateau.weeks",
            "No new best in six asked sessions over four weeks, and hardly any growth: one thing "
            "is changed, by what the data show.",
            "common practice",
        ),
        Rule(
            "plateau.tired",
            "A plateau at high effort on many days is more likely tiredness: an easy week.",
            "common practice",
        ),
        Rule(
            "plateau.day",
            "Few sets on few days: a day more.",
            "common practice",
        ),
        Rule(
            "test.old",
            "Nothing exact or rated for three weeks: the next session's last set goes to its end, "
            "once in two weeks at most.",
            "common practice",
        ),
        Rule("log.none", "Nothing is logged on this rung yet.", "ours"),
    )
}


RETIRED: dict[str, Rule] = {
    rule.id: rule
    for rule in (
        Rule(
            "effort.foot",
            "Effort of 9.5 or more and no set past the foot of the range: the rung is too hard "
            "today.",
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
            "range.room",
            "Every set ended with something in reserve: add within the range.",
            "common practice",
        ),
        Rule(
            "sets.kept",
            "Sets that have grown go along to the next rung; its reps begin at the foot.",
            "common practice",
        ),
        Rule(
            "layoff.re-entry",
            "After more than two weeks away the way back begins at a lower share and builds over "
            "as many weeks.",
            "common practice",
        ),
        Rule(
            "effort.add-set",
            "Every set full at the target effort or under: a set more.",
            "common practice",
        ),
    )
}
"""Rules of earlier releases that kept proposals still name."""


def rule_of(rule_id: str) -> Rule:
    """A rule by its id, retired or not."""
    return RULES.get(rule_id) or RETIRED[rule_id]


WEEKLY_RULES = frozenset(
    {
        "load.ease",
        "stress.limit",
        "habit.steady",
        "plateau.weeks",
        "sets.weeks",
        "surface.alternate",
    }
)
"""Rules that only the end of a week asks."""
