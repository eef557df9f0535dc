"""Intake: a screen that closes what it must, everywhere, and a clearance that opens it."""

import pytest
from selenium.webdriver.common.by import By

from tests.browser.page import Page


@pytest.fixture
def page(signed_in: Page) -> Page:
    """The intake sheet of Oda Fenwick, reached from the squad."""
    signed_in.click("Intake of Oda Fenwick")
    signed_in.find('input[type="date"]')
    return signed_in


def born(page: Page, day: str) -> None:
    """Set the date of birth, whatever order this machine's browser types dates in."""
    page.script(
        "const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;"
        "set.call(arguments[0], arguments[1]);"
        "arguments[0].dispatchEvent(new Event('input', {bubbles: true}));",
        page.field("Born"),
        day,
    )


def tick(page: Page, words: str) -> None:
    path = f'//label[contains(normalize-space(), "{words}")]'
    page.until(lambda: page.driver.find_element(By.XPATH, path).click() is None)


def to(page: Page, digit: str) -> None:
    page.script("document.activeElement.blur()")
    page.press(digit)


def test_a_sign_closes_training_until_a_clearance_opens_it(page: Page) -> None:
    page.allowed.append("status of 409")
    born(page, "1990-05-01")
    tick(page, "pressure or pain in chest")
    page.click("Keep the answers")
    page.sees("See a doctor first", "Riebe et al. 2015")
    to(page, "1")
    page.open_ladder()
    page.sees("See a doctor first.", "Nothing can be given")
    to(page, "6")
    page.sees("See a doctor first.")
    page.click("Start the session")
    page.until(lambda: "screen" in page.find('[role="alert"]').text)
    assert not page.find_all('[aria-label="Reps"]')
    to(page, "2")
    page.click("Record a clearance …")
    page.fill("Said by", "Dr Vale")
    page.fill("What they said", "may train")
    tick(page, "that a doctor is seen first")
    page.click("Keep the clearance")
    page.sees("● Go", "Dr Vale: “may train”", "by Ilse Marn")
    to(page, "6")
    page.click("Start the session")
    page.find('[aria-label="Reps"]')


def test_what_was_answered_survives_a_reload_and_stands_there_next_time(page: Page) -> None:
    born(page, "1990-05-01")
    tick(page, "joints that bend further")
    page.driver.refresh()
    page.find('input[type="date"]')
    assert page.field("Born").get_attribute("value") == "1990-05-01"
    page.click("Keep the answers")
    page.sees("Go, with limits", "no locked elbows under load")
    page.driver.refresh()
    page.sees("Go, with limits")
    assert page.field("Born").get_attribute("value") == "1990-05-01"


def test_answers_that_cannot_both_be_are_told(page: Page) -> None:
    page.allowed.append("status of 422")
    born(page, "1990-05-01")
    tick(page, "for blood sugar")
    page.click("Keep the answers")
    page.until(lambda: "medicines" in page.find('[role="alert"]').text)
    page.sees("Nothing was asked yet")


def test_without_an_athlete_the_sheet_sends_to_the_squad(page: Page) -> None:
    page.open("/intake")
    page.sees("Pick an athlete in the squad")
