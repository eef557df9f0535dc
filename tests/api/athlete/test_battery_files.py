"""Tests as CSV: out and in the same, a dry run first, nothing half written."""

from base64 import b64encode
from uuid import uuid4

import pytest

from tests.api.coach import Coach, problem


def send(coach: Coach, athlete: str, text: str | bytes, **more: object):
    content = text.encode() if isinstance(text, str) else text
    body = {"content": b64encode(content).decode(), **more}
    return coach.client.post(f"/api/athletes/{athlete}/tests/file", json=body)


def out(coach: Coach, athlete: str) -> str:
    answer = coach.client.get(f"/api/athletes/{athlete}/tests/file")
    assert answer.headers["content-type"].startswith("text/csv")
    return answer.content.decode("utf-8-sig")


TWO = "date,movement,amount,side\n2026-02-20,Push-up,14,\n2026-02-21,plank,31,\n"


def test_a_dry_run_keeps_nothing(coach: Coach) -> None:
    athlete = coach.enrols()["id"]
    told = send(coach, athlete, TWO).json()
    assert (told["tests"], told["bad"], told["kept"]) == (2, [], False)
    assert out(coach, athlete).count("\n") == 1


def test_tests_come_in_and_go_out_again(coach: Coach) -> None:
    athlete = coach.enrols()["id"]
    assert send(coach, athlete, TWO, keep=True).json()["kept"]
    rows = out(coach, athlete).splitlines()
    assert len(rows) == 3
    assert any(row.startswith("2026-02-21,12:00:00,Europe/Lisbon,plank") for row in rows)


def test_the_same_file_again_changes_nothing(coach: Coach) -> None:
    athlete = coach.enrols()["id"]
    for _ in range(2):
        assert send(coach, athlete, TWO, keep=True).status_code == 200
    assert len(out(coach, athlete).splitlines()) == 3


def test_what_went_out_comes_in_for_another_with_its_set_up(coach: Coach) -> None:
    first, second = coach.enrols("Oda Fenwick")["id"], coach.enrols("Kit Lowe")["id"]
    coach.gives_ladder(
        first,
        test={
            "id": str(uuid4()),
            "movement": "push-up",
            "values": {"hand_height": 0.4},
            "reps": 12,
        },
    )
    there = out(coach, first)
    assert "hand_height" in there
    assert send(coach, second, there, keep=True).status_code == 200
    assert out(coach, second) == there


def test_a_bad_row_is_named_and_nothing_is_kept(coach: Coach) -> None:
    athlete = coach.enrols()["id"]
    text = TWO + "2026-02-22,moonwalk,9,\n2026-02-30,Push-up,9,\n2027-01-01,Push-up,9,\n"
    told = send(coach, athlete, text).json()
    assert [(one["row"], one["field"]) for one in told["bad"]] == [
        (4, "movement"),
        (5, "date"),
        (6, "date"),
    ]
    refused = send(coach, athlete, text, keep=True)
    assert problem(refused, 422)["field"] == "row 4, movement"
    assert out(coach, athlete).count("\n") == 1


@pytest.mark.parametrize(
    ("row", "field"),
    [
        ("2026-02-20,Push-up,0,", "amount"),
        ("2026-02-20,Push-up,=1+1,", "amount"),
        ("2026-02-20,Push-up,9,up", "side"),
        ("2026-02-20,Push-up,9,left", "side"),
        (f"2026-02-20,{'x' * 600},9,", "movement"),
    ],
)
def test_odd_cells_are_refused(coach: Coach, row: str, field: str) -> None:
    athlete = coach.enrols()["id"]
    told = send(coach, athlete, f"date,movement,amount,side\n{row}\n").json()
    assert [one["field"] for one in told["bad"]] == [field]


def test_a_set_up_that_is_no_json_is_refused(coach: Coach) -> None:
    athlete = coach.enrols()["id"]
    told = send(coach, athlete, "date,movement,set-up,amount\n2026-02-20,Push-up,high,9\n").json()
    assert told["bad"][0]["field"] == "set-up"


@pytest.mark.parametrize("content", [b"", b"\xff\xfea", b"date,amount\n2026-02-20,9\n", b"a\n"])
def test_what_is_no_such_file_is_refused(coach: Coach, content: bytes) -> None:
    assert send(coach, coach.enrols()["id"], content).status_code == 422


def test_columns_are_matched_by_other_names(coach: Coach) -> None:
    athlete = coach.enrols()["id"]
    told = send(coach, athlete, "tested on;exercise;best\n2026-02-20;Push-up;14\n").json()
    assert told["matching"] == {"date": "tested on", "movement": "exercise", "amount": "best"}
    assert told["tests"] == 1
