"""Logs as CSV: out with every figure, in with columns matched and a dry run."""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from datetime import date, datetime, timedelta
from typing import get_args
from uuid import UUID

from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.own import PREFIX
from invelo.domain.errors import InputError
from invelo.domain.plan.prescription import Unit
from invelo.domain.strength.tempo import Tempo
from invelo.domain.training.by_hand import MOST_KG, PLACES, LoadPlace
from invelo.domain.training.log import EstimatedCount, OneSide, SetKind, SetRecord, read_count
from invelo.domain.training.set_draft import MOST_FAULTS, SetDraft
from invelo.formats import csv_table
from invelo.formats.csv_table import Cells, Columns, Table, day_of, moment_of, number_of, word_of

COLUMNS = (
    "date",
    "time",
    "time zone",
    "session",
    "movement",
    "rung",
    "set",
    "kind",
    "side",
    "amount",
    "unit",
    "load kg",
    "load at",
    "tempo",
    "band",
    "partial",
    "rpe",
    "form ok",
    "faults",
    "felt in",
    "pain",
    "pain place",
    "note",
    "session rpe",
    "set id",
)
WANTED = ("date", "amount", "rpe")
"""Without which no row is read; a rung or a movement besides."""

ALSO: dict[str, tuple[str, ...]] = {
    "date": ("day", "datum", "date"),
    "time": ("clock", "time of day"),
    "time zone": ("zone", "time_zone"),
    "session": ("workout", "training", "session name"),
    "movement": ("exercise", "exercise name", "movement name"),
    "rung": ("variation", "step"),
    "set": ("set number", "set no", "set #", "no"),
    "amount": ("reps", "count", "repetitions", "seconds", "reps done", "result"),
    "load kg": ("load", "weight", "weight kg", "kg", "added weight"),
    "load at": ("load place", "carried at"),
    "tempo": ("cadence",),
    "partial": ("partial reps", "half reps"),
    "rpe": ("effort", "how hard", "effort 1-10"),
    "form ok": ("clean", "form", "clean form"),
    "pain": ("pain 0-10",),
    "pain place": ("where", "pain where"),
    "note": ("notes", "comment", "comments", "remarks"),
    "session rpe": ("session effort", "effort of the session"),
}
KINDS: dict[str, SetKind] = {kind: kind for kind in get_args(SetKind)}
SIDES: dict[str, OneSide] = {side: side for side in get_args(OneSide)}
COLUMNS_OF = Columns(COLUMNS, ALSO, WANTED)


@dataclass(frozen=True)
class CsvSet:
    """A set as a row tells it; `row` counts as a spreadsheet does, the header being 1."""

    row: int
    day: date
    at: datetime
    session: str
    movement: str
    rung: str
    draft: SetDraft
    session_rpe: float | None
    set_id: UUID | None = None

    @property
    def count(self) -> EstimatedCount:
        """How much was done, as it was told."""
        return read_count(self.draft.amount_text or "", "amount")


Read = Table[CsvSet]
"""What a file of logged sets holds."""


def written(rows: Iterable[Mapping[str, object]]) -> str:
    """Logged sets as CSV with our columns."""
    return csv_table.written(COLUMNS_OF, rows)


def read(
    content: bytes,
    time_zone: str,
    given: Mapping[str, str] | None = None,
    names: Mapping[str, str] | None = None,
) -> Read:
    """The sets in a CSV file; nothing is kept by reading.

    Args:
        content: the file.
        time_zone: IANA zone of rows that tell none.
        given: our column to theirs, where names do not tell; '' leaves one out.
        names: movements by what the file calls them, in lower case.

    Raises:
        InputError: for what is no CSV in UTF-8, has no rows, too many, or lacks a column.
    """
    meant = {said.casefold(): movement for said, movement in (names or {}).items() if movement}

    def nothing_named(unknown: Iterable[str]) -> list[str]:
        return [] if {"movement", "rung"} & set(unknown) else ["movement"]

    return csv_table.read(
        content,
        COLUMNS_OF,
        lambda row, cells: _set(row, cells, time_zone, meant),
        given,
        nothing_named,
    )


