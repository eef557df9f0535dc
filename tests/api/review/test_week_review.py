"""The end of a week: looked at once, taken in bulk, planned anew, told through the outbox."""

from datetime import timedelta
from uuid import UUID, uuid4
from zoneinfo import ZoneInfo

import pytest
from sqlmodel import Session, select

from invelo.db.database import transaction
from invelo.db.tables.ladder import PlacementRow
from invelo.db.tables.review import MessageRow, ProposalRow
from invelo.db.tables.training import TrainingSessionRow
from invelo.services.review import weekly
from tests.api.coach import problem
from tests.conftest import rows


def week_plan(coach, athlete: str, week_start: str) -> dict:
    """A week planned by hand: everything on its first days."""
    path = f"/api/athletes/{athlete}/week"
    sheet = coach.get(f"{path}?week_start={week_start}")
    first = sheet["availability"]["days"][0]["index"]
    placed = [{"task": one["key"], "day": first} for one in sheet["tasks"]]
    body = {"placed": placed, "number": sheet["revision"], "pins": [], "note": "by hand"}
    return coach.put(f"{path}?week_start={week_start}", **body)


def step_up(coach, ladder: str) -> dict:
    coach.trains(ladder)
    return coach.trains(ladder)


def week_start(coach) -> str:
    """Move the clock to the morning of the next Monday."""
    day = coach.clock()
    coach.later(7 - day.weekday())
    return coach.clock().date().isoformat()


def line(coach, athlete: str) -> dict:
    return next(one for one in coach.get("/api/squad")["athletes"] if one["id"] == athlete)


def test_a_week_is_due_until_it_was_looked_at(coach, ladder) -> None:
    athlete = ladder["athlete_id"]
    coach.trains(ladder["id"])
    assert coach.get("/api/squad")["due"] == [athlete]
    coach.post(f"/api/athletes/{athlete}/week-review")
    assert coach.get("/api/squad")["due"] == []
    week_start(coach)
    assert coach.get("/api/squad")["due"] == [athlete]


def test_who_has_no_ladder_is_never_due(coach) -> None:
    coach.enrols()
    assert coach.get("/api/squad")["due"] == []


def queued(coach, at: str) -> int:
    """How many weeks are put into the queue on the next Monday at an hour in Lisbon."""
    week_start(coach)
    there = coach.clock().astimezone(ZoneInfo("Europe/Lisbon"))
    wanted = there.replace(hour=int(at[:2]), minute=int(at[3:]))
    coach.clock.pass_by(seconds=(wanted - there).total_seconds())
    with transaction(coach.client.app.state.engine) as db:
        return weekly.queue_due(db, coach.clock())


@pytest.mark.parametrize(("at", "asleep"), [("02:59", 0), ("03:00", 1), ("05:59", 1), ("06:00", 0)])
def test_weeks_are_reviewed_in_the_night_of_whoever_trains(coach, ladder, at, asleep) -> None:
    coach.enrols("Kit Lowe")
    coach.trains(ladder["id"])
    assert queued(coach, at) == asleep
    coach.waits()
    assert coach.get("/api/squad")["due"] == ([] if asleep else [ladder["athlete_id"]])


def test_a_night_reviews_each_week_once(coach, ladder, engine) -> None:
    flat(coach, ladder)
    assert queued(coach, "03:10") == 1
    with transaction(engine) as db:
        assert weekly.queue_due(db, coach.clock()) == 0, "it waits in the queue already"
    coach.waits()
    proposed = len(rows(engine, ProposalRow))
    assert proposed >= 1
    with transaction(engine) as db:
        assert weekly.queue_due(db, coach.clock()) == 0
        assert weekly.look_by_job(db, UUID(ladder["athlete_id"]), coach.clock()) == []
    assert len(rows(engine, ProposalRow)) == proposed


def test_a_night_leaves_out_who_was_erased_meanwhile(coach, ladder, engine) -> None:
    coach.trains(ladder["id"])
    assert queued(coach, "03:10") == 1
    coach.client.delete(f"/api/athletes/{ladder['athlete_id']}").raise_for_status()
    coach.waits()
    assert rows(engine, ProposalRow) == []


def flat(coach, ladder: dict) -> None:
    """Ten weeks in which nothing grows, on two days each."""
    for _ in range(10):
        for days in (0, 2):
            coach.later(days)
            coach.trains(ladder["id"], (8, 7, 6), rpe=8.5)
        coach.later(1)


