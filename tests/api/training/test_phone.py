"""The phone's side of the floor: sets of every kind, late and twice, clocks off."""

from base64 import b64encode
from datetime import timedelta
from uuid import uuid4

import pytest

from invelo.db.tables.training import LoggedSetRow, SkipRow, TrainingSessionRow
from tests.api.athlete_client import Athlete, link_for, planned_today
from tests.api.coach import problem
from tests.conftest import rows


@pytest.fixture
def push_up(phone: Athlete) -> dict:
    """What a set of the ladder's rung is, as it was taken along."""
    item = next(one for one in phone.get("/floor")["single"][0]["items"] if one["goal"])
    return item["sets"][0]["what"]


# ---- what goes along ---------------------------------------------------------------------------


def test_a_planned_day_goes_along_under_one_id_on_every_device(coach, ladder, phone) -> None:
    planned = planned_today(coach, ladder["athlete_id"])
    again = phone.get("/floor")["sessions"][0]
    assert planned["id"] == again["id"]
    assert planned["events"]
    assert {one["way"] for one in planned["items"][-1]["choices"]} >= {"here", "easier"}


def test_paths_go_along_each_once(coach, ladder, phone) -> None:
    planned_today(coach, ladder["athlete_id"])
    along = phone.get("/floor")
    named = {
        each["what"]["path"]
        for sheet in (*along["sessions"], *along["single"])
        for item in sheet["items"]
        for each in (*item["sets"], *item["choices"])
    } - {""}
    assert named == set(along["paths"])
    told = [str(one) for one in along["paths"].values()]
    assert len(told) == len(set(told))


def test_the_last_time_and_the_coachs_note_go_along_as_cues(coach, ladder, phone) -> None:
    coach.trains(ladder["id"], (9, 8, 8))
    path = f"/api/athletes/{ladder['athlete_id']}/notes/{uuid4()}"
    coach.put(path, movement="push-up", text="Tuck the left elbow.")
    item = coach.item(ladder["id"])
    assert item["notes"] == ["Tuck the left elbow."]
    assert "9, 8, 8" in item["last"]


def test_the_clock_to_check_the_devices_by_goes_along(phone, clock) -> None:
    assert phone.get("/floor")["server_time"].startswith(clock().isoformat()[:19])


# ---- sets --------------------------------------------------------------------------------------


def test_everything_that_is_said_of_a_set_is_kept(phone, push_up, engine) -> None:
    session = phone.starts()
    said = {
        "reps": 13,
        "partial": 2,
        "prescribed_min": 6,
        "prescribed_max": 10,
        "form_ok": False,
        "faults": ["hips sag"],
        "felt_in": ["chest", "lower back"],
        "pain": 2,
        "pain_place": "left wrist",
        "note": "slippery floor",
        "kind": "drop",
    }
    told = phone.sends(session, push_up, **said).json()
    for name, value in said.items():
        if name != "reps":
            assert told[name] == value
    assert (told["amount"], told["surplus"]) == (13, 3)
    assert told["name"]
    (kept,) = rows(engine, LoggedSetRow)
    assert (kept.partial, kept.faults, kept.note) == (2, ["hips sag"], "slippery floor")


@pytest.mark.parametrize(
    ("words", "amount", "least", "most"), [("11 or 12", 11.5, 11, 12), ("about 30", 30, 27, 33)]
)
def test_a_count_from_memory_is_kept_as_a_range(phone, push_up, words, amount, least, most) -> None:
    session = phone.starts()
    told = phone.sends(session, push_up, reps=None, told=words).json()
    assert (told["amount"], told["least"], told["most"]) == (amount, least, most)


def test_a_set_off_any_ladder_is_kept_and_counts_as_evidence(coach, phone, ladder, engine) -> None:
    session = phone.starts()
    what = {"rung_id": None, "movement": "feet-raised-push-up", "changes": None}
    told = phone.sends(session, what, reps=11, rpe=9).json()
    assert (told["rung_id"], told["name"]) == (None, "Decline push-up")
    phone.finishes(session).raise_for_status()
    seen = coach.get(f"/api/ladders/{ladder['id']}")
    assert seen["placement"]["evidence_kind"] in ("test", "set")
    review = coach.get(f"/api/ladders/{ladder['id']}/review")
    assert review["sessions"][0]["sets"][0]["name"] == "Decline push-up"
    assert review["proposals"] == [], "nothing of this ladder was done"


