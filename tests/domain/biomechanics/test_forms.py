"""Every family's posture stands at rest, its figures are finite, what it refuses is told."""

import math

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from invelo.domain.biomechanics.body import GRAVITY, Body
from invelo.domain.biomechanics.dumas import DUMAS
from invelo.domain.biomechanics.posture.form import Form, form, forms
from invelo.domain.biomechanics.reading import Reading, reading
from invelo.domain.biomechanics.setup import SetUp, set_up
from invelo.domain.errors import InputError
from tests.domain.people import AVERAGE

SHAPES = [(one.id, shape) for one in forms().values() for shape in (*one.preset, None)]
STANDING = [one for one in forms().values() if not one.level_plane]
FAMILIES = {
    "calf", "compression", "dip", "elbow bend", "elbow stretch", "hip", "horizontal pull",
    "horizontal push",
    "pose", "shoulder, closing", "shoulder, drawing apart", "squat", "straight arms behind",
    "straight-arm pull", "straight-arm push", "trunk", "trunk, face down",
    "trunk, sideways", "vertical pull", "vertical push",
}  # fmt: skip


def test_every_family_has_a_form() -> None:
    assert {one.family for one in forms().values()} == FAMILIES


@pytest.mark.parametrize(("name", "shape"), SHAPES)
@pytest.mark.parametrize("body", [AVERAGE, Body(58.0, 1.62, DUMAS["female"])], ids=["w", "d"])
def test_every_shape_is_read_with_its_range(name: str, shape: str | None, body: Body) -> None:
    read = reading(body, set_up(name, shape=shape))
    told = [read.demand, read.share, read.work, *(one.demand for one in read.along)]
    told += [*read.torques.values(), *read.forces.values()]
    for figure in told:
        assert all(map(math.isfinite, (figure.low, figure.likely, figure.high)))
        assert figure.low <= figure.likely <= figure.high
        assert figure.unit
        assert figure.derivation.formula
        assert figure.derivation.sources
    assert read.measure
    assert read.demand.likely > 0 or form(name).level_plane or name == "curl"


def _force_and_moment(read: Reading, place: int) -> tuple[np.ndarray, float]:
    """What is left over of all that acts on the body, N and N·m about the origin."""
    posture = read.posture
    total, moment = np.zeros(2), 0.0
    acting = [(one.point, read.contact[one.name]) for one in posture.contacts]
    acting += [(one.point, one.vector) for one in posture.outside]
    for point, force in acting:
        (x, y), (fx, fy) = np.broadcast_to(point, force.shape)[place, 0], force[place, 0]
        total += (fx, fy)
        moment += x * fy - y * fx
    for _, mass, at in posture.parts(posture.carried()):  # what rests carries itself
        weight = -posture.gravity * float(np.broadcast_to(mass, (len(read.depths), 1))[place, 0])
        total[1] += weight
        moment += float(np.broadcast_to(at, (len(read.depths), 1, 2))[place, 0, 0]) * weight
    return total, moment


@pytest.mark.parametrize("one", STANDING, ids=lambda one: one.id)
def test_every_form_is_at_rest_all_along_the_rep(one: Form) -> None:
    """The world's forces and the weight leave no force over, and no moment either where the
    posture has more than one support or settles by its balance."""
    read = reading(AVERAGE, set_up(one.id))
    settles = len(one.touches) > 1 or one.until in ("centre over hands", "centre over feet")
    for place in range(len(read.depths)):
        force, moment = _force_and_moment(read, place)
        assert np.abs(force).max() < 1e-6 * AVERAGE.mass * GRAVITY
        if settles:
            assert abs(moment) < 1e-6 * AVERAGE.mass * GRAVITY * AVERAGE.stature


@pytest.mark.parametrize("one", STANDING, ids=lambda one: one.id)
def test_segments_keep_their_lengths_unless_they_point_out_of_the_plane(one: Form) -> None:
    read = reading(AVERAGE, set_up(one.id))
    joints, length = read.posture.joints, read.posture.segments.length
    for name, near, far in (
        ("trunk", "hip", "shoulder"),
        ("thigh", "hip", "knee"),
        ("shank", "knee", "ankle"),
        ("upper_arm", "shoulder", "elbow"),
        ("forearm", "elbow", "wrist"),
    ):
        drawn = np.linalg.norm(joints[near] - joints[far], axis=-1)[:, 0]
        assert np.all(drawn <= float(np.ravel(length[name])[0]) + 1e-9), name


def refuses(body: Body, movement: str, **changes: object) -> InputError:
    with pytest.raises(InputError) as told:
        reading(body, set_up(movement, **changes))
    assert told.value.problem
    assert told.value.remedy
    return told.value


@pytest.mark.parametrize(
    ("movement", "values", "field"),
    [
        ("planche", {"hip": 170}, "hip"),
        ("planche", {"knee": -5}, "knee"),
        ("squat", {"knee": 150, "shank": 0}, "balance"),
        ("push_up", {"hand_height": 1.9}, "hand height"),
        ("push_up", {"foot_height": 1.9}, "foot height"),
        ("push_up", {"hand_offset": 5}, "hand offset"),
        ("row", {"body_angle": 5, "knee": 110}, "posture"),
        ("planche_lean", {"shoulder": 35}, "balance"),
        ("split_squat", {"stride": 1.3, "knee": 20}, "stride"),
        ("l_sit", {"wings": 1}, "wings"),
        ("moonwalk", {}, "movement"),
    ],
)
def test_what_no_body_does_is_refused(movement: str, values: dict, field: str) -> None:
    assert refuses(AVERAGE, movement, **values).field == field


