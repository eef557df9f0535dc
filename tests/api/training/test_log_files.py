"""Logs by hand and as CSV, pictures and notes: all or nothing, once, and nothing executed."""

import csv
from base64 import b64encode
from io import BytesIO, StringIO
from uuid import uuid4

import anyio
import pytest
from PIL import Image
from sqlmodel import Session, select

from invelo.db.tables.review import ProposalRow
from invelo.db.tables.training import LoggedSetRow
from invelo.jobs import background
from invelo.jobs.work import Work
from tests.api.coach import Coach, problem

HEADER = "date,movement,amount,effort,session effort"


@pytest.fixture
def base(ladder) -> str:
    return f"/api/athletes/{ladder['athlete_id']}"


def sends(coach: Coach, base: str, text: str | bytes, **more):
    content = text.encode() if isinstance(text, str) else text
    body = {"content": b64encode(content).decode(), **more}
    return coach.client.post(f"{base}/log-files", json=body)


def count(engine) -> int:
    with Session(engine) as db:
        return len(db.exec(select(LoggedSetRow)).all())


GOOD = "\n".join([HEADER, *(f"2026-02-{day:02},push-up,{8 + day % 3},8,7" for day in range(2, 12))])


# ---- CSV in ------------------------------------------------------------------------------------


def test_a_dry_run_tells_all_and_writes_nothing(coach, base, engine) -> None:
    told = sends(coach, base, GOOD).json()
    assert (told["sets"], told["sessions"], told["kept"], told["bad"]) == (10, 10, False, [])
    assert told["matching"]["rpe"] == "effort"
    assert count(engine) == 0


def test_a_file_is_kept_whole_and_once(coach, base, engine, ladder) -> None:
    first = sends(coach, base, GOOD, keep=True).json()
    assert (first["new"], first["known"]) == (10, 0)
    second = sends(coach, base, GOOD, keep=True).json()
    assert (second["new"], second["known"]) == (0, 10)
    assert count(engine) == 10
    days = [one["local_date"] for one in coach.get(f"{base}/history")["sessions"]]
    assert days == [f"2026-02-{day:02}" for day in range(11, 1, -1)]


STRANGE = f"{GOOD}\n2026-02-20,presups,9,8,7\n2026-02-21,presups,8,8,7\n2026-02-22,flying,5,8,7"


def test_names_that_nobody_knows_are_matched_and_confirmed(coach, base, engine) -> None:
    told = sends(coach, base, STRANGE).json()
    unknown = {one["words"]: one for one in told["unknown"]}
    assert {words: one["rows"] for words, one in unknown.items()} == {"presups": 2, "flying": 1}
    assert unknown["presups"]["guesses"][0]["id"] == "push-up"
    names = {"presups": "push-up", "flying": ""}
    clear = sends(coach, base, STRANGE, names=names).json()
    assert (clear["bad"], clear["unknown"], clear["left_out"], clear["sets"]) == ([], [], 1, 13)
    kept = sends(coach, base, STRANGE, names=names, keep=True).json()
    assert kept["new"] == 12
    assert sends(coach, base, STRANGE, names=names, keep=True).json()["known"] == 12
    assert count(engine) == 12
    wrong = problem(sends(coach, base, STRANGE, names={"presups": "somersault"}), 422)
    assert wrong["field"] == "movement"


def test_the_good_rows_are_kept_without_the_bad_ones_where_that_is_said(
    coach, base, engine
) -> None:
    kept = sends(coach, base, STRANGE, keep=True, without_bad=True).json()
    assert kept["new"] == 10
    assert [one["row"] for one in kept["bad"]] == [12, 13, 14]  # and which are not is said
    assert count(engine) == 10


def test_what_goes_out_comes_in_as_known_by_its_ids(coach, base, engine) -> None:
    """Also once the rows' times and amounts were changed by hand."""
    sends(coach, base, GOOD, keep=True)
    out = coach.client.get(f"{base}/logs").content.decode("utf-8-sig")
    again = sends(coach, base, out.replace(",12:00:00,", ",09:30:00,"), keep=True).json()
    assert (again["new"], again["known"]) == (0, 10)
    assert count(engine) == 10


