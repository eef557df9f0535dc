"""CSV of logs: columns matched, every bad row told, nothing executed, encodings refused plainly.

RFC 4180 is held against Python's own csv module, which reads it by default.
"""

import csv
from io import StringIO

import pytest
from hypothesis import given
from hypothesis import strategies as st

from invelo.domain.errors import InputError
from invelo.formats import csv_table
from invelo.formats.training import log_csv

ZONE = "Europe/Lisbon"
HEADER = "date,movement,amount,effort"


def read(*rows: str, header: str = HEADER, **more: object) -> log_csv.Read:
    text = "\r\n".join([header, *rows])
    return log_csv.read(text.encode(), ZONE, **more)  # type: ignore[arg-type]


def refused(content: bytes, **more: object) -> InputError:
    with pytest.raises(InputError) as error:
        log_csv.read(content, ZONE, **more)  # type: ignore[arg-type]
    return error.value


# ---- in ----------------------------------------------------------------------------------------


def test_a_plain_row_is_read() -> None:
    (one,) = read("2026-03-02,push-up,12,8.5").rows
    assert (one.day.isoformat(), one.movement, one.count.amount) == ("2026-03-02", "push-up", 12)
    assert (one.draft.unit, one.draft.rpe, one.draft.form_ok, one.row) == ("reps", 8.5, True, 2)
    assert one.at.isoformat() == "2026-03-02T12:00:00+00:00"


def test_counts_from_memory_come_in_as_ranges() -> None:
    (one,) = read("2026-03-02,push-up,11 or 12,9").rows
    assert one.count.about == (11, 12)


@pytest.mark.parametrize("name", ["Push-up", "push-up", "press-up", "PUSH-UP", "floor push-up"])
def test_a_movement_is_known_by_its_name_or_another_term(name: str) -> None:
    assert log_csv.find_movement(name) == "push-up"


def test_a_hold_is_read_in_seconds() -> None:
    (one,) = read("2026-03-02,plank,45,9").rows
    assert (one.draft.unit, one.count.amount) == ("s", 45)


@pytest.mark.parametrize("delimiter", [",", ";", "\t"])
def test_the_delimiter_is_found_out(delimiter: str) -> None:
    text = "\n".join(
        delimiter.join(cells)
        for cells in (("date", "movement", "amount", "rpe"), ("2026-03-02", "push-up", "9", "8"))
    )
    assert len(log_csv.read(text.encode(), ZONE).rows) == 1


def test_columns_are_matched_by_other_names_and_in_any_order() -> None:
    found = read("8,9,2026-03-02,push-up", header="RPE,Reps,Day,Exercise")
    assert found.matching == {
        "date": "Day",
        "movement": "Exercise",
        "amount": "Reps",
        "rpe": "RPE",
    }
    assert found.rows[0].draft.rpe == 8


def test_the_coach_says_which_column_is_which() -> None:
    told = {"amount": "did", "rpe": "hard", "movement": "what", "note": ""}
    found = read("2026-03-02,push-up,9,8,hello", header="date,what,did,hard,note", given=told)
    assert found.rows[0].count.amount == 9
    assert found.rows[0].draft.note == ""


def test_a_column_that_is_missing_is_named() -> None:
    error = refused(b"date,movement,amount\n2026-03-02,push-up,9")
    assert (error.field, "rpe" in error.problem) == ("matching", True)


@pytest.mark.parametrize(
    ("given", "word"),
    [({"amount": "nowhere"}, "no column"), ({"weight": "x"}, "no column of ours")],
)
def test_a_match_that_cannot_be_is_refused(given: dict, word: str) -> None:
    error = refused(f"{HEADER}\n2026-03-02,push-up,9,8".encode(), given=given)
    assert word in error.problem


@pytest.mark.parametrize(
    ("row", "field"),
    [
        ("yesterday,push-up,9,8", "date"),
        ("2026-13-02,push-up,9,8", "date"),
        ("0001-01-01,push-up,9,8", "date"),
        ("9999-12-31,push-up,9,8", "date"),
        ("2026-03-02,push-up,many,8", "amount"),
        ("2026-03-02,push-up,10000,8", "reps"),
        ("2026-03-02,push-up,9,", "rpe"),
        ("2026-03-02,push-up,9,11", "rpe"),
        ("2026-03-02,push-up,9,nan", "rpe"),
        ("2026-03-02,,9,8", "movement"),
        ("2026-03-02,push-up,=1+1,8", "amount"),
        ("2026-03-02,push-up", "amount"),
    ],
)
def test_each_bad_row_is_told_with_its_number_and_field(row: str, field: str) -> None:
    found = read("2026-03-02,push-up,9,8", row, "2026-03-02,push-up,7,8")
    (bad,) = found.bad
    assert (bad.row, bad.field) == (3, field)
    assert bad.remedy
    assert [one.row for one in found.rows] == [2, 4]


