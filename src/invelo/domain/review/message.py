"""What an athlete is told of a decision, in plain words that say nothing of their health."""

from collections.abc import Callable
from dataclasses import dataclass

from invelo.domain.review.proposals.situation import Outcome

BYE = "Your coach"


@dataclass(frozen=True)
class MessageTopic:
    """What a message is about.

    Attributes:
        outcome: as the coach answered it.
        rung: they stand on by then.
        before: they stood on.
        goal: of the ladder.
        coach: who signs.
        amount: sets, days a week, weeks or a share, where the outcome has one.
    """

    outcome: Outcome
    rung: str
    before: str
    goal: str
    coach: str
    amount: float | None = None


@dataclass(frozen=True)
class Message:
    """A subject and a body, without any word of pain or illness."""

    subject: str
    body: str


def message(topic: MessageTopic) -> Message:
    """The message of a decision that was accepted or edited."""
    body = "\n".join((_WORDS[topic.outcome](topic), topic.coach or BYE))
    return Message(f"On the way to: {topic.goal}", body)


def _whole(topic: MessageTopic) -> int:
    return round(topic.amount or 0)


_WORDS: dict[Outcome, Callable[[MessageTopic], str]] = {
    "stop": lambda told: f"Leave “{told.before}” out until we have spoken.",
    "ease_off": lambda told: (
        "Next week is an easier one: fewer sets, none near your limit. It is part of the plan."
    ),
    "step_back": lambda told: (
        f"From now on “{told.rung}” instead of “{told.before}”. You will be back up soon."
    ),
    "hold": lambda told: f"Stay with “{told.rung}” for now. It is going as it should.",
    "add_amount": lambda told: f"“{told.rung}”: add a little to each set where there is room.",
    "add_set": lambda told: f"“{told.rung}”: {_whole(told)} sets from now on.",
    "slow_eccentric": lambda told: f"Next is “{told.rung}”: the same, slower.",
    "add_load": lambda told: f"Next is “{told.rung}”: the same, with a little more weight.",
    "reduce_assistance": lambda told: f"Next is “{told.rung}”: the same, with less assistance.",
    "step_up": lambda topic: (
        f"Well done: next is “{topic.rung}”. Begin with a few easy ones."
        + (f" Keep your {_whole(topic)} sets." if topic.amount else "")
    ),
    "swap_surface": lambda told: f"“{told.rung}”: change the surface next time, for variety.",
    "reduce_days": lambda told: (
        f"“{told.rung}”: {_whole(told)} days a week from now on. Rest is part of it."
    ),
    "retest": lambda told: (
        f"Next time do one set of “{told.rung}” with as many clean reps as there are, so that "
        "we know where you are."
    ),
}
