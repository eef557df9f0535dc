"""Pain: it stops a movement, and where the coach goes on, nothing gets harder."""

from datetime import date, timedelta
from typing import get_args

import pytest

from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers
from invelo.domain.ladder.rung import Rung
from invelo.domain.plan.prescription import Criterion, Prescription
from invelo.domain.review.proposals.safety import in_spite, pain
from invelo.domain.review.proposals.situation import (
    HARDER,
    Outcome,
    Place,
    Proposal,
    Situation,
    rules,
)
from invelo.domain.training.log import SessionRecord, SetRecord

TODAY = date(2026, 6, 29)


def situation(*pains: int) -> Situation:
    rung = Rung(
        "Push-up",
        catalogue().find_movement("push-up"),
        Modifiers(),
        prescription=Prescription(3, 6, 10, 120, 9.0),
        criterion=Criterion(3, 10),
    )
    sessions = tuple(
        SessionRecord(
            TODAY - timedelta(days=2 * (len(pains) - n)),
            (SetRecord("a", 8.0, 8.0, pain=hurts, pain_place="wrist" if hurts else ""),),
        )
        for n, hurts in enumerate(pains)
    )
    return Situation(Place("a", rung), (), (), sessions, TODAY, "strength")


def proposed(outcome: Outcome) -> Proposal:
    return Proposal(outcome, "a", "why", (), rules("sets.grow"), "high", "plain")


@pytest.mark.parametrize(
    ("pains", "stops"),
    [((0, 0, 4), True), ((0, 0, 3), False), ((1, 2, 3), True), ((3, 2, 3), False), ((2, 3), False)],
)
def test_pain_of_four_or_rising_over_three_sessions_stops(
    pains: tuple[int, ...], stops: bool
) -> None:
    """Common practice."""
    said = pain(situation(*pains))
    assert (said is not None and said.outcome == "stop") == stops


@pytest.mark.parametrize("outcome", get_args(Outcome))
def test_while_pain_lasts_nothing_gets_harder_though_the_coach_goes_on(outcome: Outcome) -> None:
    hurting = in_spite(proposed(outcome), situation(0, 0, 5))
    harder = outcome in HARDER
    assert (hurting.outcome == "hold" and "nothing gets harder" in hurting.reason) == harder
    assert in_spite(proposed(outcome), situation(0, 0, 1)).outcome == outcome


def test_what_asks_more_counts_as_harder() -> None:
    for outcome in ("step_up", "add_set", "add_load", "slow_eccentric", "reduce_assistance"):
        assert outcome in HARDER
    for outcome in ("stop", "step_back", "fewer_sets", "ease_off", "add_assistance"):
        assert outcome not in HARDER
