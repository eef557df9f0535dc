"""An athlete at work through the API: comes by a link, takes sessions along, sends sets."""

from typing import Any
from uuid import uuid4

from fastapi.testclient import TestClient

from tests.api.coach import Coach
from tests.conftest import Clock


def link_for(coach: Coach, athlete: str, days: int = 180) -> str:
    """A new private link's token."""
    made = coach.post(f"/api/athletes/{athlete}/link", days=days)
    return str(made["address"]).split("#")[1]


def planned_today(coach: Coach, athlete: str, **hands: Any) -> dict[str, Any]:
    """Everything of the week put on today; today's session as it goes along."""
    path = f"/api/athletes/{athlete}/week"
    today = coach.clock().date()
    body = {"days": [{"index": day, "minutes": 120} for day in range(7)], "hands": hands}
    coach.client.put(f"{path}/availability", json=body).raise_for_status()
    seen = coach.get(path)
    placed = [{"task": task["key"], "day": today.weekday()} for task in seen["tasks"]]
    response = coach.client.put(path, json={"placed": placed, "number": seen["revision"]})
    response.raise_for_status()
    sessions = coach.get(f"/api/athletes/{athlete}/floor")["sessions"]
    return next(one for one in sessions if one["day"] == today.isoformat())


class Athlete:
    """Whoever came in by a link."""

    def __init__(self, client: TestClient, clock: Clock, token: str) -> None:
        self.client, self.clock, self.token = client, clock, token
        opened = client.post("/api/link", json={"token": token})
        opened.raise_for_status()
        self.id = opened.json()["athlete_id"]
        self.base = f"/api/athletes/{self.id}"

    def get(self, path: str) -> Any:
        response = self.client.get(f"{self.base}{path}")
        response.raise_for_status()
        return response.json()

    def now(self) -> dict[str, str]:
        return {"at": self.clock().isoformat(), "time_zone": "Europe/Lisbon"}

    def starts(self, session: str = "", **more: Any) -> str:
        made = session or str(uuid4())
        body = {"name": "Monday", **self.now(), **more}
        self.client.put(f"{self.base}/sessions/{made}", json=body).raise_for_status()
        return made

    def sends(self, session: str, what: dict[str, Any], **more: Any) -> Any:
        """Log a set of something that was taken along."""
        body = {
            "number": 1,
            "reps": 8,
            "rpe": 8,
            "rung_id": what["rung_id"],
            "movement": what["movement"],
            "changes": what["changes"],
            **self.now(),
            **more,
        }
        body = {key: value for key, value in body.items() if value is not None}
        return self.client.put(f"{self.base}/sessions/{session}/sets/{uuid4()}", json=body)

    def finishes(self, session: str, rpe: float = 7) -> Any:
        body = {"rpe": rpe, **self.now()}
        return self.client.post(f"{self.base}/sessions/{session}/finish", json=body)
