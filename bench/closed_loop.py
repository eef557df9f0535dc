"""The whole closed loop: 200 simulated athletes, 26 weeks, Invelo's rules against fixed plans.

    PYTHONPATH=src .venv/bin/python -m bench.closed_loop

Its seed was used for nothing else: rules and constants were looked at on seed 77 and small ones.
"""

import os

from invelo.domain.simulation.compare import CANDIDATES, Question
from invelo.formats.scripts.simulation import table
from invelo.jobs import simulating

SEED = 260611


def run() -> None:
    """The table on the terminal."""
    question = Question(tuple(CANDIDATES), athletes=200, weeks=26, seed=SEED)
    told, _ = simulating.run(question, os.cpu_count() or 1)
    print(table(told))


if __name__ == "__main__":
    run()
