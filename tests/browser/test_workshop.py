"""The ladder workshop: from nothing to a bridged ladder, out as a file and in again."""

import json
from itertools import pairwise
from pathlib import Path

from selenium.webdriver.common.action_chains import ActionChains
from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys

from invelo.domain.catalogue.catalogue import catalogue
from tests.browser.page import Page


def rung_names(page: Page) -> list[str]:
    """Rungs as they are listed, from the foot up."""
    return [one.text.splitlines()[0] for one in page.find_all('[role="option"]')]


def rungs(page: Page, *names: str) -> None:
    """Wait until just these rungs stand there."""
    page.until(lambda: rung_names(page) == list(names))


def find_and(page: Page, words: str, act: str) -> None:
    """Look a movement up by its name, and do something with it."""
    page.fill("Name", words)
    page.until(lambda: page.find('[role="dialog"] section h3').text.casefold() == words.casefold())
    page.click(act)


def begin(page: Page, goal: str) -> None:
    page.click("Intake of Oda Fenwick")
    page.find('nav[aria-label="Parts of the intake"] a[href$="/placement"]').click()
    page.click("A ladder of your own …")
    page.fill("Goal", goal)
    page.click("Pick the first rung …")
    find_and(page, "Incline push-up, counter", "Begin with this")
    rungs(page, "Incline push-up, counter")


def fetched(page: Page, kind: str) -> str:
    """What a link of the files dialog gives."""
    link = page.find(f'[role="dialog"] a[href$="kind={kind}"]').get_attribute("href")
    return page.driver.execute_async_script(
        "fetch(arguments[0]).then((told) => told.text()).then(arguments[1])", link
    )


def state(page: Page) -> list[str]:
    return [one.text for one in page.find_all('[role="option"]')]


def test_a_ladder_from_nothing_bridged_undone_sent_out_deleted_and_read_in(
    signed_in: Page, tmp_path: Path
) -> None:
    page = signed_in
    begin(page, "Push-up from nothing")
    page.press("a")
    find_and(page, "Push-up", "Add above")
    rungs(page, "Incline push-up, counter", "Push-up")

    page.press("[")  # the new rung under the old one: flagged, then put back
    rungs(page, "Push-up", "Incline push-up, counter")
    page.sees("easier ×")
    page.press("u")
    rungs(page, "Incline push-up, counter", "Push-up")
    page.sees("gap ×")

    page.find('[role="option"]').click()
    page.press("b")
    page.sees("the fewest rungs", "Take all")
    proposed = [one.text for one in page.find_all('aside[aria-label="Bridge"] li b')]
    count = len(proposed)
    assert count >= 2
    page.click(f"Take all {count}")
    page.until(lambda: len(rung_names(page)) == count + 2)
    page.sees_not("gap ×")
    page.click("Done")

    for _ in range(count):
        before = len(rung_names(page))
        page.press("u")
        page.until(lambda before=before: len(rung_names(page)) == before - 1)
    rungs(page, "Incline push-up, counter", "Push-up")

    page.find('[role="option"]').click()
    page.press("b")
    page.sees("Take all")
    page.until(lambda: page.find_all('button[aria-label^="Strike "]')[0].click() is None)
    page.sees("– struck")
    page.until(lambda: page.find_all('button[aria-label^="Take "]')[0].click() is None)
    page.sees("● taken")
    page.click("Done")
    page.until(lambda: len(rung_names(page)) == 3)
    page.until(lambda: page.find_all('[role="option"]')[2].click() is None)
    page.click("Stand here")  # where her test puts her too
    page.until(lambda: "current rung" in state(page)[2])
    kept = state(page)

    page.click("Files …")
    told = fetched(page, "json")
    assert json.loads(told)["goal"] == "Push-up from nothing"
    assert "<svg" in fetched(page, "svg")
    assert fetched(page, "md").startswith("# Push-up from nothing")
    page.click("Close")
    file = tmp_path / "ladder.json"
    file.write_text(told, encoding="utf-8")

    page.click("Delete …")
    page.click("Delete the ladder")
    page.click("Read a ladder file …")
    spoilt = tmp_path / "spoilt.json"
    spoilt.write_text(told.replace('"version": 2', '"version": 7'), encoding="utf-8")
    chosen = page.find('[role="dialog"] input[type="file"]')
    chosen.send_keys(str(spoilt))
    page.sees("One fault; nothing was written", "version", "reads up to 2")
    chosen.send_keys(str(file))
    page.sees("All is right: “Push-up from nothing”, 3 rungs.")
    page.click("Draw this ladder")
    page.until(lambda: len(state(page)) == len(kept))
    assert state(page) == kept


