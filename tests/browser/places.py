"""How to come to every place and dialog of the application, from the Squad."""

from collections.abc import Callable

from tests.browser.page import Page
from tests.browser.phone import Phone


def _squad(page: Page) -> None:
    page.sees("Oda Fenwick")


def _ladder(page: Page) -> None:
    page.open_ladder()


def _table(page: Page) -> None:
    page.open_ladder()
    page.click("As a table")


def _floor(page: Page) -> None:
    page.open_ladder()
    page.press("6")
    page.sees("Private link".upper(), "◇ live")
    page.click("Make a link")
    page.sees("Shown this once".upper())


def _by_hand(page: Page) -> None:
    page.open_ladder()
    page.press("6")
    page.sees("Private link".upper())  # else the floor is not there yet to hear the next key
    page.press("w")
    page.find("[data-cell]")


def _csv(page: Page) -> None:
    page.open_ladder()
    page.press("6")
    page.sees("Private link".upper())
    page.press("c")
    page.sees("All sets of this athlete (CSV)")


def beside(page: Page) -> Phone:
    made = Phone(page.driver, page.url)
    made.width = page.width
    return made


def _phone_today(page: Page) -> None:
    page.open_ladder()
    page.press("6")
    page.click("Run a session at their side")
    page.sees("One ladder alone".upper())
    page.find("button[aria-pressed]").click()
    page.sees("Before you start")


def _phone_check_in(page: Page) -> None:
    _phone_today(page)
    page.click("Check-in")
    page.click("wrist")
    page.click("hurts")
    page.sees("Pain".upper())


def _phone_done(page: Page) -> None:
    _phone_today(page)
    page.click("Done")
    page.sees("effort of the session 7")


def _run_set(page: Page) -> None:
    page.open_ladder()
    phone = beside(page)
    phone.stands_beside()
    phone.runs_on(until=lambda: "STRAIGHT SETS" in phone.text)
    page.find('section[aria-label="The set"]')


def _run_rest(page: Page) -> None:
    _run_set(page)
    phone = beside(page)
    phone.runs_on(until=lambda: phone.asked)
    page.click("Pain, partial reps, a note, a picture …")
    page.choose("Pain", 2)


def _run_end(page: Page) -> None:
    _run_rest(page)
    phone = beside(page)
    phone.logs(9)
    page.click("End …")
    page.sees("How hard was the whole session?")


def _review(page: Page) -> None:
    page.open_ladder()
    page.press("7")
    page.find("article")


def _trends(page: Page) -> None:
    _review(page)
    page.press("t")
    page.sees("Reach: capacity, kg", "Hard sets by region")
    page.find("svg.recharts-surface")


def _outbox(page: Page) -> None:
    _review(page)
    page.press("o")
    page.sees("Nothing is sent from here")


def _queue(page: Page) -> None:
    page.press("q")
    page.sees("Tick all")


def _answering(page: Page) -> None:
    _queue(page)
    page.press("e")
    page.field("Why, in a word")


def _keys(page: Page) -> None:
    page.press("?")
    page.sees("Single-key shortcuts")


def _new_athlete(page: Page) -> None:
    page.click("New athlete")
    page.sees("They agree")


def _explained(page: Page) -> None:
    page.open_ladder()
    page.find("aside dd button").click()
    page.sees("8 times of 10")


def _ways(page: Page) -> None:
    page.open_ladder()
    page.press("t")
    page.sees("bag high on the back")


def _bridge(page: Page) -> None:
    page.open_ladder()
    page.find('[role="option"]').click()
    page.press("b")
    page.sees("the fewest rungs")


def _editing(page: Page) -> None:
    page.open_ladder()
    page.sees("On the Bench")
    page.press("e")
    page.sees("Edit the rung", "hand load")


def _movements(page: Page) -> None:
    page.open_ladder()
    page.press("/")
    page.sees("195 of 195 movements", "Add above")


def _workshop(act: str, words: str) -> Callable[[Page], None]:
    def go(page: Page) -> None:
        page.open_ladder()
        page.click(act)
        page.sees(words)

    return go


def _bench(page: Page) -> None:
    page.open_ladder()
    page.press("4")
    page.find('[data-settled="true"]')


def _bench_compared(page: Page) -> None:
    _bench(page)
    page.press("c")
    page.sees("equally hard")


def _bench_solving(page: Page) -> None:
    _bench(page)
    page.press("s")
    page.sees("As hard as".upper())
    page.until(lambda: "solving" not in page.dialog.text)


