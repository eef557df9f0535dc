"""The outgoing queue: in order, each thing once, patient, and quiet while nobody answers."""

from typing import Any

import pytest

from tests.phone.node import Node
from tests.phone.sheets import ATHLETE

REFUSAL = {"field": "reps", "problem": "too many.", "remedy": "Give at most 200."}


def thing(number: int, **change: Any) -> dict[str, Any]:
    body = {"number": number}
    return {"what": "set", "method": "PUT", "path": f"/sets/{number}", "body": body, **change}


def status(code: int, *errors: dict[str, str], **more: Any) -> dict[str, Any]:
    return {"status": code, "body": {"errors": list(errors)}, **more}


class Phone:
    """One device, one tab unless more are opened."""

    def __init__(self, node: Node) -> None:
        self.node = node
        node.world()
        node.tab()

    def posts(self, *numbers: int, tab: int = 0) -> None:
        self.node.post(tab, ATHLETE, [thing(number) for number in numbers])

    def paths(self) -> list[str]:
        """What reached the service, in order."""
        return [one["path"] for one in self.node.seen()["requests"]]

    def numbers(self) -> list[int]:
        return [int(path.rsplit("/", 1)[1]) for path in self.paths()]

    def line(self, tab: int = 0) -> tuple[str, int]:
        state = self.node.seen()["tabs"][tab]
        return state["line"], state["waiting"]

    def kept(self) -> list[int]:
        """What still waits on the device."""
        return [one["body"]["number"] for one in self.node.kept()["outbox"]]


@pytest.fixture
def phone(node: Node) -> Phone:
    return Phone(node)


def test_what_is_taken_leaves_the_device(phone: Phone) -> None:
    phone.posts(1)
    assert phone.paths() == ["/sets/1"]
    assert phone.kept() == []
    assert phone.line() == ("sent", 0)


def test_each_thing_tells_when_it_was_sent(phone: Phone, node: Node) -> None:
    node.passes(90_000)
    phone.posts(1)
    assert node.seen()["requests"][0]["body"]["sent_at"] == "1970-01-01T00:01:30.000Z"


def test_things_go_in_the_order_they_were_done(phone: Phone, node: Node) -> None:
    node.answers([], "down")
    for number in (1, 2, 3):
        phone.posts(number)
    phone.posts(4, 5)
    node.answers([])
    node.send(0, ATHLETE)
    assert phone.numbers() == [1, 2, 3, 4, 5]


def test_nothing_overtakes_what_could_not_be_sent(phone: Phone, node: Node) -> None:
    node.answers(["down"])
    phone.posts(1, 2)
    assert phone.numbers() == []
    phone.posts(3)
    assert phone.numbers() == [1, 2, 3]


def test_a_lost_answer_is_asked_for_again_with_the_same_id(phone: Phone, node: Node) -> None:
    node.answers(["lost"])
    phone.posts(1, 2)
    node.send(0, ATHLETE)
    assert phone.numbers() == [1, 1, 2]
    assert phone.kept() == []


@pytest.mark.parametrize("code", [500, 502, 503, 408, 425, 429])
def test_a_service_that_says_later_is_tried_later(phone: Phone, node: Node, code: int) -> None:
    node.answers([], status(code))
    phone.posts(1)
    assert phone.line() == ("away", 1)
    assert phone.kept() == [1]


def test_a_hotels_sign_in_page_is_not_the_service(phone: Phone, node: Node) -> None:
    """A captive network answers 200 with a page of its own: nothing was kept there."""
    node.answers([], status(200, html=True))
    phone.posts(1)
    assert phone.line() == ("away", 1)
    assert phone.kept() == [1]


# ---- a service that is away --------------------------------------------------------------------


def attempts(node: Node) -> int:
    return len(node.seen()["requests"])


def test_a_phone_whose_service_is_away_does_not_spin(phone: Phone, node: Node) -> None:
    """An hour with nobody there: pauses of 4, 8, 16, 32 and then 60 s, and not one more."""
    node.answers([], status(503))
    phone.posts(1)
    node.passes(3_600_000)
    at = [one["at"] / 1000 for one in node.seen()["requests"]]
    assert at[:6] == [0, 4, 12, 28, 60, 120]
    assert len(at) == 5 + (3600 - 60) // 60
    assert len(node.seen()["timers"]) == 1


def test_the_pause_is_short_again_after_an_answer(phone: Phone, node: Node) -> None:
    node.answers([status(503)] * 5)
    phone.posts(1)
    node.passes(300_000)
    assert phone.kept() == []
    node.answers([], status(503))
    phone.posts(2)
    assert node.seen()["timers"] == [4000]


def test_forty_presses_while_it_is_away_are_not_forty_attempts(phone: Phone, node: Node) -> None:
    node.answers([], status(503))
    phone.posts(1)
    before = attempts(node)
    node.send(0, ATHLETE, 40)
    assert attempts(node) == before + 1
    assert len(node.seen()["timers"]) == 1


def test_what_comes_during_an_attempt_goes_with_it(phone: Phone, node: Node) -> None:
    node.answers(["hangs"])
    phone.posts(1)
    phone.posts(2)
    assert phone.numbers() == []
    node.passes(20_000)  # the first attempt is given up
    node.passes(4_000)
    assert phone.numbers() == [1, 2]


def test_a_request_that_nobody_answers_is_given_up_in_the_end(phone: Phone, node: Node) -> None:
    node.answers(["hangs"])
    phone.posts(1)
    node.passes(19_999)
    assert phone.line() == ("sending", 1)
    node.passes(1)
    assert phone.line() == ("away", 1)
    assert phone.kept() == [1]


