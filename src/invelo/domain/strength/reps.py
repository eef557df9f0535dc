"""From a load to a count of reps and back, with the range of what is not known.

`Capacity` reads a test through the curve of its kind of movement (`rep_curve`); whatever it
predicts goes back through the same curve, so that a test predicts itself exactly.
"""

import math
from dataclasses import dataclass, field
from functools import cached_property, lru_cache

from invelo.domain.errors import require_within
from invelo.domain.estimate import Z80, Derivation, Estimate, Input, Part, combine
from invelo.domain.strength.rep_curve import CURVES, MOST_REPS, CurveName, RepCurve
from invelo.domain.strength.rep_equations import EQUATIONS, SILENT_ABOVE, speaking
from invelo.domain.strength.tempo import (
    ENDURANCE_EXPONENT,
    ENDURANCE_EXPONENT_SD,
    HOLD_COST,
    HOLD_COST_HALF,
    REFERENCE_REP,
    Tempo,
    reps_at,
)

TOO_LIGHT = 30.0
"""A count beyond this says only that the load is too light for strength (common practice)."""

NOT_YET = 0.9
"""Reps, or seconds, that the high end of a range never lies under: where nothing is likely yet, the
range still says that something may be (ours)."""

BEYOND_SPREAD = 0.3
"""80 % half-width of a count beyond `TOO_LIGHT`, as a share of what lies beyond (ours: there the
published equations part by more than twice)."""

REP_SCATTER = 0.08
"""80 % half-width of a rep test repeated another day, as a share of the reps and never under one
rep (from memory of test–retest studies: typical error 5–8 %)."""

ENDURANCE_SD = 0.2
"""How far people differ in how fast reps fall with load: standard deviation of the exponent h in
C/w = f(r)^h, where h = 1 is the curve itself (Hoeger and others 1990, J Appl Sport Sci Res
4(2):47–54, from memory: the standard deviations of reps at 60 and 80 % of the one-rep load, less
the scatter of the tests themselves, read through a median of equations: 0.15 to 0.3, 0.2 in the
mean)."""

CURVE_HALF = 0.08
"""80 % half-width of the same exponent for the middle of people: how far published curves part
about ours (from memory: the seven equations lie within ± 14 % of its logarithm at ten reps)."""

ENDURANCE_HALF = math.hypot(Z80 * ENDURANCE_SD, CURVE_HALF)
"""Both together."""

RESERVE_SCATTER = 1.0
"""80 % half-width of a rated effort, in reps (from memory, Zourdos 2016: about one rep near
failure)."""

SOURCES = (*(f"{e.name}: {e.formula}" for e in EQUATIONS), "Zourdos 2016 (reps in reserve)")

