"""Tables as files: what every CSV that comes in or goes out has in common."""

from fastapi import Response
from pydantic import Base64Bytes, Field

from invelo.api.common.files import file_answer
from invelo.domain.strict import ResponseModel, StrictModel


class CsvFile(StrictModel):
    """A CSV file, read dry unless it is to be kept."""

    content: Base64Bytes = Field(description="The file as it is, base64.")
    matching: dict[str, str] = Field(
        default_factory=dict,
        description="Our column to the file's, where the names do not tell; '' leaves one out.",
        max_length=40,
    )
    keep: bool = Field(False, description="Write it; a dry run if left out.")


class BadRowOut(ResponseModel):
    """A row that cannot be kept."""

    row: int = Field(description="Counted as a spreadsheet does, the header being 1.")
    field: str
    problem: str
    remedy: str


class CsvRead(ResponseModel):
    """What a file holds: how its columns are matched, and the rows that cannot be kept."""

    columns: list[str]
    header: list[str]
    matching: dict[str, str]
    bad: list[BadRowOut]
    kept: bool


def csv_answer(text: str, name: str) -> Response:
    """A table to keep, for spreadsheets that tell UTF-8 by its mark."""
    return file_answer(text.encode("utf-8-sig"), "csv", name)
