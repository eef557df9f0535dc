"""A class: put on everyone's day, and run by one clock on a big screen."""

from selenium.webdriver.common.by import By

from tests.browser.page import Page
from tests.browser.phone import CLOCK, Office, new_id

PEOPLE = ("Bo Lind", "Cy Marsh", "Dag Holm")


def joins(office: Office) -> None:
    """Three more people, who start today."""
    for name in PEOPLE:
        body = {"id": new_id(), "name": name, "mass_kg": 70.0, "stature_m": 1.72, "consent": True}
        office.call("POST", "/api/athletes", **body)


def picks_class(page: Page, office: Office) -> None:
    """A ready session for all four of them."""
    joins(office)
    page.driver.refresh()  # the squad that this page knows is from before
    page.find('[role="listbox"]')
    page.press("5")
    page.sees("Hard sets by region".upper())
    page.click("Start from a session …")
    page.click("Push, without kit")
    page.click("For a group …")
    for name in PEOPLE:
        path = f'//label[normalize-space()="{name}"]'
        page.until(lambda label=path: page.driver.find_element(By.XPATH, label)).click()


def test_a_class_of_four_is_put_on_its_day_and_run_on_the_big_clock(
    ladder: Page, office: Office
) -> None:
    page = ladder
    picks_class(page, office)
    page.driver.execute_cdp_cmd("Page.enable", {})
    page.driver.execute_cdp_cmd("Page.addScriptToEvaluateOnNewDocument", {"source": CLOCK})
    page.click("Class clock for a big screen")
    page.find('main[aria-label="Class clock"]')
    page.driver.refresh()  # a page whose clock the test can move
    page.sees("about", *PEOPLE, "Oda Fenwick")
    page.click("Start the clock")
    page.sees("Warm-up", "Pause")
    page.click("Next")
    page.until(lambda: "Warm-up" not in page.find("main").text)
    timer = '[aria-label="Seconds left of the turn"]'
    page.until(lambda: page.find(timer).text != "0:00")
    page.click("Pause")
    page.sees("Go on")
    before = page.find(timer).text
    page.driver.refresh()
    page.sees("Go on")
    assert page.find(timer).text == before, "a clock that stands keeps its time over a reload"
    page.click("Go on")
    seen = set()
    for _ in range(80):
        text = page.find("main").text
        if "That was the class." in text:
            break
        seen |= {kind for kind in ("Work", "Rest") if f"\n{kind}\n" in text}
        page.script("window.letPass(30)")
        page.until(lambda was=text: page.find("main").text != was)
    assert seen == {"Work", "Rest"}
    page.sees("That was the class.")


def test_a_class_is_put_on_everyones_day_in_few_presses(ladder: Page, office: Office) -> None:
    """Three presses, one a person, and one to put it there; a class of six takes nine."""
    page = ladder
    picks_class(page, office)
    day = page.driver.find_element(By.XPATH, '//button[contains(., "all 4 people’s")]')
    page.until(day.is_enabled)
    day.click()
    page.until(lambda: not page.find_all("[role=dialog]"))
    days = office.call("GET", f"{office.base}/week")["days"]
    first = next(one["date"] for one in days if not one["past"])  # whatever the day of the run
    for one in office.call("GET", "/api/squad")["athletes"]:
        path = f"/api/athletes/{one['id']}/days/{first}/session"
        assert office.call("GET", path)["session"]["name"] == "Push, without kit"
