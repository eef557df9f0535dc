"""A session in progress: what each press does to it, on which side, after how long a sleep."""

import pytest

from tests.phone.athlete import Athlete
from tests.phone.node import Node
from tests.phone.sheets import by_the_clock, in_turn, item, warmed_up

SEEN = {"amount": 7, "partial": 2, "faults": ["too shallow"]}
"""What a sensor counted."""


# ---- sides -------------------------------------------------------------------------------------


def test_sides_are_done_in_the_order_the_item_says(oda: Athlete) -> None:
    oda.works()
    assert oda.doing == ("change sides", "one-leg squat", 0, 0)
    assert oda.pending == []
    oda.works()
    (entry,) = oda.pending
    assert entry["sides"] == ["right", "left"]
    assert len(set(entry["ids"])) == 2


@pytest.mark.parametrize(("first", "order"), [("left", ["left", "right"]), ("", ["left", "right"])])
def test_without_a_weaker_right_side_the_left_begins(node: Node, first: str, order) -> None:
    oda = Athlete(node, in_turn(item("lunge", sides=2, first=first)))
    oda.works()
    oda.works()
    assert oda.pending[0]["sides"] == order


def test_each_side_keeps_its_own_count(oda: Athlete) -> None:
    oda.works(30)  # ten reps of three seconds
    oda.works(21)
    assert oda.pending[0]["amounts"] == [10, 7]


def test_each_side_is_sent_as_a_set_of_its_own(oda: Athlete) -> None:
    oda.works(30)
    oda.works(21)
    entry = oda.logs()
    right, left = oda.sends(entry)
    assert (right["body"]["side"], right["body"]["amount"]) == ("right", 10)
    assert (left["body"]["side"], left["body"]["amount"]) == ("left", 7)
    assert right["path"].endswith(entry["ids"][0])
    assert left["path"].endswith(entry["ids"][1])


def test_a_set_given_one_side_is_sent_with_it(node: Node) -> None:
    oda = Athlete(node, in_turn(item("side plank", unit="s", side="left")))
    oda.works(20)
    (sent,) = oda.sends(oda.logs())
    assert sent["body"]["side"] == "left"


@pytest.mark.parametrize("seconds", [30, 27])  # ten reps of three seconds, nine
def test_what_is_asked_in_turns_is_logged_half_a_side(node: Node, seconds: int) -> None:
    lunge = item("lunge", counted="alternating").model_copy(update={"counted": "per side"})
    oda = Athlete(node, in_turn(lunge))
    oda.works(seconds)
    entry = oda.pending[0]
    assert entry["sides"] == ["left", "right"]
    assert entry["amounts"] == ([5, 5] if seconds == 30 else [5, 4])


def test_what_alternates_and_is_asked_a_side_at_a_time_is_logged_in_all(node: Node) -> None:
    climber = item("climber", sides=2, counted="per side")
    oda = Athlete(node, in_turn(climber.model_copy(update={"counted": "alternating"})))
    oda.works(30)
    assert oda.pending == []
    oda.works(21)
    (entry,) = oda.pending
    assert (entry["sides"], entry["amounts"]) == ([""], [17])


# ---- what a sensor counted ---------------------------------------------------------------------


def test_a_sensor_counts_the_side_that_ended_with_it(oda: Athlete) -> None:
    oda.works(30, **SEEN)
    oda.works(21)
    (entry,) = oda.pending
    assert entry["amounts"] == [7, 7]  # seven by the sensor, then 21 s of three-second reps
    assert entry["partials"] == [2, 0]
    oda.logs()
    oda.works(30)
    oda.works(21, **{**SEEN, "amount": 5})
    assert oda.pending[0]["amounts"] == [10, 5]
    assert oda.pending[0]["partials"] == [0, 2]
    assert oda.pending[0]["counted"] == "by a sensor"


def test_a_sensor_leaves_the_set_before_as_it_was(oda: Athlete) -> None:
    """The first side ends while the set before still waits to be filled in."""
    oda.works(30)
    oda.works(30)
    before = oda.pending[0]
    oda.works(30, **SEEN)
    assert oda.pending == [before]


def test_partial_reps_of_each_side_are_sent_with_it(oda: Athlete) -> None:
    oda.works(30, **SEEN)
    oda.works(30, **{**SEEN, "partial": 1})
    right, left = oda.sends(oda.logs())
    assert (right["body"]["partial"], left["body"]["partial"]) == (2, 1)


