"""Today's session, changed with the least loss to what the day allows.

In this order, and each step says what it did: what pain or soreness forbids and the kit that is
missing are replaced, a bad night or a hard day eases, and the minutes are kept by the stated order
of cuts. An easier lever is held longer at equal torque × seconds. The warm-up is never cut.

Source: common practice, where a constant does not say otherwise.
"""

from collections.abc import Iterator
from dataclasses import dataclass, field, replace
from math import ceil

from invelo.domain.biomechanics.body import Body
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers, Movement, StressedJoint
from invelo.domain.equipment.kit import Kind
from invelo.domain.errors import InputError, require_within
from invelo.domain.estimate import Estimate
from invelo.domain.ladder.rung import Rung, kit_needed
from invelo.domain.plan.day.fit import fit
from invelo.domain.plan.day.tight import loosening, reaches
from invelo.domain.plan.methods import criterion_for
from invelo.domain.plan.prescription import Prescription
from invelo.domain.plan.session.builder import notes_of
from invelo.domain.plan.session.timeline import length
from invelo.domain.plan.session.totals import hard_sets, torque_seconds, torques
from invelo.domain.plan.session.trainee import Trainee, in_its_place
from invelo.domain.plan.session.warm_up import SHORT_SESSION, warm_up, within_short
from invelo.domain.plan.session.work import Block, Item, Reason, Session, WorkSet, sets_of
from invelo.domain.plan.substitutes import Substitute, substitutes
from invelo.domain.training.log import PAIN_STOP

SPARED = 1
"""Class of joint stress that a sore place still bears; a tight one bears 2."""

SHORT_SLEEP = 6.0
"""Hours of sleep under which the day eases."""

HARD_ALREADY = 8.0
"""Effort of the day so far from which the rest eases."""

EASED_BY = 1.0
"""By how much the target effort falls on such a day."""

LONGEST_SET: dict[str, float] = {"reps": 30.0, "s": 60.0, "cm": 400.0}
"""Reps and seconds past which a longer set is no help."""


@dataclass(frozen=True)
class Today:
    """What a day allows; whatever is left out is as planned.

    Attributes:
        minutes: there are, 1 to 240.
        kinds: of safe things at hand; None for all that was planned with.
        sore: how sore each place is, 0–10; from `PAIN_STOP` on it is spared altogether.
        tight: places that are tight, not sore.
        sleep: hours of the last night, 0 to 24.
        rpe: of what was done today already, 1 to 10.
    """

    minutes: float | None = None
    kinds: frozenset[Kind] | None = None
    sore: tuple[tuple[StressedJoint, int], ...] = ()
    tight: tuple[StressedJoint, ...] = ()
    sleep: float | None = None
    rpe: float | None = None

    def __post_init__(self) -> None:
        """Check ranges."""
        if self.minutes is not None:
            require_within("minutes", self.minutes, 1, 240, "min")
        if self.sleep is not None:
            require_within("sleep", self.sleep, 0, 24, "h")
        if self.rpe is not None:
            require_within("effort so far", self.rpe, 1, 10, "")
        for place, how in self.sore:
            require_within(f"{place}, soreness", how, 0, 10, "")

    def bears(self, movement: Movement, modifiers: Modifiers, body: Body) -> str:
        """The place that keeps a set-up from being done today; '' where none does."""
        for place, how in self.sore:
            most = 0 if how >= PAIN_STOP else SPARED
            if how and movement.stress.get(place, 0) > most:
                return place
        for place in self.tight:
            if movement.stress.get(place, 0) > SPARED + 1:
                return place
            if not reaches(place, body, movement, modifiers):
                return place
        return ""

    def has(self, movement: Movement, modifiers: Modifiers) -> bool:
        """Whether the kit at hand allows it."""
        needed = kit_needed(movement, modifiers)
        return self.kinds is None or all(self.kinds & set(kinds) for kinds in needed)


