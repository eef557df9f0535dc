"""A simulated athlete who goes on as they do: what they can do day by day, and what logs tell."""

import math
from dataclasses import dataclass
from datetime import date, timedelta
from statistics import median

import numpy as np

from invelo.domain.estimate import Array
from invelo.domain.review.trend import TrendPoint
from invelo.domain.simulation.cast import Member
from invelo.domain.simulation.response import answer_of
from invelo.domain.training.log import SetRecord

SETS = 3
"""Hard sets of a session."""

TELLING = 0.03
"""Standard deviation of what a day's sets tell of capacity, besides the day's own (ours)."""

MIDDLE_OF = 3
"""Days whose middle is told, as a placement takes them."""


@dataclass(frozen=True)
class Course:
    """Years of one athlete.

    Attributes:
        first: day of the first value.
        truth: true capacity by day, mean of the last seven, shape `(days,)`.
        told: capacity as a placement would tell it, on days of training.
    """

    first: date
    truth: Array
    told: tuple[TrendPoint, ...]


def course(member: Member, weeks: int, first: date) -> Course:
    """An athlete who trains on steadily: the same days, skipping as they do, efforts as they come.

    Args:
        member: who.
        weeks: how long.
        first: a Monday.
    """
    luck = np.random.default_rng([member.seed, 4])
    response = answer_of(member.talent)
    truth, days, points = [], [], []
    for index in range(7 * weeks):
        day = first + timedelta(days=index)
        away, long = member.talent.away
        here = not away <= index < away + long
        if day.weekday() in member.talent.days and here and luck.random() >= member.talent.skips:
            noise = math.hypot(member.talent.day, TELLING)
            days.append(response.capacity * math.exp(luck.normal(0.0, noise)))
            points.append(TrendPoint(day, median(days[-MIDDLE_OF:])))
            rpes = np.clip(luck.normal(8.5, 0.7, SETS), 5.0, 10.0)
            response.train([(SetRecord("", 8.0, float(rpe)), 9.0) for rpe in rpes])
        truth.append(response.capacity)
        response.rest()
    smooth = [float(np.mean(truth[max(0, i - 6) : i + 1])) for i in range(len(truth))]
    return Course(first, np.array(smooth), tuple(points))
