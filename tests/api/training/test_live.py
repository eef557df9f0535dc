"""The coach's live view: who is where, set by set, over a stream that comes back."""

import json
import threading
from collections.abc import Iterator
from datetime import UTC, datetime
from queue import Queue
from typing import Any
from uuid import uuid4

import psycopg
import pytest
import requests

from invelo.api.common.live.tidings import MOST_STREAMS
from invelo.runtime import postgres
from tests.api.coach import EMAIL, PASSWORD, problem
from tests.api.live import Live, running_service
from tests.conftest import fresh

PATIENCE = 20
SOON = 5
"""Less than a stream waits without news."""


@pytest.fixture(scope="module")
def service(server: postgres.Server) -> Iterator[Live]:
    with running_service(fresh(server, "live")) as running:
        yield running


class Stream:
    """A browser's event source: every message, as it comes."""

    def __init__(self, live: Live) -> None:
        self.response = live.session.get(f"{live.url}/api/live/stream", stream=True, timeout=60)
        self.response.raise_for_status()
        self.told: Queue[dict[str, Any]] = Queue()
        self.retry = 0
        self.reader = threading.Thread(target=self._read, daemon=True)
        self.reader.start()

    def _read(self) -> None:
        try:
            for line in self.response.iter_lines(chunk_size=1):
                if line.startswith(b"data: "):
                    self.told.put(json.loads(line[6:]))
                if line.startswith(b"retry: "):
                    self.retry = int(line[7:])
        except (requests.RequestException, AttributeError):
            return  # closed

    def until(self, condition) -> dict[str, Any]:
        """The first picture of which something holds."""
        while True:
            picture = self.told.get(timeout=PATIENCE)
            if condition(picture):
                return picture

    def close(self) -> None:
        """Break the line; to close it in order would wait until the service says something."""
        if self.reader.is_alive():
            self.response.raw.shutdown()
            self.reader.join(PATIENCE)


@pytest.fixture
def stream(service: Live) -> Iterator[Stream]:
    made = Stream(service)
    yield made
    made.close()


def now() -> dict[str, str]:
    return {"at": datetime.now(UTC).isoformat(), "time_zone": "Europe/Lisbon"}


def put(live: Live, path: str, **body: Any) -> None:
    live.session.put(f"{live.url}{path}", json=body, timeout=PATIENCE).raise_for_status()


def begins(live: Live, name: str) -> tuple[str, str]:
    """A new athlete who opens a session: their address, and the session's."""
    athlete = str(uuid4())
    body = {"id": athlete, "name": name, "mass_kg": 70, "stature_m": 1.7, "consent": True}
    live.session.post(f"{live.url}/api/athletes", json=body, timeout=PATIENCE).raise_for_status()
    run = f"/api/athletes/{athlete}/sessions/{uuid4()}"
    put(live, run, name="Monday", **now())
    return athlete, run


def of(picture: dict[str, Any], athlete: str) -> dict[str, Any] | None:
    return next((one for one in picture["people"] if one["athlete_id"] == athlete), None)


def test_several_at_once_are_told_set_by_set(service: Live, stream: Stream) -> None:
    runs = [begins(service, name) for name in ("Ada Brink", "Cyr Dolan", "Eli Fane")]
    for number in (1, 2):
        for athlete, run in runs:
            put(
                service,
                f"{run}/where",
                state="working",
                doing="Push-up",
                set_number=number,
                set_count=3,
                step=4 * number,
                steps=20,
            )
            body = {"movement": "push-up", "number": number, "reps": 7 + number, "rpe": 8}
            put(service, f"{run}/sets/{uuid4()}", **body, **now())
            picture = stream.until(
                lambda seen, who=athlete, n=number: (
                    len((of(seen, who) or {"session": {"sets": []}})["session"]["sets"]) == n
                )
            )
            person = of(picture, athlete)
            assert person is not None
            assert (person["state"], person["doing"], person["set_number"]) == (
                "working",
                "Push-up",
                number,
            )
    assert len(picture["people"]) >= 3
    names = [one["athlete_name"] for one in picture["people"]]
    assert names == sorted(names)