def _bench_band(page: Page) -> None:
    _bench(page)
    page.press("b")
    page.sees("Reps wanted".upper())


def _bench_bands(page: Page) -> None:
    _bench(page)
    page.script("[...document.querySelectorAll('aside h3 button')][2].click()")
    page.click("The bands …")
    page.click("Measure a band …")
    page.sees("Keep the band")


def _bench_loads(page: Page) -> None:
    _bench(page)
    page.click("Loads to hand …")
    page.sees("Find the fewest pieces")


def _bench_body(page: Page) -> None:
    _bench(page)
    page.click("75 kg, 175 cm …")
    page.sees("Measured lengths")


def _week(page: Page) -> None:
    page.open_ladder()
    page.open_next_week()
    page.solve_and_keep()


def _week_act(act: str, words: str) -> Callable[[Page], None]:
    def go(page: Page) -> None:
        _week(page)
        page.click(act)
        page.sees(words)

    return go


def _week_session(page: Page) -> None:
    _week(page)
    page.find("main h2 button").click()
    page.sees("Before you start".upper())


def _week_adapted(page: Page) -> None:
    _week_session(page)
    page.click("Adapt the day …")
    page.click("Show before and after")
    page.sees("Nothing has to change")


def _intake(page: Page) -> None:
    page.click("Intake of Oda Fenwick")
    page.sees("Nothing was asked yet")


def _part(name: str, words: str) -> Callable[[Page], None]:
    def go(page: Page) -> None:
        _intake(page)
        page.find(f'nav[aria-label="Parts of the intake"] a[href$="/{name}"]').click()
        page.sees(words)

    return go


def _intake_place(page: Page) -> None:
    _part("kit", "No place yet")(page)
    page.fill("A new place", "Stage")
    page.click("Add the place")
    page.click("Add kit at Stage")
    page.sees("a home-made rig only once")


def _intake_scale(page: Page) -> None:
    _part("kit", "No place yet")(page)
    page.click("Measure a band …")
    page.click("Connect the hanging scale")
    page.sees("A simulated scale")


def _intake_test(page: Page) -> None:
    _part("tests", "Proposed by goals")(page)
    page.click("Test: Rows, leaning half")
    page.sees("End it when the form goes")


PLACES = {
    "intake": _intake,
    "intake, person": _part("person", "Keep what they want"),
    "intake, readiness": _part("readiness", "not checked yet"),
    "intake, kit": _intake_place,
    "intake, scale": _intake_scale,
    "intake, tests": _part("tests", "Proposed by goals"),
    "intake, a test": _intake_test,
    "intake, placement": _part("placement", "Test next:"),
    "bench": _bench,
    "bench, compared": _bench_compared,
    "bench, solving": _bench_solving,
    "bench, which band": _bench_band,
    "bench, the bands": _bench_bands,
    "bench, loads": _bench_loads,
    "bench, the body": _bench_body,
    "squad": _squad,
    "ladder": _ladder,
    "ladder as a table": _table,
    "ladder, bridge": _bridge,
    "ladder, editing": _editing,
    "ladder, steps": _workshop("Steps …", "What a bridge changes first".upper()),
    "ladder, files": _workshop("Files …", "It is tried first"),
    "ladder, compared": _workshop("Compare …", "nobody else in the squad"),
    "ladder, deleted": _workshop("Delete …", "Delete the ladder"),
    "movements": _movements,
    "ladder, school": _workshop("School …", "Set by hand against a rule".upper()),
    "week": _week,
    "week, session": _week_session,
    "week, adapted": _week_adapted,
    "week, wishes": _week_act("Days and wishes …", "Days with time to train".upper()),
    "week, sets": _week_act("Sets …", "Sets by hand".upper()),
    "week, ready sessions": _week_act("Start from a session …", "Takes".upper()),
    "week, daily dose": _week_act("Daily dose …", "Another movement"),
    "week, files": _week_act("Print and files …", "Private calendar address".upper()),
    "floor": _floor,
    "floor, by hand": _by_hand,
    "floor, CSV": _csv,
    "phone, today": _phone_today,
    "phone, check-in": _phone_check_in,
    "phone, done": _phone_done,
    "run, set": _run_set,
    "run, rest": _run_rest,
    "run, end": _run_end,
    "review": _review,
    "trends": _trends,
    "outbox": _outbox,
    "queue": _queue,
    "answering": _answering,
    "keys": _keys,
    "new athlete": _new_athlete,
    "explained": _explained,
    "ways": _ways,
}
