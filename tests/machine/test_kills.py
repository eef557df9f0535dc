"""The service killed outright while sets come in from four phones: nothing that was acknowledged is
lost, nothing is there twice."""

from bench.kills import Outcome, run

from invelo.db.database import migrate
from invelo.runtime import postgres
from tests.conftest import fresh
from tests.depth import depth

KILLS = depth(3, 100)


def test_every_acknowledged_set_survives_every_kill(server: postgres.Server) -> None:
    url = fresh(server, "kills")
    migrate(url)
    outcome: Outcome = run(url, kills=KILLS, seed=7)
    assert outcome.kills == KILLS
    assert outcome.acknowledged >= 40
    assert outcome.lost == 0
    assert outcome.twice == 0
    assert outcome.out_of_order == 0
