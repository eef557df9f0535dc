"""Take the pictures in docs/screenshots, and the drawings in docs/figures, anew.

    PYTHONPATH=src .venv/bin/python -m tests.browser.pictures

Made from the demo data, in a throwaway database, at 1280 × 800 (a phone's 390 × 844 for the Floor).
Look at each before committing it.
"""

import tempfile
from collections.abc import Iterator
from contextlib import contextmanager
from datetime import UTC, datetime
from io import BytesIO
from pathlib import Path

from PIL import Image
from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys

from invelo.db.database import engine_for, migrate, transaction
from invelo.demo.history import load
from invelo.demo.theatre import COACH_EMAIL, COACH_PASSWORD
from invelo.runtime import postgres
from invelo.runtime.ports import held_port
from invelo.runtime.settings import ROOT
from tests.browser.conftest import Service, chromium
from tests.browser.page import DESKTOP, PHONE, Page
from tests.browser.phone import CLOCK, Phone

FOLDER = ROOT / "docs" / "screenshots"
FIGURES = ROOT / "docs" / "figures"
PAPER = '<rect width="100%" height="100%" fill="#fbfaf5"/>'

DRAWN = {
    "push-up": ("Push-up", None),
    "knee-push-up": ("Knee push-up", None),
    "row": ("Row", "half way"),
    "planche": ("Planche", "straddle"),
    "l-sit": ("L-sit", "straight"),
    "split-squat": ("Split squat", "rear foot raised"),
    "wall-sit": ("Wall sit", "level"),
    "bridge": ("Bridge, hips raised", "floor"),
}
"""Figures that docs/model.md teaches with: movement and shape."""


@contextmanager
def demo() -> Iterator[Page]:
    """A browser at the demo's sign-in sheet."""
    with tempfile.TemporaryDirectory(prefix="invelo-pictures-") as folder:
        Path(folder).chmod(0o755)
        with (
            postgres.running(Path(folder) / "postgres", postgres.FAST_AND_LOOSE) as server,
            held_port() as port,
        ):
            url = server.url("demo")
            migrate(url)
            engine = engine_for(url)
            with transaction(engine) as db:
                load(db, datetime.now(UTC))
            engine.dispose()
            service = Service(url, port, "")
            service.start()
            try:
                with chromium() as driver:
                    page = Page(driver, service.url)
                    clock = {"source": CLOCK}
                    driver.execute_cdp_cmd("Page.addScriptToEvaluateOnNewDocument", clock)
                    page.size(*DESKTOP)
                    page.open("/")
                    yield page
            finally:
                service.stop()


def take(page: Page, name: str) -> None:
    """Keep what the browser shows, once its letters are there and no pointer hovers."""
    page.driver.execute_async_script("document.fonts.ready.then(arguments[0])")
    page.driver.save_screenshot(str(FOLDER / f"{name}.png"))


def no_dialog(page: Page) -> None:
    page.until(lambda: not page.driver.find_elements(By.CSS_SELECTOR, '[role="dialog"]'))


def put(page: Page, label: str, value: str) -> None:
    """Type over what a field of the Bench holds."""
    box = page.field(label)
    box.send_keys(Keys.CONTROL, "a")
    box.send_keys(value)
    settled(page)


def settled(page: Page) -> None:
    page.find('[data-settled="true"]')


def set_up(page: Page, movement: str, shape: str | None) -> None:
    page.select("Movement", movement)
    settled(page)
    if shape:
        page.select("Shape", shape)
        settled(page)


def intake(page: Page) -> None:
    """A screen that limits: a sore wrist."""
    page.click("Intake of Bram Oster")
    page.find('nav[aria-label="Parts of the intake"] a[href$="/screen"]').click()
    page.find('input[type="date"]')
    page.script(
        "const field = document.querySelector('input[type=date]');"
        "const own = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value');"
        "own.set.call(field, '1979-04-02');"
        "field.dispatchEvent(new Event('input', {bubbles: true}));"
    )
    wrist = page.find('fieldset input[type="number"]')
    wrist.send_keys(Keys.CONTROL, "a")
    wrist.send_keys("5")
    page.click("Keep the answers")
    page.sees("Go, with limits")
    take(page, "intake-screen")
    page.script("document.activeElement.blur()")
    page.press("1")
    page.click("Intake of Juno Pell")
    for part, words in (("kit", "lighting bar"), ("placement", "N·m")):
        page.find(f'nav[aria-label="Parts of the intake"] a[href$="/{part}"]').click()
        page.sees(words)
        if part == "kit":
            page.script(
                "[...document.querySelectorAll('h2')].find((one) => one.textContent === 'Bands')"
                ".scrollIntoView()"
            )
        take(page, f"intake-{part}")
    page.script("document.activeElement.blur()")
    page.press("1")
    page.sees("Tilde Varga")