def test_a_tab_that_is_left_tries_no_more(phone: Phone, node: Node) -> None:
    node.answers([], "down")
    phone.posts(1)
    node.rest(0)
    assert node.seen()["timers"] == []


# ---- what is refused ---------------------------------------------------------------------------


def test_a_refused_set_is_kept_with_its_reason_and_the_rest_goes_on(
    phone: Phone, node: Node
) -> None:
    node.answers([status(422, REFUSAL)])
    phone.posts(1, 2)
    assert phone.numbers() == [1, 2]
    assert phone.line() == ("sent", 0)
    (refused,) = node.seen()["tabs"][0]["refused"]
    assert refused["refused"] == [REFUSAL]
    assert phone.kept() == [1]


def test_a_refused_set_is_not_sent_again_by_itself(phone: Phone, node: Node) -> None:
    node.answers([status(422, REFUSAL)])
    phone.posts(1)
    node.send(0, ATHLETE)
    node.passes(600_000)
    assert phone.numbers() == [1]


def test_a_refused_set_can_be_let_go(phone: Phone, node: Node) -> None:
    node.answers([status(422, REFUSAL)])
    phone.posts(1)
    node.letGo(0, ATHLETE, node.kept()["outbox"][0]["seq"])
    assert phone.kept() == []
    assert node.seen()["tabs"][0]["refused"] == []


def test_an_ended_link_keeps_the_log_and_says_why(phone: Phone, node: Node) -> None:
    ended = {"field": "link", "problem": "your coach has ended it.", "remedy": "Ask for a new one."}
    node.answers([], status(401, ended))
    phone.posts(1, 2)
    assert phone.line() == ("ended", 2)
    assert node.seen()["tabs"][0]["why"] == "your coach has ended it. Ask for a new one."
    assert node.seen()["timers"] == []
    node.answers([])
    node.send(0, ATHLETE)  # come in by a new link
    assert phone.numbers()[-2:] == [1, 2]
    assert phone.kept() == []


# ---- tabs and restarts -------------------------------------------------------------------------


def test_two_tabs_send_each_thing_once(phone: Phone, node: Node) -> None:
    node.answers([], "down")
    phone.posts(1, 2, 3)
    other = node.tab()
    node.answers([])
    node.send(other, ATHLETE)
    node.send(0, ATHLETE)
    assert phone.numbers() == [1, 2, 3]
    assert phone.line(0) == phone.line(other) == ("sent", 0)


def test_another_tab_learns_of_it_without_sending(phone: Phone, node: Node) -> None:
    other = node.tab()
    node.answers([status(422, REFUSAL)])
    phone.posts(1)
    assert len(node.seen()["tabs"][other]["refused"]) == 1
    assert {one["tab"] for one in node.seen()["requests"]} == {0}


def test_another_athletes_things_wait_for_them(phone: Phone, node: Node) -> None:
    node.answers([], "down")
    node.post(0, "someone else", [thing(9)])
    node.answers([])
    phone.posts(1)
    assert phone.numbers() == [1]
    assert phone.kept() == [9]


# ---- what the device keeps ---------------------------------------------------------------------


def test_a_set_is_kept_with_the_run_or_not_at_all(phone: Phone, node: Node) -> None:
    run = {"at": 1, "logged": ["one"]}
    node.keepRun(ATHLETE, run, [thing(1)])
    assert node.kept()["runs"] == [run]
    assert phone.kept() == [1]
    assert "clone" in node.keepBroken(ATHLETE, {"at": 2, "logged": ["one", "two"]})
    assert node.kept()["runs"] == [run]
    assert phone.kept() == [1]


def test_a_closed_run_leaves_the_device_and_its_end_waits(phone: Phone, node: Node) -> None:
    node.keepRun(ATHLETE, {"at": 1}, [])
    node.keepRun(ATHLETE, None, [thing(2)])
    assert node.kept()["runs"] == []
    assert phone.kept() == [2]


def test_a_session_under_way_outlives_a_new_version_of_the_application(node: Node) -> None:
    entry = {"ids": ["a", "b"], "amounts": [8, 7], "partial": 2}
    old = {"at": 3, "firstSide": 9, "pending": [entry], "logged": [{**entry, "ids": ["c"]}]}
    node.world()
    node.firstVersion(ATHLETE, old)
    (run,) = node.kept()["runs"]
    assert run["at"] == 3
    assert run["pending"][0]["partials"] == [2, 2]
    assert run["logged"][0]["partials"] == [2]
    assert run["firstSide"]["amount"] == 9
    assert [one["path"] for one in node.kept()["outbox"]] == ["/kept"]


def test_what_an_earlier_release_left_goes_out_as_it_was_made(node: Node) -> None:
    entry = {"ids": ["a"], "amounts": [8], "partial": 0, "effort": 8, "what": {"unit": "reps"}}
    sheet = {"items": [{"sets": [{"effort": 9, "low": 6}]}], "events": [{"kind": "rig up"}]}
    old = {"at": 1, "firstSide": None, "pending": [entry], "logged": [], "sheet": sheet}
    node.world()
    node.firstVersion(ATHLETE, old)
    (run,) = node.kept()["runs"]
    assert run["pending"][0]["rpe"] == 8
    assert run["sheet"]["items"][0]["sets"][0] == {"rpe": 9, "low": 6}
    assert run["sheet"]["events"][0]["kind"] == "rig_change"
    (waiting,) = node.kept()["outbox"]
    assert (waiting["shape"], waiting["body"]) == (1, {})
