"""How to come to every place and dialog of the application: one walk a place, from the Squad.

A walk is a generator that stops wherever there is something to look at, and says where it is.
"""

from collections.abc import Callable, Iterator

from selenium.webdriver.common.keys import Keys

from invelo.domain.catalogue.catalogue import catalogue
from tests.browser.page import Page
from tests.browser.phone import Phone

Walk = Callable[[Page], Iterator[str]]


def beside(page: Page) -> Phone:
    made = Phone(page.driver, page.url)
    made.width = page.width
    return made


def close(page: Page) -> None:
    """Leave the dialog, and what it was opened from."""

    def gone() -> bool:
        if page.find_all('[role="dialog"]'):
            page.press(Keys.ESCAPE)
        return not page.find_all('[role="dialog"]')

    page.until(gone)
    page.until(lambda: page.script("return document.activeElement !== document.body"))


def squad(page: Page) -> Iterator[str]:
    page.sees("Oda Fenwick")
    yield "squad"
    page.press("?")
    page.sees("Single-key shortcuts")
    yield "keys"
    close(page)
    page.click("New athlete")
    page.sees("They agree")
    yield "new athlete"
    close(page)
    page.click("Record of Oda Fenwick")
    page.sees("owns the record")
    yield "record"
    close(page)


def account(page: Page) -> Iterator[str]:
    page.click("Ilse Marn")
    page.sees("Your settings")
    page.fill("Whom you invite", "Tomas")
    page.click("Make an invitation")
    page.sees("Shown this once".upper(), "open until")
    yield "settings"


def queue(page: Page) -> Iterator[str]:
    """What needs a decision, where something does."""
    page.press("q")
    page.sees("Tick all")
    yield "queue"
    page.press("e")
    page.field("Why, in short")
    yield "answering"


def ladder(page: Page) -> Iterator[str]:
    page.open_ladder()
    page.sees("On the Bench")
    yield "ladder"
    page.find("aside dd button").click()
    page.sees("8 times of 10")
    yield "a figure explained"
    close(page)
    page.press("t")
    page.sees("bag high on the back")
    yield "ways"
    close(page)
    page.press("e")
    page.sees("Edit the rung", "hand load")
    yield "editing"
    close(page)
    gap = next(one for one in page.find_all('[role="option"]') if "Stool push-up" in one.text)
    gap.click()
    page.press("b")
    page.sees("the fewest rungs")
    yield "bridge"
    close(page)
    page.press("/")
    page.sees(f"{len(catalogue().movement)} movements", "Add above")
    yield "movements"


def workshop(page: Page) -> Iterator[str]:
    page.open_ladder()
    for act, words in (
        ("Steps …", "What a bridge changes first".upper()),
        ("Files …", "It is tried first"),
        ("Compare …", "nobody else in the squad"),
        ("Delete …", "Delete the ladder"),
        ("Method …", "Set by hand against a rule".upper()),
    ):
        page.click(act)
        page.sees(words)
        yield act
        close(page)
    page.click("As a table")
    page.find("main tbody")
    yield "ladder as a table"


def bench(page: Page) -> Iterator[str]:
    page.open_ladder()
    page.press("4")
    page.find('[data-settled="true"]')
    yield "bench"
    page.press("s")
    page.sees("As hard as".upper())
    page.until(lambda: "solving" not in page.dialog.text)
    yield "solving"
    close(page)
    page.press("b")
    page.sees("Reps wanted".upper())
    yield "which band"
    close(page)
    page.click("Loads to hand …")
    page.sees("Find the fewest pieces")
    yield "loads to hand"
    close(page)
    page.click("75 kg, 175 cm …")
    page.sees("Measured lengths")
    yield "the body"
    close(page)
    page.script("[...document.querySelectorAll('aside h3 button')][2].click()")
    page.click("The bands …")
    page.click("Measure a band …")
    page.sees("Keep the band")
    yield "the bands"
    close(page)
    page.press("c")
    page.sees("equally hard")
    yield "compared"


