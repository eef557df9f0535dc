"""Accounts as a coach handles them: settings, a second coach, archived people; one athlete picked
for every place."""

from selenium.webdriver.common.keys import Keys

from tests.browser.page import EMAIL, PASSWORD, Page

NEW = "a longer riser, a shorter rope"


def settings(page: Page) -> None:
    page.click("Ilse Marn")
    page.sees("Your settings")


def test_a_password_is_changed_and_signs_in_from_then_on(signed_in: Page) -> None:
    page = signed_in
    page.allowed += ["status of 422", "status of 401"]
    settings(page)
    page.fill("The one so far", "not the one it is")
    page.fill("The new one", NEW)
    page.click("Change the password")
    page.sees("it is not right.")
    page.fill("The one so far", PASSWORD)
    page.click("Change the password")
    page.sees("Password forgotten?")
    page.sign_in(EMAIL, NEW)
    page.sees("Reach against the criterion".upper())


def test_name_and_zone_are_kept_and_told_as_done(signed_in: Page) -> None:
    page = signed_in
    settings(page)
    page.fill("Name", "Ilse Marn-Quint")
    page.click("Keep name and zone")
    page.sees("✓ Kept.", "Name or time zone changed.")
    assert page.button("Ilse Marn-Quint")


def test_a_second_coach_comes_in_by_a_link_and_looks_on(signed_in: Page) -> None:
    page = signed_in
    page.allowed += ["status of 401"]
    page.click("Record of Oda Fenwick")
    page.sees("owns the record")
    page.fill("Whom you invite", "Tomas")
    page.select("To", "look on")
    page.click("Make an invitation")
    link = page.find('[role="dialog"] input[readonly]').get_attribute("value")
    page.click("Close")
    page.click("Sign out")
    page.sees("Password forgotten?")
    page.driver.get("about:blank")
    page.driver.get(link)
    page.sees("Ilse Marn invites you to look on at Oda Fenwick.")
    assert "#" not in page.driver.current_url
    page.fill("Name", "Tomas Vell")
    page.fill("E-mail", "tomas@stage.example")
    page.fill("Password", NEW)
    page.click("Make the account and come in")
    page.sees("Your account is there.")
    page.click("Sign in")
    page.fill("E-mail", "tomas@stage.example")
    page.fill("Password", NEW + Keys.ENTER)
    page.sees("Tomas Vell", "1 athlete")
    page.allowed.append("status of 404")
    page.click("Record of Oda Fenwick")
    page.fill("Name", "Somebody else")
    page.click("Keep name and note")
    page.until(lambda: page.find_all('[role="dialog"] [role="alert"]'))
    page.click("Leave")
    page.click("Close")
    page.sees("Your athletes stand here")


def test_an_athlete_is_renamed_archived_and_brought_back(signed_in: Page) -> None:
    page = signed_in
    page.click("Record of Oda Fenwick")
    page.fill("Name", "Oda Fenn")
    page.click("Keep name and note")
    page.sees("✓ Kept.")
    page.click("Close")
    page.click("Record of Oda Fenn")
    page.click("Archive Oda Fenn")
    page.sees("Your athletes stand here")
    settings(page)
    page.click("Restore Oda Fenn")
    page.sees("Restored Oda Fenn from the archive.")
    page.press("1")
    page.click("Oda Fenn")
    page.find('[role="listbox"]')


# ---- one athlete for every place ---------------------------------------------------------------


def test_whoever_is_picked_is_so_in_every_place_and_in_the_address(
    signed_in: Page,
) -> None:
    page = signed_in
    page.click("Oda Fenwick")
    page.find('[role="listbox"]')
    page.until(lambda: page.driver.title == "Ladder, Oda Fenwick, Invelo")
    ladder = page.driver.current_url
    for digit, name in (("5", "week"), ("6", "floor"), ("2", "intake")):
        page.press(digit)
        page.until(lambda name=name: f"/{name}/" in page.driver.current_url)
        page.until(lambda: page.driver.title.endswith("Oda Fenwick, Invelo"))
        assert page.field("Athlete").get_attribute("value") in page.driver.current_url
    page.press("7")
    page.until(lambda: page.driver.current_url == ladder.replace("/ladder/", "/review/"))
    page.driver.refresh()
    page.until(lambda: page.driver.title == "Review, Oda Fenwick, Invelo")
    page.driver.back()
    page.until(lambda: page.driver.title == "Intake, Oda Fenwick, Invelo")


def test_one_tab_leads_past_the_places(signed_in: Page) -> None:
    page = signed_in
    page.driver.refresh()
    page.find("main tbody")
    page.press(Keys.TAB)
    assert page.driver.switch_to.active_element.text == "Skip to the sheet"
    page.press(Keys.ENTER, Keys.TAB)
    inside = page.script("return document.querySelector('main').contains(document.activeElement)")
    assert inside
