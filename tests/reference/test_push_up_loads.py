"""Push-up loads against published force-plate measurements.

Nothing in the model is fitted to these figures. They differ by 3 to 5 points among themselves, so
that no model meets all: each is held against what it measured, still tops and bottoms against ours;
peaks of moving push-ups, which read lower than either, by their order and on average.
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


# Gouvali and Boudolos 2005, Dynamic and electromyographical analysis in variants of push-up
# exercise, J Strength Cond Res 19(1):146–151: still at the top, % of body weight on the hands (from
# memory).
GOUVALI = {
    "regular, top": (set_up("push_up"), "top", 66.4),
    "knees, top": (set_up("knee_push_up"), "top", 52.9),
}


def share(setup: SetUp, phase: str = "top", stature: float = STATURE) -> float:
    """Vertical force on the hands, % of body weight."""
    body = Body(75.0, stature)
    load = reading(body, setup)
    told = load.at_start if phase == "top" else load.at_end
    return 100 * told.likely / body.mass


def still_errors(stature: float = STATURE) -> dict[str, float]:
    return {
        name: abs(share(setup, phase, stature) - seen)
        for name, (setup, phase, seen) in {**SUPRAK, **GOUVALI}.items()
    }


def test_still_tops_and_bottoms_within_two_and_a_half_points_on_average() -> None:
    """Suprak and Gouvali; the bar that was set before is 3.5."""
    errors = still_errors()
    assert sum(errors.values()) / len(errors) <= 2.5, errors
    assert max(errors.values()) <= 5.0, errors


def test_moving_push_ups_read_lower_than_still_ones() -> None:
    """Ebben's peaks, 5 points under Suprak's still tops of the same: ours lie between 0 and 9 above
    them at the top, 4 to 5 on average. Told, not met (docs/model.md)."""
    above = {name: share(setup) - seen for name, (setup, seen) in EBBEN.items()}
    assert 3.0 <= sum(above.values()) / len(above) <= 5.0, above
    assert all(-1.5 <= one <= 9.0 for one in above.values()), above


@pytest.mark.parametrize("stature", [1.30, 1.45, 1.58, 1.75, 1.93, 2.05])
def test_the_order_of_all_heights_is_right_at_the_top_and_in_the_hardest_third(stature) -> None:
    """Common practice: the lower the hands and the higher the feet, the harder."""
    body = Body(75.0, stature)
    heights = [{"hand_height": h} for h in (0.75, 0.6, 0.45, 0.3, 0.15)]
    heights += [{}, *({"foot_height": h} for h in (0.15, 0.3, 0.45, 0.6))]
    told = [reading(body, set_up("push_up", **height)) for height in heights]
    for figures in ([one.at_start.likely for one in told], [one.demand.likely for one in told]):
        assert figures == sorted(figures)
        assert len(set(figures)) == len(figures)


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
