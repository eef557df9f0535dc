"""Strain: what a movement asks of joints and places, for every movement and nine bodies."""

from datetime import date
from math import acos, degrees, hypot

import pytest

from invelo.domain.athlete.guard import Guard
from invelo.domain.athlete.limits import EARLIER_LIMITS, Limit, exceeded, on_day, tightest
from invelo.domain.athlete.readiness import CHECKS
from invelo.domain.athlete.strain import AVERAGE, MEASURES, QUANTITIES, strains
from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.figure import Point, figures
from invelo.domain.biomechanics.reading import reading
from invelo.domain.catalogue.catalogue import ReadyLadder, catalogue
from invelo.domain.catalogue.movement import Modifiers, Movement
from invelo.domain.errors import InputError

BODIES = [Body(mass, stature) for stature in (1.2, 1.75, 2.0) for mass in (40, 75, 110)]
EVERY_CHECK = frozenset(check.id for check in CHECKS)


def of(movement_id: str, body: Body = AVERAGE, **values: float) -> dict[str, float]:
    movement = catalogue().find_movement(movement_id)
    modifiers = Modifiers(values=tuple(sorted(values.items())))
    return dict(strains(body, movement, movement.own(modifiers)))


@pytest.mark.parametrize("quantity", QUANTITIES)
def test_no_open_movement_exceeds_in_a_limited_quantity_what_a_closed_one_does(
    quantity: str,
) -> None:
    """Over the whole catalogue, for small, middling and tall, light and heavy, at each figure that
    any movement comes to."""
    for body in BODIES:
        asked = {
            movement.id: strains(body, movement, movement.own(Modifiers())).get(quantity, 0.0)  # type: ignore[call-overload]
            for movement in catalogue().movement
        }
        for most in sorted(set(asked.values())):
            guard = Guard(limits=(Limit(quantity, most, "x"),), passed=EVERY_CHECK, body=body)  # type: ignore[arg-type]
            shut = {
                one.id
                for one in catalogue().movement
                if (c := guard.closed(one)) and c.by == "limit"
            }
            least_shut = min((asked[name] for name in shut), default=float("inf"))
            assert all(asked[name] <= most for name in asked if name not in shut)
            assert least_shut > most


def bend(near: Point, joint: Point, far: Point) -> float:
    """By hand, from a drawing: 0 for a straight joint."""
    a, b = (near.x - joint.x, near.y - joint.y), (far.x - joint.x, far.y - joint.y)
    cosine = (a[0] * b[0] + a[1] * b[1]) / (hypot(*a) * hypot(*b))
    return 180.0 - degrees(acos(max(-1.0, min(1.0, cosine))))


@pytest.mark.parametrize(
    "movement_id",
    ["half-squat", "squat", "deep-squat", "one-leg-squat", "wall-sit", "deep-side-lunge"],
)
@pytest.mark.parametrize("body", [Body(40, 1.3), Body(110, 2.0)], ids=["small", "tall"])
def test_bends_are_those_of_the_figure_that_is_drawn(movement_id: str, body: Body) -> None:
    movement = catalogue().find_movement(movement_id)
    drawn = figures(reading(body, movement.own(Modifiers()).setup(movement)))
    asked = strains(body, movement, movement.own(Modifiers()))
    knee = max(bend(f.joints["hip"], f.joints["knee"], f.joints["ankle"]) for f in drawn)
    assert asked["knee bend"] == pytest.approx(knee, abs=0.3)
    hips = [
        bend(f.joints["shoulder"], f.joints["hip"], f.joints[name])
        for f in drawn
        for name in ("knee", "other_knee")
        if name in f.joints
    ]
    assert asked["hip bend"] == pytest.approx(max(hips), abs=0.3)


@pytest.mark.parametrize(
    ("easier", "harder", "quantity"),
    [
        ("half-squat", "squat", "knee bend"),
        ("squat", "deep-squat", "knee bend"),
        ("step-up", "chair-step-up", "knee bend"),
        ("high-wall-sit", "wall-sit", "knee bend"),
        ("squat", "deep-side-lunge", "ankle bend"),
        ("wall-push-up", "push-up", "wrist bend"),
        ("push-up", "planche-lean", "wrist bend"),
        ("pike-push-up", "handstand-push-up", "head down"),
        ("push-up", "pull-up", "overhead"),
        ("dip", "bench-dip", "shoulders behind"),
        ("jog-on-the-spot", "jump", "impact"),
        ("jump", "landing", "impact"),
        ("row", "pull-up", "hanging"),
        ("feet-helped-pull-up", "pull-up", "hanging"),
        ("l-sit", "planche", "straight arms"),
        ("uneven-push-up", "one-arm-push-up", "one hand"),
        ("stick-one-leg-squat", "one-leg-squat", "one leg"),
    ],
)
def test_what_asks_more_reads_more(easier: str, harder: str, quantity: str) -> None:
    """Common practice, and plain to see."""
    assert of(easier)[quantity] < of(harder)[quantity]


