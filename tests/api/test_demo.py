"""The demo: an invented crew whose history the product's own rules made."""

import json
from collections import Counter
from collections.abc import Iterator
from datetime import date, timedelta
from statistics import fmean

import pytest
from alembic import command
from fastapi.testclient import TestClient
from sqlalchemy import Engine, text
from sqlmodel import Session, select

from invelo.api.app import create_app
from invelo.db import archive, logs
from invelo.db.database import engine_for, migrate, transaction
from invelo.db.ladder_graph import rungs_of
from invelo.db.queries import athlete_rows
from invelo.db.tables.athlete import AthleteRow
from invelo.db.tables.ladder import LadderRow
from invelo.db.tables.training import TrainingSessionRow
from invelo.demo.history import load
from invelo.demo.theatre import COACH_EMAIL, COACH_PASSWORD, CREW
from invelo.domain.review.workload import workload
from invelo.domain.strength.capacity import groups_of, pool
from invelo.runtime import postgres
from invelo.runtime.settings import Settings
from invelo.services.athlete import capacity
from invelo.services.review import reach
from invelo.services.squad.squad import RATIO_BACK
from tests.api.coach import Coach
from tests.api.test_store import alembic
from tests.conftest import FORTNIGHT, Clock, fresh

WEEKS = 4


@pytest.fixture(scope="module")
def told(server: postgres.Server) -> Iterator[Engine]:
    """Four weeks of the story, told once for all tests of it."""
    url = fresh(server, "theatre")
    migrate(url)
    engine = engine_for(url)
    with transaction(engine) as db:
        load(db, Clock().now, weeks=WEEKS)
    yield engine
    engine.dispose()


@pytest.fixture
def theatre(told: Engine, clock: Clock) -> Iterator[Coach]:
    app = create_app(Settings(), told, clock)
    with TestClient(app, base_url="http://localhost") as client:
        body = {"email": COACH_EMAIL, "password": COACH_PASSWORD}
        client.post("/api/sign-in", json=body).raise_for_status()
        yield Coach(client, clock)


def line(theatre: Coach, name: str) -> dict:
    return next(one for one in theatre.get("/api/squad")["athletes"] if one["name"] == name)


def test_eight_people_of_every_kind(theatre: Coach) -> None:
    lines = theatre.get("/api/squad")["athletes"]
    kinds = [one["flags"][0]["kind"] if one["flags"] else "well" for one in lines]
    order = ["stopped", "pain", "load", "proposal", "missed", "new", "well"]
    assert kinds == sorted(kinds, key=order.index)
    assert {one["name"] for one in lines} == {member.name for member in CREW}
    assert len(CREW) == 8
    assert len({member.method for member in CREW}) >= 4
    assert len({member.ladder for member in CREW}) >= 5


def test_each_has_weeks_of_logs_with_reasoned_decisions(theatre: Coach) -> None:
    for one in theatre.get("/api/squad")["athletes"]:
        sheet = theatre.get(f"/api/ladders/{one['ladder_id']}/review")
        days = [date.fromisoformat(session["local_date"]) for session in sheet["sessions"]]
        assert len(days) >= 6, one["name"]
        assert (days[0] - days[-1]).days >= 21, one["name"]
        assert all(proposal["rules"] for proposal in sheet["proposals"])


def test_little_is_asked_of_the_coach_and_the_rest_is_told(theatre: Coach) -> None:
    """In ordinary weeks a ladder is on course: what is asked comes seldom, and a routine within
    bounds by itself."""
    squad = theatre.get("/api/squad")
    proposals = [
        proposal
        for one in squad["athletes"]
        for proposal in theatre.get(f"/api/ladders/{one['ladder_id']}/review")["proposals"]
        if proposal["answer"] != "expired"  # it was put again by the next session
    ]
    standing = Counter(proposal["standing"] for proposal in proposals)
    assert standing["on course"] > 0.7 * len(proposals)
    assert standing["question"] + standing["blocked"] <= 0.15 * len(proposals)
    assert standing["routine"] >= 1
    for proposal in proposals:
        if proposal["standing"] == "on course":
            assert proposal["answer"] == "noted"
        if proposal["answer"] == "accept":
            assert proposal["now"] != proposal["then"] or proposal["outcome"] in NO_OTHER_SETS
    assert len(squad["due"]) == 8


NO_OTHER_SETS = ("reduce_days", "add_day", "swap_surface", "ease_off", "retest", "stop")
"""What changes something else than what is asked on the rung."""


def test_a_wrist_complains(theatre: Coach) -> None:
    texts = [mark["text"] for mark in line(theatre, "Bram Oster")["flags"]]
    assert any("left wrist" in text for text in texts)


def test_messages_lie_in_the_outbox_and_trends_have_their_lines(theatre: Coach) -> None:
    messages = theatre.get("/api/messages")["messages"]
    assert len(messages) >= 5
    assert all(message["subject"].startswith("On the way to: ") for message in messages)
    ladder = line(theatre, "Tilde Varga")["ladder_id"]
    trends = theatre.get(f"/api/ladders/{ladder}/trends")
    assert len(trends["reach"]) >= 10
    assert trends["load"]["ratio"] is not None
    assert trends["next_criterion"] is not None


