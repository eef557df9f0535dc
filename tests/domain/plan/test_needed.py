"""What is fetched before a session, and loads beside the sets."""

from dataclasses import replace

from invelo.domain.biomechanics.body import AddedLoad
from invelo.domain.biomechanics.setup import Assistance
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.errors import InputError
from invelo.domain.plan.day.fit import fit
from invelo.domain.plan.plan_overrides import NOTHING_BY_HAND
from invelo.domain.plan.session.needed import PULL_GENTLY, needed, needed_words
from invelo.domain.plan.session.timeline import timeline
from invelo.domain.plan.session.trainee import Trainee
from invelo.domain.plan.session.words import sets_words
from invelo.domain.plan.session.work import Block, Item, Rig, Session
from tests.domain.people import stand, trainee

WHO = trainee(stand("a", "pull-up"), stand("b", "push-up"), stand("c", "jump"))


def session(who: Trainee, *items: Item) -> Session:
    return NOTHING_BY_HAND.session("Today", items, who)


def loaded(item: Item, **changes: object) -> Item:
    sets = tuple(
        replace(each, modifiers=replace(each.modifiers, **changes))  # type: ignore[arg-type]
        for each in item.sets
    )
    return replace(item, sets=sets)


def test_things_with_their_size_come_once_and_what_one_hangs_from_is_tried_first() -> None:
    """Common practice."""
    pull = replace(WHO.item(WHO.stands[0]), rig=Rig("rings", 4.0, "wooden rings at 2.10 m"))
    other = replace(pull, key="other")
    told = needed(session(WHO, pull, other))
    assert told.count("wooden rings at 2.10 m") == 1
    assert told[-1] == PULL_GENTLY
    assert needed(session(WHO, WHO.item(WHO.stands[1]))) == ()


def test_what_is_carried_is_told_with_its_kilos() -> None:
    push = loaded(WHO.item(WHO.stands[1]), added_load=AddedLoad(bag=6.0))
    assert "bag of 6 kg" in needed(session(WHO, push))
    assert "bag of 6 kg" in sets_words(push)[0]
    helped = loaded(WHO.item(WHO.stands[0]), assistance=Assistance(12.5))
    assert "12.5 kg assistance" in sets_words(helped)[0]


def test_a_name_that_says_its_kilos_does_not_say_them_twice() -> None:
    push = loaded(WHO.item(WHO.stands[1]), added_load=AddedLoad(bag=6.0))
    named = replace(push, sets=tuple(replace(s, name="Push-up, bag 6 kg") for s in push.sets))
    assert "kg" not in sets_words(named)[0]


def test_jumps_want_shoes() -> None:
    assert any("shoes" in line for line in needed(session(WHO, WHO.item(WHO.stands[2]))))


def test_a_line_says_things_first_and_ends_each_sentence_once() -> None:
    assert needed_words(["a bench", PULL_GENTLY, "bag of 6 kg"]) == (
        f"a bench; bag of 6 kg. {PULL_GENTLY}"
    )
    assert needed_words([]) == ""


def test_what_takes_no_time_takes_down_nothing() -> None:
    """A wall between two sets on the rings: the rings are hung once."""
    who = trainee(stand("a", "pull-up"), stand("b", "wall-push-up"), stand("c", "row"))
    rings, wall = Rig("rings", 5.0), Rig("wall", 0.0)
    items = [
        replace(who.item(one), rig=rig)
        for one, rig in zip(who.stands, (rings, wall, rings), strict=True)
    ]
    blocks = tuple(Block("straight sets", (item,)) for item in items)
    changes = [e for e in timeline(Session("x", blocks)) if e.kind == "rig_change"]
    assert [event.seconds for event in changes] == [300.0]


def test_a_session_cut_short_never_ends_in_a_warm_up_alone() -> None:
    who = trainee(stand("a", "pull-up"), stand("b", "push-up"))
    ankle = who.loose(catalogue().find_movement("ankle-rocks"), "endurance", 2)
    day = session(who, *(who.item(one) for one in who.stands), ankle)
    for minutes in (10, 12, 15, 20):
        try:
            left = fit(day, minutes).session
        except InputError:
            continue
        assert any(item.role != "preparation" for item in left.items)
