"""The checkout's own PostgreSQL: started, found, guarded, stopped, never left behind."""

import os
import signal
import subprocess
import sys
import time
from collections.abc import Iterator
from contextlib import ExitStack
from pathlib import Path

import psycopg
import pytest

from invelo.runtime import postgres
from invelo.runtime.settings import ROOT
from tests.conftest import open_folder


@pytest.fixture(scope="module")
def home() -> Iterator[Path]:
    with open_folder() as folder:
        yield folder / "postgres"


def alive(pid: int) -> bool:
    try:
        os.kill(pid, 0)
    except ProcessLookupError:
        return False
    return "postgres" in Path(f"/proc/{pid}/cmdline").read_text()


def pid_of(home: Path) -> int:
    return int((home / "data" / "postmaster.pid").read_text().splitlines()[0])


def test_it_starts_answers_and_stops(home: Path) -> None:
    with postgres.running(home, postgres.FAST_AND_LOOSE) as server:
        pid = pid_of(home)
        assert server.answers()
    assert not server.answers()
    assert not (home / "data" / "postmaster.pid").exists()
    assert not alive(pid)


def test_data_outlive_a_stop(home: Path) -> None:
    with postgres.running(home) as server, psycopg.connect(server.conninfo("postgres")) as first:
        first.execute("CREATE TABLE kept (word text)")
        first.execute("INSERT INTO kept VALUES ('still here')")
    with postgres.running(home) as server, psycopg.connect(server.conninfo("postgres")) as second:
        assert second.execute("SELECT word FROM kept").fetchone() == ("still here",)


def test_it_listens_on_loopback_only_and_wants_its_password(home: Path) -> None:
    with postgres.running(home) as server:
        with psycopg.connect(server.conninfo("postgres")) as connection:
            assert connection.execute("SHOW listen_addresses").fetchone() == ("127.0.0.1",)
            assert connection.execute("SHOW unix_socket_directories").fetchone() == ("",)
        wrong = server.conninfo("postgres").replace(server.password, "guess")
        with pytest.raises(psycopg.OperationalError, match="password"):
            psycopg.connect(wrong)


def test_its_secrets_are_for_its_user_alone(home: Path) -> None:
    with postgres.running(home):
        assert (home / "password").stat().st_mode & 0o077 == 0
        assert (home / "data").stat().st_mode & 0o077 == 0


def test_it_never_runs_as_root(home: Path) -> None:
    with postgres.running(home):
        owner = Path(f"/proc/{pid_of(home)}").stat().st_uid
        assert owner != 0


def test_a_second_start_finds_the_running_server_and_leaves_it(home: Path) -> None:
    with postgres.running(home) as first:
        with postgres.running(home) as second:
            assert (second.port, second.password) == (first.port, first.password)
        assert first.answers()


def test_a_database_is_made_once_and_dropped(home: Path) -> None:
    with postgres.running(home) as server:
        assert server.url("here") == server.url("here")
        server.drop("here")
        server.drop("here")


def test_it_ends_with_a_parent_that_is_killed(home: Path) -> None:
    script = (
        "import sys, time; from pathlib import Path; from invelo.runtime import postgres\n"
        f"with postgres.running(Path({str(home)!r})):\n"
        "    print('up', flush=True); time.sleep(600)"
    )
    environment = {**os.environ, "PYTHONPATH": str(ROOT / "src")}
    parent = subprocess.Popen(
        [sys.executable, "-c", script], env=environment, stdout=subprocess.PIPE, text=True
    )
    assert parent.stdout is not None
    assert parent.stdout.readline() == "up\n"
    pid = pid_of(home)
    parent.send_signal(signal.SIGKILL)
    parent.communicate()
    with postgres.running(home) as server:  # waits for the old one's lock, or finds it gone
        assert server.answers()
    assert not alive(pid)


def test_a_server_that_is_killed_is_back_in_seconds_on_its_port(home: Path) -> None:
    with postgres.running(home) as server:
        with psycopg.connect(server.conninfo("postgres"), autocommit=True) as before:
            before.execute("CREATE TABLE IF NOT EXISTS acknowledged (word text)")
            before.execute("INSERT INTO acknowledged VALUES ('kept')")
        pid = pid_of(home)
        os.kill(pid, signal.SIGKILL)
        back = time.monotonic() + 10
        while not server.answers():
            assert time.monotonic() < back, "it is not back in ten seconds"
        assert pid_of(home) != pid
        with psycopg.connect(server.conninfo("postgres")) as after:
            assert after.execute("SELECT word FROM acknowledged").fetchone() == ("kept",)
    assert not server.answers(), "it still ends with the last who uses it"


def test_whoever_started_it_may_end_before_the_others() -> None:
    with open_folder() as folder:
        home = folder / "postgres"
        with ExitStack() as first, ExitStack() as second:
            server = first.enter_context(postgres.running(home, postgres.FAST_AND_LOOSE))
            second.enter_context(postgres.running(home))
            first.close()
            assert server.answers()
            second.close()
            assert not server.answers()


