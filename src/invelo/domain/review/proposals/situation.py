"""What a decision looks at, and what it answers with."""

from collections.abc import Callable
from dataclasses import dataclass, field
from datetime import date
from functools import cached_property
from typing import Literal, get_args

from invelo.domain.estimate import ComputedInput, Estimate, Input
from invelo.domain.ladder.rung import Rung
from invelo.domain.ladder.step_policy import USUAL_POLICY, Lever, StepPolicy
from invelo.domain.plan.prescription import (
    LEAST_USEFUL,
    Criterion,
    Method,
    Prescription,
    Purpose,
    Unit,
)
from invelo.domain.review.rules import RULES, Rule
from invelo.domain.strength.holds import LONGEST_SHARE
from invelo.domain.strength.state import Asked, CountedWork, State, chance_of_each, chance_of_total
from invelo.domain.training.log import SessionRecord, SetRecord

Outcome = Literal[
    "stop",
    "ease_off",
    "step_back",
    "fewer_sets",
    "hold",
    "add_amount",
    "add_set",
    "slow_eccentric",
    "add_load",
    "change_height",
    "reduce_assistance",
    "add_assistance",
    "step_up",
    "bridge",
    "goal_reached",
    "swap_surface",
    "add_day",
    "reduce_days",
    "retest",
]
OUTCOMES: tuple[Outcome, ...] = get_args(Outcome)

OUTCOME_WORDS: dict[Outcome, str] = {
    "stop": "stop a movement",
    "ease_off": "ease off",
    "step_back": "a step back",
    "fewer_sets": "fewer sets",
    "hold": "stay where it is",
    "add_amount": "a little more",
    "add_set": "a set more",
    "slow_eccentric": "a slower eccentric",
    "add_load": "more load",
    "change_height": "another height",
    "reduce_assistance": "less assistance",
    "add_assistance": "more assistance",
    "step_up": "the next rung",
    "bridge": "a bridge",
    "goal_reached": "the goal is reached",
    "swap_surface": "another surface",
    "add_day": "a day more",
    "reduce_days": "fewer days",
    "retest": "a test",
}
"""What is proposed, as a coach says it."""

HARDER: frozenset[Outcome] = frozenset(
    (
        "add_amount",
        "add_set",
        "slow_eccentric",
        "add_load",
        "change_height",
        "reduce_assistance",
        "step_up",
        "bridge",
        "add_day",
        "retest",
    )
)
"""Outcomes that ask more of the athlete."""

INSIDE: frozenset[Outcome] = frozenset(
    (
        "add_amount",
        "add_set",
        "slow_eccentric",
        "add_load",
        "change_height",
        "reduce_assistance",
        "retest",
    )
)
"""Changes inside a rung: done by themselves within the bounds a coach has set."""

Standing = Literal["on course", "routine", "question", "blocked"]
"""What a proposal is to the coach: nothing to decide, done by itself and told, to be answered, or
to be answered before training makes sense again."""

Confidence = Literal["high", "medium", "low"]
Occasion = Literal["session", "week"]


@dataclass(frozen=True)
class Place:
    """A rung of the ladder, as it would be asked of this athlete.

    Attributes:
        key: unique on the ladder.
        rung: with the prescription they would begin it with.
        work: as the state sees it; None where nothing counts it.
        state: of its lane today; None where nothing tells.
        closed: why it is closed to them, '' where it is open.
        teaches: whether it is a new shape that is not to be passed over.
        prediction: reps to failure, or seconds, with its range, to be shown.
    """

    key: str
    rung: Rung
    work: CountedWork | None = None
    state: State | None = None
    closed: str = ""
    teaches: bool = False
    prediction: Estimate | None = None

    @cached_property
    def fits(self) -> float | None:
        """Chance that its prescription fits: all sets together come to its foot in each at the
        effort asked; None where nothing tells."""
        return fit_of(self.state, self.work, self.rung.prescription)

    @cached_property
    def shows(self) -> float | None:
        """Chance that a session there shows its criterion at once; None where nothing tells."""
        if self.state is None or self.work is None:
            return None
        criterion, rest = self.rung.criterion, self.rung.prescription.rest
        hold = criterion.unit == "s"
        amount = HELD_FULLY if hold else float(criterion.amount)
        reserve = 0.0 if hold else 10.0 - criterion.rpe
        asked = Asked(self.work, criterion.sets, rest)
        return chance_of_each(self.state, asked, amount, reserve)

    @cached_property
    def holds(self) -> float:
        """Chance that a first set there is held for five seconds at all."""
        if self.state is None or self.work is None:
            return 0.0
        return chance_of_each(self.state, Asked(self.work, 1, 0.0), LEAST_USEFUL["s"], 0.0)


HELD_FULLY = 20.0
"""Seconds in every set from which a shape is passed over (common practice: 15 to 30 s open the
next one)."""


