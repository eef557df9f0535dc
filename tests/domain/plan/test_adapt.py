"""A day that allows less: what is changed, what is kept equal, what is lost."""

import pytest

from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.errors import InputError
from invelo.domain.plan.day.adapt import Adapted, Today, adapt
from invelo.domain.plan.plan_overrides import NOTHING_BY_HAND
from invelo.domain.plan.session.timeline import length
from invelo.domain.plan.session.trainee import Trainee
from invelo.domain.plan.session.work import Session
from tests.domain.people import EVERYTHING, near, stand, trainee

PUSH = stand("push", "wall-push-up", "counter-push-up", "push-up", at=2)
ROW = stand("row", "upright-row", "row", at=1)
LEVER = stand("lever", ("tuck-front-lever", 30.0), ("advanced-tuck-front-lever", 14.0), at=1)


def someone(**more: object) -> Trainee:
    return trainee(PUSH, ROW, **more)


def day(who: Trainee) -> Session:
    items = [who.item(one) for one in who.stands]
    extra = who.loose(catalogue().find_movement("calf-raise"), "endurance", 3)
    return NOTHING_BY_HAND.session("Today", [*items, extra], who)


def adapted(**today: object) -> Adapted:
    who = someone()
    return adapt(day(who), who, Today(**today))  # type: ignore[arg-type]


def test_a_day_like_any_other_changes_nothing() -> None:
    found = adapted()
    assert found.changes == found.cuts == ()
    assert [one.name for one in found.after.items] == [one.name for one in found.before.items]
    assert all(one.before == one.after for one in (*found.regions, *found.joints))


def test_a_sore_wrist_takes_the_easier_lever_longer_at_equal_torque_and_time() -> None:
    found = adapted(sore=(("wrist", 2),))
    change = found.changes[0]
    assert (change.item, change.to) == ("Push-up", "Incline push-up, counter")
    assert change.kept.startswith("torque × seconds at the")
    joint = change.kept.removeprefix("torque × seconds at the ")
    told = next(one for one in found.joints if one.name == joint)
    assert told.after == pytest.approx(told.before, rel=0.1)
    push = next(one for one in found.after.items if one.key == "push")
    assert push.main.low > 6
    assert all(one.movement.stress.get("wrist", 0) <= 1 for one in found.after.items)
    warm = next(block for block in found.after.blocks if block.format == "warm-up")
    assert all(one.movement.stress.get("wrist", 0) <= 1 for one in warm.items)


def test_pain_of_four_spares_the_place_altogether_and_asks_for_a_clinician() -> None:
    found = adapted(sore=(("wrist", 5),))
    assert "clinician" in found.stop
    assert all(one.movement.stress.get("wrist", 0) == 0 for one in found.after.items)
    chest = next(one for one in found.regions if one.name == "chest")
    assert chest.after == chest.before


def test_tightness_bears_what_soreness_does_not() -> None:
    """A sore wrist does no floor push-ups; a tight one does, after its mobility work."""
    found = adapted(tight=("wrist",))
    assert [(one.item, one.to) for one in found.changes] == [
        ("preparatory work", "Wrist rocks on all fours")
    ]
    assert found.after.blocks[1].format == "preparatory work"


@pytest.mark.parametrize(
    ("place", "ladder", "to"),
    [
        ("hip", ("tuck-l-sit", "l-sit"), "Tuck"),  # straight to bent
        ("ankle", ("chair-squat", "deep-squat"), "alf squat"),  # deep to higher
        ("shoulder", ("plank", "wall-handstand"), ""),  # overhead to level
    ],
)
def test_what_a_tight_place_does_not_reach_steps_down(
    place: str, ladder: tuple[str, str], to: str
) -> None:
    """Common practice: straight → bent, deep → higher, overhead → in front."""
    who = trainee(stand("a", *ladder, at=1))
    item = who.item(who.stands[0])
    session = NOTHING_BY_HAND.session("Monday", [item], who)
    found = adapt(session, who, Today(tight=(place,)))  # type: ignore[arg-type]
    change = next(one for one in found.changes if one.item == item.name)
    assert "is tight and does not reach" in change.why
    assert to in change.to
    assert any(one.key == f"mobility:{place}" for one in found.after.items)


def test_missing_kit_is_replaced_by_the_same_pattern() -> None:
    found = adapted(kinds=frozenset({"wall", "towel"}))
    row = next(one for one in found.changes if one.item == "Inverted row")
    assert "not at hand" in row.why
    assert row.kept == "the same pattern"
    replaced = next(one for one in found.after.items if one.key == "row")
    assert replaced.movement.family == "horizontal pull"
    assert replaced.movement.takes(frozenset({"wall", "towel"}))


def test_what_only_a_helper_would_do_is_left_out_and_said() -> None:
    """Nothing in an empty room pulls: no back raise stands for a row."""
    found = adapted(kinds=frozenset({"wall"}))
    row = next(one for one in found.changes if one.item == "Inverted row")
    assert row.to == ""
    assert "Nothing else for the same region is open today" in row.why
    assert "row" not in [one.key for one in found.after.items]


