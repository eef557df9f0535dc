"""The few marks that drawings are made of, as SVG."""

from collections.abc import Iterable
from xml.sax.saxutils import escape, quoteattr

INK, FAINT, RED, GREEN = "#14213d", "#667", "#b3261e", "#1f6f43"


def sheet(width: float, height: float, title: str, parts: Iterable[str]) -> str:
    """A whole drawing on white."""
    return "\n".join(
        (
            f'<svg xmlns="http://www.w3.org/2000/svg" width="{width:g}" height="{height:g}" '
            f'viewBox="0 0 {width:g} {height:g}" font-family="sans-serif" role="img">',
            f"<title>{escape(title)}</title>",
            f'<rect width="{width:g}" height="{height:g}" fill="#fff"/>',
            *parts,
            "</svg>\n",
        )
    )


def line(x1: float, y1: float, x2: float, y2: float, width: float, colour: str = INK) -> str:
    """A straight line."""
    return (
        f'<line x1="{x1:.1f}" y1="{y1:.1f}" x2="{x2:.1f}" y2="{y2:.1f}" stroke="{colour}" '
        f'stroke-width="{width:g}" stroke-linecap="round"/>'
    )


def bar(x: float, y: float, width: float, height: float, colour: str = INK) -> str:
    """A filled bar."""
    return (
        f'<rect x="{x:.1f}" y="{y:.1f}" width="{width:.1f}" height="{height:.1f}" fill="{colour}"/>'
    )


def words_at(x: float, y: float, words: str, size: float, colour: str = INK) -> str:
    """Words that begin at a place."""
    fill = quoteattr(colour)
    return f'<text x="{x:.1f}" y="{y:.1f}" font-size="{size:g}" fill={fill}>{escape(words)}</text>'