def test_both_sides_are_kept_and_the_weaker_begins_next_time(coach, phone) -> None:
    session = phone.starts()
    what = {"rung_id": None, "movement": "split-squat", "changes": None}
    for side, reps in (("left", 10), ("right", 7)):
        phone.sends(session, what, side=side, reps=reps).raise_for_status()
    phone.finishes(session).raise_for_status()
    sets = phone.get("/history")["sessions"][0]["sets"]
    assert {one["side"]: one["amount"] for one in sets} == {"left": 10, "right": 7}


def test_one_session_of_two_ladders_is_decided_on_each(coach, ladder, phone, push_up) -> None:
    more = {"ready_ladder": "row", "purpose": "strength", "level": "intermediate", "test": None}
    row = coach.gives_ladder(ladder["athlete_id"], **more)
    session = phone.starts()
    phone.sends(session, push_up).raise_for_status()
    other = {"rung_id": row["current_rung_id"], "movement": None, "changes": None}
    phone.sends(session, other).raise_for_status()
    phone.finishes(session).raise_for_status()
    for one in (ladder, row):
        assert len(coach.get(f"/api/ladders/{one['id']}/review")["proposals"]) == 1


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"reps": 10_000}, "reps"),
        ({"partial": 500}, "partial reps"),
        ({"reps": None, "told": "lots"}, "reps"),
        ({"changes": {"tempo": {"lower": -3}}}, "changes.tempo"),
        ({"changes": {"range": "half"}}, "changes.range"),
        ({"note": "x" * 501}, "note"),
        ({"faults": ["x"] * 9}, "faults"),
    ],
)
def test_a_bad_set_names_its_field_and_leaves_nothing(
    phone, push_up, engine, change, field
) -> None:
    session = phone.starts()
    told = problem(phone.sends(session, {**push_up, **change}, **change), 422)
    assert told["field"].startswith(field)
    assert rows(engine, LoggedSetRow) == []


def test_a_rung_of_another_athlete_cannot_be_logged(coach, phone) -> None:
    other = coach.has_ladder()
    session = phone.starts()
    what = {"rung_id": other["current_rung_id"], "movement": None, "changes": None}
    assert problem(phone.sends(session, what), 404)["field"] == "rung"


def test_a_skip_keeps_its_reason_and_is_kept_once(phone, engine) -> None:
    session = phone.starts()
    path = f"{phone.base}/sessions/{session}/skips/{uuid4()}"
    body = {"name": "Push-up", "number": 3, "why": "no room", **phone.now()}
    for _ in range(2):
        assert phone.client.put(path, json=body).status_code == 204
    assert [(one.name, one.number, one.why) for one in rows(engine, SkipRow)] == [
        ("Push-up", 3, "no room")
    ]


# ---- two devices, late and out of order ---------------------------------------------------------


def test_two_devices_at_one_session_lose_nothing(coach, ladder, phone, push_up, new_client) -> None:
    planned = planned_today(coach, ladder["athlete_id"])
    tablet = Athlete(new_client(), phone.clock, link_for(coach, ladder["athlete_id"]))
    again = Athlete(new_client(), phone.clock, tablet.token)
    for device in (tablet, again):
        device.starts(planned["id"])
    for number in (1, 2, 3):
        phone.clock.pass_by(minutes=2)
        for device in (tablet, again):
            device.sends(planned["id"], push_up, number=number).raise_for_status()
    tablet.finishes(planned["id"]).raise_for_status()
    # the other closes it too, with the same word, and still has a set to send
    again.finishes(planned["id"]).raise_for_status()
    again.sends(planned["id"], push_up, number=4).raise_for_status()
    (session,) = tablet.get("/history")["sessions"]
    assert [one["number"] for one in session["sets"]] == [1, 1, 2, 2, 3, 3, 4]


def test_forty_sets_that_waited_keep_their_order_and_their_times(phone, push_up, engine) -> None:
    began = phone.clock()
    waiting = []
    for number in range(1, 41):
        at = (began + timedelta(minutes=number)).isoformat()
        body = {"number": number, "at": at, "reps": 5 + number % 7}
        waiting.append((str(uuid4()), body))
    phone.clock.pass_by(hours=5)
    session = phone.starts(at=began.isoformat())
    for set_id, body in [*waiting, *waiting[::3]]:  # some go twice
        path = f"{phone.base}/sessions/{session}/sets/{set_id}"
        sent = {"rung_id": push_up["rung_id"], "rpe": 8, "time_zone": "Europe/Lisbon", **body}
        sent["sent_at"] = phone.clock().isoformat()
        phone.client.put(path, json=sent).raise_for_status()
    kept = sorted(rows(engine, LoggedSetRow), key=lambda one: one.at)
    assert [one.number for one in kept] == list(range(1, 41))
    assert [str(one.id) for one in kept] == [one for one, _ in waiting]
    assert [(one.at - began).total_seconds() for one in kept] == [60 * n for n in range(1, 41)]
    assert {one.skew_s for one in kept} == {None}


