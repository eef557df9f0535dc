"""What a coach should know before a week is planned: how many days, and what is missing.

Source: common practice, where a constant does not say otherwise.
"""

from dataclasses import dataclass, replace
from datetime import date
from statistics import median

from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.equipment.kit import Kind
from invelo.domain.plan.session.trainee import Trainee
from invelo.domain.plan.week.course import LAYOFF_WEEKS
from invelo.domain.plan.week.problem import PlanningProblem
from invelo.domain.plan.week.venue import Venue

TOO_LIGHT = 15.0
"""Likely reps on a strength rung from which the resistance there counts as low (ours)."""


def low_resistance(trainee: Trainee) -> bool:
    """Whether what there is to push against is light: the middle of the likely reps on the strength
    rungs is over `TOO_LIGHT`."""
    likely = [
        stand.here.likely.likely
        for stand in trainee.stands
        if stand.here.likely is not None and stand.here.rung.prescription.unit == "reps"
    ]
    return bool(likely) and median(likely) > TOO_LIGHT


@dataclass(frozen=True)
class DaysAdvice:
    """How many days, how long, and why."""

    days: int
    minutes: int
    why: str


def advise_days(light: bool, days: int | None = None, minutes: int | None = None) -> DaysAdvice:
    """Days and minutes for a week; what the person gave stands.

    Args:
        light: whether the resistance available is low.
        days, minutes: as the person told them.
    """
    usual_days, usual_minutes = (5, 35) if light else (3, 45)
    why = (
        "With little to push against, five or six shorter days (30–45 min) replace three heavy "
        "ones."
        if light
        else "With enough to push against, three days of up to 45 min leave a day between to "
        "recover."
    )
    if days is not None:
        fewer = "fewer" if days < usual_days else "more"
        why += "" if days == usual_days else f" There are {days}: {fewer} than that, as told."
    return DaysAdvice(days or usual_days, minutes or usual_minutes, why)


def layoff_notice(last: date | None, week_start: date) -> str:
    """What to do about a long time since the last session; '' where there is nothing to."""
    weeks = (week_start - last).days / 7 if last else 0.0
    if weeks <= LAYOFF_WEEKS:
        return ""
    return (
        f"Nothing is logged for {weeks:.0f} weeks: begin a block with {weeks:.0f} weeks away, so "
        "that the way back starts at half the sets and rises over as many weeks."
    )


def notices(
    trainee: Trainee, problem: PlanningProblem, places: tuple[Venue, ...]
) -> tuple[str, ...]:
    """What the coach should know of a week before it is planned."""
    advice = []
    push = any(task.push for task in problem.tasks)
    pull = any(task.pull for task in problem.tasks)
    if push and not pull:
        advice.append(missing_pull(places, trainee))
    if pull and not push:
        advice.append(missing_push(trainee))
    if len(problem.days) == 1:
        advice.append("One day a week is too little for a region: two at least, three are good.")
    advice += [f"{item.name}: {item.why}" for item in trainee.preparation()]
    return tuple(advice)


PUSHES = ("push-up", "knee-push-up", "wall-push-up", "dip", "palm-squeeze", "wall-press-hold")
"""What pushes, the plainest first."""

PULLS = ("row", "upright-row", "feet-helped-pull-up", "pull-up", "towel-row", "towel-foot-row")
"""What pulls, the plainest first."""


def _open_of(ids: tuple[str, ...], trainee: Trainee) -> str:
    """The first of some movements that is open to someone with any kit, by name; '' for none."""
    if trainee.guard is not None:
        anywhere = replace(trainee.guard, rooms=())
        trainee = replace(trainee, guard=anywhere, open_movements=anywhere.open_movements)
    movements = (catalogue().find_movement(movement_id) for movement_id in ids)
    named = (movement.name.lower() for movement in movements if not trainee.shut(movement))
    return next(named, "")


def missing_push(trainee: Trainee) -> str:
    """What would push, of what is open to them."""
    first = _open_of(PUSHES, trainee)
    if not first:
        return "Nothing pushes this week, and nothing that pushes is open now."
    return f"Nothing pushes this week: add the {first}."


def missing_pull(places: tuple[Venue, ...], trainee: Trainee) -> str:
    """What is missing for a pull, and the cheapest safe remedy that is open to them."""
    first = _open_of(PULLS, trainee)
    if not first:
        return "Nothing pulls this week, and nothing that pulls is open now."
    kinds = frozenset[Kind]().union(*(place.kinds for place in places))
    names = ", ".join(place.name for place in places) or "the places given"
    if {"bar", "rings", "straps"} & kinds:
        return f"Nothing pulls this week, though {names} has what it takes: add the {first}."
    if "towel" in kinds or "stick" in kinds:
        return (
            "Nothing pulls this week: with the towel or stick at hand, add the seated row against "
            "the own feet."
        )
    return (
        f"Nothing pulls this week, and {names} has nothing to pull on. The cheapest safe remedy "
        "is a towel for rows against the own feet; then straps with an anchor rated and checked."
    )
