"""Requests made from the API's document, with ids of a lived-in squad."""

from functools import cache
from typing import Any

import schemathesis
from sqlalchemy import Engine, text

from tests.api.document import DOCUMENT, OPERATIONS

NEVER_ENDS = {
    ("GET", "/api/live/stream"): "it never ends",
    ("GET", "/api/athletes/{athlete_id}/week/plans/{planning_id}/stream"): "it ends with a plan",
}
ASKED = [(method, path) for method, path, _ in OPERATIONS if (method, path) not in NEVER_ENDS]
ROWS = {
    "athlete_id": "SELECT :athlete",
    "ladder_id": "SELECT id FROM ladder WHERE athlete_id = :athlete",
    "rung_id": "SELECT r.id FROM rung r JOIN ladder l ON r.ladder_id = l.id"
    " WHERE l.athlete_id = :athlete ORDER BY r.position",
    "proposal_id": "SELECT d.id FROM proposal d JOIN ladder l ON d.ladder_id = l.id"
    " WHERE l.athlete_id = :athlete ORDER BY d.at DESC",
    "session_id": "SELECT id FROM training_session WHERE athlete_id = :athlete ORDER BY at DESC",
    "set_id": "SELECT s.id FROM logged_set s JOIN training_session t ON s.session_id = t.id"
    " WHERE t.athlete_id = :athlete ORDER BY s.at DESC",
    "place_id": "SELECT id FROM place",
    "item_id": "SELECT id FROM kit_item",
    "band_id": "SELECT id FROM band",
}
"""What of an athlete's there is for the parts of addresses and bodies."""
ALSO = {
    "lower_id": "rung_id",
    "upper_id": "rung_id",
    "corrects_set_id": "set_id",
    "athletes": "athlete_id",
}

Ids = dict[str, list[str]]


@cache
def schema() -> Any:
    return schemathesis.openapi.from_dict(DOCUMENT)


def people_of(engine: Engine) -> list[Ids]:
    """The ids of each of the athletes, by what they are of."""
    with engine.connect() as db:
        athletes = [row[0] for row in db.execute(text("SELECT id FROM athlete ORDER BY name"))]
        return [
            {
                name: [str(row[0]) for row in db.execute(text(asked), {"athlete": athlete})]
                for name, asked in ROWS.items()
            }
            for athlete in athletes
        ]


def with_ids(found: Any, ids: dict[str, str]) -> Any:
    """The same with ids that there are in place of made-up ones."""
    if isinstance(found, list):
        return [with_ids(one, ids) for one in found]
    if not isinstance(found, dict):
        return found
    known = {name: ids[ALSO.get(name, name)] for name in found if ALSO.get(name, name) in ids}
    rest = {name: with_ids(value, ids) for name, value in found.items() if name not in known}
    return {**rest, **{k: [v] if isinstance(found[k], list) else v for k, v in known.items()}}