def week(page: Page) -> Iterator[str]:
    page.open_ladder()
    page.open_next_week()
    page.solve_and_keep()
    yield "week"
    for act, words in (
        ("Availability …", "Days with time to train".upper()),
        ("Sets …", "Sets by hand".upper()),
        ("Start from a session …", "Takes".upper()),
        ("Daily minimum …", "Another movement"),
        ("Print and files …", "Private calendar address".upper()),
    ):
        page.click(act)
        page.sees(words)
        yield act
        close(page)
    page.find("main h2 button").click()
    page.sees("Before you start".upper())
    yield "a session"
    page.click("Adapt the day …")
    page.click("Show before and after")
    page.sees("Nothing has to change")
    yield "a day adapted"


def intake(page: Page) -> Iterator[str]:
    def part(name: str, words: str) -> None:
        page.find(f'nav[aria-label="Parts of the intake"] a[href$="/{name}"]').click()
        page.sees(words)

    page.click("Intake of Oda Fenwick")
    page.sees("Nothing was asked yet")
    yield "intake"
    part("person", "Keep what they want")
    yield "person"
    part("readiness", "not checked yet")
    yield "readiness"
    part("placement", "Test next:")
    yield "placement"
    part("tests", "Proposed by goals")
    yield "tests"
    page.click("Test: Rows, leaning half")
    page.sees("End it when the form goes")
    yield "a test"
    close(page)
    part("kit", "No place yet")
    page.click("Measure a band …")
    page.click("Connect the hanging scale")
    page.sees("A simulated scale")
    yield "the hanging scale"
    close(page)
    page.fill("A new place", "Stage")
    page.click("Add the place")
    page.click("Add kit at Stage")
    page.sees("a home-made rig only once")
    yield "kit of a place"


def floor(page: Page) -> Iterator[str]:
    page.open_ladder()
    page.press("6")
    page.sees("Private link".upper(), "◇ live")
    page.click("Make a link")
    page.sees("Shown this once".upper())
    yield "floor"
    page.press("w")
    page.find("[data-cell]")
    yield "by hand"
    page.click("Back to the floor")
    page.sees("Private link".upper())
    page.press("c")
    page.sees("All sets of this athlete (CSV)")
    yield "CSV"
    close(page)
    page.click("Test any movement …")
    page.fill("Which movement", "squat")
    page.find('[role="dialog"] li button:not([disabled])')
    yield "any test"


def phone_today(page: Page) -> Iterator[str]:
    page.open_ladder()
    page.press("6")
    page.click("Run a session at their side")
    page.sees("One ladder alone".upper())
    page.find("button[aria-pressed]").click()
    page.sees("Before you start")
    yield "today"
    page.click("Done")
    page.sees("effort of the session 7")
    yield "done"
    page.click("Check-in")
    page.click("wrist")
    page.click("hurts")
    page.sees("Pain".upper())
    yield "check-in"


def phone_run(page: Page) -> Iterator[str]:
    page.open_ladder()
    phone = beside(page)
    phone.stands_beside()
    phone.runs_on(until=lambda: "STRAIGHT SETS" in phone.text)
    page.find('section[aria-label="The set"]')
    yield "a set"
    phone.to_the_next_set()
    page.click("Pain, partial reps, a note, a picture …")
    page.choose("Pain", 2)
    yield "a set logged"
    phone.logs(9)
    yield "rest"
    page.click("End …")
    page.sees("How hard was the whole session?")
    yield "the end"


def review(page: Page) -> Iterator[str]:
    page.open_ladder()
    page.press("7")
    page.find("article")
    yield "review"
    page.press("m")
    page.sees("What athletes are to hear")
    yield "messages"
    page.press("t")
    page.sees("Reach: capacity, kg", "Hard sets by region")
    page.find("svg.recharts-surface")
    yield "trends"


AT_A_DESK: tuple[Walk, ...] = (squad, account, ladder, workshop, bench, week, intake, floor, review)
ON_A_PHONE: tuple[Walk, ...] = (phone_today, phone_run)
