"""The bench of many athletes, on two of them and four weeks: what it measures is there."""

from datetime import UTC, datetime

import pytest
from bench import crowd, scale
from sqlalchemy import text

from invelo.db.database import engine_for, migrate
from tests.conftest import fresh

PEOPLE, WEEKS = crowd.Crowd("two@bench.example", 2), 4


@pytest.fixture(scope="module")
def filled(server):
    url = fresh(server, "scale_bench")
    migrate(url)
    engine = engine_for(url)
    crowd.fill(engine, PEOPLE, datetime(2026, 3, 2, 9, 0, tzinfo=UTC), WEEKS)
    yield engine
    engine.dispose()


def test_a_crowd_has_the_sets_it_says(filled) -> None:
    with filled.connect() as db:
        assert crowd.sets_in(db) == 2 * WEEKS * len(crowd.DAYS) * crowd.SETS
        waiting = db.execute(text("SELECT count(*) FROM proposal WHERE answer IS NULL"))
        assert waiting.scalar_one() <= 2 * len(crowd.LADDERS)
        unsettled = "SELECT count(*) FROM training_session WHERE mean_set_rpe IS NULL"
        assert db.execute(text(unsettled)).scalar_one() == 0


def test_every_request_is_measured_with_its_own_statements(filled) -> None:
    with scale.service(filled, PEOPLE) as clients:
        taken = scale.measure(clients, filled, 2)
    assert {"empty", "squad", "ladder", "review", "trends", "log a set"} <= taken.whole.keys()
    for name, seconds in taken.whole.items():
        assert len(seconds) == 2
        assert (name == "empty") == (len(taken.plans[name]) == 0)
    told = scale.endpoints(taken)
    assert told["empty"]["ratio (at most 1)"] == pytest.approx(1.0)
    assert all("Scan" in plan or "Result" in plan for plan in taken.plans["squad"].values())


def test_checksums_tell_one_changed_row(filled) -> None:
    before = scale.checksums(filled)
    assert before["athlete"][0] == 2
    with filled.begin() as db:
        db.execute(text("UPDATE athlete SET note = 'changed' WHERE name LIKE '%000'"))
    after = scale.checksums(filled)
    assert {name for name in before if before[name] != after[name]} == {"athlete"}
