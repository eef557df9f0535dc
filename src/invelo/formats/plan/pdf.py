"""Printed weeks and session cards: A4 or Letter, black ink, fonts embedded."""

from typing import Any

from reportlab.lib.pagesizes import landscape
from reportlab.platypus import Flowable, KeepTogether, PageBreak, Spacer, Table

from invelo.domain.days import day_words
from invelo.domain.plan.session.builder import cautions
from invelo.domain.plan.session.needed import needed, needed_words
from invelo.domain.plan.session.words import block_words, set_words, sets_words
from invelo.domain.plan.session.work import Block
from invelo.formats.figure_drawing import drawing_of
from invelo.formats.paper import MARGIN, SIZES, Paper, built, fonts, ruled, text
from invelo.formats.plan.words import FileDay, FileWeek

FIGURE = (84.0, 52.0)
"""Width and height of an item's figure, points."""

LINE = "_____"
"""Where what was done is written in."""


def week_pdf(week: FileWeek, paper: Paper) -> bytes:
    """A week on one landscape sheet, a column for each day, then a card for each session."""
    fonts()
    size = landscape(SIZES[paper])
    width = (size[0] - 2 * MARGIN) / max(1, len(week.days))
    head = [[text(f"{day.title}, {day.at}", 10, bold=True)] for day in week.days]
    cells = [[*head[i], *_column(day)] for i, day in enumerate(week.days)]
    story: list[Flowable] = [text(f"Week of {day_words(week.week_start)}", 16, bold=True, after=6)]
    for daily in week.daily:
        words = f"{daily.moment}: {daily.amount} × {daily.movement.name.lower()}"
        story.append(text(f"Every day at {daily.at}, {words}", 10, after=6))
    if cells:
        story.append(Table([cells], colWidths=[width] * len(cells), style=ruled()))
    else:
        story.append(text("Nothing is planned in this week yet."))
    for day in week.days:
        story += [PageBreak(), *_card(day, size[0] - 2 * MARGIN)]
    return built(story, size, week.who, f"Week of {day_words(week.week_start)}", week.revision)


def session_pdf(week: FileWeek, day: FileDay, paper: Paper) -> bytes:
    """One session's card, upright."""
    fonts()
    size = SIZES[paper]
    story = _card(day, size[0] - 2 * MARGIN)
    return built(story, size, week.who, f"Session of {day_words(day.day)}", week.revision)


def _column(day: FileDay) -> list[Flowable]:
    place = f"{day.place}, " if day.place else ""
    flowables: list[Flowable] = [text(f"{place}about {day.minutes:.0f} min", 8.5, after=4)]
    for item in day.session.items:
        flowables.append(text(item.name, 9, bold=True))
        flowables += [text(words, 8) for words in sets_words(item)]
        flowables.append(Spacer(0, 3))
    return flowables


def _card(day: FileDay, width: float) -> list[Flowable]:
    where = f", {day.place}" if day.place else ""
    story: list[Flowable] = [
        text(f"{day.title}, {day.at}{where}", 15, bold=True),
        text(f"about {day.minutes:.0f} min, warm-up included", 10, after=6),
    ]
    fetched = needed_words(needed(day.session))
    if fetched:
        story.append(text(f"You will need: {fetched}", 9, after=6))
    story += [KeepTogether(_block(block, width)) for block in day.session.blocks]
    flowables: list[Flowable] = [Spacer(0, 6), text("Before you start", 10, bold=True)]
    flowables += [text(f"– {line}", 8.5) for line in (*cautions(day.session), *day.session.notes)]
    story.append(KeepTogether(flowables))
    return story


def _block(block: Block, width: float) -> list[Flowable]:
    head = text(block_words(block), 10.5, bold=True, after=2)
    if block.format == "warm-up":
        line = "; ".join(f"{item.name} {set_words(item.main)}" for item in block.items)
        return [head, text(line, 9), Spacer(0, 6)]
    rows: list[list[Any]] = []
    for item in block.items:
        name = [text(item.name, 10, bold=True)]
        if item.goal and item.goal != item.name:
            name.append(text(f"towards: {item.goal}", 8))
        name += [text(cue, 8) for cue in item.movement.cues[:2]]
        if item.easier:
            name.append(text(f"easier: {item.easier[0].name}", 8))
        lines = "   ".join(f"{set_words(work_set)} {LINE}" for work_set in item.sets)
        asked = sets_words(item, rests=not block.in_rounds)
        figure = drawing_of(item.movement, item.main.modifiers, *FIGURE)
        rows.append([figure, name, [*(text(words, 9) for words in asked), text(lines, 9)]])
    rest = width - FIGURE[0] - 12
    table = Table(rows, colWidths=[width - rest, 0.42 * rest, 0.58 * rest], style=ruled())
    return [head, table, Spacer(0, 6)]
