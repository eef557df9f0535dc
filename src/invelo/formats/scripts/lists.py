"""A JSON list in, a JSON list out: a bad item gets an error in its place, the rest still answer."""

import json
from collections.abc import Callable
from typing import Any, TypeVar

from pydantic import BaseModel, TypeAdapter, ValidationError

from invelo.domain.errors import InputError
from invelo.formats.scripts.movements import KINDS, said

Item = TypeVar("Item")

MOST_ITEMS = 100_000
"""Items of one list."""


def answer_list(
    text: str, requests: TypeAdapter[Item], answer: Callable[[Item], BaseModel]
) -> tuple[list[dict[str, Any]], bool]:
    """Answer every item of a list.

    Returns:
        the answers in order, and whether all were good.

    Raises:
        InputError: if the text is no JSON list, or too long a one.
    """
    try:
        items = json.loads(text)
    except json.JSONDecodeError as error:
        raise InputError(
            "input", f"it is not JSON: {error.msg} at line {error.lineno}.", "Send a JSON list."
        ) from error
    if not isinstance(items, list):
        raise InputError("input", "it is not a list.", "Send a JSON list of requests.")
    if len(items) > MOST_ITEMS:
        raise InputError("input", "the list is too long.", f"Send {MOST_ITEMS} items at most.")
    answers = [_one(item, requests, answer) for item in items]
    return answers, not any("error" in other for other in answers)


def _one(
    item: Any, requests: TypeAdapter[Item], answer: Callable[[Item], BaseModel]
) -> dict[str, Any]:
    try:
        return said(answer(requests.validate_python(item)))
    except ValidationError as error:
        first = error.errors()[0]
        where = ".".join(str(part) for part in first["loc"] if part not in KINDS)
        problem = (
            "it is not an object." if first["type"].endswith("attributes_type") else first["msg"]
        )
        return _error(
            where or "item",
            f"{problem.rstrip('.')}.",
            "Send what the schema printed by --schema allows.",
        )
    except InputError as error:
        return _error(error.field, error.problem, error.remedy)


def _error(field: str, problem: str, remedy: str) -> dict[str, Any]:
    return {"error": {"field": field, "problem": problem, "remedy": remedy}}


def schema_of(requests: TypeAdapter[Item]) -> dict[str, Any]:
    """The JSON Schema of a list of requests."""
    schema = _any_of(requests.json_schema(by_alias=True))
    definitions = schema.pop("$defs", {})
    return {
        "$schema": "https://json-schema.org/draft/2020-12/schema",
        "type": "array",
        "items": schema,
        "$defs": definitions,
    }


def _any_of(schema: Any) -> Any:
    """The same with every choice open: an item may fit a movement's own shape and the general one,
    and which is taken is told by its fields."""
    if isinstance(schema, list):
        return [_any_of(part) for part in schema]
    if not isinstance(schema, dict):
        return schema
    return {"anyOf" if key == "oneOf" else key: _any_of(value) for key, value in schema.items()}