@pytest.mark.parametrize(
    ("content", "word"),
    [
        (HEADER.encode() + "\n2026-03-02,push-up,9,8,café".encode("latin-1"), "line 2"),
        ((HEADER + "\n2026-03-02,push-up,9,8").encode("utf-16"), "UTF-16"),
        (b"\x89PNG\r\n\x1a\n\x00\x00", "UTF-8"),
        (HEADER.encode() + b"\n2026\x00,push-up,9,8", "no text"),
        (b"", "no rows"),
        (HEADER.encode(), "no rows"),
        (b"\n\n\n", "no rows"),
        (HEADER.encode() + b"\n" + b"x" * 200_000, "field larger"),
    ],
)
def test_what_is_no_csv_in_utf8_is_refused_with_what_to_do(content: bytes, word: str) -> None:
    error = refused(content)
    assert error.field == "file"
    assert word in error.problem
    assert error.remedy


def test_a_byte_order_mark_is_no_hindrance() -> None:
    text = f"{HEADER}\n2026-03-02,push-up,9,8"
    assert log_csv.read(text.encode("utf-8-sig"), ZONE).rows


def test_too_many_rows_are_refused() -> None:
    rows = ["2026-03-02,push-up,9,8"] * (csv_table.MOST_ROWS + 1)
    assert "rows" in refused("\n".join([HEADER, *rows]).encode()).problem


# ---- formulas ----------------------------------------------------------------------------------


@pytest.mark.parametrize("words", ['=HYPERLINK("x")', "+1", "-1+2", "@SUM(A1)", "\tx", "'plain"])
def test_nothing_that_goes_out_is_a_formula(words: str) -> None:
    text = log_csv.written([{"note": words}])
    cell = next(iter(csv.DictReader(StringIO(text))))["note"]
    assert cell == f"'{words}"


def test_a_formula_in_a_note_is_kept_as_its_letters() -> None:
    (one,) = read("2026-03-02,push-up,9,8,\"=cmd|' /C calc'!A0\"", header=f"{HEADER},note").rows
    assert one.draft.note == "=cmd|' /C calc'!A0"


@given(st.text(st.characters(blacklist_categories=["Cs"], blacklist_characters="\0"), max_size=80))
def test_whatever_is_noted_comes_back_and_never_as_a_formula(note: str) -> None:
    kept = note.strip()
    row = {"date": "2026-03-02", "movement": "push-up", "amount": "9", "rpe": "8", "note": kept}
    text = log_csv.written([row])
    assert not next(iter(csv.DictReader(StringIO(text))))["note"].startswith(csv_table.FORMULA)
    (one,) = log_csv.read(text.encode(), ZONE).rows
    # a line break inside a cell is one line break, however it was written
    assert one.draft.note.splitlines() == kept.splitlines()


# ---- out and in again --------------------------------------------------------------------------


def test_what_goes_out_is_read_back_the_same() -> None:
    row = {
        "date": "2026-03-02",
        "time": "18:30:05",
        "time zone": "Pacific/Auckland",
        "session": "Monday, late",
        "movement": "split-squat",
        "set": 2,
        "kind": "drop",
        "side": "left",
        "amount": "11–12",
        "unit": "reps",
        "partial": 1,
        "rpe": "8.5",
        "form ok": "no",
        "faults": "knee falls in; short of depth",
        "felt in": "quads",
        "pain": 2,
        "pain place": "left knee",
        "note": 'said "fine"',
        "session rpe": "7",
    }
    (one,) = log_csv.read(log_csv.written([row]).encode(), ZONE).rows
    assert (one.draft.number, one.draft.kind, one.draft.side, one.draft.partial) == (
        2,
        "drop",
        "left",
        1,
    )
    assert one.count.about == (11, 12)
    assert one.draft.faults == ["knee falls in", "short of depth"]
    assert (one.draft.pain, one.draft.pain_place, one.draft.note) == (2, "left knee", 'said "fine"')
    assert one.at.isoformat() == "2026-03-02T18:30:05+13:00"
    assert one.session_rpe == 7
