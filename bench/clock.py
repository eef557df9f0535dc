"""Clock: ten real minutes of a set's tempo in a real browser, half of them with the page hidden.

    PYTHONPATH=src:. .venv/bin/python -m bench.clock [minutes]

Told: by how many milliseconds the tempo has drifted from the machine's monotonic clock, seen and
after it was hidden (both must stay within 50), and how long a press waits for its answer (100).
"""

import json
import sys
import time

from tests.browser import phone as phones
from tests.browser.page import Page
from tests.browser.pictures import demo
from tests.browser.test_run import DRAWN, MOVING

from invelo.demo.theatre import COACH_EMAIL, COACH_PASSWORD

MINUTES = 10.0
ANSWERS = """
const done = arguments[0];
const buttons = [...document.querySelectorAll('button')];
const pause = buttons.find((one) => one.textContent === 'Pause');
const began = performance.now();
const all = { subtree: true, childList: true, characterData: true, attributes: true };
new MutationObserver(() => done(performance.now() - began)).observe(document.body, all);
pause.click();
"""
"""Milliseconds from a press to the first change on the page."""


def main() -> None:
    """Wait, and tell."""
    minutes = float(sys.argv[1]) if len(sys.argv) > 1 else MINUTES
    phones.EMAIL, phones.PASSWORD = COACH_EMAIL, COACH_PASSWORD
    with demo() as page:
        print(json.dumps(_drift(page, 60.0 * minutes)))


def _drift(page: Page, seconds: float) -> dict[str, float]:
    office = phones.Office(page.url)
    phone = phones.Phone(page.driver, page.url)
    office.plans_today()
    phone.comes_in(office.link())
    phone.starts()
    phone.runs_on(until=lambda: bool(phone.find_all(MOVING)))
    phone.until(lambda: phone.find(MOVING).get_attribute("data-elapsed"))

    def apart() -> float:
        """Elapsed by the page less the machine's clock, s; the quickest of many askings."""
        found = []
        for _ in range(20):
            before = time.monotonic()
            told = json.loads(phone.script(DRAWN))
            after = time.monotonic()
            found.append((after - before, told["elapsed"] - (before + after) / 2))
        return min(found)[1]

    first = apart()
    time.sleep(seconds / 2)
    seen = apart()
    phone.driver.switch_to.new_window("tab")
    time.sleep(seconds / 2)
    phone.driver.close()
    phone.driver.switch_to.window(phone.driver.window_handles[0])
    hidden = apart()
    return {
        "minutes": seconds / 60,
        "drift_seen_ms": 1000 * (seen - first),
        "drift_hidden_ms": 1000 * (hidden - first),
        "press_ms": phone.driver.execute_async_script(ANSWERS),
    }


if __name__ == "__main__":
    main()
