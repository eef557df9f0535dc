"""What is done by itself: small changes inside a rung, within what a coach has set."""

from dataclasses import replace

from invelo.domain.review.proposals.situation import INSIDE, Proposal, Situation

WEEK_DAYS = 7
FIRST_SESSIONS = 2
"""Sessions on a rung before anything of it is changed by itself (common practice)."""

PAIN = 2
"""Pain, 0–10, from which nothing is changed by itself (common practice)."""

UNDONE = 2
"""Changes undone running after which nothing more is done by itself."""


def by_itself(proposal: Proposal, situation: Situation) -> Proposal:
    """The proposal as routine where it is within bounds; as it is otherwise."""
    if proposal.standing != "question" or proposal.outcome not in INSIDE:
        return proposal
    if not within(situation, proposal) or (proposal.then is None and proposal.outcome != "retest"):
        return proposal
    return replace(proposal, standing="routine")


def within(situation: Situation, proposal: Proposal) -> bool:
    """Whether a change inside the rung may be done by itself now."""
    bounds = situation.bounds
    if not bounds.routine or bounds.gentle or situation.coming_back:
        return False
    if situation.pain >= PAIN:
        return False
    if proposal.outcome == "retest":
        return True  # it changes nothing of the prescription
    if situation.rung.movement.rest == "skill":
        return False
    if len(situation.asked_sessions) < FIRST_SESSIONS and not situation.answered:
        return False
    lately = [answer for answer in situation.answered if answer.answer == "routine"]
    if sum(answer.days < WEEK_DAYS for answer in lately) >= bounds.per_week:
        return False
    newest = [answer for answer in situation.answered if answer.answer in ("routine", "undone")][
        :UNDONE
    ]
    return len(newest) < UNDONE or any(answer.answer == "routine" for answer in newest)
