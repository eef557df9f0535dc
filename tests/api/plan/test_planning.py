"""Planning as long work: asked once, stopped, overtaken, taken up again, written once."""

from datetime import timedelta
from typing import Any
from uuid import UUID, uuid4

import pytest
from sqlalchemy import text
from sqlmodel import Session

from invelo.db.database import transaction
from invelo.db.tables.athlete import AthleteRow
from invelo.db.tables.plan import WeekPlanRow
from invelo.domain.plan.week.solve import solve as solved
from invelo.services.plan import planning
from tests.api.coach import Coach, problem
from tests.api.plan.test_week import next_week, sheet, solve
from tests.conftest import rows


def ask(coach: Coach, seen: dict[str, Any], **body: Any) -> Any:
    path = f"/api/athletes/{seen['athlete_id']}/week/plans?week_start={seen['week_start']}"
    return coach.client.post(path, json={"seconds": 5, **body})


def at(seen: dict[str, Any], asked: dict[str, Any]) -> str:
    return f"/api/athletes/{seen['athlete_id']}/week/plans/{asked['id']}"


def test_asking_is_answered_before_anything_is_planned(coach: Coach, athlete: str) -> None:
    seen = next_week(coach, athlete)
    response = ask(coach, seen)
    assert response.status_code == 202
    asked = response.json()
    assert (asked["state"], asked["best"], asked["end"]) == ("queued", None, None)
    assert coach.get(at(seen, asked)) == asked
    assert sheet(coach, athlete, seen["week_start"])["planning_id"] == asked["id"]
    coach.waits()
    assert sheet(coach, athlete, seen["week_start"])["planning_id"] is None


def test_a_week_is_planned_once_at_a_time(coach: Coach, athlete: str) -> None:
    seen = next_week(coach, athlete)
    first = ask(coach, seen).json()
    assert "being planned already" in problem(ask(coach, seen), 409)["problem"]
    coach.waits()
    assert coach.get(at(seen, first))["state"] == "solved"
    assert ask(coach, seen).status_code == 202


def test_a_stopped_one_is_not_planned_any_more(coach: Coach, athlete: str, engine) -> None:
    seen = next_week(coach, athlete)
    asked = ask(coach, seen).json()
    assert coach.client.delete(at(seen, asked)).json()["state"] == "stopped"
    with transaction(engine) as db:
        assert planning.take_up(db, UUID(asked["id"]), coach.clock()) is None
    coach.waits()
    ended = coach.get(at(seen, asked))
    assert (ended["state"], ended["end"]) == ("stopped", None)
    assert coach.client.delete(at(seen, asked)).json() == ended, "once ended it stays so"


def test_whoever_waits_long_is_told_that_no_worker_works(coach: Coach, athlete: str) -> None:
    seen = next_week(coach, athlete)
    asked = ask(coach, seen).json()
    coach.clock.pass_by(seconds=20)
    assert "invelo worker" in coach.get(at(seen, asked))["note"]
    coach.waits()
    assert coach.get(at(seen, asked))["note"] == ""


def test_anothers_planning_is_not_there(coach: Coach, athlete: str) -> None:
    seen = next_week(coach, athlete)
    asked = ask(coach, seen).json()
    other = coach.enrols("Kit Lowe")["id"]
    for path in (f"/api/athletes/{other}/week/plans/{asked['id']}", at(seen, {"id": uuid4()})):
        problem(coach.client.get(path), 404)
        problem(coach.client.delete(path), 404)


@pytest.fixture
def again(coach: Coach, athlete: str, plan: dict[str, Any], engine) -> UUID:
    """Their planned week, asked for once more after something was decided."""
    return asked_again(coach, athlete, engine)


def asked_again(coach: Coach, athlete: str, engine) -> UUID:
    """On the Thursday before that week."""
    coach.later(days=(3 - coach.clock().weekday()) % 7)
    with transaction(engine) as db:
        row = db.get_one(AthleteRow, UUID(athlete))
        moment = coach.moment(row)
        made = planning.ask_again(db, row, moment, "after the review")
        assert made is not None
        return made.id


def revisions(engine, week_start: str) -> list[int]:
    return sorted(
        row.number for row in rows(engine, WeekPlanRow) if row.week_start.isoformat() == week_start
    )


def test_what_was_decided_plans_the_week_anew_once(
    coach: Coach, athlete: str, plan: dict[str, Any], again: UUID, engine
) -> None:
    assert asked_again(coach, athlete, engine) == again, "asked six times, it is planned once"
    coach.waits()
    assert revisions(engine, plan["week_start"]) == [1, 2]
    now = sheet(coach, athlete, plan["week_start"])
    assert now["note"] == "after the review"


