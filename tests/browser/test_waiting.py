"""While an answer is under way, a place says that it fetches: never a nought, never "none yet"."""

import re
from collections.abc import Iterator

import pytest

from tests.browser.page import Page

FALSE = re.compile(
    r"(?<![\d.])0 (?:athletes|movements|sessions|ladders|bands|sets|people|tests)\b"
    r"|\bNo \w+ yet|\bnone yet|\bNobody|\bnothing (?:yet|here)",
    re.IGNORECASE,
)
SLOW_MS = 2500


def line(page: Page, latency_ms: int) -> None:
    """How long every answer takes on the way."""
    conditions = {"offline": False, "downloadThroughput": -1, "uploadThroughput": -1}
    page.driver.execute_cdp_cmd(
        "Network.emulateNetworkConditions", {**conditions, "latency": latency_ms}
    )


@pytest.fixture
def slow(signed_in: Page) -> Iterator[Page]:
    """At a ladder, read anew, from which on every answer takes its time."""
    signed_in.open_ladder()
    signed_in.sees("On the Bench")
    signed_in.driver.execute_cdp_cmd("Network.enable", {})
    signed_in.driver.refresh()
    signed_in.sees("On the Bench")
    line(signed_in, SLOW_MS)
    yield signed_in
    line(signed_in, 0)


HEAR = """
window.heard = new Set();
const hear = () => window.heard.add(document.querySelector('#content').innerText);
new MutationObserver(hear).observe(document.body, {subtree: true, childList: true});
"""


@pytest.mark.parametrize(
    ("key", "come"),
    [
        ("1", "Oda Fenwick"),
        ("2", "Nothing was asked yet"),
        ("4", "On the hands"),
        ("5", "Availability …"),
        ("6", "Private link"),
        ("7", "Rules that spoke"),
    ],
)
def test_a_place_is_never_empty_before_it_is_known(slow: Page, key: str, come: str) -> None:
    slow.script(HEAR)
    slow.press(key)
    slow.until(lambda: come.lower() in slow.find("#content").text.lower())
    heard = slow.script("return [...window.heard]")
    assert len(heard) > 1
    assert {match for said in heard for match in FALSE.findall(said)} == set()
