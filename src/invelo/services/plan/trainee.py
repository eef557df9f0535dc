"""Who trains, as sessions and weeks see them: read off ladders, tests, screen and kit."""

from collections.abc import Callable
from datetime import date
from uuid import UUID

from sqlmodel import Session

from invelo.db.codec import LEVEL, METHOD, PURPOSE, body_of
from invelo.db.queries import athlete_rows, ladder_rows
from invelo.db.tables.athlete import AthleteRow
from invelo.domain.athlete.guard import Guard
from invelo.domain.athlete.readiness import CHECKS, CheckResult, find_check
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.equipment.kit import Kind
from invelo.domain.estimate import Estimate
from invelo.domain.ladder.rung import Rung, demand
from invelo.domain.plan.session.trainee import Near, Stand, Trainee
from invelo.domain.plan.week.venue import Stock, Venue
from invelo.services.athlete import guard, person, readiness, states
from invelo.services.catalogue import tags
from invelo.services.equipment import bands, kit
from invelo.services.ladder import case, ladder

LANES = frozenset(movement.posture.lane for movement in catalogue().movement)


def of_athlete(db: Session, athlete: AthleteRow, today: date) -> Trainee:
    """Someone on their ladders, on a day."""
    guarded = guard.of_athlete(db, athlete.id, today)
    details = person.of_athlete(db, athlete.id)
    rows = [row for row in ladder_rows.of_athlete(db, athlete.id) if not row.stopped]
    refused = {movement: closed.problem for movement, closed in guarded.refused.items()}
    stands = tuple(_stand(db, ladder.view(db, row, athlete, today), today) for row in rows)
    levels = [stand.level for stand in stands]
    failed = _failed(db, athlete.id)
    return Trainee(
        name=athlete.name,
        body=body_of(athlete_rows.measurements(db, athlete.id)[-1]),
        stands=stands,
        open_movements=guarded.open_movements - frozenset(details.dislikes),
        closed_checks=tuple(find_check(result.check) for result in failed),
        failed_days={result.check: (today - result.day).days for result in failed},
        warm_up=details.warm_up,
        level=max(set(levels), key=levels.count) if levels else "beginner",
        rigs=_rigs(guarded, today),
        why_closed={**dict.fromkeys(details.dislikes, "they would rather not."), **refused},
        guard=guarded,
        dislikes=frozenset(details.dislikes),
        states=states.of_lanes(db, athlete.id, LANES, today),
        bands=bands.of_athlete(db, athlete.id),
        tags=tags.of_athlete(db, athlete.id),
    )


def _failed(db: Session, athlete_id: UUID) -> tuple[CheckResult, ...]:
    """Checks that were tried and not passed, in their order."""
    newest = readiness.newest(db, athlete_id)
    there = (newest[check.id] for check in CHECKS if check.id in newest)
    return tuple(result for result in there if not result.passed)


def _stand(db: Session, seen: ladder.LadderView, today: date) -> Stand:
    here = seen.current
    asked = case.asked(db, seen, today)
    rungs = seen.measured.rungs
    estimates = seen.placement.predictions if seen.placement else (None,) * len(rungs)
    nears = [Near(rung, estimate) for rung, estimate in zip(rungs, estimates, strict=True)]

    def beyond(step: Callable[[int], tuple[int, ...]]) -> list[int]:
        """Positions reached from here, one step after the other, the nearest first."""
        trained: list[int] = []
        edge = [here]
        while edge:
            edge = sorted({up for at in edge for up in step(at) if up not in trained})
            trained += edge
        return [at for at in trained if at not in seen.shut]

    row = seen.row
    return Stand(
        key=str(row.id),
        goal=row.goal,
        method=METHOD.validate_python(row.method),
        purpose=PURPOSE.validate_python(row.purpose),
        level=LEVEL.validate_python(row.level),
        here=Near(asked.rung, _expected(seen, asked.rung)),
        asked=asked,
        below=tuple(nears[at] for at in sorted(beyond(seen.measured.below), reverse=True)),
        above=tuple(nears[at] for at in sorted(beyond(seen.measured.above))),
    )


def _expected(seen: ladder.LadderView, rung: Rung) -> Estimate | None:
    """What is likely on a rung as it is asked, settings included."""
    placement = seen.placement
    load = demand(body_of(seen.measure), rung)
    if placement is None or load.refused or load.lane not in placement.lanes:
        return None
    return placement.lanes[load.lane].known.expected(load.load, rung.modifiers.tempo)


def _rigs(guarded: Guard, today: date) -> dict[str, float]:
    """Minutes to set up, by kind: the quickest safe thing of each."""
    rigs: dict[str, float] = {}
    for room in guarded.rooms:
        for item in room.items:
            if not item.unavailable_reason(today):
                rigs[item.kind] = min(rigs.get(item.kind, item.setup_minutes), item.setup_minutes)
    return rigs


def venues_of(db: Session, athlete_id: UUID, today: date) -> tuple[Venue, ...]:
    """The places an athlete trains at, as a week sees them."""
    venues = []
    body = guard.of_athlete(db, athlete_id, today).body
    for place_id in person.of_athlete(db, athlete_id).places:
        for room in kit.rooms(db, (place_id,)):
            safe: frozenset[Kind] = frozenset(
                item.kind for item in room.items if not item.unavailable_reason(today)
            )
            stock = Stock(room, body, today)
            venues.append(Venue(place_id, room.name, safe, room.floor, stock))
    return tuple(venues)
