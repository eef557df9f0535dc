"""Counting by a sensor: what is watched, reps, depth, tempo, the line, holds, lies."""

from dataclasses import replace
from random import Random

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from invelo.devices.simulated_motion import Mover, TrueRep, usual_set
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers
from invelo.domain.errors import InputError
from invelo.domain.strength.tempo import Tempo
from invelo.domain.training.motion.count import RepCounter, Tally
from invelo.domain.training.motion.hold import HoldWatcher
from invelo.domain.training.motion.stream import AngleSample
from invelo.domain.training.motion.watch import Watch, watch
from tests.domain.people import AVERAGE


def watched(movement: str, tempo: Tempo | None = None) -> Watch:
    of = catalogue().find_movement(movement)
    modifiers = of.own(Modifiers())
    return watch(AVERAGE, of, replace(modifiers, tempo=tempo or Tempo()))


def counted(of: Watch, reps: list[TrueRep], **more: object) -> Tally:
    counter = RepCounter(of)
    mover = Mover(of, tuple(reps), random=Random(5), **more)  # type: ignore[arg-type]
    for sample in mover.samples():
        counter.feed(sample)
    return counter.finish()


PUSH = watched("push-up")


# ---- what is watched ---------------------------------------------------------------------------


def test_a_push_up_is_watched_at_the_elbow_and_asked_past_ninety_degrees() -> None:
    """Push-up elbows to 90° or past (common practice)."""
    assert PUSH.joint == "elbow"
    assert PUSH.start == pytest.approx(180, abs=1)
    assert PUSH.least == 90
    assert PUSH.most < PUSH.end < PUSH.least
    assert PUSH.line


def test_a_squat_is_watched_at_the_knee_and_a_pull_up_rises() -> None:
    assert watched("squat").joint == "knee"
    assert watched("towel-pull-up").rises
    assert not PUSH.rises


@pytest.mark.parametrize("movement", ["calf-raise", "towel-squeeze", "long-jump"])
def test_what_no_angle_tells_is_counted_by_hand(movement: str) -> None:
    known = {one.id for one in catalogue().movement}
    if movement not in known:
        of = next(one for one in catalogue().movement if one.rpe_only)
        movement = of.id
    with pytest.raises(InputError) as refused:
        watched(movement)
    assert refused.value.remedy == "Count it by hand."


@pytest.mark.parametrize(
    "movement", [one for one in catalogue().movement if not one.rpe_only], ids=lambda m: m.id
)
def test_every_movement_is_watched_sensibly_or_refused(movement) -> None:
    found = watched_or_none(movement)
    if found is None:
        return
    if found.held:
        assert found.start == found.end
        return
    assert 0 < found.least_depth < 1 < found.most_depth


def watched_or_none(movement) -> Watch | None:
    try:
        return watch(AVERAGE, movement, movement.own(Modifiers()))
    except InputError as refused:
        if "by hand" not in refused.remedy:
            raise
        return None


# ---- reps --------------------------------------------------------------------------------------


def test_reps_are_counted_one_by_one_as_they_end() -> None:
    counter = RepCounter(PUSH)
    reps = (TrueRep(),) * 5
    seen = [
        rep for sample in Mover(PUSH, reps).samples() if (rep := counter.feed(sample)) is not None
    ]
    assert len(seen) == 5
    assert all(rep.full for rep in seen)
    assert [rep.at for rep in seen] == sorted(rep.at for rep in seen)


def test_full_and_partial_reps_are_told_apart() -> None:
    tally = counted(PUSH, [TrueRep(0.95), TrueRep(0.45), TrueRep(0.9), TrueRep(0.5)])
    assert (tally.full, tally.partial) == (2, 2)
    assert [rep.verdict for rep in tally.reps] == ["full", "short", "full", "short"]


def test_a_rep_that_does_not_come_back_is_partial() -> None:
    tally = counted(PUSH, [TrueRep(0.95), TrueRep(0.95, left=0.5), TrueRep(0.95)])
    assert tally.full == 2
    assert "not back" in {rep.verdict for rep in tally.reps}


def test_past_the_most_is_too_deep_and_counts() -> None:
    dip = watched("bench-dip")
    tally = counted(dip, [TrueRep(0.95), TrueRep(1.4)])
    assert [rep.verdict for rep in tally.reps] == ["full", "too deep"]
    assert tally.full == 2


def test_a_pause_between_reps_is_no_rep() -> None:
    tally = counted(PUSH, [TrueRep(0.95, rest=4), TrueRep(0.95, turn=3), TrueRep(0.95, rest=6)])
    assert len(tally.reps) == 3


def test_fidgeting_at_the_top_is_no_rep() -> None:
    tally = counted(PUSH, [TrueRep(0.12)] * 6 + [TrueRep(0.95)])
    assert len(tally.reps) == 1


