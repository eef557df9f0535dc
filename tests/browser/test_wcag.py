"""Every place and dialog: access by day and by night, sizes on a laptop and on a phone."""

import pytest
from selenium.common.exceptions import TimeoutException

from invelo.runtime.settings import ROOT
from tests.browser.page import DESKTOP, PHONE, Page
from tests.browser.places import AT_A_DESK, ON_A_PHONE, Walk, queue

AXE = (ROOT / "web" / "node_modules" / "axe-core" / "axe.min.js").read_text(encoding="utf-8")
EVERYTHING = {
    "type": "tag",
    "values": ["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"],
}
COLOURS = {"type": "rule", "values": ["color-contrast"]}
"""All that the night sheet changes."""

LEAST_TARGET = 24
"""Pixels, WCAG 2.5.8."""
LOW_BUTTONS = """
return [...document.querySelectorAll('main button')]
  .filter((button) => button.getBoundingClientRect().height < arguments[0])
  .map((button) => button.innerText);
"""


def violations(page: Page, rules: dict[str, object]) -> list[str]:
    """What axe-core finds against WCAG 2.2 AA, contrast included: in the dialog where one is open,
    whose place beneath is looked at by itself."""
    if not page.script("return 'axe' in window"):
        page.script(AXE)
    found = page.driver.execute_async_script(
        "const done = arguments[1];"
        "const where = [...document.querySelectorAll('[role=dialog]')].at(-1) ?? document;"
        "axe.run(where, {runOnly: arguments[0]}).then((r) => done(r.violations));",
        rules,
    )
    return [f"{v['id']}: {n['target']} {n['failureSummary']}" for v in found for n in v["nodes"]]


def by_day_and_by_night(page: Page) -> list[str]:
    """What is wrong with what the page shows, the sheet as it was afterwards."""
    wrong = violations(page, EVERYTHING)
    if page.scrolls_sideways:
        wrong.append("scrolls sideways")
    page.script("document.documentElement.dataset.sheet = 'night'")
    wrong += [f"by night: {one}" for one in violations(page, COLOURS)]
    page.script("document.documentElement.dataset.sheet = 'day'")
    return wrong


NARROW = (390, 640, 768, 1024)
"""A phone, a laptop at twice the size (WCAG 1.4.10 asks for as little as 320), tablets."""

TOO_WIDE = """
const wide = (one) => one.scrollWidth > one.clientWidth + 1;
return [...document.querySelectorAll('main, [role=dialog]')].filter(wide)
  .map((one) => `${one.tagName} ${one.scrollWidth} of ${one.clientWidth}`);
"""


def sideways(page: Page) -> list[str]:
    """At which widths what the page shows scrolls sideways, once it has come to rest."""
    wrong = []
    for width in NARROW:
        page.size(width, 844)
        try:
            page.until(lambda: not (page.scrolls_sideways or page.script(TOO_WIDE)))
        except TimeoutException:
            wrong += [f"{one} at {width}" for one in page.script(TOO_WIDE) or ["the page"]]
    page.size(*DESKTOP)
    return wrong


@pytest.mark.parametrize("walk", AT_A_DESK, ids=lambda walk: walk.__name__)
def test_every_place_is_accessible_by_day_and_by_night_and_fits_at_every_width(
    signed_in: Page, walk: Walk
) -> None:
    wrong = {stop: by_day_and_by_night(signed_in) + sideways(signed_in) for stop in walk(signed_in)}
    assert {stop: said for stop, said in wrong.items() if said} == {}


def test_what_needs_a_decision_is_accessible_and_fits(step_up_waits: None, signed_in: Page) -> None:
    wrong = {stop: by_day_and_by_night(signed_in) for stop in queue(signed_in)}
    assert {stop: said for stop, said in wrong.items() if said} == {}


@pytest.mark.parametrize("walk", ON_A_PHONE, ids=lambda walk: walk.__name__)
def test_the_phone_is_accessible_and_large_enough_for_a_thumb(signed_in: Page, walk: Walk) -> None:
    signed_in.size(*PHONE)
    wrong = {}
    for stop in walk(signed_in):
        wrong[stop] = by_day_and_by_night(signed_in)
        small = signed_in.script(LOW_BUTTONS, LEAST_TARGET)
        wrong[stop] += [f"{name} is less than {LEAST_TARGET} px high" for name in small]
    assert {stop: said for stop, said in wrong.items() if said} == {}


def test_the_sign_in_sheet_is_accessible(page: Page) -> None:
    page.find("input[name=email]")
    assert violations(page, EVERYTHING) == []