def test_one_that_follows_from_a_decision_is_not_the_coachs_to_stop(
    coach: Coach, plan: dict[str, Any], again: UUID
) -> None:
    response = coach.client.delete(at(plan, {"id": again}))
    assert "follows from what was decided" in problem(response, 409)["problem"]


def test_a_decision_overtakes_what_the_coach_has_asked_for(
    coach: Coach, athlete: str, plan: dict[str, Any], engine
) -> None:
    asked = ask(coach, plan).json()
    asked_again(coach, athlete, engine)
    told = coach.get(at(plan, asked))
    assert told["state"] == "refused"
    assert "decided meanwhile" in told["refusal"]["problem"]
    coach.waits()
    assert revisions(engine, plan["week_start"]) == [1, 2]


def test_a_job_done_twice_writes_once(
    coach: Coach, plan: dict[str, Any], again: UUID, engine
) -> None:
    now = coach.clock()
    with transaction(engine) as db:
        first = planning.take_up(db, again, now)
    with transaction(engine) as db:  # another worker, after the first has died
        second = planning.take_up(db, again, now)
    assert first is not None
    assert second is not None
    for question in (first, second):
        with transaction(engine) as db:
            assert planning.finish(db, question, solved(question.problem, steps=1.0), now)
    assert revisions(engine, plan["week_start"]) == [1, 2]


def test_what_is_asked_for_again_meanwhile_is_solved_once_more(
    coach: Coach, athlete: str, again: UUID, engine
) -> None:
    now = coach.clock()
    with transaction(engine) as db:
        question = planning.take_up(db, again, now)
    assert question is not None
    assert asked_again(coach, athlete, engine) == again
    with transaction(engine) as db:
        assert not planning.finish(db, question, solved(question.problem, steps=1.0), now)


def test_a_week_that_changed_meanwhile_is_solved_once_more(
    coach: Coach, plan: dict[str, Any], again: UUID, engine
) -> None:
    now = coach.clock()
    with transaction(engine) as db:
        question = planning.take_up(db, again, now)
    assert question is not None
    placed = [*plan["tasks"]]
    moved = [{"task": task["key"], "day": day} for task in placed for day in task["days"]]
    coach.client.put(
        f"/api/athletes/{plan['athlete_id']}/week?week_start={plan['week_start']}",
        json={"placed": moved, "number": plan["revision"], "note": "by hand"},
    ).raise_for_status()
    with transaction(engine) as db:
        assert not planning.finish(db, question, solved(question.problem, steps=1.0), now)
    assert revisions(engine, plan["week_start"]) == [1, 2], "nothing was overwritten"
    coach.waits()
    assert revisions(engine, plan["week_start"]) == [1, 2, 3]


def test_a_planning_of_someone_erased_meanwhile_is_passed_over(
    coach: Coach, athlete: str, engine
) -> None:
    ask(coach, next_week(coach, athlete))
    coach.client.delete(f"/api/athletes/{athlete}?name=Oda Fenwick").raise_for_status()
    coach.waits()
    with Session(engine) as db:
        statuses = db.execute(text("SELECT status FROM procrastinate_jobs")).all()
    assert statuses == []


def test_a_queue_full_of_dead_jobs_keeps_nobody_from_planning(
    coach: Coach, athlete: str, engine
) -> None:
    with transaction(engine) as db:
        db.execute(
            text(
                "INSERT INTO procrastinate_jobs (queue_name, task_name, status, args)"
                " SELECT 'default', 'gone_in_this_version', 'failed', '{}'"
                " FROM generate_series(1, 2000)"
            )
        )
        db.execute(
            text(
                "INSERT INTO procrastinate_jobs (queue_name, task_name, args)"
                " VALUES ('default', 'of_a_newer_version', '{}')"
            )
        )
    assert solve(coach, next_week(coach, athlete))["placed"]


def test_what_ended_long_ago_is_forgotten(coach: Coach, athlete: str) -> None:
    seen = next_week(coach, athlete)
    asked = ask(coach, seen).json()
    coach.waits()
    coach.later(days=2)
    later = ask(coach, next_week(coach, athlete)).json()
    problem(coach.client.get(at(seen, asked)), 404)
    assert coach.get(at(seen, later))["state"] == "queued"
    assert timedelta(days=1) == planning.KEPT_FOR
