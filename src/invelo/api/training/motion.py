"""Motion: a sensor's angles counted live beside what is asked. Off unless the athlete turns it on.

A WebSocket, so it is no part of the OpenAPI document; `docs/formats/motion.md` tells what travels.
Nothing is logged from here: the count is proposed, and whoever trains confirms it.
"""

import asyncio
from contextlib import AbstractAsyncContextManager
from functools import partial
from random import Random
from typing import Any, Literal
from uuid import UUID

from fastapi import APIRouter, WebSocket, WebSocketDisconnect
from pydantic import BaseModel, Field, ValidationError
from starlette.concurrency import run_in_threadpool
from websockets.asyncio.client import ClientConnection
from websockets.exceptions import WebSocketException

from invelo.api.common.context import (
    LinkEndedError,
    NobodyError,
    visitor,
)
from invelo.api.common.cookies import LINK_COOKIE, SESSION_COOKIE, cookie_of
from invelo.api.common.guards.security import same_site
from invelo.api.common.live.relay import DeviceRelay, device_at, heard, say
from invelo.db.codec import body_of, changes_from
from invelo.db.database import transaction
from invelo.db.errors import MissingError
from invelo.db.queries import athlete_rows
from invelo.devices import motion_lines, simulated_motion
from invelo.devices.lines import written
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.errors import InputError
from invelo.domain.training.motion.count import RepCounter, Tally
from invelo.domain.training.motion.hold import HoldWatcher
from invelo.domain.training.motion.stream import AngleSample
from invelo.domain.training.motion.watch import Watch, watch

router = APIRouter()

EVERY = 0.15
"""Seconds between two messages to the page while nothing changes but the angle."""

SILENT_AFTER = 3.0
"""Seconds without a reading after which the sensor is called silent."""


class MotionTarget(BaseModel):
    """First message from the page: what is about to be done."""

    movement: str = Field(max_length=80)
    changes: dict[str, Any]
    low: int = Field(ge=1, le=3600)
    high: int = Field(ge=1, le=3600)


class Command(BaseModel):
    """Later messages: the set is over, or, to the stand-in, what goes wrong."""

    type: Literal["over", "trouble"]
    what: Literal["silent", "lie", "drop"] | None = None


class MotionSeen(BaseModel):
    """What the page is told, beside what was asked."""

    state: Literal["watching", "silent", "gone", "doubtful", "cannot", "over"]
    words: str
    simulated: bool = False
    joint: str = ""
    angle: float | None = None
    depth: float | None = None
    full: int = 0
    partial: int = 0
    seconds: float = 0.0
    deepest: float | None = Field(None, description="Of the last rep, degrees.")
    least: float = Field(0.0, description="The angle a full rep passes at the least.")
    last: str = Field("", description="Verdict on the last rep.")
    rep_seconds: float | None = None
    asked_seconds: float = 0.0
    kept_tempo: float | None = Field(None, description="Share of reps that kept the tempo.")
    faults: list[str] = []


WORDS = {
    "watching": "Counting.",
    "silent": "The sensor has fallen silent. Count by hand; what was counted is kept.",
    "gone": "The link to the sensor has dropped. Count by hand; what was counted is kept.",
    "doubtful": "The sensor tells what no joint does. Nothing is proposed; count by hand.",
    "over": "Counted. Confirm it or put it right.",
}


@router.websocket("/api/athletes/{athlete_id}/motion")
async def live(page: WebSocket, athlete_id: UUID) -> None:
    """Relay a sensor to the page of whoever trains, counted and judged as it comes."""
    if not same_site(page.headers) or not await run_in_threadpool(_may, page, athlete_id):
        await page.close(code=1008, reason="come in first")
        return
    await page.accept()
    try:
        asked = MotionTarget.model_validate_json(await heard(page))
        watched = await run_in_threadpool(_watch, page, athlete_id, asked)
        url = page.app.state.settings.motion_url
        async with device_at(url, partial(_stand_in, watched, asked)) as device:
            token = cookie_of(page, SESSION_COOKIE) or cookie_of(page, LINK_COOKIE) or ""
            relay = _MotionRelay(page, device, watched)
            await relay.run(token, partial(_may, page, athlete_id))
    except ValidationError:
        await say(page, MotionSeen(state="cannot", words="That names no set. Count by hand."))
    except (InputError, MissingError) as error:
        await say(page, MotionSeen(state="cannot", words=f"{error.problem} {error.remedy}"))
    except (OSError, WebSocketException):
        await say(page, MotionSeen(state="gone", words=WORDS["gone"]))
    except WebSocketDisconnect:
        return  # the page was left
    await page.close()


