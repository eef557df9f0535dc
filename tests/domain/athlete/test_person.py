"""Person: what may be told, and what cannot both be."""

import pytest

from invelo.domain.athlete.person import Person
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.errors import InputError


def test_everything_may_be_left_open() -> None:
    nobody = Person()
    assert nobody.new
    assert nobody.missing == ("goals", "training age", "days and minutes", "places")
    told = Person(("pull-up",), training_years=3, days=3, minutes=30, places=("a",))
    assert told.missing == ()
    assert not told.new


@pytest.mark.parametrize(
    ("told", "field"),
    [
        ({"goals": ("flying",)}, "goals"),
        ({"goals": ("row", "row")}, "goals"),
        ({"dislikes": ("flying",)}, "dislikes"),
        ({"goals": ("pull-up",), "dislikes": ("pull-up",)}, "dislikes"),
        ({"days": 8}, "days"),
        ({"days": 0}, "days"),
        ({"minutes": 600}, "minutes"),
        ({"training_years": -1}, "training years"),
        ({"training_years": float("nan")}, "training years"),
    ],
)
def test_what_cannot_be_is_refused(told: dict, field: str) -> None:
    with pytest.raises(InputError) as caught:
        Person(**told)
    assert caught.value.field == field


def test_every_skill_leads_through_families_that_are_tested() -> None:
    tested = {test.of.family for test in catalogue().test}
    for skill in catalogue().skill:
        assert set(skill.families) <= tested, skill.id
        if skill.movement:
            assert catalogue().find_movement(skill.movement)
