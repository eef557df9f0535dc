"""What the theatre told at intake: its places and kit, and how the crew answered."""

from datetime import date
from random import Random
from uuid import UUID

from sqlmodel import Session

from invelo.db.moment import Moment
from invelo.db.queries import equipment_rows
from invelo.db.tables.account import AccountRow
from invelo.db.tables.athlete import AthleteRow
from invelo.demo.theatre import MEMBERS, PLACES, Intake
from invelo.domain.athlete.person import Person
from invelo.domain.athlete.readiness import CHECKS, CheckResult
from invelo.domain.athlete.screen import Answers
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers
from invelo.services.athlete import battery, person, readiness, screen
from invelo.services.equipment import kit
from invelo.services.ladder import ladder


def new_id(random: Random) -> UUID:
    """An id that is the same at every telling."""
    return UUID(int=random.getrandbits(128), version=4)


def furnish(
    db: Session, coach: AccountRow, moment: Moment, checked: date, random: Random
) -> dict[str, str]:
    """The places with what is in them, looked over last on a day; ids by name."""
    measured = {band.name: band.id for band in equipment_rows.bands(db, coach.id)}
    venues = {}
    for name, floor, things in PLACES:
        row = kit.keep_place(db, coach.id, new_id(random), name, floor, moment.at)
        venues[name] = str(row.id)
        for thing in things:
            band = measured.get(thing.name) if thing.kind == "band" else None
            kept = kit.keep_item(db, coach.id, row.id, new_id(random), thing, band)
            if not thing.home_made:
                kit.check(db, coach, kept.id, True, checked)
    return venues


def look_at(db: Session, athlete: AthleteRow, moment: Moment, random: Random) -> None:
    """A member's screen and readiness checks, before anything is tested."""
    intake: Intake = MEMBERS[athlete.name]
    born = date(moment.local_date.year - intake.age, 3, 14)
    answers = Answers(born, active=intake.training_years >= 0.5, pains=dict(intake.pains))
    screen.record(db, athlete, new_id(random), answers, moment)
    for check in CHECKS:
        shown = CheckResult(check.id, check.id not in intake.closed, moment.local_date)
        readiness.record(db, athlete, new_id(random), shown, moment)


def answer(
    db: Session,
    coach: AccountRow,
    athlete: AthleteRow,
    places: dict[str, str],
    moment: Moment,
    random: Random,
) -> None:
    """A member's person, further tests and ladders."""
    intake: Intake = MEMBERS[athlete.name]
    where = tuple(places[name] for name in intake.places)
    who = Person(
        goals=intake.goals,
        aim=intake.aim,
        training_years=intake.training_years,
        days=intake.days,
        minutes=intake.minutes,
        places=where,
        methods=("double_progression",),
        sex=intake.sex,
    )
    person.keep(db, coach.id, athlete, who, moment.at)
    for test_id, amount, side in intake.tests:
        kind = next(test_kind for test_kind in catalogue().test if test_kind.id == test_id)
        _test(db, athlete, kind.modifiers(), kind.movement, amount, side, moment, random)
    for ready in intake.ladders:
        ready_ladder = catalogue().find_ladder(ready)
        ladder.create(db, athlete, ready_ladder, "strength", "beginner", moment)


def _test(
    db: Session,
    athlete: AthleteRow,
    changes: Modifiers,
    movement_id: str,
    amount: float,
    side: str,
    moment: Moment,
    random: Random,
) -> None:
    movement = catalogue().find_movement(movement_id)
    done = battery.NewTest(
        new_id(random),
        movement,
        changes,
        amount,
        side=side,  # type: ignore[arg-type]
    )
    battery.keep_test(db, athlete, done, moment)
