"""A week as Markdown to read."""

from invelo.domain.days import day_words
from invelo.domain.plan.session.builder import cautions
from invelo.domain.plan.session.words import block_words, sets_words
from invelo.domain.plan.session.work import Session
from invelo.formats.markdown import literal
from invelo.formats.plan.words import FileWeek


def markdown(week: FileWeek) -> str:
    """A week, day by day."""
    lines = [f"# Week of {day_words(week.week_start)}, {literal(week.who)}", ""]
    for daily in week.daily:
        lines += [
            f"Every day at {daily.at}, {literal(daily.moment)}: {daily.amount} × "
            f"{daily.movement.name.lower()}.",
            "",
        ]
    for day in week.days:
        where = f", {literal(day.place)}" if day.place else ""
        lines += [f"## {literal(day.title)}, {day.at}{where}, about {day.minutes:.0f} min", ""]
        lines += _session(day.session)
    return "\n".join(lines)


def _session(session: Session) -> list[str]:
    lines = []
    for block in session.blocks:
        lines += [f"### {literal(block_words(block))}", ""]
        for item in block.items:
            lines.append(f"- **{literal(item.name)}**: {'; '.join(sets_words(item))}")
        lines.append("")
    if session.notes:
        lines += [*(f"> {literal(note)}" for note in session.notes), ""]
    lines += [*(f"- {line}" for line in cautions(session)), ""]
    return lines
