"""Versions of what is edited (RFC 9110, If-Match): a page says what it has read, and is told what
was changed meanwhile instead of overwriting it."""

from typing import Annotated

from fastapi import Depends, Header

from invelo.db.errors import StaleError


def _if_match(
    if_match: Annotated[
        str | None,
        Header(
            alias="If-Match",
            max_length=80,
            description="The `version` that was read; refused (412) if it stands no more.",
        ),
    ] = None,
) -> str | None:
    given = (if_match or "").removeprefix("W/").strip().strip('"')
    return given if given not in ("", "*") else None


IfMatch = Annotated[str | None, Depends(_if_match)]
"""The version that a change is made to; None where the page does not say."""


def require_match(given: str | None, stands: str | int, thing: str, changed: str) -> None:
    """Let only a page that has read what stands change it.

    Args:
        given: the version it has read; None passes.
        stands: the version that stands.
        thing: what it is, as the page knows it.
        changed: what was changed last, in words.

    Raises:
        StaleError: for another version.
    """
    if given is not None and given != str(stands):
        raise StaleError(thing, changed)
