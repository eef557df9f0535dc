"""Scale: a live reading of the hanging scale, told when it stands still.

A WebSocket, so it is no part of the OpenAPI document; `docs/formats/scale.md` tells what travels.
"""

import asyncio
from functools import partial
from typing import Annotated, Literal

from fastapi import APIRouter, WebSocket, WebSocketDisconnect
from pydantic import BaseModel, Field, TypeAdapter, ValidationError
from starlette.concurrency import run_in_threadpool
from websockets.asyncio.client import ClientConnection
from websockets.exceptions import WebSocketException

from invelo.api.common.cookies import SESSION_COOKIE, cookie_of
from invelo.api.common.guards.security import same_site
from invelo.api.common.live.relay import DeviceRelay, device_at, say
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
        url = page.app.state.settings.scale_url
        async with device_at(url, simulated_scale.running) as device:
            token = cookie_of(page, SESSION_COOKIE) or ""
            await _LoadCellRelay(page, device).run(token, partial(_signed_in, page))
    except (OSError, WebSocketException):
        await say(page, LoadCellReading(state="gone", words=WORDS["gone"]))
    except WebSocketDisconnect:
        return  # the page was left
    await page.close()


def _signed_in(page: WebSocket) -> bool:
    token = cookie_of(page, SESSION_COOKIE)
    if not token:
        return False
    with transaction(page.app.state.engine) as db:
        return accounts.for_token(db, token, page.app.state.clock()) is not None


class _LoadCellRelay(DeviceRelay):
    """One page at one scale."""

    silent_after = SILENT_AFTER

    def __init__(self, page: WebSocket, device: ClientConnection) -> None:
        super().__init__(page, device)
        self.settling = Settling()
        self.unit: Unit = "kg"
        self.simulated = False
        self.last_state, self.last_told = "", 0.0

    async def take(self, line: str | bytes) -> None:
        """A reading, or what it is measured in."""
        match lines.from_scale(line):
            case lines.Hello(unit=unit, simulated=simulated):
                self.unit, self.simulated = unit, simulated
            case lines.UnitNow(unit=unit):
                self.unit = unit
            case lines.SampleLine(at=at, value=value):
                force = value / PER_NEWTON[self.unit]
                await self._tell(self.settling.feed(Read(at, force)))

    async def fault(self, error: InputError) -> None:
        """Said in words; what was measured is kept."""
        words = f"{error.problem} {error.remedy}"
        await say(self.page, LoadCellReading(state="fault", unit=self.unit, words=words))

    async def silent(self) -> None:
        """Said once."""
        await self._tell(self.settling.silent())

    async def gone(self) -> None:
        """Said, with what to do."""
        await say(self.page, LoadCellReading(state="gone", words=WORDS["gone"]))

    async def command(self, line: str) -> bool:
        """Take what hangs there as nothing, or pass it on to the scale."""
        try:
            command = COMMAND.validate_json(line[: lines.LONGEST_LINE])
        except ValidationError:
            words = "That is no command to a scale."
            await say(self.page, LoadCellReading(state="fault", unit=self.unit, words=words))
            return False
        if isinstance(command, Tare):
            self.settling.tare()
        else:
            await self.device.send(lines.written(command))
        return False

    async def _tell(self, shown: LoadCellDisplay) -> None:
        now = asyncio.get_running_loop().time()
        if shown.state == self.last_state and now - self.last_told < EVERY:
            return
        self.last_state, self.last_told = shown.state, now
        await say(
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


MESSAGES = (LoadCellReading, Tare, lines.PullLine, lines.UnitNow)
"""What is said on this socket, for the document."""
