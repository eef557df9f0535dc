"""What was logged, read by the page, in sums and as evidence: whatever was logged, in whatever
order it came, each reading says what a slow and plain one says."""

from datetime import UTC, datetime, timedelta
from itertools import count
from random import Random
from typing import Any
from uuid import UUID, uuid4

import pytest
from sqlalchemy import Engine
from sqlmodel import Session, col, select

from invelo.db import logs, shown_sets
from invelo.db.columns import dated
from invelo.db.moment import Moment
from invelo.db.tables.ladder import RungRow
from invelo.db.tables.training import LoggedSetRow, SetMediaRow, TrainingSessionRow
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.training.log import PAIN_STOP

BEGAN = datetime(2026, 1, 5, 8, 0, tzinfo=UTC)
MOVEMENTS = ("push-up", "pull-up", "tuck-planche", "squat")
KINDS = ("work", "work", "work", "easy", "drop", "single")


class Diary:
    """Logs sessions at random, several of one day among them, and puts some sets right."""

    def __init__(self, engine: Engine, athlete: UUID, rung: UUID, seed: int) -> None:
        self.engine = engine
        self.athlete = athlete
        self.rung = rung
        self.random = Random(seed)

    def keeps(self, sessions: int) -> None:
        at = BEGAN
        with Session(self.engine) as db:
            for number in range(sessions):
                at += timedelta(hours=self.random.choice([3, 5, 26, 50]))
                self._session(db, f"Session {number}", at, open_=number % 11 == 10)
            db.commit()

    def _session(self, db: Session, name: str, at: datetime, open_: bool) -> None:
        session = TrainingSessionRow(
            id=uuid4(),
            athlete_id=self.athlete,
            name=name,
            finished_at=None if open_ else at + timedelta(minutes=50),
            **dated(Moment(at, "Europe/Lisbon")),
        )
        db.add(session)
        db.flush()
        numbers = count(1)
        for _ in range(self.random.randrange(1, 7)):
            row = self._set(session.id, at, next(numbers))
            db.add(row)
            db.flush()
            while self.random.random() < 0.25:
                row = self._set(session.id, at, row.number, corrects_set_id=row.id)
                db.add(row)
                db.flush()
            if self.random.random() < 0.2:
                db.add(
                    SetMediaRow(set_id=row.id, media_type="image/jpeg", content=b"x", kept_at=BEGAN)
                )

    def _set(self, session: UUID, at: datetime, number: int, **more: Any) -> LoggedSetRow:
        pick = self.random.choice
        movement = pick(MOVEMENTS)
        return LoggedSetRow(
            id=uuid4(),
            session_id=session,
            rung_id=pick([self.rung, None]),
            movement=movement,
            changes={},
            kind=pick(KINDS),
            side=pick(["", "", "left", "right"]),
            number=number,
            amount=pick([0, 4, 9, 14]),
            prescribed_max=pick([None, 10]),
            rpe=pick([5.0, 7.0, 8.0, 9.5]),
            form_ok=pick([True, True, True, False]),
            faults=pick([[], ["hips sag"], ["rushed", "half depth"]]),
            felt_in=pick([[], ["chest"]]),
            pain=pick([0, 0, 0, 2, 5]),
            pain_place="wrist",
            skew_s=pick([None, 240.0]),
            server_at=at,
            **dated(Moment(at + timedelta(minutes=3 * number), "Europe/Lisbon")),
            **more,
        )


@pytest.fixture(params=[3, 17, 90])
def ladder(request, coach, engine) -> dict[str, Any]:
    """A ladder whose athlete has a diary of forty sessions."""
    made: dict[str, Any] = coach.has_ladder()
    diary = Diary(engine, UUID(made["athlete_id"]), UUID(made["current_rung_id"]), request.param)
    diary.keeps(40)
    return made


def finished(db: Session) -> list[TrainingSessionRow]:
    every = db.exec(select(TrainingSessionRow)).all()
    return [one for one in every if one.finished_at is not None]


def standing(db: Session, session: UUID) -> list[LoggedSetRow]:
    """The plain oracle: every row of a session that no other row names, in order."""
    rows = [one for one in db.exec(select(LoggedSetRow)) if one.session_id == session]
    named = {one.corrects_set_id for one in rows}
    kept = [one for one in rows if one.id not in named]
    return sorted(kept, key=lambda one: (one.at, one.number, one.id))


def test_shown_sets_are_the_standing_ones_column_by_column(ladder, engine) -> None:
    with Session(engine) as db:
        names = {one.id: one.name for one in db.exec(select(RungRow))}
        kinds = {one.set_id: one.media_type for one in db.exec(select(SetMediaRow))}
        ids = [one.id for one in finished(db)]
        found = shown_sets.of_sessions(db, ids)
        assert sum(map(len, found.values())) > 60
        for session in ids:
            plain = standing(db, session)
            assert [one["id"] for one in found[session]] == [one.id for one in plain]
            for told, row in zip(found[session], plain, strict=True):
                assert {name: told[name] for name in shown_sets.KEPT} == {
                    name: getattr(row, name) for name in shown_sets.KEPT
                }
                assert told["name"] == (names[row.rung_id] if row.rung_id else None)
                assert told["picture"] == kinds.get(row.id, "")
                assert told["clock_off_s"] == row.skew_s


