"""Intake: from nothing to a placement, and a screen that closes what it must, everywhere."""

import pytest
from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys

from tests.browser.conftest import Service
from tests.browser.page import Page
from tests.browser.phone import Office, Phone


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


def says(page: Page, question: str, answer: str) -> None:
    page.until(
        lambda: (
            page.find(f'input[aria-label^="{question}"][aria-label$=": {answer}"]').click() is None
        )
    )


def says_no_to_the_rest(page: Page) -> None:
    """Answer what was not answered yet: nothing of it."""
    for group in ("A known disease", "Noticed lately", "Takes medicines"):
        held = f'//fieldset[legend[normalize-space()="{group}"]]'
        if not page.driver.find_elements(By.XPATH, f"{held}//input[@checked]"):
            boxes = page.driver.find_elements(By.XPATH, f"{held}//input")
            if not any(box.is_selected() for box in boxes):
                tick_in(page, held)
    for question in ("Trains already", "Pregnant", "Joints"):
        radios = page.find_all(f'input[type="radio"][aria-label^="{question}"]')
        if not any(radio.is_selected() for radio in radios):
            says(page, question, "yes" if question == "Trains already" else "no")
    tick(page, "no operation within a year")
    tick(page, "no pain anywhere")


def tick_in(page: Page, held: str) -> None:
    path = f'{held}//label[contains(normalize-space(), "none of these")]'
    page.until(lambda: page.driver.find_element(By.XPATH, path).click() is None)


def to(page: Page, digit: str) -> None:
    page.until(lambda: not page.find_all("[role=dialog]"))  # it keeps the keys to itself
    page.script("document.activeElement.blur()")
    page.press(digit)


def test_a_sign_closes_training_until_a_clearance_opens_it(page: Page) -> None:
    page.allowed.append("status of 409")
    born(page, "1990-05-01")
    tick(page, "pressure or pain in chest")
    says_no_to_the_rest(page)
    page.click("Keep the answers")
    page.sees("See a doctor first", "Riebe et al. 2015")
    to(page, "1")
    page.open_ladder()
    page.sees("See a doctor first.", "Nothing can be given")
    to(page, "6")
    page.sees("See a doctor first.")
    page.click("Run a session at their side")
    page.sees("Nothing is planned today.", "doctor")
    assert "Start the session" not in page.text
    assert "One ladder alone".upper() not in page.text
    page.open("/squad")
    page.sees("Oda Fenwick")
    to(page, "2")
    page.click("Why")
    page.click("Record a clearance …")
    page.fill("Said by", "Dr Vale")
    page.fill("What they said", "may train")
    tick(page, "that a doctor is seen first")
    page.click("Keep the clearance")
    page.sees("● Go", "Dr Vale: “may train”", "by Ilse Marn")
    to(page, "6")
    page.click("Run a session at their side")
    page.find("button[aria-pressed]").click()
    page.button("Start the session")


def test_a_newcomer_with_a_knee_limit_sees_what_is_closed_and_has_a_warm_up_they_may_do(
    page: Page, office: Office
) -> None:
    """The coach closes jumps and knees past 60°: the sheet says which movements that is, the
    ladder why its rungs are closed, and the day's warm-up has none of it."""
    legs = office.gives("household-legs")
    born(page, "1990-05-01")
    says_no_to_the_rest(page)
    page.click("Keep the answers")
    page.sees("● Go")
    for quantity, most in (("most bend of the knee under load", 60), ("class of impact", 0)):
        page.click("Set a limit …")
        page.select("What is limited", quantity)
        page.fill("At most", str(most))
        page.fill("Why", "a meniscus, seen by a physiotherapist")
        page.click("Set it")
        page.until(lambda: not page.find_all("[role=dialog]"))
    page.sees(
        "knees bent by at most 60° under load", "no jumps, jacks or running", "set by Ilse Marn"
    )
    page.script("document.querySelectorAll('details').forEach((one) => { one.open = true; })")
    page.sees("Half squat", "Deep squat", "Jumping jacks")

    page.open(f"/ladder/{legs}")
    page.sees("knees bent by at most 60° under load")

    office.plans_today()
    (session,) = office.call("GET", f"{office.base}/floor")["sessions"]
    screen = office.call("GET", f"{office.base}/screen")
    closed = {name for limit in screen["limits"] for name in limit["forms"]}
    warm = next(block for block in session["blocks"] if block["format"] == "warm-up")
    names = [one["name"] for one in session["items"] if one["key"] in warm["items"]]
    assert len(names) >= 4
    assert not closed & set(names)
    phone = Phone(page.driver, page.url)
    phone.begins(office)
    phone.sees(names[0])


def test_what_was_answered_survives_a_reload_and_stands_there_next_time(page: Page) -> None:
    born(page, "1990-05-01")
    says(page, "Joints that bend further", "yes")
    page.driver.refresh()
    page.find('input[type="date"]')
    assert page.field("Born").get_attribute("value") == "1990-05-01"
    page.click("Keep the answers")
    page.sees("Go, with limits", "no locked elbows under load")
    page.driver.refresh()
    page.sees("Go, with limits")
    assert page.field("Born").get_attribute("value") == "1990-05-01"


