"""What the last release's clients send is still taken, and what they read is still there.

`data/released.json` is the last release's document, reduced to the fields of each operation; a new
release writes it anew:

    PYTHONPATH=src:. python -m tests.api.test_compatibility
"""

import json
from collections.abc import Iterator
from pathlib import Path
from typing import Any

from tests.api.document import DOCUMENT, OPERATIONS

RELEASED = Path(__file__).parent / "data" / "released.json"

ACCEPTED: dict[str, str] = {}
"""Breaking differences that were decided on, each with why nobody is hurt."""

ANSWERED_ANEW: dict[str, str] = {}
"""Operations whose whole answer is another one, each with why nobody is hurt."""


def is_accepted(difference: str) -> bool:
    return difference in ACCEPTED or any(
        difference.startswith(f"{operation} answers without ") for operation in ANSWERED_ANEW
    )


Fields = dict[str, bool]
"""Place of a field within a body, such as `sets[].reps`, and whether it must be there."""


def fields(
    schema: dict[str, Any], document: dict[str, Any], within: str = "", above: tuple[str, ...] = ()
) -> Iterator[tuple[str, bool]]:
    """Every field of a schema, followed through references, lists and alternatives."""
    if "$ref" in schema:
        name = schema["$ref"].rsplit("/", 1)[1]
        if name not in above:
            part = document["components"]["schemas"][name]
            yield from fields(part, document, within, (*above, name))
        return
    for kind in ("anyOf", "oneOf", "allOf"):
        for part in schema.get(kind, ()):
            yield from fields(part, document, within, above)
    if "items" in schema:
        yield from fields(schema["items"], document, f"{within}[]", above)
    required = set(schema.get("required", ()))
    for name, part in schema.get("properties", {}).items():
        place = f"{within}.{name}".lstrip(".")
        yield place, name in required
        yield from fields(part, document, place, above)


def bodies(content: dict[str, Any], document: dict[str, Any]) -> Fields:
    found: Fields = {}
    for media in content.values():
        for place, needed in fields(media.get("schema", {}), document):
            found[place] = found.get(place, True) and needed
    return dict(sorted(found.items()))


def reduced(document: dict[str, Any]) -> dict[str, dict[str, Fields]]:
    """What each operation of a document takes and answers with where it succeeds."""
    found = {}
    for path, methods in document["paths"].items():
        for method, operation in methods.items():
            taken = operation.get("requestBody", {}).get("content", {})
            parameters = {
                f"?{one['name']}": one.get("required", False)
                for one in operation.get("parameters", ())
                if one["in"] == "query"
            }
            answers: Fields = {}
            for status, answer in operation["responses"].items():
                if status.startswith("2"):
                    answers |= bodies(answer.get("content", {}), document)
            found[f"{method.upper()} {path}"] = {
                "takes": bodies(taken, document) | parameters,
                "answers": answers,
            }
    return found


def _was_sent(place: str, took: Fields) -> bool:
    """Whether an old client sends what a field is part of: of what it never sends it lacks none."""
    whole, _, _ = place.rpartition(".")
    return not whole or whole.rstrip("[]") in took


def breaking(old: dict[str, dict[str, Fields]], new: dict[str, dict[str, Fields]]) -> list[str]:
    """What of the new would fail a client of the old."""
    found = []
    for operation, before in old.items():
        now = new.get(operation)
        if now is None:
            found.append(f"{operation} is gone")
            continue
        takes, took = now["takes"], before["takes"]
        found += [f"{operation} takes {one} no more" for one in took if one not in takes]
        found += [
            f"{operation} wants {one} now"
            for one, needed in takes.items()
            if needed and not took.get(one, False) and _was_sent(one, took)
        ]
        found += [
            f"{operation} answers without {one}"
            for one in before["answers"]
            if one not in now["answers"]
        ]
    return found


def test_nothing_breaks_that_was_not_decided_on() -> None:
    released = json.loads(RELEASED.read_text(encoding="utf-8"))
    assert len(released) > 100
    assert [one for one in breaking(released, reduced(DOCUMENT)) if not is_accepted(one)] == []


def test_every_way_to_break_is_seen() -> None:
    old = {"GET /a": {"takes": {"x": False}, "answers": {"y": True}}, "GET /b": {"takes": {}}}
    new = {"GET /a": {"takes": {"x": True, "z": True, "w": False}, "answers": {}}}
    assert breaking(old, new) == [
        "GET /a wants x now",
        "GET /a wants z now",
        "GET /a answers without y",
        "GET /b is gone",
    ]
    assert breaking({"GET /a": new["GET /a"]}, {"GET /a": {"takes": {}, "answers": {}}}) == [
        f"GET /a takes {one} no more" for one in ("x", "z", "w")
    ]


def test_the_reduced_document_holds_every_operation() -> None:
    assert set(reduced(DOCUMENT)) == {f"{method} {path}" for method, path, _ in OPERATIONS}


if __name__ == "__main__":
    RELEASED.parent.mkdir(exist_ok=True)
    told = json.dumps(reduced(DOCUMENT), separators=(",", ":"), sort_keys=True)
    RELEASED.write_text(told.replace('},"', '},\n"') + "\n", encoding="utf-8")


def test_what_is_wanted_within_something_new_breaks_nobody() -> None:
    old = {"PUT /a": {"takes": {"x": False, "x[].y": False}, "answers": {}}}
    within_new = {"x": False, "x[].y": False, "w": False, "w[].a": True}
    assert breaking(old, {"PUT /a": {"takes": within_new, "answers": {}}}) == []
    within_old = {"x": False, "x[].y": False, "x[].z": True}
    told = breaking(old, {"PUT /a": {"takes": within_old, "answers": {}}})
    assert told == ["PUT /a wants x[].z now"]
