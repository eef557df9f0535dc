"""How many modules of the product a request goes through, for the five a coach makes most.

    PYTHONPATH=src:. python -m bench.visits

Each is made once over the demo's data, and every module is counted in which a function was called:
so many pages would someone open who follows it from the route to the database.
"""

import os
import sys
import threading
from collections.abc import Callable
from datetime import UTC, datetime
from pathlib import Path
from types import FrameType
from uuid import uuid4

import httpx2 as httpx
from starlette.testclient import TestClient

from bench.service import application, sign_in, theatre

SRC = str(Path(__file__).resolve().parents[1] / "src") + os.sep


class Visits:
    """The product's modules that were called since it was last asked."""

    def __init__(self) -> None:
        """Listen in every thread that begins from now on."""
        self.seen: set[str] = set()
        threading.setprofile(self._call)

    def _call(self, frame: FrameType, event: str, _argument: object) -> None:
        if event == "call" and frame.f_code.co_filename.startswith(SRC):
            self.seen.add(frame.f_code.co_filename.removeprefix(SRC))

    def during(self, ask: Callable[[], httpx.Response]) -> list[str]:
        """The modules of one request."""
        self.seen.clear()
        ask().raise_for_status()
        return sorted(self.seen)


def asks(client: TestClient) -> dict[str, Callable[[], httpx.Response]]:
    """The five of docs/architecture.md: each made once."""
    people = client.get("/api/squad").json()["athletes"]
    athlete = next(person for person in people if person["today"] is not None)
    base = f"/api/athletes/{athlete['id']}/sessions/{uuid4()}"
    at = datetime.now(UTC).isoformat()
    client.put(base, json={"name": "Bench", "at": at}).raise_for_status()
    work_set = {"movement": "squat", "number": 1, "reps": 8, "rpe": 8, "at": at}
    bridge = f"/api/ladders/{athlete['ladder_id']}"
    rungs = client.get(bridge).json()["rungs"]
    ends = {"lower_id": rungs[0]["id"], "upper_id": rungs[1]["id"]}
    pending = iter([each["id"] for person in people for each in person["pending_decisions"]])
    return {
        "a set is logged": lambda: client.put(f"{base}/sets/{uuid4()}", json=work_set),
        "a gap is bridged": lambda: client.get(f"{bridge}/bridge", params=ends),
        "a week is asked for": lambda: client.post(
            f"/api/athletes/{athlete['id']}/week/plans",
            json={},
        ),
        "a proposal is accepted": lambda: client.post(
            f"/api/proposals/{next(pending)}/answer", json={"answer": "accept"}
        ),
        "the Squad is opened": lambda: client.get("/api/squad"),
    }


def run() -> dict[str, list[str]]:
    """The modules of each request."""
    visits = Visits()
    with theatre() as engine, TestClient(application(engine), "http://127.0.0.1") as client:
        sign_in(client)
        return {name: visits.during(ask) for name, ask in asks(client).items()}


def main() -> None:
    """Print each request's count, and the sum."""
    found = run()
    for name, modules in found.items():
        print(f"{len(modules):4d}  {name}")
    print(f"{sum(map(len, found.values())):4d}  in all")
    if "--names" in sys.argv:
        for name, modules in found.items():
            print(name, *modules, sep="\n  ")


if __name__ == "__main__":
    main()