def test_nobody_is_told_go_before_all_was_asked(page: Page) -> None:
    page.sees("Nothing was asked yet")
    born(page, "1990-05-01")
    says(page, "Trains already", "yes")
    page.click("Keep the answers")
    page.sees("Not all asked yet", "known diseases, what was noticed lately, medicines")
    says_no_to_the_rest(page)
    page.click("Keep the answers")
    page.sees("● Go")
    page.sees_not("Still to ask")


def test_answers_that_cannot_both_be_are_told(page: Page) -> None:
    page.allowed.append("status of 422")
    born(page, "1990-05-01")
    tick(page, "for blood sugar")
    page.click("Keep the answers")
    page.until(lambda: "medicines" in page.find('[role="alert"]').text)
    page.sees("Nothing was asked yet")


def test_without_an_athlete_the_sheet_sends_to_the_squad(page: Page) -> None:
    page.open("/intake")
    page.sees("Whose?")


def part(page: Page, name: str) -> None:
    """To a part of the sheet, by its place in the index."""
    css = f'nav[aria-label="Parts of the intake"] a[href$="/{name}"]'
    page.until(lambda: page.find(css).click() is None)
    page.until(lambda: page.find(css).get_attribute("aria-current") == "step")


def measures_band(page: Page) -> None:
    """A band measured at the simulated scale, five pulls to twice its length and more."""
    page.click("Measure a band …")
    page.fill("What you call it", "narrow")
    page.fill("Length without pull", "100")
    page.click("Connect the hanging scale")
    page.sees("A simulated scale")
    last = 0.0

    def steady() -> bool:
        told = page.find('[aria-label="Hanging scale"]').text
        return "Steady." in told and float(told.split()[0]) > last + 0.3

    for i, stretch in enumerate(("1.2", "1.4", "1.7", "2.0", "2.3"), start=1):
        page.put("band pulled to, times its length", stretch)
        page.until(steady)
        page.click("Take the reading")
        css = f'[aria-label="Kilos of pull {i}"]'
        page.until(lambda css=css: page.find(css).get_attribute("value") != "")
        last = float(page.find(css).get_attribute("value"))
        length = page.find(f'[aria-label="Length of pull {i}"]').get_attribute("value")
        assert length == str(round(100 * float(stretch)))
    page.driver.refresh()
    page.click("Measure a band …")
    assert page.find('[aria-label="Kilos of pull 5"]').get_attribute("value") == str(last)
    page.click("Keep the band")
    page.find('[aria-label="Out of use: narrow"]')
    assert page.find_all('svg[role="img"] polyline')


def test_an_empty_squad_says_what_comes_first_and_leads_there(page: Page, office: Office) -> None:
    for one in office.call("GET", "/api/squad")["athletes"]:
        office.call("PUT", f"/api/athletes/{one['id']}/archive")
    page.open("/squad")
    page.sees("From nothing to a week", "New athlete", "Intake", "Placement")
    page.click("Add the first athlete")
    page.fill("Name", "Bela Quint")
    page.click("Close")


