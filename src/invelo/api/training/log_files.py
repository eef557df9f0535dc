"""Logs by hand and as files: a whole session at once, and CSV out and in."""

from datetime import datetime
from typing import Annotated, Literal
from uuid import UUID
from zoneinfo import ZoneInfo

from fastapi import APIRouter, Query, Response
from pydantic import Field

from invelo.api.common.context import AtWork, Database, DeviceClock, Now, OnFloor, device_moment
from invelo.api.common.csv_files import (
    BadRowOut,
    CsvFile,
    CsvRead,
    csv_answer,
)
from invelo.api.common.problems import ERRORS, FieldProblem
from invelo.api.common.schemas import OurDay
from invelo.api.training.set_schemas import NewSet
from invelo.db import logs
from invelo.db.codec import modifiers_of
from invelo.db.tables.training import LoggedSetRow
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.errors import InputError, require_within
from invelo.domain.strength.tempo import Tempo
from invelo.domain.strict import ResponseModel, renamed
from invelo.domain.training.by_hand import carried
from invelo.domain.training.log import read_count
from invelo.formats.training import log_csv
from invelo.services import background
from invelo.services.training import log_import, retrospective_log
from invelo.services.training.floor import SetEntry

router = APIRouter(prefix="/api/athletes/{athlete_id}", tags=["Log files"], responses=ERRORS)

MOST_SESSIONS = 2000


class LogFile(CsvFile):
    """A CSV file of logged sets."""

    doubtful: log_import.Doubt = Field(
        "ask",
        description="What rows are that are like a logged set but of another time: the same, or "
        "others. Nothing is kept of a file that has any until it is said.",
    )
    names: dict[str, str] = Field(
        default_factory=dict,
        max_length=500,
        description="Movement by what the file calls it; '' leaves such rows out.",
    )
    without_bad: bool = Field(
        False, description="Keep the other rows where some cannot be kept; all or none if not."
    )

    def asked(self) -> log_import.LogQuestion:
        """How it is to be read.

        Raises:
            InputError: for a name that was matched to no movement.
        """
        for movement in filter(None, self.names.values()):
            catalogue().find_movement(movement)
        return log_import.LogQuestion(self.matching, self.doubtful, self.names, self.without_bad)


class Guess(ResponseModel):
    """A movement that may be meant."""

    id: str
    name: str


class UnknownNameOut(ResponseModel):
    """What a file calls a movement that nobody here does."""

    words: str
    rows: int
    guesses: list[Guess]


class DoubtfulRow(ResponseModel):
    """A row that is like a set which is logged already, but of another time."""

    row: int
    movement: str
    amount: float
    logged_at: datetime


class ReadFile(CsvRead):
    """What a file of logged sets holds, and what became of it."""

    sets: int
    sessions: int
    new: int = Field(description="Sets that were written; 0 of a dry run.")
    known: int = Field(description="Sets that are there already.")
    doubtful: list[DoubtfulRow]
    unknown: list[UnknownNameOut] = Field(description="Names to be matched, the commonest first.")
    left_out: int = Field(description="Rows that were left out on purpose.")
    task_id: UUID | None = Field(
        description="A large file is written by a worker (202): how far it is."
    )


class LogFileTask(ResponseModel):
    """A large file that a worker writes: all of it, or nothing."""

    id: UUID
    state: Literal["queued", "working", "done", "refused"]
    new: int = Field(description="Sets that were written; 0 until it is done.")
    known: int
    refusal: FieldProblem | None = Field(description="Why nothing of it was kept.")
    note: str = Field(description="What there is to say while it waits; '' for nothing.")


class SetByHand(NewSet):
    """A set written down afterwards."""

    id: UUID = Field(description="Made by the page, so that sending it twice keeps it once.")


class SessionByHand(DeviceClock):
    """A whole session written down afterwards."""

    name: str = Field(max_length=80, examples=["Monday"])
    rpe: float | None = Field(
        None,
        description="Of the whole session, 1–10.",
        validation_alias=renamed("rpe", "effort"),
    )
    sets: list[SetByHand] = Field(min_length=1, max_length=200)


class KeptSets(ResponseModel):
    """What became of what was sent."""

    new: int
    known: int


@router.put("/completed-sessions/{session_id}")
def keep_whole_session(
    session_id: UUID, body: SessionByHand, who: AtWork, db: Database, now: Now
) -> KeptSets:
    """Keep a session written down afterwards: all of it, or none. Sending it again changes
    nothing."""
    moment, skew = device_moment(who.athlete, now, body)
    if body.rpe is not None:
        require_within("rpe", body.rpe, 1, 10, "")
    sets = []
    for number, set_by_hand in enumerate(body.sets, start=1):
        try:
            there, _ = device_moment(who.athlete, now, set_by_hand)
            if set_by_hand.amount_text is not None:
                read_count(
                    set_by_hand.amount_text
                )  # refused with its row, before anything is written
            sets.append(SetEntry(set_by_hand.id, set_by_hand, there, skew, who.author_id))
        except InputError as error:
            raise InputError(f"row {number}, {error.field}", error.problem, error.remedy) from error
    whole = retrospective_log.WholeSession(session_id, body.name, moment, body.rpe, tuple(sets))
    new, known = retrospective_log.keep(db, who.athlete, [whole], now)
    return KeptSets(new=new, known=known)


