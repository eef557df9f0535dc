"""A household scale under the feet: one factor for one body, and what it cannot be."""

from dataclasses import replace

import numpy as np
import pytest

from invelo.domain.athlete.household_scale import HeldPosition, Position, check
from invelo.domain.biomechanics.body import HANDS_PER_FORM, HANDS_SHARED, Body
from invelo.domain.biomechanics.reading import reading
from invelo.domain.biomechanics.setup import set_up
from invelo.domain.errors import InputError
from invelo.domain.estimate import Z80
from tests.domain.people import AVERAGE

POSITIONS: tuple[Position, ...] = ("floor, arms straight", "floor, low", "on the knees")


def would_read(body: Body, position: Position, factor: float = 1.0) -> float:
    """What a scale would read under a body whose hands carry a factor more than the model says."""
    form = "knee_push_up" if position == "on the knees" else "push_up"
    load = reading(body, set_up(form, foot_height=0.03))
    hands = load.measured[-1 if position == "floor, low" else 0, 0]
    return body.mass - factor * float(hands)


def readings(factor: float = 1.0, body: Body = AVERAGE) -> tuple[HeldPosition, ...]:
    return tuple(HeldPosition(each, would_read(body, each, factor)) for each in POSITIONS)


def test_a_body_like_the_model_stays_and_its_range_narrows() -> None:
    told = check(AVERAGE, 75.0, readings())
    assert told.factor.likely == pytest.approx(1.0, abs=1e-6)
    assert told.correction[1] < 0.6 * HANDS_SHARED  # three readings roughly halve the shared part
    assert "as the model says" in told.words


@pytest.mark.parametrize("factor", [0.92, 0.96, 1.04, 1.08])
def test_what_the_hands_carry_more_is_believed_for_the_most_part(factor) -> None:
    told = check(AVERAGE, 75.0, readings(factor))
    assert min(1, factor) < told.factor.likely < max(1, factor)
    assert abs(told.factor.likely - factor) < 0.4 * abs(factor - 1)
    assert told.factor.low < told.factor.likely < told.factor.high
    assert ("more" if factor > 1 else "less") in told.words


def test_one_reading_says_less_than_three() -> None:
    one = check(AVERAGE, 75.0, readings(1.06)[:1])
    three = check(AVERAGE, 75.0, readings(1.06))
    assert three.correction[1] < one.correction[1] < HANDS_SHARED
    assert abs(one.factor.likely - 1) < abs(three.factor.likely - 1)
    assert one.factor.likely < 1.045  # one is drawn towards the model by about half


def test_four_bodies_of_five_lie_in_the_range() -> None:
    """Simulated bodies off by ± 4 % together and ± 3 % a position, read to a kilo."""
    random = np.random.default_rng(5)
    inside = 0
    for _ in range(400):
        shared = random.normal(0, HANDS_SHARED)
        taken = []
        for each in POSITIONS:
            own = np.exp(shared + random.normal(0, HANDS_PER_FORM))
            read = would_read(AVERAGE, each, float(own)) + random.normal(0, 1 / Z80)
            taken.append(HeldPosition(each, float(read)))
        standing = 75.0 + random.normal(0, 0.5 / Z80)
        told = check(AVERAGE, float(standing), tuple(taken))
        inside += told.factor.low <= np.exp(shared) <= told.factor.high
    assert 0.75 <= inside / 400 <= 0.88


def test_two_centimetres_of_distance_are_about_half_a_kilo() -> None:
    contacts = reading(AVERAGE, set_up("push_up", foot_height=0.03)).posture.contacts
    own = abs(float(contacts[0].point[0, 0, 0] - contacts[1].point[0, 0, 0]))
    hands = [
        check(AVERAGE, 75.0, (HeldPosition("floor, arms straight", 22.0, own + by),))
        .seen[0]
        .expected.likely
        for by in (0.0, 0.02)
    ]
    assert 0.2 < abs(hands[1] - hands[0]) < 1.2


def test_loads_take_the_factor_and_a_narrower_range_and_ratios_stay() -> None:
    told = check(AVERAGE, 75.0, readings(1.06))
    weighed = replace(AVERAGE, hands=told.correction)
    for form in ("push_up", "knee_push_up"):
        plain, own = reading(AVERAGE, set_up(form)), reading(weighed, set_up(form))
        assert own.demand.likely == pytest.approx(told.factor.likely * plain.demand.likely)
        width, before = own.demand.high - own.demand.low, plain.demand.high - plain.demand.low
        assert width < 0.85 * before
        carried = own.carried_at(0)
        assert carried["hands"] == pytest.approx(own.at_start.likely)
        assert sum(carried.values()) == pytest.approx(sum(plain.carried_at(0).values()))
    row = set_up("row")
    assert reading(weighed, row).demand.likely == reading(AVERAGE, row).demand.likely


@pytest.mark.parametrize(
    ("standing", "taken", "field"),
    [
        (57.0, (HeldPosition("floor, low", 20.0),), "standing weight"),
        (75.0, (HeldPosition("floor, low", 74.0),), "floor, low: reading"),
        (75.0, (HeldPosition("floor, low", 1.0),), "floor, low: reading"),
        (75.0, (), "readings"),
        (75.0, (HeldPosition("floor, low", 20.0),) * 2, "readings"),
        (75.0, (HeldPosition("floor, low", 20.0, 3.0),), "floor, low: distance"),
    ],
)
def test_what_cannot_be_is_said_by_name(standing, taken, field) -> None:
    with pytest.raises(InputError) as refused:
        check(AVERAGE, standing, taken)
    assert refused.value.field == field
    assert refused.value.remedy


def test_a_reading_apart_from_the_others_is_to_be_taken_again() -> None:
    straight, low, knees = readings()
    told = check(AVERAGE, 75.0, (straight, replace(low, read_kg=low.read_kg - 14), knees))
    assert [bool(one.odd) for one in told.seen] == [False, True, False]
    assert "take it again" in told.words
