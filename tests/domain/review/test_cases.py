"""Cases that an experienced coach would have come out so (common practice), through the door that
needs no database: the same code as the service runs."""

from datetime import timedelta
from typing import Any

import pytest

from invelo.formats.scripts.review_shapes import ReviewAnswer
from tests.domain.review.cases import (
    BAR,
    LEVER,
    PUSH,
    PUSH_8_12,
    TODAY,
    ask,
    at,
    band,
    done,
    dose,
    ladder,
    on,
    rung,
    said,
    shape,
)
from tests.domain.review.cases import (
    tested as best,
)

pytestmark = pytest.mark.law

FULL = (6, 10, 9.0)
USUAL = ((8, 9), (8, 9), (7, 9))


def first(answer: ReviewAnswer) -> tuple[str, str]:
    return answer.proposals[0].standing, answer.proposals[0].outcome


def tuck(sets: int = 4, sessions: int = 3, test_back: int = 20, **case: Any) -> ReviewAnswer:
    """Someone who holds a tuck for 15 s in every set."""
    held = [(15, 8)] * sets
    return ask(
        LEVER,
        purpose="skill",
        prescription=at("Tuck", sets=sets),
        tests=[best("front-lever", 24, test_back, values=shape("Tuck"))],
        sessions=[done(2 * n, *held, asked=(12, 15, 8)) for n in range(sessions, 0, -1)],
        kit=[BAR],
        **case,
    )


def test_1_a_criterion_met_with_the_next_shape_out_of_reach_is_bridged_from_the_kit() -> None:
    told = tuck(bands=[band("narrow", 150)])
    assert first(told) == ("blocked", "bridge")
    assert told.proposals[0].new_rung
    assert told.proposals[0].then is not None
    assert told.proposals[0].then.low >= 5  # nothing under the least useful hold
    assert told.expected_next is not None
    assert told.expected_next < 5


def test_2_a_best_hold_long_unknown_is_seen_first_and_then_the_plan_moves() -> None:
    old = tuck(sessions=9, test_back=180)
    assert first(old) == ("routine", "retest")
    assert old.next_session.last_set_amrap
    shown = done(0, (15, 6), (15, 6), (15, 6), asked=(12, 15, 8))
    end = {"amount": 24, "rpe": 10, "amrap": True, "asked_low": 12, "asked_high": 60}
    shown["sets"].append(end)
    held = [done(2 * n, *[(15, 6)] * 4, asked=(12, 15, 8)) for n in range(9, 0, -1)]
    moved = ask(
        LEVER,
        purpose="skill",
        prescription=at("Tuck", sets=5),
        tests=[best("front-lever", 24, 180, values=shape("Tuck"))],
        sessions=[*held, shown],
        kit=[BAR],
    )
    assert first(moved)[1] == "bridge"
    assert not moved.next_session.last_set_amrap


def test_3_a_criterion_shown_twice_with_the_next_rung_likely_is_climbed() -> None:
    twelve = ((12, 8), (12, 8), (12, 8))
    told = ask(
        PUSH_8_12,
        prescription=at("Hands 20 cm"),
        sessions=[done(5, *twelve, asked=(8, 12, 9)), done(2, *twelve, asked=(8, 12, 9))],
    )
    assert first(told) == ("question", "step_up")
    assert told.proposals[0].to == "Hands 0 cm"


def test_4_whoever_shows_far_more_goes_to_the_highest_rung_that_fits() -> None:
    """Nobody trains slow incline push-ups who has twenty on the floor."""
    told = ask(
        PUSH,
        prescription=at(
            "Hands 20 cm",
            as_set=True,
            name="Hands 20 cm, eccentric 3 s",
            values={"hand_height": 0.2},
            tempo="3-0-1-0",
        ),
        sessions=[done(2, (20, 9), (18, 9), (16, 9), rung="Floor")],
    )
    assert first(told) == ("question", "step_up")
    assert told.proposals[0].to == "Floor, feet up"
    assert told.proposals[0].passed == ["Floor"]


def test_5_an_easy_week_done_as_asked_changes_nothing_and_the_same_elsewhere_is_on_course() -> None:
    usual = done(9, *USUAL, asked=FULL)
    six = ((6, 7), (6, 7), (6, 7))
    easy = ask(
        PUSH,
        prescription=at("Hands 20 cm"),
        sessions=[usual, done(2, *six, asked=(6, 10, 7), derived="easy")],
    )
    assert first(easy) == ("on course", "hold")
    normal = ask(PUSH, prescription=at("Hands 20 cm"), sessions=[usual, done(2, *six, asked=FULL)])
    assert first(normal) == ("on course", "hold")
    assert "goes on to 10" in normal.proposals[0].reason


