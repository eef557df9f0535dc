"""What changes next on a ladder, and why.

Rules are data: an id, a plain sentence and a source. `decide` asks them in a fixed order (safety,
then fatigue, then form, then the method, then what a week shows), and the proposal it returns names
every rule that spoke with the figures it saw. Nothing is applied here; a coach takes, edits or
declines, and what they declined is not asked again until something changes.
"""

from invelo.domain.review.proposals import fatigue, plateau, progression
from invelo.domain.review.proposals.form import form
from invelo.domain.review.proposals.safety import in_spite, pain
from invelo.domain.review.proposals.situation import Proposal, Situation
from invelo.domain.review.proposals.suppression import Ask, is_suppressed

ORDER: tuple[Ask, ...] = (
    pain,
    fatigue.layoff,
    fatigue.too_hard,
    fatigue.load,
    fatigue.frequency,
    form,
    progression.by_method,
    plateau.plateau,
    plateau.test_again,
    plateau.surface,
)
"""Safety, fatigue, form, the method, then what only a week shows."""


def decide(situation: Situation) -> Proposal:
    """The proposal for one ladder after its newest session, or at the end of a week.

    Source: rule by rule in `invelo.domain.review.rules`.
    """
    asked = (ask(situation) for ask in ORDER)
    spoken = (
        proposal
        for proposal in asked
        if proposal is not None and not is_suppressed(proposal, situation)
    )
    return in_spite(next(spoken, None) or progression.building(situation), situation)
