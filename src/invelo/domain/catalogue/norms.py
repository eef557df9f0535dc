"""Published norms by age and sex, shown beside a result and never judged by."""

from dataclasses import dataclass
from typing import Literal


@dataclass(frozen=True)
class AgeBand:
    """Ages `from_age` to `to_age`, both within; the least amount that earns each of the words."""

    from_age: int
    to_age: int
    least: tuple[float, ...]


@dataclass(frozen=True)
class Norm:
    """One published table.

    Attributes:
        id: what it is of; tests name it.
        name: in words.
        sex: whose.
        source: with the words "from memory" where it is.
        words: from the least to the most.
        bands: by age.
    """

    id: str
    name: str
    sex: Literal["male", "female"]
    source: str
    words: tuple[str, ...]
    bands: tuple[AgeBand, ...]

    def __post_init__(self) -> None:
        """Each band has as many steps as there are words, and they rise."""
        for band in self.bands:
            if len(band.least) != len(self.words) or list(band.least) != sorted(band.least):
                raise ValueError(f"{self.name}, {band.from_age}: {band.least} do not fit its words")

    def band(self, age: int) -> AgeBand | None:
        """The band of an age, None where the study had none so old or so young."""
        return next(
            (age_band for age_band in self.bands if age_band.from_age <= age <= age_band.to_age),
            None,
        )

    def word(self, age: int, amount: float) -> str:
        """Where an amount stands among people of that age; '' where the study does not say."""
        band = self.band(age)
        if band is None:
            return ""
        reached = [i for i, least in enumerate(band.least) if amount >= least]
        return self.words[reached[-1]]


def norm_of(norms: tuple[Norm, ...], norm_id: str, sex: str | None) -> Norm | None:
    """The table for a test and a sex, if there is one."""
    return next((norm for norm in norms if norm.id == norm_id and norm.sex == sex), None)
