"""An athlete's phone in words of what they do, and a coach's office that plans for it."""

from datetime import UTC, datetime
from typing import Any
from uuid import uuid4

import requests
from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys

from tests.browser.page import DESKTOP, EMAIL, PASSWORD, PHONE, Page

PATIENCE = 45
CLOCK = """
const real = performance.now.bind(performance);
let ahead = 0;
performance.now = () => real() + ahead;
window.letPass = (seconds) => { ahead += 1000 * seconds; };
"""
"""The page's clock, which a test can move forward: sixty seconds of rest pass in none."""

LOOK = """
const there = (css) => document.querySelector(css) !== null;
const look = () => ({
  step: Number(document.querySelector('[role=progressbar]')?.getAttribute('aria-valuenow') ?? 0),
  asked: there('section[aria-label="Log the set"]'),
  over: document.body.innerText.includes('How hard was the whole session?'),
  window: there('[aria-label="Work, seconds left"]'),
});
"""
"""What says where the session is."""

GO_ON = """
const byHand = ['Done', 'Let go', 'Begin', 'Now', 'Ready', 'Warm-up done'];
const [toTheNextSet, tell] = arguments;
const waits = () =>
  [...document.querySelectorAll('main section:first-of-type button')].some((button) =>
    byHand.includes(button.innerText));
function step(from) {
  const moved = new MutationObserver(() => {
    const now = look();
    if (now.step === from.step && !now.over && !now.asked) return;
    moved.disconnect();
    toTheNextSet && !now.over && !now.asked ? step(now) : tell(now);
  });
  const all = { subtree: true, childList: true, attributes: true, characterData: true };
  moved.observe(document, all);
  if (from.window || !waits()) window.letPass(30);
  else document.body.dispatchEvent(new KeyboardEvent('keydown', { key: ' ', bubbles: true }));
}
const now = look();
now.over || now.asked ? tell(now) : step(now);
"""
"""Ends the step at hand as a press would, or lets its clock run out; or every step up to where a
set is to be filled in, in the page itself, since nobody watches what goes before."""

KEPT = """
const tell = arguments[0];
indexedDB.open('invelo').onsuccess = ({ target: { result: db } }) => {
  const stores = db.transaction(['runs', 'outbox']);
  const runs = stores.objectStore('runs').getAll();
  const outbox = stores.objectStore('outbox').count();
  stores.oncomplete = () => {
    db.close();
    tell({
      runs: runs.result.length,
      pending: runs.result.flatMap((run) => run.pending).length,
      logged: runs.result.flatMap((run) => run.logged).length,
      waiting: outbox.result,
    });
  };
};
"""
"""What the device itself holds, beyond the page: it is written a moment after the page shows it."""

OFFLINE = {"offline": True, "latency": 0, "downloadThroughput": 0, "uploadThroughput": 0}
ONLINE = {"offline": False, "latency": 0, "downloadThroughput": -1, "uploadThroughput": -1}
AWAY = r"Failed to load resource: (net::ERR_|the server responded with a status of 503)"
"""What the browser's console says of a network that is gone."""


class Office:
    """The coach at another machine: plans, gives links, looks at what came in."""

    def __init__(self, url: str) -> None:
        self.url = url
        self.session = requests.Session()
        self.call("POST", "/api/sign-in", email=EMAIL, password=PASSWORD)
        self.athlete = self.call("GET", "/api/squad")["athletes"][0]["id"]
        self.base = f"/api/athletes/{self.athlete}"

    def call(self, method: str, path: str, **body: Any) -> Any:
        json = body if method != "GET" else None
        response = self.session.request(method, self.url + path, json=json, timeout=PATIENCE)
        response.raise_for_status()
        return response.json() if response.content else None

    def gives(self, ready: str) -> str:
        """Another ladder; its id."""
        body = {"ready_ladder": ready, "purpose": "strength", "level": "beginner"}
        return str(self.call("POST", f"{self.base}/ladders", **body)["id"])

    @property
    def ladders(self) -> list[str]:
        along = self.call("GET", f"{self.base}/floor")
        return [one["ladder_id"] for one in along["single"]]

    def plans_today(self, **hands: Any) -> None:
        """Everything of the week on today, in formats set by hand."""
        days = [{"index": day, "minutes": 120} for day in range(7)]
        self.call("PUT", f"{self.base}/week/availability", days=days, hands=hands)
        seen = self.call("GET", f"{self.base}/week")
        today = datetime.fromisoformat(self.call("GET", f"{self.base}/floor")["today"]).weekday()
        placed = [{"task": task["key"], "day": today} for task in seen["tasks"]]
        self.call("PUT", f"{self.base}/week", placed=placed, number=seen["revision"])

    def link(self) -> str:
        made = self.call("POST", f"{self.base}/link")
        return str(self.url + made["address"])

    def ends_link(self) -> None:
        self.call("DELETE", f"{self.base}/link")

    def sets(self) -> list[dict[str, Any]]:
        """Every set of the newest session, in the order they were done."""
        found = self.call("GET", f"{self.base}/history")["sessions"]
        running = self.call("GET", f"{self.base}/sessions")
        sessions = running or found
        return list(sessions[0]["sets"]) if sessions else []

    def reviewed(self, ladder: str) -> list[dict[str, Any]]:
        """The sets of the newest session on a ladder's Review."""
        return list(self.call("GET", f"/api/ladders/{ladder}/review")["sessions"][0]["sets"])


