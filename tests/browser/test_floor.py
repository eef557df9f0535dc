"""The coach's floor: who is at work, links, sessions written down, sets as files, notes."""

import csv
from io import StringIO
from pathlib import Path

import pytest
from selenium.webdriver.common.action_chains import ActionChains
from selenium.webdriver.common.keys import Keys

from tests.browser.page import Page
from tests.browser.phone import Office, new_id, now


@pytest.fixture
def floor(signed_in: Page) -> Page:
    """The floor with the one athlete picked."""
    signed_in.press("6")
    signed_in.sees("On the floor now", "◇ live")
    signed_in.select("Athlete", "Oda Fenwick")
    signed_in.sees("Private link".upper())
    return signed_in


def moment() -> dict[str, str]:
    return {"at": now().isoformat(), "time_zone": "Europe/Lisbon"}


# ---- live --------------------------------------------------------------------------------------


def test_a_session_that_runs_elsewhere_is_seen_set_by_set(floor: Page, office: Office) -> None:
    run = f"{office.base}/sessions/{new_id()}"
    office.call("PUT", run, name="Rehearsal", **moment())
    floor.sees("Rehearsal", "about to begin")
    where = {"state": "working", "doing": "Squat", "set_number": 2, "set_count": 3}
    office.call("PUT", f"{run}/where", **where, step=5, steps=20)
    floor.sees("at work", "Squat set 2 of 3")
    for number in (1, 2):
        body = {"movement": "squat", "number": number, "reps": 10 + number, "rpe": 8}
        office.call("PUT", f"{run}/sets/{new_id()}", **body, **moment())
        floor.sees(f"Squat {number}", f"{10 + number} reps")
    office.call("POST", f"{run}/finish", rpe=6, **moment())
    floor.sees("✓ done")


def test_the_line_comes_back_by_itself_with_all_that_happened(
    floor: Page, office: Office, service
) -> None:
    floor.allowed.append(r"ERR_|status of 503|status of 502")
    run = f"{office.base}/sessions/{new_id()}"
    office.call("PUT", run, name="Rehearsal", **moment())
    floor.sees("Rehearsal")
    service.stop()
    floor.sees("the line dropped; it comes back by itself")
    service.start()
    body = {"movement": "squat", "number": 1, "reps": 9, "rpe": 8}
    office.call("PUT", f"{run}/sets/{new_id()}", **body, **moment())
    floor.sees("◇ live", "Squat 1", "9 reps")


# ---- links -------------------------------------------------------------------------------------


def test_a_link_is_made_shown_once_and_ended(floor: Page) -> None:
    floor.sees("Oda Fenwick has none yet.")
    floor.click("Make a link")
    floor.sees("Shown this once".upper(), "Works until", "not opened yet")
    address = floor.find('section[aria-label="Private link"] input').get_attribute("value")
    assert "/open#" in (address or "")
    floor.driver.refresh()
    floor.sees("Works until")
    assert not floor.find_all('section[aria-label="Private link"] input')
    floor.click("End the link")
    floor.sees("It was ended.")


def test_a_broken_link_says_so(page: Page) -> None:
    page.allowed.append("status of 404")
    page.open("/open")
    page.sees("it is not whole. Open it as your coach sent it.")
    page.open("/open#" + "x" * 43)
    page.driver.refresh()
    page.sees("link")


# ---- by hand -----------------------------------------------------------------------------------


def cell(page: Page, row: int, column: int) -> object:
    return page.find(f'[data-cell="{row}.{column}"]')


def repeats(page: Page) -> None:
    """Say what the row above says."""
    keys = ActionChains(page.driver).key_down(Keys.CONTROL).send_keys("d").key_up(Keys.CONTROL)
    keys.perform()


def focus(page: Page) -> str:
    return str(page.script("return document.activeElement.dataset.cell ?? ''"))


def test_a_session_is_written_down_by_keys_alone(floor: Page, office: Office) -> None:
    floor.script("document.activeElement.blur()")
    floor.press("w")
    cell(floor, 0, 0).click()
    # down the counts, then down the efforts: as a pencil goes down a page
    floor.press("9", Keys.ENTER, "8 or 9", Keys.ENTER, "about 8")
    assert focus(floor) == "2.0"
    cell(floor, 0, 2).click()
    floor.press("8", Keys.ENTER)
    for _ in (1, 2):
        repeats(floor)
        floor.press(Keys.ENTER)
    floor.fill("Session effort", "7")
    floor.click("Keep the session")
    floor.sees("3 sets are kept.")
    session = office.call("GET", f"{office.base}/history")["sessions"][0]
    assert [one["amount"] for one in session["sets"]] == [9, 8.5, 8]
    assert [one["least"] for one in session["sets"]] == [None, 8, 7]
    assert {one["rpe"] for one in session["sets"]} == {8}
    assert session["rpe"] == 7


