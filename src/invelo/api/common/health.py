"""Whether the service can work."""

from typing import Literal

from fastapi import APIRouter, Request, Response
from pydantic import Field
from sqlalchemy.exc import SQLAlchemyError

from invelo import __version__
from invelo.db.observed import queue_state
from invelo.domain import MODEL_VERSION
from invelo.domain.strict import ResponseModel

router = APIRouter(prefix="/api", tags=["Health"])


class Health(ResponseModel):
    """The service's state."""

    status: Literal["ok", "degraded"]
    database: Literal["ok", "unreachable"]
    version: str
    model_version: str
    jobs_waiting: int = Field(0, description="Work that waits for a worker.")
    oldest_job_s: float = Field(0.0, description="How long the oldest of it has waited, s.")
    workers: Literal["ok", "none answers"] = Field(
        "ok", description="Whether work is taken up: none answers where it waits for minutes."
    )


WAITS_TOO_LONG = 600.0
"""Seconds after which work that nobody takes up says that no worker answers."""


@router.get("/health", responses={503: {"model": Health, "description": "No database."}})
def health(request: Request, response: Response) -> Health:
    """200 when all is well, 503 while the database does not answer."""
    try:
        with request.app.state.engine.connect() as connection:
            queue = queue_state(connection)
    except SQLAlchemyError:
        response.status_code = 503
        return Health(
            status="degraded",
            database="unreachable",
            version=__version__,
            model_version=MODEL_VERSION,
        )
    stalled = queue.oldest_s > WAITS_TOO_LONG
    return Health(
        status="degraded" if stalled else "ok",
        database="ok",
        version=__version__,
        model_version=MODEL_VERSION,
        jobs_waiting=queue.waiting,
        oldest_job_s=round(queue.oldest_s, 1),
        workers="none answers" if stalled else "ok",
    )