def test_a_bad_night_eases_effort_and_takes_a_set_of_three() -> None:
    found = adapted(sleep=5)
    assert "5 h of sleep" in found.changes[0].why
    for before, after in zip(found.before.items, found.after.items, strict=True):
        assert after.main.rpe == before.main.rpe - 1
        assert len(after.sets) == max(2, len(before.sets) - 1)


def test_effort_so_far_eases_too() -> None:
    assert "effort 9 already" in adapted(rpe=9).changes[0].why
    assert adapted(rpe=5, sleep=8).changes == ()


def test_few_minutes_cut_accessories_first_and_never_the_warm_up() -> None:
    """An easier lever, fewer sets of accessories first, warm-up never cut (common practice)."""
    found = adapted(minutes=17)
    assert found.lengths[1].likely <= 17 < found.lengths[0].likely
    assert found.cuts[0] == "small muscles keep one set each"
    general = [
        [one for one in session.blocks[0].items if one.key == f"warm-up:{one.movement.id}"]
        for session in (found.before, found.after)
    ]
    assert general[0] == general[1]
    calf = next(one for one in found.regions if one.name == "calves")
    assert calf.after < calf.before


def test_a_sore_shoulder_takes_an_easier_hold_longer() -> None:
    who = trainee(LEVER)
    session = NOTHING_BY_HAND.session("Today", [who.item(LEVER)], who)
    found = adapt(session, who, Today(sore=(("shoulder", 2),)))
    assert found.changes[0].item != found.changes[0].to
    assert all(one.movement.stress.get("shoulder", 0) <= 1 for one in found.after.items)


def test_where_nothing_is_left_the_day_is_refused_with_the_reason() -> None:
    who = trainee(PUSH, open_movements=frozenset({"push-up"}))
    session = NOTHING_BY_HAND.session("Today", [who.item(PUSH)], who)
    with pytest.raises(InputError, match=r"wrist is to be spared.*Rest"):
        adapt(session, who, Today(sore=(("wrist", 6),)))


@pytest.mark.parametrize(
    ("given", "field"),
    [
        ({"minutes": 0}, "minutes"),
        ({"sleep": 25}, "sleep"),
        ({"rpe": 11}, "effort so far"),
        ({"sore": (("wrist", 11),)}, "wrist"),
    ],
)
def test_what_is_out_of_range_is_refused(given: dict[str, object], field: str) -> None:
    with pytest.raises(InputError, match=field):
        Today(**given)  # type: ignore[arg-type]


def test_one_minute_is_refused_and_the_smallest_dose_is_offered() -> None:
    with pytest.raises(InputError, match="daily minimum"):
        adapted(minutes=1)


def test_the_length_after_is_that_of_the_session_after() -> None:
    found = adapted(minutes=25)
    assert found.lengths[1].likely == length(found.after).likely


# ---- holds on ladders ----------------------------------------------------------------------


def test_a_hold_best_of_six_gets_an_easier_shape() -> None:
    """A hold best of 6 s gets an easier shape or help, not a 3 s hold (common practice)."""
    hard = stand("l", ("tuck-l-sit", 20.0), ("l-sit", 6.0), at=1)
    item = trainee(hard).item(hard)
    assert item.name != near("l-sit").rung.name
    assert item.main.low >= 5
    assert "easier shape" in item.why


def test_where_there_is_no_easier_shape_it_says_so() -> None:
    alone = stand("l", ("l-sit", 6.0))
    item = trainee(alone).item(alone)
    assert "take assistance" in item.why
    assert item.main.low >= 5


@pytest.mark.parametrize("wave", ["easy", "middle", "hard"])
def test_the_waves_holds_are_all_useful_and_at_most_seven_tenths(wave: str) -> None:
    """Wave holds all ≥ the least useful prescription (common practice)."""
    held = {"tuck-front-lever": 32.0, "advanced-tuck-front-lever": 18.0, "one-leg-front-lever": 9.0}
    lever = stand("f", *held.items(), at=1, method="wave", purpose="skill")
    item = trainee(lever).item(lever, wave)  # type: ignore[arg-type]
    assert item.main.low >= 5
    assert item.main.high <= 0.7 * held[item.movement.id]


def test_the_hard_day_of_a_wave_takes_the_harder_shape() -> None:
    lever = stand(
        "f", ("tuck-front-lever", 32.0), ("advanced-tuck-front-lever", 18.0), method="wave"
    )
    who = trainee(lever)
    easy, hard = (who.item(lever, one) for one in ("easy", "hard"))  # type: ignore[arg-type]
    assert easy.movement.id == "tuck-front-lever"
    assert hard.movement.id == "advanced-tuck-front-lever"


def test_a_movement_that_something_closes_is_refused_with_the_reason() -> None:
    closed = trainee(open_movements=EVERYTHING - {"dip"}, why_closed={"dip": "the shoulder limit."})
    with pytest.raises(InputError, match="shoulder limit"):
        closed.loose(catalogue().find_movement("dip"), "strength")
