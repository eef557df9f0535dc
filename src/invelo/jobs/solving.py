"""Solving a week beside the request loop: a process of its own, watched and stopped from outside.

The solver's libraries are loaded once, in a server process that forks a child for each solve; the
service itself never imports them.
"""

import os
from collections.abc import AsyncIterator, Mapping
from contextlib import suppress
from dataclasses import dataclass
from multiprocessing import get_context
from multiprocessing.connection import Connection
from typing import Any

import anyio
import anyio.to_thread

from invelo.domain.errors import InputError
from invelo.domain.plan.week.problem import Plan, PlanningProblem
from invelo.domain.plan.week.progress import PlannedWeek, Progress

POLL = 0.1
"""Seconds between looks at a solve, so that one that nobody watches any more is ended."""

AT_ONCE = 2
"""Solves that run at one time; the next waits for its turn."""

_CONTEXT = get_context("forkserver")
_CONTEXT.set_forkserver_preload(["invelo.domain.plan.week.solve"])


@dataclass(frozen=True)
class Refused:
    """Why there is no plan, as an `InputError` told it."""

    field: str
    problem: str
    remedy: str


Tidings = Progress | PlannedWeek | Refused


def _work(
    pipe: Connection, problem: PlanningProblem, start: Plan | None, limits: Mapping[str, Any]
) -> None:
    from invelo.domain.plan.week.solve import solve

    with suppress(OSError):
        os.nice(10)

    def watch(progress: Progress) -> bool:
        pipe.send(progress)
        return True

    try:
        pipe.send(solve(problem, start, watch, **limits))
    except InputError as error:
        pipe.send(Refused(error.field, error.problem, error.remedy))
    except BrokenPipeError:  # nobody looks on any more
        pass
    finally:
        pipe.close()


async def solving(
    problem: PlanningProblem,
    start: Plan | None = None,
    seconds: float | None = None,
    steps: float | None = None,
    turn: anyio.CapacityLimiter | None = None,
) -> AsyncIterator[Tidings]:
    """Solve a week in a process of its own, and tell of its progress.

    Ends with a `Solved` or a `Refused`. Whoever stops listening ends the process.

    Args:
        problem: the week.
        start: a plan to begin from.
        seconds: the search takes at most; the solver's own limit if left out.
        steps: a limit in the solver's own units, for searches that must repeat.
        turn: how many may run at one time.
    """
    given = {"seconds": seconds, "steps": steps}
    limits = {name: limit for name, limit in given.items() if limit is not None}
    async with turn or anyio.CapacityLimiter(AT_ONCE):
        ours, theirs = _CONTEXT.Pipe(duplex=False)
        process = _CONTEXT.Process(target=_work, args=(theirs, problem, start, limits), daemon=True)
        await anyio.to_thread.run_sync(process.start)
        theirs.close()
        try:
            async for tidings in _tidings(ours):
                yield tidings
        finally:
            process.kill()
            ours.close()
            with anyio.CancelScope(shield=True):
                await anyio.to_thread.run_sync(process.join)


async def _tidings(pipe: Connection) -> AsyncIterator[Tidings]:
    ended = False
    while not ended:
        if not await anyio.to_thread.run_sync(pipe.poll, POLL):
            continue
        try:
            tidings = pipe.recv()
        except EOFError:
            yield Refused("solver", "it ended without an answer.", "Try again.")
            return
        ended = not isinstance(tidings, Progress)
        yield tidings