def workshop(page: Page) -> None:
    """A gap bridged in pencil on one ladder, a rung edited on another."""
    page.press("1")
    page.sees("LAST SESSION")
    page.opens_ladder("Pavo Linde")
    page.find('[role="option"]').click()
    page.press("b")
    page.sees("Take all")
    take(page, "ladder-bridge")
    page.click("Done")
    page.press("1")
    page.sees("LAST SESSION")
    page.open_ladder("Tilde Varga")
    page.press("e")
    page.sees("Edit the rung", "Steps …")
    page.find("aside svg")
    page.put("surface under the hands", "70")
    page.sees("hand load")
    page.script("document.activeElement.blur()")
    page.click("Leave it")
    own_movement(page)


def own_movement(page: Page) -> None:
    """A lever between a tuck and a straight one, made by its joints."""
    page.press("/")
    page.select("Family", "any")
    page.fill("Name", "tuck front lever")
    page.until(lambda: "lever" in page.find('[role="dialog"] section h3').text.casefold())
    page.click("Make your own from it …")
    page.find('[aria-label="hip, start"]').send_keys("45")
    page.find('[aria-label="knee, start"]').send_keys("60")
    page.until(lambda: "N·m" in page.dialog.text)
    page.script("document.activeElement.blur()")
    take(page, "own-movement")
    page.click("Close")
    page.find('[aria-label="Movements found"]')
    page.click("Close")
    no_dialog(page)


def weeks(page: Page) -> None:
    """The week, a day's session, the day adapted, a session built, a class at its clock."""
    page.press("1")
    page.open_ladder("Juno Pell")
    page.press("5")
    page.sees("Hard sets by region".upper())
    take(page, "week")
    page.press(Keys.ENTER)
    page.sees("Before you start".upper())
    page.script("document.activeElement.blur()")
    take(page, "week-session")
    page.click("Adapt the day …")
    page.put("Minutes", "20")
    page.select("Sore place", "wrist")
    page.click("Show before and after")
    page.sees("Before", "After")
    take(page, "week-adapt")
    page.click("Close")
    no_dialog(page)
    builder(page)
    class_clock(page)


def builder(page: Page) -> None:
    """A pair of the coach's own, one of its sets going straight on."""
    page.click("Start from a session …")
    page.click("Build a session …")
    page.fill("Name", "Before the get-in")
    for words, name in (("press ups", "Push-up"), ("bridges", "Glute bridge")):
        box = page.find('section[aria-label="Group 1"] > div:last-child input')
        box.send_keys(words, Keys.ENTER)
        page.until(lambda named=name: page.find_all(f'[aria-label="{named}, sets"]'))
    page.select("Done as", "pair")
    page.find('[aria-label="Push-up, from"]').send_keys("5")
    page.find('[aria-label="Push-up, kg"]').send_keys("6")
    page.find("[role=dialog] details summary").click()
    page.click("The same, done another way")
    page.find('[aria-label="Push-up again, tempo"]').send_keys("1-0-1-3")
    page.until(lambda: "glutes" in page.find('aside[aria-label="So far"]').text)
    page.script("document.activeElement.blur()")
    take(page, "builder")
    page.click("Close")
    page.find('ul[aria-label="Sessions"]')
    page.click("Close")
    no_dialog(page)


def class_clock(page: Page) -> None:
    """Six people at one clock, in the first turn of work."""
    told = page.driver.execute_async_script(
        "fetch('/api/squad').then((told) => told.json()).then(arguments[0])"
    )
    six = "&".join(f"athletes={one['id']}" for one in told["athletes"][:6])
    page.open(f"/class/push-none?{six}")
    page.click("Start the clock")
    page.until(lambda: page.click("Next") is None and "\nWork\n" in page.find("main").text)
    page.script("document.activeElement.blur()")
    take(page, "class-clock")
    page.open("/squad")
    page.open_ladder("Juno Pell")


def benches(page: Page) -> None:
    """The Bench: a pose, two compared, what equals a load, which band is enough."""
    page.press("1")
    page.open_ladder("Juno Pell")
    page.press("4")
    settled(page)
    put(page, "surface under the feet", "20")
    put(page, "surface under the feet", "0")
    set_up(page, "Planche", "straddle")
    page.click("Which band …")
    page.select("Done", "Planche")
    page.select("Shape done", "advanced tuck")
    put(page, "Seconds held", "12")
    page.button("Set it up: narrow")
    page.click("Set it up: narrow")
    no_dialog(page)
    settled(page)
    page.script("document.activeElement.blur()")
    take(page, "bench")