class Phone(Page):
    """A browser as wide as a phone, in an athlete's hand."""

    def comes_in(self, link: str) -> None:
        """Open the private link."""
        self.size(*PHONE)
        self.driver.execute_cdp_cmd("Page.enable", {})
        self.driver.execute_cdp_cmd("Page.addScriptToEvaluateOnNewDocument", {"source": CLOCK})
        self.driver.get(link)
        self.find("nav[aria-label=Pages]")

    def begins(self, office: Office) -> None:
        """Come in by a new link and start the day's session."""
        self.comes_in(office.link())
        self.starts()

    def goes_offline(self, off: bool = True) -> None:
        self.allowed.append(AWAY)
        self.driver.execute_cdp_cmd("Network.enable", {})
        conditions = OFFLINE if off else ONLINE
        self.driver.execute_cdp_cmd("Network.emulateNetworkConditions", conditions)

    def passes(self, seconds: float) -> None:
        """Let the page's clock run ahead."""
        self.script("window.letPass(arguments[0])", seconds)

    def stands_beside(self, goal: str = "Decline push-up with a bag") -> None:
        """From a place of the coach's: to the athlete's floor, and a session of one ladder."""
        self.press("6")
        self.click("Run a session at their side")
        self.find("nav[aria-label=Pages]")
        path = f'//button[@aria-pressed][span[1]="{goal}"]'
        self.until(lambda: self.driver.find_element(By.XPATH, path).click() is None)
        self.starts()

    def trains(self, amounts: tuple[int, ...], rpes: tuple[int, ...]) -> None:
        """Sets one after the other, then the end of the session."""
        for amount, rpe in zip(amounts, rpes, strict=True):
            self.to_the_next_set()
            self.logs(amount, rpe)
        self.runs_on()
        self.closes()
        self.all_sent()

    def starts(self) -> None:
        self.click("Start the session")
        self.find("[role=progressbar]")

    def _looks(self) -> dict[str, Any]:
        return dict(self.script(LOOK + "return look();"))

    def _goes_on(self, to_the_next_set: bool) -> dict[str, Any]:
        self.find("[role=progressbar]")
        return dict(self.driver.execute_async_script(LOOK + GO_ON, to_the_next_set))

    @property
    def keeps_a_set_to_fill_in(self) -> bool:
        """Whether the device itself holds a set that waits, beyond the page."""
        return self._kept["pending"] > 0

    @property
    def _kept(self) -> dict[str, int]:
        return dict(self.driver.execute_async_script(KEPT))

    def to_the_next_set(self) -> None:
        """Do whatever comes until a set waits to be filled in."""
        assert self._goes_on(to_the_next_set=True)["asked"], "the session is over"

    @property
    def step(self) -> int:
        self.find("[role=progressbar]")
        return int(self._looks()["step"])

    @property
    def asked(self) -> bool:
        """Whether a set waits to be filled in."""
        return bool(self._looks()["asked"])

    @property
    def over(self) -> bool:
        return bool(self._looks()["over"])

    @property
    def window(self) -> bool:
        return bool(self._looks()["window"])

    def logs(self, amount: int | None = None, rpe: int = 8) -> None:
        """Fill in the set that waits, and log it."""
        form = 'section[aria-label="Log the set"]'
        title = self.find(f"{form} p").text
        if amount is not None:
            for box in self.find_all(f"{form} input[inputmode=numeric]"):
                box.send_keys(Keys.CONTROL, "a")
                box.send_keys(str(amount))
        self.choose("Effort (RPE)", rpe)
        before = self._kept["logged"]
        self.click("Log the set")
        self.until(lambda: not self.asked or self.find(f"{form} p").text != title)
        self.until(lambda: self._kept["logged"] > before)

    def does_it_again(self, amount: int) -> None:
        """Go back to the set before, do it once more, log it."""
        self.press("b")
        self.until(lambda: self.find_all('section[aria-label="The set"]'))
        self.press(Keys.SPACE)
        self.until(lambda: self.asked)
        self.logs(amount=amount)

    def runs_on(self, until: Any = None) -> int:
        """Do whatever comes until a condition holds, looked at between any two steps, or the
        session is over; how many sets were filled in."""
        filled = 0
        seen = self._looks()
        while not seen["over"] and not (until and until()):
            if seen["asked"]:
                self.logs()
                filled += 1
            seen = self._goes_on(to_the_next_set=until is None)
        return filled

    def closes(self, rpe: int = 7) -> None:
        self.choose("Session effort", rpe)
        self.click("Close the session")
        self.find("nav[aria-label=Pages]")
        self.until(lambda: self._kept["runs"] == 0)

    def sends_now(self) -> None:
        """Press "Send now" unless a try of the phone's own takes the button away first."""

        def sent() -> bool:
            for button in self.find_all("[aria-label=Sending] button"):
                button.click()
            return "All is sent." in self.waiting

        self.until(sent)

    def all_sent(self) -> None:
        self.until(lambda: self._kept["waiting"] == 0 and "All is sent." in self.waiting)

    @property
    def waiting(self) -> str:
        return self.find("[aria-label=Sending]").text

    def rows_in_review(self) -> int:
        """Sets in the newest session of the Review at hand."""
        first = self.find('aside[aria-label="Sessions"] tbody tr')
        return len(first.find_elements(By.CSS_SELECTOR, "span.inline-block"))


def coach_reviews(phone: Phone, ladder: str) -> int:
    """The sets of the newest session as the coach's Review shows them."""
    phone.size(*DESKTOP)
    phone.open("/squad")
    phone.sign_in()
    phone.open(f"/review/{ladder}")
    return phone.rows_in_review()


def new_id() -> str:
    return str(uuid4())


def now() -> datetime:
    return datetime.now(UTC)
