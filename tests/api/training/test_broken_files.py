"""Files broken in whatever way are refused by row or as a whole, and nothing of them is kept."""

import base64
import csv
from io import StringIO
from random import Random

import pytest

from invelo.db.tables.athlete import TestRow
from invelo.db.tables.training import LoggedSetRow, TrainingSessionRow
from tests.api.coach import Coach, problem
from tests.conftest import rows
from tests.depth import depth

TABLES = (LoggedSetRow, TrainingSessionRow, TestRow)


def broken(random: Random, content: bytes) -> bytes:
    """A file with one thing wrong with it, or a few."""
    made = bytearray(content)
    for _ in range(random.randrange(1, 4)):
        at = random.randrange(len(made))
        match random.choice(["flip", "cut", "double", "put"]):
            case "flip":
                made[at] ^= 1 << random.randrange(8)
            case "cut":
                del made[at : at + random.randrange(1, 30)]
            case "double":
                made[at:at] = made[at : at + 30]
            case "put":
                made[at:at] = random.choice([b"\0", b'"', b",", b"\n", b"=1+1", b"9" * 30, b"\xff"])
    return bytes(made)


@pytest.mark.parametrize(("out", "back"), [("logs", "log-files"), ("tests/file", "tests/file")])
def test_a_broken_table_leaves_nothing_behind(coach: Coach, ladder, engine, out, back) -> None:
    coach.trains(ladder["id"])
    base = f"/api/athletes/{ladder['athlete_id']}"
    whole = coach.client.get(f"{base}/{out}").content
    before = [len(rows(engine, table)) for table in TABLES]
    random, refused = Random(back), 0
    for _ in range(depth(60, 500)):
        content = base64.b64encode(broken(random, whole)).decode()
        dry = coach.client.post(f"{base}/{back}", json={"content": content})
        assert dry.status_code in (200, 422), dry.text
        if dry.status_code == 200 and not dry.json()["bad"]:
            continue
        kept = coach.client.post(f"{base}/{back}", json={"content": content, "keep": True})
        assert kept.status_code == 422
        assert all(error["remedy"] for error in kept.json()["errors"])
        refused += 1
    assert [len(rows(engine, table)) for table in TABLES] == before
    assert refused > 20


@pytest.fixture
def exported(coach: Coach, ladder, engine) -> tuple[str, list[dict[str, str]]]:
    """An athlete's address and what their sets are as CSV."""
    for reps in ((10, 9, 8), (10, 10, 10)):
        coach.trains(ladder["id"], reps)
        coach.later(2)
    base = f"/api/athletes/{ladder['athlete_id']}"
    text = coach.client.get(f"{base}/logs").content.decode("utf-8-sig")
    return base, list(csv.DictReader(StringIO(text)))


def sent(rows: list[dict[str, str]]) -> str:
    made = StringIO()
    writer = csv.DictWriter(made, rows[0].keys())
    writer.writeheader()
    writer.writerows(rows)
    return base64.b64encode(made.getvalue().encode()).decode()


@pytest.mark.parametrize("left_out", [(), ("set id",), ("set id", "rung", "set", "session")])
def test_an_export_taken_in_again_is_known_already(coach, exported, engine, left_out) -> None:
    base, told = exported
    kept = [{k: v for k, v in row.items() if k not in left_out} for row in told]
    sessions = len(rows(engine, TrainingSessionRow))
    back = coach.post(f"{base}/log-files", content=sent(kept), keep=True)
    assert (back["new"], back["known"], back["doubtful"]) == (0, len(told), [])
    assert len(rows(engine, LoggedSetRow)) == len(told)
    assert len(rows(engine, TrainingSessionRow)) == sessions


def test_a_row_like_a_set_of_another_time_is_asked_about(coach, exported, engine) -> None:
    base, told = exported
    other = [{**row, "set id": "", "time": "06:00"} for row in told[:2]]
    dry = coach.post(f"{base}/log-files", content=sent(other))
    assert [row["row"] for row in dry["doubtful"]] == [2, 3]
    refused = coach.client.post(f"{base}/log-files", json={"content": sent(other), "keep": True})
    assert "Say whether" in problem(refused, 422)["remedy"]
    same = coach.post(f"{base}/log-files", content=sent(other), keep=True, doubtful="known")
    assert (same["new"], same["known"]) == (0, 2)
    before = len(rows(engine, LoggedSetRow))
    others = coach.post(f"{base}/log-files", content=sent(other), keep=True, doubtful="new")
    assert (others["new"], others["known"]) == (2, 0)
    assert len(rows(engine, LoggedSetRow)) == before + 2


def test_two_equal_rows_are_two_sets(coach, exported, engine) -> None:
    """No logged set is taken for two rows: the second of two equal ones is another."""
    base, told = exported
    twice = [told[0], {**told[0], "set id": ""}]
    back = coach.post(f"{base}/log-files", content=sent(twice))
    assert (back["known"], len(back["doubtful"])) == (1, 0)


def test_a_new_set_of_a_known_session_goes_on_with_it(coach, exported, engine) -> None:
    base, told = exported
    more = {**told[0], "set id": "", "time": "23:10:00", "amount": "4", "set": "9"}
    sessions = len(rows(engine, TrainingSessionRow))
    back = coach.post(f"{base}/log-files", content=sent([*told, more]), keep=True)
    assert (back["new"], back["known"]) == (1, len(told))
    assert len(rows(engine, TrainingSessionRow)) == sessions
