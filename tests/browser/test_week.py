"""The week on screen: planned from a placement, moved by keys, solved around a pin, adapted to a
day, printed, and read as a calendar."""

from datetime import UTC, datetime, timedelta
from typing import Any
from zoneinfo import ZoneInfo

import httpx2 as httpx
import pypdfium2
import vobject
from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys
from selenium.webdriver.remote.webelement import WebElement
from sqlmodel import select

from invelo.api.common.cookies import SESSION_COOKIE
from invelo.db.database import transaction
from invelo.db.tables.athlete import AthleteRow
from invelo.db.tables.ladder import LadderRow
from tests.browser.page import Page
from tests.browser.test_monday import trains


def column(page: Page, day: str) -> WebElement:
    return page.find(f'section[aria-label^="{day} "]')


def items(page: Page, day: str) -> list[str]:
    """Names on a day, in order."""
    found = column(page, day).find_elements(By.CSS_SELECTOR, "ol button")
    return [one.text.split("\n")[0].removeprefix("◆ ") for one in found]


def pick(page: Page, day: str, name: str) -> None:
    def press() -> bool:
        for one in column(page, day).find_elements(By.CSS_SELECTOR, "ol button"):
            if name in one.text:
                if one.get_attribute("aria-pressed") != "true":
                    one.click()
                return True
        return False

    page.until(press)
    page.find("aside h2")


def revision(page: Page) -> str:
    return page.find("footer dl div:last-child dd").text


def fetched(page: Page, link: str) -> bytes:
    found = page.driver.execute_async_script(
        "fetch(arguments[0]).then((told) => told.arrayBuffer())"
        ".then((held) => arguments[1](Array.from(new Uint8Array(held))))",
        link,
    )
    return bytes(found)


def keep_dialog(page: Page) -> None:
    page.dialog.find_element(By.XPATH, './/button[normalize-space()="Keep"]').click()
    page.until(lambda: not page.find_all('[role="dialog"]'))


def test_a_week_from_a_placement_to_a_calendar(ladder: Page) -> None:
    page = ladder
    page.open_next_week()
    assert items(page, "Monday") == []

    # planned from where the athlete stands
    page.solve_and_keep()
    page.until(lambda: revision(page) == "1: planned")
    planned = {day: items(page, day) for day in ("Monday", "Wednesday", "Friday")}
    rung = planned["Monday"][0]
    assert sum(rung in names for names in planned.values()) >= 2

    # minutes so short that a move breaks a rule
    page.click("Availability …")
    for day, minutes in (("Monday", "45"), ("Wednesday", "6"), ("Friday", "45")):
        box = page.find(f'[aria-label="{day}, minutes"]')
        box.send_keys(Keys.CONTROL, "a")
        box.send_keys(minutes)
    page.find('[role="dialog"]').find_element(
        By.XPATH, './/button[normalize-space()="Keep"]'
    ).click()
    page.sees("of 6 min")
    page.script("document.activeElement.blur()")
    page.solve_and_keep()
    page.until(lambda: items(page, "Wednesday") == [])
    pick(page, "Monday", rung)
    page.press("]")
    page.until(lambda: rung in items(page, "Wednesday"))
    page.sees("Rules that this week breaks", "Wednesday takes", "holds no more than the minutes")

    # undone by a key; pinned, and solved around
    page.press("u")
    page.until(lambda: items(page, "Wednesday") == [])
    page.until(lambda: rung in items(page, "Friday"))
    pick(page, "Friday", rung)
    page.press("p")
    page.sees("⌖ pinned")
    page.solve_and_keep()
    page.sees("⌖ pinned")
    assert rung in items(page, "Friday")

    # the day allows twenty minutes and a sore wrist
    pick(page, "Friday", rung)
    page.press(Keys.ENTER)
    page.sees("Before you start".upper(), "Torque × seconds".upper())
    page.click("Adapt the day …")
    page.fill("Minutes", "20")
    page.select("Sore place", "wrist")
    page.click("Show before and after")
    page.sees("the wrist is to be spared", "Before", "After")
    page.click("Keep for this day")
    page.until(lambda: not page.find_all('[role="dialog"]'))
    page.sees("adapted")

    # printed, and read back
    page.click("Print and files …")
    links = {link.text: link.get_attribute("href") for link in page.find_all('[role="dialog"] a')}
    pages = list(pypdfium2.PdfDocument(fetched(page, links["Week and session cards, A4 (PDF)"])))
    text = " ".join(one.get_textpage().get_text_range() for one in pages)
    assert len(pages) == 3
    assert "Oda Fenwick" in text
    assert "Before you start" in text
    read: Any = vobject.readOne(fetched(page, links["For a calendar (iCalendar)"]).decode())
    days = sorted(event.dtstart.value.date() for event in read.contents["vevent"])
    assert [day.strftime("%A") for day in days] == ["Monday", "Friday"]
    assert page.complaints() == []
    assert page.outside_requests() == []


def test_solving_can_be_left_and_nothing_is_kept(ladder: Page) -> None:
    page = ladder
    page.open_next_week()
    page.press("s")
    page.sees("A plan, not kept yet")
    page.click("Leave it")
    page.sees_not("A plan, not kept yet")
    assert items(page, "Monday") == []
    assert revision(page) == "0"


