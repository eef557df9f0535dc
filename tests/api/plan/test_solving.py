"""Solving beside the request loop: progress, stopping, refusals."""

from typing import Any

import anyio

from invelo.domain.plan.week.problem import Day, Pin, PlanningProblem, WeekTask
from invelo.domain.plan.week.progress import PlannedWeek, Progress
from invelo.jobs.solving import Refused, solving
from tests.domain.plan.test_week import small_week


def told(problem: PlanningProblem, **more: Any) -> list[Any]:
    async def listen() -> list[Any]:
        return [one async for one in solving(problem, **more)]

    return anyio.run(listen)


def big_week() -> PlanningProblem:
    """One that takes a while to prove."""
    days = tuple(Day(i, 40) for i in range(6))
    tasks = tuple(
        WeekTask(
            key=f"t{i}",
            name=f"T{i}",
            role="strength",
            family="x",
            minutes=4 + i % 7,
            sets={"chest": 2 + i % 5, "upper back": 1 + i % 3},
            push=i % 4,
            pull=i % 3,
            stress={"wrist": 1 + i % 3},
            asked=1 + i % 3,
        )
        for i in range(30)
    )
    return PlanningProblem(days, tasks, {"chest": 61, "upper back": 53}, (Pin("t1", 0),))


def test_it_ends_with_what_a_solve_here_finds() -> None:
    from invelo.domain.plan.week.solve import solve

    problem = small_week(11)
    end = told(problem)[-1]
    assert isinstance(end, PlannedWeek)
    assert end.progress.points == solve(problem).progress.points


def test_progress_comes_before_the_end_and_the_bound_never_passes_it() -> None:
    heard = told(big_week(), seconds=3.0)
    assert isinstance(heard[-1], PlannedWeek)
    assert all(isinstance(one, Progress) for one in heard[:-1])
    assert len(heard) > 1
    points = [one.points for one in heard[:-1]]
    assert points == sorted(points, reverse=True)
    assert all(one.bound <= heard[-1].progress.points for one in heard[:-1])


def test_whoever_stops_listening_ends_the_process() -> None:
    """The children of the server process are counted before and after."""
    import multiprocessing

    async def leave() -> None:
        stream = solving(big_week(), seconds=60.0)
        async for _ in stream:
            break
        await stream.aclose()  # type: ignore[attr-defined]

    anyio.run(leave)
    assert multiprocessing.active_children() == []


def test_a_plan_not_found_in_time_is_a_refusal_in_words() -> None:
    end = told(big_week(), seconds=1e-4)[-1]
    assert isinstance(end, Refused)
    assert end.field == "time"


def test_one_waits_for_its_turn() -> None:
    turn = anyio.CapacityLimiter(1)

    async def both() -> list[str]:
        order: list[str] = []

        async def one(name: str) -> None:
            async for _ in solving(small_week(5), turn=turn):
                order.append(name)

        async with anyio.create_task_group() as group:
            group.start_soon(one, "a")
            group.start_soon(one, "b")
        return order

    order = anyio.run(both)
    assert order == sorted(order) or order == sorted(order, reverse=True)
