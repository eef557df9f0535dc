"""The motion sensor's WebSocket: counts beside what is asked, and what becomes of trouble."""

import json
from typing import Any

import pytest
from starlette.websockets import WebSocketDisconnect

from invelo.api.training import motion
from invelo.devices import motion_lines, simulated_motion
from invelo.devices.lines import written
from invelo.devices.simulated_motion import TrueRep

MOST_MESSAGES = 400
PUSH_UP = {"movement": "push-up", "changes": {"tempo": {"lower": 0.5, "press": 0.5}}}


@pytest.fixture
def path(ladder: dict) -> str:
    return f"ws://localhost/api/athletes/{ladder['athlete_id']}/motion"


@pytest.fixture
def usual(monkeypatch: pytest.MonkeyPatch) -> list[TrueRep]:
    """What the stand-in does, for the test to say."""
    reps = [TrueRep(0.9, 0.4, 0, 0.4)] * 3 + [TrueRep(0.45, 0.4, 0, 0.4)]
    monkeypatch.setattr(simulated_motion, "usual_set", lambda *_: tuple(reps))
    return reps


def told(link: Any, condition: Any) -> dict:
    for _ in range(MOST_MESSAGES):
        message = json.loads(link.receive_text())
        if condition(message):
            return message
    raise AssertionError("never told")


def asks(link: Any, **change: Any) -> None:
    link.send_text(json.dumps({**PUSH_UP, "low": 3, "high": 5, **change}))


def test_reps_are_counted_beside_what_is_asked(coach, path, usual) -> None:
    with coach.client.websocket_connect(path) as link:
        asks(link)
        first = told(link, lambda one: True)
        assert (first["simulated"], first["joint"], first["least"]) == (True, "elbow", 90)
        assert first["asked_seconds"] == 1.0
        seen = told(link, lambda one: one["full"] == 3 and one["partial"] == 1)
        assert seen["last"] == "short"
        assert seen["deepest"] > 90
        assert seen["rep_seconds"] == pytest.approx(0.8, abs=0.3)
        link.send_text(json.dumps({"type": "over"}))
        assert told(link, lambda one: one["state"] == "over")["full"] == 3


def test_a_hold_is_timed_until_it_is_lost(coach, path, monkeypatch) -> None:
    kept = simulated_motion.Mover.__init__

    def short(self: Any, *given: Any, **more: Any) -> None:
        kept(self, *given, **{**more, "holds": 1.5})

    monkeypatch.setattr(simulated_motion.Mover, "__init__", short)
    with coach.client.websocket_connect(path) as link:
        asks(link, movement="plank", changes={})
        seen = told(link, lambda one: one["last"] == "lost")
        assert seen["seconds"] == pytest.approx(1.5, abs=0.7)


@pytest.mark.parametrize(
    ("what", "state"), [("silent", "silent"), ("lie", "doubtful"), ("drop", "gone")]
)
def test_a_sensor_in_trouble_is_told_and_the_count_is_kept(
    coach, path, usual, monkeypatch, what, state
) -> None:
    monkeypatch.setattr(motion, "SILENT_AFTER", 0.4)
    usual[:] = [TrueRep(0.9, 0.4, 0, 0.4)] * 40
    with coach.client.websocket_connect(path) as link:
        asks(link)
        before = told(link, lambda one: one["full"] >= 1)
        link.send_text(json.dumps({"type": "trouble", "what": what}))
        seen = told(link, lambda one: one["state"] == state)
        assert "by hand" in seen["words"]
        if what != "lie":
            assert seen["full"] >= before["full"]


@pytest.mark.parametrize(
    ("first", "note"),
    [
        ({"movement": "calf-raise", "changes": {}}, "by hand"),
        ({"movement": "flying", "changes": {}}, "not in the catalogue"),
        ({"movement": "push-up", "changes": {"range": "x"}}, "given"),
    ],
)
def test_what_cannot_be_watched_is_told_at_once(coach, path, first, note) -> None:
    with coach.client.websocket_connect(path) as link:
        asks(link, **first)
        seen = told(link, lambda one: True)
        assert seen["state"] == "cannot"
        assert note in seen["words"].lower()


@pytest.mark.parametrize("text", ["", "[]", "no json", '{"movement": 3}'])
def test_a_page_that_asks_for_nothing_is_told_so(coach, path, text) -> None:
    with coach.client.websocket_connect(path) as link:
        link.send_text(text)
        assert told(link, lambda one: True)["state"] == "cannot"


def test_nothing_is_logged_by_counting(coach, path, usual) -> None:
    with coach.client.websocket_connect(path) as link:
        asks(link)
        told(link, lambda one: one["full"] >= 2)
    assert coach.get(f"/api/athletes/{path.split('/')[-2]}/history")["sessions"] == []


def test_another_sites_page_is_not_let_in(coach, path) -> None:
    headers = {"origin": "https://elsewhere.example"}
    with (
        pytest.raises(WebSocketDisconnect) as closed,
        coach.client.websocket_connect(path, headers=headers),
    ):
        pass
    assert closed.value.code == 1008


# ---- lines -------------------------------------------------------------------------------------


@pytest.mark.parametrize(
    "line",
    [
        "nonsense",
        "{}",
        '{"type": "angle", "at": 1}',
        '{"type": "angle", "at": 1, "angle": NaN}',
        '{"type": "hello", "device": "x", "joint": "tail"}',
        "x" * 2000,
    ],
)
def test_a_line_that_is_none_is_refused(line: str) -> None:
    from invelo.domain.errors import InputError

    with pytest.raises(InputError):
        motion_lines.from_sensor(line)


def test_lines_are_read_as_they_are_written() -> None:
    said = motion_lines.Angle(at=1.5, angle=92.25, line=-3.5)
    assert motion_lines.from_sensor(written(said)) == said
    hello = motion_lines.MotionHello(device="strap", joint="knee")
    assert motion_lines.from_sensor(written(hello)) == hello
