"""From a load to a count of reps and back.

`Capacity` keeps what each published equation made of a test, and a prediction sends each one back
through its own inverse, so that a test predicts itself exactly.
"""

import math
from dataclasses import dataclass, field
from functools import cached_property, lru_cache
from statistics import median

from invelo.domain.errors import require_within
from invelo.domain.estimate import Z80, Derivation, Estimate, Input, Part, combine
from invelo.domain.strength.rep_equations import EQUATIONS, SILENT_ABOVE, speaking
from invelo.domain.strength.tempo import (
    ENDURANCE_EXPONENT,
    ENDURANCE_EXPONENT_SD,
    REFERENCE_REP,
    Tempo,
    reps_at,
)

TOO_LIGHT = 30.0
"""A count beyond this says only that the load is too light for strength (common practice)."""

OFF_SCALE = 31.0
"""How a count beyond `TOO_LIGHT` is carried in a median or an interval."""

BISECTION_END = 1e-5
"""Where the search for a load ends, as a share of the one-rep load."""

REP_SCATTER = 0.08
"""80 % half-width of a rep test repeated another day, as a share of the reps and never under one
rep (from memory of test–retest studies: typical error 5–8 %)."""

ENDURANCE_SD = 0.2
"""How far people differ in how fast reps fall with load: standard deviation of the exponent h in
C/w = f(r)^h, where h = 1 is the equations' median (Hoeger and others 1990, J Appl Sport Sci Res
4(2):47–54, from memory: the standard deviations of reps at 60 and 80 % of the one-rep load, less
the scatter of the tests themselves, read through that median: 0.15 to 0.3, 0.2 in the mean)."""

RESERVE_SCATTER = 1.0
"""80 % half-width of a rated effort, in reps (from memory, Zourdos 2016: about one rep near
failure)."""

SOURCES = (*(f"{e.name}: {e.formula}" for e in EQUATIONS), "Zourdos 2016 (reps in reserve)")

ENDURANCE_SOURCE = "Hoeger and others 1990 (how people differ; from memory)"


@dataclass(frozen=True)
class RepResult:
    """A set that says something about capacity.

    Attributes:
        load: at the limiting place, in `unit`; 0 is refused.
        reps: clean reps done, 1 to 200.
        tempo: at which they were done.
        rpe: 1–10; 10 − effort reps are taken to have been left (10 for as many as possible).
        load_low, load_high: 80 % ends of the load; the load itself if not given.
        unit: of the load: kg, or N·m where a torque limits the movement.
        days: over how many days of results the scatter is averaged; this is one of them.
    """

    load: float
    reps: float
    tempo: Tempo = field(default_factory=Tempo)
    rpe: float = 10.0
    load_low: float | None = None
    load_high: float | None = None
    unit: str = "kg"
    days: int = 1

    def __post_init__(self) -> None:
        """Check ranges."""
        require_within("load", self.load, 0.1, 5000.0, self.unit)
        require_within("reps", self.reps, 1, 200, "reps")
        require_within("rpe", self.rpe, 1, 10, "")

    @property
    def reps_to_failure(self) -> float:
        """Reps done plus reps in reserve."""
        return self.reps + (10.0 - self.rpe)

    @property
    def scatter(self) -> float:
        """80 % half-width of `reps_to_failure`, reps."""
        test = max(1.0, REP_SCATTER * self.reps)
        rated = RESERVE_SCATTER if self.rpe < 10 else 0.0
        return math.hypot(test, rated) / math.sqrt(self.days)


