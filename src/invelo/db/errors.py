"""Refusals of the store, each with the field it is about and what to do."""


class RefusedError(Exception):
    """An act that cannot be done.

    Attributes:
        field: what it is about, as the caller knows it.
        problem: what is wrong, in words.
        remedy: what would put it right.
    """

    def __init__(self, field: str, problem: str, remedy: str) -> None:
        """Keep the three parts apart."""
        super().__init__(f"{field}: {problem} {remedy}")
        self.field = field
        self.problem = problem
        self.remedy = remedy


class MissingError(RefusedError):
    """There is no such thing, or it is another coach's; the two are never told apart."""

    def __init__(self, thing: str) -> None:
        """Say what is not there."""
        super().__init__(
            thing, f"there is no such {thing} among yours.", "Go back to the squad and pick it."
        )


class ConflictError(RefusedError):
    """What is asked goes against what is already kept."""


class StaleError(RefusedError):
    """What is to be changed was changed since the page that asks read it."""

    def __init__(self, thing: str, changed: str) -> None:
        """Say what was changed."""
        super().__init__(
            thing,
            f"it was changed meanwhile: {changed}.",
            "Look at it anew; nothing was overwritten.",
        )


class ThrottledError(RefusedError):
    """Too many tries; `seconds` says how long to wait."""

    def __init__(self, seconds: int) -> None:
        """Say how long to wait."""
        self.seconds = max(1, seconds)
        wait = f"{self.seconds} s" if self.seconds < 90 else f"{round(self.seconds / 60)} min"
        super().__init__(
            "sign-in",
            "too many tries with this address or from this machine.",
            f"Wait {wait} and try again.",
        )
