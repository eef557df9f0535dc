"""The sheet itself: keys, wording of figures, what happens when things go wrong."""

import json
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path
from urllib.error import HTTPError
from urllib.request import urlopen

import psycopg
import pytest
from psycopg import sql
from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys

from invelo.runtime import postgres
from invelo.runtime.settings import ROOT
from tests.browser.page import Page
from tests.browser.phone import Phone


def test_digits_change_place_and_the_athlete_stays(ladder: Page) -> None:
    page = ladder
    for digit, note in (("6", "Private link"), ("7", "Rules that spoke"), ("3", "current rung")):
        page.press(digit)
        page.until(lambda note=note: note.lower() in page.text.lower())
        page.sees("Oda Fenwick")
    page.press("1")
    page.sees("Reach against the criterion".upper())


def test_question_mark_shows_the_keys_of_the_place(ladder: Page) -> None:
    page = ladder
    page.press("?")
    assert "climb the rungs" in page.dialog.text
    page.press(Keys.ESCAPE)
    page.until(lambda: not page.find_all('[role="dialog"]'))


def test_single_keys_can_be_turned_off_and_arrows_stay(ladder: Page) -> None:
    page = ladder
    page.press("?")
    page.dialog.find_element(By.CSS_SELECTOR, "input[type=checkbox]").click()
    page.press(Keys.ESCAPE)
    page.until(lambda: not page.find_all('[role="dialog"]'))
    before = page.chosen_rung
    page.press("7", "1", Keys.ARROW_UP)
    page.until(lambda: page.chosen_rung != before)
    assert page.driver.current_url.split("/")[3] == "ladder"


def test_no_key_fires_while_typing(signed_in: Page) -> None:
    page = signed_in
    page.press("/")
    page.until(lambda: page.driver.switch_to.active_element.tag_name == "input")
    page.press("7", "3", "?")
    assert page.driver.switch_to.active_element.get_attribute("value") == "73?"
    page.sees("Nobody here is called")
    assert page.find_all('[role="dialog"]') == []


def test_slash_finds_an_athlete_and_enter_opens_the_ladder(signed_in: Page) -> None:
    signed_in.press("/")
    signed_in.press("oda", Keys.ENTER)
    signed_in.find('[role="listbox"]')


def test_the_ladder_is_drawn_to_scale(ladder: Page) -> None:
    """Heights of the drawn rungs are linear in the demand the table tells."""
    page = ladder
    drawn = page.script(
        "return [...document.querySelectorAll('svg line')]"
        ".filter((l) => l.x1.baseVal.value === 128 && l.x2.baseVal.value === 236"
        " && l.parentNode.querySelector('path')).map((l) => l.y1.baseVal.value)"
    )
    page.click("As a table")
    told = [
        float(cell.text.split()[0].split("\u202f")[0])
        for cell in page.find_all("main tbody td:nth-of-type(1)")
    ]
    drawn = sorted(drawn)
    assert len(drawn) == len(told) == 11
    per_kg = (drawn[-1] - drawn[0]) / (told[0] - told[-1])
    for y, kg in zip(drawn, told, strict=True):
        assert y - drawn[0] == pytest.approx((told[0] - kg) * per_kg, abs=per_kg * 0.1 + 0.5)


def test_every_figure_names_its_unit_and_opens_its_derivation(ladder: Page) -> None:
    page = ladder
    page.find('button[title="How share of body weight came about"]').click()
    words = page.dialog.text
    for note in (
        "% of body weight",
        "body mass",
        "75 kg",
        "Winter",
        "plane statics",
        "8 times of 10",
    ):
        assert note in words


def test_gaps_are_marked_by_word_not_by_colour_alone(ladder: Page) -> None:
    page = ladder
    page.click("As a table")
    assert any("gap" in row.text for row in page.find_all("main tbody tr"))


def test_nothing_is_fetched_from_elsewhere(ladder: Page) -> None:
    page = ladder
    for digit in "671":
        page.press(digit)
        page.find("main")
    assert page.outside_requests() == []
    fonts = page.script("return [...document.fonts].filter((f) => f.status === 'loaded').length")
    assert fonts >= 2


def test_a_wrong_password_is_told_and_what_was_typed_stays(page: Page) -> None:
    page.allowed.append("status of 401")
    page.sign_in(password="a wrong guess")
    page.sees("address and password do not belong together.")
    assert page.field("E-mail").get_attribute("value") == "coach@theatre.example"


def test_a_form_says_what_is_wrong_beside_the_field(signed_in: Page) -> None:
    page = signed_in
    page.click("New athlete")
    page.fill("Name", "Bela Quint")
    page.fill("Body mass", "900")
    page.fill("Height", "tall")
    page.click("Add to the squad")
    page.sees("Give 20 to 300 kg.", "Give a number.", "Ask them first")
    assert page.field("Name").get_attribute("value") == "Bela Quint"
    assert page.field("Body mass").get_attribute("aria-invalid") == "true"


