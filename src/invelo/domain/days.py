"""A day as it is shown. It stands alone so that every sentence writes it alike."""

from datetime import date


def day_words(day: date) -> str:
    """A day in words.

    >>> day_words(date(2026, 12, 5))
    '5 Dec 2026'
    """
    return f"{day.day} {day:%b %Y}"
