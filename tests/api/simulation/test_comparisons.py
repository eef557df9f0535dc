"""Plans compared by a worker: the same answer as the command gives, stopped at will."""

import anyio
import pytest

from invelo.domain.simulation.compare import Question
from invelo.jobs import background, simulating
from invelo.jobs.work import Work
from tests.api.coach import problem

ASKED = {"plans": ["fixed", "linear"], "athletes": 2, "weeks": 4, "seed": 3}
PATH = "/api/comparisons"


def test_a_comparison_is_the_commands_own(coach) -> None:
    sent = coach.post(PATH, **ASKED)
    assert (sent["state"], sent["seasons"], sent["result"]) == ("queued", 4, None)
    coach.waits()
    done = coach.get(f"{PATH}/{sent['id']}")
    assert (done["state"], done["progress"]) == ("done", 4)
    here, _ = simulating.run(Question(("fixed", "linear"), 2, 4, 3))
    assert done["result"] == here.model_dump(mode="json")


def test_a_stopped_one_is_not_done(coach, engine, clock) -> None:
    sent = coach.post(PATH, **ASKED)
    assert "Wait for it" in problem(coach.client.post(PATH, json=ASKED), 409)["remedy"]
    stopped = coach.client.delete(f"{PATH}/{sent['id']}").json()
    assert stopped["state"] == "stopped"
    coach.waits()
    anyio.run(background.do, Work(engine, clock), sent["id"])
    assert coach.get(f"{PATH}/{sent['id']}")["state"] == "stopped"
    coach.post(PATH, **ASKED)  # and another may be asked for


def test_a_search_that_nobody_waits_for_any_more_is_left() -> None:
    seen: list[int] = []

    def watch(done: int) -> bool:
        seen.append(done)
        return False

    assert simulating.run_apart(Question(("fixed",), 3, 4, 1), watch) is None
    assert seen == [1]


@pytest.mark.parametrize(
    ("wrong", "field"),
    [({"plans": ["magic"]}, "plans"), ({"athletes": 5000}, "athletes"), ({"weeks": 0}, "weeks")],
)
def test_what_cannot_be_compared_is_refused(coach, wrong, field) -> None:
    assert problem(coach.client.post(PATH, json=ASKED | wrong), 422)["field"] == field


def test_anothers_is_not_there(coach, new_coach) -> None:
    sent = coach.post(PATH, **ASKED)
    assert new_coach().client.get(f"{PATH}/{sent['id']}").status_code == 404
