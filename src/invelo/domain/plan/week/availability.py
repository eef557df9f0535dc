"""What a coach asks of an athlete's weeks, standing from week to week."""

import re
from dataclasses import dataclass, replace
from datetime import date, timedelta

from invelo.domain.athlete.person import Person
from invelo.domain.catalogue.movement import Muscle
from invelo.domain.errors import InputError, require_within
from invelo.domain.plan.plan_overrides import NOTHING_BY_HAND, ByHand
from invelo.domain.plan.week.advice import DaysAdvice
from invelo.domain.plan.week.course import BUILDING, EASED, EASY_EVERY, CourseWeek, course
from invelo.domain.plan.week.problem import STRESSFUL_LIMIT, USUAL_WEIGHTS, Day, Pin, Weights
from invelo.domain.plan.week.tasks import SPREAD, Availability, Extra

USUAL_TIME = "18:00"
MOST_COURSE = 26


@dataclass(frozen=True)
class WeekDay:
    """A day of every week on which there is time.

    Attributes:
        index: 0 for Monday.
        minutes: there are.
        place: key of where, '' for anywhere.
        at: when it begins, wall time "HH:MM" in the athlete's zone.
    """

    index: int
    minutes: int
    place: str = ""
    at: str = USUAL_TIME

    def __post_init__(self) -> None:
        """Check ranges."""
        Day(self.index, self.minutes, self.place)
        check_time(self.at)


def check_time(text: str) -> None:
    """Refuse what is no wall time.

    Raises:
        InputError: if it is not "HH:MM".
    """
    if not re.fullmatch(r"([01]\d|2[0-3]):[0-5]\d", text):
        raise InputError("time", f"“{text}” is no time of day.", "Write it as 18:00.")


@dataclass(frozen=True)
class StandingAvailability:
    """What is asked of every week.

    Attributes:
        days: on which there is time.
        extras: movements beside the ladders.
        targets: hard sets a week by region, where they differ from the usual.
        weights: of the soft terms.
        hands: sets, formats and what is done together, by hand.
        stressful_limit: days a week for each of the most stressful rungs.
        begun: the Monday on which the block began; None for no block.
        weeks: of the block.
        easy_every: how often a week is easy.
        away: weeks away before the block.
        eased: Mondays of weeks that were asked to ease.
        rarely: ladders whose days a week were decided, with how many.
    """

    days: tuple[WeekDay, ...]
    extras: tuple[Extra, ...] = ()
    targets: tuple[tuple[Muscle, float], ...] = ()
    weights: Weights = USUAL_WEIGHTS
    hands: ByHand = NOTHING_BY_HAND
    stressful_limit: int = STRESSFUL_LIMIT
    begun: date | None = None
    weeks: int = 8
    easy_every: int = EASY_EVERY
    away: float = 0.0
    eased: tuple[date, ...] = ()
    rarely: tuple[tuple[str, int], ...] = ()

    def __post_init__(self) -> None:
        """Check ranges."""
        if not self.days:
            raise InputError(
                "days", "there is none to train on.", "Give at least one day with its minutes."
            )
        indices = [day.index for day in self.days]
        if len(set(indices)) != len(indices):
            raise InputError("days", "one is named twice.", "Name each once.")
        require_within("limit of the most stressful", self.stressful_limit, 1, 7, "days")
        for region, sets in self.targets:
            require_within(f"target of the {region}", sets, 0, 60, "sets")
        for _, days in self.rarely:
            require_within("days a week of a ladder", days, 1, 7, "days")
        course(self.weeks, self.away, self.easy_every)
        if self.begun is not None and self.begun.weekday() != 0:
            raise InputError("block", "it begins on another day.", "Begin it on a Monday.")

    def week(self, week_start: date) -> CourseWeek:
        """Which week of the block one is; building outside of it, easy where that was asked."""
        if week_start in self.eased:
            return EASED
        if self.begun is None:
            return BUILDING
        number = (week_start - self.begun).days // 7
        weeks = course(self.weeks, self.away, self.easy_every)
        return weeks[number] if 0 <= number < len(weeks) else BUILDING

    def of(self, week_start: date, today: date, pins: tuple[Pin, ...]) -> Availability:
        """As one week has them; days before today are past."""
        days = tuple(
            Day(
                week_day.index,
                week_day.minutes,
                week_day.place,
                week_start + timedelta(days=week_day.index) < today,
            )
            for week_day in sorted(self.days, key=lambda day: day.index)
        )
        return Availability(
            days=days,
            extras=self.extras,
            pins=pins,
            targets=self.targets,
            weights=self.weights,
            hands=self.hands,
            week=self.week(week_start),
            stressful_limit=self.stressful_limit,
            days_of_ladders=self.rarely,
        )

    def easing(self, week_start: date) -> "StandingAvailability":
        """The same with a week more that is asked to ease."""
        return replace(self, eased=tuple(sorted({*self.eased, week_start})))

    def coming_back(self, week_start: date, away: float) -> "StandingAvailability":
        """The same with a block that begins after so many weeks away."""
        weeks = min(MOST_COURSE, max(self.weeks, int(away) + self.easy_every))
        return replace(self, begun=week_start, away=away, weeks=weeks)

    def keeping_to(self, ladder: str, days: int) -> "StandingAvailability":
        """The same with a ladder on so many days a week."""
        others = tuple(preference for preference in self.rarely if preference[0] != ladder)
        return replace(self, rarely=(*others, (ladder, days)))


def usual_availability(person: Person, advice: DaysAdvice) -> StandingAvailability:
    """What is asked where nobody has said: the person's days and minutes, spread over the week and
    over their places in turn."""
    places = person.places or ("",)
    return StandingAvailability(
        tuple(
            WeekDay(index, advice.minutes, places[i % len(places)])
            for i, index in enumerate(SPREAD[advice.days])
        )
    )


def week_start_of(day: date) -> date:
    """The Monday of a day's week."""
    return day - timedelta(days=day.weekday())


def next_week_start(today: date) -> date:
    """The first day of the week that comes; today, if it begins today."""
    return today if today.weekday() == 0 else week_start_of(today) + timedelta(days=7)
