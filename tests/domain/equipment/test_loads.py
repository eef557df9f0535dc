"""Loads to hand: exact, fewest pieces, within the bag."""

from itertools import product

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from invelo.domain.equipment.loads import Thing, pick, water
from invelo.domain.errors import InputError

SAND = (Thing("sandbag 2.5", 2.5, 4), Thing("sandbag 5", 5.0, 2), Thing("sandbag 10", 10.0, 1))


def test_the_fewest_pieces_are_taken() -> None:
    assert [(t.name, n) for t, n in pick(SAND, 12.5).pieces] == [
        ("sandbag 2.5", 1),
        ("sandbag 10", 1),
    ]


def test_nearest_among_equally_few() -> None:
    books = (Thing("atlas", 1.9), Thing("dictionary", 2.1), Thing("novel", 0.4, 5))
    assert pick(books, 2.05).pieces[0][0].name == "dictionary"


@settings(max_examples=40)
@given(
    st.lists(st.tuples(st.integers(2, 40), st.integers(0, 3)), min_size=1, max_size=4),
    st.integers(2, 60),
)
def test_no_choice_beats_it(things: list[tuple[int, int]], target: int) -> None:
    """Against every choice there is, tried one by one."""
    kit = tuple(Thing(f"thing {i}", kg / 4, n) for i, (kg, n) in enumerate(things))
    goal, tolerance = target / 4, 0.3
    choices = [
        (sum(numbers), abs(sum(n * t.kg for n, t in zip(numbers, kit, strict=True)) - goal))
        for numbers in product(*(range(t.count + 1) for t in kit))
    ]
    good = [one for one in choices if one[1] <= tolerance + 1e-9]
    if not good:
        with pytest.raises(InputError, match="things"):
            pick(kit, goal, tolerance, limit=200)
        return
    found = pick(kit, goal, tolerance, limit=200)
    assert (sum(n for _, n in found.pieces), abs(found.off)) == pytest.approx(min(good))


def test_kits_of_twelve_equal_brute_force() -> None:
    """Every choice of twelve things, up to two of each, weighed at once."""
    random = np.random.default_rng(12)
    for _ in range(25):
        counts = random.integers(1, 3, 12)
        weights = random.integers(1, 120, 12) / 20
        kit = tuple(
            Thing(f"thing {i}", float(kg), int(n))
            for i, (kg, n) in enumerate(zip(weights, counts, strict=True))
        )
        goal = float(random.integers(20, 300)) / 20
        choices = np.stack(
            np.meshgrid(*(np.arange(n + 1) for n in counts), indexing="ij"), axis=-1
        ).reshape(-1, 12)
        off, pieces = np.abs(choices @ weights - goal), choices.sum(axis=1)
        near = off <= 0.1 + 1e-9
        if not near.any():
            with pytest.raises(InputError, match="things"):
                pick(kit, goal, 0.1, limit=50)
            continue
        fewest = int(pieces[near].min())
        found = pick(kit, goal, 0.1, limit=50)
        assert sum(n for _, n in found.pieces) == fewest
        assert abs(found.off) == pytest.approx(
            float(off[near & (pieces == fewest)].min()), abs=1e-6
        )


def test_a_litre_of_water_is_a_kilogram() -> None:
    """Common practice; 0.998 kg at 20 °C (CRC Handbook of Chemistry and Physics, from memory)."""
    assert water(1.0) == pytest.approx(1.0, abs=0.005)
    assert water(1.5) == pytest.approx(1.497)


def test_what_cannot_be_made_tells_the_nearest() -> None:
    with pytest.raises(InputError) as caught:
        pick((Thing("sandbag 5", 5.0, 1),), 8.0)
    assert "5 kg" in caught.value.remedy


@pytest.mark.parametrize(
    ("given", "field"),
    [
        ({"target": 20.0}, "target"),
        ({"target": 0.0}, "target"),
        ({"target": 5.0, "tolerance": -1.0}, "tolerance"),
        ({"target": 5.0, "things": ()}, "things"),
    ],
)
def test_bad_requests_name_the_field(given: dict, field: str) -> None:
    with pytest.raises(InputError) as caught:
        pick(**{"things": SAND} | given)
    assert caught.value.field == field


def test_a_thing_without_weight_is_refused() -> None:
    with pytest.raises(InputError, match="weight of feather"):
        Thing("feather", 0.001)