def test_looking_twice_proposes_once(coach, ladder) -> None:
    flat(coach, ladder)
    path = f"/api/athletes/{ladder['athlete_id']}/week-review"
    assert coach.post(path)["proposed"] == 1
    assert coach.post(path)["proposed"] == 0
    proposal = coach.get(f"/api/ladders/{ladder['id']}/review")["proposals"][0]
    assert "plateau.weeks" in [rule["id"] for rule in proposal["rules"]]
    assert proposal["week_start"] is not None
    blocked = line(coach, ladder["athlete_id"])["flags"]
    assert [one["kind"] for one in blocked] == ["blocked"]


def test_the_way_back_begins_with_the_first_session_and_asks_less(coach, ladder) -> None:
    for _ in range(4):
        coach.trains(ladder["id"], (8, 8, 8))
    coach.later(22)
    assert coach.post(f"/api/athletes/{ladder['athlete_id']}/week-review")["proposed"] == 0
    assert len(coach.item(ladder["id"])["sets"]) == 2
    back = coach.trains(ladder["id"], (7, 7), rpe=7)
    assert (back["standing"], back["outcome"]) == ("on course", "hold")
    assert "way back" in back["reason"]


def test_a_session_s_decision_stands_where_the_week_says_no_more(coach, ladder) -> None:
    proposal = step_up(coach, ladder["id"])
    week_start(coach)
    assert coach.post(f"/api/athletes/{ladder['athlete_id']}/week-review")["proposed"] == 0
    (waits,) = line(coach, ladder["athlete_id"])["pending_decisions"]
    assert waits["id"] == proposal["id"]


def test_a_stop_is_not_talked_over_by_the_week(coach, ladder) -> None:
    coach.trains(ladder["id"], pain=6, pain_place="wrist")
    coach.later(30)
    assert coach.post(f"/api/athletes/{ladder['athlete_id']}/week-review")["proposed"] == 0
    assert line(coach, ladder["athlete_id"])["pending_decisions"][0]["outcome"] == "stop"


# ---- in bulk ----


def test_plain_decisions_are_taken_together_and_told(coach) -> None:
    ladders = [coach.gives_ladder(coach.enrols(name)["id"]) for name in ("Oda Fenwick", "Kit Lowe")]
    proposals = [step_up(coach, one["id"]) for one in ladders]
    assert all(one["plain"] for one in proposals)
    ids = [one["id"] for one in proposals]
    done = coach.post("/api/proposals/accept", ids=ids)
    assert done == {"accepted": ids, "replanned": []}
    for ladder, proposal in zip(ladders, proposals, strict=True):
        assert coach.current_rung(ladder["id"]) == proposal["to_rung"]["id"]
        assert line(coach, ladder["athlete_id"])["pending_decisions"] == []
    assert (
        coach.post("/api/proposals/accept", ids=ids)["accepted"] == ids
    )  # a replay changes nothing
    told = coach.get("/api/messages")
    assert len(told["messages"]) == 2
    readers = sorted(one["name"] for one in told["athletes"].values())
    assert readers == ["Kit Lowe", "Oda Fenwick"]
    assert all("Well done. Next is" in one["body"] for one in told["messages"])


def test_in_bulk_it_is_all_or_nothing(coach) -> None:
    plain = coach.gives_ladder(coach.enrols("Oda Fenwick")["id"])
    grave = coach.gives_ladder(coach.enrols("Kit Lowe")["id"])
    up = step_up(coach, plain["id"])
    stop = coach.trains(grave["id"], pain=5, pain_place="wrist")
    ids = [up["id"], stop["id"]]
    refused = coach.client.post("/api/proposals/accept", json={"ids": ids})
    assert "not plain enough" in problem(refused, 409)["problem"]
    assert coach.current_rung(plain["id"]) == up["from_rung"]["id"]
    assert coach.get("/api/messages")["messages"] == []


@pytest.mark.parametrize("ids", [[], [str(uuid4())] * 201, ["x"]])
def test_odd_bulks_are_refused(coach, ids: list[str]) -> None:
    assert coach.client.post("/api/proposals/accept", json={"ids": ids}).status_code == 422


