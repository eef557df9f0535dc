"""The whole closed loop: 200 simulated athletes, 26 weeks, Invelo's rules against other plans.

    PYTHONPATH=src .venv/bin/python -m bench.closed_loop [athletes]

Its seed was used for nothing else: rules and constants were looked at on seed 77 and small ones.
Told in Markdown: a table for everybody, for whom the start was misjudged, a break or an illness
came or steps are wide, and for the others; then Invelo against the best plan that knows no more
than a coach does, athlete by athlete.
"""

import os
import sys
from collections.abc import Callable, Iterable
from concurrent.futures import ProcessPoolExecutor
from multiprocessing import get_context

import numpy as np

from invelo.domain.simulation.cast import Member, cast
from invelo.domain.simulation.compare import CANDIDATES, USUAL, Question, seasons
from invelo.domain.simulation.season import Season

SEED = 260611
WEEKS = 26
LATEST = 30.0
"""Weeks that stand for a third criterion that never came: after the end, and not far after."""

BASELINES = tuple(one for one in USUAL if one not in ("invelo", "truth"))
LATER = 3.0
"""Weeks from which an athlete is much later than on the best other plan."""

Lives = dict[str, dict[int, Season]]
"""By plan and athlete."""

COLUMNS: dict[str, Callable[[Season], float]] = {
    "weeks to the 3rd criterion": lambda s: LATEST if s.third is None else s.third,
    "hard weeks": lambda s: s.hard_weeks,
    "spikes": lambda s: s.spikes,
    "pain": lambda s: s.pains,
    "capacity, %": lambda s: 100 * s.gained,
    "steps up": lambda s: s.ups,
    "questions a week": lambda s: s.questions / WEEKS,
    "stuck": lambda s: s.stuck,
}
THIRD = COLUMNS["weeks to the 3rd criterion"]


def run(athletes: int = 200) -> None:
    """The tables on the terminal."""
    members = cast(athletes, SEED, WEEKS)
    lives = _lives(Question(USUAL, athletes, WEEKS, SEED))
    hard = [one for one in members if one.hard_case]
    easy = [one for one in members if not one.hard_case]
    for name, those in (("everybody", members), ("hard cases", hard), ("the others", easy)):
        print(f"\n**{name}, {len(those)}**\n")
        _table(lives, those)
        print()
        _against(lives, those)
    print()
    for step in sorted({one.step for one in members}):
        those = [lives["invelo"][one.number] for one in members if one.step == step]
        print(f"- steps of {100 * step:g} %: {_back(those):.1f} % of steps up taken back")
    for kind in sorted({one.kind for one in members}):
        numbers = [one.number for one in members if one.kind == kind]
        weeks = {plan: np.mean([THIRD(lives[plan][i]) for i in numbers]) for plan in USUAL}
        told = ", ".join(f"{CANDIDATES[plan].name} {value:.1f}" for plan, value in weeks.items())
        print(f"- {kind}: {told}")


def _lives(question: Question) -> Lives:
    lives: Lives = {plan: {} for plan in question.candidates}
    with ProcessPoolExecutor(os.cpu_count(), get_context("spawn")) as pool:
        for one in seasons(question, lambda f, work: pool.map(f, work, chunksize=8)):
            lives[one.candidate][one.athlete] = one.season
    return lives


def _table(lives: Lives, members: Iterable[Member]) -> None:
    heads = ("plan", *COLUMNS, "light, %", "taken back, %", "never 3rd, %")
    print("| " + " | ".join(heads) + " |\n|" + "---|" * len(heads))
    for plan, by_athlete in lives.items():
        those = [by_athlete[one.number] for one in members]
        figures = [f"{np.mean([column(s) for s in those]):.2f}" for column in COLUMNS.values()]
        judged = sum(s.judged for s in those)
        light = 100 * sum(s.light for s in those) / max(1, judged)
        never = 100 * np.mean([s.third is None for s in those])
        last = (f"{light:.1f}", f"{_back(those):.1f}", f"{never:.0f}")
        print("| " + " | ".join((CANDIDATES[plan].name, *figures, *last)) + " |")


def _back(those: list[Season]) -> float:
    return 100 * sum(s.taken_back for s in those) / max(1, sum(s.ups for s in those))


def _against(lives: Lives, members: list[Member]) -> None:
    """Invelo against the best baseline, paired, with a 90 % interval by resampling athletes."""
    numbers = [one.number for one in members]
    weeks = {plan: np.array([THIRD(lives[plan][i]) for i in numbers]) for plan in USUAL}
    best = min(BASELINES, key=lambda plan: float(weeks[plan].mean()))
    random = np.random.default_rng(SEED)
    picks = random.integers(0, len(numbers), (4000, len(numbers)))
    for plan in ("invelo", "truth"):
        ratios = weeks[plan][picks].mean(axis=1) / weeks[best][picks].mean(axis=1)
        low, high = np.quantile(ratios, (0.05, 0.95))
        ratio = weeks[plan].mean() / weeks[best].mean()
        later = 100 * np.mean(weeks[plan] > weeks[best] + LATER)
        print(
            f"{CANDIDATES[plan].name} ÷ {CANDIDATES[best].name}: {ratio:.2f} "
            f"(90 %: {low:.2f}–{high:.2f}); {later:.0f} % are over {LATER:g} weeks later.\n"
        )


if __name__ == "__main__":
    run(*map(int, sys.argv[1:2]))
