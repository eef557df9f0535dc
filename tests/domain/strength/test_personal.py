"""Personal fit: it finds what made the sets, and owns up where the sets say nothing."""

from datetime import date, timedelta

import numpy as np
import pytest

from invelo.domain.errors import InputError
from invelo.domain.strength.personal import GRID, RATIOS, Observed, fit
from invelo.domain.strength.tempo import ENDURANCE_EXPONENT, REFERENCE_REP

DAY = date(2026, 3, 2)


def sets(
    capacity: float = 70.0,
    growth: float = 0.01,
    g: float = ENDURANCE_EXPONENT,
    endurance: float = 1.0,
    loads: tuple[float, ...] = (40.0, 46.0, 52.0, 58.0),
    seconds: tuple[float, ...] = (1.2, 2.0, 3.0, 4.0),
    count: int = 48,
    noise: float = 0.0,
) -> tuple[Observed, ...]:
    """Sets that a person with these figures would do, over eight weeks."""
    random = np.random.default_rng(7)
    made = []
    for i in range(count):
        load, rep = loads[i % len(loads)], seconds[(i // len(loads)) % len(seconds)]
        day = DAY + timedelta(days=i * 56 // count)
        then = capacity * np.exp(growth * (day - DAY).days / 7)
        plain = float(np.interp((then / load) ** (1 / endurance), RATIOS["upper"], GRID))
        reps = plain * (REFERENCE_REP / rep) ** g * np.exp(random.normal(0, noise))
        made.append(Observed(day, load, rep, float(np.clip(reps, 1, 60))))
    return tuple(made)


@pytest.mark.parametrize("g", [0.5, 0.65, 0.8])
def test_it_finds_how_tempo_tells(g: float) -> None:
    assert fit(sets(g=g)).g.likely == pytest.approx(g, abs=0.05)


@pytest.mark.parametrize("endurance", [0.85, 1.0, 1.15])
def test_it_finds_how_reps_fall_near_the_end(endurance: float) -> None:
    assert fit(sets(endurance=endurance)).endurance.likely == pytest.approx(endurance, abs=0.05)


def test_it_finds_growth_and_the_newest_capacity() -> None:
    found = fit(sets(growth=0.015))
    assert found.growth.likely == pytest.approx(1.5, abs=0.3)
    assert found.capacity.likely == pytest.approx(70 * np.exp(0.015 * 55 / 7), rel=0.02)


def test_noise_is_covered_by_the_interval_and_more_sets_narrow_it() -> None:
    few, many = (fit(sets(g=0.75, count=n, noise=0.08)).g for n in (12, 96))
    assert many.low <= 0.75 <= many.high
    assert many.high - many.low < few.high - few.low


def test_sets_of_one_tempo_leave_g_at_its_default_and_say_so() -> None:
    found = fit(sets(g=1.3, seconds=(2.0,)))
    assert found.g.likely == pytest.approx(ENDURANCE_EXPONENT, abs=0.01)
    assert "nearly the default" in found.g.derivation.note
    assert found.sets == 48


def test_it_says_where_it_is_carried_past_the_data() -> None:
    found = fit(sets())
    inside, silent = found.reps(50.0, 2.0)
    outside, note = found.reps(30.0, 2.0)
    assert inside < outside
    assert silent == ""
    assert "past the data" in note


def test_too_few_sets_are_refused() -> None:
    with pytest.raises(InputError, match="too few"):
        fit(sets(count=3))