def test_any_movement_is_written_down_with_its_kilos_and_a_reload_loses_nothing(
    floor: Page, office: Office
) -> None:
    floor.script("document.activeElement.blur()")
    floor.press("w")
    floor.field("Another movement").click()
    rows = len(floor.driver.find_elements("css selector", "[data-cell$='.0']"))
    floor.press("weighted dip", Keys.ENTER)
    floor.until(lambda: focus(floor) == f"{rows}.0")
    floor.press("5", Keys.TAB, "12,5")
    floor.press(Keys.ENTER)  # the same movement again, as it was
    floor.until(lambda: focus(floor) == f"{rows + 1}.1")
    repeats(floor)
    for row in (rows, rows + 1):
        cell(floor, row, 2).send_keys("8")
        cell(floor, row, 3).send_keys("3-0-1-0")
    floor.driver.refresh()
    floor.sees("Throw the draft away")
    assert cell(floor, rows, 1).get_attribute("value") == "12,5"
    cell(floor, rows + 1, 0).send_keys("4")
    floor.click("Keep the session")
    floor.sees("2 sets are kept.")
    first, second = office.call("GET", f"{office.base}/history")["sessions"][0]["sets"]
    assert (first["name"], first["load_kg"], first["load_at"]) == ("Bar dip", 12.5, "belt")
    assert (second["amount"], second["tempo"], second["rung_id"]) == (4, "3-0-1-0", None)


def test_a_row_that_cannot_be_is_named_and_nothing_is_lost(floor: Page, office: Office) -> None:
    floor.allowed.append("status of 422")
    floor.script("document.activeElement.blur()")
    floor.press("w")
    cell(floor, 0, 0).click()
    floor.press("9", Keys.ENTER, "lots")
    cell(floor, 0, 2).click()
    floor.press("8", Keys.ENTER, "8")
    floor.click("Keep the session")
    floor.sees("row 2, reps", "“lots” is no count.", "11 or 12")
    assert cell(floor, 1, 0).get_attribute("value") == "lots"
    assert len(office.call("GET", f"{office.base}/history")["sessions"]) == 1
    floor.press(Keys.TAB)
    box = cell(floor, 1, 0)
    box.send_keys(Keys.CONTROL, "a")
    box.send_keys("7")
    floor.click("Keep the session")
    floor.sees("2 sets are kept.")


def test_an_earlier_set_is_put_right_and_all_else_of_it_stays(floor: Page, office: Office) -> None:
    (push,) = office.ladders[:1]
    rung = office.call("GET", f"/api/ladders/{push}")["current_rung_id"]
    run = f"{office.base}/sessions/{new_id()}"
    office.call("PUT", run, name="Rehearsal", **moment())
    said = {"form_ok": False, "faults": ["hips sag"], "felt_in": ["triceps"], "note": "slow"}
    asked = {"prescribed_min": 6, "prescribed_max": 10, "pain": 2, "pain_place": "left wrist"}
    body = {"number": 1, "rung_id": rung, "amount": 10, "rpe": 8, **said, **asked}
    first = office.call("PUT", f"{run}/sets/{new_id()}", **body, **moment())
    office.call("POST", f"{run}/finish", rpe=6, **moment())
    floor.driver.refresh()
    floor.sees("Private link".upper())
    floor.press("w")
    options = floor.field("What").find_elements("css selector", "optgroup:last-of-type option")
    next(one for one in options if "Rehearsal" in one.text).click()
    box = cell(floor, 0, 0)
    box.send_keys(Keys.CONTROL, "a")
    box.send_keys("9")
    floor.click("Keep what is put right")
    floor.sees("1 row put right.")
    sessions = office.call("GET", f"{office.base}/history")["sessions"]
    (set_now,) = next(one["sets"] for one in sessions if one["name"] == "Rehearsal")
    for name in (*said, *asked, "rpe", "rung_id", "item", "at"):
        assert set_now[name] == first[name]
    assert (set_now["amount"], set_now["corrects_set_id"]) == (9, first["id"])
    options = floor.field("What").find_elements("css selector", "optgroup:last-of-type option")
    next(one for one in options if "Rehearsal" in one.text).click()
    floor.click("corrected")
    floor.sees("Put right by Ilse Marn", "count: 10 → 9", "First entered by")


