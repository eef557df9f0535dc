"""A week as Markdown to read."""

from invelo.core.catalogue import catalogue
from invelo.core.session.builder import cautions
from invelo.core.session.words import block_words, sets_words
from invelo.core.session.work import Session
from invelo.exchange.week_words import FileWeek


def markdown(week: FileWeek) -> str:
    """A week, day by day."""
    lines = [f"# Week of {week.monday.isoformat()}, {week.who}", ""]
    if week.habit is not None:
        movement = catalogue().find_movement(week.habit.movement)
        lines += [
            f"Every day at {week.habit.at}, {week.habit.moment}: {week.habit.amount} × "
            f"{movement.name.lower()}.",
            "",
        ]
    for day in week.days:
        where = f", {day.place}" if day.place else ""
        lines += [f"## {day.title}, {day.at}{where}, about {day.minutes:.0f} min", ""]
        lines += _session(day.session)
    return "\n".join(lines)


def _session(session: Session) -> list[str]:
    lines = []
    for block in session.blocks:
        lines += [f"### {block_words(block)}", ""]
        for item in block.items:
            lines.append(f"- **{item.name}**: {'; '.join(sets_words(item))}")
        lines.append("")
    if session.notes:
        lines += [*(f"> {note}" for note in session.notes), ""]
    lines += [*(f"- {line}" for line in cautions(session)), ""]
    return lines
