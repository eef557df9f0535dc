"""A message as a letter: put right, sent, read, and stopped by whoever reads it."""

from sqlalchemy import Engine
from sqlmodel import select

from invelo.db.database import transaction
from invelo.db.tables.athlete import AthleteRow
from invelo.devices.simulated_mail import MailBox
from tests.browser.conftest import Service
from tests.browser.page import Page

ODA = "oda@theatre.example"


def test_a_message_is_put_right_sent_and_stopped_by_its_reader(
    running: tuple[Service, Engine], step_up_waits: None, signed_in: Page, box: MailBox
) -> None:
    page = signed_in
    page.allowed += ["status of 422"]
    page.click("Record of Oda Fenwick")
    page.sees("For letters you send")
    page.fill("E-mail", ODA)
    page.click("Keep name and note")
    page.sees("✓ Kept.")

    page.open("/squad")
    page.open_ladder()
    page.press("7")
    page.click("Accept")
    page.sees("Draft.")
    page.click("Edit the message to Oda Fenwick")
    page.fill("Message", "Mind your sore wrist.")
    page.click("Keep the message")
    page.sees("“sore” is a word of health", "say it in person")
    page.fill("Message", "Well done. See you on Monday.")
    page.driver.refresh()  # what was typed is still there
    page.click("Edit the message to Oda Fenwick")
    assert page.field("Message").get_attribute("value") == "Well done. See you on Monday."
    page.click("Keep the message")
    page.sees("Draft.", "See you on Monday.")
    page.press("m")
    page.click("Send the message to Oda Fenwick")
    page.sees("✓ Sent on")
    page.until(lambda: len(box.letters) == 1)
    letter = box.letters[0]
    assert (letter.to, letter.body.splitlines()[0]) == (ODA, "Well done. See you on Monday.")

    address = next(line for line in letter.body.splitlines() if "/letters#" in line)
    page.open(address.split(page.url)[1])
    page.sees("Your coach may send you letters")
    page.click("Stop the letters")
    page.sees("No more letters are sent to you.")
    with transaction(running[1]) as db:
        assert db.exec(select(AthleteRow)).one().letters_stopped_at is not None
    page.open("/squad")
    page.open_ladder()
    page.press("7")
    page.sees("Accepted")
    page.press("m")
    page.sees("✓ Sent on")