def test_a_planning_is_watched_stopped_and_asked_for_again(ladder: Page, service) -> None:
    page = ladder
    page.open_next_week()
    with service.worker_held():
        page.press("s")
        page.sees("Planning …", "Stop planning")
        page.click("Stop")
        page.sees_not("Planning …")
        page.press("s")
        page.sees("Planning …")
    page.sees("A plan, not kept yet", "proven best")
    page.press("k")
    page.sees_not("A plan, not kept yet")
    assert revision(page) == "1: planned"


def test_what_is_decided_overtakes_a_plan_that_is_under_way(
    ladder: Page, service, running, token: str
) -> None:
    page = ladder
    with transaction(running[1]) as db:  # the criterion is met once more: a step up is proposed
        athlete, row = db.exec(select(AthleteRow)).one(), db.exec(select(LadderRow)).one()
        trains(db, athlete, row, datetime.now(UTC) - timedelta(hours=20), 10)
    about_to_be_trained(page)
    page.solve_and_keep()
    with service.worker_held():
        page.press("s")
        page.sees("Planning …")
        with httpx.Client(base_url=service.url, cookies={SESSION_COOKIE: token}) as coach:
            (line,) = coach.get("/api/squad").json()["athletes"]
            proposal = line["pending_decisions"][0]
            assert proposal["outcome"] != "hold"
            said = coach.post(f"/api/proposals/{proposal['id']}/answer", json={"answer": "accept"})
            assert said.json()["replanned"], said.text
        page.sees("something was decided meanwhile")
    page.press("1")
    page.sees("Squad")
    page.open_ladder()
    about_to_be_trained(page)
    page.until(lambda: revision(page) == "2: after the review")


def about_to_be_trained(page: Page) -> None:
    """The week that comes; this one on its Monday."""
    if datetime.now(ZoneInfo("Europe/Lisbon")).weekday() == 0:
        page.press("5")
        page.sees("Hard sets by region".upper())
    else:
        page.open_next_week()


def test_whole_days_swap_and_a_lost_day_is_planned_around(ladder: Page) -> None:
    page = ladder
    page.open_next_week()
    page.solve_and_keep()
    rung = items(page, "Monday")[0]
    pick(page, "Monday", rung)
    page.press("o")
    page.until(lambda: rung not in items(page, "Monday"))
    page.press("x")
    page.until(lambda: rung in items(page, "Monday"))
    column(page, "Monday").find_element(By.XPATH, './/button[text()="Skip this day"]').click()
    page.sees("skipped this week")
    page.solve_and_keep()
    assert items(page, "Monday") == []
    assert rung in items(page, "Friday")


DRAG = """
const [item, column] = arguments;
const held = new DataTransfer();
const tell = (kind, on) =>
  on.dispatchEvent(new DragEvent(kind, {dataTransfer: held, bubbles: true, cancelable: true}));
tell("dragstart", item); tell("dragover", column); tell("drop", column);
"""


def test_what_is_dragged_to_another_day_moves_there(ladder: Page) -> None:
    page = ladder
    page.open_next_week()
    page.solve_and_keep()
    pick(page, "Monday", rung := items(page, "Monday")[0])
    page.press("o")
    page.until(lambda: rung not in items(page, "Monday"))
    item = column(page, "Friday").find_element(By.CSS_SELECTOR, "ol button")
    page.script(DRAG, item, column(page, "Monday"))
    page.until(lambda: rung in items(page, "Monday"))
    page.until(lambda: rung not in items(page, "Friday"))
    assert "moved" in revision(page)


def test_a_ready_session_is_put_on_a_day_and_a_set_is_made_by_hand(ladder: Page) -> None:
    page = ladder
    page.open_next_week()
    page.click("Start from a session …")
    page.click("Legs, without kit")
    page.sees("Calf raise")
    page.click("Into the week’s plan")
    page.until(lambda: "Calf raise" in items(page, "Monday"))
    pick(page, "Monday", "Calf raise")
    page.press("e")
    page.click("Add a set")
    box = page.find('[aria-label="Set 1, from"]')
    box.send_keys("20")
    page.find('[aria-label="Set 1, to"]').send_keys("25")
    page.find('[role="dialog"]').find_element(
        By.XPATH, './/button[normalize-space()="Keep"]'
    ).click()
    pick(page, "Monday", "Calf raise")
    page.sees("1 × 20–25")


def test_a_daily_dose_begins_is_tried_and_ticked(ladder: Page) -> None:
    page = ladder
    page.press("5")
    page.sees("Hard sets by region".upper())
    page.click("Daily minimum …")
    page.click("Begin")
    page.sees("Try it out now, 5 times")
    page.click("Tried it out (0 of 5)")
    page.sees("Tried it out (1 of 5)")
    page.click("Tick today off")
    page.sees("Ticked off today", "1 of 1 days since")
    page.click("Close")
    page.sees("while the kettle boils: 1 rep of push-up")


def test_a_ladder_takes_another_school(ladder: Page) -> None:
    page = ladder
    page.click("Method …")
    page.select("Method", "near failure")
    page.sees("passes the ceiling")
    page.find('[role="dialog"] input[type="checkbox"]').click()
    page.find('[role="dialog"]').find_element(
        By.XPATH, './/button[normalize-space()="Keep"]'
    ).click()
    page.sees("–30")