@dataclass(frozen=True)
class Change:
    """One thing that was changed.

    Attributes:
        item: name of what it was.
        to: name of what it is now, '' where it is gone.
        why, kept: in words; what was kept equal, '' where nothing was.
    """

    item: str
    to: str
    why: str
    kept: str = ""


@dataclass(frozen=True)
class TotalChange:
    """A total before and after.

    Attributes:
        name: of a region or a joint.
        before, after: of it.
        unit: of both.
    """

    name: str
    before: float
    after: float
    unit: str


@dataclass(frozen=True)
class Adapted:
    """A session before and after.

    Attributes:
        before, after: the sessions.
        changes: what was done, in order.
        cuts: what the minutes cost, in order.
        back: sets that time left over gave back.
        regions: hard sets by region, before and after.
        joints: torque × seconds by joint, before and after.
        lengths: minutes, before and after.
        stop: what must be said first, '' for nothing.
    """

    before: Session
    after: Session
    changes: tuple[Change, ...]
    cuts: tuple[str, ...]
    back: tuple[str, ...]
    regions: tuple[TotalChange, ...]
    joints: tuple[TotalChange, ...]
    lengths: tuple[Estimate, Estimate]
    stop: str = field(default="")


def adapt(session: Session, trainee: Trainee, today: Today) -> Adapted:
    """Today's session as the day allows it.

    Raises:
        InputError: where nothing of it is left, or not even the warm-up and a set fit the minutes.
    """
    changes: list[Change] = []
    now = session
    taken = {item.movement.id for item in session.items}
    for item in session.items:
        changed, change = _allowed(item, trainee, today, taken)
        if change is not None:
            changes.append(change)
            now = now.with_items({item.key: changed})
            if changed is not None:
                taken.add(changed.movement.id)
    if not now.items:
        raise InputError(
            "today",
            "nothing of the session is left: " + " ".join(change.why for change in changes),
            "Rest, or do the daily minimum if it does not hurt.",
        )
    eased, why = _eased(now, today)
    if why:
        changes.append(Change("all sets", "easier", why))
    now = _warmed(eased, trainee, today)
    now, loosened = _loosened(now, trainee, today)
    changes += loosened
    cuts: tuple[str, ...] = ()
    back: tuple[str, ...] = ()
    if today.minutes is not None:
        fitted = fit(now, today.minutes)
        now, cuts, back = fitted.session, fitted.cuts, fitted.back
        now = _warmed(now, trainee, today)
    made = [block for block in now.blocks if block.format not in ("warm-up", "preparatory work")]
    now = replace(now, notes=notes_of(made))
    return Adapted(
        session,
        now,
        tuple(changes),
        cuts,
        back,
        tuple(_regions(session, now)),
        tuple(_joints(trainee, session, now)),
        (length(session), length(now)),
        _stop(today),
    )


def _stop(today: Today) -> str:
    places = [place for place, how in today.sore if how >= PAIN_STOP]
    if not places:
        return ""
    return (
        f"Pain of {PAIN_STOP} or more ({', '.join(places)}): nothing that loads it today, and a "
        "clinician is asked before it returns."
    )


def _allowed(
    item: Item, trainee: Trainee, today: Today, taken: set[str]
) -> tuple[Item | None, Change | None]:
    """The item as the day allows it, and what was changed; the same where nothing is."""
    sets = item.sets
    body = trainee.body
    kept_back = (today.bears(each.movement, each.modifiers, body) for each in sets)
    place = next(filter(None, kept_back), "")
    missing = any(not today.has(work_set.movement, work_set.modifiers) for work_set in sets)
    if not place and not missing:
        return item, None
    why = _why(place, today)
    chosen = _as_chosen(item, trainee, today, "hurts" if place else "kit missing")
    if chosen is not None:
        return chosen, Change(item.name, chosen.name, why, "as the coach chose")
    for rung in item.easier:
        spared = today.bears(rung.movement, rung.modifiers, body)
        if not spared and today.has(rung.movement, rung.modifiers):
            return _longer(item, rung, trainee, why)
    for substitute in substitutes(
        item.movement,
        _asked(item),
        trainee.body,
        _open(trainee, today),
        trainee.states,
        trainee.level,
        taken,
    ):
        other = _in_place(item, substitute, trainee)
        kept = "the same pattern" if substitute.same_pattern else "the region's hard sets"
        return other, Change(item.name, other.name, why, kept)
    return None, Change(item.name, "", f"{why} Nothing else for the same region is open today.")


