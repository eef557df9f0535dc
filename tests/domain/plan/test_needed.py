"""What is fetched before a session, and loads beside the sets."""

from dataclasses import replace

from invelo.domain.biomechanics.body import AddedLoad
from invelo.domain.biomechanics.setup import Assistance
from invelo.domain.plan.session.needed import PULL_GENTLY, needed
from invelo.domain.plan.session.plan_overrides import NOTHING_BY_HAND
from invelo.domain.plan.session.trainee import Trainee
from invelo.domain.plan.session.words import sets_words
from invelo.domain.plan.session.work import Item, Rig, Session
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