def _may(page: WebSocket, athlete_id: UUID) -> bool:
    token, link = cookie_of(page, SESSION_COOKIE), cookie_of(page, LINK_COOKIE)
    with transaction(page.app.state.engine) as db:
        try:
            now = page.app.state.clock()
            visitor(db, athlete_id, now, token, link)
        except (NobodyError, LinkEndedError, MissingError):
            return False
    return True


def _watch(page: WebSocket, athlete_id: UUID, asked: MotionTarget) -> Watch:
    with transaction(page.app.state.engine) as db:
        body = body_of(athlete_rows.measurements(db, athlete_id)[-1])
    movement = catalogue().find_movement(asked.movement)
    return watch(body, movement, changes_from(asked.changes))


def _stand_in(watched: Watch, asked: MotionTarget) -> AbstractAsyncContextManager[str]:
    random = Random()  # noqa: S311  (a stand-in's set, another each time)
    reps = simulated_motion.usual_set(watched, random.randint(asked.low, asked.high) + 1, random)
    mover = simulated_motion.Mover(watched, reps, random=random, holds=float(asked.high))
    return simulated_motion.running(mover)


class _MotionRelay(DeviceRelay):
    """One page at one sensor."""

    silent_after = SILENT_AFTER

    def __init__(self, page: WebSocket, device: ClientConnection, watched: Watch) -> None:
        super().__init__(page, device)
        self.watched = watched
        self.eye = HoldWatcher(watched) if watched.held else RepCounter(watched)
        self.simulated = False
        self.last_told = 0.0
        self.angle: float | None = None

    async def take(self, line: str | bytes) -> None:
        """An angle, or what the sensor is; a line that cannot be read tells nothing, and silence
        will show."""
        message = motion_lines.from_sensor(line)
        if isinstance(message, motion_lines.MotionHello):
            self.simulated = message.simulated
            if message.joint != self.watched.joint:
                words = f"the sensor tells the {message.joint}, not the {self.watched.joint}."
                raise InputError("sensor", words, "Put it elsewhere.")
            return
        sample = AngleSample(message.at, message.angle, message.line)
        self.angle = message.angle
        if isinstance(self.eye, RepCounter):
            news = self.eye.feed(sample) is not None
        else:
            news = self.eye.feed(sample).lost_at is not None
        now = asyncio.get_running_loop().time()
        if news or now - self.last_told >= EVERY:
            self.last_told = now
            await self._tell("watching" if self.eye.stream.believed else "doubtful")

    async def fault(self, error: InputError) -> None:
        """Nothing is said of one line: sensors drop some, and silence will show."""

    async def silent(self) -> None:
        """Said, with what to do."""
        await self._tell("silent")

    async def gone(self) -> None:
        """Said, with what to do."""
        await self._tell("gone")

    async def command(self, line: str) -> bool:
        """The set is over, or trouble for the stand-in."""
        try:
            command = Command.model_validate_json(line[:1024])
        except ValidationError:
            return False
        if command.type == "over":
            await self._tell("over")
            return True
        if command.what is not None:
            await self.device.send(written(motion_lines.MotionTrouble(what=command.what)))
        return False

    async def _tell(self, state: Literal["watching", "silent", "gone", "doubtful", "over"]) -> None:
        seen = MotionSeen(
            state=state,
            words=WORDS[state],
            simulated=self.simulated,
            joint=self.watched.joint,
            angle=self.angle,
            least=self.watched.least,
            asked_seconds=self.watched.tempo.rep_time,
        )
        if isinstance(self.eye, RepCounter):
            if self.angle is not None:
                seen.depth = self.watched.depth(self.angle)
            self._count(seen, self.eye.finish() if state == "over" else self.eye.tally)
        else:
            hold = self.eye.held
            seen.seconds = round(hold.seconds, 1)
            seen.faults = [hold.line] if hold.line else []
            seen.last = "lost" if hold.lost_at is not None else ""
        await say(self.page, seen)

    def _count(self, seen: MotionSeen, tally: Tally) -> None:
        seen.full, seen.partial = tally.full, tally.partial
        seen.faults = list(tally.faults)
        if tally.reps:
            last = tally.reps[-1]
            seen.deepest, seen.last = round(last.angle, 1), last.verdict
            seen.rep_seconds = round(last.seconds, 2)
            seen.kept_tempo = round(tally.kept_tempo(self.watched), 2)


MESSAGES = (MotionSeen, MotionTarget)
"""What is said on this socket, for the document."""
