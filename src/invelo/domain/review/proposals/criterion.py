"""Whether what a ladder's method asks to be shown was shown.

Source: common practice; see `invelo.domain.plan.methods`.
"""

from dataclasses import dataclass

from invelo.domain.estimate import Input
from invelo.domain.plan.methods import STRENGTH_CEILING
from invelo.domain.plan.prescription import LEAST_USEFUL
from invelo.domain.review.proposals.situation import Situation, set_figures
from invelo.domain.training.log import SessionRecord, SetRecord

HARD_DAYS = 2
"""Hard days running on which every set of a straight-arm skill is long enough (common practice)."""

TOTAL_ONCE = 17.0
"""Seconds of a straight-arm skill in one session that are enough by themselves (common
practice)."""


LONG_SESSIONS, LONG_DAYS = 16, 56
"""Asked sessions under one prescription, and the days they span, from which a first set at the top
of the range is enough where the next step fits all but surely (common practice; the figures are
ours)."""

LESSER_HOLDS = 0.5
"""Chance from which the lesser piece still allows five seconds."""


@dataclass(frozen=True)
class Shown:
    """A criterion that was shown.

    Attributes:
        words: in one sentence.
        rule: that says so.
        figures: what it saw.
    """

    words: str
    rule: str
    figures: tuple[Input, ...]


def meets(session: SessionRecord, situation: Situation) -> bool:
    """Whether a session showed the criterion: enough sets, each with its amount, effort and
    form."""
    criterion = situation.rung.criterion
    done = session.on(situation.key)
    if not done or not all(s.form_ok or (s.asked and s.asked.open) for s in done):
        return False
    return sum(_enough(s, situation) for s in done) >= criterion.sets


def _enough(record: SetRecord, situation: Situation) -> bool:
    """Whether one set shows its part; one that was to go on to its end may have done so."""
    criterion = situation.rung.criterion
    if record.unit == "s" and record.asked is not None and situation.method != "wave":
        return record.form_ok and record.least >= record.asked.high
    if record.asked is not None and record.asked.open:
        left = 0.0 if record.unit == "s" else 10.0 - criterion.rpe
        return record.least >= criterion.amount + left
    most = max(criterion.rpe, record.asked.rpe if record.asked else 0.0)
    rated = not record.rated or record.unit == "s" or record.rpe <= most
    return record.least >= criterion.amount and record.form_ok and rated


def run(situation: Situation) -> int:
    """How many of the newest sessions in a row showed it."""
    count = 0
    for session in reversed(situation.asked_sessions):
        if not meets(session, situation):
            break
        count += 1
    return count


def figures(situation: Situation, times: int) -> tuple[Input, ...]:
    """The criterion, and how often it was shown running."""
    criterion = situation.rung.criterion
    return (
        *set_figures(situation.last),
        Input(
            "criterion",
            f"{criterion.sets} × {criterion.amount} {criterion.unit} at effort "
            f"{criterion.rpe:g} or under",
        ),
        Input("sessions running that met it", times, f"of {criterion.sessions}"),
    )


def shown(situation: Situation) -> Shown | None:
    """What was shown, None while it was not."""
    if not situation.judges or situation.method == "habit":
        return None
    return _too_light(situation) or _by_method(situation)


def _too_light(situation: Situation) -> Shown | None:
    """A first set far beyond what builds strength."""
    first = situation.last[0]
    ceiling = STRENGTH_CEILING.get(situation.unit)
    if situation.purpose not in ("strength", "size") or ceiling is None:
        return None
    if first.least < ceiling or not first.form_ok:
        return None
    return Shown(
        f"The first set reached {first.amount:g}: too light for {situation.purpose}.",
        "set.too-light",
        (*set_figures(situation.last), Input("too light from", float(ceiling), "reps")),
    )


def long_enough(situation: Situation) -> Shown | None:
    """Weeks under one prescription whose first set comes to the top while the later ones stay a
    little short of it: whoever waits for a perfect last set waits for months."""
    asked = situation.asked_sessions
    if not situation.judges or situation.method != "double_progression" or situation.unit == "s":
        return None
    if situation.bounds.gentle or len(asked) < LONG_SESSIONS:
        return None
    days = (asked[-1].day - asked[0].day).days
    if days < LONG_DAYS or not all(_begins_at_the_top(s, situation) for s in asked[-2:]):
        return None
    return Shown(
        f"{len(asked)} sessions over {round(days / 7)} weeks: the first set comes to "
        f"{situation.rung.criterion.amount}, only the later ones stay short of it.",
        "step.long-enough",
        (
            *set_figures(situation.last),
            Input("sessions so", float(len(asked))),
            Input("they span", float(days), "days"),
        ),
    )


def _begins_at_the_top(session: SessionRecord, situation: Situation) -> bool:
    done = session.on(situation.key)
    least = situation.rung.prescription.low
    return (
        bool(done)
        and _enough(done[0], situation)
        and len(done) >= situation.rung.criterion.sets
        and all(record.form_ok and record.least >= least for record in done)
    )


def _by_method(situation: Situation) -> Shown | None:
    criterion = situation.rung.criterion
    if situation.method == "near_failure":
        past = [s for s in situation.last if s.form_ok and s.least >= criterion.amount]
        if not past:
            return None
        best = max(s.amount for s in past)
        return Shown(
            f"A clean set reached {best:g} {criterion.unit}, the ceiling is {criterion.amount}.",
            "near-failure.ceiling",
            (
                *set_figures(situation.last),
                Input("ceiling", float(criterion.amount), criterion.unit),
            ),
        )
    if assisted_hold(situation):
        return _less_assistance(situation)
    times = run(situation)
    if times < criterion.sessions:
        return None
    rule = {
        "wave": "wave.hard-day",
        "density": "clock.more-in-window",
    }.get(situation.method, "range.criterion-met")
    running = f", {times} sessions running" if times > 1 else ""
    return Shown(
        f"{criterion.sets} × {criterion.amount} {criterion.unit} clean at effort "
        f"{criterion.rpe:g} or under{running}.",
        rule,
        figures(situation, times),
    )


def assisted_hold(situation: Situation) -> bool:
    """Whether it is a straight-arm skill held with something that helps."""
    modifiers = situation.rung.modifiers
    return (
        situation.unit == "s"
        and situation.rung.movement.rest == "skill"
        and bool(modifiers.band or modifiers.assistance)
    )


def _less_assistance(situation: Situation) -> Shown | None:
    """Every set long enough on two hard days running, or a long total once."""
    least = LEAST_USEFUL["s"]
    recent = situation.asked_sessions[-HARD_DAYS:]
    clean = [
        session
        for session in recent
        if all(s.least >= least and s.form_ok for s in session.on(situation.key))
        and len(session.on(situation.key)) >= situation.rung.prescription.sets
    ]
    total = sum(s.least for s in situation.last if s.form_ok)
    lesser = [setting for setting in situation.settings() if setting.outcome == "reduce_assistance"]
    there = not lesser or lesser[0].place.holds >= LESSER_HOLDS
    if not there or (len(clean) < HARD_DAYS and total < TOTAL_ONCE):
        return None
    words = (
        f"{total:g} s in one session."
        if total >= TOTAL_ONCE
        else f"Every set {least:g} s or more on two hard days running."
    )
    return Shown(
        words,
        "skill.less-assistance",
        (
            *set_figures(situation.last),
            Input("in all", total, "s"),
            Input("enough once", TOTAL_ONCE, "s"),
        ),
    )
