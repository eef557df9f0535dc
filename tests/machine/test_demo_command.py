"""`./invelo demo` as a coach starts it: once, again, and anew."""

import os
import signal
import subprocess
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path
from typing import Any
from uuid import uuid4

import httpx2 as httpx
import pytest

from invelo.demo.theatre import COACH_EMAIL, COACH_PASSWORD, CREW
from invelo.runtime.ports import held_port
from invelo.runtime.settings import ROOT
from tests.conftest import open_folder


@pytest.fixture(scope="module")
def folder() -> Iterator[Path]:
    """Data of the test's own, so that nobody's demo is touched."""
    with open_folder() as made:
        yield made


@contextmanager
def demo(folder: Path, *more: str) -> Iterator[tuple[httpx.Client, str]]:
    """The demo running, a browser signed in, and what was said until it was ready."""
    with held_port() as port:
        running = subprocess.Popen(
            [str(ROOT / "invelo"), "demo", "--port", str(port), *more],
            env={**os.environ, "INVELO_DATA_DIR": str(folder)},
            stderr=subprocess.PIPE,
            text=True,
        )
        assert running.stderr is not None
        said = ""
        for line in running.stderr:
            said += line
            if "Ctrl-C stops" in line:
                break
        client = httpx.Client(base_url=f"http://127.0.0.1:{port}", timeout=30)
        body = {"email": COACH_EMAIL, "password": COACH_PASSWORD}
        client.post("/api/sign-in", json=body).raise_for_status()
        yield client, said
        client.close()
        running.send_signal(signal.SIGINT)
        running.communicate(timeout=60)
        assert running.returncode == 0


def names(client: httpx.Client) -> list[str]:
    squad: dict[str, Any] = client.get("/api/squad").json()
    return sorted(one["name"] for one in squad["athletes"])


def test_it_is_told_once_kept_and_told_anew(folder: Path) -> None:
    crew = sorted(member.name for member in CREW)
    with demo(folder) as (client, said):
        assert f"opening the story of {len(CREW)} people" in said
        assert names(client) == crew
        person = {"id": str(uuid4()), "name": "Bela Quint", "mass_kg": 70, "stature_m": 1.7}
        client.post("/api/athletes", json={**person, "consent": True}).raise_for_status()
    with demo(folder) as (client, said):
        assert "the story" not in said
        assert names(client) == sorted([*crew, "Bela Quint"]), "what was done stays"
    with demo(folder, "--fresh") as (client, said):
        assert "opening the story" in said
        assert names(client) == crew
