"""What an athlete is told of a decision, in plain words that say nothing of their health."""

import re
from collections.abc import Callable
from dataclasses import dataclass

from invelo.domain.errors import InputError
from invelo.domain.review.proposals.situation import Outcome

BYE = "Your coach"

_HEALTH = re.compile(
    r"\b(pain\w*|hurt\w*|ach(?:e|es|ing)|sore\w*|injur\w*|ill|illness\w*|sick\w*|diseas\w*|fever\w*"
    r"|medic\w*|doctor\w*|physio\w*|diagnos\w*|surg\w*|operation\w*|symptom\w*|inflam\w*|sprain\w*"
    r"|pregnan\w*|menstru\w*|blood pressure|body ?weight|body mass)\b",
    re.IGNORECASE,
)
"""Words of health (ours): a letter is read on more screens than its reader's own."""


@dataclass(frozen=True)
class MessageTopic:
    """What a message is about.

    Attributes:
        outcome: as the coach answered it.
        rung: they stand on by then.
        before: they stood on.
        goal: of the ladder.
        coach: who signs.
        amount: days a week or a share, where the outcome has one.
        prescription: what is asked from now on, in words.
    """

    outcome: Outcome
    rung: str
    before: str
    goal: str
    coach: str
    amount: float | None = None
    prescription: str = ""


@dataclass(frozen=True)
class Message:
    """A subject and a body, without any word of pain or illness."""

    subject: str
    body: str


def message(topic: MessageTopic) -> Message:
    """The message of a decision that was accepted or edited."""
    body = "\n".join((_WORDS[topic.outcome](topic), topic.coach or BYE))
    return Message(f"On the way to: {topic.goal}", body)


def require_plain(words: str, field: str) -> None:
    """Refuse what says anything of someone's health.

    Raises:
        InputError: naming the first such word.
    """
    if match := _HEALTH.search(words):
        raise InputError(
            field,
            f"“{match[0]}” is a word of health, and others may read a letter.",
            "Leave it out here, and say it in person.",
        )


def _whole(topic: MessageTopic) -> int:
    return round(topic.amount or 0)


def _next(topic: MessageTopic) -> str:
    asked = f": {topic.prescription}" if topic.prescription else ""
    return f"“{topic.rung}”{asked}."


_WORDS: dict[Outcome, Callable[[MessageTopic], str]] = {
    "stop": lambda topic: f"Leave “{topic.before}” out until we have spoken.",
    "ease_off": lambda _: (
        "Next week is an easier one: fewer sets, none near your limit. It is part of the plan."
    ),
    "step_back": lambda topic: f"From now on {_next(topic)} You will be back up soon.",
    "fewer_sets": lambda topic: f"A set less for now: {_next(topic)}",
    "hold": lambda topic: f"Stay with {_next(topic)}",
    "add_amount": lambda topic: f"A little more from now on: {_next(topic)}",
    "add_set": lambda topic: f"A set more from now on: {_next(topic)}",
    "slow_eccentric": lambda topic: f"The same, slower: {_next(topic)}",
    "add_load": lambda topic: f"The same, with a little more weight: {_next(topic)}",
    "change_height": lambda topic: f"The same at another height: {_next(topic)}",
    "reduce_assistance": lambda topic: f"The same, with less assistance: {_next(topic)}",
    "add_assistance": lambda topic: f"The same, with more assistance: {_next(topic)}",
    "step_up": lambda topic: f"Well done. Next is {_next(topic)} Begin with a few easy ones.",
    "bridge": lambda topic: f"Well done. A step in between comes next: {_next(topic)}",
    "goal_reached": lambda topic: f"You have reached your goal: {topic.goal}. Well done.",
    "swap_surface": lambda topic: f"“{topic.rung}”: change the surface next time, for variety.",
    "add_day": lambda topic: f"“{topic.rung}”: {_whole(topic)} days a week from now on.",
    "reduce_days": lambda topic: (
        f"“{topic.rung}”: {_whole(topic)} days a week from now on. Rest is part of it."
    ),
    "retest": lambda topic: (
        f"Next time the last set of “{topic.rung}” goes on as long as it is clean, so that we know "
        "where you are."
    ),
}
