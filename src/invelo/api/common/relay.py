"""Two tasks between a page and a device: whichever ends first ends both."""

import asyncio
from collections.abc import Coroutine
from typing import Any


async def either(*running: Coroutine[Any, Any, None]) -> None:
    """Run until one ends; the others are told to stop, and what it raised is raised."""
    tasks = [asyncio.create_task(coroutine) for coroutine in running]
    done, waiting = await asyncio.wait(tasks, return_when=asyncio.FIRST_COMPLETED)
    for task in waiting:
        task.cancel()
    for task in done:
        task.result()
