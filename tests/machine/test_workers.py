"""Workers as processes: one killed amid a plan, two others after it; the plan is written once."""

import os
import signal
import subprocess
import sys
from collections.abc import Iterator
from contextlib import contextmanager
from datetime import UTC, datetime
from pathlib import Path
from uuid import UUID, uuid4

import pytest
from sqlalchemy import Engine, text
from sqlmodel import Session

from invelo.db.database import engine_for, migrate, transaction
from invelo.db.moment import Moment
from invelo.db.tables.athlete import AthleteRow
from invelo.db.tables.plan import WeekPlanningRow, WeekPlanRow
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers
from invelo.domain.plan.week.availability import next_week_start
from invelo.domain.plan.week.solve import solve
from invelo.runtime import postgres
from invelo.runtime.ports import held_port
from invelo.runtime.settings import ROOT
from invelo.services.account import accounts
from invelo.services.athlete import battery
from invelo.services.ladder import ladder
from invelo.services.plan import planning, week
from invelo.services.squad import squad
from tests.command import until
from tests.conftest import fresh, rows

ZONE = "Europe/Lisbon"
TAKEN_UP_WITHIN = 30
"""Seconds after which a dead worker's plan must have been made by another."""


@contextmanager
def worker(url: str) -> Iterator[subprocess.Popen[bytes]]:
    environment = {**os.environ, "PYTHONPATH": str(ROOT / "src"), "INVELO_DATABASE_URL": url}
    running = subprocess.Popen([sys.executable, "-m", "invelo", "worker"], env=environment)
    try:
        yield running
    finally:
        running.terminate()
        running.wait(20)


@pytest.fixture(scope="module")
def engine(server: postgres.Server) -> Iterator[Engine]:
    url = fresh(server, "workers")
    migrate(url)
    made = engine_for(url)
    yield made
    made.dispose()


@pytest.fixture
def planned(engine: Engine) -> UUID:
    """Someone whose next week is planned."""
    moment = Moment(datetime.now(UTC), ZONE)
    with transaction(engine) as db:
        coach = accounts.create(
            db, "coach@theatre.example", "Ilse Marn", "a riser and two ropes", ZONE, moment.at
        )
        draft = squad.AthleteDraft(uuid4(), "Oda Fenwick", 75.0, 1.75)
        oda = squad.enrol(db, coach, draft, moment)
        movement = catalogue().find_movement("push-up")
        battery.keep_test(db, oda, battery.NewTest(uuid4(), movement, Modifiers(), 9), moment)
        for name in ("push-up", "row"):
            ready = catalogue().find_ladder(name)
            ladder.create(db, oda, ready, "strength", "intermediate", moment)
        seen = week.view(db, oda, next_week_start(moment.local_date), moment.local_date)
        week.keep(db, oda, seen, solve(seen.built.problem, steps=1.0).plan, 0, "first", moment)
        return oda.id


def state(engine: Engine, planning_id: UUID) -> str:
    with Session(engine) as db:
        return db.get_one(WeekPlanningRow, planning_id).state


def test_a_plan_outlives_its_worker_and_is_written_once(
    engine: Engine, planned: AthleteRow
) -> None:
    url = engine.url.render_as_string(hide_password=False)
    with transaction(engine) as db:
        oda, moment = db.get_one(AthleteRow, planned), Moment(datetime.now(UTC), ZONE)
        asked = planning.ask_again(db, oda, moment, "after the review")
        assert asked is not None
        key = asked.id
    with worker(url) as first:
        until(lambda: state(engine, key) == "working", 20)
        os.kill(first.pid, signal.SIGKILL)
    assert state(engine, key) == "working", "its worker died with it"
    with worker(url), worker(url):
        until(lambda: state(engine, key) == "solved", TAKEN_UP_WITHIN)
    assert sorted(row.number for row in rows(engine, WeekPlanRow)) == [1, 2]


@contextmanager
def serving(engine: Engine) -> Iterator[subprocess.Popen[str]]:
    """The service, once it is ready; killed outright at the end."""
    with held_port() as port:
        environment = {
            **os.environ,
            "PYTHONPATH": str(ROOT / "src"),
            "INVELO_DATABASE_URL": engine.url.render_as_string(hide_password=False),
            "INVELO_PORT": str(port),
        }
        service = subprocess.Popen(
            [sys.executable, "-m", "invelo", "serve"],
            env=environment,
            stderr=subprocess.PIPE,
            text=True,
        )
        assert service.stderr is not None
        for line in service.stderr:
            if "ready at" in line:
                break
        try:
            yield service
        finally:
            service.kill()
            service.wait()


def worker_of(service: subprocess.Popen[str]) -> int | None:
    """The worker's process beside a service; None while there is none."""
    of_service = ["pgrep", "-P", str(service.pid), "-f", "invelo worker"]
    found = subprocess.run(of_service, capture_output=True, check=False).stdout
    return int(found) if found else None


def test_a_worker_ends_with_the_service_that_is_killed(engine: Engine) -> None:
    with serving(engine) as service:
        its_worker = Path(f"/proc/{worker_of(service)}")
        assert its_worker.exists()
    until(lambda: not its_worker.exists() or "zombie" in state_of(its_worker), 20)


@pytest.mark.parametrize("ends", ["killed", "struck off"])
def test_a_worker_that_fails_is_followed_by_another(engine: Engine, ends: str) -> None:
    def at_the_queue() -> bool:
        with engine.begin() as db:
            return bool(db.execute(text("SELECT count(*) FROM procrastinate_workers")).scalar_one())

    with engine.begin() as db:
        db.execute(text("DELETE FROM procrastinate_workers"))  # whoever was killed before
    with serving(engine) as service:
        first = worker_of(service)
        assert first is not None
        until(at_the_queue, 20)
        if ends == "killed":
            os.kill(first, signal.SIGKILL)
        else:
            with engine.begin() as db:
                db.execute(text("DELETE FROM procrastinate_workers"))  # as one that slept too long
        until(lambda: worker_of(service) not in (None, first), 30)


def state_of(process: Path) -> str:
    return (process / "status").read_text()


def test_a_worker_without_a_database_says_what_to_do(tmp_path) -> None:
    environment = {name: value for name, value in os.environ.items() if "INVELO" not in name}
    ended = subprocess.run(
        [sys.executable, "-m", "invelo", "worker"],
        env={**environment, "PYTHONPATH": str(ROOT / "src")},
        cwd=tmp_path,
        capture_output=True,
        text=True,
        timeout=60,
    )
    assert ended.returncode == 2
    assert "INVELO_DATABASE_URL" in ended.stderr
