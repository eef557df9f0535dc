"""The Bench: a coach's questions answered there alone, and the sheet's own manners."""

import re
from uuid import UUID
from xml.etree import ElementTree

import pytest
from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys

from invelo.domain.bench import comparison
from invelo.domain.biomechanics.adjustable import adjustable_of
from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.setup import set_up
from invelo.domain.catalogue.movement import Modifiers
from invelo.domain.strength.predict import Done, Known
from tests.browser.page import Page

ODA = Body(75.0, 1.75)
SVG = "{http://www.w3.org/2000/svg}"
PULLS = ((120, 2.6), (140, 4.3), (160, 5.5), (180, 6.6), (200, 7.6), (230, 8.8))


@pytest.fixture
def page(ladder: Page) -> Page:
    """Oda Fenwick's body on the bench, with the push-up she is tested on."""
    ladder.press("4")
    settled(ladder)
    return ladder


def settled(page: Page) -> None:
    """Wait until the figures belong to what is set up."""
    page.find('section[aria-label="Bench"] [data-settled="true"]')


def put(page: Page, label: str, value: str) -> None:
    page.put(label, value)
    settled(page)


def pick(page: Page, label: str, words: str) -> None:
    page.select(label, words)
    settled(page)


def unfold(page: Page, name: str) -> None:
    path = f'//aside//button[starts-with(normalize-space(), "{name}")]'
    page.driver.find_element(By.XPATH, path).click()


def reading(page: Page, name: str, column: int = 1) -> str:
    """What the table of readings says in a row."""
    path = f'//section[@aria-label="Bench"]//tr[th="{name}"]/td[{column}]'
    return page.until(lambda: page.driver.find_element(By.XPATH, path).text).replace("\u202f", " ")


def figure(told: str) -> float:
    return float(re.search(r"[\d.]+", told).group())


def line(page: Page, name: str) -> str:
    """A line of the dialog's table, once it is there."""
    path = f'//*[@role="dialog"]//tr[th="{name}"]'
    found = page.until(lambda: page.driver.find_element(By.XPATH, path))
    page.until(lambda: "solving" not in found.text)
    return found.text.replace("\u202f", " ")


def closed(page: Page) -> None:
    page.until(lambda: not page.find_all('[role="dialog"]'))


def measure_band(page: Page, name: str) -> None:
    unfold(page, "Band and assistance")
    page.click("The bands …")
    page.click("Measure a band …")
    page.fill("What you call it", name)
    page.fill("Length without pull", "100")
    for i, (length, kg) in enumerate(PULLS, start=1):
        page.find(f'[aria-label="Length of pull {i}"]').send_keys(str(length))
        page.find(f'[aria-label="Kilos of pull {i}"]').send_keys(str(kg))
    page.click("Keep the band")
    page.find(f'[aria-label="Out of use: {name}"]')


def test_how_much_harder_is_one_riser_than_another(page: Page) -> None:
    put(page, "surface under the feet", "20")
    page.click("Set a second beside it")
    put(page, "surface under the feet", "40")
    low, high = (
        comparison.LeverageTask("push_up", Modifiers(values=(("foot_height", height),)))
        for height in (0.2, 0.4)
    )
    ratio = comparison.against(ODA, low, high)
    page.sees(f"{100 * (ratio.likely - 1):.1f} % harder")
    told = page.find('button[title="How the ratio came about"]').text.replace("\u202f", " ")
    assert told == f"{ratio.likely:.2f} × ({ratio.low:.2f}–{ratio.high:.2f})"
    assert figure(reading(page, "demand", 2)) > figure(reading(page, "demand", 1))


def test_which_band_gives_five_seconds_of_straddle(page: Page) -> None:
    measure_band(page, "narrow")
    page.click("Close")
    closed(page)
    pick(page, "Movement", "Planche")
    pick(page, "Shape", "straddle")
    page.click("Which band …")
    page.select("Done", "Planche")
    page.select("Shape done", "advanced tuck")
    put(page, "Seconds held", "12")
    answer = line(page, "narrow")
    known = Known(ODA, Done(set_up("planche", shape="advanced_tuck"), amount=12))
    straddle = comparison.LeverageTask("planche", Modifiers(values=(("splay", 45.0),)))
    help_wanted = comparison.least_assistance(known, straddle, 5)
    page.sees(f"{help_wanted.likely:.0f}\u202fN·m")
    assert re.search(r"\d+ cm \(\d+–\d+\) .* kg .* its length .* s \(", answer), answer
    page.click("Set it up: narrow")
    closed(page)
    settled(page)
    assert figure(reading(page, "likely there")) == pytest.approx(5.0, abs=0.3)


