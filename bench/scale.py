"""Three years of two hundred athletes: what endpoints cost over an empty one and their own SQL.

    PYTHONPATH=src .venv/bin/python -m bench.scale

Two databases on one server: one of 200 athletes with 1.5 million logged sets, and one a hundredth
of the size that holds one coach's two athletes. The same coach with as much data is in both.

Told of each request, as medians: how long it took, the most it should (an empty endpoint of the
same application, and twice its own statements run bare in the same run), and, for the coach of two,
how it compares with the small database. Plans of all statements are written beside. Then the whole
is archived and restored: peak memory, and whether each table's rows and checksums are the same.
"""

import hashlib
import json
import os
import statistics
import subprocess
import sys
import tempfile
import time
from collections.abc import Callable, Iterator
from contextlib import contextmanager
from dataclasses import dataclass, field
from datetime import UTC, datetime, timedelta
from pathlib import Path
from random import Random
from uuid import UUID, uuid4

import httpx2 as httpx
import psycopg
from sqlalchemy import Engine, event
from starlette.testclient import TestClient

from bench import crowd
from bench.service import application, serving
from invelo.db import archive
from invelo.db.database import engine_for, migrate
from invelo.runtime import postgres
from invelo.runtime.settings import ROOT

ROUNDS = 40
WARM = 5
MANY, FEW = crowd.Crowd("many@bench.example", 198), crowd.Crowd("few@bench.example", 2)
KEPT = ROOT / ".local" / "scale"
"""Where the table and the plans are written."""


@dataclass
class Statements:
    """What the application sends to its database while it is listened to."""

    engine: Engine
    sent: list[tuple[str, object]] = field(default_factory=list)

    def __post_init__(self) -> None:
        """Listen."""
        event.listen(self.engine, "before_cursor_execute", self._hear)

    def _hear(self, _c: object, _k: object, sql: str, told: object, *_more: object) -> None:
        self.sent.append((sql, told))

    def during(self, ask: Callable[[], httpx.Response]) -> list[tuple[str, object]]:
        """The statements of one request."""
        self.sent.clear()
        ask().raise_for_status()
        return list(self.sent)


@dataclass(frozen=True)
class Ask:
    """A request that is measured, made anew each time for someone else."""

    name: str
    make: Callable[[], Callable[[], httpx.Response]]


def asks(client: httpx.Client, random: Random) -> tuple[Ask, ...]:
    """The requests of a coach: each for one of their athletes by chance."""
    people = [one for one in client.get("/api/squad").json()["athletes"] if one["ladder_id"]]
    now = datetime.now(UTC)

    def someone() -> dict[str, str]:
        return dict(random.choice(people))

    def get(path: str, **query: object) -> Callable[[], Callable[[], httpx.Response]]:
        def make() -> Callable[[], httpx.Response]:
            one = someone()
            url = path.format(ladder=one["ladder_id"], athlete=one["id"])
            days = random.randrange(30, 1000)
            sent = {k: str((now - timedelta(days=days)).date()) for k in query}
            return lambda: client.get(url, params=sent)

        return make

    def log() -> Callable[[], httpx.Response]:
        one, run = someone(), uuid4()
        base = f"/api/athletes/{one['id']}/sessions/{run}"
        at = datetime.now(UTC).isoformat()
        client.put(base, json={"name": "Bench", "at": at}).raise_for_status()
        done = {"movement": "squat", "number": 1, "reps": 8, "rpe": 8, "at": at}
        return lambda: client.put(f"{base}/sets/{uuid4()}", json=done)

    return (
        Ask("empty", lambda: lambda: client.post("/api/empty", json={})),
        Ask("squad", get("/api/squad")),
        Ask("ladder", get("/api/ladders/{ladder}")),
        Ask("review", get("/api/ladders/{ladder}/review")),
        Ask("trends", get("/api/ladders/{ladder}/trends")),
        Ask("history, a page from somewhere", get("/api/athletes/{athlete}/history", before=1)),
        Ask("log a set", log),
    )


def first_asked(client: httpx.Client) -> dict[str, float]:
    """Median milliseconds of what the service is asked for the first time: nothing of it lies in
    its memory. Afterwards it has worked out each body and ladder once, as one that has run for a
    day has."""
    taken: dict[str, list[float]] = {}
    for one in client.get("/api/squad").json()["athletes"]:
        for what in ("", "/trends"):
            began = time.perf_counter()
            client.get(f"/api/ladders/{one['ladder_id']}{what}").raise_for_status()
            taken.setdefault(what[1:] or "ladder", []).append(time.perf_counter() - began)
    return {what: 1000 * statistics.median(found) for what, found in taken.items()}


