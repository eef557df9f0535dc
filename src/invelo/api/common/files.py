"""Answers that are files."""

from typing import Literal
from urllib.parse import quote

from fastapi import Response

Paper = Literal["a4", "letter"]


MEDIA: dict[str, str] = {
    "pdf": "application/pdf",
    "md": "text/markdown; charset=utf-8",
    "ics": "text/calendar; charset=utf-8",
    "csv": "text/csv; charset=utf-8",
    "json": "application/json",
}


def file_answer(content: bytes | str, kind: str, name: str) -> Response:
    """A file to keep, by its kind and name."""
    return Response(
        content,
        media_type=MEDIA[kind],
        headers={"Content-Disposition": f"attachment; filename*=UTF-8''{quote(name)}.{kind}"},
    )
