"""What changes next on a ladder, and why.

Rules are data: an id, a plain sentence and a source. `decide` asks them in a fixed order (safety,
then fatigue, then form, then the school, then what a week shows), and the proposal it returns names
every rule that spoke with the figures it saw. Nothing is applied here; a coach takes, edits or
declines, and what they declined is not asked again until something changes.
"""

from invelo.core.decide import fatigue, schools, standstill
from invelo.core.decide.form import form
from invelo.core.decide.quiet import Ask, quiet
from invelo.core.decide.safety import in_spite, pain
from invelo.core.decide.situation import (
    HARDER,
    OUTCOMES,
    PLAIN,
    Answered,
    Neighbour,
    Offer,
    Outcome,
    Proposal,
    Situation,
    WeekSeen,
    gate_run,
    meets_gate,
)

__all__ = [
    "HARDER",
    "ORDER",
    "OUTCOMES",
    "PLAIN",
    "Answered",
    "Neighbour",
    "Offer",
    "Outcome",
    "Proposal",
    "Situation",
    "WeekSeen",
    "decide",
    "gate_run",
    "meets_gate",
]

ORDER: tuple[Ask, ...] = (
    pain,
    fatigue.layoff,
    fatigue.too_hard,
    fatigue.load,
    fatigue.frequency,
    form,
    schools.school,
    standstill.plateau,
    standstill.test_again,
    standstill.surface,
)
"""Safety, fatigue, form, the school, then what only a week shows."""


def decide(situation: Situation) -> Proposal:
    """The proposal for one ladder after its newest session, or at the end of a week.

    Source: rule by rule in `invelo.core.rules`.
    """
    asked = (ask(situation) for ask in ORDER)
    spoken = (one for one in asked if one is not None and not quiet(one, situation))
    return in_spite(next(spoken, None) or schools.building(situation), situation)
