"""Finding movements by what people call them."""

from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.finder import names_of, plain
from tests.domain.catalogue.everyday_names import pairs


def found(words: str) -> list[str]:
    return [movement.id for movement in catalogue().finder.find(words)]


def test_everyday_names_find_the_right_movement_first() -> None:
    """Common practice: of more than 150 names at least 98 % come first."""
    asked = pairs()
    wrong = [(name, movement) for name, movement in asked if found(name)[:1] != [movement]]
    assert len(asked) >= 150
    assert len(wrong) <= 0.02 * len(asked), wrong


def test_a_press_up_is_no_pike_push_up() -> None:
    assert found("press up")[0] == "push-up"
    assert "pike-push-up" not in found("press up")[:3]


def test_every_name_and_synonym_finds_its_movement() -> None:
    for movement in catalogue().movement:
        for name in names_of(movement):
            assert movement in catalogue().called(name), name
            assert movement.id in found(name), name
        assert found(movement.name)[0] == movement.id


def test_hyphens_plurals_and_capitals_are_one() -> None:
    assert plain("Push-Ups") == plain("push up") == plain("pushup")
    assert plain("Press") == "press"
    assert plain("Crunches") == plain("crunch")


def test_a_name_that_means_several_finds_all_of_them() -> None:
    assert {one.id for one in catalogue().called("incline push-up")} == {
        "counter-push-up",
        "chair-push-up",
    }


def test_nonsense_and_nothing_are_borne() -> None:
    assert found("xyzzy plugh") == []
    assert len(found("")) == 20
    assert found("(((") == found("")
