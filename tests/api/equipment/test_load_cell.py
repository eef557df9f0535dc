"""The hanging scale's WebSocket: who may listen, what is told, what goes wrong."""

import asyncio
import json
import threading
from collections.abc import Iterator
from contextlib import contextmanager

import pytest
from fastapi import FastAPI
from fastapi.testclient import TestClient
from starlette.websockets import WebSocketDisconnect
from websockets.asyncio.server import serve

from invelo.devices.simulated_scale import HangingScale
from tests.api.coach import Coach

MOST_MESSAGES = 400
SCALE = "ws://localhost/api/scale"


def told(link, *states: str, **also: object) -> dict:
    """The first message in one of these states."""
    for _ in range(MOST_MESSAGES):
        message = json.loads(link.receive_text())
        if message["state"] in states and all(message[k] == v for k, v in also.items()):
            return message
    raise AssertionError(f"never {states}")


def sends(link, **command: object) -> None:
    link.send_text(json.dumps(command))


def test_a_pull_is_told_once_it_stands_still(coach: Coach) -> None:
    with coach.client.websocket_connect(SCALE) as link:
        assert told(link, "moving", "empty")["simulated"]
        sends(link, type="pull", stretch=2.0)
        told(link, "moving")
        found = told(link, "steady")
        truth = HangingScale().truth(2.0) / 9.80665
        assert found["kg"] == pytest.approx(truth, rel=0.015)
        assert 0 < found["half_width"] < 0.2


def test_zero_and_unit(coach: Coach) -> None:
    with coach.client.websocket_connect(SCALE) as link:
        sends(link, type="pull", stretch=1.6)
        told(link, "moving")
        told(link, "steady")
        sends(link, type="unit", unit="lb")
        in_pounds = told(link, "steady", unit="lb")
        assert in_pounds["value"] == pytest.approx(in_pounds["kg"] / 0.45359237, rel=0.01)
        sends(link, type="tare")
        assert told(link, "empty")["value"] == 0.0


@pytest.mark.parametrize(
    ("what", "state"), [("silent", "silent"), ("flood", "flooding"), ("drop", "gone")]
)
def test_trouble_is_told_with_a_word(coach: Coach, what: str, state: str) -> None:
    with coach.client.websocket_connect(SCALE) as link:
        told(link, "moving", "empty")
        sends(link, type="trouble", what=what)
        assert told(link, state)["words"]


def test_what_is_no_command_is_told_and_the_link_stays(coach: Coach) -> None:
    with coach.client.websocket_connect(SCALE) as link:
        for line in ("nonsense", '{"type":"pull","stretch":90}', "x" * 5000):
            link.send_text(line)
            assert told(link, "fault")["words"]
        told(link, "moving", "empty")


def test_only_a_signed_in_coach_from_our_own_page_may_listen(coach: Coach, new_client) -> None:
    stranger = new_client()
    with pytest.raises(WebSocketDisconnect), stranger.websocket_connect(SCALE):
        pass
    elsewhere = {"origin": "https://elsewhere.example"}
    with (
        pytest.raises(WebSocketDisconnect),
        coach.client.websocket_connect(SCALE, headers=elsewhere),
    ):
        pass


@contextmanager
def device(lines: list[str]) -> Iterator[str]:
    """A device of another make: says these lines, then ends the link."""
    ready: list[str] = []
    started, loop = threading.Event(), asyncio.new_event_loop()

    async def speak(link) -> None:
        for line in lines:
            await link.send(line)

    async def run() -> None:
        async with serve(speak, "127.0.0.1", 0) as server:
            ready.append(f"ws://127.0.0.1:{next(iter(server.sockets)).getsockname()[1]}")
            started.set()
            await stopping

    stopping = loop.create_future()
    thread = threading.Thread(target=loop.run_until_complete, args=(run(),), daemon=True)
    thread.start()
    assert started.wait(10)
    try:
        yield ready[0]
    finally:
        loop.call_soon_threadsafe(stopping.set_result, None)
        thread.join(10)


def test_another_device_can_take_its_place(coach: Coach, app: FastAPI) -> None:
    readings = [json.dumps({"type": "sample", "at": i / 20, "value": 20.0}) for i in range(40)]
    hello = '{"type":"hello","device":"another","unit":"lb"}'
    with device([hello, *readings[:5], "garbage", *readings[5:]]) as url:
        app.state.settings.scale_url = url
        with coach.client.websocket_connect(SCALE) as link:
            assert told(link, "fault")["words"]
            found = told(link, "steady")
            assert not found["simulated"]
            assert found["kg"] == pytest.approx(20.0 * 0.45359237)
            told(link, "gone")


def test_a_scale_that_is_not_there_is_told(coach: Coach, app: FastAPI) -> None:
    app.state.settings.scale_url = "ws://127.0.0.1:9"
    client: TestClient = coach.client
    with client.websocket_connect(SCALE) as link:
        assert told(link, "gone")["words"]
