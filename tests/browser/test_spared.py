"""A wrist that hurts on the phone, seen and cleared at the coach's desk."""

from invelo.api.common.cookies import SESSION_COOKIE
from tests.browser.page import DESKTOP, Page
from tests.browser.phone import Office, Phone


def test_a_sore_wrist_is_spared_seen_and_cleared(
    phone: Phone, office: Office, page: Page, token: str
) -> None:
    """Pain told at a check-in spares the wrist; the coach sees what stands still, what fits
    instead and when to ask, and clears it."""
    office.gives("row")
    office.plans_today()
    phone.comes_in(office.link())
    phone.click("Check-in")
    phone.click("wrist")
    phone.click("hurts")
    phone.choose("Pain", 5)
    phone.click("Check in")
    phone.sees("The session is adapted")

    push = office.ladders[0]
    page.has_cookie(SESSION_COOKIE, token)
    page.size(*DESKTOP)
    page.open(f"/ladder/{push}")
    page.sees("Wrist spared", "pain 5 of 10", "stands still", "Ask again on")
    page.press("5")
    page.sees("Wrist spared", "which hurts")
    page.open("/squad")
    page.sees("wrist spared since")
    page.open(f"/ladder/{push}")
    page.click("Clear the wrist …")
    page.fill("What was seen", "leans on the hands without pain")
    page.click("It is well again")
    page.sees_not("Wrist spared")
    page.open("/squad")
    page.sees("Oda Fenwick")
    page.sees_not("wrist spared since")