def test_a_bad_row_keeps_all_of_it_out(coach, base, engine) -> None:
    text = f"{GOOD}\n2026-02-20,flying,9,8,7\n2026-02-21,push-up,10000,8,7"
    told = sends(coach, base, text).json()
    assert [(one["row"], one["field"]) for one in told["bad"]] == [(12, "movement"), (13, "reps")]
    refused = problem(sends(coach, base, text, keep=True), 422)
    assert refused["field"] == "row 12, movement"
    assert "Nothing is kept" in refused["remedy"]
    assert count(engine) == 0


def test_a_rung_of_the_athletes_is_known_by_its_name(coach, base, ladder) -> None:
    name = next(one["name"] for one in ladder["rungs"] if one["id"] == ladder["current_rung_id"])
    text = f'date,rung,amount,effort\n2026-02-20,"{name}",9,8'
    sends(coach, base, text, keep=True).raise_for_status()
    (session,) = coach.get(f"{base}/history")["sessions"]
    assert session["sets"][0]["rung_id"] == ladder["current_rung_id"]
    assert coach.get(f"/api/ladders/{ladder['id']}/review")["proposals"]


def test_a_day_that_has_not_come_is_refused(coach, base) -> None:
    told = sends(coach, base, f"{HEADER}\n2031-01-01,push-up,9,8,7").json()
    assert told["bad"][0]["problem"] == "it has not come yet."


@pytest.mark.parametrize(
    "content",
    [GOOD.encode("utf-16"), b"\xff\xfe\x00", f"{HEADER}\n2026-02-02,café".encode("latin-1")],
)
def test_a_file_in_the_wrong_letters_is_refused_plainly(coach, base, engine, content) -> None:
    told = problem(sends(coach, base, content, keep=True), 422)
    assert told["field"] == "file"
    assert "UTF-8" in told["remedy"]
    assert count(engine) == 0


def test_a_formula_stays_letters_in_and_out(coach, base) -> None:
    text = f'{HEADER},note\n2026-02-02,push-up,9,8,7,"=HYPERLINK(""http://x"")"'
    sends(coach, base, text, keep=True).raise_for_status()
    out = coach.client.get(f"{base}/logs")
    row = next(iter(csv.DictReader(StringIO(out.content.decode("utf-8-sig")))))
    assert row["note"] == '\'=HYPERLINK("http://x")'
    kept = coach.get(f"{base}/history")["sessions"][0]["sets"][0]["note"]
    assert kept == '=HYPERLINK("http://x")'


def test_a_history_is_judged_once_not_session_by_session(coach, base, ladder, engine) -> None:
    name = next(one["name"] for one in ladder["rungs"] if one["id"] == ladder["current_rung_id"])
    rows = [f'2026-02-{day:02},"{name}",9,8' for day in range(2, 20)]
    sends(coach, base, "\n".join(["date,rung,amount,effort", *rows]), keep=True).raise_for_status()
    with Session(engine) as db:
        assert len(db.exec(select(ProposalRow)).all()) == 1


def test_every_ladder_of_a_file_is_judged(coach, base, ladder, engine) -> None:
    more = {"ready_ladder": "row", "purpose": "strength", "level": "intermediate", "test": None}
    row = coach.gives_ladder(ladder["athlete_id"], **more)
    names = [
        next(one["name"] for one in each["rungs"] if one["id"] == each["current_rung_id"])
        for each in (row, ladder)
    ]
    rows = [f'2026-02-{day:02},"{name}",9,8' for day, name in enumerate(names, start=2)]
    sends(coach, base, "\n".join(["date,rung,amount,effort", *rows]), keep=True).raise_for_status()
    for one in (row, ladder):
        assert len(coach.get(f"/api/ladders/{one['id']}/review")["proposals"]) == 1


# ---- CSV out -----------------------------------------------------------------------------------


def without_ids(content: bytes) -> list[bytes]:
    """The rows of an export but for the ids of the sets, which are new elsewhere."""
    return [line.rpartition(b",")[0] for line in content.splitlines()]