def test_a_new_athlete_goes_through_intake_to_a_placement_on_two_ladders(page: Page) -> None:
    to(page, "1")
    page.click("New athlete")
    page.fill("Name", "Bela Quint")
    page.fill("Body mass", "62.5")
    page.fill("Height", "168")
    page.find('[role=dialog] input[type="checkbox"]').click()
    page.click("Add to the squad")
    page.click("Intake of Bela Quint")
    page.sees("What can hurt Bela Quint comes first")
    born(page, "1994-03-02")
    says_no_to_the_rest(page)
    page.click("Keep the answers")
    page.sees("● Go")

    to(page, "n")
    page.sees("What Bela Quint wants")
    for goal in ("Push-up", "L-sit"):
        tick(page, goal)
    page.fill("Years of strength training", "2")
    page.fill("Days a week", "3")
    page.fill("Minutes a day", "30")
    page.click("Keep what they want")
    page.sees("Would still help: places.")

    to(page, "n")
    page.sees("What Bela Quint is ready for")
    page.fill("Seen at “stand on one leg”", "left 6 s, right 12 s")
    page.click("Not yet: Stand on one leg")
    page.sees("left 6 s, right 12 s", "Until then:", "Try again on")
    page.click("Open: Flat back with one leg down")
    page.sees("● open since")

    to(page, "n")
    page.fill("A new place", "Stage")
    page.click("Add the place")
    tick(page, "they train here")
    page.click("Add kit at Stage")
    page.select("What it is", "a chair")
    page.fill("What you call it", "crate")
    page.fill("Height above the floor", "45")
    page.fill("How many", "2")
    page.click("Keep it")
    page.sees("not planned with: not checked yet")
    page.click("Safe: crate")
    page.sees("may be planned with", "looked at")
    measures_band(page)

    part(page, "tests")
    page.click("Test: Push-ups from the floor")
    page.sees("End it when the form goes", "Strict reps of 2 s")
    page.fill("As many clean reps as possible", "12")
    page.click("Keep the test")
    page.sees("12 reps")
    page.click("Test: L-sit, tucked, thighs level")
    page.click("Start the clock")
    page.until(lambda: float(page.find('[role="timer"]').text) >= 1.0)
    page.click("Stop")
    page.until(lambda: page.field("Longest clean hold, s").get_attribute("value") in ("1", "2"))
    page.fill("Longest clean hold, s", "7")
    page.click("Keep the test")
    page.until(lambda: "7 s" in page.text.replace("\u202f", " "))

    page.click("Test any movement …")
    page.fill("Which movement", "glute bridge")
    page.press(Keys.ENTER)
    page.fill("Done", "9")
    page.fill("Effort", "8,5")
    page.click("Keep the test")
    page.sees("Glute bridge", "9 reps")

    part(page, "placement")
    page.sees("horizontal push", "compression", "Test next:")
    page.click("Give the ladder: Decline push-up with a bag")
    page.until(lambda: page.text.count("the prescription fits here") == 1)
    page.click("Give the ladder: L-sit")
    page.until(lambda: page.text.count("the prescription fits here") == 2)
    page.find('button[title="How capacity, compression came about"]').click()
    page.until(lambda: "N·m" in page.dialog.text and "Rohmert" in page.dialog.text)
    page.click("Close")
    page.click("Move on L-sit")
    page.select("To", "Shins hanging")
    page.fill("Why", "wrists first")
    page.click("Move them")
    page.sees("moved by the coach: wrists first")
    to(page, "3")
    page.find('[role="listbox"]')
    page.sees("Bela Quint, 62.5 kg")


def test_the_parts_are_walked_by_key_and_the_sheet_resumes_where_it_was_left(page: Page) -> None:
    names = ("screen", "person", "readiness", "kit", "tests", "placement")
    for name in names[1:]:
        to(page, "n")
        page.until(lambda name=name: page.driver.current_url.endswith(name))
    to(page, "p")
    page.until(lambda: page.driver.current_url.endswith("tests"))
    page.driver.refresh()
    page.sees("What Oda Fenwick can do now", "Push-ups from the floor")
    part(page, "screen")
    born(page, "1990-05-01")
    says_no_to_the_rest(page)
    page.click("Keep the answers")
    page.sees("● Go")
    to(page, "1")
    page.click("Intake of Oda Fenwick")
    page.sees("What Oda Fenwick wants")


def test_a_rig_made_at_home_waits_for_its_photo(page: Page, tmp_path) -> None:
    part(page, "kit")
    page.fill("A new place", "Truck")
    page.click("Add the place")
    page.click("Add kit at Truck")
    page.select("What it is", "a bar to hang from")
    page.fill("What you call it", "scaffold bar")
    page.fill("Height above the floor", "210")
    page.driver.refresh()
    page.sees("Loads to hand")
    page.until(lambda: page.find_all('[role="dialog"]') or page.click("Add kit at Truck"))
    assert page.field("What you call it").get_attribute("value") == "scaffold bar"
    assert page.field("Height above the floor").get_attribute("value") == "210"
    tick(page, "home-made")
    page.click("Keep it")
    page.sees("waits for a photo")
    page.click("Safe: scaffold bar")
    picture = tmp_path / "rig.png"
    picture.write_bytes(page.driver.get_screenshot_as_png())
    page.find('[aria-label="Photo of scaffold bar"]').send_keys(str(picture))
    page.click("See it")
    page.find('img[alt="scaffold bar as it is rigged"]')
    page.click("Approve")
    page.sees("may be planned with")


def test_a_scale_that_drops_its_link_keeps_what_was_measured(page: Page, service: Service) -> None:
    part(page, "kit")
    page.click("Measure a band …")
    page.fill("Length without pull", "80")
    page.click("Connect the hanging scale")
    page.put("band pulled to, times its length", "1.5")

    def steady() -> bool:
        told = page.find('[aria-label="Hanging scale"]').text
        return "Steady." in told and float(told.split()[0]) > 1.0

    page.until(steady)
    page.click("Take the reading")
    page.until(lambda: page.find('[aria-label="Kilos of pull 1"]').get_attribute("value") != "")
    kept = page.find('[aria-label="Kilos of pull 1"]').get_attribute("value")
    page.click("Read in lb")
    page.until(lambda: page.find("output").text.endswith("lb"))
    page.allowed += ["/api/scale", "status of 5", "ERR_CONNECTION", "WebSocket"]
    service.restart()
    page.sees("The link has dropped.")
    assert page.find('[aria-label="Kilos of pull 1"]').get_attribute("value") == kept
    page.click("Connect again")
    page.until(lambda: page.find("output").text.endswith("kg"))
