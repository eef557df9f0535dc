"""Whether the service can work."""

from typing import Literal

from fastapi import APIRouter, Request, Response
from sqlalchemy.exc import SQLAlchemyError
from sqlmodel import text

from invelo import __version__
from invelo.domain import MODEL_VERSION
from invelo.domain.strict import ResponseModel

router = APIRouter(prefix="/api", tags=["Health"])


class Health(ResponseModel):
    """The service's state."""

    status: Literal["ok", "degraded"]
    database: Literal["ok", "unreachable"]
    version: str
    model_version: str


@router.get("/health", responses={503: {"model": Health, "description": "No database."}})
def health(request: Request, response: Response) -> Health:
    """200 when all is well, 503 while the database does not answer."""
    try:
        with request.app.state.engine.connect() as connection:
            connection.execute(text("SELECT 1"))
    except SQLAlchemyError:
        response.status_code = 503
        return Health(
            status="degraded",
            database="unreachable",
            version=__version__,
            model_version=MODEL_VERSION,
        )
    return Health(status="ok", database="ok", version=__version__, model_version=MODEL_VERSION)
