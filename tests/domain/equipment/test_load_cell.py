"""The hanging scale: when a reading stands still, and what is wrong with the scale."""

from collections.abc import Iterator
from random import Random

import pytest

from invelo.devices import lines
from invelo.devices.simulated_scale import RATE, HangingScale
from invelo.domain.equipment.load_cell import ForceSample, Settling, settled
from invelo.domain.errors import InputError

TRIALS = 200


def stream(device: HangingScale, seconds: float) -> Iterator[ForceSample]:
    for _ in range(round(seconds * RATE)):
        yield device.step(1 / RATE)


def flat(force: float, seconds: float = 2.0, rate: float = RATE) -> Iterator[ForceSample]:
    for i in range(round(seconds * rate)):
        yield ForceSample(i / rate, force)


def test_it_settles_within_one_per_cent_of_the_truth() -> None:
    """Under the stand-in's own noise, tremor and creep; whose truth nothing here knows."""
    random = Random(3)
    for trial in range(TRIALS):
        device = HangingScale(stiffness=random.uniform(15, 90), random=Random(trial))
        device.pull(stretch := random.uniform(1.2, 3.0))
        shown = settled(stream(device, 8.0))
        assert shown is not None, f"never stood still at {stretch:.2f}"
        assert shown.force == pytest.approx(device.truth(stretch), rel=0.01)
        assert shown.half_width < 0.01 * shown.force


def test_a_pull_that_still_grows_is_not_taken() -> None:
    growing = (ForceSample(i / RATE, 20.0 + i) for i in range(60))
    assert settled(growing) is None


def test_nothing_on_the_hook_is_told_as_nothing() -> None:
    settling = Settling()
    shown = [settling.feed(one) for one in flat(0.05)][-1]
    assert (shown.state, shown.force) == ("empty", 0.0)


def test_what_hangs_there_already_can_be_taken_as_nothing() -> None:
    settling = Settling()
    for one in flat(12.0):
        settling.feed(one)
    settling.tare()
    assert settling.shown().state == "empty"
    later = [settling.feed(ForceSample(2.0 + one.at, one.force)) for one in flat(52.0)][-1]
    assert later.state == "steady"
    assert later.force == pytest.approx(40.0)


def test_a_flood_is_told() -> None:
    settling = Settling()
    states = {settling.feed(one).state for one in flat(30.0, rate=600.0)}
    assert "flooding" in states


def test_after_a_silence_the_window_begins_anew() -> None:
    settling = Settling()
    for one in flat(30.0):
        settling.feed(one)
    assert settling.silent().state == "silent"
    assert settling.feed(ForceSample(9.0, 30.0)).state == "moving"


@pytest.mark.parametrize(
    "samples",
    [
        [ForceSample(0, 5000.0)],
        [ForceSample(0, float("nan"))],
        [ForceSample(2, 1.0), ForceSample(1, 1.0)],
    ],
)
def test_what_no_scale_reads_is_refused(samples: list[ForceSample]) -> None:
    with pytest.raises(InputError, match="scale"):
        settled(samples)


@pytest.mark.parametrize(
    ("line", "kind"),
    [
        ('{"type":"hello","device":"scale","unit":"lb"}', lines.Hello),
        ('{"type":"sample","at":1.5,"value":8.2}', lines.SampleLine),
        ('{"type":"unit","unit":"N"}', lines.UnitNow),
    ],
)
def test_a_line_is_read_and_written_back(line: str, kind: type) -> None:
    told = lines.from_scale(line)
    assert isinstance(told, kind)
    assert lines.from_scale(lines.written(told)) == told


@pytest.mark.parametrize(
    "line",
    [
        "",
        "8.2",
        '{"type":"sample","at":1}',
        '{"type":"sample","at":1,"value":"heavy"}',
        '{"type":"sample","at":1,"value":1e999}',
        '{"type":"unit","unit":"stone"}',
        '{"type":"song"}',
        '{"type":"hello","device":"' + "x" * 2000 + '","unit":"kg"}',
    ],
)
def test_a_line_that_is_none_is_refused_with_a_word(line: str) -> None:
    with pytest.raises(InputError) as caught:
        lines.from_scale(line)
    assert caught.value.problem
    assert caught.value.remedy
