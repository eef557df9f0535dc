"""A week of 6 days, 30 tasks, 2 places and 4 pins: how soon there is a plan, how soon a good one,
how soon again after a pin is changed, and what a running solve costs everyone else."""

import statistics
import threading
import time
from dataclasses import replace
from random import Random

import httpx2 as httpx

from bench.service import _service
from invelo.domain.catalogue.movement import MUSCLES, Muscle
from invelo.domain.plan.methods import WAVE
from invelo.domain.plan.week.problem import Day, Pin, Plan, PlanningProblem, WeekTask
from invelo.domain.plan.week.progress import Progress
from invelo.domain.plan.week.solve import solve

WEEKS = 15
GOOD = 0.05
SECONDS = 6.0
READS = 60
LEANS = ("triceps", "biceps", "front shoulder", "calves")


def a_week(seed: int) -> PlanningProblem:
    """Crowded: more is asked than the days hold."""
    random = Random(seed)
    days = tuple(Day(i, random.choice((35, 45, 60)), random.choice("ab")) for i in range(6))
    regions = MUSCLES[:12]
    tasks = tuple(_task(random, i, regions) for i in range(30))
    pins: list[Pin] = []
    while len(pins) < 4:
        task, day = random.choice(tasks), random.choice(days)
        if task.fits(day) and all(pin.task != task.key for pin in pins):
            pins.append(Pin(task.key, day.index))
    targets = {region: 2 * random.randint(6, 12) for region in regions}
    return PlanningProblem(days, tasks, targets, tuple(pins))


def _task(random: Random, i: int, regions: tuple[Muscle, ...]) -> WeekTask:
    prime = {region: 2 * random.randint(2, 4) for region in random.sample(regions, 2)}
    helping = {region: random.randint(2, 4) for region in random.sample(regions, 2)}
    push = random.choice((0, 0, 6))
    joints = random.sample(("wrist", "elbow", "shoulder", "knee"), 2)
    turns = 20 <= i < 24
    return WeekTask(
        key=f"t{i}",
        name=f"T{i}",
        role="strength",
        family="x",
        minutes=random.randint(3, 11),
        sets={**helping, **prime},
        push=push,
        pull=0 if push else random.choice((0, 6)),
        stress={joint: random.randint(1, 3) for joint in joints} if random.random() < 0.6 else {},  # type: ignore[misc]
        leans=frozenset(random.sample(LEANS, 1)) if random.random() < 0.5 else frozenset(),  # type: ignore[arg-type]
        asked=random.randint(1, 3),
        least=int(i < 5),
        most=3,
        places=random.choice((None, None, frozenset("a"), frozenset("ab"))),
        rotation="arms" if turns else "",
        letter="AB"[i % 2] if turns else "",
        wave="w" if i < 3 else "",
        wave_day=WAVE[i] if i < 3 else None,
    )


def _timed(problem: PlanningProblem, start: Plan | None = None) -> tuple[float, float, Plan]:
    """Seconds to the first plan, and to one within `GOOD` of its bound; and the plan."""
    began = time.perf_counter()
    first: list[float] = []
    good: list[float] = []

    def watch(progress: Progress) -> bool:
        now = time.perf_counter() - began
        first.append(now)
        if progress.gap <= GOOD:
            good.append(now)
        return not good

    found = solve(problem, start, watch, SECONDS)
    ended = time.perf_counter() - began
    return (first or [ended])[0], (good or [ended])[0], found.plan


def run() -> dict[str, dict[str, float]]:
    """Measure."""
    return {**_weeks(), **_beside()}


def _weeks() -> dict[str, dict[str, float]]:
    solve(a_week(99), seconds=1.0)  # the library is loaded once
    firsts, goods, agains, whole = [], [], [], []
    for seed in range(WEEKS):
        problem = a_week(seed)
        began = time.perf_counter()
        first, good, _ = _timed(problem)
        firsts.append(first)
        goods.append(good)
        plan = solve(problem, seconds=SECONDS).plan
        whole.append(time.perf_counter() - began)
        pin = problem.pins[0]
        changed = replace(problem, pins=(*problem.pins[1:], replace(pin, there=False)), last=plan)
        agains.append(_timed(changed, plan)[1])
    return {
        "week of 6 days, 30 tasks, 2 places, 4 pins": {
            "first plan, s (median)": statistics.median(firsts),
            "first plan, s (worst)": max(firsts),
            "within 5 %, s (median)": statistics.median(goods),
            "within 5 %, s (worst)": max(goods),
            "a pin changed, s (median)": statistics.median(agains),
            "a pin changed, s (worst)": max(agains),
        }
    }


def _beside() -> dict[str, dict[str, float]]:
    """A plain read while a week is solved, against the same read idle."""
    with _service() as client:
        squad = client.get("/api/squad").json()["athletes"]
        athlete = next(one["id"] for one in squad if one["name"] == "Juno Pell")

        def reads() -> float:
            taken = []
            for _ in range(READS):
                began = time.perf_counter()
                client.get("/api/me").raise_for_status()
                taken.append(1000 * (time.perf_counter() - began))
            return statistics.median(taken)

        def solving(ended: threading.Event) -> None:
            with httpx.Client(base_url=client.base_url, cookies=client.cookies) as other:
                while not ended.is_set():
                    body = {"seconds": 5}
                    path = f"/api/athletes/{athlete}/week/plans"
                    other.post(path, json=body, timeout=60).raise_for_status()

        reads()
        idle = reads()
        ended = threading.Event()
        thread = threading.Thread(target=solving, args=(ended,))
        thread.start()
        time.sleep(2.0)  # the solver's own process is up
        busy = reads()
        ended.set()
        thread.join()
    return {
        "a plain read beside a running solve": {
            "idle, ms": idle,
            "solving, ms": busy,
            "ratio": busy / idle,
        }
    }
