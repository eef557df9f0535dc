"""A ladder as the review sees it: who, what with, what was done; and the situation that makes.

The service, the simulation and the command line all come through here, so that one rule cannot be
two.
"""

from collections.abc import Callable, Iterable, Mapping, Sequence
from dataclasses import dataclass, field, replace
from datetime import date
from math import exp

from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.posture.form import Lane
from invelo.domain.equipment.kit import ANYTHING, ToHand
from invelo.domain.errors import InputError
from invelo.domain.estimate import Estimate
from invelo.domain.ladder.bridge import bridge
from invelo.domain.ladder.ladder import MeasuredLadder
from invelo.domain.ladder.rung import Rung
from invelo.domain.ladder.settings import Setting, easier, harder
from invelo.domain.plan.asked import way_back
from invelo.domain.plan.methods import held_within, with_prescription
from invelo.domain.plan.prescription import LEAST_USEFUL, Method, Purpose
from invelo.domain.review.proposals.situation import (
    USUAL_BOUNDS,
    AnsweredProposal,
    Bounds,
    BridgeWay,
    Occasion,
    Offer,
    Outcome,
    Place,
    Situation,
    WeekSeen,
)
from invelo.domain.strength.says import work_of
from invelo.domain.strength.state import CountedWork, State
from invelo.domain.training.log import SessionRecord


