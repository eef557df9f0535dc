"""The built application in headless Chromium, served by the real command."""

import os
import signal
import subprocess
import sys
import tempfile
import threading
import urllib.request
from collections.abc import Iterator
from contextlib import contextmanager
from datetime import UTC, datetime, timedelta
from pathlib import Path
from uuid import uuid4

import pytest
from selenium import webdriver
from sqlalchemy import Engine
from sqlmodel import Session, select

from invelo.api.common.cookies import SESSION_COOKIE
from invelo.db.database import engine_for, migrate, transaction
from invelo.db.moment import Moment
from invelo.db.tables.account import AccountRow
from invelo.db.tables.athlete import AthleteRow
from invelo.db.tables.ladder import LadderRow
from invelo.devices.simulated_mail import MailBox, simulated_mail
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers
from invelo.domain.training.set_draft import SetDraft
from invelo.runtime import postgres
from invelo.runtime.ports import held_port
from invelo.runtime.settings import ROOT
from invelo.services.account import accounts
from invelo.services.athlete import battery
from invelo.services.ladder import ladder as ladders
from invelo.services.squad import squad
from invelo.services.training import floor
from tests.browser.page import DESKTOP, EMAIL, PASSWORD, Page
from tests.browser.phone import Office, Phone
from tests.stage import Stages, empty

ZONE = "Europe/Lisbon"
CHROMIUM = (
    "--headless=new",
    "--no-sandbox",
    "--disable-gpu",
    "--disable-quic",
    "--no-first-run",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
    "--disable-extensions",
    "--mute-audio",
    "--force-prefers-reduced-motion",
)


def pytest_collection_modifyitems(items: list[pytest.Item]) -> None:
    for item in items:
        if Path(item.fspath).parent == Path(__file__).parent:
            item.add_marker(pytest.mark.browser)


class Service:
    """`invelo serve` on a port of its own, which can be stopped and started again."""

    def __init__(self, database_url: str, port: int, mail_server: str) -> None:
        self.url = f"http://127.0.0.1:{port}"
        self._environment = {
            **os.environ,
            "PYTHONPATH": str(ROOT / "src"),
            "INVELO_DATABASE_URL": database_url,
            "INVELO_PORT": str(port),
            "INVELO_MAIL_SERVER": mail_server,
            "INVELO_MAIL_SECURITY": "none",
            "INVELO_PUBLIC_ADDRESS": self.url,
            "INVELO_NIGHTLY": "false",  # whatever the hour of the run
        }
        self._process: subprocess.Popen[str] | None = None

    def start(self) -> None:
        """Start it, unless it runs."""
        if self._process is not None:
            return
        command = [sys.executable, "-m", "invelo", "serve"]
        self._process = subprocess.Popen(
            command, env=self._environment, stderr=subprocess.PIPE, text=True
        )
        assert self._process.stderr is not None
        said = ""
        for line in self._process.stderr:  # it says "ready" once it answers
            said += line
            if "ready at" in line:
                break
        else:
            raise AssertionError(f"the service did not start:\n{said}")
        # whatever it and its worker say later is read too: a full pipe would hold them up
        threading.Thread(target=self._process.stderr.read, daemon=True).start()
        with urllib.request.urlopen(f"{self.url}/api/health", timeout=10) as answer:
            assert answer.status == 200

    @contextmanager
    def worker_held(self) -> Iterator[None]:
        """Its worker stands still meanwhile."""
        assert self._process is not None
        of_service = ["pgrep", "-P", str(self._process.pid), "-f", "invelo worker"]
        worker = int(subprocess.run(of_service, capture_output=True, check=True).stdout)
        os.kill(worker, signal.SIGSTOP)
        try:
            yield
        finally:
            os.kill(worker, signal.SIGCONT)

    def stop(self) -> None:
        if self._process is not None:
            self._process.send_signal(signal.SIGINT)
            self._process.wait(20)
            self._process = None

    def restart(self) -> None:
        self.stop()
        self.start()


@pytest.fixture(scope="session")
def mail() -> Iterator[tuple[MailBox, str]]:
    """Where the service's letters arrive, and the mail server's address."""
    box = MailBox()
    with held_port() as port, simulated_mail(port, box) as address:
        yield box, address


@pytest.fixture
def box(mail: tuple[MailBox, str]) -> MailBox:
    """Letters of this test."""
    mail[0].letters.clear()
    return mail[0]


@pytest.fixture(scope="session")
def running(server: postgres.Server, mail: tuple[MailBox, str]) -> Iterator[tuple[Service, Engine]]:
    """The service over a database of its own, for all browser tests."""
    url = server.url("browser")
    migrate(url)
    engine = engine_for(url)
    with held_port() as port:
        made = Service(url, port, mail[1])
        yield made, engine
        made.stop()
    engine.dispose()


class Now:
    """The time as the browser and the service know it."""

    now = datetime.now(UTC)


@pytest.fixture
def service(running: tuple[Service, Engine], stages: Stages) -> Service:
    """That service with a coach and one athlete, who has met the criterion once; nothing else."""
    made, engine = running
    empty(engine)
    stages.set(engine, Now(), "one athlete", lambda: _seed(engine))
    made.start()
    return made


