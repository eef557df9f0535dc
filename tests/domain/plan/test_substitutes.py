"""What stands in for a movement, and what warms up, for whoever is limited however."""

from contextlib import suppress
from dataclasses import replace
from datetime import date, timedelta
from random import Random

import pytest

from invelo.domain.athlete.guard import Guard
from invelo.domain.athlete.limits import Limit, exceeded
from invelo.domain.athlete.readiness import CHECKS
from invelo.domain.athlete.spared import SparedPlace
from invelo.domain.athlete.strain import AVERAGE, MEASURES, QUANTITIES, strains
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers, Movement
from invelo.domain.errors import InputError
from invelo.domain.plan.prescription import Prescription
from invelo.domain.plan.session.builder import session_of
from invelo.domain.plan.session.trainee import Trainee
from invelo.domain.plan.session.warm_up import PULSE, general, of_pattern, warm_up
from invelo.domain.plan.substitutes import UNTESTED_RPE, substitutes
from invelo.domain.plan.week.problem import Day
from invelo.domain.plan.week.tasks import Availability, Extra, build_problem
from invelo.domain.strength.says import work_of
from invelo.domain.strength.state import DaySeen, Seen, State, state_of
from tests.depth import depth
from tests.domain.people import EVERYTHING, stand, trainee

TODAY = date(2026, 3, 2)
EVERY_CHECK = frozenset(check.id for check in CHECKS)
ASKED = Prescription(3, 8, 12, 120, 8.5)


def find(movement_id: str) -> Movement:
    return catalogue().find_movement(movement_id)


def state_after(movement_id: str, reps: float) -> State:
    """Someone who did so many to the end on two days."""
    movement = find(movement_id)
    work = work_of(AVERAGE, movement, movement.own(Modifiers()))
    assert work is not None
    seen = Seen(work, reps, reps, reps + 1.0)
    days = [DaySeen(TODAY - timedelta(days=ago), (seen,)) for ago in (4, 1)]
    return state_of(days, TODAY)


def limited(random: Random) -> Guard:
    """Somebody with a limit or three, of any age, now and then with a sore place."""
    limits = []
    for quantity in random.sample(QUANTITIES, random.randint(1, 3)):
        greatest = MEASURES[quantity].greatest
        most = random.choice((0.0, round(random.uniform(0, greatest)), greatest / 2))
        limits.append(Limit(quantity, most, "x"))
    sore = random.choice((None, "wrist", "knee", "shoulder", "back"))
    return Guard(
        limits=tuple(limits),
        passed=EVERY_CHECK if random.random() < 0.5 else frozenset(),
        age=random.choice((8, 14, 30, 50, 70)),
        spared=(SparedPlace(sore, TODAY, 5),) if sore else (),  # type: ignore[arg-type]
    )


def of_guard(guard: Guard, *stands: object) -> Trainee:
    who = trainee(*stands)  # type: ignore[arg-type]
    return Trainee(
        who.name, who.body, who.stands, guard.open_movements, CHECKS, who.level, guard=guard
    )


def breaks(guard: Guard, movement: Movement, modifiers: Modifiers) -> bool:
    """By hand: past a limit, or loading a sore place."""
    asked = strains(AVERAGE, movement, movement.own(modifiers))
    sore = any(movement.stress.get(place.place) for place in guard.spared)
    return bool(exceeded(asked, guard.limits)) or sore


DAYS = tuple(Day(i, 60) for i in (0, 2, 4))
PATTERNS = ("push-up", "row", "pull-up", "squat", "dip", "bridge", "tuck-l-sit", "plank", "jump")


@pytest.mark.parametrize("block", range(20))
def test_no_warm_up_accessory_or_work_beside_a_ladder_breaks_a_limit(block: int) -> None:
    """Eight hundred people and days (two thousand in a long run), each with four accessories
    asked for at random."""
    random = Random(block)
    for _ in range(depth(40, 100)):
        guard = limited(random)
        movements = random.sample(PATTERNS, 2)
        who = of_guard(guard, *(stand(f"s{i}", name) for i, name in enumerate(movements)))
        items = [who.item(one) for one in who.stands if not who.shut(one.movement, Modifiers())]
        done = (
            [*warm_up(items, who).items, *who.preparation()] if items else list(who.preparation())
        )
        extras = tuple(Extra(one) for one in random.sample(sorted(EVERYTHING), 4))
        with suppress(InputError):  # where nothing at all is open
            done += build_problem(who, Availability(DAYS, extras)).items.values()
        for item in done:
            for work_set in item.sets:
                assert not breaks(guard, work_set.movement, work_set.modifiers), item.name


@pytest.mark.parametrize("seed", range(200))
def test_no_substitute_is_closed_or_asks_more_than_is_there(seed: int) -> None:
    random = Random(1000 + seed)
    guard = limited(random)
    reps = random.choice((6, 12, 25))
    states = {
        find(name).posture.lane: state_after(name, reps) for name in ("push-up", "row", "squat")
    }
    for name in PATTERNS[:5]:
        for one in substitutes(find(name), ASKED, AVERAGE, guard.open_movements, states):
            assert not breaks(guard, one.movement, Modifiers())
            assert one.movement.id != name
            if one.likely is not None:
                assert one.likely - ASKED.reserve >= one.prescription.low >= 1
                assert one.prescription.low >= 5 or one.prescription.low == ASKED.low
            else:
                assert one.prescription.rpe <= UNTESTED_RPE


