"""Schema and migrations: the tables are what the models say, both ways."""

from concurrent.futures import ProcessPoolExecutor
from datetime import UTC, datetime
from multiprocessing import get_context
from pathlib import Path

from alembic import command
from alembic.autogenerate import compare_metadata
from alembic.config import Config
from alembic.migration import MigrationContext
from sqlalchemy import inspect, text
from sqlmodel import Session, SQLModel, col, select

import invelo.db
from invelo.db.codec import modifiers_of
from invelo.db.database import engine_for, migrate
from invelo.db.queue import is_ours
from invelo.db.tables.ladder import RungRow
from invelo.demo.history import load
from invelo.domain.biomechanics.body import AddedLoad
from invelo.domain.catalogue.movement import Modifiers
from invelo.domain.strength.tempo import Tempo
from tests.conftest import fresh


def alembic(url: str) -> Config:
    config = Config()
    folder = Path(invelo.db.__file__).parent / "migrations"
    config.set_main_option("script_location", str(folder))
    config.attributes["url"] = url
    return config


def test_the_migrations_make_what_the_models_say(engine) -> None:
    with engine.connect() as connection:
        context = MigrationContext.configure(connection, opts={"include_name": is_ours})
        assert compare_metadata(context, SQLModel.metadata) == []


def test_the_migrations_go_down_and_up_again(server) -> None:
    url = fresh(server, "down_and_up")
    migrate(url)
    command.downgrade(alembic(url), "base")
    engine = engine_for(url)
    assert inspect(engine).get_table_names() == ["alembic_version"]
    migrate(url)
    assert "athlete" in inspect(engine).get_table_names()
    engine.dispose()


def test_copies_of_the_service_that_start_at_once_migrate_one_after_the_other(server) -> None:
    url = fresh(server, "at_once")
    with ProcessPoolExecutor(2, get_context("spawn")) as starting:
        list(starting.map(migrate, [url] * 2))  # without the lock, both make the same table
    engine = engine_for(url)
    assert "athlete" in inspect(engine).get_table_names()
    engine.dispose()
    command.check(alembic(url))


def test_set_ups_of_the_first_schema_become_changes(server) -> None:
    """A rung kept with columns of its own is read as the same set-up afterwards; and back again."""
    """The first schema knew push-ups alone."""
    push_ups = select(RungRow).where(col(RungRow.movement).like("%push-up"))
    url = fresh(server, "first_schema")
    migrate(url)
    engine = engine_for(url)
    with Session(engine) as db:
        load(db, datetime(2026, 3, 2, 9, 0, tzinfo=UTC), weeks=2)
        db.commit()
        before = {rung.id: modifiers_of(rung) for rung in db.exec(push_ups)}
    command.downgrade(alembic(url), "0001")
    with engine.begin() as connection:
        kept = connection.execute(
            text("SELECT id, hand_height_m, bag_kg, tempo FROM rung WHERE movement LIKE '%push-up'")
        ).all()
        low = next(row.id for row in kept if row.tempo == "3-0-1-0")
        connection.execute(
            text("UPDATE rung SET foot_height_m = 0.25, vest_kg = 2.5 WHERE id = :id"), {"id": low}
        )
    assert any(row.hand_height_m == 0.9 for row in kept)
    assert any(row.bag_kg == 10.0 for row in kept)
    migrate(url)
    with Session(engine) as db:
        after = {rung.id: modifiers_of(rung) for rung in db.exec(push_ups)}
    changed = Modifiers((("foot_height", 0.25),), AddedLoad(vest=2.5), tempo=Tempo.parse("3-0-1-0"))
    assert after == before | {low: changed}
    engine.dispose()


def test_migrating_twice_changes_nothing(server) -> None:
    url = fresh(server, "twice")
    migrate(url)
    migrate(url)


def test_every_table_about_a_person_goes_with_them(engine) -> None:
    """Foreign keys lead from every such table to the athlete, each with ON DELETE CASCADE."""
    reaching = {"athlete"}
    metadata = SQLModel.metadata
    for table in metadata.sorted_tables:
        for key in table.foreign_keys:
            if key.column.table.name in reaching and key.ondelete == "CASCADE":
                reaching.add(table.name)
    about_people = set(metadata.tables) - {
        "account",
        "band",
        "kit_item",
        "own_movement",
        "movement_tag",
        "session_template",
        "place",
        "sign_in",
        "sign_in_device",
        "sign_in_attempt",
        "password_reset",
    }
    assert about_people <= reaching


def test_the_newest_sessions_of_an_athlete_are_found_by_index(engine) -> None:
    with engine.connect() as connection:
        connection.execute(text("SET enable_seqscan = off"))
        plan = connection.execute(
            text(
                "EXPLAIN SELECT * FROM training_session "
                "WHERE athlete_id = '5b9a4f1e-0000-4000-8000-000000000000' "
                "ORDER BY at DESC LIMIT 12"
            )
        ).scalars()
        assert "ix_training_session_athlete_id_at" in "\n".join(plan)
