"""Safety speaks first: pain stops a movement."""

from dataclasses import replace
from itertools import pairwise

from invelo.domain.estimate import Input
from invelo.domain.review.proposals.situation import HARDER, Proposal, Situation, on_course, rules
from invelo.domain.training.log import PAIN_STOP

RISING_SESSIONS = 3
"""Sessions over which growing pain counts as rising (common practice)."""


def pain(situation: Situation) -> Proposal | None:
    """Pain of 4 or more, or rising over three sessions."""
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
    spoke = ["pain.stop"] * (worst >= PAIN_STOP) + ["pain.rising"] * bool(rising)
    if not spoke:
        return None
    worst_place = place if worst >= PAIN_STOP else rising[0]
    course = [pains.get(worst_place, 0) for pains in by_session[-RISING_SESSIONS:]]
    return Proposal(
        outcome="stop",
        to=situation.key,
        reason=(
            f"Pain at the {worst_place} reached {by_session[-1][worst_place]} of 10"
            + (f" after {' → '.join(map(str, course))}" if worst_place in rising else "")
            + ". Stop this movement, offer pain-free ones of the same region, and see a clinician "
            "before it returns."
        ),
        figures=(
            Input(
                f"pain at the {worst_place}, last sessions", " → ".join(map(str, course)), "of 10"
            ),
            Input("movement ends at", PAIN_STOP, "of 10"),
        ),
        rules=rules(*spoke),
        confidence="high",
        confidence_why="Safety speaks first and needs no further evidence.",
    )


def closed(situation: Situation) -> Proposal | None:
    """What is trained is closed: a limit, a check or the kit; nothing else is said of it."""
    why = situation.here.closed
    if not why:
        return None
    return Proposal(
        outcome="hold",
        to=situation.key,
        reason=f"“{situation.rung.name}” is closed: {why.rstrip('.')}. Open it on the Intake "
        "sheet, or train another rung until it is.",
        figures=(),
        rules=rules("step.closed"),
        confidence="high",
        confidence_why="What closes it is on the Intake sheet.",
        standing="blocked",
    )


def in_spite(proposal: Proposal, situation: Situation) -> Proposal:
    """What becomes of a proposal where the coach has declined to stop: they may go on, but nothing
    is asked for that is harder while the pain lasts."""
    stop = pain(situation)
    if stop is None or proposal.outcome not in HARDER:
        return proposal
    return replace(
        on_course(
            situation,
            f"Pain reached {situation.pain} of 10. Going on was the coach's word; nothing gets "
            "harder while it lasts.",
            (*stop.figures, *proposal.figures),
        ),
        rules=(*stop.rules, *rules("pain.no-harder")),
        confidence="medium",
        confidence_why="Safety speaks first; what hurts is looked at one by one.",
    )


def _grows(values: list[int]) -> bool:
    return all(a < b for a, b in pairwise(values))