def test_6_the_way_back_goes_on_and_asks_less() -> None:
    before = [done(d, *USUAL, asked=FULL) for d in (40, 38, 36, 33, 31, 29, 26, 24)]
    back = done(0, (8, 7), (7, 7), asked=(6, 8, 7), derived="re-entry")
    told = ask(PUSH, prescription=at("Hands 20 cm"), sessions=[*before, back])
    assert first(told) == ("on course", "hold")
    assert told.next_session.derived == "re-entry"
    assert (told.next_session.sets, told.next_session.high, told.next_session.rpe) == (2, 8, 7)


def test_7_pain_stops_the_movement_and_nothing_gets_harder() -> None:
    hurt = done(2, (10, 8), (10, 8), (10, 8), asked=FULL, pain=5, pain_place="left wrist")
    met = done(5, (10, 8), (10, 8), (10, 8), asked=FULL)
    told = ask(PUSH, prescription=at("Hands 20 cm"), sessions=[met, hurt])
    assert first(told) == ("question", "stop")
    assert not {"step_up", "add_set", "bridge"} & {one.outcome for one in told.proposals}


def test_8_short_twice_is_a_set_less_and_short_again_one_step_back() -> None:
    short = ((8, 10), (7, 10), (6, 10))
    twice = [done(5, *short, asked=(8, 12, 9)), done(2, *short, asked=(8, 12, 9))]
    less = ask(PUSH_8_12, prescription=at("Hands 20 cm"), sessions=twice)
    assert first(less) == ("question", "fewer_sets")
    assert less.proposals[0].then is not None
    assert less.proposals[0].then.sets == 2
    back = ask(
        PUSH_8_12,
        prescription=at("Hands 20 cm", back=1, sets=2),
        sessions=[*twice, done(0, (8, 10), (6, 10), asked=(8, 12, 9))],
        answered=[said("fewer_sets", "Hands 20 cm", 2, "range.missed-twice")],
    )
    assert first(back) == ("question", "step_back")
    assert back.proposals[0].to == "Hands 40 cm"


def test_9_easy_sets_tell_at_least_and_the_next_rung_is_not_nought() -> None:
    told = ask(
        PUSH,
        method="habit",
        purpose="daily",
        prescription=at("Hands 20 cm", sets=1, low=1, high=5, rpe=5),
        sessions=[done(d, (5, 5)) for d in range(30, 0, -1)],
    )
    assert told.capacities[0].at_least
    assert told.expected_next is not None
    assert told.expected_next >= 3
    assert told.state == "on course"


def flat(weeks: int, rpe: float, days: tuple[int, ...], sets: int, gap: int = 0) -> list[Any]:
    """Weeks in which nothing changes, and a gap of so many weeks in their middle."""
    done_so = [(8, rpe), *[(7, rpe)] * (sets - 1)]
    found = []
    for week in range(weeks, 0, -1):
        moved = gap if week > 3 else 0
        found += [done(7 * (week + moved) + d - 7, *done_so, asked=FULL) for d in days]
    return found


def test_10_a_plateau_is_called_by_what_the_data_show_and_not_after_a_break() -> None:
    after = ask(
        PUSH,
        occasion="week",
        prescription=at("Hands 20 cm", sets=2),
        sessions=flat(6, 9, (6, 4, 2), 2, gap=3),
    )
    assert not any("plateau.weeks" in one.rules for one in after.proposals)
    tired = ask(
        PUSH,
        occasion="week",
        prescription=at("Hands 20 cm"),
        sessions=flat(6, 9.5, (6, 5, 4, 2, 1), 3),
    )
    assert first(tired) == ("blocked", "ease_off")
    little = ask(
        PUSH,
        occasion="week",
        prescription=at("Hands 20 cm", sets=2),
        sessions=flat(6, 8, (5, 2), 2),
    )
    assert first(little)[0] == "blocked"
    assert first(little)[1] in ("add_set", "add_day")


