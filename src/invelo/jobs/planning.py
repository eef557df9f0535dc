"""Planning a week: taken up, solved in a process of its own, told as it goes, written once."""

import asyncio
from typing import Any
from uuid import UUID

import anyio
import structlog

from invelo.domain.errors import InputError
from invelo.domain.plan.week.progress import PlannedWeek, Progress
from invelo.jobs.solving import Refused, solving
from invelo.jobs.work import Work
from invelo.services.plan import planning

LOOK = 0.3
"""Seconds between looks at whether anybody still waits for a plan."""

MOST_ROUNDS = 4
"""Times a week is solved for one job, where it changes under the search."""

CHANGING = InputError("week", "it keeps changing.", "Plan it again once it stands.")
FAILED = InputError("solver", "it failed; the service has noted why.", "Plan the week again.")

log: Any = structlog.get_logger()


async def plan_week(work: Work, planning_id: str) -> None:
    """Plan a week that was asked for, until it stands."""
    key = UUID(planning_id)
    try:
        for _ in range(MOST_ROUNDS):
            question = await work.do(planning.take_up, key, work.clock())
            if question is None:
                return
            planned = await _search(work, question)
            if planned is None or await work.do(planning.finish, question, planned, work.clock()):
                return
        await work.do(planning.refuse, key, CHANGING, work.clock())
    except asyncio.CancelledError:  # the worker is told to stop: another goes on
        with anyio.CancelScope(shield=True):
            await work.do(planning.put_back, key, work.clock())
        raise
    except Exception:
        log.exception("planning failed", planning=planning_id)
        await work.do(planning.refuse, key, FAILED, work.clock())


async def put_back_forgotten(work: Work) -> None:
    """Put plannings into the queue again that nobody has touched for a while."""
    await work.do(planning.put_back_forgotten, work.clock())


async def _search(work: Work, question: planning.WeekQuestion) -> PlannedWeek | None:
    """What the search ends with; None where it was stopped or refused."""
    key, solved = question.planning_id, None
    async with anyio.create_task_group() as group:
        group.start_soon(_until_stopped, work, key, group.cancel_scope)
        async for tidings in solving(
            question.problem, question.start, question.seconds, question.steps
        ):
            match tidings:
                case Progress():
                    await work.do(planning.note_progress, key, tidings, work.clock())
                case PlannedWeek():
                    solved = tidings
                case Refused(field, problem, remedy):
                    error = InputError(field, problem, remedy)
                    await work.do(planning.refuse, key, error, work.clock())
        group.cancel_scope.cancel()
    return solved


async def _until_stopped(work: Work, key: UUID, searching: anyio.CancelScope) -> None:
    while await work.do(planning.is_under_way, key):
        await anyio.sleep(LOOK)
    searching.cancel()
