"""A wrist that hurts on the phone, seen at the coach's desk, cleared a week later and brought back
in steps."""

from datetime import timedelta

from sqlalchemy import Engine
from sqlmodel import select

from invelo.api.common.cookies import SESSION_COOKIE
from invelo.db.database import transaction
from invelo.db.tables.athlete import SparedPlaceRow
from tests.browser.conftest import Service
from tests.browser.page import DESKTOP, Page
from tests.browser.phone import Office, Phone, new_id


def a_week_passes(engine: Engine) -> None:
    """What was told of the wrist lies a week back."""
    with transaction(engine) as db:
        row = db.exec(select(SparedPlaceRow)).one()
        row.at -= timedelta(days=7)
        row.local_date -= timedelta(days=7)
        db.add(row)


def test_a_sore_wrist_is_spared_seen_and_cleared(
    phone: Phone, office: Office, page: Page, token: str, running: tuple[Service, Engine]
) -> None:
    """Pain told at a check-in spares the wrist on three ladders; the coach sees what stands still,
    what fits instead and when to ask, plans the week anew, clears it a week later, and it comes
    back with less."""
    for check in ("wrist", "flat hand", "sit and lift", "hands behind", "shoulder"):
        shown = {"id": new_id(), "check": check, "passed": True, "note": "seen"}
        office.call("POST", f"{office.base}/readiness", **shown)
    push = office.ladders[0]
    office.gives("planche")
    office.gives("l-sit")
    office.gives("row")
    office.plans_today()
    phone.comes_in(office.link())
    phone.click("Check-in")
    phone.click("wrist")
    phone.click("hurts")
    phone.choose("Pain", 5)
    phone.click("Check in")
    phone.sees("The session is adapted")

    page.has_cookie(SESSION_COOKIE, token)
    page.size(*DESKTOP)
    page.open(f"/ladder/{push}")
    page.sees("Wrist spared", "pain 5 of 10", "Ask again on")
    assert page.text.count("stands still") == 3
    assert page.text.count("Instead:") >= 2
    page.open_next_week()
    page.sees("Wrist spared", "which hurts")
    page.solve_and_keep()
    assert "Push-up" not in page.find("main").text.split("Wrist spared")[0]
    page.open("/squad")
    page.sees("wrist spared since")

    a_week_passes(running[1])
    page.open("/squad")
    page.sees("ask how it is")
    page.open(f"/ladder/{push}")
    page.click("Clear the wrist …")
    page.fill("What was seen", "leans on the hands without pain")
    page.click("It is well again")
    page.sees_not("Wrist spared")
    page.open("/squad")
    page.sees("Oda Fenwick")
    page.sees_not("wrist spared since")
    tasks = office.call("GET", f"{office.base}/week")["tasks"]
    back = next(task for task in tasks if task["key"] == push)
    assert "effort 7" in back["sets"][0]  # less than the eight and a half it stood at
