"""Take the pictures in docs/screenshots anew.

    PYTHONPATH=src .venv/bin/python -m tests.browser.pictures

Made from the demo data, in a throwaway database, at 1280 × 800 (a phone's 390 × 844 for the Floor).
Look at each before committing it.
"""

import tempfile
from collections.abc import Iterator
from contextlib import contextmanager
from datetime import UTC, datetime
from pathlib import Path

from selenium.webdriver.common.by import By

from invelo import postgres
from invelo.demo.history import load
from invelo.demo.theatre import COACH_EMAIL, COACH_PASSWORD
from invelo.settings import ROOT
from invelo.store.database import engine_for, migrate, transaction
from tests.browser.conftest import Service, chromium
from tests.browser.page import DESKTOP, PHONE, Page

FOLDER = ROOT / "docs" / "screenshots"


@contextmanager
def demo() -> Iterator[Page]:
    """A browser at the demo's sign-in sheet."""
    with tempfile.TemporaryDirectory(prefix="invelo-pictures-") as folder:
        Path(folder).chmod(0o755)
        with postgres.running(Path(folder) / "postgres", postgres.FAST_AND_LOOSE) as server:
            url = server.url("demo")
            migrate(url)
            engine = engine_for(url)
            with transaction(engine) as db:
                load(db, datetime.now(UTC))
            engine.dispose()
            service = Service(url)
            service.start()
            with chromium() as driver:
                page = Page(driver, service.url)
                page.size(*DESKTOP)
                page.open("/")
                yield page
            service.stop()


def take(page: Page, name: str) -> None:
    """Keep what the browser shows, once its letters are there and no pointer hovers."""
    page.driver.execute_async_script("document.fonts.ready.then(arguments[0])")
    page.driver.save_screenshot(str(FOLDER / f"{name}.png"))


def main() -> None:
    """Walk through the places."""
    FOLDER.mkdir(parents=True, exist_ok=True)
    with demo() as page:
        page.fill("E-mail", COACH_EMAIL)
        page.fill("Password", COACH_PASSWORD)
        page.click("Sign in")
        page.sees("Tilde Varga", "Juno Pell", "Bram Oster")
        take(page, "squad")
        page.open_ladder("Tilde Varga")
        take(page, "ladder")
        page.find("aside dd button").click()
        page.sees("How it came about".upper())
        take(page, "explained")
        page.click("Close")
        page.until(lambda: not page.driver.find_elements(By.CSS_SELECTOR, '[role="dialog"]'))
        page.press("t")
        page.find('[role="dialog"] tbody tr')
        take(page, "ways")
        page.click("Close")
        page.until(lambda: not page.driver.find_elements(By.CSS_SELECTOR, '[role="dialog"]'))
        page.click("Night sheet")
        take(page, "ladder-night")
        page.press("7")
        page.sees("Step back")
        take(page, "review-night")
        page.click("Day sheet")
        page.press("1")
        page.open_ladder("Juno Pell")
        page.press("7")
        page.sees("Step up")
        take(page, "review")
        page.press("6")
        page.sees("Before you start")
        take(page, "floor-before")
        page.click("Start the session")
        page.find('[aria-label="Reps"]')
        page.choose("Effort", 8)
        take(page, "floor-set")
        page.size(*PHONE)
        take(page, "floor-phone")
        page.size(*DESKTOP)
        page.press("l")
        page.sees("Next: set 2")
        take(page, "floor-rest")


if __name__ == "__main__":
    main()
