"""One page at one device: the socket between them, until either leaves or the right to it ends."""

import asyncio
from abc import ABC, abstractmethod
from collections.abc import AsyncIterator, Callable, Coroutine
from contextlib import AbstractAsyncContextManager, asynccontextmanager
from typing import Any, ClassVar

from fastapi import WebSocket, WebSocketDisconnect
from pydantic import BaseModel
from websockets.asyncio.client import ClientConnection, connect
from websockets.exceptions import ConnectionClosed

from invelo.api.common.live.tidings import until_gone
from invelo.domain.errors import InputError


@asynccontextmanager
async def device_at(
    url: str, stand_in: Callable[[], AbstractAsyncContextManager[str]]
) -> AsyncIterator[ClientConnection]:
    """The device at an address, or, where none is set, the stand-in that ships with the product."""
    if url:
        async with connect(url) as device:
            yield device
        return
    async with stand_in() as standing_in, connect(standing_in) as device:
        yield device


async def say(page: WebSocket, message: BaseModel) -> None:
    """Tell a page something."""
    await page.send_text(message.model_dump_json())


async def heard(page: WebSocket) -> str:
    """What a page says next; what is no text is said as nothing, so that it is refused in words.

    Raises:
        WebSocketDisconnect: once the page is left.
    """
    message = await page.receive()
    if message["type"] == "websocket.disconnect":
        raise WebSocketDisconnect(message.get("code", 1005))
    return message.get("text") or ""


async def either(*running: Coroutine[Any, Any, None]) -> None:
    """Run until one ends; the others are told to stop, and what it raised is raised."""
    tasks = [asyncio.create_task(coroutine) for coroutine in running]
    done, waiting = await asyncio.wait(tasks, return_when=asyncio.FIRST_COMPLETED)
    for task in waiting:
        task.cancel()
    for task in done:
        task.result()


class DeviceRelay(ABC):
    """Relays a device's lines to a page and a page's commands to the device.

    What a line means is the subclass's: it takes lines and commands, and tells silence and loss.
    """

    silent_after: ClassVar[float]
    """Seconds without a line after which the device is called silent."""

    def __init__(self, page: WebSocket, device: ClientConnection) -> None:
        """Between them; nothing is said yet."""
        self.page, self.device = page, device

    async def run(self, token: str, may: Callable[[], bool]) -> None:
        """Until the page is left, the device has gone, or `may` says no to `token`'s holder."""
        ended = until_gone(self.page.app.state.tidings, token, may)
        await either(self._read(), self._hear(), ended)

    @abstractmethod
    async def take(self, line: str | bytes) -> None:
        """A line of the device.

        Raises:
            InputError: for what is none.
        """

    @abstractmethod
    async def fault(self, error: InputError) -> None:
        """A line that was none."""

    @abstractmethod
    async def silent(self) -> None:
        """No line came for a while."""

    @abstractmethod
    async def gone(self) -> None:
        """The device has dropped the link."""

    @abstractmethod
    async def command(self, line: str) -> bool:
        """A line of the page; whether that was the last."""

    async def _read(self) -> None:
        while True:
            try:
                line = await asyncio.wait_for(self.device.recv(), self.silent_after)
            except TimeoutError:
                await self.silent()
                continue
            except ConnectionClosed:
                await self.gone()
                return
            try:
                await self.take(line)
            except InputError as error:
                await self.fault(error)

    async def _hear(self) -> None:
        while not await self.command(await heard(self.page)):
            pass
