"""What is left out of a session: by a skip, and by pain."""

import pytest

from invelo.domain.training.pain import joints_of
from tests.phone.athlete import STOP, Athlete
from tests.phone.node import Node
from tests.phone.sheets import ATHLETE, SESSION, by_the_clock, in_turn, item

# ---- skipping ----------------------------------------------------------------------------------


def test_a_skip_on_the_first_side_leaves_the_whole_set_out(oda: Athlete) -> None:
    oda.done()
    assert oda.doing == ("work", "one-leg squat", 0, 1)
    gone = oda.skips()
    assert gone is not None
    assert (gone["item"]["key"], gone["set"]) == ("one-leg squat", 0)
    assert oda.doing == ("count in", "one-leg squat", 1, 0)
    assert oda.pending == []


def test_a_skip_on_the_second_side_keeps_what_the_first_did(oda: Athlete) -> None:
    oda.works(30)
    oda.done()
    assert oda.doing == ("work", "one-leg squat", 0, 2)
    oda.skips()
    (entry,) = oda.pending
    assert (entry["sides"], entry["amounts"]) == (["right"], [10])
    (sent,) = oda.sends(oda.logs())
    assert (sent["body"]["side"], sent["body"]["amount"]) == ("right", 10)


def test_a_skip_while_resting_leaves_the_next_set_out(plain: Athlete) -> None:
    plain.works()
    assert plain.doing == ("rest", "push-up", 0, 0)
    gone = plain.skips()
    assert gone is not None
    assert gone["set"] == 1
    assert plain.doing == ("count in", "push-up", 2, 0)


def test_a_skip_of_the_last_set_ends_the_session(plain: Athlete) -> None:
    for _ in range(2):
        plain.works()
    plain.skips()
    assert plain.run["finishing"]
    assert plain.skips() is None


def test_a_skip_is_sent_with_its_reason(plain: Athlete) -> None:
    gone = plain.skips()
    sent = plain.node.skipped(plain.run, gone, "no room")
    assert sent["method"] == "PUT"
    assert sent["path"].startswith(f"/api/athletes/{ATHLETE}/sessions/{SESSION}/skips/")
    assert (sent["body"]["number"], sent["body"]["why"]) == (1, "no room")


# ---- pain --------------------------------------------------------------------------------------


def test_pain_just_under_the_limit_lets_the_session_go_on(plain: Athlete) -> None:
    plain.works()
    plain.logs(pain=STOP - 1, place="left wrist")
    assert plain.run["ended"] == []
    assert plain.doing == ("rest", "push-up", 0, 0)


def test_pain_at_the_limit_ends_the_item_at_once(plain: Athlete) -> None:
    plain.works()
    plain.logs(pain=STOP, place="left wrist")
    assert plain.run["ended"] == ["push-up"]
    assert plain.run["finishing"]


def test_pain_ends_every_item_that_loads_the_place_and_no_other(node: Node) -> None:
    items = [
        item("push-up", loads={"wrist": 2, "shoulder": 2}),
        item("squat", loads={"knee": 2}),
        item("dip", loads={"shoulder": 3, "elbow": 2}),
        item("wrist rocks", loads={"wrist": 1}),
    ]
    oda = Athlete(node, in_turn(*items))
    oda.works()
    oda.logs(pain=6, place="Left Wrist")
    assert oda.run["ended"] == ["push-up", "wrist rocks"]
    assert oda.doing == ("count in", "squat", 0, 0)
    for _ in range(3):
        oda.works()
    assert oda.doing == ("rest", "squat", 2, 0)
    for _ in range(3):
        oda.works()
    assert oda.run["finishing"], "the wrist rocks are left out"


def test_an_item_in_pain_ends_even_where_it_is_not_said_to_load_the_place(plain: Athlete) -> None:
    plain.works()
    plain.logs(pain=7, place="knee")
    assert plain.run["ended"] == ["push-up"]


def test_pain_in_the_last_entry_does_not_open_a_session_that_is_being_ended(oda: Athlete) -> None:
    oda.works()
    oda.works()
    oda.ends()
    oda.logs(pain=6, place="knee")
    assert oda.run["finishing"]
    assert oda.run["ended"] == ["one-leg squat"]


@pytest.mark.parametrize(
    ("place", "joints"),
    [
        ("left wrist", {"wrist"}),
        ("Heel of the HAND", {"wrist", "ankle"}),
        ("base of the thumb", {"wrist"}),
        ("low back, right side", {"back"}),
        ("Achilles", {"ankle"}),
        ("between knee and hip", {"knee", "hip"}),
        ("", set()),
        ("somewhere", set()),
    ],
)
def test_phone_and_service_read_a_place_the_same(node: Node, place: str, joints: set[str]) -> None:
    assert joints_of(place) == joints
    assert set(node.jointsOf(place)) == joints


def test_pain_told_before_keeps_items_from_being_done(node: Node) -> None:
    items = [item("push-up", loads={"wrist": 2}), item("squat", loads={"knee": 2})]
    assert node.endedBefore(in_turn(*items), ["wrist"]) == ["push-up"]
    assert node.endedBefore(in_turn(*items), []) == []


def test_another_items_set_can_still_be_logged_after_pain(node: Node) -> None:
    oda = Athlete(node, by_the_clock(item("push-up", loads={"wrist": 2}), item("squat")))
    oda.passes(60)  # both were done while the page slept
    oda.logs(pain=6, place="wrist")
    assert [one["item"] for one in oda.pending] == ["squat"]
    oda.logs()
    assert [one["item"] for one in oda.run["logged"]] == ["push-up", "squat"]
