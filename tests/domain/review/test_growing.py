"""What goes well makes room for more: a set more after two weeks, a look at what is far too easy
(common practice), through the door that needs no database."""

from datetime import date
from typing import Any

import pytest

from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.review.proposals.progression import fullest_day
from invelo.formats.scripts.review_shapes import ReviewAnswer
from tests.domain.review.cases import BAR, LEVER, PUSH, ask, at, done, said, shape
from tests.domain.review.cases import tested as best

FULL = (6, 10, 9.0)
TWO_WEEKS = (12, 10, 8, 5, 3, 1)

pytestmark = pytest.mark.law


def weeks(
    *amounts: float, days: tuple[int, ...] = TWO_WEEKS, rpe: float = 9, sets: int = 3, **case: Any
) -> ReviewAnswer:
    """Two weeks of sessions, looked at on the Monday after, each a little better than the last."""
    reps = amounts or (8, 7, 7)
    sessions = [done(day, *[(r, rpe) for r in reps], asked=FULL) for day in days]
    asked: dict[str, Any] = {"occasion": "week", "prescription": at("Hands 20 cm", sets=sets)}
    return ask(PUSH, sessions=sessions, **asked | case)


def speaks(answer: ReviewAnswer) -> tuple[str, ...]:
    return tuple(answer.proposals[0].rules)


def test_two_weeks_done_as_asked_make_room_for_a_set_by_itself() -> None:
    grown = weeks()
    proposal = grown.proposals[0]
    assert (proposal.standing, proposal.outcome) == ("routine", "add_set")
    assert speaks(grown) == ("sets.weeks",)
    assert proposal.then is not None
    assert (proposal.then.sets, proposal.then.low, proposal.then.high) == (4, 6, 10)


def test_a_session_changes_no_sets_by_weeks() -> None:
    assert "sets.weeks" not in speaks(weeks(occasion="session"))


def test_it_waits_for_two_weeks_since_the_sets_were_last_changed() -> None:
    assert "sets.weeks" not in speaks(weeks(days=(7, 5, 3, 1)))
    lately = said("add_set", "Hands 20 cm", 5, "sets.weeks", answer="routine")
    assert "sets.weeks" not in speaks(weeks(answered=[lately]))
    long_ago = said("add_set", "Hands 20 cm", 14, "sets.weeks", answer="routine")
    assert speaks(weeks(answered=[long_ago])) == ("sets.weeks",)


def test_who_declined_it_is_not_asked_again_in_four_weeks() -> None:
    declined = said("add_set", "Hands 20 cm", 14, "sets.weeks", answer="decline")
    assert "sets.weeks" not in speaks(weeks(answered=[declined]))


def test_five_sets_are_the_most_where_strength_is_the_purpose_and_four_for_size() -> None:
    assert "sets.weeks" in speaks(weeks(8, 7, 7, 6, sets=4))
    assert "sets.weeks" not in speaks(weeks(8, 7, 7, 6, 6, sets=5))
    assert "sets.weeks" not in speaks(weeks(8, 7, 7, 6, sets=4, purpose="size"))


@pytest.mark.parametrize("purpose", ["keep", "learn"])
def test_purposes_of_few_sets_stay_with_few(purpose: str) -> None:
    assert "sets.weeks" not in speaks(weeks(8, 7, sets=2, purpose=purpose))


def test_pain_or_falling_short_in_those_weeks_makes_no_room() -> None:
    sessions = [done(day, (8, 9), (7, 9), (7, 9), asked=FULL) for day in TWO_WEEKS]
    sore = [*sessions[:-2], done(3, (8, 9), (7, 9), (7, 9), asked=FULL, pain=2, pain_place="wrist")]
    sore = [*sore, sessions[-1]]
    hurt = ask(PUSH, occasion="week", prescription=at("Hands 20 cm"), sessions=sore)
    assert "sets.weeks" not in speaks(hurt)
    short = [*sessions[:-2], done(3, (6, 9), (4, 9.5), (3, 10), asked=FULL), sessions[-1]]
    fell = ask(PUSH, occasion="week", prescription=at("Hands 20 cm"), sessions=short)
    assert "sets.weeks" not in speaks(fell)


def test_nothing_grows_on_the_way_back() -> None:
    before = [done(day, (8, 9), (7, 9), (7, 9), asked=FULL) for day in (60, 58, 55, 53, 51)]
    back = [done(day, (8, 7), (7, 7), asked=(6, 8, 7), derived="re-entry") for day in (12, 8, 5)]
    last = [done(day, (8, 9), (7, 9), (7, 9), asked=FULL) for day in (3, 1)]
    answer = ask(
        PUSH, occasion="week", prescription=at("Hands 20 cm"), sessions=[*before, *back, *last]
    )
    assert "sets.weeks" not in speaks(answer)


