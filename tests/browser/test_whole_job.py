"""The job from sign-in to the next rung, and past a restart of the server."""

from selenium.webdriver.common.keys import Keys

from tests.browser.page import Page
from tests.browser.phone import Phone


def at_their_side(page: Page) -> Phone:
    """The same browser, used as a phone would be."""
    made = Phone(page.driver, page.url)
    made.width = page.width
    return made


def test_from_sign_in_to_the_next_rung_and_past_a_restart(page: Page, service) -> None:
    page.sign_in()
    page.open_ladder()
    standing = page.chosen_rung

    # climb the ladder by keys
    page.press(Keys.ARROW_UP)
    page.until(lambda: page.chosen_rung != standing)
    above = page.chosen_rung
    page.sees(above)
    page.press(Keys.ARROW_UP, Keys.ARROW_DOWN, Keys.ARROW_DOWN)
    page.until(lambda: page.chosen_rung == standing)

    # three sets that meet the criterion, the second time running
    ladder = page.driver.current_url.rsplit("/", 1)[1]
    beside = at_their_side(page)
    beside.stands_beside()
    beside.trains((10, 10, 10), (8, 8, 9))
    page.open(f"/review/{ladder}")
    page.find("article")

    # the decision with its figures
    page.sees("Step up", f"NOW\t{standing}\t3 × 6–10", f"THEN\t{above}\t3 × 6–10")
    page.sees("3 × 10 reps at effort 9 or under", "10 reps at effort 9", "Well done. Next is")
    page.sees("sessions running that met it", "2 of 2", f"predicted to failure on “{above}”")
    page.unfold("Rules that spoke")
    page.sees("range.criterion-met")
    page.click("Accept")
    page.sees("Accepted", f"Oda Fenwick trains on {above}.")

    service.restart()
    page.open("/squad")
    page.sees("Oda Fenwick", above)
    page.open_ladder()
    assert page.chosen_rung == above
    page.sees("current rung")


def test_what_equals_a_step_is_told_side_by_side(ladder: Page) -> None:
    page = ladder
    page.press(Keys.ARROW_UP, Keys.ARROW_UP)
    page.press("t")
    page.sees("bag high on the back", "surface under the feet", "eccentric")
    first = page.find('[role="dialog"] tbody button').text
    page.click("+10 %")
    page.until(lambda: page.find('[role="dialog"] tbody button').text not in ("", first))
    page.find('[role="dialog"] tbody button').click()
    page.sees("found by secants", "demand aimed at")


def test_a_rung_is_put_in_and_taken_off_again(ladder: Page) -> None:
    page = ladder
    before = len(page.find_all('[role="option"]'))
    page.press("t")
    page.click("Add as a rung: bag high on the back")
    page.until(lambda: len(page.find_all('[role="option"]')) == before + 1)
    page.until(lambda: not page.find_all('[role="dialog"]'))  # keys wait for it to close
    new = next(
        rung for rung in page.find_all('[role="option"]') if "Floor push-up, bag" in rung.text
    )
    new.click()
    page.until(lambda: "Floor push-up, bag" in page.chosen_rung)
    page.click("Take this rung off")
    page.until(lambda: len(page.find_all('[role="option"]')) == before)


def test_pain_ends_the_movement_and_the_coach_brings_it_back(ladder: Page) -> None:
    page = ladder
    ladder = page.driver.current_url.rsplit("/", 1)[1]
    beside = at_their_side(page)
    beside.stands_beside()
    beside.to_the_next_set()
    page.click("Pain, partial reps, a note, a picture …")
    page.choose("Pain", 5)
    beside.logs(6, 8)
    page.until(lambda: beside.over)
    beside.closes()
    beside.all_sent()
    page.open(f"/review/{ladder}")
    page.sees("Stop")
    page.unfold("Rules that spoke")
    page.sees("pain.stop")
    page.click("Accept")
    page.sees("Accepted")
    page.press("1")
    page.sees("movement stopped")
    page.press("3")
    page.sees("This movement is stopped")
    page.press("6")
    page.click("Run a session at their side")
    page.sees("is stopped.", "Nothing is planned today.")
    assert not [b for b in page.find_all("main button") if b.text == "Start the session"]
    page.open(f"/ladder/{ladder}")
    page.click("Take it up again …")
    page.click("Yes, take it up again")
    page.sees_not("This movement is stopped")


def test_an_edit_and_a_decline_each_want_a_word(step_up_waits: None, signed_in: Page) -> None:
    page = signed_in
    page.allowed.append("status of 422")
    page.open_ladder()
    page.press("7")
    page.find("article")
    page.click("Decline …")
    page.click("Decline it")
    page.sees("note: it is empty. Say in short why.")
    page.click("Edit …")
    page.select("Train this rung instead", "Knee push-up")
    page.fill("Why, in short", "tour week")
    page.click("Take the edited decision")
    page.sees("Edited", "Knee push-up", "tour week", "trains on Knee push-up")


def test_a_new_athlete_goes_from_nothing_to_a_ladder(signed_in: Page) -> None:
    page = signed_in
    page.click("New athlete")
    page.fill("Name", "Bela Quint")
    page.fill("Body mass", "62.5")
    page.fill("Height", "168")
    page.find('[role=dialog] input[type="checkbox"]').click()
    page.click("Add to the squad")
    page.sees("Bela Quint", "no session yet")
    page.click("Give a ladder …")
    page.select("Tested on", "Push-ups from the knees")
    page.fill("As many clean reps as possible", "8")
    page.click("Draw the ladder")
    page.sees("Bela Quint, 62.5 kg, 1.68 m", "current rung, fits", "from a test of")
    page.click("Enter a test")
    page.fill("As many clean reps as possible", "10")
    page.click("Keep the test")
    page.until(lambda: not page.find_all('[role="dialog"]'))
    page.sees("Bela Quint")


def test_a_person_can_be_erased(signed_in: Page) -> None:
    page = signed_in
    page.click("Record of Oda Fenwick")
    page.sees("75 kg", "175 cm")
    page.click("Erase this person …")
    page.sees("It cannot be undone.")
    page.click("Erase Oda Fenwick for good")
    page.sees("Your athletes stand here")


def test_a_new_measure_is_kept(signed_in: Page) -> None:
    page = signed_in
    page.click("Record of Oda Fenwick")
    page.click("Keep it on the Intake sheet")
    page.until(lambda: not page.find_all('[role="dialog"]'))  # it takes the focus as it closes
    page.until(lambda: page.field("Body mass").get_attribute("value") == "75")
    page.fill("Body mass", "77.5")
    page.sees("= 170.9 lb")
    page.click("Keep today's measures")
    page.sees("77.5 kg")
