"""Which tests to do: those that narrow the placement most, and none that is closed.

A family that nothing is known of comes first, in the order of the goals; then the families whose
capacity is least sure. Of a family's tests the one is taken whose count is likely to tell most. A
test that a limit, a readiness criterion or the kit closes is left out with the reason.
"""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass

from invelo.domain.athlete.age import CHILD
from invelo.domain.athlete.guard import Guard
from invelo.domain.athlete.person import Person
from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.posture.form import Lane
from invelo.domain.biomechanics.reading import reading
from invelo.domain.catalogue.catalogue import TestKind, catalogue
from invelo.domain.equipment.kit import kit_unavailable_reason
from invelo.domain.estimate import Estimate
from invelo.domain.strength.capacity import Pool
from invelo.domain.strength.predict import Done, Known

TELLING = {"reps": (4.0, 12.0), "s": (8.0, 40.0)}
"""Amounts at which a test tells most: fewer are coarse, above the curves part (ours)."""

USUAL = {"reps": 8.0, "s": 20.0}
"""Amount by which an unknown person's test is taken to end (ours); it only says how much a test
will narrow."""

MOST_TESTS = 6
"""Tests of one sitting (common practice: fresh muscles, ten minutes)."""

STOP = (
    "End it when the form goes, whatever is left.",
    "Stop at once on chest pain, dizziness, faintness or a sharp pain, and tell the coach.",
    "Breathe all along; never hold the breath.",
)
"""What ends any test (common practice)."""

PROTOCOL = {
    "reps": "Warm up, one easy set, two minutes of rest. Strict reps of 2 s, no pause over 1 s, to "
    "the last clean one. Count only whole ones.",
    "s": "Warm up, one easy hold, two minutes of rest. The clock starts when the shape stands and "
    "stops when it goes.",
}


GENTLE = {
    "reps": "Warm up, one easy set, two minutes of rest. Strict reps of 2 s, no pause over 1 s; "
    "stop while two more clean ones are left. Count only whole ones.",
    "s": "Warm up, one easy hold, two minutes of rest. The clock starts when the shape stands; "
    "come down at the first shake.",
}
"""The same for whom no test goes to its end: under 16 years, and in the first week of whoever is
new to it (common practice)."""

GENTLE_RPE = 8.0

MEASURE = {
    "reps": "Warm up. Every rep is whole, or it does not count.",
    "s": "Barefoot, beside something to hold. The clock stops when the other foot or a hand "
    "touches.",
    "cm": "Warm up with small ones. Three tries, landed still; the best counts, heel to line.",
}


def protocol_of(test: TestKind, gentle: bool) -> str:
    """How a test is done, and what ends it."""
    if not test.tells_capacity:
        return MEASURE[test.of.unit]
    words = (GENTLE if gentle else PROTOCOL)[test.of.unit]
    return f"{words} End it at {test.stop_at} s: longer tells nothing." if test.stop_at else words


def rpe_of(test: TestKind, gentle: bool, amount: float | None = None) -> float:
    """The effort that a test is kept with: its end, or what was left; of one that was ended by the
    clock at its stop an effort that says so."""
    stopped = bool(test.stop_at) and amount is not None and amount >= test.stop_at
    return GENTLE_RPE if gentle or stopped or not test.tells_capacity else 10.0


@dataclass(frozen=True)
class ProposedTest:
    """A test worth doing now.

    Attributes:
        test: which.
        why: in words.
        now: 80 % half-width of the family's capacity, %; None while nothing is known.
        leaves: what it would be after the test, %.
        expected: what the athlete likely does in it; None while nothing is known.
    """

    test: TestKind
    why: str
    now: float | None
    leaves: float
    expected: Estimate | None


@dataclass(frozen=True)
class LeftOut:
    """A test that is closed now, and why."""

    test: TestKind
    why: str


@dataclass(frozen=True)
class Battery:
    """The tests of a sitting, the most telling first, what is compared with others of that age
    beside them, and what was left out; `gentle` says that none goes to its end."""

    proposed: tuple[ProposedTest, ...]
    measures: tuple[TestKind, ...]
    left_out: tuple[LeftOut, ...]
    gentle: bool = False


@dataclass(frozen=True)
class BatterySituation:
    """What a battery is proposed from.

    Attributes:
        body: as measured last.
        person: goals, training age, dislikes.
        guard: what may close something to them.
        known: capacity by what is alike.
        first_week: whether they have trained for less than a week.
    """

    body: Body
    person: Person
    guard: Guard
    known: Mapping[Lane, Pool]
    first_week: bool = False

    @property
    def gentle(self) -> bool:
        """Whether no test goes to its end: they are young, spare hard efforts, or are new and in
        their first week."""
        age = self.guard.age
        child = age is not None and age < CHILD
        return child or self.guard.gentle or (self.first_week and self.person.new)


