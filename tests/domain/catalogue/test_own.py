"""Movements of a coach's own: computed like any other, refused where no body can do them."""

import pytest

from invelo.domain.biomechanics.reading import reading
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Fault, Modifiers, Movement
from invelo.domain.catalogue.own import (
    MUCH,
    PREFIX,
    USUAL,
    OwnMovement,
    learn,
    looked_at,
    settable,
)
from invelo.domain.errors import InputError
from tests.domain.people import trainee


def demand(movement: Movement) -> float:
    return reading(USUAL, movement.own(Modifiers()).setup(movement)).demand.likely


@pytest.mark.parametrize("base", catalogue().movement, ids=lambda one: one.id)
def test_one_that_changes_nothing_asks_just_what_its_base_does(base: Movement) -> None:
    with looked_at(f"{PREFIX}test", OwnMovement(name="Same", base=base.id)) as own:
        assert demand(own) == pytest.approx(demand(base), rel=1e-9)
        assert (own.unit, own.family, own.kit) == (base.unit, base.family, base.kit)


def test_a_straighter_lever_asks_more_and_is_proposed_as_harder_on_its_joints() -> None:
    """A longer lever is harder (statics); the classes follow the torque."""
    base = catalogue().find_movement("tuck-front-lever")
    with looked_at(
        f"{PREFIX}test", OwnMovement(name="Half", base=base.id, start={"hip": 45.0, "knee": 60.0})
    ) as own:
        assert demand(own) > MUCH * demand(base)
        assert all(own.stress[joint] >= much for joint, much in base.stress.items())
        assert sum(own.stress.values()) > sum(base.stress.values()) or 3 in base.stress.values()


def test_a_joint_set_at_the_start_keeps_its_other_end() -> None:
    base = catalogue().find_movement("hanging-leg-raise")
    assert "knee" in settable(base.posture)
    with looked_at(
        f"{PREFIX}test", OwnMovement(name="Bent", base=base.id, end={"knee": 90.0})
    ) as own:
        assert own.posture.end["knee"] == 90.0
        assert own.posture.start.get("knee") == base.posture.start.get("knee")
        assert demand(own) < demand(base)  # bent legs are a shorter lever
        assert "knee" not in [one.sets for one in own.posture.parameter]


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"name": " "}, "name"),
        ({"base": "somersault"}, "movement"),
        ({"start": {"hip": 170.0}}, "start, hip"),
        ({"start": {"shoulder": 40.0}}, "start, shoulder"),  # settles by itself in a lever
        ({"end": {"hip": 40.0}}, "end"),  # it is held
        ({"prime": {"lats": 50}}, "movement"),  # half of the work is nobody's
        ({"values": {"no_such": 1.0}}, "no such"),
        ({"cues": ("One.", "Two.", "Three.", "Four.")}, "movement"),
    ],
)
def test_what_cannot_be_names_the_field(change: dict[str, object], field: str) -> None:
    own = {"name": "Mine", "base": "tuck-front-lever", **change}
    with pytest.raises(InputError) as refused:
        learn(f"{PREFIX}test", OwnMovement(**own))  # type: ignore[arg-type]
    assert refused.value.field == field
    assert refused.value.remedy


def test_it_is_open_or_closed_by_what_it_strains_like_any_other() -> None:
    own = OwnMovement(name="Mine", base="push-up", cues=("Slow.",), faults=(Fault("a", "b"),))
    with looked_at(f"{PREFIX}test", own) as movement:
        shut = trainee(open_movements=frozenset())
        assert shut.shut(movement)
        assert (movement.cues, movement.fault) == (("Slow.",), (Fault("a", "b"),))


def test_the_second_leg_stretched_lies_between_both_tucked_and_both_straight() -> None:
    """One leg out is harder than a tuck and easier than both out (statics)."""

    def asks(**angles: float) -> float:
        own = OwnMovement(name="Mine", base="tuck-front-lever", start=angles)
        with looked_at(f"{PREFIX}test", own) as movement:
            return demand(movement)

    tucked = {"hip": 110.0, "knee": 120.0}
    one_out = {**tucked, "other_hip": 0.0, "other_knee": 0.0}
    assert asks(**tucked) < asks(**one_out) < asks(hip=0.0, knee=0.0)


def test_on_one_foot_the_second_leg_is_not_free_to_be_set() -> None:
    split = catalogue().find_movement("split-squat").posture
    assert "other_hip" not in settable(split)