# ---- clocks ------------------------------------------------------------------------------------


@pytest.mark.parametrize("minutes", [3, -3, 59, -59, 61, -61, 1440, -1440])
def test_a_device_whose_clock_is_off_is_put_right_and_told(phone, push_up, engine, minutes) -> None:
    session = phone.starts()
    off = timedelta(minutes=minutes)
    done, sent = phone.clock() - timedelta(minutes=7), phone.clock()
    told = phone.sends(
        session, push_up, at=(done + off).isoformat(), sent_at=(sent + off).isoformat()
    )
    told.raise_for_status()
    (kept,) = rows(engine, LoggedSetRow)
    assert kept.at == done
    assert kept.skew_s == -off.total_seconds()
    assert told.json()["clock_off_s"] == -off.total_seconds()


@pytest.mark.parametrize("at", ["0001-01-01T00:00:00Z", "9999-12-31T23:59:59Z"])
@pytest.mark.parametrize("name", ["at", "sent_at"])
def test_a_time_that_no_calendar_holds_is_refused(phone, push_up, engine, name, at) -> None:
    session = phone.starts()
    told = problem(phone.sends(session, push_up, **{name: at}), 422)
    assert told["field"] == "at"
    assert rows(engine, LoggedSetRow) == []


@pytest.mark.parametrize("seconds", [60, 120, -120])
def test_a_clock_two_minutes_off_is_believed(phone, push_up, engine, seconds) -> None:
    session = phone.starts()
    at = phone.clock() - timedelta(minutes=5)
    sent = phone.clock() + timedelta(seconds=seconds)
    phone.sends(session, push_up, at=at.isoformat(), sent_at=sent.isoformat()).raise_for_status()
    (kept,) = rows(engine, LoggedSetRow)
    assert (kept.at, kept.skew_s) == (at, None)


def test_a_set_that_its_own_device_has_not_reached_yet_is_of_now(phone, push_up, engine) -> None:
    """A clock that was set back between doing and sending: nothing is logged in the future."""
    session = phone.starts()
    sent = phone.clock() + timedelta(hours=5)
    done = sent + timedelta(minutes=20)
    phone.sends(session, push_up, at=done.isoformat(), sent_at=sent.isoformat()).raise_for_status()
    assert rows(engine, LoggedSetRow)[0].at == phone.clock()


@pytest.mark.parametrize(("minutes", "status"), [(3, 200), (59, 200), (60, 200), (61, 422)])
def test_a_device_that_does_not_say_when_it_sends_may_run_an_hour_ahead(
    phone, push_up, engine, minutes, status
) -> None:
    session = phone.starts()
    at = phone.clock() + timedelta(minutes=minutes)
    response = phone.sends(session, push_up, at=at.isoformat())
    assert response.status_code == status
    if status == 422:
        assert problem(response, 422)["remedy"] == "Set the device's clock right."
    assert [row.at for row in rows(engine, LoggedSetRow)] == ([at] if status == 200 else [])


def test_a_session_about_to_begin_is_refused_where_one_that_was_is_kept(
    coach, phone, ladder, engine
) -> None:
    proposal = coach.trains(ladder["id"], pain=6, pain_place="left wrist")
    coach.post(f"/api/proposals/{proposal['id']}/answer", answer="accept")
    body = {"name": "Alone", "ladder_id": ladder["id"], **phone.now()}
    refused = phone.client.put(f"{phone.base}/sessions/{uuid4()}", json=body)
    assert problem(refused, 409)["field"] == "ladder"
    past = (phone.clock() - timedelta(hours=3)).isoformat()
    phone.starts(ladder_id=ladder["id"], at=past)
    assert len(rows(engine, TrainingSessionRow)) == 2


# ---- history -----------------------------------------------------------------------------------


def test_history_goes_back_a_page_at_a_time(coach, ladder, phone) -> None:
    rows = [f"2026-02-{day:02},push-up,8,8" for day in range(1, 24)]
    content = b64encode("\n".join(["date,movement,amount,effort", *rows]).encode()).decode()
    coach.post(f"{phone.base}/log-files", content=content, keep=True)
    first = phone.get("/history")
    assert len(first["sessions"]) == 20
    older = phone.get(f"/history?before={first['before']}")
    assert len(older["sessions"]) == 3
    assert older["before"] is None
    days = [one["local_date"] for one in (*first["sessions"], *older["sessions"])]
    assert days == sorted(days, reverse=True)
    assert len(set(days)) == 23
