"""Link: an athlete's private way in. The coach makes and ends it; the athlete opens it.

The token stands in the address behind a '#', which no browser sends along, so that it comes into no
log and no referrer; the page hands it over once, and a cookie carries it from then on.
"""

from datetime import datetime, timedelta
from uuid import UUID

from fastapi import APIRouter, Request, Response
from pydantic import Field

from invelo.api.common.context import Coach, Database, LinkEndedError, LinkToken, Now
from invelo.api.common.cookies import LINK_COOKIE, delete_cookie, set_cookie
from invelo.api.common.problems import ERRORS
from invelo.db import access
from invelo.db.errors import MissingError
from invelo.db.queries import athlete_rows
from invelo.domain.strict import ResponseModel, StrictModel
from invelo.services.training import links

router = APIRouter(prefix="/api", tags=["Link"], responses=ERRORS)


class LinkState(ResponseModel):
    """An athlete's link as the coach sees it."""

    state: links.State
    created_at: datetime | None = None
    expires_at: datetime | None = None
    opened_at: datetime | None = Field(None, description="When it was opened last.")
    address: str = Field("", description="Path with the token; told only when it is made.")


class NewLink(StrictModel):
    """A link to be made."""

    days: int = Field(links.USUAL_DAYS, description="Until it runs out, 1 to 400.")


class Opening(StrictModel):
    """A link that is opened."""

    token: str = Field(min_length=20, max_length=100)


class Opened(ResponseModel):
    """Whom the link lets in."""

    athlete_id: UUID
    athlete_name: str


@router.get("/athletes/{athlete_id}/link")
def get_link(athlete_id: UUID, coach: Coach, db: Database, now: Now) -> LinkState:
    """Whether the athlete has a link, and what became of it."""
    athlete = access.athlete(db, coach.id, athlete_id)
    return _state(db, athlete.id, now)


@router.post("/athletes/{athlete_id}/link", status_code=201)
def make_link(athlete_id: UUID, body: NewLink, coach: Coach, db: Database, now: Now) -> LinkState:
    """Make a link in place of the one there was. Its address is told only now."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    token = links.make(db, athlete.id, now, body.days)
    made = _state(db, athlete.id, now)
    return made.model_copy(update={"address": f"/open#{token}"})


@router.delete("/athletes/{athlete_id}/link", status_code=204)
def revoke_link(athlete_id: UUID, coach: Coach, db: Database, now: Now) -> Response:
    """End the link at once; what is logged on the athlete's device stays there."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    links.revoke(db, athlete.id, now)
    return Response(status_code=204)


@router.post("/link")
def open_link(
    body: Opening, request: Request, response: Response, db: Database, now: Now
) -> Opened:
    """Come in by a link; a cookie carries it from then on."""
    athlete, state = links.athlete_for(db, body.token, now)
    if state in ("expired", "revoked"):
        raise LinkEndedError(state)
    if athlete is None:
        raise MissingError("link")
    links.opened(db, body.token, now)
    lasts = timedelta(days=links.MOST_DAYS)
    set_cookie(response, request.app.state.settings, LINK_COOKIE, body.token, lasts)
    return Opened(athlete_id=athlete.id, athlete_name=athlete.name)


@router.delete("/link", status_code=204)
def leave(request: Request, response: Response, link: LinkToken = None) -> None:
    """Forget the link on this device."""
    if link:
        delete_cookie(response, request.app.state.settings, LINK_COOKIE)


def _state(db: Database, athlete_id: UUID, now: datetime) -> LinkState:
    row = athlete_rows.newest_link(db, athlete_id)
    if row is None:
        return LinkState(state="none")
    return LinkState.of(row, state=links.state_of(row, now))
