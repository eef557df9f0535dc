"""The daily minimum: one rep at a fixed moment of the day, ticked off with a good word.

It stays so easy that it needs no warm-up; more is welcome and never required. It is tried out a
few times on its first day, and changed as soon as its moment proves wrong.

Source: common practice, where a constant does not say otherwise.
"""

from collections.abc import Iterable
from dataclasses import dataclass
from datetime import date, timedelta
from uuid import UUID

from invelo.domain.catalogue.movement import Movement
from invelo.domain.errors import InputError, require_within
from invelo.domain.plan.methods import HABIT_SESSIONS
from invelo.domain.plan.week.availability import check_time

MOMENTS = (
    "after brushing the teeth",
    "while the kettle boils",
    "before the shower",
    "when the shoes come off",
    "after the first coffee",
    "before the lights go out",
)
"""To choose from; any other will do."""

MOST_REPS, MOST_SECONDS = 5, 10
"""Of the asked prescription: a daily minimum stays small (ours)."""

TRIES = 5
"""Times it is tried out on the first day (common practice)."""

MOST_RUNNING = 3
"""Daily minimums at once: more of them are a session (ours)."""

LAPSED = 3
"""Days missed in a row from which the moment is asked about (ours)."""

GOOD_WORDS = ("Done.", "Good.", "There it is.", "Kept.", "Well kept.", "And again.")

HARD = 3
"""Class of joint stress that is too much without a warm-up."""


def hard(movement: Movement) -> bool:
    """Whether it stresses a joint too much to be done without a warm-up."""
    return any(stress >= HARD for stress in movement.stress.values())


@dataclass(frozen=True)
class DailyMinimum:
    """One movement at one moment.

    Attributes:
        movement: which.
        amount: reps, or seconds of a hold; 1 to 5, or 1 to 10.
        moment: what it is tied to, in words.
        at: wall time of it, "HH:MM", for the calendar.
        cheer: the good word they give themselves, '' for one of ours.
        in_sight: what is left in sight, so that it is thought of.
    """

    movement: Movement
    amount: int
    moment: str
    at: str
    cheer: str = ""
    in_sight: str = ""

    def __post_init__(self) -> None:
        """Keep it small, tied to something, and easy enough for no warm-up."""
        check_time(self.at)
        if not self.moment.strip():
            raise InputError("moment", "it is empty.", f"Tie it to one, such as {MOMENTS[0]}.")
        if self.movement.unit == "cm":
            raise InputError("movement", "a jump wants a warm-up.", "Take a rep or a hold.")
        most = MOST_SECONDS if self.movement.unit == "s" else MOST_REPS
        require_within("amount", self.amount, 1, most, self.movement.unit)
        if hard(self.movement):
            raise InputError(
                "movement",
                f"{self.movement.name.lower()} stresses a joint hard, and nothing warms up for it.",
                "Take an easier one of its family.",
            )


@dataclass(frozen=True)
class RunningDailyMinimum:
    """A daily minimum that runs, as it was agreed.

    Attributes:
        id: as stored.
        movement, amount: which, and reps or seconds of it.
        moment, at: what it is tied to, and the wall time of that.
        begun_on, time_zone: its first day, and where.
    """

    id: UUID
    movement: Movement
    amount: int
    moment: str
    at: str
    begun_on: date
    time_zone: str


@dataclass(frozen=True)
class DailyMinimumStatus:
    """How a daily minimum goes.

    Attributes:
        run: days in a row up to today, or up to yesterday while today is open.
        done, days: ticked, of the days since it began.
        missed: days missed in a row before today.
        tries: trials of the first day.
        today: whether today is ticked.
        note: a good word, or what to do.
    """

    run: int
    done: int
    days: int
    missed: int
    tries: int
    today: bool
    note: str


def standing(
    begun: date, ticks: Iterable[date], tries: int, today: date, cheer: str = ""
) -> DailyMinimumStatus:
    """How it goes, on a day.

    Args:
        begun: its first day.
        ticks: days on which it was done.
        tries: trials of the first day.
        today: the athlete's own calendar day.
        cheer: their own good word, '' for one of ours.
    """
    done = {day for day in ticks if begun <= day <= today}
    run = _run(done, today if today in done else today - timedelta(days=1))
    yesterday = today - timedelta(days=1)
    missed = 0
    while yesterday - timedelta(days=missed) >= begun and (
        yesterday - timedelta(days=missed) not in done
    ):
        missed += 1
    days = (today - begun).days + 1
    return DailyMinimumStatus(
        run,
        len(done),
        max(1, days),
        missed,
        tries,
        today in done,
        _note(run, len(done), missed, tries, today == begun, today in done, cheer),
    )


def _run(done: set[date], last: date) -> int:
    run = 0
    while last - timedelta(days=run) in done:
        run += 1
    return run


def _note(
    run: int, done: int, missed: int, tries: int, first: bool, today: bool, cheer: str
) -> str:
    if first and tries < TRIES and not today:
        return f"Try it out now, {TRIES - tries} times, so that the moment knows it."
    if missed >= LAPSED:
        return f"Missed {missed} days: the moment is wrong, not you. Change it."
    if run >= HABIT_SESSIONS:
        return f"{run} days running: two steady weeks. More is there if you want it."
    if today:
        return cheer or GOOD_WORDS[done % len(GOOD_WORDS)]
    return "Open today."
