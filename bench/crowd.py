"""Many athletes with years of logs, written straight into a database.

Accounts, athletes, tests and ladders come through the product's own acts; years of sessions, sets,
placements and decisions are then copied from them in SQL, because living through 1.5 million sets
would take days. The newest session of each athlete is judged by the product's own rules.
"""

from collections.abc import Iterator
from dataclasses import dataclass
from datetime import datetime, timedelta
from random import Random
from uuid import uuid4

from sqlalchemy import Connection, Engine, text
from sqlmodel import Session, col, select

from invelo.db.database import transaction
from invelo.db.moment import Moment
from invelo.db.tables.account import AccountRow
from invelo.db.tables.athlete import AthleteAccessRow, AthleteRow
from invelo.db.tables.training import TrainingSessionRow
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers
from invelo.services.account import accounts
from invelo.services.athlete import battery
from invelo.services.ladder import ladder
from invelo.services.review import propose
from invelo.services.squad import squad

ZONE = "Europe/Lisbon"
PASSWORD = "so many names to remember"
WEEKS = 157
DAYS = (1, 2, 4, 6)
"""ISO days of the week on which everybody trains."""

SETS = 12
"""Of a session: four on each of two ladders, four off any."""

LADDERS = {"push-up": ("push-up", 12.0), "row": ("row", 10.0)}
"""Ready ladder to the movement of its first test, and how many reps were done."""

BODIES = ((52, 1.60), (58, 1.66), (64, 1.70), (70, 1.74), (76, 1.78), (82, 1.82), (92, 1.86))


@dataclass(frozen=True)
class Crowd:
    """A coach with so many athletes."""

    email: str
    athletes: int


def fill(engine: Engine, crowd: Crowd, now: datetime, weeks: int = WEEKS) -> None:
    """A coach with athletes and weeks of logs, three years of them by default."""
    began = now - timedelta(weeks=weeks)
    random = Random(crowd.email)
    with transaction(engine) as db:
        coach = accounts.create(db, crowd.email, "Invented", PASSWORD, ZONE, began)
        for number in range(crowd.athletes):
            _enrol(db, coach, number, random, Moment(began - timedelta(days=1), ZONE))
    with engine.begin() as db:
        for statement in _YEARS:
            db.execute(
                text(statement),
                {
                    "email": crowd.email,
                    "first": began.date(),
                    "last": now.date(),
                    "time_zone": ZONE,
                },
            )
    with transaction(engine) as db:
        for athlete, session in _newest(db, crowd.email):
            propose.judge(db, athlete, session, Moment(now, ZONE))
    with engine.connect().execution_options(isolation_level="AUTOCOMMIT") as db:
        db.execute(text("VACUUM ANALYZE"))


def _enrol(db: Session, coach: AccountRow, number: int, random: Random, moment: Moment) -> None:
    mass, stature = BODIES[number % len(BODIES)]
    person = squad.AthleteDraft(uuid4(), f"Invented {number:03}", mass, stature)
    athlete = squad.enrol(db, coach, person, moment)
    for movement_id, reps in LADDERS.values():
        movement = catalogue().find_movement(movement_id)
        test = battery.NewTest(uuid4(), movement, Modifiers(), reps + random.randrange(9))
        battery.keep_test(db, athlete, test, moment)
    for name in LADDERS:
        ready = catalogue().find_ladder(name)
        ladder.create(db, athlete, ready, "strength", "intermediate", moment)


def _newest(db: Session, email: str) -> Iterator[tuple[AthleteRow, TrainingSessionRow]]:
    own = (
        select(AthleteAccessRow.athlete_id)
        .join(AccountRow, col(AccountRow.id) == AthleteAccessRow.account_id)
        .where(AccountRow.email == email)
    )
    for athlete in db.exec(select(AthleteRow).where(col(AthleteRow.id).in_(own))).all():
        newest = (
            select(TrainingSessionRow)
            .where(TrainingSessionRow.athlete_id == athlete.id)
            .order_by(col(TrainingSessionRow.at).desc())
            .limit(1)
        )
        yield athlete, db.exec(newest).one()


_OWN = """
    SELECT x.athlete_id FROM athlete_access x JOIN account ON account.id = x.account_id
    WHERE account.email = :email
"""

_SESSIONS = f"""
INSERT INTO training_session (id, athlete_id, name, at, time_zone, local_date, finished_at, rpe)
SELECT gen_random_uuid(), own.athlete_id, 'Training', day + time '17:00', :time_zone, day::date,
       day + time '18:00', CASE WHEN random() < 0.7 THEN 6 + floor(7 * random()) / 2 END
FROM ({_OWN}) own,
     generate_series(CAST(:first AS date), CAST(:last AS date) - 1, interval '1 day') day
WHERE extract(isodow FROM day) IN {DAYS}
"""

_MEASURES = f"""
INSERT INTO body_measurement (id, athlete_id, at, time_zone, local_date, mass_kg, stature_m,
lengths) SELECT gen_random_uuid(), m.athlete_id, day, :time_zone, day::date,
       m.mass_kg + floor(20 * random() - 10) / 10, m.stature_m, '{{}}'
FROM body_measurement m JOIN ({_OWN}) own USING (athlete_id),
     generate_series(CAST(:first AS date) + 30, CAST(:last AS date) - 1, interval '30 days') day
"""

