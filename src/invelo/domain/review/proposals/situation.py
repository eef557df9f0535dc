"""What a decision looks at, and what it answers with."""

from collections.abc import Callable
from dataclasses import dataclass, field
from datetime import date
from typing import Literal, get_args

from invelo.domain.estimate import ComputedInput, Estimate, Input
from invelo.domain.ladder.rung import Rung
from invelo.domain.ladder.step_policy import USUAL_POLICY, Lever, StepPolicy
from invelo.domain.plan.prescription import Method, Purpose, Unit
from invelo.domain.review.rules import RULES, Rule
from invelo.domain.review.trend import TrendPoint
from invelo.domain.training.log import SessionRecord, SetRecord

Outcome = Literal[
    "stop",
    "ease_off",
    "step_back",
    "hold",
    "add_amount",
    "add_set",
    "slow_eccentric",
    "add_load",
    "reduce_assistance",
    "step_up",
    "swap_surface",
    "reduce_days",
    "retest",
]
OUTCOMES: tuple[Outcome, ...] = get_args(Outcome)

PLAIN: frozenset[Outcome] = frozenset(("hold", "add_amount", "add_set", "step_up", "step_back"))
"""Decisions that are plain enough to be taken for many athletes at once, where they are sure."""

HARDER: frozenset[Outcome] = frozenset(
    ("add_amount", "add_set", "slow_eccentric", "add_load", "reduce_assistance", "step_up")
)
"""Outcomes that ask more of the athlete."""

Confidence = Literal["high", "medium", "low"]
Occasion = Literal["session", "week"]


@dataclass(frozen=True)
class Neighbour:
    """A rung beside the current one, and what this athlete likely does there, if known."""

    key: str
    rung: Rung
    prediction: Estimate | None


@dataclass(frozen=True)
class Offer:
    """The current rung made a step harder by one lever alone.

    Attributes:
        lever: which.
        rung: the changed rung, named for what is changed.
        expected: reps to failure, or seconds, this athlete likely has there.
        less_help: whether help or a band is taken away rather than weight put on.
    """

    lever: Lever
    rung: Rung
    expected: Estimate | None
    less_assistance: bool = False


@dataclass(frozen=True)
class AnsweredProposal:
    """A proposal of this ladder that the coach has answered.

    Attributes:
        outcome, from_key, rules: as proposed.
        answer: what they said.
        days: ago.
        pain: worst pain then, 0–10.
    """

    outcome: Outcome
    from_key: str
    rules: tuple[str, ...]
    answer: Literal["accept", "edit", "decline"]
    days: int
    pain: int = 0


@dataclass(frozen=True)
class WeekSeen:
    """What is known of an athlete at the end of a week.

    Attributes:
        today: the day it is looked at.
        ratio: acute : chronic load by plain means of 7 and 28 days; None before 28 days.
        ratio_smoothed: the same by exponential means.
        reach: capacity in the rung's lane by day, kg or N·m, oldest first.
        days_done: days of the last seven on which this ladder was trained.
        days_limit: days a week this athlete bears of the most stressful rungs.
        stressful: whether the rung is one of them.
        evidence: day of the newest set or test that tells capacity, None for none.
        surface, other_surface: what a straight-arm hold is done on, and what else is there.
        ticks: days of the last fourteen on which the daily minimum was done.
    """

    today: date
    ratio: float | None = None
    ratio_smoothed: float | None = None
    reach: tuple[TrendPoint, ...] = ()
    days_done: int = 0
    days_limit: int = 2
    stressful: bool = False
    evidence: date | None = None
    surface: str = ""
    other_surface: str = ""
    ticks: int = 0


LEAST_EASIER = 0.5
"""Reps or seconds by which a step must be easier than the next rung to stand before it (ours: half
of what is counted)."""


def _no_offers() -> tuple[Offer, ...]:
    return ()