def _as_chosen(item: Item, trainee: Trainee, today: Today, when: Reason) -> Item | None:
    """What the coach would have done in its place, the first that the day allows."""
    for choice in item.instead:
        movement = catalogue().find_movement(choice.movement)
        own = movement.own(Modifiers())
        if choice.when != when or trainee.shut(movement, own):
            continue
        if today.bears(movement, own, trainee.body) or not today.has(movement, own):
            continue
        return in_its_place(item, movement, trainee, f"Today in place of {item.name}.")
    return None


def _why(place: str, today: Today) -> str:
    if not place:
        return "the kit for it is not at hand."
    if place in today.tight:
        return f"the {place} is tight and does not reach that far today."
    return f"the {place} is to be spared."


def _longer(
    item: Item, rung: Rung, trainee: Trainee, why: str
) -> tuple[Item | None, Change | None]:
    """An easier rung in place of the item's own, each set longer at equal torque × seconds."""
    sets = []
    kept = ""
    for work_set in item.sets:
        if work_set.movement.unit != rung.movement.unit:
            sets.append(
                replace(work_set.on(rung), low=rung.prescription.low, high=rung.prescription.high)
            )
            continue
        by, joint = _ratio(work_set, rung, trainee)
        by *= work_set.modifiers.tempo.rep_time / rung.modifiers.tempo.rep_time
        most = LONGEST_SET[work_set.unit]
        low, high = (int(min(most, ceil(end * by))) for end in (work_set.low, work_set.high))
        if joint:
            kept = f"torque × seconds at the {joint}"
            if work_set.high * by > most:
                kept += f", as far as {most:g} {'reps' if work_set.unit == 'reps' else 's'} go"
        sets.append(replace(work_set.on(rung), low=low, high=high))
    easier = item.easier[item.easier.index(rung) + 1 :]
    changed = replace(
        item,
        name=rung.name,
        sets=tuple(sets),
        easier=easier,
        rig=trainee.rig(rung.movement, rung.modifiers),
        why=f"Today in place of {item.name}.",
    )
    return changed, Change(item.name, rung.name, why, kept)


def _ratio(work_set: WorkSet, rung: Rung, trainee: Trainee) -> tuple[float, str]:
    """How much longer the easier rung is done for equal torque × seconds at the joint that bears
    most, and that joint; 1 where nothing tells."""
    before = torques(trainee.body, work_set.movement, work_set.modifiers)
    after = torques(trainee.body, rung.movement, rung.modifiers)
    both = [joint for joint in before if joint in after and after[joint].likely > 0.0]
    if not both:
        return 1.0, ""
    limiting = work_set.movement.posture.joint
    joint = limiting if limiting in both else max(both, key=lambda name: before[name].likely)
    return max(1.0, before[joint].likely / after[joint].likely), joint.replace("_", " ")


def _open(trainee: Trainee, today: Today) -> frozenset[str]:
    """Movements that nothing closes to them and that the day allows."""
    return frozenset(
        movement.id
        for movement in catalogue().movement
        if not trainee.shut(movement, movement.own(Modifiers()))
        and not today.bears(movement, movement.own(Modifiers()), trainee.body)
        and today.has(movement, movement.own(Modifiers()))
    )


def _asked(item: Item) -> Prescription:
    main = item.main
    return Prescription(
        len(item.sets), main.low, max(main.low, main.high), int(main.rest), main.rpe, main.unit
    )


