"""Ladders with many rungs and lanes: nothing written on the drawing covers anything else."""

from datetime import datetime
from uuid import UUID, uuid4

import pytest
from sqlalchemy import Engine
from sqlmodel import select

from invelo.api.common.cookies import SESSION_COOKIE
from invelo.db.database import transaction
from invelo.db.moment import Moment
from invelo.db.tables.athlete import AthleteRow
from invelo.db.tables.ladder import LadderRow
from invelo.domain.athlete.readiness import CHECKS, CheckResult
from invelo.domain.catalogue.catalogue import catalogue
from invelo.services.athlete import readiness
from invelo.services.ladder import ladder as ladders
from tests.browser.conftest import ZONE, Service
from tests.browser.page import Page
from tests.depth import depth

COVERED = """
const words = 'main svg > text, [role=option] span, [role=option] .text-sm';
const texts = [...document.querySelectorAll(words)]
  .filter(one => one.textContent.trim() && !one.children.length && one.checkVisibility())
  .map(one => {
    const box = one.getBoundingClientRect();
    const end = one.closest('[role=option]')?.getBoundingClientRect().right ?? box.right;
    return { words: one.textContent.trim(), left: box.left, right: Math.min(box.right, end),
             top: box.top, foot: box.bottom };
  });
const covered = [];
texts.forEach((a, i) => texts.slice(i + 1).forEach(b => {
  const wide = Math.min(a.right, b.right) - Math.max(a.left, b.left);
  const high = Math.min(a.foot, b.foot) - Math.max(a.top, b.top);
  if (wide > 1 && high > 4) covered.push(`${a.words} | ${b.words}`);
}));
return [covered, texts.length];
"""
"""Words that stand on each other: more than 1 px wide and 4 px high, as lines of text have air."""

CURRENT = """
const rows = [...document.querySelectorAll('[role=option]')];
const row = rows.find(one => one.textContent.includes('current rung'));
const label = row.querySelector('[title]').parentElement;
return [label.scrollWidth - label.clientWidth, label.textContent];
"""


@pytest.fixture
def every_ladder(running: tuple[Service, Engine], service: Service) -> list[UUID]:
    """Every ready ladder, given to one athlete."""
    _, engine = running
    with transaction(engine) as db:
        oda = db.exec(select(AthleteRow)).one()
        now = Moment(datetime.now().astimezone(), ZONE)
        for check in CHECKS:
            shown = CheckResult(check.id, True, now.local_date)
            readiness.record(db, oda, uuid4(), shown, now)
        (theirs,) = db.exec(select(LadderRow)).all()
        made = [
            ladders.create(db, oda, ready, "strength", "intermediate", now).id
            for ready in catalogue().ladder
            if ready.goal != theirs.goal
        ]
        return [theirs.id, *made]


def test_no_words_of_a_drawing_stand_on_others(
    every_ladder: list[UUID], blank: Page, token: str
) -> None:
    blank.has_cookie(SESSION_COOKIE, token)
    some = depth(every_ladder[::2], every_ladder)
    wrong: dict[str, object] = {}
    for size, ladders_there in (((1280, 800), some), ((768, 1024), some[::4])):
        blank.size(*size)
        for ladder in ladders_there:
            blank.open(f"/ladder/{ladder}")
            blank.find("[role=option] [title]")
            covered, count = blank.script(COVERED)
            assert count > 3
            over, words = blank.script(CURRENT)
            if covered or over > 0:
                name = blank.find("h1").text.splitlines()[0]
                wrong[f"{name} at {size[0]}"] = [*covered, *([words] if over > 0 else [])]
    assert wrong == {}
