"""The floor on a phone: every format run to its end, the network lost and found, nothing lost."""

import tempfile
from collections.abc import Iterator
from datetime import datetime

import pytest
from selenium import webdriver
from selenium.webdriver.common.keys import Keys

from invelo.runtime.ports import held_port
from tests.browser.conftest import Service, start_chromium
from tests.browser.phone import Office, Phone, coach_reviews, now
from tests.depth import depth

# ---- formats to their end ---------------------------------------------------------------------


def test_a_pair_is_run_to_its_end_and_stands_in_the_review(phone: Phone, office: Office) -> None:
    office.gives("row")
    push, row = office.ladders
    office.plans_today(together=[{"format": "pair", "keys": [push, row], "rounds": 3}])
    phone.begins(office)
    seen = []
    filled = phone.runs_on(until=lambda: seen.append(phone.text) or False)
    told = " ".join(seen).lower()
    assert "pair, 1 of 2, round 1 of" in told
    assert "pair, 2 of 2, round 1 of" in told
    phone.closes()
    phone.sees("✓ Done today.")
    assert "Start the session" not in phone.text
    phone.all_sent()
    sets = office.reviewed(push)
    assert len(sets) == filled >= 4
    assert [one["item"] for one in sets[:4]] == [push, row, push, row]
    assert coach_reviews(phone, push) == filled


def set_or_button(phone: Phone) -> str:
    """SET where one is at hand, or else the button that leads on; "" while neither is there."""
    if phone.find_all('section[aria-label="The set"]'):
        return "SET"
    leads_on = ("Warm-up done", "Ready", "Now", "Begin")
    there = [button.text for button in phone.find_all("main button")]
    return next((words for words in leads_on if words in there), "")


def test_from_the_link_to_the_first_set_takes_a_few_presses(phone: Phone, office: Office) -> None:
    """Eight at most, the warm-up ticked off as one list."""
    office.plans_today()
    phone.comes_in(office.link())
    phone.click("Start the session")
    presses = 1
    while (there := phone.until(lambda: set_or_button(phone))) != "SET":
        phone.click(there)
        presses += 1
        assert presses <= 8
    assert "Easy, to warm up" not in phone.text


def test_an_interval_block_runs_by_the_clock_alone(phone: Phone, office: Office) -> None:
    office.gives("row")
    push, row = office.ladders
    office.plans_today(together=[{"format": "interval", "keys": [push, row], "rounds": 2}])
    phone.begins(office)
    phone.runs_on(until=lambda: phone.window)
    shown = phone.find('[aria-label="Work, seconds left"]').text
    assert shown.startswith("0:")
    phone.sees("INTERVAL")
    # a whole round passes while the page sleeps: every window is there to be filled in
    filled = phone.runs_on()
    phone.closes()
    phone.all_sent()
    sets = office.reviewed(push)
    assert len(sets) == filled >= 4
    assert coach_reviews(phone, push) == filled


def test_a_drop_set_goes_down_the_rungs(phone: Phone, office: Office) -> None:
    (push,) = office.ladders
    office.plans_today(edits=[{"key": push, "format": "drop set"}])
    phone.begins(office)
    seen: list[str] = []
    filled = phone.runs_on(until=lambda: seen.append(phone.text) or False)
    assert any("DROP TO" in one.upper() for one in seen)
    phone.closes()
    phone.all_sent()
    sets = office.reviewed(push)
    assert len(sets) == filled
    drops = [one for one in sets if one["kind"] == "drop"]
    assert drops
    assert len({one["rung_id"] for one in sets}) == 1 + len(drops), "each drop is another rung"
    assert coach_reviews(phone, push) == filled


# ---- every day ---------------------------------------------------------------------------------


def test_a_daily_minimum_is_begun_tried_and_ticked_off_on_the_phone_alone(
    phone: Phone, office: Office
) -> None:
    phone.comes_in(office.link())
    phone.click("Begin a daily minimum")
    phone.fill("Moment", "before the shower")
    phone.fill("Your good word", "There we go!")
    phone.fill("Left in sight", "the towel")
    phone.click("Begin")
    phone.sees("before the shower", "In sight: the towel", "Try it out now, 5 times")
    phone.click("Tried it (0 of 5)")
    phone.sees("Tried it (1 of 5)")
    phone.goes_offline()
    phone.click("Done")
    phone.sees("✓ Done today", "There we go!")
    phone.until(lambda: "1 entry waits on this device" in phone.waiting)
    phone.goes_offline(False)
    phone.script("dispatchEvent(new Event('online'))")
    phone.all_sent()
    (daily,) = office.call("GET", f"{office.base}/daily")["running"]
    assert (daily["today"], daily["tries"], daily["cheer"]) == (True, 1, "There we go!")


# ---- the network gone --------------------------------------------------------------------------


