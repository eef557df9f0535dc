"""A session built on screen, put on the day, and had on the phone as it was meant."""

from selenium.webdriver.common.keys import Keys

from tests.browser.page import Page
from tests.browser.phone import Office, Phone, new_id


def adds(page: Page, words: str, name: str) -> None:
    """Type what a movement is called; Enter takes the first."""
    box = page.field("Add a movement")
    box.send_keys(words)
    page.until(
        lambda: any(name in one.text for one in page.find_all("[role=dialog] section ul li")[:1])
    )
    box.send_keys(Keys.ENTER)
    page.until(lambda: page.find(f'[aria-label="{name}, sets"]').is_displayed())


def types(page: Page, name: str, **typed: str) -> None:
    for words, value in typed.items():
        box = page.find(f'[aria-label="{name}, {words.replace("_", " ")}"]')
        box.clear()
        box.send_keys(value)


def test_a_tri_set_with_loads_is_built_and_had_on_the_phone(ladder: Page, office: Office) -> None:
    for check in ("shoulder",):
        shown = {"id": new_id(), "check": check, "passed": True, "note": "seen"}
        office.call("POST", f"{office.base}/readiness", **shown)
    page = ladder
    page.press("5")
    page.sees("Hard sets by region".upper())
    page.click("Start from a session …")
    page.click("Build a session …")
    page.fill("Name", "Pull, hinge, press")
    adds(page, "chin ups", "Chin-up")
    adds(page, "glute bridges", "Glute bridge")
    adds(page, "press ups", "Push-up")
    page.select("Done as", "triple")
    page.fill("Between, s", "15")
    page.fill("After a round, s", "60")
    types(page, "Chin-up", **{"from": "5", "to": "5", "effort": "8", "kg": "7,5"})
    page.find('[aria-label="Glute bridge, tempo"]').send_keys("3-0-1-0")
    page.click("Keep the session")
    page.sees("Pull, hinge, press (own)", "bag of 7.5 kg", "tempo 3-0-1-0")
    made = next(
        one
        for one in office.call("GET", "/api/session-templates")["sessions"]
        if one["kind"] == "own"
    )
    pull = made["blocks"][0]["slots"][0]
    assert (pull["movements"], pull["asked"]["bag"], pull["exact"]) == (["chin-up"], 7.5, True)
    today = office.call("GET", f"{office.base}/floor")["today"]
    put = {"athletes": [office.athlete]}
    office.call("PUT", f"/api/session-templates/{made['id']}/days/{today}", **put)

    phone = Phone(page.driver, page.url)
    phone.comes_in(office.link())
    phone.sees("You will need", "bag of 7.5 kg", "Chin-up", "Glute bridge", "Push-up")
    phone.sees("3 ROUNDS, 1:00 BETWEEN THEM")