def test_a_rung_is_edited_with_its_figure_following(signed_in: Page) -> None:
    page = signed_in
    page.click("Oda Fenwick")
    page.sees("On the Bench")
    page.press("e")
    page.sees("Edit the rung")
    first = page.until(lambda: page.find("aside svg").get_attribute("outerHTML"))
    page.put("surface under the feet", "30")
    page.until(lambda: page.find("aside svg").get_attribute("outerHTML") != first)
    page.fill("Name", "Feet on a crate")
    page.put("Sets", "4")
    page.click("Keep")
    page.sees_not("Edit the rung")
    page.sees("Feet on a crate", "4 × 6–10")
    page.press("u")
    page.sees_not("Feet on a crate")


def test_rungs_are_drawn_to_another_place(signed_in: Page) -> None:
    page = signed_in
    page.click("Oda Fenwick")
    before = page.until(lambda: rung_names(page))
    handles = page.find_all('[role="option"] .cursor-grab')
    held, over = handles[2], page.find_all('[role="option"]')[4]
    ActionChains(page.driver).click_and_hold(held).move_to_element(over).release().perform()
    page.until(lambda: rung_names(page) != before)
    assert rung_names(page).index(before[2]) == 4
    page.press("u")
    page.until(lambda: rung_names(page) == before)


def test_a_branched_ladder_of_twenty_five_rungs_stands_without_clutter(signed_in: Page) -> None:
    """Labels keep apart and inside, and nothing asks for sideways scrolling."""
    page = signed_in
    page.opens_ladder("Oda Fenwick")
    page.driver.execute_async_script(
        """
        const [done] = arguments;
        const id = location.pathname.split("/")[2];
        (async () => {
          const sheet = await (await fetch(`/api/ladders/${id}`)).json();
          let after = sheet.rungs.at(-1).id;
          for (let i = 0; sheet.rungs.length + i < 25; i++) {
            const body = {
              id: crypto.randomUUID(), name: `Way ${i}`, movement: "push-up",
              carried: { bag_kg: i + 1 }, values: { foot_height: 0.4 },
              after: [i % 4 === 3 ? sheet.rungs[6].id : after],
            };
            const made = await fetch(`/api/ladders/${id}/rungs`, {
              method: "POST", body: JSON.stringify(body),
              headers: { "Content-Type": "application/json" },
            });
            after = (await made.json()).id;
          }
        })().then(() => done(), () => done());
        """
    )
    page.driver.refresh()
    page.until(lambda: len(rung_names(page)) == 25)
    boxes = sorted((one.rect for one in page.find_all('[role="option"]')), key=lambda box: box["y"])
    for upper, lower in pairwise(boxes):
        assert upper["y"] + upper["height"] <= lower["y"] + 1
    wide = page.script(
        "const s = document.querySelector('section[aria-label=Ladder]');"
        "return [s.scrollWidth, s.clientWidth];"
    )
    assert wide[0] <= wide[1]