def fit_of(
    state: State | None, work: CountedWork | None, prescription: Prescription
) -> float | None:
    """Chance that a prescription fits, None where nothing tells."""
    if state is None or work is None:
        return None
    asked = Asked(work, prescription.sets, prescription.rest)
    total = float(prescription.sets * prescription.low)
    if prescription.unit == "s":
        return chance_of_total(state, asked, total, 0.0, LONGEST_SHARE)
    return chance_of_total(state, asked, total, prescription.reserve)


@dataclass(frozen=True)
class Offer:
    """The current rung made a step harder by one lever alone, in a real piece.

    Attributes:
        lever: which.
        outcome: what it is called.
        place: the rung as changed, under the same key.
    """

    lever: Lever
    outcome: Outcome
    place: Place


@dataclass(frozen=True)
class BridgeWay:
    """A rung that closes a gap with what is to hand.

    Attributes:
        place: to be put on the ladder; None where the kit has nothing.
        words: why it and no other; or the one piece of kit that would do.
    """

    place: Place | None
    words: str


@dataclass(frozen=True)
class AnsweredProposal:
    """A proposal of this ladder that the coach has answered, or that was done by itself.

    Attributes:
        outcome, from_key, rules: as proposed.
        answer: what became of it.
        days: ago.
        pain: worst pain then, 0–10.
    """

    outcome: Outcome
    from_key: str
    rules: tuple[str, ...]
    answer: Literal["accept", "edit", "decline", "routine", "undone"]
    days: int
    pain: int = 0


@dataclass(frozen=True)
class WeekSeen:
    """What is known of an athlete at the end of a week.

    Attributes:
        ratio: acute : chronic load by plain means of 7 and 28 days; None before 28 days.
        ratio_smoothed: the same by exponential means.
        days_done: days of the last seven on which this ladder was trained.
        days_limit: days a week this athlete bears of the most stressful rungs.
        stressful: whether the rung is one of them.
        surface, other_surface: what a straight-arm hold is done on, and what else is there.
        ticks: days of the last fourteen on which the daily minimum was done.
        region_sets: hard sets on the fullest day of the week for what the rung trains most.
    """

    ratio: float | None = None
    ratio_smoothed: float | None = None
    days_done: int = 0
    days_limit: int = 2
    stressful: bool = False
    surface: str = ""
    other_surface: str = ""
    ticks: int = 0
    region_sets: float = 0.0


@dataclass(frozen=True)
class Bounds:
    """Within what a change inside a rung is done by itself.

    Attributes:
        routine: whether anything is.
        per_week: changes a ladder and week.
        gentle: whether hard efforts are kept from this athlete: under sixteen, raised blood
            pressure, a limit on them.
    """

    routine: bool = True
    per_week: int = 1
    gentle: bool = False


USUAL_BOUNDS = Bounds()


def _nothing() -> tuple[Offer, ...]:
    return ()


def _no_bridge(_: Place) -> BridgeWay:
    return BridgeWay(None, "")


@dataclass(frozen=True)
class Situation:
    """All that a decision on one ladder looks at.

    Attributes:
        here: the rung as it is prescribed now.
        below, above: the other rungs, the nearest first.
        sessions: of this ladder, oldest first.
        today: the day it is looked at.
        since: the day from which the prescription stands.
        purpose: what the training is for.
        policy: what counts as a gap.
        method: by which it moves up.
        occasion: after a session, or at the end of a week.
        week: what the week says; None where nothing of it is known.
        settings: makes the rung a step harder by one lever each, in the coach's order.
        easier: makes it a step easier likewise, more assistance first.
        bridge: makes a rung between this one and another.
        answered: what has been answered or done before, newest first.
        bounds: of what is done by itself.
        overtaken: names of rungs above that ask less than what is prescribed now.
        final: the rung's own criterion on the ladder, where a hold's range moves.
        coming_back: whether the way back after time away is not over.
    """

    here: Place
    below: tuple[Place, ...]
    above: tuple[Place, ...]
    sessions: tuple[SessionRecord, ...]
    today: date
    purpose: Purpose
    since: date | None = None
    policy: StepPolicy = USUAL_POLICY
    method: Method = "double_progression"
    occasion: Occasion = "session"
    week: WeekSeen | None = None
    settings: Callable[[], tuple[Offer, ...]] = field(default=_nothing, compare=False)
    easier: Callable[[], tuple[Offer, ...]] = field(default=_nothing, compare=False)
    bridge: Callable[[Place], BridgeWay] = field(default=_no_bridge, compare=False)
    answered: tuple[AnsweredProposal, ...] = ()
    bounds: Bounds = USUAL_BOUNDS
    coming_back: bool = False
    final: Criterion | None = None
    overtaken: tuple[str, ...] = ()

    @property
    def key(self) -> str:
        """Of the rung they train."""
        return self.here.key

    @property
    def rung(self) -> Rung:
        """As it is prescribed."""
        return self.here.rung

    @property
    def unit(self) -> Unit:
        """What is counted."""
        return self.rung.prescription.unit

    @cached_property
    def asked_sessions(self) -> tuple[SessionRecord, ...]:
        """Sessions under this prescription that asked what it says, with sets on the rung."""
        return tuple(
            session
            for session in self.sessions
            if not session.derived
            and session.on(self.key)
            and (self.since is None or session.day >= self.since)
        )

    @property
    def newest(self) -> SessionRecord | None:
        """The newest session."""
        return self.sessions[-1] if self.sessions else None

    @property
    def last(self) -> tuple[SetRecord, ...]:
        """The ordinary sets of the newest session on the current rung, the weaker side of each."""
        return self.sessions[-1].on(self.key) if self.sessions else ()

    @property
    def pain(self) -> int:
        """Worst pain of the newest session."""
        newest = self.newest
        return max((record.pain for record in newest.sets), default=0) if newest else 0

    @cached_property
    def shows(self) -> float | None:
        """Chance that the next session shows the criterion; None where nothing tells."""
        here, criterion = self.here, self.rung.criterion
        if here.state is None or here.work is None:
            return None
        asked = Asked(here.work, criterion.sets, self.rung.prescription.rest)
        reserve = 0.0 if self.unit == "s" else 10.0 - criterion.rpe
        return chance_of_each(here.state, asked, float(criterion.amount), reserve)

    @property
    def judges(self) -> bool:
        """Whether the newest session is to be judged: it asked what is prescribed."""
        newest = self.newest
        return bool(newest and self.asked_sessions and newest is self.asked_sessions[-1])


