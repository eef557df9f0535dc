"""Errors as RFC 9457 problem documents that name field, problem and remedy."""

from collections.abc import Sequence
from typing import Any

import structlog
from fastapi import FastAPI, Request
from fastapi.exceptions import RequestValidationError
from fastapi.responses import JSONResponse
from psycopg import errors
from pydantic import BaseModel, Field
from sqlalchemy.exc import DataError, DBAPIError, InterfaceError, OperationalError
from sqlalchemy.exc import TimeoutError as PoolTimeout
from starlette.exceptions import HTTPException

from invelo.api.common.guards.request_id import HEADER, request_id
from invelo.db.errors import ConflictError, MissingError, RefusedError, StaleError, ThrottledError
from invelo.domain.errors import InputError

log = structlog.get_logger()


PROBLEM_JSON = "application/problem+json"


class FieldProblem(BaseModel):
    """What is wrong with one field, and what would put it right."""

    field: str = Field(examples=["mass"])
    problem: str = Field(examples=["900 kg is out of range."])
    remedy: str = Field(examples=["Give a value from 20 to 300 kg."])


class ProblemDocument(BaseModel):
    """An RFC 9457 problem document."""

    type: str = "about:blank"
    title: str = Field(examples=["Some values cannot be used"])
    status: int = Field(examples=[422])
    request_id: str = Field(
        "", description="As the service's log names it.", examples=["5f0c2a9d417b"]
    )
    errors: list[FieldProblem]


ERRORS: dict[int | str, dict[str, Any]] = {
    400: {"model": ProblemDocument, "description": "It is no request that can be read."},
    401: {"model": ProblemDocument, "description": "Nobody is signed in."},
    404: {"model": ProblemDocument, "description": "There is no such thing among the coach's own."},
    409: {"model": ProblemDocument, "description": "It goes against what is already kept."},
    412: {"model": ProblemDocument, "description": "It was changed since `If-Match` was read."},
    422: {"model": ProblemDocument, "description": "A value cannot be used; nothing was written."},
    503: {"model": ProblemDocument, "description": "The database does not answer."},
}
"""What any route may answer besides its success."""


def problem(
    status: int, title: str, *errors: FieldProblem, headers: dict[str, str] | None = None
) -> JSONResponse:
    """A problem document as a response."""
    body = ProblemDocument(title=title, status=status, request_id=request_id(), errors=list(errors))
    return JSONResponse(body.model_dump(), status, headers=headers, media_type=PROBLEM_JSON)


def document_problems(document: dict[str, Any]) -> dict[str, Any]:
    """An OpenAPI document that says of every problem with what media type it is answered."""
    for methods in document["paths"].values():
        for operation in methods.values():
            for response in operation["responses"].values():
                for content in list(response.get("content", {}).values()):
                    if (
                        content.get("schema", {})
                        .get("$ref", "")
                        .endswith(f"/{ProblemDocument.__name__}")
                    ):
                        response["content"] = {PROBLEM_JSON: content}
    return document


def sign_in_needed() -> JSONResponse:
    """The answer to whoever is not signed in."""
    return problem(
        401,
        "Sign in first",
        FieldProblem(field="session", problem="nobody is signed in.", remedy="Sign in."),
    )


def link_ended(state: str) -> JSONResponse:
    """The answer to whoever comes by a link that works no more."""
    reason = {"revoked": "your coach has ended it.", "expired": "its time has run out."}[state]
    return problem(
        401,
        "This link has ended",
        FieldProblem(
            field="link",
            problem=reason,
            remedy="Ask your coach for a new one; what you logged is kept on this device.",
        ),
    )


REMEDIES = {
    "value_error": "Use plain text and numbers of a usual size, and less at once.",
    "missing": "Send it.",
    "json_invalid": "Send a JSON body, with Content-Type: application/json.",
    "model_attributes_type": "Send a JSON object, with Content-Type: application/json.",
    "extra_forbidden": "Leave it out, or check its spelling.",
    "uuid_parsing": "Send a UUID.",
    "finite_number": "Send a plain number.",
}


def _remedy(error: dict[str, Any]) -> str:
    kind, context = error["type"], error.get("ctx", {})
    if kind in REMEDIES:
        return REMEDIES[kind]
    limits = {"ge": "at least", "gt": "more than", "le": "at most", "lt": "less than"}
    for name, words in limits.items():
        if name in context:
            return f"Give {words} {context[name]}."
    if "expected" in context:
        return f"Use {context['expected']}."
    if "min_length" in context:
        return f"Use at least {context['min_length']} characters."
    if "max_length" in context:
        return f"Use at most {context['max_length']} characters."
    if kind.startswith(("datetime", "timezone")):
        return "Send an ISO 8601 time with its offset, such as 2026-03-02T18:30:00+01:00."
    if kind.startswith(("int", "float")):
        return "Send a number."
    return "Mend it and send again."


