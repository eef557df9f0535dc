"""Weeks as files: calendars read back by another library, PDFs by another, Markdown, the feed."""

import re
from copy import deepcopy
from datetime import UTC, date, datetime, timedelta
from typing import Any
from uuid import uuid4
from zoneinfo import ZoneInfo

import pypdfium2
import pytest
import vobject

from invelo.domain.days import day_words
from tests.api.coach import Coach, problem
from tests.api.plan.test_week import keep, planned, two_ladders

LISBON = ZoneInfo("Europe/Lisbon")


def words_of(day: str) -> str:
    return day_words(date.fromisoformat(day))


@pytest.fixture
def athlete(stage, coach: Coach) -> str:
    def make() -> str:
        return two_ladders(coach, name="Ödön Żuławska")

    return stage("two ladders, with accents", make)  # type: ignore[no-any-return]


@pytest.fixture
def plan(stage, coach: Coach, athlete: str) -> dict[str, Any]:
    """Their next week, solved and kept."""
    return deepcopy(stage("two ladders, with accents, planned", lambda: planned(coach, athlete)))


def file(coach: Coach, athlete: str, query: str) -> Any:
    response = coach.client.get(f"/api/athletes/{athlete}/week/file?{query}")
    response.raise_for_status()
    return response


def pages_of(content: bytes) -> list[Any]:
    """Read by a library that had no part in writing it."""
    return list(pypdfium2.PdfDocument(content))


def text_of(page: Any) -> str:
    found: str = page.get_textpage().get_text_range()
    return found


def events(content: str) -> list[Any]:
    """Read by a library that had no part in writing it."""
    return list(vobject.readOne(content).contents.get("vevent", []))


def test_the_calendar_reads_back_to_the_same_events(coach: Coach, athlete: str, plan: dict) -> None:
    seen = plan
    response = file(coach, athlete, f"kind=ics&week_start={seen['week_start']}")
    assert response.headers["content-type"].startswith("text/calendar")
    found = {event.dtstart.value.date(): event for event in events(response.text)}
    days = {date.fromisoformat(day["date"]): day for day in seen["days"] if day["tasks"]}
    assert set(found) == set(days)
    for when, event in found.items():
        wall = event.dtstart.value
        assert (wall.hour, wall.minute) == (18, 0)
        assert wall.utcoffset() == LISBON.utcoffset(datetime(when.year, when.month, when.day, 18))
        minutes = round(days[when]["session_minutes"]["likely"])
        assert event.duration.value == timedelta(minutes=minutes)
        assert event.summary.value == f"Training, {minutes} min"


def test_wall_time_stays_across_a_change_of_the_clocks(coach: Coach, athlete: str) -> None:
    """Summer time ends in Lisbon on 25 October 2026 at 01:00 UTC (tz database)."""
    availability = {"days": [{"index": i, "minutes": 45, "at": "18:30"} for i in (5, 6)]}
    week_start = "2026-10-19"
    seen = coach.put(
        f"/api/athletes/{athlete}/week/availability?week_start={week_start}", **availability
    )
    every = [{"task": one["key"], "day": day} for one in seen["tasks"] for day in (5, 6)]
    keep(coach, seen, every).raise_for_status()
    content = file(coach, athlete, f"kind=ics&week_start={week_start}").text
    assert "BEGIN:VTIMEZONE" in content
    starts = sorted(event.dtstart.value for event in events(content))
    assert [one.astimezone(UTC).hour for one in starts] == [17, 18]
    assert [(one.hour, one.minute) for one in starts] == [(18, 30), (18, 30)]


def test_the_calendar_says_nothing_of_health_or_of_whom(
    coach: Coach, athlete: str, plan: dict
) -> None:
    seen = plan
    content = file(coach, athlete, f"kind=ics&week_start={seen['week_start']}").text
    assert not re.search(r"push-up|row|wrist|pain|Ödön|Żuławska", content, re.IGNORECASE)
    assert athlete not in content


@pytest.mark.parametrize(("paper", "size"), [("a4", (842, 595)), ("letter", (792, 612))])
def test_the_printed_week_has_a_sheet_and_a_card_for_each_session(
    coach: Coach, athlete: str, paper: str, size: tuple[int, int]
) -> None:
    seen = planned(coach, athlete)
    response = file(coach, athlete, f"kind=pdf&week_start={seen['week_start']}&paper={paper}")
    assert response.headers["content-type"] == "application/pdf"
    pages = pages_of(response.content)
    assert tuple(round(side) for side in pages[0].get_size()) == size
    texts = [text_of(page) for page in pages]
    sessions = [day for day in seen["days"] if day["tasks"]]
    assert len(pages) >= 1 + len(sessions)
    assert f"Week of {words_of(seen['week_start'])}" in texts[0]
    for task in seen["tasks"]:
        assert task["name"] in " ".join(texts[0].split())
    for text in texts:
        assert "Ödön Żuławska" in text
        assert "not medical advice" in text
    cards = " ".join(texts[1:])
    assert "Before you start" in cards
    assert "Stop at once on chest pain" in cards