def _set(row: int, cells: Cells, time_zone: str, meant: Mapping[str, str]) -> CsvSet:
    day = day_of(cells.get("date", ""))
    said = cells.get("movement", "")
    name = meant.get(said.casefold(), said)
    unit = _unit(name, cells.get("unit", ""))
    amount = read_count(cells.get("amount", ""), "amount")
    draft = SetDraft(
        number=int(number_of(cells, "set", 0, 0, 99)),
        kind=KINDS[word_of(cells, "kind", "work", tuple(KINDS))],
        side=SIDES[word_of(cells, "side", "", tuple(SIDES))],
        amount_text=cells.get("amount", ""),
        unit=unit,
        load_kg=number_of(cells, "load kg", 0, -MOST_KG, MOST_KG) if cells.get("load kg") else None,
        load_at=_place(cells),
        tempo=_tempo(cells.get("tempo", "")) or None,
        band=cells.get("band", "")[:120] or None,
        partial=int(number_of(cells, "partial", 0, 0, 200)),
        rpe=number_of(cells, "rpe", None, 1, 10),
        form_ok=word_of(cells, "form ok", "yes", ("yes", "no")) == "yes",
        faults=_list(cells, "faults"),
        felt_in=_list(cells, "felt in"),
        pain=int(number_of(cells, "pain", 0, 0, 10)),
        pain_place=cells.get("pain place", "")[:40],
        note=cells.get("note", ""),
    )
    if not name and not cells.get("rung", ""):
        raise InputError("movement", "it is empty.", "Name what was done.")
    SetRecord("", amount.amount, draft.rpe, unit=unit, about=amount.about)  # the domain's limits
    return CsvSet(
        row=row,
        day=day,
        at=moment_of(day, cells.get("time", ""), cells.get("time zone", "") or time_zone),
        session=cells.get("session", "") or "Session",
        movement=name,
        rung=cells.get("rung", ""),
        draft=draft,
        session_rpe=number_of(cells, "session rpe", 0, 0, 10) or None,
        set_id=_id(cells.get("set id", "")),
    )


def _place(cells: Cells) -> LoadPlace | None:
    words = word_of(cells, "load at", "", ("", *PLACES))
    return next((place for place in PLACES if place == words), None)


def _tempo(words: str) -> str:
    return str(Tempo.parse(words)) if words else ""


def _id(words: str) -> UUID | None:
    if not words:
        return None
    try:
        return UUID(words)
    except ValueError:
        raise InputError(
            "set id", f"“{words[:40]}” is none.", "Leave it as it was written, or empty."
        ) from None


def _unit(movement: str, words: str) -> Unit:
    units: dict[str, Unit] = {"reps": "reps", "s": "s", "cm": "cm", "seconds": "s"}
    if words:
        if words not in units:
            raise InputError("unit", f"“{words[:20]}” is none.", "Use reps, s or cm.")
        return units[words]
    movement_id = find_movement(movement)
    return catalogue().find_movement(movement_id).unit if movement_id else "reps"


def find_movement(words: str) -> str:
    """The id of the movement that someone means by its name, another term or its id; '' where none
    or several bear it."""
    said = words.strip().casefold()
    if said.startswith(PREFIX):
        own = catalogue().movement_or_none(said)
        return own.id if own else ""
    candidates = catalogue().called(said)
    if any(movement.id == said for movement in candidates):
        return said
    return candidates[0].id if len(candidates) == 1 else ""


def _list(cells: Cells, name: str) -> list[str]:
    return [part.strip() for part in cells.get(name, "").split(";") if part.strip()][:MOST_FAULTS]


def after(moment: datetime, number: int) -> datetime:
    """When the n-th set of a session is taken to have been done where only its day is told."""
    return moment + timedelta(minutes=2 * number)
