"""A coach's Monday: who needs your decision, plain decisions together, one edited, one declined."""

from datetime import UTC, datetime, timedelta
from uuid import UUID, uuid4

import pytest
from selenium.webdriver.common.action_chains import ActionChains
from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys
from selenium.webdriver.remote.webelement import WebElement
from sqlalchemy import Engine
from sqlmodel import Session, select

from invelo.db.database import transaction
from invelo.db.moment import Moment
from invelo.db.tables.account import AccountRow
from invelo.db.tables.athlete import AthleteRow
from invelo.db.tables.ladder import LadderRow
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers
from invelo.domain.training.set_draft import SetDraft
from invelo.services.athlete import battery
from invelo.services.ladder import ladder
from invelo.services.plan import week
from invelo.services.squad import squad
from invelo.services.training import floor
from tests.browser.conftest import ZONE
from tests.browser.page import EMAIL, PASSWORD, Page

PEOPLE = ("Ada Quill", "Ben Roe", "Cleo Marsh", "Dov Hale")
"""Four whose criterion is met twice, so that a step up waits for each."""

ANSWERED = ("Ada Quill", "Cleo Marsh")
"""Whose weeks are planned anew after what the coach answers."""


def enrol(db: Session, coach: AccountRow, name: str, now: datetime) -> tuple[AthleteRow, LadderRow]:
    enrolled = Moment(now - timedelta(days=20), ZONE)
    athlete = squad.enrol(db, coach, squad.AthleteDraft(uuid4(), name, 72.0, 1.74), enrolled)
    movement = catalogue().find_movement("push-up")
    battery.keep_test(db, athlete, battery.NewTest(uuid4(), movement, Modifiers(), 14), enrolled)
    ready = catalogue().find_ladder("push-up")
    return athlete, ladder.create(db, athlete, ready, "strength", "intermediate", enrolled)


AWAY = 21
"""Days, so that a fortnight of them lies before this week's Monday whatever day it is."""


def trains(db: Session, athlete: AthleteRow, row: LadderRow, day: datetime, reps: int = 10) -> None:
    moment = Moment(day, ZONE)
    session = floor.start(db, athlete, uuid4(), row.goal, moment, day, row)
    for number in (1, 2, 3):
        at = Moment(day + timedelta(minutes=4 * number), ZONE)
        draft = SetDraft(number=number, rpe=8.5, rung_id=row.current_rung_id, amount=reps)
        entry = floor.SetEntry(uuid4(), draft, at)
        floor.log(db, session, entry, at.at)
    floor.finish(db, athlete, session, 7, Moment(day + timedelta(minutes=20), ZONE))


def plan(db: Session, athlete: AthleteRow, now: datetime) -> None:
    """This week planned, and the next: everything on its first day with time."""
    today = Moment(now, ZONE).local_date
    first = today - timedelta(days=today.weekday())
    for week_start in (first, first + timedelta(days=7)):
        seen = week.view(db, athlete, week_start, week_start)
        day = min(day.index for day in seen.built.problem.days)
        placed = frozenset((task.key, day) for task in seen.built.problem.tasks)
        week.keep(db, athlete, seen, placed, 0, "by hand", Moment(now, ZONE))


@pytest.fixture
def week_start(running, service, page: Page) -> Page:
    """The squad on a Monday: four step-ups wait, one athlete has been away, weeks are planned."""
    engine: Engine = running[1]
    now = datetime.now(UTC)
    with transaction(engine) as db:
        coach = db.exec(select(AccountRow)).one()
        for name in PEOPLE:
            athlete, row = enrol(db, coach, name, now)
            for back in (5, 3):
                trains(db, athlete, row, now - timedelta(days=back))
            plan(db, athlete, now)
        away, row = enrol(db, coach, "Eli Frost", now)
        trains(db, away, row, now - timedelta(days=AWAY), 7)
    page.sign_in()
    return page


def revisions(engine: Engine) -> dict[str, list[str]]:
    """What was done to each athlete's weeks, by name."""
    from invelo.db.tables.plan import WeekPlanRow

    found: dict[str, list[str]] = {}
    with Session(engine) as db:
        names = {one.id: one.name for one in db.exec(select(AthleteRow))}
        for row in db.exec(select(WeekPlanRow)):
            found.setdefault(names[UUID(str(row.athlete_id))], []).append(row.note)
    return found


def tick(page: Page, name: str) -> None:
    css = f'input[aria-label^="Take “Step up” for {name}"]'
    page.until(lambda: page.find(css).click() is None)
    page.until(lambda: page.find(css).is_selected())


