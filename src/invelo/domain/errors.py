"""The one error the domain raises for values it cannot compute with."""


class InputError(ValueError):
    """A value outside what the model can speak about.

    Attributes:
        field: the input's name, as the caller knows it.
        problem: what is wrong with it, in words.
        remedy: what would put it right.
    """

    def __init__(self, field: str, problem: str, remedy: str) -> None:
        """Keep the three parts apart, and join them for a log line."""
        super().__init__(f"{field}: {problem} {remedy}")
        self.field = field
        self.problem = problem
        self.remedy = remedy


def require_within(field: str, value: float, low: float, high: float, unit: str) -> None:
    """Raise `InputError` unless `low <= value <= high`; NaN never passes."""
    if not low <= value <= high:
        raise InputError(
            field,
            f"{value:g} {unit} is out of range.".replace(" .", "."),
            f"Give a value from {low:g} to {high:g} {unit}.".replace(" .", "."),
        )