def test_what_goes_out_comes_in_elsewhere_the_same(coach, base, ladder, new_coach) -> None:
    coach.trains(ladder["id"], (10, 9, 8), pain=1, pain_place="left wrist", note="well, slow")
    out = coach.client.get(f"{base}/logs")
    assert out.headers["content-type"].startswith("text/csv")
    assert b"\r\n" in out.content
    other = new_coach()
    there = f"/api/athletes/{other.has_ladder()['athlete_id']}"
    sends(other, there, out.content, keep=True).raise_for_status()
    again = other.client.get(f"{there}/logs").content
    assert without_ids(again) == without_ids(out.content)


# ---- by hand -----------------------------------------------------------------------------------


def whole(coach: Coach, base: str, sets: list[dict], session: str = "", **more):
    at = {"at": "2026-03-01T17:00:00Z", "time_zone": "Europe/Lisbon"}
    body = {"name": "Sunday", "rpe": 7, **at, "sets": [{**at, **one} for one in sets], **more}
    return coach.client.put(f"{base}/completed-sessions/{session or uuid4()}", json=body)


def row(ladder: dict, number: int = 1, **more) -> dict:
    base = {"id": str(uuid4()), "rung_id": ladder["current_rung_id"], "number": number, "rpe": 8}
    return {**base, **({} if "told" in more else {"reps": 9}), **more}


def test_a_whole_session_is_written_down_at_once(coach, base, ladder) -> None:
    sets = [row(ladder, 1, reps=10), row(ladder, 2, told="9 or 10"), row(ladder, 3, told="about 8")]
    assert whole(coach, base, sets).json() == {"new": 3, "known": 0}
    (session,) = coach.get(f"{base}/history")["sessions"]
    assert (session["name"], session["rpe"], session["local_date"]) == (
        "Sunday",
        7,
        "2026-03-01",
    )
    assert [one["least"] for one in session["sets"]] == [None, 9, 7]
    assert coach.get(f"/api/ladders/{ladder['id']}/review")["proposals"]


def test_sent_twice_it_is_kept_once(coach, base, ladder, engine) -> None:
    sets, session = [row(ladder)], str(uuid4())
    for known in (0, 1):
        assert whole(coach, base, sets, session).json()["known"] == known
    assert count(engine) == 1


def test_one_bad_row_keeps_the_session_out_and_is_named(coach, base, ladder, engine) -> None:
    told = problem(whole(coach, base, [row(ladder), row(ladder, 2, rpe=12)]), 422)
    assert told["field"] == "row 2, rpe"
    told = problem(whole(coach, base, [row(ladder), row(ladder, 2, told="many")]), 422)
    assert told["field"] == "row 2, reps"
    assert count(engine) == 0
    assert coach.get(f"{base}/history")["sessions"] == []


def off(movement: str, **more) -> dict:
    return {"id": str(uuid4()), "movement": movement, "number": 1, "rpe": 8, "reps": 5, **more}


def sets_of(coach, base) -> list[dict]:
    return coach.get(f"{base}/history")["sessions"][0]["sets"]


def red_band(coach: Coach) -> None:
    readings = [{"length_m": 1 + x / 4, "kg": 6 * x} for x in range(1, 6)]
    body = {"id": str(uuid4()), "name": "red", "rest_m": 1.0, "readings": readings}
    coach.client.post("/api/bands", json=body).raise_for_status()


def test_kilos_tempo_and_band_of_any_movement_are_said_and_come_back(coach, base, ladder) -> None:
    red_band(coach)
    sets = [
        off("dip", load_kg=12.5, load_at="belt", tempo="3-1-1-0"),
        off("pull-up", load_kg=-15, number=2),
        off("pull-up", band="Red folded", number=3),
        off("squat", load_kg=20, number=4),
        off("Goblet squat", load_kg=8, number=5),
    ]
    whole(coach, base, sets).raise_for_status()
    names = ("load_kg", "load_at", "tempo", "band")
    told = [tuple(one[name] for name in names) for one in sets_of(coach, base)]
    assert told == [
        (12.5, "belt", "3-1-1-0", ""),
        (-15, None, "1-0-1-0", ""),
        (0, None, "1-0-1-0", "red folded"),
        (20, "bag", "1-0-1-0", ""),
        (8, "hands", "1-0-1-0", ""),
    ]
    out = coach.client.get(f"{base}/logs")
    assert ",12.5,belt,3-1-1-0," in out.text
    assert ",red folded," in out.text
    assert sends(coach, base, out.content, keep=True).json()["new"] == 0