def test_a_body_that_no_push_within_the_cones_holds_is_refused_by_name() -> None:
    """A split stance far past its rear foot; hands so high that the body stands upright."""
    told = refuses(Body(75.0, 1.75), "push_up", hand_height=1.9)
    assert told.field in ("balance", "hand height", "hand offset")
    assert told.remedy


def test_an_unknown_shape_is_told_with_those_there_are() -> None:
    told = refuses(AVERAGE, "planche", shape="moon")
    assert told.field == "shape"
    assert "advanced_tuck" in told.remedy


@settings(max_examples=60)
@given(st.data())
def test_any_values_in_range_give_a_figure_or_a_reason(data: st.DataObject) -> None:
    """Whatever is set, the answer is finite or an error with field and remedy."""
    one = data.draw(st.sampled_from(sorted(forms().values(), key=lambda each: each.id)))
    values = {
        each.name: data.draw(st.floats(each.low, each.high, allow_subnormal=False))
        for each in one.parameter
    }
    body = Body(data.draw(st.floats(40, 140)), data.draw(st.floats(1.4, 2.1)))
    try:
        read = reading(body, SetUp(one.id, tuple(sorted(values.items()))))
    except InputError as told:
        named = (told.field, told.problem, told.remedy)
    else:
        named = None
    if named:
        assert all(named)
        return
    assert np.all(np.isfinite(read.measured))
    assert all(np.all(np.isfinite(force)) for force in read.contact.values())


def test_one_leg_works_more_than_twice_as_hard_as_two() -> None:
    """Common practice: the one-leg squat asks its leg for about what twice the weight would of two,
    and more for the leg that is held."""
    two, one = (reading(AVERAGE, set_up(name)).demand.likely for name in ("squat", "one_leg_squat"))
    assert 1.9 < one / two < 2.8


def test_a_bridge_on_one_leg_asks_more_than_twice_of_its_hip() -> None:
    """The working hip lifts what two did, and the leg that does not."""
    two, one = (
        reading(AVERAGE, set_up(name)).demand.likely for name in ("bridge", "one_leg_bridge")
    )
    assert 2.0 < one / two < 3.2


def test_the_hips_of_an_l_sit_on_one_leg_add_up() -> None:
    read = reading(AVERAGE, set_up("l_sit", shape="one_leg"))
    both = read.torque["hip"][0, 0] + read.torque["other_hip"][0, 0]
    assert read.demand.likely == pytest.approx(abs(both))


def test_a_planche_lean_stays_under_every_planche() -> None:
    """Common practice: the lean prepares for the tuck, the feet still carrying a part."""
    deep = reading(AVERAGE, set_up("planche_lean", shape="deep")).demand.likely
    assert deep < reading(AVERAGE, set_up("planche", shape="full")).demand.likely
    slight = reading(AVERAGE, set_up("planche_lean", shape="slight")).demand.likely
    assert slight < reading(AVERAGE, set_up("planche", shape="tuck")).demand.likely


def test_one_arm_is_told_as_two_would_share_it() -> None:
    both, one = (
        reading(AVERAGE, set_up("pull_up", share=share)).demand.likely for share in (50, 100)
    )
    assert one == pytest.approx(2 * both)


@pytest.mark.parametrize(
    ("movement", "easier", "harder"),
    [
        ("l_sit", {"shape": "tuck"}, {"shape": "one_leg"}),
        ("l_sit", {"shape": "one_leg"}, {"shape": "straight"}),
        ("planche_lean", {"shape": "slight"}, {"shape": "half"}),
        ("planche_lean", {"shape": "half"}, {"shape": "deep"}),
        ("row", {"shape": "half_way"}, {"shape": "level"}),
        ("row", {"shape": "knees_bent"}, {"shape": "level"}),
        ("row", {"shape": "half_way"}, {"shape": "feet_raised"}),
        ("bench_dip", {"shape": "legs_bent"}, {"shape": "legs_straight"}),
        ("bench_dip", {"shape": "legs_straight"}, {"shape": "feet_raised"}),
        ("pike_push_up", {"shape": "floor"}, {"shape": "feet_raised"}),
        ("leg_lower", {"shape": "knees_bent"}, {"shape": "straight"}),
        ("hollow", {"shape": "tucked"}, {"shape": "full"}),
        ("hanging_leg_raise", {"shape": "knees_bent"}, {"shape": "straight"}),
        ("wall_sit", {"shape": "high"}, {"shape": "level"}),
        ("push_up", {"hand_height": 0.4}, {}),
        ("push_up", {}, {"foot_height": 0.4}),
        ("push_up", {}, {"shape": "archer"}),
        ("push_up", {"shape": "archer"}, {"shape": "one_arm"}),
        ("pull_up", {"knee": 0}, {"shape": "one_arm"}),
    ],
)
def test_easier_before_harder(movement: str, easier: dict, harder: dict) -> None:
    """Common practice: the order in which coaches teach them."""
    lighter = reading(AVERAGE, set_up(movement, **easier)).demand.likely
    assert lighter < reading(AVERAGE, set_up(movement, **harder)).demand.likely