# ---- CSV ---------------------------------------------------------------------------------------


def sends(page: Page, path: Path) -> None:
    page.find('[role=dialog] input[type="file"]').send_keys(str(path))


@pytest.fixture
def file(tmp_path: Path) -> Path:
    return tmp_path / "sets.csv"


def test_a_file_is_matched_tried_put_right_and_kept(
    floor: Page, office: Office, file: Path
) -> None:
    floor.click("Sets as CSV, out and in …")
    file.write_text("when,what,did,hard\n2026-03-02,push-up,9,8\n2026-03-03,flying,9,8\n")
    floor.allowed.append("status of 422")
    sends(floor, file)
    floor.sees("no column is known for: date, amount, rpe, movement.")
    better = file.with_name("better.csv")
    better.write_text("date,exercise,did,effort\n2026-03-02,push-up,9,8\n2026-03-03,squat,12,8\n")
    sends(floor, better)
    floor.sees("no column is known for: amount.")
    best = file.with_name("best.csv")
    best.write_text("date,exercise,reps,effort\n2026-03-02,push-up,9,8\n2026-03-03,flying,12,8\n")
    sends(floor, best)
    floor.sees("Nothing is kept yet.")
    floor.sees("row 3, movement:")
    assert floor.button("Keep the new sets").get_attribute("disabled") is not None
    best.write_text("date,exercise,reps,effort\n2026-03-02,push-up,9,8\n2026-03-03,squat,12,8\n")
    good = best.rename(file.with_name("good.csv"))
    sends(floor, good)
    floor.click("Keep the new sets")
    floor.sees("Kept: 2 sets new, 0 logged already.")
    days = [one["local_date"] for one in office.call("GET", f"{office.base}/history")["sessions"]]
    assert days[-2:] == ["2026-03-03", "2026-03-02"]


def test_a_large_file_is_kept_by_the_worker(floor: Page, office: Office, file: Path) -> None:
    rows = [
        f"2025-{month:02}-{day:02},push-up,{8 + number},8"
        for month in range(1, 12)
        for day in range(1, 13)
        for number in range(4)
    ]
    file.write_text("\n".join(["date,movement,amount,effort", *rows]))
    floor.click("Sets as CSV, out and in …")
    sends(floor, file)
    floor.sees("528 sets can be read. Nothing is kept yet.")
    floor.click("Keep the new sets")
    floor.sees("Kept: 528 sets new, 0 logged already.")
    days = [one["local_date"] for one in office.call("GET", f"{office.base}/history")["sessions"]]
    assert {"2025-11-12", "2025-11-11"} <= set(days)


def test_wrong_letters_are_refused_and_a_formula_is_not_run(
    floor: Page, office: Office, file: Path
) -> None:
    floor.allowed.append("status of 422")
    floor.click("Sets as CSV, out and in …")
    file.write_bytes(
        "date,movement,amount,effort,note\n2026-03-02,push-up,9,8,caf\xe9".encode("latin-1")
    )
    sends(floor, file)
    floor.sees("line 2 holds letters that are not UTF-8. Save it as CSV in UTF-8.")
    evil = file.with_name("evil.csv")
    evil.write_text('date,movement,amount,effort,note\n2026-03-02,push-up,9,8,"=1+1"\n')
    sends(floor, evil)
    floor.click("Keep the new sets")
    floor.sees("Kept: 1 set new")
    out = office.session.get(f"{office.url}{office.base}/logs", timeout=10)
    rows = list(csv.DictReader(StringIO(out.content.decode("utf-8-sig"))))
    assert "'=1+1" in [row["note"] for row in rows]


# ---- notes -------------------------------------------------------------------------------------


def test_a_note_comes_up_as_the_next_times_cue(floor: Page) -> None:
    floor.fill("Note", "Left elbow in.")
    floor.click("Keep the note")
    floor.sees("Floor push-up: Left elbow in.")
    floor.click("Run a session at their side")
    floor.sees("One ladder alone".upper())
    floor.find("button[aria-pressed]").click()
    floor.sees("◆ Left elbow in.", "10, 10, 10 at effort 8.5 at most")
