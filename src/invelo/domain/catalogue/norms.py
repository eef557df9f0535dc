"""Published norms by age and sex, shown beside a result and never judged by."""

from dataclasses import dataclass
from typing import Literal

from invelo.domain.training.log import OneSide


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
        sex: whose; of both where the study tells no difference.
        side: of the body, '' where either stands for both.
        source: with the words "from memory" where it is.
        words: from the least to the most.
        bands: by age.
    """

    id: str
    name: str
    sex: Literal["male", "female", "both"]
    source: str
    words: tuple[str, ...]
    bands: tuple[AgeBand, ...]
    side: OneSide = ""

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


def norms_of(norms: tuple[Norm, ...], norm_id: str, sex: str | None) -> tuple[Norm, ...]:
    """The tables for a test and a sex: one, one for each side, or none."""
    return tuple(norm for norm in norms if norm.id == norm_id and norm.sex in (sex, "both"))


def lacks(norms: tuple[Norm, ...], norm_id: str, sex: str | None, age: int | None) -> str:
    """Why no norm stands beside a test that has one; '' where one does."""
    named = [norm for norm in norms if norm.id == norm_id]
    if not named:
        return ""
    if age is None:
        return "Published norms go by age: tell the date of birth."
    theirs = norms_of(norms, norm_id, sex)
    if not theirs:
        if sex is None:
            return "Published norms go by sex: tell it, or leave them aside."
        whose = {"male": "men", "female": "women"}[sex]
        return f"No published norm for {whose} stands here."
    if all(norm.band(age) is None for norm in theirs):
        bands = [band for norm in theirs for band in norm.bands]
        low, high = min(band.from_age for band in bands), max(band.to_age for band in bands)
        return f"Its norms go from {low} to {high} years."
    return ""