PLAIN = Tempo()
"""The reference rep."""

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
        curve: which curve's work it is.
    """

    load: float
    reps: float
    tempo: Tempo = field(default_factory=Tempo)
    rpe: float = 10.0
    load_low: float | None = None
    load_high: float | None = None
    unit: str = "kg"
    days: int = 1
    curve: CurveName = "upper"

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
    """What a result says of the one-rep load at the reference rep, by the curve of its movement."""

    result: RepResult

    @property
    def _curve(self) -> RepCurve:
        return CURVES[self.result.curve]

    def _reference_reps(
        self,
        shift: float = 0.0,
        exponent: float = ENDURANCE_EXPONENT,
        hold_cost: float = HOLD_COST,
    ) -> float:
        """Reps to failure as reference reps; never under 1, since a rep was done."""
        reps = self.result.reps_to_failure + shift
        seconds = self.result.tempo.plain_seconds(exponent, hold_cost)
        return min(MOST_REPS, max(1.0, reps_at(reps, seconds, REFERENCE_REP, exponent)))

    def _one_rep(self, reference_reps: float) -> float:
        return self.result.load * self._curve.ratio(reference_reps)

    def _of_another(self, load: float, sign: int, inverse: bool = False) -> float:
        """A load as someone at one 80 % end of endurance sees it from the tested load: its ratio to
        that load raised to h, or to 1/h."""
        h = 1.0 + sign * ENDURANCE_HALF
        return self.result.load * float((load / self.result.load) ** (1.0 / h if inverse else h))

    @cached_property
    def repeats(self) -> tuple[float, float]:
        """80 % ends of the one-rep load by the day's scatter alone."""
        scatter = self.result.scatter
        low, high = (self._one_rep(self._reference_reps(sign * scatter)) for sign in (-1, 1))
        return low, high

    def _of_load(self, likely: float) -> Part:
        """What the range of the tested load makes of a load that is read off it."""
        result = self.result
        low = result.load if result.load_low is None else result.load_low
        high = result.load if result.load_high is None else result.load_high
        return Part(
            "the load on an unmeasured body",
            likely * low / result.load,
            likely * high / result.load,
        )

    @cached_property
    def one_rep(self) -> Estimate:
        """The one-rep load at the reference rep, in the test's unit."""
        result = self.result
        reps = self._reference_reps()
        likely = self._one_rep(reps)
        members = {e.name: result.load * e.ratio_at(reps) for e in speaking(reps)}
        parts = (
            Part(
                "people, and published curves, differ in endurance",
                self._of_another(likely, -1),
                self._of_another(likely, 1),
            ),
            Part("a test repeats only roughly", *self.repeats),
            self._of_load(likely),
        )
        low, high = combine(likely, parts)
        return Estimate(
            likely,
            low,
            high,
            result.unit,
            Derivation(
                "Reps to failure, turned into reps of 2 s by what a rep costs; the curve of this "
                "kind of movement says which share of the one-rep load allows so many. The range "
                "joins how far people differ in endurance, the test's scatter and the load's "
                "range; what the published equations say is told apart.",
                (
                    Input("load", result.load, result.unit),
                    Input("reps", result.reps, "reps"),
                    Input("rpe", result.rpe, "of 10"),
                    Input("reps to failure", result.reps_to_failure, "reps"),
                    Input("tempo", str(result.tempo), "s"),
                    Input("reps of 2 s", reps, "reps"),
                    Input("share of the one-rep load", 100 / self._curve.ratio(reps), "%"),
                    *(Input(name, value, result.unit) for name, value in members.items()),
                ),
                (*self._curve.sources, *SOURCES, ENDURANCE_SOURCE),
                "Above about 15 reps the equations spread widely." if reps > SILENT_ABOVE else "",
            ),
            min(likely, *members.values()),
            max(likely, *members.values()),
        )

    def _predict(
        self,
        load: float,
        tempo: Tempo,
        shift: float = 0.0,
        exponent: float = ENDURANCE_EXPONENT,
        hold_cost: float = HOLD_COST,
    ) -> float:
        """Reps at `load` and `tempo`; 0 where not one is there."""
        tested = self._reference_reps(shift, exponent, hold_cost)
        reference = self._curve.reps(self.result.load * self._curve.ratio(tested) / load)
        seconds = tempo.plain_seconds(exponent, hold_cost)
        reps = reps_at(reference, REFERENCE_REP, seconds, exponent)
        return min(MOST_REPS, reps) if reps >= 1.0 - 1e-9 else 0.0

    @lru_cache(maxsize=16384)  # noqa: B019  (pure, and a Capacity is a plain value)
    def predict(self, load: float, tempo: Tempo, ratio_range: tuple[float, float]) -> Estimate:
        """Reps to failure with another load at another tempo.

        Args:
            load: at the limiting place, in the test's unit.
            tempo: of the reps.
            ratio_range: 80 % ends of `load ÷ tested load` as a factor on its likely value; both
                loads come from one body, so their ratio is surer than either.

        Returns:
            reps; above 30 read "30+, too light", under 1 read "not yet".
        """
        likely = self._predict(load, tempo)
        low, high = combine(likely, self._parts(likely, load, tempo, ratio_range))
        low, high = max(0.0, low), max(NOT_YET, high)
        if likely >= MOST_REPS:
            low = min(low, TOO_LIGHT)
        return Estimate(
            likely,
            low,
            high,
            "reps",
            Derivation(
                "The tested reps become reps of 2 s by what a rep costs, the curve gives the "
                "one-rep load from them, then the reps at the new load, then those at the new "
                "tempo. The range joins what endurance, the test, the step and the tempo leave "
                "open.",
                (
                    Input("tested load", self.result.load, self.result.unit),
                    Input("tested reps to failure", self.result.reps_to_failure, "reps"),
                    Input("tested tempo", str(self.result.tempo), "s"),
                    Input("new load", load, self.result.unit),
                    Input("new tempo", str(tempo), "s"),
                ),
                (*self._curve.sources, *SOURCES, ENDURANCE_SOURCE),
                "Over 30 reads “30+, too light”; under 1 reads “not yet”.",
            ),
        )

    def _parts(
        self, likely: float, load: float, tempo: Tempo, ratio_range: tuple[float, float]
    ) -> tuple[Part, ...]:
        """What a prediction leaves open, cause by cause."""
        scatter, away = self.result.scatter, Z80 * ENDURANCE_EXPONENT_SD
        beyond = BEYOND_SPREAD * max(0.0, likely - TOO_LIGHT)
        slow, quick = ENDURANCE_EXPONENT + away, ENDURANCE_EXPONENT - away
        dear, cheap = HOLD_COST + HOLD_COST_HALF, HOLD_COST - HOLD_COST_HALF
        return (
            Part(
                "people, and published curves, differ in endurance",
                self._predict(self._of_another(load, -1, inverse=True), tempo),
                self._predict(self._of_another(load, 1, inverse=True), tempo),
            ),
            Part(
                "a test repeats only roughly",
                self._predict(load, tempo, -scatter),
                self._predict(load, tempo, scatter),
            ),
            Part(
                "the step between the two loads",
                self._predict(load * ratio_range[1], tempo),
                self._predict(load * ratio_range[0], tempo),
            ),
            Part(
                "how tempo tells on this person",
                self._predict(load, tempo, exponent=slow),
                self._predict(load, tempo, exponent=quick),
            ),
            Part(
                "what holding still costs this person",
                self._predict(load, tempo, hold_cost=dear),
                self._predict(load, tempo, hold_cost=cheap),
            ),
            Part("beyond 30 reps little is known", likely - beyond, likely + beyond),
        )

    @lru_cache(maxsize=4096)  # noqa: B019  (pure, and a Capacity is a plain value)
    def load_for(self, reps: float, tempo: Tempo = PLAIN) -> Estimate:
        """The heaviest load at which `reps` of a tempo are likely, in the test's unit.

        This is the height to which the athlete's reach is filled on a ladder. It is `predict`
        read the other way, exactly.
        """
        light = self._load_for(reps, tempo)
        scatter = self.result.scatter
        low, high = combine(
            light,
            (
                Part(
                    "people, and published curves, differ in endurance",
                    self._of_another(light, -1),
                    self._of_another(light, 1),
                ),
                Part(
                    "a test repeats only roughly",
                    self._load_for(reps, tempo, -scatter),
                    self._load_for(reps, tempo, scatter),
                ),
                self._of_load(light),
            ),
        )
        return Estimate(
            light,
            low,
            high,
            self.result.unit,
            Derivation(
                "The heaviest load at which the prediction from the same test still gives this "
                "many reps: the curve read backwards. The range joins how far people differ in "
                "endurance, the test's scatter and the load's range.",
                (
                    Input("one-rep load", self.one_rep.likely, self.result.unit),
                    Input("reps", reps, "reps"),
                    Input("tempo", str(tempo), "s"),
                ),
                (*self._curve.sources, *SOURCES, ENDURANCE_SOURCE),
            ),
        )

    def _load_for(self, reps: float, tempo: Tempo, shift: float = 0.0) -> float:
        reference = reps_at(reps, tempo.plain_seconds(), REFERENCE_REP)
        return self._one_rep(self._reference_reps(shift)) / self._curve.ratio(reference)
