"""A printed review: the newest decision, the block in figures, and what went before."""

from typing import Any

from reportlab.platypus import Flowable, KeepTogether, Spacer, Table

from invelo.domain.days import day_words
from invelo.formats.paper import MARGIN, SIZES, Paper, built, fonts, ruled, text
from invelo.formats.review.words import BlockReport, ProposalReport


def review_pdf(block: BlockReport, paper: Paper) -> bytes:
    """A ladder's review on paper."""
    fonts()
    size = SIZES[paper]
    width = size[0] - 2 * MARGIN
    story: list[Flowable] = [text(f"Review: {block.goal}", 16, bold=True, after=6)]
    if block.proposals:
        story += _newest(block.proposals[0])
    else:
        story.append(text("No decision yet: run a session."))
    story += [Spacer(0, 8), KeepTogether(_figures(block, width))]
    if len(block.proposals) > 1:
        story += [Spacer(0, 8), text("Earlier proposals", 11, bold=True, after=2)]
        rows: list[list[Any]] = [
            [
                text(day_words(proposal.day), 8.5),
                [text(proposal.outcome, 9, bold=True), text(proposal.way, 8.5)],
                text(proposal.reason, 8.5),
                text(proposal.answer or "waits", 8.5),
            ]
            for proposal in block.proposals[1:]
        ]
        columns = [0.13 * width, 0.25 * width, 0.42 * width, 0.2 * width]
        story.append(Table(rows, colWidths=columns, style=ruled()))
    return built(story, size, block.who, f"Review: {block.goal}", block.revision)


def _newest(proposal_report: ProposalReport) -> list[Flowable]:
    return [
        text(f"{day_words(proposal_report.day)}: {proposal_report.outcome}", 13, bold=True),
        text(proposal_report.way, 10.5, after=3),
        text(proposal_report.reason, 10, after=4),
        *(text(f"– {rule}", 8.5) for rule in proposal_report.rules),
        text(f"Confidence: {proposal_report.confidence}", 9, after=2),
        text(proposal_report.answer or "Needs your decision.", 9, bold=True),
    ]


def _figures(block: BlockReport, width: float) -> list[Flowable]:
    form_ok, sets = block.sets
    growth = "too little tells" if block.growth is None else f"{100 * block.growth:+.1f} %"
    forecast = block.next_criterion
    when = day_words(forecast.likely) if forecast and forecast.likely else "not in sight"
    span = ""
    if forecast is not None and forecast.low is not None:
        until = day_words(forecast.high) if forecast.high else "beyond a year"
        span = f", {day_words(forecast.low)} to {until} (80 %)"
    rows = [
        ("Weeks", f"{day_words(block.first)} to {day_words(block.last)}"),
        ("Sessions", f"{block.done} of {block.planned} planned"),
        ("Sets", f"{sets}, {form_ok} clean"),
        ("Current rung, then and now", f"{block.began_on}, {block.stands_on}"),
        ("Capacity over the block", growth),
        ("Next criterion likely", f"{when}{span}" if forecast else "not enough yet"),
    ]
    cells = [[text(name, 9), text(words, 9, bold=True)] for name, words in rows]
    return [
        text("The block", 11, bold=True, after=2),
        Table(cells, colWidths=[0.3 * width, 0.7 * width], style=ruled()),
    ]
