"""Push-up loads against published force-plate measurements.

Nothing in the model is fitted to these figures. The arms' closure was argued from locked elbows
with the first table in sight (see docs/model.md), so that table is no blind check; the second was
looked at only afterwards.
"""

import pytest

from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.reading import reading
from invelo.domain.biomechanics.setup import SetUp, set_up

STATURE = 1.75

# Ebben, Wurm, VanderZanden, Spadavecchia, Durocher, Bickham and Petushek 2011, Kinetic analysis of
# several variations of push-ups, J Strength Cond Res 25(10):2891–2894: peak ground reaction force
# of the hands, % of body weight. Boxes of 12 and 24 inches.
EBBEN = {
    "regular": (set_up("push_up"), 64),
    "knees": (set_up("knee_push_up"), 49),
    "feet on 30.48 cm": (set_up("push_up", foot_height=0.3048), 70),
    "feet on 60.96 cm": (set_up("push_up", foot_height=0.6096), 74),
    "hands on 30.48 cm": (set_up("push_up", hand_height=0.3048), 55),
    "hands on 60.96 cm": (set_up("push_up", hand_height=0.6096), 41),
}

# Suprak, Dawes and Stephenson 2011, The effect of position on the percentage of body mass supported
# during traditional and modified push-up variants, J Strength Cond Res 25(2):497–503: static, % of
# body mass on the hands (from memory).
SUPRAK = {
    "regular, up": (set_up("push_up"), "top", 69.16),
    "regular, down": (set_up("push_up"), "bottom", 75.04),
    "knees, up": (set_up("knee_push_up"), "top", 53.56),
    "knees, down": (set_up("knee_push_up"), "bottom", 61.80),
}


def share(setup: SetUp, phase: str = "top", stature: float = STATURE) -> float:
    """Vertical force on the hands, % of body weight."""
    body = Body(75.0, stature)
    load = reading(body, setup)
    told = load.at_start if phase == "top" else load.at_end
    return 100 * told.likely / body.mass


def test_ebben_within_two_points_on_average_and_five_at_worst() -> None:
    errors = {name: abs(share(setup) - seen) for name, (setup, seen) in EBBEN.items()}
    assert sum(errors.values()) / len(errors) <= 2.0, errors
    assert max(errors.values()) <= 5.0, errors


def test_ebben_order_of_the_variations() -> None:
    def order(value):
        return sorted(EBBEN, key=value)

    published = order(lambda name: EBBEN[name][1])
    computed = order(lambda name: share(EBBEN[name][0]))
    assert computed == published


@pytest.mark.parametrize("stature", [1.60, 1.68, 1.82, 1.90])
def test_ebben_order_holds_at_other_statures(stature: float) -> None:
    """Fixed boxes and a group mean bind no single body, so only the order is asked of others. The
    two feet-raised pushes are asked to lie above the plain one, not in order: past the level the
    top value of a short body hardly grows (a limit told in docs/model.md)."""
    value = {name: share(setup, stature=stature) for name, (setup, _) in EBBEN.items()}
    up_to_plain = ["hands on 60.96 cm", "knees", "hands on 30.48 cm", "regular"]
    assert [value[name] for name in up_to_plain] == sorted(value[name] for name in up_to_plain)
    assert value["regular"] < min(value["feet on 30.48 cm"], value["feet on 60.96 cm"])


def test_suprak_bottom_positions() -> None:
    """The bent-arm closure against a source it was not argued from: within 5 points."""
    for name in ("regular, down", "knees, down"):
        setup, phase, seen = SUPRAK[name]
        assert share(setup, phase) == pytest.approx(seen, abs=5.0), name


@pytest.mark.parametrize("kind", ["regular", "knees"])
def test_suprak_the_bottom_loads_the_hands_more_than_the_top(kind: str) -> None:
    top, bottom = SUPRAK[f"{kind}, up"], SUPRAK[f"{kind}, down"]
    assert bottom[2] > top[2]
    assert share(*bottom[:2]) > share(*top[:2])


def test_the_two_sources_disagree_by_more_than_the_model_misses_either() -> None:
    """Published means of the plain push-up's top differ by 5 points; ours lies at the lower one.
    A miss of the other by more than 7 would be news."""
    setup, phase, seen = SUPRAK["regular, up"]
    assert abs(share(setup, phase) - seen) <= 7.0


def test_counter_and_knees_stand_where_the_trade_puts_them() -> None:
    """Common practice: counter (about 90 cm), then chair or knees, about equal, then floor."""
    counter = share(set_up("push_up", hand_height=0.90))
    chair = share(set_up("push_up", hand_height=0.45))
    knees = share(set_up("knee_push_up"))
    floor = share(set_up("push_up"))
    assert counter < min(chair, knees)
    assert max(chair, knees) < floor
    assert abs(chair - knees) < 5
