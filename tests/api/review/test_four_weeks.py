"""Four weeks of one ladder as a coach and an athlete live them, the clock moved along."""

from typing import Any

from tests.api.coach import Coach
from tests.api.review.test_review import wide


def test_four_weeks_ask_little_and_never_stand_still(coach: Coach) -> None:
    ladder = wide(coach)
    days = [{"index": index, "minutes": 45} for index in (0, 2, 4)]
    path = f"/api/athletes/{ladder['athlete_id']}/week/availability"
    coach.put(path, days=days, begun="2026-03-02", weeks=8)

    def trains(least: int = 0) -> Any:
        """As asked: the range's top, or what an easy day says."""
        asked = coach.item(ladder["id"])["sets"]
        return coach.trains(ladder["id"], tuple(least or one["high"] for one in asked), rpe=8.5)

    # asked and done: nothing to decide, then a set more by itself, which is undone
    assert trains()["standing"] == "on course"
    routine = trains()
    assert (routine["standing"], routine["outcome"]) == ("routine", "add_set")
    assert coach.post(f"/api/proposals/{routine['id']}/undo")["answer"] == "undone"

    # what was refused makes room for the next way: nobody is kept at a criterion that is shown
    other = trains()
    assert other["outcome"] not in ("add_set", "hold")
    assert other["then"]["name"] != other["now"]["name"]

    # some answer or routine a week at most, until the easy week
    asked_of_coach = 0
    while coach.clock.now.date().isoformat() < "2026-03-22":
        said = trains()
        if said["answer"] is None:
            asked_of_coach += 1
            coach.post(f"/api/proposals/{said['id']}/answer", answer="accept")
    assert asked_of_coach <= 3

    # the fourth week asks less; done as asked it is left in peace
    coach.later(2)
    asked = coach.item(ladder["id"])["sets"]
    assert (len(asked), asked[0]["rpe"]) == (2, 7.0)
    session = coach.starts(ladder["id"])
    for number in (1, 2):
        rung = coach.current_rung(ladder["id"])
        coach.logs(session, rung, number, 8, rpe=7)
    peace = coach.finishes(session)
    assert (peace["standing"], peace["answer"]) == ("on course", "noted")
    assert peace["reason"] == "An easy week, done as asked."
    assert coach.get("/api/squad")["athletes"][0]["pending_decisions"] == []
