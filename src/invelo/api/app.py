"""The application, put together."""

from typing import Any

from fastapi import FastAPI, Request
from fastapi.responses import JSONResponse
from fastapi.routing import APIRoute
from pydantic import BaseModel
from pydantic.json_schema import models_json_schema
from sqlalchemy import Engine
from starlette.middleware.gzip import GZipMiddleware

from invelo import __version__
from invelo.api.account import me, reset, sharing, sign_in
from invelo.api.athlete import (
    battery,
    battery_files,
    household_scale,
    person,
    placements,
    readiness,
    record,
    screen,
    spared,
)
from invelo.api.bench import routes as bench
from invelo.api.catalogue import made, own
from invelo.api.catalogue import routes as catalogue
from invelo.api.common import health, metrics, problems, site
from invelo.api.common.context import Clock, LinkEndedError, NobodyError, system_clock
from invelo.api.common.guards import security
from invelo.api.common.guards.once_more import OnceMore
from invelo.api.common.guards.released import ReleasedAddresses
from invelo.api.common.guards.request_id import RequestId
from invelo.api.common.live.tidings import Tidings
from invelo.api.equipment import bands, kit, load_cell
from invelo.api.ladder import files as ladder_files
from invelo.api.ladder import prescription, workshop
from invelo.api.ladder import routes as ladder
from invelo.api.plan import classes, daily_minimum, planning, sessions, week, week_files
from invelo.api.review import files as review_files
from invelo.api.review import messages, trends
from invelo.api.review import routes as review
from invelo.api.simulation import routes as simulation
from invelo.api.squad import routes as squad
from invelo.api.training import (
    check_in,
    floor,
    link,
    live,
    log_files,
    motion,
    set_attachments,
)
from invelo.runtime.settings import Settings
from invelo.services.catalogue import own_movements

ABOUT = """Bodyweight progression ladders, drawn to scale.

Every figure comes with its 80 % interval (`low`, `likely`, `high`) and its unit; the sheet of a
rung also says how each came about. SI units throughout; field names end in theirs. Sessions, sets
and tests carry ids made by the client, so that sending one twice counts once.

Sign in at `POST /api/sign-in`; the session travels in a cookie. Errors are RFC 9457 problem
documents whose `errors` name the field, what is wrong with it and what would put it right.
"""


def _messages(*models: type[BaseModel]) -> dict[str, Any]:
    """The schemas of what is said on sockets, which have no place of their own in the document."""
    asked = [(model, "serialization") for model in models]
    _, schemas = models_json_schema(asked, ref_template="#/components/schemas/{model}")  # type: ignore[arg-type]
    return dict(schemas["$defs"])


class _Service(FastAPI):
    """FastAPI whose document tells problems as they are answered, and sockets' messages."""

    def openapi(self) -> dict[str, Any]:
        """The OpenAPI document, made once."""
        if self.openapi_schema is None:
            document = problems.document_problems(super().openapi())
            named = document["components"]["schemas"]
            named.update(_messages(*load_cell.MESSAGES, *motion.MESSAGES))
            self.openapi_schema = document
        return self.openapi_schema


PLACES = (
    health,
    metrics,
    sign_in,
    me,
    reset,
    sharing,
    squad,
    person,
    screen,
    readiness,
    spared,
    household_scale,
    kit,
    load_cell,
    battery,
    battery_files,
    placements,
    catalogue,
    own,
    made,
    ladder,
    workshop,
    ladder_files,
    prescription,
    bench,
    bands,
    record,
    week,
    planning,
    week_files,
    sessions,
    classes,
    daily_minimum,
    link,
    check_in,
    floor,
    set_attachments,
    log_files,
    motion,
    live,
    review,
    review_files,
    messages,
    trends,
    simulation,
)
"""Routers, in the order of the document."""


def create_app(settings: Settings, engine: Engine, clock: Clock = system_clock) -> FastAPI:
    """The service over one database, with the front end if it is built."""
    app = _Service(
        title="Invelo",
        version=__version__,
        description=ABOUT,
        openapi_url="/api/openapi.json",
        docs_url=None,
        redoc_url=None,
        generate_unique_id_function=_operation_id,
    )
    start(app, settings, engine, clock)
    problems.install(app)
    _know_strangers(app)
    for place in PLACES:
        app.include_router(place.router)
    site.install(app, settings.web_dist)
    app.add_middleware(OnceMore)
    app.add_middleware(ReleasedAddresses)
    app.add_middleware(GZipMiddleware, minimum_size=1024, compresslevel=5)
    app.add_middleware(security.CrossSiteGuard)
    app.add_middleware(security.KnownHosts, allowed=settings.allowed_hosts)
    app.add_middleware(security.SecurityHeaders, https=settings.secure_cookies)
    app.add_middleware(RequestId)
    app.state.metrics = metrics.Metrics(engine)
    app.add_middleware(metrics.CountedAnswers, metrics=app.state.metrics)
    return app


def _know_strangers(app: FastAPI) -> None:
    """Answer whoever is not signed in, or comes by a link that has ended."""

    @app.exception_handler(NobodyError)
    async def nobody(_: Request, __: NobodyError) -> JSONResponse:
        return problems.sign_in_needed()

    @app.exception_handler(LinkEndedError)
    async def ended(_: Request, error: LinkEndedError) -> JSONResponse:
        return problems.link_ended(str(error))


def start(app: FastAPI, settings: Settings, engine: Engine, clock: Clock) -> None:
    """Give the application what its requests stand on; it keeps nothing else."""
    app.state.settings = settings
    app.state.engine = engine
    app.state.clock = clock
    app.state.tidings = Tidings(engine)
    own_movements.known_from(engine)


def _operation_id(route: APIRoute) -> str:
    return route.name