def test_a_monday_is_worked_through(week_start: Page, running) -> None:
    page, engine = week_start, running[1]

    # the week is looked at: it says nothing that the sessions did not, absence needs no proposal
    page.click("Look at the week")
    page.sees("6 weeks looked at: 0 new proposals.")
    page.sees("Eli Frost", f"{AWAY} days since the last session")

    # two plain decisions in bulk
    page.press("q")
    page.sees("Accept 0 ticked", "Step up")
    tick(page, "Ada Quill")
    tick(page, "Ben Roe")
    page.click("Accept 2 ticked")
    page.sees("2 proposals accepted, messages written; 2 weeks being planned anew.")
    page.until(lambda: "Ada Quill" not in page.find("main").text)

    # one edited
    page.click("Answer for Cleo Marsh")
    page.sees("Cleo Marsh: Step up", "Nothing changes before you decide.")
    page.click("Edit …")
    page.select("Train this rung instead", "Stair push-up")
    page.fill("Why, in short", "a lighter week")
    page.click("Take the edited decision")
    page.sees("Cleo Marsh: edited. The week of", "is being planned anew. A message was written.")

    # one declined with a word
    page.click("Answer for Dov Hale")
    page.click("Decline …")
    page.fill("Why, in short", "not before the premiere")
    page.click("Decline it")
    page.sees("Dov Hale: declined.")

    # what came of it
    page.until(lambda: all("after the review" in revisions(engine)[who] for who in ANSWERED))
    done = revisions(engine)
    assert done["Ada Quill"].count("after the review") == 1
    assert done["Cleo Marsh"].count("after the review") == 1
    assert done["Dov Hale"].count("after the review") == 0
    page.press("q")
    page.opens_ladder("Ada Quill")
    page.press("7")
    page.sees("Accepted")
    page.press("m")
    page.sees("Ada Quill, ", "Ben Roe, ", "Cleo Marsh, ", "Well done. Next is")
    page.sees("From now on “Stair push-up”: 3 × 6–10", "There is no e-mail address of Ada Quill")
    page.sees_not("Dov Hale, ")


def test_the_queue_is_worked_by_keys(week_start: Page) -> None:
    page = week_start
    page.press("q")
    page.sees("Accept 0 ticked")
    page.press("x", Keys.ARROW_DOWN, "x")
    page.sees("Accept 2 ticked")
    page.press("x")
    page.sees("Accept 1 ticked")
    page.press("t")
    page.sees("1 proposal accepted, messages written; 1 week being planned anew.")
    page.press("d")
    page.field("Why, in short")
    page.press(Keys.ESCAPE)
    page.until(lambda: not page.find_all('[role="dialog"]'))
    page.press(Keys.ENTER)
    page.sees("RULES THAT SPOKE")


def test_trends_open_a_session_and_read_as_tables(week_start: Page) -> None:
    page = week_start
    page.opens_ladder("Ada Quill")
    page.press("7")
    page.sees("RULES THAT SPOKE")
    page.press("t")
    page.sees("Reach: capacity, kg", "Effort (RPE) of sets and sessions", "not enough yet")
    page.find("svg.recharts-surface")
    tables = [one for one in page.find_all("figure button") if one.text == "Table"]
    assert len(tables) == 4
    tables[0].click()
    page.click("the session")
    page.sees("Session of", "Effort of the whole session: 7", "10 reps")
    page.press(Keys.ESCAPE)
    page.sees("Hard sets by region", "chest")


def test_a_predicted_figure_opens_its_account_and_a_point_its_session(week_start: Page) -> None:
    page = week_start
    page.opens_ladder("Ada Quill")
    page.press("7")
    page.sees("RULES THAT SPOKE")
    page.find('[title^="How predicted to failure on “"]').click()
    page.sees("HOW IT CAME ABOUT", "SOURCES")
    page.press(Keys.ESCAPE)
    page.until(lambda: not page.find_all('[role="dialog"]'))
    page.press("t")
    page.sees("Effort (RPE) of sets and sessions")

    def points() -> list[WebElement]:
        figures = page.find_all("figure")
        rpe = next(one for one in figures if "Effort (RPE) of sets and sessions" in one.text)
        return rpe.find_elements(By.CSS_SELECTOR, ".recharts-scatter-symbol path")

    page.until(points)
    point = points()[-1]
    page.script("arguments[0].scrollIntoView({block: 'center'})", point)
    ActionChains(page.driver).move_to_element(point).click().perform()
    page.sees("Session of", "Effort of the whole session: 7")


def test_a_large_squad_is_folded_and_found(running, service, page: Page) -> None:
    now = datetime.now(UTC)
    with transaction(running[1]) as db:
        coach = db.exec(select(AccountRow)).one()
        for number in range(30):
            athlete, row = enrol(db, coach, f"Extra {number:03}", now)
            trains(db, athlete, row, now - timedelta(days=1), 8)
        enrol(db, coach, "New One", now)
    page.fill("E-mail", EMAIL)
    page.fill("Password", PASSWORD + Keys.ENTER)
    page.sees("32 athletes", "Show the 31 who are up to date", "no session yet")
    assert len(page.find_all("tbody tr")) == 1
    page.press("/")
    box = page.find('[aria-label="Find an athlete (/)"]')
    box.send_keys("extra 022")
    page.until(lambda: len(page.find_all("tbody tr")) == 1)
    page.sees("Extra 022")
    box.send_keys(Keys.CONTROL, "a")
    box.send_keys(Keys.BACKSPACE, Keys.ESCAPE)
    page.click("Show the 31 who are up to date")
    page.until(lambda: len(page.find_all("tbody tr")) == 32)