def test_the_network_is_lost_and_found_and_no_set_is(phone: Phone, office: Office) -> None:
    (push,) = office.ladders
    office.plans_today()
    phone.begins(office)
    phone.to_the_next_set()
    phone.logs(amount=9)
    phone.all_sent()
    phone.goes_offline()
    phone.to_the_next_set()
    phone.logs(amount=8)
    phone.until(lambda: "1 entry waits on this device" in phone.waiting)
    phone.to_the_next_set()
    phone.logs(amount=7)
    phone.runs_on()
    phone.closes()
    phone.until(lambda: "3 entries wait on this device" in phone.waiting)
    assert [one["amount"] for one in office.sets()] == [9]
    phone.goes_offline(False)
    phone.script("dispatchEvent(new Event('online'))")
    phone.all_sent()
    assert [one["amount"] for one in office.reviewed(push)] == [9, 8, 7]


@pytest.fixture
def restartable() -> Iterator[object]:
    """Makes browsers that share a profile, as one that is closed and opened again."""
    made: list[webdriver.Chrome] = []
    with tempfile.TemporaryDirectory(prefix="invelo-phone-") as profile, held_port() as port:

        def start() -> webdriver.Chrome:
            made.append(start_chromium(profile, port))
            return made[-1]

        yield start
        made[-1].quit()


FORTY = depth(10, 40)


def test_forty_sets_with_the_server_down_and_the_browser_restarted(
    service: Service, office: Office, restartable
) -> None:
    office.plans_today()
    phone = Phone(restartable(), service.url)
    phone.comes_in(office.link())
    phone.driver.execute_async_script("navigator.serviceWorker.ready.then(arguments[0])")
    phone.until(
        lambda: (
            phone.script("return navigator.serviceWorker.controller !== null")
            or phone.driver.refresh()
        )
    )
    phone.starts()
    phone.all_sent()
    phone.to_the_next_set()
    phone.logs(amount=1)
    phone.all_sent()
    service.stop()
    began = now()
    for number in range(2, FORTY + 1):
        if number == FORTY // 2:
            phone.driver.quit()
            phone = Phone(restartable(), service.url)
            phone.size(390, 844)
            phone.open("/phone")  # no server: the page comes from the device
            phone.find("[role=progressbar]")
        phone.does_it_again(number)
    phone.until(lambda: f"{FORTY - 1} entries wait" in phone.waiting)
    ended = now()
    service.start()
    phone.sends_now()
    sets = office.sets()
    assert [one["amount"] for one in sets] == list(range(1, FORTY + 1))
    assert len({one["id"] for one in sets}) == FORTY
    times = [datetime.fromisoformat(one["at"]) for one in sets[1:]]
    assert times == sorted(times)
    assert began <= times[0] <= times[-1] <= ended


def test_a_link_ended_midway_says_so_and_keeps_the_log(phone: Phone, office: Office) -> None:
    phone.allowed.append("status of 401")
    office.plans_today()
    phone.begins(office)
    phone.to_the_next_set()
    phone.all_sent()
    office.ends_link()
    phone.logs(amount=9)
    phone.until(lambda: "your coach has ended it" in phone.waiting)
    assert "kept" in phone.waiting
    # a new link on the same device takes the log along
    again = office.link()
    phone.driver.get(again)
    phone.find("[role=progressbar]")
    phone.all_sent()
    assert [one["amount"] for one in office.sets()] == [9]


def test_a_clock_a_day_off_is_told_and_times_are_put_right(phone: Phone, office: Office) -> None:
    ahead = "const D = Date, day = 86400e3; Date = class extends D { constructor(...a)"
    ahead += (
        "{ a.length ? super(...a) : super(D.now() + day) } static now() { return D.now() + day }};"
    )
    phone.driver.execute_cdp_cmd("Page.addScriptToEvaluateOnNewDocument", {"source": ahead})
    ladder = office.ladders[0]
    phone.comes_in(office.link())
    phone.sees("This device's clock is 1 day ahead.")
    phone.find_all("main section button")[-1].click()
    phone.starts()
    phone.to_the_next_set()
    phone.logs(amount=9)
    phone.all_sent()
    (one,) = office.sets()
    assert abs(one["clock_off_s"] + 86400) < 60
    assert abs((datetime.fromisoformat(one["at"]) - now()).total_seconds()) < 120
    assert ladder == one["item"]


def test_a_set_of_ten_thousand_is_not_taken(phone: Phone, office: Office) -> None:
    office.plans_today()
    phone.begins(office)
    phone.to_the_next_set()
    box = phone.find('section[aria-label="Log the set"] input[inputmode=numeric]')
    box.send_keys(Keys.CONTROL, "a")
    box.send_keys("10000")
    phone.choose("Effort (RPE)", 8)
    phone.click("Log the set")
    phone.sees("Reps: give 0 to 200.")
    assert office.sets() == []
    phone.logs(amount=9)
    phone.all_sent()
    assert [one["amount"] for one in office.sets()] == [9]
