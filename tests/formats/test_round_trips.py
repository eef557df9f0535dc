"""What goes out comes in the same: any set, any test, every ready ladder, in open formats."""

import csv
import json
from datetime import date
from io import StringIO
from typing import get_args

import jsonschema_rs
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from invelo.domain.catalogue.catalogue import ReadyLadder, catalogue
from invelo.domain.catalogue.movement import EARLIER_REGIONS
from invelo.domain.ladder.ready import drawn
from invelo.domain.ladder.step_policy import USUAL_POLICY
from invelo.domain.ladder.workshop import LadderGraph
from invelo.domain.plan.prescription import Level, Purpose
from invelo.domain.training.log import OneSide, SetKind
from invelo.formats.json_file import as_text
from invelo.formats.ladder import document as ladder_json
from invelo.formats.ladder import shapes
from invelo.formats.training import log_csv, tests_csv
from tests.domain.people import AVERAGE

ZONE = "Europe/Lisbon"
MOVEMENTS = [one.id for one in catalogue().movement]
LADDERS = catalogue().ladder

plain_words = st.text(
    st.characters(categories=["L", "N", "P", "S", "Zs"], exclude_characters="\0;"), max_size=30
).map(str.strip)
clock = st.times().map(lambda one: one.replace(microsecond=0).isoformat())


@st.composite
def set_rows(draw) -> dict[str, object]:
    """A logged set as our own file tells it."""
    movement = catalogue().find_movement(draw(st.sampled_from(MOVEMENTS)))
    pain = draw(st.integers(0, 10))
    return {
        "date": draw(st.dates(date(2020, 1, 1), date(2026, 3, 1))).isoformat(),
        "time": draw(clock),
        "time zone": draw(st.sampled_from(["Europe/Lisbon", "Pacific/Auckland", "America/Lima"])),
        "session": draw(plain_words),
        "movement": movement.id,
        "set": draw(st.integers(1, 99)),
        "kind": draw(st.sampled_from(get_args(SetKind))),
        "side": draw(st.sampled_from(get_args(OneSide))),
        "amount": draw(st.integers(0, 200)),
        "unit": movement.unit,
        "partial": draw(st.integers(0, 200)),
        "rpe": draw(st.integers(2, 20)) / 2,
        "form ok": draw(st.sampled_from(["yes", "no"])),
        "faults": "; ".join(draw(st.lists(plain_words.filter(bool), max_size=3))),
        "felt in": "; ".join(draw(st.lists(plain_words.filter(bool), max_size=3))),
        "pain": pain,
        "pain place": draw(plain_words) if pain else "",
        "note": draw(plain_words),
    }


@given(st.lists(set_rows(), min_size=1, max_size=5))
def test_any_sets_are_read_back_as_they_were(rows: list[dict[str, object]]) -> None:
    read = log_csv.read(log_csv.written(rows).encode(), ZONE)
    assert read.bad == ()
    assert len(read.rows) == len(rows)
    for told, row in zip(read.rows, rows, strict=True):
        assert told.day.isoformat() == row["date"]
        assert told.at.replace(tzinfo=None).isoformat() == f"{row['date']}T{row['time']}"
        assert (told.movement, told.draft.unit) == (row["movement"], row["unit"])
        assert (told.draft.number, told.draft.kind, told.draft.side) == (
            row["set"],
            row["kind"],
            row["side"],
        )
        assert (told.count.amount, told.draft.partial) == (row["amount"], row["partial"])
        assert (told.draft.rpe, told.draft.form_ok) == (row["rpe"], row["form ok"] == "yes")
        assert (told.draft.pain, told.draft.pain_place) == (row["pain"], row["pain place"])
        assert (told.session, told.draft.note) == (row["session"] or "Session", row["note"])
        assert "; ".join(told.draft.faults) == row["faults"]
        regions = str(row["felt in"]).split("; ") if row["felt in"] else []
        assert told.draft.felt_in == [EARLIER_REGIONS.get(name, name) for name in regions]


@given(st.lists(set_rows(), min_size=1, max_size=3))
def test_python_s_own_reader_finds_the_same_cells(rows: list[dict[str, object]]) -> None:
    """RFC 4180 as the standard library reads it; a formula is the one thing that is changed."""
    for found, row in zip(csv.DictReader(StringIO(log_csv.written(rows))), rows, strict=True):
        for name, value in row.items():
            told = found[name]
            assert told == str(value) or (told == f"'{value}" and not str(value)[:1].isalnum())


@given(
    st.sampled_from(MOVEMENTS),
    st.dates(date(2020, 1, 1), date(2026, 3, 1)),
    st.integers(1, 60),
    st.integers(2, 20),
    st.sampled_from(get_args(OneSide)),
)
def test_any_test_is_read_back_as_it_was(
    movement: str, day: date, amount: int, rpe: int, side: OneSide
) -> None:
    changes = {"tempo": {"lower": 3.0}, "load": 4.5}
    row = {
        "date": day.isoformat(),
        "time": "18:00:00",
        "time zone": "America/Lima",
        "movement": movement,
        "set-up": json.dumps(changes),
        "amount": amount,
        "rpe": rpe / 2,
        "side": side,
    }
    (told,) = tests_csv.read(tests_csv.written([row]).encode(), ZONE).rows
    assert (told.day, told.movement.id, told.side) == (day, movement, side)
    assert (told.amount, told.rpe, told.changes) == (amount, rpe / 2, changes)
    assert told.at.isoformat() == f"{day.isoformat()}T18:00:00-05:00"


def shape(drawing: LadderGraph) -> tuple[object, ...]:
    """A ladder but for the ids of its rungs."""
    return tuple((one.rung, one.why) for one in drawing.rungs), drawing.links


@pytest.mark.parametrize("ready", LADDERS, ids=lambda one: one.id)
@given(purpose=st.sampled_from(get_args(Purpose)), level=st.sampled_from(get_args(Level)))
@settings(max_examples=4)
def test_every_ready_ladder_goes_out_and_comes_in_the_same(
    ready: ReadyLadder, purpose: Purpose, level: Level
) -> None:
    drawing = drawn(ready, AVERAGE, purpose, level)
    told = ladder_json.write(drawing, ready.goal, purpose, level, USUAL_POLICY)
    jsonschema_rs.validator_for(shapes.schema()).validate(told)
    read = ladder_json.read(as_text(told), AVERAGE)
    assert read.faults == ()
    assert read.drawing is not None
    assert read.file is not None
    assert shape(read.drawing) == shape(drawing)
    assert read.file.settings.core() == USUAL_POLICY
    again = ladder_json.write(read.drawing, ready.goal, purpose, level, USUAL_POLICY)
    assert again == told


@pytest.mark.parametrize("ready", LADDERS, ids=lambda one: one.id)
def test_a_ladder_cut_anywhere_is_refused_with_its_place(ready: ReadyLadder) -> None:
    told = ladder_json.write(
        drawn(ready, AVERAGE, "strength", "beginner"),
        ready.goal,
        "strength",
        "beginner",
        USUAL_POLICY,
    )
    text = as_text(told)
    for cut in range(0, len(text) - 2, max(1, len(text) // 12)):
        read = ladder_json.read(text[:cut])
        assert read.drawing is None
        assert read.faults
        assert all(one.place and one.problem and one.remedy for one in read.faults)


@given(st.binary(max_size=200))
def test_whatever_bytes_come_in_they_are_refused_in_words(content: bytes) -> None:
    read = ladder_json.read(content)
    assert read.drawing is None
    assert all(one.place and one.remedy for one in read.faults)
    assert read.faults