def test_nothing_done_is_nothing_counted() -> None:
    tally = counted(PUSH, [])
    assert (tally.full, tally.partial, tally.faults) == (0, 0, ())
    assert tally.kept_tempo(PUSH) == 1.0


@given(st.integers(0, 15), st.integers(0, 3))
@settings(max_examples=25)
def test_any_number_of_plain_reps_is_counted(full: int, short: int) -> None:
    tally = counted(PUSH, [TrueRep(0.9)] * full + [TrueRep(0.45)] * short)
    assert (tally.full, tally.partial) == (full, short)


# ---- tempo and line ----------------------------------------------------------------------------


def test_the_time_of_a_rep_is_told_to_a_fifth_of_a_second() -> None:
    slow = watched("push-up", Tempo(4, 1, 1, 1))
    tally = counted(slow, [TrueRep(0.95, 4, 1, 1, 1)] * 4)
    for rep in tally.reps[1:]:
        assert rep.seconds == pytest.approx(7, abs=0.35)
    assert tally.kept_tempo(slow) == 1.0


def test_hurried_reps_do_not_keep_the_tempo() -> None:
    slow = watched("push-up", Tempo(4, 0, 1, 0))
    assert counted(slow, [TrueRep(0.95, 1, 0, 1)] * 4).kept_tempo(slow) == 0.0


def test_the_way_down_is_told_from_the_way_up() -> None:
    tally = counted(PUSH, [TrueRep(0.95, 3, 0, 1)] * 3)
    for rep in tally.reps:
        assert rep.out > 2 * rep.back


@pytest.mark.parametrize(("line", "fault"), [(-20, "hips sag"), (20, "hips pike"), (0, "")])
def test_hips_off_the_line_are_a_fault(line: float, fault: str) -> None:
    """Body in one line, hips neither sagging nor piked (common practice)."""
    tally = counted(PUSH, [TrueRep(0.95, line=line)] * 4)
    assert {rep.line for rep in tally.reps} == {fault}
    assert tally.faults == ((fault,) if fault else ())


def test_a_single_short_rep_among_many_is_no_fault_of_the_set() -> None:
    assert counted(PUSH, [TrueRep(0.95)] * 8 + [TrueRep(0.45)]).faults == ()
    assert counted(PUSH, [TrueRep(0.45)] * 4).faults == ("short of depth",)


# ---- holds -------------------------------------------------------------------------------------


def hold(seconds: float) -> HoldWatcher:
    of = watched("plank")
    watcher = HoldWatcher(of)
    for sample in Mover(of, holds=seconds, random=Random(3)).samples():
        watcher.feed(sample)
    return watcher


@pytest.mark.parametrize("seconds", [3, 8, 20, 45])
def test_a_hold_lasts_until_its_shape_is_lost(seconds: float) -> None:
    held = hold(seconds).held
    assert held.seconds == pytest.approx(seconds, abs=0.6)
    assert held.lost_at is not None
    assert not held.holding


def test_a_hold_still_kept_is_told_as_such() -> None:
    of = watched("plank")
    watcher = HoldWatcher(of)
    for n in range(200):
        held = watcher.feed(AngleSample(n / 50 + 0.02, of.start))
    assert held.holding
    assert held.seconds == pytest.approx(4, abs=0.1)


def test_what_is_held_is_not_counted() -> None:
    with pytest.raises(InputError):
        RepCounter(watched("plank"))


# ---- a stream that lies ------------------------------------------------------------------------


def test_a_few_impossible_readings_change_nothing() -> None:
    assert counted(PUSH, [TrueRep(0.95)] * 6, spikes=0.02).full == 6


def test_a_stream_of_nonsense_is_not_believed() -> None:
    tally = counted(PUSH, [TrueRep(0.95)] * 6, spikes=0.9)
    assert not tally.believed
    assert tally.refused > 100


@pytest.mark.parametrize("angle", [-1.0, 361.0, float("nan"), float("inf")])
def test_an_angle_that_no_joint_has_is_left_out(angle: float) -> None:
    counter = RepCounter(PUSH)
    counter.feed(AngleSample(0.02, 180))
    counter.feed(AngleSample(0.04, angle))
    assert counter.tally.refused == 1


def test_a_clock_that_runs_backwards_is_left_out() -> None:
    counter = RepCounter(PUSH)
    for at in (1.0, 1.02, 0.5, 1.04):
        counter.feed(AngleSample(at, 180))
    assert counter.tally.refused == 1


def test_the_stand_ins_usual_set_ends_with_a_short_rep() -> None:
    reps = usual_set(PUSH, 8, Random(1))
    tally = counted(PUSH, list(reps))
    assert (tally.full, tally.partial) == (7, 1)
