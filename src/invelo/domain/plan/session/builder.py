"""Sessions from shapes: which patterns in which formats, filled in for whoever trains.

A shape names families and formats, no person. Filled in, each slot becomes the rung that the
athlete stands on, or a plain movement where they have no ladder of that family.
"""

from collections.abc import Iterator, Sequence
from dataclasses import dataclass, replace
from itertools import pairwise

from invelo.domain.athlete.caution import BEFORE_A_SESSION, cautions_of
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.equipment.kit import Kind
from invelo.domain.errors import InputError
from invelo.domain.plan.session import blocks
from invelo.domain.plan.session.asking import asked_of, asked_set, chain_of, followed
from invelo.domain.plan.session.order import interference
from invelo.domain.plan.session.template import SessionTemplate, ShapeBlock, Slot
from invelo.domain.plan.session.trainee import Trainee
from invelo.domain.plan.session.warm_up import warm_up
from invelo.domain.plan.session.work import Block, Format, Item, Session, WorkSet


@dataclass(frozen=True)
class FilledBlock:
    """A block of a shape, filled in.

    Attributes:
        block: made of what is open.
        slots: positions in the shape of what it is made of, in its order.
    """

    block: Block
    slots: tuple[int, ...]


def fill(slot: Slot, trainee: Trainee, kinds: frozenset[Kind] | None = None) -> Item:
    """A slot filled in for someone: by their rung, or the nearest easier one that the kit of the
    session allows, or else a movement.

    Args:
        slot: which.
        trainee: who.
        kinds: of things the session may take; anything if left out.

    Raises:
        InputError: where neither a ladder nor an open movement fills it.
    """
    stand = None if slot.exact else trainee.stand_in(slot.family)
    stand = trainee.within(stand, kinds) if stand else None
    if stand is not None:
        item = trainee.item(stand)
        return _as_asked(item.with_sets(slot.sets) if slot.sets else item, slot, trainee)
    named = [catalogue().find_movement(other) for other in slot.movements]
    own = [substitute.movement for substitute in slot.instead if substitute.when != "too easy"]
    for movement in named:
        if not trainee.shut(movement) and movement.takes(kinds):
            return _as_asked(trainee.loose(movement, slot.purpose, slot.sets), slot, trainee)
    for movement in map(catalogue().find_movement, own):
        if not trainee.shut(movement) and movement.takes(kinds):
            why = f"In place of {named[0].name}, as the coach chose." if named else ""
            loose = replace(trainee.loose(movement, slot.purpose, slot.sets), why=why)
            return replace(_open(loose, trainee), instead=slot.instead)
    tried = ", ".join(other.name.lower() for other in named) or "nothing else is named"
    reasons = dict.fromkeys(
        trainee.why_closed[other.id] for other in named if other.id in trainee.why_closed
    )
    raise InputError(
        "movement",
        f"nothing of the {slot.family} is open to {trainee.name} ({tried})"
        + (f": {'; '.join(reason.rstrip('.') for reason in reasons)}." if reasons else "."),
        "Give a ladder of it, or take another session.",
    )


def _as_asked(item: Item, slot: Slot, trainee: Trainee) -> Item:
    """An item as the coach asks for it, that nothing closes.

    Raises:
        InputError: naming what closes it, or what its movement does not have.
    """
    asked = followed(asked_exactly(item, slot, trainee), slot.followed_by, trainee)
    return replace(_open(asked, trainee), instead=slot.instead)


def _open(item: Item, trainee: Trainee) -> Item:
    """An item that nothing closes as it is set up, loads included.

    Raises:
        InputError: naming what closes it.
    """
    for work_set in item.sets:
        why = trainee.shut(work_set.movement, work_set.modifiers)
        if why:
            raise InputError("movement", f"{item.name}: {why}", "Ask less of it, or take another.")
    return item


def asked_exactly(item: Item, slot: Slot, trainee: Trainee) -> Item:
    """An item with what the coach asks of it, set by set, in place of what is prescribed."""
    if not slot.each:
        return replace(
            item, sets=tuple(asked_set(slot.asked, work_set, trainee) for work_set in item.sets)
        )
    last = len(item.sets) - 1
    sets = (asked_set(each, item.sets[min(i, last)], trainee) for i, each in enumerate(slot.each))
    return replace(item, sets=tuple(sets))