def test_a_planned_week_is_planned_anew(coach, ladder) -> None:
    athlete = ladder["athlete_id"]
    proposal = step_up(coach, ladder["id"])
    first = week_start(coach)
    before = week_plan(coach, athlete, first)
    said = coach.post(f"/api/proposals/{proposal['id']}/answer", answer="accept")
    assert said["replanned"] == first
    coach.waits()
    after = coach.get(f"/api/athletes/{athlete}/week?week_start={first}")
    assert after["revision"] == before["revision"] + 1


def test_a_decline_plans_nothing_and_tells_nothing(coach, ladder) -> None:
    proposal = step_up(coach, ladder["id"])
    week_plan(coach, ladder["athlete_id"], week_start(coach))
    path = f"/api/proposals/{proposal['id']}/answer"
    said = coach.post(path, answer="decline", note="after the premiere")
    assert (said["replanned"], said["message"]) == (None, None)
    assert coach.get("/api/messages")["messages"] == []


def test_what_was_declined_is_not_asked_again_until_something_changes(coach, ladder) -> None:
    first = step_up(coach, ladder["id"])
    coach.post(f"/api/proposals/{first['id']}/answer", answer="decline", note="not before Porto")
    for _ in range(13):
        assert coach.trains(ladder["id"])["outcome"] != "step_up"
    assert coach.trains(ladder["id"])["outcome"] == "step_up"


# ---- the outbox ----


def test_a_message_says_nothing_of_health(coach, ladder) -> None:
    stop = coach.trains(ladder["id"], pain=7, pain_place="wrist")
    coach.post(f"/api/proposals/{stop['id']}/answer", answer="accept")
    (told,) = coach.get("/api/messages")["messages"]
    words = f"{told['subject']} {told['body']}".lower()
    assert "until we have spoken" in words
    assert not any(note in words for note in ("pain", "wrist", "7", "clinician", "injur"))


def test_the_outbox_is_read_page_by_page(coach, ladder, engine) -> None:
    proposal = step_up(coach, ladder["id"])
    coach.post(f"/api/proposals/{proposal['id']}/answer", answer="accept")
    (written,) = rows(engine, MessageRow)
    (answered,) = (row for row in rows(engine, ProposalRow) if row.id == written.proposal_id)
    with Session(engine) as db:
        for minutes in range(1, 23):
            new = {"id": uuid4(), "at": written.at + timedelta(minutes=minutes)}
            more = ProposalRow(**{**answered.model_dump(), **new})
            db.add(more)
            db.flush()
            told = {**written.model_dump(), **new, "proposal_id": more.id}
            db.add(MessageRow(**told))
        db.commit()
    first = coach.get("/api/messages")
    rest = coach.get(f"/api/messages?before={first['before']}")
    ids = [one["id"] for page in (first, rest) for one in page["messages"]]
    assert (len(first["messages"]), len(rest["messages"]), len(set(ids))) == (20, 3, 23)
    assert rest["before"] is None


def test_another_coach_s_outbox_is_their_own(coach, ladder, new_coach) -> None:
    proposal = step_up(coach, ladder["id"])
    coach.post(f"/api/proposals/{proposal['id']}/answer", answer="accept")
    assert new_coach().get("/api/messages")["messages"] == []


# ---- what came of it ----


def test_how_a_decision_turned_out_is_told_once_it_shows(coach, ladder) -> None:
    proposal = step_up(coach, ladder["id"])
    coach.post(f"/api/proposals/{proposal['id']}/answer", answer="accept")
    path = f"/api/ladders/{ladder['id']}/review"
    assert coach.get(path)["proposals"][0]["turned_out"] == ""
    for _ in range(6):
        coach.trains(ladder["id"], (12, 12, 11), rpe=8.5)
    kept = next(one for one in coach.get(path)["proposals"] if one["id"] == proposal["id"])
    assert kept["turned_out"].startswith("reach rose (+")


# ---- trends ----


