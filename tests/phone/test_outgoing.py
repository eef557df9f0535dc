"""What a session in progress sends: each thing once, whole, in its order."""

import pytest

from tests.phone.athlete import Athlete
from tests.phone.node import Node
from tests.phone.sheets import ATHLETE, SESSION, in_turn, item


@pytest.fixture
def plain(node: Node) -> Athlete:
    return Athlete(node, in_turn(item("push-up", loads={"wrist": 2})))


def test_a_session_is_sent_before_its_sets_and_its_end_last(plain: Athlete) -> None:
    base = f"/api/athletes/{ATHLETE}/sessions/{SESSION}"
    begun = plain.node.started(plain.run)
    assert (begun["method"], begun["path"], begun["body"]["name"]) == ("PUT", base, "Monday")
    plain.works(24)
    one, picture = plain.sends(plain.logs(), picture=True)
    assert one["path"] == f"{base}/sets/{plain.run['logged'][0]['ids'][0]}"
    assert picture["path"].endswith(f"{plain.run['logged'][0]['ids'][0]}/picture")
    ended = plain.node.finished(plain.run, 7)
    assert (ended["method"], ended["path"]) == ("POST", f"{base}/finish")
    assert ended["body"]["rpe"] == 7


def test_a_count_of_about_is_told_and_not_claimed(plain: Athlete) -> None:
    plain.works(24)
    (sent,) = plain.sends(plain.logs(about=True))
    assert sent["body"]["amount_text"] == "about 8"
    assert "amount" not in sent["body"]


@pytest.mark.parametrize("unit", ["reps", "s"])
def test_an_amount_goes_out_with_its_unit(node: Node, unit: str) -> None:
    oda = Athlete(node, in_turn(item("one", unit=unit)))  # type: ignore[arg-type]
    oda.works(24)
    (sent,) = oda.sends(oda.logs())
    assert (sent["body"]["unit"], sent["body"]["amount"] > 0) == (unit, True)


def test_everything_said_of_a_set_goes_out(plain: Athlete) -> None:
    plain.works(24)
    entry = plain.logs(pain=2, place="left wrist", note="slow", felt=["chest"], faults=["hips sag"])
    (sent,) = plain.sends(entry)
    body = sent["body"]
    told = {"pain": 2, "pain_place": "left wrist", "note": "slow", "felt_in": ["chest"]}
    assert {name: body[name] for name in told} == told
    assert (body["rpe"], body["form_ok"], body["faults"]) == (8, False, ["hips sag"])
    assert (body["number"], body["kind"], body["item"]) == (1, "work", "push-up")
