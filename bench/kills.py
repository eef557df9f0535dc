"""Kills: service, worker and database ended by SIGKILL at random moments while phones log sets and
backups are written.

    PYTHONPATH=src:. .venv/bin/python -m bench.kills

Told: kills, sets acknowledged, lost, there twice, out of order; backups, and how many of them do
not read back. All but kills, acknowledged and backups must read 0.
"""

import os
import signal
import subprocess
import sys
import tempfile
import threading
import time
from collections import Counter
from dataclasses import dataclass
from datetime import UTC, datetime
from pathlib import Path
from random import Random
from uuid import UUID, uuid4

import psycopg
import requests
from sqlalchemy import Engine
from sqlalchemy.exc import SQLAlchemyError
from sqlmodel import Session, select

from invelo.db.database import engine_for, migrate, transaction
from invelo.db.moment import Moment
from invelo.db.tables.training import LoggedSetRow
from invelo.domain.errors import InputError
from invelo.runtime import postgres
from invelo.runtime.ports import held_port
from invelo.runtime.settings import ROOT
from invelo.services import archive
from invelo.services.account import accounts
from invelo.services.squad import squad
from invelo.services.training import links

ZONE = "Europe/Lisbon"
PHONES = 6
LONGEST = 0.6
"""Seconds between one start of the service and the next kill, at most."""

SETS = 10_000
PATIENCE = 3600.0
"""Sets that are acknowledged before it ends, and seconds that are waited for them."""


@dataclass(frozen=True)
class Outcome:
    """What was left of it."""

    kills: dict[str, int]
    acknowledged: int
    lost: int
    twice: int
    out_of_order: int
    backups: int
    unreadable: int


class _Service:
    """`invelo serve` on one port, to be killed and started again."""

    def __init__(self, database: str, port: int) -> None:
        self.url = f"http://127.0.0.1:{port}"
        self.environment = {
            **os.environ,
            "PYTHONPATH": str(ROOT / "src"),
            "INVELO_DATABASE_URL": database,
            "INVELO_PORT": str(port),
        }
        self.process: subprocess.Popen[bytes] | None = None

    def start(self) -> None:
        """Start it, and wait until it answers."""
        command = [sys.executable, "-m", "invelo", "serve"]
        self.process = subprocess.Popen(command, env=self.environment, stderr=subprocess.DEVNULL)
        while True:
            try:
                if requests.get(f"{self.url}/api/health", timeout=2).ok:
                    return
            except requests.RequestException as error:
                if self.process.poll() is not None:
                    raise RuntimeError("the service does not start") from error
                time.sleep(0.05)

    def kill(self) -> None:
        """End it without a word."""
        assert self.process is not None
        self.process.send_signal(signal.SIGKILL)
        self.process.wait()

    def kill_worker(self) -> None:
        """End its worker without a word; the service goes on without."""
        assert self.process is not None
        asked = ["pgrep", "-P", str(self.process.pid), "-f", "invelo worker"]
        for worker in subprocess.run(asked, capture_output=True, text=True).stdout.split():
            os.kill(int(worker), signal.SIGKILL)


class _Phone(threading.Thread):
    """One phone: sends its sets in order, each again until it is acknowledged."""

    def __init__(self, url: str, token: str, done: threading.Event) -> None:
        super().__init__(daemon=True)
        self.url, self.token, self.done = url, token, done
        self.acknowledged: list[UUID] = []

    def run(self) -> None:
        """Until it is told to stop, and what it holds is sent."""
        session, run = requests.Session(), uuid4()
        opened: dict[str, str] = {}
        number = 0
        while not self.done.is_set():
            if not opened:
                answer = self._try(session, "POST", "/api/link", {"token": self.token})
                opened = answer.json() if answer is not None else {}
                continue
            base = f"/api/athletes/{opened['athlete_id']}/sessions/{run}"
            if number == 0:
                body = {"name": "Monday", **_now()}
                number = 1 if self._try(session, "PUT", base, body) is not None else 0
                continue
            body = {"movement": "push-up", "number": min(number, 99), "reps": 8, "rpe": 8}
            set_id = uuid4()
            sent = {**body, "note": f"the {number}th", **_now()}
            while not self.done.is_set():
                if self._try(session, "PUT", f"{base}/sets/{set_id}", sent) is not None:
                    self.acknowledged.append(set_id)
                    number += 1
                    break

    def _try(
        self, session: requests.Session, method: str, path: str, body: dict[str, object]
    ) -> requests.Response | None:
        try:
            answer = session.request(method, self.url + path, json=body, timeout=5)
        except requests.RequestException:
            time.sleep(0.02)  # away: once more, with the same id
            return None
        return answer if answer.ok else None


def _now() -> dict[str, str]:
    return {"at": datetime.now(UTC).isoformat(), "time_zone": ZONE}