class Bare:
    """Statements run as the application sends them, with nothing around them."""

    def __init__(self, engine: Engine) -> None:
        url = engine.url.set(drivername="postgresql").render_as_string(hide_password=False)
        self.connection = psycopg.connect(url)

    def seconds(self, sent: list[tuple[str, object]]) -> float:
        """How long they take in one transaction, rows fetched; and, where they write, kept. (To end
        one that only read is in what an empty endpoint costs.)"""
        writes = any(sql.startswith(("INSERT", "UPDATE", "DELETE")) for sql, _ in sent)
        with self.connection.cursor() as cursor:
            began = time.perf_counter()
            for sql, told in sent:
                cursor.execute(sql, told)
                if cursor.description:
                    cursor.fetchall()
            if writes:
                self.connection.commit()
            spent = time.perf_counter() - began
        self.connection.rollback()
        return spent

    def plan(self, sql: str, told: object) -> str:
        """How the server runs one."""
        with self.connection.cursor() as cursor:
            cursor.execute("EXPLAIN (ANALYZE, BUFFERS) " + sql, told)
            lines = [str(row[0]) for row in cursor.fetchall()]
        self.connection.rollback()
        return "\n".join(lines)


def _anew(sent: list[tuple[str, object]]) -> list[tuple[str, object]]:
    """Statements with a new id in place of the one an insert has used."""
    used = {v for sql, told in sent if sql.startswith("INSERT") and isinstance(told, dict)
            for k, v in told.items() if k == "id"}  # fmt: skip
    swap = {one: uuid4() for one in used if isinstance(one, UUID)}
    return [
        (sql, {k: swap.get(v, v) if isinstance(v, UUID) else v for k, v in told.items()})
        if isinstance(told, dict)
        else (sql, told)
        for sql, told in sent
    ]


@dataclass
class Taken:
    """Seconds by request."""

    whole: dict[str, list[float]] = field(default_factory=dict)
    own_sql: dict[str, list[float]] = field(default_factory=dict)
    plans: dict[str, dict[str, str]] = field(default_factory=dict)
    first: dict[str, float] = field(default_factory=dict)

    def median(self, name: str) -> float:
        """Milliseconds, of a request."""
        return 1000 * statistics.median(self.whole[name])

    def bare(self, name: str) -> float:
        """Milliseconds, of its own statements."""
        return 1000 * statistics.median(self.own_sql[name])


@dataclass(frozen=True)
class Clients:
    """Two that are signed in as one coach: one asks the application in a process of its own, one in
    this, where its statements are heard."""

    served: httpx.Client
    near: httpx.Client


def measure(clients: Clients, engine: Engine, rounds: int) -> Taken:
    """Every request so many times, in turn: timed where it is served, heard where it is near."""
    taken = Taken()
    heard, bare = Statements(engine), Bare(engine)
    taken.first = first_asked(clients.served)
    made = zip(asks(clients.served, Random(7)), asks(clients.near, Random(7)), strict=True)
    pairs = tuple(made)
    common = {sql for sql, _ in heard.during(pairs[0][1].make())}
    for round_ in range(rounds + WARM):
        for ask, near in pairs:
            request = ask.make()
            began = time.perf_counter()
            request().raise_for_status()
            spent = time.perf_counter() - began
            own = _anew([one for one in heard.during(near.make()) if one[0] not in common])
            if round_ >= WARM:
                taken.whole.setdefault(ask.name, []).append(spent)
                taken.own_sql.setdefault(ask.name, []).append(bare.seconds(own))
            elif round_ == WARM - 1:
                taken.plans[ask.name] = {sql: bare.plan(sql, told) for sql, told in own}
    bare.connection.close()
    return taken


@contextmanager
def service(engine: Engine, who: crowd.Crowd) -> Iterator[Clients]:
    """The application over a database, signed in as one coach."""
    url = engine.url.render_as_string(hide_password=False)
    here = TestClient(application(engine), base_url="http://127.0.0.1")
    with serving(url) as served, here as near:
        body = {"email": who.email, "password": crowd.PASSWORD}
        for client in (served, near):
            client.post("/api/sign-in", json=body).raise_for_status()
        yield Clients(served, near)


def checksums(engine: Engine) -> dict[str, tuple[int, str]]:
    """Rows and checksum of each table, whatever their order on disk."""
    found = {}
    with engine.connect() as db:
        for table in archive.tables():
            digest, count = hashlib.sha256(), 0
            for line in archive.rows(db, table):
                digest.update(line)
                count += 1
            found[table.name] = (count, digest.hexdigest())
    return found


