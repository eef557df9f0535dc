"""A coach at work through the API."""

from typing import Any
from uuid import uuid4

from fastapi.testclient import TestClient

from tests.conftest import Clock

EMAIL = "coach@theatre.example"
PASSWORD = "a riser and two ropes"


class Coach:
    """What the tests do again and again, in words of the job."""

    def __init__(self, client: TestClient, clock: Clock) -> None:
        self.client = client
        self.clock = clock

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
        return {"at": self.clock().isoformat(), "zone": "Europe/Lisbon"}

    def starts(self, ladder: str) -> str:
        session = str(uuid4())
        self.put(f"/api/sessions/{session}", ladder_id=ladder, **self.now())
        return session

    def logs(self, session: str, rung: str, number: int, reps: int = 10, **change: Any) -> Any:
        body = {"rung_id": rung, "number": number, "reps": reps, "effort": 8.5, **self.now()}
        return self.put(f"/api/sessions/{session}/sets/{uuid4()}", **{**body, **change})

    def finishes(self, session: str, effort: float = 7) -> dict[str, Any]:
        return self.post(f"/api/sessions/{session}/finish", effort=effort, **self.now())

    def trains(self, ladder: str, reps: tuple[int, ...] = (10, 10, 10), **change: Any) -> Any:
        """A whole session on the rung the athlete stands on; the decision it leads to."""
        self.clock.pass_by(days=2)
        rung = self.get(f"/api/ladders/{ladder}/today")["rung"]["id"]
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