def test_the_catalogue_is_searched_by_what_people_say(signed_in: Page) -> None:
    page = signed_in
    page.opens_ladder("Oda Fenwick")
    page.press("/")
    page.sees("{0} of {0} movements".format(len(catalogue().movement)))
    page.select("Region", "adductors")
    page.select("Kit", "none needed")
    page.sees("Cossack squat")
    page.select("Region", "any")
    page.select("Kit", "any")
    page.fill("Name", "incline push-ups")
    page.sees("2 are called just so: pick one")
    css = '[role="dialog"] [aria-label="Movements found"] button'

    def names() -> list[str]:
        return [one.text.splitlines()[0] for one in page.find_all(css)]

    found = ["Incline push-up, counter", "Incline push-up, chair"]
    page.until(lambda: names()[:2] == found)
    page.fill("Name", "press up")
    page.until(lambda: names()[:1] == ["Push-up"])


def test_two_athletes_stand_beside_each_other(signed_in: Page) -> None:
    page = signed_in
    page.click("New athlete")
    for label, value in (("Name", "Bela Quint"), ("Body mass", "58"), ("Height", "162")):
        page.fill(label, value)
    page.find('[role=dialog] input[type="checkbox"]').click()
    page.click("Add to the squad")
    page.sees("Bela Quint")
    page.click("Oda Fenwick")
    page.click("Compare …")
    page.click("Bela Quint")
    page.sees("≡ Bela Quint")
    page.click("No longer")
    page.sees_not("≡ Bela Quint")
    page.click("Copy to …")
    page.click("Bela Quint")
    page.until(
        lambda: "Bela Quint, 58 kg" in page.driver.find_element(By.CSS_SELECTOR, "footer").text
    )


def test_a_movement_made_by_dragging_joints_becomes_a_rung(signed_in: Page) -> None:
    page = signed_in
    begin(page, "Levers")
    page.press("a")
    page.select("Family", "any")
    page.fill("Name", "tuck front lever")
    page.until(lambda: "lever" in page.find('[role="dialog"] section h3').text.casefold())
    page.click("Make your own from it …")
    page.sees("Your own, made from")
    handle = page.find('[data-handle="knee"]')
    asked = page.find('[aria-label="hip, start"]')
    assert asked.get_attribute("value") == ""
    ActionChains(page.driver).drag_and_drop_by_offset(handle, -60, 0).perform()
    page.until(lambda: page.find('[aria-label="hip, start"]').get_attribute("value") != "")
    degrees = float(page.find('[aria-label="hip, start"]').get_attribute("value"))
    assert 20 <= degrees <= 70  # from a tuck towards straight
    page.fill("Name", "Ilse's lever")
    types_over(page, '[aria-label="height of the bar, m"]', "2,6")
    page.until(lambda: "260" in page.find('[role="dialog"] svg').text.replace("\u202f", " "))
    types_over(page, '[aria-label="lats, %"]', "40")
    page.sees("make it 100")
    types_over(page, '[aria-label="abs, %"]', "25")
    page.sees("100 % in all")
    page.driver.find_element(By.XPATH, '//label[normalize-space()="straps"]').click()
    page.click("Keep the movement")
    page.until(lambda: page.find('[role="dialog"] section h3').text == "Ilse's lever")
    page.sees("lats 40 %", "abs 25 %", "Needs bar or rings or straps")
    types_over(page, '[aria-label="A tag of your own"]', "levers")
    page.click("Tag it")
    page.until(lambda: page.find('[aria-label="Take the tag levers away"]'))
    page.select("Your tag", "levers")
    page.sees("1 of ")
    page.click("Add above")
    rungs(page, "Incline push-up, counter", "Ilse's lever")
    page.press("/")
    page.select("Family", "any")
    page.fill("Name", "ilses lever")
    page.until(lambda: page.find('[role="dialog"] section h3').text == "Ilse's lever")


def types_over(page: Page, css: str, typed: str) -> None:
    box = page.find(css)
    box.send_keys(Keys.CONTROL, "a")
    box.send_keys(typed)