@pytest.fixture
def token(running: tuple[Service, Engine], service: Service) -> str:
    """A session of the coach's, as a sign-in would open it."""
    _, engine = running
    with transaction(engine) as db:
        coach = db.exec(select(AccountRow).where(AccountRow.email == EMAIL)).one()
        return accounts.open_session(db, coach, datetime.now(UTC), timedelta(days=1))


def _seed(engine: Engine) -> None:
    now = Now.now
    movement = catalogue().find_movement("push-up")
    with transaction(engine) as db:
        coach = accounts.create(db, EMAIL, "Ilse Marn", PASSWORD, ZONE, now)
        enrolled = Moment(now - timedelta(days=5), ZONE)
        oda = squad.enrol(
            db, coach, squad.AthleteDraft(uuid4(), "Oda Fenwick", 75.0, 1.75), enrolled
        )
        battery.keep_test(db, oda, battery.NewTest(uuid4(), movement, Modifiers(), 8), enrolled)
        ready = catalogue().find_ladder("push-up")
        row = ladders.create(db, oda, ready, "strength", "intermediate", enrolled)
        _meets(db, oda, row, Moment(now - timedelta(days=2), ZONE))


def _meets(db: Session, athlete: AthleteRow, row: LadderRow, day: Moment) -> None:
    """A session that meets the criterion."""
    session = floor.start(db, athlete, uuid4(), row.goal, day, day.at, row)
    for number in (1, 2, 3):
        draft = SetDraft(number=number, rpe=8.5, rung_id=row.current_rung_id, amount=10)
        entry = floor.SetEntry(uuid4(), draft, day)
        floor.log(db, session, entry, day.at)
    floor.finish(db, athlete, session, 7, day)


@pytest.fixture
def step_up_waits(running: tuple[Service, Engine], service: Service) -> None:
    """The athlete has met the criterion again: a step up needs the coach's decision."""
    with transaction(running[1]) as db:
        row = db.exec(select(LadderRow)).one()
        oda = db.exec(select(AthleteRow)).one()
        _meets(db, oda, row, Moment(Now.now - timedelta(hours=1), ZONE))


@contextmanager
def chromium() -> Iterator[webdriver.Chrome]:
    """A headless Chromium with a profile of its own."""
    with tempfile.TemporaryDirectory(prefix="invelo-chromium-") as profile, held_port() as port:
        driver = start_chromium(profile, port)
        try:
            yield driver
        finally:
            driver.quit()


def start_chromium(profile: str, port: int) -> webdriver.Chrome:
    """A headless Chromium on a profile, its driver on a port that is held for it."""
    options = webdriver.ChromeOptions()
    options.binary_location = "/usr/bin/chromium"
    for argument in (*CHROMIUM, f"--user-data-dir={profile}"):
        options.add_argument(argument)
    options.set_capability("goog:loggingPrefs", {"browser": "ALL"})
    return webdriver.Chrome(
        options=options, service=webdriver.ChromeService("/usr/bin/chromedriver", port=port)
    )


@pytest.fixture(scope="session")
def driver() -> Iterator[webdriver.Chrome]:
    with chromium() as made:
        yield made


@pytest.fixture
def blank(service: Service, driver: webdriver.Chrome) -> Iterator[Page]:
    """A browser that knows nothing, which must not complain of anything by the end."""
    driver.execute_cdp_cmd("Network.clearBrowserCookies", {})
    everything = {"origin": service.url, "storageTypes": "all"}
    driver.execute_cdp_cmd("Storage.clearDataForOrigin", everything)
    driver.switch_to.new_window("tab")  # session storage lives and dies with its tab
    opened = Page(driver, service.url)
    opened.size(*DESKTOP)
    driver.get_log("browser")  # what a page before complained of late is not this one's
    yield opened
    complaints = opened.complaints()
    driver.close()
    driver.switch_to.window(driver.window_handles[0])
    assert complaints == []


@pytest.fixture
def page(blank: Page) -> Page:
    """A browser at the sign-in sheet."""
    blank.open("/")
    return blank


@pytest.fixture
def signed_in(blank: Page, token: str) -> Page:
    """A browser at the squad."""
    blank.has_cookie(SESSION_COOKIE, token)
    blank.open("/")
    blank.sees("Squad", "Oda Fenwick")
    blank.find("main tbody")
    return blank


@pytest.fixture
def ladder(running: tuple[Service, Engine], blank: Page, token: str) -> Page:
    """A browser at the athlete's ladder, opened by its address."""
    _, engine = running
    with transaction(engine) as db:
        opened = db.exec(select(LadderRow.id)).one()
    blank.has_cookie(SESSION_COOKIE, token)
    blank.open(f"/ladder/{opened}")
    blank.sees("ON THE HANDS")
    return blank


@pytest.fixture
def office(service: Service) -> Office:
    return Office(service.url)


@pytest.fixture
def phone(page: Page) -> Phone:
    """The browser in an athlete's hand; what the console must not say is still judged."""
    made = Phone(page.driver, page.url)
    page.allowed = made.allowed  # one list: the page's own end judges it
    made.allowed.append(r"/api/me - Failed to load resource")
    return made