def test_what_equals_three_more_kilos_in_the_bag(page: Page) -> None:
    page.press("s")
    page.until(lambda: page.field("As hard as"))
    assert page.field("More kilos").get_attribute("value") == "3"
    told = line(page, "surface under the feet")
    loaded = Modifiers(
        added_load=comparison.LeverageTask("push_up", Modifiers()).changes.added_load
    )
    loaded = adjustable_of(comparison.LeverageTask("push_up", loaded).form, "bag").turned(
        loaded, 3.0
    )
    wanted = comparison.as_hard_as(
        ODA,
        comparison.LeverageTask("push_up", Modifiers()),
        "foot_height",
        comparison.LeverageTask("push_up", loaded),
        0.0,
    )
    assert f"{100 * wanted.to.likely:.0f} cm (" in told
    page.click("Set it up: surface under the feet")
    closed(page)
    settled(page)
    assert page.field("surface under the feet").get_attribute("value") != "0"


def test_a_slider_moves_the_figure_with_the_keyboard(page: Page) -> None:
    before = figure(reading(page, "demand"))
    thumb = page.find('[role="slider"][aria-label="surface under the hands"]')
    thumb.send_keys(Keys.PAGE_UP)
    settled(page)
    assert page.field("surface under the hands").get_attribute("value") == "10"
    page.until(lambda: figure(reading(page, "demand")) < before)


def test_the_last_of_many_quick_changes_is_what_stands(page: Page) -> None:
    box = page.field("surface under the hands")
    for height in range(5, 75, 5):
        box.send_keys(Keys.CONTROL, "a")
        box.send_keys(str(height))
    settled(page)
    task = comparison.LeverageTask("push_up", Modifiers(values=(("hand_height", 0.7),)))
    wanted = task.asks(ODA).load.demand.likely
    page.until(lambda: figure(reading(page, "demand")) == pytest.approx(wanted, abs=0.06))


def test_what_cannot_be_is_told_and_nothing_is_lost(page: Page) -> None:
    page.allowed.append("status of 422")
    before = reading(page, "demand")
    box = page.field("surface under the feet")
    box.send_keys(Keys.CONTROL, "a")
    box.send_keys("199")
    page.until(lambda: "foot height" in page.find('[role="alert"]').text)
    assert reading(page, "demand") == before
    put(page, "surface under the feet", "0")
    page.until(lambda: not page.find_all('[role="alert"]'))


def test_a_measure_out_of_its_range_is_told_beside_it(page: Page) -> None:
    put(page, "surface under the feet", "-3")
    page.sees("Give 0 to 200 cm; 0 stands.")
    put(page, "surface under the feet", "")
    page.sees("Give 0 to 200 cm; 0 stands.")
    put(page, "surface under the feet", "12,5")
    page.sees_not("stands.")
    page.sees("feet 12.5 cm")


def test_every_figure_opens_its_account(page: Page) -> None:
    figures = page.find_all('section[aria-label="Bench"] td button')
    assert len(figures) >= 10
    for one in figures:
        one.click()
        page.until(lambda: "HOW IT CAME ABOUT" in page.dialog.text.upper())
        assert "SOURCES" in page.dialog.text.upper()
        page.press(Keys.ESCAPE)
        closed(page)


def test_a_figure_is_copied_as_a_drawing_of_its_own(page: Page) -> None:
    allowed = ["clipboardReadWrite", "clipboardSanitizedWrite"]
    page.driver.execute_cdp_cmd(
        "Browser.grantPermissions", {"permissions": allowed, "origin": page.url}
    )
    page.driver.execute_cdp_cmd("Emulation.setFocusEmulationEnabled", {"enabled": True})
    page.click("Copy figure")
    page.sees("Copied as SVG")
    copied = page.driver.execute_async_script(
        "navigator.clipboard.readText().then(arguments[0], (e) => arguments[0](String(e)))"
    )
    drawing = ElementTree.fromstring(copied)
    assert drawing.tag == f"{SVG}svg"
    assert any("hands" in (text.text or "") for text in drawing.iter(f"{SVG}text"))
    for element in drawing.iter():
        assert "class" not in element.attrib
    inks = {element.get("stroke", "none") for element in drawing.iter()} - {"none"}
    assert inks
    assert all(ink.startswith("rgb(") for ink in inks)


def test_the_rep_is_played_and_stopped_with_the_space_bar(page: Page) -> None:
    def place() -> float:
        slider = page.find('[aria-label="Place along the rep"]')
        return float(slider.get_attribute("value"))

    page.press(" ")
    page.until(lambda: place() > 0.1)
    page.press(" ")
    page.button("Play")
    stopped = place()
    page.press("c")
    page.button("Take the second away")
    assert place() == stopped