@pytest.mark.parametrize(
    ("wrong", "field", "words"),
    [
        ({"load_kg": 900}, "load_kg", "150"),
        ({"load_kg": 10, "load_at": "ankles"}, "load_at", "Use "),
        ({"tempo": "slow"}, "tempo", "3-0-1-0"),
        ({"band": "blue"}, "band", "“red”"),
    ],
)
def test_what_nobody_can_have_carried_is_named_with_its_row(
    coach, base, ladder, wrong, field, words
) -> None:
    red_band(coach)
    told = problem(whole(coach, base, [off("squat"), off("squat", number=2, **wrong)]), 422)
    assert told["field"] == f"row 2, {field}"
    assert words in str(told)
    assert coach.get(f"{base}/history")["sessions"] == []


def test_kilos_told_wrong_are_put_right_and_the_tempo_stays(coach, base, ladder) -> None:
    whole(coach, base, [off("dip", load_kg=10, tempo="3-1-1-0")]).raise_for_status()
    (told,) = sets_of(coach, base)
    body = {"id": str(uuid4()), "at": told["at"], "load_kg": 12}
    coach.client.patch(f"{base}/sets/{told['id']}", json=body).raise_for_status()
    (now,) = sets_of(coach, base)
    assert (now["load_kg"], now["load_at"], now["tempo"]) == (12, "belt", "3-1-1-0")


def test_a_file_tells_kilos_and_a_band_nobody_has_is_a_bad_row(coach, base, ladder) -> None:
    header = "date,movement,amount,rpe,weight,band\n"
    file = (header + '2026-02-28,dip,5,8,"7,5",\n2026-02-28,dip,5,8,,green\n').encode()
    (bad,) = sends(coach, base, file).json()["bad"]
    assert (bad["row"], bad["field"]) == (3, "band")
    file = (header + '2026-02-28,dip,5,8,"7,5",\n').encode()
    sends(coach, base, file, keep=True).raise_for_status()
    assert sets_of(coach, base)[0]["load_kg"] == 7.5


# ---- pictures ----------------------------------------------------------------------------------


@pytest.fixture
def set_path(coach, base, ladder) -> str:
    whole(coach, base, [row(ladder)]).raise_for_status()
    return f"{base}/sets/{coach.get(f'{base}/history')['sessions'][0]['sets'][0]['id']}"


def photo(size: int = 40) -> bytes:
    image = Image.new("RGB", (size, size), "teal")
    exif = Image.Exif()
    exif[0x010F] = "Secret camera"
    made = BytesIO()
    image.save(made, "JPEG", exif=exif)
    return made.getvalue()


def puts(coach: Coach, path: str, content: bytes, kind: str = "image/jpeg"):
    return coach.client.put(f"{path}/picture", content=content, headers={"content-type": kind})


def test_a_photo_is_kept_with_its_set_and_tells_nothing_else(coach, base, set_path) -> None:
    assert puts(coach, set_path, photo()).json()["media_type"] == "image/jpeg"
    found = coach.client.get(f"{set_path}/picture")
    assert found.headers["content-type"] == "image/jpeg"
    assert b"Secret camera" not in found.content
    told = coach.get(f"{base}/history")["sessions"][0]["sets"][0]
    assert told["picture"] == "image/jpeg"


def test_a_picture_is_taken_away_again(coach, set_path) -> None:
    puts(coach, set_path, photo()).raise_for_status()
    assert coach.client.delete(f"{set_path}/picture").status_code == 204
    assert problem(coach.client.get(f"{set_path}/picture"), 404)["field"] == "picture"


@pytest.mark.parametrize(
    ("content", "kind", "status"),
    [
        (b"no photo", "image/jpeg", 422),
        (b"<script>", "text/html", 422),
        (b"x" * (9 * 1024 * 1024), "image/jpeg", 413),
    ],
)
def test_what_is_no_picture_is_refused(coach, set_path, content, kind, status) -> None:
    problem(puts(coach, set_path, content, kind), status)
    assert coach.client.get(f"{set_path}/picture").status_code == 404


# ---- notes -------------------------------------------------------------------------------------


def note(coach: Coach, base: str, text: str = "Elbows in.", **more):
    body = {"movement": "push-up", "text": text, **more}
    return coach.client.put(f"{base}/notes/{uuid4()}", json=body)


