"""Service, worker and database killed outright while sets come in from phones and backups are
written: nothing that was acknowledged is lost, nothing is there twice."""

from bench.kills import run

from invelo.runtime import postgres
from tests.conftest import open_folder
from tests.depth import depth

KILLS, SETS = depth((4, 60), (100, 10_000))


def test_every_acknowledged_set_survives_every_kill() -> None:
    """On a server that writes through: the run's own does not."""
    with open_folder() as folder, postgres.running(folder / "postgres") as server:
        outcome = run(server, "kills", KILLS, SETS, seed=8)
    assert all(outcome.kills.values()), "each of the three was killed"
    assert sum(outcome.kills.values()) >= KILLS
    assert outcome.acknowledged >= SETS
    assert (outcome.lost, outcome.twice, outcome.out_of_order) == (0, 0, 0)
    assert outcome.backups > 0
    assert outcome.unreadable == 0
