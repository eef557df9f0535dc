"""What weeks of logged sets add up to: hard sets by region, torque × seconds by joint, sides."""

from collections.abc import Callable, Iterable
from dataclasses import dataclass, field
from datetime import date

from invelo.domain.biomechanics.body import Body
from invelo.domain.catalogue.movement import Modifiers, Movement, Muscle
from invelo.domain.catalogue.tags import NO_TAGS, Tags
from invelo.domain.estimate import Derivation, Estimate
from invelo.domain.plan.session.totals import set_of, torques
from invelo.domain.training.log import GOES_ON, OneSide, SetKind

HOW = Derivation(
    "Joint torque where the demand is told × seconds at work, added up over the logged sets: an "
    "upper bound, for comparing one week with another.",
    (),
    ("plane statics", "ours"),
)


@dataclass(frozen=True)
class Group:
    """Logged sets of one week that are alike.

    Attributes:
        week_start: of the week.
        movement, modifiers: what was done.
        kind, side: how.
        sets: number of them; pieces of one broken hold are one.
        amount: reps, seconds or centimetres in all.
        best: the greatest of them.
    """

    week_start: date
    movement: Movement
    modifiers: Modifiers
    kind: SetKind
    side: OneSide
    sets: int
    amount: float
    best: float

    @property
    def seconds(self) -> float:
        """At work, in all."""
        if self.movement.unit == "s":
            return self.amount
        return self.amount * self.modifiers.tempo.rep_time if self.movement.unit == "reps" else 0.0


@dataclass
class WeekTally:
    """What one week adds up to.

    Attributes:
        week_start: its first day.
        regions: hard sets by region.
        tags: the same by the coach's own tags.
        joints: torque × seconds by joint, N·m·s.
        left, right: best of each side, by movement, where the sides were done apart.
    """

    week_start: date
    regions: dict[Muscle, float] = field(default_factory=dict)
    tags: dict[str, float] = field(default_factory=dict)
    joints: dict[str, Estimate] = field(default_factory=dict)
    left: dict[str, float] = field(default_factory=dict)
    right: dict[str, float] = field(default_factory=dict)


def counts_as(kind: SetKind, side: OneSide) -> float:
    """How much of a hard set one that was logged is. Both sides of one are logged as two, as are
    two movements in turn; what is easy or goes on from a set is none."""
    if kind == "easy" or kind in GOES_ON:
        return 0.0
    return (0.5 if side else 1.0) * (0.5 if kind == "turn" else 1.0)


def tally(
    groups: Iterable[Group], body_on: Callable[[date], Body], tags: Tags = NO_TAGS
) -> tuple[WeekTally, ...]:
    """Sum by week, oldest first.

    Args:
        groups: of logged sets.
        body_on: the body on a day, as it was measured by then.
        tags: of the coach's own.

    Source: as `invelo.domain.plan.session.totals`: what a set counts by region.
    """
    tallies: dict[date, WeekTally] = {}
    sums: dict[date, dict[str, list[float]]] = {}
    for group in groups:
        week = tallies.setdefault(group.week_start, WeekTally(group.week_start))
        _sides(week, group)
        sets = counts_as(group.kind, group.side) * group.sets
        for region, count in set_of(group.movement).items() if sets else ():
            week.regions[region] = week.regions.get(region, 0.0) + count * sets
        for tag in tags.get(group.movement.id, ()) if sets else ():
            week.tags[tag] = week.tags.get(tag, 0.0) + sets
        joint_torques = torques(body_on(group.week_start), group.movement, group.modifiers)
        for joint, torque in joint_torques.items():
            mine = sums.setdefault(group.week_start, {}).setdefault(
                joint.removeprefix("other_"), [0.0, 0.0, 0.0]
            )
            for i, end in enumerate((torque.likely, torque.low, torque.high)):
                mine[i] += end * group.seconds
    for week_start, joints in sums.items():
        tallies[week_start].joints = {
            joint: Estimate(likely, min(low, likely), max(high, likely), "N·m·s", HOW)
            for joint, (likely, low, high) in joints.items()
        }
    return tuple(tallies[week_start] for week_start in sorted(tallies))


def _sides(week: WeekTally, group: Group) -> None:
    if group.side and group.kind in ("work", "single"):
        sides = week.left if group.side == "left" else week.right
        sides[group.movement.name] = max(group.best, sides.get(group.movement.name, 0.0))
