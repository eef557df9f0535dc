"""A coach's own tags of movements, which sort and count them beside the regions."""

from collections.abc import Iterable, Mapping
from itertools import chain

from invelo.domain.errors import InputError

Tags = Mapping[str, tuple[str, ...]]
"""Tags by the movement's id."""

NO_TAGS: Tags = {}

MOST_OF_ONE, MOST_IN_ALL = 6, 40
LONGEST = 30
"""Letters of a tag."""


def tidy(tags: Iterable[str], known: Tags) -> tuple[str, ...]:
    """Tags of one movement, each once, spelt as they are on others.

    Args:
        tags: as they are typed.
        known: of the coach's other movements.

    Raises:
        InputError: for too many, an empty or a long one.
    """
    spelt = {tag.casefold(): tag for tag in chain.from_iterable(known.values())}
    by_spelling: dict[str, str] = {}
    for typed in tags:
        tag = " ".join(typed.split())
        if not tag or len(tag) > LONGEST:
            raise InputError(
                "tag", f"“{tag[:LONGEST]}” is empty or too long.", f"Give 1 to {LONGEST} letters."
            )
        by_spelling.setdefault(tag.casefold(), spelt.get(tag.casefold(), tag))
    if len(by_spelling) > MOST_OF_ONE:
        raise InputError(
            "tags", f"{len(by_spelling)} are too many.", f"Give {MOST_OF_ONE} at most."
        )
    if len({*spelt, *by_spelling}) > MOST_IN_ALL:
        raise InputError(
            "tags", f"there are {MOST_IN_ALL} already.", "Use one of them, or take one away first."
        )
    return tuple(sorted(by_spelling.values(), key=str.casefold))
