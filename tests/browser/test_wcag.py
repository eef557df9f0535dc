"""Every place and dialog: access by day and by night, sizes on a laptop and on a phone."""

import pytest

from invelo.settings import ROOT
from tests.browser.page import PHONE, Page
from tests.browser.places import PLACES

AXE = (ROOT / "web" / "node_modules" / "axe-core" / "axe.min.js").read_text(encoding="utf-8")
EVERYTHING = {
    "type": "tag",
    "values": ["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"],
}
COLOURS = {"type": "rule", "values": ["color-contrast"]}
"""All that the night sheet changes."""

ON_A_PHONE = ("phone", "run")
LEAST_TARGET = 24
"""Pixels, WCAG 2.5.8."""


def violations(page: Page, rules: dict[str, object]) -> list[str]:
    """What axe-core finds against WCAG 2.2 AA, contrast included: in the dialog where one is open,
    whose place beneath is looked at by itself."""
    if not page.script("return 'axe' in window"):
        page.script(AXE)
    found = page.driver.execute_async_script(
        "const done = arguments[1];"
        "const where = document.querySelector('[role=dialog]') ?? document;"
        "axe.run(where, {runOnly: arguments[0]}).then((r) => done(r.violations));",
        rules,
    )
    return [f"{v['id']}: {n['target']} {n['failureSummary']}" for v in found for n in v["nodes"]]


@pytest.mark.parametrize("place", PLACES)
def test_every_place_is_accessible_by_day_and_by_night_and_fits(
    signed_in: Page, place: str
) -> None:
    small = place.startswith(ON_A_PHONE)
    if small:
        signed_in.size(*PHONE)
    PLACES[place](signed_in)
    assert violations(signed_in, EVERYTHING) == []
    assert not signed_in.scrolls_sideways
    if small:
        buttons = signed_in.find_all("main button")
        assert all(button.size["height"] >= LEAST_TARGET for button in buttons)
    signed_in.script("document.documentElement.dataset.sheet = 'night'")
    assert violations(signed_in, COLOURS) == []


def test_the_sign_in_sheet_is_accessible(page: Page) -> None:
    page.find("input[name=email]")
    assert violations(page, EVERYTHING) == []