class _Backups(threading.Thread):
    """Writes one backup after another; those that are whole are kept to be read at the end."""

    def __init__(self, database: str, folder: Path, done: threading.Event) -> None:
        super().__init__(daemon=True)
        self.database, self.folder, self.done = database, folder, done
        self.whole: list[Path] = []

    def run(self) -> None:
        """Until it is told to stop."""
        engine = engine_for(self.database)
        while not self.done.wait(0.5):
            path = self.folder / f"{len(self.whole) % 5}-{uuid4().hex[:6]}.zip"
            try:
                archive.write(engine, path, datetime.now(UTC))
            except SQLAlchemyError:
                continue  # the database was killed amid it: no file under that name
            self.whole.append(path)
        engine.dispose()


def run(server: postgres.Server, name: str, kills: int, sets: int, seed: int) -> Outcome:
    """Kill service, worker and database at random while phones log and backups are written.

    Args:
        server: whose postmaster is killed too; a keeper must bring it back.
        name: of a database of its own on it.
        kills: at least so many.
        sets: until so many are acknowledged.
        seed: of the moments.
    """
    url = server.url(name)
    migrate(url)
    with held_port() as port, tempfile.TemporaryDirectory() as folder:
        return _run(server, url, port, Path(folder), kills, sets, Random(seed))


def _run(
    server: postgres.Server,
    database: str,
    port: int,
    folder: Path,
    kills: int,
    sets: int,
    random: Random,
) -> Outcome:
    engine = engine_for(database)
    service, done = _Service(database, port), threading.Event()
    phones = [_Phone(service.url, token, done) for token in _tokens(engine)]
    backups = _Backups(database, folder, done)
    service.start()
    for thread in (*phones, backups):
        thread.start()
    killed = {"service": 0, "worker": 0, "database": 0}
    deck: list[str] = []
    enough = time.monotonic() + PATIENCE

    def acknowledged() -> int:
        return sum(len(phone.acknowledged) for phone in phones)

    while sum(killed.values()) < kills or acknowledged() < sets:
        if time.monotonic() > enough:
            break
        time.sleep(random.uniform(0.05, LONGEST))
        if not deck:
            deck = random.sample(("service", "worker", "database"), 3)
        what = deck.pop()
        killed[what] += 1
        if what == "database":
            os.kill(_postmaster(server), signal.SIGKILL)
            while not server.answers():
                time.sleep(0.02)
        elif what == "worker":
            service.kill_worker()
        else:
            service.kill()
            service.start()
    while not backups.whole and time.monotonic() < enough:
        time.sleep(0.05)
    done.set()
    for thread in (*phones, backups):
        thread.join()
    service.kill()
    outcome = _outcome(engine, phones, killed, backups.whole)
    engine.dispose()
    return outcome


def _postmaster(server: postgres.Server) -> int:
    """The process that all others of a server come from."""
    with psycopg.connect(server.conninfo("postgres")) as connection:
        row = connection.execute("SHOW data_directory").fetchone()
    assert row is not None
    return int((Path(row[0]) / "postmaster.pid").read_text().splitlines()[0])


def _tokens(engine: Engine) -> list[str]:
    """A link for each phone."""
    now = datetime.now(UTC)
    with transaction(engine) as db:
        coach = accounts.create(db, "kills@theatre.example", "A coach", "x" * 12, ZONE, now)
        people = [squad.AthleteDraft(uuid4(), f"Phone {n}", 70, 1.7) for n in range(PHONES)]
        athletes = [squad.enrol(db, coach, person, Moment(now, ZONE)) for person in people]
        return [links.make(db, athlete.id, now) for athlete in athletes]


def _outcome(
    engine: Engine, phones: list[_Phone], kills: dict[str, int], backups: list[Path]
) -> Outcome:
    with Session(engine) as db:
        rows = list(db.exec(select(LoggedSetRow)))
    there = Counter(row.id for row in rows)
    by_session: dict[UUID, list[LoggedSetRow]] = {}
    for row in rows:
        by_session.setdefault(row.session_id, []).append(row)
    out = 0
    for those in by_session.values():
        numbers = [int(one.note.split()[1][:-2]) for one in sorted(those, key=lambda one: one.at)]
        out += numbers != list(range(1, len(numbers) + 1))
    acknowledged = [one for phone in phones for one in phone.acknowledged]
    return Outcome(
        kills,
        len(acknowledged),
        sum(one not in there for one in acknowledged),
        sum(count > 1 for count in there.values()),
        out,
        len(backups),
        sum(not _reads_back(path) for path in backups),
    )


def _reads_back(path: Path) -> bool:
    try:
        archive.read(path)
    except InputError:
        return False
    return True


def main() -> None:
    """Until ten thousand sets are acknowledged."""
    with tempfile.TemporaryDirectory(prefix="invelo-kills-") as folder:
        Path(folder).chmod(0o755)
        with postgres.running(Path(folder) / "postgres") as server:
            print(run(server, "kills", kills=100, sets=SETS, seed=1))


if __name__ == "__main__":
    main()
