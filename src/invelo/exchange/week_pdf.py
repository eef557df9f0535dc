"""Printed weeks and session cards: A4 or Letter, black ink, fonts embedded."""

from collections.abc import Callable
from functools import cache
from importlib import resources
from io import BytesIO
from typing import Any, Literal
from xml.sax.saxutils import escape

from reportlab.lib.pagesizes import A4, LETTER, landscape
from reportlab.lib.styles import ParagraphStyle
from reportlab.lib.units import mm
from reportlab.pdfbase import pdfmetrics
from reportlab.pdfbase.ttfonts import TTFont
from reportlab.pdfgen.canvas import Canvas
from reportlab.platypus import (
    Flowable,
    KeepTogether,
    PageBreak,
    Paragraph,
    SimpleDocTemplate,
    Spacer,
    Table,
    TableStyle,
)

from invelo.core.catalogue import catalogue
from invelo.core.caution import STANDING
from invelo.core.session.builder import cautions
from invelo.core.session.words import block_words, set_words, sets_words
from invelo.core.session.work import Block
from invelo.exchange.week_words import FileDay, FileWeek

Paper = Literal["a4", "letter"]
SIZES: dict[Paper, tuple[float, float]] = {"a4": A4, "letter": LETTER}
MARGIN = 14 * mm
TEXT, BOLD = "SourceSans", "SourceSans-Bold"
LINE = "_____"
"""Where what was done is written in."""


@cache
def _fonts() -> None:
    """Shipped with the application and embedded, since a printer may lack them."""
    folder = resources.files("font_source_sans_pro") / "files"
    for name, cut in ((TEXT, "Regular"), (BOLD, "Bold")):
        pdfmetrics.registerFont(TTFont(name, str(folder / f"SourceSansPro-{cut}.ttf")))


def _style(size: float, bold: bool = False, after: float = 0.0) -> ParagraphStyle:
    return ParagraphStyle(
        f"{size}{bold}",
        fontName=BOLD if bold else TEXT,
        fontSize=size,
        leading=size * 1.25,
        spaceAfter=after,
    )


def _text(words: str, size: float = 9.5, bold: bool = False, after: float = 0.0) -> Paragraph:
    return Paragraph(escape(words), _style(size, bold, after))


def week_pdf(week: FileWeek, paper: Paper) -> bytes:
    """A week on one landscape sheet, a column for each day, then a card for each session."""
    _fonts()
    size = landscape(SIZES[paper])
    width = (size[0] - 2 * MARGIN) / max(1, len(week.days))
    head = [[_text(f"{day.title}, {day.at}", 10, bold=True)] for day in week.days]
    cells = [[*head[i], *_column(day)] for i, day in enumerate(week.days)]
    story: list[Flowable] = [_text(f"Week of {week.monday.isoformat()}", 16, bold=True, after=6)]
    if week.habit is not None:
        movement = catalogue().find_movement(week.habit.movement).name.lower()
        words = f"{week.habit.moment}: {week.habit.amount} × {movement}"
        story.append(_text(f"Every day at {week.habit.at}, {words}", 10, after=6))
    if cells:
        story.append(Table([cells], colWidths=[width] * len(cells), style=_ruled()))
    else:
        story.append(_text("Nothing is planned in this week yet."))
    for day in week.days:
        story += [PageBreak(), *_card(day, size[0] - 2 * MARGIN)]
    return _built(story, size, week.who, f"Week of {week.monday.isoformat()}", week.revision)


def session_pdf(week: FileWeek, day: FileDay, paper: Paper) -> bytes:
    """One session's card, upright."""
    _fonts()
    size = SIZES[paper]
    story = _card(day, size[0] - 2 * MARGIN)
    return _built(story, size, week.who, f"Session of {day.day.isoformat()}", week.revision)


def _ruled() -> TableStyle:
    return TableStyle(
        [
            ("VALIGN", (0, 0), (-1, -1), "TOP"),
            ("BOX", (0, 0), (-1, -1), 0.8, "black"),
            ("INNERGRID", (0, 0), (-1, -1), 0.4, "black"),
        ]
    )


def _column(day: FileDay) -> list[Flowable]:
    place = f"{day.place}, " if day.place else ""
    told: list[Flowable] = [_text(f"{place}about {day.minutes:.0f} min", 8.5, after=4)]
    for item in day.session.items:
        told.append(_text(item.name, 9, bold=True))
        told += [_text(words, 8) for words in sets_words(item)]
        told.append(Spacer(0, 3))
    return told


def _card(day: FileDay, width: float) -> list[Flowable]:
    where = f", {day.place}" if day.place else ""
    story: list[Flowable] = [
        _text(f"{day.title}, {day.at}{where}", 15, bold=True),
        _text(f"about {day.minutes:.0f} min, warm-up included", 10, after=6),
    ]
    story += [KeepTogether(_block(block, width)) for block in day.session.blocks]
    told: list[Flowable] = [Spacer(0, 6), _text("Before you start", 10, bold=True)]
    told += [_text(f"– {line}", 8.5) for line in (*cautions(day.session), *day.session.notes)]
    story.append(KeepTogether(told))
    return story


def _block(block: Block, width: float) -> list[Flowable]:
    head = _text(block_words(block), 10.5, bold=True, after=2)
    if block.format == "warm-up":
        told = "; ".join(f"{item.name} {set_words(item.main)}" for item in block.items)
        return [head, _text(told, 9), Spacer(0, 6)]
    rows: list[list[Any]] = []
    for item in block.items:
        name = [_text(item.name, 10, bold=True), _text(item.movement.cues[0], 8)]
        lines = "   ".join(f"{set_words(one)} {LINE}" for one in item.sets)
        rows.append([name, [*(_text(words, 9) for words in sets_words(item)), _text(lines, 9)]])
    table = Table(rows, colWidths=[0.42 * width, 0.58 * width], style=_ruled())
    return [head, table, Spacer(0, 6)]


def _built(
    story: list[Flowable], size: tuple[float, float], who: str, sheet: str, revision: int
) -> bytes:
    held = BytesIO()
    document = SimpleDocTemplate(
        held,
        pagesize=size,
        leftMargin=MARGIN,
        rightMargin=MARGIN,
        topMargin=MARGIN,
        bottomMargin=MARGIN + 10 * mm,
        title=sheet,
        author="Invelo",
    )
    foot = _title_block(size, who, sheet, revision)
    document.build(story, onFirstPage=foot, onLaterPages=foot)
    return held.getvalue()


def _title_block(
    size: tuple[float, float], who: str, sheet: str, revision: int
) -> Callable[[Canvas, Any], None]:
    """The block at the foot of every page, and the standing caution above it."""

    def draw(canvas: Canvas, document: Any) -> None:
        canvas.setFont(TEXT, 7.5)
        canvas.drawString(MARGIN, MARGIN + 8.5 * mm, STANDING)
        canvas.setLineWidth(0.8)
        canvas.rect(MARGIN, MARGIN - 2 * mm, size[0] - 2 * MARGIN, 8 * mm)
        cells = (
            ("Athlete", who),
            ("Sheet", sheet),
            ("Revision", str(revision)),
            ("Page", str(document.page)),
        )
        step = (size[0] - 2 * MARGIN) / len(cells)
        for i, (name, words) in enumerate(cells):
            left = MARGIN + i * step + 2 * mm
            canvas.setFont(TEXT, 6.5)
            canvas.drawString(left, MARGIN + 3 * mm, name)
            canvas.setFont(BOLD, 9)
            canvas.drawString(left, MARGIN - 0.5 * mm, words)

    return draw
