"""One shape filled in for several people, each on their own rung."""

from collections.abc import Sequence
from dataclasses import dataclass

from invelo.domain.errors import InputError
from invelo.domain.plan.session.builder import FilledBlock, filled, session_from
from invelo.domain.plan.session.template import SessionTemplate
from invelo.domain.plan.session.timeline import length
from invelo.domain.plan.session.trainee import Trainee
from invelo.domain.plan.session.work import Session


@dataclass(frozen=True)
class ClassPart:
    """One person's part of a class.

    Attributes:
        name: whose.
        session: theirs, warm-up included.
        blocks: in the order of the shape's; None where all of one is closed to them.
    """

    name: str
    session: Session
    blocks: tuple[FilledBlock | None, ...]


@dataclass(frozen=True)
class GroupSession:
    """One shape, each person on their own rung.

    Attributes:
        shape: which.
        parts: one for each, in the order of the people.
        minutes: that all of them together take: the longest.
    """

    shape: SessionTemplate
    parts: tuple[ClassPart, ...]
    minutes: float


def group(shape: SessionTemplate, people: Sequence[Trainee]) -> GroupSession:
    """One shape for several people; a slot that is closed to one of them is left out for them, and
    their session says so.

    Raises:
        InputError: for nobody, or where nothing of the shape is open to someone.
    """
    if not people:
        raise InputError("people", "there is nobody.", "Pick at least one.")
    parts = tuple(_part(shape, person) for person in people)
    return GroupSession(shape, parts, max(length(part.session).likely for part in parts))


def _part(shape: SessionTemplate, person: Trainee) -> ClassPart:
    blocks, left_out = filled(shape, person)
    return ClassPart(person.name, session_from(shape, person, blocks, left_out), blocks)
