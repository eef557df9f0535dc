"""Words that somebody typed, within Markdown: they stay words."""

import re

_MARKS = re.compile(r"([\\`*_{}\[\]<>#|~])")
_BREAKS = re.compile(r"\s*[\r\n\u2028\u2029]+\s*")


def literal(words: str) -> str:
    """Words as Markdown shows them (CommonMark 0.31, backslash escapes): no heading, link, table or
    tag comes of them, and no second line."""
    return _MARKS.sub(r"\\\1", _BREAKS.sub(" ", words))
