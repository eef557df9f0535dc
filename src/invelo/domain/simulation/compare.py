"""Plans compared on the same simulated athletes, each meeting the same luck."""

from collections.abc import Callable, Iterable, Iterator
from dataclasses import dataclass
from statistics import mean, median

import numpy as np

from invelo.domain.errors import InputError, require_within
from invelo.domain.estimate import Z80
from invelo.domain.simulation.cast import Member, cast
from invelo.domain.simulation.coached import RuleSettings
from invelo.domain.simulation.season import Season, live

USUAL_SETTINGS = RuleSettings()
MOST_ATHLETES, MOST_WEEKS = 2000, 104


@dataclass(frozen=True)
class Candidate:
    """A plan to try.

    Attributes:
        id: short name, for the command line and files.
        name: in words.
        plan: short name of a fixed plan, or "invelo".
        settings: of Invelo's rules, where it is theirs.
    """

    id: str
    name: str
    plan: str
    settings: RuleSettings = USUAL_SETTINGS


CANDIDATES: dict[str, Candidate] = {
    candidate.id: candidate
    for candidate in (
        Candidate("invelo", "Invelo, fixed range", "invelo"),
        Candidate(
            "invelo-effort", "Invelo, by effort", "invelo", RuleSettings(method="rpe_target")
        ),
        Candidate(
            "invelo-failure", "Invelo, near failure", "invelo", RuleSettings(method="near_failure")
        ),
        Candidate("invelo-clock", "Invelo, clock", "invelo", RuleSettings(method="density")),
        Candidate("invelo-no-ease", "Invelo, load unheeded", "invelo", RuleSettings(eases=False)),
        Candidate("invelo-no-week", "Invelo, sessions alone", "invelo", RuleSettings(weekly=False)),
        Candidate("two-for-two", "double progression, two for two", "two-for-two"),
        Candidate("linear", "linear weekly growth", "linear"),
        Candidate("calendar", "next rung every 3 weeks", "calendar"),
        Candidate("failure", "pure near failure", "failure"),
        Candidate("first", "the first release's rules", "first"),
        Candidate("fixed", "fixed repeat", "fixed"),
        Candidate("truth", "told the truth", "truth"),
    )
}
USUAL = ("invelo", "two-for-two", "linear", "calendar", "failure", "first", "truth")
"""Compared where nobody says otherwise."""


@dataclass(frozen=True)
class Question:
    """What is compared.

    Attributes:
        candidates: ids of the plans.
        athletes, weeks, seed: whom, how long, whose luck.
    """

    candidates: tuple[str, ...] = USUAL
    athletes: int = 20
    weeks: int = 26
    seed: int = 1

    def __post_init__(self) -> None:
        """Check ranges and names."""
        require_within("athletes", self.athletes, 2, MOST_ATHLETES, "athletes")
        require_within("weeks", self.weeks, 4, MOST_WEEKS, "weeks")
        require_within("seed", self.seed, 0, 2**31 - 1, "")
        for candidate in self.candidates:
            if candidate not in CANDIDATES:
                raise InputError(
                    "plans", f"there is no “{candidate}”.", f"Use some of {', '.join(CANDIDATES)}."
                )
        if not self.candidates:
            raise InputError("plans", "none is named.", "Name at least one.")

    @property
    def seasons(self) -> int:
        """To be lived through in all."""
        return len(self.candidates) * self.athletes


@dataclass(frozen=True)
class Lived:
    """One athlete on one plan."""

    candidate: str
    athlete: int
    season: Season


@dataclass(frozen=True)
class SimulatedMean:
    """A mean over the athletes with its 80 % range (of the mean: athletes differ)."""

    likely: float
    low: float
    high: float


@dataclass(frozen=True)
class CandidateResult:
    """What one plan came to, an athlete.

    Attributes:
        candidate: which.
        criteria: shown and true, and not true before; a harder one shown counts for those below.
        first_weeks: median weeks until the first, second, … criterion, over those who got there;
        with
            how many did.
        hard_weeks: with a mean effort of 8.5 or more.
        spikes: weeks with acute : chronic load above 1.5.
        pains: events of pain of 4 or more.
        sessions: done.
        gained: growth of true capacity, %.
    """

    candidate: Candidate
    criteria: SimulatedMean
    first_weeks: tuple[tuple[float, int], ...]
    hard_weeks: SimulatedMean
    spikes: SimulatedMean
    pains: SimulatedMean
    sessions: SimulatedMean
    gained: SimulatedMean


Work = tuple[str, Member, int]
Mapping = Callable[[Callable[[Work], Lived], Iterable[Work]], Iterable[Lived]]


def lived(work: Work) -> Lived:
    """One athlete's weeks on one plan."""
    name, member, weeks = work
    chosen = CANDIDATES[name]
    return Lived(name, member.number, live(member, chosen.plan, weeks, chosen.settings))


def seasons(question: Question, mapping: Mapping = map) -> Iterator[Lived]:
    """Every athlete on every plan, one after the other, so that progress can be shown and the work
    stopped.

    Args:
        question: what is compared.
        mapping: `map`, or one like it that spreads the work and keeps its order.
    """
    members = cast(question.athletes, question.seed, question.weeks)
    work = [
        (candidate, member, question.weeks)
        for member in members
        for candidate in question.candidates
    ]
    yield from mapping(lived, work)


MOST_CRITERIA = 4
"""Criteria of which the weeks are told."""


def lines(question: Question, done: Iterable[Lived]) -> tuple[CandidateResult, ...]:
    """The table: a line a plan, in the order asked."""
    by_plan: dict[str, list[Season]] = {candidate: [] for candidate in question.candidates}
    for lived in done:
        by_plan[lived.candidate].append(lived.season)
    return tuple(_line(CANDIDATES[plan], seasons) for plan, seasons in by_plan.items() if seasons)


def _line(candidate: Candidate, seasons: list[Season]) -> CandidateResult:
    weeks = []
    for criterion in range(MOST_CRITERIA):
        there = [season.weeks[criterion] for season in seasons if len(season.weeks) > criterion]
        if there:
            weeks.append((float(median(there)), len(there)))

    def mean_of(values: list[float]) -> SimulatedMean:
        likely = mean(values)
        half = Z80 * float(np.std(values)) / len(values) ** 0.5
        return SimulatedMean(likely, likely - half, likely + half)

    return CandidateResult(
        candidate,
        mean_of([season.criteria for season in seasons]),
        tuple(weeks),
        mean_of([season.hard_weeks for season in seasons]),
        mean_of([season.spikes for season in seasons]),
        mean_of([season.pains for season in seasons]),
        mean_of([season.sessions for season in seasons]),
        mean_of([100 * season.gained for season in seasons]),
    )
