"""Sessions as they are answered: blocks, sets in words, totals, what spoils what."""

from dataclasses import replace

from pydantic import Field

from invelo.api.shapes import Estimate, Explained, Shape
from invelo.core.dose import Dose
from invelo.core.schools import departures, dose_for
from invelo.core.session.adapt import Adapted, Compared
from invelo.core.session.builder import cautions
from invelo.core.session.timeline import length
from invelo.core.session.totals import totals
from invelo.core.session.trainee import Trainee
from invelo.core.session.words import block_words, sets_words
from invelo.core.session.work import Block, Item, Session


class SessionItem(Shape):
    """A movement of a session."""

    key: str
    name: str
    movement: str = Field(description="Its id.")
    family: str
    set_count: int
    role: str
    goal: str
    why: str = Field(description="How it came to differ from its ladder, '' where it does not.")
    sets: list[str] = Field(examples=[["3 × 6–10, effort 9, rest 2:00"]])
    in_all: list[str] = Field(description="The foot of each set as it is counted.")
    cues: list[str]
    easier: list[str] = Field(description="Rungs to fall back to; a drop set goes down them.")
    rig: str


class SessionBlock(Shape):
    """Items done together in one format."""

    format: str
    words: str
    items: list[SessionItem]


class RegionSets(Shape):
    """Hard sets of a region."""

    region: str
    sets: float


class Departure(Shape):
    """A rule of the dose that the coach's own overrides."""

    item: str
    rule: str
    sentence: str
    source: str
    asked: str
    given: str


class SessionSheet(Shape):
    """A session in full."""

    name: str
    minutes: Explained
    blocks: list[SessionBlock]
    notes: list[str]
    cautions: list[str]
    regions: list[RegionSets]
    joints: dict[str, Estimate] = Field(description="Torque × seconds by joint.")
    left_s: float
    right_s: float
    push: float
    pull: float
    effort_only: list[str]
    departures: list[Departure]


class Before(Shape):
    """A total before and after."""

    name: str
    before: float
    after: float
    unit: str


class Change(Shape):
    """One thing that was changed."""

    item: str
    to: str
    why: str
    kept: str


class AdaptedSheet(Shape):
    """A day's session before and after."""

    before: SessionSheet
    after: SessionSheet
    changes: list[Change]
    cuts: list[str]
    back: list[str] = Field(description="Sets that time left over gave back.")
    regions: list[Before]
    joints: list[Before]
    stop: str


def item_of(item: Item) -> SessionItem:
    """A movement of a session."""
    what, minutes = item.rig
    return SessionItem(
        key=item.key,
        name=item.name,
        movement=item.movement.id,
        family=item.movement.family,
        set_count=len(item.sets),
        role=item.role,
        goal=item.goal,
        why=item.why,
        sets=list(sets_words(item)),
        in_all=[one.count(one.low).words for one in item.sets],
        cues=list(item.movement.cues),
        easier=[rung.name for rung in item.easier],
        rig=f"{what}, {minutes:g} min to rig up" if what and minutes else what,
    )


def block_of(block: Block) -> SessionBlock:
    """A block of a session."""
    return SessionBlock(
        format=block.format, words=block_words(block), items=[item_of(one) for one in block.items]
    )


def departures_of(session: Session, trainee: Trainee) -> list[Departure]:
    """Rules of the dose that the ladders' items override."""
    found = []
    for item in session.items:
        stand = next((one for one in trainee.stands if one.key == item.key), None)
        if stand is None or item.why:
            continue
        main = item.main
        tempo = main.modifiers.tempo.rep_time
        asked = dose_for(stand.school, stand.purpose, stand.level, main.unit, rep_time=tempo)
        work = [one for one in item.sets if one.kind == "work"]
        given = Dose(len(work) or 1, main.low, main.high, int(main.rest), main.effort, main.unit)
        best = stand.here.likely.likely if stand.here.likely else None
        if main.unit == "s":
            asked = replace(asked, low=given.low, high=given.high, sets=given.sets)
        found += [
            Departure(
                item=item.name,
                rule=one.rule.id,
                sentence=one.rule.sentence,
                source=one.rule.source,
                asked=one.asked,
                given=one.given,
            )
            for one in departures(given, asked, best)
        ]
    return found


def sheet_of(session: Session, trainee: Trainee) -> SessionSheet:
    """A session in full."""
    sums = totals(trainee.body, session.items)
    return SessionSheet(
        name=session.name,
        minutes=Explained.model_validate(length(session)),
        blocks=[block_of(block) for block in session.blocks],
        notes=list(session.notes),
        cautions=list(cautions(session)),
        regions=[
            RegionSets(region=region, sets=sets)
            for region, sets in sorted(sums.regions.items(), key=lambda one: -one[1])
        ],
        joints={name: Estimate.model_validate(one) for name, one in sums.joints.items()},
        left_s=sums.left,
        right_s=sums.right,
        push=sums.push,
        pull=sums.pull,
        effort_only=list(sums.effort_only),
        departures=departures_of(session, trainee),
    )


def adapted_of(done: Adapted, trainee: Trainee) -> AdaptedSheet:
    """A day before and after."""

    def compared(those: tuple[Compared, ...]) -> list[Before]:
        return [Before.model_validate(one) for one in those]

    return AdaptedSheet(
        before=sheet_of(done.before, trainee),
        after=sheet_of(done.after, trainee),
        changes=[Change.model_validate(one) for one in done.changes],
        cuts=list(done.cuts),
        back=list(done.back),
        regions=compared(done.regions),
        joints=compared(done.joints),
        stop=done.stop,
    )
