"""Then the method: when an athlete moves up, and what is added meanwhile.

Source: common practice; see `invelo.domain.plan.methods`.
"""

from collections.abc import Callable
from dataclasses import replace

from invelo.domain.estimate import Input
from invelo.domain.plan.prescription import Method
from invelo.domain.review.proposals.situation import (
    MORE,
    Proposal,
    Situation,
    count,
    criterion_figures,
    criterion_run,
    hold,
    meets_criterion,
    predicted,
    rules,
    set_figures,
)
from invelo.domain.review.proposals.upward import kept, more_sets, offered, up

NEAR_FAILURE = 8.0
"""Effort from which a set was taken near failure: two in reserve at most (common practice)."""

ROOM = 1.0
"""Effort under the criterion's from which a set has room for more (ours: a rep in reserve)."""

STEADY_TICKS = 12
"""Days of fourteen from which two weeks count as steady (ours)."""


def by_method(situation: Situation) -> Proposal | None:
    """What the ladder's method says of the newest session; None where it has nothing to say."""
    if not situation.last:
        return None
    return _METHODS[situation.method](situation)


def _by_range(situation: Situation) -> Proposal | None:
    run = criterion_run(situation)
    if run == 0:
        return None
    figures = (*set_figures(situation.last), *criterion_figures(situation, run))
    if situation.purpose == "keep":
        return kept(situation, figures, "range.criterion-met")
    if run < situation.rung.criterion.sessions:
        return None
    met = _criterion_words(situation, run)
    return _first_sets(situation, met, figures) or up(
        situation, met, figures, "range.criterion-met"
    )


def _first_sets(situation: Situation, met: str, figures: tuple[Input, ...]) -> Proposal | None:
    """The criterion is met, but the next rung is not there in every set yet: sets grow before it
    changes, and once they are at their most, one lever alone makes the step."""
    above = situation.above
    if above is None or above.prediction is None or situation.gap(above):
        return None
    asks, unit = above.rung.prescription.asks, above.rung.prescription.unit
    if above.prediction.likely >= asks:
        return None
    figures = (
        *figures,
        predicted("on the next rung", above.prediction),
        Input("asked there, with nothing in reserve", asks, unit),
    )
    short = f"{met} On “{above.rung.name}” {count(above.prediction)} are likely, {asks:g} are asked"
    more = more_sets(situation, figures, "range.criterion-met")
    if more is not None:
        return replace(
            more,
            reason=f"{short}: sets grow first. {more.reason}",
            confidence="high",
            confidence_why="The criterion is a plain count; sets grow before rungs change.",
        )
    useful = situation.useful_offers()
    if useful:
        return offered(situation, useful[0], f"{short}.", figures, "range.criterion-met")
    return None


def _near_failure(situation: Situation) -> Proposal | None:
    ceiling = situation.rung.criterion.amount
    past = [s for s in situation.last if s.form_ok and s.least >= ceiling]
    if not past:
        return None
    unit = situation.rung.criterion.unit
    figures = (*set_figures(situation.last), Input("ceiling", float(ceiling), unit))
    if situation.purpose == "keep":
        return kept(situation, figures, "near-failure.ceiling")
    best = max(past, key=lambda s: s.least)
    told = f"A clean set reached {best.amount:g} {unit}, past the ceiling of {ceiling}."
    return up(situation, told, figures, "near-failure.ceiling")


def _by_rpe(situation: Situation) -> Proposal | None:
    above, target = situation.above, situation.rung.prescription.rpe
    figures = (*set_figures(situation.last), Input("target effort", target))
    if situation.purpose == "keep":
        run = criterion_run(situation)
        return kept(situation, figures, "effort.next-fits") if run else None
    if above is None or above.prediction is None:
        return _by_range(situation)
    asks = above.rung.prescription.asks
    if above.prediction.likely >= asks:
        unit = above.rung.prescription.unit
        told = (
            f"On “{above.rung.name}” the range's foot of {above.rung.prescription.low} {unit} "
            "fits at "
            f"effort {above.rung.prescription.rpe:g}."
        )
        return up(
            situation,
            told,
            (*figures, Input("asked there, with nothing in reserve", asks, unit)),
            "effort.next-fits",
        )
    at_target = all(s.rpe <= target and s.form_ok for s in situation.last)
    full = all(s.least >= situation.rung.prescription.high for s in situation.last)
    if at_target and full:
        return more_sets(situation, figures, "effort.add-set")
    return None


