"""Printed sheets: paper, embedded fonts, ruled tables, and the title block at the foot."""

from collections.abc import Callable
from functools import cache
from importlib import resources
from io import BytesIO
from typing import Any, Literal
from xml.sax.saxutils import escape

from reportlab.lib.pagesizes import A4, LETTER
from reportlab.lib.styles import ParagraphStyle
from reportlab.lib.units import mm
from reportlab.pdfbase import pdfmetrics
from reportlab.pdfbase.ttfonts import TTFont
from reportlab.pdfgen.canvas import Canvas
from reportlab.platypus import Flowable, Paragraph, SimpleDocTemplate, TableStyle

from invelo.domain.athlete.caution import STANDING

Paper = Literal["a4", "letter"]
SIZES: dict[Paper, tuple[float, float]] = {"a4": A4, "letter": LETTER}
MARGIN = 14 * mm
TEXT, BOLD = "SourceSans", "SourceSans-Bold"


@cache
def fonts() -> None:
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


def text(words: str, size: float = 9.5, bold: bool = False, after: float = 0.0) -> Paragraph:
    """A paragraph in the sheet's text face, size in points."""
    return Paragraph(escape(words), _style(size, bold, after))


def ruled() -> TableStyle:
    """A table with hairlines."""
    return TableStyle(
        [
            ("VALIGN", (0, 0), (-1, -1), "TOP"),
            ("BOX", (0, 0), (-1, -1), 0.8, "black"),
            ("INNERGRID", (0, 0), (-1, -1), 0.4, "black"),
        ]
    )


def built(
    story: list[Flowable], size: tuple[float, float], who: str, sheet: str, revision: int
) -> bytes:
    """A PDF of a story, with the title block on every page."""
    buffer = BytesIO()
    document = SimpleDocTemplate(
        buffer,
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
    return buffer.getvalue()


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