def with_rests(block: Block, shape: ShapeBlock) -> Block:
    """A block with the rests and the work window that a coach set."""
    between = shape.between if shape.between is not None else block.between
    round_rest = shape.round_rest if shape.round_rest is not None else block.round_rest
    window, words = block.window, block.words
    if window is not None:
        work = shape.work if shape.work is not None else window[0]
        window = (work, between)
        words = f"{work:g} s on, {between:g} s to change"
        round_rest = shape.round_rest if shape.round_rest is not None else between
    return replace(block, between=between, round_rest=round_rest, window=window, words=words)


def block_of(format_: Format, items: Sequence[Item], rounds: int = 3) -> Block:
    """A block of one of the formats that a coach chooses.

    Raises:
        InputError: where the items do not fit the format.
    """
    match format_:
        case "pair" | "triple" | "circuit":
            return blocks.rounds_of(format_, items)
        case "interval":
            return blocks.interval(items, rounds)
        case "pre-tire":
            if len(items) != 2:
                raise InputError("pre-tire", f"it has {len(items)} movements.", "Give it two.")
            return blocks.pre_tire(items[0], items[1])
        case _:
            if len(items) != 1:
                raise InputError(format_, f"it has {len(items)} movements.", "Give it one.")
    if format_ == "drop set" and any(work_set.kind == "part" for work_set in items[0].sets):
        return blocks.drop_chain(items[0])
    alone = {
        "straight sets": blocks.straight,
        "drop set": blocks.drop_set,
        "cluster": blocks.cluster,
        "top single": blocks.top_single,
        "holds in pieces": blocks.in_pieces,
        "finisher": blocks.finisher,
    }
    return alone[format_](items[0])


def session_of(shape: SessionTemplate, trainee: Trainee) -> Session:
    """A shape filled in for someone, with warm-up, preparatory work and notes. A slot that is
    closed to them is left out, and the notes say why.

    Raises:
        InputError: where all of it is closed.
    """
    return session_from(shape, trainee, *filled(shape, trainee))


def filled(
    shape: SessionTemplate, trainee: Trainee
) -> tuple[tuple[FilledBlock | None, ...], tuple[str, ...]]:
    """A shape's blocks filled in for someone, None where all of one is closed to them; and why
    what is left out is."""
    left_out: list[str] = []
    blocks = tuple(_filled_block(shape, block, trainee, left_out) for block in shape.blocks)
    return blocks, tuple(left_out)


def _filled_block(
    shape: SessionTemplate, block: ShapeBlock, trainee: Trainee, left_out: list[str]
) -> FilledBlock | None:
    items: dict[int, Item] = {}
    for at, slot in enumerate(block.slots):
        try:
            items[at] = fill(slot, trainee, shape.kinds)
        except InputError as error:
            left_out.append(error.problem[:1].upper() + error.problem[1:])
    if not items:
        return None
    made = block_of(_format(block, len(items)), list(items.values()), block.rounds)
    return FilledBlock(with_rests(made, block), tuple(items))


def session_from(
    shape: SessionTemplate,
    trainee: Trainee,
    blocks: Sequence[FilledBlock | None],
    left_out: Sequence[str],
) -> Session:
    """A session of blocks filled in.

    Raises:
        InputError: where there is none.
    """
    made = [filled.block for filled in blocks if filled is not None]
    if not made:
        reasons = " ".join(left_out)
        raise InputError(
            "session",
            f"nothing of it is open to {trainee.name}: {reasons}",
            "Take another one, or open what is closed on the Intake sheet.",
        )
    session = dressed(shape.name, made, trainee)
    return replace(session, notes=(*session.notes, *left_out))


def _format(block: ShapeBlock, count: int) -> Format:
    """Its own format, or one for fewer where a slot is left out."""
    if count == len(block.slots) or block.format == "interval":
        return block.format
    return "straight sets" if count == 1 else "pair" if count == 2 else block.format


