"""A movement drawn for print: the start in ink, the other end dashed, what it touches."""

from functools import lru_cache
from math import hypot

from reportlab.graphics.shapes import Circle, Drawing, Line, Rect
from reportlab.lib.colors import black, gray, white

from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.figure import Figure, Point, figures
from invelo.domain.biomechanics.reading import reading
from invelo.domain.catalogue.movement import Modifiers, Movement
from invelo.domain.errors import InputError

SOMEBODY = Body(75.0, 1.75)
"""Whose shape is drawn: the sheet shows what is done, not who does it."""

PAD = 3.0
"""Points that stay free round a figure."""

HEAD = 0.36
"""Radius of the head, of the way from shoulder to crown."""

BLOCK = 0.3
"""Metres across of a block that is stood or leaned on."""

HUNG = 0.3
"""Metres above the floor from which on the floor is left out, so that the body is seen."""


@lru_cache(maxsize=512)
def drawing_of(movement: Movement, modifiers: Modifiers, width: float, height: float) -> Drawing:
    """A movement as it is set up, fitted into a space in points; empty where none can be drawn."""
    sheet = Drawing(width, height)
    try:
        along = figures(reading(SOMEBODY, modifiers.setup(movement)))
    except InputError:
        return sheet
    ends = (along[0], along[-1]) if len(along) > 1 else (along[0],)
    place = _Placed(ends, width, height)
    if not along[0].from_above:
        _surroundings(sheet, along[0], place)
    for figure in reversed(ends):
        _body(sheet, figure, place, faint=figure is not along[0])
    return sheet


class _Placed:
    """Where something in metres stands on the sheet."""

    def __init__(self, those: tuple[Figure, ...], width: float, height: float) -> None:
        points = [point for figure in those for point in figure.joints.values()]
        tops = [surface.height for figure in those for surface in figure.surfaces]
        blocks = [
            figure.joints[surface.under].x + side * BLOCK / 2
            for figure in those
            for surface in figure.surfaces
            if surface.kind == "block" and surface.under in figure.joints
            for side in (-1, 1)
        ]
        xs = [*(p.x for p in points), *blocks]
        left, right = min(xs), max(xs)
        lowest = min(p.y for p in points)
        self.floored = not those[0].from_above and lowest < HUNG
        low = min(0.0, lowest) if self.floored else lowest
        high = max([*(p.y for p in points), *tops])
        across, up = max(0.2, right - left), max(0.2, high - low)
        self.scale = min((width - 2 * PAD) / across, (height - 2 * PAD) / up)
        self.left = (width - self.scale * across) / 2 - self.scale * left
        self.foot = PAD - self.scale * low

    def __call__(self, point: Point) -> tuple[float, float]:
        return self.left + self.scale * point.x, self.foot + self.scale * point.y


def _surroundings(sheet: Drawing, figure: Figure, place: _Placed) -> None:
    floor = place(Point(0.0, 0.0))[1] if place.floored else 0.0
    if place.floored:
        sheet.add(Line(0, floor, sheet.width, floor, strokeWidth=0.5, strokeColor=black))
    for surface in figure.surfaces:
        under = figure.joints.get(surface.under, Point(0.0, 0.0))
        x, top = place(Point(under.x, surface.height))
        if surface.kind == "bar":
            bar = Circle(x, top, 1.6, fillColor=black, strokeColor=black)
            sheet.add(bar)
        elif surface.kind == "wall":
            sheet.add(Line(x, floor, x, sheet.height, strokeWidth=0.8, strokeColor=black))
        elif surface.kind == "block":
            half = place.scale * BLOCK / 2
            block = Rect(x - half, floor, 2 * half, top - floor, fillColor=white)
            block.strokeWidth = 0.6
            sheet.add(block)


def _body(sheet: Drawing, figure: Figure, place: _Placed, *, faint: bool) -> None:
    colour = gray if faint else black
    dashes = [2.0, 1.6] if faint else None
    shoulder, crown = figure.joints.get("shoulder"), figure.joints.get("crown")
    for segment in figure.segments:
        near, far = figure.joints[segment.near], figure.joints[segment.far]
        if segment.far == "crown":
            share = 1.0 - 2 * HEAD
            far = Point(near.x + share * (far.x - near.x), near.y + share * (far.y - near.y))
        line = Line(*place(near), *place(far), strokeColor=colour, strokeDashArray=dashes)
        line.strokeWidth, line.strokeLineCap = (0.7 if faint else 1.2), 1
        sheet.add(line)
    if shoulder is not None and crown is not None:
        middle = Point(
            shoulder.x + (1 - HEAD) * (crown.x - shoulder.x),
            shoulder.y + (1 - HEAD) * (crown.y - shoulder.y),
        )
        radius = HEAD * place.scale * hypot(crown.x - shoulder.x, crown.y - shoulder.y)
        head = Circle(*place(middle), radius, strokeColor=colour, fillColor=white)
        head.strokeWidth, head.strokeDashArray = (0.7 if faint else 1.2), dashes
        sheet.add(head)