def test_shown_sets_come_in_the_order_they_are_asked_for(ladder, engine) -> None:
    with Session(engine) as db:
        ids = [
            one.id for one in db.exec(select(LoggedSetRow).order_by(col(LoggedSetRow.id).desc()))
        ]
        assert [one["id"] for one in shown_sets.of_sets(db, ids[::3])] == ids[::3]
        assert shown_sets.of_sets(db, []) == []
        assert shown_sets.of_sessions(db, []) == {}


def test_both_ways_of_reading_standing_sets_agree(ladder, engine) -> None:
    with Session(engine) as db:
        ids = [one.id for one in finished(db)]
        read, seen = logs.standing_sets(db, ids), shown_sets.of_sessions(db, ids)
        assert read.keys() == seen.keys()
        for session, rows in read.items():
            assert [row.id for row in rows] == [one["id"] for one in seen[session]]


def test_history_tells_every_session_once_though_two_are_of_one_day(coach, ladder, engine) -> None:
    base = f"/api/athletes/{ladder['athlete_id']}/history"
    found: list[dict[str, Any]] = []
    page = coach.get(base)
    pages = 1
    while True:
        assert page["sessions"]
        found += page["sessions"]
        if page["before"] is None:
            break
        page = coach.get(f"{base}?before={page['before']}")
        pages += 1
    with Session(engine) as db:
        kept = finished(db)
        newest_first = sorted(kept, key=lambda one: one.at, reverse=True)
        assert [one["id"] for one in found] == [str(one.id) for one in newest_first]
        days = [one.local_date for one in kept]
        assert len(set(days)) < len(days)  # else nothing could have fallen between two pages
        for told in found:
            plain = standing(db, UUID(told["id"]))
            assert [one["id"] for one in told["sets"]] == [str(one.id) for one in plain]
    assert pages == 2


def test_what_lies_beyond_a_range_is_worked_out_for_each_set(coach, ladder) -> None:
    page = coach.get(f"/api/athletes/{ladder['athlete_id']}/history")
    sets = [one for session in page["sessions"] for one in session["sets"]]
    assert {one["unit"] for one in sets} >= {"reps"}
    for one in sets:
        beyond = one["amount"] - (one["prescribed_max"] or one["amount"])
        assert one["surplus"] == max(0, beyond)
        movement = catalogue().find_movement(one["movement"])
        assert one["unit"] == movement.unit
        assert one["name"] == movement.name or one["rung_id"] is not None


def test_a_session_opened_from_a_chart_is_the_one_of_the_page(coach, ladder) -> None:
    base = f"/api/athletes/{ladder['athlete_id']}"
    for told in coach.get(f"{base}/history")["sessions"][:3]:
        assert coach.get(f"{base}/sessions/{told['id']}") == told


def test_open_sessions_are_told_apart_from_finished_ones(coach, ladder, engine) -> None:
    base = f"/api/athletes/{ladder['athlete_id']}"
    running = {one["id"] for one in coach.get(f"{base}/sessions")}
    with Session(engine) as db:
        every = {str(one.id) for one in db.exec(select(TrainingSessionRow))}
        assert running == every - {str(one.id) for one in finished(db)}
    assert len(running) == 3


def test_the_newest_telling_sets_are_those_a_plain_look_picks(ladder, engine) -> None:
    """Clean, hard (a hold to its end), free of pain, fresh: of each movement and side those of
    the newest three days that have any."""
    athlete = UUID(ladder["athlete_id"])
    with Session(engine) as db:
        recent = sorted(finished(db), key=lambda one: one.at, reverse=True)[: logs.LOOK_BACK]
        telling: dict[tuple[str, str], dict[Any, set[UUID]]] = {}
        for session in recent:
            for row in standing(db, session.id):
                least = 9.5 if row.movement == "tuck-planche" else 6.0
                tells = row.form_ok and row.pain < PAIN_STOP and row.amount >= 1
                if tells and row.kind in ("work", "single") and row.rpe >= least:
                    days = telling.setdefault((row.movement, row.side), {})
                    days.setdefault(session.local_date, set()).add(row.id)
        wanted = set()
        for days in telling.values():
            for day in sorted(days, reverse=True)[:3]:
                wanted |= days[day]
        found = logs.newest_telling(db, athlete, MOVEMENTS, 3)
        assert {row.id for _, row in found} == wanted
        assert [day for day, _ in found] == sorted(day for day, _ in found)
        assert len(wanted) > 10


def test_the_worst_pain_of_a_session_leaves_out_what_was_put_right(ladder, engine) -> None:
    with Session(engine) as db:
        ids = [one.id for one in finished(db)]
        found = logs.worst_pain(db, ids)
        for session in ids:
            worst = max(one.pain for one in standing(db, session))
            assert found.get(session, (0, ""))[0] == worst