def test_a_set_up_is_kept_as_a_rung(page: Page) -> None:
    put(page, "surface under the feet", "33")
    page.click("Keep as a rung …")
    assert page.field("Name of the rung").get_attribute("value") == "Push-up, feet 33 cm"
    page.click("Keep the rung")
    page.sees("Push-up, feet 33 cm", "ON THE HANDS")
    assert UUID(page.driver.current_url.rsplit("/", 1)[1])


def test_a_rung_is_brought_to_the_bench(page: Page) -> None:
    page.press("3")
    page.sees("ON THE HANDS")
    page.press(Keys.ARROW_UP)
    name = page.chosen_rung
    page.click("On the Bench")
    settled(page)
    assert "Decline" in name
    assert page.field("surface under the feet").get_attribute("value") != "0"


def test_a_band_goes_out_of_use_and_is_taken_back(page: Page) -> None:
    measure_band(page, "narrow")
    page.click("Out of use: narrow")
    page.click("knotted")
    page.sees("“narrow” is out of use.")
    page.until(lambda: not page.find_all('[aria-label="Out of use: narrow"]'))
    page.click("Take it back")
    page.find('[aria-label="Out of use: narrow"]')


def test_a_band_pulled_too_little_is_refused_and_what_was_typed_stays(page: Page) -> None:
    page.allowed.append("status of 422")
    unfold(page, "Band and assistance")
    page.click("The bands …")
    page.click("Measure a band …")
    page.fill("What you call it", "string")
    page.fill("Length without pull", "100")
    for label, typed in (("Length of pull 1", "110"), ("Kilos of pull 1", "2")):
        css = f'[aria-label="{label}"]'  # the row is drawn anew as the length is typed
        page.until(lambda css=css, typed=typed: page.find(css).send_keys(typed) is None)
    page.click("Keep the band")
    page.sees("pulls")
    assert page.field("What you call it").get_attribute("value") == "string"


def test_loads_to_hand_go_into_the_bag(page: Page) -> None:
    page.click("Loads to hand …")
    for i, (name, kg, count) in enumerate((("sandbag", "2.5", "4"), ("jug", "4", "1")), start=1):
        for label, value in (("Thing", name), ("Weight of thing", kg), ("Count of thing", count)):
            box = page.find(f'[aria-label="{label} {i}"]')
            box.send_keys(Keys.CONTROL, "a")
            box.send_keys(value)
    page.fill("Load wanted", "6.5")
    page.click("Find the fewest pieces")
    page.sees("1 × sandbag + 1 × jug = 6.50 kg", "exactly as wanted")
    page.click("Put it in the bag")
    closed(page)
    settled(page)
    page.sees("6.5 kg")


def test_measured_limbs_change_the_figures(page: Page) -> None:
    pick(page, "Movement", "Planche")
    before = figure(reading(page, "demand"))
    page.click("75 kg, 175 cm …")
    page.fill("thigh", "48")
    page.click("Lay this body on the bench")
    closed(page)
    settled(page)
    page.until(lambda: figure(reading(page, "demand")) > before)


def test_the_bench_stays_as_it_was_left_until_signing_out(page: Page) -> None:
    put(page, "surface under the feet", "25")
    page.script("document.activeElement.blur()")  # keys are for the field while one types
    page.press("3")
    page.sees("ON THE HANDS")
    page.press("4")
    settled(page)
    assert page.field("surface under the feet").get_attribute("value") == "25"
    page.click("Sign out")
    page.field("E-mail")
    assert page.script("return sessionStorage.length") == 0


def test_a_household_scale_is_compared_accepted_and_taken_back(page: Page) -> None:
    demand = figure(reading(page, "demand"))
    page.click("Scale …")
    page.allowed.append("status of 422")
    for label, kilos in (("Standing", "42"), ("floor, low", "20")):
        page.find(f'[aria-label="{label}, the scale shows"]').send_keys(kilos)
    page.click("Compare with the model")
    page.sees("42 kg is far from the 75 kg that is known.")
    page.click("No scale at hand: fill in the simulated one")
    page.click("Compare with the model")
    page.sees("Nothing changes before you say so.", "Factor on the load of the hands")
    page.click("Accept")
    page.sees("Accepted: loads")
    page.click("Close")
    closed(page)
    page.until(lambda: figure(reading(page, "demand")) != demand)
    page.click("Scale …")
    page.click("Undo")
    page.sees("It was undone.")
    page.click("Close")
    closed(page)
    page.until(lambda: figure(reading(page, "demand")) == demand)


def test_who_carries_what_follows_the_place_along_the_rep(page: Page) -> None:
    def carried() -> str:
        return page.find('section[aria-label="Who carries what"]').text

    assert "hands" in carried()
    assert "N·m" in carried()
    before = carried()
    page.find('[aria-label="Place along the rep"]').send_keys(Keys.END)
    page.until(lambda: carried() != before)