def test_the_same_pattern_comes_first_and_never_by_a_helper() -> None:
    found = list(substitutes(find("push-up"), ASKED, AVERAGE, EVERYTHING, {}))
    families = [one.movement.family for one in found]
    assert families[0] == "horizontal push"
    first_other = next(i for i, one in enumerate(found) if not one.same_pattern)
    assert all(not one.same_pattern for one in found[first_other:])
    for one in found[first_other:]:
        assert find("push-up").prime.keys() & one.movement.prime.keys()


@pytest.mark.parametrize("place", ["wrist", "knee", "shoulder", "elbow", "back"])
@pytest.mark.parametrize("name", [*PATTERNS[:5], "tuck-l-sit", "plank", "planche-lean"])
def test_nobody_untested_is_given_a_skill_of_another_pattern(name: str, place: str) -> None:
    """No front lever for a sore back that cannot plank, no turning through for a sore wrist."""
    guard = Guard(spared=(SparedPlace(place, TODAY, 5),), passed=EVERY_CHECK)  # type: ignore[arg-type]
    of = find(name)
    asked = ASKED if of.unit == "reps" else Prescription(3, 10, 20, 90, 8.0, "s")
    for one in substitutes(of, asked, AVERAGE, guard.open_movements, {}):
        other = one.movement
        assert other.family == of.family or "lever" not in other.id
        assert other.family == of.family or other.rest != "skill"
        assert one.prescription.rpe <= UNTESTED_RPE


def test_a_sore_knee_keeps_the_hips_at_work() -> None:
    guard = Guard(spared=(SparedPlace("knee", TODAY, 5),), passed=EVERY_CHECK)
    found = list(substitutes(find("squat"), ASKED, AVERAGE, guard.open_movements, {}))
    assert found
    assert all("glutes" in one.movement.prime for one in found[:2])


def test_no_drill_stands_in_for_work() -> None:
    """A sore wrist in a tucked L-sit is no reason to lie down and breathe."""
    sore = Guard(spared=(SparedPlace("wrist", TODAY, 5),), passed=EVERY_CHECK)
    held = Prescription(3, 10, 20, 90, 8.0, "s")
    found = list(substitutes(find("tuck-l-sit"), held, AVERAGE, sore.open_movements, {}))
    assert found
    assert "belly-breath" not in [one.movement.id for one in found]


def test_nobody_who_does_six_push_ups_is_given_archers() -> None:
    lane = find("push-up").posture.lane
    found = substitutes(
        find("wall-push-up"), ASKED, AVERAGE, EVERYTHING, {lane: state_after("push-up", 6)}
    )
    told = {one.movement.id: one for one in found}
    assert "archer-push-up" not in told
    likely = told["counter-push-up"].likely
    assert likely is not None
    assert likely > 8


def test_one_piece_raises_the_pulse_and_legs_are_warmed_where_they_may() -> None:
    free = of_guard(Guard(passed=EVERY_CHECK), stand("a", "squat"))
    names = [item.movement.id for item in general(["squat"], free)]
    pulse = {one for one, _ in PULSE}
    assert len(pulse & set(names)) == 1
    still = Guard(passed=EVERY_CHECK, limits=(Limit("impact", 0, "x"),))
    quiet = [item.movement.id for item in general(["squat"], of_guard(still, stand("a", "squat")))]
    assert pulse & set(quiet) == {"march-on-the-spot"} or pulse & set(quiet) == {"stairs-climb"}


def test_a_short_session_has_a_short_warm_up() -> None:
    """Common practice: five to ten minutes, less before a session of under a quarter of an hour."""

    def seconds(minutes: float | None) -> float:
        who = replace(of_guard(Guard(passed=EVERY_CHECK), stand("a", "squat")), minutes=minutes)
        made = general(["squat"], who)
        return sum(s.seconds(s.amount) * s.sides + s.rest for item in made for s in item.sets)

    assert 300 <= seconds(None) <= 600
    assert 300 <= seconds(40) <= 600
    assert 60 <= seconds(12) < 240


def test_a_coachs_own_list_stands_but_for_what_is_closed() -> None:
    own = ("jumping-jacks", "leg-swings", "hip-circles")
    free = replace(of_guard(Guard(passed=EVERY_CHECK)), warm_up=own)
    assert [item.movement.id for item in general(["squat"], free)] == list(own)
    still = Guard(passed=EVERY_CHECK, limits=(Limit("impact", 0, "x"),))
    quiet = replace(of_guard(still), warm_up=own)
    assert [item.movement.id for item in general(["squat"], quiet)] == list(own[1:])


def test_the_easier_set_is_easier_than_the_work() -> None:
    who = trainee(stand("a", "knee-push-up", "push-up", at=1))
    item = who.item(who.stands[0])
    easy = of_pattern(item, who)
    assert easy is not None
    assert easy.main.high < item.main.low
    assert easy.main.rpe < item.main.rpe


def test_every_ready_session_can_be_had_by_somebody_limited() -> None:
    guard = Guard(limits=(Limit("impact", 0, "x"), Limit("knee bend", 60, "x")), passed=EVERY_CHECK)
    who = of_guard(guard)
    made = 0
    for shape in catalogue().session:
        try:
            session = session_of(shape, who)
        except ValueError:
            continue
        made += 1
        for item in session.items:
            assert not breaks(guard, item.movement, item.main.modifiers)
    assert made >= len(catalogue().session) // 2
