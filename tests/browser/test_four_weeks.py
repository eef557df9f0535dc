"""Four weeks of one ladder with the clock moved: what was asked is done, and a coach reads, undoes,
accepts and leaves in peace."""

import threading
from collections.abc import Iterator
from datetime import timedelta

import pytest
import uvicorn
from fastapi.testclient import TestClient
from selenium import webdriver
from sqlalchemy import Engine

from invelo.api.app import create_app, start
from invelo.api.common.cookies import SESSION_COOKIE
from invelo.db.database import transaction
from invelo.runtime.ports import held_port
from invelo.runtime.settings import Settings
from invelo.services.account import accounts
from tests.api.coach import EMAIL, PASSWORD, Coach
from tests.browser.page import DESKTOP, Page
from tests.conftest import Clock
from tests.stage import empty


@pytest.fixture
def weeks(running, driver: webdriver.Chrome) -> Iterator[tuple[Coach, Page]]:
    """The service with a clock that a test moves, asked by a coach's script and by a browser."""
    engine: Engine = running[1]
    empty(engine)
    clock = Clock()
    app = create_app(Settings(), engine)
    start(app, Settings(), engine, clock)
    with transaction(engine) as db:
        account = accounts.create(db, EMAIL, "Ilse Marn", PASSWORD, "Europe/Lisbon", clock())
        token = accounts.open_session(db, account, clock(), timedelta(days=60))
    client = TestClient(app, base_url="http://localhost")
    client.cookies.set(SESSION_COOKIE, token, domain="localhost.local", path="/api")
    with held_port() as port:
        server = uvicorn.Server(uvicorn.Config(app, port=port, log_level="error"))
        thread = threading.Thread(target=server.run)
        thread.start()
        driver.switch_to.new_window("tab")
        page = Page(driver, f"http://127.0.0.1:{port}")
        page.size(*DESKTOP)
        page.until(lambda: server.started)
        page.has_cookie(SESSION_COOKIE, token)
        yield Coach(client, clock), page
        complaints = page.complaints()
        driver.close()
        driver.switch_to.window(driver.window_handles[0])
        server.should_exit = True
        thread.join()
    assert complaints == []


def climbs_then_gap(coach: Coach) -> str:
    """A ladder of two near rungs and then a gap; where it stands."""
    test = {"id": "0" * 8 + "-0000-4000-8000-000000000001", "movement": "push-up", "reps": 11}
    ladder = coach.gives_ladder(coach.enrols()["id"], test={**test, "values": {"hand_height": 0.9}})
    path = f"/api/ladders/{ladder['id']}"
    coach.put(f"{path}/current-rung", rung_id=ladder["rungs"][0]["id"])
    for rung in ladder["rungs"][2:4]:
        coach.client.delete(f"{path}/rungs/{rung['id']}").raise_for_status()
    days = [{"index": index, "minutes": 45} for index in (0, 2, 4)]
    available = f"/api/athletes/{ladder['athlete_id']}/week/availability"
    coach.put(available, days=days, begun="2026-03-02", weeks=8)
    return str(ladder["id"])


def as_asked(coach: Coach, ladder: str) -> dict:
    """A session done as asked, every set at the range's top."""
    asked = coach.item(ladder)["sets"]
    said: dict = coach.trains(ladder, tuple(work_set["high"] for work_set in asked), rpe=8.5)
    return said


def until(coach: Coach, ladder: str, outcome: str) -> dict:
    for _ in range(8):
        said = as_asked(coach, ladder)
        if said["outcome"] == outcome:
            return said
        if said["answer"] == "routine":
            coach.post(f"/api/proposals/{said['id']}/undo")
    raise AssertionError(said)


def test_four_weeks_are_read_undone_accepted_and_left_in_peace(weeks) -> None:
    coach, page = weeks
    ladder = climbs_then_gap(coach)
    review = f"/review/{ladder}"

    # asked and done: nothing to decide
    assert as_asked(coach, ladder)["standing"] == "on course"
    page.open(review)
    page.sees("On course", "show it once more")
    page.open("/")
    page.sees("Oda Fenwick", "0 need your decision")

    # a climb is accepted, and asked from now on
    climb = until(coach, ladder, "step_up")
    page.open(review)
    page.sees(climb["then"]["name"], "THE ATHLETE READS, ONCE IT IS ACCEPTED")
    page.click("Accept")
    page.sees("Accepted", "Oda Fenwick trains on " + climb["then"]["name"])
    rungs = {rung["id"]: rung["name"] for rung in coach.get(f"/api/ladders/{ladder}")["rungs"]}
    assert rungs[coach.current_rung(ladder)] == climb["then"]["name"]

    # a set more is done by itself, and taken back by one press
    grown = until(coach, ladder, "add_set")
    page.open(review)
    page.sees("Done by itself", grown["then"]["words"])
    page.click("Undo")
    page.sees("Undone")
    assert len(coach.item(ladder)["sets"]) == grown["now"]["sets"]

    # the gap is bridged by one press
    gap = until(coach, ladder, "bridge")
    page.open(review)
    page.sees("does not fit yet", f"Put “{gap['then']['name']}” between")
    page.click("Accept")
    page.sees("Accepted", "Oda Fenwick trains on " + gap["then"]["name"])
    page.open(f"/ladder/{ladder}")
    page.sees(gap["then"]["name"])

    # the fourth week asks less; done as asked it is left in peace
    while coach.clock.now.date().isoformat() < "2026-03-22":
        as_asked(coach, ladder)
    easy = as_asked(coach, ladder)
    assert easy["reason"] == "An easy week, done as asked."
    page.open(review)
    page.sees("On course", "An easy week, done as asked.")
    page.open("/")
    page.sees("Oda Fenwick", "0 need your decision")