def test_11_the_last_criterion_shown_twice_is_the_goal_reached() -> None:
    ten = ((10, 8.5), (10, 9), (10, 9))
    told = ask(
        PUSH,
        prescription=at("Floor, feet up"),
        sessions=[done(5, *ten, asked=FULL), done(2, *ten, asked=FULL)],
    )
    assert first(told) == ("question", "goal_reached")
    assert "another goal" in told.proposals[0].reason


def test_12_thirty_quick_reps_are_too_light_for_strength() -> None:
    told = ask(PUSH, prescription=at("Hands 60 cm"), sessions=[done(2, (30, 8), (28, 8), (25, 9))])
    assert first(told) == ("question", "step_up")
    assert "set.too-light" in told.proposals[0].rules


def test_13_a_set_that_asks_nothing_of_a_joint_is_passed_over() -> None:
    pulls = ladder(rung("Face pull", "face-pull"), rung("Fly", "fly"), goal="Face pull")
    told = ask(
        pulls, prescription=at("Face pull"), sessions=[done(2, (12, 8), (12, 8), (12, 8))], kit=[]
    )
    assert told.capacities == []
    assert told.next_session.rung == "Face pull"


def straddle(*sets: tuple[float, float], back: tuple[int, ...]) -> ReviewAnswer:
    narrow = {key: value for key, value in band("narrow", 160).items() if key != "name"}
    return ask(
        LEVER,
        purpose="skill",
        kit=[BAR],
        bands=[band("narrow", 160), band("wide", 230), band("thin", 150)],
        tests=[best("front-lever", 20, 30, values=shape("Advanced tuck"))],
        prescription=at(
            "Straddle",
            as_set=True,
            name="Straddle, band narrow",
            values=shape("Straddle"),
            band={"band": narrow, "at": "hips", "anchor_height_m": 2.3},
        ),
        sessions=[done(d, *sets, asked=(5, 8, 8)) for d in back],
    )


def test_14_a_helped_shape_gets_more_help_at_once_and_less_when_it_is_held() -> None:
    more = straddle((3, 10), (2, 10), (1, 10), back=(2,))
    assert first(more)[1] in ("add_assistance", "step_back")
    assert "skill.more-assistance" in more.proposals[0].rules
    held = straddle((7, 9), (7, 9), (6, 9.5), back=(5, 2))
    assert first(held)[1] in ("reduce_assistance", "step_up")
    assert "skill.less-assistance" in held.proposals[0].rules


def test_15_a_check_is_said_before_it_lapses_and_closes_after() -> None:
    def lapsing(days: int) -> ReviewAnswer:
        until = (TODAY + timedelta(days=days)).isoformat()
        return ask(
            LEVER,
            kit=[{**BAR, "checked_until": until}],
            purpose="skill",
            prescription=at("Tuck"),
            sessions=[done(2, (8, 8), (8, 8), (8, 8), asked=(5, 8, 8))],
        )

    assert lapsing(10).reminders == ["The check of “bar” runs out in 10 days."]
    assert lapsing(15).reminders == []
    after = lapsing(-1)
    assert after.state == "blocked"
    assert "closed" in after.proposals[0].reason
    assert "step.closed" in after.proposals[0].rules


def test_16_rounds_left_out_for_want_of_time_are_no_failure() -> None:
    sessions = [done(5, *USUAL, asked=FULL), done(2, (8, 9), (7, 9), asked=FULL)]
    told = ask(PUSH, prescription=at("Hands 20 cm"), sessions=sessions)
    assert first(told) == ("on course", "hold")


def test_17_of_a_mixed_set_the_first_whole_part_is_the_evidence() -> None:
    plain = ask(PUSH, prescription=at("Hands 20 cm"), sessions=[done(2, (9, 10), asked=FULL)])
    mixed = done(2, (9, 10), asked=FULL)
    mixed["sets"].append({"amount": 25, "rpe": 10, "kind": "drop"})
    other = ask(PUSH, prescription=at("Hands 20 cm"), sessions=[mixed])
    assert other.capacities[0].capacity == plain.capacities[0].capacity


# Fifteen more, of what was seen to go wrong in months of made-up people.


def test_someone_far_below_the_range_goes_back_after_one_session() -> None:
    told = ask(
        PUSH,
        prescription=at("Floor"),
        sessions=[done(2, (2, 10), (1, 10), (1, 10), asked=FULL)],
    )
    assert first(told) == ("question", "step_back")


