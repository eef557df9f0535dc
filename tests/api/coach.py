"""A coach at work through the API."""

from typing import Any
from uuid import uuid4

from fastapi.testclient import TestClient

from invelo.db.moment import Moment
from invelo.db.tables.athlete import AthleteRow
from invelo.jobs.queue import drain
from tests.conftest import Clock

EMAIL = "coach@theatre.example"
PASSWORD = "a riser and two ropes"


ATHLETES: dict[str, str] = {}
"""Whose a ladder is, which never changes."""


class Coach:
    """What the tests do again and again, in words of the job."""

    def __init__(self, client: TestClient, clock: Clock, email: str = EMAIL) -> None:
        self.client = client
        self.clock = clock
        self.email = email
        self.paths: dict[str, str] = {}

    def get(self, path: str) -> Any:
        response = self.client.get(path)
        response.raise_for_status()
        return response.json()

    def post(self, path: str, **body: Any) -> Any:
        response = self.client.post(path, json=body)
        response.raise_for_status()
        return response.json()

    def put(self, path: str, **body: Any) -> Any:
        response = self.client.put(path, json=body)
        response.raise_for_status()
        return response.json()

    def enrols(self, name: str = "Oda Fenwick", **change: Any) -> dict[str, Any]:
        body = {"id": str(uuid4()), "name": name, "mass_kg": 75.0, "stature_m": 1.75}
        return self.post("/api/athletes", **{**body, "consent": True, **change})

    def gives_ladder(self, athlete: str, reps: int = 9, **change: Any) -> dict[str, Any]:
        """A push-up ladder, entered by a floor test."""
        test = {"id": str(uuid4()), "movement": "push-up", "reps": reps}
        body = {"ready_ladder": "push-up", "purpose": "strength", "level": "intermediate"}
        return self.post(f"/api/athletes/{athlete}/ladders", **{**body, "test": test, **change})

    def has_ladder(self, **change: Any) -> dict[str, Any]:
        """A new athlete with a ladder."""
        return self.gives_ladder(self.enrols()["id"], **change)

    def now(self) -> dict[str, str]:
        return {"at": self.clock().isoformat(), "time_zone": "Europe/Lisbon"}

    def athlete_of(self, ladder: str) -> str:
        if ladder not in ATHLETES:
            ATHLETES[ladder] = str(self.get(f"/api/ladders/{ladder}")["athlete_id"])
        return ATHLETES[ladder]

    def takes_along(self, ladder: str) -> dict[str, Any]:
        """What a device of the ladder's athlete takes along."""
        return self.get(f"/api/athletes/{self.athlete_of(ladder)}/floor")  # type: ignore[no-any-return]

    def single(self, ladder: str) -> dict[str, Any]:
        """The session of this ladder by itself."""
        there = self.takes_along(ladder)["single"]
        return next(one for one in there if one["ladder_id"] == ladder)

    def item(self, ladder: str) -> dict[str, Any]:
        """What that session asks on the ladder."""
        return next(one for one in self.single(ladder)["items"] if one["key"] == ladder)

    def current_rung(self, ladder: str) -> str:
        return str(self.get(f"/api/ladders/{ladder}")["current_rung_id"])

    def run(self, session: str) -> str:
        """Where a session that this coach opened is logged."""
        return self.paths.get(session, f"/api/athletes/{uuid4()}/sessions/{session}")

    def starts(self, ladder: str, session: str | None = None) -> str:
        made = session or str(uuid4())
        self.paths[made] = f"/api/athletes/{self.athlete_of(ladder)}/sessions/{made}"
        self.put(self.run(made), name="Alone", ladder_id=ladder, **self.now())
        return made

    def logs(self, session: str, rung: str, number: int, reps: int = 10, **change: Any) -> Any:
        body = {"rung_id": rung, "number": number, "reps": reps, "rpe": 8.5, **self.now()}
        return self.put(f"{self.run(session)}/sets/{uuid4()}", **{**body, **change})

    def finishes(self, session: str, rpe: float = 7) -> dict[str, Any]:
        """Close a session; the first decision it leads to."""
        path = f"{self.run(session)}/finish"
        return self.post(path, rpe=rpe, **self.now())["proposals"][0]  # type: ignore[no-any-return]

    def plans(self, seen: dict[str, Any], **body: Any) -> dict[str, Any]:
        """A week planned by the worker: what the planning ended with."""
        path = f"/api/athletes/{seen['athlete_id']}/week/plans"
        asked = self.post(f"{path}?week_start={seen['week_start']}", **{"seconds": 5, **body})
        self.waits()
        ended: dict[str, Any] = self.get(f"{path}/{asked['id']}")
        return ended

    def waits(self) -> None:
        """Until the worker has done all that was asked of it."""
        drain(self.client.app.state.engine, self.clock)  # type: ignore[attr-defined]

    def moment(self, athlete: AthleteRow) -> Moment:
        """Now, where an athlete is."""
        return Moment(self.clock(), athlete.time_zone)

    def later(self, days: float) -> None:
        """Let days pass; whoever was signed out by then signs in again."""
        self.clock.pass_by(days=days)
        if self.client.get("/api/me").status_code == 401:
            self.post("/api/sign-in", email=self.email, password=PASSWORD)

    def trains(self, ladder: str, reps: tuple[int, ...] = (10, 10, 10), **change: Any) -> Any:
        """A whole session on the rung the athlete stands on; the decision it leads to."""
        self.later(2)
        rung = self.current_rung(ladder)
        session = self.starts(ladder)
        for number, count in enumerate(reps, start=1):
            self.logs(session, rung, number, count, **change)
        return self.finishes(session)


def problem(response: Any, status: int) -> dict[str, str]:
    """The one field problem of a refusal, checked for its form."""
    assert response.status_code == status, response.text
    assert response.headers["content-type"] == "application/problem+json"
    body = response.json()
    assert body["status"] == status
    assert body["title"]
    for error in body["errors"]:
        assert error["field"]
        assert error["problem"]
        assert error["remedy"]
    return body["errors"][0]