def trained(coach, sessions: int = 8, every: int = 3) -> dict:
    ladder = coach.has_ladder()
    for i in range(sessions):
        coach.later(every - 2)
        coach.trains(ladder["id"], (8 + i // 3,) * 3)
    return ladder


def test_trends_show_reach_gates_and_a_forecast(coach) -> None:
    ladder = trained(coach)
    told = coach.get(f"/api/ladders/{ladder['id']}/trends")
    assert len(told["reach"]) >= 8
    assert all(one["session_id"] for one in told["reach"][1:])
    assert told["unit"] == "kg"
    needed = [one["needed"] for one in told["criteria"]]
    assert needed == sorted(needed)
    for one in (told["next_criterion"], told["goal_forecast"]):
        dates = [one[name] for name in ("low", "likely", "high") if one[name]]
        assert dates == sorted(dates)
        assert one["nearer"]
        assert one["derivation"]["inputs"]
    assert told["why_no_forecast"] == ""
    assert told["growth"]["low"] <= told["growth"]["likely"] <= told["growth"]["high"]


def test_an_athlete_with_one_set_ever_is_told_plainly(coach, ladder) -> None:
    coach.trains(ladder["id"], (8,))
    told = coach.get(f"/api/ladders/{ladder['id']}/trends")
    assert "not enough yet" in told["why_no_forecast"]
    assert told["next_criterion"] is None
    assert told["growth"] is None
    assert told["load"]["ratio"] is None
    assert told["load"]["words"] == "not told before four weeks of sessions"
    assert sum(week["done"] for week in told["adherence"]) == 1


def test_without_any_session_there_is_nothing_to_show(coach, ladder) -> None:
    told = coach.get(f"/api/ladders/{ladder['id']}/trends")
    assert (told["load"], told["sessions"], told["weeks"]) == (None, [], [])


def test_weeks_add_up_by_region_and_joint(coach) -> None:
    ladder = trained(coach, 3)
    told = coach.get(f"/api/ladders/{ladder['id']}/trends")
    chest = sum(week["regions"].get("chest", 0) for week in told["weeks"])
    assert chest == 9
    joints = told["weeks"][0]["joints"]
    assert joints["shoulder"]["unit"] == "N·m·s"
    assert joints["shoulder"]["low"] <= joints["shoulder"]["likely"]


def test_load_is_told_by_day_with_its_dispute(coach) -> None:
    ladder = trained(coach, 14)
    load = coach.get(f"/api/ladders/{ladder['id']}/trends")["load"]
    assert load["ratio"]["low"] <= load["ratio"]["likely"] <= load["ratio"]["high"]
    assert load["dispute"].startswith("Disputed")
    assert [day["ratio"] for day in load["days"][:27]] == [None] * 27
    assert any(day["load"] == 0 for day in load["days"])
    assert load["stood_in"] == 0


def test_old_body_mass_is_said(coach) -> None:
    ladder = trained(coach, 2)
    coach.later(90)
    told = coach.get(f"/api/ladders/{ladder['id']}/trends")
    assert "days old: measure again" in told["mass_note"]
    body = {"mass_kg": 76.0, "stature_m": 1.75}
    coach.post(f"/api/athletes/{ladder['athlete_id']}/body-measurements", **body)
    again = coach.get(f"/api/ladders/{ladder['id']}/trends")
    assert again["mass_note"] == ""
    assert [one["mass_kg"] for one in again["masses"]] == [75.0, 76.0]


def test_events_stand_on_the_same_line(coach, ladder) -> None:
    proposal = step_up(coach, ladder["id"])
    coach.post(f"/api/proposals/{proposal['id']}/answer", answer="accept")
    kinds = {
        one["kind"]: one["words"]
        for one in coach.get(f"/api/ladders/{ladder['id']}/trends")["events"]
    }
    assert kinds["proposal"] == "step up: accept"
    assert kinds["test"].startswith("test: ")


def test_sets_that_come_late_and_out_of_order_stand_on_their_own_day(coach) -> None:
    ladder = trained(coach, 4)
    before = coach.get(f"/api/ladders/{ladder['id']}/trends")
    rung = coach.current_rung(ladder["id"])
    session = str(uuid4())
    path = f"/api/athletes/{ladder['athlete_id']}/sessions/{session}"
    late = {"at": (coach.clock() - timedelta(days=4)).isoformat(), "time_zone": "Europe/Lisbon"}
    coach.put(path, name="Late", ladder_id=ladder["id"], **late)
    body = {"rung_id": rung, "number": 1, "reps": 8, "rpe": 9, **late}
    coach.put(f"{path}/sets/{uuid4()}", **body)
    coach.post(f"{path}/finish", rpe=6, **late)
    after = coach.get(f"/api/ladders/{ladder['id']}/trends")
    days = [one["day"] for one in after["sessions"]]
    assert days == sorted(days)
    assert len(days) == len(before["sessions"]) + 1


def test_a_set_in_the_future_is_refused_and_nothing_of_the_trend_changes(coach) -> None:
    ladder = trained(coach, 2)
    before = coach.get(f"/api/ladders/{ladder['id']}/trends")
    session = str(uuid4())
    ahead = {"at": (coach.clock() + timedelta(days=3)).isoformat(), "time_zone": "Europe/Lisbon"}
    path = f"/api/athletes/{ladder['athlete_id']}/sessions/{session}"
    refused = coach.client.put(path, json={"name": "x", "ladder_id": ladder["id"], **ahead})
    assert problem(refused, 422)["field"] == "at"
    assert coach.get(f"/api/ladders/{ladder['id']}/trends") == before


@pytest.mark.parametrize("weeks", [3, 157, "x"])
def test_how_far_back_has_its_ends(coach, ladder, weeks: object) -> None:
    path = f"/api/ladders/{ladder['id']}/trends?weeks={weeks}"
    assert coach.client.get(path).status_code == 422


def test_a_set_put_right_late_changes_the_session_s_sums(coach, ladder, engine) -> None:
    """Without an effort of its own a session's load hangs on its sets, corrected ones left out."""
    rung = coach.current_rung(ladder["id"])
    session = coach.starts(ladder["id"])
    first = coach.logs(session, rung, 1, 10, rpe=7)
    coach.logs(session, rung, 2, 10, rpe=8)
    coach.finishes(session)

    def sums() -> tuple[float | None, float | None]:
        with Session(engine) as db:
            row = db.get_one(TrainingSessionRow, UUID(session))
            return row.mean_set_rpe, row.duration_s

    assert sums() == (7.5, 0.0)
    coach.clock.pass_by(minutes=4)
    coach.logs(session, rung, 1, 10, rpe=9, corrects_set_id=first["id"])
    assert sums() == (8.5, 240.0)


def test_what_an_earlier_model_told_stays_beside_what_todays_makes_of_it(
    coach, ladder, engine
) -> None:
    """Capacities are computed anew from the sets, never scaled; what was kept is kept."""
    for _ in range(3):
        coach.trains(ladder["id"])
    before = coach.get(f"/api/ladders/{ladder['id']}/trends")["reach"]
    assert all(one["stored"] is None for one in before)
    with Session(engine) as db:
        for row in db.exec(select(PlacementRow)):
            row.model_version, row.likely = "4.2", 0.5 * row.likely
            row.low = 0.5 * row.low
            db.add(row)
        db.commit()
    after = coach.get(f"/api/ladders/{ladder['id']}/trends")["reach"]
    assert len(after) == len(before)
    for then, now in zip(before, after, strict=True):
        assert now["stored"]["likely"] == pytest.approx(0.5 * then["capacity"]["likely"])
        assert now["model_version"] == "4.2"
        assert now["capacity"]["likely"] == pytest.approx(then["capacity"]["likely"], rel=0.03)


def two_weeks(coach, ladder: dict, more: int = 0) -> list[str]:
    """Two weeks done as asked, with so many sets of the region besides; the rules of the week."""
    for _ in range(7):
        coach.later(2)
        session, rung = coach.starts(ladder["id"]), coach.current_rung(ladder["id"])
        for number, reps in enumerate((8, 7, 7), 1):
            coach.logs(session, rung, number, reps, rpe=9)
        for number in range(more):
            coach.logs(session, None, 4 + number, 10, movement="dip", rpe=8)
        coach.finishes(session)
    coach.later(1)  # a Monday
    coach.post(f"/api/athletes/{ladder['athlete_id']}/week-review")
    newest = coach.get(f"/api/ladders/{ladder['id']}/review")["proposals"][0]
    return [rule["id"] for rule in newest["rules"]]


def test_two_weeks_done_as_asked_add_a_set_by_themselves(coach, ladder) -> None:
    assert two_weeks(coach, ladder) == ["sets.weeks"]
    newest = coach.get(f"/api/ladders/{ladder['id']}/review")["proposals"][0]
    assert (newest["answer"], newest["then"]["sets"]) == ("routine", newest["now"]["sets"] + 1)
    assert len(coach.item(ladder["id"])["sets"]) == newest["then"]["sets"]


@pytest.mark.parametrize(("more", "room"), [(8, True), (9, False)])
def test_a_region_of_twelve_sets_a_day_is_asked_no_more(coach, ladder, more, room) -> None:
    assert ("sets.weeks" in two_weeks(coach, ladder, more)) is room