def dressed(
    name: str, made: Sequence[Block], trainee: Trainee, prepares: Sequence[Item] | None = None
) -> Session:
    """Blocks with the warm-up before them, preparatory work after it, and what is to be known.

    Args:
        name: of the session.
        made: its blocks.
        trainee: who.
        prepares: work that opens closed checks; all there is if left out.
    """
    opening = trainee.preparation() if prepares is None else tuple(prepares)
    made = _keyed_apart(made)
    items = [item for block in made for item in block.items]
    before = [warm_up(items, trainee)] if items or opening else []
    if opening:
        keys = {item.key for item in opening}
        checks = [check for check in trainee.closed_checks if f"check:{check.id}" in keys]
        before.append(blocks.preparatory(checks, opening))
    return Session(name, (*before, *made), notes_of(made))


def _keyed_apart(made: Sequence[Block]) -> tuple[Block, ...]:
    """Blocks whose items all have keys of their own: one that comes again is told by its number."""
    seen: dict[str, int] = {}
    blocks = []
    for block in made:
        items = []
        for item in block.items:
            seen[item.key] = seen.get(item.key, 0) + 1
            again = f"/{seen[item.key]}" if seen[item.key] > 1 else ""
            items.append(replace(item, key=f"{item.key}{again}"))
        blocks.append(replace(block, items=tuple(items)))
    return tuple(blocks)


def notes_of(made: Sequence[Block]) -> tuple[str, ...]:
    """What spoils what, and why an item is not as its ladder says."""
    spoils = [
        note.words
        for first, second in pairwise(made)
        for note in interference((first.items[-1], second.items[0]))
        if note.first != note.second
    ]
    spoils += [
        note.words
        for block in made
        if block.format != "pre-tire"
        for note in interference(block.items)
        if note.first != note.second
    ]
    whys = [f"{item.name}: {item.why}" for block in made for item in block.items if item.why]
    return tuple(dict.fromkeys([*spoils, *whys, *_without_rest(made)]))


def _without_rest(made: Sequence[Block]) -> list[str]:
    """What is to be known of rounds that have no rest at all."""
    return [
        f"There is no rest in the {block.format}: expect fewer reps from round to round, and see "
        "that everything stands ready."
        for block in made
        if block.in_rounds and not block.window and block.between == block.round_rest == 0.0
    ]


def template_of(template_id: str, name: str, session: Session, trainee: Trainee) -> SessionTemplate:
    """A session as one to start from: each movement exactly as it stood, with its amounts, loads,
    tempo and rests; what the format adds by itself is left to it.

    Raises:
        InputError: where there is nothing in it but a warm-up.
    """
    shapes = tuple(
        ShapeBlock(
            block.format,
            tuple(_slot_of(item, trainee, rests=not block.in_rounds) for item in block.items),
            between=block.between if block.in_rounds else None,
            round_rest=block.round_rest if block.in_rounds else None,
            work=block.window[0] if block.window else None,
        )
        for block in session.blocks
        if block.format not in ("warm-up", "preparatory work")
    )
    if not shapes:
        raise InputError("session", "there is nothing in it to keep.", "Plan something first.")
    return SessionTemplate(template_id, name, "own", "bar and bands", shapes)


def _slot_of(item: Item, trainee: Trainee, *, rests: bool) -> Slot:
    """Each set as it stood; what followed one without a rest follows it again."""
    each = tuple(
        asked_of(work_set, trainee, rests=rests)
        for work_set in _with_last_rests(item)
        if work_set.kind in ("work", "attempt", "turn")
    )[:12]
    asked = each[0] if each else asked_of(item.main, trainee, rests=rests)
    differ = each if len(set(each)) > 1 else ()
    sets = max(1, len(each))
    return Slot(
        item.movement.family,
        (item.movement.id,),
        "strength",
        sets,
        True,
        asked,
        differ,
        chain_of(item, trainee),
        item.instead,
    )


def _with_last_rests(item: Item) -> Iterator[WorkSet]:
    """Sets with the rest that comes once all that follows them is done."""
    for work_set, *parts in item.chains:
        yield replace(work_set, rest=parts[-1].rest) if parts else work_set


def cautions(session: Session) -> tuple[str, ...]:
    """Said before a session starts: the standing ones, then each movement's own."""
    sets = (work_set for item in session.items for work_set in item.sets)
    set_ups = dict.fromkeys((work_set.movement, work_set.modifiers) for work_set in sets)
    own = (line for set_up in set_ups for line in cautions_of(*set_up))
    return tuple(dict.fromkeys((*BEFORE_A_SESSION, *own)))