def test_what_the_sensor_saw_is_proposed_and_faults_make_the_set_unclean(plain: Athlete) -> None:
    plain.works(24, **SEEN)
    (entry,) = plain.pending
    assert (entry["amounts"], entry["faults"], entry["rpe"]) == ([7], ["too shallow"], None)
    (sent,) = plain.sends(plain.logs())
    assert sent["body"]["form_ok"] is False


def test_a_sensor_has_no_say_in_a_hold(node: Node) -> None:
    oda = Athlete(node, in_turn(item("L-sit", unit="s")))
    oda.works(12.7, **SEEN)
    assert oda.pending[0]["amounts"] == [12]
    assert oda.pending[0]["counted"] == "by hand"


# ---- counts at their limits --------------------------------------------------------------------


@pytest.mark.parametrize(
    ("seconds", "reps"),
    [(0, 1), (2, 1), (2.8, 1), (5.7, 1), (5.8, 2), (30, 10), (600, 200), (3600, 200)],
)
def test_reps_by_the_pace_stay_between_one_and_two_hundred(
    plain: Athlete, seconds: float, reps: int
) -> None:
    """A quarter of a second of grace: whoever presses as the last rep ends has done it."""
    plain.works(seconds)
    assert plain.pending[0]["amounts"] == [reps]


@pytest.mark.parametrize(("seconds", "held"), [(0, 0), (0.9, 0), (9.99, 9), (10, 10), (120.5, 120)])
def test_a_hold_counts_whole_seconds_only(node: Node, seconds: float, held: int) -> None:
    oda = Athlete(node, in_turn(item("L-sit", unit="s")))
    oda.works(seconds)
    assert oda.pending[0]["amounts"] == [held]


def test_without_a_tempo_the_least_that_was_asked_is_proposed(node: Node) -> None:
    one = item("push-up")
    for each in one.sets:
        each.what.phases = []
    oda = Athlete(node, in_turn(one))
    oda.works(40)
    assert oda.pending[0]["amounts"] == [8]


def test_a_warm_up_set_is_not_logged(node: Node) -> None:
    oda = Athlete(node, in_turn(item("push-up", kind="easy")))
    oda.works()
    assert oda.pending == []
    assert oda.doing == ("rest", "push-up", 0, 0)


@pytest.fixture
def cold(node: Node) -> Athlete:
    """At the start of two things to warm up with, and push-ups after them."""
    easy = [item(name, kind="easy", sets=1) for name in ("jog", "arm circles")]
    return Athlete(node, warmed_up(*easy, item("push-up")))


def test_the_warm_up_is_one_list_that_waits(cold: Athlete) -> None:
    assert [one["key"] for one in cold.node.warmUpOf(cold.run)] == ["jog", "arm circles"]
    cold.passes(500)
    assert cold.doing == ("count in", "jog", 0, 0)


def test_one_press_goes_past_the_warm_up_to_the_first_set(cold: Athlete) -> None:
    cold.run = cold.node.warmedUp(cold.run, cold.now)
    assert cold.doing == ("count in", "push-up", 0, 0)
    assert cold.node.warmUpOf(cold.run) == []
    cold.passes(5)
    assert cold.doing == ("work", "push-up", 0, 0)


def test_a_warm_up_run_one_by_one_goes_by_its_clock(cold: Athlete) -> None:
    cold.run = {**cold.run, "oneByOne": True}
    assert cold.node.warmUpOf(cold.run) == []
    cold.passes(5)
    assert cold.doing == ("work", "jog", 0, 0)


def test_without_a_warm_up_there_is_no_list(plain: Athlete) -> None:
    assert plain.node.warmUpOf(plain.run) == []


# ---- time --------------------------------------------------------------------------------------


def test_a_count_in_ends_by_itself_and_a_set_does_not(plain: Athlete) -> None:
    plain.passes(4.9)
    assert plain.doing == ("count in", "push-up", 0, 0)
    plain.passes(0.1)
    assert plain.doing == ("work", "push-up", 0, 0)
    plain.passes(500)
    assert plain.doing == ("work", "push-up", 0, 0)


def test_a_rest_that_is_over_waits_for_the_press(plain: Athlete) -> None:
    plain.works()
    plain.passes(1000)
    assert plain.doing == ("rest", "push-up", 0, 0)


def test_after_a_late_wake_every_turn_has_ended_at_its_own_time(node: Node) -> None:
    oda = Athlete(node, by_the_clock(item("push-up", sets=2), item("squat", sets=2)))
    oda.passes(65)  # 20 and 10, three times over: two turns whole, the third in its work
    assert oda.doing == ("work", "push-up", 1, 0)
    assert node.elapsed(oda.run, oda.now) == pytest.approx(5)
    assert [one["item"] for one in oda.pending] == ["push-up", "squat"]
    ends = [one["at"] for one in oda.pending]
    assert ends == ["1970-01-01T00:17:00.000Z", "1970-01-01T00:17:30.000Z"]


