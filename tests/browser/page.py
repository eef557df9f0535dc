"""A browser at a page, in words of what a person does; every look waits for its condition."""

import re
from typing import Any

from selenium import webdriver
from selenium.common.exceptions import (
    ElementClickInterceptedException,
    NoSuchElementException,
    StaleElementReferenceException,
    TimeoutException,
)
from selenium.webdriver.common.action_chains import ActionChains
from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys
from selenium.webdriver.remote.webelement import WebElement
from selenium.webdriver.support.ui import WebDriverWait

EMAIL = "coach@theatre.example"
PASSWORD = "a riser and two ropes"
DESKTOP = (1280, 800)
PHONE = (390, 844)
PATIENCE = 45
"""Seconds: two busy cores are slow, and what comes sooner costs nothing."""
EXPECTED_COMPLAINTS = (
    "/api/me - Failed to load resource: the server responded with a status of 401",
)


class Page:
    """What a coach sees and does."""

    def __init__(self, driver: webdriver.Chrome, url: str) -> None:
        self.driver = driver
        self.url = url
        self.width = DESKTOP[0]
        self.allowed = list(EXPECTED_COMPLAINTS)

    def size(self, width: int, height: int) -> None:
        self.width = width
        metrics = {"width": width, "height": height, "deviceScaleFactor": 1, "mobile": width < 500}
        self.driver.execute_cdp_cmd("Emulation.setDeviceMetricsOverride", metrics)

    def open(self, path: str) -> None:
        self.driver.get(self.url + path)

    def until(self, condition: Any) -> Any:
        ignored = [
            NoSuchElementException,
            StaleElementReferenceException,
            ElementClickInterceptedException,
        ]
        return WebDriverWait(self.driver, PATIENCE, 0.05, ignored).until(lambda _: condition())

    # ---- looking ----

    @property
    def text(self) -> str:
        return str(self.script("return document.body.innerText"))  # as it is shown

    def sees(self, *words: str) -> None:
        """Wait until all of the words stand on the page."""
        try:
            self.until(lambda: all(note in self.text for note in words))
        except TimeoutException as error:
            text = self.text
            missing = [note for note in words if note not in text]
            raise AssertionError(f"{missing} not on the page:\n{text}") from error

    def sees_not(self, note: str) -> None:
        self.until(lambda: note not in self.text)

    def find(self, css: str) -> WebElement:
        return self.until(lambda: self.driver.find_element(By.CSS_SELECTOR, css))

    def find_all(self, css: str) -> list[WebElement]:
        return self.driver.find_elements(By.CSS_SELECTOR, css)

    def button(self, words: str) -> WebElement:
        """The button, link or label with these words or this name."""
        path = f'//*[self::button or self::a][normalize-space()="{words}" or @aria-label="{words}"]'
        return self.until(lambda: self.driver.find_element(By.XPATH, path))

    def field(self, label: str) -> WebElement:
        path = f'//label[normalize-space()="{label}"]'
        found = self.until(lambda: self.driver.find_element(By.XPATH, path))
        return self.driver.find_element(By.ID, found.get_attribute("for"))

    def script(self, code: str, *arguments: Any) -> Any:
        return self.driver.execute_script(code, *arguments)

    @property
    def chosen_rung(self) -> str:
        """Name of the rung picked on the ladder."""
        found = self.find('[role="option"][aria-selected="true"]').text
        return found.splitlines()[0]

    @property
    def dialog(self) -> WebElement:
        return self.find('[role="dialog"]')

    # ---- doing ----

    def press(self, *keys: str) -> None:
        """Press keys, one after the other, wherever the focus is."""
        for key in keys:
            ActionChains(self.driver).send_keys(key).perform()

    def unfold(self, words: str) -> None:
        """Open what is folded away under some words."""
        said = words.lower()
        self.until(
            lambda: next(one for one in self.find_all("summary") if one.text.lower() == said)
        ).click()

    def click(self, words: str) -> None:
        """Press a button or follow a link. A press on one that is busy would be lost: it is waited
        for, as a hand waits."""

        def pressed() -> bool:
            found = self.button(words)
            if not found.is_enabled():
                return False
            found.click()
            return True

        self.until(pressed)

    def opens_ladder(self, name: str) -> None:
        """Open an athlete's ladder from the squad, whose lines name rungs too."""
        self.click(name)
        self.until(lambda: self.find_all('section[aria-label="Ladder"] [role="option"]'))

    def try_again(self) -> None:
        """Press "Try again now", unless the sheet has come back by itself in the meantime."""
        try:
            for button in self.find_all("main button"):
                if button.text == "Try again now":
                    button.click()
        except StaleElementReferenceException:
            return  # it went while we looked: the sheet is back

    def choose(self, scale: str, value: int) -> None:
        """Pick a value on a scale such as effort or pain."""
        css = f'[aria-label="{scale} {value}"]'
        self.until(lambda: self.find(css).click() is None)
        self.until(lambda: self.find(css).get_attribute("aria-checked") == "true")

    def fill(self, label: str, value: str) -> None:
        box = self.field(label)
        box.clear()
        box.send_keys(value)

    def put(self, label: str, value: str) -> None:
        """Type over a measure that counts from key to key."""
        box = self.field(label)
        box.send_keys(Keys.CONTROL, "a")
        box.send_keys(value)

    def select(self, label: str, words: str) -> None:
        """Pick an option once it is there: they may come after their list."""
        path = f'.//option[normalize-space()="{words}"]'
        self.until(lambda: self.field(label).find_element(By.XPATH, path).click() is None)

    def has_cookie(self, name: str, value: str) -> None:
        """Give the browser a cookie of the service's before it opens a page."""
        cookie = {"name": name, "value": value, "url": self.url, "path": "/api", "httpOnly": True}
        self.driver.execute_cdp_cmd("Network.setCookie", {**cookie, "sameSite": "Strict"})

    def sign_in(self, email: str = EMAIL, password: str = PASSWORD) -> None:
        self.fill("E-mail", email)
        self.fill("Password", password + Keys.ENTER)
        if password == PASSWORD:
            self.sees("Squad", "Oda Fenwick")
            self.find("main tbody")

    def open_ladder(self, name: str = "Oda Fenwick") -> None:
        self.click(name)
        self.find('[role="listbox"]')
        self.sees("ON THE HANDS")

    def open_next_week(self) -> None:
        """The Week of the ladder at hand, a week ahead, so that no day of it is past."""
        self.press("5")
        self.sees("Hard sets by region".upper())
        before = self.find("main h1").text
        self.click("The week after")
        self.until(lambda: self.find("main h1").text != before)

    def solve_and_keep(self) -> None:
        self.press("s")
        self.sees("A plan, not kept yet", "proven best")
        self.press("k")
        self.sees_not("A plan, not kept yet")

    # ---- judging ----

    @property
    def scrolls_sideways(self) -> bool:
        # Not against innerWidth: a phone's grows with what does not fit.
        return self.script("return document.documentElement.scrollWidth") > self.width

    def complaints(self) -> list[str]:
        """What the browser's console holds against the page, without what a test expects."""
        found = [one["message"] for one in self.driver.get_log("browser")]
        return [
            one for one in found if not any(re.search(allowed, one) for allowed in self.allowed)
        ]

    def outside_requests(self) -> list[str]:
        names = self.script("return performance.getEntriesByType('resource').map((e) => e.name)")
        return [name for name in names if not name.startswith(self.url)]