def test_a_bad_day_alone_takes_nothing_away() -> None:
    good, bad = done(5, *USUAL, asked=FULL), done(2, (6, 10), (5, 10), (4, 10), asked=FULL)
    told = ask(
        PUSH, prescription=at("Hands 20 cm"), sessions=[good, good | {"day": "2026-06-22"}, bad]
    )
    assert first(told) == ("on course", "hold")


def test_a_first_test_that_told_too_little_is_believed_less_than_sets_that_show_more() -> None:
    easy = [done(d, (10, 4), (10, 4), (10, 4), asked=FULL) for d in (6, 4)]
    told = ask(
        PUSH,
        tests=[best("push-up", 8, 10, values={"hand_height": 0.6})],
        prescription=at("Hands 60 cm"),
        sessions=easy,
    )
    assert first(told) == ("routine", "retest")
    assert told.next_session.last_set_amrap
    assert told.capacities[0].capacity.low > 40  # eight there tell of 37 kg


def test_a_rung_that_was_stepped_back_from_has_to_be_earned() -> None:
    near = [done(d, (10, 7), (10, 7.5), (10, 8.5), asked=FULL) for d in (5, 2)]
    near[0]["sets"][2]["amount"] = 9
    near[1]["sets"][2]["amount"] = 9
    free = ask(PUSH, method="rpe_target", prescription=at("Hands 40 cm"), sessions=near)
    assert first(free)[1] == "step_up"
    earned = ask(
        PUSH,
        method="rpe_target",
        prescription=at("Hands 40 cm"),
        sessions=near,
        answered=[said("step_back", "Hands 20 cm", 20, "range.missed-twice")],
    )
    assert first(earned)[1] != "step_up"


def test_what_was_declined_is_not_asked_again_at_once() -> None:
    ten = ((10, 8), (10, 8), (10, 8))
    sessions = [done(5, *ten, asked=FULL), done(2, *ten, asked=FULL)]
    told = ask(PUSH, prescription=at("Hands 40 cm"), sessions=sessions)
    assert first(told) == ("question", "step_up")
    again = ask(
        PUSH,
        prescription=at("Hands 40 cm"),
        sessions=sessions,
        answered=[said("step_up", "Hands 40 cm", 3, *told.proposals[0].rules, answer="decline")],
    )
    assert first(again)[1] != "step_up"


def test_sets_grow_by_themselves_and_once_a_week() -> None:
    """A step wider than the range bridges: a set more comes first, done by itself."""
    wide = ladder(on(90), on(0, "Floor"))
    ten = ((10, 8), (10, 8.5), (10, 9))
    case: dict[str, Any] = {
        "prescription": at("Hands 90 cm"),
        "sessions": [done(5, *ten, asked=FULL), done(2, *ten, asked=FULL)],
    }
    told = ask(wide, **case)
    assert first(told) == ("routine", "add_set")
    lately = [said("add_set", "Hands 90 cm", 3, "range.criterion-met", answer="routine")]
    assert first(ask(wide, **case, answered=lately))[0] != "routine"


def test_two_changes_undone_running_stop_what_is_done_by_itself() -> None:
    wide = ladder(on(90), on(0, "Floor"))
    ten = ((10, 8), (10, 8.5), (10, 9))
    told = ask(
        wide,
        prescription=at("Hands 90 cm"),
        sessions=[done(5, *ten, asked=FULL), done(2, *ten, asked=FULL)],
        answered=[said("add_load", "Hands 90 cm", back, answer="undone") for back in (20, 30)],
    )
    assert first(told)[0] == "question"


def test_under_sixteen_nothing_is_done_by_itself_nor_taken_to_its_end() -> None:
    wide = ladder(on(90), on(0, "Floor"))
    ten = ((10, 8), (10, 8.5), (10, 9))
    told = ask(
        wide,
        age=14,
        prescription=at("Hands 90 cm"),
        sessions=[done(5, *ten, asked=FULL), done(2, *ten, asked=FULL)],
    )
    assert first(told)[0] == "question"


def test_the_first_days_on_a_rung_ask_a_set_less() -> None:
    told = ask(
        PUSH,
        prescription=at("Floor", back=1, climbed=True),
        sessions=[done(3, (10, 8), (10, 8), (10, 8), asked=FULL, rung="Hands 20 cm")],
    )
    assert told.next_session.derived == "first"
    assert told.next_session.sets == 2
    assert told.next_session.rpe == 8


