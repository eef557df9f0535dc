"""Running a comparison of plans: progress as it goes, over several processes, stopped at will."""

from collections.abc import Callable
from concurrent.futures import ProcessPoolExecutor
from multiprocessing import get_context

from invelo.domain.simulation.compare import Lived, Question, lines, seasons
from invelo.formats.scripts.simulation import Comparison, comparison

REPORTED_EVERY = 20
"""Seasons between two words of progress."""


def run(
    question: Question, jobs: int = 1, say: Callable[[str], None] = lambda _: None
) -> tuple[Comparison, bool]:
    """The comparison, and whether all of it was done.

    Args:
        question: what is compared.
        jobs: processes; the answer is the same for any number.
        say: is told of progress, and where it was stopped.
    """
    done: list[Lived] = []
    whole = True
    with ProcessPoolExecutor(jobs, get_context("spawn")) if jobs > 1 else _Alone() as pool:
        try:
            for season in seasons(question, pool.map):
                done.append(season)
                if len(done) % REPORTED_EVERY == 0:
                    say(f"{len(done)} of {question.seasons} seasons")
        except KeyboardInterrupt:
            say(
                f"stopped after {len(done)} of {question.seasons} seasons; what follows is of those"
            )
            pool.shutdown(cancel_futures=True)
            whole = False
    return comparison(question, lines(question, done)), whole


def run_apart(question: Question, watch: Callable[[int], bool]) -> Comparison | None:
    """The comparison, worked out in a process of its own; None where nobody waits for it any more.

    Args:
        question: what is compared.
        watch: is told how many seasons are done, and says whether to go on.
    """
    done: list[Lived] = []
    with ProcessPoolExecutor(1, get_context("spawn")) as pool:
        for season in seasons(question, pool.map):
            done.append(season)
            if not watch(len(done)):
                pool.shutdown(cancel_futures=True)
                return None
    return comparison(question, lines(question, done))


class _Alone:
    """One process, as a pool would be used."""

    map = staticmethod(map)

    def __enter__(self) -> "_Alone":
        return self

    def __exit__(self, *_: object) -> None:
        """Nothing to close."""

    def shutdown(self, cancel_futures: bool = False) -> None:
        """Nothing to stop."""