@dataclass(frozen=True)
class Capacity:
    """What a result says of the one-rep load at the reference rep, equation by equation."""

    result: RepResult

    def _reference_reps(self, shift: float = 0.0, exponent: float = ENDURANCE_EXPONENT) -> float:
        """Reps to failure as reference reps; never under 1, since a rep was done."""
        reps = self.result.reps_to_failure + shift
        return max(1.0, reps_at(reps, self.result.tempo.rep_time, REFERENCE_REP, exponent))

    def _members(self, reference_reps: float) -> dict[str, float]:
        return {
            e.name: self.result.load * e.ratio_at(reference_reps) for e in speaking(reference_reps)
        }

    def _one_rep(self, reference_reps: float) -> float:
        """Median of those that speak; a longer set is never read as less than one of 15."""
        at_limit = median(self._members(min(reference_reps, SILENT_ABOVE)).values())
        return max(at_limit, median(self._members(reference_reps).values()))

    def _of_another(self, load: float, sign: int, inverse: bool = False) -> float:
        """A load as someone at one 80 % end of endurance sees it from the tested load: its ratio to
        that load raised to h, or to 1/h."""
        h = 1.0 + sign * Z80 * ENDURANCE_SD
        return self.result.load * float((load / self.result.load) ** (1.0 / h if inverse else h))

    @cached_property
    def repeats(self) -> tuple[float, float]:
        """80 % ends of the one-rep load by the day's scatter alone."""
        scatter = self.result.scatter
        low, high = (self._one_rep(self._reference_reps(sign * scatter)) for sign in (-1, 1))
        return low, high

    @cached_property
    def one_rep(self) -> Estimate:
        """The one-rep load at the reference rep, in the test's unit."""
        result = self.result
        reps = self._reference_reps()
        likely = self._one_rep(reps)
        members = self._members(reps)
        values = list(members.values())
        low_load = result.load if result.load_low is None else result.load_low
        high_load = result.load if result.load_high is None else result.load_high
        parts = (
            Part(
                "people differ in endurance",
                self._of_another(likely, -1),
                self._of_another(likely, 1),
            ),
            Part(
                "a test repeats only roughly",
                *self.repeats,
            ),
            Part(
                "the load on an unmeasured body",
                likely * low_load / result.load,
                likely * high_load / result.load,
            ),
        )
        low, high = combine(likely, parts)
        return Estimate(
            likely,
            low,
            high,
            self.result.unit,
            Derivation(
                "Reps to failure, turned into reps of 2 s by equal time under tension; each "
                "equation that speaks gives a one-rep load, and the median is the likely one. The "
                "range joins how far people differ in endurance, the test's scatter and the "
                "load's range; the equations' disagreement is told apart.",
                (
                    Input("load", result.load, result.unit),
                    Input("reps", result.reps, "reps"),
                    Input("rpe", result.rpe, "of 10"),
                    Input("reps to failure", result.reps_to_failure, "reps"),
                    Input("tempo", str(result.tempo), "s"),
                    Input("reps of 2 s", reps, "reps"),
                    *(Input(name, value, result.unit) for name, value in members.items()),
                ),
                (*SOURCES, ENDURANCE_SOURCE),
                "Above about 15 reps the equations spread widely." if reps > SILENT_ABOVE else "",
            ),
            min(values),
            max(values),
        )

    def _predict(
        self,
        load: float,
        seconds: float,
        shift: float = 0.0,
        exponent: float = ENDURANCE_EXPONENT,
    ) -> float:
        """Median reps at `load` and `seconds`, on a scale that ends at `OFF_SCALE`."""
        tested = self._reference_reps(shift, exponent)
        counts = [
            median(self._counts(load, reps, seconds, exponent))
            for reps in {tested, min(tested, SILENT_ABOVE)}
        ]
        return min(OFF_SCALE, max(counts))

    def _counts(self, load: float, tested: float, seconds: float, exponent: float) -> list[float]:
        """What each equation that speaks at both ends expects."""
        counts = []
        for equation in speaking(tested):
            reference = equation.reps_for(self.result.load * equation.ratio_at(tested) / load)
            if reference > equation.limit:
                continue
            reps = reps_at(reference, REFERENCE_REP, seconds, exponent)
            counts.append(min(OFF_SCALE, reps) if reps >= 1.0 else 0.0)
        return counts

    @lru_cache(maxsize=16384)  # noqa: B019  (pure, and a Capacity is a plain value)
    def predict(self, load: float, tempo: Tempo, ratio_range: tuple[float, float]) -> Estimate:
        """Reps to failure with another load at another tempo.

        Args:
            load: at the limiting place, in the test's unit.
            tempo: of the reps.
            ratio_range: 80 % ends of `load ÷ tested load` as a factor on its likely value; both
                loads come from one body, so their ratio is surer than either.

        Returns:
            reps; above 30 read "30+, too light", under 1 read 0.
        """
        seconds = tempo.rep_time
        likely = self._predict(load, seconds)
        same_tempo = abs(seconds - self.result.tempo.rep_time) < 1e-9
        exponent_sd = 0.0 if same_tempo else 1.2816 * ENDURANCE_EXPONENT_SD
        parts = (
            Part(
                "people differ in endurance",
                self._predict(self._of_another(load, -1, inverse=True), seconds),
                self._predict(self._of_another(load, 1, inverse=True), seconds),
            ),
            Part(
                "a test repeats only roughly",
                self._predict(load, seconds, -self.result.scatter),
                self._predict(load, seconds, self.result.scatter),
            ),
            Part(
                "the step between the two loads",
                self._predict(load * ratio_range[1], seconds),
                self._predict(load * ratio_range[0], seconds),
            ),
            Part(
                "how tempo tells on this person",
                self._predict(load, seconds, exponent=ENDURANCE_EXPONENT + exponent_sd),
                self._predict(load, seconds, exponent=ENDURANCE_EXPONENT - exponent_sd),
            ),
        )
        low, high = combine(likely, parts)
        return Estimate(
            likely,
            max(0.0, low),
            min(OFF_SCALE, high),
            "reps",
            Derivation(
                "The tested reps become reps of 2 s, each equation's one-rep load from them, then "
                "that equation's reps at the new load, then reps at the new tempo. The median is "
                "the likely count; the range joins what endurance, the test, the step and the "
                "tempo leave open.",
                (
                    Input("tested load", self.result.load, self.result.unit),
                    Input("tested reps to failure", self.result.reps_to_failure, "reps"),
                    Input("tested tempo", str(self.result.tempo), "s"),
                    Input("new load", load, self.result.unit),
                    Input("new tempo", str(tempo), "s"),
                ),
                (*SOURCES, ENDURANCE_SOURCE),
                "Over 30 reads “30+, too light”; under 1 reads 0.",
            ),
        )

    @lru_cache(maxsize=4096)  # noqa: B019  (pure, and a Capacity is a plain value)
    def load_for(self, reps: float, seconds: float = REFERENCE_REP) -> Estimate:
        """The heaviest load at which `reps` of `seconds` each are likely, kg.

        This is the height to which the athlete's reach is filled on a ladder. It is `predict`
        read the other way, by bisection.
        """
        light = self._load_for(reps, seconds)
        result = self.result
        low_load = result.load if result.load_low is None else result.load_low
        high_load = result.load if result.load_high is None else result.load_high
        low, high = combine(
            light,
            (
                Part(
                    "people differ in endurance",
                    self._of_another(light, -1),
                    self._of_another(light, 1),
                ),
                Part(
                    "a test repeats only roughly",
                    self._load_for(reps, seconds, -result.scatter),
                    self._load_for(reps, seconds, result.scatter),
                ),
                Part(
                    "the load on an unmeasured body",
                    light * low_load / result.load,
                    light * high_load / result.load,
                ),
            ),
        )
        return Estimate(
            light,
            low,
            high,
            result.unit,
            Derivation(
                "The heaviest load at which the prediction from the same test still gives this "
                "many reps; found by halving. The range joins how far people differ in endurance, "
                "the test's scatter and the load's range.",
                (
                    Input("one-rep load", self.one_rep.likely, result.unit),
                    Input("reps", reps, "reps"),
                    Input("seconds a rep", seconds, "s"),
                ),
                (*SOURCES, ENDURANCE_SOURCE),
            ),
        )

    def _load_for(self, reps: float, seconds: float, shift: float = 0.0) -> float:
        most = self._one_rep(self._reference_reps(shift))
        light, heavy = most / (OFF_SCALE * OFF_SCALE), 2 * most
        while heavy - light > BISECTION_END * most:
            middle = (light + heavy) / 2
            enough = self._predict(middle, seconds, shift) >= reps
            light, heavy = (middle, heavy) if enough else (light, middle)
        return light
