"""A class on one sheet to hang up: what to fetch first, then each person's own rung and load."""

from collections.abc import Sequence

from reportlab.lib.pagesizes import landscape
from reportlab.platypus import Flowable, Spacer, Table

from invelo.domain.plan.group.group import ClassPart, GroupSession
from invelo.domain.plan.session.needed import needed, needed_words
from invelo.domain.plan.session.words import block_words, sets_words
from invelo.domain.plan.session.work import Block
from invelo.formats.figure_drawing import drawing_of
from invelo.formats.paper import MARGIN, SIZES, Paper, built, fonts, ruled, text

FIGURE = (66.0, 40.0)
"""Width and height of an item's figure, points."""

MOST_ACROSS = 6
"""People beside each other; more stand in a second table."""


def class_pdf(group: GroupSession, paper: Paper) -> bytes:
    """A class on a landscape sheet, a column for each person."""
    fonts()
    size = landscape(SIZES[paper])
    width = size[0] - 2 * MARGIN
    fetched = dict.fromkeys(line for part in group.parts for line in needed(part.session))
    story: list[Flowable] = [
        text(group.shape.name, 22, bold=True, after=4),
        text(f"about {group.minutes:.0f} min together, warm-up included", 12, after=4),
    ]
    if fetched:
        story.append(text(f"Fetch first: {needed_words(fetched)}", 12, after=6))
    people = group.parts
    for at in range(0, len(people), MOST_ACROSS):
        story += [_table(people[at : at + MOST_ACROSS], width), Spacer(0, 8)]
    return built(story, size, f"class of {len(people)}", group.shape.name, 1)


def _table(people: Sequence[ClassPart], width: float) -> Table:
    head = [text("", 11), *(text(part.name, 12, bold=True) for part in people)]
    rows = []
    for blocks in zip(*(_blocks(part) for part in people), strict=True):
        words = next((block_words(block) for block in blocks if block), "")
        if words:
            cells = [_cell(block) if block else text("–", 9) for block in blocks]
            rows.append([text(words, 9), *cells])
    first = 0.16 * width
    each = (width - first) / len(people)
    return Table([head, *rows], colWidths=[first, *[each] * len(people)], style=ruled())


def _blocks(part: ClassPart) -> list[Block | None]:
    """What opens closed checks, then the class's own blocks, None where one is closed to them."""
    before = (block for block in part.session.blocks if block.format == "preparatory work")
    return [next(before, None), *(filled.block if filled else None for filled in part.blocks)]


def _cell(block: Block) -> list[Flowable]:
    flowables: list[Flowable] = []
    for item in block.items:
        flowables.append(drawing_of(item.movement, item.main.modifiers, *FIGURE))
        flowables.append(text(item.name, 11, bold=True))
        if item.goal and item.goal != item.name:
            flowables.append(text(f"towards: {item.goal}", 8))
        flowables += [text(words, 9) for words in sets_words(item, rests=not block.in_rounds)]
        flowables += [text(cue, 8) for cue in item.movement.cues[:1]]
        if item.easier:
            flowables.append(text(f"easier: {item.easier[0].name}", 8))
        flowables.append(Spacer(0, 3))
    return flowables