def _fields(errors: Sequence[Any]) -> list[FieldProblem]:
    problems = []
    for error in errors:
        broken = error["type"] == "json_invalid"
        where = [] if broken else [str(part) for part in error["loc"] if part != "body"]
        message = "it is not JSON." if broken else f"{error['msg'].rstrip('.')}."
        problems.append(
            FieldProblem(field=".".join(where) or "body", problem=message, remedy=_remedy(error))
        )
    return problems


def _of(error: InputError | RefusedError) -> FieldProblem:
    return FieldProblem.model_validate(error, from_attributes=True)


def install(app: FastAPI) -> None:
    """Turn every error the service knows into a problem document."""

    @app.exception_handler(RequestValidationError)
    async def invalid(_: Request, error: RequestValidationError) -> JSONResponse:
        return problem(422, "Some values cannot be used", *_fields(error.errors()))

    @app.exception_handler(InputError)
    async def refused_by_core(_: Request, error: InputError) -> JSONResponse:
        return problem(422, "Some values cannot be used", _of(error))

    @app.exception_handler(MissingError)
    async def missing(_: Request, error: MissingError) -> JSONResponse:
        return problem(404, "Not found", _of(error))

    @app.exception_handler(ConflictError)
    async def conflict(_: Request, error: ConflictError) -> JSONResponse:
        return problem(409, "This goes against what is kept", _of(error))

    @app.exception_handler(StaleError)
    async def stale(_: Request, error: StaleError) -> JSONResponse:
        return problem(412, "This page has grown stale", _of(error))

    @app.exception_handler(ThrottledError)
    async def throttled(_: Request, error: ThrottledError) -> JSONResponse:
        headers = {"Retry-After": str(error.seconds)}
        return problem(429, "Too many tries", _of(error), headers=headers)

    @app.exception_handler(HTTPException)
    async def plain(_: Request, error: HTTPException) -> JSONResponse:
        field_problem = FieldProblem(
            field="address", problem=f"{error.detail}.", remedy="See /api/openapi.json."
        )
        headers = dict(error.headers or {})
        return problem(error.status_code, str(error.detail), field_problem, headers=headers)

    @app.exception_handler(Exception)
    async def unforeseen(_: Request, __: Exception) -> JSONResponse:
        field_problem = FieldProblem(
            field="service",
            problem="it failed in a way that nobody foresaw; nothing was written.",
            remedy="Try again, and tell whoever runs the service the name of this request.",
        )
        headers = {HEADER: request_id()}  # what names answers stands further in
        return problem(500, "Something went wrong", field_problem, headers=headers)

    _install_database(app)


def _install_database(app: FastAPI) -> None:
    """The same for a database that is away, busy, or refuses."""

    @app.exception_handler(PoolTimeout)
    async def crowded(_: Request, __: PoolTimeout) -> JSONResponse:
        return _busy("too many ask for it at once; nothing was written.")

    @app.exception_handler(DBAPIError)
    async def database(request: Request, error: DBAPIError) -> JSONResponse:
        # The statement's parameters hold people's data: only the kind of error is logged.
        route = getattr(request.scope.get("route"), "path", "")  # a path may hold a token
        log.error("database", kind=type(error.orig).__name__, route=route)
        if isinstance(error.orig, CLASHES):
            request.state.clashed = True  # `OnceMore` asks again
            return _busy("two changes got in each other's way; nothing was written.")
        if isinstance(error.orig, WAITS):
            return _busy("others are changing the same; nothing was written.")
        if isinstance(error, DataError):
            return problem(422, "Some values cannot be used", _NOT_KEPT)
        if isinstance(error, OperationalError | InterfaceError) or error.connection_invalidated:
            return _away("it does not answer; nothing was written.", "The record store is away")
        field_problem = FieldProblem(
            field="body",
            problem="the database refused it; nothing was written.",
            remedy="Load the sheet anew and try again.",
        )
        return problem(409, "This goes against what is kept", field_problem)


CLASHES = (errors.DeadlockDetected, errors.SerializationFailure)
"""What goes well if it is done once more."""

WAITS = (errors.LockNotAvailable, errors.QueryCanceled, errors.IdleInTransactionSessionTimeout)
"""What has waited too long."""

_NOT_KEPT = FieldProblem(
    field="body",
    problem="a number or a letter in it cannot be kept; nothing was written.",
    remedy="Use numbers of a usual size, and plain text.",
)


def _busy(words: str) -> JSONResponse:
    return _away(words, "The record store is busy")


def _away(words: str, title: str) -> JSONResponse:
    remedy = "Try again in a moment; the service finds it by itself when it is back."
    field_problem = FieldProblem(field="database", problem=words, remedy=remedy)
    return problem(503, title, field_problem, headers={"Retry-After": "5"})