# Over the years an athlete climbs from the foot to where they stand.
_ON_LADDERS = f"""
INSERT INTO logged_set (id, session_id, rung_id, movement, changes, item, kind, side, number,
    amount, partial, rpe, form_ok, faults, felt_in, pain, pain_place, note, at, time_zone,
    local_date, server_at)
SELECT gen_random_uuid(), s.id, rung.id, rung.movement, rung.changes, '', 'work', '', k,
       rung.low + floor((rung.high - rung.low + 1) * random()), 0,
       7 + floor(6 * random()) / 2, random() < 0.93, '{{}}', '{{}}',
       CASE WHEN random() < 0.01 THEN 2 ELSE 0 END, '', '',
       s.at + (8 * nth + 2 * k) * interval '1 minute', s.time_zone, s.local_date, s.at
FROM (SELECT ladder.*, row_number() OVER (PARTITION BY athlete_id ORDER BY goal) nth
      FROM ladder JOIN ({_OWN}) own USING (athlete_id)) ladder
JOIN rung standing ON standing.id = ladder.current_rung_id
JOIN training_session s ON s.athlete_id = ladder.athlete_id
JOIN rung ON rung.ladder_id = ladder.id AND rung.position = floor(
    (standing.position + 0.999) * (s.local_date - CAST(:first AS date))
    / (CAST(:last AS date) - CAST(:first AS date)))
CROSS JOIN generate_series(1, {SETS // 3}) k
"""

_OFF_LADDERS = f"""
INSERT INTO logged_set (id, session_id, movement, changes, item, kind, side, number,
    amount, partial, rpe, form_ok, faults, felt_in, pain, pain_place, note, at, time_zone,
    local_date, server_at)
SELECT gen_random_uuid(), s.id, 'squat', '{{}}', '', 'work', '', k,
       8 + floor(8 * random()), 0, 7 + floor(6 * random()) / 2, true, '{{}}', '{{}}', 0, '', '',
       s.at + (24 + 2 * k) * interval '1 minute', s.time_zone, s.local_date, s.at
FROM training_session s JOIN ({_OWN}) own USING (athlete_id)
CROSS JOIN generate_series(1, {SETS // 3}) k
"""

_PLACEMENTS = f"""
INSERT INTO placement (id, ladder_id, rung_id, at, time_zone, local_date, model_version,
    catalogue_version, inputs, likely, low, high, unit, told_on, result)
SELECT gen_random_uuid(), p.ladder_id, p.rung_id, s.at + interval '1 hour', p.time_zone,
s.local_date,
       p.model_version, p.catalogue_version, p.inputs || jsonb_build_object('session', s.id),
       p.likely + (p.high - p.low) * (random() - 0.5) / 2, p.low, p.high, p.unit, s.local_date,
       p.result
FROM placement p JOIN ladder ON ladder.id = p.ladder_id JOIN ({_OWN}) own USING (athlete_id)
JOIN training_session s USING (athlete_id)
WHERE p.inputs ? 'ladder given'
"""

_PROPOSALS = f"""
INSERT INTO proposal (id, ladder_id, session_id, at, time_zone, local_date, outcome, from_rung_id,
    to_rung_id, reason, figures, rules, confidence, confidence_why, answer, answered_at, note,
    final_rung_id, model_version, catalogue_version, inputs)
SELECT gen_random_uuid(), ladder.id, s.id, s.at + interval '1 hour', s.time_zone, s.local_date,
'hold',
       ladder.current_rung_id, ladder.current_rung_id,
       '1 of 3 sets met 10 reps at rpe 9 or under. Stay, and add a rep where a set allows it.',
       '[{{"name": "set 1", "value": "9 reps at rpe 8", "unit": ""}}]',
       ARRAY['range.building'], 'high', 'The criterion is a plain count.', 'accept',
       s.at + interval '1 day', '', ladder.current_rung_id, p.model_version, p.catalogue_version,
       '{{"pain": 0, "plain": true}}'
FROM ladder JOIN ({_OWN}) own USING (athlete_id)
JOIN training_session s USING (athlete_id)
JOIN placement p ON p.ladder_id = ladder.id AND p.inputs ? 'ladder given'
    AND NOT p.inputs ? 'session'
"""

_WEEKS = f"""
INSERT INTO week_review (athlete_id, week_start, at)
SELECT own.athlete_id, day::date, day
FROM ({_OWN}) own, generate_series(date_trunc('week', CAST(:first AS timestamp)),
    CAST(:last AS timestamp), interval '1 week') day
"""

_SUMS = f"""
UPDATE training_session s SET mean_set_rpe = sums.rpe, duration_s = sums.lasted
FROM (SELECT done.session_id, avg(done.rpe) rpe,
             extract(epoch FROM max(done.at) - min(done.at)) lasted
      FROM logged_set done GROUP BY done.session_id) sums, ({_OWN}) own
WHERE sums.session_id = s.id AND own.athlete_id = s.athlete_id
"""

_YEARS = (_SESSIONS, _MEASURES, _ON_LADDERS, _OFF_LADDERS, _SUMS, _PLACEMENTS, _PROPOSALS, _WEEKS)


def sets_in(db: Connection) -> int:
    """How many sets are logged."""
    return int(db.execute(text("SELECT count(*) FROM logged_set")).scalar_one())