def closed(test: TestKind, situation: BatterySituation) -> str:
    """Why a test is closed now; '' where it is open."""
    guard = situation.guard
    shut = guard.closed(test.of, test.modifiers())
    if shut:
        return shut.problem.rstrip(".")
    unavailable_reason = kit_unavailable_reason(test.kit, guard.rooms, guard.today)
    if unavailable_reason:
        return f"kit: {unavailable_reason}"
    if test.movement in situation.person.dislikes:
        return "disliked"
    return ""


def battery(situation: BatterySituation) -> Battery:
    """The tests to do now.

    Source: ours.
    """
    left_out, open_tests = [], []
    wanted = _families(situation.person)
    for test in catalogue().test:
        if test.of.family not in wanted:
            continue
        why = closed(test, situation)
        if why:
            left_out.append(LeftOut(test, why))
        elif test.tells_capacity:
            open_tests.append(test)
    proposed: list[ProposedTest] = []
    for family in wanted:
        of_family = [_weighed(test, situation) for test in open_tests if test.of.family == family]
        if of_family:
            proposed.append(
                min(of_family, key=lambda proposed_test: _rank(proposed_test, situation))
            )
    proposed.sort(
        key=lambda proposed_test: (
            0.0 if proposed_test.now is None else 1000.0 + proposed_test.leaves - proposed_test.now
        )
    )
    measures = (
        test
        for test in catalogue().test
        if not test.tells_capacity
        and test.from_age <= (situation.guard.age or 0)
        and not closed(test, situation)
    )
    return Battery(tuple(proposed[:MOST_TESTS]), tuple(measures), tuple(left_out), situation.gentle)


def test_for(lanes: Iterable[Lane], situation: BatterySituation) -> TestKind | None:
    """The open test that tells most of some lanes; None where there is none.

    Source: ours.
    """
    wanted = set(lanes)
    weighed = [
        _weighed(test, situation)
        for test in catalogue().test
        if test.tells_capacity and test.of.posture.lane in wanted and not closed(test, situation)
    ]
    best = min(weighed, key=lambda proposed_test: _rank(proposed_test, situation), default=None)
    return best.test if best else None


def _families(person: Person) -> tuple[str, ...]:
    """Families of the goals, the dearest goal's nearest first; without goals every tested one."""
    skills = {skill.id: skill for skill in catalogue().skill}
    named = [family for goal in person.goals for family in skills[goal].families]
    return tuple(
        dict.fromkeys(named or [test.of.family for test in catalogue().test if test.tells_capacity])
    )


def _pool_for(test: TestKind, situation: BatterySituation) -> Pool | None:
    return situation.known.get(test.of.posture.lane)


def _weighed(test: TestKind, situation: BatterySituation) -> ProposedTest:
    changes = test.modifiers()
    load = reading(situation.body, changes.setup(test.of))
    pool = _pool_for(test, situation)
    expected = pool.expected(load, changes.tempo) if pool else None
    unit = test.of.unit
    amount = expected.likely if expected else USUAL[unit]
    done = Done(load.setup, max(1.0, min(amount, 60.0)), changes.tempo, 10.0)
    days = 1 + (len(pool.members) if pool else 0)
    leaves = half_width(Known(situation.body, done, days).greatest)
    now = half_width(pool.greatest) if pool else None
    return ProposedTest(test, _why(now, leaves), now, leaves, expected)


def half_width(estimate: Estimate) -> float:
    """Half of an 80 % interval, % of the likely value."""
    return 50.0 * (estimate.high - estimate.low) / estimate.likely


def _why(now: float | None, leaves: float) -> str:
    if now is None:
        return f"Nothing is known here yet; this would tell it to ±{leaves:.0f} %."
    if leaves < now:
        return f"Known to ±{now:.0f} %; this would leave ±{leaves:.0f} %."
    return f"Known to ±{now:.0f} %; a test on another day keeps it fresh."


LEVELS = ("new", "trained", "strong")


def _rank(proposed_test: ProposedTest, situation: BatterySituation) -> tuple[float, float]:
    """Lower is better: the test whose count falls where it tells, or that suits the person."""
    if proposed_test.expected is not None:
        low, high = TELLING[proposed_test.test.of.unit]
        count = proposed_test.expected.likely
        return max(low - count, count - high, 0.0), proposed_test.leaves
    suits = 0 if situation.person.new else 1
    return float(abs(LEVELS.index(proposed_test.test.level) - suits)), 0.0
