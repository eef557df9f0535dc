"""Tight places: how far they still reach, and what loosens them.

Source: common practice for what is done, ours for the degrees.
"""

from collections.abc import Collection, Iterable, Iterator

from invelo.domain.athlete.limits import Limit, exceeded
from invelo.domain.athlete.strain import strains
from invelo.domain.biomechanics.body import Body
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers, Movement, StressedJoint
from invelo.domain.plan.session.trainee import Trainee, easy_item
from invelo.domain.plan.session.work import Item

REACHES: dict[StressedJoint, tuple[Limit, ...]] = {
    "hip": (Limit("hip bend", 100.0, "tight"), Limit("straight-leg reach", 70.0, "tight")),
    "shoulder": (Limit("overhead", 150.0, "tight"), Limit("shoulders behind", 35.0, "tight")),
    "ankle": (Limit("ankle bend", 25.0, "tight"),),
    "knee": (Limit("knee bend", 100.0, "tight"),),
    "wrist": (Limit("wrist bend", 95.0, "tight"),),
}
"""What a tight place still reaches: what asks more steps down. Hips stand for the backs of the
thighs too, ankles for the calves."""

LOOSENS: dict[StressedJoint, tuple[str, int]] = {
    "hip": ("half-kneeling-hip-stretch", 30),
    "shoulder": ("wall-slide", 10),
    "ankle": ("ankle-rocks", 12),
    "wrist": ("wrist-rocks", 15),
    "back": ("round-and-hollow", 10),
}
"""The mobility work of a tight place, reps or seconds."""

LOOSENING_SETS = 2


def reaches(place: StressedJoint, body: Body, movement: Movement, modifiers: Modifiers) -> bool:
    """Whether a place that is tight still reaches as far as a set-up asks."""
    most = REACHES.get(place, ())
    return not most or not exceeded(strains(body, movement, movement.own(modifiers)), most)


def loosening(
    places: Iterable[StressedJoint], trainee: Trainee, there: Collection[str]
) -> Iterator[Item]:
    """The mobility work of tight places, of what nothing closes.

    Args:
        places: that are tight.
        trainee: whose.
        there: ids of movements that are done already.
    """
    for place in places:
        if place not in LOOSENS:
            continue
        movement_id, amount = LOOSENS[place]
        movement = catalogue().find_movement(movement_id)
        if movement_id in there or trainee.shut(movement, movement.own(Modifiers())):
            continue
        why = f"the {place} is tight: its mobility work comes first."
        yield easy_item(f"mobility:{place}", movement, LOOSENING_SETS, amount, why)