def test_a_wake_after_the_end_finds_every_set_and_the_end(node: Node) -> None:
    oda = Athlete(node, by_the_clock(item("push-up", sets=3)))
    oda.passes(86_400)
    assert oda.run["finishing"]
    assert len(oda.pending) == 3


def test_a_pause_stops_the_clock_and_nothing_ends_meanwhile(node: Node) -> None:
    oda = Athlete(node, by_the_clock(item("push-up", sets=3)))
    oda.passes(15)
    oda.pauses()
    oda.passes(3600)
    assert node.elapsed(oda.run, oda.now) == pytest.approx(15)
    assert oda.doing == ("work", "push-up", 0, 0)
    oda.pauses()
    oda.passes(4.9)
    assert oda.doing == ("work", "push-up", 0, 0)
    oda.passes(0.1)
    assert oda.doing == ("rest", "push-up", 0, 0)


def test_a_clock_that_goes_backwards_takes_nothing_away(plain: Athlete) -> None:
    plain.done()
    plain.now -= 60_000
    assert plain.node.elapsed(plain.run, plain.now) == 0
    plain.done()
    assert plain.pending[0]["amounts"] == [1]


def test_a_pause_once_all_is_done_changes_nothing(plain: Athlete) -> None:
    for _ in range(3):
        plain.works()
    assert plain.run["finishing"]
    before = plain.run
    plain.pauses()
    assert plain.run == before


# ---- back --------------------------------------------------------------------------------------


def test_back_with_a_set_pending_takes_it_away_to_be_done_again(plain: Athlete) -> None:
    plain.works(24)
    plain.goes_back()
    assert plain.doing == ("work", "push-up", 0, 0)
    assert plain.pending == []
    plain.passes(30)
    plain.done()
    assert [one["amounts"] for one in plain.pending] == [[10]]


def test_back_leaves_another_pending_set_alone(plain: Athlete) -> None:
    plain.works(24)
    plain.works(27)
    plain.goes_back()
    assert [(one["set"], one["amounts"]) for one in plain.pending] == [(0, [8])]


def test_back_to_the_second_side_keeps_the_first(oda: Athlete) -> None:
    oda.works(30)
    oda.works(21)
    oda.goes_back()
    assert oda.doing == ("work", "one-leg squat", 0, 2)
    oda.passes(18)
    oda.done()
    assert [one["amounts"] for one in oda.pending] == [[10, 6]]


def test_a_second_side_done_again_after_its_log_stands_alone(oda: Athlete) -> None:
    """Nothing is invented for the first side."""
    oda.works(30)
    oda.works(21)
    oda.logs()
    oda.goes_back()
    oda.passes(18)
    oda.done()
    (entry,) = oda.pending
    assert (entry["sides"], entry["amounts"]) == (["left"], [6])


def test_back_from_the_end_opens_the_session_again(plain: Athlete) -> None:
    for _ in range(3):
        plain.works()
    assert plain.run["finishing"]
    plain.goes_back()
    assert plain.doing == ("work", "push-up", 2, 0)
    assert not plain.run["finishing"]


def test_back_at_the_very_start_stays_there(plain: Athlete) -> None:
    plain.goes_back()
    plain.goes_back()
    assert plain.run["at"] in (0, 1)
    assert plain.event is not None


# ---- another rung ------------------------------------------------------------------------------


def test_the_easier_rung_brings_its_own_range_into_the_log(plain: Athlete) -> None:
    plain.takes(1)
    plain.works(24)
    (sent,) = plain.sends(plain.logs())
    assert (sent["body"]["prescribed_min"], sent["body"]["prescribed_max"]) == (8, 15)
    assert sent["body"]["rung_id"].endswith("2")


def test_there_is_nothing_beyond_the_last_choice(plain: Athlete) -> None:
    plain.takes(1)
    plain.takes(1)
    assert plain.run["swaps"] == {"push-up": 2}
    for _ in range(4):
        plain.takes(-1)
    assert plain.run["swaps"] == {"push-up": 0}


def test_a_drop_is_done_as_it_was_planned(node: Node) -> None:
    oda = Athlete(node, in_turn(item("push-up", kind="drop")))
    assert not node.canSwap(oda.run)
    oda.takes(1)
    oda.works(24)
    assert oda.pending[0]["what"]["name"] == "push-up"
