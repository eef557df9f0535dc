"""Kills: the service ended by SIGKILL at random moments while four phones log sets.

    PYTHONPATH=src .venv/bin/python -m bench.kills

Told: kills, sets acknowledged, lost, there twice, out of order. The last three must read 0.
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

import requests
from sqlmodel import Session, select

from invelo.db.database import engine_for, migrate, transaction
from invelo.db.moment import Moment
from invelo.db.tables.training import LoggedSetRow
from invelo.runtime import postgres
from invelo.runtime.ports import held_port
from invelo.runtime.settings import ROOT
from invelo.services.account import accounts
from invelo.services.squad import squad
from invelo.services.training import links

ZONE = "Europe/Lisbon"
PHONES = 4
LONGEST = 0.6
"""Seconds between one start of the service and its end, at most."""


LEAST, PATIENCE = 40, 60.0
"""Sets that are acknowledged before it ends, and seconds that are waited for them."""


@dataclass(frozen=True)
class Outcome:
    """What was left of it."""

    kills: int
    acknowledged: int
    lost: int
    twice: int
    out_of_order: int


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
            except requests.RequestException:
                time.sleep(0.05)

    def kill(self) -> None:
        """End it without a word."""
        assert self.process is not None
        self.process.send_signal(signal.SIGKILL)
        self.process.wait()


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


def run(database: str, kills: int, seed: int) -> Outcome:
    """Kill the service so many times while phones log; what is left in the database."""
    with held_port() as port:
        return _run(database, port, kills, seed)


def _run(database: str, port: int, kills: int, seed: int) -> Outcome:
    random = Random(seed)
    engine = engine_for(database)
    now = datetime.now(UTC)
    tokens = []
    with transaction(engine) as db:
        coach = accounts.create(db, f"{seed}@theatre.example", "A coach", "x" * 12, ZONE, now)
        for number in range(PHONES):
            person = squad.AthleteDraft(uuid4(), f"Phone {number}", 70, 1.7)
            athlete = squad.enrol(db, coach, person, Moment(now, ZONE))
            tokens.append(links.make(db, athlete.id, now))
    service, done = _Service(database, port), threading.Event()
    phones = [_Phone(service.url, token, done) for token in tokens]
    service.start()
    for phone in phones:
        phone.start()
    for _ in range(kills):
        time.sleep(random.uniform(0.05, LONGEST))
        service.kill()
        service.start()
    enough = time.monotonic() + PATIENCE
    while sum(len(one.acknowledged) for one in phones) < LEAST and time.monotonic() < enough:
        time.sleep(0.05)  # on a slow machine little is sent between two kills
    done.set()
    for phone in phones:
        phone.join()
    service.kill()
    outcome = _outcome(engine, phones, kills)
    engine.dispose()
    return outcome


def _outcome(engine: object, phones: list[_Phone], kills: int) -> Outcome:
    with Session(engine) as db:  # type: ignore[arg-type]
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
    )


def main() -> None:
    """A hundred kills."""
    with tempfile.TemporaryDirectory(prefix="invelo-kills-") as folder:
        Path(folder).chmod(0o755)
        with postgres.running(Path(folder) / "postgres") as server:
            url = server.url("kills")
            migrate(url)
            print(run(url, kills=100, seed=1))


if __name__ == "__main__":
    main()
