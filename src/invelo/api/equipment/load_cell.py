"""Scale: a live reading of the hanging scale, told when it stands still.

A WebSocket, so it is no part of the OpenAPI document; `docs/formats/scale.md` tells what travels.
"""

import asyncio
from collections.abc import AsyncIterator
from contextlib import asynccontextmanager
from typing import Annotated, Literal

from fastapi import APIRouter, WebSocket, WebSocketDisconnect
from pydantic import BaseModel, Field, TypeAdapter, ValidationError
from starlette.concurrency import run_in_threadpool
from websockets.asyncio.client import ClientConnection, connect
from websockets.exceptions import ConnectionClosed, WebSocketException

from invelo.api.common.context import SESSION_COOKIE
from invelo.api.common.relay import either
from invelo.api.common.security import same_site
from invelo.api.common.tidings import until_gone
from invelo.db.database import transaction
from invelo.devices import lines, simulated_scale
from invelo.domain.equipment.load_cell import (
    PER_NEWTON,
    SILENT_AFTER,
    LoadCellDisplay,
    Settling,
    Unit,
)
from invelo.domain.equipment.load_cell import ForceSample as Read
from invelo.domain.errors import InputError
from invelo.services.account import accounts

router = APIRouter()

EVERY = 0.1
"""Seconds between two messages to the page while nothing changes but the figure."""


class LoadCellReading(BaseModel):
    """What the page is told."""

    state: Literal["empty", "moving", "steady", "silent", "flooding", "gone", "fault"]
    value: float = 0.0
    half_width: float = 0.0
    kg: float = 0.0
    unit: Unit = "kg"
    simulated: bool = False
    words: str = ""


class Tare(BaseModel):
    """From the page: take what hangs there now as nothing."""

    type: Literal["tare"] = "tare"


Command = Annotated[
    Tare | lines.PullLine | lines.UnitNow | lines.Trouble, Field(discriminator="type")
]
COMMAND: TypeAdapter[Tare | lines.PullLine | lines.UnitNow | lines.Trouble] = TypeAdapter(Command)

WORDS = {
    "empty": "Nothing hangs there.",
    "moving": "Hold still …",
    "steady": "Steady.",
    "silent": "The scale has fallen silent. Wake it, then pull again; what was measured is kept.",
    "flooding": "The scale sends more than anyone can read. Connect it anew.",
    "gone": "The link has dropped. Connect again; what was measured is kept.",
    "fault": "The scale sent what is no reading.",
}


@router.websocket("/api/scale")
async def live(page: WebSocket) -> None:
    """Relay a scale's readings to a signed-in coach's page, judged as they come."""
    if not same_site(page.headers) or not await run_in_threadpool(_signed_in, page):
        await page.close(code=1008, reason="sign in first")
        return
    await page.accept()
    try:
        async with _scale(page.app.state.settings.scale_url) as device:
            await _LoadCellRelay(page, device).run()
    except (OSError, WebSocketException):
        await _say(page, LoadCellReading(state="gone", words=WORDS["gone"]))
    except WebSocketDisconnect:
        return  # the page was left
    await page.close()


def _signed_in(page: WebSocket) -> bool:
    token = page.cookies.get(SESSION_COOKIE)
    if not token:
        return False
    with transaction(page.app.state.engine) as db:
        return accounts.for_token(db, token, page.app.state.clock()) is not None


@asynccontextmanager
async def _scale(url: str) -> AsyncIterator[ClientConnection]:
    if url:
        async with connect(url) as device:
            yield device
        return
    async with simulated_scale.running() as standing_in, connect(standing_in) as device:
        yield device


async def _say(page: WebSocket, message: LoadCellReading) -> None:
    await page.send_text(message.model_dump_json())


class _LoadCellRelay:
    """One page at one scale."""

    def __init__(self, page: WebSocket, device: ClientConnection) -> None:
        self.page, self.device = page, device
        self.settling = Settling()
        self.unit: Unit = "kg"
        self.simulated = False
        self.last_state, self.last_told = "", 0.0

    async def run(self) -> None:
        """Until the page is left, the scale has gone, or the coach signed out."""
        token = self.page.cookies.get(SESSION_COOKIE, "")
        gone = until_gone(self.page.app.state.tidings, token, lambda: _signed_in(self.page))
        await either(self._read(), self._hear(), gone)

    async def _read(self) -> None:
        while True:
            try:
                line = await asyncio.wait_for(self.device.recv(), SILENT_AFTER)
            except TimeoutError:
                await self._tell(self.settling.silent())
                continue
            except ConnectionClosed:
                await _say(self.page, LoadCellReading(state="gone", words=WORDS["gone"]))
                return
            try:
                await self._take(lines.from_scale(line))
            except InputError as error:
                words = f"{error.problem} {error.remedy}"
                await _say(self.page, LoadCellReading(state="fault", unit=self.unit, words=words))

    async def _take(self, sample_line: lines.FromScale) -> None:
        match sample_line:
            case lines.Hello():
                self.unit, self.simulated = sample_line.unit, sample_line.simulated
            case lines.UnitNow():
                self.unit = sample_line.unit
            case lines.SampleLine():
                force = sample_line.value / PER_NEWTON[self.unit]
                await self._tell(self.settling.feed(Read(sample_line.at, force)))

    async def _tell(self, shown: LoadCellDisplay) -> None:
        now = asyncio.get_running_loop().time()
        if shown.state == self.last_state and now - self.last_told < EVERY:
            return
        self.last_state, self.last_told = shown.state, now
        await _say(
            self.page,
            LoadCellReading(
                state=shown.state,
                value=shown.force * PER_NEWTON[self.unit],
                half_width=shown.half_width * PER_NEWTON[self.unit],
                kg=shown.force * PER_NEWTON["kg"],
                unit=self.unit,
                simulated=self.simulated,
                words=WORDS[shown.state],
            ),
        )

    async def _hear(self) -> None:
        while True:
            line = await self.page.receive_text()
            try:
                told = COMMAND.validate_json(line[: lines.LONGEST_LINE])
            except ValidationError:
                words = "That is no command to a scale."
                await _say(self.page, LoadCellReading(state="fault", unit=self.unit, words=words))
                continue
            if isinstance(told, Tare):
                self.settling.tare()
            else:
                await self.device.send(lines.written(told))


MESSAGES = (LoadCellReading, Tare, lines.PullLine, lines.UnitNow)
"""What is said on this socket, for the document."""