def test_six_weeks_that_grow_are_no_plateau() -> None:
    sessions = [
        done(7 * week - day, (4 + 6 - week, 9), (4 + 6 - week, 9), (3 + 6 - week, 9), asked=FULL)
        for week in range(6, 0, -1)
        for day in (0, 2, 4)
    ]
    answer = ask(PUSH, occasion="week", prescription=at("Hands 20 cm"), sessions=sessions)
    assert not any("plateau.weeks" in one.rules for one in answer.proposals)


def test_the_method_by_near_failure_grows_no_sets() -> None:
    assert "sets.weeks" not in speaks(weeks(method="near_failure"))


def test_a_straight_arm_hold_is_asked_before_its_sets_grow() -> None:
    held = [done(day, *[(5 + n // 2, 7)] * 3, asked=(5, 7, 8)) for n, day in enumerate(TWO_WEEKS)]
    answer = ask(
        LEVER,
        occasion="week",
        purpose="skill",
        prescription=at("Tuck", sets=3),
        tests=[best("front-lever", 12, 14, values=shape("Tuck"))],
        sessions=held,
        kit=[BAR],
    )
    grows = [one for one in answer.proposals if "sets.weeks" in one.rules]
    assert [one.standing for one in grows] == ["question"]


def test_one_lucky_day_long_ago_makes_no_plateau_of_weeks_that_grow() -> None:
    lucky = done(44, (11, 9), (9, 9), (8, 9), asked=FULL)
    after = [
        done(7 * week - day, (10 - week, 9), (9 - week, 9), (9 - week, 9), asked=FULL)
        for week in range(6, 0, -1)
        for day in (0, 3)
    ]
    answer = ask(
        PUSH, occasion="week", prescription=at("Hands 20 cm", sets=5), sessions=[lucky, *after]
    )
    assert not any("plateau.weeks" in one.rules for one in answer.proposals)


# ---- far too easy ----


def easy(*efforts: float, derived: str = "first", answered: Any = ()) -> ReviewAnswer:
    """A first day on a rung with every set at the top, at so much effort."""
    return ask(
        PUSH,
        prescription=at("Hands 60 cm", back=1, climbed=True),
        tests=[best("push-up", 9, 20, values={"hand_height": 0.6})],
        sessions=[done(1, *[(10, e) for e in efforts], asked=(6, 10, 8.0), derived=derived)],
        answered=list(answered),
    )


def test_a_first_day_that_was_far_too_easy_is_seen_to_its_end_next_time() -> None:
    """A coach who sees ten at effort 3 does not ask for ten again."""
    answer = easy(3, 3)
    assert (answer.proposals[0].standing, answer.proposals[0].outcome) == ("routine", "retest")
    assert answer.next_session.last_set_amrap
    assert answer.next_session.sets == 3  # no set less for a day that shows what there is


def test_what_was_hard_enough_is_followed_by_the_second_first_day() -> None:
    answer = easy(7.5, 8)
    assert not answer.next_session.last_set_amrap
    assert "step.foreseen" not in speaks(answer)


def test_an_easy_week_at_little_effort_says_nothing() -> None:
    assert not easy(3, 3, derived="easy").next_session.last_set_amrap


def test_what_the_end_shows_is_climbed_to_in_one_step() -> None:
    shown = done(1, (10, 4), (10, 4), asked=FULL)
    end = {"amount": 28, "rpe": 10, "amrap": True, "asked_low": 6, "asked_high": 60}
    shown["sets"].append({**end, "rung": ""})
    answer = ask(PUSH, prescription=at("Hands 60 cm", back=5), sessions=[shown])
    proposal = answer.proposals[0]
    assert proposal.outcome == "step_up"
    assert proposal.to not in ("Hands 60 cm", "Hands 40 cm")
    assert "Hands 40 cm" in proposal.passed


def test_holds_far_under_their_best_are_looked_at_again() -> None:
    """Effort rates no seconds, but it says when to look."""

    def held(effort: float) -> ReviewAnswer:
        return ask(
            LEVER,
            purpose="skill",
            prescription=at("Tuck", sets=3),
            tests=[best("front-lever", 12, 8, values=shape("Tuck"))],
            sessions=[done(2 * n, *[(7, effort)] * 3, asked=(6, 7, 8)) for n in (2, 1)],
            kit=[BAR],
        )

    assert held(4).next_session.last_set_amrap
    assert not held(7).next_session.last_set_amrap


def test_the_fullest_day_counts_what_does_a_quarter_of_the_work_or_more() -> None:
    known = catalogue()
    push, dip, squat = (known.find_movement(name) for name in ("push-up", "dip", "squat"))
    monday, tuesday = date(2026, 6, 1), date(2026, 6, 2)
    done = [(monday, push, 3), (monday, dip, 4), (tuesday, push, 5), (tuesday, squat, 9)]
    assert fullest_day(push, done) == 7
    assert fullest_day(squat, done) == 9
    assert fullest_day(push, []) == 0