def _in_place(item: Item, substitute: Substitute, trainee: Trainee) -> Item:
    movement = substitute.movement
    rung = Rung(
        movement.name,
        movement,
        movement.own(Modifiers()),
        substitute.prescription,
        criterion_for("double_progression", substitute.prescription),
    )
    return replace(
        item,
        name=movement.name,
        sets=sets_of(rung, substitute.prescription),
        easier=(),
        rig=trainee.rig(movement),
        why=f"Today in place of {item.name}.",
    )


def _eased(session: Session, today: Today) -> tuple[Session, str]:
    """Lower effort and a set less after a bad night or a hard day so far."""
    reasons = []
    if today.sleep is not None and today.sleep < SHORT_SLEEP:
        reasons.append(f"{today.sleep:g} h of sleep")
    if today.rpe is not None and today.rpe >= HARD_ALREADY:
        reasons.append(f"effort {today.rpe:g} already today")
    if not reasons:
        return session, ""

    def ease(item: Item) -> Item:
        fewer = item.sets if len(item.sets) < 3 else item.sets[:-1]
        eased = (replace(work_set, rpe=max(1.0, work_set.rpe - EASED_BY)) for work_set in fewer)
        return replace(
            item, sets=tuple(work_set for work_set in eased if work_set.kind != "single")
        )

    changed = session.with_items({item.key: ease(item) for item in session.items})
    return changed, f"{' and '.join(reasons)}: effort one lower, a set less of three or more."


def _warmed(session: Session, trainee: Trainee, today: Today) -> Session:
    """The general warm-up as it was, without what is to be spared, then an easier set of each
    pattern that is left."""
    main = [block for block in session.blocks if block.format != "warm-up"]
    items = [item for block in main for item in block.items if item.role != "preparation"]
    before = next((block for block in session.blocks if block.format == "warm-up"), None)
    general = tuple(
        item
        for item in (before.items if before else ())
        if item.key.split(":", 1)[1] == item.movement.id
        and not today.bears(item.movement, item.main.modifiers, trainee.body)
        and today.has(item.movement, item.main.modifiers)
    )
    if today.minutes is not None and today.minutes < SHORT_SESSION:
        general = within_short(general)
    made = warm_up(items, trainee, whole=False)
    easier = tuple(
        item
        for item in made.items
        if not today.bears(item.movement, item.main.modifiers, trainee.body)
    )
    return replace(session, blocks=(replace(made, items=(*general, *easier)), *main))


def _loosened(
    session: Session, trainee: Trainee, today: Today
) -> tuple[Session, tuple[Change, ...]]:
    """The mobility work of each tight place, after the warm-up."""
    there = {item.movement.id for block in session.blocks for item in block.items}
    sore = replace(today, tight=())  # what is tight still bears its own loosening
    items = [
        item
        for item in loosening(today.tight, trainee, there)
        if not sore.bears(item.movement, item.main.modifiers, trainee.body)
    ]
    changes = [Change("preparatory work", item.name, item.why) for item in items]
    if not items:
        return session, ()
    block = Block("preparatory work", tuple(items), words="for what is tight")
    at = 1 if session.blocks and session.blocks[0].format == "warm-up" else 0
    blocks = (*session.blocks[:at], block, *session.blocks[at:])
    return replace(session, blocks=blocks), tuple(changes)


def _regions(before: Session, after: Session) -> Iterator[TotalChange]:
    one, other = hard_sets(before.items), hard_sets(after.items)
    for region in sorted({*one, *other}):
        yield TotalChange(region, one.get(region, 0.0), other.get(region, 0.0), "sets")


def _joints(trainee: Trainee, before: Session, after: Session) -> Iterator[TotalChange]:
    one, other = (
        torque_seconds(trainee.body, (s for item in session.items for s in item.sets))
        for session in (before, after)
    )
    for joint in sorted({*one, *other}):
        ends = [sums[joint].likely if joint in sums else 0.0 for sums in (one, other)]
        yield TotalChange(joint, ends[0], ends[1], "N·m·s")
