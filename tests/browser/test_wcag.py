"""Every place and dialog: access by day and by night, sizes on a laptop and on a phone."""

import pytest

from invelo.settings import ROOT
from tests.browser.page import PHONE, Page
from tests.browser.places import PLACES

AXE = (ROOT / "web" / "node_modules" / "axe-core" / "axe.min.js").read_text(encoding="utf-8")
STANDARD = ["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"]


def violations(page: Page) -> list[str]:
    """What axe-core finds against WCAG 2.2 AA, contrast included."""
    page.script(AXE)
    found = page.driver.execute_async_script(
        "const done = arguments[1];"
        "axe.run(document, {runOnly: arguments[0]}).then((r) => done(r.violations));",
        STANDARD,
    )
    return [f"{v['id']}: {n['target']} {n['failureSummary']}" for v in found for n in v["nodes"]]


@pytest.mark.parametrize("place", PLACES)
def test_every_place_is_accessible_by_day_and_by_night(signed_in: Page, place: str) -> None:
    PLACES[place](signed_in)
    assert violations(signed_in) == []
    signed_in.script("document.documentElement.dataset.sheet = 'night'")
    assert violations(signed_in) == []


def test_the_sign_in_sheet_is_accessible(page: Page) -> None:
    page.find("input[name=email]")
    assert violations(page) == []


@pytest.mark.parametrize(
    "place",
    [
        "squad",
        "intake",
        "intake, readiness",
        "intake, tests",
        "intake, placement",
        "ladder",
        "bench",
        "bench, compared",
        "week",
        "floor",
        "floor, by hand",
        "run, set",
        "review",
    ],
)
def test_no_place_scrolls_sideways_on_a_laptop(signed_in: Page, place: str) -> None:
    PLACES[place](signed_in)
    assert not signed_in.scrolls_sideways


ON_A_PHONE = [place for place in PLACES if place.startswith(("phone", "run"))]


@pytest.mark.parametrize("place", ON_A_PHONE)
def test_the_floor_fits_a_phone(signed_in: Page, place: str) -> None:
    signed_in.size(*PHONE)
    PLACES[place](signed_in)
    assert not signed_in.scrolls_sideways
    for button in signed_in.find_all("main button"):
        assert button.size["height"] >= 24  # WCAG 2.5.8, target size
