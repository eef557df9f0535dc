"""Laws of the catalogue that concern safety, over every entry (common practice throughout)."""

from math import inf

import pytest

from invelo.domain.athlete.caution import BEFORE_A_SESSION, HEAD_DOWN, cautions_of
from invelo.domain.athlete.strain import AVERAGE, strains
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import BAND_CAUTION, Modifiers, Movement
from invelo.domain.catalogue.needs import needs_of
from invelo.domain.strength.says import work_of

EVERY = catalogue().movement
PAIRS = [
    (movement, catalogue().find_movement(fault.easier))
    for movement in EVERY
    for fault in movement.fault
    if fault.easier
]
NEVER_MORE = ("impact", "straight arms", "one hand", "hanging", "neck load")
"""What an easier movement asks no more of, whatever else changes."""

ONE_STEP_ASIDE = {
    ("hanging-knee-raise", "bent-knee-leg-lower"),  # on the back in place of a bar
    ("dip", "support-hold"),  # its top, held
    ("standing-side-raise", "side-leg-raise"),
}


def of(movement: Movement) -> dict[str, float]:
    return dict(strains(AVERAGE, movement, movement.own(Modifiers())))


@pytest.mark.parametrize(("harder", "easier"), PAIRS, ids=lambda one: one.id)
def test_what_is_called_easier_is_easier(harder: Movement, easier: Movement) -> None:
    if (harder.id, easier.id) in ONE_STEP_ASIDE:
        return
    one, other = of(harder), of(easier)
    for quantity in NEVER_MORE:
        assert other.get(quantity, 0.0) <= one.get(quantity, 0.0), quantity
    assert other.get("head down", 0.0) <= one.get("head down", 0.0) + 25.0
    works = [work_of(AVERAGE, m, m.own(Modifiers())) for m in (harder, easier)]
    if all(works) and harder.posture.lane == easier.posture.lane:
        assert works[1].demand <= 1.2 * works[0].demand  # type: ignore[union-attr]
    for joint in ("shoulder", "elbow"):
        assert easier.stress.get(joint, 0) <= max(1, harder.stress.get(joint, 0)), joint  # type: ignore[call-overload]


@pytest.mark.parametrize("movement", EVERY, ids=lambda one: one.id)
def test_cautions_of_the_family_stand_beside_its_own(movement: Movement) -> None:
    family = next(one for one in catalogue().family if one.name == movement.family)
    for line in family.usual.get("cautions", ()):
        assert line in movement.cautions or line in movement.drops_cautions
    said = cautions_of(movement, Modifiers())
    assert len(set(said)) == len(said)
    assert not any("figure" in line or "effort is logged" in line for line in said), (
        "what the model does not tell is no caution"
    )


@pytest.mark.parametrize("movement", EVERY, ids=lambda one: one.id)
def test_what_is_hung_from_is_rated_and_bands_are_looked_at(movement: Movement) -> None:
    said = " ".join(cautions_of(movement, Modifiers()))
    if {"bar", "rings"} & set(movement.kit):
        assert "rated" in said or "check" in said
    if "band" in movement.kit:
        assert BAND_CAUTION in said
    if of(movement).get("head down", 0.0) >= 30.0:
        assert HEAD_DOWN in said


@pytest.mark.parametrize("movement", EVERY, ids=lambda one: one.id)
def test_heights_that_are_needed_make_sense(movement: Movement) -> None:
    for need in needs_of(AVERAGE, movement, Modifiers()):
        assert 0.0 <= need.low < need.high <= inf
        assert need.low <= 2.0
        assert need.kinds


def test_what_is_trained_three_times_a_week_is_not_of_the_hardest_class() -> None:
    for movement_id in (
        "planche-lean",
        "tuck-planche",
        "advanced-tuck-planche",
        "tuck-front-lever",
    ):
        movement = catalogue().find_movement(movement_id)
        assert max(movement.stress.values()) <= 2, movement_id
    for movement_id in ("planche", "straddle-planche", "front-lever", "one-leg-planche"):
        movement = catalogue().find_movement(movement_id)
        assert max(movement.stress.values()) == 3, movement_id
    assert catalogue().find_movement("one-leg-calf-raise").stress["ankle"] == 2


@pytest.mark.parametrize("movement", ["curl-up", "hollow", "round-and-hollow", "towel-floor-pull"])
def test_a_rounded_spine_under_load_is_told_to_whom_it_concerns(movement: str) -> None:
    assert any("osteoporosis" in line for line in catalogue().find_movement(movement).cautions)


def test_the_same_thing_is_said_once_before_a_session() -> None:
    assert len(set(BEFORE_A_SESSION)) == len(BEFORE_A_SESSION)
    wall_sit = catalogue().find_movement("wall-sit")
    breath = [line for line in wall_sit.cautions if "blood pressure" in line]
    assert breath == [line for line in BEFORE_A_SESSION if "blood pressure" in line]
