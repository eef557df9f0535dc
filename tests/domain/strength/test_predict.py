"""From what was done to what can be done elsewhere, and what that must not be asked of."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from invelo.domain.biomechanics.reading import reading
from invelo.domain.biomechanics.setup import Assistance, set_up
from invelo.domain.errors import InputError
from invelo.domain.plan.prescription import Unit
from invelo.domain.strength.predict import Done, Known
from invelo.domain.strength.tempo import Tempo
from tests.domain.people import AVERAGE


def known(movement: str, **changes: object) -> Known:
    units: dict[str, Unit] = {"reps": "reps", "seconds": "s"}
    amount, unit = next(
        (changes.pop(name), unit) for name, unit in units.items() if name in changes
    )
    tempo = changes.pop("tempo", Tempo())
    return Known(AVERAGE, Done.given(set_up(movement, **changes), amount, unit, tempo, 10.0))


@pytest.mark.parametrize("movement", ["row", "pull_up", "squat", "dip", "bridge"])
@given(reps=st.integers(1, 15))
def test_the_same_set_up_gives_the_same_reps(movement: str, reps: int) -> None:
    done = known(movement, reps=reps)
    there = reading(AVERAGE, done.done.setup)
    assert done.expected(there, Tempo()).likely == pytest.approx(reps, rel=0.02)


@pytest.mark.parametrize("movement", ["planche", "front_lever", "l_sit", "plank", "wall_sit"])
@pytest.mark.parametrize("seconds", [6.0, 12.0, 40.0])
def test_the_same_hold_gives_the_same_seconds(movement: str, seconds: float) -> None:
    done = known(movement, seconds=seconds)
    there = reading(AVERAGE, done.done.setup)
    assert done.expected(there, Tempo()).likely == pytest.approx(seconds, rel=1e-3)


def test_an_easier_set_up_gives_more_and_a_harder_one_less() -> None:
    done = known("pull_up", reps=5)
    helped = reading(AVERAGE, set_up("pull_up", assistance=Assistance(15.0, "feet")))
    one_arm = reading(AVERAGE, set_up("pull_up", share=80))
    assert done.expected(helped, Tempo()).likely > 8
    assert done.expected(one_arm, Tempo()).likely < 1


@pytest.mark.parametrize(
    ("movement", "done", "field"),
    [
        ("push_up", {"seconds": 10}, "reps"),
        ("planche", {"reps": 3}, "hold"),
        ("planche", {"seconds": 0}, "hold"),
        ("push_up", {"reps": 0}, "reps"),
        ("jump", {"reps": 10}, "movement"),
    ],
)
def test_a_count_that_says_nothing_is_refused(movement: str, done: dict, field: str) -> None:
    with pytest.raises(InputError) as told:
        _ = known(movement, **done).greatest
    assert told.value.field == field
    assert told.value.remedy


def test_another_measure_is_not_predicted() -> None:
    with pytest.raises(InputError, match="another measure"):
        known("push_up", reps=9).expected(reading(AVERAGE, set_up("planche")), Tempo())


def test_sixty_reps_are_spoken_to_by_the_equations_that_go_so_far() -> None:
    """Brzycki and Lander end at 15 reps; Epley, Lombardi, Mayhew, O'Conner and Wathan go on."""
    told = known("push_up", reps=60).greatest
    spoke = {one.name for one in told.derivation.inputs}
    assert {"Epley 1985", "Lombardi 1989", "Mayhew 1992", "O'Conner 1989", "Wathan 1994"} <= spoke
    assert not {"Brzycki 1993", "Lander 1985"} & spoke


def test_where_help_carries_all_nothing_is_left_to_count() -> None:
    done = known("pull_up", reps=5)
    lifted = reading(AVERAGE, set_up("pull_up", assistance=Assistance(74.0, "feet")))
    told = done.expected(lifted, Tempo())
    assert told.likely > 30
    assert "nothing is left" in told.derivation.formula
