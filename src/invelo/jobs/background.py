"""Long work that somebody waits for: a file of sets kept, plans compared."""

import asyncio
from functools import partial
from threading import Event
from typing import Any
from uuid import UUID

import anyio
import anyio.from_thread
import anyio.to_thread
import structlog

from invelo.db.errors import ConflictError, MissingError
from invelo.domain.errors import InputError
from invelo.formats.scripts.simulation import QUESTION
from invelo.jobs import simulating
from invelo.jobs.work import Work
from invelo.services import background
from invelo.services.training import log_import

FAILED = InputError("task", "it failed; the service has noted why.", "Ask for it again.")

log: Any = structlog.get_logger()


async def do(work: Work, task_id: str) -> None:
    """Do a task that was asked for."""
    key = UUID(task_id)
    taken_up = await work.do(background.take_up, key, work.clock())
    if taken_up is None:
        return
    kind, question = taken_up
    try:
        match kind:
            case "log_file":
                await work.do(log_import.keep_file, key, work.clock())
            case "comparison":
                await _compare(work, key, question)
    except asyncio.CancelledError:  # the worker is told to stop: another goes on
        with anyio.CancelScope(shield=True):
            await work.do(background.put_back, key, work.clock())
        raise
    except InputError as error:
        await work.do(background.refuse, key, error, work.clock())
    except (ConflictError, MissingError) as error:
        refusal = InputError("file", str(error), "Read the file again.")
        await work.do(background.refuse, key, refusal, work.clock())
    except Exception:
        log.exception("background task failed", task=task_id)
        await work.do(background.refuse, key, FAILED, work.clock())


async def put_back_forgotten(work: Work) -> None:
    """Put tasks into the queue again that nobody has touched for a while."""
    await work.do(background.put_back_forgotten, work.clock())


async def _compare(work: Work, key: UUID, asked: dict[str, Any]) -> None:
    question = QUESTION.validate_python(asked)
    left = Event()

    def watch(done: int) -> bool:
        tell = partial(work.do, background.note_progress, key, done, work.clock())
        return not left.is_set() and anyio.from_thread.run(tell)

    try:
        compared = await anyio.to_thread.run_sync(
            simulating.run_apart, question, watch, abandon_on_cancel=True
        )
    finally:
        left.set()
    if compared is not None:
        result = compared.model_dump(mode="json")
        await work.do(background.finish_by_id, key, result, work.clock())