def test_a_stream_that_broke_comes_back_with_everything(service: Live, stream: Stream) -> None:
    athlete, run = begins(service, "Gus Harl")
    stream.until(lambda seen: of(seen, athlete) is not None)
    stream.close()
    put(service, f"{run}/sets/{uuid4()}", movement="push-up", number=1, reps=9, rpe=8, **now())
    again = Stream(service)
    first = again.until(lambda seen: True)
    person = of(first, athlete)
    assert person is not None
    assert [one["amount"] for one in person["session"]["sets"]] == [9]
    assert again.retry > 0
    again.close()


def test_a_finished_session_is_shown_as_done(service: Live, stream: Stream) -> None:
    athlete, run = begins(service, "Ida Jonk")
    put(service, f"{run}/sets/{uuid4()}", movement="push-up", number=1, reps=9, rpe=8, **now())
    response = service.session.post(
        f"{service.url}{run}/finish", json={"rpe": 7, **now()}, timeout=PATIENCE
    )
    response.raise_for_status()
    picture = stream.until(lambda seen: (of(seen, athlete) or {}).get("state") == "done")
    assert of(picture, athlete) is not None


def test_nobody_watches_without_a_sign_in(service: Live) -> None:
    assert requests.get(f"{service.url}/api/live/stream", timeout=PATIENCE).status_code == 401


def test_a_stream_ends_with_the_sign_in(service: Live) -> None:
    other = requests.Session()
    body = {"email": EMAIL, "password": PASSWORD}
    other.post(f"{service.url}/api/sign-in", json=body, timeout=PATIENCE).raise_for_status()
    watching = Stream(Live(service.url, other))
    watching.until(lambda seen: True)
    other.post(f"{service.url}/api/sign-out", timeout=PATIENCE).raise_for_status()
    watching.reader.join(SOON)
    assert not watching.reader.is_alive()
    assert watching.told.empty()


def test_a_session_holds_a_few_views_open_and_no_more(service: Live) -> None:
    other = requests.Session()
    body = {"email": EMAIL, "password": PASSWORD}
    other.post(f"{service.url}/api/sign-in", json=body, timeout=PATIENCE).raise_for_status()
    open_ = [Stream(Live(service.url, other)) for _ in range(MOST_STREAMS)]
    for view in open_:
        view.until(lambda seen: True)
    refused = other.get(f"{service.url}/api/live/stream", timeout=PATIENCE)
    assert "open already" in problem(refused, 409)["problem"]
    assert service.session.get(f"{service.url}/api/live", timeout=PATIENCE).ok
    for view in open_:
        view.close()


def test_many_views_hold_one_connection(service: Live, server: postgres.Server) -> None:
    open_ = [Stream(service) for _ in range(4)]
    for view in open_:
        view.until(lambda seen: True)
    with psycopg.connect(server.conninfo("live")) as db:
        listening = db.execute(
            "SELECT count(*) FROM pg_stat_activity WHERE datname = 'live' AND query LIKE 'LISTEN %'"
        ).fetchone()
    assert listening == (1,)
    for view in open_:
        view.close()


def test_another_coachs_athletes_are_not_shown(coach, ladder, new_coach) -> None:
    coach.starts(ladder["id"])
    assert [one["athlete_id"] for one in coach.get("/api/live")["people"]] == [ladder["athlete_id"]]
    assert new_coach().get("/api/live")["people"] == []


def test_a_session_left_open_is_not_shown_for_ever(coach) -> None:
    coach.starts(coach.has_ladder()["id"])
    assert coach.get("/api/live")["people"]
    coach.clock.pass_by(hours=5)
    assert coach.get("/api/live")["people"] == []


def test_where_someone_is_waits_for_their_session_without_a_fuss(coach, ladder) -> None:
    path = f"/api/athletes/{ladder['athlete_id']}/sessions/{uuid4()}/where"
    response = coach.client.put(path, json={"state": "working", "doing": "Push-up"})
    assert response.status_code == 204
    assert coach.get("/api/live")["people"] == []