def test_a_rung_is_measured_as_it_is_set_up() -> None:
    assert of("squat", knee=60.0)["knee bend"] == pytest.approx(60.0, abs=0.2)
    guard = Guard(limits=(Limit("knee bend", 60.0, "x"),), passed=EVERY_CHECK)
    squat = catalogue().find_movement("squat")
    shallow = Modifiers(values=(("knee", 55.0), ("shank", 18.0)))
    assert guard.closed(squat, shallow) is None
    shut = guard.closed(squat)
    assert shut is not None
    assert shut.problem == "the squat is closed: knees bent by at most 60° under load."


def test_arms_that_hang_bend_no_knee_under_load() -> None:
    assert "knee bend" not in of("dip")
    assert "wrist bend" not in of("pull-up")
    assert of("plank").get("wrist bend", 0.0) == 0.0


@pytest.mark.parametrize("movement", catalogue().movement, ids=lambda one: one.id)
def test_every_movement_is_measured_for_every_body(movement: Movement) -> None:
    for body in BODIES:
        asked = strains(body, movement, movement.own(Modifiers()))
        assert all(0.0 <= value <= MEASURES[name].greatest + 6 for name, value in asked.items())
    assert set(movement.strain) <= set(QUANTITIES)


@pytest.mark.parametrize("age", range(6, 16))
def test_named_kinds_are_closed_to_children(age: int) -> None:
    """Common practice."""
    guard = Guard(passed=EVERY_CHECK, age=age)
    for lever in ("planche", "tuck-planche", "planche-lean", "front-lever", "back-lever"):
        assert lever in guard.refused
    for one_arm in ("one-arm-push-up", "archer-push-up", "one-arm-pull-up", "archer-row"):
        assert one_arm in guard.refused
    assert {"landing", "one-leg-jump"} <= set(guard.refused)
    assert {"push-up", "pull-up", "tuck-l-sit", "uneven-push-up", "squat"} <= guard.open_movements


NO_CHILDS_GOAL = {
    "planche",
    "front-lever",
    "loaded-dip",
    "loaded-pull-up",
    "weighted-dip",
    "weighted-pull-up",
    "household-arms",
}
"""Levers and added load: nothing of them is for children."""


@pytest.mark.parametrize("ladder", catalogue().ladder, ids=lambda one: one.id)
def test_a_child_has_three_rungs_where_the_skill_allows(ladder: ReadyLadder) -> None:
    guard = Guard(passed=EVERY_CHECK, age=10)
    open_rungs = [rung for rung in ladder.rungs if guard.closed(rung.of, rung.modifiers()) is None]
    if ladder.id in NO_CHILDS_GOAL:
        levers = [rung for rung in open_rungs if rung.of.family.startswith("straight-arm")]
        assert len(levers) <= 1
        assert len(open_rungs) <= 2  # a hang, and the shoulder blades in it
    else:
        assert len(open_rungs) >= 3


def test_limits_are_told_tightest_first_and_end_on_their_day() -> None:
    wide, tight = Limit("knee bend", 90, "x"), Limit("knee bend", 60, "y", until=date(2026, 3, 2))
    assert tightest([wide, tight]) == (tight,)
    assert on_day([wide, tight], date(2026, 3, 2)) == (wide, tight)
    assert on_day([wide, tight], date(2026, 3, 3)) == (wide,)
    assert exceeded({"knee bend": 75.0}, [wide, tight]) == (tight,)
    assert exceeded({}, [tight]) == ()


@pytest.mark.parametrize(("quantity", "most"), [("knee", 60), ("knee bend", 200), ("impact", -1)])
def test_a_limit_that_cannot_be_is_refused(quantity: str, most: float) -> None:
    with pytest.raises(InputError) as refused:
        Limit(quantity, most, "x")  # type: ignore[arg-type]
    assert refused.value.remedy


@pytest.mark.parametrize("quantity", QUANTITIES)
def test_every_quantity_is_told_in_words(quantity: str) -> None:
    none = Limit(quantity, 0.0, "x")  # type: ignore[arg-type]
    assert none.words
    if MEASURES[quantity].words:  # type: ignore[index]
        assert "{" not in Limit(quantity, 1.0, "x").words  # type: ignore[arg-type]


def test_limits_of_earlier_releases_are_known() -> None:
    for quantity, most in EARLIER_LIMITS.values():
        assert Limit(quantity, most, "x").words
