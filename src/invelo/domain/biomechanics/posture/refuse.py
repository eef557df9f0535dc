"""What is done with a posture that cannot be: raise at once, or mark it among many.

The last axis of every value tells postures or bodies apart. A reading asks only the first of them,
the body itself; a survey of many set-ups asks each.
"""

from collections.abc import Callable

import numpy as np
from numpy.typing import NDArray

from invelo.domain.errors import InputError

Wrong = NDArray[np.bool_]
Refuse = Callable[[Wrong, Callable[[], InputError]], None]
"""Called with what is wrong, shape `(..., k)`, and the error that says so."""


def at_first(wrong: Wrong, error: Callable[[], InputError]) -> None:
    """Raise if the first of the last axis is wrong.

    Raises:
        InputError: the error.
    """
    if np.atleast_1d(wrong)[..., 0].any():
        raise error()


class Marked:
    """Marks which of `k` are wrong, and raises nothing."""

    def __init__(self, count: int) -> None:
        """None of `count` is wrong yet."""
        self.wrong = np.zeros(count, dtype=bool)

    def __call__(self, wrong: Wrong, error: Callable[[], InputError]) -> None:
        """Add to what is wrong."""
        marks = np.atleast_1d(wrong)
        self.wrong |= np.broadcast_to(marks, (*marks.shape[:-1], len(self.wrong))).any(
            axis=tuple(range(marks.ndim - 1))
        )
