"""Bands as a coach says them, and where they hang."""

import pytest

from invelo.domain.biomechanics.posture.form import form
from invelo.domain.equipment.band_words import hung, said_band
from invelo.domain.errors import InputError
from invelo.domain.strength.bands import Pull, fit


def band(newtons: float, rest: float = 1.0):
    """Pulls five times; rubber's force at twice the rest length is `newtons`."""
    lengths = (1.2, 1.4, 1.6, 1.8, 2.0)
    steps = [Pull(rest * x, newtons * (x - x**-2.0) / 1.75) for x in lengths]
    return fit(rest, tuple(steps))


KNOWN = (("red", band(100)), ("blue", band(200)), ("long at 2 m", band(300, 2.0)))


def at(words: str, length: float) -> float:
    return said_band(words, KNOWN).pull(length).likely


def test_a_band_is_meant_whatever_its_case_and_keeps_its_name() -> None:
    assert said_band(" Red ", KNOWN).name == "red"
    assert at("red", 2.0) == pytest.approx(100, rel=0.02)


def test_folded_in_two_both_halves_pull_at_twice_the_stretch() -> None:
    # two halves of half the length, pulled to the same stretch, pull twice (springs in parallel)
    assert at("red folded", 1.0) == pytest.approx(2 * at("red", 2.0))
    assert said_band("red, folded in two", KNOWN).name == "red folded"


def test_side_by_side_forces_add() -> None:
    assert at("red + blue", 1.7) == pytest.approx(at("red", 1.7) + at("blue", 1.7))
    assert said_band("red + blue", KNOWN).name == "red + blue"


@pytest.mark.parametrize("words", ["red at 0.5 m", "red at 0,5 m", "red at 50 cm"])
def test_gripped_shorter_it_pulls_as_much_at_half_the_length(words: str) -> None:
    assert at(words, 1.0) == pytest.approx(at("red", 2.0))


def test_a_name_that_looks_like_a_grip_is_a_name() -> None:
    assert said_band("long at 2 m", KNOWN).rest == 2.0


@pytest.mark.parametrize(
    ("words", "remedy"),
    [
        ("green", "Use “red”"),
        ("red + blue + red + blue + red", "thicker"),
        ("red at 3 m", "1 m or less"),
        ("red + long at 2 m", "shorter"),
    ],
)
def test_what_is_no_band_is_refused_with_what_to_do(words: str, remedy: str) -> None:
    with pytest.raises(InputError) as refused:
        said_band(words, KNOWN)
    assert remedy in refused.value.remedy


@pytest.mark.parametrize(
    ("name", "place", "hands"),
    [("pull_up", "hips", True), ("dip", "hips", True), ("push_up", "shoulders", True)],
)
def test_it_hangs_where_such_a_movement_has_one(name: str, place: str, hands: bool) -> None:
    hold = hung(KNOWN[0][1], form(name), None)
    assert (hold.at, hold.in_hands) == (place, hands)


def test_under_the_feet_it_loads_a_squat() -> None:
    hold = hung(KNOWN[0][1], form("squat"), None)
    assert (hold.at, hold.anchor_height, hold.in_hands) == ("shoulders", 0.0, False)


def test_where_its_place_is_not_known_it_is_set_up_by_hand() -> None:
    with pytest.raises(InputError, match="not known from its name"):
        hung(KNOWN[0][1], form("plank"), None)
