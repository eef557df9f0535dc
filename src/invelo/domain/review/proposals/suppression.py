"""No nagging: what a coach has declined is not asked again until something changes."""

from collections.abc import Callable

from invelo.domain.review.proposals.situation import AnsweredProposal, Outcome, Proposal, Situation

ADVICE: frozenset[Outcome] = frozenset(
    ("ease_off", "reduce_days", "add_day", "swap_surface", "retest", "add_set", "add_load")
)
"""Outcomes that want time to show, and are not proposed again right after they were answered."""

SUPPRESSED_DAYS = 21
"""Days for which an answered piece of advice is not given again (ours: as long as a plateau is
watched)."""

SURFACE_DAYS = 56
"""Days for which a change of surface is not asked again (ours)."""

DECLINED_DAYS = 28
"""Days after which a declined proposal may be made again though nothing changed (ours)."""

Ask = Callable[[Situation], Proposal | None]


def is_suppressed(proposal: Proposal, situation: Situation) -> bool:
    """Whether the coach has answered this already and nothing has changed since.

    Something has changed where another rung is stood on, another rule speaks, or pain is worse. A
    stop is silenced only by a decline at the same pain or more.
    """
    return any(
        _same(answered_proposal, proposal, situation) for answered_proposal in situation.answered
    )


REMEDIES = frozenset({"plateau.weeks", "load.ease"})
"""Rules whose remedy, once taken, has its time to show whatever rung is stood on by then."""


EARNED = frozenset(
    {
        "range.criterion-met",
        "wave.hard-day",
        "clock.more-in-window",
        "near-failure.ceiling",
        "skill.less-assistance",
        "set.too-light",
        "step.foreseen",
        "step.long-enough",
        "effort.next-fits",
        "sets.weeks",
    }
)
"""Rules that new sessions have to earn each time: once taken, their next word is something new."""


def _same(before: AnsweredProposal, proposal: Proposal, situation: Situation) -> bool:
    spoke = {rule.id for rule in proposal.rules}
    refused = before.answer in ("decline", "undone")
    taken = not refused and before.days < SUPPRESSED_DAYS
    if taken and spoke & REMEDIES & set(before.rules):
        return True
    if before.outcome != proposal.outcome or before.from_key != situation.key:
        return False
    if not spoke <= set(before.rules):
        return False
    if proposal.outcome == "swap_surface":
        return before.days < SURFACE_DAYS
    if proposal.outcome == "goal_reached":
        return True
    if proposal.outcome == "stop":
        return refused and situation.pain <= before.pain
    if proposal.outcome == "hold":
        return proposal.standing == "blocked" and before.days < SUPPRESSED_DAYS
    if refused:
        return before.days < DECLINED_DAYS
    return proposal.outcome in ADVICE and not spoke & EARNED and before.days < SUPPRESSED_DAYS
