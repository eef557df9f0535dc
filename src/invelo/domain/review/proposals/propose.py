"""What changes next on a ladder, and why.

Rules are data: an id, a plain sentence and a source. `decide` asks them in a fixed order (safety,
then fatigue, then form, then down, then up, then what a week shows), and the proposal it returns
names every rule that spoke with the figures it saw. Only what was asked is judged: a day that asked
less and got it changes nothing. Nothing is applied here.
"""

from collections.abc import Iterator

from invelo.domain.review.proposals import fatigue, plateau, progression
from invelo.domain.review.proposals.checking import check
from invelo.domain.review.proposals.criterion import run, shown
from invelo.domain.review.proposals.downward import downward
from invelo.domain.review.proposals.form import form
from invelo.domain.review.proposals.routine import by_itself
from invelo.domain.review.proposals.safety import closed, in_spite, pain
from invelo.domain.review.proposals.situation import Proposal, Situation, on_course, set_figures
from invelo.domain.review.proposals.suppression import Ask, is_suppressed
from invelo.domain.review.proposals.upward import upward

ORDER: tuple[Ask, ...] = (
    pain,
    closed,
    fatigue.load,
    fatigue.frequency,
    form,
    downward,
    upward,
    progression.habit,
    plateau.plateau,
    progression.volume,
    check,
    plateau.surface,
    progression.clock,
)
"""Safety, fatigue, form, down, up, then what only a week shows."""


def decide(situation: Situation) -> Proposal:
    """What comes next on one ladder after its newest session, or at the end of a week.

    Source: rule by rule in `invelo.domain.review.rules`.
    """
    return in_spite(next(_spoken(situation), None) or building(situation), situation)


def decide_all(situation: Situation) -> tuple[Proposal, ...]:
    """All that comes next on one ladder, the first in order first; on course alone where no rule
    speaks. Only the first is put to anybody: the others wait for what it changes."""
    spoken = tuple(in_spite(proposal, situation) for proposal in _spoken(situation))
    return spoken or (building(situation),)


def _spoken(situation: Situation) -> Iterator[Proposal]:
    asked = (ask(situation) for ask in ORDER)
    return (
        by_itself(proposal, situation)
        for proposal in asked
        if proposal is not None and not is_suppressed(proposal, situation)
    )


DERIVED = {
    "easy": "An easy week, done as asked.",
    "re-entry": "On the way back, a step at a time.",
    "first": "The first days on this rung.",
    "by hand": "A day set by hand.",
    "adapted": "A day adapted to what it allowed.",
}


def building(situation: Situation) -> Proposal:
    """No rule spoke: on course."""
    newest = situation.newest
    if newest is None or not situation.last:
        return on_course(situation, "Nothing is logged on this rung yet.", (), "log.none")
    figures = set_figures(situation.last)
    if newest.derived:
        return on_course(situation, DERIVED[newest.derived], figures, "asked.derived")
    high = situation.rung.prescription.high
    unit = {"reps": "", "s": " s", "cm": " cm"}[situation.unit]
    if run(situation) >= situation.rung.criterion.sessions and shown(situation):
        return on_course(
            situation,
            "The criterion is shown. The coach has said to stay here for now.",
            figures,
            "range.stays",
        )
    if all(record.least >= high for record in situation.last):
        return on_course(
            situation,
            f"Every set at {high}{unit}: show it once more.",
            figures,
            "range.building",
        )
    if situation.purpose == "keep":
        return on_course(situation, "Kept up.", figures, "purpose.keep")
    return on_course(
        situation, f"On course: the range goes on to {high}{unit}.", figures, "range.building"
    )
