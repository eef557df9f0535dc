"""What comes over the line before the first page stands, and what stays on an athlete's phone."""

import re
import urllib.request

from tests.browser.conftest import Service
from tests.browser.page import Page

SIZES = """
return performance.getEntriesByType('resource')
  .filter(one => new URL(one.name).pathname.endsWith('.js'))
  .reduce((sum, one) => sum + one.encodedBodySize, 0);
"""
"""Bytes of all scripts as they came, packed."""

MOST_AT_A_DESK, MOST_ON_A_PHONE = 200_000, 120_000

OF_A_COACH = {"Coached", "Squad", "Intake", "Ladder", "Bench", "Week", "Review", "Trends"}


def test_scripts_stay_small(signed_in: Page) -> None:
    assert 50_000 < signed_in.script(SIZES) <= MOST_AT_A_DESK
    squad = "return fetch('/api/squad').then(one => one.json()).then(one => one.athletes[0].id)"
    signed_in.open(f"/phone/{signed_in.script(squad)}")
    signed_in.until(lambda: "check-in" in signed_in.text.lower())
    assert 50_000 < signed_in.script(SIZES) <= MOST_ON_A_PHONE


def test_no_code_of_a_coach_s_stays_on_an_athlete_s_phone(service: Service) -> None:
    with urllib.request.urlopen(f"{service.url}/sw.js", timeout=10) as answer:
        kept = answer.read().decode()
    names = set(re.findall(r"assets/(\w+)-[\w-]{8}\.js", kept))
    assert {"Phone", "Runner", "CheckIn", "History", "index"} <= names
    assert names & OF_A_COACH == set()