def test_other_ladders_breaks_are_their_own_and_a_usual_gap_is_no_break() -> None:
    weekly = [done(d, *USUAL, asked=FULL) for d in (63, 54, 45, 36, 27, 18)]
    told = ask(PUSH, prescription=at("Hands 20 cm"), sessions=weekly)
    assert told.next_session.derived == ""  # eighteen days are two of its usual intervals


def test_keeping_asks_for_nothing() -> None:
    ten = ((10, 8), (10, 8), (10, 8))
    told = ask(
        PUSH,
        purpose="keep",
        prescription=at("Hands 40 cm"),
        sessions=[done(5, *ten, asked=FULL), done(2, *ten, asked=FULL)],
    )
    assert first(told) == ("on course", "hold")
    assert not told.next_session.last_set_amrap


def test_a_set_whose_effort_was_not_said_is_a_bound_and_shows_a_criterion() -> None:
    ten = ((10, None), (10, None), (10, None))
    told = ask(
        PUSH,
        prescription=at("Hands 40 cm"),
        tests=[best("push-up", 18, 8, values={"hand_height": 0.4})],
        sessions=[done(5, *ten, asked=FULL), done(2, *ten, asked=FULL)],
    )
    assert first(told) == ("question", "step_up")


def test_old_logs_without_what_was_asked_are_judged_by_the_prescription() -> None:
    ten = ((10, 8), (10, 8), (10, 8))
    told = ask(PUSH, prescription=at("Hands 40 cm"), sessions=[done(5, *ten), done(2, *ten)])
    assert first(told) == ("question", "step_up")


def test_sessions_told_out_of_order_are_read_in_order() -> None:
    sessions = [done(d, *USUAL, asked=FULL) for d in (2, 9, 5)]
    there = ask(PUSH, prescription=at("Hands 20 cm"), sessions=sessions)
    sorted_so = ask(
        PUSH, prescription=at("Hands 20 cm"), sessions=[sessions[1], sessions[2], sessions[0]]
    )
    assert there == sorted_so


def test_a_closed_next_rung_is_named_with_what_closes_it() -> None:
    bars = ladder(on(20), rung("Dip", "dip", dose()), goal="Dip")
    ten = ((10, 8), (10, 8), (10, 8))
    told = ask(
        bars,
        kit=[{"kind": "surface", "name": "riser", "height_m": 0.2}],
        prescription=at("Hands 20 cm", sets=5),
        sessions=[done(d, *ten, (10, 9), asked=FULL) for d in (5, 2)],
    )
    assert first(told)[1] in ("bridge", "slow_eccentric")
    assert "Dip" in told.proposals[0].reason
    assert "closed" in told.proposals[0].reason


