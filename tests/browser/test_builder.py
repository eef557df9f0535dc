"""A session built on screen, put on the day, and had on the phone as it was meant."""

from typing import Any

from selenium.webdriver.common.keys import Keys
from selenium.webdriver.support.ui import Select

from tests.browser.page import Page
from tests.browser.phone import Office, Phone, new_id


def adds(page: Page, words: str, name: str, group: int = 1) -> None:
    """Type what a movement is called; Enter takes the first."""
    picks(page, f'section[aria-label="Group {group}"] > div:last-child', words, name)
    page.until(lambda: page.find(f'[aria-label="{name}, sets"]').is_displayed())


def picks(page: Page, place: str, words: str, name: str) -> None:
    box = page.find(f"{place} input:not([type=checkbox])")
    box.send_keys(words)
    page.until(lambda: any(name in one.text for one in page.find_all(f"{place} ul li")[:1]))
    box.send_keys(Keys.ENTER)


def builds(page: Page, name: str) -> None:
    page.press("5")
    page.sees("Hard sets by region".upper())
    page.click("Start from a session …")
    page.click("Build a session …")
    page.fill("Name", name)


def own_session(office: Office) -> dict[str, Any]:
    """The one that was kept."""
    kept = office.call("GET", "/api/session-templates")["sessions"]
    return dict(next(one for one in kept if one["kind"] == "own"))


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
    builds(page, "Pull, hinge, press")
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
    made = own_session(office)
    pull = made["blocks"][0]["slots"][0]
    assert (pull["movements"], pull["asked"]["bag"], pull["exact"]) == (["chin-up"], 7.5, True)
    today = office.call("GET", f"{office.base}/floor")["today"]
    put = {"athletes": [office.athlete]}
    office.call("PUT", f"/api/session-templates/{made['id']}/days/{today}", **put)

    phone = Phone(page.driver, page.url)
    phone.comes_in(office.link())
    phone.sees("You will need", "bag of 7.5 kg", "Chin-up", "Glute bridge", "Push-up")
    phone.sees("3 ROUNDS, 1:00 BETWEEN THEM")


def test_chains_and_a_lead_swap_are_built_and_run_to_their_end(
    ladder: Page, office: Office
) -> None:
    page = ladder
    builds(page, "Chains")
    adds(page, "press ups", "Push-up")
    types(page, "Push-up", **{"sets": "1", "from": "5", "to": "5", "rest,_s": "30"})
    opens(page, "Push-up")
    page.click("The same, done another way")
    types(page, "Push-up again", **{"from": "5", "to": "5", "tempo": "1-0-1-3"})
    page.click("Add a group")
    adds(page, "knee press ups", "Knee push-up", group=2)
    chosen = 'section[aria-label="Group 2"] select'
    chooses(page, chosen, "drop set")
    types(page, "Knee push-up", **{"sets": "1", "from": "4", "to": "4"})
    opens(page, "Knee push-up")
    chooses(page, '[aria-label="Knee push-up, set up"]', "arms out to the sides, °")
    types(page, "Knee push-up", **{"°": "20"})
    chain = 'section[aria-label="Group 2"] fieldset:nth-of-type(2) > div:last-child'
    picks(page, chain, "wall press up", "Wall push-up")
    page.click("Add a group")
    adds(page, "wide press up", "Wide push-up", group=3)
    types(page, "Wide push-up", **{"sets": "1", "from": "6", "to": "6"})
    opens(page, "Wide push-up")
    turns = 'section[aria-label="Group 3"] fieldset:first-of-type'
    picks(page, turns, "close press up", "Close push-up")
    page.click("Add a group")
    adds(page, "climbers", "Mountain climber", group=4)
    chooses(page, 'section[aria-label="Group 4"] select', "interval")
    page.until(lambda: "min (" in page.find('aside[aria-label="So far"]').text)
    assert "chest" in page.find('aside[aria-label="So far"]').text
    page.click("Keep the session")
    page.sees("Chains (own)", "straight on: Push-up")
    made = own_session(office)
    chain = made["blocks"][0]["slots"][0]["followed_by"][0]
    assert (chain["asked"]["tempo"], chain["every"]) == ("1-0-1-3", True)
    assert made["blocks"][1]["slots"][0]["followed_by"][0]["every"] is False
    assert made["blocks"][1]["slots"][0]["asked"]["values"] == {"width": 20}
    today = office.call("GET", f"{office.base}/floor")["today"]
    put = {"athletes": [office.athlete]}
    office.call("PUT", f"/api/session-templates/{made['id']}/days/{today}", **put)

    phone = Phone(page.driver, page.url)
    phone.begins(office)
    seen: list[str] = []
    phone.runs_on(until=lambda: seen.append(phone.text) or False)
    told = " ".join(seen)
    assert "STRAIGHT ON, WITHOUT A REST" in told.upper()
    assert "DROP TO" in told.upper()
    assert "the lead swaps halfway" in told
    phone.closes()
    phone.all_sent()
    kinds = [one["kind"] for one in office.sets()]
    assert kinds[:4] == ["work", "part", "work", "drop"]
    assert kinds[4:] == ["turn", "turn"] + ["work"] * 3
    assert "one of each in turn with close push-up" in told
    assert {one["side"] for one in office.sets()} == {""}


def chooses(page: Page, css: str, words: str) -> None:
    Select(page.find(css)).select_by_visible_text(words)


def opens(page: Page, name: str) -> None:
    """What is seldom asked of a movement."""
    box = page.find(f'[aria-label="{name}, who decides"]')
    fold = box.find_element("xpath", "ancestor::li[1]//details/summary")
    page.script("arguments[0].click()", fold)