@dataclass(frozen=True)
class Proposal:
    """What comes next on a ladder.

    Attributes:
        outcome: what to do.
        to: key of the rung to train next; the current one where none is changed.
        reason: one or two plain sentences.
        figures: what the rules saw.
        rules: the rules that spoke, in the order they did.
        confidence: how sure the proposal is, with `confidence_why` in words.
        confidence_why: what the confidence rests on.
        standing: what it is to the coach.
        then: the rung as it is prescribed after; None where nothing of it changes.
        rung: a rung that is not on the ladder yet, to be put above the current one.
        amount: days a week, or the share, where the outcome has one.
        passed: names of rungs that are left behind as shown.
    """

    outcome: Outcome
    to: str
    reason: str
    figures: tuple[Input, ...]
    rules: tuple[Rule, ...]
    confidence: Confidence
    confidence_why: str
    standing: Standing = "question"
    then: Rung | None = None
    rung: Rung | None = None
    amount: float | None = None
    passed: tuple[str, ...] = ()

    @property
    def plain(self) -> bool:
        """Whether it may be taken along with others at one press."""
        return (
            self.standing == "question"
            and self.outcome in ("step_up", "step_back", "fewer_sets", *INSIDE)
            and self.confidence == "high"
        )


def rules(*ids: str) -> tuple[Rule, ...]:
    """Rules by their ids."""
    return tuple(RULES[rule_id] for rule_id in ids)


def set_figures(sets: tuple[SetRecord, ...]) -> tuple[Input, ...]:
    """Each set as the rules saw it, beside what was asked of it."""
    return tuple(
        Input(
            f"set {i + 1}",
            f"{s.amount:g} {s.unit} at effort {s.rpe:g}" + (f", asked {asked_words(s)}"),
        )
        if s.asked
        else Input(f"set {i + 1}", f"{s.amount:g} {s.unit} at effort {s.rpe:g}")
        for i, s in enumerate(sets)
    )


def asked_words(record: SetRecord) -> str:
    """What was asked of a set, in words."""
    asked = record.asked
    if asked is None:
        return ""
    if asked.open:
        return "as many as there are"
    span = f"{asked.low:g}" if asked.low == asked.high else f"{asked.low:g}–{asked.high:g}"
    return f"{span} at {asked.rpe:g}"


def prescription_words(prescription: Prescription) -> str:
    """A prescription in words: 3 × 6–10 at effort 9."""
    unit = "" if prescription.unit == "reps" else f" {prescription.unit}"
    span = f"{prescription.low}–{prescription.high}"
    if prescription.low == prescription.high:
        span = str(prescription.low)
    return f"{prescription.sets} × {span}{unit} at effort {prescription.rpe:g}"


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


def chance(name: str, share: float) -> Input:
    """A chance as a figure."""
    return Input(name, round(100 * min(0.99, max(0.01, share))), "%")


def on_course(
    situation: Situation,
    reason: str,
    figures: tuple[Input, ...],
    *spoke: str,
) -> Proposal:
    """Nothing to change."""
    return Proposal(
        "hold",
        situation.key,
        reason,
        figures,
        rules(*spoke),
        "high",
        "Done as asked.",
        standing="on course",
    )
