"""The state of capacity against simulated athletes whose truth is known.

Three laws of how people answer to training, three abilities, months of sets rated as people rate.
The seeds were used for nothing else. The rule it replaced, the middle of the last three days with
the best constant error one can give it, is scored on the same sessions.
"""

from dataclasses import dataclass
from functools import cache
from math import log, pi
from statistics import NormalDist, fmean, median

import numpy as np
import pytest

from invelo.domain.simulation.cast import cast
from invelo.domain.simulation.response import LAWS, Law
from invelo.domain.strength.state import SET_SD, State, begin, seen
from tests.depth import depth
from tests.reference.lives import Lived, lived

SEED = 9001
ATHLETES = depth(12, 40)
SESSIONS, KNOWN = 60, 8
ABILITIES = (5, 20, 35)
USUAL = NormalDist()


@dataclass(frozen=True)
class Score:
    """What one session's prediction came to.

    Attributes:
        rank: where the truth lay in what was predicted, 0 to 1.
        log_score: of the prediction, of ln reps.
        error: of the rule that was replaced, of ln reps.
    """

    rank: float
    log_score: float
    error: float

    @property
    def inside(self) -> bool:
        return 0.1 <= self.rank <= 0.9


def _normal(x: float, mean: float, deviation: float) -> float:
    return -0.5 * ((x - mean) / deviation) ** 2 - log(deviation) - 0.5 * log(2 * pi)


@cache
def scores(law: Law, ability: int) -> tuple[Score, ...]:
    """Every session's prediction of its first set, of all athletes."""
    members = cast(ATHLETES, SEED + ability, 26, "push", 0.1, law)
    return tuple(score for member in members for score in _of_one(member, ability))


def _of_one(member, ability: int) -> list[Score]:
    state: State | None = None
    told: list[float] = []
    found: list[Score] = []
    for number, session in enumerate(lived(member, ability, SESSIONS)):
        if state is not None and number >= KNOWN:
            found.append(_score(state.later(session.day), session, told))
        state = seen(begin(session.seen) if state is None else state, session.seen)
        told.append(session.told)
    return found


def _score(state: State, session: Lived, told: list[float]) -> Score:
    mean, deviation = state.on(session.work)
    here, steep = session.work.log_count_at(mean)
    spread = float(np.hypot(steep * deviation, SET_SD))
    truth = log(session.can)
    return Score(
        USUAL.cdf((truth - here) / spread),
        _normal(truth, here, spread),
        truth - log(median(told[-3:])),
    )


def _all(law: Law) -> list[Score]:
    return [score for ability in ABILITIES for score in scores(law, ability)]


def _gain(those: list[Score]) -> float:
    """Mean log score over that of the old rule with the error that suits it best here."""
    errors = np.array([score.error for score in those])
    centre, deviation = float(errors.mean()), float(errors.std())
    old = fmean(_normal(float(error), centre, deviation) for error in errors)
    return fmean(score.log_score for score in those) - old


@pytest.mark.parametrize("law", LAWS)
def test_four_of_five_first_sets_lie_in_the_range(law: Law) -> None:
    assert 0.75 <= fmean(score.inside for score in _all(law)) <= 0.85


@pytest.mark.parametrize("law", LAWS)
def test_it_says_more_than_the_middle_of_three_days(law: Law) -> None:
    assert _gain(_all(law)) >= 0.08


@pytest.mark.parametrize("ability", ABILITIES)
def test_misses_lie_on_both_sides_at_every_ability(ability: int) -> None:
    """Who begins with five reps grows fast: their state runs a little behind, the weak spot."""
    ranks = [score.rank for law in LAWS for score in scores(law, ability)]
    assert 0.03 < fmean(rank < 0.1 for rank in ranks) < 0.2
    assert 0.03 < fmean(rank > 0.9 for rank in ranks) < (0.2 if ability > 5 else 0.3)
