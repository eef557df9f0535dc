"""The command line: ports, settings, accounts, an orderly end."""

import os
import signal
import socket
import subprocess
import sys
from collections.abc import Iterator

import httpx2 as httpx
import pytest
from sqlalchemy import Engine
from sqlmodel import Session, select

from invelo.db.tables.account import AccountRow
from invelo.runtime.ports import held_port
from invelo.runtime.serving import listen
from invelo.runtime.settings import ROOT
from tests.command import invelo


def address(engine: Engine) -> str:
    return engine.url.render_as_string(hide_password=False)


def test_the_next_free_port_is_taken_unless_one_was_asked_for() -> None:
    with socket.socket() as taken:
        taken.bind(("127.0.0.1", 0))
        taken.listen()
        port = taken.getsockname()[1]
        with listen("127.0.0.1", port, asked=False) as other:
            assert other.getsockname()[1] > port
        with pytest.raises(SystemExit):
            listen("127.0.0.1", port, asked=True)


def test_a_taken_port_is_told_with_a_remedy() -> None:
    with socket.socket() as taken:
        taken.bind(("127.0.0.1", 0))
        taken.listen()
        port = str(taken.getsockname()[1])
        done = invelo("demo", "--port", port)
    assert done.exit_code == 1
    assert f"port {port} is taken" in done.stderr
    assert "what to do" in done.stderr


@pytest.mark.parametrize(
    ("name", "value"),
    [("INVELO_PORT", "70000"), ("INVELO_PORT", "many"), ("INVELO_SESSION_HOURS", "0")],
)
def test_a_bad_setting_is_named(name: str, value: str) -> None:
    done = invelo("serve", **{name: value})
    assert done.exit_code == 2
    assert name in done.stderr


@pytest.fixture
def port() -> Iterator[int]:
    with held_port() as held:
        yield held


def test_two_held_ports_differ_and_a_server_may_listen_on_one(port: int) -> None:
    with held_port() as other:
        assert other != port
    with listen("127.0.0.1", port, asked=True) as server:
        assert server.getsockname()[1] == port


def test_serve_runs_on_its_settings_and_ends_on_ctrl_c(engine: Engine, port: int) -> None:
    running = subprocess.Popen(
        [sys.executable, "-m", "invelo", "serve"],
        env={
            **os.environ,
            "PYTHONPATH": str(ROOT / "src"),
            "INVELO_DATABASE_URL": address(engine),
            "INVELO_PORT": str(port),
        },
        stderr=subprocess.PIPE,
        text=True,
    )
    assert running.stderr is not None
    assert running.stderr.readline() == f"invelo: ready at http://127.0.0.1:{port}\n"
    health = httpx.get(f"http://127.0.0.1:{port}/api/health").json()
    assert health["status"] == "ok"
    with Session(engine) as db:  # no demo data
        assert db.exec(select(AccountRow)).all() == []
    running.send_signal(signal.SIGINT)
    _, said = running.communicate(timeout=20)
    assert running.returncode == 0, said
    assert "Traceback" not in said


def test_an_account_is_made_and_a_second_refused(engine: Engine) -> None:
    arguments = ("coach", "New@Theatre.example", "--name", "New", "--time-zone", "Europe/Lisbon")
    there = {"INVELO_DATABASE_URL": address(engine)}
    first = invelo(*arguments, "--password", "a long enough one", **there)
    assert first.exit_code == 0, first.stderr
    again = invelo(*arguments, "--password", "a long enough one", **there)
    assert again.exit_code == 1
    assert "has an account already" in again.stderr
    with Session(engine) as db:
        assert db.exec(select(AccountRow)).one().email == "new@theatre.example"


@pytest.mark.parametrize(
    ("email", "password", "told"),
    [("no address", "a long enough one", "@"), ("b@theatre.example", "short", "too short")],
)
def test_a_bad_account_is_told(engine: Engine, email: str, password: str, told: str) -> None:
    done = invelo(
        *("coach", email, "--name", "N", "--time-zone", "Europe/Lisbon", "--password", password),
        INVELO_DATABASE_URL=address(engine),
    )
    assert done.exit_code == 1
    assert told in done.stderr


def test_the_shell_script_is_sound() -> None:
    assert subprocess.run(["bash", "-n", str(ROOT / "invelo")]).returncode == 0


CORE = """
import invelo.domain.bench.comparison
import invelo.domain.review.proposals.propose
import invelo.domain.biomechanics.figure
import invelo.domain.ladder.placement
"""
SERVICE = """
import invelo.formats.scripts.predict
from invelo.api.app import create_app
from invelo.runtime.settings import Settings
from invelo.db.database import engine_for
create_app(Settings(), engine_for("postgresql+psycopg://127.0.0.1:1/x")).openapi()
"""


@pytest.mark.parametrize(
    ("code", "unwanted"),
    [
        (CORE, {"fastapi", "sqlalchemy", "psycopg", "scipy", "pandas"}),
        (SERVICE, {"scipy", "pandas", "ortools", "reportlab", "icalendar"}),
    ],
    ids=["the core", "the service at its start"],
)
def test_nothing_loads_what_it_does_not_need(code: str, unwanted: set[str]) -> None:
    """The core knows no web and no database; heavy libraries wait until they are wanted."""
    asked = f"{code}\nimport sys; sys.exit(str({unwanted} & set(sys.modules) or '') or 0)"
    environment = {**os.environ, "PYTHONPATH": str(ROOT / "src")}
    done = subprocess.run([sys.executable, "-c", asked], env=environment, capture_output=True)
    assert done.returncode == 0, done.stderr