def test_a_forecast_agrees_with_the_growth_beside_it_and_ends_with_the_year() -> None:
    grown = [
        done(7 * (10 - n) + 2, *[(6 + n // 2, 9)] * 2, (5 + n // 2, 9), asked=FULL)
        for n in range(9)
    ]
    told = ask(PUSH, prescription=at("Hands 20 cm"), sessions=grown)
    assert told.capacities[0].growth_percent_a_week.likely > 0
    here = told.forecast[0]
    assert here.likely is not None
    assert here.low is not None
    assert here.low <= here.likely <= TODAY + timedelta(weeks=52)


def _stays(sessions: int, last: tuple[float, float] = (9, 9.5), above: float = 34) -> ReviewAnswer:
    """Weeks whose first set comes to the top, the third never quite."""
    every = 4
    sets = ((10, 8), (10, 8.5), last)
    return ask(
        ladder(on(40), on(above), on(0, "Floor")),
        purpose="strength",
        prescription=at("Hands 40 cm", back=every * sessions + 1),
        tests=[best("push-up", 20, every * sessions + 2, values={"hand_height": 0.4})],
        sessions=[done(every * n, *sets, asked=FULL) for n in range(sessions, 0, -1)],
    )


def test_whoever_waits_for_a_perfect_last_set_does_not_wait_for_months() -> None:
    told = _stays(18)
    assert first(told) == ("question", "step_up")
    assert "step.long-enough" in told.proposals[0].rules
    assert first(_stays(10))[0] == "on course"  # six weeks are no long stay
    lever = _stays(18, above=20)  # where the next is too far, one lever does
    assert first(lever)[1] == "slow_eccentric"
    assert "step.long-enough" in lever.proposals[0].rules
    assert "step.long-enough" not in _stays(18, (5, 10)).proposals[0].rules  # under the foot


def test_a_criterion_reached_at_full_effort_is_not_shown() -> None:
    near = ladder(on(40), on(34), on(0, "Floor"))
    case: dict[str, Any] = {"prescription": at("Hands 40 cm"), "purpose": "strength"}
    full, held = (
        ask(
            near,
            **case,
            sessions=[done(b, (10, 9), (10, 9), (10, rpe), asked=FULL) for b in (5, 2)],
        )
        for rpe in (10, 9)
    )
    assert "range.criterion-met" in held.proposals[0].rules
    assert "range.criterion-met" not in full.proposals[0].rules


def test_rungs_that_would_be_shown_at_once_are_passed_over() -> None:
    """The first test told far too little: all is shown on the way up but the last."""
    far = ladder(*(on(height) for height in (90, 80, 70, 60)), on(0, "Floor"))
    twelve = ((14, 7.5), (13, 7.5), (13, 8))
    told = ask(
        far,
        purpose="endurance",
        prescription=at("Hands 90 cm"),
        tests=[best("push-up", 18, 1)],
        sessions=[done(back, *twelve, asked=FULL) for back in (5, 2)],
    )
    assert first(told) == ("question", "step_up")
    assert "Hands 80 cm" in told.proposals[0].passed


def test_few_sessions_are_no_plateau_nor_is_growth() -> None:
    few = ask(
        PUSH,
        occasion="week",
        prescription=at("Hands 20 cm", sets=2),
        sessions=flat(6, 8, (5,), 2),
    )
    assert not any("plateau.weeks" in one.rules for one in few.proposals)
    reps = (6, 7, 7, 8, 9, 9, 10, 11, 13, 12, 12, 12, 12, 12, 12, 12)
    rising = ask(
        PUSH,
        occasion="week",
        prescription=at("Hands 20 cm", sets=2),
        sessions=[
            done(2 * (len(reps) - n), (n_reps, 9), (n_reps - 1, 9), asked=(6, 20, 9.0))
            for n, n_reps in enumerate(reps)
        ],
    )
    assert not any("plateau.weeks" in one.rules for one in rising.proposals)


def test_a_set_to_its_end_is_asked_once_in_a_fortnight_at_most() -> None:
    light = ((10, 6), (10, 6), (10, 6))
    case: dict[str, Any] = {"prescription": at("Hands 20 cm")}
    end = {"amount": 12, "rpe": 10, "amrap": True, "asked_low": 6, "asked_high": 30}
    asked = done(5, *light[:2], asked=FULL)
    asked["sets"].append(end)
    for sessions, due in ([done(5, *light, asked=FULL)], True), ([asked], False):
        told = ask(PUSH, **case, sessions=[*sessions, done(2, *light, asked=FULL)])
        assert told.next_session.last_set_amrap == due


def test_an_unclean_set_tells_nothing_of_what_they_can_do() -> None:
    case: dict[str, Any] = {"prescription": at("Hands 20 cm")}
    before = [done(back, *USUAL, asked=FULL) for back in (9, 7, 5)]
    clean = ask(PUSH, **case, sessions=[*before, done(2, (14, 10), asked=FULL)])
    sagging = ask(PUSH, **case, sessions=[*before, done(2, (14, 10), asked=FULL, form_ok=False)])
    none = ask(PUSH, **case, sessions=before)
    likely = [told.capacities[0].capacity.likely for told in (clean, sagging, none)]
    assert likely[0] > likely[1]
    assert abs(likely[1] - likely[2]) < 0.01 * likely[2]


def test_what_was_refused_makes_room_for_the_next_way() -> None:
    """A criterion that is shown leads somewhere, whatever was undone or declined."""
    wide = ladder(on(90), on(0, "Floor"))
    ten = ((10, 8), (10, 8.5), (10, 9))
    sessions = [done(back, *ten, asked=FULL) for back in (9, 7, 5, 2)]
    for answer in ("undone", "decline"):
        refused = said("add_set", "Hands 90 cm", 3, "range.criterion-met", "sets.grow")
        refused["answer"] = answer
        told = ask(wide, prescription=at("Hands 90 cm"), sessions=sessions, answered=[refused])
        assert first(told)[1] not in ("add_set", "hold")
