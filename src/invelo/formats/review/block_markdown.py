"""A report of a block for the athlete, in Markdown: what was done and what comes next, plainly.

It says nothing of health: pain, screens and notes stay with the coach.
"""

from invelo.domain.athlete.caution import STANDING
from invelo.domain.days import day_words
from invelo.formats.markdown import literal
from invelo.formats.review.words import BlockReport


def markdown(block: BlockReport) -> str:
    """The report."""
    form_ok, sets = block.sets
    lines = [
        f"# {block.weeks} weeks towards: {literal(block.goal)}",
        "",
        f"{literal(block.who)}, {day_words(block.first)} to {day_words(block.last)}",
        "",
        "## What you did",
        "",
        f"- {block.done} sessions of {block.planned} planned",
        f"- {sets} sets, {form_ok} of them clean throughout",
    ]
    if block.growth is not None:
        way = "more" if block.growth >= 0 else "less"
        lines.append(f"- capacity: about {abs(100 * block.growth):.0f} % {way} than at the start")
    lines += ["", "## Where you stand", ""]
    if block.began_on == block.stands_on:
        lines.append(f"On “{literal(block.stands_on)}”, as at the start.")
    else:
        lines.append(f"From “{literal(block.began_on)}” to “{literal(block.stands_on)}”.")
    if block.moves:
        lines += ["", "## On the way", "", *(f"- {literal(move)}" for move in block.moves)]
    lines += ["", "## What comes next", "", _next(block), "", f"*{STANDING}*", ""]
    return "\n".join(lines)


def _next(block: BlockReport) -> str:
    forecast = block.next_criterion
    if forecast is None:
        return "Go on; a few more sessions, and we can say when the next step is likely."
    if forecast.likely is None:
        return f"The {literal(forecast.what)} is not in sight yet. {forecast.nearer}"
    until = day_words(forecast.high) if forecast.high else "much later"
    low = day_words(forecast.low) if forecast.low else day_words(forecast.likely)
    what = literal(forecast.what)
    return (
        f"The {what}: likely around {day_words(forecast.likely)} ({low} to {until}, "
        f"eight times of ten). {forecast.nearer}"
    )
