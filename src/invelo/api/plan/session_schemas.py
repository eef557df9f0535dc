"""Sessions as they are answered: blocks, sets in words, totals, what spoils what."""

from dataclasses import replace

from pydantic import Field

from invelo.api.common.schemas import EstimateOut, Explained
from invelo.domain.plan.day.adapt import Adapted, TotalChange
from invelo.domain.plan.methods import departures, prescription_for
from invelo.domain.plan.prescription import Prescription
from invelo.domain.plan.session.builder import cautions
from invelo.domain.plan.session.needed import needed
from invelo.domain.plan.session.timeline import length
from invelo.domain.plan.session.totals import totals
from invelo.domain.plan.session.trainee import Trainee
from invelo.domain.plan.session.words import block_words, sets_words
from invelo.domain.plan.session.work import Block, Item, Session
from invelo.domain.strict import ResponseModel


class SessionItem(ResponseModel):
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


class SessionBlock(ResponseModel):
    """Items done together in one format."""

    format: str
    words: str
    items: list[SessionItem]


class RegionSets(ResponseModel):
    """Hard sets of a region."""

    region: str
    sets: float


class DepartureOut(ResponseModel):
    """A rule of the prescription that the coach's own overrides."""

    item: str
    rule: str
    sentence: str
    source: str
    asked: str
    given: str


class SessionSheet(ResponseModel):
    """A session in full."""

    name: str
    minutes: Explained
    blocks: list[SessionBlock]
    notes: list[str]
    needed: list[str] = Field(description="What to fetch first: things with their size, loads.")
    cautions: list[str]
    regions: list[RegionSets]
    tags: dict[str, float] = Field(description="Hard sets by the coach's own tags.")
    joints: dict[str, EstimateOut] = Field(description="Torque × seconds by joint.")
    left_s: float
    right_s: float
    push: float
    pull: float
    rpe_only: list[str]
    departures: list[DepartureOut]


class Before(ResponseModel):
    """A total before and after."""

    name: str
    before: float
    after: float
    unit: str


class ChangeOut(ResponseModel):
    """One thing that was changed."""

    item: str
    to: str
    why: str
    kept: str


class AdaptedSheet(ResponseModel):
    """A day's session before and after."""

    before: SessionSheet
    after: SessionSheet
    changes: list[ChangeOut]
    cuts: list[str]
    back: list[str] = Field(description="Sets that time left over gave back.")
    regions: list[Before]
    joints: list[Before]
    stop: str


def item_of(item: Item, *, rests: bool = True) -> SessionItem:
    """A movement of a session; `rests` whether its sets keep their own."""
    return SessionItem.of(
        item,
        movement=item.movement.id,
        family=item.movement.family,
        set_count=len(item.sets),
        sets=list(sets_words(item, rests=rests)),
        in_all=[work_set.count(work_set.low).words for work_set in item.sets],
        cues=list(item.movement.cues),
        easier=[rung.name for rung in item.easier],
        rig=item.rig.words,
    )


def block_of(block: Block) -> SessionBlock:
    """A block of a session."""
    return SessionBlock(
        format=block.format,
        words=block_words(block),
        items=[item_of(item, rests=not block.in_rounds) for item in block.items],
    )


def departures_of(session: Session, trainee: Trainee) -> list[DepartureOut]:
    """Rules of the prescription that the ladders' items override."""
    found_departures = []
    for item in session.items:
        stand = next((other for other in trainee.stands if other.key == item.key), None)
        if stand is None or item.why:
            continue
        main = item.main
        tempo = main.modifiers.tempo.rep_time
        asked = prescription_for(
            stand.method, stand.purpose, stand.level, main.unit, rep_time=tempo
        )
        asked = replace(
            asked, sets=stand.here.rung.prescription.sets
        )  # grown by the rules, or less
        work = [work_set for work_set in item.sets if work_set.kind == "work"]
        given = Prescription(
            len(work) or 1, main.low, main.high, int(main.rest), main.rpe, main.unit
        )
        best = stand.here.likely.likely if stand.here.likely else None
        if main.unit == "s":
            asked = replace(asked, low=given.low, high=given.high, sets=given.sets)
        found_departures += [
            DepartureOut.of(
                departure.rule,
                item=item.name,
                rule=departure.rule.id,
                asked=departure.asked,
                given=departure.given,
            )
            for departure in departures(given, asked, best)
        ]
    return found_departures


def sheet_of(session: Session, trainee: Trainee) -> SessionSheet:
    """A session in full."""
    sums = totals(trainee.body, session.items, trainee.tags)
    return SessionSheet.of(
        sums,
        name=session.name,
        minutes=Explained.model_validate(length(session)),
        blocks=[block_of(block) for block in session.blocks],
        notes=list(session.notes),
        needed=list(needed(session)),
        cautions=list(cautions(session)),
        regions=[
            RegionSets(region=region, sets=sets)
            for region, sets in sorted(sums.regions.items(), key=lambda pair: -pair[1])
        ],
        joints={
            name: EstimateOut.model_validate(estimate) for name, estimate in sums.joints.items()
        },
        left_s=sums.left,
        right_s=sums.right,
        rpe_only=list(sums.rpe_only),
        departures=departures_of(session, trainee),
    )


def adapted_of(done: Adapted, trainee: Trainee) -> AdaptedSheet:
    """A day before and after."""

    def compared(those: tuple[TotalChange, ...]) -> list[Before]:
        return [Before.model_validate(total_change) for total_change in those]

    return AdaptedSheet(
        before=sheet_of(done.before, trainee),
        after=sheet_of(done.after, trainee),
        changes=[ChangeOut.model_validate(change) for change in done.changes],
        cuts=list(done.cuts),
        back=list(done.back),
        regions=compared(done.regions),
        joints=compared(done.joints),
        stop=done.stop,
    )