def figures(page: Page) -> None:
    """Single postures as drawings, through the Bench's own copy."""
    FIGURES.mkdir(parents=True, exist_ok=True)
    allowed = ["clipboardReadWrite", "clipboardSanitizedWrite"]
    page.driver.execute_cdp_cmd(
        "Browser.grantPermissions", {"permissions": allowed, "origin": page.url}
    )
    page.driver.execute_cdp_cmd("Emulation.setFocusEmulationEnabled", {"enabled": True})
    page.script("sessionStorage.clear()")
    page.open("/bench")
    settled(page)
    for name, (movement, shape) in DRAWN.items():
        set_up(page, movement, shape)
        page.find("figcaption button").click()
        page.sees("Copied as SVG")
        copied = page.driver.execute_async_script(
            "navigator.clipboard.readText().then(arguments[0])"
        )
        head, rest = copied.split(">", 1)
        (FIGURES / f"{name}.svg").write_text(f"{head}>{PAPER}{rest}\n", encoding="utf-8")


def floors(page: Page) -> None:
    """The floor live, and a phone at four moments side by side."""
    page.press("6")
    page.sees("◇ live", "Tilde Varga")
    take(page, "floor-live")
    page.press("w")
    page.find("[data-cell]")
    page.press(Keys.ESCAPE)
    page.script("document.activeElement.blur()")
    page.press("6")
    page.sees("◇ live")
    page.click("Run a session at their side")
    page.size(*PHONE)
    page.find("nav[aria-label=Pages]")
    shots = []

    def shot() -> None:
        page.driver.execute_async_script("document.fonts.ready.then(arguments[0])")
        shots.append(Image.open(BytesIO(page.driver.get_screenshot_as_png())))

    page.click("Check-in")
    page.click("wrist")
    page.click("hurts")
    page.choose("Pain", 3)
    shot()
    page.click("Today")
    page.find("section button[aria-pressed]")
    if "Start the session" not in page.text:  # nothing is planned on this day of the week
        page.find("section button[aria-pressed]").click()
    phone = Phone(page.driver, page.url)
    phone.starts()
    phone.runs_on(until=lambda: phone.find_all('[aria-label="Seconds held"]'))
    shot()
    phone.runs_on(
        until=lambda: "STRAIGHT SETS" in phone.text and bool(phone.find_all("[data-point]"))
    )
    phone.until(lambda: phone.find("[data-beat]").get_attribute("data-beat").endswith("/1"))
    shot()
    phone.to_the_next_set()
    shot()
    hold, tempo, rest, check_in = shots[1], shots[2], shots[3], shots[0]
    width, height = hold.size
    sheet = Image.new("RGB", (4 * width + 60, height), "#efece2")
    for place, one in enumerate((tempo, hold, rest, check_in)):
        sheet.paste(one, (place * (width + 20), 0))
    sheet.save(FOLDER / "phone.png", optimize=True)
    page.size(*DESKTOP)
    page.open("/squad")
    page.open_ladder("Juno Pell")


def looked(page: Page) -> None:
    """Look at the week that is over, where nobody did yet: on a Monday."""
    if "Look at the week" in page.text:
        page.click("Look at the week")
        page.sees_not("was not looked at yet")
        page.until(lambda: not [one for one in page.find_all("main button") if one.text == "Stop"])


def main() -> None:
    """Walk through the places."""
    FOLDER.mkdir(parents=True, exist_ok=True)
    with demo() as page:
        page.fill("E-mail", COACH_EMAIL)
        page.fill("Password", COACH_PASSWORD)
        page.click("Sign in")
        page.sees("Tilde Varga", "Juno Pell", "Bram Oster")
        page.find("main tbody")
        looked(page)
        take(page, "squad")
        page.press("q")
        page.sees("Tick all")
        take(page, "squad-queue")
        page.press("q")
        page.sees("LAST SESSION")
        intake(page)
        page.open_ladder("Tilde Varga")
        take(page, "ladder")
        page.find("aside dd button").click()
        page.sees("How it came about".upper())
        take(page, "explained")
        page.click("Close")
        no_dialog(page)
        workshop(page)
        page.press("1")
        page.press("q")
        page.sees("Tick all")
        page.find('main button[aria-label^="Review of "]').click()
        page.sees("RULES THAT SPOKE")
        take(page, "review")
        page.press("1")
        page.open_ladder("Tilde Varga")
        page.press("7")
        page.sees("RULES THAT SPOKE")
        page.press("t")
        page.sees("Reach: capacity, kg")
        page.until(lambda: len(page.find_all(".recharts-line-curve")) >= 3)
        take(page, "review-trends")
        page.press("1")
        page.open_ladder("Juno Pell")
        floors(page)
        weeks(page)
        benches(page)
        figures(page)


if __name__ == "__main__":
    main()
