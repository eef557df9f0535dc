"""When what an athlete can do at most has to be seen again: one set to its end.

Source: ours; see `invelo.domain.strength.state` for what speaks.
"""

from datetime import date

from invelo.domain.estimate import Input
from invelo.domain.review.proposals.situation import Proposal, Situation, rules
from invelo.domain.training.log import SetRecord

OLD_DAYS = 21
"""Days after which evidence is old (common practice: three weeks)."""

UNSURE_DAYS = 14
"""Days without any rated evidence after which an undecided climb is looked at (ours)."""

AT_MOST_EVERY = 14
"""Days between two such sets (common practice: seldom)."""

UNSURE = (0.2, 0.8)
"""Chances of the next step between which it is undecided."""

EASY_RPE = 7.0
"""Effort under which more than three reps were left."""

EASY_HOLD_RPE = 5.5
"""Effort under which every hold of a session says that there is far more: effort rates no seconds,
but it says when to look again (ours)."""

FIRST_LEARNT = 3
"""Session of a rung that is being learnt from which it may be asked."""


def due(situation: Situation) -> bool:
    """Whether the next session's last set is to be taken to its end."""
    state = situation.here.state
    if state is None or situation.here.work is None or situation.unit == "cm":
        return False
    if situation.purpose == "keep" or situation.method in ("habit", "near_failure"):
        return False
    if situation.pain >= 2 or situation.coming_back:
        return False
    if situation.purpose == "learn" and len(situation.asked_sessions) < FIRST_LEARNT - 1:
        return False
    if len(situation.asked_sessions) < 1 and not too_easy(situation):
        return False
    asked = _days(situation.today, _last_asked(situation))
    if asked is not None and asked < AT_MOST_EVERY:
        return False
    days = _days(situation.today, state.evidence_on)
    if days is None or days >= OLD_DAYS:
        return True
    if too_easy(situation):
        return True
    undecided = UNSURE[0] < _next(situation) < UNSURE[1]
    return undecided and days >= UNSURE_DAYS


def too_easy(situation: Situation) -> bool:
    """Whether every set of the newest session came to its top with more than three to spare, so
    that nobody knows how much more there is."""
    newest, most = situation.newest, EASY_HOLD_RPE if situation.unit == "s" else EASY_RPE
    if newest is None or newest.derived not in ("", "first") or not situation.last:
        return False
    high = situation.rung.prescription.high
    return all(
        record.rated and record.rpe < most and record.least >= min(high, _top(record, high))
        for record in situation.last
    )


def _top(record: SetRecord, high: float) -> float:
    return record.asked.high if record.asked else high


def _next(situation: Situation) -> float:
    near = next((place for place in situation.above if not place.closed), None)
    fits = near.fits if near is not None and near.fits is not None else 0.0
    return max(situation.shows or 0.0, fits)


def _last_asked(situation: Situation) -> date | None:
    """The newest day on which a set was to be taken to its end."""
    for session in reversed(situation.sessions):
        if any(record.asked and record.asked.open for record in session.sets):
            return session.day
    return None


def _days(today: date, day: date | None) -> int | None:
    return None if day is None else (today - day).days


def check(situation: Situation) -> Proposal | None:
    """Say that the next session asks for it."""
    if not due(situation):
        return None
    state = situation.here.state
    days = _days(situation.today, state.evidence_on if state else None)
    if days is not None and days < UNSURE_DAYS:
        old = "Every set came to its top with more than three to spare: what they can do at most is"
        old = f"{old} not known."
    else:
        since = "yet" if days is None else f"for {days} days"
        old = f"Nothing has told {since} what they can do at most."
    what = "as many clean ones as there are" if situation.unit == "reps" else "as long as it holds"
    if situation.bounds.gentle:
        what = "to effort 8, or to the first loss of form"
    return Proposal(
        "retest",
        situation.key,
        f"{old} The next session's last set goes on: {what}.",
        (
            Input("days since a set told", "none" if days is None else float(days), "days"),
            Input("asked from", float(OLD_DAYS), "days"),
        ),
        rules("test.old"),
        "high",
        "The days are counted.",
    )