def _wave(situation: Situation) -> Proposal | None:
    if not meets_criterion(situation.sessions[-1], situation.key, situation.rung):
        return None
    figures = (*set_figures(situation.last), *criterion_figures(situation, 1))
    if situation.purpose == "keep":
        return kept(situation, figures, "wave.hard-day")
    steps = situation.steps_on_the_way()
    less = next((offer for offer in steps if offer.less_assistance), None)
    if less is not None:
        told = "The hard day passed its shortest useful prescription in every set."
        return offered(situation, less, told, figures, "wave.hard-day")
    return up(
        situation,
        f"Every set of the hard day reached {situation.rung.criterion.amount} "
        f"{situation.rung.criterion.unit}.",
        figures,
        "wave.hard-day",
    )


def _clock(situation: Situation) -> Proposal | None:
    done = [session.on(situation.key) for session in situation.sessions[-3:]]
    totals = [sum(s.least for s in sets if s.form_ok) for sets in done]
    rose = len(totals) == 3 and all(done) and totals[0] < totals[1] < totals[2]
    run = criterion_run(situation)
    full = run >= situation.rung.criterion.sessions
    if not (rose or full):
        return None
    unit = situation.rung.criterion.unit
    figures = (
        *set_figures(situation.last),
        Input("clean in all, last sessions", " → ".join(f"{total:g}" for total in totals), unit),
        *criterion_figures(situation, run),
    )
    if situation.purpose == "keep":
        return kept(situation, figures, "clock.more-in-window")
    above = situation.above
    ready = above is not None and (
        above.prediction is None or above.prediction.likely >= above.rung.prescription.asks
    )
    told = (
        f"More clean {unit} in the same window on two sessions running."
        if rose
        else "The window was filled on two sessions running."
    )
    if full or ready:
        return up(situation, told, figures, "clock.more-in-window")
    return Proposal(
        "add_amount",
        situation.key,
        f"{told} Make the window ten seconds longer; the next rung is not there yet.",
        figures,
        rules("clock.more-in-window"),
        "high",
        "The counts are plain.",
    )


def _habit(situation: Situation) -> Proposal | None:
    ticks = situation.week.ticks if situation.week else 0
    if situation.occasion != "week" or ticks < STEADY_TICKS or situation.purpose == "keep":
        return None
    figures = (Input("days done of the last fourteen", float(ticks), "days"),)
    return Proposal(
        "add_amount",
        situation.key,
        "Two steady weeks. Offer a little more, or the next rung; nothing is asked for.",
        figures,
        rules("habit.steady"),
        "medium",
        "The days are counted; whether more is wanted is theirs to say.",
    )


_METHODS: dict[Method, Callable[[Situation], Proposal | None]] = {
    "double_progression": _by_range,
    "near_failure": _near_failure,
    "rpe_target": _by_rpe,
    "wave": _wave,
    "density": _clock,
    "habit": _habit,
}


def _criterion_words(situation: Situation, run: int) -> str:
    criterion = situation.rung.criterion
    return (
        f"{criterion.sets} × {criterion.amount} {criterion.unit} clean at effort "
        f"{criterion.rpe:g} or under, "
        f"{run} sessions running."
    )


def building(situation: Situation) -> Proposal:
    """No rule spoke: stay, and add within the range where there is room."""
    last, criterion = situation.last, situation.rung.criterion
    if not last:
        return hold(
            situation,
            "Nothing is logged on this rung yet: run it once before judging it.",
            (),
            rules("log.none"),
            "low",
            "There is no evidence on this rung.",
        )
    run = criterion_run(situation)
    at_top = sum(s.least >= criterion.amount and s.rpe <= criterion.rpe for s in last)
    figures = (*set_figures(last), *criterion_figures(situation, run))
    if run and situation.method in ("double_progression", "density"):
        reason = (
            f"The criterion was met on {run} of {criterion.sessions} sessions. Show it once more."
        )
        return hold(
            situation,
            reason,
            figures,
            rules("range.building"),
            "high",
            "The criterion is a plain count.",
        )
    short = (
        f"{at_top} of {criterion.sets} sets met {criterion.amount} {criterion.unit} at effort "
        f"{criterion.rpe:g} or under."
    )
    room = all(s.rpe <= criterion.rpe - ROOM for s in last)
    if room and situation.purpose != "keep" and situation.method != "habit":
        return Proposal(
            "add_amount",
            situation.key,
            f"{short} There is room: add a {MORE[criterion.unit]} to each set.",
            figures,
            rules("range.room"),
            "high",
            "Every set ended with something in reserve.",
        )
    return hold(
        situation,
        f"{short} Stay, and add a {MORE[criterion.unit]} where a set allows it.",
        figures,
        rules("range.building"),
        "high",
        "The criterion is a plain count.",
    )