def test_a_session_card_fits_one_page_and_is_the_adapted_one(
    coach: Coach, athlete: str, plan: dict
) -> None:
    seen = plan
    day = next(one["date"] for one in seen["days"] if one["tasks"])
    path = f"/api/athletes/{athlete}/days/{day}"
    response = coach.client.get(f"{path}/card?paper=letter")
    pages = pages_of(response.content)
    assert len(pages) == 1
    assert tuple(round(side) for side in pages[0].get_size()) == (612, 792)
    before = text_of(pages[0])
    coach.post(f"{path}/adapt", minutes=16, keep=str(uuid4()))
    after = coach.client.get(f"{path}/card").content
    assert text_of(pages_of(after)[0]) != before
    empty = (date.fromisoformat(day) + timedelta(days=1)).isoformat()
    refused = coach.client.get(f"/api/athletes/{athlete}/days/{empty}/card")
    assert problem(refused, 422)["field"] == "day"


def test_markdown_reads_day_by_day(coach: Coach, athlete: str, plan: dict) -> None:
    seen = plan
    text = file(coach, athlete, f"kind=md&week_start={seen['week_start']}").text
    assert text.startswith(f"# Week of {words_of(seen['week_start'])}, Ödön Żuławska")
    headings = [line for line in text.splitlines() if line.startswith("## ")]
    assert len(headings) == sum(bool(day["tasks"]) for day in seen["days"])
    assert "**Floor push-up**" in text or "push-up**" in text


def test_an_empty_week_is_still_a_sheet(coach: Coach, athlete: str) -> None:
    content = file(coach, athlete, "kind=pdf").content
    text = text_of(pages_of(content)[0])
    assert "Nothing is planned" in text
    assert events(file(coach, athlete, "kind=ics").text) == []


# ---- the private feed ----------------------------------------------------------------------


def test_the_feed_needs_no_sign_in_and_holds_the_daily_dose(
    coach: Coach, athlete: str, new_client: Any
) -> None:
    planned(coach, athlete)
    body = {"movement": "push-up", "moment": "while the kettle boils", "at": "07:15"}
    coach.put(f"/api/athletes/{athlete}/daily/{uuid4()}", **body)
    assert not coach.get(f"/api/athletes/{athlete}/feed")["there"]
    address = coach.post(f"/api/athletes/{athlete}/feed")["address"]
    nobody = new_client()
    response = nobody.get(address)
    response.raise_for_status()
    found = events(response.text)
    daily = [event for event in found if "rrule" in event.contents]
    assert [event.summary.value for event in daily] == ["Daily minute, while the kettle boils"]
    assert [event.rrule.value for event in daily] == ["FREQ=DAILY"]
    assert len(found) > 1
    assert coach.get(f"/api/athletes/{athlete}/feed") == {"there": True, "address": ""}


def test_a_new_address_ends_the_old_and_an_ended_one_is_not_there(
    coach: Coach, athlete: str, new_client: Any
) -> None:
    first = coach.post(f"/api/athletes/{athlete}/feed")["address"]
    second = coach.post(f"/api/athletes/{athlete}/feed")["address"]
    nobody = new_client()
    assert first != second
    assert problem(nobody.get(first), 404)["field"] == "calendar"
    nobody.get(second).raise_for_status()
    coach.client.delete(f"/api/athletes/{athlete}/feed").raise_for_status()
    assert problem(nobody.get(second), 404)["field"] == "calendar"
    assert problem(nobody.get("/api/calendar/guess.ics"), 404)["field"] == "calendar"


def test_the_token_is_kept_only_hashed(coach: Coach, athlete: str, engine: Any) -> None:
    from sqlalchemy import text

    address = coach.post(f"/api/athletes/{athlete}/feed")["address"]
    token = address.removeprefix("/api/calendar/").removesuffix(".ics")
    with engine.connect() as connection:
        kept = connection.execute(text("SELECT * FROM calendar_feed")).all()
    assert len(token) > 40
    assert not any(token in str(row) for row in kept)