def test_the_story_is_the_same_each_time_and_told_once(theatre: Coach, told: Engine) -> None:
    before = theatre.get("/api/squad")
    with transaction(told) as db:
        load(db, Clock().now, weeks=WEEKS)
    assert theatre.get("/api/squad") == before


def test_told_anew_it_is_the_same(server: postgres.Server, fortnight: Engine) -> None:
    """By the same seed, at the same hour: the same sets and the same answers, ids and all."""
    url = fresh(server, "fortnight_again")
    migrate(url)
    again = engine_for(url)
    with transaction(again) as db:
        load(db, Clock().now, weeks=FORTNIGHT)
    sets = next(table for table in archive.tables() if table.name == "logged_set")
    drop = ("server_at", "rung_id", "item")  # when it was told, ids of rungs and ladders differ

    def figures(engine: Engine) -> list[dict]:
        with engine.connect() as db:
            rows = [json.loads(row) for row in archive.rows(db, sets)]
        return [{k: v for k, v in row.items() if k not in drop} for row in rows]

    assert figures(again) == figures(fortnight)
    assert len(figures(again)) > 50
    again.dispose()


def test_what_speaks_now_is_what_all_that_was_ever_logged_says(told: Engine) -> None:
    """The days that can speak are picked in SQL; picked from every set they say the same."""
    looked = 0
    with Session(told) as db:
        for row in db.exec(select(LadderRow)):
            rungs = rungs_of(db, row.id)
            few = capacity.newest(
                db, row.athlete_id, athlete_rows.measurements(db, row.athlete_id), rungs
            )
            every = capacity.of_rungs(db, row.athlete_id, rungs)
            assert len(few) <= len(every)
            told_few, told_every = groups_of(few), groups_of(every)
            assert told_few.keys() == told_every.keys()
            for lane, those in told_every.items():
                assert pool(told_few[lane]).greatest == pool(those).greatest
                looked += len(those) > len(told_few[lane])
    assert looked >= 3  # else the pick has nothing to leave out


def test_a_session_s_sums_are_those_of_its_standing_sets(told: Engine) -> None:
    with Session(told) as db:
        rows = db.exec(select(TrainingSessionRow)).all()
        sets = logs.standing_sets(db, [row.id for row in rows])
        finished = [row for row in rows if row.finished_at is not None]
        for row in finished:
            assert row.mean_set_rpe == pytest.approx(fmean(one.rpe for one in sets[row.id]))
            last = max(one.at for one in sets[row.id])
            assert row.duration_s == (last - row.at).total_seconds()
        assert all(row.mean_set_rpe is None for row in rows if row.finished_at is None)
        assert len(finished) > 50


def test_many_ratios_at_once_are_each_athlete_s_own(told: Engine) -> None:
    today = Clock().now.date()
    with Session(told) as db:
        ids = [row.id for row in db.exec(select(AthleteRow))]
        todays = {one: today - timedelta(days=i % 3) for i, one in enumerate(ids)}
        found = reach.ratios(db, todays, RATIO_BACK)
        for one, day in todays.items():
            own = workload(reach.loads(db, one, min(todays.values()) - RATIO_BACK), day)
            assert found[one] == pytest.approx(own.on(day)[0])
        assert any(value is not None for value in found.values())
        assert reach.ratios(db, {}, RATIO_BACK) == {}


def test_the_newest_sessions_and_their_worst_pain(told: Engine) -> None:
    with Session(told) as db:
        ids = [row.id for row in db.exec(select(AthleteRow))]
        newest = logs.newest_of(db, ids)
        for one in ids:
            assert newest[one].id == logs.of_athlete(db, one, 1)[0].row.id
        sessions = [row.id for row in db.exec(select(TrainingSessionRow))]
        sets = logs.standing_sets(db, sessions)
        pains = logs.worst_pain(db, sessions)
        assert pains
        for session in sessions:
            worst = max((one.pain for one in sets[session]), default=0)
            assert pains.get(session, (0, ""))[0] == worst


def test_the_sums_come_back_when_the_columns_are_made_anew(told: Engine) -> None:
    """Down a migration and up again: the same sums, the same figures of placements."""
    url = told.url.render_as_string(hide_password=False)
    ask = (
        "SELECT id, mean_set_rpe, duration_s FROM training_session WHERE finished_at IS NOT NULL "
        "ORDER BY id",
        "SELECT id, likely, low, high, unit, told_on FROM placement ORDER BY id",
    )

    def kept() -> list[list[tuple]]:
        with told.connect() as db:
            return [[tuple(row) for row in db.execute(text(one))] for one in ask]

    before = kept()
    command.downgrade(alembic(url), "0009")
    migrate(url)
    told.dispose()
    for was, now in zip(before, kept(), strict=True):
        assert [row[0] for row in was] == [row[0] for row in now]
        for old, new in zip(was, now, strict=True):
            assert new[1:4] == pytest.approx(old[1:4])
            assert new[4:] == old[4:]
