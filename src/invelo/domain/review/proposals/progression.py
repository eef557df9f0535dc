"""What only some methods say: a habit that is steady, a clock whose rounds have room."""

from invelo.domain.estimate import Input
from invelo.domain.review.proposals.situation import Proposal, Situation, rules, set_figures

STEADY_TICKS = 12
"""Days of fourteen from which two weeks count as steady (ours)."""


def habit(situation: Situation) -> Proposal | None:
    """Two steady weeks of a daily minimum: more may be offered."""
    ticks = situation.week.ticks if situation.week else 0
    if situation.method != "habit" or situation.purpose == "keep":
        return None
    if situation.occasion != "week" or ticks < STEADY_TICKS:
        return None
    return Proposal(
        "add_amount",
        situation.key,
        "Two steady weeks. Offer a little more, or the next rung; nothing is asked for.",
        (Input("days done of the last fourteen", float(ticks), "days"),),
        rules("habit.steady"),
        "medium",
        "The days are counted; whether more is wanted is theirs to say.",
    )


def clock(situation: Situation) -> Proposal | None:
    """Against the clock a session is judged by its total beside the best one before."""
    if situation.method != "density" or not situation.judges:
        return None
    totals = [
        sum(record.least for record in session.on(situation.key))
        for session in situation.asked_sessions
    ]
    before = max(totals[:-1], default=0.0)
    if not before or totals[-1] <= before:
        return None
    return Proposal(
        "hold",
        situation.key,
        f"{totals[-1]:g} {situation.unit} in the window, {before:g} at best before: on course.",
        (
            *set_figures(situation.last),
            Input("in all", totals[-1], situation.unit),
            Input("best before", before, situation.unit),
        ),
        rules("clock.total"),
        "high",
        "The counts are plain.",
        standing="on course",
    )