def test_a_note_is_pinned_to_movement_and_set_until_it_is_taken_away(coach, base, set_path) -> None:
    set_id = set_path.rsplit("/", 1)[-1]
    kept = note(coach, base, set_id=set_id).json()
    assert (kept["set_id"], kept["text"]) == (set_id, "Elbows in.")
    assert [one["id"] for one in coach.get(f"{base}/notes")] == [kept["id"]]
    coach.client.delete(f"{base}/notes/{kept['id']}").raise_for_status()
    assert coach.get(f"{base}/notes") == []


@pytest.mark.parametrize("text", ["", "   ", "x" * 201])
def test_a_note_says_something_and_not_too_much(coach, base, text) -> None:
    assert problem(note(coach, base, text), 422)["field"] == "note"


def test_a_fourth_note_on_a_movement_is_one_too_many(coach, base) -> None:
    for text in ("one", "two", "three"):
        note(coach, base, text).raise_for_status()
    assert "a few cues" in problem(note(coach, base, "four"), 422)["remedy"]


def test_a_note_on_nobodys_set_or_an_unknown_movement_is_refused(coach, base) -> None:
    assert problem(note(coach, base, set_id=str(uuid4())), 404)["field"] == "set"
    assert note(coach, base, movement="flying").status_code in (404, 422)


# ---- a large file is written by a worker -------------------------------------------------------

LARGE = "\n".join(
    [
        "date,time,session,movement,amount,effort",
        *(
            f"2025-{month:02}-{day:02},08:0{number},Day,push-up,{8 + number},8"
            for month in range(1, 11)
            for day in range(1, 14)
            for number in range(4)
        ),
    ]
)
ROWS = LARGE.count("\n")


def asked(coach: Coach, base: str, text: str = LARGE) -> dict:
    answer = sends(coach, base, text, keep=True)
    assert answer.status_code == 202, answer.text[:300]
    return answer.json()


def test_a_large_file_is_written_by_a_worker_once(coach, base, engine, clock) -> None:
    sent = asked(coach, base)
    assert (sent["kept"], sent["new"], sent["sets"]) == (False, 0, ROWS)
    task = coach.get(f"{base}/log-files/{sent['task_id']}")
    assert (task["state"], task["note"]) == ("queued", "")
    assert count(engine) == 0
    clock.pass_by(seconds=20)
    assert "./invelo worker" in coach.get(f"{base}/log-files/{sent['task_id']}")["note"]
    coach.waits()
    task = coach.get(f"{base}/log-files/{sent['task_id']}")
    assert (task["state"], task["new"], task["known"]) == ("done", ROWS, 0)
    assert count(engine) == ROWS
    anyio.run(background.do, Work(engine, clock), sent["task_id"])  # a job may run again
    assert count(engine) == ROWS
    again = sends(coach, base, LARGE, keep=True).json()
    assert (again["new"], again["known"], again["task_id"]) == (0, ROWS, None)


def test_one_large_file_at_a_time(coach, base) -> None:
    asked(coach, base)
    assert "Wait for it" in problem(sends(coach, base, LARGE, keep=True), 409)["remedy"]
    coach.waits()
    assert sends(coach, base, LARGE, keep=True).json()["known"] == ROWS


def test_a_large_file_with_a_bad_row_is_refused_at_once(coach, base, engine) -> None:
    told = problem(sends(coach, base, f"{LARGE}\n2026-02-20,08:00,Day,flying,9,8", keep=True), 422)
    assert told["field"] == f"row {ROWS + 2}, movement"
    coach.waits()
    assert count(engine) == 0


def test_what_changed_before_the_worker_came_is_refused_in_words(coach, base, engine) -> None:
    sent = asked(coach, base)
    first = LARGE.splitlines()[:2]
    near = "\n".join([first[0], first[1].replace("08:00,Day", "21:30,Evening")])
    sends(coach, base, near, keep=True).raise_for_status()  # now one of its rows is doubtful
    coach.waits()
    task = coach.get(f"{base}/log-files/{sent['task_id']}")
    assert (task["state"], task["new"]) == ("refused", 0)
    assert "a set like it is logged already" in task["refusal"]["problem"]
    assert count(engine) == 1