def test_first_starts_at_the_same_moment_make_one_server() -> None:
    script = (
        "import sys; from pathlib import Path; from invelo.runtime import postgres\n"
        "with postgres.running(Path(sys.argv[1]), postgres.FAST_AND_LOOSE) as server:\n"
        "    print(server.port, flush=True); sys.stdin.read()"
    )
    with open_folder() as folder:
        command = [sys.executable, "-c", script, str(folder / "postgres")]
        environment = {**os.environ, "PYTHONPATH": str(ROOT / "src")}
        ends = {"stdin": subprocess.PIPE, "stdout": subprocess.PIPE, "text": True}
        starters = [subprocess.Popen(command, env=environment, **ends) for _ in range(3)]
        ports = {starter.stdout.readline() for starter in starters}
        for starter in starters:
            starter.communicate()
    assert len(ports) == 1
    assert {starter.returncode for starter in starters} == {0}


def test_the_application_owns_its_databases_and_nothing_else(home: Path) -> None:
    with postgres.running(home) as server:
        url = server.url("ours").replace("+psycopg", "")
        with psycopg.connect(url, autocommit=True) as connection:
            asked = "SELECT rolsuper, rolcreaterole, rolcreatedb FROM pg_roles WHERE rolname = %s"
            assert connection.execute(asked, [postgres.ROLE]).fetchone() == (False, False, False)
            connection.execute("CREATE TABLE kept (word text)")
            with pytest.raises(psycopg.errors.InsufficientPrivilege):
                connection.execute("COPY kept FROM '/etc/passwd'")
            with pytest.raises(psycopg.errors.InsufficientPrivilege):
                connection.execute("COPY kept TO PROGRAM 'true'")
        with psycopg.connect(server.conninfo("ours")) as connection:
            assert connection.execute("SHOW data_checksums").fetchone() == ("on",)
        server.drop("ours")


EARLIER = """
CREATE TYPE mood AS ENUM ('well', 'sore');
CREATE TABLE kept (id serial PRIMARY KEY, mood mood);
CREATE VIEW seen AS SELECT * FROM kept;
CREATE FUNCTION refuse() RETURNS trigger LANGUAGE plpgsql AS 'BEGIN RETURN NULL; END';
CREATE SEQUENCE counted;
"""


def test_a_database_of_an_earlier_release_is_handed_over(home: Path) -> None:
    """Then everything belonged to the server's first user."""
    with postgres.running(home) as server:
        with psycopg.connect(server.conninfo("postgres"), autocommit=True) as connection:
            connection.execute("CREATE DATABASE earlier")
        with psycopg.connect(server.conninfo("earlier"), autocommit=True) as connection:
            connection.execute(EARLIER)
        url = server.url("earlier").replace("+psycopg", "")
        with psycopg.connect(url, autocommit=True) as connection:
            connection.execute("INSERT INTO kept (mood) VALUES ('well')")
            connection.execute("DROP VIEW seen")
            connection.execute("DROP FUNCTION refuse()")
            connection.execute("ALTER TYPE mood ADD VALUE 'tired'")
            connection.execute("DROP SEQUENCE counted")
            connection.execute("ALTER TABLE kept DROP COLUMN mood")
        server.drop("earlier")


def test_a_lock_left_behind_by_someone_elses_process_is_no_server(home: Path) -> None:
    """The machine lost power, and the number in the lock is ours by now."""
    with postgres.running(home):
        lock = (home / "data" / "postmaster.pid").read_text().splitlines()
    lock[0] = str(os.getpid())
    (home / "data" / "postmaster.pid").write_text("\n".join(lock))
    assert postgres._running_port(home / "data") is None
    (home / "data" / "postmaster.pid").unlink()


def test_data_of_another_version_are_named_with_a_way_out(tmp_path: Path) -> None:
    (tmp_path / "data").mkdir()
    (tmp_path / "data" / "PG_VERSION").write_text("9\n")
    with (
        pytest.raises(postgres.PostgresError, match="made by PostgreSQL 9"),
        postgres.running(tmp_path),
    ):
        pass


def test_a_server_that_cannot_start_says_its_last_words(home: Path) -> None:
    with (
        pytest.raises(postgres.PostgresError, match="no_such_setting"),
        postgres.running(home, ("no_such_setting=1",)),
    ):
        pass


def test_a_first_start_that_was_cut_off_begins_anew() -> None:
    with open_folder() as folder:
        half = folder / "postgres"
        (half / "data").mkdir(parents=True)
        (half / "data" / "half").write_text("written")
        with postgres.running(half, postgres.FAST_AND_LOOSE) as server:
            assert server.answers()


def test_no_server_programs_say_what_to_install(monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setattr(Path, "glob", lambda self, pattern: iter(()))
    with pytest.raises(postgres.PostgresError, match="apt-get install postgresql"):
        postgres.binaries()


def test_data_lie_where_the_servers_user_can_reach(monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setattr(postgres, "unprivileged_user", lambda: None)
    assert postgres.data_home("demo") == ROOT / ".local" / "postgres" / "demo"
    if os.geteuid() == 0:
        monkeypatch.setattr(postgres, "unprivileged_user", lambda: "postgres")
        monkeypatch.setattr(postgres, "ROOT", Path("/root/checkout"))
        assert postgres.data_home("demo").parent.parent == Path("/var/lib/invelo")