@dataclass(frozen=True)
class Situation:
    """All that a decision on one ladder looks at.

    Attributes:
        key: of the rung the athlete stands on.
        rung: that rung.
        below, above: its neighbours, None at the ends.
        sessions: of this ladder, oldest first.
        purpose: what the training is for.
        policy: what counts as a gap.
        method: by which it moves up.
        occasion: after a session, or at the end of a week.
        week: what the week says; None where nothing of it is known.
        offers: makes the rungs a step harder by one lever, in the coach's order; asked for only
            where a rule wants them.
        answered: what the coach has said before, newest first.
    """

    key: str
    rung: Rung
    below: Neighbour | None
    above: Neighbour | None
    sessions: tuple[SessionRecord, ...]
    purpose: Purpose
    policy: StepPolicy = USUAL_POLICY
    method: Method = "double_progression"
    occasion: Occasion = "session"
    week: WeekSeen | None = None
    offers: Callable[[], tuple[Offer, ...]] = field(default=_no_offers, compare=False)
    answered: tuple[AnsweredProposal, ...] = ()

    def steps_on_the_way(self) -> tuple[Offer, ...]:
        """Steps by one lever that are on the way to the next rung: one that asks as much as that
        rung, or more, is none."""
        above = self.above.prediction if self.above else None
        return tuple(
            offer
            for offer in self.offers()
            if above is None
            or offer.expected is None
            or offer.expected.likely >= above.likely + LEAST_EASIER
        )

    def useful_offers(self) -> tuple[Offer, ...]:
        """Steps on the way that leave a useful prescription: less assistance, slower, heavier; of
        a hold less of it alone, since a weight on a hold is no step towards the next shape."""
        least = self.policy.least(self.rung.prescription.unit)
        kinds = () if self.rung.prescription.unit == "s" else ("tempo", "load")
        return tuple(
            offer
            for offer in self.steps_on_the_way()
            if (offer.less_assistance or offer.lever in kinds)
            and (offer.expected is None or offer.expected.likely >= least)
        )

    def gap(self, above: Neighbour) -> bool:
        """Whether less than a useful prescription is likely on a rung."""
        estimate = above.prediction
        return estimate is not None and estimate.likely < self.policy.least(
            above.rung.prescription.unit
        )

    @property
    def last(self) -> tuple[SetRecord, ...]:
        """The ordinary sets of the newest session on the current rung, the weaker side of each."""
        return self.sessions[-1].on(self.key) if self.sessions else ()

    @property
    def pain(self) -> int:
        """Worst pain of the newest session."""
        return (
            max((record.pain for record in self.sessions[-1].sets), default=0)
            if self.sessions
            else 0
        )


@dataclass(frozen=True)
class Proposal:
    """A decision put to the coach.

    Attributes:
        outcome: what to do.
        to: key of the rung to stand on next; the current one where none is changed.
        reason: one or two plain sentences.
        figures: what the rules saw.
        rules: the rules that spoke, in the order they did.
        confidence: how sure the proposal is, with `confidence_why` in words.
        confidence_why: what the confidence rests on.
        rung: a rung that is not on the ladder yet, to be put above the current one.
        amount: days a week, or sets, or the share, where the outcome has one.
    """

    outcome: Outcome
    to: str
    reason: str
    figures: tuple[Input, ...]
    rules: tuple[Rule, ...]
    confidence: Confidence
    confidence_why: str
    rung: Rung | None = None
    amount: float | None = None

    @property
    def plain(self) -> bool:
        """Whether it may be taken along with others at one press."""
        return self.outcome in PLAIN and self.confidence == "high"


def rules(*ids: str) -> tuple[Rule, ...]:
    """Rules by their ids."""
    return tuple(RULES[rule_id] for rule_id in ids)


def meets_criterion(session: SessionRecord, key: str, rung: Rung) -> bool:
    """Whether a session showed the criterion: enough sets, each with its reps, effort and form."""
    done = session.on(key)
    return len(done) >= rung.criterion.sets and all(
        s.least >= rung.criterion.amount and s.rpe <= rung.criterion.rpe and s.form_ok for s in done
    )


def criterion_run(situation: Situation) -> int:
    """How many of the newest sessions in a row showed the criterion."""
    run = 0
    for session in reversed(situation.sessions):
        if not meets_criterion(session, situation.key, situation.rung):
            break
        run += 1
    return run


def set_figures(sets: tuple[SetRecord, ...]) -> tuple[Input, ...]:
    """Each set as the rules saw it."""
    return tuple(
        Input(f"set {i + 1}", f"{s.amount:g} {s.unit} at effort {s.rpe:g}")
        for i, s in enumerate(sets)
    )


def criterion_figures(situation: Situation, run: int) -> tuple[Input, ...]:
    """The criterion, and how often it was shown running."""
    criterion = situation.rung.criterion
    return (
        Input(
            "criterion",
            f"{criterion.sets} × {criterion.amount} {criterion.unit} at effort "
            f"{criterion.rpe:g} or under",
        ),
        Input("sessions running that met it", run, f"of {criterion.sessions}"),
    )


def count(prediction: Estimate) -> str:
    """A predicted count with its range, in words."""
    if prediction.unit == "s":
        return f"{prediction.likely:.0f} s ({prediction.low:.0f}–{prediction.high:.0f})"
    if prediction.likely > 30:
        return "30+ reps"
    return f"{prediction.likely:.0f} reps ({prediction.low:.0f}–{min(prediction.high, 30):.0f})"


def predicted(where: str, prediction: Estimate) -> Input:
    """A predicted count as a figure that knows how it came about."""
    return ComputedInput(f"predicted to failure {where}", count(prediction), estimate=prediction)


def hold(
    situation: Situation,
    reason: str,
    figures: tuple[Input, ...],
    spoke: tuple[Rule, ...],
    confidence: Confidence,
    why: str,
) -> Proposal:
    """Stay as it is."""
    return Proposal("hold", situation.key, reason, figures, spoke, confidence, why)


MORE: dict[Unit, str] = {"reps": "rep", "s": "second or two", "cm": "few centimetres"}
