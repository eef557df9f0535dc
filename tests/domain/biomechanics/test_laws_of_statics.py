"""What plane statics says of every posture of the catalogue, whatever the model's constants.

Forces and torques that hold a body still are linear in its mass, and lengths scale levers: laws of
mechanics, not of this model, so that no constant can be fitted to them (any textbook of statics).
"""

from dataclasses import replace

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.figure import figure
from invelo.domain.biomechanics.reading import Reading, reading
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers, Movement
from invelo.domain.ladder.placement import place
from tests.domain.ladder.test_placement import seen
from tests.domain.people import AVERAGE, ready

pytestmark = pytest.mark.law

WEIGHED = tuple(
    one for one in catalogue().movement if one.posture.counted != "rpe" and not one.rpe_only
)
HOLDS = tuple(one for one in WEIGHED if one.unit == "s")
LEVERS = ("front-lever", "tuck-front-lever", "straddle-front-lever", "back-lever", "l-sit")
"""Free bodies from a bar or on the hands, with no length set in metres."""

LYING = {"back", "shoulders", "forearms", "knees"}

every = pytest.mark.parametrize("movement", WEIGHED, ids=lambda one: one.id)


def read(movement: Movement, body: Body = AVERAGE) -> Reading:
    return reading(body, movement.own(Modifiers()).setup(movement))


def test_there_is_much_to_look_at() -> None:
    assert len(WEIGHED) > 80
    assert len(HOLDS) > 20


@every
def test_twice_the_mass_is_twice_the_demand(movement: Movement) -> None:
    """Nothing is worn or held, so that everything that pulls is body."""
    light, heavy = read(movement), read(movement, replace(AVERAGE, mass=2 * AVERAGE.mass))
    times = 1 if light.unit == "%" else 2  # of what a leg does, which grows with the body
    assert heavy.demand.likely == pytest.approx(times * light.demand.likely, rel=1e-9)
    for name, torque in light.torque.items():
        assert heavy.torque[name][:, 0] == pytest.approx(2 * torque[:, 0], rel=1e-6, abs=1e-6)


@every
def test_a_share_of_the_body_knows_no_mass(movement: Movement) -> None:
    light, heavy = read(movement), read(movement, replace(AVERAGE, mass=110.0))
    assert heavy.share.likely == pytest.approx(light.share.likely, rel=1e-9)


@every
def test_a_demand_lies_within_its_range_and_is_no_less_than_nothing(movement: Movement) -> None:
    told = read(movement).demand
    assert 0 <= told.low <= told.likely <= told.high
    assert told.unit in ("kg", "N·m", "%")


@every
def test_work_is_linear_in_mass_and_a_hold_or_a_level_plane_does_none(movement: Movement) -> None:
    light, heavy = read(movement), read(movement, replace(AVERAGE, mass=2 * AVERAGE.mass))
    assert heavy.work.likely == pytest.approx(2 * light.work.likely, rel=1e-9, abs=1e-9)
    if movement.unit == "s" or light.setup.form.level_plane:
        assert light.work.likely == pytest.approx(0.0, abs=1e-9)
    else:
        assert light.work.likely > 0


@pytest.mark.parametrize("name", LEVERS)
@given(scale=st.floats(0.8, 1.25))
@settings(max_examples=15)
def test_a_longer_body_of_the_same_mass_is_a_longer_lever(name: str, scale: float) -> None:
    """Alike in shape, every distance grows with stature and so does every torque."""
    movement = catalogue().find_movement(name)
    short = read(movement).demand.likely
    tall = read(movement, replace(AVERAGE, stature=scale * AVERAGE.stature)).demand.likely
    assert tall == pytest.approx(scale * short, rel=1e-6)


@pytest.mark.parametrize("name", LEVERS)
def test_forces_do_not_grow_with_stature(name: str) -> None:
    """What the hands carry is the weight, however long the body."""
    movement = catalogue().find_movement(name)
    short, tall = read(movement), read(movement, replace(AVERAGE, stature=1.95))
    for contact, force in short.contact.items():
        assert tall.contact[contact][:, 0] == pytest.approx(force[:, 0], rel=1e-6, abs=1e-6)


@every
def test_contacts_carry_the_weight_between_them(movement: Movement) -> None:
    """Vertical forces of all that touches add up to the weight, at each place along the rep; where
    a back, forearms or knees lie on the floor, it carries what lies there by itself."""
    told = read(movement)
    weight = 9.80665 * AVERAGE.mass
    if told.setup.form.level_plane or told.posture.outside:
        return  # seen from above, or pulled from outside: the weight is carried elsewhere too
    for depth in range(len(told.depths)):
        added_load = sum(float(force[depth, 0, 1]) for force in told.contact.values())
        if told.contact.keys() & LYING:
            assert 0.3 * weight < added_load < weight
        else:
            assert added_load == pytest.approx(weight, rel=2e-3)


@every
def test_the_same_question_is_answered_by_the_same_object(movement: Movement) -> None:
    """What was worked out once is not worked out again, nor is it another figure."""
    one, other = read(movement), read(movement, Body(mass=75.0, stature=1.75))
    assert one is other
    last = len(one.depths) - 1
    assert figure(one, last) is figure(other, last)
    assert figure(one, last) == figure.__wrapped__(one, last)


def test_a_place_that_was_found_is_found_again_and_new_evidence_finds_another() -> None:
    known = (seen(9),)
    placed = place(ready(), known)
    assert place(ready(), known) is placed
    again = place.__wrapped__(ready(), known)
    assert (again.index, again.predictions) == (placed.index, placed.predictions)
    better = place(ready(), (*known, seen(20, days_ago=-2)))
    assert better.index > placed.index
    assert place(ready(), known, frozenset({placed.index})).index != placed.index