@router.get("/logs", response_class=Response)
def get_logs(
    who: OnFloor,
    db: Database,
    since: Annotated[OurDay | None, Query(description="From this day on.")] = None,
) -> Response:
    """Every logged set as CSV; corrected rows are told by what corrects them."""
    rows = []
    names = retrospective_log.rung_names(db, who.athlete.id)
    for session in logs.of_athlete(db, who.athlete.id, MOST_SESSIONS):
        if since is not None and session.row.local_date < since:
            continue
        for logged in session.sets:
            there = logged.at.astimezone(ZoneInfo(logged.time_zone))
            about = (
                logged.least is not None and logged.most is not None and logged.least != logged.most
            )
            rows.append(
                {
                    "date": logged.local_date.isoformat(),
                    "time": f"{there:%H:%M:%S}",
                    "time zone": logged.time_zone,
                    "session": session.row.name,
                    "movement": logged.movement,
                    "rung": names.get(logged.rung_id, "") if logged.rung_id else "",
                    "set": logged.number,
                    "kind": logged.kind,
                    "side": logged.side,
                    "amount": f"{logged.least:g}–{logged.most:g}"
                    if about
                    else f"{logged.amount:g}",
                    "unit": catalogue().find_movement(logged.movement).unit,
                    **_done_with(logged),
                    "partial": logged.partial,
                    "rpe": f"{logged.rpe:g}",
                    "form ok": "yes" if logged.form_ok else "no",
                    "faults": "; ".join(logged.faults),
                    "felt in": "; ".join(logged.felt_in),
                    "pain": logged.pain,
                    "pain place": logged.pain_place,
                    "note": logged.note,
                    "session rpe": f"{session.row.rpe or 0:g}",
                    "set id": str(logged.id),
                }
            )
    return csv_answer(log_csv.written(rows), f"Sets of {who.athlete.name}")


def _done_with(logged: LoggedSetRow) -> dict[str, str]:
    """Load and tempo in their columns, empty where they were the plain ones."""
    modifiers = modifiers_of(logged)
    load = carried(modifiers)
    return {
        "load kg": f"{load.kg:g}" if load.kg else "",
        "load at": load.at or "",
        "band": modifiers.band.band.name if modifiers.band else "",
        "tempo": "" if modifiers.tempo == Tempo() else str(modifiers.tempo),
    }


@router.post("/log-files", responses={202: {"model": ReadFile}})
def read_logs(body: LogFile, who: AtWork, db: Database, now: Now, response: Response) -> ReadFile:
    """Read a CSV of logged sets. A dry run tells how its columns are matched and every row that
    cannot be kept; nothing is written until all are right. Sets that are there already, by their id
    or else by moment, movement and amount, are known: the same file again writes nothing. A large
    file is written by a worker, all of it or nothing."""
    asked = body.asked()
    table = log_csv.read(body.content, who.athlete.time_zone, asked.matching, asked.names)
    file = log_import.read(db, who.athlete, table, asked, now)
    task = None
    if body.keep and file.new > log_import.LARGE:
        task = log_import.keep_later(db, who.athlete, file, asked, body.content, now)
        response.status_code = 202
    elif body.keep:
        log_import.keep(db, who.athlete, file, asked, now)
    kept = body.keep and task is None
    return ReadFile(
        columns=list(log_csv.COLUMNS),
        header=list(table.header),
        matching=table.matching,
        sets=len(table.rows),
        sessions=len(file.sessions),
        new=file.new if kept else 0,
        known=file.known,
        doubtful=[DoubtfulRow.model_validate(row) for row in file.doubtful],
        unknown=[UnknownNameOut.model_validate(name) for name in file.unknown],
        left_out=file.left_out,
        bad=[BadRowOut.model_validate(bad_row) for bad_row in file.bad],
        kept=kept,
        task_id=task.id if task else None,
    )


@router.get("/log-files/{task_id}")
def get_log_file_task(task_id: UUID, who: OnFloor, db: Database, now: Now) -> LogFileTask:
    """How far a large file is that a worker writes."""
    row = background.of_owner(db, "log_file", who.athlete.id, task_id)
    result = row.result or {}
    return LogFileTask.of(
        row,
        new=result.get("new", 0),
        known=result.get("known", 0),
        refusal=FieldProblem.model_validate(row.refusal) if row.refusal else None,
        note=background.waiting_note(row, now),
    )