_TELLING_ITS_MEMORY = """
import sys
from pathlib import Path
from invelo.runtime.cli import app
try:
    app(sys.argv[1:])
finally:
    print(*(one for one in Path("/proc/self/status").open() if "VmHWM" in one))
"""
"""Runs the product's command, then tells the most memory that this process has held (its own: what
`getrusage` tells would hold what the bench held when it started it)."""


def _invelo(arguments: list[str], url: str) -> tuple[float, float]:
    """Seconds that a command took, and the most memory it held, MB."""
    environment = {
        **os.environ,
        "PYTHONPATH": str(ROOT / "src"),
        "INVELO_DATABASE_URL": url,
    }
    command = [sys.executable, "-c", _TELLING_ITS_MEMORY, *arguments]
    began = time.perf_counter()
    done = subprocess.run(command, env=environment, check=True, capture_output=True, text=True)
    kilobytes = int(done.stdout.rsplit("VmHWM:", 1)[1].split()[0])
    return time.perf_counter() - began, kilobytes / 1024


def archived(server: postgres.Server, engine: Engine, url: str, folder: Path) -> dict[str, object]:
    """The whole written and restored by the product's own commands."""
    path = folder / "whole.zip"
    wrote, held = _invelo(["backup", str(path)], url)
    back = server.url("scale_restored")
    read, holding = _invelo(["restore", str(path)], back)
    again = engine_for(back)
    same = checksums(engine) == checksums(again)
    again.dispose()
    return {
        "archive, MB": round(path.stat().st_size / 2**20, 1),
        "backup, s": round(wrote, 1),
        "backup held at most, MB": round(held),
        "restore, s": round(read, 1),
        "restore held at most, MB": round(holding),
        "rows and checksums of every table alike": same,
    }


def run() -> None:
    """Fill, measure, archive; print and keep the figures."""
    KEPT.mkdir(parents=True, exist_ok=True)
    now = datetime.now(UTC)
    with tempfile.TemporaryDirectory(prefix="invelo-scale-") as name:
        folder = Path(name)
        folder.chmod(0o755)
        with postgres.running(folder / "postgres") as server:
            url = server.url("scale")
            engines = {}
            for database, crowds in (("scale", (FEW, MANY)), ("small", (FEW,))):
                migrate(server.url(database))
                engines[database] = engine_for(server.url(database))
                for one in crowds:
                    print(f"filling {database} with {one.athletes} athletes", flush=True)
                    crowd.fill(engines[database], one, now)
            sizes = {}
            for database, engine in engines.items():
                with engine.connect() as db:
                    sizes[database] = crowd.sets_in(db)
            with service(engines["scale"], MANY) as clients:
                many = measure(clients, engines["scale"], ROUNDS)
            with service(engines["scale"], FEW) as clients:
                in_large = measure(clients, engines["scale"], ROUNDS)
            with service(engines["small"], FEW) as clients:
                in_small = measure(clients, engines["small"], ROUNDS)
            told = {
                "logged sets": sizes,
                "first asked, ms": {name: round(ms, 1) for name, ms in many.first.items()},
                "endpoints": endpoints(many),
                "against the small database": {
                    one: {
                        "large, ms": round(in_large.median(one), 2),
                        "small, ms": round(in_small.median(one), 2),
                        "ratio (at most 1.3)": round(
                            in_large.median(one) / in_small.median(one), 2
                        ),
                    }
                    for one in in_small.whole
                },
            }
            _keep(told, many)
            told["archive"] = archived(server, engines["scale"], url, folder)
            _keep(told, many)
            for engine in engines.values():
                engine.dispose()


def endpoints(many: Taken) -> dict[str, dict[str, float]]:
    """Each request beside the most it should take, milliseconds."""
    empty = many.median("empty")
    found = {}
    for one in many.whole:
        most = empty + 2 * many.bare(one)
        found[one] = {
            "took, ms": round(many.median(one), 2),
            "own SQL bare, ms": round(many.bare(one), 2),
            "empty + 2 × SQL, ms": round(most, 2),
            "ratio (at most 1)": round(many.median(one) / most, 2),
            "statements": len(many.plans.get(one, {})),
        }
    return found


def _keep(told: dict[str, object], many: Taken) -> None:
    (KEPT / "scale.json").write_text(json.dumps(told, indent=2) + "\n")
    (KEPT / "plans.txt").write_text(
        "\n\n".join(
            f"== {name}\n\n{sql}\n\n{plan}"
            for name, plans in many.plans.items()
            for sql, plan in plans.items()
        )
    )
    print(json.dumps(told, indent=2), flush=True)


if __name__ == "__main__":
    run()