def test_a_set_without_an_effort_is_asked_for_it(ladder: Page) -> None:
    page = ladder
    phone = Phone(page.driver, page.url)
    phone.stands_beside()
    phone.to_the_next_set()
    page.press("l")
    page.sees("Say how hard it was first")


def test_a_service_that_is_away_shows_a_plain_page_and_comes_back(page: Page, service) -> None:
    page.allowed += ["ERR_CONNECTION_REFUSED", "dynamically imported module"]
    page.sign_in()
    service.stop()
    page.click("Oda Fenwick")
    page.sees("The service does not answer", "Try again now")
    service.start()
    page.try_again()
    page.find('[role="listbox"]')


def test_a_database_that_is_away_shows_a_plain_page_and_comes_back(
    signed_in: Page, service, server
) -> None:
    page = signed_in
    page.allowed.append("status of 503")
    with accepting_nobody(server, "browser"):
        page.driver.refresh()
        page.sees("The record store is away", "nothing was written", "Try again now")
        with pytest.raises(HTTPError) as told:
            urlopen(f"{service.url}/api/health", timeout=10)
        assert json.load(told.value)["database"] == "unreachable"
    page.try_again()
    page.sees("Oda Fenwick")


@contextmanager
def accepting_nobody(server: postgres.Server, database: str) -> Iterator[None]:
    """The database refuses and ends every connection while the block runs."""
    allow = sql.SQL("ALTER DATABASE {} ALLOW_CONNECTIONS {}")
    name = sql.Identifier(database)
    end = "SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = %s"
    with psycopg.connect(server.conninfo("postgres"), autocommit=True) as connection:
        connection.execute(allow.format(name, sql.SQL("false")))
        connection.execute(end, [database])
        yield
        connection.execute(allow.format(name, sql.SQL("true")))


def test_signing_out_leaves_nothing_behind(signed_in: Page) -> None:
    page = signed_in
    page.click("Sign out")
    page.field("E-mail")
    page.open("/squad")
    page.field("E-mail")
    assert "Oda" not in page.text


def test_an_unknown_ladder_is_told_plainly(signed_in: Page) -> None:
    page = signed_in
    page.allowed.append("status of 4")
    page.open("/ladder/5b9a4f1e-0000-4000-8000-000000000000")
    page.sees("Not found", "Go back to the squad and pick it.")


def test_the_night_sheet_is_kept(signed_in: Page) -> None:
    page = signed_in
    page.click("Night sheet")
    page.driver.refresh()
    page.sees("Day sheet")
    assert page.script("return document.documentElement.dataset.sheet") == "night"


INVISIBLE = """
const shown = (one) => getComputedStyle(one);
const under = shown(document.body).backgroundColor;
const words = [...document.querySelectorAll('button, a')]
  .filter((one) => one.innerText && shown(one).color === shown(one).backgroundColor);
const lines = [...document.querySelectorAll('main svg line, main svg path')]
  .filter((one) => !one.closest('[aria-current], [aria-pressed=true], [aria-selected=true]'))
  .filter((one) => shown(one).stroke === under);
return [...words.map((one) => one.innerText), ...lines.map((one) => one.outerHTML)];
"""


@pytest.fixture
def forced(ladder: Page) -> Iterator[Page]:
    """A browser whose owner forces their own colours, light on dark."""
    features = [
        {"name": "forced-colors", "value": "active"},
        {"name": "prefers-color-scheme", "value": "dark"},
    ]
    ladder.driver.execute_cdp_cmd("Emulation.setEmulatedMedia", {"features": features})
    yield ladder
    ladder.driver.execute_cdp_cmd("Emulation.setEmulatedMedia", {"features": []})


def test_forced_colours_leave_words_lines_and_what_is_picked_to_be_seen(forced: Page) -> None:
    assert forced.script("return matchMedia('(forced-colors: active)').matches")
    assert forced.script(INVISIBLE) == []
    picked = "const shown = getComputedStyle(document.querySelector('[aria-current=page]'));"
    assert forced.script(f"{picked} return shown.backgroundColor !== shown.color")
    assert forced.script(
        f"{picked} return shown.backgroundColor !== getComputedStyle(document.body).backgroundColor"
    )


def test_first_load_javascript_stays_small() -> None:
    """What the first page asks for, as sent: at most 200 kB compressed."""
    import gzip

    dist = ROOT / "web" / "dist"
    html = (dist / "index.html").read_text(encoding="utf-8")
    first = [Path(part.split('"')[0]).name for part in html.split("/assets/")[1:]]
    squad = [path.name for path in (dist / "assets").glob("Squad-*.js")]
    scripts = {name for name in (*first, *squad) if name.endswith(".js")}
    imports = {
        path.name
        for path in (dist / "assets").glob("*.js")
        if any(path.name in (dist / "assets" / name).read_text(encoding="utf-8") for name in squad)
    }
    sizes = [
        len(gzip.compress((dist / "assets" / name).read_bytes(), 9)) for name in scripts | imports
    ]
    assert sum(sizes) <= 200_000