@dataclass(frozen=True, eq=False)
class LadderCase:
    """A ladder and all that its review takes in.

    Attributes:
        body: whose.
        ladder: measured for them.
        keys: of its rungs.
        closed: why each rung is closed, '' where it is open.
        current: position of the rung that is prescribed.
        prescribed: that rung as it is prescribed, settings included.
        sessions: of this ladder, oldest first.
        states: what is known today, by lane.
        purpose, method: of the ladder.
        today: the day it is looked at.
        since: the day from which the prescription stands, None from the beginning.
        hand: what can be set up with.
        allowed: movements that nothing closes; all if None.
        predictions: reps or seconds on each rung, to be shown.
        occasion, week, answered, bounds: as in a situation.
        own_range: whether the coach set the range by hand, so that it stays.
    """

    body: Body
    ladder: MeasuredLadder
    keys: tuple[str, ...]
    closed: tuple[str, ...]
    current: int
    prescribed: Rung
    sessions: tuple[SessionRecord, ...]
    states: Mapping[Lane, State]
    purpose: Purpose
    method: Method
    today: date
    since: date | None = None
    hand: ToHand = ANYTHING
    allowed: frozenset[str] | None = None
    predictions: Sequence[Estimate | None] = ()
    occasion: Occasion = "session"
    week: WeekSeen | None = None
    answered: tuple[AnsweredProposal, ...] = ()
    bounds: Bounds = field(default=USUAL_BOUNDS)
    own_range: bool = False

    def situation(self) -> Situation:
        """What a decision on it looks at."""
        here = self._place(self.current, self.moved)
        return Situation(
            here=here,
            below=tuple(self._place(i) for i in self._beyond(self.ladder.below, down=True)),
            above=tuple(self._place(i) for i in self._ahead()),
            sessions=self.sessions,
            today=self.today,
            purpose=self.purpose,
            since=self.since,
            policy=self.ladder.policy,
            method=self.method,
            occasion=self.occasion,
            week=self.week,
            settings=lambda: self._offers(harder, _HARDER),
            easier=lambda: self._offers(easier, _EASIER),
            bridge=self._bridge,
            answered=self.answered,
            bounds=self.bounds,
            overtaken=self._overtaken(),
            final=self.ladder.rungs[self.current].criterion,
            coming_back=way_back([session.day for session in self.sessions], self.today)
            is not None,
        )

    @property
    def moved(self) -> Rung:
        """The rung as it is prescribed today: a hold's range follows the best hold, unless the
        coach set it."""
        if self.own_range:
            return self.prescribed
        work = work_of(self.body, self.prescribed.movement, self.prescribed.modifiers)
        state = self.state_for(self.prescribed)
        return fitted(self.prescribed, work, state, self.purpose, self.method)

    def state_for(self, rung: Rung) -> State | None:
        """What is known in a rung's lane."""
        return self.states.get(rung.movement.posture.lane)

    def _place(self, index: int, prescribed: Rung | None = None) -> Place:
        rung = prescribed or self.ladder.rungs[index]
        work = work_of(self.body, rung.movement, rung.modifiers)
        state = self.state_for(rung)
        if prescribed is None:
            rung = fitted(rung, work, state, self.purpose, self.method)
        return Place(
            self.keys[index],
            rung,
            work,
            state,
            self.closed[index],
            self._teaches(index),
            self.predictions[index] if self.predictions else None,
        )

    def _beyond(self, step: Callable[[int], tuple[int, ...]], down: bool) -> list[int]:
        """Positions reached from here, one step after the other, in order of demand."""
        beyond: set[int] = set()
        edge = {self.current}
        while edge:
            edge = {i for at in edge for i in step(at)} - beyond - {self.current}
            beyond |= edge
        lanes = self.ladder.lanes

        def rank(index: int) -> tuple[int, float, int]:
            demand = self.ladder.demands[index]
            if demand.lane is None or demand.on_scale is None:
                return (index, 0.0, index)
            return (lanes.index(demand.lane), demand.height, index)

        plain = len(lanes) == 1 and all(self.ladder.demands[i].on_scale for i in beyond)
        return sorted(beyond, key=rank if plain else lambda i: i, reverse=down)

    def _ahead(self) -> list[int]:
        """The rungs above that ask more than what is prescribed now."""
        above = self._beyond(self.ladder.above, down=False)
        now = work_of(self.body, self.prescribed.movement, self.prescribed.modifiers)
        if now is None:
            return above
        least = now.log_capacity(LEAST_USEFUL["reps"])
        kept = []
        for index in above:
            rung = self.ladder.rungs[index]
            there = work_of(self.body, rung.movement, rung.modifiers)
            same = rung.movement.posture.lane == self.prescribed.movement.posture.lane
            if there and same and there.log_capacity(LEAST_USEFUL["reps"]) <= least + 0.005:
                continue  # settings have grown past it
            kept.append(index)
        return kept

    def _overtaken(self) -> tuple[str, ...]:
        """Names of rungs above that ask less than what is prescribed now."""
        ahead = set(self._ahead())
        above = self._beyond(self.ladder.above, down=False)
        return tuple(self.ladder.rungs[index].name for index in above if index not in ahead)

    def _teaches(self, index: int) -> bool:
        """Whether a rung is a new shape: a straight-arm lever, one limb, another thing to hold."""
        movement = self.ladder.rungs[index].movement
        below = [self.ladder.rungs[i].movement for i in self.ladder.below(index)]
        if not below or any(easier.id == movement.id for easier in below):
            return False
        return (
            movement.rest == "skill"
            or all(easier.counted != movement.counted for easier in below)
            or all(not set(movement.kit) <= set(easier.kit) for easier in below)
        )

    def _offers(
        self,
        make: Callable[..., tuple[Setting, ...]],
        names: Mapping[str, Outcome],
    ) -> tuple[Offer, ...]:
        return tuple(
            Offer(setting.lever, names[setting.change], self._set(setting.rung))
            for setting in make(self.body, self.prescribed, self.hand, self.ladder.policy)
        )

    def _set(self, rung: Rung) -> Place:
        work, state = work_of(self.body, rung.movement, rung.modifiers), self.state_for(rung)
        rung = fitted(rung, work, state, self.purpose, self.method)
        return Place(self.keys[self.current], rung, work, state)

    def _bridge(self, near: Place) -> BridgeWay:
        state = self.state_for(near.rung)
        capacity = {
            lane: exp(lane_state.log_capacity[0])
            for lane, lane_state in self.states.items()
            if state is not None
        }
        try:
            bridged = bridge(
                self.body,
                self.prescribed,
                near.rung,
                self.hand,
                self.ladder.policy,
                capacity,
                self.allowed,
            )
        except InputError as error:
            return BridgeWay(None, f"{error.problem} {error.remedy}")
        best: Place | None = None
        words = ""
        for proposed in bridged.rungs:
            place = self._set(replace(proposed.rung))
            if best is None or (place.fits or 0.0) >= 0.5:
                best, words = place, proposed.why
        return BridgeWay(best, words) if best else BridgeWay(None, bridged.missing)


_HARDER: dict[str, Outcome] = {
    "eccentric": "slow_eccentric",
    "pause": "slow_eccentric",
    "load": "add_load",
    "height": "change_height",
    "assistance": "reduce_assistance",
}
_EASIER: dict[str, Outcome] = {**_HARDER, "assistance": "add_assistance"}


def fitted(
    rung: Rung, work: CountedWork | None, state: State | None, purpose: Purpose, method: Method
) -> Rung:
    """A rung with the prescription it would be begun with: a hold at half to seven tenths of what
    is likely held."""
    prescription = rung.prescription
    if prescription.unit != "s" or work is None or state is None or method == "wave":
        return rung
    mean, _ = state.on(work)
    best = min(600.0, exp(float(work.log_count_at(mean)[0])))
    low, high = held_within(best, purpose)
    if low > high or best < LEAST_USEFUL["s"]:
        least = int(LEAST_USEFUL["s"])
        low, high = least, max(least, min(prescription.high, least + 3))
    return with_prescription(rung, replace(prescription, low=low, high=high), method)


def lanes_of(rungs: Iterable[Rung]) -> frozenset[Lane]:
    """The lanes of rungs."""
    return frozenset(rung.movement.posture.lane for rung in rungs)
